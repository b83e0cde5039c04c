"""The real window driven by mouse and keyboard."""

from pathlib import Path

import numpy as np
import pytest
from PyQt6.QtCore import QMimeData, QPointF, Qt, QUrl
from PyQt6.QtGui import QDropEvent
from PyQt6.QtWidgets import QApplication, QPushButton

from nomos.ui.desk import Desk
from nomos.ui.frame import theme
from tests.ui.conftest import Answers, QTest, click, drag, names, press, project_of, settle

LEFT = Qt.MouseButton.LeftButton
CTRL = Qt.KeyboardModifier.ControlModifier
SHIFT = Qt.KeyboardModifier.ShiftModifier


def test_from_an_empty_window_to_a_flat_sketch(desk: Desk, answers: Answers, sketch: Path) -> None:
    assert desk.window.central_view.currentWidget() is desk.window.welcome
    answers.open = sketch
    click(desk.window.welcome.open)
    settle(desk)
    project = project_of(desk)
    assert project.flat is not None
    assert len(project.flat.colours) == 5
    assert desk.controller.state.station == "design"
    assert desk.window.central_view.currentWidget() is desk.window.sheet
    assert project.image.width == pytest.approx(59.9)
    # One click on the curve, and the design is flat in three colours.
    curve = desk.window.at("design").curve
    done = desk.controller.designer.done
    counts = [count for count, _ in done.flat.suggestion.curve] if done and done.flat.suggestion else []
    press(curve, curve.width() / len(counts) * (counts.index(3) + 0.5), 40)
    settle(desk)
    assert len(project_of(desk).flat.colours) == 3  # type: ignore[union-attr]
    QTest.keyClick(desk.window, Qt.Key.Key_Z, CTRL)
    settle(desk)
    assert project_of(desk) == project


def test_a_dropped_file_is_opened(desk: Desk, sketch: Path) -> None:
    data = QMimeData()
    data.setUrls([QUrl.fromLocalFile(str(sketch))])
    event = QDropEvent(QPointF(600, 300), Qt.DropAction.CopyAction, data, LEFT, Qt.KeyboardModifier.NoModifier)
    desk.window.dropEvent(event)
    settle(desk)
    assert project_of(desk).title == "sketch"


@pytest.mark.parametrize("content", [b"", b"no picture", b"\x89PNG\r\n\x1a\n broken"])
def test_a_broken_picture_is_one_sentence_and_nothing_is_lost(
    demo_desk: Desk, answers: Answers, tmp_path: Path, content: bytes
) -> None:
    before = demo_desk.document.project
    answers.open = tmp_path / "broken.png"
    answers.open.write_bytes(content)
    click(demo_desk.window.buttons.buttons["open"])
    settle(demo_desk)
    assert demo_desk.document.project is before
    assert demo_desk.window.notice.isVisible()
    assert demo_desk.window.notice.text().startswith("broken.png")
    click(demo_desk.window.notice.put_away)
    assert not demo_desk.window.notice.isVisible()


def test_stations_by_mouse_and_by_key(demo_desk: Desk) -> None:
    strip = demo_desk.window.strip
    press(strip, theme.scaled(176) * 3.5, 20)
    settle(demo_desk)
    assert demo_desk.window.column.currentWidget() is demo_desk.window.at("order")
    QTest.keyClick(demo_desk.window, Qt.Key.Key_3)
    settle(demo_desk)
    assert demo_desk.window.column.currentWidget() is demo_desk.window.at("inks")
    QTest.keyClick(strip, Qt.Key.Key_Left)
    settle(demo_desk)
    assert demo_desk.window.column.currentWidget() is demo_desk.window.at("blocks")


def test_dragging_a_strength_answers_at_once_and_undoes_as_one(demo_desk: Desk) -> None:
    desk = demo_desk
    desk.controller.go_to("inks")
    settle(desk)
    pull = project_of(desk).impressions[4].id
    desk.controller.choose_pull(pull)
    settle(desk)
    before = project_of(desk)
    laid = desk.keeper.proof.laid if desk.keeper.proof else None
    seen: list[float] = []

    def look() -> None:
        # No event is handled in between: the proof is there before the mouse moves on, on the same sheet.
        assert desk.keeper.proof is not None
        assert desk.keeper.proof.laid is laid
        seen.append(desk.keeper.proof.mean_de00)

    strip = desk.window.at("inks").strength
    places = [(strip.width() * share, 28.0) for share in (0.95, 0.8, 0.6, 0.4, 0.3)]
    drag(strip, *places, each=look)
    settle(desk)
    assert project_of(desk).impression(pull).zones[0].strength == pytest.approx(0.29, abs=0.03)
    assert seen == sorted(seen)
    assert desk.document.stack.count() == 1
    QTest.keyClick(desk.window, Qt.Key.Key_Z, CTRL)
    assert project_of(desk) == before
    QTest.keyClick(desk.window, Qt.Key.Key_Z, CTRL | SHIFT)
    assert project_of(desk) != before


