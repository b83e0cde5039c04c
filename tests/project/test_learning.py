"""A simulated proof with known faults is read, explained and made part of the plan."""

import dataclasses

import cv2
import numpy as np
import pytest
from msgspec.structs import replace

from benchmarks import proofs
from nomos.colour import lab_to_srgb
from nomos.devices import Scanner
from nomos.edition import film_from_weights, ink_needed
from nomos.project import (
    Assets,
    CutBlocks,
    Project,
    ProjectError,
    cut_blocks,
    impressions_to_lay,
    lay_sheet,
    mask_request,
    sheet_labs,
)
from nomos.project.blocks.edits import with_switch
from nomos.project.blocks.zones import flat_then_graded, with_grade
from nomos.project.inks.films import film_of, predicted, printing_sets, zone_keys
from nomos.project.inks.reach import fields_that_part, in_reach, passes_of, reachable
from nomos.project.model import Grade
from nomos.project.model.edits import new_project
from nomos.project.register.learning import Cause, explain, with_cause
from nomos.project.register.proof_fields import read_proof
from nomos.project.register.proof_places import place_text
from nomos.proof import render, to_rgb
from nomos.registration.scan_marks import ScanError

Demo = tuple[Project, Assets]
Small = tuple[Project, CutBlocks]


@pytest.fixture(scope="module")
def small(little: Demo) -> Small:
    """Three colours and a key on a small sheet."""
    request = mask_request(*little)
    assert request is not None
    return little[0], cut_blocks(request)


def sheet_of(project: Project, blocks: CutBlocks, shift_px: int = 0) -> np.ndarray:
    """The whole printed sheet as a picture, the image out of place by some pixels."""
    laid = lay_sheet(blocks, impressions_to_lay(project), pad_mm=0)
    image = to_rgb(render(laid.map.index, sheet_labs(project, laid)))
    ppm = blocks.px_per_mm
    size = round(project.paper.height_mm * ppm), round(project.paper.width_mm * ppm)
    page = np.empty((*size, 3), np.uint8)
    page[:] = lab_to_srgb(np.array(project.paper.lab))
    top, left = round(project.image.top * ppm) + shift_px, round(project.image.left * ppm) + shift_px
    page[top : top + image.shape[0], left : left + image.shape[1]] = image
    return page


def test_a_proof_as_planned_reads_as_planned(small: Small) -> None:
    """The key as well, though it lies on three colours."""
    project, blocks = small
    scan = Scanner(noise=2.0).scan(sheet_of(project, blocks, shift_px=6))
    fields = read_proof(project, blocks, scan).fields
    assert len(fields) == 5
    assert max(field.de00 for field in fields) < 1.0
    assert explain(project, fields) == ()


@pytest.mark.thorough
@pytest.mark.parametrize(("place", "factor"), [(1, 1.3), (2, 0.75)])
def test_an_ink_of_another_strength_is_found(small: Small, place: int, factor: float) -> None:
    project, blocks = small
    ink = project.impressions[place].zones[0].ink
    printed = with_cause(project, Cause("", factor, 0, 0, ink=ink))
    fields = read_proof(project, blocks, Scanner(seed=place).scan(sheet_of(printed, blocks))).fields
    assert fields[0].de00 > 3
    (cause, *_) = explain(project, fields)
    assert cause.ink == ink
    assert cause.factor == pytest.approx(factor, abs=0.08)
    assert cause.after < cause.before / 2
    assert "than planned" in cause.text
    # Taken into the plan, the plan predicts the proof.
    learnt = with_cause(project, cause)
    number = next(n for n, films in enumerate(printing_sets(project)) if films == {place})
    read = next(field.read for field in fields if field.number == number)
    assert predicted(learnt, printing_sets(learnt))[number] == pytest.approx(read, abs=1.5)


@pytest.mark.thorough
def test_strength_is_read_from_a_photograph_in_uneven_light(small: Small) -> None:
    """Leaning, light falling by a third, blocks out: the ink that is too thin is told, how sure and what to do."""
    project, blocks = small
    ink = project.impressions[1].zones[0].ink
    printed = with_cause(project, Cause("", 0.7, 0, 0, ink=ink))
    motions = proofs.faults(project, 2)
    camera = {"pixels": (1500, 2000), "falloff": 0.33, "tilt": 0.2, "lens": -0.02}
    fields = read_proof(project, blocks, proofs.photographed(printed, blocks, motions, 2, **camera)).fields
    assert 0 < fields[0].sure_de00 < 2
    (cause, *_) = explain(project, fields)
    assert cause.ink == ink
    assert abs(cause.factor - 0.7) <= cause.sure < 0.25
    assert cause.remedy.startswith("Ink ")


