"""The real window, offscreen, with answers instead of dialogs; nothing may be left running or said by Qt."""

import gc
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from numpy.typing import NDArray
from PyQt6 import QtTest, sip
from PyQt6.QtCore import (
    QCoreApplication,
    QEvent,
    QPoint,
    QPointF,
    QSettings,
    Qt,
    QTimer,
    QtMsgType,
    qInstallMessageHandler,
)
from PyQt6.QtGui import QMouseEvent
from PyQt6.QtWidgets import QApplication, QPushButton, QWidget

from nomos.cli.common import answers as known
from nomos.design.cut import Corners, Found
from nomos.project import Assets, Project
from nomos.ui import walk
from nomos.ui.desk import Desk, set_up
from nomos.ui.frame import theme
from nomos.ui.frame.more import ALL
from nomos.ui.frame.picture_choice import Choice
from nomos.ui.frame.questions import Unsaved
from nomos.ui.language import window_settings
from nomos.ui.stations.bench.logbook import LogBook

# However slow the disk of the tests is, what is written down is there when a test looks.
LogBook.patience_s = 60.0

# The stubs take its static functions for methods.
QTest: Any = QtTest.QTest


@pytest.fixture(scope="session")
def application() -> QApplication:
    """One application for all tests."""
    found = QApplication.instance()
    made = found if isinstance(found, QApplication) else QApplication(["nomos"])
    theme.dress(made)
    # What is there from the beginning is never garbage: `_quiet_qt` need not go through it after every test.
    gc.collect()
    gc.freeze()
    return made


@pytest.fixture(autouse=True)
def _quiet_qt(application: QApplication, request: pytest.FixtureRequest) -> Iterator[None]:  # noqa: ARG001 - Qt must be there
    """Fails a test on a word from Qt, or on a timer left running."""
    said: list[str] = []
    harmless = ("propagateSizeHints", "does not support raise")

    def hear(kind: QtMsgType, _context: object, text: str | None) -> None:
        if kind != QtMsgType.QtDebugMsg and not any(word in (text or "") for word in harmless):
            said.append(text or "")

    before = qInstallMessageHandler(hear)
    yield
    qInstallMessageHandler(before)
    assert not said, f"Qt said: {said}"
    if "desk" not in request.fixturenames:
        return
    gc.collect()
    timers = [found for found in gc.get_objects() if isinstance(found, QTimer) and not sip.isdeleted(found)]
    running = [timer for timer in timers if timer.isActive()]
    assert not running, "timers left running"


@dataclass
class Answers:
    """What a user would answer; set by the test."""

    open: Path | None = None
    shelf: Path | None = None
    blocks: list[Path] = field(default_factory=list)
    scan: Path | None = None
    readings: Path | None = None
    save: Path | None = None
    folder: Path | None = None
    printed: Path | None = None
    studio: Path | None = None
    replace: bool = False
    read_only: bool = False
    replacing: list[tuple[str, bool]] = field(default_factory=list)
    exported: Path | None = None
    leave: Unsaved = "discard"
    rescued: bool = True
    change_printed: bool = True
    renamed: list[tuple[str, str, str]] = field(default_factory=list)
    renamed_goes_on: bool = True
    contradicted: list[str] = field(default_factory=list)
    asked: int = 0
    doubted: list[Found] = field(default_factory=list)
    sheet_there: bool = True
    compared: list[Sequence[Choice]] = field(default_factory=list)
    picture_wanted: int | None = None

    def file_to_open(self) -> Path | None:
        return self.open

    def sheet_in(self, pixels: NDArray[np.uint8], found: Found) -> Corners | None:  # noqa: ARG002
        self.doubted.append(found)
        return found.sheet if self.sheet_there else None

    def which_picture(self, title: str, choices: Sequence[Choice]) -> int | None:  # noqa: ARG002
        self.compared.append(choices)
        return self.picture_wanted

    def blocks_to_open(self) -> list[Path]:
        return self.blocks

    def shelf_to_open(self) -> Path | None:
        return self.shelf

    def scan_to_open(self) -> Path | None:
        return self.scan

    def readings_to_open(self) -> Path | None:
        return self.readings

    def file_to_save(self, suggestion: Path) -> Path | None:  # noqa: ARG002
        return self.save

    def folder_for_packet(self) -> Path | None:
        return self.folder

    def studio_to_save(self) -> Path | None:
        return self.studio

    def studio_to_open(self) -> Path | None:
        return self.studio

    def picture_to_save(self) -> Path | None:
        return self.exported

    def file_to_print(self) -> Path | None:
        return self.printed

    def may_replace(self, name: str, *, meant: bool) -> bool:
        self.replacing.append((name, meant))
        return self.replace

    def open_to_read(self, name: str, holder: str) -> bool:  # noqa: ARG002
        return self.read_only

    def unsaved(self, title: str) -> Unsaved:  # noqa: ARG002
        self.asked += 1
        return self.leave

    def take_up(self, title: str) -> bool:  # noqa: ARG002
        return self.rescued

    def belongs_to(self, title: str, name: str, now: str) -> bool:
        self.renamed.append((title, name, now))
        return self.renamed_goes_on

    def contradicts(self, said: tuple[str, ...]) -> bool:
        self.contradicted += said
        return self.change_printed


