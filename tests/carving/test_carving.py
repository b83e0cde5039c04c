"""Outlines, widths, areas and depth against shapes whose figures are known; boards against the area bound."""

from dataclasses import replace
from itertools import combinations
from pathlib import Path

import cv2
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nomos.carving import (
    MATERIALS,
    USUAL_TOOLS,
    Board,
    CarvingError,
    Roller,
    Tool,
    bevels,
    carve,
    check_tools,
    effort_of,
    factor_from_log,
    outline_length_mm,
    plan_cutting,
)
from nomos.carving.effort import rough_hours
from nomos.carving.maps import cutting_depth_mm
from nomos.carving.transfer import TRANSFERS

PX = 12.0


def disc(radius_mm: float, hole_mm: float = 0.0) -> np.ndarray:
    size = round(2 * (radius_mm + 4) * PX)
    y, x = np.mgrid[0:size, 0:size]
    away = np.hypot(x - (size - 1) / 2, y - (size - 1) / 2) / PX
    return ((away < radius_mm) & (away >= hole_mm)).astype(np.uint8)


def turned_box(width: float, height: float, degrees: float) -> np.ndarray:
    size = round((width + height + 10) * PX)
    page = np.zeros((size, size), np.uint8)
    box = cv2.boxPoints(((size / 2, size / 2), (width * PX, height * PX), degrees))
    cv2.fillPoly(page, [np.rint(box * 256).astype(np.int32)], 1, shift=8)
    return page


@pytest.mark.parametrize(
    ("mask", "wanted"),
    [
        (disc(10), 2 * np.pi * 10),
        (disc(20, 12), 2 * np.pi * (20 + 12)),
        (turned_box(30, 18, 0), 96.0),
        (turned_box(30, 18, 27), 96.0),
        (turned_box(40, 9, 45), 98.0),
    ],
)
def test_outline_lengths_are_within_one_per_cent(mask: np.ndarray, wanted: float) -> None:
    """Circle, annulus and turned rectangles by elementary geometry."""
    assert outline_length_mm(mask, PX) == pytest.approx(wanted, rel=0.01)


def comb(tooth_mm: float, gap_mm: float, teeth: int, long_mm: float) -> np.ndarray:
    """A printing frame around teeth with gaps of known width between them."""
    wide = round((teeth * (tooth_mm + gap_mm) + tooth_mm) * PX)
    page = np.ones((round((long_mm + 10) * PX), wide), np.uint8)
    for n in range(teeth):
        left = round((tooth_mm + n * (tooth_mm + gap_mm)) * PX)
        page[round(5 * PX) : round((5 + long_mm) * PX), left : left + round(gap_mm * PX)] = 0
    return page


@pytest.mark.parametrize(("gap", "tool"), [(0.5, None), (1.5, 1.0), (3.0, 2.0), (8.0, 5.0), (14.0, 10.0)])
def test_a_gap_goes_to_the_widest_tool_that_fits_beside_the_outline_band(gap: float, tool: float | None) -> None:
    """A comb: gaps of one width. A band of 1 mm beside each edge is the V tool's; the rest the gouge's."""
    mask = comb(4, gap, 5, 40)
    found = carve(mask, np.ones(mask.shape, bool), PX, USUAL_TOOLS, MATERIALS["lino"], Roller())
    area = 5 * 40 * round(gap * PX) / PX
    assert sum(found.areas_mm2) + found.narrow_mm2 == pytest.approx(area, rel=0.01)
    if tool is None:
        assert found.narrow_mm2 == pytest.approx(area, rel=0.01)
        return
    assert found.narrow_mm2 < 0.02 * area
    clearing = {each.width_mm: size for each, size in zip(found.tools, found.areas_mm2, strict=True)}
    # Along both sides of a gap, and across its two ends.
    band = min(2.0, gap) * 40 * 5 + 2 * max(gap - 2, 0) * 5
    assert clearing[1.0] == pytest.approx(band, rel=0.12)
    if gap > 2:
        assert max((w for w, size in clearing.items() if size > 0.4 * (area - band)), default=0) == tool


