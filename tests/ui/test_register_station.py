"""The Register station in the real window: systems, tolerance, proofs by eye and from a scan, practice."""

from pathlib import Path

import numpy as np
import pytest
from PyQt6.QtCore import Qt

from nomos.proof import Misregister
from nomos.ui.desk import Desk
from tests.ui.conftest import Answers, QTest, click, press, project_of, settle


@pytest.fixture
def register(demo_desk: Desk) -> Desk:
    demo_desk.window.go_to("register")
    settle(demo_desk)
    return demo_desk


@pytest.fixture
def small(little_desk: Desk) -> Desk:
    little_desk.window.go_to("register")
    settle(little_desk)
    return little_desk


def row(desk: Desk, place: int) -> None:
    systems = desk.window.at("register").systems
    press(systems, 60, systems.middle_of(place))
    settle(desk)


def test_a_system_is_chosen_and_drawn(register: Desk) -> None:
    desk, station = register, register.window.at("register")
    assert "cannot shift" in station.why.text()
    row(desk, 2)
    assert project_of(desk).register.system == "pins"
    content = desk.window.sheet._content
    assert content is not None
    assert content.plan is not None
    assert {"pin", "tab", "tape"} <= {shape.kind for shape in content.plan.shapes}
    station.turn_to("measures")
    assert station.pin_fields.isVisible()
    station.turn_to("system")
    assert desk.window.strip.grab().width() > 0
    row(desk, 3)
    assert station.jig_fields.isVisible()
    assert "0.5 mm too small" in station.blocks_text.text()
    row(desk, 4)
    assert "Better here: kento" in station.why.text()
    desk.document.stack.undo()
    assert project_of(desk).register.system == "jig"


def test_side_and_marks_are_chosen(small: Desk) -> None:
    desk, station = small, small.window.at("register")
    station.system_fields["side"].activated.emit(1)
    settle(desk)
    assert project_of(desk).register.side == "long"
    content = desk.window.sheet._content
    assert content is not None
    assert content.plan is not None
    walls = [shape.points for shape in content.plan.shapes if shape.kind == "wall"]
    # Along the long side the sheet's right edge lies at the notches: both walls stand at x = 88.
    assert all(any(x == pytest.approx(88) for x, _ in wall) for wall in walls)
    station.system_fields["marks"].activated.emit(1)
    settle(desk)
    content = desk.window.sheet._content
    assert content is not None
    assert len({mark.block for mark in content.marks}) == len(project_of(desk).blocks)


@pytest.mark.thorough
def test_the_tolerance_follows_the_slider_and_ones_own_figures(small: Desk) -> None:
    desk, station = small, small.window.at("register")
    station.turn_to("tolerance")
    settle(desk)
    part = station.tolerance
    assert "plausible sheets (estimated along borders)" in part.flashes.text()
    content = desk.window.sheet._content
    assert content is not None
    assert any("±" in word for _, _, word in content.words)
    part.slider.setFocus()
    QTest.keyClick(part.slider, Qt.Key.Key_End)
    settle(desk)
    assert project_of(desk).tolerance_mm == pytest.approx(1.5)
    assert part.school.text().startswith("Loose")
    before = part.apart.text()
    part.fields["seating_mm"].setValue(0.6)
    settle(desk)
    assert project_of(desk).register.budget.seating_mm == 0.6
    assert part.apart.text() != before
    click(part.defaults)
    settle(desk)
    assert project_of(desk).register.budget.seating_mm is None
    click(part.nine)
    settle(desk)
    content = desk.window.sheet._content
    assert content is not None
    assert content.raster is not None
    assert content.raster.labs is None
    click(part.one)
    settle(desk)
    first = desk.window.sheet._content
    click(part.one)
    settle(desk)
    second = desk.window.sheet._content
    assert first is not None
    assert second is not None
    assert first.raster is not None
    assert second.raster is not None
    assert not np.array_equal(first.raster.levels[0], second.raster.levels[0])
    assert "2 of 12" in part.one.text()
    click(part.back)
    settle(desk)
    desk.controller.editor.set("trap_mm", 0.0)
    settle(desk)
    trap = part._trap_mm
    assert trap > project_of(desk).trap_mm
    click(part.trap)
    settle(desk)
    assert project_of(desk).trap_mm == pytest.approx(trap)


