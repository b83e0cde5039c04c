"""Inks from a colour and a word, and the published process-ink overprints."""

from itertools import combinations
from types import ModuleType

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from nomos.colour import (
    OPACITIES,
    ColourError,
    Ground,
    Lab,
    OnWet,
    Opacity,
    delta_e00,
    ink_film,
    overprints,
    parse_colour,
    parse_ink,
    reflectance_to_lab,
    smooth_reflectance,
)
from nomos.colour.ink import solid_of

# ISO 12647-2:2004, aims on coated paper, CIELAB D50/2 degrees; the figures are written down from memory.
PAPER: Lab = (95.0, 0.0, -2.0)
CYAN: Lab = (55.0, -37.0, -50.0)
MAGENTA: Lab = (48.0, 74.0, -3.0)
YELLOW: Lab = (89.0, -5.0, 93.0)
BLACK: Lab = (16.0, 0.0, 0.0)


def printed(inks: list[Lab], paper: Lab = PAPER, opacity: Opacity = "transparent", took: float = 1.0) -> np.ndarray:
    films = [ink_film(lab, opacity, paper) for lab in inks]
    wet = [None, *(OnWet((place,), took) for place in range(len(inks) - 1))]
    rows = np.ones((1, len(films)), bool)
    return reflectance_to_lab(overprints(Ground.from_lab(paper), films, rows, wet)[0])


inks = st.sampled_from([CYAN, MAGENTA, YELLOW, BLACK, (14.0, 0.0, 0.0), (70.0, 20.0, 40.0), (98.0, 0.0, 1.0)])


@given(inks, st.sampled_from(OPACITIES), st.sampled_from([PAPER, (88.0, 1.0, 10.0)]))
def test_an_ink_printed_alone_comes_back(lab: Lab, opacity: Opacity, paper: Lab) -> None:
    # What would have to be brighter than its paper is as near as it can be.
    reached = solid_of(lab, opacity, Ground.from_lab(paper)).reached
    assert delta_e00(printed([lab], paper, opacity), np.array(lab)) < (0.1 if reached else 12)


@given(st.tuples(st.floats(8, 80), st.floats(-25, 25), st.floats(-25, 25)), st.sampled_from(OPACITIES))
def test_any_moderate_ink_printed_alone_comes_back(lab: Lab, opacity: Opacity) -> None:
    try:
        smooth_reflectance(np.array(lab))
    except ColourError:
        return
    # As dark a colour as that is hardly one.
    if lab[0] >= 20 or solid_of(lab, opacity, Ground.from_lab(PAPER)).reached:
        assert delta_e00(printed([lab], PAPER, opacity), np.array(lab)) < 0.1


def test_strength_goes_from_paper_to_solid_and_darkens_all_the_way() -> None:
    ground = Ground.from_lab(PAPER)
    steps = [ink_film(CYAN, "transparent", PAPER, strength) for strength in np.linspace(0, 1, 11)]
    labs = np.array([reflectance_to_lab(overprints(ground, [film])[-1]) for film in steps])
    assert delta_e00(labs[0], np.array(PAPER)) < 1e-6
    assert delta_e00(labs[-1], np.array(CYAN)) < 0.5
    assert (np.diff(labs[:, 0]) < 0).all()


def test_the_more_opaque_an_ink_the_more_it_hides() -> None:
    over_black = []
    for opacity in OPACITIES:
        films = [ink_film(BLACK, "transparent", PAPER), ink_film((70.0, 40.0, 40.0), opacity, PAPER)]
        over_black.append(reflectance_to_lab(overprints(Ground.from_lab(PAPER), films)[-1])[0])
    assert over_black[0] < over_black[1] < over_black[2]


@pytest.mark.parametrize("lab", [(101.0, 0.0, 0.0), (-1.0, 0.0, 0.0), (50.0, 180.0, -150.0)])
def test_impossible_colours_are_refused(lab: Lab) -> None:
    with pytest.raises(ColourError):
        smooth_reflectance(np.array(lab))


@pytest.mark.parametrize("lab", [PAPER, CYAN, MAGENTA, YELLOW, BLACK, (0.0, 0.0, 0.0), (100.0, 0.0, 0.0)])
def test_recovered_reflectances_are_possible_and_smooth(lab: Lab) -> None:
    """Burns (2020): between 0 and 1, the right colour, no jumps."""
    reflectance = smooth_reflectance(np.array(lab))
    assert (reflectance > 0).all()
    assert (reflectance < 1).all()
    assert np.abs(np.diff(reflectance)).max() < 0.25
    if 1 < lab[0] < 99:
        np.testing.assert_allclose(reflectance_to_lab(reflectance), lab, atol=1e-4)


def test_recovery_stays_near_the_published_method_of_the_library(colour: ModuleType) -> None:
    """Meng et al. (2015) by colour-science: a second smooth recovery gives nearly the same reflectance."""
    shape = colour.SpectralShape(360, 780, 10)
    d50 = colour.SDS_ILLUMINANTS["D50"].copy().align(shape)
    cmfs = colour.MSDS_CMFS["CIE 1931 2 Degree Standard Observer"].copy().align(shape)
    for lab in ((62.0, 30.0, 38.0), (58.0, 0.0, -15.0), (48.0, -22.0, 15.0)):
        xyz = colour.Lab_to_XYZ(lab, colour.CCS_ILLUMINANTS["CIE 1931 2 Degree Standard Observer"]["D50"])
        theirs = colour.recovery.XYZ_to_sd_Meng2015(xyz, cmfs, d50)
        assert np.abs(smooth_reflectance(np.array(lab)) - theirs.values[2:38]).mean() < 0.05


def test_specs_as_typed() -> None:
    assert parse_colour("lab(62, 30 −38)") == (62, 30, -38)
    assert parse_colour("#ffffff")[0] == pytest.approx(100, abs=0.01)
    ink = parse_ink("lab(62 30 38); opacity=semi; strength=0.5")
    assert (ink.lab, ink.opacity, ink.strength) == ((62, 30, 38), "semi", 0.5)


bad_options = ["opacity=thick", "strength=2", "strength=nan", "colour=red", "opacity"]


@pytest.mark.parametrize("text", ["", "lab(1 2)", "#12345", "red", *(f"#123456;{o}" for o in bad_options)])
def test_specs_that_make_no_sense_are_refused(text: str) -> None:
    with pytest.raises(ColourError):
        parse_ink(text)


def test_pairs_of_transparent_inks_are_darker_than_either() -> None:
    for one, other in combinations([CYAN, MAGENTA, YELLOW], 2):
        assert printed([one, other])[0] < min(one[0], other[0])
