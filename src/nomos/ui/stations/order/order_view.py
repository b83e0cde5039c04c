"""What the Order station shows: orders worth a look, the days, cleaning and tack."""

from dataclasses import dataclass
from datetime import date

from nomos.base.language import opened, tr
from nomos.base.units import counted, number
from nomos.order.calendar import Calendar
from nomos.order.times import Times
from nomos.order.washing import CAUTION, rollers_for
from nomos.project import Project, Proof, mean_difference
from nomos.project.blocks.pulls import inked_with
from nomos.project.inks.films import sitting_advice
from nomos.project.model.sheets import planned_sheets
from nomos.project.order.days import first_day, runs_of
from nomos.project.order.search import SCHOOLS, OrderReport, with_order
from nomos.ui.frame.cards import Card
from nomos.ui.frame.view import small_print
from nomos.work.days import Planned

Figures = tuple[tuple[str, str], ...]
_WEEK = (tr("Mo"), tr("Tu"), tr("We"), tr("Th"), tr("Fr"), tr("Sa"), tr("Su"))
_CLEANING = {"none": tr("as it is"), "wipe": tr("wipe"), "wash": tr("wash up")}


@dataclass(frozen=True, eq=False)
class OrdersView:
    """Which orders are worth a look?"""

    school: str
    why_school: str
    pins: str
    pinned: bool
    cards: tuple[Card, ...]
    note: str
    own: str


def best_cards(project: Project, proof: Proof | None, report: OrderReport | None, tall: int) -> tuple[Card, ...]:
    """Orders found and what they cost. tall : of their pictures, pixels."""
    now = tuple(each.id for each in project.impressions)
    cards = []
    for place, choice in enumerate(report.choices if report else ()):
        picture = None
        if proof is not None and proof.laid.pulls == set(choice.pulls):
            picture = small_print(proof.reordered(with_order(project, choice.pulls)), tall)
        washes = counted(choice.washups, tr("wash-up"), tr("wash-ups"))
        cards.append(
            Card(
                str(place),
                opened(", ".join(choice.words)),
                tr(
                    "ΔE {mean_de00}   worst {worst_de00}",
                    mean_de00=number(choice.mean_de00), worst_de00=number(choice.worst_de00),
                ),
                tr(
                    "{washes}, {days} days, hides {hides} %",
                    washes=washes, days=choice.days, hides=number(100 * choice.hides, 0),
                ),
                choice.pulls == now,
                picture,
            )
        )  # fmt: skip
    return tuple(cards)


def orders_view(
    project: Project, proof: Proof | None, report: OrderReport | None, school: str, pins: tuple[tuple[str, int], ...],
    pull: str | None, cards: tuple[Card, ...],
) -> OrdersView:  # fmt: skip
    """Orders worth a look, and the one on the ladder. cards : of those that were found."""
    names = {each.id: project.pull_name(each.id) for each in project.impressions}
    pinned = ", ".join(
        tr("{names} at {place}", names=names[each], place=place + 1) for each, place in pins if each in names
    )
    note = ""
    if report is not None:
        exact = (
            tr("none comes nearer in the mean than the first here")
            if report.exact
            else tr(
                "too many to try all: one may come nearer by a mean ΔE of {gap} at most", gap=number(report.gap_de00, 2)
            )
        )
        outcomes = tr("Too many") if report.outcomes is None else f"{report.outcomes:,}".replace(",", " ")
        note = tr("{outcomes} different sheets can come out; {exact}.", outcomes=outcomes, exact=exact)
    return OrdersView(
        school, SCHOOLS[school][1], tr("Pinned: {pinned}.", pinned=pinned) if pinned else "",
        pull is not None and pull in dict(pins), cards, note, _own(project, proof),
    )  # fmt: skip


