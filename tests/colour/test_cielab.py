"""CIELAB, sRGB and CIEDE2000 against CIE 142-2001's published pairs and the colour-science package."""

import csv
from pathlib import Path
from types import ModuleType

import numpy as np
import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from nomos.colour import delta_e00, lab_to_hex, lab_to_srgb, reflectance_to_lab, srgb_to_lab
from nomos.colour.cielab import lab_to_xyz, xyz_to_lab
from nomos.colour.spectra import WAVELENGTHS_NM, WHITE_XYZ, XYZ_WEIGHTS

lab_values = st.tuples(st.floats(0, 100), st.floats(-100, 100), st.floats(-100, 100)).map(np.array)


def test_ciede2000_of_the_34_published_pairs() -> None:
    """Sharma, Wu & Dalal (2005), table 1."""
    with Path(__file__).with_name("sharma_2005.csv").open() as file:
        rows = np.array([list(map(float, row)) for row in list(csv.reader(file))[1:]])
    assert len(rows) == 34
    np.testing.assert_allclose(delta_e00(rows[:, :3], rows[:, 3:6]), rows[:, 6], atol=1e-4)


@given(lab_values, lab_values)
def test_ciede2000_is_symmetric_and_zero_for_equals(one: np.ndarray, other: np.ndarray) -> None:
    # The formula jumps where two hues are opposite (Sharma et al., section 3).
    turn = np.degrees(np.arctan2(one[2], one[1]) - np.arctan2(other[2], other[1])) % 360
    assume(abs(turn - 180) > 10)
    assert delta_e00(one, other) == pytest.approx(float(delta_e00(other, one)), abs=1e-9)
    assert delta_e00(one, one) == 0
    assert delta_e00(one, other) >= 0


def test_ciede2000_of_many_equals_one_by_one() -> None:
    generator = np.random.default_rng(1)
    one, other = generator.uniform(-60, 60, (2, 20, 3)) + np.array([50, 0, 0])
    singly = [float(delta_e00(a, b)) for a, b in zip(one, other, strict=True)]
    np.testing.assert_allclose(delta_e00(one, other), singly)


def test_cie_tables_are_those_of_colour_science(colour: ModuleType) -> None:
    """CIE 15: the 2 degree observer and D50, as the colour-science package carries them."""
    shape = colour.SpectralShape(380, 730, 10)
    observer = colour.MSDS_CMFS["CIE 1931 2 Degree Standard Observer"].copy().align(shape).values
    d50 = colour.SDS_ILLUMINANTS["D50"].copy().align(shape).values
    weights = observer * d50[:, None] / (observer[:, 1] @ d50)
    np.testing.assert_allclose(WAVELENGTHS_NM, shape.wavelengths)
    np.testing.assert_allclose(XYZ_WEIGHTS, weights, rtol=1e-8, atol=1e-12)
    # Our white is the sum of our own 10 nm table; CIE 15 gives 0.9642, 1, 0.8251 from finer steps.
    np.testing.assert_allclose(WHITE_XYZ, [0.9642, 1.0, 0.8251], atol=0.002)


def test_lab_formula_agrees_with_colour_science(colour: ModuleType) -> None:
    xyz = np.random.default_rng(2).uniform(0.0005, 0.95, (50, 3))
    white = colour.XYZ_to_xy(WHITE_XYZ)
    np.testing.assert_allclose(xyz_to_lab(xyz), colour.XYZ_to_Lab(xyz, white), atol=0.002)


def test_srgb_agrees_with_colour_science(colour: ModuleType) -> None:
    """IEC 61966-2-1 with the Bradford adaptation to D50; the white points differ in the fourth place."""
    rgb = np.array([[255, 255, 255], [200, 40, 90], [10, 120, 240], [0, 0, 0], [128, 128, 128]])
    d50 = colour.CCS_ILLUMINANTS["CIE 1931 2 Degree Standard Observer"]["D50"]
    xyz = colour.RGB_to_XYZ(rgb / 255, "sRGB", d50, "Bradford", apply_cctf_decoding=True)
    np.testing.assert_allclose(srgb_to_lab(rgb.astype(np.uint8)), colour.XYZ_to_Lab(xyz, d50), atol=0.05)


@given(st.tuples(*[st.integers(0, 255)] * 3))
def test_srgb_comes_back(rgb: tuple[int, int, int]) -> None:
    np.testing.assert_array_equal(lab_to_srgb(srgb_to_lab(np.array(rgb, np.uint8))), rgb)


@given(lab_values)
def test_xyz_comes_back(lab: np.ndarray) -> None:
    np.testing.assert_allclose(xyz_to_lab(lab_to_xyz(lab)), lab, atol=1e-8)


def test_a_perfect_white_is_white() -> None:
    np.testing.assert_allclose(reflectance_to_lab(np.ones(36)), [100, 0, 0], atol=1e-9)
    assert lab_to_hex(np.array([100.0, 0, 0])) == "#ffffff"
