"""Preferences, and the studio: kept, given to the next new print, carried, brought in, put aside."""

import os
import re
import sys
from pathlib import Path

import numpy as np
import pytest
from PIL import Image
from PyQt6.QtCore import Qt
from PyQt6.QtWidgets import QLabel

from nomos.project.edition.studio import read_studio
from nomos.ui.desk import Desk
from nomos.ui.frame.preferences import Preferences
from nomos.ui.frame.state import STATIONS
from nomos.ui.language import studio_path
from nomos.ui.start import start_anew
from tests.ui.conftest import Answers, QTest, click, project_of, settle


def opened(desk: Desk) -> Preferences:
    desk.window.menus.actions["preferences"][0].trigger()
    made = desk.window.studio.preferences
    assert made is not None
    return made


def sketch(folder: Path) -> Path:
    page = np.full((240, 180, 3), 246, np.uint8)
    page[40:200, 30:90], page[60:180, 90:150] = (200, 60, 50), (40, 60, 120)
    path = folder / "beds.png"
    Image.fromarray(page).save(path, dpi=(50, 50))
    return path


def test_a_prints_habits_are_kept_and_the_next_new_print_begins_with_them(
    little_desk: Desk, answers: Answers, tmp_path: Path
) -> None:
    desk = little_desk
    desk.controller.orderer.set_times(pull_min=7.5)
    desk.controller.editor.set("craft.factor", 1.5)
    shown = opened(desk)
    assert "Nothing is kept" in shown.kept.text()
    assert not shown.carry.isEnabled()
    click(shown.keep)
    assert "7.5 min a pull" in shown.kept.text()
    answers.studio = tmp_path / "carried.json"
    click(shown.carry)
    click(shown.close_it)
    answers.leave = "discard"
    desk.files.open(sketch(tmp_path))
    settle(desk)
    assert project_of(desk).title == "beds"
    assert (project_of(desk).times.pull_min, project_of(desk).craft.factor) == (7.5, 1.5)
    assert read_studio(answers.studio) == read_studio(studio_path(desk.window._settings))

    shown = opened(desk)
    click(shown.forget)
    assert "Nothing is kept" in shown.kept.text()
    answers.studio.write_text("{", "utf-8")
    click(shown.bring)
    assert "studio that does not make sense" in desk.window.notice.text()
    shown.close()
    desk.files.open(sketch(tmp_path))
    settle(desk)
    # With nothing kept it is somebody's first edition.
    assert project_of(desk).times.pull_min == 6.0
    assert project_of(desk).register.budget.hand == "beginner"


def test_a_damaged_studio_keeps_nobody_from_beginning(desk: Desk, tmp_path: Path) -> None:
    studio_path(desk.window._settings).write_text("[]", "utf-8")
    desk.files.open(sketch(tmp_path))
    settle(desk)
    assert project_of(desk).title == "beds"


def test_text_light_and_the_templates_paper_are_remembered(desk: Desk) -> None:
    QTest.keyClick(desk.window, Qt.Key.Key_Comma, Qt.KeyboardModifier.ControlModifier)
    shown = desk.window.studio.preferences
    assert shown is not None
    for box, text in ((shown.text, "150 %"), (shown.look, "dark"), (shown.page, "A3"), (shown.unit, "inches")):
        box.setCurrentText(text)
        box.activated.emit(box.currentIndex())
        box.textActivated.emit(text)
    settings = desk.window._settings
    assert settings.value("text size", 0, int) == 150
    assert settings.value("lengths in", "mm", str) == "in"
    assert settings.value("light or dark", "", str) == "dark"
    assert desk.controller.state.page == "A3"
    shown.close()
    again = opened(desk)
    held = again.text.currentText(), again.look.currentText(), again.page.currentText()
    assert held == ("150 %", "dark", "A3")
    again.close()


@pytest.mark.usefixtures("inches")
def test_in_inches_every_station_reads_and_takes_inches(desk: Desk, tmp_path: Path) -> None:
    desk.files.open(sketch(tmp_path))
    settle(desk)
    for station in STATIONS:
        desk.window.go_to(station)
        settle(desk)
        shown = [each.text() for each in desk.window.column.findChildren(QLabel) if each.isVisible()]
        assert not [text for text in shown if re.search(r"\d mm\b(?!²)", text)], station
    desk.window.go_to("design")
    desk.window.at("design").turn_to("picture")
    box = desk.window.at("design").picture.width_box
    assert (box.text(), box.suffix()) == ("3.598 in", " in")
    box.lineEdit().selectAll()
    QTest.keyClicks(box.lineEdit(), "2,5")
    QTest.keyClick(box.lineEdit(), Qt.Key.Key_Return)
    settle(desk)
    assert project_of(desk).image.width == pytest.approx(63.5)


def test_the_studios_inks_are_a_source_for_recipes_and_for_plans(little_desk: Desk) -> None:
    desk = little_desk
    desk.controller.go_to("inks")
    mix = desk.window.at("inks").mix
    desk.window.at("inks").turn_to("mix")
    settle(desk)
    click(mix.studio)
    assert "Nothing is kept in the studio" in desk.window.notice.text()
    shown = opened(desk)
    click(shown.keep)
    click(shown.close_it)
    click(mix.studio)
    settle(desk)
    names = [ink.name for ink in project_of(desk).inks]
    assert [ink.name for ink in desk.controller.inkroom.shelf()] == names
    assert mix.shelf.text().startswith("From studio.json")
    desk.controller.go_to("blocks")
    blocks = desk.window.at("blocks")
    blocks.turn_to("fewer")
    blocks.fewer.source_requested.emit("studio")
    wanted = desk.controller.planner.wanted
    assert (wanted.source, [each.ink.name for each in wanted.shelf]) == ("studio", names)


def test_nomos_starts_anew_on_the_same_file_with_what_was_set(
    saved: Desk, answers: Answers, monkeypatch: pytest.MonkeyPatch
) -> None:
    desk = saved
    shown = opened(desk)
    assert not shown.anew.isVisible()
    shown.unit.setCurrentIndex(1)
    shown.unit.activated.emit(1)
    answers.leave = "cancel"
    desk.controller.orderer.set_times(pull_min=7.5)
    click(shown.anew)
    assert desk.window.isVisible(), "who goes on working is not thrown out"
    assert not desk.window.studio.anew
    shown = opened(desk)
    shown.unit.activated.emit(1)
    answers.leave = "discard"
    click(shown.anew)
    assert not desk.window.isVisible()
    assert desk.window.studio.anew
    begun: list[list[str]] = []
    monkeypatch.setattr(os, "execv", lambda _program, words: begun.append(words))
    start_anew(desk.document.path)
    assert begun == [[sys.executable, "-m", "nomos", str(desk.document.path)]]
