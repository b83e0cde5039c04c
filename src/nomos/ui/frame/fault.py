"""What is written down of a fault of the program: enough to mend it, and nothing of the picture."""

import platform
import traceback
from collections.abc import Callable, Sequence
from datetime import datetime
from importlib.metadata import version
from pathlib import Path
from types import TracebackType

from PyQt6.QtCore import QT_VERSION_STR
from PyQt6.QtGui import QUndoStack

from nomos.base.atomic import write_text
from nomos.base.errors import BadInput
from nomos.base.language import tr

Handler = Callable[[type[BaseException], BaseException, TracebackType | None], None]

_LAST_EDITS = 20
# So many are written in one session; a fault that comes with every mouse move would fill the disk.
_MOST_REPORTS = 10
_TOLD = tr(
    "That did not work, through a fault of the program; your project is as it was. What happened is in {}: "
    "read it, and send it to us. Nothing of your picture is in it."
)
_UNTOLD = tr("That did not work, through a fault of the program ({}); your project is as it was.")


def last_edits(stack: QUndoStack) -> list[str]:
    """What was done last, the latest last, in the words of the undo list."""
    return [stack.text(place) for place in range(max(0, stack.index() - _LAST_EDITS), stack.index())]


def report(error: BaseException, edits: Sequence[str], station: str) -> str:
    """The report: versions, where the hand was, what was done last, and where it went wrong."""
    lines = [
        tr(
            "Nomos {version}, Python {python_version}, Qt {qt_version_str}",
            version=version("nomos"), python_version=platform.python_version(), qt_version_str=QT_VERSION_STR,
        ),
        platform.platform(),
        tr("{now:%Y-%m-%d %H:%M:%S}, at the station {station}", now=datetime.now(), station=station),
        "",
        tr("Done last:"),
        *(f"  {text}" for text in edits),
        "",
        *traceback.format_exception(error),
    ]  # fmt: skip
    return "\n".join(lines)


def fault_handler(folder: Path, tell: Callable[[str], None], seen: Callable[[], tuple[Sequence[str], str]]) -> Handler:
    """What happens to an error nobody expected: a report is written, it is said in a sentence, work goes on.

    folder : for the reports. seen : the last edits, and the station.
    """
    written: list[Path] = []

    def handle(kind: type[BaseException], error: BaseException, trace: TracebackType | None) -> None:
        if len(written) >= _MOST_REPORTS:
            return
        path = folder / f"fault-{datetime.now():%Y%m%d-%H%M%S}-{len(written)}.txt"
        written.append(path)
        try:
            write_text(path, report(error.with_traceback(trace), *seen()))
        except BadInput:
            tell(_UNTOLD.format(f"{kind.__name__}: {error}"))
            return
        tell(_TOLD.format(path))

    return handle
