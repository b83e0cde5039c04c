"""A sketch in any medium becomes the flat fields and the line that it means."""

import numpy as np
import pytest

from benchmarks.devices.camera import Answer, Camera, on_paper, scanned
from benchmarks.devices.media import MEDIA, Medium
from nomos.base.errors import BadInput
from nomos.base.progress import Cancelled
from nomos.colour import delta_e00, srgb_to_lab
from nomos.design import Correction, FlatDesign, Picture, fill_nearest, find_cut, flatten, look
from nomos.design.cut import light_of_cut, straightened
from tests.design.conftest import compared


def scan_of(answer: Answer, medium: Medium, *, ppm: float | None = None) -> Picture:
    """A scan of the drawn picture, cropped, its light judged with the margin."""
    sheet = on_paper(answer, medium, seed=3)
    taken = scanned(sheet, seed=1)
    size = answer.labels.shape[1] / answer.px_per_mm, answer.labels.shape[0] / answer.px_per_mm
    ppm = ppm or answer.px_per_mm
    corners = np.array(taken.picture)
    page = straightened(taken.rgb, corners, (round(size[0] * ppm), round(size[1] * ppm)))
    return Picture(page, size, page.shape[1] / size[0], light=light_of_cut(taken.rgb, corners, None))


@pytest.fixture(scope="module")
def crayon(butt: Answer) -> Picture:
    return scan_of(butt, "crayon")


@pytest.fixture(scope="module")
def flat_crayon(crayon: Picture) -> FlatDesign:
    return flatten(crayon, None)


@pytest.mark.thorough
@pytest.mark.parametrize("medium", [medium for medium in MEDIA if medium != "crayon"])
def test_every_medium_gives_its_fields_its_line_and_its_count(butt: Answer, medium: Medium) -> None:
    flat = flatten(scan_of(butt, medium), None)
    hit = compared(flat, butt)
    assert hit.accuracy > 0.95
    assert hit.line > 0.95
    assert abs(hit.off) <= 1


def test_crayon_closes_up_without_losing_small_things(butt: Answer, flat_crayon: FlatDesign) -> None:
    hit = compared(flat_crayon, butt)
    assert hit.accuracy > 0.95
    assert hit.line > 0.95
    assert hit.off == 0
    assert flat_crayon.read_as == "sketch"
    assert flat_crayon.suggestion is not None
    assert "7 areas, the paper and the line" in flat_crayon.suggestion.why
    labs = np.array([colour.lab for colour in flat_crayon.colours])
    red = srgb_to_lab(np.array([0xC8, 0x45, 0x2F], float))
    assert delta_e00(labs, red).min() < 8, "the small red roof counts as much as the sky"


def test_a_photograph_on_a_table_is_found_straightened_and_read(butt: Answer) -> None:
    sheet = on_paper(butt, "gouache", seed=5)
    taken = Camera(pixels=(1500, 1150), tilt=0.25, turn_deg=4.0, cast=(1.0, 0.9, 0.72), seed=8).take(sheet)
    found = find_cut(taken.rgb)
    size = np.array([taken.rgb.shape[1], taken.rgb.shape[0]])
    assert found.certain
    across = np.hypot(*np.subtract(taken.sheet[1], taken.sheet[0])) / (sheet.linear.shape[1] / 5)
    assert np.hypot(*(np.array(found.sheet) * size - taken.sheet).T).max() / across < 1.0
    assert np.hypot(*(np.array(found.cut.corners) * size - taken.picture).T).max() / across < 1.0
    page = straightened(taken.rgb, np.array(found.cut.corners) * size, (825, 575))
    light = light_of_cut(taken.rgb, np.array(found.cut.corners) * size, None)
    assert light.uneven > 0.1
    hit = compared(flatten(Picture(page, (165.0, 115.0), 5.0, light=light), None), butt)
    assert hit.accuracy > 0.94
    assert abs(hit.off) <= 1


@pytest.mark.thorough
def test_a_blue_line_is_a_line_and_no_line_is_none(butt: Answer) -> None:
    blue = butt.colours.copy()
    blue[butt.line] = (31, 63, 143)
    flat = flatten(scan_of(Answer(butt.labels, blue, 5.0, butt.line, 0), "felt pen"), None)
    assert flat.line is not None
    assert delta_e00(np.array(flat.colours[flat.line].lab), srgb_to_lab(np.array([31.0, 63, 143]))) < 12
    areas = fill_nearest(butt.labels, (butt.labels == butt.line).view(np.uint8))
    plain = flatten(scan_of(Answer(areas, butt.colours[:8], 5.0, None, 0), "gouache"), None)
    assert plain.line is None


@pytest.mark.thorough
def test_a_line_of_a_quarter_millimetre_stays(butt: Answer) -> None:
    """Thinner than a pixel of what the sketch is judged at."""
    fine = Answer(np.kron(butt.labels, np.ones((2, 2), np.uint8)), butt.colours, 10.0, butt.line, 0)
    labels = np.where(fine.labels == butt.line, 1, fine.labels).astype(np.uint8)
    for row in (200, 550, 700):
        labels[row : row + 3, 60:1500] = 8
    for column in (400, 900):
        labels[100:1000, column : column + 3] = 8
    answer = Answer(labels, butt.colours, 10.0, butt.line, 0)
    flat = flatten(scan_of(answer, "wash"), None)
    assert compared(flat, answer).line > 0.8  # within a tenth of a millimetre


@pytest.mark.thorough
def test_the_number_asked_for_is_given_and_too_many_are_not_invented(crayon: Picture) -> None:
    looked = look(crayon)
    for count in (4, 6):
        assert abs(len(flatten(crayon, count, looked=looked).colours) - count) <= 1
    flat = Picture(np.full((300, 300, 3), (200, 90, 60), np.uint8), (60.0, 60.0), 5.0)
    assert len(flatten(flat, 9, read_as="sketch").colours) == 1


