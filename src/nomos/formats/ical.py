"""The calendar of an edition as iCalendar (RFC 5545)."""

from datetime import UTC, datetime

from nomos.base.language import tr
from nomos.order.calendar import Calendar

_WORDS = {"print": tr("Print"), "cut": tr("Cut"), "damp": tr("Paper"), "dry": tr("Drying")}


def calendar_ics(plan: Calendar, title: str) -> bytes:
    """Printing, cutting and damping as events in local time; drying as events that do not block the day."""
    from icalendar import Calendar as Ics
    from icalendar import Event

    ics = Ics()
    ics.add("prodid", "-//Nomos//calendar of an edition//EN")
    ics.add("version", "2.0")
    ics.add("x-wr-calname", title)
    for place, task in enumerate(plan.tasks):
        event = Event()
        sheets = tr(", {sheets} sheets", sheets=task.sheets) if task.sheets else ""
        event.add("summary", f"{_WORDS[task.kind]}: {task.text}{sheets}")
        event.add("dtstart", task.start.replace(microsecond=0))
        event.add("dtend", task.end.replace(microsecond=0))
        # The same plan gives the same bytes: the stamp is its own beginning.
        event.add("dtstamp", datetime.combine(task.start.date(), datetime.min.time(), UTC))
        event.add("uid", f"{task.start:%Y%m%dT%H%M}-{place}@nomos")
        event.add("transp", "TRANSPARENT" if task.kind == "dry" else "OPAQUE")
        ics.add_component(event)
    return bytes(ics.to_ical())
