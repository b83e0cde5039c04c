"""A template as SVG in millimetres, for cutters and drawing programs."""

from collections.abc import Iterable, Sequence
from typing import Any

from lxml import etree

from nomos.formats.template import CHECK_BAR_MM, LINE_MM, Template

_NS = "http://www.w3.org/2000/svg"
_FOOT_MM = 10.0


def template_svg(template: Template) -> bytes:
    """One face of one block as an SVG document.

    Sizes are in mm through width, height and viewBox. What prints, notch walls,
    notch floors, the sheet and the block's edge are groups with these names.
    """
    width = max(template.size_mm[0], CHECK_BAR_MM)
    height = template.header_mm + template.size_mm[1] + _FOOT_MM
    root = etree.Element(
        f"{{{_NS}}}svg",
        {"width": f"{width:g}mm", "height": f"{height:g}mm", "viewBox": f"0 0 {width:g} {height:g}"},
        nsmap={None: _NS},  # type: ignore[dict-item] # lxml takes None for the default namespace
    )
    _child(root, "title").text = f"{template.title}: {template.heading}"
    text = _group(root, "heading", fill="#000000")
    said = [(5.0, 4.2, template.heading)]
    said += [(10.0 + place * LINE_MM, 2.8, line) for place, line in enumerate(template.lines)]
    for y, size, line in said:
        attributes = {"x": "0", "y": f"{y:g}", "font-family": "Lato, sans-serif", "font-size": f"{size:g}"}
        _child(text, "text", **attributes).text = line
    page = _group(root, "template", transform=f"translate(0 {template.header_mm:g})")
    if template.cut_now:
        pale = _group(page, "cut-now", fill="#ebebeb", **{"fill-rule": "evenodd"})
        for area in template.cut_now:
            _child(pale, "path", d=" ".join(_data(ring, closed=True) for ring in area))
    printing = _group(page, "printing", fill="#c7c7c7", **{"fill-rule": "evenodd"})
    for area in template.areas:
        _child(printing, "path", d=" ".join(_data(ring, closed=True) for ring in area))
    if template.saw:
        _lines(_group(page, "saw-lines", **_stroke(0.2)), template.saw, closed=True)
    if template.labels:
        words = _group(page, "labels", fill="#000000")
        for at_x, at_y, word in template.labels:
            at = {"x": f"{at_x:.2f}", "y": f"{at_y:.2f}", "text-anchor": "middle", "font-size": "3.5"}
            _child(words, "text", **at, **{"font-family": "Lato, sans-serif"}).text = word
    _lines(_group(page, "sheet", **_stroke(0.1)), [template.sheet], closed=True)
    _lines(_group(page, "notch-floors", **_stroke(0.1)), template.floors, closed=True)
    if template.tidy:
        _lines(_group(page, "tidy", **_stroke(0.1)), template.tidy, closed=False)
    _lines(_group(page, "notch-walls", **_stroke(0.4)), template.walls, closed=False)
    edge = ((0.0, 0.0), (template.size_mm[0], 0.0), template.size_mm, (0.0, template.size_mm[1]))
    _lines(_group(page, "block-edge", **_stroke(0.2)), [edge], closed=True)
    _lines(_group(page, "marked-corner", fill="#000000"), [template.corner], closed=True)
    if template.front_corner:
        _lines(_group(page, "front-corner", **_stroke(0.3)), [template.front_corner], closed=True)
    base = template.size_mm[1] + 6
    bar = ((0.0, base - 2), (0.0, base), (CHECK_BAR_MM, base), (CHECK_BAR_MM, base - 2))
    _lines(_group(page, "check-bar-100-mm", **_stroke(0.2)), [bar], closed=False)
    return etree.tostring(root, xml_declaration=True, encoding="utf-8", pretty_print=True)


def mask_svg(
    name: str, colour_hex: str, areas: Sequence[Sequence[Any]], size_mm: tuple[float, float]
) -> bytes:
    """What one block prints, right-reading, as an SVG of the image's size in mm."""
    width, height = size_mm
    root = etree.Element(
        f"{{{_NS}}}svg",
        {"width": f"{width:g}mm", "height": f"{height:g}mm", "viewBox": f"0 0 {width:g} {height:g}"},
        nsmap={None: _NS},  # type: ignore[dict-item] # lxml takes None for the default namespace
    )
    _child(root, "title").text = name
    printing = _group(root, "printing", fill=colour_hex, **{"fill-rule": "evenodd"})
    for area in areas:
        _child(printing, "path", d=" ".join(_data(ring, closed=True) for ring in area))
    return etree.tostring(root, xml_declaration=True, encoding="utf-8", pretty_print=True)


def _child(parent: etree._Element, tag: str, **attributes: str) -> etree._Element:
    return etree.SubElement(parent, f"{{{_NS}}}{tag}", attributes)


def _group(parent: etree._Element, name: str, **attributes: str) -> etree._Element:
    return _child(parent, "g", id=name, **attributes)


def _stroke(width_mm: float) -> dict[str, str]:
    return {"fill": "none", "stroke": "#000000", "stroke-width": f"{width_mm:g}"}


def _lines(parent: etree._Element, lines: Iterable[Sequence[Any]], *, closed: bool) -> None:
    for line in lines:
        _child(parent, "path", d=_data(line, closed=closed))


def _data(points: Any, *, closed: bool) -> str:
    return "M" + "L".join(f"{x:.3f} {y:.3f}" for x, y in points) + ("Z" if closed else "")
