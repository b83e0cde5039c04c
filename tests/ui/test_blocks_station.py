"""The Blocks station of the real window: plans, switches, keys, touches, reduction."""

from dataclasses import replace
from pathlib import Path

import numpy as np
import pytest
from PyQt6.QtCore import Qt
from PyQt6.QtGui import QColor, QImage
from PyQt6.QtWidgets import QPushButton

from nomos.colour import delta_e00, lab_to_hex, srgb_to_lab
from nomos.ui.desk import Desk
from nomos.ui.frame.sheet_view import WOOD_LAB
from tests.ui.conftest import Answers, QTest, click, drag, look_at, names, press, project_of, settle

LEFT = Qt.MouseButton.LeftButton
CTRL = Qt.KeyboardModifier.ControlModifier
SHIFT = Qt.KeyboardModifier.ShiftModifier


def test_blocks_one_alone_the_key_and_the_trap(demo_desk: Desk) -> None:
    desk = demo_desk
    station = desk.window.at("blocks")
    whole = desk.window.sheet.grab().toImage()
    look_at(desk, "block")
    settle(desk)
    assert desk.window.sheet.grab().toImage() != whole
    press(station.rows, 40, station.rows.middle_of(1))
    click(station.key)
    settle(desk)
    keys = [block.name for block in project_of(desk).blocks if block.is_key]
    assert keys == ["Pane green"]
    areas = desk.keeper.proof.blocks.areas_mm2 if desk.keeper.proof else ()
    desk.controller.editor.set("trap_mm", 0.0)
    settle(desk)
    assert desk.keeper.proof is not None
    assert sum(desk.keeper.proof.blocks.areas_mm2) < sum(areas)


def test_plans_are_looked_for_compared_and_taken(demo_desk: Desk) -> None:
    desk, station = demo_desk, demo_desk.window.at("blocks")
    desk.controller.planner.ask(replace(desk.controller.planner.wanted, source="process", most_blocks=4))
    before = project_of(desk)
    station.turn_to("fewer")
    click(station.fewer.look)
    settle(desk)
    found = desk.controller.planner.found
    assert found is not None
    assert found.done
    assert [len(plans) > 0 for plans in found.plans] == [True] * 3
    cards = station.fewer.cards
    names_of_cards = [choice.name for choice in cards._choices]
    assert names_of_cards[0] == "2 blocks"
    assert all("clear" in choice.quiet and "tight" in choice.quiet for choice in cards._choices)
    curve = station.fewer.curve
    assert "blocks: ΔE" in station.fewer.enough.text()
    QTest.keyClick(curve, Qt.Key.Key_Right)
    settle(desk)
    beside = desk.window.beside.beside
    assert beside is not None
    assert beside.title == "with 2 blocks"
    QTest.keyClick(cards, Qt.Key.Key_Down)
    place = next(n for n, choice in enumerate(cards._choices) if choice.name == "4 blocks")
    press(cards, 100, cards._height() * (place + 0.4))
    settle(desk)
    assert len(project_of(desk).blocks) == 4
    assert desk.keeper.proof is not None
    predicted = {match.number: match.de00 for match in desk.keeper.proof.matches}
    plan = found.plans[2][0]
    # The proof of the plan taken agrees with what the plan promised, but for seams and the key's lines.
    assert sum(predicted.values()) / len(predicted) == pytest.approx(
        (sum(plan.de00) + predicted[8]) / len(predicted), abs=2.5
    )
    QTest.keyClick(desk.window, Qt.Key.Key_Z, CTRL)
    settle(desk)
    assert project_of(desk) == before


def test_a_switch_prints_a_block_on_the_chosen_colour(demo_desk: Desk) -> None:
    desk, station = demo_desk, demo_desk.window.at("blocks")
    desk.controller.choose_colour(5)
    settle(desk)
    assert "slate" in station.switch_title.text()
    shown = station.switches._rows[0]
    assert shown.name == "not: Sky rose"
    press(station.switches, 60, station.switches.middle_of(0))
    settle(desk)
    rose = project_of(desk).block(shown.id)
    assert 5 in rose.colours
    assert desk.keeper.proof is not None
    lab = next(match.predicted for match in desk.keeper.proof.matches if match.number == 5)
    promised = srgb_to_lab(np.array(list(bytes.fromhex(shown.swatch[1:]))))
    assert delta_e00(np.array(lab), promised) < 1.5  # what the patch promised, but for seams
    assert desk.document.stack.count() == 1


