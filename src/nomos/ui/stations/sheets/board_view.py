"""What the board of all sheets says of the chosen one."""

from dataclasses import dataclass
from datetime import datetime

from nomos.base.language import tr
from nomos.base.units import counted
from nomos.edition import EditionState
from nomos.project import Project
from nomos.project.edition.board import MOST_SHEETS, sheet_facts

_HOW = tr("Each picture is a sheet as it looks now; a spoiled one is crossed through. Click one.")


@dataclass(frozen=True)
class BoardView:
    """The chosen sheet: a heading, "" while none is chosen, and what is known of it."""

    said: str
    heading: str = ""
    facts: tuple[tuple[str, str], ...] = ()
    best: bool = False
    spoiled: bool = False


def board_view(project: Project, state: EditionState | None, sheet: int | None, now: datetime) -> BoardView:
    """The board."""
    if state is None:
        return BoardView(tr("There is nothing to print yet."))
    beyond = len(state.histories) - MOST_SHEETS
    said = (
        tr("{how} {beyond} more have no room here.", how=_HOW, beyond=counted(beyond, tr("sheet"), tr("sheets")))
        if beyond > 0
        else _HOW
    )
    if sheet is None or sheet not in state.histories:
        return BoardView(said)
    history = state.histories[sheet]
    number = f", {history.number}" if history.number else ""
    return BoardView(
        said, tr("Sheet {sheet}{number}", sheet=sheet, number=number), sheet_facts(project, state, sheet,
        now), history.chosen,
        history.spoiled_at is not None,
    )  # fmt: skip