def test_an_ink_is_recoloured_renamed_and_made_opaque(demo_desk: Desk) -> None:
    desk = demo_desk
    QTest.keyClick(desk.window, Qt.Key.Key_3)
    settle(desk)
    rows = desk.window.at("inks").rows
    press(rows, 40, rows.middle_of(3))
    settle(desk)
    pull = project_of(desk).impressions[2]
    assert desk.controller.state.pull == pull.id
    field = desk.window.at("inks").name
    field.setFocus()
    field.selectAll()
    QTest.keyClicks(field, "Evening")
    QTest.keyClick(field, Qt.Key.Key_Return)
    QTest.keyClick(desk.window.at("inks").editor.lightness, Qt.Key.Key_PageDown)
    click(desk.window.at("inks").opacity.findChildren(QPushButton)[2])
    settle(desk)
    ink = project_of(desk).ink(pull.zones[0].ink)
    assert (ink.name, ink.opacity) == ("Evening", "opaque")
    assert ink.lab[0] == pytest.approx(73.49 - 5, abs=0.3)
    assert desk.document.stack.count() == 3


def test_the_paper_is_changed_and_an_impossible_colour_refused(demo_desk: Desk) -> None:
    desk = demo_desk
    desk.controller.go_to("inks")
    settle(desk)
    station = desk.window.at("inks")
    press(station.rows, 40, station.rows.middle_of(0))
    settle(desk)
    assert not station.strength.isVisible()
    QTest.keyClick(station.editor.lightness, Qt.Key.Key_PageDown)
    settle(desk)
    paper = project_of(desk).paper
    assert paper.lab[0] == pytest.approx(94.6 - 5, abs=0.3)
    assert desk.keeper.proof is not None
    bare = desk.keeper.proof.labs[~desk.keeper.proof.laid.map.members.any(axis=1)]
    np.testing.assert_allclose(bare, [paper.lab], atol=1e-3)
    press(station.editor.hue, station.editor.hue.width() * 0.83, 28)  # a violet: as light, it cannot be strong
    settle(desk)
    drag(station.editor.chroma, (20.0, 28.0), (station.editor.chroma.width() - 9.0, 28.0))
    settle(desk)
    assert "No paper or ink can have the colour" in desk.window.notice.text()
    assert project_of(desk).paper.lab[0] == pytest.approx(paper.lab[0])


def test_a_title_is_given(demo_desk: Desk) -> None:
    desk = demo_desk
    desk.controller.go_to("design")
    settle(desk)
    field = desk.window.at("design").title
    field.setFocus()
    field.selectAll()
    QTest.keyClicks(field, "Frost")
    settle(desk)  # what is being typed is not written over
    assert field.text() == "Frost"
    QTest.keyClick(field, Qt.Key.Key_Return)
    settle(desk)
    assert project_of(desk).title == "Frost"
    assert desk.window.windowTitle().startswith("Frost")


def test_a_rung_dragged_up_is_printed_earlier(demo_desk: Desk) -> None:
    desk = demo_desk
    before = names(desk)
    ladder = desk.window.ladder
    tall = ladder.rung_height()
    drag(ladder, *[(90.0, tall * (rung + 0.5)) for rung in (8, 7, 5, 3, 1)])
    settle(desk)
    assert names(desk) == [before[-1], *before[:-1]]
    assert desk.document.stack.count() == 1
    assert desk.window.ladder._rungs[1].title == "1 Key"
    # And down again by the keyboard.
    QTest.keyClick(ladder, Qt.Key.Key_Down, CTRL)
    settle(desk)
    assert names(desk)[:2] == [before[0], before[-1]]