def sky(noise: float) -> Picture:
    """Dusk from indigo to rose over a dark green field."""
    height, width = 1000, 700
    down = np.linspace(0, 1, height)[:, None, None]
    page = (1 - down) * np.array([40, 60, 140]) + down * np.array([240, 200, 180])
    page = np.broadcast_to(page, (height, width, 3)).copy()
    page[750:] = (60, 90, 40)
    page += np.random.default_rng(2).normal(0, noise, page.shape)
    return Picture(np.clip(page, 0, 255).astype(np.uint8), (140.0, 200.0), 5.0)


@pytest.mark.thorough
@pytest.mark.parametrize("noise", [0.0, 3.0])
@pytest.mark.parametrize("count", [None, 7])
def test_a_gradient_falls_into_bands_that_never_come_back(noise: float, count: int | None) -> None:
    flat = flatten(sky(noise), count)
    column = flat.labels[: int(140 * flat.px_per_mm), flat.labels.shape[1] // 2]
    bands = column[np.flatnonzero(np.diff(column, prepend=255))]
    assert len(set(bands)) == len(bands)
    lightness = [flat.colours[n].lab[0] for n in bands]
    assert lightness == sorted(lightness)
    runs = np.diff(np.flatnonzero(np.diff(column, prepend=255, append=255))) / flat.px_per_mm
    assert runs.min() > 0.8
    if count is None:
        ((numbers, gradient),) = flat.gradients
        assert set(numbers) == set(bands)
        assert gradient.start[1] < 20 < 130 < gradient.end[1]
        assert gradient.dark[0] < gradient.light[0]
    else:
        assert len(flat.colours) == count


@pytest.mark.thorough
def test_what_is_sure_and_unsure(flat_crayon: FlatDesign, butt: Answer) -> None:
    """Doubt lies where two colours are alike, not all over the page."""
    assert flat_crayon.unsure is not None
    assert flat_crayon.unsure.mean() < 0.03
    two = Answer(np.tile(np.array([0, 1], np.uint8).repeat(300), (500, 1)), butt.colours[[0, 1]], 5.0, None, 0)
    near = np.array([(120, 150, 110), (126, 152, 106)], np.uint8)
    doubtful = flatten(scan_of(Answer(two.labels, near, 5.0, None, None), "crayon"), 2)
    assert doubtful.unsure is not None
    clear = flatten(scan_of(two, "crayon"), 2)
    assert clear.unsure is not None
    assert clear.unsure.mean() <= doubtful.unsure.mean() + 0.01


@pytest.mark.thorough
def test_a_photograph_of_tones_is_read_as_tones() -> None:
    hand = np.random.default_rng(4)
    import cv2

    page = np.zeros((420, 540, 3), np.float32)
    for sigma, weight in ((60, 90), (20, 60), (6, 45), (2, 25)):
        layer = cv2.GaussianBlur(hand.normal(0, 1, page.shape).astype(np.float32), (0, 0), sigma)
        page += weight * layer / layer.std()
    picture = Picture(np.clip(page + 120, 0, 255).astype(np.uint8), (108.0, 84.0), 5.0)
    assert flatten(picture, 6).read_as == "tones"
    assert flatten(picture, 6, read_as="sketch").read_as == "sketch"


@pytest.mark.thorough
@pytest.mark.parametrize(
    "rgb",
    [
        np.zeros((400, 300, 3), np.uint8),
        np.full((400, 300, 3), (200, 60, 40), np.uint8),
        np.random.default_rng(0).integers(0, 256, (200, 150, 3)).astype(np.uint8),
        np.clip(np.random.default_rng(0).normal(30, 6, (400, 300, 3)), 0, 255).astype(np.uint8),
        np.full((40, 400, 3), 128, np.uint8),
    ],
    ids=["black", "one colour", "noise", "dark", "strip"],
)
def test_a_picture_of_nothing_still_gives_fields(rgb: np.ndarray) -> None:
    size = rgb.shape[1] / 4, rgb.shape[0] / 4
    flat = flatten(Picture(rgb, size, 4.0), None)
    assert 1 <= len(flat.colours) <= 24
    assert sum(colour.area_pct for colour in flat.colours) == pytest.approx(100)


def test_reading_a_sketch_can_be_called_off_at_any_step(crayon: Picture) -> None:
    seen: list[float] = []

    class Until:
        def __init__(self, last: float) -> None:
            self.last = last

        def report(self, fraction: float, message: str) -> None:  # noqa: ARG002
            seen.append(fraction)
            if fraction > self.last:
                raise Cancelled

    for last in (0.05, 0.3, 0.55, 0.7):
        with pytest.raises(Cancelled):
            flatten(crayon, None, progress=Until(last))
    assert max(seen) < 1
    with pytest.raises(BadInput):
        flatten(crayon, 30)


@pytest.mark.thorough
def test_faint_construction_lines_are_dropped_when_requested(butt: Answer) -> None:
    import cv2

    picture = scan_of(butt, "gouache")
    page = picture.rgb.copy()
    for x in range(60, 800, 90):
        cv2.line(page, (x, 20), (x + 30, 560), (150, 152, 155), 2, cv2.LINE_AA)
    pencilled = Picture(page, picture.size_mm, picture.px_per_mm, light=picture.light)
    kept = look(pencilled)
    assert kept.sketch is not None
    assert kept.sketch.drawn.faint.mean() > 0.002
    dropped = flatten(pencilled, None, corrections=(Correction("drop faint"),))
    assert compared(dropped, butt).accuracy > 0.95
    assert compared(dropped, butt).accuracy >= compared(flatten(pencilled, None), butt).accuracy - 0.002