def test_depth_grows_with_the_distance_to_the_edge_and_stops_at_the_board() -> None:
    mask = disc(5)
    found = carve(mask, np.ones(mask.shape, bool), PX, USUAL_TOOLS, MATERIALS["lino"], Roller())
    middle = mask.shape[0] // 2
    assert cutting_depth_mm(np.array([0, 2, 1000], np.float32), MATERIALS["lino"]) == pytest.approx(
        [0.6, 0.6 + 0.18 * 2, MATERIALS["lino"].deepest_mm]
    )
    # The corner of the board is furthest away.
    corner = np.hypot(middle, middle) / PX - 5
    assert found.deepest_mm == pytest.approx(min(0.6 + 0.18 * corner, MATERIALS["lino"].deepest_mm), abs=0.05)
    # The first tool's ground lies within its width of the edge, all else further.
    assert 0.6 < found.depths_mm[0] < 0.6 + 0.18 * found.band_mm
    assert max(found.depths_mm) <= found.deepest_mm
    assert found.stays_mm2 == pytest.approx(np.pi * 25, rel=0.01)


def test_a_roller_hangs_into_a_gap_by_its_sagitta() -> None:
    """R 30 mm over 20 mm: 30 - sqrt(900 - 100) = 1.716 mm; a hard skin adds 0.4 % of 60 mm."""
    hard = Roller(60, 60, length_mm=10)
    assert float(hard.dip_mm(20)) == pytest.approx(30 - np.sqrt(800) + 0.24, abs=1e-6)
    assert float(hard.dip_mm(0)) == 0
    assert float(Roller(60, 60).dip_mm(20)) == pytest.approx(0.24)
    soft = Roller(60, 30, length_mm=10)
    assert float(soft.dip_mm(20)) > float(hard.dip_mm(20))
    gaps = np.linspace(0, 80, 50)
    assert (np.diff(hard.dip_mm(gaps)) >= 0).all()


def test_wide_ground_chatters_and_narrow_ground_does_not() -> None:
    wide, narrow = comb(4, 40, 2, 60), comb(4, 3, 8, 40)
    for mask, chatters in ((wide, True), (narrow, False)):
        found = carve(mask, np.ones(mask.shape, bool), PX, USUAL_TOOLS, MATERIALS["lino"], Roller(40, 30, 30))
        assert (found.chatter_mm2 > 100) == chatters


def test_what_the_roller_reaches_hangs_little_on_the_resolution() -> None:
    areas = []
    for every in (1, 2, 3):
        mask = np.ascontiguousarray(comb(4, 34, 2, 60)[::every, ::every])
        ground = np.ones(mask.shape, bool)
        found = carve(mask, ground, PX / every, USUAL_TOOLS, MATERIALS["lino"], Roller(40, 30, 30))
        areas.append(found.chatter_mm2)
        assert not (found.chatter & (mask == 1)).any()
    assert areas[0] > 500
    assert areas == pytest.approx([areas[0]] * 3, rel=0.05)


def test_bevels_lean_away_from_what_prints() -> None:
    mask = disc(12)
    middle = mask.shape[0] / PX / 2
    found = bevels(mask, PX, 6)
    assert len(found) > 8
    for each in found:
        out = np.array(each.place) - middle
        assert float(np.array(each.way) @ (out / np.hypot(*out))) > 0.95


def test_hours_follow_outline_and_ground_and_the_log() -> None:
    """A disc of 10 mm radius alone on lino: 62.8 mm of outline at 80 mm a minute is 0.785 minutes."""
    mask = disc(10)
    found = carve(mask, np.ones(mask.shape, bool), PX, USUAL_TOOLS, MATERIALS["lino"], Roller())
    effort = effort_of(found, MATERIALS["lino"])
    assert effort.outline_h * 60 == pytest.approx(0.785, rel=0.01)
    assert effort.hours > effort.outline_h
    assert effort_of(found, MATERIALS["hard wood"]).hours > 2 * effort.hours
    # Deeper ground takes more layers: twice as deep takes twice as long where one layer is passed.
    deep = [effort_of(replace(found, depths_mm=(float(d),) * len(found.tools)), MATERIALS["lino"]) for d in (2, 4)]
    assert deep[1].by_tool[-1][2] == pytest.approx(2 * deep[0].by_tool[-1][2])
    assert deep[0].by_tool[-1][2] > effort.by_tool[-1][2]
    slower = factor_from_log(effort.hours, 1.5 * effort.hours)
    assert effort_of(found, MATERIALS["lino"], slower).hours == pytest.approx(1.5 * effort.hours)
    with pytest.raises(ValueError, match="more than nothing"):
        factor_from_log(0, 1)