def _own(project: Project, proof: Proof | None) -> str:
    """The figures of the order on the ladder, while a rung is dragged too."""
    if proof is None or proof.laid.pulls != {each.id for each in project.impressions}:
        return ""
    matches = proof.reordered(project).matches
    washes = sum(run.after == "wash" for run in runs_of(project)[:-1])
    worst = max((match.de00 for match in matches), default=0.0)
    return tr(
        "On the ladder: ΔE {mean_difference}, worst {worst}, {washes}.",
        mean_difference=number(mean_difference(matches)),
        worst=number(worst),
        washes=counted(washes, tr("wash-up"), tr("wash-ups")),
    )


# So much of a long edition is listed and drawn.
MOST_STEPS = 120


@dataclass(frozen=True, eq=False)
class DaysView:
    """On which days?"""

    times: Times
    start: str
    plan: Calendar | None
    refused: str
    said: str
    steps: Figures
    lost: str


def days_view(project: Project, today: date, planned: Planned | None) -> DaysView:
    """The days of the edition. today : where it begins if nothing else is said; planned : once they are."""
    times = project.times
    start = first_day(project, today).isoformat()
    lost = ", ".join(times.lost)
    if planned is None or planned.calendar is None:
        refused = planned.refused if planned is not None else ""
        return DaysView(times, start, None, refused, "" if refused else tr("working"), (), lost)
    plan, steps = planned.calendar, []
    for task in [each for each in plan.tasks if each.kind != "dry"][:MOST_STEPS]:
        sheets = (
            tr(", {sheets} sheets", sheets=task.sheets)
            if task.sheets and task.sheets != planned_sheets(project)
            else ""
        )
        steps.append(
            (
                tr("{start:%a %d %b} {what}", start=task.start, what=task.text) + sheets,
                f"{task.start:%H:%M} – {task.end:%H:%M}",
            )
        )
    said = tr(
        "{planned_sheets} sheets in {days}, dry on {end:%a %d %b %H:%M}. What limits it: {limit}. {help}",
        planned_sheets=planned_sheets(project), days=counted(plan.days, tr("day"), tr("days")), end=plan.end,
        limit=tr(plan.limit), help=plan.help,
    )  # fmt: skip
    if times.way == "sheet by sheet":
        said += tr(" Wet on wet, and every sheet a little different.")
    if len(plan.tasks) > 2 * MOST_STEPS:
        said += tr(" Only the beginning is listed here; the calendar file has all of it.")
    return DaysView(times, start, plan, "", said, tuple(steps), lost)


@dataclass(frozen=True)
class SittingView:
    """What is cleaned, and does the tack fall?"""

    rollers: int
    steps: Figures
    said: str
    advice: tuple[str, ...]
    caution: str


def sitting_view(project: Project, rollers: int) -> SittingView:
    """Rollers and cleaning for the order there is, and the tack of what goes on wet."""
    pulls = project.impressions
    inked = [inked_with(project, pull) for pull in pulls]
    labs = [[ink.lab for ink in some] for some in inked]
    shared, one = rollers_for(labs, rollers), rollers_for(labs, 1)
    steps = tuple(
        (f"{place}  {ink.name}", tr("roller {roller}, {cleaning}", roller=roller + 1, cleaning=_CLEANING[what]))
        for place, (some, taken, before) in enumerate(zip(inked, shared.roller, shared.before, strict=True), start=1)
        for ink, roller, what in zip(some, taken, before, strict=True)
    )
    said = tr(
        "{washes} before or between the pulls", washes=counted(shared.washes, tr("full wash-up"), tr("full wash-ups"))
    )
    said += tr(", {washes} with one roller.", washes=one.washes) if rollers > 1 else "."
    if shared.needed > rollers:
        said += tr(" One pull takes {needed} rollers or brushes at once.", needed=shared.needed)
    texts = tuple(each.text for each in sitting_advice(project))
    return SittingView(rollers, steps, said, texts, CAUTION if texts else "")


def week_days() -> tuple[str, ...]:
    """The days of the week, Monday first, in two letters."""
    return _WEEK
