"""For everyone: contrast in both themes, names on what is drawn by hand, a job from the keyboard alone."""

from pathlib import Path

import pytest
from PyQt6.QtCore import Qt
from PyQt6.QtGui import QColor
from PyQt6.QtWidgets import (
    QAbstractButton,
    QAbstractSpinBox,
    QApplication,
    QComboBox,
    QLineEdit,
    QSlider,
    QWidget,
)  # fmt: skip

from nomos.ui.desk import Desk
from nomos.ui.frame import theme
from nomos.ui.frame.answers import Answers as Station
from nomos.ui.frame.state import STATIONS
from tests.ui.conftest import Answers, QTest, project_of, settle

LEAST_CONTRAST = 4.5
CTRL = Qt.KeyboardModifier.ControlModifier


def luminance(colour: str) -> float:
    """Relative luminance (WCAG 2.1, from IEC 61966-2-1)."""
    shares = [channel / 255 for channel in QColor(colour).getRgb()[:3] if channel is not None]
    linear = [share / 12.92 if share <= 0.04045 else ((share + 0.055) / 1.055) ** 2.4 for share in shares]
    return 0.2126 * linear[0] + 0.7152 * linear[1] + 0.0722 * linear[2]


def contrast(one: str, other: str) -> float:
    """Contrast ratio (WCAG 2.1, 1.4.3)."""
    light, dark = sorted((luminance(one), luminance(other)), reverse=True)
    return (light + 0.05) / (dark + 0.05)


def test_the_measure_of_contrast_is_the_published_one() -> None:
    assert contrast("#000000", "#ffffff") == pytest.approx(21)
    assert contrast("#777777", "#ffffff") == pytest.approx(4.48, abs=0.01)  # the usual example, just too pale


@pytest.mark.parametrize("tones", [theme.LIGHT, theme.DARK])
def test_words_stand_out_from_their_ground_in_both_themes(tones: theme.Tones) -> None:
    grounds = (tones.strip, tones.ladder, tones.answers, tones.chosen, tones.foot, tones.accent_pale)
    for words in (tones.text, tones.quiet, tones.accent):
        for ground in grounds:
            assert contrast(words, ground) >= LEAST_CONTRAST, (words, ground)


def test_every_control_has_a_name_and_says_what_it_is_for(little_desk: Desk) -> None:
    """Words of its own or a name given, which assistive technology reads out; and a tip."""
    desk = little_desk
    for station in STATIONS:
        desk.window.go_to(station)
        settle(desk)
        widget = desk.window.column.here(station).widget
        for part in widget._groups if isinstance(widget, Station) else [""]:
            if part:
                widget.turn_to(part)
                settle(desk)
            for control in desk.window.findChildren(QWidget):
                if control.isVisible():
                    look_at(control, f"{station}, {part}", tip=widget.isAncestorOf(control))


def look_at(control: QWidget, where: str, *, tip: bool) -> None:
    words = control.text() if isinstance(control, QAbstractButton) else ""
    inside = type(control) is QLineEdit and isinstance(control.parent(), QWidget)
    if control.focusPolicy() & Qt.FocusPolicy.TabFocus and not inside:
        assert control.accessibleName() or words, f"{where}: {type(control).__name__}"
    if tip and isinstance(control, QAbstractButton | QComboBox | QAbstractSpinBox | QSlider):
        assert control.toolTip(), f"{where}: {control.accessibleName() or words}"


def press(desk: Desk, key: Qt.Key, modifier: Qt.KeyboardModifier = Qt.KeyboardModifier.NoModifier) -> None:
    focused = QApplication.focusWidget() or desk.window
    QTest.keyClick(focused, key, modifier)
    settle(desk)


def tab_to(desk: Desk, wanted: QWidget) -> None:
    """Go on with Tab until something has the focus."""
    for _ in range(200):
        if QApplication.focusWidget() is wanted:
            return
        QTest.keyClick(QApplication.focusWidget() or desk.window, Qt.Key.Key_Tab)
    raise AssertionError(f"{wanted.accessibleName() or type(wanted).__name__} is not reached by Tab")


@pytest.mark.thorough
def test_a_whole_job_from_the_keyboard_alone(desk: Desk, answers: Answers, tmp_path: Path) -> None:
    """From the sketch to the packet: opened, renamed, an order tried, the edition set, saved, written."""
    from tests.ui.test_preferences import sketch

    answers.open = sketch(tmp_path)
    answers.save, answers.folder = tmp_path / "beds.nomos", tmp_path / "packet"
    desk.window.activateWindow()
    press(desk, Qt.Key.Key_O, CTRL)
    assert project_of(desk).flat is not None
    press(desk, Qt.Key.Key_2)
    blocks = desk.window.at("blocks")
    tab_to(desk, blocks.rows)
    press(desk, Qt.Key.Key_Down)
    tab_to(desk, blocks.name)
    QTest.keyClicks(blocks.name, "Bed")
    press(desk, Qt.Key.Key_Return)
    assert any("Bed" in block.name for block in project_of(desk).blocks)
    tab_to(desk, desk.window.strip)
    press(desk, Qt.Key.Key_Right)
    press(desk, Qt.Key.Key_Right)
    assert desk.controller.state.station == "order"
    order = [pull.id for pull in project_of(desk).impressions]
    tab_to(desk, desk.window.ladder)
    press(desk, Qt.Key.Key_Up)
    press(desk, Qt.Key.Key_Down)
    press(desk, Qt.Key.Key_Up, CTRL)
    assert [pull.id for pull in project_of(desk).impressions] != order
    press(desk, Qt.Key.Key_Z, CTRL)
    assert [pull.id for pull in project_of(desk).impressions] == order
    press(desk, Qt.Key.Key_7)
    sheets = desk.window.at("sheets")
    tab_to(desk, sheets.edition["edition"])
    press(desk, Qt.Key.Key_Up)
    assert project_of(desk).plan.edition == 21
    tab_to(desk, desk.window.strip)
    press(desk, Qt.Key.Key_S, CTRL)
    assert answers.save.exists()
    press(desk, Qt.Key.Key_P, CTRL | Qt.KeyboardModifier.ShiftModifier)
    assert (answers.folder / "blocks.pdf").stat().st_size > 5_000
    assert not isinstance(QApplication.focusWidget(), QComboBox)
