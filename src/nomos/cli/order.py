"""The commands about order and days: order, calendar."""

import argparse
from typing import Any

from nomos.base.atomic import write_bytes
from nomos.base.errors import BadInput
from nomos.cli.common import answers, command, output, print_json, save_out, say

DONE = 0


def add_commands(commands: Any) -> None:
    """Add the commands to the program's."""
    order = command(commands, "order", "the best print orders, and why", _order)
    order.add_argument("--pin", action="append", default=[], metavar="NAME=PLACE", help="a block at a place, from 1")
    order.add_argument(
        "--school",
        choices=("free", "light-to-dark", "key-first", "yellow-late", "line-under"),
        default="free",
        help="a rule to keep to",
    )
    output(order, "--out", "project", metavar="PROJECT", help="the project in the best order")

    calendar = command(commands, "calendar", "on which days to print", _calendar)
    calendar.add_argument("--start", required=True, metavar="DATE", help="first day, as 2026-12-01")
    output(calendar, "--out", "file", ".ics", metavar="FILE.ics", help="the days as iCalendar")

    rollers = command(commands, "rollers", "which roller takes which ink, and tack in one sitting", _rollers)
    rollers.add_argument("--rollers", type=int, default=1, metavar="N", help="how many there are, default 1")


def _order(options: argparse.Namespace) -> int:
    from nomos.project import load
    from nomos.project.order.search import order_reasons, with_order
    from nomos.work.orders import orders_of
    from nomos.work.packet import printable

    project, assets = load(options.project)
    pins = {}
    for text in options.pin:
        name, _, place = text.rpartition("=")
        pull = next((p.id for p in project.impressions if project.pull_name(p.id) == name.strip()), None)
        if pull is None:
            raise BadInput(f"No block is called '{name.strip()}'; --pin takes NAME=PLACE, as Key=1.")
        if not place.strip().isdigit() or not 1 <= int(place) <= len(project.impressions):
            raise BadInput(f"The place in '{text}' must be 1 to {len(project.impressions)}.")
        pins[pull] = int(place) - 1
    report = answers()(orders_of(project, printable(project, assets), options.school, tuple(pins.items())))
    names = {pull.id: project.pull_name(pull.id) for pull in project.impressions}
    orders = [
        {
            "impressions": [names[pull] for pull in choice.pulls],
            "best_at": list(choice.words),
            "mean_de00": round(choice.mean_de00, 3),
            "worst_de00": round(choice.worst_de00, 3),
            "washups": choice.washups,
            "days": choice.days,
            "hides_misregister": round(choice.hides, 3),
            "reasons": list(order_reasons(project, choice.pulls)),
        }
        for choice in report.choices
    ]
    if options.out:
        save_out(options, with_order(project, report.choices[0].pulls), assets)
    figures = {
        "orders": orders, "exact": report.exact, "gap_de00": round(report.gap_de00, 3),
        "distinct_outcomes": report.outcomes,
    }  # fmt: skip
    if options.json:
        print_json(figures)
        return DONE
    for choice in report.choices:
        order = ", ".join(names[pull] for pull in choice.pulls)
        print(
            f"{' and '.join(choice.words)}: dE00 {choice.mean_de00:.2f}, {choice.washups} wash-ups, "
            f"{choice.days} days: {order}"
        )
    many = "more than can be counted" if report.outcomes is None else report.outcomes
    nearer = "none comes nearer" if report.exact else f"one may come nearer by dE00 {report.gap_de00:.2f}"
    print(f"{many} different sheets can come out; {nearer} in the mean than the best here")
    return DONE


def _calendar(options: argparse.Namespace) -> int:
    from nomos.formats.ical import calendar_ics
    from nomos.order.times import day_of
    from nomos.project import load
    from nomos.project.model.sheets import planned_sheets
    from nomos.work.cut import cut_of
    from nomos.work.days import days_of

    project, assets = load(options.project)
    if not project.impressions:
        raise BadInput(f"{options.project.name} has nothing to print yet.")
    try:
        start = day_of(options.start)
    except ValueError:
        raise BadInput(f"'{options.start}' is not a day to begin on; write it as 2026-12-01.") from None
    planned = answers()(days_of(project, start, cut_of(project, assets)))
    plan = planned.calendar
    if plan is None:
        raise BadInput(planned.refused)
    figures: dict[str, Any] = {
        "sheets": planned_sheets(project),
        "days": plan.days,
        "dry": plan.end.isoformat(timespec="minutes"),
        "limit": plan.limit,
        "waits_h": {cause: round(hours, 1) for cause, hours in plan.waits_h.items()},
        "help": plan.help,
        "tasks": [
            {
                "kind": task.kind,
                "what": task.text,
                "start": task.start.isoformat(timespec="minutes"),
                "end": task.end.isoformat(timespec="minutes"),
                "sheets": task.sheets,
            }
            for task in plan.tasks
        ],
    }
    if options.out:
        write_bytes(options.out, calendar_ics(plan, project.title), keep=True)
        figures["file"] = str(options.out)
    if options.json:
        print_json(figures)
        return DONE
    for task in plan.tasks:
        if task.kind != "dry":
            sheets = f", {task.sheets} sheets" if task.sheets else ""
            print(f"{task.start:%a %d %b %H:%M} to {task.end:%H:%M}  {task.kind}: {task.text}{sheets}")
    print(f"dry on {plan.end:%a %d %b %H:%M}; limited by {plan.limit}. {plan.help}")
    return DONE


def _rollers(options: argparse.Namespace) -> int:
    from nomos.order.washing import rollers_for
    from nomos.project import load
    from nomos.project.blocks.pulls import inked_with
    from nomos.project.inks.films import sitting_advice

    project, _ = load(options.project)
    if not 1 <= options.rollers <= 4:
        raise BadInput("--rollers must be 1 to 4.")
    inked = [inked_with(project, pull) for pull in project.impressions]
    shared = rollers_for([[ink.lab for ink in some] for some in inked], options.rollers)
    advice = sitting_advice(project)
    steps = [
        {"ink": ink.name, "roller": roller + 1, "before": what}
        for some, taken, before in zip(inked, shared.roller, shared.before, strict=True)
        for ink, roller, what in zip(some, taken, before, strict=True)
    ]
    tack = [each.text for each in advice]
    figures = {"steps": steps, "washes": shared.washes, "rollers": shared.needed, "tack": tack}
    said = [f"{each['ink']}: roller {each['roller']}, before it {each['before']}" for each in steps]
    return say(options, figures, [*said, f"{shared.washes} full wash-ups", *tack])
