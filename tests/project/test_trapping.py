"""Traps decided from the inks, switches by hand, and what findings say of them."""

import numpy as np
import pytest
from msgspec.structs import replace

from nomos.colour import Ground, delta_e00, ink_film, overprints, reflectance_to_lab
from nomos.project import Assets, CutBlocks, Project, find, mask_request
from nomos.project.blocks.edits import run_through, with_switch
from nomos.project.blocks.methods import with_method
from nomos.project.blocks.traps import border_traps, kisses, seams_of
from nomos.project.blocks.zones import with_grade
from nomos.project.inks.edits import with_ink, with_strength
from nomos.project.inks.films import predicted, printing_sets
from nomos.project.model import Grade
from nomos.project.model.edits import with_seam, with_trap

Demo = tuple[Project, Assets]


def test_a_seam_is_the_overlap_against_the_darker_alone(demo: Demo) -> None:
    """Worked out the long way for one pair: rose under slate, both transparent on the demo's paper."""
    project = demo[0]
    trap = next(t for t in border_traps(project) if (t.lighter, t.darker) == (1, 5))
    paper = project.paper.lab
    rose, slate = (ink_film(project.flat.colours[n].lab, "transparent", paper) for n in (1, 5))  # type: ignore[union-attr]
    ground = Ground.from_lab(paper)
    both, alone = (reflectance_to_lab(overprints(ground, films)[-1]) for films in ([rose, slate], [slate]))
    assert trap.seam_de00 == pytest.approx(float(delta_e00(both, alone)), abs=1e-6)
    assert trap.kind == "spread"


def test_the_limit_decides_between_spread_and_kiss(demo: Demo) -> None:
    project = demo[0]
    for limit in (0.0, 8.0, 100.0):
        for trap in border_traps(with_seam(project, limit)):
            assert (trap.kind == "spread") == (trap.seam_de00 <= limit)
    every, none = (mask_request(with_seam(project, limit), demo[1]) for limit in (100.0, 0.0))
    assert every is not None
    assert none is not None
    assert len(every.spreads) > len(none.spreads) == 0


def test_an_opaque_darker_ink_hides_most_of_a_seam(demo: Demo) -> None:
    project = clear = demo[0]
    for impression in project.impressions:
        clear = with_ink(clear, impression.zones[0].ink, opacity="transparent")
        project = with_ink(project, impression.zones[0].ink, opacity="opaque")
    # Printed light to dark, the darker is on top and hides most of what runs under it.
    seen, hidden = (max(trap.seam_de00 for trap in border_traps(each)) for each in (clear, project))
    assert hidden < seen / 2
    assert all(trap.kind == "spread" for trap in border_traps(project))


def test_nested_colours_and_the_key_need_no_trap(demo: Demo) -> None:
    project = demo[0]
    slate = next(block for block in project.blocks if block.name == "Slate")
    rose = next(block for block in project.blocks if block.name == "Sky rose")
    nested = with_switch(project, rose.id, slate.colours[:1], True)
    pairs = {(t.lighter, t.darker) for t in border_traps(nested)}
    assert (1, 5) not in pairs
    assert not any(8 in pair for pair in pairs)


def test_a_switch_changes_what_is_predicted(demo: Demo) -> None:
    project = demo[0]
    before = predicted(project, printing_sets(project))
    rose = next(block for block in project.blocks if block.name == "Sky rose")
    changed = with_switch(project, rose.id, (5,), True)
    after = predicted(changed, printing_sets(changed))
    assert delta_e00(before[5], after[5]) > 3
    np.testing.assert_allclose(np.delete(before, 5, 0), np.delete(after, 5, 0))
    assert with_switch(changed, rose.id, (5,), False) == project


