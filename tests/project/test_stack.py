"""The stack: sheets that go into every pull, and that are lost there."""

from itertools import pairwise

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from msgspec.structs import replace

from nomos.edition import Event, replay
from nomos.project import Assets, CutBlocks, Project, impressions_to_lay, lay_sheet
from nomos.project.edition.sheets import with_edition
from nomos.project.edition.stack import edition_stack, steps_of
from nomos.project.model.edits import with_workshop
from nomos.project.model.sheets import planned_sheets

Demo = tuple[Project, Assets]


@given(good=st.floats(0.5, 1.0), proofing=st.integers(0, 9), sacrificed=st.booleans(), sheets=st.integers(1, 300))
def test_every_sheet_that_is_cut_is_lost_once_or_left(
    demo: Demo, good: float, proofing: int, sacrificed: bool, sheets: int
) -> None:
    project = with_workshop(with_edition(demo[0], good=good, proofing=proofing, sacrificed=sacrificed), sheets=sheets)
    steps = steps_of(project, None)
    assert steps[0].before == sheets
    assert sum(step.lost for step in steps) + steps[-1].after == pytest.approx(sheets)
    assert all(one.after == pytest.approx(other.before) for one, other in pairwise(steps))
    # On the average the share that is good goes through all layers: by hand.
    aside = min(proofing + sacrificed * len(steps), sheets)
    assert steps[-1].after == pytest.approx((sheets - aside) * good ** len(steps))


def test_what_is_logged_takes_the_place_of_what_is_expected(demo: Demo) -> None:
    pulls = tuple(pull.id for pull in demo[0].impressions)
    at = "2026-12-01T09:00:00"
    log = [Event(at, "layer", 0, pull=pulls[0])]
    log += [Event(at, "spoiled" if n < 3 else "good", 0, n, pull=pulls[0]) for n in range(1, 11)]
    state = replay([*log, Event(at, "layer", 1, pull=pulls[1])], pulls, 10)
    project = with_workshop(with_edition(demo[0], proofing=0, sacrificed=False), sheets=10)
    steps = steps_of(project, state)
    assert (steps[0].before, steps[0].lost, steps[0].printed) == (10, 2, True)
    # The second is begun and not done: expected, from what is left.
    assert (steps[1].before, steps[1].printed) == (8, False)
    assert steps[1].lost == pytest.approx(8 * (1 - project.plan.good))


def test_piles_grow_lower_and_the_lost_lie_beside(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = replace(demo[0])
    laid = lay_sheet(demo_blocks, impressions_to_lay(project))
    stack = edition_stack(project, laid, steps_of(project, None))
    assert [tile.word.split(":")[0] for tile in stack.tiles] == [str(n) for n in range(1, 9)]
    assert stack.tiles[0].word.split(":")[1].strip().startswith(f"{planned_sheets(project)}.0")
    lost = np.all(stack.picture == (190, 70, 55), axis=2)
    of_pull = [
        lost[
            round(t.place.top * stack.px_per_mm) : round(t.place.bottom * stack.px_per_mm),
            round(t.place.left * stack.px_per_mm) : round(t.place.right * stack.px_per_mm),
        ].sum()
        for t in stack.tiles
    ]
    # Proofing takes most, at the first pull; at every one something is lost.
    assert of_pull[0] == max(of_pull)
    assert min(of_pull) > 0
