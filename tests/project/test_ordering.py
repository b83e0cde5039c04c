"""Orders of a project: the demo, schools, pins, wet pulls, reductions; the days as iCalendar."""

from datetime import date
from itertools import permutations

import numpy as np
import pytest
from icalendar import Calendar as Ics
from msgspec.structs import replace

from nomos.formats.ical import calendar_ics
from nomos.order.times import Times
from nomos.project import (
    Assets,
    CutBlocks,
    LaidSheet,
    Project,
    ProjectError,
    colour_matches,
    cut_blocks,
    impressions_to_lay,
    lay_sheet,
    mask_request,
    mean_difference,
    sheet_labs,
)
from nomos.project.blocks.reduction import with_reduction
from nomos.project.blocks.zones import printed_again, with_grade
from nomos.project.inks.edits import with_ink
from nomos.project.model import Grade
from nomos.project.order.costs import OrderCosts
from nomos.project.order.days import calendar_of, runs_of
from nomos.project.order.search import best_orders, order_reasons, with_order
from nomos.project.register.system import with_register

Demo = tuple[Project, Assets]
START = date(2026, 11, 30)


@pytest.fixture(scope="module")
def laid(demo: Demo, demo_blocks: CutBlocks) -> LaidSheet:
    return lay_sheet(demo_blocks, impressions_to_lay(demo[0]))


@pytest.fixture(scope="module")
def little_blocks(little: Demo) -> CutBlocks:
    request = mask_request(*little)
    assert request is not None
    return cut_blocks(request)


def mean_of(project: Project, laid: LaidSheet) -> float:
    return mean_difference(colour_matches(project, laid, sheet_labs(project, laid)))


def test_no_order_of_the_demo_is_better(demo: Demo, demo_blocks: CutBlocks, laid: LaidSheet) -> None:
    project = demo[0]
    for pull in project.impressions[2:4]:
        project = with_ink(project, pull.zones[0].ink, opacity="semi")
    report = best_orders(project, laid, demo_blocks.borders)
    assert report.exact
    assert (report.outcomes or 0) > 1000
    least = min(choice.mean_de00 for choice in report.choices)
    generator = np.random.default_rng(1)
    ids = [pull.id for pull in project.impressions]
    for _ in range(60):
        other = with_order(project, [ids[n] for n in generator.permutation(len(ids))])
        assert mean_of(other, laid) >= least - 1e-9
    best = next(choice for choice in report.choices if "best colour" in choice.words)
    # Of those that nobody can tell apart the one that the trade would print.
    assert best.mean_de00 <= least + 1e-3
    assert mean_of(with_order(project, best.pulls), laid) == pytest.approx(best.mean_de00)
    words = {word for choice in report.choices for word in choice.words}
    assert words == {"best colour", "fewest days", "fewest wash-ups", "hides misregister", "the usual order"}
    assert len(order_reasons(project, best.pulls)) == 8
    washes = {word: choice.washups for choice in report.choices for word in choice.words}
    assert washes["fewest wash-ups"] <= washes["the usual order"]


@pytest.mark.thorough
def test_schools_and_pins_are_kept(demo: Demo, demo_blocks: CutBlocks, laid: LaidSheet) -> None:
    project, borders = demo[0], demo_blocks.borders
    key = next(p.id for p in project.impressions if project.block(p.block).is_key)

    def orders(**wanted: object) -> list[tuple[str, ...]]:
        report = best_orders(project, laid, borders, **wanted)  # type: ignore[arg-type] # school, pins
        return [choice.pulls for choice in report.choices if "the usual order" not in choice.words]

    assert all(order[0] == key for order in orders(school="key-first"))
    assert all(order[-1] == key for order in orders(school="yellow-late"))
    ochre = next(p.id for p in project.impressions if project.block(p.block).name == "Bed ochre")
    assert all(order.index(ochre) == 6 for order in orders(school="yellow-late"))
    assert all(order[-1] != key for order in orders(school="line-under"))
    assert len(best_orders(project, laid, borders, school="light-to-dark").choices) == 1
    pinned = orders(pins={project.impressions[3].id: 0, key: 5})
    assert all(order[0] == project.impressions[3].id and order[5] == key for order in pinned)
    with pytest.raises(ProjectError, match="no order at all"):
        best_orders(project, laid, borders, school="key-first", pins={key: 7})
    with pytest.raises(ProjectError, match="changed meanwhile"):
        with_order(project, ("pull1",))


