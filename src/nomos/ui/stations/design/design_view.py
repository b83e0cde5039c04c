"""What the Design station says and shows: the picture, its colours, their outlines, what is unsure."""

from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import opened, tr, within
from nomos.base.units import length_text, number
from nomos.colour import Lab, lab_to_hex
from nomos.design import Correction, Cut, FlatDesign, Labels, Looked
from nomos.design.cut import Found
from nomos.design.foreign import NAMES, Foreign
from nomos.design.page import Mask, Rgb
from nomos.project import Project, Proof
from nomos.proof import mips, page_of_pixels
from nomos.registration import Rect
from nomos.separation.fields import touching
from nomos.ui.frame.colours import ColourStrips, colour_strips
from nomos.ui.frame.raster import Page, Raster
from nomos.ui.frame.rows import Row
from nomos.ui.frame.sheet_view import lab_text
from nomos.ui.frame.state import UiState

_MOST_NEIGHBOURS = 4
# So many doubtful places are worth pointing at, each at least so large, mm².
_MOST_PLACES, _LEAST_PLACE_MM2 = 12, 2.0
_OUTLINE, _HALO = (20, 28, 70), (255, 255, 255)
_HATCH = (214, 40, 160)
_HATCH_MM = 1.1


@dataclass(frozen=True, eq=False)
class Outlined:
    """The sketch with the outlines of its fields over it, and the doubtful places on the sheet, mm.

    labels : the fields whose outlines they are.
    """

    labels: Labels
    raster: Raster
    places: tuple[tuple[float, float], ...]


def outlined(even: Rgb, labels: Labels, px_per_mm: float, unsure: Mask | None, image: Rect) -> Outlined:
    """Draw the outlines of fields over the sketch, and hatch what is unsure.

    Parameters
    ----------
    even : (h, w, 3) the sketch, evened out, at any resolution. labels : the fields, at `px_per_mm`.
    unsure : where the evidence is thin, of any resolution; None nowhere.
    """
    import cv2

    height, width = labels.shape
    page = cv2.resize(even, (width, height), interpolation=cv2.INTER_AREA)
    edge = np.zeros(labels.shape, np.uint8)
    edge[:, 1:] |= labels[:, 1:] != labels[:, :-1]
    edge[1:] |= labels[1:] != labels[:-1]
    halo = cv2.dilate(edge, np.ones((3, 3), np.uint8)) > 0
    page[halo] = (0.45 * page[halo] + 0.55 * np.array(_HALO)).astype(np.uint8)
    page[edge > 0] = _OUTLINE
    places: tuple[tuple[float, float], ...] = ()
    if unsure is not None and unsure.any():
        doubt = cv2.resize(unsure.view(np.uint8), (width, height), interpolation=cv2.INTER_NEAREST)
        places = _places(np.asarray(doubt, np.uint8), px_per_mm, image)
        y, x = np.nonzero(doubt)
        stripe = (x + y) % max(4, round(_HATCH_MM * px_per_mm)) < max(1, round(0.25 * px_per_mm))
        page[y[stripe], x[stripe]] = _HATCH
    return Outlined(
        labels, Raster(mips(page_of_pixels(np.asarray(page, np.uint8))), None, px_per_mm, image.left, image.top), places
    )


def _places(doubt: NDArray[np.uint8], px_per_mm: float, image: Rect) -> tuple[tuple[float, float], ...]:
    """The largest doubtful places, the largest first, mm on the sheet."""
    import cv2

    _, parts, stats, _ = cv2.connectedComponentsWithStats(doubt, connectivity=8)
    area = stats[1:, cv2.CC_STAT_AREA] / px_per_mm**2
    found = []
    for part in np.argsort(-area, kind="stable")[:_MOST_PLACES]:
        if area[part] < _LEAST_PLACE_MM2:
            break
        # Its innermost pixel: a middle may lie outside a bent place.
        left, top, wide, tall = stats[part + 1, :4]
        own = np.pad((parts[top : top + tall, left : left + wide] == part + 1).view(np.uint8), 1)
        depth = cv2.distanceTransform(own, cv2.DIST_L2, 3)
        row, column = np.unravel_index(int(np.argmax(depth)), depth.shape)
        found.append((image.left + (left + column - 1) / px_per_mm, image.top + (top + row - 1) / px_per_mm))
    return tuple(found)


