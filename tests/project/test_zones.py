"""Zones: colours on one block, one block printed twice, graded inking; the sheet stays what it should."""

from collections.abc import Callable
from pathlib import Path

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from msgspec.structs import replace

from nomos.colour import Lab
from nomos.project import Assets, Project, ProjectError, Proof, cut_blocks, mask_request, sheet_labs
from nomos.project.blocks.edits import with_bare_colour
from nomos.project.blocks.traps import border_traps
from nomos.project.blocks.zones import merged_pulls, printed_again, split_zones, with_grade
from nomos.project.check.cutting import sharing_findings, sharing_of
from nomos.project.check.joins import of_borders
from nomos.project.inks.edits import with_strength
from nomos.project.inks.films import zone_colours
from nomos.project.model import Grade, Zone
from nomos.project.model.store import labels_of, load, save
from nomos.project.register.edits import with_offset
from nomos.proof import Misregister
from nomos.separation.sharing import fewest_blocks, shared_order
from tests.conftest import proof_of

Drawn = Callable[[np.ndarray, list[Lab], float], tuple[Project, Assets]]
PPM = 4.0
LABS: list[Lab] = [(96.0, 0.0, 3.0), (85.0, -5.0, 60.0), (60.0, 40.0, 20.0), (45.0, -20.0, -30.0)]


def spots(drawn: Drawn) -> tuple[Project, Assets]:
    """Three colours on white, 25 mm and more apart: yellow left, red right, blue below."""
    page = np.zeros((320, 400), np.uint8)
    page[40:120, 40:140], page[40:120, 260:360], page[220:300, 150:250] = 1, 2, 3
    return drawn(page, LABS, PPM)


def picture(proof: Proof, pulls: int | None = None) -> np.ndarray:
    return sheet_labs(proof.project, proof.laid, pulls)[proof.laid.map.index]


def test_colours_put_on_one_block_print_as_before_in_one_pull(drawn: Drawn) -> None:
    project, assets = spots(drawn)
    proof = proof_of(project, assets)
    found = sharing_findings(project, sharing_of(project, proof.blocks, proof.laid))
    cure = found[0].cure
    assert cure is not None
    shared = cure.edit(project)
    assert len(shared.impressions) == len(shared.blocks) == 1
    assert [z.ink for z in shared.impressions[0].zones] == [i.zones[0].ink for i in project.impressions]
    after = proof_of(shared, assets)
    np.testing.assert_allclose(picture(after), picture(proof), atol=1e-9)
    # One block moves as one, its zones with it.
    moved = proof_of(with_offset(shared, shared.impressions[0].id, Misregister(1.0, 0.5)), assets)
    np.testing.assert_allclose(picture(moved)[2:, 4:], picture(after)[:-2, :-4], atol=1e-9)
    apart = split_zones(shared, shared.impressions[0].id)
    assert len(apart.blocks) == 3
    np.testing.assert_allclose(picture(proof_of(apart, assets)), picture(proof), atol=1e-9)
    with pytest.raises(ProjectError, match="changed meanwhile"):
        cure.edit(shared)


def test_colours_of_one_block_need_no_trap_between_them(drawn: Drawn) -> None:
    page = np.zeros((200, 200), np.uint8)
    page[40:160, 40:100], page[40:160, 100:160] = 1, 2
    project, _ = drawn(page, LABS[:3], PPM)
    assert len(border_traps(project)) == 1
    pulls = [pull.id for pull in project.impressions]
    assert border_traps(merged_pulls(project, pulls, pulls[:1])) == ()


def test_a_zone_goes_when_its_colour_is_left_bare(drawn: Drawn) -> None:
    project, _ = spots(drawn)
    pulls = [pull.id for pull in project.impressions]
    shared = merged_pulls(project, pulls, pulls[:1])
    for number in (1, 2, 3):
        fewer = with_bare_colour(shared, number)
        left = [zone_colours(fewer, fewer.impressions[0], place) for place in range(2)]
        assert sorted(n for colours in left for n in colours) == sorted({1, 2, 3} - {number})
        assert fewer.impressions[0].zones[0].colours == ()
        assert len(fewer.inks) == 2
    assert with_bare_colour(with_bare_colour(fewer, 1), 2).impressions == ()


def test_the_main_zone_is_the_first_that_ink_stands_on(drawn: Drawn) -> None:
    project, _ = spots(drawn)
    pulls = [pull.id for pull in project.impressions]
    shared = merged_pulls(project, pulls, pulls[:1]).impressions[0]
    first, second, *rest = shared.zones
    assert shared.main is first
    assert replace(shared, zones=(replace(first, bare="uninked"), second, *rest)).main is second