def test_a_proof_is_read_by_eye_and_kept(small: Desk) -> None:
    desk, station = small, small.window.at("register")
    pull = project_of(desk).impressions[1].id
    station.turn_to("proofs")
    desk.controller.choose_pull(pull)
    settle(desk)
    part = station.proofs
    part.eye_boxes[0, "x"].setValue(0.5)
    part.eye_boxes[0, "y"].setValue(0.1)
    part.eye_boxes[3, "x"].setValue(0.5)
    part.eye_boxes[3, "y"].setValue(0.1)
    click(part.read)
    settle(desk)
    (reading,) = project_of(desk).readings
    assert reading.pull == pull
    assert reading.dx_mm == pytest.approx(0.5)
    assert "0.50 mm to the right" in part.found.text()
    assert "Glue a strip of 0.50 mm" in part.steps.text()
    click(part.show_it)
    settle(desk)
    assert project_of(desk).impression(pull).offset.dx_mm == 0.5
    part.uncut.click()
    settle(desk)
    assert "lay its transfer" in part.steps.text()


@pytest.mark.thorough
def test_a_simulated_scan_finds_what_was_tried(small: Desk) -> None:
    desk, station = small, small.window.at("register")
    desk.controller.editor.set("register.marks", "rings")
    pull = project_of(desk).impressions[3].id
    desk.controller.choose_pull(pull)
    desk.controller.places.set_offset(Misregister(0.4, -0.3, 0.1))
    station.turn_to("proofs")
    settle(desk)
    click(station.proofs.demo_scan)
    settle(desk)
    scanned = desk.controller.registrar.scanned
    assert scanned is not None
    found = next(each for each in scanned.found.pulls if each.pull == pull)
    assert found.motion is not None
    assert found.motion.shift_mm == pytest.approx((0.4, -0.3), abs=0.05)
    click(station.proofs.keep)
    settle(desk)
    assert len(project_of(desk).readings) == len(project_of(desk).impressions)


@pytest.mark.thorough
def test_a_scan_that_is_none_is_refused_in_a_sentence(small: Desk, answers: Answers, tmp_path: Path) -> None:
    from PIL import Image

    desk, station = small, small.window.at("register")
    answers.scan = tmp_path / "grey.png"
    Image.fromarray(np.full((300, 300, 3), 99, np.uint8)).save(answers.scan)
    station.turn_to("proofs")
    click(station.proofs.scan)
    settle(desk)
    assert "This print is not found" in desk.window.notice.text()
    answers.scan.write_bytes(b"not a picture")
    click(station.proofs.scan)
    settle(desk)
    assert "picture that can be read" in desk.window.notice.text()


def test_practice_marks_an_answer(small: Desk) -> None:
    desk, station = small, small.window.at("register")
    station.turn_to("practice")
    settle(desk)
    part = station.practice
    practice = desk.controller.registrar.practice
    assert practice is not None
    (fault,) = practice.exercise.faults
    pulls = [pull.id for pull in project_of(desk).impressions]
    part.block.setCurrentIndex(pulls.index(fault.pull))
    part.kind.setCurrentIndex(["out of register", "too much ink", "too little ink", "dirty ground"].index(fault.kind))
    part.dx.setValue(fault.dx_mm)
    part.dy.setValue(fault.dy_mm)
    click(part.say)
    settle(desk)
    assert part.marking.text().startswith("Right")
    assert part.score.text() == "3 of 3 points"
    assert not part.say.isEnabled()
    click(part.two)
    settle(desk)
    assert "2 things are wrong" in part.task.text()
    content = desk.window.sheet._content
    assert content is not None
    assert content.plan is None


def test_a_system_without_room_is_said_and_nothing_is_lost(small: Desk) -> None:
    """The small sheet is too narrow for pins: the choice stands, and the packet waits."""
    desk, station = small, small.window.at("register")
    row(desk, 2)
    assert project_of(desk).register.system == "pins"
    assert not station.packet.isEnabled()
    row(desk, 0)
    assert station.packet.isEnabled()
