"""A sheet of any colour on any ground is found, or it is said not to be sure; the paper keeps its colour."""

import dataclasses
from pathlib import Path

import numpy as np
import pytest
import skimage.data
import sklearn.datasets
from PIL import Image

from benchmarks import photographs as taken_photographs
from benchmarks.devices.camera import Camera, Photograph, Sheet, Table, on_paper
from benchmarks.devices.grounds import ring, ruled, written
from benchmarks.scenes import scene
from benchmarks.sketches import as_given
from nomos.design import find_cut, flatten, read_picture
from nomos.design.cut import WHOLE, Cut, as_corners, cut_with, through, to_print
from nomos.design.flatten import look
from nomos.design.kind import kind_of
from nomos.design.picture import Picture, Pixels

PAPERS = {
    "kraft": (178, 138, 96), "grey": (150, 150, 148), "black": (38, 37, 40), "blue": (150, 178, 200),
    "white": (244, 241, 233),
}  # fmt: skip


def sheet_of(paper: str, number: int = 3) -> Sheet:
    return on_paper(scene(number, line="black"), "gouache", seed=number, paper=PAPERS[paper])


def off_mm(taken: Photograph, corners: object, sheet: Sheet) -> float:
    """How far the worst corner lies off, mm on the sheet, of those inside the picture."""
    height, width = taken.rgb.shape[:2]
    true = np.array(taken.sheet)
    scale = sheet.linear.shape[1] / sheet.px_per_mm / np.hypot(*(true[1] - true[0]))
    inside = ((true > 0) & (true < [width, height])).all(axis=1)
    return float(np.hypot(*(np.array(corners) * [width, height] - true)[inside].T).max() * scale)


