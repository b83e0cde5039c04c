"""Pins, jig, floating kento, bed, printed marks: geometry against worked examples and laws."""

from dataclasses import replace
from itertools import combinations

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from shapely import Polygon

from nomos.base.errors import BadInput
from nomos.base.fields import check_fields
from nomos.registration import (
    BudgetSettings,
    Contacts,
    JigSettings,
    KentoSettings,
    Motion,
    PinSettings,
    Rect,
    RegisterError,
    RegisterSettings,
    Situation,
    System,
    WallChange,
    advise,
    move_text,
    plan_system,
    printed_marks,
    vernier_reading_mm,
    wall_change,
)
from nomos.registration.jig import block_effect
from nomos.registration.pins import BAR_MM, STUB_MM, female_part, nest, parts_of, stub_part
from nomos.registration.printed_marks import MAIN_STEP_MM, VERNIER_STEP_MM

SHEET = (200.0, 260.0)
IMAGE = Rect(10, 14, 190, 250)
ALL: tuple[System, ...] = ("kento", "floating", "pins", "jig", "bed", "translucent")


def best(**changes: object) -> str:
    place = Situation(200.0, SHEET, 4, 20, 10.0, damp=False)
    return advise(replace(place, **changes))[0].system  # type: ignore[arg-type]


def test_the_system_follows_the_paper_and_the_method() -> None:
    """Stiff paper into corners, floppy onto pins, damp into notches: common practice, no source."""
    assert best() == "kento"
    assert best(weight_gsm=60.0) == "pins"
    assert best(weight_gsm=60.0, damp=True) == "kento"
    assert best(margin_mm=3.0) in ("pins", "jig")
    large = advise(Situation(60.0, (500, 700), 4, 20, 10.0, damp=False))[0]
    assert (large.system, "three pairs" in large.reason) == ("pins", True)


@pytest.mark.parametrize("system", ALL)
@pytest.mark.parametrize("hand", ["right", "left"])
def test_every_system_holds_the_sheet_in_three_places_and_the_other_hand_mirrors_it(system: System, hand: str) -> None:
    register = RegisterSettings(system=system)
    plan = plan_system(SHEET, IMAGE, register, KentoSettings(hand="left" if hand == "left" else "right"))
    assert np.linalg.matrix_rank(plan.contacts.by_small_motion()) == 3
    assert plan.steps
    assert plan.limits
    bench = plan.bench
    for shape in plan.shapes:
        if shape.kind not in ("sheet", "cross"):
            xs, ys = zip(*shape.points, strict=True)
            assert bench.left - 1e-6 <= min(xs) <= max(xs) <= bench.right + 1e-6
            assert bench.top - 1e-6 <= min(ys) <= max(ys) <= bench.bottom + 1e-6


@pytest.mark.parametrize("system", ALL)
def test_a_sheet_laid_on_its_side_is_held_at_its_right_edge(system: System) -> None:
    """A quarter turn clockwise: laid (x, y) is upright (y, H - x), and the cure is the turned one."""
    register = RegisterSettings(system=system, side="long")
    upright = plan_system(SHEET, IMAGE, register, KentoSettings())
    laid_image = Rect(260 - IMAGE.bottom, IMAGE.left, 260 - IMAGE.top, IMAGE.right)
    laid = plan_system((260, 200), laid_image, replace(register, side=None), KentoSettings())
    assert upright.block.width == pytest.approx(laid.block.height)
    motion = Motion((100, 130), (0.3, -0.2), 0.1)
    turned = Motion((130, 100), (0.2, 0.3), 0.1)
    own, other = wall_change(motion, upright.contacts), wall_change(turned, laid.contacts)
    assert own.walls() == pytest.approx(other.walls(), abs=1e-9)
    assert move_text(own, upright.contacts) == move_text(other, laid.contacts)


