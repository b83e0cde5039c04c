import pytest
from hypothesis import given
from hypothesis import strategies as st

from nomos.base.errors import BadInput
from nomos.base.units import length_text, number, parse_length, parse_size, range_text, size_text


@pytest.mark.parametrize(
    ("text", "mm"),
    [("12.5", 12.5), ("12,5 mm", 12.5), ("1.2 cm", 12.0), ("0.5 in", 12.7), ('2"', 50.8), ("72 pt", 25.4)],
)
def test_lengths_as_typed(text: str, mm: float) -> None:
    assert parse_length(text) == pytest.approx(mm)


def test_the_unit_after_the_second_figure_counts_for_both() -> None:
    assert parse_size("7x9.5in") == pytest.approx((177.8, 241.3))
    assert parse_size("180 × 240 mm") == pytest.approx((180, 240))
    assert parse_size("18cm x 240mm") == pytest.approx((180, 240))


@pytest.mark.parametrize("text", ["", "180", "0x240", "-5x240", "180x1e9", "axb", "nanx200", "3000x200"])
def test_impossible_sizes_are_refused(text: str) -> None:
    with pytest.raises(BadInput):
        parse_size(text)


@given(st.floats(0.01, 1000))
def test_an_inch_is_exactly_25_4_mm(inches: float) -> None:
    assert parse_length(f"{inches:.6f} in") == pytest.approx(25.4 * float(f"{inches:.6f}"))


def test_figures_are_written_as_read() -> None:
    assert number(-1.25, 2) == "−1.25"
    assert number(-0.004) == "0.0"
    assert size_text(180, 240.25) == "180 × 240.2 mm"


@pytest.mark.usefixtures("inches")
@given(st.floats(-2000, 2000), st.integers(0, 2))
def test_lengths_read_in_inches_are_the_same_lengths(mm: float, digits: int) -> None:
    shown = length_text(mm, digits)
    assert shown.endswith(" in")
    assert abs(parse_length(shown) - mm) <= 25.4 * 0.5 * 10 ** -min(digits + 2, 3) + 1e-9


@pytest.mark.usefixtures("inches")
def test_pairs_and_sizes_share_one_unit() -> None:
    assert size_text(180, 240) == "7.09 × 9.45 in"
    assert range_text(2.54, 25.4) == "0.100 to 1.000 in"