@pytest.mark.thorough
@pytest.mark.parametrize(
    ("paper", "ground", "hand", "lens"),
    [
        ("kraft", "mat", None, 0.03), ("black", "wood", 0.1, -0.03), ("grey", "green", 0.6, 0.0),
        ("blue", "cloth", None, -0.02), ("white", "stone", 0.35, 0.04), ("kraft", "dark", 0.8, 0.0),
    ],
)  # fmt: skip
def test_a_sheet_is_found_to_a_millimetre(paper: str, ground: Table, hand: float | None, lens: float) -> None:
    """With a hand over an edge, a note, a cup's ring and a lens that bows the sides."""
    sheet = sheet_of(paper)
    written(sheet.linear, "no. 4", (12, 40), 28.0, (0.03, 0.03, 0.08))
    ring(sheet.linear, (sheet.linear.shape[1] // 2, sheet.linear.shape[0] // 2), 60.0)
    taken = Camera(pixels=(1400, 1089), table=ground, hand_at=hand, lens=lens, turn_deg=4.0, fill=0.8, seed=11).take(
        sheet
    )
    found = find_cut(taken.rgb)
    assert found.certain
    assert off_mm(taken, found.sheet, sheet) < 1.0
    assert sum(found.seen) > 3.3


@pytest.mark.thorough
@pytest.mark.parametrize("seed", range(6))
def test_what_cannot_be_seen_is_never_sure_and_wrong(seed: int) -> None:
    """White on white, black on black, and a sheet that leaves the picture."""
    paper = ("white", "black", "kraft")[seed % 3]
    ground: Table = ("white", "dark", "wood")[seed % 3]
    sheet = sheet_of(paper, seed)
    fill, aside = (0.8, (0.0, 0.0)) if seed < 3 else (0.95, (0.0, 0.2))
    taken = Camera(pixels=(1500, 1200), table=ground, fill=fill, aside=aside, noise=4.0, seed=seed).take(sheet)
    found = find_cut(taken.rgb)
    assert not found.certain or off_mm(taken, found.sheet, sheet) < 1.5


def photographs() -> list[Path]:
    """Real photographs that packages carry."""
    folder = Path(skimage.data.__file__).parent
    names = ("astronaut.png", "coffee.png", "chelsea.png", "rocket.jpg", "motorcycle_left.png")
    images = Path(sklearn.datasets.__file__).parent / "images"
    return [*(folder / name for name in names if (folder / name).exists()), *images.glob("*.jpg")]


@pytest.mark.thorough
@pytest.mark.parametrize("path", photographs(), ids=lambda path: path.stem)
def test_a_real_photograph_is_tones_with_no_sheet_in_it(path: Path) -> None:
    with Image.open(path) as image:
        rgb = np.asarray(image.convert("RGB"))
    assert kind_of(rgb).read_as == "tones"
    found = find_cut(rgb)
    assert (found.certain, found.sheet, found.cut.corners) == (True, WHOLE, WHOLE)


def test_a_picture_is_the_same_kind_at_any_size_of_print() -> None:
    sheet = sheet_of("white")
    taken = Camera(pixels=(1400, 1100), table="wood", seed=2).take(sheet)
    assert kind_of(taken.rgb).read_as == "sketch"
    assert kind_of(np.asarray(Image.fromarray(taken.rgb).resize((700, 550)))).read_as == "sketch"


def test_a_picture_between_a_sketch_and_tones_says_so_and_names_the_other() -> None:
    """A photograph as if half laid in flat colours; what is asked for is not doubted."""
    photograph = skimage.data.astronaut()[..., :3]  # type: ignore[no-untyped-call]
    flat = np.asarray(Image.fromarray(photograph).quantize(6, dither=Image.Dither.NONE).convert("RGB"))
    mixed = (0.7 * flat + 0.3 * photograph).astype(np.uint8)
    picture = Picture(mixed, (120.0, 120.0), mixed.shape[1] / 120.0)
    looked = look(picture)
    assert {looked.read_as, looked.other} == {"sketch", "tones"}
    assert any("lies between" in note for note in flatten(picture, 5, looked=looked).notes)
    asked = look(picture, read_as=looked.other)
    assert asked.other is None
    assert not flatten(picture, 5, looked=asked).notes


@pytest.mark.thorough
def test_crayon_scattered_by_dark_paper_is_a_drawing_but_doubted() -> None:
    """The tooth breaks every stretch, as tones would; the margin of the sheet says that it lies on paper."""
    taken = next(taken_photographs.photographs(33, 1))
    looked = look(as_given(taken.case))
    assert (taken.paper, looked.read_as, looked.other) == ("black", "sketch", "tones")


@pytest.mark.thorough
@pytest.mark.parametrize("paper", ["kraft", "black"])
def test_paper_of_a_colour_of_its_own_stays_bare_and_keeps_it(paper: str) -> None:
    sheet = sheet_of(paper)
    ruled(sheet.linear, 30.0, (0.9, 0.95, 0.98), squared=True)
    taken = Camera(pixels=(1500, 1200), table="pale", cast=(1.0, 1.0, 1.0), falloff=0.3, seed=4).take(sheet)
    size = np.array([taken.rgb.shape[1], taken.rgb.shape[0]])
    cut = Cut(as_corners(np.array(taken.picture) / size), sheet=as_corners(np.array(taken.sheet) / size))
    picture = read_picture(Pixels("a", taken.rgb, None, ()), "a", size_mm=(150.0, 100.0), cut=cut)
    assert picture.light is not None
    assert picture.light.tinted
    assert picture.light.paper is not None
    lightness, _, b = picture.light.paper
    assert (lightness < 25) if paper == "black" else (40 < lightness < 62 and b > 20)
    flat = flatten(picture, None)
    if paper == "black":
        # The ground between pale strokes is no line.
        assert flat.line is None


def test_enlarging_makes_no_colour() -> None:
    """Five flat colours stay five, whatever they are printed at."""
    page = np.full((200, 160, 3), 246, np.uint8)
    for n, colour in enumerate(((16, 24, 46), (200, 60, 50), (40, 120, 90), (230, 190, 70))):
        page[20 + 40 * n : 50 + 40 * n, 20:140] = colour
    picture = read_picture(Pixels("a", page, None, ()), "a", size_mm=(160.0, 200.0))
    assert picture.rgb.shape[0] > 400
    assert len(flatten(picture, None).colours) == 5


@pytest.mark.thorough
def test_a_photograph_has_as_many_colours_as_are_worth_it_and_is_near() -> None:
    """Beside Pillow's median cut at the same number, though specks that nobody can cut are joined."""
    from nomos.colour import delta_e00, srgb_to_lab

    nearer, some = 0, photographs()[:3]
    for path in some:
        with Image.open(path) as image:
            small = image.convert("RGB").resize((image.width // 2, image.height // 2))
            rgb, cut = np.asarray(small), small.quantize(8, method=Image.Quantize.MEDIANCUT, dither=Image.Dither.NONE)
        palette = np.array(cut.getpalette()[:24], np.uint8).reshape(-1, 3)  # type: ignore[index] # it has one
        lab = srgb_to_lab(rgb)
        theirs = delta_e00(lab, srgb_to_lab(palette)[np.minimum(np.asarray(cut), len(palette) - 1)]).mean()
        picture = read_picture(Pixels("a", rgb, None, ()), "a", size_mm=(65.0, 65.0))
        flat = flatten(picture, 8, smallest_feature_mm=0.5)
        labs = np.array([colour.lab for colour in flat.colours])[flat.labels]
        own = delta_e00(srgb_to_lab(picture.rgb), labs).mean()
        nearer += own < theirs * 1.05
        assert len(flatten(picture, None).colours) >= 4
    assert nearer >= len(some) - 1


@pytest.mark.thorough
@pytest.mark.parametrize("paper", ["blue"])
def test_a_hand_is_left_out_and_the_drawing_keeps_its_corners(paper: str) -> None:
    sheet = sheet_of(paper, 5)
    camera = Camera(pixels=(1800, 1400), table="mat", turn_deg=3.0, fill=0.8, seed=2)
    with_hand = dataclasses.replace(camera, hand_at=0.1).take(sheet)
    found, free = find_cut(with_hand.rgb), find_cut(camera.take(sheet).rgb)
    assert [each.kind for each in found.foreign] == ["hand"]
    assert found.foreign[0].sure
    assert free.foreign == ()
    assert np.abs(np.array(found.cut.corners) - free.cut.corners).max() < 0.01
    taken = with_hand, camera.take(sheet)
    one, other = (
        flatten(read_picture(Pixels("a", each.rgb, None, ()), "a", size_mm=(80, 60), cut=its.cut), None)
        for each, its in zip(taken, (found, free), strict=True)
    )
    assert len(one.colours) == len(other.colours)


@pytest.mark.thorough
def test_notes_lie_outside_the_drawing_until_they_are_kept() -> None:
    sheet = sheet_of("white", 5)
    height = sheet.linear.shape[0]
    free = find_cut(Camera(pixels=(1800, 1400), fill=0.8, seed=3).take(sheet).rgb)
    written(sheet.linear, "no. 4 red, 12.11.", (20, height - 30), 5 * sheet.px_per_mm, (0.05, 0.05, 0.12))
    taken = Camera(pixels=(1800, 1400), fill=0.8, seed=3).take(sheet)
    found = find_cut(taken.rgb)
    assert [(each.kind, each.sure, each.beside) for each in found.foreign] == [("writing", True, True)]
    assert np.abs(np.array(found.cut.corners) - free.cut.corners).max() < 0.01
    kept = cut_with(found.cut, found.foreign[0], (120.0, 90.0))
    assert kept.bare == ()
    inner = to_print(kept, (1.0, 1.0))
    for place in found.foreign[0].outline:
        assert all(-0.001 <= value <= 1.001 for value in through(inner, place))


def test_a_cups_ring_is_asked_about() -> None:
    sheet = on_paper(scene(5, line="black"), "felt pen", margin_mm=40.0, seed=5)
    ring(sheet.linear, (int(20 * sheet.px_per_mm), int(20 * sheet.px_per_mm)), 14 * sheet.px_per_mm)
    found = find_cut(Camera(pixels=(1800, 1400), fill=0.85, table="dark", seed=4).take(sheet).rgb)
    assert [(each.kind, each.sure) for each in found.foreign] == [("stain", False)]
    assert found.cut.bare == ()
