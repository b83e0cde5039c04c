"""The first page of the packet: what lies in it, the order of the work, and what is to be bought."""

import textwrap
from typing import Any

from nomos.formats.pdf import MM, new_canvas

_PAGE_MM, _LEFT_MM = (210.0, 297.0), 20.0
_FILES = (
    ("blocks.pdf", "Every block at true size, mirrored and right-reading. Print at 100 %, measure the bar."),
    ("transfer.pdf", "The drawing for each block, the right way round for the way it is transferred."),
    ("carving.pdf", "What to cut with which tool, how deep, in which order, block by block."),
    ("bench.pdf", "How block and sheet lie on the bench."),
    ("pins.dxf", "Tabs and pins for a cutter; pins.svg is the same."),
    ("stage-01.png", "The sheet after each pull; proof.png is the finished print."),
    ("process.pdf", "All progressive proofs on one page, for pupils and collectors."),
    ("statement.pdf", "Edition statement and colophon, to be signed."),
    ("project.nomos", "The project itself; plan.json holds every figure."),
)


def index_pdf(title: str, plan: dict[str, Any]) -> bytes:
    """One or more A4 pages. plan : what `plan.json` holds."""
    buffer, canvas = new_canvas(f"{title}: index")
    writer = _Writer(canvas)
    writer.line(title, "Lato-Bold", 20, 10)
    width, height = plan["size_mm"]
    writer.line(f"{width:g} × {height:g} mm, {len(plan['order'])} pulls", "Lato", 11, 10)
    writer.line("In this packet", "Lato-Bold", 13, 7)
    for name, words in _FILES:
        if name in plan["files"]:
            writer.row(name, words)
    writer.line("", "Lato", 10, 3)
    writer.line("Order of the pulls", "Lato-Bold", 13, 7)
    for step in plan["order"]:
        writer.row(f"{step['place']} {step['block']}", f"Ink {step['ink']}. Then: {step['then']}.")
    writer.line("", "Lato", 10, 3)
    writer.line(f"Cutting takes about {plan['carving']['hours']:.1f} h.", "Lato", 10, 6)
    sheets = plan["sheets"]
    if "problem" in sheets:
        writer.line(sheets["problem"], "Lato", 10, 6)
    else:
        writer.line(f"Cut {sheets['cut']} sheets. To buy or weigh out:", "Lato-Bold", 11, 6)
        for each in sheets["buy"]:
            cost = f", {each['cost']:.2f}" if each["cost"] else ""
            writer.row(f"{each['amount']:g} {each['unit']}", f"{each['what']}{cost}")
    canvas.showPage()
    canvas.save()
    return buffer.getvalue()


class _Writer:
    """Lines down a page, a new page when it is full."""

    def __init__(self, canvas: Any) -> None:
        self._canvas = canvas
        self._begin()

    def _begin(self) -> None:
        self._canvas.setPageSize((_PAGE_MM[0] * MM, _PAGE_MM[1] * MM))
        self._y = _PAGE_MM[1] - 24

    def _room(self, need: float) -> None:
        if self._y < 16 + need:
            self._canvas.showPage()
            self._begin()

    def line(self, text: str, font: str, size: float, step: float) -> None:
        """One line over the whole width."""
        self._room(step)
        self._canvas.setFont(font, size)
        self._canvas.drawString(_LEFT_MM * MM, self._y * MM, text)
        self._y -= step

    def row(self, name: str, text: str) -> None:
        """A name and its sentence, broken where it is long."""
        lines = textwrap.wrap(text, 82) or [""]
        self._room(5 * len(lines))
        self._canvas.setFont("Lato-Bold", 10)
        self._canvas.drawString(_LEFT_MM * MM, self._y * MM, name)
        self._canvas.setFont("Lato", 10)
        for part in lines:
            self._canvas.drawString((_LEFT_MM + 40) * MM, self._y * MM, part)
            self._y -= 5
