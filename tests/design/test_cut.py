"""The sheet is found on any table, straightened by perspective, and cut out as it is said."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy.spatial.transform import Rotation

from benchmarks.devices.camera import Answer, Camera, Sheet, Table, on_paper
from nomos.base.errors import BadInput
from nomos.design import WHOLE, Cut, find_cut, read_picture
from nomos.design.corners import SURE, find_sheet
from nomos.design.cut import checked_cut, known_shape, paper_size, proportions, straightened, through, to_print


@pytest.fixture(scope="module")
def sheet(butt: Answer) -> Sheet:
    return on_paper(butt, "crayon", seed=2)


def worst_mm(found: np.ndarray, true: object, sheet: Sheet) -> float:
    corners = np.array(true)
    px_per_mm = np.hypot(*(corners[1] - corners[0])) / (sheet.linear.shape[1] / sheet.px_per_mm)
    return float(np.hypot(*(found - corners).T).max() / px_per_mm)


@pytest.mark.parametrize("table", ["wood", "dark", "pale", "cloth"])
@pytest.mark.parametrize("shadow", [0.0, 0.35])
def test_four_corners_on_any_table(sheet: Sheet, table: Table, shadow: float) -> None:
    taken = Camera(pixels=(1400, 1100), table=table, shadow=shadow, turn_deg=-6.0, tilt=0.3, seed=3).take(sheet)
    found = find_sheet(taken.rgb)
    assert found.sure >= SURE
    assert worst_mm(found.corners, taken.sheet, sheet) < 1.0


def test_a_sheet_that_runs_out_of_the_picture_is_said_to_be_unsure(sheet: Sheet) -> None:
    taken = Camera(pixels=(1400, 1100), fill=1.15, tilt=0.1, seed=1).take(sheet)
    found = find_cut(taken.rgb)
    assert not found.certain
    plain = find_cut(np.full((300, 400, 3), 128, np.uint8))
    # No sheet at all: the picture itself.
    assert plain.cut.corners == WHOLE
    assert plain.sheet == WHOLE


@given(
    width=st.floats(120, 300), height=st.floats(120, 300), about_x=st.floats(0.12, 0.4), about_y=st.floats(0.12, 0.4)
)
def test_the_shape_of_a_sheet_is_told_from_its_perspective(
    width: float, height: float, about_x: float, about_y: float
) -> None:
    """Beside an independent pinhole camera (SciPy's rotations)."""
    flat = np.array([(-1, -1, 0), (1, -1, 0), (1, 1, 0), (-1, 1, 0)]) * [width / 2, height / 2, 1]
    seen = Rotation.from_euler("xyz", [about_x, about_y, 0.1]).apply(flat) + np.array([5, -8, 1.6 * max(width, height)])
    pixels = seen[:, :2] / seen[:, 2:] * 1900 + np.array([1000, 750])
    assert proportions(pixels, (1500, 2000)) == pytest.approx(width / height, rel=0.02)


def test_known_papers() -> None:
    assert known_shape(210 / 297) == "A4"
    assert known_shape(297 / 210 * 1.01) == "A4"
    assert known_shape(279.4 / 215.9) == "Letter"
    assert known_shape(1.0) == ""
    assert paper_size("a5", 1.4) == (210.0, 148.0)
    assert paper_size("B4", 0.7) == (250.0, 353.0)
    with pytest.raises(BadInput, match="not a paper size"):
        paper_size("A99", 1.0)


@given(st.integers(-5, 9))
def test_turning_and_mirroring_come_round(quarters: int) -> None:
    cut = Cut(((0.1, 0.1), (0.9, 0.15), (0.85, 0.9), (0.12, 0.8)), bare=(((0, 0), (0.2, 0), (0, 0.2)),))
    assert cut.turned(quarters).turned(-quarters) == cut
    assert cut.turned(4) == cut
    assert cut.mirrored().mirrored() == cut
    assert cut.turned(1).mirrored() == cut.mirrored().turned(-1)


def test_a_quarter_turn_is_clockwise_and_a_mirror_swaps_left_and_right() -> None:
    page = np.zeros((40, 60, 3), np.uint8)
    page[:20, :30] = (250, 0, 0)  # red at the top left
    size = np.array([60, 40])

    def at_quarter(cut: Cut, shape: tuple[int, int]) -> list[int]:
        out = straightened(page, np.array(cut.corners) * size, shape)
        tall, wide = out.shape[0], out.shape[1]
        return [int(out[y, x, 0]) for y, x in ((tall // 4, wide // 4), (tall // 4, 3 * wide // 4))]

    assert at_quarter(Cut(), (60, 40)) == [250, 0]
    assert at_quarter(Cut().turned(1), (40, 60)) == [0, 250]
    assert at_quarter(Cut().mirrored(), (60, 40)) == [0, 250]


@pytest.mark.parametrize(
    "corners",
    [
        ((0, 0), (1, 1), (1, 0), (0, 1)),
        ((0, 0), (0.5, 0.5), (1, 1), (0, 1)),
        ((0, 0), (0.01, 0), (0.01, 0.01), (0, 0.01)),
        ((0, 0), (9, 0), (9, 1), (0, 1)),
        ((0, 0), (float("nan"), 0), (1, 1), (0, 1)),
    ],
)
def test_corners_that_enclose_nothing_are_refused(corners: tuple[tuple[float, float], ...]) -> None:
    one, two, three, four = corners
    with pytest.raises(BadInput, match=r"corners of a\.jpg"):
        checked_cut(Cut((one, two, three, four)), "a.jpg")


def test_a_picture_is_cut_to_the_size_asked_for_and_places_go_there_and_back() -> None:
    import io

    from PIL import Image

    page = np.full((300, 400, 3), 240, np.uint8)
    page[60:240, 80:320] = (200, 60, 40)
    data = io.BytesIO()
    Image.fromarray(page).save(data, "PNG")
    cut = Cut(
        ((0.2, 0.2), (0.8, 0.2), (0.8, 0.8), (0.2, 0.8)), bare=(((0.2, 0.2), (0.5, 0.2), (0.5, 0.5), (0.2, 0.5)),)
    )
    picture = read_picture(data.getvalue(), "a.png", size_mm=(120.0, 90.0), cut=cut)
    assert picture.size_mm == (120.0, 90.0)
    assert picture.place_mm((0.2, 0.2)) == pytest.approx((0, 0), abs=1e-6)
    assert picture.place_mm((0.3, 0.7)) == pytest.approx((20, 75))
    assert through(to_print(cut, (120.0, 90.0)), (0.8, 0.8)) == pytest.approx((120, 90))
    assert np.abs(picture.rgb[-20, -20].astype(int) - (200, 60, 40)).max() < 6
    free = read_picture(data.getvalue(), "a.png", cut=Cut(cut.corners))
    assert free.size_mm[0] / free.size_mm[1] == pytest.approx(240 / 180, rel=0.01)
    assert not free.sized
