"""The model, its edits, its findings."""

from collections.abc import Callable
from itertools import pairwise

import msgspec
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from msgspec.structs import replace

from nomos.colour import Lab
from nomos.colour.names import colour_names
from nomos.project import (
    Assets,
    CutBlocks,
    Project,
    ProjectError,
    bare_places,
    coarse,
    find,
    impressions_to_lay,
    lay_sheet,
    mask_request,
    prove,
)
from nomos.project.blocks.edits import with_bare_colour, with_block, with_colour, with_printed_colour
from nomos.project.blocks.pulls import moved_impression
from nomos.project.inks.edits import with_ink, with_strength
from nomos.project.model.edits import (
    new_project,
    with_image_at,
    with_image_size,
    with_kento,
    with_paper,
    with_sheet,
    with_title,
    with_trap,
)
from nomos.project.model.naming import carried_names
from nomos.project.register.edits import with_offset
from nomos.proof import Misregister
from nomos.registration import KentoSettings, Rect

Demo = tuple[Project, Assets]

EDITS: dict[str, Callable[[Project], Project]] = {
    "order": lambda p: moved_impression(p, p.impressions[0].id, 4),
    "rename": lambda p: with_colour(p, 2, name="Pane"),
    "recolour": lambda p: with_colour(p, 2, lab=(70.0, -10.0, 5.0)),
    "bare": lambda p: with_bare_colour(p, 3),
    "print": lambda p: with_printed_colour(p, 0),
    "ink": lambda p: with_ink(p, p.inks[1].id, lab=(60.0, 0.0, 10.0), opacity="semi"),
    "strength": lambda p: with_strength(p, p.impressions[1].id, 0.4),
    "offset": lambda p: with_offset(p, p.impressions[1].id, Misregister(0.5, 0.1, 0.2)),
    "trap": lambda p: with_trap(p, 0.8),
    "kento": lambda p: with_kento(p, KentoSettings(hand="left")),
    "sheet": lambda p: with_sheet(p, (230.0, 300.0)),
    "image": lambda p: with_image_at(p, 8.0, 8.0),
    "size": lambda p: with_image_size(p, (150.0, 200.0)),
    "paper": lambda p: with_paper(p, name="Cream", lab=(90.0, 0.0, 8.0)),
    "title": lambda p: with_title(p, "First frost"),
    "block": lambda p: with_block(p, p.blocks[0].id, name="Sky", is_key=True),
}


@pytest.mark.parametrize("name", EDITS)
def test_an_edit_makes_a_new_valid_project_and_leaves_the_old(demo: Demo, name: str) -> None:
    project = demo[0]
    before = msgspec.json.encode(project)
    after = EDITS[name](project)
    assert after != project
    assert msgspec.json.encode(project) == before
    assert msgspec.json.decode(msgspec.json.encode(after), type=Project) == after


@settings(max_examples=30)
@given(names=st.lists(st.sampled_from(sorted(EDITS)), max_size=12))
def test_any_sequence_of_edits_keeps_the_project_whole(names: list[str], demo: Demo) -> None:
    """Every block has a pull and an ink, every colour is printed or bare, ids stay unique."""
    project = demo[0]
    for name in names:
        project = EDITS[name](project)
    assert {i.block for i in project.impressions} == {b.id for b in project.blocks}
    assert {z.ink for i in project.impressions for z in i.zones} <= {ink.id for ink in project.inks}
    printed = {n for b in project.blocks for n in b.colours}
    assert project.flat is not None
    assert printed | set(project.bare_colours()) == set(range(len(project.flat.colours)))
    assert sum(block.is_key for block in project.blocks) <= 1


def test_a_colour_takes_its_block_and_ink_along(demo: Demo) -> None:
    project = with_colour(demo[0], 2, name="Pane", lab=(70.0, -10.0, 5.0))
    block = next(b for b in project.blocks if b.colours == (2,))
    pull = next(i for i in project.impressions if i.block == block.id)
    ink = project.ink(pull.zones[0].ink)
    assert (block.name, ink.name, ink.lab) == ("Pane", "Pane", (70.0, -10.0, 5.0))


def test_a_bare_colour_gets_a_block_before_darker_ones(demo: Demo) -> None:
    project = with_printed_colour(demo[0], 0)
    assert project.block(project.impressions[0].block).colours == (0,)
    assert with_printed_colour(project, 0) is project


