"""Other lights against colour-science; other eyes; ink trapping; grainy solids."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from nomos.colour import Ground, Lab, delta_e00, ink_film, reflectance_to_lab, smooth_reflectance
from nomos.colour.layering import partly_covered
from nomos.colour.light import LIGHTS, Light, lab_under, parting_pairs, seen_by
from nomos.colour.spectra import WAVELENGTHS_NM, reflectance_to_xyz
from nomos.colour.trapping import (
    apparent_trapping,
    complementary,
    density,
    knife_test,
    preucil,
    share_taken,
    tack_with,
    trapping_of,
)


@pytest.mark.parametrize("light", LIGHTS)
def test_lab_in_other_lights_agrees_with_colour_science(light: Light) -> None:
    """CIE 15 illuminants and observer of the colour-science package, summed at 10 nm by it."""
    colour = pytest.importorskip("colour")
    reflectance = smooth_reflectance(np.array((48.0, 40.0, 20.0)))
    spectrum = colour.SpectralDistribution(dict(zip(WAVELENGTHS_NM, reflectance, strict=True)))
    shape = colour.SpectralShape(380, 730, 10)
    illuminant = colour.SDS_ILLUMINANTS[light].copy().align(shape)
    observer = colour.MSDS_CMFS["CIE 1931 2 Degree Standard Observer"].copy().align(shape)
    arguments = {"cmfs": observer, "illuminant": illuminant, "method": "Integration"}
    xyz = colour.sd_to_XYZ(spectrum, **arguments) / 100
    ones = colour.SpectralDistribution(dict.fromkeys(WAVELENGTHS_NM, 1.0))
    white = colour.sd_to_XYZ(ones, **arguments) / 100
    expected = colour.XYZ_to_Lab(xyz, colour.XYZ_to_xy(white))
    np.testing.assert_allclose(lab_under(reflectance, light), expected, atol=0.02)


def test_two_greys_that_match_in_the_booth_part_by_lamp_light() -> None:
    """A flat grey, and one with its energy in three bands scaled to the same colour under D50."""
    flat = np.full(36, 0.3)
    basis = np.stack([np.exp(-(((WAVELENGTHS_NM - at) / 18) ** 2)) for at in (450, 540, 610)])
    share = np.linalg.solve(reflectance_to_xyz(basis).T, reflectance_to_xyz(flat))
    banded = share @ basis
    assert delta_e00(reflectance_to_lab(banded), reflectance_to_lab(flat)) < 0.01
    ((one, other, apart),) = parting_pairs(np.stack([flat, banded]), "LED-B1")
    assert (one, other) == (0, 1)
    assert apart > 3
    assert parting_pairs(np.stack([flat, banded]), "D50") == []


def test_other_eyes_agree_with_colour_science_and_keep_greys() -> None:
    """Machado, Oliveira & Fernandes (2009)."""
    colour = pytest.importorskip("colour")
    for eyes, word in (("protan", "Protanomaly"), ("deutan", "Deuteranomaly"), ("tritan", "Tritanomaly")):
        table = colour.blindness.CVD_MATRICES_MACHADO2010[word][1.0]
        np.testing.assert_allclose(np.sum(table, axis=1), 1, atol=0.01)
        grey = seen_by(np.array((60.0, 0.0, 0.0)), eyes)  # type: ignore[arg-type] # a word
        np.testing.assert_allclose(grey, (60, 0, 0), atol=1.5)
    red, green = np.array((50.0, 45.0, 30.0)), np.array((50.0, -32.0, 32.0))
    apart = float(delta_e00(red, green))
    assert float(delta_e00(seen_by(red, "deutan"), seen_by(green, "deutan"))) < apart / 2
    np.testing.assert_allclose(seen_by(red, "grey"), (50, 0, 0))
    np.testing.assert_allclose(seen_by(red, "normal"), red)


def test_trapping_by_preucils_formula() -> None:
    """Worked by hand: densities 1.42 over, 0.32 first, 1.30 second give (1.42 - 0.32) / 1.30."""
    assert preucil(1.42, 0.32, 1.30) == pytest.approx(0.846, abs=0.001)
    assert preucil(1.62, 0.32, 1.30) == pytest.approx(1.0)
    with pytest.raises(ValueError, match="density"):
        preucil(1.0, 0.5, 0.0)


@pytest.mark.thorough
@given(st.floats(0.1, 1.0))
def test_the_share_that_took_is_found_from_preucils_reading(share: float) -> None:
    """The law, on a clear yellow over a clear cyan."""
    paper: Lab = (95.0, 0.0, -2.0)
    cyan, yellow = (ink_film(lab, "transparent", paper) for lab in ((55.0, -37.0, -50.0), (89.0, -5.0, 93.0)))
    ground = Ground.from_lab(paper)
    reading = apparent_trapping(ground, cyan, yellow, share)
    assert share_taken(reading, ground, cyan, yellow) == pytest.approx(share, abs=1e-3)
    # Densities do not quite add up: a film that took in full reads 0.90, a thin one more than its share.
    assert min(share, 0.9) - 0.15 <= reading < 1


def test_a_loose_ink_takes_on_a_tight_one() -> None:
    assert trapping_of(8, 3) == 1.0
    assert trapping_of(5, 5) == pytest.approx(0.9)
    assert trapping_of(2, 9) < 0.7


@given(st.floats(0, 1), st.floats(0.05, 0.9), st.floats(0.05, 0.9))
def test_partly_covered_lies_between_open_and_covered(cover: float, one: float, other: float) -> None:
    found = partly_covered(np.array([one]), np.array([other]), cover)[0]
    assert min(one, other) - 1e-9 <= found <= max(one, other) + 1e-9
    assert partly_covered(np.array([one]), np.array([other]), cover, 1.0)[0] >= found - 1e-9


def test_a_wet_ink_takes_less_the_tighter_it_is_and_past_a_step_not_at_all() -> None:
    """Common practice, no source: the tack must fall; a step or so the other way and nothing takes."""
    takes = [trapping_of(5, second) for second in (2, 4, 5, 5.5, 6, 6.5, 8)]
    assert takes == sorted(takes, reverse=True)
    assert 0.7 <= trapping_of(5, 5) <= 0.95
    assert trapping_of(5, 6) < 0.5
    assert trapping_of(5, 6.5) == 0.0
    assert trapping_of(5, 9) == 0.0


def test_oil_loosens_and_carbonate_tightens_step_by_step() -> None:
    assert tack_with(5, 2, 0) == 3
    assert tack_with(5, 0, 1.5) == 6.5
    assert tack_with(1, 4, 0) == 0
    words = [knife_test(step) for step in range(11)]
    assert len(set(words)) == 11
    assert knife_test(12) == words[-1]


def test_the_filter_of_the_complementary_colour_weighs_a_third_of_the_bands_to_one() -> None:
    paper = np.full(36, 0.85)
    yellow = np.where(np.arange(36) < 12, 0.1, 0.8)
    weights = complementary(yellow, paper)
    assert weights.sum() == pytest.approx(1)
    assert np.flatnonzero(weights).tolist() == list(range(12))
    assert density(yellow, paper, weights) == pytest.approx(np.log10(8.5))