def test_a_rung_shows_the_sheet_after_that_pull(demo_desk: Desk) -> None:
    desk = demo_desk
    ladder = desk.window.ladder
    press(ladder, 90, ladder.rung_height() * 3.5)
    settle(desk)
    assert desk.controller.state.pulls == 3
    early = desk.window.sheet.grab().toImage()
    QTest.keyClick(desk.window, Qt.Key.Key_Period)
    settle(desk)
    assert desk.controller.state.pulls == 4
    assert desk.window.sheet.grab().toImage() != early
    press(ladder, 90, ladder.rung_height() * 0.5)
    settle(desk)
    assert desk.controller.state.pulls == 0


def test_pointing_at_the_sheet_says_what_prints_there(demo_desk: Desk) -> None:
    desk = demo_desk
    sheet = desk.window.sheet
    x, y = sheet.viewport.to_screen(100, 30)  # the slate of the sky
    QTest.mouseMove(sheet, QPointF(x, y).toPoint())
    QApplication.processEvents()
    desk.window._point((100.0, 30.0))
    text = desk.window.foot.text()
    for part in ("x 100.0  y 30.0 mm", "prints 5 slate", "predicted 58 0 −15", "wanted 58 0 −15 (slate)", "ΔE 0"):
        assert part in text
    press(sheet, x, y)
    settle(desk)
    assert desk.controller.state.colour == 5
    assert project_of(desk).block(project_of(desk).impression(desk.controller.state.pull or "").block).name == "Slate"
    desk.window._point((3.0, 3.0))
    assert "bare paper" in desk.window.foot.text()


def test_a_block_dragged_out_of_register_flashes_paper(demo_desk: Desk) -> None:
    desk = demo_desk
    desk.controller.go_to("register")
    brick = project_of(desk).impressions[names(desk).index("Brick")].id
    desk.controller.choose_pull(brick)
    settle(desk)
    sheet = desk.window.sheet
    image = project_of(desk).image
    centre = (image.left + image.right) / 2, (image.top + image.bottom) / 2
    start = sheet.viewport.to_screen(*centre)
    scale = sheet.viewport.scale
    drag(sheet, start, (start[0] + scale, start[1]), (start[0] + 2 * scale, start[1] + scale))
    settle(desk)
    offset = project_of(desk).impression(brick).offset
    assert (offset.dx_mm, offset.dy_mm) == pytest.approx((2, 1), abs=1 / scale)
    assert desk.document.stack.count() == 1
    assert desk.keeper.proof is not None
    assert desk.keeper.proof.spots
    assert "Bare paper shows" in desk.window.at("register").bare.text()
    click(desk.window.at("register").all_in)
    settle(desk)
    assert not project_of(desk).impression(brick).offset
    assert desk.keeper.proof.spots == ()


def test_figures_are_typed_in_any_unit_and_refused_with_a_reason(demo_desk: Desk) -> None:
    desk = demo_desk
    desk.controller.go_to("register")
    settle(desk)
    box = desk.window.at("register").dx
    box.setFocus()
    box.selectAll()
    QTest.keyClicks(box, "0.02 in")
    QTest.keyClick(box, Qt.Key.Key_Return)
    settle(desk)
    assert project_of(desk).impressions[0].offset.dx_mm == pytest.approx(0.51, abs=0.005)
    cure = desk.window.at("register").cure.text()
    assert "Glue a strip of 0.50 mm onto the side of the corner notch." in cure
    width = desk.window.at("register").sheet_w
    width.selectAll()
    QTest.keyClicks(width, "150")
    QTest.keyClick(width, Qt.Key.Key_Return)
    settle(desk)
    assert "runs off the sheet" in desk.window.notice.text()
    assert project_of(desk).paper.width_mm == 200
    assert width.value() == 200


def test_the_kento_moves_to_the_other_hand_and_says_when_there_is_no_room(demo_desk: Desk) -> None:
    desk = demo_desk
    desk.controller.go_to("register")
    settle(desk)
    click(desk.window.at("register").hand.findChildren(QPushButton)[1])
    settle(desk)
    assert project_of(desk).kento.hand == "left"
    desk.controller.places.set_sheet(186.0, 246.0)
    settle(desk)
    assert not desk.window.at("register").packet.isEnabled()
    assert not desk.window.buttons.buttons["packet"].isEnabled()
    assert any("notches need" in f.text for f in desk.keeper.proof.findings) if desk.keeper.proof else False
