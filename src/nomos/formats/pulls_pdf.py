"""A page for every pull, to lie beside the press: what is inked how, and what is looked at."""

import io
from typing import TYPE_CHECKING, Any

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import opened, tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.base.units import grams_text
from nomos.formats.pdf import new_canvas
from nomos.formats.pictures import png
from nomos.formats.typesetting import MM, paragraph, rows, ruled, space, text_pages
from nomos.project import CutBlocks, LaidSheet, Project, sheet_labs
from nomos.project.check.inking import InkingLook
from nomos.project.edition.card import PullCard, pull_card

if TYPE_CHECKING:
    from reportlab.platypus import Flowable

_TALL_MM, _WIDEST_MM, _GAP_MM = 112.0, 82.0, 8.0
# Pictures on the page hold no more pixels than print well at their size.
_PICTURE_PX = 900
_LINE = (47, 62, 134)


def pulls_pdf(
    project: Project, blocks: CutBlocks, laid: LaidSheet, look: InkingLook | None = None,
    *, progress: Progress = NULL_PROGRESS,
) -> bytes:  # fmt: skip
    """All pulls, each on a page of its own; one with many zones runs on.

    Parameters
    ----------
    blocks, laid : of the project in register.
    look : how far ink may stray; without it nothing is said of that.

    Raises Cancelled.
    """
    buffer, canvas = new_canvas(tr("{title}: pulls", title=project.title))
    for layer, pull in enumerate(project.impressions):
        progress.report(layer / len(project.impressions), tr("drawing the pulls"))
        card = pull_card(project, blocks, layer)
        stray = look.strays.get(pull.id) if look is not None else None
        text_pages(canvas, _page(project, laid, layer, card, stray.text if stray is not None else ""))
    canvas.save()
    return buffer.getvalue()


def _page(project: Project, laid: LaidSheet, layer: int, card: PullCard, stray: str) -> list[Any]:
    zones = [
        (f"{place}", f"{opened(zone.text)}." + (f" {grams_text(zone.grams)} g." if zone.grams else ""))
        for place, zone in enumerate(card.zones, start=1)
    ]
    facts = [
        (tr("Ink, in all"), card.amount), *((step.name, " ".join(step.said)) for step in card.steps),
        (tr("Loosely"), stray), (tr("Mind"), " ".join(card.cautions)), (tr("Then"), card.after.removeprefix("Then ")),
    ]  # fmt: skip
    return [
        paragraph(project.title, 9, after_mm=0.5),
        paragraph(card.title, 20, bold=True, after_mm=4),
        _side_by_side(
            (_inked(project, laid, layer), tr("What is inked, as it prints")),
            (_after(project, laid, layer), tr("The sheet after this pull")),
        ),
        space(4),
        paragraph(tr("On the block"), 12, bold=True),
        rows(zones, first_mm=8.0),
        space(2),
        rows([(name, opened(text)) for name, text in facts if text], first_mm=28.0),
        space(14),
        ruled((tr("Good, spoiled, repaired"), tr("Ink batch, air, packing"))),
    ]


def _side_by_side(*pictures: tuple[NDArray[np.uint8], str]) -> "Flowable":
    from reportlab.platypus import Image, Table

    cells, widths = [], []
    for picture, _ in pictures:
        tall = min(_TALL_MM, _WIDEST_MM * picture.shape[0] / picture.shape[1])
        wide = tall * picture.shape[1] / picture.shape[0]
        cells.append(Image(io.BytesIO(png(picture, picture.shape[1] / wide)), wide * MM, tall * MM))
        widths.append((wide + _GAP_MM) * MM)
    table = Table([cells, [paragraph(words, 8) for _, words in pictures]], colWidths=widths, hAlign="LEFT")
    table.setStyle([("LEFTPADDING", (0, 0), (-1, -1), 0), ("BOTTOMPADDING", (0, 0), (-1, -1), 1)])
    return table


def _after(project: Project, laid: LaidSheet, layer: int) -> NDArray[np.uint8]:
    return laid.small(sheet_labs(project, laid, layer + 1), _PICTURE_PX)


def _inked(project: Project, laid: LaidSheet, layer: int) -> NDArray[np.uint8]:
    """What this pull alone prints, each zone in its ink; what was drawn by hand outlined and numbered."""
    import cv2

    pull = project.impressions[layer]
    labs = np.tile(np.array(project.paper.lab), (len(laid.map.members), 1))
    for column, key in enumerate(laid.films):
        if key.pull == pull.id:
            labs[laid.map.members[:, column]] = project.ink(pull.zones[key.zone].ink).lab
    picture = laid.small(labs, _PICTURE_PX)
    scale = picture.shape[1] / project.image.width
    for place, zone in enumerate(pull.zones, start=1):
        for outline in zone.areas:
            points = [((x - project.image.left) * scale, (y - project.image.top) * scale) for x, y in outline]
            ring = np.round(points).astype(np.int32)
            cv2.polylines(picture, [ring], isClosed=True, color=_LINE, thickness=2, lineType=cv2.LINE_AA)
            at = ring.mean(axis=0).round().astype(int)
            cv2.putText(
                picture, str(place), (int(at[0]), int(at[1])), cv2.FONT_HERSHEY_SIMPLEX, 1.0, _LINE, 2, cv2.LINE_AA
            )
    return picture
