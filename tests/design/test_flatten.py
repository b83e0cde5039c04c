"""Flattening finds the colours a design is made of and leaves nothing too small to cut."""

import itertools

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from PIL import Image
from scipy import ndimage

from nomos.base.errors import BadInput
from nomos.base.progress import Cancelled
from nomos.colour import delta_e00, lab_to_srgb, srgb_to_lab
from nomos.demo import demo_picture
from nomos.design import FlatDesign, Picture, flatten, read_picture
from nomos.design.cleaning import majority, remove_specks

COLOURS = np.array([(244, 240, 230), (230, 190, 120), (180, 70, 50), (80, 120, 90), (30, 30, 45)], np.uint8)


def patchwork(seed: int = 3, size: tuple[int, int] = (240, 300), ppm: float = 6.0) -> Picture:
    """Rectangles of five known colours."""
    generator = np.random.default_rng(seed)
    labels = np.zeros(size, np.uint8)
    for _ in range(14):
        y, x = generator.integers(0, size[0] - 60), generator.integers(0, size[1] - 60)
        labels[y : y + generator.integers(24, 90), x : x + generator.integers(24, 90)] = generator.integers(0, 5)
    labels[:8] = np.arange(size[1]) * 5 // size[1]  # so that every colour occurs
    rgb = COLOURS[labels]
    return Picture(rgb, (size[1] / ppm, size[0] / ppm), ppm)


def smallest_region_px(labels: np.ndarray) -> int:
    """Checked by SciPy's own labelling, colour by colour."""
    least = labels.size
    for number in np.unique(labels):
        regions, count = ndimage.label(labels == number)
        least = min(least, *np.bincount(regions.ravel(), minlength=count + 1)[1:])
    return int(least)


def test_the_colours_of_a_flat_design_come_back() -> None:
    flat = flatten(patchwork(), 5)
    wanted = sorted(map(tuple, srgb_to_lab(COLOURS)), reverse=True)
    for colour, lab in zip(flat.colours, wanted, strict=True):
        assert delta_e00(np.array(colour.lab), np.array(lab)) < 0.6
    assert flat.mean_de00 < 0.5


def test_areas_add_up_to_the_image_in_mm() -> None:
    flat = flatten(patchwork(), 5)
    width, height = flat.size_mm
    assert sum(colour.area_mm2 for colour in flat.colours) == pytest.approx(width * height)
    assert sum(colour.area_pct for colour in flat.colours) == pytest.approx(100)
    own = np.count_nonzero(flat.labels == 2) / flat.px_per_mm**2
    assert flat.colours[2].area_mm2 == pytest.approx(own)


@pytest.mark.parametrize("smallest_mm", [0.0, 0.8, 2.0])
def test_no_region_is_smaller_than_the_smallest_feature(smallest_mm: float) -> None:
    picture = patchwork()
    noisy = picture.rgb.copy()
    spots = np.random.default_rng(5).integers(0, 230, (400, 2))
    noisy[spots[:, 0], spots[:, 1]] = (10, 10, 10)
    noisy.flags.writeable = False
    flat = flatten(Picture(noisy, picture.size_mm, picture.px_per_mm), 5, smallest_feature_mm=smallest_mm)
    assert smallest_region_px(flat.labels) >= np.ceil((smallest_mm * picture.px_per_mm) ** 2)


@settings(max_examples=15)
@given(st.integers(0, 2**32 - 1), st.floats(1, 6))
def test_cleaning_any_noise_leaves_no_speck(seed: int, smallest_px: float) -> None:
    labels = np.random.default_rng(seed).integers(0, 4, (60, 70)).astype(np.uint8)
    cleaned = remove_specks(majority(labels, 4), smallest_px)
    assert smallest_region_px(cleaned) >= np.ceil(smallest_px**2)


def test_the_same_seed_gives_the_same_design() -> None:
    picture = patchwork()
    first, second = flatten(picture, 4, seed=3), flatten(picture, 4, seed=3)
    np.testing.assert_array_equal(first.labels, second.labels)
    assert first.colours == second.colours


