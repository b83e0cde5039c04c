"""How much is decided, clicked and typed from a picture to the templates, by mouse and keyboard alone."""

from pathlib import Path

import pytest
from PyQt6.QtCore import QPoint, Qt
from PyQt6.QtWidgets import QAbstractButton, QAbstractSpinBox, QWidget

import nomos.demo
from nomos.project.blocks.methods import METHODS, Method, method_of
from nomos.registration.systems import SYSTEMS
from nomos.ui.desk import Desk
from nomos.ui.frame.more import ALL
from nomos.ui.language import window_settings
from tests.ui.conftest import Answers, QTest, click, press, project_of, settle

NONE, CTRL = Qt.KeyboardModifier.NoModifier, Qt.KeyboardModifier.ControlModifier
# A file or a folder is chosen and taken: two clicks in the desktop's own dialog.
_DIALOG = 2
DEMOS = Path(nomos.demo.__file__).parent


class Hand:
    """Counts what it does in the window."""

    def __init__(self, desk: Desk, answers: Answers) -> None:
        self.desk, self.answers, self.done = desk, answers, 0

    def key(self, key: Qt.Key, modifiers: Qt.KeyboardModifier = NONE) -> None:
        """A key with what is held beside it: one."""
        QTest.keyClick(self.desk.window, key, modifiers)
        self._after()

    def click(self, button: QWidget) -> None:
        """What can be seen and clicked."""
        assert button.isVisible()
        assert button.isEnabled()
        click(button)  # type: ignore[arg-type]
        self._after()

    def row(self, rows: QWidget, at: float) -> None:
        """A row of a list."""
        assert rows.isVisible()
        press(rows, 60, at)
        self._after()

    def write(self, box: QAbstractSpinBox, words: str) -> None:
        """A click on a figure, the keys of another, and Return."""
        line = box.lineEdit()
        assert line is not None
        assert box.isVisible()
        QTest.mouseClick(line, Qt.MouseButton.LeftButton, pos=QPoint(12, line.height() // 2))
        settle(self.desk)
        QTest.keyClicks(line, words)
        QTest.keyClick(line, Qt.Key.Key_Return)
        self.done += len(words) + 1
        self._after()

    def open(self, path: Path) -> None:
        """Ctrl+O and the desktop's dialog."""
        self.answers.open = path
        self.done += _DIALOG
        self.key(Qt.Key.Key_O, CTRL)

    def packet(self, folder: Path) -> None:
        """Write the packet."""
        self.answers.folder = folder
        self.done += _DIALOG
        self.key(Qt.Key.Key_P, CTRL | Qt.KeyboardModifier.ShiftModifier)
        made = {path.name for path in folder.rglob("*.pdf")}
        assert {"index.pdf", "blocks.pdf", "pulls.pdf"} <= made

    def part(self, words: str) -> None:
        """A part of the station in sight, by the words on its button."""
        station = self.desk.window.at(self.desk.controller.state.station)
        self.click(next(b for b in station.parts.findChildren(QAbstractButton) if b.text() == words))

    def choose_method(self, method: Method) -> None:
        """At Blocks, among the ways of printing."""
        self.key(Qt.Key.Key_2)
        self.part("Method")
        ways = self.desk.window.at("blocks").method.ways
        self.row(ways, ways.middle_of(list(METHODS).index(method)))

    def _after(self) -> None:
        self.done += 1
        settle(self.desk)


@pytest.fixture
def hand(request: pytest.FixtureRequest) -> Hand:
    """The hand of someone who has never used it: only the essential settings are in sight."""
    window_settings().setValue(ALL, False)
    return Hand(request.getfixturevalue("desk"), request.getfixturevalue("answers"))


@pytest.mark.thorough
def test_a_photograph_becomes_blocks_with_kento_in_twelve(hand: Hand, tmp_path: Path) -> None:
    hand.open(DEMOS / "photo.jpg")
    hand.part("Picture")
    hand.write(hand.desk.window.at("design").picture.width_box, "120")
    hand.packet(tmp_path)
    project = project_of(hand.desk)
    assert (method_of(project), project.register.system) == ("multiblock", "kento")
    assert project.image.width == pytest.approx(120)
    assert len(project.blocks) > 2
    assert hand.done <= 12


@pytest.mark.thorough
def test_a_drawing_becomes_a_reduction_under_pins_in_fifteen(hand: Hand, tmp_path: Path) -> None:
    hand.open(DEMOS / "coldframe.svg")
    hand.choose_method("reduction")
    hand.key(Qt.Key.Key_5)
    systems = hand.desk.window.at("register").systems
    hand.row(systems, systems.middle_of(list(SYSTEMS).index("pins")))
    hand.packet(tmp_path)
    project = project_of(hand.desk)
    assert (method_of(project), project.register.system) == ("reduction", "pins")
    assert hand.done <= 15


@pytest.mark.thorough
def test_a_drawing_becomes_a_jigsaw_in_fifteen(hand: Hand, tmp_path: Path) -> None:
    hand.open(DEMOS / "pots.svg")
    hand.choose_method("jigsaw")
    hand.packet(tmp_path)
    assert method_of(project_of(hand.desk)) == "jigsaw"
    assert hand.done <= 15


@pytest.mark.thorough
def test_fewer_blocks_by_overprinting_in_eighteen(hand: Hand, tmp_path: Path) -> None:
    hand.open(DEMOS / "glasshouse.svg")
    before = len(project_of(hand.desk).blocks)
    hand.key(Qt.Key.Key_2)
    hand.part("Fewer")
    fewer = hand.desk.window.at("blocks").fewer
    hand.click(fewer.look)
    hand.row(fewer.cards, fewer.cards._height() * 1.4)
    hand.packet(tmp_path)
    assert len(project_of(hand.desk).blocks) < before
    assert hand.done <= 18