@pytest.mark.thorough
def test_what_did_not_print_and_what_should_not_have_are_places(small: Small) -> None:
    """A spot of paper in a printed field and a smear of dark ink on bare paper, found from a photograph."""
    project, whole = small
    ppm = whole.px_per_mm
    blocks, planted = planted_faults(project, whole)
    rgb = proofs.photographed(project, blocks, proofs.faults(project, 4), 4, pixels=(1500, 2000))
    places = read_proof(project, whole, rgb).places
    missing = next(each for each in places if each.kind == "missing")
    x, y = planted["missing"]
    assert missing.at_mm == pytest.approx((project.image.left + x / ppm, project.image.top + y / ppm), abs=1.0)
    assert "did not print" in place_text(project, missing)
    assert missing.area_mm2 == pytest.approx(16, abs=8)
    stray = next(each for each in places if each.kind == "stray")
    x, y = planted["stray"]
    assert stray.at_mm == pytest.approx((project.image.left + x / ppm, project.image.top + y / ppm), abs=1.0)
    assert "where none should be" in place_text(project, stray)
    # A proof without faults has none to speak of.
    clean = proofs.photographed(project, whole, proofs.faults(project, 4), 4, pixels=(1500, 2000))
    assert [each for each in read_proof(project, whole, clean).places if each.area_mm2 > 3] == []


def planted_faults(project: Project, blocks: CutBlocks) -> tuple[CutBlocks, dict[str, tuple[float, float]]]:
    """Blocks of which one misses a square of 4 mm in its field, and the key prints one on bare paper; and where."""
    sets = printing_sets(project)
    sizes = np.bincount(blocks.labels.ravel(), minlength=len(sets))
    half, masks, planted = round(2 * blocks.px_per_mm), [np.array(mask) for mask in blocks.masks], {}
    for kind, films_there in (("missing", 1), ("stray", 0)):
        number = max((n for n, films in enumerate(sets) if len(films) == films_there), key=lambda n: sizes[n])
        own = np.pad((blocks.labels == number).astype(np.uint8), 1)
        depth = cv2.distanceTransform(own, cv2.DIST_L2, 5)[1:-1, 1:-1]
        row, column = np.unravel_index(int(depth.argmax()), depth.shape)
        pull = project.impressions[next(iter(sets[number])) if films_there else -1]
        square = masks[project.number_of(pull.block)][row - half : row + half, column - half : column + half]
        square[:] = 0 if films_there else 1
        planted[kind] = (float(column), float(row))
    return CutBlocks(blocks.labels, tuple(masks), blocks.px_per_mm, ()), planted


@pytest.mark.thorough
def test_poor_trapping_of_a_wet_impression_is_found(small: Small) -> None:
    """The red field printed on wet green."""
    project = with_switch(small[0], small[0].impressions[1].block, (2,), True)
    pulls = list(project.impressions)
    pulls[2] = replace(pulls[2], wet=True)
    project = replace(project, impressions=tuple(pulls))
    printed = with_cause(project, Cause("", 0.5, 0, 0, pull=pulls[2].id))
    green, red = project.number_of(pulls[1].block), project.number_of(pulls[2].block)
    masks = list(small[1].masks)
    masks[green] = masks[green] | masks[red]
    blocks = CutBlocks(small[1].labels, tuple(masks), small[1].px_per_mm, tuple(masks))
    fields = read_proof(project, blocks, Scanner().scan(sheet_of(printed, blocks))).fields
    causes = explain(project, fields)
    assert causes[0].pull == pulls[2].id
    assert causes[0].factor == pytest.approx(0.5, abs=0.12)
    assert "wet ink" in causes[0].text