@dataclass(frozen=True)
class PicturePartView:
    """What of the picture is printed, how large, and how it is read.

    known : the picture as it was opened can be shown, for corners to be set on.
    read_as : as it was asked for, "" for as the program judges; found : how it was read, in words.
    other : how else it may as well be read, "" where that is certain.
    light : what was found of the light.
    faint : there are soft construction lines to drop.
    bare : so many polygons stay bare.
    paper : its colour.
    foreign : what may not belong to the drawing, each as what a click does with it.
    """

    known: bool
    size_mm: tuple[float, float]
    read_as: str
    found: str
    other: str
    light: str
    faint: bool
    bare: int
    cut: bool
    foreign: tuple[str, ...]
    paper: Lab


_READ = {
    "drawing": tr("Read as a clean drawing: its colours are taken as they are."),
    "sketch": tr("Read as a sketch drawn by hand: its line, its areas and the paper."),
    "tones": tr("Read as tones: the colours that are least far off on the whole."),
}


def picture_part_view(project: Project, looked: Looked | None, found: Found | None, *, known: bool) -> PicturePartView:
    """The Picture part of the Design station."""
    flat, source = project.flat, project.source
    cut = source.cut if source else None
    dropped = any(each.kind == "drop faint" for each in flat.corrections) if flat else False
    sketch = looked.sketch if looked else None
    faint = sketch is not None and float(sketch.drawn.faint.mean()) > _LEAST_FAINT and not dropped
    return PicturePartView(
        known, (project.image.width, project.image.height), (flat.read_as or "") if flat else "",
        _READ[looked.read_as] if looked else "", (looked.other or "") if looked else "",
        _light_text(looked), faint, len(cut.bare) if cut else 0,
        cut is not None, tuple(_foreign_text(each, cut) for each in found.foreign) if found else (),
        project.paper.lab,
    )  # fmt: skip


def _foreign_text(each: Foreign, cut: Cut | None) -> str:
    if cut is None or each.outline not in cut.bare:
        return tr("This looks like {what}: leave it out", what=NAMES[each.kind])
    return tr("{what} is left out: keep it", what=opened(NAMES[each.kind]))


_LEAST_FAINT = 0.0008


def _light_text(looked: Looked | None) -> str:
    if looked is None or looked.sketch is None or looked.read_as != "sketch":
        return ""
    light = looked.sketch.light
    if light.paper_share == 0:
        return tr("No bare paper was recognised: the light is left as it is.")
    if light.gain is None:
        return tr("The light was even; nothing was changed.")
    text = tr("The light varied by {uneven} % over the paper and was evened out.", uneven=number(100 * light.uneven, 0))
    if light.shadow > 0.03:
        text += tr(" A shadow over {shadow} % of it could not be.", shadow=number(100 * light.shadow, 0))
    return text


@dataclass(frozen=True)
class CorrectPartView:
    """What can be corrected by pointing, and what has been.

    tool : what a click does. colour : the colour that fill and brush lay, "" while none is chosen.
    said : what was corrected, in order.
    places : so many places where the program was unsure.
    """

    tool: str
    colour: str
    said: tuple[str, ...]
    places: int
    has_line: bool


_SAID = {
    "keep": tr("kept, whatever the number"), "same": tr("two colours made one"),
    "another": tr("another colour pointed out"),
    "paper": tr("said to be paper"), "line": tr("said to be line"), "no line": tr("said to be no line"),
    "fill": tr("a field filled"), "brush": tr("a stroke of the brush"),
    "drop faint": tr("faint lines dropped"),
}  # fmt: skip


def correct_part_view(project: Project, state: UiState, places: int) -> CorrectPartView:
    """The Correct part of the Design station."""
    flat = project.flat
    if flat is None:
        return CorrectPartView(state.pointing, "", (), 0, False)
    chosen = state.colour if state.colour is not None and state.colour < len(flat.colours) else None
    return CorrectPartView(
        state.pointing, flat.colours[chosen].name if chosen is not None else "",
        tuple(_said(each) for each in flat.corrections), places, flat.line is not None,
    )  # fmt: skip


def _gradient_text(names: Sequence[str]) -> str:
    if len(names) == 1:
        return tr("Ink {lower} graded, as it was painted", lower=within(names[0]))
    return tr(
        "Ink {join} and {lower} as one graded field",
        join=", ".join(within(name) for name in names[:-1]),
        lower=within(names[-1]),
    )


def _said(each: Correction) -> str:
    swatch = f" ({lab_to_hex(np.array(each.lab))})" if each.lab is not None else ""
    return f"{_SAID[each.kind]}{swatch}"


