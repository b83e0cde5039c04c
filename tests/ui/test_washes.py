"""Chains of washes planned and printed in the real window: a reduction, one block in washes, a jigsaw."""

from collections.abc import Callable
from datetime import date
from itertools import pairwise

import numpy as np
import pytest
from PyQt6.QtCore import Qt
from PyQt6.QtWidgets import QPushButton

from nomos.colour import Lab
from nomos.project import Assets, Project
from nomos.project.blocks.pulls import between_pulls
from nomos.project.blocks.reduction import cut_before
from nomos.project.edition.sheets import buying_list
from nomos.project.order.days import calendar_of, runs_of
from nomos.project.sheet.laying import sheet_labs
from nomos.ui.desk import Desk
from tests.ui.conftest import QTest, click, drag, project_of, settle

LEFT = Qt.MouseButton.LeftButton
Drawn = Callable[[np.ndarray, list[Lab], float], tuple[Project, Assets]]


def by_hand(desk: Desk, tool: str, *shares: tuple[float, float], becomes: int = 0) -> None:
    """A stroke on the sheet with a tool of the part Inking, at places as shares of the image."""
    part = desk.window.at("blocks").inking
    made = next(each for each in part.hand.findChildren(QPushButton) if each.text().lower() == tool)
    QTest.mouseClick(made, LEFT)
    part.what.setCurrentIndex(becomes)
    part.what.activated.emit(becomes)
    image, view = project_of(desk).image, desk.window.sheet._view
    drag(
        desk.window.sheet,
        *(view.to_screen(image.left + x * image.width, image.top + y * image.height) for x, y in shares),
    )
    settle(desk)


def once_more(desk: Desk, place: int, name: str) -> None:
    """Print the block of a pull once more, and give that pass a name."""
    part = desk.window.at("blocks").inking
    desk.controller.choose_pull(project_of(desk).impressions[place].id)
    settle(desk)
    click(part.again)
    settle(desk)
    desk.controller.choose_pull(project_of(desk).impressions[place + 1].id)
    settle(desk)
    part.name.setFocus()
    part.name.selectAll()
    QTest.keyClicks(part.name, name)
    QTest.keyClick(part.name, Qt.Key.Key_Return)
    settle(desk)


@pytest.fixture
def inking(little_desk: Desk) -> Desk:
    little_desk.window.at("blocks").turn_to("inking")
    return little_desk


def test_flat_graded_white_and_white_at_the_edges_in_one_reduction(inking: Desk) -> None:
    desk = inking
    desk.controller.methods.choose_method("reduction")
    settle(desk)
    states = len(project_of(desk).blocks)
    once_more(desk, 0, "Dusk, graded")
    by_hand(desk, "lasso", (0.1, 0.6), (0.9, 0.6), (0.9, 0.9), (0.1, 0.9), becomes=1)
    desk.controller.set_state(zone=0)
    desk.controller.methods.grade(True)
    settle(desk)
    once_more(desk, 1, "Thin white")
    desk.controller.methods.grade(False)
    desk.controller.inks.recolour_ink((95.0, 0.0, 1.0), 1)
    desk.controller.inks.set_opacity("opaque")
    desk.controller.inks.set_strength(0.3, 2)
    settle(desk)
    once_more(desk, 2, "White at the edges")
    desk.controller.methods.grade(True)
    desk.controller.editor.set_grade("edge_mm", 3.0)
    desk.controller.editor.set_grade("outer", True)
    settle(desk)
    project = project_of(desk)
    assert len(project.blocks) == states
    names = [project.pull_name(pull.id) for pull in project.impressions]
    assert names[1:4] == ["Dusk, graded", "Thin white", "White at the edges"]
    # Cut further only after the last pass of the state; the ladder says so.
    assert cut_before(project)[1:4] == ((), (), ())
    assert cut_before(project)[4]
    assert ["cut away" in note for note in between_pulls(project)[:4]] == [False, False, False, True]
    proof = desk.keeper.proof
    assert proof is not None
    for pulls, (before, after) in enumerate(pairwise(sheet_labs(project, proof.laid, n) for n in range(5))):
        assert np.abs(after - before).max() > 0.5, names[pulls]
    # The days keep their rules: each pass dries, or goes on wet, before the next begins.
    plan = calendar_of(project, date(2026, 11, 30))
    prints = [task for task in plan.tasks if task.kind == "print"]
    assert [task.start for task in prints] == sorted(task.start for task in prints)
    # Each state and pass is one pull at the bench, in this order.
    desk.window.go_to("bench")
    settle(desk)
    screen, bencher = desk.window.at("bench"), desk.controller.bencher
    for name in names[:3]:
        QTest.keyClick(screen, Qt.Key.Key_Return)
        settle(desk)
        if screen.not_yet.isVisible():
            QTest.keyClick(screen, Qt.Key.Key_Return)
            settle(desk)
        assert name in screen.title.text()
        while (state := bencher.state()) is not None and state.queue():
            bencher.pull("good")
        settle(desk)


