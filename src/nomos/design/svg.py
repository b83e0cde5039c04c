"""Drawing an SVG design at print resolution, in a process of its own."""

import base64
import io
import re
import subprocess
import sys
import tempfile
import time
from collections.abc import Callable
from typing import TYPE_CHECKING

import numpy as np
from numpy.typing import NDArray

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.base.units import MM_PER_INCH, checked_size
from nomos.design.limits import check_packed

if TYPE_CHECKING:
    from lxml import etree

SVG = "{http://www.w3.org/2000/svg}svg"
_SECONDS = 60
_LOOK_S = 0.1
_NUMBER = r"[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?"
_MM = {
    "": MM_PER_INCH / 96, "px": MM_PER_INCH / 96, "mm": 1.0, "cm": 10.0, "in": MM_PER_INCH,
    "pt": MM_PER_INCH / 72, "pc": MM_PER_INCH / 6,
}  # fmt: skip


def is_svg(data: bytes) -> bool:
    """Whether the bytes look like an SVG document (plain text with an svg element near the start)."""
    head = data[:4096].lstrip(b"\xef\xbb\xbf \t\r\n")
    return head.startswith(b"<") and re.search(rb"<(\w+:)?svg[\s>]", data[:65536]) is not None


def read_svg(
    data: bytes, name: str, *, size_mm: tuple[float, float] | None, px_per_mm: Callable[[tuple[float, float]], float],
    progress: Progress = NULL_PROGRESS,
) -> tuple[NDArray[np.uint8], tuple[float, float]]:  # fmt: skip
    """Draw an SVG on white.

    Parameters
    ----------
    data, name : the file's bytes and its name for messages.
    size_mm : the box to fit it into; None takes the drawing's own size.
    px_per_mm : the resolution to draw a page of a given size at.

    Returns
    -------
    (height, width, 3) uint8 sRGB, and width and height in mm.

    Raises
    ------
    BadInput : not well-formed, without a size, showing pictures that are not inside it, or not drawable
        within a minute and the memory of its process.
    Cancelled : called off; the drawing is stopped.
    """
    from lxml import etree

    # Nothing from outside the document, and none of it blown up: a design file may come from anywhere.
    parser = etree.XMLParser(
        resolve_entities="internal",  # type: ignore[arg-type] # the stubs are older than this choice
        no_network=True,
        huge_tree=False,
    )
    try:
        root = etree.fromstring(data, parser)
    except (etree.XMLSyntaxError, ValueError):
        raise BadInput(tr("{name} is not a complete SVG drawing; export it again.", name=name)) from None
    if root.tag != SVG:
        raise BadInput(tr("{name} is not an SVG drawing; export it as plain SVG.", name=name))
    _check_inside(root, name)
    own, view = _own_size(root, name)
    size = _fit(own, size_mm)
    checked_size(*size)
    ppm = px_per_mm(size)
    width, height = max(1, round(size[0] * ppm)), max(1, round(size[1] * ppm))
    root.set("viewBox", view)
    root.set("preserveAspectRatio", "none")
    root.set("width", str(width))
    root.set("height", str(height))
    return _draw(etree.tostring(root), name, progress), size


def _own_size(root: "etree._Element", name: str) -> tuple[tuple[float, float], str]:
    """Width and height in mm, and the viewBox as text."""
    view = root.get("viewBox")
    box = [float(part) for part in re.findall(_NUMBER, view or "")]
    sides = [_length(root.get(side)) for side in ("width", "height")]
    if len(box) == 4 and box[2] > 0 and box[3] > 0:
        pixel = _MM["px"]
        width, height = sides
        if width is None and height is None:
            width = box[2] * pixel
        if width is None:
            assert height is not None
            width = height * box[2] / box[3]
        if height is None:
            height = width * box[3] / box[2]
        return (width, height), " ".join(f"{value:g}" for value in box)
    if sides[0] and sides[1]:
        return (sides[0], sides[1]), f"0 0 {sides[0] / _MM['px']:g} {sides[1] / _MM['px']:g}"
    raise BadInput(tr("{name} has neither a size nor a viewBox; set the page size and export it again.", name=name))


