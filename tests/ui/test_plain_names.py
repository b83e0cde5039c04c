"""A name is shown as it is written, wherever it stands: no markup in it is rendered, no file is loaded."""

import re
from pathlib import Path

import pypdfium2
import pytest
from msgspec.structs import replace
from PyQt6.QtCore import Qt, QTimer
from PyQt6.QtGui import QAction
from PyQt6.QtWidgets import QApplication, QLabel, QMessageBox, QWidget

from nomos.project import Assets, Project, save
from nomos.ui.desk import Desk
from nomos.ui.frame.questions import Dialogs
from nomos.ui.frame.state import STATIONS
from nomos.ui.stations.design.corner_dialog import ask_sheet
from nomos.work.packet import write_packet
from tests.ui.conftest import settle

ODD = '<img src="file:///etc/hostname"><a href="x">frost</a>'
PLAIN = Qt.TextFormat.PlainText


def named(project: Project) -> Project:
    """Everything in a print that has a name, called so."""
    return replace(
        project, title=ODD, paper=replace(project.paper, name=ODD),
        inks=tuple(replace(ink, name=f"{ODD} {n}") for n, ink in enumerate(project.inks)),
        blocks=tuple(replace(block, name=f"{ODD} {n}") for n, block in enumerate(project.blocks)),
    )  # fmt: skip


@pytest.fixture
def odd_desk(desk: Desk, little: tuple[Project, Assets], tmp_path: Path) -> Desk:
    path = tmp_path / f"{ODD.replace('/', '|')}.nomos"
    project = named(little[0])
    save(path, project, little[1])
    desk.files.open(path)
    settle(desk)
    return desk


def rendered(whole: QWidget) -> list[str]:
    """What Qt would render of the labels and tips of a window."""
    found = [f"label {each.text()}" for each in whole.findChildren(QLabel)
             if "<img" in each.text() and each.textFormat() != PLAIN]  # fmt: skip
    tips = [each.toolTip() for each in whole.findChildren(QWidget)]
    tips += [each.toolTip() for each in whole.findChildren(QAction)]
    return found + [f"tip {tip}" for tip in tips if "<img" in tip]


def test_no_station_renders_a_name(odd_desk: Desk) -> None:
    desk = odd_desk
    for station in STATIONS:
        desk.controller.go_to(station)
        settle(desk)
        assert rendered(desk.window) == [], station
    shown = [label.text() for label in desk.window.findChildren(QLabel) if "<img" in label.text()]
    assert shown
    desk.controller.fields.rename("another")
    settle(desk)
    desk.window.notice.tell(f"{ODD} could not be saved\x1b[2J\u202e.")
    assert rendered(desk.window) == []
    assert not {"\x1b", "\u202e"} & set(desk.window.notice.text())


def test_no_question_renders_a_name(odd_desk: Desk) -> None:
    seen: list[tuple[str, object]] = []

    def close() -> None:
        box = QApplication.activeModalWidget()
        assert isinstance(box, QMessageBox)
        seen.append((box.text(), box.textFormat()))
        assert "<img" not in box.informativeText()
        box.reject()

    dialogs = Dialogs(ask_sheet, odd_desk.window)
    for ask in (
        lambda: dialogs.may_replace(ODD, meant=True),
        lambda: dialogs.open_to_read(ODD, ODD),
        lambda: dialogs.unsaved(ODD),
        lambda: dialogs.take_up(ODD),
        lambda: dialogs.belongs_to(ODD, ODD, ODD),
        lambda: dialogs.contradicts((ODD,)),
    ):
        QTimer.singleShot(0, close)
        ask()
    assert len(seen) == 6
    assert all("<img" in text and how == PLAIN for text, how in seen)


def test_tips_are_given_in_one_way() -> None:
    """`set_tip` shows words as words: nothing gives a tip otherwise."""
    source = Path(__file__).parents[2] / "src" / "nomos" / "ui"
    found = [
        path.name
        for path in source.rglob("*.py")
        if re.search(r"\.setToolTip\(", path.read_text("utf-8")) and path.name != "plain_text.py"
    ]
    assert found == []


def test_printed_pages_hold_the_name_as_it_is_written(
    little: tuple[Project, Assets], odd_desk: Desk, tmp_path: Path
) -> None:
    write_packet(tmp_path / "packet", named(little[0]), little[1], odd_desk.runner.answers)
    for name in ("index", "blocks", "pulls", "statement", "carving", "transfer"):
        pages = pypdfium2.PdfDocument(tmp_path / "packet" / f"{name}.pdf")
        text = "".join(page.get_textpage().get_text_range() for page in pages)
        assert "<img" in text, name
