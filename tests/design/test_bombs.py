"""Files that would blow up, never end, or reach outside themselves are refused before they are unpacked."""

import base64
import contextlib
import io
import os
import struct
import tempfile
import tracemalloc
import zipfile
import zlib
from pathlib import Path

import numpy as np
import pytest
from PIL import Image

from nomos.base.errors import BadInput
from nomos.base.progress import Cancelled, Progress
from nomos.design import read_picture, read_pixels
from nomos.design.limits import MAX_FILE_PIXELS, check_packed, check_pixels
from nomos.formats.masks import read_masks
from nomos.formats.openraster import read_openraster
from nomos.project import Assets, Project, load, save
from nomos.project.model import store


def hollow_png(width: int, height: int, *, colour: int = 0) -> bytes:
    """A PNG that says it is large and holds next to nothing (PNG specification, chunks IHDR and IDAT)."""

    def chunk(kind: bytes, data: bytes) -> bytes:
        return struct.pack(">I", len(data)) + kind + data + struct.pack(">I", zlib.crc32(kind + data))

    head = struct.pack(">IIBBBBB", width, height, 8, colour, 0, 0, 0)
    return b"\x89PNG\r\n\x1a\n" + chunk(b"IHDR", head) + chunk(b"IDAT", zlib.compress(b"")) + chunk(b"IEND", b"")


def svg(inside: str, size: str = 'width="40mm" height="30mm" viewBox="0 0 40 30"') -> bytes:
    space = 'xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink"'
    return f"<svg {space} {size}>{inside}</svg>".encode()


@pytest.mark.parametrize("tag", ["image", "use", "feImage"])
@pytest.mark.parametrize("href", ["href", "xlink:href"])
@pytest.mark.parametrize(
    "link", ["{file}", "file://{file}", "http://localhost/a.png", "/dev/zero", "data:image/svg+xml;base64,AAAA"]
)
def test_a_drawing_shows_nothing_from_outside(tag: str, href: str, link: str, tmp_path: Path) -> None:
    secret = tmp_path / "secret.png"
    Image.new("RGB", (8, 8), (200, 0, 0)).save(secret)
    drawn = svg(f'<{tag} width="40" height="30" {href}="{link.format(file=secret)}"/>')
    with pytest.raises(BadInput, match="not inside it"):
        read_picture(drawn, "linked.svg")