def test_a_shelf_is_asked_for_and_a_bad_one_refused(demo_desk: Desk, answers: Answers, tmp_path: Path) -> None:
    shelf = tmp_path / "shelf.csv"
    shelf.write_text("name,L,a,b\nLemon,88,-4,70\nRose,58,48,5\n", "utf-8")
    answers.shelf = shelf
    demo_desk.controller.blocks.ask_inks("shelf")
    assert [each.ink.name for each in demo_desk.controller.planner.wanted.shelf] == ["Lemon", "Rose"]
    shelf.write_text("name,L\n", "utf-8")
    demo_desk.controller.blocks.ask_inks("shelf")
    assert "no column a" in demo_desk.window.notice.text()


def test_a_fine_place_is_found_in_the_background_and_shown(demo_desk: Desk) -> None:
    desk = demo_desk
    settle(desk, closely=True)
    assert desk.keeper.proof is not None
    placed = [finding for finding in desk.keeper.proof.findings if finding.place_mm is not None]
    assert placed
    desk.window.at("blocks").turn_to("know")
    found = desk.window.at("blocks").findings.findChildren(QPushButton)
    buttons = [button for button in found if button.text() == "Show it on the sheet"]
    assert len(buttons) == len(placed)
    click(buttons[0])
    sheet = desk.window.sheet
    x, y = sheet.viewport.to_sheet(sheet.width() / 2, sheet.height() / 2)
    assert (x, y) == pytest.approx(placed[0].place_mm, abs=0.1)
    desk.controller.editor.set("line_mm", 0.1)
    desk.controller.editor.set("tool_mm", 0.1)
    settle(desk, closely=True)
    assert len([f for f in desk.keeper.proof.findings if f.place_mm is not None]) < len(placed)


def test_a_block_is_touched_by_hand_undone_and_worked_out_anew(demo_desk: Desk) -> None:
    desk, station, sheet = demo_desk, demo_desk.window.at("blocks"), demo_desk.window.sheet
    pull = project_of(desk).impressions[names(desk).index("Leek")]
    desk.controller.choose_pull(pull.id)
    settle(desk)
    number = [block.id for block in project_of(desk).blocks].index(pull.block)
    assert desk.keeper.proof is not None
    before = desk.keeper.proof.blocks.masks[number].sum()
    station.turn_to("hand")
    click(station.hand.tools.findChildren(QPushButton)[1])
    image = project_of(desk).image
    start = sheet.viewport.to_screen(image.left + 60, image.top + 20)
    scale = sheet.viewport.scale
    drag(sheet, start, (start[0] + 10 * scale, start[1]), (start[0] + 20 * scale, start[1]))
    settle(desk)
    added = (desk.keeper.proof.blocks.masks[number].sum() - before) / desk.keeper.proof.blocks.px_per_mm**2
    assert added == pytest.approx(20 * 2.0 + np.pi, rel=0.15)
    assert desk.document.stack.count() == 1
    assert station.hand.anew.isVisible()
    click(station.hand.anew)
    settle(desk)
    assert desk.keeper.proof.blocks.masks[number].sum() == before
    QTest.keyClick(desk.window, Qt.Key.Key_Z, CTRL)
    QTest.keyClick(desk.window, Qt.Key.Key_Z, CTRL)
    settle(desk)
    assert desk.document.project is not None
    assert desk.document.project.block(pull.block).drawn is None
    # With Move the sheet is dragged again.
    click(station.hand.tools.findChildren(QPushButton)[0])
    at = sheet.viewport
    drag(sheet, (300.0, 300.0), (310.0, 305.0), (330.0, 310.0))
    assert sheet.viewport != at
    assert desk.document.stack.index() == 0


def test_blocks_go_out_and_come_back(little_desk: Desk, answers: Answers, tmp_path: Path) -> None:
    desk = little_desk
    answers.folder = tmp_path
    desk.window.at("blocks").turn_to("hand")
    click(desk.window.at("blocks").hand.send)
    settle(desk)
    assert "blocks.ora" in desk.window.notice.text()
    answers.blocks = [tmp_path / "blocks.ora"]
    assert desk.keeper.proof is not None
    before = desk.keeper.proof.blocks.masks
    click(desk.window.at("blocks").hand.bring)
    settle(desk)
    assert all(block.drawn for block in project_of(desk).blocks)
    for one, other in zip(before, desk.keeper.proof.blocks.masks, strict=True):
        np.testing.assert_array_equal(one, other)
    # And as files of their own, an outline each.
    hand = desk.window.at("blocks").hand
    hand.kind.setCurrentIndex(3)
    click(hand.send)
    settle(desk)
    assert len(list(tmp_path.glob("*.svg"))) == len(project_of(desk).blocks)
    (tmp_path / "broken.ora").write_bytes(b"nothing")
    answers.blocks = [tmp_path / "broken.ora"]
    click(desk.window.at("blocks").hand.bring)
    settle(desk)
    assert "broken.ora is damaged" in desk.window.notice.text()


