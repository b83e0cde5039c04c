"""The Inks station in the real window: recipes, the stack, ways of seeing, cards, charts and proofs."""

from functools import partial
from itertools import pairwise
from pathlib import Path

import numpy as np
import pytest
from PIL import Image
from PyQt6.QtCore import QPoint, Qt
from PyQt6.QtWidgets import QPushButton

from nomos.colour import delta_e00, lab_to_srgb
from nomos.devices import Scales, Scanner
from nomos.formats.chart import chart_picture
from nomos.formats.shelf import read_inks
from nomos.project.inks.chart import overlap_chart
from nomos.project.inks.reach import MOST_PASSES
from nomos.project.register.learning import Cause, with_cause
from nomos.ui.desk import Desk
from tests.project.test_learning import sheet_of
from tests.ui.conftest import Answers, QTest, click, press, project_of, settle

LEFT, NONE = Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier
SLATE = 4


@pytest.fixture
def inks(demo_desk: Desk) -> Desk:
    """The demo at the Inks station, slate in hand."""
    demo_desk.controller.go_to("inks")
    demo_desk.controller.choose_pull(project_of(demo_desk).impressions[SLATE].id)
    settle(demo_desk)
    return demo_desk


def own_ink(desk: Desk) -> str:
    return project_of(desk).impressions[SLATE].zones[0].ink


@pytest.mark.thorough
def test_a_recipe_is_found_weighed_taken_and_put_right(inks: Desk) -> None:
    desk, station = inks, inks.window.at("inks")
    station.turn_to("mix")
    click(station.mix.look)
    settle(desk)
    assert station.mix.rows._rows
    assert "best match" in station.mix.rows._rows[0].name
    assert all(" g   " in figure for _, figure in station.mix.weights._rows)
    press(station.mix.rows, 60, station.mix.rows.middle_of(1))
    settle(desk)
    made = desk.controller.inkroom.mixed
    assert made is not None
    assert made.chosen == 1
    click(station.mix.take)
    settle(desk)
    ink = project_of(desk).ink(own_ink(desk))
    assert ink.optics is not None
    assert float(delta_e00(np.array(ink.lab), np.array(made.target))) < 3
    # It came out too dark, as a colour reader with its small error says.
    lightness, a, b = np.array(made.target) + np.random.default_rng(2).normal(0, 0.15, 3)
    for box, value in zip(station.mix.boxes, (lightness - 6, a, b), strict=True):
        box.setValue(value)
    click(station.mix.right)
    settle(desk)
    assert any(name.startswith("add ") for name, _ in station.mix.added._rows)
    assert "From ΔE" in station.mix.added_note.text()
    # A colour set by hand is another ink than the one that was mixed.
    desk.controller.inks.recolour_ink((50.0, 0.0, 0.0), 1)
    settle(desk)
    assert project_of(desk).ink(own_ink(desk)).optics is None


def test_film_tack_and_wet_printing_change_the_print(inks: Desk) -> None:
    desk, station = inks, inks.window.at("inks")
    station.turn_to("stack")
    settle(desk)
    assert desk.keeper.proof is not None
    before = [match.predicted for match in desk.keeper.proof.matches]
    click(station.stack.inking.findChildren(QPushButton)[2])
    settle(desk)
    assert project_of(desk).impressions[SLATE].zones[0].inking == "heavy"
    assert not np.allclose([match.predicted for match in desk.keeper.proof.matches], before)
    click(station.stack.wet.findChildren(QPushButton)[1])
    settle(desk)
    assert "90 % of the film" in station.stack.trapping_note.text()
    station.stack.ink["tack"].set_by_hand.emit(9.0)
    settle(desk)
    assert "0 % of the film" in station.stack.trapping_note.text()
    station.stack.trapping["trapping"].set_by_hand.emit(60)
    settle(desk)
    assert project_of(desk).impressions[SLATE].trapping == 0.6
    assert "measured" in station.stack.trapping_note.text()
    # Densities as a reader gives them: the share is worked out from the layers.
    for box, value in zip(station.stack.density_boxes, (0.3, 1.1, 1.2), strict=True):
        box.setValue(value)
    click(station.stack.from_densities)
    settle(desk)
    measured = project_of(desk).impressions[SLATE].trapping
    assert measured is not None
    assert 0.6 < measured <= 1.0
    assert "is worth" in station.stack.passes.text()
    assert MOST_PASSES > 2
    click(station.stack.paper_faces["kind"].findChildren(QPushButton)[0])
    settle(desk)
    assert project_of(desk).paper.kind == "coated"
    click(station.stack.paper_faces["surface"].findChildren(QPushButton)[1])
    station.stack.paper_fields["growth.0"].setValue(0.3)
    settle(desk)
    assert project_of(desk).paper.surface == "rough"
    assert station.stack.spectra._curves is not None


