"""Designs of every kind come in at their size and in their colours; what cannot be read says so."""

import io
import struct
import zlib
from typing import Any

import numpy as np
import pytest
from PIL import Image, ImageCms

from nomos.base.errors import BadInput
from nomos.design import read_picture

SVG = (
    b'<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="40mm" viewBox="0 0 60 40">'
    b'<rect width="60" height="40" fill="#f0e0d0"/>'
    b'<rect x="10" y="10" width="20" height="20" fill="#803020"/>'
    b"</svg>"
)


def saved(image: Image.Image, kind: str = "PNG", **options: Any) -> bytes:
    buffer = io.BytesIO()
    image.save(buffer, kind, **options)
    return buffer.getvalue()


def page(mode: str = "RGB", colour: Any = (200, 60, 40), size: tuple[int, int] = (300, 200)) -> Image.Image:
    return Image.new(mode, size, colour)


@pytest.mark.parametrize("kind", ["PNG", "JPEG", "TIFF", "WEBP"])
def test_every_format_comes_in_with_its_colour(kind: str) -> None:
    options = {"lossless": True} if kind == "WEBP" else {}
    picture = read_picture(saved(page(), kind, **options), "a", size_mm=(30, 20))
    assert picture.size_mm == (30, 20)
    assert np.abs(picture.rgb.astype(int) - (200, 60, 40)).max() <= 3


def test_size_comes_from_the_file_or_is_assumed_and_said() -> None:
    assert read_picture(saved(page(), dpi=(150, 150)), "a").size_mm == pytest.approx((50.8, 33.9))
    unsized = read_picture(saved(page()), "a.png")
    assert unsized.size_mm == pytest.approx((267, 178))  # A4 on its side with margins of 15 mm
    assert "does not say how large" in unsized.notes[0]
    assert not unsized.sized


@pytest.mark.parametrize("dpi", [72, 96, 180])
def test_the_dpi_of_a_camera_or_a_screen_is_no_size(dpi: int) -> None:
    picture = read_picture(saved(page(size=(400, 300)), "JPEG", dpi=(dpi, dpi)), "a.jpg")
    assert picture.size_mm == pytest.approx((240, 180))
    assert not picture.sized


def test_another_shape_is_fitted_inside_undistorted() -> None:
    picture = read_picture(saved(page()), "a", size_mm=(60, 60))
    assert picture.size_mm == pytest.approx((60, 40))
    assert picture.notes


