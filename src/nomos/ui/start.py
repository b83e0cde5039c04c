"""Where the window is put together and opened."""

import contextlib
import os
import socket
import sys
from pathlib import Path
from typing import Any

from PyQt6.QtCore import QLibraryInfo, QTimer
from PyQt6.QtWidgets import QApplication

from nomos.base.errors import BadInput
from nomos.base.folders import passing_folders, state_folder
from nomos.base.language import tr
from nomos.base.process import let_stand
from nomos.base.units import show_lengths_in
from nomos.project.edition.sheets import log_path
from nomos.ui.desk import Desk, set_up
from nomos.ui.frame import rescue, theme
from nomos.ui.frame.fault import fault_handler, last_edits
from nomos.ui.frame.questions import Dialogs
from nomos.ui.frame.signals import EndedBySignal
from nomos.ui.language import install, window_settings
from nomos.ui.preload import preload
from nomos.ui.stations.design.corner_dialog import ask_sheet

_ANSWER_S = 5.0
_PASSING = tr(
    "Settings and unsaved work cannot be kept in your own folders; until this machine is started anew they "
    "are in {}. Save to a place that can be written."
)


def open_window(path: Path | None, *, demo: str | None, walk: Path | None) -> int:
    """Open the window and stay until it is closed; returns the exit status.

    Parameters
    ----------
    path : a project or sketch to open.
    demo : begin on the demo of that name.
    walk : walk the demo through every station, with pictures and packet into this folder, and end.

    Raises
    ------
    BadInput : there is no display to open a window on.
    """
    _check_display()
    application = QApplication(sys.argv[:1])
    application.setApplicationName("nomos")
    application.setDesktopFileName("nomos")
    install()
    settings = window_settings()
    theme.dress(application, settings.value("text size", 0, int), settings.value("light or dark", "", str))
    show_lengths_in("in" if settings.value("lengths in", "mm", str) == "in" else "mm")
    desk = set_up(None, settings)
    let_stand()
    stack, hand = desk.document.stack, desk.controller
    sys.excepthook = fault_handler(
        state_folder(), desk.window.notice.tell, lambda: (last_edits(stack), hand.state.station)
    )
    if walk is not None:
        from nomos.ui.walk import walk_through

        status = walk_through(desk, walk)
        desk.close()
        return status
    keeping = rescue.Rescue(desk.document, rescue.rescue_folder())
    keeping.message.connect(desk.window.notice.tell)
    desk.window.show()
    if passing_folders():
        desk.window.notice.warn(_PASSING.format(", ".join(str(each) for each in passing_folders())))
    # After the window stands, so that a question has something to stand over.
    QTimer.singleShot(0, lambda: _begin(desk, path, demo, keeping))
    # Not `quit`, which asks every window first: nobody may be there to answer.
    ended = EndedBySignal(lambda: application.exit())
    application.commitDataRequest.connect(lambda _manager: keeping.keep_now())
    status = application.exec()
    if ended.by is not None:
        # What is not saved waits for the next start.
        keeping.keep_now()
        status = 128 + ended.by
    keeping.close(keep=ended.by is not None)
    desk.close()
    ended.close()
    if desk.window.studio.anew:
        settings.sync()
        start_anew(desk.document.path)
    return status


def start_anew(path: Path | None) -> None:
    """Another Nomos in this one's place, on a project. Returns only where that cannot be."""
    opened = [] if path is None else [str(path.resolve())]
    with contextlib.suppress(OSError):
        os.execv(sys.executable, [sys.executable, "-m", "nomos", *opened])


def _begin(desk: Desk, path: Path | None, demo: str | None, keeping: rescue.Rescue | None = None) -> None:
    # What was asked for by name is opened; work left behind waits for a start without.
    if path is None and demo is None:
        rescue.offer(
            desk.document, rescue.rescue_folder(), Dialogs(ask_sheet, desk.window),
            keep=keeping.keep_now if keeping is not None else lambda: False, tell=desk.window.notice.tell,
            carry=lambda path: desk.controller.bencher.book.carry(log_path(path)),
        )  # fmt: skip
    elif rescue.left_behind(rescue.rescue_folder()):
        desk.window.notice.tell(tr("There is unsaved work of another time: start without a file to see it."))
    if desk.document.project is not None:
        desk.controller.go_to("blocks")
    elif demo:
        desk.files.open_demo(demo)
    elif path is not None:
        desk.files.open(path)
    preload(desk.window.column, desk.document, desk.runner)


# These draw where nobody looks, or on the machine's own screen: they need no display server.
_WITHOUT_DISPLAY = ("offscreen", "minimal", "minimalegl", "vnc", "linuxfb", "eglfs")


def _check_display() -> None:
    """Qt ends the process where it finds no display: that is looked for before. Raises BadInput."""
    if not sys.platform.startswith("linux"):
        return
    wanted = [each.split(":")[0] for each in os.environ.get("QT_QPA_PLATFORM", "").split(";") if each]
    plugins = {path.stem.removeprefix("libq") for path in _plugins().glob("libq*.so")}
    known = [each for each in wanted if each in plugins]
    if wanted and not known:
        raise BadInput(
            tr(
                "QT_QPA_PLATFORM asks for {wanted}, which this Qt does not have; it has {plugins}.",
                wanted=", ".join(wanted),
                plugins=", ".join(sorted(plugins)),
            )
        )
    if any(each in _WITHOUT_DISPLAY for each in known):
        return
    x11, wayland = os.environ.get("DISPLAY", ""), os.environ.get("WAYLAND_DISPLAY", "")
    if wayland and not _wayland_answers(wayland):
        # Left over from another session: Qt would choose it before an X server that answers.
        del os.environ["WAYLAND_DISPLAY"]
        wayland, gone = "", wayland
    else:
        gone = ""
    may_x11 = not known or "xcb" in known
    may_wayland = not known or any(each.startswith("wayland") for each in known)
    if (may_wayland and wayland) or (may_x11 and x11 and _answers(x11)):
        return
    named = (x11 if may_x11 else "") or gone
    if named:
        raise BadInput(
            tr("Nothing answers at the display {wanted}; nomos plan and nomos check work without one.",
            wanted=named)
        )  # fmt: skip
    raise BadInput(tr("There is no display to open a window on; nomos plan and nomos demo --out DIR work without one."))


def _plugins() -> Path:
    """Where Qt's platforms lie."""
    return Path(QLibraryInfo.path(QLibraryInfo.LibraryPath.PluginsPath)) / "platforms"


def _wayland_answers(display: str) -> bool:
    """Whether a compositor answers at a display like wayland-0 (wl_display_connect(3))."""
    place = Path(os.environ.get("XDG_RUNTIME_DIR", "")) / display
    with socket.socket(socket.AF_UNIX) as asked:
        asked.settimeout(_ANSWER_S)
        try:
            asked.connect(str(place))
        except (OSError, ValueError):
            return False
    return True


def _answers(display: str) -> bool:
    """Whether an X server answers at a display like :0 or host:10.0 (X(7), display names)."""
    host, _, number = display.rpartition(":")
    number = number.split(".")[0]
    if not number.isdigit():
        return False
    places: list[tuple[socket.AddressFamily, Any]] = (
        [(socket.AF_INET, (host, 6000 + int(number)))]
        if host and host != "unix"
        else [(socket.AF_UNIX, f"{mark}/tmp/.X11-unix/X{number}") for mark in ("\0", "")]
    )
    for family, place in places:
        with socket.socket(family) as asked:
            asked.settimeout(_ANSWER_S)
            try:
                asked.connect(place)
            except (OSError, OverflowError):
                continue
            return True
    return False
