"""The light of a photograph is evened out from the paper alone, and even light is left as it is."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nomos.colour import srgb_to_lab
from nomos.colour.cielab import srgb_decode, srgb_encode
from nomos.design.light import EVEN, measure_light

PAPER = np.array([0.80, 0.79, 0.74])


def page(light: np.ndarray) -> np.ndarray:
    """A sheet with a margin, colours in the middle and bare places between them, under a light."""
    linear = np.broadcast_to(PAPER, (*light.shape[:2], 3)).copy()
    height, width = light.shape[:2]
    for place, colour in enumerate(((0.5, 0.05, 0.04), (0.05, 0.2, 0.5), (0.4, 0.3, 0.03), (0.02, 0.02, 0.03))):
        top = height // 6 + place % 2 * height // 3
        left = width // 6 + place // 2 * width // 3
        linear[top : top + height // 4, left : left + width // 4] = colour
    return np.rint(255 * srgb_encode(np.clip(linear * light, 0, 1))).astype(np.uint8)


def field(falloff: float, turn: float, cast: tuple[float, float, float], shape: tuple[int, int]) -> np.ndarray:
    y, x = np.mgrid[: shape[0], : shape[1]]
    along = (x / shape[1] - 0.5) * np.cos(turn) + (y / shape[0] - 0.5) * np.sin(turn)
    light = 1 - falloff * (along + 0.6) - 0.1 * ((x / shape[1] - 0.5) ** 2 + (y / shape[0] - 0.5) ** 2)
    return light[..., None] * np.array(cast) * 0.9


@settings(max_examples=15)
@given(falloff=st.floats(0.12, 0.5), turn=st.floats(0, 6.28), red=st.floats(0.9, 1.0), blue=st.floats(0.65, 1.0))
def test_paper_comes_out_even_and_white_under_any_smooth_light(
    falloff: float, turn: float, red: float, blue: float
) -> None:
    seen = page(field(falloff, turn, (red, 0.95, blue), (300, 400)))
    light = measure_light(seen)
    assert light.gain is not None
    assert light.uneven > 0.05
    even = srgb_to_lab(light.applied(seen)[[3, 3, 296, 296, 150, 3], [3, 396, 3, 396, 3, 200]])
    assert np.ptp(even[:, 0]) < 1.5
    assert np.hypot(even[:, 1], even[:, 2]).max() < 2.5


def test_even_light_changes_nothing_at_all() -> None:
    seen = page(np.full((200, 300, 1), 0.97))
    light = measure_light(seen)
    assert light.gain is None
    assert light.applied(seen) is seen
    assert light.paper_share > 0.4
    assert light.paper is not None


def test_painted_skies_and_pictures_without_paper_are_not_light() -> None:
    down = np.linspace(0, 1, 200)[:, None, None]
    dusk = np.broadcast_to((1 - down) * (40, 60, 140) + down * (240, 200, 180), (200, 150, 3)).astype(np.uint8)
    assert measure_light(dusk).gain is None
    assert measure_light(np.full((90, 90, 3), (10, 40, 90), np.uint8)) is EVEN


@pytest.mark.parametrize("turn", [0.3, 1.4])
def test_a_shadow_across_the_sheet_is_taken_out(turn: float) -> None:
    shape = (300, 400)
    y, x = np.mgrid[: shape[0], : shape[1]]
    edge = (x / 400 - 0.5) * np.cos(turn) + (y / 300 - 0.5) * np.sin(turn)
    shadow = 1 - 0.35 / (1 + np.exp(-(edge - 0.1) / 0.012))
    seen = page(field(0.15, 2.0, (1.0, 0.95, 0.85), shape) * shadow[..., None])
    light = measure_light(seen)
    assert light.shadow < 0.03
    corners = srgb_to_lab(light.applied(seen)[[4, 4, 295, 295], [4, 395, 4, 395]])
    assert np.ptp(corners[:, 0]) < 3


def test_the_gain_of_a_part_is_the_part_of_the_gain() -> None:
    seen = page(field(0.4, 1.0, (1.0, 0.95, 0.8), (300, 400)))
    light = measure_light(seen)
    part = light.cropped(0.25, 0.2, 0.75, 0.9)
    whole = light.applied(seen)[60:270, 100:300].astype(int)
    own = part.applied(np.ascontiguousarray(seen[60:270, 100:300])).astype(int)
    assert np.abs(whole - own).max() <= 2
    linear = srgb_decode(np.array([0.5]))
    assert 0 < linear[0] < 1