def _length(text: str | None) -> float | None:
    found = re.fullmatch(rf"\s*({_NUMBER})\s*(px|mm|cm|in|pt|pc|)\s*", text or "")
    return float(found[1]) * _MM[found[2]] if found and float(found[1]) > 0 else None


def _fit(own: tuple[float, float], box: tuple[float, float] | None) -> tuple[float, float]:
    if box is None:
        return own
    scale = min(box[0] / own[0], box[1] / own[1])
    width, height = own[0] * scale, own[1] * scale
    # A box of nearly the drawing's shape is the size meant, rounded.
    return box if abs(width / box[0] - 1) < 0.01 and abs(height / box[1] - 1) < 0.01 else (width, height)


def _check_inside(root: "etree._Element", name: str) -> None:
    """Nothing is shown that lies outside the document, and no picture in it is too large to unpack."""
    for element in root.iter():
        for key, value in element.attrib.items():
            if str(key).rsplit("}")[-1] != "href":
                continue
            link = str(value).strip()
            if link.startswith("#") or not _shows(element):
                continue
            inside = re.match(r"data:image/(png|jpe?g|gif|webp)(;[\w=.-]+)*;base64,", link)
            if inside is None:
                raise BadInput(
                    tr(
                        "{name} shows pictures that are not inside it as PNG or JPEG; embed them and export it again.",
                        name=name,
                    )
                )
            try:
                picture = base64.b64decode(link[inside.end() :], validate=False)
            except ValueError:
                raise BadInput(tr("A picture inside {name} is damaged; export it again.", name=name)) from None
            check_packed(picture, tr("A picture inside {name}", name=name))


def _shows(element: "etree._Element") -> bool:
    """Whether an element draws what it links to; a hyperlink does not."""
    return str(element.tag).rsplit("}")[-1] not in ("a", "script", "style")


def _draw(svg: bytes, name: str, progress: Progress) -> NDArray[np.uint8]:
    # Out of a file, not a pipe: what is asked for in steps would stop writing into one after the first.
    with tempfile.TemporaryFile() as given:
        try:
            given.write(svg)
            given.seek(0)
        except OSError as error:
            raise BadInput(
                tr("{name} cannot be drawn ({what}); make room.", name=name, what=error.strerror or error)
            ) from None
        with subprocess.Popen(
            [sys.executable, "-m", "nomos.design.svg_process"],
            stdin=given, stdout=subprocess.PIPE, stderr=subprocess.DEVNULL,
        ) as drawing:  # fmt: skip
            try:
                png = _drawn(drawing, name, progress)
            finally:
                # Called off, or too slow: it must not go on by itself.
                if drawing.poll() is None:
                    drawing.kill()
    if drawing.returncode != 0 or not png:
        raise BadInput(tr("{name} cannot be drawn; export it as plain SVG, or as a PNG at 300 dpi.", name=name))
    from PIL import Image

    image = Image.open(io.BytesIO(png)).convert("RGBA")
    page = Image.new("RGBA", image.size, "white")
    page.alpha_composite(image)
    return np.array(page.convert("RGB"), np.uint8)


def _drawn(drawing: "subprocess.Popen[bytes]", name: str, progress: Progress) -> bytes:
    """What the process makes of it. Raises BadInput when it takes too long, and Cancelled."""
    until = time.monotonic() + _SECONDS
    while True:
        try:
            return drawing.communicate(timeout=_LOOK_S)[0]
        except subprocess.TimeoutExpired:
            progress.report(0.0, tr("drawing the SVG"))
        if time.monotonic() > until:
            raise BadInput(
                tr(
                    "{name} takes more than {seconds} s to draw; simplify it, or export a PNG.",
                    name=name,
                    seconds=_SECONDS,
                )
            )