def test_kisses_are_found_with_their_length(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = demo[0]
    found = kisses(border_traps(project), demo_blocks.borders)
    lengths = [length for _, length in found]
    assert lengths == sorted(lengths, reverse=True)
    texts = [f.text for f in find(project, None, (), demo_blocks.borders)]
    assert any("only kiss" in text and "mm²" in text for text in texts)
    loose = replace(project, tolerance_mm=0.8)
    assert any("0.8 mm out of register" in f.text for f in find(loose, None, (), demo_blocks.borders))


def test_a_layer_that_changes_nothing_is_named(demo: Demo) -> None:
    project = with_strength(demo[0], demo[0].impressions[0].id, 0.02)
    texts = [finding.text for finding in find(project, None, ())]
    assert any(text.startswith("Sky rose changes nothing that is seen") for text in texts)
    assert not any("changes nothing" in f.text for f in find(demo[0], None, ()))


def test_every_cure_cures(demo: Demo, demo_blocks: CutBlocks) -> None:
    """The finding that proposed an edit is gone once the edit is made."""
    weak = with_strength(demo[0], demo[0].impressions[0].id, 0.02)
    opaque = demo[0]
    for impression in demo[0].impressions:
        opaque = with_ink(opaque, impression.zones[0].ink, opacity="opaque")
    cured = 0
    for project in (demo[0], weak, with_seam(opaque, 0.0)):
        for finding in find(project, None, (), demo_blocks.borders):
            if finding.cure is None:
                continue
            after = finding.cure.edit(project)
            assert after != project
            assert finding.text not in [f.text for f in find(after, None, (), demo_blocks.borders)]
            cured += 1
    assert cured >= 6


def test_running_through_costs_little_where_it_is_proposed(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = demo[0]
    for impression in project.impressions:
        project = with_ink(project, impression.zones[0].ink, opacity="opaque")
    project = with_seam(project, 0.0)
    before = predicted(project, printing_sets(project))
    through = [trap for trap, _ in kisses(border_traps(project), demo_blocks.borders) if trap.through]
    assert through
    for trap in through:
        changed = run_through(project, trap.lighter, trap.darker)
        after = predicted(changed, printing_sets(changed))
        assert delta_e00(before[trap.darker], after[trap.darker]) < 5


def test_the_least_seen_limit_weighs_width_contrast_and_length(demo: Demo, demo_blocks: CutBlocks) -> None:
    project, borders = demo[0], demo_blocks.borders
    now = seams_of(project, borders)
    assert 0 <= now.least <= now.seen
    taken = seams_of(with_seam(project, now.limit_de00), borders)
    assert taken.seen == pytest.approx(now.least)
    # The closer the register, the less a gap shows: fewer seams are worth their line.
    close, loose = (seams_of(replace(project, tolerance_mm=mm), borders) for mm in (0.05, 1.0))
    assert close.least < loose.least
    assert close.limit_de00 <= loose.limit_de00
    wide = seams_of(with_trap(with_seam(project, 100.0), 1.5), borders)
    assert wide.seen > seams_of(with_trap(with_seam(project, 100.0), 0.3), borders).seen


def test_a_graded_layer_is_judged_where_it_is_strongest(demo: Demo) -> None:
    """A cloud graded from nothing to a little, weak on its mean: it is seen at its strong end."""
    project = demo[0]
    pull = project.impressions[0].id
    pale = with_strength(project, pull, 0.0)
    grade = Grade((10, 10), (10, 250), 0.5)
    graded = with_grade(pale, pull, 0, grade)
    assert not any("changes nothing" in f.text for f in find(graded, None, ()))
    nearly_none = with_grade(pale, pull, 0, replace(grade, to=0.02))
    assert any("changes nothing" in f.text for f in find(nearly_none, None, ()))


def test_no_paper_is_said_to_show_where_a_further_block_prints_under_both(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = with_seam(demo[0], 0.0)
    said = [f.text for f in find(project, None, (), demo_blocks.borders) if "only kiss" in f.text]
    assert all("of bare paper" in text for text in said)
    (first, _), *_ = kisses(border_traps(project), demo_blocks.borders)
    assert project.flat is not None
    names = [project.flat.colours[n].name for n in (first.lighter, first.darker)]
    # A middle tone that both lie on: the join opens on it, and is said to, or is not worth a word.
    under = next(b.id for b in project.blocks if not b.is_key and not {first.lighter, first.darker} & set(b.colours))
    both = with_switch(project, under, (first.lighter, first.darker), True)
    for text in (f.text for f in find(both, None, (), demo_blocks.borders)):
        if "only kiss" in text and all(name in text for name in names):
            assert "from below" in text
            assert "bare paper" not in text


@pytest.mark.thorough
def test_what_would_help_an_unreached_colour_is_tried_not_guessed(demo: Demo) -> None:
    """A reduction with a transparent pale ink on top of darks: opaque reaches it, and the button says so."""
    project = with_method(demo[0], "reduction", None)
    for pull in project.impressions:
        project = with_ink(project, pull.zones[0].ink, opacity="transparent")
    found = [f for f in find(project, None, ()) if "cannot be reached" in f.text]
    assert not any("Choose Reduction again" in f.remedy for f in found)
    for finding in found:
        if finding.cure is None:
            assert "earlier" in finding.remedy
            continue
        name = finding.text.split(" cannot")[0]
        left = float(finding.text.split("ΔE ")[1].split(":")[0])
        after = [f for f in find(finding.cure.edit(project), None, ()) if f.text.startswith(f"{name} cannot")]
        assert not after or float(after[0].text.split("ΔE ")[1].split(":")[0]) < left - 1
