"""Blocks as an OpenRaster picture: one layer for each block, so that any painting program can touch them up.

Written by hand on zipfile and Pillow: 60 lines, exact about what the OpenRaster
specification (0.0.6) asks for.
"""

import io
import zipfile
from collections.abc import Sequence
from dataclasses import dataclass
from pathlib import Path

import numpy as np
from lxml import etree
from PIL import Image

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.reading import read_whole
from nomos.base.units import MM_PER_INCH
from nomos.design.limits import MAX_PAGE_PIXELS, check_packed, check_pixels
from nomos.separation import Mask

MIMETYPE = "image/openraster"
_DATE = (1980, 1, 1, 0, 0, 0)
# More blocks no print has; and so many pixels of a layer tell its colour.
_MOST_LAYERS, _LOOKED_AT = 64, 200_000
_LARGEST_MB = 600
# Of all layers together: seventeen pulls on A2 at 300 dpi.
_MOST_PIXELS = 650_000_000


@dataclass(frozen=True, eq=False)
class MaskLayer:
    """A block's mask with its name and the colour it is shown in (#rrggbb)."""

    name: str
    mask: Mask
    hex: str = "#000000"


def openraster(layers: Sequence[MaskLayer], px_per_mm: float) -> bytes:
    """An OpenRaster file: the first layer is printed first, so at the bottom; clear where nothing prints."""
    height, width = layers[0].mask.shape
    root = etree.Element("image", version="0.0.6", w=str(width), h=str(height))
    dpi = str(round(px_per_mm * MM_PER_INCH))
    root.set("xres", dpi)
    root.set("yres", dpi)
    stack = etree.SubElement(root, "stack")
    buffer = io.BytesIO()
    with zipfile.ZipFile(buffer, "w") as archive:
        _add(archive, "mimetype", MIMETYPE.encode(), zipfile.ZIP_STORED)
        merged = Image.new("RGBA", (width, height), (255, 255, 255, 255))
        for place, layer in enumerate(layers):
            picture = _tinted(layer)
            source = f"data/layer{place:03d}.png"
            _add(archive, source, _png(picture), zipfile.ZIP_STORED)
            # In stack.xml the topmost layer stands first.
            etree.SubElement(stack, "layer", name=layer.name, src=source, x="0", y="0")
            merged.alpha_composite(picture)
        stack[:] = list(reversed(list(stack)))
        xml = etree.tostring(root, xml_declaration=True, encoding="UTF-8", pretty_print=True)
        _add(archive, "stack.xml", xml, zipfile.ZIP_DEFLATED)
        _add(archive, "mergedimage.png", _png(merged), zipfile.ZIP_STORED)
        merged.thumbnail((256, 256))
        _add(archive, "Thumbnails/thumbnail.png", _png(merged), zipfile.ZIP_STORED)
    return buffer.getvalue()


def _tinted(layer: MaskLayer) -> Image.Image:
    pixels = np.zeros((*layer.mask.shape, 4), np.uint8)
    pixels[..., :3] = tuple(bytes.fromhex(layer.hex[1:]))
    pixels[..., 3] = layer.mask * np.uint8(255)
    return Image.fromarray(pixels)


def _png(image: Image.Image) -> bytes:
    buffer = io.BytesIO()
    image.save(buffer, "PNG", compress_level=3)
    return buffer.getvalue()


def _add(archive: zipfile.ZipFile, name: str, data: bytes, compression: int) -> None:
    info = zipfile.ZipInfo(name, _DATE)
    info.compress_type = compression
    info.external_attr = 0o644 << 16
    archive.writestr(info, data)


def read_openraster(path: Path) -> tuple[MaskLayer, ...]:
    """The layers of an OpenRaster file as masks, bottom layer first; half opaque or more prints.

    Raises
    ------
    BadInput : not an OpenRaster file, damaged, or without a layer.
    """
    parser = etree.XMLParser(resolve_entities=False, no_network=True, huge_tree=False)
    try:
        with zipfile.ZipFile(io.BytesIO(read_whole(path))) as archive:
            if sum(info.file_size for info in archive.infolist()) > _LARGEST_MB * 1_000_000:
                raise BadInput(
                    tr(
                        "{name} would unpack to more than {largest_mb} MB and is not opened.",
                        name=path.name,
                        largest_mb=_LARGEST_MB,
                    )
                )
            root = etree.fromstring(archive.read("stack.xml"), parser)
            size = int(root.get("w", "0")), int(root.get("h", "0"))
            check_pixels(*size, path.name, MAX_PAGE_PIXELS)
            found = list(root.iter("layer"))
            if len(found) > _MOST_LAYERS:
                raise BadInput(
                    tr(
                        "{name} has {found} layers; a print has at most {most_layers}.",
                        name=path.name, found=len(found), most_layers=_MOST_LAYERS,
                    )
                )  # fmt: skip
            if len(found) * size[0] * size[1] > _MOST_PIXELS:
                raise BadInput(
                    tr("{name} would unpack to too much: save it at 300 dpi or with fewer layers.", name=path.name)
                )
            layers = [_read_layer(archive, element, size, path.name) for element in found]
    except OSError as error:
        raise BadInput(tr("{name} cannot be opened ({what}).", name=path.name, what=error.strerror or error)) from None
    except BadInput:
        raise
    except Exception:
        # zipfile, lxml and Pillow each have several errors for damaged files.
        raise BadInput(tr("{name} is damaged or not an OpenRaster picture; export it again.", name=path.name)) from None
    if not layers:
        raise BadInput(tr("{name} has no layer; it needs one for each block.", name=path.name))
    return tuple(reversed(layers))


def _read_layer(archive: zipfile.ZipFile, element: etree._Element, size: tuple[int, int], name: str) -> MaskLayer:
    data = archive.read(element.get("src", ""))
    check_packed(data, tr("A layer of {name}", name=name))
    left, top = int(element.get("x", "0")), int(element.get("y", "0"))
    # What of it lies on the page: nothing is made of its size but the mask, a byte a pixel.
    with Image.open(io.BytesIO(data)) as whole:
        box = (
            max(0, -left), max(0, -top), min(whole.width, size[0] - left), min(whole.height, size[1] - top)
        )  # fmt: skip
        seen = box[2] > box[0] and box[3] > box[1]
        pixels = np.asarray(whole.convert("RGBA").crop(box) if seen else Image.new("RGBA", (1, 1)))
    mask = np.zeros((size[1], size[0]), np.uint8)
    printing = pixels[..., 3] >= 128
    if seen:
        x, y = max(0, left), max(0, top)
        mask[y : y + pixels.shape[0], x : x + pixels.shape[1]] = printing
    # The colour it has most of; of a large layer every so manieth pixel tells.
    places = np.flatnonzero(printing)
    inked = pixels.reshape(-1, 4)[places[:: max(1, len(places) // _LOOKED_AT)]]
    colours, counts = np.unique(np.ascontiguousarray(inked).view(np.uint32), return_counts=True)
    shown = f"#{colours[counts.argmax()].tobytes()[:3].hex()}" if len(counts) else "#000000"
    return MaskLayer(element.get("name", "layer"), mask, shown)