def test_a_picture_inside_a_drawing_is_drawn_and_a_hyperlink_is_no_picture() -> None:
    buffer = io.BytesIO()
    Image.new("RGB", (8, 8), (200, 0, 0)).save(buffer, "PNG")
    inside = base64.b64encode(buffer.getvalue()).decode()
    image = f'<image width="40" height="30" href="data:image/png;base64,{inside}"/>'
    drawn = svg(f'<a href="http://localhost/">{image}</a>')
    rgb = read_picture(drawn, "inside.svg").rgb
    assert np.abs(rgb[rgb.shape[0] // 2, rgb.shape[1] // 2].astype(int) - (200, 0, 0)).max() <= 3


def test_a_bomb_inside_a_drawing_is_refused_by_its_header() -> None:
    bomb = base64.b64encode(hollow_png(30_000, 30_000)).decode()
    with pytest.raises(BadInput, match=r"picture inside bomb\.svg would unpack to more than 48 million"):
        read_picture(svg(f'<image width="40" height="30" href="data:image/png;base64,{bomb}"/>'), "bomb.svg")


@pytest.mark.parametrize("view", ["0 0 1.2.3 30", ". . . .", "0 0 40 30 50", "0 0 -5 5", "nan nan 1 1"])
@pytest.mark.parametrize("width", ["1.2.3mm", ".mm", "40mm", "-3mm", "1e400mm", ".5in"])
def test_odd_numbers_are_a_size_or_a_sentence(view: str, width: str) -> None:
    with contextlib.suppress(BadInput):
        picture = read_picture(svg("", f'width="{width}" height="30mm" viewBox="{view}"'), "odd.svg")
        assert min(picture.size_mm) > 0


def test_a_long_drawing_is_given_whole() -> None:
    """More than a pipe holds, and drawn more slowly than it is looked after."""
    many = "".join(f'<rect x="{n % 40}" y="{n % 30}" width="1" height="1" fill="#c80000"/>' for n in range(9000))
    assert len(many) > 500_000
    rgb = read_picture(svg(f'{many}<rect width="40" height="30" fill="#0000c8"/>'), "long.svg").rgb
    assert rgb[10, 10].tolist() == [0, 0, 200]


class CalledOff(Progress):
    def report(self, fraction: float, message: str = "") -> None:  # noqa: ARG002
        raise Cancelled


def test_a_drawing_is_stopped_when_it_is_called_off() -> None:
    """The process does not go on by itself: as many children after as before."""
    many = "".join(f'<rect x="{n % 40}" width="9" height="9" filter="url(#f)"/>' for n in range(4000))
    slow = svg(f'<filter id="f"><feGaussianBlur stdDeviation="9"/></filter>{many}')
    before = children()
    with pytest.raises(Cancelled):
        read_pixels(slow, "slow.svg", progress=CalledOff())
    assert children() == before


def children() -> set[str]:
    """The processes this one has started."""
    return set(Path(f"/proc/{os.getpid()}/task/{os.getpid()}/children").read_text().split())


def test_hollow_pictures_are_refused_before_they_are_unpacked(tmp_path: Path) -> None:
    tracemalloc.start()
    try:
        for width, height in ((60_000, 60_000), (14_000, 11_000), (2**31 - 1, 2**31 - 1)):
            with pytest.raises(BadInput, match="150 million pixels"):
                read_picture(hollow_png(width, height, colour=6), "hollow.png")
        mask = tmp_path / "mask.png"
        mask.write_bytes(hollow_png(9_000, 9_000))
        with pytest.raises(BadInput, match=r"mask\.png would unpack to more than 48 million"):
            read_masks([mask])
        assert tracemalloc.get_traced_memory()[1] < 50_000_000
    finally:
        tracemalloc.stop()
    assert check_packed(hollow_png(6000, 8000), "full.png") == (6000, 8000)
    check_pixels(MAX_FILE_PIXELS, 1, "just.png")
    with pytest.raises(BadInput, match="no pixels"):
        check_pixels(0, 9, "none.png")


def openraster(path: Path, size: tuple[int, int], layers: list[bytes]) -> Path:
    entries = "".join(f'<layer name="l{n}" src="data/{n}.png" x="0" y="0"/>' for n in range(len(layers)))
    with zipfile.ZipFile(path, "w", zipfile.ZIP_DEFLATED) as archive:
        archive.writestr("stack.xml", f'<image w="{size[0]}" h="{size[1]}"><stack>{entries}</stack></image>')
        for n, data in enumerate(layers):
            archive.writestr(f"data/{n}.png", data)
    return path


def test_openraster_files_are_looked_at_before_they_are_unpacked(tmp_path: Path) -> None:
    small = io.BytesIO()
    Image.new("RGBA", (9, 9), (10, 20, 30, 255)).save(small, "PNG")
    whole = read_openraster(openraster(tmp_path / "a.ora", (9, 9), [small.getvalue()]))
    assert whole[0].hex == "#0a141e"
    for name, size, layers, said in (
        ("page.ora", (50_000, 50_000), [small.getvalue()], "page.ora would unpack"),
        ("layer.ora", (9, 9), [hollow_png(50_000, 50_000)], "layer of layer.ora would unpack"),
        ("many.ora", (9, 9), [small.getvalue()] * 100, "at most 64"),
        ("none.ora", (0, 9), [small.getvalue()], "no pixels"),
    ):
        with pytest.raises(BadInput, match=said):
            read_openraster(openraster(tmp_path / name, size, layers))


def test_a_project_with_a_bomb_for_its_design_is_refused(little: tuple[Project, Assets], tmp_path: Path) -> None:
    from msgspec.structs import replace

    project, assets = little
    assert project.flat is not None
    bomb = hollow_png(30_000, 30_000)
    other = replace(project, flat=replace(project.flat, labels=store.digest(bomb)))
    save(tmp_path / "bomb.nomos", other, {**assets, store.digest(bomb): bomb})
    with pytest.raises(BadInput, match="flat design inside the project would unpack to more than 52 million"):
        load(tmp_path / "bomb.nomos")


def test_a_see_through_picture_is_laid_over_white_without_a_page_of_figures() -> None:
    """Against the formula; and at most two pages of pixels at once beside the picture's own."""
    rng = np.random.default_rng(5)
    rgba = rng.integers(0, 256, (700, 500, 4), np.uint8)
    buffer = io.BytesIO()
    Image.fromarray(rgba).save(buffer, "PNG")
    found = read_pixels(buffer.getvalue(), "clear.png").rgb
    share = rgba[..., 3:].astype(float) / 255
    assert np.abs(found - (255 + (rgba[..., :3] - 255.0) * share)).max() <= 0.51


def test_tags_that_hold_something_else_are_left_alone() -> None:
    """A TIFF whose profile is a number and whose resolution is text."""
    from PIL.TiffImagePlugin import ImageFileDirectory_v2

    tags = ImageFileDirectory_v2()
    tags[34675] = 7
    tags.tagtype[34675] = 3
    with tempfile.TemporaryFile() as file:
        Image.new("RGB", (30, 20), (9, 90, 190)).save(file, "TIFF", tiffinfo=tags)
        file.seek(0)
        picture = read_pixels(file.read(), "odd.tiff")
    assert picture.rgb[0, 0].tolist() == [9, 90, 190]
