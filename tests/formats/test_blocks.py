"""Blocks and ink shelves in and out: nothing changes on the way, and what makes no sense says so."""

import contextlib
import json
import zipfile
from collections.abc import Callable
from pathlib import Path

import numpy as np
import pytest
from lxml import etree
from PIL import Image

from nomos.base.errors import BadInput
from nomos.colour.spectra import BANDS
from nomos.formats.masks import KINDS, Kind, read_masks, write_blocks
from nomos.formats.openraster import MaskLayer, openraster, read_openraster
from nomos.formats.readings import read_readings
from nomos.formats.shelf import read_inks


def layers(seed: int = 5) -> list[MaskLayer]:
    generator = np.random.default_rng(seed)
    masks = generator.integers(0, 2, (3, 90, 120)).astype(np.uint8)
    names, shown = ("Sky rose", "Ōtsu/2", "Key"), ("#f0cdbf", "#4e7b57", "#23242f")
    return [MaskLayer(*layer) for layer in zip(names, masks, shown, strict=True)]


def test_openraster_goes_out_and_comes_back(tmp_path: Path) -> None:
    path = tmp_path / "blocks.ora"
    path.write_bytes(openraster(layers(), 11.8))
    back = read_openraster(path)
    assert [layer.name for layer in back] == ["Sky rose", "Ōtsu/2", "Key"]
    for one, other in zip(layers(), back, strict=True):
        np.testing.assert_array_equal(one.mask, other.mask)
        assert one.hex == other.hex


def test_openraster_is_as_the_specification_asks(tmp_path: Path) -> None:
    """OpenRaster 0.0.6: mimetype first and stored; stack.xml, merged image, thumbnail; topmost first."""
    path = tmp_path / "blocks.ora"
    path.write_bytes(openraster(layers(), 11.8))
    with zipfile.ZipFile(path) as archive:
        first = archive.infolist()[0]
        assert (first.filename, first.compress_type) == ("mimetype", zipfile.ZIP_STORED)
        assert archive.read("mimetype") == b"image/openraster"
        assert {"stack.xml", "mergedimage.png", "Thumbnails/thumbnail.png"} <= set(archive.namelist())
        root = etree.fromstring(archive.read("stack.xml"))
    assert (root.get("w"), root.get("h"), root.get("version")) == ("120", "90", "0.0.6")
    assert [layer.get("name") for layer in root.iter("layer")] == ["Key", "Ōtsu/2", "Sky rose"]


@pytest.mark.parametrize("kind", KINDS)
def test_every_kind_is_written(tmp_path: Path, kind: Kind) -> None:
    names = write_blocks(tmp_path / "out", layers(), 11.811, kind)
    assert len(names) == (1 if kind == "ora" else 3)
    for name in names:
        assert (tmp_path / "out" / name).stat().st_size > 0
    if kind in ("png", "tiff"):
        with Image.open(tmp_path / "out" / names[0]) as image:
            assert image.mode == "1"
            assert float(image.info["dpi"][0]) == pytest.approx(300, abs=0.5)
        back = read_masks([tmp_path / "out" / name for name in names])
        for one, other in zip(layers(), back, strict=True):
            np.testing.assert_array_equal(one.mask, other.mask)
    if kind == "svg":
        root = etree.parse(str(tmp_path / "out" / names[0])).getroot()
        assert float((root.get("width") or "").removesuffix("mm")) == pytest.approx(120 / 11.811, abs=0.001)


def test_what_cannot_be_read_is_said(tmp_path: Path) -> None:
    broken = tmp_path / "a.ora"
    broken.write_bytes(openraster(layers(), 11.8)[:300])
    with pytest.raises(BadInput, match=r"a\.ora"):
        read_openraster(broken)
    (tmp_path / "b.png").write_bytes(b"no picture")
    with pytest.raises(BadInput, match=r"b\.png"):
        read_masks([tmp_path / "b.png"])
    for name, size in (("c.png", (40, 30)), ("d.png", (41, 30))):
        Image.new("1", size).save(tmp_path / name)
    with pytest.raises(BadInput, match="41 × 30"):
        read_masks([tmp_path / "c.png", tmp_path / "d.png"])