@dataclass(frozen=True)
class DesignView:
    """What is the design made of?"""

    title: str
    source: str
    size_mm: tuple[float, float]
    count: int
    requested_colours: int | None
    smallest_mm: float
    mean_de00: float
    rows: tuple[Row, ...]
    chosen: int | None
    chosen_name: str
    chosen_bare: bool
    can_split: bool
    strips: ColourStrips | None
    has_source: bool
    field: str
    why: str
    curve: tuple[tuple[int, float], ...]
    suggested: int
    kept: bool
    gradients: tuple[str, ...]


def design_view(project: Project, proof: Proof | None, state: UiState, found: FlatDesign | None) -> DesignView | None:
    """The Design station; None before there is a flat design. found : once the sketch has been read."""
    flat = project.flat
    if flat is None:
        return None
    suggestion = found.suggestion if found else None
    names = [colour.name for colour in flat.colours]
    gradients = found.gradients if found and len(found.colours) == len(names) else ()
    areas = {match.number: match.area_mm2 for match in proof.matches} if proof else {}
    total = sum(areas.values()) or 1.0
    bare = project.bare_colours()
    look = proof.close if proof else None
    counts = Counter(field.colour for field in look.fields) if look else Counter()
    rows = []
    for place, colour in enumerate(flat.colours):
        area = areas.get(place)
        figure = f"{number(100 * area / total)} %" if area is not None else ""
        quiet = tr("Lab {lab_text}", lab_text=lab_text(colour.lab)) + (
            tr(", {area} mm²", area=number(area, 0)) if area is not None else ""
        )
        quiet += tr(", {counts} fields", counts=counts[place]) if counts.get(place, 0) > 1 else ""
        role = tr(" (bare paper)") if place in bare else tr(" (the line)") if place == flat.line else ""
        name = f"{colour.name}{role}"
        rows.append(Row(str(place), lab_to_hex(np.array(colour.lab)), name, figure, quiet))
    chosen = state.colour if state.colour is not None and state.colour < len(flat.colours) else None
    picked = flat.colours[chosen] if chosen is not None else None
    return DesignView(
        title=project.title,
        source=project.source.name if project.source else tr("no source kept"),
        size_mm=(project.image.width, project.image.height),
        count=len(flat.colours),
        requested_colours=flat.requested_colours,
        smallest_mm=flat.smallest_feature_mm,
        mean_de00=flat.mean_de00,
        rows=tuple(rows),
        chosen=chosen,
        chosen_name=picked.name if picked else "",
        chosen_bare=chosen in bare,
        can_split=chosen is not None and state.place is not None,
        strips=colour_strips(picked.lab) if picked else None,
        has_source=project.source is not None,
        field=_field_text(project, proof, state),
        why=suggestion.why if suggestion else "",
        curve=suggestion.curve if suggestion else (),
        suggested=suggestion.count if suggestion else 0,
        gradients=tuple(_gradient_text([names[n] for n in numbers]) for numbers, _ in gradients),
        kept=picked is not None and any(e.kind == "keep" and e.lab == picked.lab for e in flat.corrections),
    )


def _field_text(project: Project, proof: Proof | None, state: UiState) -> str:
    """The field last clicked: its area, outline and neighbours."""
    if proof is None or project.flat is None or state.place is None:
        return ""
    names = [colour.name for colour in project.flat.colours]
    area_mm2, outline_mm, meets = _measured(Page(proof.blocks.labels), state.place, proof.blocks.px_per_mm)
    beside = ", ".join(f"{names[n]} {length_text(mm, 0)}" for n, mm in meets if n < len(names))
    return tr(
        "This field: {area_mm2} mm², outline {outline_mm}",
        area_mm2=number(area_mm2, 0),
        outline_mm=length_text(outline_mm, 0),
    ) + (tr("; meets {beside}.", beside=beside) if beside else ".")


@lru_cache(maxsize=2)
def _measured(labels: Page, place: tuple[int, int], px_per_mm: float) -> tuple[float, float, list[tuple[int, float]]]:
    """Area and outline of the field at a pixel, mm² and mm, and how far it runs along its neighbours."""
    field, meets = touching(labels.pixels, *place, px_per_mm)
    longest = sorted(meets.items(), key=lambda each: -each[1])[:_MOST_NEIGHBOURS]
    return field.area_mm2, field.outline_mm, longest
