"""Drawings as PDF for paper, and as SVG and DXF for cutters, all at true size."""

from collections.abc import Sequence
from io import StringIO
from typing import Any

from lxml import etree

from nomos.formats.drawing import Drawing, Line
from nomos.formats.pdf import DEFAULT_PAPER, MM, Sheet, draw_pages, new_canvas

_NS = "http://www.w3.org/2000/svg"
# How layers look on paper: width in points, dashes, grey of the fill (None: not filled).
_LOOK: dict[str, tuple[float, tuple[float, ...], float | None]] = {
    "block": (1.2, (), None),
    "board": (1.0, (), 0.93),
    "base": (0.8, (), 0.93),
    "sheet": (0.5, (3, 2), None),
    "image": (0.4, (1, 2), None),
    "floor": (0.4, (), 0.8),
    "wall": (1.6, (), None),
    "tidy": (0.5, (6, 2, 1, 2), None),
    "block stop": (0.8, (), 0.7),
    "paper stop": (0.8, (), 0.4),
    "packing": (0.4, (2, 2), 0.88),
    "pin": (0.8, (), 0.3),
    "tab": (0.6, (), None),
    "tape": (0.4, (1, 1), None),
    "cross": (0.6, (), None),
    "corner": (0.6, (), 0.0),
    "dimension": (0.3, (), None),
    "cut": (0.3, (), None),
}
_PLAIN: tuple[float, tuple[float, ...], float | None] = (0.4, (), None)
# The format's own colour numbers: what is cut through in 1, the rest in 7.
_CUT_COLOUR, _OTHER_COLOUR = 1, 7
_WORD_MM = 3.0


def drawings_pdf(drawings: Sequence[Drawing], *, paper: str = DEFAULT_PAPER) -> bytes:
    """All drawings at true size, tiled where they are larger than the paper. Raises BadInput."""
    buffer, canvas = new_canvas(drawings[0].heading if drawings else "Templates")
    for drawing in drawings:

        def draw(drawing: Drawing = drawing) -> None:
            _draw(canvas, drawing)

        draw_pages(canvas, Sheet(drawing.name, drawing.page_mm, drawing.heading), draw, paper)
    canvas.save()
    return buffer.getvalue()


def _draw(canvas: Any, drawing: Drawing) -> None:
    height, header = drawing.page_mm[1], drawing.header_mm

    def at(x: float, y: float) -> tuple[float, float]:
        return x * MM, (height - header - y) * MM

    canvas.setFillGray(0)
    canvas.setFont("Lato-Bold", 12)
    canvas.drawString(0, (height - 4.5) * MM, drawing.heading)
    canvas.setFont("Lato", 8)
    for place, line in enumerate(drawing.text):
        canvas.drawString(0, (height - 9.0 - 4.0 * place) * MM, line)
    for each in drawing.lines:
        _draw_line(canvas, each, at)
    canvas.setFillGray(0)
    canvas.setFont("Lato-Bold", 8)
    for word in drawing.words:
        x, y = at(*word.place)
        wide = canvas.stringWidth(word.text, "Lato-Bold", 8)
        canvas.setFillGray(1)
        canvas.rect(x - wide / 2 - 2, y - 4, wide + 4, 11, 0, 1)
        canvas.setFillGray(0)
        canvas.drawCentredString(x, y - 2, word.text)


def _draw_line(canvas: Any, line: Line, at: Any) -> None:
    width, dashes, grey = _LOOK.get(line.layer, _PLAIN)
    canvas.setLineWidth(width)
    canvas.setDash(*([list(dashes)] if dashes else []))
    canvas.setStrokeGray(0)
    path = canvas.beginPath()
    for place, point in enumerate(line.points):
        (path.lineTo if place else path.moveTo)(*at(*point))
    if line.closed:
        path.close()
    if grey is not None:
        canvas.setFillGray(grey)
    canvas.drawPath(path, stroke=1, fill=int(grey is not None))
    canvas.setDash()


def drawing_svg(drawing: Drawing) -> bytes:
    """A drawing as SVG in mm, a group for each layer, without its header."""
    width, height = drawing.size_mm
    root = etree.Element(
        f"{{{_NS}}}svg",
        {"width": f"{width:g}mm", "height": f"{height:g}mm", "viewBox": f"0 0 {width:g} {height:g}"},
        nsmap={None: _NS},  # type: ignore[dict-item] # lxml takes None for the default namespace
    )
    etree.SubElement(root, f"{{{_NS}}}title").text = drawing.heading
    etree.SubElement(root, f"{{{_NS}}}desc").text = " ".join(drawing.notes)
    for layer in dict.fromkeys(line.layer for line in drawing.lines):
        look = {"id": layer.replace(" ", "-"), "fill": "none", "stroke": "#000000", "stroke-width": "0.1"}
        group = etree.SubElement(root, f"{{{_NS}}}g", look)
        for line in drawing.lines:
            if line.layer == layer:
                data = "M" + "L".join(f"{x:.4f} {y:.4f}" for x, y in line.points) + "Z" * line.closed
                etree.SubElement(group, f"{{{_NS}}}path", {"d": data})
    words = etree.SubElement(root, f"{{{_NS}}}g", {"id": "words", "fill": "#000000"})
    for word in drawing.words:
        at = {"x": f"{word.place[0]:.2f}", "y": f"{word.place[1]:.2f}", "text-anchor": "middle"}
        style = {"font-family": "Lato, sans-serif", "font-size": f"{_WORD_MM:g}"}
        etree.SubElement(words, f"{{{_NS}}}text", at | style).text = word.text
    return etree.tostring(root, xml_declaration=True, encoding="utf-8", pretty_print=True)


def drawing_dxf(drawing: Drawing) -> bytes:
    """A drawing as DXF R2010 in mm, y up as the format has it, closed shapes as closed polylines."""
    from ezdxf import units
    from ezdxf._options import options
    from ezdxf.enums import TextEntityAlignment
    from ezdxf.filemanagement import new

    # The same drawing gives the same bytes.
    options.write_fixed_meta_data_for_testing = True
    document = new("R2010", units=units.MM)
    space = document.modelspace()
    height = drawing.size_mm[1]
    for layer in dict.fromkeys([*(line.layer for line in drawing.lines), "words"]):
        document.layers.add(layer, color=_CUT_COLOUR if layer == "cut" else _OTHER_COLOUR)
    for line in drawing.lines:
        points = [(x, height - y) for x, y in line.points]
        space.add_lwpolyline(points, close=line.closed, dxfattribs={"layer": line.layer})
    for word in drawing.words:
        text = space.add_text(word.text, height=_WORD_MM, dxfattribs={"layer": "words"})
        at = word.place[0], height - word.place[1]
        text.set_placement(at, align=TextEntityAlignment.CENTER)
    stream = StringIO()
    document.write(stream)
    return stream.getvalue().encode("utf-8")
