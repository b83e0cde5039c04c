"""Files of every kind that a telephone or another program gives are opened, or refused in a sentence."""

import io
import tracemalloc
import zipfile

import numpy as np
import pillow_heif
import pytest
from PIL import Image
from reportlab.pdfgen import canvas

from nomos.base.errors import BadInput
from nomos.design import read_picture, read_pixels

RED = (190, 40, 30)


def image(colour: tuple[int, int, int] = RED) -> Image.Image:
    return Image.new("RGB", (120, 80), colour)


def written(kind: str, **more: object) -> bytes:
    data = io.BytesIO()
    image().save(data, kind, **more)
    return data.getvalue()


@pytest.mark.parametrize("kind", ["GIF", "BMP", "AVIF", "PNG", "TIFF", "WEBP"])
def test_pictures_of_every_kind_are_opened(kind: str) -> None:
    pixels = read_pixels(written(kind), f"a.{kind.lower()}").rgb
    assert pixels.shape == (80, 120, 3)
    assert np.abs(pixels.astype(int) - RED).max() < 12


def test_what_a_telephone_writes_is_opened_upright() -> None:
    data = io.BytesIO()
    pillow_heif.register_heif_opener()
    exif = Image.Exif()
    exif[0x0112] = 6  # turned a quarter
    lying = image()
    lying.paste((20, 120, 60), (60, 0, 120, 80))
    lying.save(data, "HEIF", exif=exif.tobytes())
    shown = read_pixels(data.getvalue(), "a.heic").rgb.astype(int)
    assert shown.shape[:2] == (120, 80)
    assert np.abs(shown[20, 40] - RED).max() < 16
    assert np.abs(shown[100, 40] - (20, 120, 60)).max() < 16


def test_the_first_of_several_is_taken_and_said() -> None:
    data = io.BytesIO()
    image().save(data, "GIF", save_all=True, append_images=[image((20, 120, 60))])
    pixels = read_pixels(data.getvalue(), "a.gif")
    assert np.abs(pixels.rgb.astype(int) - RED).max() < 12
    assert pixels.notes == ("a.gif holds 2 pictures: the first is taken.",)


def test_a_page_of_a_pdf_is_opened_at_its_own_size() -> None:
    data = io.BytesIO()
    pages = canvas.Canvas(data, pagesize=(360, 288))
    pages.setFillColorRGB(0.2, 0.4, 0.8)
    pages.rect(0, 0, 180, 288, stroke=0, fill=1)
    pages.showPage()
    pages.showPage()
    pages.save()
    picture = read_picture(data.getvalue(), "a.pdf")
    assert picture.size_mm == pytest.approx((127.0, 101.6), abs=0.2)
    assert "2 pages" in picture.notes[0]
    assert tuple(picture.rgb[50, 50]) == (51, 102, 204)


def test_an_openraster_file_gives_its_merged_picture() -> None:
    data = io.BytesIO()
    with zipfile.ZipFile(data, "w") as archive:
        archive.writestr("mimetype", "image/openraster")
        archive.writestr("mergedimage.png", written("PNG"))
    assert read_pixels(data.getvalue(), "a.ora").rgb.shape == (80, 120, 3)
    with zipfile.ZipFile(data, "w") as archive:
        archive.writestr("mimetype", "image/openraster")
    with pytest.raises(BadInput, match="no merged picture"):
        read_pixels(data.getvalue(), "a.ora")


def test_what_an_openraster_file_says_of_itself_is_not_unpacked_whole() -> None:
    data = io.BytesIO()
    with zipfile.ZipFile(data, "w", zipfile.ZIP_DEFLATED) as archive:
        archive.writestr("mimetype", b"image/openraster" + b" " * 200_000_000)
    tracemalloc.start()
    with pytest.raises(BadInput):
        read_pixels(data.getvalue(), "a.ora")
    _, most = tracemalloc.get_traced_memory()
    tracemalloc.stop()
    assert most < 20_000_000


@pytest.mark.parametrize("data", [b"%PDF-1.4 broken", b"PK\3\4nothing", b"", b"GIF89a", b"BM" + b"\0" * 60])
def test_what_is_broken_says_so(data: bytes) -> None:
    with pytest.raises(BadInput):
        read_picture(data, "a.bin")