def test_one_block_in_smaller_and_smaller_washes_under_a_transparent_colour(inking: Desk) -> None:
    """Four washes of the first block, each a zone of its own; the line block goes before the last colour."""
    desk = inking
    for wash in range(1, 4):
        once_more(desk, wash - 1, f"Wash {wash + 1}")
        far = 0.08 * wash
        by_hand(desk, "lasso", (far, far), (1 - far, far), (1 - far, 1 - far), (far, 1 - far), becomes=3)
    key = next(p for p in project_of(desk).impressions if project_of(desk).block(p.block).is_key)
    last = len(project_of(desk).impressions) - 1
    desk.controller.move_pull(key.id, last - 1, gesture=1)
    settle(desk)
    project, proof = project_of(desk), desk.keeper.proof
    assert proof is not None
    assert project.impressions[last - 1].id == key.id
    areas = []
    for place in range(4):
        pull = project.impressions[place]
        assert pull.block == project.impressions[0].block
        printed = proof.laid.printed_by(pull.id)[proof.laid.map.index]
        areas.append(np.count_nonzero(printed))
    assert areas == sorted(areas, reverse=True)
    assert areas[3] < 0.9 * areas[0]
    # One ink in four strengths is one thing to buy for as long as it stays the same.
    inks = [line.what for line in buying_list(project, proof.blocks) if line.what.startswith("Ink ")]
    assert len(inks) == len(set(inks))


def test_twelve_pieces_are_inked_by_twelve_inks_in_one_pull(desk: Desk, drawn: Drawn) -> None:
    page = np.zeros((240, 320), np.uint8)
    for n in range(12):
        row, column = divmod(n, 4)
        page[10 + 76 * row : 80 + 76 * row, 10 + 76 * column : 80 + 76 * column] = n + 1
    labs = [(96.0, 0.0, 3.0), *((45.0 + 3 * n, 40 - 7.0 * n, -30 + 6.0 * n) for n in range(12))]
    project, assets = drawn(page, labs, 4.0)
    desk.document.begin(project, dict(assets), saved=True)
    desk.controller.methods.choose_method("jigsaw")
    settle(desk)
    project = project_of(desk)
    (pull,) = project.impressions
    assert len({zone.ink for zone in pull.zones}) == 12
    (run,) = runs_of(project)
    # Twelve inks are twelve things to wash, and no four minutes a pull.
    assert run.washes == 12
    assert run.pull_min is not None
    assert run.pull_min > 12
    desk.window.go_to("bench")
    settle(desk)
    screen = desk.window.at("bench")
    QTest.keyClick(screen, Qt.Key.Key_Return)
    settle(desk)
    assert "every piece inked" in screen.lines.text()
    assert "And 9 more zones, see the packet." in screen.lines.text()
    QTest.keyClick(screen, Qt.Key.Key_Space)
    settle(desk)
    assert [event.kind for event in desk.controller.bencher.events()] == ["project", "layer", "good"]