def test_hours_without_a_map_are_near_those_with_one() -> None:
    facts = MATERIALS["lino"]
    for mask in (disc(40, 12), turned_box(90, 50, 20)):
        carving = carve(mask, np.ones(mask.shape, bool), PX, USUAL_TOOLS, facts, Roller(60, 40, 100))
        exact = effort_of(carving, facts).hours
        clear = float(np.count_nonzero(mask == 0)) / PX**2
        assert rough_hours(carving.outline_mm, clear, USUAL_TOOLS, facts) == pytest.approx(exact, rel=0.4)


@pytest.mark.parametrize("tools", [(), (Tool("u", 3),), (Tool("v", 1),), (Tool("v", 1), Tool("u", 90))])
def test_a_set_that_cannot_cut_is_refused(tools: tuple[Tool, ...]) -> None:
    with pytest.raises(CarvingError):
        check_tools(tools)


def test_a_sheet_laid_face_down_is_right_reading_and_one_face_up_is_mirrored() -> None:
    """A sheet face down mirrors itself, so what is printed for it is not mirrored: common practice."""
    for way in TRANSFERS.values():
        face_down = "face down" in way.name
        assert way.mirrored != face_down


sizes = st.tuples(st.integers(60, 300), st.integers(60, 300))


@settings(max_examples=60)
@given(st.lists(sizes, min_size=1, max_size=8), st.floats(0, 5), st.booleans())
def test_blocks_never_overlap_and_never_beat_the_area_bound(
    blocks: list[tuple[int, int]], kerf: float, turning: bool
) -> None:
    named = [(f"block {n}", float(w), float(h)) for n, (w, h) in enumerate(blocks)]
    boards = [Board(610, 310, 20), Board(400, 400, 20)]
    plan = plan_cutting(named, boards, kerf, turning=turning)
    area = 0.0
    for cut in plan.boards:
        area += cut.board.width_mm * cut.board.height_mm
        for block in cut.blocks:
            place = block.place
            assert place.left >= 0
            assert place.top >= 0
            assert place.right <= cut.board.width_mm + 1e-6
            assert place.bottom <= cut.board.height_mm + 1e-6
            assert turning or not block.turned
        parts = [block.place for block in cut.blocks] + list(cut.offcuts)
        for one, other in combinations(parts, 2):
            beside = max(one.left, other.left) - min(one.right, other.right)
            below = max(one.top, other.top) - min(one.bottom, other.bottom)
            assert max(beside, below) >= kerf - 1e-6
    assert sorted(block.name for cut in plan.boards for block in cut.blocks) == sorted(n for n, _, _ in named)
    used = sum(w * h for w, h in blocks)
    assert area >= used
    assert 0 <= plan.waste <= 1 - used / area + 1e-9


def test_two_blocks_on_one_board_by_hand() -> None:
    """Two of 200 x 300 from a board of 405 x 300 with a kerf of 3: 403 mm are needed, 2 are left."""
    plan = plan_cutting([("a", 200, 300), ("b", 200, 300)], [Board(405, 300)], 3, turning=False)
    assert len(plan.boards) == 1
    with pytest.raises(CarvingError, match="too few boards"):
        plan_cutting([("a", 200, 300), ("b", 200, 300)], [Board(402, 300)], 3, turning=False)
    with pytest.raises(CarvingError, match="none of the boards"):
        plan_cutting([("a", 500, 300)], [Board(405, 300)], 3, turning=True)


def test_what_materials_hold_is_what_the_method_says() -> None:
    """The table of docs/method.md: one is not changed without the other."""
    text = (Path(__file__).resolve().parents[2] / "docs/method.md").read_text("utf-8")
    for name, facts in MATERIALS.items():
        row = next(line for line in text.splitlines() if line.startswith(f"| {name} |"))
        figures = [float(cell) for cell in row.split("|")[2:7]]
        assert figures == [
            facts.line_mm, facts.channel_mm, facts.outline_mm_min, facts.feed_mm_min, facts.deepest_mm,
        ]  # fmt: skip