def test_what_an_ink_is_taken_for_is_said_and_another_pigment_chosen(inks: Desk) -> None:
    desk, station = inks, inks.window.at("inks")
    station.turn_to("stack")
    settle(desk)
    assert "taken for" in station.stack.taken.text()
    assert station.stack.spectra._curves is not None
    before = station.stack.spectra._curves[1].copy()
    choice = station.stack.family["family"]
    place = next(n for n in range(choice.count()) if "phthalo green" in choice.itemText(n))
    choice.setCurrentIndex(place)
    choice.activated.emit(place)
    settle(desk)
    assert project_of(desk).ink(own_ink(desk)).family == "green"
    assert "phthalo green" in station.stack.taken.text()
    assert not np.allclose(station.stack.spectra._curves[1], before)


def test_a_graded_zone_is_bent_and_printed_flat_first(inks: Desk) -> None:
    desk, station = inks, inks.window.at("inks")
    click(station.inking.findChildren(QPushButton)[1])
    settle(desk)
    station.grade_box.set_by_hand.emit(20)
    station.turn_to("stack")
    settle(desk)
    click(station.stack.course.findChildren(QPushButton)[1])
    settle(desk)
    station.stack.bend["curve"].set_by_hand.emit(2.0)
    settle(desk)
    grade = project_of(desk).impressions[SLATE].zones[0].grade
    assert grade is not None
    assert grade.both
    assert grade.curve == 2.0
    click(station.stack.flat)
    settle(desk)
    pulls = project_of(desk).impressions
    assert pulls[SLATE].block == pulls[SLATE + 1].block
    assert pulls[SLATE].zones[0].strength == pytest.approx(0.2)