def test_exif_orientation_turns_the_picture() -> None:
    image = page()
    image.paste((0, 0, 0), (0, 0, 150, 200))
    exif = Image.Exif()
    exif[0x0112] = 6  # the camera was held upright: turn a quarter clockwise
    picture = read_picture(saved(image, "JPEG", exif=exif, quality=95), "a", size_mm=(20, 30))
    height = picture.rgb.shape[0]
    assert picture.rgb[: height // 4].mean() < 20
    assert picture.rgb[-height // 4 :].mean() > 80


def test_an_embedded_profile_is_honoured() -> None:
    """A profile of much wider primaries: the same numbers mean a stronger colour than in sRGB."""
    lab = ImageCms.ImageCmsProfile(ImageCms.createProfile("LAB"))
    data = saved(page("LAB", (153, 168, 158)), "TIFF", icc_profile=lab.tobytes())
    red, green, blue = read_picture(data, "a", size_mm=(30, 20)).rgb[5, 5].astype(int)
    # Lab 60 40 30 by the same profile, read independently through lcms.
    to_srgb = ImageCms.buildTransform(lab, ImageCms.createProfile("sRGB"), "LAB", "RGB")
    drawn = ImageCms.applyTransform(page("LAB", (153, 168, 158)), to_srgb)
    assert drawn is not None
    expected = np.array(drawn.getpixel((0, 0)))
    assert np.abs(expected - (red, green, blue)).max() <= 3


def test_alpha_lies_on_paper_white() -> None:
    picture = read_picture(saved(page("RGBA", (0, 0, 0, 128))), "a", size_mm=(30, 20))
    assert np.abs(picture.rgb[5, 5].astype(int) - 127).max() <= 1


def test_sixteen_bits_palette_grey_and_cmyk() -> None:
    deep = Image.fromarray(np.full((50, 80), 40000, np.uint16))
    assert read_picture(saved(deep), "a", size_mm=(8, 5)).rgb[0, 0] == pytest.approx([155.6] * 3, abs=1)
    palette = page().convert("P", palette=Image.Palette.ADAPTIVE)
    assert np.abs(read_picture(saved(palette), "a", size_mm=(30, 20)).rgb[0, 0].astype(int) - (200, 60, 40)).max() < 3
    assert read_picture(saved(page("L", 90)), "a", size_mm=(30, 20)).rgb[0, 0].tolist() == [90] * 3
    cmyk = read_picture(saved(page("CMYK", (0, 200, 200, 0)), "TIFF"), "a", size_mm=(30, 20))
    assert cmyk.rgb[0, 0, 0] > 200 > 100 > cmyk.rgb[0, 0, 1]
    assert "CMYK" in cmyk.notes[0]


def test_svg_is_drawn_at_its_own_size_without_fetching_anything() -> None:
    picture = read_picture(SVG, "a.svg")
    assert picture.size_mm == pytest.approx((60, 40))
    ppm = picture.px_per_mm
    assert picture.rgb[int(20 * ppm), int(20 * ppm)].tolist() == [0x80, 0x30, 0x20]
    assert picture.rgb[int(5 * ppm), int(50 * ppm)].tolist() == [0xF0, 0xE0, 0xD0]


def bomb() -> bytes:
    """A PNG header that claims 60000 x 60000 pixels."""
    header = struct.pack(">IIBBBBB", 60000, 60000, 8, 2, 0, 0, 0)
    chunk = b"IHDR" + header
    end = b"\x00\x00\x00\x00IEND" + struct.pack(">I", zlib.crc32(b"IEND"))
    body = zlib.compress(b"\x00" * 1000)
    data = struct.pack(">I", len(body)) + b"IDAT" + body + struct.pack(">I", zlib.crc32(b"IDAT" + body))
    return b"\x89PNG\r\n\x1a\n" + struct.pack(">I", 13) + chunk + struct.pack(">I", zlib.crc32(chunk)) + data + end


@pytest.mark.parametrize(
    ("data", "word"),
    [
        (b"", "empty"),
        (b"nothing at all", "is not a picture"),
        (saved(page())[:60], "damaged"),
        (bomb(), "million pixels"),
        (b"<svg xmlns='http://www.w3.org/2000/svg' width='10mm'", "complete SVG"),
        (b"<svg xmlns='http://www.w3.org/2000/svg'/>", "neither a size"),
    ],
)
def test_what_cannot_be_read_says_so_in_one_sentence(data: bytes, word: str) -> None:
    with pytest.raises(BadInput, match=word) as caught:
        read_picture(data, "sketch.png", size_mm=None if b"svg" in data else (30, 20))
    assert str(caught.value).startswith("sketch.png")
    assert "\n" not in str(caught.value)


@pytest.mark.parametrize("size", [(1, 1), (5000, 3333), (float("nan"), 20)])
def test_impossible_sizes_are_refused(size: tuple[float, float]) -> None:
    with pytest.raises(BadInput):
        read_picture(saved(page()), "a.png", size_mm=size)


def test_an_svg_may_use_its_own_entities_but_nothing_from_outside() -> None:
    def with_entity(declared: bytes) -> bytes:
        start = b"<!DOCTYPE svg [<!ENTITY x " + declared + b">]><svg"
        return SVG.replace(b"#803020", b"&x;").replace(b"<svg", start, 1)

    assert read_picture(with_entity(b'"#803020"'), "a.svg").size_mm == pytest.approx((60, 40))
    with pytest.raises(BadInput):
        read_picture(with_entity(b'SYSTEM "file:///etc/hostname"'), "a.svg")
