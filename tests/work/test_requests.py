"""A request names all that its answer depends on: what it gives is what the whole project gives."""

import dataclasses
from collections.abc import Callable
from dataclasses import dataclass
from datetime import date
from typing import Any

import msgspec
import numpy as np
import pytest
from msgspec.structs import replace

from nomos.base.fields import with_value
from nomos.project import (
    Assets,
    CutBlocks,
    LaidSheet,
    Project,
    digest,
    impressions_to_lay,
    labels_from_png,
    labels_to_png,
    lay_sheet,
)
from nomos.project.blocks.edits import with_bare_colour, with_block, with_switch
from nomos.project.blocks.inking import with_own_ink, with_zone_drawn
from nomos.project.blocks.pulls import moved_impression
from nomos.project.blocks.zones import with_grade
from nomos.project.check.closelook import look_closely
from nomos.project.check.inking import look_at_inking
from nomos.project.edition.carving import carve_blocks, with_craft, with_material
from nomos.project.inks.colour_uncertainty import judge
from nomos.project.inks.data import with_ink_data
from nomos.project.inks.edits import with_ink, with_strength
from nomos.project.inks.mixing import underlay_of, wanted_of
from nomos.project.model import Grade, ProofReading
from nomos.project.model.edits import with_paper, with_pull, with_seam, with_sheet, with_trap, with_workshop
from nomos.project.order.days import calendar_of, days_needed
from nomos.project.order.search import best_orders
from nomos.project.register.comparison import planned
from nomos.project.register.edits import with_offset
from nomos.project.register.magnified import magnify
from nomos.project.register.practice import make_exercise
from nomos.project.register.system import with_register
from nomos.project.register.tolerance import flash_fast
from nomos.proof import Misregister
from nomos.work import Answers, Request
from nomos.work.carve import carve_of
from nomos.work.cut import cut_of, sheet_of
from nomos.work.days import Planned, count_of, days_of
from nomos.work.flash import flash_of, magnify_of, practise_of
from nomos.work.freedom import freedom_request, look_for_freedom
from nomos.work.inking import inking_of
from nomos.work.orders import orders_of
from nomos.work.recipes import recipes_of
from nomos.work.review import look_of
from nomos.work.scan import planned_of
from nomos.work.sure import sure_of

Edit = Callable[[Project], Project]

# The second pull of the small print.
PULL, PLACE = "pull2", (60.0, 70.0)
MONDAY = date(2026, 11, 30)