def test_soft_edges_make_no_colour_of_their_own() -> None:
    """A scan's antialiased edges are mixtures; a third colour there would be a fringe nobody drew."""
    big = Image.fromarray(COLOURS[(np.indices((400, 400)).sum(0) > 400).astype(np.uint8) * 4])
    soft = np.array(big.resize((100, 100), Image.Resampling.BOX).resize((300, 300), Image.Resampling.BICUBIC))
    flat = flatten(Picture(soft, (50.0, 50.0), 6.0), 2)
    assert len(flat.colours) == 2
    for colour, lab in zip(flat.colours, srgb_to_lab(COLOURS[[0, 4]]), strict=True):
        assert delta_e00(np.array(colour.lab), lab) < 1.0


@pytest.mark.parametrize("count", [3, 5])
def test_the_true_number_of_colours_is_suggested(count: int) -> None:
    labels = np.arange(300) * count // 300
    picture = Picture(np.repeat(COLOURS[labels][None], 200, axis=0), (50.0, 33.3), 6.0)
    suggestion = flatten(picture, None).suggestion
    assert suggestion is not None
    assert suggestion.count == count
    errors = [error for _, error in suggestion.curve]
    assert all(later <= earlier + 0.3 for earlier, later in itertools.pairwise(errors))


def test_the_demo_has_nine_colours() -> None:
    suggestion = flatten(read_picture(demo_picture(), "glasshouse.png"), None).suggestion
    assert suggestion is not None
    assert suggestion.count == 9


def test_it_beats_median_cut_and_the_best_of_pillow() -> None:
    """Mean ΔE00 on a busy picture, beside Pillow's own quantisers at the same number of colours."""
    generator = np.random.default_rng(11)
    y, x = np.indices((240, 320))
    page = np.stack([120 + 80 * np.sin(x / 40), 110 + 70 * np.cos(y / 30), 90 + 60 * np.sin((x + y) / 50)], -1)
    rgb = np.clip(page + generator.normal(0, 3, page.shape), 0, 255).astype(np.uint8)
    picture = Picture(rgb, (53.3, 40.0), 6.0)
    ours = flatten(picture, 8, smallest_feature_mm=0).mean_de00
    image, lab = Image.fromarray(rgb), srgb_to_lab(rgb)
    for method in (Image.Quantize.MEDIANCUT, Image.Quantize.MAXCOVERAGE, Image.Quantize.FASTOCTREE):
        theirs = np.array(image.quantize(8, method, dither=Image.Dither.NONE).convert("RGB"))
        assert ours < delta_e00(srgb_to_lab(theirs), lab).mean()


@pytest.mark.parametrize(("count", "smallest"), [(1, 0.8), (25, 0.8), (5, -1), (5, 21), (5, float("nan"))])
def test_what_cannot_be_asked_for_is_refused(count: int, smallest: float) -> None:
    with pytest.raises(BadInput):
        flatten(patchwork(), count, smallest_feature_mm=smallest)


def test_a_design_of_one_colour_and_a_tiny_one() -> None:
    plain = flatten(Picture(np.full((90, 90, 3), 200, np.uint8), (15.0, 15.0), 6.0), 6)
    assert len(plain.colours) == 1
    tiny = flatten(Picture(COLOURS[:4].reshape(2, 2, 3), (5.0, 5.0), 0.4), 4, smallest_feature_mm=0)
    assert isinstance(tiny, FlatDesign)
    np.testing.assert_array_equal(tiny.to_rgb().shape, (2, 2, 3))


def test_flattening_can_be_called_off() -> None:
    class Stop:
        def report(self, fraction: float, message: str) -> None:  # noqa: ARG002
            if fraction > 0.3:
                raise Cancelled

    with pytest.raises(Cancelled):
        flatten(patchwork(), 5, progress=Stop())


def test_the_flat_picture_has_only_its_own_colours() -> None:
    flat = flatten(patchwork(), 5)
    own = {tuple(rgb) for rgb in lab_to_srgb(np.array([colour.lab for colour in flat.colours]))}
    assert {tuple(rgb) for rgb in flat.to_rgb().reshape(-1, 3)} == own
