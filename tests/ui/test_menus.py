"""The menu, files of late, variants, export, the clipboard."""

from pathlib import Path

import numpy as np
import pypdfium2
import pytest
from msgspec.structs import replace
from PIL import Image
from PyQt6.QtCore import Qt
from PyQt6.QtGui import QImage
from PyQt6.QtWidgets import QApplication

from nomos.project import Assets, Project, load, save
from nomos.ui.desk import Desk
from nomos.ui.frame.guide import GuideWindow
from nomos.ui.frame.keyboard import BINDINGS
from nomos.ui.frame.notes import with_a_place
from nomos.ui.guided import STEPS
from tests.ui.conftest import Answers, QTest, click, project_of, settle


def act(desk: Desk, name: str) -> None:
    """Choose an entry of the menu."""
    settle(desk)
    desk.window.menus.actions[name][0].trigger()
    settle(desk)


def test_every_entry_that_has_a_key_shows_it_and_what_is_grey_says_why(desk: Desk) -> None:
    menus = desk.window.menus
    keys = {name: some[0] for name, some, _ in BINDINGS}
    for name, some in menus.actions.items():
        for made in some:
            assert made.text().endswith(keys.get(name, ""))
            assert made.isEnabled() or made.toolTip().endswith(".")
    assert not menus.actions["print"][0].isEnabled()
    assert not menus.actions["revert"][0].isEnabled()
    assert menus.actions["open"][0].isEnabled()
    assert "no blocks" in desk.window.buttons.buttons["packet"].toolTip()