def test_a_pin_is_moved_the_way_the_printer_sees_it() -> None:
    """The print is 0.3 mm too far to the right: the sheet must go right, which is left on the bench."""
    plan = plan_system(SHEET, IMAGE, RegisterSettings(system="pins"), KentoSettings())
    said = move_text(wall_change(Motion((100, 130), (0.3, 0.2), 0), plan.contacts), plan.contacts)
    assert said == [
        "Move pin 1 0.30 mm to the left.",
        "Move pin 1 0.20 mm towards you.",
        "Move pin 2 0.20 mm towards you.",
    ]


def test_a_hole_is_wider_than_its_pin_by_the_clearance_all_round() -> None:
    pins = PinSettings(clearance_mm=0.25)
    for pair, sides in ((0, (STUB_MM, STUB_MM)), (1, BAR_MM)):
        stub, hole = Polygon(stub_part(pair, pins).outer), Polygon(female_part(pair, pins).holes[0])
        assert stub.area == pytest.approx(sides[0] * sides[1])
        assert hole.contains(stub)
        assert hole.exterior.distance(stub.exterior) == pytest.approx(0.25)


@given(st.integers(2, 3), st.sampled_from([0.0, 0.05, 0.2, 0.6]), st.booleans(), st.integers(1, 4))
def test_parts_are_nested_apart_and_the_kerf_leaves_their_size(pairs: int, kerf: float, taped: bool, sets: int) -> None:
    pins = PinSettings(pairs=pairs, taped=taped, kerf_mm=kerf, stock_mm=(420, 300))
    placed = nest(pins, sets)
    outer = [Polygon(part.cuts[0]) for part in placed]
    board = Polygon([(0, 0), (420, 0), (420, 300), (0, 300)])
    assert all(board.contains(shape) for shape in outer)
    assert all(one.distance(other) > 1 for one, other in combinations(outer, 2))
    assert sum(shape.area for shape in outer) < board.area
    for part in placed:
        own = Polygon(part.part.outer).area
        left = Polygon(part.cuts[0]).buffer(-kerf / 2, join_style="mitre").area
        assert left == pytest.approx(own, rel=1e-6)
        for cut, hole in zip(part.cuts[1:], part.part.holes, strict=True):
            grown = Polygon(cut).buffer(kerf / 2, join_style="mitre").area
            assert grown == pytest.approx(Polygon(hole).area, rel=1e-6)


def test_every_pair_has_its_male_and_female_half() -> None:
    names = [part.name for part in parts_of(PinSettings(pairs=3))]
    assert names == [f"{half}{n}{what}" for n in (1, 2, 3)
                     for half, what in (("M", " foot"), ("M", " stub"), ("F", " plate"))]  # fmt: skip
    with pytest.raises(RegisterError, match="do not go on a board"):
        nest(PinSettings(stock_mm=(80, 60)))


def test_a_block_in_the_jig_prints_as_worked_out_by_hand() -> None:
    """Block 200 x 260. 1 mm short both ways, drawn in its middle: 0.5 mm nearer each stop.

    0.5 mm out of square over 260: the stop at a quarter of the height shifts it by 0.125 mm. A drawing
    laid along that side turns by atan(0.5 / 260) = 0.1102 degrees, and moves the far corner, 328.0 mm
    away, by 0.631 mm.
    """
    small = block_effect((200, 260), (1, 1), 0.0, "middle")
    assert (small.dx_mm, small.dy_mm, small.rotation_deg) == (-0.5, 0.5, 0)
    assert small.worst_mm == pytest.approx(np.hypot(0.5, 0.5))
    assert block_effect((200, 260), (1, 1), 0.0, "corner").worst_mm == 0
    lean = block_effect((200, 260), (0, 0), 0.5, "corner")
    assert (lean.dx_mm, lean.rotation_deg) == (0.125, 0)
    along = block_effect((200, 260), (0, 0), 0.5, "side")
    assert along.rotation_deg == pytest.approx(-0.1102, abs=1e-4)
    assert along.worst_mm == pytest.approx(0.631, abs=0.13)
    left = block_effect((200, 260), (1, 1), 0.5, "side", right_handed=False)
    right = block_effect((200, 260), (1, 1), 0.5, "side")
    assert (left.dx_mm, left.rotation_deg) == (-right.dx_mm, -right.rotation_deg)


