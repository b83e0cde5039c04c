"""The Order station in the real window: best orders, pins, the days, rollers and tack."""

from pathlib import Path

import pytest
from msgspec.structs import replace
from PyQt6.QtCore import QDate
from PyQt6.QtWidgets import QApplication, QPushButton

from nomos.project.model.edits import with_workshop
from nomos.ui.desk import Desk
from nomos.ui.stations.order.order_view import MOST_STEPS
from tests.ui.conftest import Answers, click, names, press, project_of, settle


@pytest.fixture
def order(demo_desk: Desk) -> Desk:
    demo_desk.controller.go_to("order")
    settle(demo_desk)
    return demo_desk


def test_the_best_orders_are_found_and_taken(order: Desk) -> None:
    desk, station = order, order.window.at("order")
    click(station.look)
    settle(desk)
    cards = station.best._choices
    assert any("Best colour" in card.name for card in cards)
    assert "different sheets can come out; none comes nearer" in station.best_note.text()
    assert all(card.thumb is not None for card in cards)
    before = names(desk)
    other = next(place for place, card in enumerate(cards) if not card.chosen)
    press(station.best, 100, station.best._height() * (other + 0.4))
    settle(desk)
    assert names(desk) != before
    assert station.best._choices[other].chosen
    assert station.own.text().startswith("On the ladder: ΔE")


def test_a_pin_and_a_school_are_kept(order: Desk) -> None:
    desk, station = order, order.window.at("order")
    pull = project_of(desk).impressions[2].id
    desk.controller.choose_pull(pull)
    settle(desk)
    click(station.pin)
    settle(desk)
    assert station.pins.text() == "Pinned: Dusk mauve at 3."
    station.school_requested.emit("key-first")
    settle(desk)
    report = desk.controller.orderer.report
    assert report is not None
    found = [choice.pulls for choice in report.choices if "the usual order" not in choice.words]
    assert all(pulls[2] == pull for pulls in found)
    assert "knock it back" in station.why_school.text()
    click(station.pin)
    settle(desk)
    assert not desk.controller.orderer.wanted.pins


def test_the_days_follow_times_and_a_day_lost(order: Desk, answers: Answers, tmp_path: Path) -> None:
    desk, station = order, order.window.at("order")
    station.turn_to("days")
    station.days.start.setDate(QDate(2026, 11, 30))
    settle(desk)
    assert project_of(desk).times.start == "2026-11-30"
    assert station.days.steps._rows[0][0].startswith("Mon 30 Nov")
    count = len(station.days.steps._rows)
    # Every block is cut and printed once; the key is cut with the first, of which the seconds over 4 h are no row.
    assert count == 15
    station.days.lost.setDate(QDate(2026, 12, 1))
    click(station.days.lose)
    settle(desk)
    assert "2026-12-01" in station.days.lost_note.text()
    assert not any(name.startswith("Tue 01 Dec") for name, _ in station.days.steps._rows)
    station.days.fields["rack"].set_by_hand.emit(5.0)
    settle(desk)
    assert len(station.days.steps._rows) > count
    click(station.days.air)
    settle(desk)
    assert project_of(desk).times.temperature != 20
    click(station.days.days[5])
    settle(desk)
    assert 5 in project_of(desk).times.days
    answers.folder = tmp_path
    click(station.days.file)
    settle(desk)
    assert (tmp_path / "edition.ics").read_bytes().startswith(b"BEGIN:VCALENDAR")
    station.days.fields["closes"].set_by_hand.emit(9.2)
    settle(desk)
    assert "too short" in station.days.refused.text()
    assert desk.window.grab().width() == 1280


def test_the_days_of_a_huge_edition_are_asked_for_and_begin_in_sight(demo_desk: Desk) -> None:
    desk = demo_desk
    desk.controller.go_to("order")
    station = desk.window.at("order")
    station.turn_to("days")
    settle(desk)
    before = desk.window.strip._tabs[3].answer
    desk.controller.editor.apply("Sheets", lambda project: with_workshop(project, sheets=2_000))
    QApplication.processEvents()
    # The window's thread has not planned them: it waits, and shows what it had.
    assert {"days", "day count"} <= set(desk.runner.busy())
    assert desk.window.strip._tabs[3].answer == before
    settle(desk)
    assert "2000 sheets in" in station.days.said.text()
    assert "beginning" in station.days.said.text()
    assert len(station.days.steps._rows) == MOST_STEPS
    assert desk.window.strip._tabs[3].answer != before


def test_rollers_and_tack(order: Desk) -> None:
    desk, station = order, order.window.at("order")
    station.turn_to("sitting")
    settle(desk)
    assert "one roller" not in station.sitting.said.text()
    station.sitting.rollers_box.set_by_hand.emit(3)
    settle(desk)
    assert "with one roller" in station.sitting.said.text()
    assert {figure.split(",")[0] for _, figure in station.sitting.steps._rows} <= {
        "roller 1", "roller 2", "roller 3"
    }  # fmt: skip

    def wet(project: object) -> object:
        pulls = list(project.impressions)  # type: ignore[attr-defined] # a Project
        pulls[3] = replace(pulls[3], wet=True)
        return replace(project, impressions=tuple(pulls))  # type: ignore[type-var] # a Project

    desk.controller.editor.apply("Wet", wet)  # type: ignore[arg-type] # an Edit
    settle(desk)
    assert "drop of oil into Bed ochre" in station.sitting.advice.text()
    assert "Carbonate is a fine powder" in station.sitting.caution.text()
    assert any("still wet" in rung.note for rung in desk.window.ladder._rungs)
    assert not station.sitting.findChildren(QPushButton)


def test_a_pull_that_has_gone_while_it_was_dragged_stays_gone(order: Desk) -> None:
    """A ladder may let go of a pull that an undo has taken meanwhile."""
    before = project_of(order)
    order.controller.move_pull("a pull that is gone", 0, 1)
    settle(order)
    assert project_of(order) == before
