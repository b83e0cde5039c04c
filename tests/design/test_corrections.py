"""What a hand corrects is done at once, done again on every later reading, and said when it cannot be."""

import numpy as np
import pytest

from benchmarks.devices.camera import Answer
from nomos.design import Correction, FlatDesign, Picture, flatten, look
from nomos.design.corrections import Fields, apply
from tests.design.test_sketch import scan_of

PAPER, GREEN, RED, LINE = (95.0, 0.0, 3.0), (50.0, -30.0, 25.0), (45.0, 50.0, 35.0), (12.0, 0.0, 0.0)


def fields() -> Fields:
    """Paper, a green field with a red dot in it, and a line down the middle."""
    labels = np.zeros((60, 80), np.uint8)
    labels[10:50, 5:75] = 1
    labels[20:26, 12:18] = 2
    labels[:, 39:42] = 3
    return Fields(labels, [PAPER, GREEN, RED, LINE], 3, 0)


def said(correction: Correction, on: Fields | None = None) -> Fields:
    on = on or fields()

    def to_pixel(place: tuple[float, float]) -> tuple[int, int] | None:
        row, column = int(place[1] * 60), int(place[0] * 80)
        return (row, column) if 0 <= row < 60 and 0 <= column < 80 else None

    assert apply(on, [correction], to_pixel, 2.0, None) == ()
    return on


def at(row: int, column: int) -> tuple[tuple[float, float], ...]:
    return (((column + 0.5) / 80, (row + 0.5) / 60),)


def test_a_field_is_filled_left_bare_and_made_line() -> None:
    assert said(Correction("fill", RED, places=at(30, 60))).labels[30, 60] == 2
    assert said(Correction("fill", RED, places=at(30, 60))).labels[30, 20] == 1, "the other half stays"
    assert said(Correction("paper", places=at(30, 60))).labels[12, 70] == 0
    assert said(Correction("line", places=at(22, 14))).labels[22, 14] == 3
    new = said(Correction("fill", (80.0, 5.0, 70.0), places=at(30, 60)))
    assert len(new.labs) == 5
    assert new.labels[30, 60] == 4


def test_no_line_lets_what_runs_below_come_to_light() -> None:
    left = said(Correction("no line", places=at(30, 40)))
    assert not (left.labels == 3).any()
    assert left.labels[30, 40] == 1
    assert left.labels[3, 40] == 0


def test_two_colours_become_one_and_another_is_split_off() -> None:
    one = said(Correction("same", GREEN, RED))
    assert not (one.labels == 2).any()
    assert one.labels[22, 14] == 1
    apart = said(Correction("another", RED, places=at(30, 60)))
    assert apart.labels[30, 60] == 4
    assert apart.labels[30, 20] == 1


def test_a_stroke_of_the_brush_has_its_width() -> None:
    path = tuple(((column + 0.5) / 80, 30.5 / 60) for column in range(50, 70))
    drawn = said(Correction("brush", RED, places=path, width_mm=3.0)).labels == 2
    assert np.count_nonzero(drawn[:, 60]) == pytest.approx(6, abs=1)


def test_a_place_outside_is_said() -> None:
    on = fields()
    lost = apply(on, [Correction("fill", RED, places=((1.4, 0.2),))], lambda _place: None, 2.0, None)
    assert len(lost) == 1
    assert "outside the picture" in lost[0]


@pytest.fixture(scope="module")
def drawn(butt: Answer) -> Picture:
    return scan_of(butt, "gouache")


def number_at(flat: FlatDesign, share: tuple[float, float]) -> int:
    return int(flat.labels[int(share[1] * flat.labels.shape[0]), int(share[0] * flat.labels.shape[1])])


@pytest.mark.thorough
def test_corrections_outlive_the_number_of_colours(drawn: Picture) -> None:
    looked = look(drawn)
    free = flatten(drawn, None, looked=looked)
    red = next(colour.lab for colour in free.colours if colour.lab[1] > 35)
    few = flatten(drawn, 4, looked=looked)
    kept = flatten(drawn, 4, looked=looked, corrections=(Correction("keep", red),))

    def nearest(flat: FlatDesign) -> float:
        return min(float(np.hypot(*np.subtract(c.lab, red)[1:])) for c in flat.colours)

    assert nearest(few) > 15
    assert nearest(kept) < 0.01
    sky, grass = (0.7, 0.1), (0.15, 0.95)
    filled = Correction("fill", red, places=(sky,))
    for count in (None, 6, 5):
        flat = flatten(drawn, count, looked=looked, corrections=(filled,))
        assert flat.colours[number_at(flat, sky)].lab == pytest.approx(red, abs=12)
        assert number_at(flat, sky) != number_at(flat, grass)


@pytest.mark.thorough
def test_another_colour_takes_what_is_like_it_nearby_or_everywhere(drawn: Picture) -> None:
    looked = look(drawn)
    few = flatten(drawn, 4, looked=looked)
    roof = (0.22, 0.17)
    lab = (49.0, 50.0, 38.0)
    here = flatten(drawn, 4, looked=looked, corrections=(Correction("another", lab, places=(roof,)),))
    assert number_at(here, roof) not in (number_at(here, (0.7, 0.1)), number_at(here, (0.15, 0.95)))
    assert len(here.colours) == len(few.colours) + 1
    there = flatten(drawn, 4, looked=looked, corrections=(Correction("another", lab, places=(roof,), everywhere=True),))
    own = number_at(there, roof)
    assert there.colours[own].lab == pytest.approx(lab)
    assert there.colours[own].area_mm2 > here.colours[number_at(here, roof)].area_mm2