def test_a_floating_kento_has_the_notches_of_the_block_and_takes_only_a_block_that_fits() -> None:
    on_block = plan_system(SHEET, IMAGE, RegisterSettings(), KentoSettings())
    floating = plan_system(SHEET, IMAGE, RegisterSettings(system="floating"), KentoSettings())
    walls = [shape.points for shape in on_block.shapes if shape.kind == "wall"]
    assert walls == [shape.points for shape in floating.shapes if shape.kind == "wall"]
    floors = [Polygon(shape.points) for shape in floating.shapes if shape.kind == "floor"]
    block = floating.block
    wood = Polygon([(block.left, block.top), (block.right, block.top), (block.right, block.bottom),
                    (block.left, block.bottom)])  # fmt: skip
    assert not any(wood.intersects(floor) for floor in floors)
    given = KentoSettings(block_mm=(IMAGE.width + 2, IMAGE.height + 1))
    block = plan_system(SHEET, IMAGE, RegisterSettings(system="floating"), given).block
    # What it is larger by stands out alike on both sides.
    assert (IMAGE.left - block.left, IMAGE.top - block.top) == pytest.approx((1, 0.5))
    assert (block.right - IMAGE.right, block.bottom - IMAGE.bottom) == pytest.approx((1, 0.5))
    with pytest.raises(RegisterError, match="Trim the block"):
        plan_system(SHEET, IMAGE, RegisterSettings(system="floating"), KentoSettings(block_mm=(199, 250)))


@pytest.mark.parametrize(
    ("settings", "sheet", "said"),
    [
        (RegisterSettings(system="pins"), (100.0, 260.0), "no room for 2 pairs"),
        (RegisterSettings(system="pins", pins=PinSettings(taped=False)), SHEET, "tape tabs on instead"),
        (RegisterSettings(system="jig", jig=JigSettings(block_mm=(210, 270))), SHEET, "take a larger sheet"),
    ],
)
def test_no_room_is_said_with_what_would_help(
    settings: RegisterSettings, sheet: tuple[float, float], said: str
) -> None:
    image = Rect(10, 14, sheet[0] - 10, 250)
    with pytest.raises(BadInput, match=said):
        plan_system(sheet, image, settings, KentoSettings())


@pytest.mark.parametrize(
    "settings",
    [
        RegisterSettings(pins=PinSettings(pairs=4)),
        RegisterSettings(pins=PinSettings(kerf_mm=-1)),
        RegisterSettings(jig=JigSettings(thickness_mm=0)),
        RegisterSettings(budget=BudgetSettings(seating_mm=-0.1)),
        RegisterSettings(budget=BudgetSettings(growth_across_pct=9)),
    ],
)
def test_settings_that_cannot_be_are_refused(settings: RegisterSettings) -> None:
    with pytest.raises(RegisterError):
        check_fields(settings, _refused)


def _refused(_name: str, reason: str) -> RegisterError:
    return RegisterError(reason)


@pytest.mark.parametrize("kind", ["rings", "crosses", "verniers"])
@given(st.integers(2, 6))
def test_marks_stand_apart_outside_the_image_and_on_the_block(kind: str, count: int) -> None:
    room = Rect(0, 0, 200, 260)
    notch = ((0.0, 260.0), (25.0, 260.0), (25.0, 252.0), (8.0, 252.0), (8.0, 235.0), (0.0, 235.0))
    marks = printed_marks(kind, count, Rect(12, 12, 188, 248), room, [notch])  # type: ignore[arg-type]
    shapes = [Polygon(ring) for mark in marks for ring in mark.rings]
    image, board = (
        Polygon([(12, 12), (188, 12), (188, 248), (12, 248)]),
        Polygon([(0, 0), (200, 0), (200, 260), (0, 260)]),
    )
    assert all(board.contains(shape) and not shape.intersects(image) for shape in shapes)
    assert not any(shape.intersects(Polygon(notch)) for shape in shapes)
    assert all(one.intersection(other).area < 1e-9 for one, other in combinations(shapes, 2))
    least = 3 if kind != "verniers" else 2
    for block in range(1, count):
        assert sum(mark.block == block for mark in marks) >= least


