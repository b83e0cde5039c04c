"""A hand that presses, types, drags and undoes at random in the real window."""

import contextlib
import io
import logging
import os
import random
import resource
import sys
import time
import traceback
from collections.abc import Callable, Iterator
from pathlib import Path
from typing import Any

from attacking.children import told_by_child
from attacking.files import Attack, Seeds

_TURNS = 60
# The window's thread may be held so long on a busy machine.
_HELD_S = 0.5
# What would wait for an answer over the window, or end it.
_LEFT_ALONE = ("Close", "Quit", "Preferences", "Print…", "Print the", "About", "File a", "Preview")
_FOLDERS = ("XDG_STATE_HOME", "XDG_CONFIG_HOME", "XDG_DATA_HOME", "HOME")


class Nobody:
    """Answers every question of the window, mostly with nothing."""

    def __init__(self, folder: Path, rng: random.Random) -> None:
        self._folder, self._rng = folder, rng

    def __getattr__(self, name: str) -> Callable[..., Any]:
        answers = {
            "unsaved": "discard", "blocks_to_open": [], "contradicts": True, "may_replace": True,
            "open_to_read": False, "take_up": True,
            "file_to_save": self._rng.choice((None, self._folder / "hand.nomos")),
            "folder_for_packet": self._rng.choice((None, None, self._folder / "packet")),
            "picture_to_save": self._rng.choice((None, self._folder / "sheet.png")),
            "file_to_open": self._rng.choice((None, None, self._folder / "a.nomos")),
        }  # fmt: skip
        return lambda *_args, **_kwargs: answers.get(name)


def window_of(folder: Path, questions: Any = None) -> Any:
    """A window at 1280 x 800 with settings of its own."""
    # Set only here, in the process of an attack: whoever imports this keeps to his own.
    os.environ |= {"QT_QPA_PLATFORM": "offscreen", "QT_LOGGING_RULES": "*=false"}
    os.environ |= dict.fromkeys(_FOLDERS, str(folder))
    from PyQt6.QtCore import QSettings
    from PyQt6.QtWidgets import QApplication

    from nomos.ui.desk import set_up
    from nomos.ui.frame import theme

    application = QApplication.instance() or QApplication(["nomos"])
    # Qt's object must outlive this call.
    window_of.application = application  # type: ignore[attr-defined]
    theme.dress(application)  # type: ignore[arg-type]
    asked = questions or Nobody(folder, random.Random(0))
    desk = set_up(asked, QSettings(str(folder / "window.ini"), QSettings.Format.IniFormat))
    desk.window.resize(1280, 800)
    desk.window.show()
    return desk


def settle(desk: Any) -> None:
    """Let everything come in that somebody waits for."""
    from nomos.ui.walk import settle as settled

    settled(desk, ("check", "sure", "inking"))


