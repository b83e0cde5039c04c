"""Templates of blocks as drawings: one face on a page of its own, or all blocks of a set side by side."""

from collections.abc import Sequence
from dataclasses import replace
from typing import Any

from nomos.base.language import tr
from nomos.formats.drawing import Drawing, Shape, Word
from nomos.formats.template import Template

_APART_MM = 15.0
_FOOT_WORDS = {"block": tr("block, mirrored"), "tracing": tr("tracing, right-reading")}
# What a layer is called in a file that holds all blocks of a set.
_SET_NAMES = {
    "block-edge": "edge",
    "printing": "printing",
    "saw-lines": "saw",
    "notch-floors": "floor",
    "notch-walls": "wall",
    "marked-corner": "corner",
}


def template_drawing(template: Template) -> Drawing:
    """One face of one block, what lies lowest first."""
    width, height = template.size_mm
    edge = ((0.0, 0.0), (width, 0.0), (width, height), (0.0, height))
    shapes = [Shape("cut-now", area) for area in template.cut_now]
    shapes += [Shape("printing", area) for area in template.areas]
    shapes += [Shape("saw-lines", (path,)) for path in template.saw]
    shapes.append(Shape("sheet", (template.sheet,)))
    shapes += [Shape("tidy", (line,), closed=False) for line in template.tidy]
    shapes += [Shape("notch-floors", (floor,)) for floor in template.floors]
    shapes += [Shape("notch-walls", (wall,), closed=False) for wall in template.walls]
    shapes += [Shape("block-edge", (edge,)), Shape("marked-corner", (template.corner,))]
    if template.front_corner:
        shapes.append(Shape("front-corner", (template.front_corner,)))
    return Drawing(
        template.name,
        template.heading,
        template.notes,
        template.size_mm,
        tuple(shapes),
        tuple(Word((x, y), text) for x, y, text in template.labels),
        f"{template.heading} ({_FOOT_WORDS[template.face]})",
        template.colours,
    )


def template_drawings(templates: Sequence[Template]) -> list[Drawing]:
    """Each on a page of its own."""
    return [template_drawing(template) for template in templates]


def set_drawing(templates: Sequence[Template]) -> Drawing:
    """The block faces of a set side by side, mirrored as they are cut, each on layers of its own."""
    shapes: list[Shape] = []
    words: list[Word] = []
    x = tall = 0.0
    for place, each in enumerate((one for one in templates if one.face == "block"), start=1):
        width, height = each.size_mm
        for shape in template_drawing(each).shapes:
            if shape.layer in _SET_NAMES:
                layer = f"block{place:02d}-{_SET_NAMES[shape.layer]}"
                shapes.append(replace(shape, layer=layer, rings=_moved(shape.rings, x)))
        words.append(Word((x + width / 2, 4.0), each.heading))
        x, tall = x + width + _APART_MM, max(tall, height)
    title = templates[0].title if templates else ""
    notes = (tr("Blocks, mirrored: what you see is what you cut."),)
    size = max(x - _APART_MM, 1.0), tall
    return Drawing("blocks", tr("{title}: blocks", title=title), notes, size, tuple(shapes), tuple(words))


def _moved(rings: Sequence[Any], by: float) -> tuple[Any, ...]:
    return tuple([(float(x) + by, float(y)) for x, y in ring] for ring in rings)