EDITS: dict[str, Edit] = {
    "as it is": lambda p: p,
    "title": lambda p: replace(p, title="Another"),
    "trap": lambda p: with_trap(p, 1.2),
    "seam": lambda p: with_seam(p, 0.0),
    "tolerance": lambda p: replace(p, tolerance_mm=1.0),
    "fineness": lambda p: replace(p, line_mm=2.5, tool_mm=3.0),
    "ink colour": lambda p: with_ink(p, p.inks[0].id, lab=(50.0, 20.0, -20.0)),
    "shade": lambda p: with_ink(p, p.inks[0].id, lab=(p.inks[0].lab[0] - 0.5, *p.inks[0].lab[1:])),
    "opacity": lambda p: with_ink(p, p.inks[1].id, opacity="opaque"),
    "vehicle and tack": lambda p: with_ink_data(p, p.inks[1].id, vehicle="water-based", tack=9.0),
    "drying": lambda p: with_ink_data(p, p.inks[0].id, drying_h=90.0),
    "strength": lambda p: with_strength(p, p.impressions[1].id, 0.4, 0),
    "grade": lambda p: with_grade(p, p.impressions[1].id, 0, Grade((20, 20), (20, 80), 0.1)),
    "wet": lambda p: with_pull(p, p.impressions[1].id, wet=True),
    "offset": lambda p: with_offset(p, p.impressions[1].id, Misregister(0.6, 0.2, 0.1)),
    "order": lambda p: moved_impression(p, p.impressions[2].id, 0),
    "paper colour": lambda p: with_paper(p, lab=(80.0, 3.0, 12.0)),
    "paper kind": lambda p: replace(p, paper=replace(p.paper, kind="coated", surface="rough")),
    "grain": lambda p: replace(p, paper=replace(p.paper, grain="width", growth=(2.0, 3.0))),
    "sheet": lambda p: with_sheet(p, (120.0, 140.0)),
    "damp": lambda p: with_register(p, damp=True),
    "system": lambda p: with_register(p, system="jig"),
    "marks": lambda p: with_register(p, marks="rings"),
    "budget": lambda p: with_value(p, "register.budget.seating_mm", 0.9),
    "hand": lambda p: replace(p, kento=dataclasses.replace(p.kento, hand="left")),
    "switch": lambda p: with_switch(p, p.blocks[0].id, (2,), True),
    "bare": lambda p: with_bare_colour(p, 1),
    "key": lambda p: with_block(p, p.blocks[0].id, is_key=True),
    "material": lambda p: with_craft(p, material="soft wood", thickness_mm=6.0),
    "grip": lambda p: with_workshop(p, grip_mm=0.0),
    "clearance": lambda p: with_workshop(p, clearance_mm=2.0),
    "carried": lambda p: with_workshop(p, carried="tracing"),
    "sheets": lambda p: with_workshop(p, sheets=400),
    "sheet by sheet": lambda p: replace(p, times=replace(p.times, way="sheet by sheet")),
    "oil on wet": lambda p: with_pull(
        with_ink_data(p, p.inks[1].id, modifier="oil", modifier_pct=8.0), p.impressions[1].id, wet=True
    ),
    "a step of oil": lambda p: with_pull(
        with_workshop(with_ink_data(p, p.inks[1].id, modifier="oil", modifier_pct=8.0, tack=7.0), oil_step_pct=9.0),
        p.impressions[1].id,
        wet=True,
    ),
    "own material": lambda p: with_material(p, p.blocks[0].id, "hard wood"),
    "a zone by hand": lambda p: with_own_ink(
        with_zone_drawn(p, p.impressions[0].id, (((20, 20), (60, 20), (60, 80), (20, 80)),), "inked"),
        p.impressions[0].id,
        1,
    ),
    "most zones": lambda p: with_workshop(p, most_zones=1),
    "working day": lambda p: replace(p, times=replace(p.times, pull_min=40.0)),
    "a reading": lambda p: replace(p, readings=(ProofReading(p.impressions[0].id, "2026-11-01", 0, 1.0, 1.0, 0.1),)),
}


@dataclass(frozen=True)
class Whole:
    """A project with its blocks and sheet."""

    project: Project
    assets: Assets
    blocks: CutBlocks
    laid: LaidSheet


def _carved(whole: Whole) -> Any:
    return carve_blocks(whole.project, whole.blocks)


def _cut_h(whole: Whole) -> dict[str, float]:
    return {each.block: each.effort.hours for each in _carved(whole)}


def _look(whole: Whole) -> Any:
    cut = cut_of(whole.project, whole.assets)
    assert cut is not None
    look = look_closely(whole.project, cut.masks, whole.blocks, whole.laid)
    return dataclasses.replace(look, opened=dataclasses.replace(look.opened, block=""))


JOBS: dict[str, tuple[Callable[..., Request[Any]], Callable[[Whole], Any]]] = {
    "carve": (carve_of, _carved),
    "look": (look_of, _look),
    "days": (lambda p, cut: days_of(p, MONDAY, cut), lambda w: Planned(calendar_of(w.project, MONDAY, _cut_h(w)))),
    "day count": (count_of, lambda w: days_needed(w.project, _cut_h(w))),
    "freedom": (lambda p, cut: freedom_request(p, cut, PULL), lambda w: look_for_freedom(w.project, w.laid, PULL)),
    "inking": (inking_of, lambda w: look_at_inking(w.project, w.blocks)),
    "flash": (lambda p, cut: flash_of(p, cut, 3), lambda w: flash_fast(w.project, w.blocks, 3)),
    "close": (lambda p, cut: magnify_of(p, cut, PLACE), lambda w: magnify(w.project, w.blocks, PLACE)),
    "practise": (lambda p, cut: practise_of(p, cut, 3), lambda w: make_exercise(w.project, w.blocks, 3)),
    "planned": (planned_of, lambda w: planned(w.project, w.blocks)),
    "orders": (orders_of, lambda w: _figures(best_orders(w.project, w.laid, w.blocks.borders))),
    "sure": (lambda p, _cut: sure_of(p), lambda w: judge(w.project)),
}


def _figures(report: Any) -> Any:
    """The orders by what they come to: of two that come to the same either may be named."""
    return report.exact, report.outcomes, sorted((c.mean_de00, c.washups) for c in report.choices)