def shelf(tmp_path: Path, text: str, name: str = "shelf.csv") -> Path:
    path = tmp_path / name
    path.write_text(text, "utf-8")
    return path


def test_a_shelf_of_csv_and_json(tmp_path: Path) -> None:
    inks = read_inks(
        shelf(
            tmp_path,
            "name,L,a,b,opacity,strengths,notes\n"
            "Lemon,89,-5,80,transparent,1;0.5;0.25,made up\n"
            "White,95,0,2,opaque,,\n\n",
        )
    )
    assert [(each.ink.name, each.ink.lab, each.ink.opacity, each.strengths) for each in inks] == [
        ("Lemon", (89, -5, 80), "transparent", (1, 0.5, 0.25)),
        ("White", (95, 0, 2), "opaque", (1,)),
    ]
    grey = ", ".join(["0.3"] * BANDS)
    text = f'{{"inks": [{{"name": "Grey", "reflectance": [{grey}], "strengths": [1, 0.5]}}]}}'
    (ink,) = read_inks(shelf(tmp_path, text, "shelf.json"))
    assert ink.ink.lab == pytest.approx((61.65, 0, 0), abs=0.05)
    assert ink.ink.reflectance == (0.3,) * BANDS


@pytest.mark.parametrize(
    ("text", "words"),
    [
        ("", "no column name"),
        ("name,L,a\n", "no column b"),
        ("name,L,a,b\n", "holds no ink"),
        ("name,L,a,b\nRed,x,1,2\n", "line 2: L, a and b"),
        ("name,L,a,b\nRed,120,1,2\n", "line 2: L must be"),
        ("name,L,a,b\n,50,1,2\n", "line 2: the ink has no name"),
        ("name,L,a,b,opacity\nRed,50,1,2,thick\n", "line 2: opacity"),
        ("name,L,a,b,strengths\nRed,50,1,2,0;1\n", "line 2: strengths"),
        ("name,L,a,b\nRed,50,1,2\nRed,40,1,2\n", "two inks called Red"),
    ],
)
def test_a_shelf_that_makes_no_sense_names_the_line(tmp_path: Path, text: str, words: str) -> None:
    with pytest.raises(BadInput, match=words):
        read_inks(shelf(tmp_path, text))
    with pytest.raises(BadInput):
        read_inks(shelf(tmp_path, text, "shelf.json"))
    with pytest.raises(BadInput, match="cannot be read"):
        read_inks(tmp_path / "nothing.csv")


ODD: tuple[object, ...] = (
    None, True, -1, 10**400, 1e308, "", "\x00", "a\nb", [], {}, [[]], [None], {"x": 1}, "NaN", [10**400] * 36,
    [1] * 36, ["x"] * 36, [[1]] * 36,
)  # fmt: skip
FIELDS = (
    "name", "L", "a", "b", "strengths", "reflectance", "absorption", "scattering", "k1", "known", "sealed",
    "tack", "drying_h", "cost", "tub_g", "notes", "pigment", "vehicle", "opacity",
)  # fmt: skip


@pytest.mark.parametrize("field", FIELDS)
def test_whatever_stands_in_a_field_of_a_shelf_it_is_inks_or_a_sentence(field: str, tmp_path: Path) -> None:
    path = tmp_path / "shelf.json"
    plain = {"name": "a", "L": 50, "a": 1, "b": 2}
    for odd in ODD:
        path.write_text(json.dumps({"inks": [{**plain, field: odd}]}))
        with contextlib.suppress(BadInput):
            assert len(read_inks(path)) == 1


@pytest.mark.parametrize(
    ("read", "text"),
    [
        (read_inks, "name,L,a,b\nLemon,88,-4,70,5\n"),
        (read_readings, "sample,over,L,a,b\nPaper,,95,0,3,9,9\n"),
        (read_inks, 'name,L,a,b\n"Lemon,88,-4,70\n' + "x" * 200_000),
    ],
)
def test_a_row_of_more_cells_than_columns_names_its_line(
    read: Callable[[Path], object], text: str, tmp_path: Path
) -> None:
    path = tmp_path / "table.csv"
    path.write_text(text)
    with pytest.raises(BadInput, match=r"table\.csv, line"):
        read(path)
