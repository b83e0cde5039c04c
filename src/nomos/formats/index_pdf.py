"""The first page of the packet: what lies in it, the order of the work, and what is to be bought."""

from typing import Any

from nomos.base.language import tr
from nomos.base.units import lengths_text
from nomos.formats.pdf import new_canvas
from nomos.formats.typesetting import paragraph, rows, space, text_pages

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


def index_pdf(title: str, plan: dict[str, Any]) -> bytes:
    """One or more A4 pages. plan : what `plan.json` holds."""
    width, height = plan["size_mm"]
    story = [
        paragraph(title, 20, bold=True, after_mm=3),
        paragraph(
            tr("{width}, {len} pulls", width=lengths_text(width, height, None, between=" × "), len=len(plan["order"])),
            11,
            after_mm=5,
        ),
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
            paragraph(tr("Cut {sheets} sheets. To buy or weigh out:", sheets=sheets["cut"]), 11, bold=True),
            rows([(f"{each['amount']:g} {each['unit']}", _bought(each)) for each in sheets["buy"]]),
        ]
    buffer, canvas = new_canvas(tr("{title}: index", title=title))
    text_pages(canvas, story)
    canvas.save()
    return buffer.getvalue()


def _bought(each: dict[str, Any]) -> str:
    return f"{each['what']}, {each['cost']:.2f}" if each["cost"] else str(each["what"])
