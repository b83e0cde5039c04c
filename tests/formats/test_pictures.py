"""Pictures of a print: a large one is written as numbers and their colours, and shows the same."""

from io import BytesIO

import numpy as np
import pytest
from PIL import Image

from nomos.colour import lab_to_srgb
from nomos.formats.pictures import print_png
from nomos.proof import render, to_rgb

LABS = np.array([(95.0, 0.0, 3.0), (60.0, 40.0, 30.0), (30.0, -20.0, -30.0), (15.0, 0.0, 0.0)])


@pytest.mark.parametrize("large", [False, True])
def test_a_print_shows_its_colours_at_its_size(large: bool, monkeypatch: pytest.MonkeyPatch) -> None:
    if large:
        monkeypatch.setattr("nomos.formats.pictures._LARGE_PX", 100)
    index = np.random.default_rng(3).integers(0, 4, (40, 60)).astype(np.uint8)
    with Image.open(BytesIO(print_png(index, LABS, 10.0))) as picture:
        assert picture.mode == ("P" if large else "RGB")
        assert picture.info["dpi"][0] == pytest.approx(254, abs=0.1)
        shown = np.array(picture.convert("RGB"))
    np.testing.assert_array_equal(shown, lab_to_srgb(LABS)[index])
    np.testing.assert_array_equal(shown, to_rgb(render(index, LABS)))


def test_more_colours_than_a_palette_holds_are_written_as_they_are(monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr("nomos.formats.pictures._LARGE_PX", 100)
    labs = np.column_stack([np.linspace(5, 95, 300), np.zeros(300), np.zeros(300)])
    index = np.arange(300, dtype=np.uint16).reshape(15, 20)
    with Image.open(BytesIO(print_png(index, labs, 10.0))) as picture:
        np.testing.assert_array_equal(np.array(picture), lab_to_srgb(labs)[index])
