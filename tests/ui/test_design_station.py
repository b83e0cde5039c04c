"""The Design station by mouse and keyboard: from a telephone's photograph to fields that are right."""

import io
from pathlib import Path

import numpy as np
import pytest
import skimage.data
from PIL import Image
from PyQt6.QtCore import QPoint, Qt
from PyQt6.QtWidgets import QLabel

from benchmarks.devices.camera import Camera, on_paper
from benchmarks.scenes import scene
from nomos.base.units import PAPER_SIZES_MM
from nomos.demo import demo_picture
from nomos.demo.scenario import PHOTO
from nomos.design import find_cut
from nomos.design.cut import WHOLE
from nomos.project import Project
from nomos.ui.desk import Desk
from nomos.ui.frame.picture_choice import PictureChoice
from nomos.ui.stations.design.corner_dialog import CornerDialog
from tests.ui.conftest import Answers, QTest, click, drag, project_of, settle


@pytest.fixture(scope="module")
def photograph(tmp_path_factory: pytest.TempPathFactory) -> Path:
    """The demo's photograph with a quarter of its pixels."""
    path = tmp_path_factory.mktemp("photo") / "butt.jpg"
    with Image.open(io.BytesIO(demo_picture(PHOTO))) as image:
        image.resize((image.width // 2, image.height // 2)).save(path, quality=92)
    return path


@pytest.fixture(scope="module")
def small_photograph(photograph: Path) -> Path:
    """The same at a quarter of those, where only its sizes are looked at."""
    path = photograph.with_name("small.jpg")
    with Image.open(photograph) as image:
        image.resize((image.width // 2, image.height // 2)).save(path, quality=92)
    return path


@pytest.fixture
def _sheets_are_small(monkeypatch: pytest.MonkeyPatch) -> None:
    """A sheet of the shape of A4 is taken for one of half its sides: a quarter of the pixels to read."""
    for name in ("A4", "A5"):
        width, height = PAPER_SIZES_MM[name]
        monkeypatch.setitem(PAPER_SIZES_MM, name, (width / 2, height / 2))


def flat_names(desk: Desk) -> list[str]:
    flat = project_of(desk).flat
    assert flat is not None
    return [colour.name for colour in flat.colours]


def on_sheet(desk: Desk, x_mm: float, y_mm: float) -> QPoint:
    """Where a place of the image lies on the sheet view."""
    image = project_of(desk).image
    x, y = desk.window.sheet.viewport.to_screen(image.left + x_mm, image.top + y_mm)
    return QPoint(round(x), round(y))


def number_at(desk: Desk, x_mm: float, y_mm: float) -> int:
    proof = desk.keeper.proof
    assert proof is not None
    ppm = proof.blocks.px_per_mm
    return int(proof.blocks.labels[int(y_mm * ppm), int(x_mm * ppm)])


def tool(desk: Desk, name: str) -> None:
    click(desk.window.at("design").correct.tools[name])


@pytest.mark.thorough
@pytest.mark.usefixtures("_sheets_are_small")
def test_a_photograph_becomes_fields_and_is_put_right_by_pointing(desk: Desk, photograph: Path) -> None:
    desk.files.open(photograph)
    settle(desk)
    station, designer = desk.window.at("design"), desk.controller.designer
    assert "cut out" in desk.window.notice.text()
    # What was read here is of no use elsewhere; what went wrong still is.
    desk.window.notice.tell("The disk is full.")
    desk.window.go_to("inks")
    assert desk.window.notice.text() == "The disk is full."
    desk.window.go_to("design")
    settle(desk)
    flat = project_of(desk).flat
    assert flat is not None
    assert len(flat.colours) == 9
    assert flat.line is not None
    assert flat.paper is not None
    key = next(block for block in project_of(desk).blocks if block.is_key)
    assert key.colours == (flat.line,)

    # The picture, and a corner that is off: dragged, and by the keyboard.
    click(station.parts.findChildren(type(station.bare))[0])
    settle(desk)
    view = desk.window.picture
    assert desk.window.central_view.currentWidget() is view
    source = project_of(desk).source
    assert source is not None
    assert source.cut is not None
    before = source.cut.corners
    corner = view._to_screen(before[0]).toPoint()
    QTest.mousePress(view, Qt.MouseButton.LeftButton, pos=corner)
    QTest.mouseMove(view, corner + QPoint(14, 9))
    QTest.mouseRelease(view, Qt.MouseButton.LeftButton, pos=corner + QPoint(14, 9))
    QTest.keyClick(view, Qt.Key.Key_Right, Qt.KeyboardModifier.ShiftModifier)
    settle(desk)
    after = project_of(desk).source
    assert after is not None
    assert after.cut is not None
    assert after.cut.corners[0][0] > before[0][0] + 0.005
    assert after.cut.corners[1:] == before[1:]
    while project_of(desk).source != source:
        QTest.keyClick(desk.window, Qt.Key.Key_Z, Qt.KeyboardModifier.ControlModifier)
    settle(desk)

    # Fields that are wrong, one click and one step of undo each.
    click(station.parts.findChildren(type(station.bare))[2])
    settle(desk)
    assert desk.controller.state.shown == "outlined"
    assert designer.outlined is not None
    steps = desk.document.stack.index()
    scale = project_of(desk).image.width / 165.0
    grass, door, barrel = ((x * scale, y * scale) for x, y in ((14.0, 108.0), (38.0, 60.0), (80.0, 75.0)))
    assert number_at(desk, *door) == flat.paper
    desk.controller.choose_colour(number_at(desk, *grass))
    tool(desk, "fill")
    QTest.mouseClick(desk.window.sheet, Qt.MouseButton.LeftButton, pos=on_sheet(desk, *door))
    settle(desk)
    assert number_at(desk, *door) == number_at(desk, *grass)
    tool(desk, "paper")
    QTest.mouseClick(desk.window.sheet, Qt.MouseButton.LeftButton, pos=on_sheet(desk, *door))
    settle(desk)
    now = project_of(desk).flat
    assert now is not None
    assert number_at(desk, *door) == now.paper
    tool(desk, "another")
    QTest.mouseClick(desk.window.sheet, Qt.MouseButton.LeftButton, pos=on_sheet(desk, *barrel))
    settle(desk)
    assert len(flat_names(desk)) == 10
    assert [each.kind for each in project_of(desk).flat.corrections] == ["fill", "paper", "another"]  # type: ignore[union-attr]
    assert desk.document.stack.index() == steps + 3
    assert "Another colour pointed out" in station.correct.said.text()

    # What was corrected outlives another number of colours, and the way on is open.
    designer.flatten_again(count=8)
    settle(desk)
    assert [each.kind for each in project_of(desk).flat.corrections] == ["fill", "paper", "another"]  # type: ignore[union-attr]
    desk.window.go_to("blocks")
    settle(desk)
    assert len(project_of(desk).blocks) >= 6
    assert desk.keeper.proof is not None


@pytest.mark.thorough
@pytest.mark.usefixtures("_sheets_are_small")
def test_size_by_the_sheet_and_by_a_known_length(desk: Desk, small_photograph: Path) -> None:
    desk.files.open(small_photograph)
    settle(desk)
    designer, part = desk.controller.designer, desk.window.at("design").picture
    # The sheet was A5, here of half the sides: the print is as large as the drawing on it.
    part.paper.setCurrentText("A5")
    click(part.drawn)
    settle(desk)
    image = project_of(desk).image
    assert (image.width, image.height) == pytest.approx((82.5, 57.5), abs=0.4)
    cut = project_of(desk).source.cut  # type: ignore[union-attr]
    assert cut is not None
    designer.known_length(cut.corners[0], cut.corners[1], 60.0)
    settle(desk)
    image = project_of(desk).image
    assert image.width == pytest.approx(60, abs=0.2)


def test_the_key_f_shows_the_sketch_while_it_is_held(demo_desk: Desk) -> None:
    desk = demo_desk
    desk.window.go_to("design")
    settle(desk)
    flat = desk.window.sheet.grab().toImage()
    QTest.keyPress(desk.window, Qt.Key.Key_F)
    settle(desk)
    assert desk.window.sheet.grab().toImage() != flat
    QTest.keyRelease(desk.window, Qt.Key.Key_F)
    settle(desk)
    assert desk.window.sheet.grab().toImage() == flat


def test_a_drawing_keeps_its_plan_when_a_field_is_corrected(
    desk: Desk, little: tuple[Project, dict[str, bytes]]
) -> None:
    """Blocks, inks and order stay; only the field changes."""
    desk.document.begin(*little, saved=True)
    desk.controller.go_to("design")
    settle(desk)
    before = project_of(desk)
    desk.controller.choose_colour(1)
    desk.controller.fields.point_with("fill")
    desk.controller.pick(before.image.left + 20, before.image.top + 40)
    settle(desk)
    after = project_of(desk)
    assert [block.name for block in after.blocks] == [block.name for block in before.blocks]
    assert after.inks == before.inks
    assert after.flat != before.flat
    proof = desk.keeper.proof
    assert proof is not None
    assert np.count_nonzero(proof.blocks.labels == 2) == 0
    QTest.keyClick(desk.window, Qt.Key.Key_Z, Qt.KeyboardModifier.ControlModifier)
    settle(desk)
    assert project_of(desk) == before


def test_a_picture_without_a_size_is_asked_about_in_the_picture(desk: Desk, tmp_path: Path) -> None:
    page = np.full((240, 180, 3), 246, np.uint8)
    page[40:200, 30:90], page[60:180, 90:150] = (200, 60, 50), (40, 60, 120)
    Image.fromarray(page).save(tmp_path / "beds.png")
    desk.files.open(tmp_path / "beds.png")
    settle(desk)
    station, picture = desk.window.at("design"), desk.window.picture
    assert (station.part, picture.tool, picture.isVisible()) == ("picture", "size", True)
    wide = project_of(desk).image.width
    room = picture._room()
    corner, middle = picture.print_size.box(room).bottomRight(), room.center()
    half_way = middle + (corner - middle) / 2
    drag(picture, (corner.x(), corner.y()), (half_way.x(), half_way.y()))
    settle(desk)
    assert project_of(desk).image.width == pytest.approx(wide / 2, rel=0.02)
    assert picture.tool == "size"
    station.picture.paper.setCurrentText("A5")
    assert picture.print_size.paper_mm() == (148.0, 210.0)
    before = project_of(desk).image.width
    QTest.keyClick(picture, Qt.Key.Key_Right, Qt.KeyboardModifier.ShiftModifier)
    settle(desk)
    assert project_of(desk).image.width == pytest.approx(before + 10, abs=0.1)


@pytest.fixture
def doubtful(tmp_path: Path) -> Path:
    """A kraft sheet on wood whose edges are hardly seen."""
    sheet = on_paper(scene(3, line="black"), "gouache", paper=(150, 108, 66), seed=3)
    taken = Camera(pixels=(1000, 800), table="wood", fill=0.95, aside=(0.0, 0.16), hand_at=0.3, seed=3).take(sheet)
    path = tmp_path / "doubtful.png"
    Image.fromarray(taken.rgb).save(path)
    return path


@pytest.mark.thorough
@pytest.mark.usefixtures("_sheets_are_small")
def test_two_readings_stand_side_by_side_and_one_is_taken(desk: Desk, answers: Answers, tmp_path: Path) -> None:
    """A photograph as if half laid in flat colours lies between a sketch and tones."""
    photograph = skimage.data.astronaut()[::2, ::2, :3]  # type: ignore[no-untyped-call]
    flat = np.asarray(Image.fromarray(photograph).quantize(6, dither=Image.Dither.NONE).convert("RGB"))
    Image.fromarray((0.7 * flat + 0.3 * photograph).astype(np.uint8)).save(tmp_path / "between.png", dpi=(150, 150))
    desk.files.open(tmp_path / "between.png")
    settle(desk)
    desk.window.at("design").turn_to("picture")
    other = desk.window.at("design").picture.other
    assert other.isVisible()
    before = project_of(desk)
    click(other)
    settle(desk)
    assert project_of(desk) is before
    dialog = PictureChoice("Which?", answers.compared[0], None)
    assert {made.text() for made in dialog.buttons} == {"Tones", "Flat colours"}
    click(dialog.buttons[1])
    assert dialog.chosen == 1
    answers.picture_wanted = 1
    click(other)
    settle(desk)
    assert project_of(desk).flat != before.flat
    assert not other.isVisible()


@pytest.mark.thorough
@pytest.mark.usefixtures("_sheets_are_small")
def test_where_the_sheet_is_not_sure_it_is_asked_before_anything_is_read(
    desk: Desk, answers: Answers, doubtful: Path
) -> None:
    answers.sheet_there = False
    desk.files.open(doubtful)
    settle(desk)
    assert len(answers.doubted) == 1
    assert desk.document.project is None
    answers.sheet_there = True
    desk.files.open(doubtful)
    settle(desk)
    source = project_of(desk).source
    assert source is not None
    assert source.cut is not None
    assert source.cut.sheet == answers.doubted[1].sheet


def test_the_corners_are_dragged_and_taken_or_all_of_it(doubtful: Path) -> None:
    with Image.open(doubtful) as image:
        rgb = np.asarray(image.convert("RGB"))
    found = find_cut(rgb)
    made = CornerDialog(rgb, found, None)
    made.show()
    assert "not sure" in made.findChildren(QLabel)[0].text()
    corner = made.picture._to_screen(found.sheet[0]).toPoint()
    QTest.mousePress(made.picture, Qt.MouseButton.LeftButton, pos=corner)
    QTest.mouseMove(made.picture, corner + QPoint(12, 12))
    QTest.mouseRelease(made.picture, Qt.MouseButton.LeftButton, pos=corner + QPoint(12, 12))
    click(made.sheet)
    assert made.corners is not None
    assert made.corners[0] != found.sheet[0]
    assert made.corners[1:] == found.sheet[1:]
    other = CornerDialog(rgb, found, None)
    click(other.whole)
    assert other.corners == WHOLE
    left = CornerDialog(rgb, found, None)
    click(left.leave)
    assert left.corners is None


@pytest.mark.thorough
@pytest.mark.usefixtures("_sheets_are_small")
def test_a_hand_is_left_out_and_kept_by_one_click(desk: Desk, tmp_path: Path) -> None:
    sheet = on_paper(scene(5, line="black"), "gouache", seed=5)
    taken = Camera(pixels=(1800, 1400), table="mat", turn_deg=3.0, fill=0.8, hand_at=0.1, seed=2).take(sheet)
    Image.fromarray(taken.rgb).save(tmp_path / "hand.png")
    desk.files.open(tmp_path / "hand.png")
    settle(desk)
    source = project_of(desk).source
    assert source is not None
    assert source.cut is not None
    assert len(source.cut.bare) == 1
    part = desk.window.at("design").picture
    desk.window.at("design").turn_to("picture")
    assert part.foreign.buttons[0].text() == "A hand is left out: keep it"
    click(part.foreign.buttons[0])
    settle(desk)
    kept = project_of(desk).source
    assert kept is not None
    assert kept.cut is not None
    assert kept.cut.bare == ()
    assert part.foreign.buttons[0].text() == "This looks like a hand: leave it out"
    desk.document.stack.undo()
    settle(desk)
    undone = project_of(desk).source
    assert undone is not None
    assert undone.cut == source.cut
