"""Merging colours and splitting fields off, the nearest reachable colour, plans taken."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nomos.colour import Lab
from nomos.project import Assets, CutBlocks, Project, ProjectError, labels_from_png
from nomos.project.blocks.fields import merged, split_off
from nomos.project.blocks.plans import nearest_reachable, plan_costs, solver_request, with_plan
from nomos.project.blocks.reduction import is_reduction, layer_steps, with_reduction
from nomos.separation.fields import find_fields
from nomos.separation.plans import CandidateInk, mixable_inks
from nomos.separation.solver import solve

Demo = tuple[Project, Assets]


@settings(max_examples=12)
@given(number=st.integers(0, 8), into=st.integers(0, 8))
def test_a_colour_merged_away_leaves_its_area_to_the_other(
    number: int, into: int, demo: Demo, demo_blocks: CutBlocks
) -> None:
    project, labels = demo[0], demo_blocks.labels
    assert project.flat is not None
    if number == into:
        with pytest.raises(ProjectError, match="two different"):
            merged(project, labels, number, into)
        return
    after, png = merged(project, labels, number, into)
    page = labels_from_png(png)
    names = [colour.name for colour in project.flat.colours]
    assert after.flat is not None
    kept = [colour.name for colour in after.flat.colours]
    assert kept == [name for n, name in enumerate(names) if n != number]
    for n, name in enumerate(names):
        if n not in (number, into):
            np.testing.assert_array_equal(page == kept.index(name), labels == n)
    both = (labels == number) | (labels == into)
    np.testing.assert_array_equal(page == kept.index(names[into]), both)
    assert all(block.colours for block in after.blocks)


def test_a_field_split_off_is_its_own_colour_and_prints_as_before(demo: Demo, demo_blocks: CutBlocks) -> None:
    project, labels = demo[0], demo_blocks.labels
    field = next(f for f in find_fields(labels, demo_blocks.px_per_mm) if f.colour == 5)
    x, y = (int(at * demo_blocks.px_per_mm) for at in field.place)
    after, png = split_off(project, labels, x, y)
    page = labels_from_png(png)
    assert after.flat is not None
    assert after.flat.colours[9].name == "Slate 2"
    assert (page == 9).sum() == pytest.approx(field.area_mm2 * demo_blocks.px_per_mm**2)
    np.testing.assert_array_equal((page == 9) | (page == 5), labels == 5)
    slate = next(block for block in after.blocks if block.name == "Slate")
    assert slate.colours == (5, 9)
    whole = np.zeros((60, 60), np.uint8)
    with pytest.raises(ProjectError, match="one field already"):
        split_off(project, whole, 5, 5)


@pytest.mark.thorough
def test_a_reduction_stays_one_when_colours_are_merged(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = with_reduction(demo[0])
    after, _ = merged(project, demo_blocks.labels, 3, 5)
    assert is_reduction(after)
    assert len(layer_steps(after)) == len(layer_steps(project)) - 1


def test_nearest_reachable_finds_single_inks_and_overprints() -> None:
    paper: Lab = (95.0, 0.0, 2.0)
    inks = (CandidateInk("lemon", (88.0, -4.0, 70.0)), CandidateInk("rose", (58.0, 48.0, 5.0)))
    found = nearest_reachable(paper, {4: (88.0, -4.0, 70.0), 7: (30.0, -40.0, 30.0)}, inks)
    assert found[4].de00 < 0.1
    assert found[4].inks == (("lemon", 1.0),)
    assert found[7].de00 > 15  # no green from these two: the sketch was drawn with another ink
    assert nearest_reachable(paper, {}, inks) == {}


@pytest.mark.thorough
def test_a_plan_taken_prints_what_it_planned(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = demo[0]
    assert project.flat is not None
    inks = mixable_inks(project.paper.lab, [colour.lab for colour in project.flat.colours[1:8]])
    request = solver_request(project, demo_blocks.borders, inks, 3, must_match=(5,), single=(1,))
    plan = solve(request)[-1][0]
    taken = with_plan(project, plan)
    assert len(taken.blocks) == len(plan.inks) + 1
    assert taken.block(taken.impressions[-1].block).is_key
    assert not any(block.name.startswith("mix ") for block in taken.blocks)
    for number, members in zip(range(8), plan.members, strict=True):
        blocks = {place for place, i in enumerate(taken.impressions) if number in taken.block(i.block).colours}
        assert blocks == set(members)
    costs = plan_costs(project, demo_blocks.borders, plan)
    assert 0 < costs.tight_mm < costs.outline_mm
    assert costs.clear_area_mm2 < len(plan.inks) * 180 * 240
    assert len(plan.members[1]) <= 1