def test_files_of_late_stand_on_the_welcome_sheet_with_their_pictures(
    little_desk: Desk, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setenv("XDG_CACHE_HOME", str(tmp_path / "cache"))
    desk, answers_path = little_desk, tmp_path / "pane.nomos"
    desk.document.save(answers_path)
    desk.files._save_to(answers_path)
    settle(desk)
    (button,) = desk.window.welcome.late
    assert not button.icon().isNull()
    assert desk.window.menus.recent is not None
    assert [each.text() for each in desk.window.menus.recent.actions()] == ["pane.nomos"]
    desk.controller.editor.set("trap_mm", 0.9)
    desk.document.take_as_saved()
    click_through = button.click
    click_through()
    settle(desk)
    assert desk.document.path == answers_path
    assert project_of(desk).trap_mm != 0.9
    # What is gone is not offered.
    answers_path.unlink()
    desk.window.export_actions._show_recent()
    assert desk.window.welcome.late == []


def test_a_variant_is_another_print_and_going_back_can_be_undone(little_desk: Desk, tmp_path: Path) -> None:
    desk, path = little_desk, tmp_path / "pane.nomos"
    desk.files._save_to(path)
    before = project_of(desk)
    desk.controller.editor.set("trap_mm", 0.9)
    act(desk, "revert")
    assert project_of(desk) == before
    desk.document.stack.undo()
    assert project_of(desk).trap_mm == 0.9
    desk.files._save_to(path)
    desk.controller.bencher.begin_layer()
    act(desk, "variant")
    second = tmp_path / "pane-variant-2.nomos"
    assert desk.document.path == second
    assert load(second)[0].title.endswith(", variant 2")
    assert not desk.controller.bencher.events()
    act(desk, "variant")
    assert load(tmp_path / "pane-variant-3.nomos")[0].title.endswith(", variant 3")
    assert load(path)[0].trap_mm == 0.9
    act(desk, "where")
    assert "pane-variant-3.nomos" in desk.window.notice.text()


def test_what_the_sheet_shows_is_exported_at_true_size(little_desk: Desk, answers: Answers, tmp_path: Path) -> None:
    desk = little_desk
    answers.exported = tmp_path / "sheet.png"
    act(desk, "export")
    paper = project_of(desk).paper
    with Image.open(answers.exported) as picture:
        dpi = picture.info["dpi"][0]
        wide, tall = (side / dpi * 25.4 for side in picture.size)
        pixels = np.asarray(picture)
    assert (wide, tall) == pytest.approx((paper.width_mm, paper.height_mm), abs=0.2)
    assert len(np.unique(pixels.reshape(-1, 3), axis=0)) > 3
    answers.exported = tmp_path / "sheet.pdf"
    act(desk, "export")
    (page,) = pypdfium2.PdfDocument(answers.exported)
    assert page.get_size() == pytest.approx((paper.width_mm / 25.4 * 72, paper.height_mm / 25.4 * 72), abs=0.1)
    answers.exported = tmp_path / "sheet.bmp"
    act(desk, "export")
    assert "must end in .png or .pdf" in desk.window.notice.text()


def test_figures_are_copied_and_a_picture_is_pasted(little_desk: Desk) -> None:
    desk = little_desk
    act(desk, "copy figures")
    board = QApplication.clipboard()
    assert board is not None
    rows = [line.split("\t") for line in board.text().splitlines()]
    assert [row[0] for row in rows[: len(project_of(desk).impressions)]] == [
        project_of(desk).pull_name(pull.id) for pull in project_of(desk).impressions
    ]
    board.setText("no picture")
    act(desk, "paste")
    assert "no picture on the clipboard" in desk.window.notice.text()
    page = np.full((120, 160, 3), 250, np.uint8)
    page[30:90, 40:120] = (180, 60, 40)
    board.setImage(QImage(page.tobytes(), 160, 120, 480, QImage.Format.Format_RGB888).copy())
    act(desk, "paste")
    assert desk.controller.designer.first is not None or project_of(desk).source is not None
    act(desk, "about")
    assert click is not None


def test_findings_are_stepped_through_the_gravest_first_where_they_lie(little_desk: Desk) -> None:
    desk = little_desk
    desk.controller.editor.set("line_mm", 3.0)
    desk.controller.editor.set("tool_mm", 3.0)
    settle(desk, closely=True)
    proof = desk.keeper.proof
    assert proof is not None
    found = with_a_place(proof)
    assert found
    weights = ["will fail", "could show", "worth knowing"]
    assert [weights.index(each.weight) for each in found] == sorted(weights.index(f.weight) for f in found)
    for place, finding in enumerate([*found, found[0]]):
        act(desk, "finding")
        assert desk.window.notice.text().startswith(f"{place % len(found) + 1} of {len(found)}")
        assert finding.place_mm is not None
        middle = desk.window.sheet.width() / 2, desk.window.sheet.height() / 2
        assert desk.window.sheet._view.to_sheet(*middle) == pytest.approx(finding.place_mm, abs=0.5)
        assert desk.controller.state.station == finding.station


def test_the_guide_opens_at_the_station_and_finds_words(little_desk: Desk) -> None:
    desk = little_desk
    desk.controller.go_to("register")
    settle(desk)
    QTest.keyClick(desk.window, Qt.Key.Key_F1)
    (shown,) = desk.window.findChildren(GuideWindow)
    assert shown.isVisible()
    assert "two notches" in shown.text.toPlainText().casefold()
    QTest.keyClicks(shown.wanted, "hikitsuke")
    assert shown.pages.count() == 1
    assert shown.text.textCursor().selectedText().casefold() == "hikitsuke"
    shown.close()
    desk.controller.go_to("inks")
    act = desk.window.menus.actions["guide"][0]
    act.trigger()
    assert shown.isVisible()
    assert "Kubelka" in shown.text.toPlainText()
    shown.close()


def test_no_other_file_is_written_over_unasked(little_desk: Desk, answers: Answers, tmp_path: Path) -> None:
    """A name given without its ending, and a file that another window has saved meanwhile."""
    desk, victim = little_desk, tmp_path / "victim.nomos"
    victim.write_bytes(b"somebody's work")
    answers.save = tmp_path / "victim"
    assert not desk.files.save_as()
    assert victim.read_bytes() == b"somebody's work"
    assert answers.replacing == [("victim.nomos", True)]

    answers.save = tmp_path / "own.nomos"
    assert desk.files.save_as()
    desk.controller.fields.rename("Second")
    assert desk.files.save()
    other, assets = load(answers.save)
    save(answers.save, replace(other, title="From another window"), assets)
    desk.controller.fields.rename("Third")
    assert not desk.files.save()
    assert answers.replacing[1:] == [("own.nomos", False)]
    assert load(answers.save)[0].title == "From another window"
    assert desk.document.unsaved
    answers.replace = True
    assert desk.files.save()
    assert load(answers.save)[0].title == "Third"
    assert load(answers.save.with_name("own.nomos.previous"))[0].title == "From another window"


def test_the_walk_shows_every_step_on_the_demo_and_can_be_left(
    desk: Desk, whole_demo: tuple[Project, Assets], monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr("nomos.demo.demo_project", lambda *_asked, **_named: whole_demo)
    walk, window = desk.window.guided, desk.window
    click(desk.window.welcome.walk)
    settle(desk)
    assert (walk.isVisible(), walk.place.text()[:9]) == (True, "Step 1 of")
    seen = []
    while walk.at >= 0:
        frame = walk._frame.geometry()
        assert window.rect().contains(frame)
        assert frame.height() > 20
        seen.append((desk.controller.state.station, walk.words.text()))
        click(walk.next)
        settle(desk)
    assert len(set(seen)) == len(STEPS)
    assert not walk._frame.isVisible()
    click(window.welcome.walk)
    settle(desk)
    click(walk.leave)
    assert (walk.isVisible(), project_of(desk).title) == (False, whole_demo[0].title)
