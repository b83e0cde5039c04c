"""Kento positions against worked examples; no room is said, with what would help."""

from dataclasses import replace

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from nomos.registration import KentoError, KentoSettings, Rect, place_kento

SHEET = (200.0, 260.0)
IMAGE = Rect(10, 10, 190, 250)


def test_a_worked_example_for_a_right_handed_printer() -> None:
    """Written out by hand: sheet 200 x 260, image 180 x 240 with 10 mm all round.

    Corner at the sheet's lower left as seen on the print, arms 25 mm; floors
    8 mm deep into the sheet (10 mm margin less 2 mm clear of the image); the
    straight notch's middle at two thirds of 200 = 133.333, 30 mm long. The block
    reaches 12 mm beyond the corner sides and 10 mm beyond the image elsewhere,
    so x from -12 to 200 and y from 0 to 272.
    """
    kento = place_kento(SHEET, IMAGE, KentoSettings())
    assert kento.corner.wall == ((0, 235), (0, 260), (25, 260))
    assert kento.corner.floor == ((0, 260), (25, 260), (25, 252), (8, 252), (8, 235), (0, 235))
    (x0, y0), (x1, y1) = kento.straight.wall
    assert (x0, x1) == pytest.approx((118.333, 148.333), abs=0.001)
    assert (y0, y1) == (260, 260)
    assert (kento.block.left, kento.block.top, kento.block.right, kento.block.bottom) == (-12, 0, 200, 272)
    assert kento.wood_beyond_mm == (12, 12)
    assert kento.floor_to_image_mm == (2, 2)
    # On the block, seen face up, the corner lies at the lower right: 200 mm from its left edge.
    assert kento.on_block((0, 260)) == (200, 260)
    assert kento.on_block((200, 0)) == (0, 0)


def test_a_left_handed_printer_has_the_mirror_image() -> None:
    right = place_kento(SHEET, IMAGE, KentoSettings())
    left = place_kento(SHEET, IMAGE, KentoSettings(hand="left"))
    for one, other in zip(right.corner.floor, left.corner.floor, strict=True):
        assert (200 - one[0], one[1]) == pytest.approx(other)
    for one, other in zip(right.straight.floor, left.straight.floor, strict=True):
        assert (200 - one[0], one[1]) == pytest.approx(other)
    assert left.block.right == pytest.approx(212)


@given(st.floats(80, 600), st.floats(80, 600), st.floats(6, 40), st.floats(6, 40), st.sampled_from(["right", "left"]))
def test_wherever_it_fits_it_keeps_its_distances(
    width: float, height: float, side: float, near: float, hand: str
) -> None:
    image = Rect(side, 10, width - side, height - near)
    assume(image.width > 10)
    assume(image.height > 10)
    settings = KentoSettings(hand="right" if hand == "right" else "left")
    try:
        kento = place_kento((width, height), image, settings)
    except KentoError:
        return
    for notch in (kento.corner, kento.straight):
        for x, y in notch.floor:
            assert -1e-9 <= x <= width + 1e-9
            assert y <= height + 1e-9
            assert kento.block.left <= x <= kento.block.right
            inside = image.left < x < image.right and image.top < y < image.bottom
            assert not inside
    assert min(kento.wood_beyond_mm) >= 5 - 1e-9
    assert min(kento.floor_to_image_mm) >= 2 - 1e-9
    gap = min(abs(s[0] - c[0]) for s in kento.straight.wall for c in kento.corner.wall)
    assert gap >= 10 - 1e-6


@pytest.mark.parametrize(
    ("image", "settings", "words"),
    [
        (Rect(10, 10, 190, 256), KentoSettings(), "lower edge is 4.0 mm"),
        (Rect(3, 10, 190, 250), KentoSettings(), "corner side is 3.0 mm"),
        (Rect(-5, 10, 190, 250), KentoSettings(), "runs off the sheet"),
        (IMAGE, KentoSettings(block_mm=(190, 250)), "larger block"),
        (IMAGE, KentoSettings(straight_mm=150), "shorter or move"),
        (IMAGE, KentoSettings(straight_place=0.95), "past the sheet's end"),
        (IMAGE, KentoSettings(depth_mm=9), "Depth"),
        (IMAGE, KentoSettings(straight_place=0.1), "30 to 95"),
    ],
)
def test_no_room_is_said_with_what_would_help(image: Rect, settings: KentoSettings, words: str) -> None:
    with pytest.raises(KentoError, match=words):
        place_kento(SHEET, image, settings)


def test_a_scant_block_gives_up_wood_beyond_the_notches_first() -> None:
    kento = place_kento(SHEET, IMAGE, KentoSettings(block_mm=(206, 266)))
    assert kento.wood_beyond_mm == pytest.approx((6, 6))
    ample = place_kento(SHEET, IMAGE, replace(KentoSettings(), block_mm=(250, 300)))
    assert ample.wood_beyond_mm == (12, 12)
    assert (ample.block.width, ample.block.height) == (250, 300)


@pytest.mark.parametrize(("narrow", "place"), [(7.0, 2 / 3), (10.0, 0.9)])
def test_either_hand_with_margins_of_two_widths(narrow: float, place: float) -> None:
    """The left-handed kento of an image is the mirror image of the right-handed one of its mirror image."""
    image = Rect(narrow, 10, 160, 250)
    turned = Rect(SHEET[0] - image.right, 10, SHEET[0] - image.left, 250)
    right = place_kento(SHEET, image, KentoSettings(straight_place=place))
    left = place_kento(SHEET, turned, KentoSettings(hand="left", straight_place=place))
    assert left.floor_to_image_mm == pytest.approx(right.floor_to_image_mm)
    assert left.wood_beyond_mm == pytest.approx(right.wood_beyond_mm)
    # Where the straight notch reaches further than the image, wood is left beyond its end: 5 mm.
    wall = max(x for x, _ in right.straight.wall)
    assert right.block.right >= wall + 5
    assert SHEET[0] - left.block.left == pytest.approx(right.block.right)


def test_notches_are_cut_up_to_five_millimetres_deep() -> None:
    assert place_kento(SHEET, IMAGE, KentoSettings(depth_mm=5.0)).depth_mm == 5.0
    with pytest.raises(KentoError, match="Depth of the notches"):
        place_kento(SHEET, IMAGE, KentoSettings(depth_mm=5.1))
