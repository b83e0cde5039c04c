"""A drawing as SVG in millimetres, for cutters and drawing programs."""

from collections.abc import Sequence
from typing import Any

from lxml import etree

from nomos.base.units import MM_PER_INCH
from nomos.formats.drawing import CHECK_BAR_MM, HEADING_LINE_MM, HEADING_PT, TEXT_LINE_MM, TEXT_PT, Drawing, Shape

_NS = "http://www.w3.org/2000/svg"
_FOOT_MM = 10.0
_PT_MM = MM_PER_INCH / 72
_WORD_MM = 3.2


def drawing_svg(drawing: Drawing, *, headed: bool = False) -> bytes:
    """A drawing as an SVG document, a group with its name for each layer.

    headed : with heading and sentences above it and a 100 mm bar below, to be
        printed; a cutter's file has neither.
    """
    width, height = drawing.size_mm
    top = 0.0
    if headed:
        width, top = max(width, CHECK_BAR_MM), drawing.header_mm
        height += top + _FOOT_MM
    root = etree.Element(
        f"{{{_NS}}}svg",
        {"width": f"{width:g}mm", "height": f"{height:g}mm", "viewBox": f"0 0 {width:g} {height:g}"},
        nsmap={None: _NS},  # type: ignore[dict-item] # lxml takes None for the default namespace
    )
    _child(root, "title").text = drawing.heading
    page = root
    if headed:
        _header(root, drawing)
        page = _child(root, "g", id="template", transform=f"translate(0 {top:g})")
    elif drawing.notes:
        _child(root, "desc").text = " ".join(drawing.notes)
    shapes = drawing.shapes + ((_check_bar(drawing),) if headed else ())
    for layer in dict.fromkeys(shape.layer for shape in shapes):
        _layer(page, [shape for shape in shapes if shape.layer == layer])
    if drawing.words:
        words = _child(page, "g", id="words", fill="#000000")
        for word in drawing.words:
            at = {"x": f"{word.place[0]:.2f}", "y": f"{word.place[1]:.2f}", "text-anchor": "middle"}
            _text(words, word.text, _WORD_MM, at)
    return etree.tostring(root, xml_declaration=True, encoding="utf-8", pretty_print=True)


def _header(root: etree._Element, drawing: Drawing) -> None:
    group = _child(root, "g", id="heading", fill="#000000")
    y = 0.0
    for lines, size, step in ((drawing.headings, HEADING_PT, HEADING_LINE_MM), (drawing.text, TEXT_PT, TEXT_LINE_MM)):
        for line in lines:
            y += step
            _text(group, line, size * _PT_MM, {"x": "0", "y": f"{y - 0.7:g}"})


def _check_bar(drawing: Drawing) -> Shape:
    low = drawing.size_mm[1] + 6
    ring = ((0.0, low - 2), (0.0, low), (CHECK_BAR_MM, low), (CHECK_BAR_MM, low - 2))
    return Shape("check-bar-100-mm", (ring,), closed=False)


def _layer(page: etree._Element, shapes: Sequence[Shape]) -> None:
    look = shapes[0].look
    style = {"fill": "none", "stroke": "none"}
    if look.fill is not None:
        style |= {"fill": _grey(look.fill), "fill-rule": "evenodd"}
    elif look.line_pt:
        style |= {"stroke": "#000000", "stroke-width": f"{look.line_pt * _PT_MM:.2f}"}
    group = _child(page, "g", id=shapes[0].layer.replace(" ", "-"), **style)
    for shape in shapes:
        path = _child(group, "path", d=" ".join(_data(ring, closed=shape.closed) for ring in shape.rings))
        if shape.colour:
            path.set("fill", shape.colour)


def _grey(share: float) -> str:
    return "#" + f"{round(share * 255):02x}" * 3


def _child(parent: etree._Element, tag: str, **attributes: str) -> etree._Element:
    return etree.SubElement(parent, f"{{{_NS}}}{tag}", attributes)


def _text(parent: etree._Element, text: str, size_mm: float, at: dict[str, str]) -> None:
    style = {"font-family": "Lato, sans-serif", "font-size": f"{size_mm:.2g}"}
    _child(parent, "text", **at, **style).text = "".join(each for each in text if each.isprintable())


def _data(points: Any, *, closed: bool) -> str:
    return "M" + "L".join(f"{x:.3f} {y:.3f}" for x, y in points) + ("Z" if closed else "")