@pytest.fixture
def answers() -> Answers:
    """The user's answers."""
    return Answers()


@pytest.fixture
def desk(answers: Answers, tmp_path: Path) -> Iterator[Desk]:
    """The empty window at 1280 x 800, with every setting in sight unless a test has said otherwise."""
    kept = window_settings()
    if not kept.contains(ALL):
        kept.setValue(ALL, True)
    made = set_up(answers, QSettings(str(tmp_path / "window.ini"), QSettings.Format.IniFormat))
    # An answer hangs on its request alone: most tests open the same demo, and it is cut once for all of them.
    made.runner.answers = known()
    # What nobody waits for is worked out by those tests that are about it: see `settle`.
    made.runner.hold_quiet(True)
    made.window.resize(1280, 800)
    made.window.show()
    settle(made)
    yield made
    answers.leave = "discard"
    made.window.close()
    made.close()
    made.window.deleteLater()
    QCoreApplication.sendPostedEvents(None, QEvent.Type.DeferredDelete)
    QApplication.processEvents()


@pytest.fixture
def demo_desk(desk: Desk, demo: tuple[Project, Assets]) -> Desk:
    """The window on the demo, its proof laid."""
    project, assets = demo
    desk.document.begin(project, dict(assets), saved=True)
    desk.controller.go_to("blocks")
    settle(desk)
    return desk


@pytest.fixture
def little_desk(desk: Desk, little: tuple[Project, Assets]) -> Desk:
    """The window on a small print, its proof laid in a blink."""
    project, assets = little
    desk.document.begin(project, dict(assets), saved=True)
    desk.controller.go_to("blocks")
    settle(desk)
    return desk


@pytest.fixture
def saved(little_desk: Desk, tmp_path: Path) -> Desk:
    little_desk.document.save(tmp_path / "pane.nomos")
    return little_desk


def settle(desk: Desk, *, closely: bool = False) -> None:
    """Wait for everything; the close look and how sure colours are is begun only when it matters."""
    desk.runner.hold_quiet(not closely)
    walk.settle(desk, () if closely else ("check", "sure", "inking", "ahead"))


def press(widget: QWidget, x: float, y: float) -> None:
    """A click of the left button."""
    QTest.mouseClick(widget, Qt.MouseButton.LeftButton, pos=QPoint(round(x), round(y)))


def drag(widget: QWidget, *places: tuple[float, float], each: Callable[[], object] | None = None) -> None:
    """Press at the first place, move through the others, let go at the last."""
    points = [QPointF(x, y).toPoint() for x, y in places]
    QTest.mousePress(widget, Qt.MouseButton.LeftButton, pos=points[0])
    for point in points[1:]:
        # QTest.mouseMove carries no pressed button on the offscreen platform.
        _move(widget, point)
        if each is not None:
            each()
    QTest.mouseRelease(widget, Qt.MouseButton.LeftButton, pos=points[-1])


def _move(widget: QWidget, point: QPoint) -> None:
    left = Qt.MouseButton.LeftButton
    event = QMouseEvent(
        QEvent.Type.MouseMove, QPointF(point), widget.mapToGlobal(QPointF(point)), left, left,
        Qt.KeyboardModifier.NoModifier,
    )  # fmt: skip
    QApplication.sendEvent(widget, event)


def project_of(desk: Desk) -> Project:
    project = desk.document.project
    assert project is not None
    return project


def names(desk: Desk) -> list[str]:
    project = project_of(desk)
    return [project.block(impression.block).name for impression in project.impressions]


def look_at(desk: Desk, shown: str) -> None:
    """Have the sheet show something: by its word in the row, or in the menu beside it."""
    looks = desk.window.looks
    if shown in looks.actions_by_look:
        looks.actions_by_look[shown].trigger()
    else:
        click(looks.buttons[shown])


def click(button: QPushButton) -> None:
    QTest.mouseClick(button, Qt.MouseButton.LeftButton)