def test_wet_pulls_stay_together_and_flat_comes_before_graded(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = demo[0]
    pulls = list(project.impressions)
    pulls[4] = replace(pulls[4], wet=True)
    project = printed_again(replace(project, impressions=tuple(pulls)), pulls[1].id)
    again = project.impressions[2].id
    project = with_grade(project, again, 0, Grade((50, 20), (50, 200), 0.2))
    laid = lay_sheet(demo_blocks, impressions_to_lay(project))
    for choice in best_orders(project, laid, demo_blocks.borders).choices:
        if "the usual order" in choice.words:
            continue
        order = choice.pulls
        assert order.index(pulls[4].id) == order.index(pulls[3].id) + 1
        assert order.index(pulls[1].id) < order.index(again)


def test_a_reduction_has_one_order(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = with_reduction(demo[0])
    masks = tuple(np.isin(demo_blocks.labels, list(block.colours)).astype(np.uint8) for block in project.blocks)
    blocks = CutBlocks(demo_blocks.labels, masks, demo_blocks.px_per_mm, masks)
    report = best_orders(project, lay_sheet(blocks, impressions_to_lay(project)), blocks.borders)
    assert report.outcomes == 1
    assert report.choices[0].pulls == tuple(pull.id for pull in project.impressions)
    runs = runs_of(project)
    assert [run.cut_before for run in runs] == [False] + [True] * (len(runs) - 1)


def test_the_calendar_is_read_back_by_the_icalendar_package(demo: Demo) -> None:
    project = replace(demo[0], times=Times(damp=True))
    plan = calendar_of(project, START)
    data = calendar_ics(plan, project.title)
    assert data == calendar_ics(plan, project.title)
    read = Ics.from_ical(data)
    events = list(read.walk("VEVENT"))
    assert len(events) == len(plan.tasks)
    printing = [event for event in events if str(event["SUMMARY"]).startswith("Print: ")]
    starts = sorted(event.decoded("DTSTART") for event in printing)
    assert starts == [t.start.replace(microsecond=0) for t in plan.tasks if t.kind == "print"]
    assert any(str(event["TRANSP"]) == "TRANSPARENT" for event in events)
    assert read["X-WR-CALNAME"] == project.title
    with pytest.raises(ProjectError, match="too short"):
        calendar_of(replace(project, times=Times(opens=9, closes=9.4)), START)


@pytest.mark.parametrize(
    "times", [Times(opens=18, closes=9), Times(days=()), Times(rack=0), Times(humidity=140), Times(lost=("soon",))]
)
def test_times_that_cannot_be_are_refused(demo: Demo, times: Times) -> None:
    with pytest.raises(ProjectError):
        replace(demo[0], times=times)


def test_wet_printing_takes_no_drying_and_small_orders_agree_with_all(
    demo: Demo, laid: LaidSheet, demo_blocks: CutBlocks
) -> None:
    project = demo[0]
    pulls = list(project.impressions)
    pulls[3] = replace(pulls[3], wet=True)
    runs = runs_of(replace(project, impressions=tuple(pulls)))
    assert runs[2].drying_h == 0
    assert runs[3].drying_h > 0
    # Four pulls pinned, the other four tried in every order.
    pins = {pull.id: place for place, pull in enumerate(project.impressions) if place < 4}
    report = best_orders(project, laid, demo_blocks.borders, pins=pins)
    ids = [pull.id for pull in project.impressions]
    every = [mean_of(with_order(project, [*ids[:4], *rest]), laid) for rest in permutations(ids[4:])]
    assert min(c.mean_de00 for c in report.choices if c.pulls[:4] == tuple(ids[:4])) == pytest.approx(min(every))


@pytest.mark.parametrize("case", ["sheet by sheet", "wet pairs", "damp", "opaque", "graded", "first is wet"])
def test_no_order_of_a_small_print_is_better_however_it_is_printed(
    little: Demo, little_blocks: CutBlocks, case: str
) -> None:
    """All 24 orders laid by hand, ink on wet ink among them; what a choice says of itself is so."""
    project = little[0]
    tacks = dict(zip((pull.main.ink for pull in project.impressions), (8.0, 3.0, 6.0, 2.0), strict=True))
    project = replace(project, inks=tuple(replace(ink, tack=tacks[ink.id]) for ink in project.inks))
    # One that hides makes the order matter wherever something lies over it.
    project = with_ink(project, project.impressions[1].main.ink, opacity="semi")
    pulls = list(project.impressions)
    if case == "sheet by sheet":
        project = replace(project, times=replace(project.times, way="sheet by sheet"))
    elif case in ("wet pairs", "first is wet"):
        place = 0 if case == "first is wet" else 2
        pulls[place] = replace(pulls[place], wet=True)
        project = replace(project, impressions=tuple(pulls))
    elif case == "damp":
        project = with_register(project, damp=True)
    elif case == "opaque":
        for pull in pulls[1:3]:
            project = with_ink(project, pull.main.ink, opacity="opaque")
    else:
        project = with_grade(project, pulls[0].id, 0, Grade((20, 20), (20, 80), 0.2))
    laid = lay_sheet(little_blocks, impressions_to_lay(project))
    report = best_orders(project, laid, little_blocks.borders)
    ids = [pull.id for pull in project.impressions]
    together = ids.index(pulls[2].id) if case == "wet pairs" else None
    every = {
        order: mean_of(with_order(project, order), laid)
        for order in permutations(ids)
        if together is None or order.index(ids[2]) == order.index(ids[1]) + 1
    }
    assert report.exact
    units = [(0,), (1, 2), (3,)] if case == "wet pairs" else [(n,) for n in range(4)]
    orders = list(permutations(range(len(units))))
    reckoned = OrderCosts(project, laid, units).of_all(orders)
    laid_by_hand = [every[tuple(ids[n] for unit in order for n in units[unit])] for order in orders]
    assert reckoned == pytest.approx(laid_by_hand)
    # There is something to be found: another order than the first makes another print.
    assert max(laid_by_hand) > min(laid_by_hand) + 0.02
    assert min(each.mean_de00 for each in report.choices) == pytest.approx(min(every.values()), abs=1e-9)
    for choice in report.choices:
        assert choice.mean_de00 == pytest.approx(every[choice.pulls])
    best = {word: choice for choice in report.choices for word in choice.words}
    assert best["hides misregister"].hides == max(choice.hides for choice in report.choices)
    assert best["fewest days"].days == min(choice.days for choice in report.choices)
    assert best["fewest wash-ups"].washups == min(choice.washups for choice in report.choices)


def test_sheet_by_sheet_with_many_pulls_says_that_it_is_not_exact(
    demo: Demo, demo_blocks: CutBlocks, laid: LaidSheet
) -> None:
    """Eight pulls are too many to try all orders of; what is found is no worse than the usual order."""
    project = replace(demo[0], times=replace(demo[0].times, way="sheet by sheet"))
    report = best_orders(project, laid, demo_blocks.borders)
    assert not report.exact
    assert report.gap_de00 == pytest.approx(report.choices[0].mean_de00, abs=1e-3)
    usual = next(choice for choice in report.choices if "the usual order" in choice.words)
    assert report.choices[0].mean_de00 <= usual.mean_de00


def test_among_equals_the_key_stays_where_the_trade_prints_it(
    demo: Demo, demo_blocks: CutBlocks, laid: LaidSheet
) -> None:
    """Of orders that give the same sheet the best colour is the one nearest to the usual order."""
    project = demo[0]
    report = best_orders(project, laid, demo_blocks.borders)
    best = next(choice for choice in report.choices if "best colour" in choice.words)
    key = next(p.id for p in project.impressions if project.block(p.block).is_key)
    # Later than it stands, or last, were no better: it is where it has to be.
    for place in range(best.pulls.index(key) + 1, len(best.pulls)):
        rest = [pull for pull in best.pulls if pull != key]
        later = with_order(project, [*rest[:place], key, *rest[place:]])
        assert round(mean_of(later, laid), 3) > round(best.mean_de00, 3)
