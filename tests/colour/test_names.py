"""Colours get the names a painter would give them, no two alike."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from nomos.colour import srgb_to_lab
from nomos.colour.names import colour_names, free_name


def lab_of(text: str) -> tuple[float, float, float]:
    rgb = np.array([int(text[n : n + 2], 16) for n in (0, 2, 4)], float)
    lightness, a, b = srgb_to_lab(rgb)
    return float(lightness), float(a), float(b)


@pytest.mark.parametrize(
    ("hexed", "words"),
    [
        ("5a3a22", ("brown", "umber")), ("40e0d0", ("turquoise",)), ("ffffff", ("white",)),
        ("1d1d22", ("black",)), ("27406f", ("indigo", "navy")), ("e8b83a", ("yellow",)),
        ("b4583f", ("brick", "terracotta")),
        ("6a5aa0", ("violet",)), ("4e8a4c", ("green",)), ("8b8f96", ("grey",)), ("f0cdbf", ("pink", "peach")),
    ],
)  # fmt: skip
def test_names_a_painter_would_give(hexed: str, words: tuple[str, ...]) -> None:
    assert any(word in colour_names([lab_of(hexed)])[0].lower() for word in words)


@given(st.lists(st.tuples(st.floats(0, 100), st.floats(-60, 60), st.floats(-60, 60)), min_size=1, max_size=24))
def test_no_two_alike_and_no_numbers(labs: list[tuple[float, float, float]]) -> None:
    names = colour_names(labs)
    assert len(set(names)) == len(names)
    assert not any(character.isdigit() for name in names for character in name)


def test_the_lighter_of_two_alike_is_the_light_one() -> None:
    assert colour_names([(56, 42, 60), (66, 44, 66)]) == ["Dark orange", "Light orange"]
    assert free_name((66, 44, 66), ["Orange", "Light orange"]) not in ("Orange", "Light orange")
