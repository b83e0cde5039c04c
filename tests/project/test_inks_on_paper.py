"""An ink on this paper and on that: what sinks in, what cannot be as bright, what a taken plan keeps."""

import dataclasses

import numpy as np
import pytest
from msgspec.structs import replace

from nomos.colour import delta_e00, overprints, reflectance_to_lab
from nomos.colour.layering import PaperKind
from nomos.project import Assets, Project
from nomos.project.blocks.plans import candidate_of, planned_colours, with_plan
from nomos.project.blocks.zones import with_grade
from nomos.project.check.findings import find
from nomos.project.inks.colour_uncertainty import how_sure, surer
from nomos.project.inks.data import with_ink_data
from nomos.project.inks.films import FilmKey, film_of, ground_of, printed_reflectance, solid_film
from nomos.project.model import Grade, Ink, Optics
from nomos.project.order.days import runs_of
from nomos.separation.plans import SolverRequest, Wish
from nomos.separation.solver import solve

Demo = tuple[Project, Assets]
SEALED = Optics((0.5,) * 36, (0.01,) * 36, 0.03, sealed=True)


def on(project: Project, kind: PaperKind, **paper: object) -> Project:
    return replace(project, paper=replace(project.paper, kind=kind, reflectance=None, **paper))


def shown(project: Project, ink: Ink) -> np.ndarray:
    return reflectance_to_lab(overprints(ground_of(project), [solid_film(project, ink)])[-1])


@pytest.mark.parametrize("vehicle", ["oil", "water-based"])
def test_what_was_read_on_a_card_sinks_into_absorbent_paper(demo: Demo, vehicle: str) -> None:
    ink = Ink("i", "Straw", (60.0, 0.0, 20.0), optics=SEALED, vehicle=vehicle)
    held = [solid_film(on(demo[0], kind), ink).thickness for kind in ("coated", "smooth", "absorbent")]
    assert 1 >= held[0] > held[1] > held[2] > 0.75
    wet = on(demo[0], "absorbent")
    damp = replace(wet, register=dataclasses.replace(wet.register, damp=True))
    # Damp fibres drink less oil, and more of what water carries.
    assert (solid_film(damp, ink).thickness > solid_film(wet, ink).thickness) == (vehicle == "oil")
    read_here = replace(ink, optics=replace(SEALED, sealed=False))
    assert solid_film(wet, read_here).thickness == 1


def test_a_solid_read_on_rough_paper_comes_back_on_it(demo: Demo) -> None:
    rough = on(demo[0], "absorbent", surface="rough")
    for ink in rough.inks:
        assert delta_e00(shown(rough, ink), np.array(ink.lab)) < 0.1


def test_a_bright_ink_on_grey_paper_is_told_and_scatters_nothing(demo: Demo) -> None:
    project = demo[0]
    assert not any("duller" in each.text for each in find(project, None, ()))
    grey = on(project, "absorbent", lab=(72.0, 0.0, 2.0))
    told = [each.text for each in find(grey, None, ()) if "duller" in each.text]
    assert any(text.startswith("Sky rose") for text in told)
    assert not any(text.startswith("Key") for text in told)
    assert all((solid_film(grey, ink).scattering == 0).all() for ink in grey.inks)


def test_a_plan_keeps_all_that_is_known_of_an_ink(demo: Demo) -> None:
    project = demo[0]
    straw = Ink(
        "straw", "Straw", (80.0, 0.0, 50.0), optics=SEALED, drying_h=60.0, tack=8.0,
        vehicle="water-based", pigment="PY 42", cost=11.0,
    )  # fmt: skip
    spectrum = tuple(np.linspace(0.2, 0.6, 36))
    straw = replace(straw, lab=tuple(map(float, shown(project, straw))))
    umber = Ink("umber", "Umber", (50.0, 10.0, 20.0), reflectance=spectrum)
    umber = replace(umber, lab=tuple(map(float, shown(project, umber))))
    ground = ground_of(project)
    candidates = tuple(candidate_of(ink, (1.0,), ground) for ink in (straw, umber))
    numbers = planned_colours(project, keep_key=False)
    wishes = tuple(Wish(candidates[n % 2].lab, 1.0) for n in range(len(numbers)))
    plan = solve(SolverRequest(project.paper.lab, wishes, candidates, 2, refine=False))[-1][0]
    taken = with_plan(project, plan, keep_key=False)
    kept = {ink.name: ink for ink in taken.inks}
    assert {kept[name].optics for name in kept if name == "Straw"} == {SEALED}
    assert (kept["Straw"].drying_h, kept["Straw"].tack, kept["Straw"].pigment) == (60.0, 8.0, "PY 42")
    assert kept["Umber"].reflectance == spectrum


def test_extender_does_not_dry_faster_and_ink_on_ink_dries_slower(demo: Demo) -> None:
    project = demo[0]
    full = runs_of(project)[0].drying_h
    pulls = list(project.impressions)
    pulls[0] = replace(pulls[0], zones=(replace(pulls[0].zones[0], strength=0.25),))
    assert runs_of(replace(project, impressions=tuple(pulls)))[0].drying_h == full


def test_how_sure_falls_when_a_chart_is_read(demo: Demo) -> None:
    project = demo[0]
    overlaps = [{0, 4}, {1, 5}, {3, 6}, {2, 5}, {1, 6}]
    plain = how_sure(project, overlaps).within.mean()
    charted = how_sure(project, overlaps, charted=[ink.id for ink in project.inks]).within.mean()
    assert plain > charted > 0
    help_ = surer(project)
    assert help_ is not None
    assert help_.inks


def test_a_wet_print_stands_thicker_and_shines(demo: Demo) -> None:
    """With paste a wet film is 1.4 of the dry one and shows 0.3 of its surface; oil hardly changes."""
    project = demo[0]
    key = [FilmKey(project.impressions[1].id, 0)]
    ink = project.impressions[1].zones[0].ink
    paste = with_ink_data(project, ink, vehicle="water-based with paste")
    row = np.ones((1, 1), bool)
    film = film_of(paste, key[0])
    wet = dataclasses.replace(film, k1=0.3 * film.k1, thickness=1.4 * film.thickness)
    found = printed_reflectance(paste, key, row, wet_look=True)
    np.testing.assert_allclose(found, overprints(ground_of(paste), [wet], row))
    for vehicle, thicker in (("oil", 1.05), ("water-washable oil", 1.05), ("water-based", 1.25)):
        other = with_ink_data(project, ink, vehicle=vehicle)
        film = film_of(other, key[0])
        wet = dataclasses.replace(film, k1=0.3 * film.k1, thickness=thicker * film.thickness)
        shown_wet = printed_reflectance(other, key, row, wet_look=True)
        np.testing.assert_allclose(shown_wet, overprints(ground_of(other), [wet], row))
    dry = reflectance_to_lab(printed_reflectance(paste, key, row))[0]
    oil = reflectance_to_lab(printed_reflectance(project, key, row, wet_look=True))[0]
    assert delta_e00(reflectance_to_lab(found)[0], dry) > delta_e00(oil, dry)


def test_a_graded_zone_counts_by_the_mean_of_its_strengths(demo: Demo) -> None:
    project, pull = demo[0], demo[0].impressions[2]
    graded = with_grade(project, pull.id, 0, Grade((20, 20), (20, 200), 0.4))
    assert film_of(graded, FilmKey(pull.id, 0)).thickness == pytest.approx(0.7)
    assert film_of(project, FilmKey(pull.id, 0)).thickness == 1
