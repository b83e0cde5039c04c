"""What a newcomer need not know today is folded away, found by any word for it, and the next step is in sight."""

from pathlib import Path

import pytest
from PyQt6.QtCore import QPoint, Qt
from PyQt6.QtWidgets import QApplication

from nomos.project import Project
from nomos.ui.desk import Desk
from nomos.ui.frame.finder import Finder
from nomos.ui.frame.form import Form
from nomos.ui.frame.more import ALL
from nomos.ui.frame.next_step import NextStep, Standing, next_step
from nomos.ui.frame.state import STATIONS
from nomos.ui.language import studio_path, window_settings
from nomos.ui.sheet_menu import sheet_menu
from tests.ui.conftest import Answers, QTest, click, project_of, settle


@pytest.fixture
def _first() -> None:
    """No print has been kept on this machine yet."""
    window_settings().setValue(ALL, False)


@pytest.fixture
def _calm(_first: None) -> None:
    """Folded as on a machine where a print has been kept."""
    kept = studio_path(window_settings())
    kept.parent.mkdir(parents=True, exist_ok=True)
    kept.write_text("{}", "utf-8")


@pytest.mark.usefixtures("_first")
def test_of_a_first_print_only_the_essential_settings_are_in_sight(little_desk: Desk) -> None:
    desk, seen = little_desk, set()
    for name in (each for each in STATIONS if each != "bench"):
        desk.window.go_to(name)
        settle(desk)
        station = desk.window.at(name)
        for part in station.more:
            station.turn_to(part)
            settle(desk)
            seen |= {
                path for form in station.findChildren(Form) for path, made in form.controls.items() if made.isVisible()
            }
            assert station.more[part].said.text().startswith("Decided for you: ")
    assert seen == {"hand", "material", "edition"}


@pytest.mark.usefixtures("_calm")
def test_further_settings_are_folded_told_and_kept_once_they_are_wanted(demo_desk: Desk) -> None:
    desk = demo_desk
    desk.window.go_to("blocks")
    settle(desk)
    station = desk.window.at("blocks")
    station.turn_to("joins")
    settle(desk)
    form, more = station.joins.fields, station.more["joins"]
    assert form["trap_mm"].isVisible()
    assert not form["seam_de00"].isVisible()
    assert "12" in more.said.text()
    for _ in range(2):
        click(more.button)
        assert form["seam_de00"].isVisible()
        assert not more.said.isVisible()
        click(more.button)
    assert not form["seam_de00"].isVisible()
    click(more.button)
    # Folded by hand they are wanted less; opened twice they stay.
    assert window_settings().value("more/BlocksStation/joins", 0, int) == 1


@pytest.mark.usefixtures("_calm")
@pytest.mark.parametrize("word", ["choke", "Überfüllung", "lighter under darker"])
def test_a_setting_is_found_by_any_word_and_turned_to(demo_desk: Desk, word: str) -> None:
    desk = demo_desk
    QTest.keyClick(desk.window, Qt.Key.Key_F, Qt.KeyboardModifier.ControlModifier)
    finder = desk.window.findChild(Finder)
    assert finder is not None
    QTest.keyClicks(finder.line, "no such thing")
    assert "Nothing" in finder.nothing.text()
    finder.line.clear()
    # QTest types ASCII only.
    finder.line.setText(word)
    QTest.keyClick(finder.line, Qt.Key.Key_Return)
    settle(desk)
    assert desk.controller.state.station == "blocks"
    assert desk.window.at("blocks").part == "joins"
    assert desk.window.at("blocks").joins.fields["trap_mm"].isVisible()


def test_the_next_step_leads_from_a_picture_to_the_templates(desk: Desk, answers: Answers, tmp_path: Path) -> None:
    from PIL import Image

    foot = desk.window.foot
    assert foot.next.text() == "Next: Open a sketch"
    Image.new("RGB", (300, 200), (250, 248, 240)).save(tmp_path / "a.png")
    with Image.open(tmp_path / "a.png") as image:
        image.paste((190, 70, 50), (40, 40, 180, 160))
        image.save(tmp_path / "b.png")
    answers.open = tmp_path / "b.png"
    click(foot.next)
    settle(desk)
    assert foot.next.text() == "Next: Say how large the print is"
    click(foot.next)
    assert desk.window.at("design").part == "picture"
    desk.controller.designer.set_size(width_mm=120.0)
    settle(desk)
    answers.save = tmp_path / "print.nomos"
    for _ in range(3):
        if foot.next.text() == "Next: Save the print":
            break
        click(foot.next)
        settle(desk)
    click(foot.next)
    settle(desk)
    assert (tmp_path / "print.nomos").exists()
    assert foot.next.text() == "Next: Print the templates"
    assert "100 mm" in foot.next.toolTip()
    assert project_of(desk).impressions


def test_what_will_fail_comes_before_the_templates(little: tuple[Project, dict[str, bytes]]) -> None:
    from nomos.project import Finding

    project = little[0]
    failing = Finding("will fail", "blocks", "Too fine.", "Widen it.", (10.0, 10.0))
    assert next_step(project, (failing,), Standing()) == NextStep(
        "Look at 1 thing that will fail", "Too fine.", "finding"
    )
    assert next_step(project, (), Standing()).action == "print"
    assert next_step(project, (), Standing(saved=False)).action == "save"
    assert next_step(None, (), Standing()).action == "open"


def test_a_right_click_says_what_lies_there_and_takes_it(demo_desk: Desk) -> None:
    desk = demo_desk
    desk.window.go_to("blocks")
    settle(desk)
    sheet, project = desk.window.sheet, project_of(desk)
    x, y = sheet.viewport.to_screen(project.image.left + 20, project.image.top + 8)
    menu = sheet_menu(desk.controller, desk.window.central_view, desk.window.column, QPoint(round(x), round(y)))
    words = [entry.text() for entry in menu.actions()]
    assert "predicted" in words[0]
    choose = next(entry for entry in menu.actions() if entry.text().startswith("Choose "))
    choose.trigger()
    settle(desk)
    chosen = desk.controller.state.pull
    assert chosen is not None
    assert choose.text() == f"Choose {project.pull_name(chosen)}"
    next(entry for entry in menu.actions() if entry.text() == "Copy the picture").trigger()
    clipboard = QApplication.clipboard()
    assert clipboard is not None
    assert clipboard.pixmap().width() == sheet.grab().width()
    QTest.keyClick(desk.window, Qt.Key.Key_F11)
    assert desk.window.isFullScreen()
    QTest.keyClick(desk.window, Qt.Key.Key_F11)
    assert not desk.window.isFullScreen()