@pytest.mark.parametrize(
    ("edit", "field"),
    [
        (lambda p: with_trap(p, 5), "trap_mm"),
        (lambda p: with_trap(p, float("nan")), "trap_mm"),
        (lambda p: with_strength(p, p.impressions[0].id, 1.2), "strength"),
        (lambda p: with_offset(p, p.impressions[0].id, Misregister(9)), "offset"),
        (lambda p: with_sheet(p, (100, 100)), "image"),
        (lambda p: with_sheet(p, (9000, 9000)), "width_mm"),
        (lambda p: with_paper(p, lab=(120, 0, 0)), "lab"),
        (lambda p: with_ink(p, p.inks[0].id, lab=(95, 80, 60)), "lab"),
        (lambda p: with_title(p, ""), "name"),
        (lambda p: with_colour(p, 1, name="  "), "name"),
        (lambda p: replace(p, impressions=p.impressions + p.impressions[:1]), "impressions"),
        (lambda p: replace(p, blocks=p.blocks[1:]), "impressions"),
        (lambda p: replace(p, inks=p.inks[1:]), "impressions"),
    ],
)
def test_what_cannot_be_is_refused_naming_the_field(demo: Demo, edit: Callable[[Project], Project], field: str) -> None:
    with pytest.raises(ProjectError) as caught:
        edit(demo[0])
    assert caught.value.field == field


def test_names_differ_and_known_colours_keep_theirs() -> None:
    labs: list[Lab] = [(95, 0, 3), (60, 40, 30), (59, 41, 30), (40, -30, 20), (15, 0, -4)]
    names = colour_names(labs)
    assert len(set(names)) == len(names)
    kept = carried_names(labs, [("Brick", (60.2, 40, 30)), ("Far", (10, 60, 60))])
    assert kept[1] == "Brick"
    assert "Far" not in kept
    assert len(set(kept)) == len(kept)


def test_the_demo_in_register_is_near_what_is_wanted_and_covers_the_paper(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = demo[0]
    laid = lay_sheet(demo_blocks, impressions_to_lay(project))
    proof = prove(project, demo_blocks, laid, bare_places(project, demo_blocks, laid))
    assert proof.mean_de00 < 1.5
    assert proof.spots == ()
    joins = [f for f in proof.findings if f.weight != "worth knowing" and f.station != "register"]
    assert all("only kiss" in f.text or "dark seam" in f.text for f in joins)
    assert all(f.place_mm is not None for f in joins)
    total = sum(match.area_mm2 for match in proof.matches)
    assert total == pytest.approx(180 * 240, rel=0.001)


def test_a_block_out_of_register_flashes_bare_paper_and_says_where(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = demo[0]
    slate = next(i.id for i in project.impressions if project.block(i.block).name == "Brick")
    project = with_offset(project, slate, Misregister(1.5, 0.0))
    laid = lay_sheet(demo_blocks, impressions_to_lay(project))
    spots = bare_places(project, demo_blocks, laid)
    assert spots
    areas = [area for _, _, area in spots]
    assert all(later <= earlier for earlier, later in pairwise(areas))
    for x, y, _ in spots:
        assert project.image.left <= x <= project.image.right
        assert project.image.top <= y <= project.image.bottom
    findings = prove(project, demo_blocks, laid, spots).findings
    assert any("Bare paper shows" in f.text and "Brick" in f.text for f in findings)


def test_the_coarse_sheet_agrees_with_the_exact_one(demo: Demo, demo_blocks: CutBlocks) -> None:
    """While a block is dragged a smaller sheet answers: its mean ΔE00 is that of the whole."""
    project = with_offset(demo[0], demo[0].impressions[3].id, Misregister(0.6, -0.4, 0.1))
    pulls = impressions_to_lay(project)
    exact = prove(project, demo_blocks, lay_sheet(demo_blocks, pulls))
    small = coarse(demo_blocks, 700_000)
    assert small.labels.size <= 700_000
    fast = prove(project, demo_blocks, lay_sheet(small, pulls))
    assert fast.mean_de00 == pytest.approx(exact.mean_de00, rel=0.05)


def test_masks_are_remade_only_for_what_they_depend_on(demo: Demo) -> None:
    project, assets = demo
    same = mask_request(project, assets)
    for name in ("kento", "rename", "offset", "title"):
        assert mask_request(EDITS[name](project), assets) == same, name
    for name in ("trap", "bare", "block", "ink"):
        assert mask_request(EDITS[name](project), assets) != same, name


def test_findings_of_the_kento_the_key_and_alike_colours(demo: Demo) -> None:
    project = with_sheet(demo[0], (186.0, 246.0))
    texts = " ".join(f.text for f in find(project, None, ()))
    assert "notches need" in texts
    no_key = with_block(demo[0], next(b.id for b in demo[0].blocks if b.is_key), is_key=False)
    assert any("No key block" in f.text for f in find(no_key, None, ()))
    alike = with_colour(demo[0], 2, lab=(85.0, 11.0, 12.0))
    assert any("are alike" in f.text for f in find(alike, None, ()))


def test_an_empty_project_is_one() -> None:
    project = new_project("Nothing yet", (100.0, 80.0))
    assert mask_request(project, {}) is None
    assert project.image == Rect(10, 10, 110, 90)
    assert find(project, None, ()) == ()
    assert np.isclose(project.paper.width_mm, 120)