class Hand:
    """One window, and what goes wrong in it."""

    def __init__(self, folder: Path, rng: random.Random) -> None:
        self.rng, self.faults, self.longest = rng, list[str](), (0.0, "")
        sys.excepthook = self._hear
        self._log = logging.Handler(logging.ERROR)
        self._log.emit = self._hear_job  # type: ignore[method-assign]
        logging.getLogger("nomos").addHandler(self._log)
        self.desk = window_of(folder, Nobody(folder, rng))
        self.desk.files.open(folder / "a.nomos")
        settle(self.desk)

    def _hear(self, kind: type[BaseException], error: BaseException, tree: Any) -> None:
        frames = [each for each in traceback.extract_tb(tree) if "nomos" in each.filename]
        place = " < ".join(f"{Path(each.filename).name}:{each.lineno}" for each in frames[:-5:-1]) or "?"
        self.faults.append(f"{kind.__name__} at {place} ({str(error)[:60]!r})")

    def _hear_job(self, record: logging.LogRecord) -> None:
        if record.exc_info and record.exc_info[0] is not None and record.exc_info[1] is not None:
            self._hear(record.exc_info[0], record.exc_info[1], record.exc_info[2])

    def turn(self) -> str:
        """One thing done at random; what it was."""
        from PyQt6.QtWidgets import QApplication

        act, name = self.rng.choice(list(self._possible()))
        # The thread's own time: another process beside it is not the window's fault.
        begun = time.thread_time()
        with contextlib.suppress(RuntimeError):
            act()
        QApplication.processEvents()
        took = time.thread_time() - begun
        if took > self.longest[0]:
            self.longest = took, name
        return name

    def _possible(self) -> Iterator[tuple[Callable[[], object], str]]:
        """Kinds of action, each as likely as any other; what it is done to is chosen within."""
        rng, window = self.rng, self.desk.window
        from PyQt6.QtGui import QAction
        from PyQt6.QtWidgets import QAbstractButton, QComboBox, QDoubleSpinBox, QLineEdit, QSlider, QSpinBox

        from nomos.ui.frame.state import STATIONS

        buttons = [
            each for each in window.findChildren(QAbstractButton)
            if each.isVisible() and each.isEnabled() and not any(word in each.text() for word in _LEFT_ALONE)
        ]  # fmt: skip
        actions = [
            each for each in window.findChildren(QAction)
            if each.isEnabled() and each.menu() is None and each.text()
            and not any(word in each.text().replace("&", "") for word in (*_LEFT_ALONE, "…"))
        ]  # fmt: skip
        for made, name in ((buttons, "press"), (buttons, "press"), (actions, "menu")):
            if made:
                one = rng.choice(made)
                yield (one.click if name == "press" else one.trigger), f"{name} {one.text()[:40]}"
        station = rng.choice(STATIONS)
        yield (lambda: window.go_to(station)), f"go to {station}"
        yield self.desk.document.stack.undo, "undo"
        yield self.desk.document.stack.redo, "redo"
        for kind, set_ in (
            (QSlider, lambda w: w.setValue(rng.randint(w.minimum(), w.maximum()))),
            (QSpinBox, lambda w: w.setValue(rng.choice((w.minimum(), w.maximum(), rng.randint(0, 50))))),
            (QDoubleSpinBox, lambda w: w.setValue(rng.choice((w.minimum(), w.maximum(), rng.random() * 9)))),
            (QComboBox, lambda w: w.setCurrentIndex(rng.randrange(max(w.count(), 1)))),
            (QLineEdit, lambda w: (w.setText(rng.choice(("", "1,5", "-3", "frost", "9" * 40, "<&>\n"))),
                                   w.editingFinished.emit())),
        ):  # fmt: skip
            seen = [each for each in window.findChildren(kind) if each.isVisible() and each.isEnabled()]
            if seen:
                one = rng.choice(seen)
                yield (
                    (lambda one=one, set_=set_: set_(one)),
                    f"set {kind.__name__} {one.accessibleName()[:30]}",
                )
        yield self._drag, "drag on the sheet"
        yield self._key, "a key"

    def _key(self) -> None:
        from PyQt6 import QtTest
        from PyQt6.QtCore import Qt

        keys = [getattr(Qt.Key, f"Key_{letter}") for letter in "ABCDEFGHIJKLMNOPRSTUVWXYZ123456789"]
        keys += [Qt.Key.Key_Left, Qt.Key.Key_Down, Qt.Key.Key_Plus, Qt.Key.Key_Minus, Qt.Key.Key_Escape,
                 Qt.Key.Key_Tab, Qt.Key.Key_Space, Qt.Key.Key_Return, Qt.Key.Key_Delete]  # fmt: skip
        QtTest.QTest.keyClick(self.desk.window, self.rng.choice(keys))

    def _drag(self) -> None:
        from PyQt6 import QtTest
        from PyQt6.QtCore import QEvent, QPoint, QPointF, Qt
        from PyQt6.QtGui import QMouseEvent
        from PyQt6.QtWidgets import QApplication

        widget = self.rng.choice((self.desk.window.sheet, self.desk.window.ladder))
        left = Qt.MouseButton.LeftButton
        wide, tall = max(widget.width(), 1), max(widget.height(), 1)
        places = [QPoint(self.rng.randrange(wide), self.rng.randrange(tall)) for _ in range(3)]
        QtTest.QTest.mousePress(widget, left, pos=places[0])
        for place in places[1:]:
            at = QPointF(place)
            QApplication.sendEvent(widget, QMouseEvent(
                QEvent.Type.MouseMove, at, widget.mapToGlobal(at), left, left, Qt.KeyboardModifier.NoModifier,
            ))  # fmt: skip
        QtTest.QTest.mouseRelease(widget, left, pos=places[-1])

    def close(self) -> float:
        """Close the window; seconds it took."""
        begun = time.perf_counter()
        self.desk.document.stack.setClean()
        self.desk.window.close()
        self.desk.close()
        return time.perf_counter() - begun


def random_hand(seeds: Seeds) -> dict[str, Attack]:
    """Sixty things done at random in a window on a project."""

    def act(folder: Path, rng: random.Random) -> str:
        (folder / "a.nomos").write_bytes(seeds.project)
        return told_by_child(lambda: _played(folder, rng))

    return {"hands": act}


def _played(folder: Path, rng: random.Random) -> str:
    with contextlib.redirect_stderr(io.StringIO()):
        hand = Hand(folder, rng)
        last = ""
        for _ in range(_TURNS):
            last = hand.turn()
        settle(hand.desk)
        took = hand.close()
    if hand.faults:
        return f"{hand.faults[0]}, the last action {last}"
    if took > 1.0:
        return f"closing took {took:.1f} s"
    held, name = hand.longest
    return f"held {held:.1f} s by {name}" if held > _HELD_S else ""


def endurance(folder: Path, turns: int, seed: int) -> None:
    """Say how memory grows over so many actions in one window.

    What is open, and how many answers are kept, moves it by hundreds of MB either way. What may have been
    lost shows at rest: on the same project each time, with nothing kept.
    """
    rest = folder / "rest.nomos"
    rest.write_bytes((folder / "a.nomos").read_bytes())
    hand = Hand(folder, random.Random(f"endurance {seed}"))
    at_200 = 0.0
    for turn in range(1, turns + 1):
        hand.turn()
        if turn % 200 == 0:
            settle(hand.desk)
            hand.desk.collector.collect(whole=True)
            busy, kept = _resident_mb(), hand.desk.runner.answers.size / 1e6
            now = _at_rest(hand, rest)
            at_200 = at_200 or now
            print(f"{turn} actions: {busy:.0f} MB with {kept:.0f} MB of answers; at rest {now:.0f} MB, "
                  f"{now - at_200:+.0f} since 200; held longest {hand.longest[0]:.2f} s by "
                  f"{hand.longest[1]}", flush=True)  # fmt: skip
            hand.longest = 0.0, ""
    for fault in dict.fromkeys(hand.faults):
        print(fault)
    peak = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss // 1024
    print(f"{len(set(hand.faults))} distinct faults; peak {peak} MB")
    hand.close()


def _at_rest(hand: Hand, path: Path) -> float:
    hand.desk.document.stack.setClean()
    hand.desk.files.open(path)
    settle(hand.desk)
    hand.desk.window.go_to("blocks")
    settle(hand.desk)
    hand.desk.runner.answers.forget()
    hand.desk.collector.collect(whole=True)
    return _resident_mb()


def _resident_mb() -> float:
    pages = int(Path("/proc/self/statm").read_text().split()[1])
    return pages * resource.getpagesize() / 1e6