def test_the_print_in_other_lights_other_eyes_and_wet(inks: Desk) -> None:
    desk, station, sheet = inks, inks.window.at("inks"), inks.window.sheet
    station.turn_to("see")
    settle(desk)
    pictures = [sheet.grab().toImage()]
    asked = (
        partial(station.see.light_requested.emit, "A"), partial(station.see.eyes_requested.emit, "grey"),
        partial(click, station.see.dry.findChildren(QPushButton)[1]),
    )  # fmt: skip
    for ask in asked:
        ask()
        settle(desk)
        pictures.append(sheet.grab().toImage())
    assert all(one != other for one, other in pairwise(pictures))
    middle = pictures[2].pixelColor(sheet.width() // 2, sheet.height() // 2)
    assert max(middle.red(), middle.green(), middle.blue()) - min(middle.red(), middle.green(), middle.blue()) <= 3
    x, y = sheet.viewport.to_screen(60, 20)
    QTest.mouseClick(sheet, LEFT, NONE, QPoint(round(x), round(y)))
    settle(desk)
    assert station.see.here_title.text() == "Here: 1 layer, first printed first"
    assert station.see.here._rows[0].name == "5 Slate"
    assert len(station.see.overlaps._rows) == 14
    station.see.lightness_box.setValue(60)
    assert len(station.see.gamut._cloud) > 50


@pytest.mark.thorough
def test_the_chart_is_written_printed_scanned_and_compared(inks: Desk, answers: Answers, tmp_path: Path) -> None:
    desk, station = inks, inks.window.at("inks")
    station.turn_to("see")
    answers.folder = tmp_path
    click(station.see.chart)
    settle(desk)
    assert (tmp_path / "chart.pdf").exists()
    picture = chart_picture(overlap_chart(project_of(desk)), project_of(desk).paper.lab)
    answers.scan = tmp_path / "scan.png"
    Image.fromarray(Scanner().scan(np.pad(picture, ((20, 20), (20, 20), (0, 0)), mode="edge"))).save(
        answers.scan, compress_level=1
    )
    click(station.see.read_chart)
    settle(desk)
    assert len(station.see.chart_rows._rows) == 14
    before = project_of(desk).inks
    click(station.see.learn_chart)
    settle(desk)
    assert {ink.optics.known for ink in project_of(desk).inks if ink.optics} == {"chart"}
    assert "Learnt from 255 patches" in station.see.learned.text()
    QTest.keyClick(desk.window, Qt.Key.Key_Z, Qt.KeyboardModifier.ControlModifier)
    settle(desk)
    assert project_of(desk).inks == before
    station.turn_to("mix")
    click(station.mix.keep)
    assert len(read_inks(tmp_path / "shelf.json")) == 8


def test_a_drawdown_card_is_pointed_at(inks: Desk, answers: Answers, tmp_path: Path) -> None:
    desk, station, sheet = inks, inks.window.at("inks"), inks.window.sheet
    paper = project_of(desk).paper.lab
    wanted = (52.0, 28.0, -12.0)
    over = (22.0, 6.0, -4.0)
    card = np.empty((600, 900, 3), np.uint8)
    card[:, :300], card[:, 300:600], card[:, 600:] = (
        lab_to_srgb(np.array(lab)) for lab in (paper, (49.5, 0.0, 0.0), wanted)
    )
    card[450:, :600], card[450:, 600:] = (lab_to_srgb(np.array(lab)) for lab in ((15.0, 0.0, 0.0), over))
    answers.scan = tmp_path / "card.png"
    Image.fromarray(Scanner(cast=(0.95, 1.0, 0.8), gamma=1.1).scan(card)).save(answers.scan)
    station.turn_to("mix")
    click(station.mix.card)
    settle(desk)
    assert desk.controller.state.shown == "card"
    assert "bare paper" in station.mix.card_note.text()
    for share in (1 / 6, 1 / 2, 5 / 6):
        x, y = sheet.viewport.to_screen(200 * share, 60)
        QTest.mouseClick(sheet, LEFT, NONE, QPoint(round(x), round(y)))
        settle(desk)
    assert "even to" in station.mix.card_note.text()
    click(station.mix.take_card)
    settle(desk)
    got = project_of(desk).ink(own_ink(desk)).lab
    assert float(delta_e00(np.array(got), np.array(wanted))) < 1.5
    # The stripe too: what it scatters is known then.
    click(station.mix.over_black)
    settle(desk)
    assert "black stripe" in station.mix.card_note.text()
    tall = 200 * 600 / 900
    for x_share, y_share in ((1 / 4, 0.9), (5 / 6, 0.9)):
        x, y = sheet.viewport.to_screen(200 * x_share, tall * y_share)
        QTest.mouseClick(sheet, LEFT, NONE, QPoint(round(x), round(y)))
        settle(desk)
    assert "K and S are known" in station.mix.card_note.text()
    click(station.mix.take_card)
    settle(desk)
    optics = project_of(desk).ink(own_ink(desk)).optics
    assert optics is not None
    assert optics.known == "readings"
    assert max(optics.scattering) > 0.01
    answers.folder = tmp_path
    click(station.mix.write_card)
    settle(desk)
    assert (tmp_path / "drawdown-card.pdf").read_bytes()[:5] == b"%PDF-"


@pytest.mark.thorough
def test_a_scanned_proof_is_compared_and_taken_into_the_plan(inks: Desk, answers: Answers, tmp_path: Path) -> None:
    desk, station = inks, inks.window.at("inks")
    project, proof = project_of(desk), desk.keeper.proof
    assert proof is not None
    printed = with_cause(project, Cause("", 1.35, 0, 0, ink=own_ink(desk)))
    answers.scan = tmp_path / "proof.png"
    Image.fromarray(Scanner(seed=1).scan(sheet_of(printed, proof.blocks))).save(answers.scan, compress_level=1)
    station.turn_to("learn")
    click(station.learn.scan)
    settle(desk)
    assert station.learn.read._rows[0].name == "Slate"
    assert station.learn._shown[0].startswith("Slate is")
    assert "stronger than planned" in station.learn._shown[0]
    click(station.learn.causes.findChildren(QPushButton)[0])
    settle(desk)
    assert project_of(desk).ink(own_ink(desk)).optics is not None
    assert desk.document.stack.count() == 1


def test_amounts_follow_the_sheets_and_the_scales(inks: Desk) -> None:
    desk, station = inks, inks.window.at("inks")
    station.turn_to("learn")
    settle(desk)
    few = dict(station.learn.needs._rows)["Slate"]
    station.learn.fields["sheets"].set_by_hand.emit(200)
    settle(desk)
    many = dict(station.learn.needs._rows)["Slate"]
    assert float(many.split()[0]) > float(few.split()[0]) + 10
    scales = Scales(tare_g=20.0)
    for box, grams in (
        (station.learn.before_box, scales.weigh(500.04)), (station.learn.after_box, scales.weigh(491.4)),
        (station.learn.pulls_box, 100.0),
    ):  # fmt: skip
        box.setValue(grams)
    click(station.learn.take_weights)
    settle(desk)
    assert project_of(desk).workshop.film_g_m2 == pytest.approx(8.6 / (0.00858 * 100), rel=0.05)
    station.learn.after_box.setValue(600)
    click(station.learn.take_weights)
    assert "Weigh ink" in desk.window.notice.text()


def test_an_ink_is_taught_from_a_file_of_readings(inks: Desk, answers: Answers, tmp_path: Path) -> None:
    desk, station = inks, inks.window.at("inks")
    path = tmp_path / "slate.csv"
    path.write_text(
        "sample,over,L,a,b\npaper,,95,0,5\nblack,,18,0,0\nSlate,paper,58,0,-15\nSlate,black,21,0,-6\n", "utf-8"
    )
    answers.readings = path
    station.turn_to("mix")
    click(station.mix.teach)
    settle(desk)
    assert "2 readings" in desk.window.notice.text()
    optics = project_of(desk).ink(own_ink(desk)).optics
    assert optics is not None
    assert np.max(optics.scattering) > 0.005
