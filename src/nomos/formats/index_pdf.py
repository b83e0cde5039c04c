"""The first pages of the packet: what to know before cutting, what lies in it, the order, what is to be bought."""

import contextlib
from collections.abc import Sequence
from typing import Any

from nomos.base.language import tr
from nomos.base.units import lengths_text
from nomos.design.page import Rgb
from nomos.edition import SheetsError
from nomos.formats.pdf import new_canvas
from nomos.formats.typesetting import PAGE_END, numbered_picture, paragraph, rows, space, text_pages
from nomos.project import Finding, Project
from nomos.project.check.assumed import assumed
from nomos.project.edition.sheets import each_print_text
from nomos.project.model.sheets import sheets_text

_TOLD = ("will fail", "could show")
# So many fit on the first page beside a picture of this size.
_MOST, _PICTURE_MM = 9, 95.0

_FILES = (
    ("blocks.pdf", tr("Every block at true size, mirrored and right-reading. Print at 100 %, measure the bar.")),
    ("pulls.pdf", tr("A page for every pull, to lie beside the press: inks, zones, film, what to check.")),
    ("transfer.pdf", tr("The drawing for each block, the right way round for the way it is transferred.")),
    ("carving.pdf", tr("What to cut with which tool, how deep, in which order, block by block.")),
    ("bench.pdf", tr("How block and sheet lie on the bench.")),
    ("pins.dxf", tr("Tabs and pins for a cutter; pins.svg is the same.")),
    ("stage-01.png", tr("The sheet after each pull; proof.png is the finished print.")),
    ("process.pdf", tr("All progressive proofs on one page, for pupils and collectors.")),
    ("statement.pdf", tr("Edition statement and colophon, to be signed.")),
    ("project.nomos", tr("The project itself; plan.json holds every figure.")),
)


def index_pdf(project: Project, plan: dict[str, Any], findings: Sequence[Finding], picture: Rgb) -> bytes:
    """What to know before cutting on the first A4 page, then what lies in the packet.

    Parameters
    ----------
    plan : what `plan.json` holds.
    findings : of the project, in the order they are told.
    picture : the image as it will print, (height, width, 3) uint8.
    """
    width, height = plan["size_mm"]
    line = tr("{width}, {len} pulls", width=lengths_text(width, height, None, between=" × "), len=len(plan["order"]))
    story = [
        paragraph(project.title, 20, bold=True, after_mm=3),
        paragraph(line, 11, after_mm=4),
        *_before_cutting(project, findings, picture),
        PAGE_END,
        paragraph(tr("In this packet"), 13, bold=True),
        rows([(name, words) for name, words in _FILES if name in plan["files"]]),
        space(3),
        paragraph(tr("Order of the pulls"), 13, bold=True),
        rows(
            [
                (
                    f"{step['place']} {step['block']}",
                    tr("Ink {step}. Then: {step_2}.", step=step["ink"], step_2=step["then"]),
                )
                for step in plan["order"]
            ]
        ),
        space(3),
        paragraph(tr("Cutting takes about {plan:.1f} h.", plan=plan["carving"]["hours"]), after_mm=3),
    ]
    sheets = plan["sheets"]
    if "problem" in sheets:
        story.append(paragraph(sheets["problem"]))
    else:
        story += [
            paragraph(tr("To buy or weigh out"), 13, bold=True),
            rows([(f"{each['amount']:g} {each['unit']}", _bought(each)) for each in sheets["buy"]]),
            paragraph(each_print_text(project, sum(each["cost"] for each in sheets["buy"]), plan["carving"]["hours"])),
        ]
    buffer, canvas = new_canvas(tr("{title}: index", title=project.title))
    text_pages(canvas, story)
    canvas.save()
    return buffer.getvalue()


def _before_cutting(project: Project, findings: Sequence[Finding], picture: Rgb) -> list[Any]:
    """The picture with its places by number, what will fail and could show, why so many sheets, what is assumed."""
    told = [each for weight in _TOLD for each in findings if each.weight == weight]
    image, shown = project.image, told[:_MOST]
    places = [
        (n, (each.place_mm[0] - image.left) / image.width, (each.place_mm[1] - image.top) / image.height)
        for n, each in enumerate(shown, start=1)
        if each.place_mm is not None
    ]
    named = [(f"{n}  {tr(each.weight)}", f"{each.text} {each.remedy}") for n, each in enumerate(shown, start=1)]
    story = [
        numbered_picture(picture, min(_PICTURE_MM, _PICTURE_MM * image.width / image.height), places),
        space(3),
        paragraph(tr("Before you cut"), 13, bold=True),
        rows(named, 28.0, 9.0) if named else paragraph(tr("Nothing was found that would fail or show.")),
    ]
    if len(told) > _MOST:
        story.append(paragraph(tr("{more} more stand in plan.json.", more=len(told) - _MOST), 9))
    with contextlib.suppress(SheetsError):
        story += [paragraph(tr("So many sheets"), 11, bold=True), paragraph(sheets_text(project), 9)]
    assumptions = assumed(project)
    if assumptions:
        story += [paragraph(tr("Assumed, not measured"), 11, bold=True), *(paragraph(each, 9) for each in assumptions)]
    return story


def _bought(each: dict[str, Any]) -> str:
    return f"{each['what']}, {each['cost']:.2f}" if each["cost"] else str(each["what"])