def test_marks_without_room_say_so() -> None:
    with pytest.raises(BadInput, match="room for 0 marks"):
        printed_marks("rings", 4, Rect(2, 2, 198, 258), Rect(0, 0, 200, 260))
    with pytest.raises(BadInput, match="only one"):
        printed_marks("verniers", 1, Rect(20, 20, 180, 240), Rect(0, 0, 200, 260))


@given(st.integers(-5, 5))
def test_a_vernier_is_read_where_its_strokes_meet(n: int) -> None:
    """Vernier's principle: out by d, stroke n meets its opposite where 2.0 n = 1.9 n + d."""
    out = vernier_reading_mm(n)
    strokes = np.arange(-5, 6)
    gaps = np.abs(strokes * MAIN_STEP_MM - (strokes * VERNIER_STEP_MM + out))
    assert strokes[gaps.argmin()] == n
    with pytest.raises(BadInput, match="on each side"):
        vernier_reading_mm(6)


def test_contacts_of_a_kento_are_those_of_the_sheet() -> None:
    plan = plan_system(SHEET, IMAGE, RegisterSettings(), KentoSettings())
    assert plan.contacts == Contacts.of_sheet(SHEET)
    change = WallChange(0.2, 0.1, 0.0)
    moved = plan.contacts.motion_by() @ change.walls()
    assert plan.contacts.by_small_motion() @ moved == pytest.approx(change.walls())


def test_a_left_handed_kento_touches_the_mirror_image() -> None:
    right, left = (Contacts.of_sheet(SHEET, hand, 30.0, 0.6) for hand in ("right", "left"))
    mirrored = [(SHEET[0] - x, y) for x, y in right.places]
    np.testing.assert_allclose(left.places, mirrored)
    np.testing.assert_allclose(left.inward, [(-x, y) for x, y in right.inward])
    assert right.places[2] == (120.0, 260.0)


def test_parts_lie_within_their_stock() -> None:
    pins = PinSettings(pairs=3, kerf_mm=0.2)
    for stock in ((210.0, 297.0), (420.0, 297.0)):
        for part in nest(replace(pins, stock_mm=stock), sets=2):
            points = np.vstack([np.array(cut) for cut in part.cuts])
            assert points.min() >= 0
            assert (points <= stock).all()
    for small in ((40.0, 900.0), (900.0, 20.0)):
        with pytest.raises(RegisterError, match="take a larger one"):
            nest(replace(pins, stock_mm=small))


@pytest.mark.parametrize("side", [5.0, 200.0, 2000.0])
def test_a_block_size_that_can_be_is_taken_and_another_refused(side: float) -> None:
    check_fields(RegisterSettings(jig=JigSettings(block_mm=(side, side))), _refused)
    for wrong in (4.9, 2000.1):
        with pytest.raises(BadInput):
            check_fields(RegisterSettings(jig=JigSettings(block_mm=(side, wrong))), _refused)


def test_an_error_of_nothing_can_be_given() -> None:
    """Someone who has measured it may say that there is none."""
    check_fields(RegisterSettings(budget=BudgetSettings(cutting_mm=0.0)), _refused)
    with pytest.raises(BadInput):
        check_fields(RegisterSettings(budget=BudgetSettings(cutting_mm=-0.1)), _refused)


def test_the_jigs_block_is_taken_within_its_bounds() -> None:
    check_fields(RegisterSettings("jig", jig=JigSettings(block_mm=(300.0, 5.0))), _refused)
    for block in ((4.9, 300.0), (300.0, 2001.0)):
        with pytest.raises(RegisterError, match="5 to 2000 mm"):
            check_fields(RegisterSettings("jig", jig=JigSettings(block_mm=block)), _refused)