def parts(value: Any) -> Any:
    """A value as plain lists and figures, to be compared."""
    if isinstance(value, np.ndarray):
        return value.shape, value.tobytes() if value.dtype.kind in "bui" else np.round(
            value.astype(np.float64), 6
        ).tolist()
    if dataclasses.is_dataclass(value):
        return {f.name: parts(getattr(value, f.name)) for f in dataclasses.fields(value)}
    if isinstance(value, msgspec.Struct):
        return msgspec.to_builtins(value)
    if isinstance(value, dict):
        return {str(key): parts(part) for key, part in value.items()}
    if isinstance(value, list | tuple):
        return [parts(part) for part in value]
    return round(value, 6) if isinstance(value, float) else value


@pytest.fixture(scope="module")
def little(little: tuple[Project, Assets]) -> tuple[Project, Assets]:
    """The small print at half its resolution."""
    project, assets = little
    assert project.flat is not None
    png = labels_to_png(np.ascontiguousarray(labels_from_png(assets[project.flat.labels])[::2, ::2]))
    return replace(project, flat=replace(project.flat, labels=digest(png))), {digest(png): png}


@pytest.fixture(scope="module")
def ask() -> Answers:
    return Answers()


@pytest.mark.thorough
@pytest.mark.parametrize("job", JOBS)
def test_an_answer_hangs_on_its_request_alone(job: str, little: tuple[Project, Assets], ask: Answers) -> None:
    """Each field changed in turn: what the request gives is what the whole project gives."""
    of, by_hand = JOBS[job]
    seen: dict[Request[Any], Any] = {}
    for name, edit in EDITS.items():
        project, assets = edit(little[0]), little[1]
        cut = cut_of(project, assets)
        assert cut is not None
        blocks = ask(cut)
        request = of(project, cut)
        whole = Whole(project, assets, blocks, lay_sheet(blocks, impressions_to_lay(project)))
        answer = Answers()(request) if request not in seen else seen[request]
        seen[request] = answer
        answer = _figures(answer) if job == "orders" else answer
        if job == "look":
            answer = dataclasses.replace(answer, opened=dataclasses.replace(answer.opened, block=""))
        assert parts(answer) == parts(by_hand(whole)), name


def test_what_does_not_matter_asks_nothing_anew(little: tuple[Project, Assets]) -> None:
    """An edit of inks cuts nothing, a title does nothing at all, an order is the order of none."""
    project, assets = little
    cut = cut_of(project, assets)
    assert cut is not None

    def changed(*names: str) -> set[str]:
        found = set()
        for name in names:
            after = EDITS[name](project)
            other = cut_of(after, assets)
            assert other is not None
            asked = {"sheet": sheet_of, **{job: of for job, (of, _) in JOBS.items()}}
            found |= {job for job, of in asked.items() if of(after, other) != of(project, cut)}
            found |= {"cut"} if other != cut else set()
        return found

    assert changed("title", "a reading") == set()
    inked = {"orders", "flash", "close", "practise", "planned", "sure", "inking", "freedom", "days", "day count"}
    assert changed("sheets", "working day", "drying") == inked
    assert not changed("shade", "drying") & {"cut", "sheet", "carve", "look"}
    assert changed("grip") == {"carve", "days", "day count"}
    assert changed("clearance") == {"look", "inking"}
    assert changed("carried") == {"flash", "close", "practise", "days", "day count"}
    assert "orders" not in changed("order")
    assert changed("material") == {"carve", "look", "orders", "days", "day count"}
    assert {"cut", "sheet", "carve", "look", "flash"} <= changed("trap")
    assert {"flash"} <= changed("budget", "damp", "grain", "system")


def test_recipes_follow_paper_and_what_is_printed_before(little: tuple[Project, Assets]) -> None:
    project = little[0]
    pull = project.impressions[1].id
    own = recipes_of(project, pull, 0, project.inks, 2)
    for name, edit in EDITS.items():
        after = edit(project)
        request = recipes_of(after, pull, 0, project.inks, 2)
        if not any(each.id == pull for each in after.impressions):
            continue
        same = wanted_of(after, pull) == wanted_of(project, pull) and parts(underlay_of(after, pull)) == parts(
            underlay_of(project, pull)
        )
        assert same or request != own, name
        assert parts(underlay_of(request.project, pull)) == parts(underlay_of(after, pull)), name