def test_a_scan_that_is_not_the_sheet_is_refused(demo: Demo, demo_blocks: CutBlocks) -> None:
    with pytest.raises(ScanError, match="not found"):
        read_proof(demo[0], demo_blocks, np.full((500, 900, 3), 200, np.uint8))
    full = replace(
        demo[0],
        paper=replace(demo[0].paper, width_mm=180, height_mm=240),
        image=new_project("x", (180, 240), sheet_mm=(180, 240)).image,
    )
    with pytest.raises(ProjectError, match="no bare margin"):
        read_proof(full, demo_blocks, np.full((960, 720, 3), 200, np.uint8))


def test_further_passes_gain_less_and_less(demo: Demo) -> None:
    project = demo[0]
    key = zone_keys(project)[4]
    thin = dataclasses.replace(film_of(project, key), thickness=0.3)
    passes = passes_of(project, thin)
    assert list(passes.gains) == sorted(passes.gains, reverse=True)
    assert 2 <= passes.worth <= 8
    assert passes.labs[0][0] > passes.labs[-1][0]


def test_what_the_inks_can_reach(demo: Demo) -> None:
    project = demo[0]
    assert project.flat is not None
    cloud = reachable(project)
    wanted = [colour.lab for colour in project.flat.colours[1:]]
    assert max(in_reach(cloud, wanted)) < 1.0
    assert in_reach(cloud, [(50.0, 0.0, -90.0)])[0] > 15
    for one, other, apart in fields_that_part(project, "A"):
        assert one != other
        assert apart > 3


def test_a_graded_zone_is_printed_flat_first(demo: Demo) -> None:
    project = demo[0]
    pull = project.impressions[4].id
    graded = with_grade(project, pull, 0, Grade((50, 20), (50, 200), 0.2))
    parted = flat_then_graded(graded, pull, 0)
    flat, over = parted.impressions[4:6]
    assert flat.block == over.block
    assert (flat.zones[0].strength, flat.zones[0].grade) == (0.2, None)
    assert over.zones[0].strength == pytest.approx(0.8)
    assert over.zones[0].grade is not None
    assert over.zones[0].grade.to == pytest.approx(0)
    faded = with_grade(project, pull, 0, Grade((50, 20), (50, 200), 0.0))
    with pytest.raises(ProjectError, match="fades to nothing"):
        flat_then_graded(faded, pull, 0)


def test_two_ended_bent_and_edge_following_grades(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = demo[0]
    pull = project.impressions[4].id
    start, end = (100.0, 12.0), (100.0, 45.0)
    laid = {}
    for name, grade in {
        "even": Grade(start, end, 0.0), "both": Grade(start, end, 0.0, both=True),
        "bent": Grade(start, end, 0.0, curve=3.0), "edge": Grade(start, end, 0.2, edge_mm=6.0),
    }.items():  # fmt: skip
        graded = with_grade(project, pull, 0, grade)
        sheet = lay_sheet(demo_blocks, impressions_to_lay(graded))
        page = sheet_labs(graded, sheet)[sheet.map.index][..., 0]
        x = sheet.pad_px + round((100 - project.image.left) * sheet.px_per_mm)
        laid[name] = page[sheet.pad_px + 24 : sheet.pad_px + round(17 * sheet.px_per_mm), x]
    assert laid["both"][-1] > laid["even"][-1]
    assert laid["bent"][len(laid["bent"]) // 2] < laid["even"][len(laid["even"]) // 2]
    assert np.diff(laid["edge"][: len(laid["edge"]) // 3]).max() >= 0


def test_ink_for_an_edition_by_hand() -> None:
    """Worked by hand: 200 cm² at 9 g/m² on 50 sheets is 9 g; with 12 g left on the slab, over 0.85: 24.7 g."""
    need = ink_needed(20_000, 50, 12.0, strength=0.25)
    assert need.on_paper_g == pytest.approx(9.0)
    assert need.batch_g == pytest.approx(21 / 0.85)
    assert need.lost_g == pytest.approx(0.15 * need.batch_g)
    assert need.ink_g == pytest.approx(need.batch_g / 4)
    assert need.ink_g + need.extender_g == pytest.approx(need.batch_g)
    assert film_from_weights(480.0, 471.0, 20_000, 50) == pytest.approx(9.0)
    with pytest.raises(ValueError, match="used"):
        film_from_weights(1, 2, 20_000, 50)