def test_a_finding_about_two_colours_points_where_they_meet(demo: tuple[Project, Assets]) -> None:
    project = replace(demo[0], seam_de00=30.0)
    request = mask_request(project, demo[1])
    assert request is not None
    labels, _ = labels_of(project, demo[1])
    found = of_borders(project, cut_blocks(request).borders)
    places = [each.place_mm for each in found if each.place_mm]
    per_mm = labels.shape[1] / project.image.width
    assert places
    for x, y in places:
        row, column = (round(value * per_mm) for value in (y - project.image.top, x - project.image.left))
        assert 0 <= row < labels.shape[0]
        assert 0 <= column < labels.shape[1]
        assert len(np.unique(labels[max(row - 4, 0) : row + 5, max(column - 4, 0) : column + 5])) > 1, (x, y)


def test_a_graded_zone_runs_evenly_from_full_to_none(drawn: Drawn) -> None:
    page = np.zeros((320, 200), np.uint8)
    page[40:280, 40:160] = 1
    project, assets = drawn(page, [LABS[0], LABS[3]], PPM)
    pull = project.impressions[0].id
    left, top = project.image.left, project.image.top
    graded = with_grade(project, pull, 0, Grade((left + 25, top + 10), (left + 25, top + 70), 0.0))
    proof = proof_of(graded, assets)
    pad = proof.laid.pad_px
    lightness = picture(proof)[pad + 40 : pad + 280, pad + 100, 0]
    assert (np.diff(lightness) >= -1e-9).all()
    assert lightness[0] == pytest.approx(LABS[3][0], abs=0.5)
    assert lightness[-1] == pytest.approx(LABS[0][0], abs=0.5)
    # Half way it is what an even zone of half the strength is, and no step is seen.
    half = proof_of(with_strength(project, pull, 0.5), assets)
    middle = picture(half)[pad + 160, pad + 100, 0]
    assert lightness[120] == pytest.approx(middle, abs=1.0)
    assert np.diff(lightness).max() < 2.5
    # Turned and moved out of register no gap opens between the steps.
    out = proof_of(with_offset(graded, pull, Misregister(0.37, 0.21, 0.4)), assets)
    inside = picture(out)[pad + 50 : pad + 150, pad + 60 : pad + 140, 0]
    assert inside.max() < LABS[0][0] - 3


def test_a_block_printed_again_lays_a_second_film(drawn: Drawn, tmp_path: Path) -> None:
    project, assets = spots(drawn)
    first = project.impressions[1]
    twice = printed_again(project, first.id)
    assert [pull.block for pull in twice.impressions][1:3] == [first.block] * 2
    assert len(twice.blocks) == len(project.blocks)
    own, again = twice.impressions[1].zones[0].ink, twice.impressions[2].zones[0].ink
    assert own != again
    once, both = proof_of(project, assets), proof_of(twice, assets)
    assert both.matches[2].predicted[0] < once.matches[2].predicted[0] - 3
    assert both.matches[1] == once.matches[1]
    save(tmp_path / "twice.nomos", twice, assets)
    assert load(tmp_path / "twice.nomos")[0] == twice


def test_zones_that_cannot_be_are_refused(drawn: Drawn) -> None:
    project, _ = spots(drawn)
    pull = project.impressions[0]
    ink = pull.zones[0].ink
    for zones in (
        (), (Zone(ink, colours=(1,)),), (Zone(ink), Zone(ink)), (Zone(ink), Zone(ink, colours=(9,))),
        (Zone(ink), Zone(ink, colours=(2,)), Zone(ink, colours=(2,))),
        (Zone(ink, grade=Grade((1, 1), (1, 1), 0.5)),), (Zone(ink, grade=Grade((1, 1), (2, 1), 1.5)),),
    ):  # fmt: skip
        with pytest.raises(ProjectError):
            replace(project, impressions=(replace(pull, zones=zones), *project.impressions[1:]))


@settings(max_examples=60)
@given(st.integers(2, 7), st.integers(0, 10_000))
def test_shared_blocks_are_printed_in_an_order_that_keeps_every_overprint(count: int, seed: int) -> None:
    generator = np.random.default_rng(seed)
    meets = np.triu(generator.random((count, count)) < 0.35, 1)
    meets |= meets.T
    groups = fewest_blocks(meets.copy(), 3, meets)
    order = shared_order(groups, meets)
    assert order is not None
    at = {block: place for place, group in enumerate(order) for block in group}
    for one in range(count):
        for other in range(one + 1, count):
            assert not meets[one, other] or at[one] < at[other]
