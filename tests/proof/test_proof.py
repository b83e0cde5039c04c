"""The combination map, its colours, the page of pixels, and blocks out of place."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nomos.colour import Film, Ground, ink_film, lab_to_srgb, overprints, reflectance_to_lab
from nomos.proof import (
    CombinationMap,
    Misregister,
    combine,
    displaced,
    mips,
    padded,
    render,
    render_view,
    to_rgb,
    with_page,
)

PAPER = (95.0, 0.0, 2.0)
INKS = [(85.0, 0.0, 70.0), (50.0, 60.0, 20.0), (45.0, -20.0, -40.0), (20.0, 0.0, 0.0)]


def combination_labs(ground: Ground, films: list[Film], order: list[int], members: np.ndarray) -> np.ndarray:
    return reflectance_to_lab(overprints(ground, [films[n] for n in order], members[:, order]))


def masks(count: int, seed: int = 4, shape: tuple[int, int] = (40, 50)) -> list[np.ndarray]:
    generator = np.random.default_rng(seed)
    return [generator.integers(0, 2, shape).astype(np.uint8) for _ in range(count)]


@settings(max_examples=20)
@given(st.integers(0, 20), st.integers(0, 99))
def test_the_map_says_of_every_pixel_which_blocks_print_there(count: int, seed: int) -> None:
    planes = masks(count, seed)
    found = combine(planes, (40, 50))
    assert found.members.shape == (len(found.pixels), count)
    assert found.pixels.sum() == 2000
    back = found.members[found.index]
    for number, plane in enumerate(planes):
        np.testing.assert_array_equal(back[..., number], plane == 1)


@given(st.integers(1, 4), st.integers(0, 99))
def test_a_page_laid_on_a_map_gives_what_all_of_them_give_at_once(parts: int, seed: int) -> None:
    planes = masks(5, seed)
    planes[-1] *= np.random.default_rng(seed).integers(1, parts + 1, (40, 50)).astype(np.uint8)
    whole = combine(planes, (40, 50), [1, 1, 1, 1, parts])
    later = with_page(combine(planes[:-1], (40, 50)), planes[-1], parts)
    np.testing.assert_array_equal(later.members[later.index], whole.members[whole.index])
    assert later.pixels.sum() == 2000
    assert later.pixels.all()


def colours(found: CombinationMap, order: list[int], pulls: int | None = None) -> np.ndarray:
    films = [ink_film(lab, "semi" if n == 1 else "transparent", PAPER) for n, lab in enumerate(INKS)]
    return combination_labs(Ground.from_lab(PAPER), films, order[:pulls], found.members)


def test_a_rendered_pixel_is_its_inks_laid_in_order() -> None:
    planes = masks(4)
    found = combine(planes, (40, 50))
    order = [2, 0, 3, 1]
    page = to_rgb(render(found.index, colours(found, order)))
    for y, x in ((0, 0), (7, 33), (39, 49), (20, 11)):
        films = [ink_film(INKS[n], "semi" if n == 1 else "transparent", PAPER) for n in order if planes[n][y, x]]
        rows = np.ones((1, len(films)), bool)
        lab = reflectance_to_lab(overprints(Ground.from_lab(PAPER), films, rows))[0]
        np.testing.assert_array_equal(page[y, x], lab_to_srgb(lab))


def test_progressive_proofs_go_from_bare_paper_to_the_print() -> None:
    found = combine(masks(4), (40, 50))
    np.testing.assert_allclose(colours(found, [0, 1, 2, 3], 0), np.tile(PAPER, (len(found.pixels), 1)), atol=1e-4)
    np.testing.assert_allclose(colours(found, [0, 1, 2, 3], 4), colours(found, [0, 1, 2, 3]))
    third = colours(found, [0, 1, 2, 3], 3)
    unchanged = ~found.members[:, 3]
    np.testing.assert_allclose(third[unchanged], colours(found, [0, 1, 2, 3])[unchanged])


def test_a_block_out_of_place_goes_right_and_down() -> None:
    mask = padded(np.pad(np.ones((20, 20), np.uint8), 20), 10)
    moved = displaced(mask, Misregister(0.5, 0.3), 10)
    np.testing.assert_array_equal(moved[3:, 5:], mask[:-3, :-5])
    assert displaced(mask, Misregister(), 10) is mask


def test_a_turn_is_from_x_towards_y_about_the_middle() -> None:
    mask = np.zeros((201, 201), np.uint8)
    mask[98:103, 180:190] = 1
    moved = displaced(mask, Misregister(rotation_deg=45), 10)
    y, x = np.argwhere(moved).mean(axis=0)
    assert x - 100 == pytest.approx(84.5 * np.cos(np.pi / 4), abs=0.6)
    assert y - 100 == pytest.approx(84.5 * np.sin(np.pi / 4), abs=0.6)


@given(st.floats(-0.8, 0.8), st.floats(-0.8, 0.8), st.floats(-1, 1))
def test_a_shift_keeps_the_area(dx: float, dy: float, turn: float) -> None:
    mask = np.zeros((120, 140), np.uint8)
    mask[40:80, 50:90] = 1
    moved = displaced(mask, Misregister(dx, dy, turn), 10)
    assert int(moved.sum()) == pytest.approx(int(mask.sum()), rel=0.06)


def test_a_view_of_the_whole_page_is_the_page() -> None:
    found = combine(masks(3, shape=(300, 400)), (300, 400))
    labs = colours(found, [0, 1, 2])
    whole = render_view(mips(found.index), labs, (0, 0, 400, 300), (400, 300))
    np.testing.assert_array_equal(whole, render(found.index, labs))


def test_a_shrunk_view_averages_and_keeps_fine_lines() -> None:
    """A line one pixel wide, at a quarter of the size: still there, a quarter as strong."""
    plane = np.zeros((400, 400), np.uint8)
    plane[:, 200] = 1
    found = combine([plane], (400, 400))
    films = [ink_film((20.0, 0.0, 0.0), "transparent", PAPER)]
    labs = combination_labs(Ground.from_lab(PAPER), films, [0], found.members)
    small = to_rgb(render_view(mips(found.index), labs, (0, 0, 400, 400), (100, 100))).astype(int)
    assert small[50, 40].min() > 230
    darkest = small[50, 48:53].sum(axis=1).min()
    assert darkest < small[50, 40].sum() - 60


def test_an_enlarged_view_shows_the_right_part() -> None:
    plane = np.zeros((64, 64), np.uint8)
    plane[10, 20] = 1
    found = combine([plane], (64, 64))
    labs = combination_labs(Ground.from_lab(PAPER), [ink_film((20.0, 0, 0), "opaque", PAPER)], [0], found.members)
    view = to_rgb(render_view(mips(found.index), labs, (18, 8, 24, 14), (60, 60)))
    ys, xs = np.nonzero(view[..., 0] < 128)
    assert (ys.min(), ys.max(), xs.min(), xs.max()) == (20, 29, 20, 29)


def test_a_page_shrunk_to_a_few_pixels_keeps_its_mean_colour() -> None:
    """Half black, half white in stripes of a pixel: as grey as their mean in light, however small."""
    stripes = (np.arange(1000)[:, None] % 2 * np.ones((1, 1000))).astype(np.uint8)
    labs = np.array([[0.0, 0.0, 0.0], [100.0, 0.0, 0.0]])
    for size in (2, 5):
        small = render_view(mips(stripes), labs, (0, 0, 1000, 1000), (size, size))
        # Numbers are kept every second one when shrunk, so stripes may come out as either, never as neither.
        assert set((small & 0xFF).ravel().tolist()) <= {0, 127, 128, 188, 255}
    halves = (np.arange(1000)[:, None] // 500 * np.ones((1, 1000))).astype(np.uint8)
    tiny = render_view(mips(halves), labs, (0, 0, 1000, 1000), (2, 2)) & 0xFF
    assert tiny == pytest.approx(np.array([[0, 0], [255, 255]]), abs=4)