def test_a_block_is_simplified_where_nothing_is_seen(demo_desk: Desk) -> None:
    desk = demo_desk
    desk.controller.editor.set("tolerance_mm", 0.0)
    key = project_of(desk).impressions[-1]
    desk.controller.choose_pull(key.id)
    desk.controller.inks.set_opacity("opaque")
    desk.controller.choose_pull(project_of(desk).impressions[2].id)
    settle(desk)
    assert desk.keeper.proof is not None
    before = desk.keeper.proof.mean_de00
    desk.window.at("blocks").turn_to("hand")
    click(desk.window.at("blocks").hand.simpler)
    settle(desk)
    assert "less to cut" in desk.window.notice.text()
    assert desk.keeper.proof.mean_de00 == pytest.approx(before, abs=0.1)


@pytest.mark.thorough
def test_reduction_is_chosen_reordered_and_left(demo_desk: Desk) -> None:
    desk, station = demo_desk, demo_desk.window.at("blocks")
    before = project_of(desk)
    station.turn_to("method")
    ways = station.method.ways
    press(ways, 60, ways.middle_of(1))
    settle(desk)
    assert "One board in 8 states" in station.summary.text()
    assert desk.window.ladder._rungs[1].note.startswith("wash up, cut further, dry 24 h")
    ladder = desk.window.ladder
    tall = ladder.rung_height()
    drag(ladder, (90.0, tall * 1.5), (90.0, tall * 2.0), (90.0, tall * 3.5))
    settle(desk)
    assert names(desk)[:3] == ["Pane green", "Dusk mauve", "Sky rose"]
    assert desk.document.stack.count() == 2
    press(ways, 60, ways.middle_of(0))
    settle(desk)
    assert [b.colours for b in project_of(desk).blocks] == [b.colours for b in before.blocks]


def test_a_block_as_it_is_carved_is_the_mirror_image(demo_desk: Desk) -> None:
    desk, sheet = demo_desk, demo_desk.window.sheet
    pull = project_of(desk).impressions[names(desk).index("Slate")].id
    desk.controller.choose_pull(pull)
    desk.window.looks.chosen.emit("block")
    settle(desk)
    printed, view = sheet.grab().toImage(), sheet.viewport
    look_at(desk, "carved")
    settle(desk)
    assert desk.window.looks.marked.isVisible()
    width = project_of(desk).paper.width_mm
    paper, wood = QColor("#f3efe4"), QColor(lab_to_hex(np.array(WOOD_LAB)))

    def differs(image: QImage, x_mm: float, y_mm: float, ground: QColor) -> bool:
        # The row of looks may take another line for what is marked: the sheet lies elsewhere then.
        x, y = (view if image is printed else sheet.viewport).to_screen(x_mm, y_mm)
        pixel = image.pixelColor(int(x), int(y))
        return abs(pixel.lightness() - ground.lightness()) > 25

    stays = sheet.grab().toImage()
    # Slate prints in the upper sky and on the barrow, not on the sun nor in the rose of the horizon.
    for x, y in ((60, 20), (130, 215), (153, 70), (40, 95), (100, 130)):
        assert differs(printed, x, y, paper) == differs(stays, width - x, y, wood), (x, y)
    click(desk.window.looks.marked.findChildren(QPushButton)[1])
    settle(desk)
    goes = sheet.grab().toImage()
    for x, y in ((60, 20), (153, 70)):
        assert differs(stays, width - x, y, wood) != differs(goes, width - x, y, wood)
    # Pointing and touching are on the mirror image too.
    desk.window._point((width - 60.0, 20.0))
    assert "prints 5 slate" in desk.window.foot.text()
    look_at(desk, "sheets")
    settle(desk)
    assert sheet.grab().toImage() != stays
    assert not desk.window.looks.marked.isVisible()


def test_a_finding_is_cured_by_its_button(demo_desk: Desk) -> None:
    desk, station = demo_desk, demo_desk.window.at("blocks")
    station.turn_to("know")
    settle(desk)
    cure = next(b for b in station.findings.findChildren(QPushButton) if b.text().startswith("No seams above"))
    wanted = float(cure.text().rsplit(" ", 1)[1])
    click(cure)
    settle(desk)
    assert project_of(desk).seam_de00 == wanted
    assert desk.document.stack.count() == 1
