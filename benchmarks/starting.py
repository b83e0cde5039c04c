"""Start-up of `nomos --help` and of the bare window, beside an empty PyQt6 window."""

import os
import subprocess
import sys
import tempfile

from benchmarks.timing import Line, Section, side_by_side

EMPTY = """
import sys
from PyQt6.QtCore import QTimer
from PyQt6.QtWidgets import QApplication, QWidget
application = QApplication(sys.argv)
window = QWidget()
window.resize(1280, 800)
window.show()
QTimer.singleShot(0, application.quit)
application.exec()
"""
OURS = """
import gc
import sys
gc.disable()  # as the program itself does
from PyQt6.QtCore import QTimer
import nomos.ui.start as start
gc.enable()
begin = start._begin

def begin_and_end(*asked):
    begin(*asked)
    QTimer.singleShot(0, start.QApplication.quit)

start._begin = begin_and_end
start.open_window(None, demo=None, walk=None)
"""
_AIM_S = 0.6


def _run(home: str, *arguments: str) -> None:
    kept = {**os.environ, "QT_QPA_PLATFORM": "offscreen", "HOME": home, "XDG_STATE_HOME": home,
            "XDG_CONFIG_HOME": home, "XDG_CACHE_HOME": home}  # fmt: skip
    subprocess.run([sys.executable, *arguments], env=kept, check=True, capture_output=True, timeout=60)


def measure() -> Section:
    """Each from the start of the process to its end, the window shown and one event turn handled.

    One home for all runs: in a new one fontconfig looks through the system's fonts first.
    """
    with tempfile.TemporaryDirectory() as home:
        window_s, empty_s = side_by_side(lambda: _run(home, "-c", OURS), lambda: _run(home, "-c", EMPTY))
        help_s, _ = side_by_side(lambda: _run(home, "-m", "nomos", "--help"), lambda: _run(home, "-c", EMPTY))
    return Section(
        "Start-up, the whole process",
        (
            Line("Empty PyQt6 window", f"{empty_s:.2f} s"),
            Line(
                "nomos, bare window", f"{window_s:.2f} s",
                f"{window_s - empty_s:+.2f} s, aim at most +{_AIM_S} s",
            ),
            Line("nomos --help", f"{help_s:.2f} s", f"{help_s - empty_s:+.2f} s"),
        ),
        "met" if max(window_s, help_s) - empty_s <= _AIM_S else "missed",
    )  # fmt: skip
