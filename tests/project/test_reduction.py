"""Reduction: nested states of one board, inks that make the stack show what is wanted."""

from itertools import pairwise

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from nomos.colour import Ground, Lab, delta_e00, ink_film, overprints, reflectance_to_lab, smooth_reflectance
from nomos.colour.ink import Opacity
from nomos.colour.inverse import ink_over
from nomos.formats.template import templates
from nomos.project import Assets, Project, ProjectError, cut_blocks, find, mask_request
from nomos.project.blocks.edits import with_bare_colour, with_printed_colour
from nomos.project.blocks.pulls import between_pulls, in_rule_order, moved_impression
from nomos.project.blocks.reduction import (
    cut_before,
    is_reduction,
    layer_steps,
    with_one_block_per_colour,
    with_reduction,
)
from nomos.project.inks.edits import with_ink
from nomos.project.inks.films import predicted, printing_sets
from tests.conftest import proof_of

Demo = tuple[Project, Assets]
PAPER: Lab = (95.0, 0.0, 3.0)


def _order(project: Project) -> tuple[int, ...]:
    """The colours in the order they are printed, where each layer prints one."""
    return tuple(number for step in layer_steps(project) for number in step)


@settings(max_examples=25)
@given(
    st.tuples(st.floats(45, 75), st.floats(-20, 20), st.floats(-20, 20)),
    st.tuples(st.floats(80, 92), st.floats(-12, 12), st.floats(-5, 30)),
)
def test_layering_turned_round_gives_the_wanted_colour(wanted: Lab, first: Lab) -> None:
    """The law: the ink that is found, laid over the first film, shows what was wanted."""
    below = [ink_film(first, "transparent", PAPER)]
    lab, left = ink_over(wanted, below, "transparent", PAPER)
    films = [*below, ink_film(lab, "transparent", PAPER)]
    shown = reflectance_to_lab(overprints(Ground.from_lab(PAPER), films)[-1])
    assert float(delta_e00(shown, np.array(wanted))) == pytest.approx(left, abs=1e-6)
    # A transparent film can only take away: what is darker in every band can be reached.
    if (smooth_reflectance(np.array(wanted)) < 0.9 * smooth_reflectance(np.array(first))).all():
        assert left < 1.0


def test_a_lighter_colour_over_a_darker_needs_opacity() -> None:
    below = [ink_film((40.0, 0.0, -20.0), "transparent", PAPER)]
    left = [ink_over((80.0, 5.0, 40.0), below, word, PAPER)[1] for word in ("transparent", "semi", "opaque")]
    assert left[0] > 20
    assert left[0] > left[1] > left[2]


@pytest.mark.thorough
@pytest.mark.parametrize("wanted", [(0.0, 0.0, 0.0), (100.0, 0.0, 0.0), (32.0, 79.0, -108.0)])
@pytest.mark.parametrize("word", ["transparent", "semi", "opaque"])
def test_what_no_ink_can_be_is_met_by_the_nearest(wanted: Lab, word: Opacity) -> None:
    """Pure black, pure white and a screen's blue over a first colour: an ink, and how far it is off."""
    below = [ink_film((70.0, 20.0, 50.0), "semi", PAPER)]
    lab, left = ink_over(wanted, below, word, PAPER)
    assert np.isfinite(left)
    assert (left < 1.0) == (wanted[0] < 1.0)
    shown = reflectance_to_lab(overprints(Ground.from_lab(PAPER), [*below, ink_film(lab, word, PAPER)])[-1])
    assert float(delta_e00(shown, np.array(wanted))) == pytest.approx(left, abs=1e-6)


def test_states_are_nested_and_the_stack_shows_what_is_wanted(demo: Demo) -> None:
    project = with_reduction(demo[0])
    assert is_reduction(project)
    assert not is_reduction(demo[0])
    states = [set(project.block(i.block).colours) for i in project.impressions]
    assert all(later < earlier for earlier, later in pairwise(states))
    assert len(states[-1]) == 1
    shown = predicted(project, printing_sets(project))
    assert project.flat is not None
    for number in _order(project):
        assert delta_e00(shown[number], np.array(project.flat.colours[number].lab)) < 5
    proof = proof_of(project, demo[1])
    assert proof.mean_de00 < 2
    assert any("no sheet can be added" in f.text for f in proof.findings)


def test_what_is_cut_away_is_never_printed_again(demo: Demo) -> None:
    project, assets = with_reduction(demo[0]), demo[1]
    request = mask_request(project, assets)
    assert request is not None
    masks = cut_blocks(request).masks
    for earlier, later in pairwise(masks):
        assert (later <= earlier).all()
    cuts = cut_before(project)
    assert cuts[0] == ()
    assert [cut for (cut,) in cuts[1:]] == list(_order(project)[:-1])
    assert between_pulls(project)[0].startswith("wash up, cut away sky rose, dry 24 h")


def test_any_order_nests_anew(demo: Demo) -> None:
    project = with_reduction(demo[0])
    first = project.impressions[0].id
    moved = moved_impression(project, first, 3)
    order = _order(project)
    assert _order(moved) == (*order[1:4], order[0], *order[4:])
    assert in_rule_order(moved) == project
    with pytest.raises(ProjectError, match="every colour once"):
        with_reduction(project, layer_steps(project)[1:])


def test_bare_and_printed_again_and_back_to_blocks(demo: Demo) -> None:
    project = with_reduction(demo[0])
    fewer = with_bare_colour(project, 3)
    assert is_reduction(fewer)
    assert 3 not in _order(fewer)
    assert len(fewer.blocks) == len(project.blocks) - 1
    assert _order(with_printed_colour(fewer, 3)) == _order(project)
    plain = with_one_block_per_colour(project, key=8)
    assert [block.colours for block in plain.blocks] == [block.colours for block in demo[0].blocks]
    assert plain.block(plain.impressions[-1].block).is_key


def test_an_unreachable_colour_is_said_with_its_cause(demo: Demo) -> None:
    project = with_reduction(demo[0])
    for ink in project.inks:
        project = with_ink(project, ink.id, opacity="transparent")
    backwards = with_reduction(project, layer_steps(project)[::-1])
    texts = [f.text for f in find(backwards, None, ())]
    assert any("cannot be reached with transparent ink" in t and "lighter than what lies" in t for t in texts)


def test_templates_show_what_is_cut_now(demo: Demo) -> None:
    project, assets = with_reduction(demo[0]), demo[1]
    request = mask_request(project, assets)
    assert request is not None
    drawn = templates(project, cut_blocks(request))
    assert drawn[0].cut_now == ()
    assert all(template.cut_now for template in drawn[2:])
    assert "state 2" in drawn[2].heading
