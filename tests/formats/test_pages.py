"""Where everything lies on the printed pages, frozen: what moves, grows or is lost on paper shows here."""

from pathlib import Path
from typing import Any

import pypdfium2

from nomos.cli.common import answers
from nomos.formats.card import card_pdf
from nomos.formats.chart import chart_pdf
from nomos.project import Assets, Project
from nomos.project.inks.chart import overlap_chart
from nomos.work.packet import write_packet
from tests.test_golden import beginning, frozen

# Their feet hold the day they are printed on; what they draw is measured in test_templates.py.
_DATED = {"blocks.pdf", "statement.pdf"}


def lying(pdf: bytes) -> list[dict[str, Any]]:
    """Of each page its size, and of each kind of thing on it how many there are and the mean of their boxes, mm."""
    found = []
    for page in pypdfium2.PdfDocument(pdf):
        kinds: dict[str, list[tuple[float, ...]]] = {}
        for each in page.get_objects(max_depth=4):
            kinds.setdefault(f"kind {each.type}", []).append(tuple(v / 72 * 25.4 for v in each.get_bounds()))
        means = {
            kind: [len(boxes), *(round(sum(side) / len(boxes), 1) for side in zip(*boxes, strict=True))]
            for kind, boxes in sorted(kinds.items())
        }
        found.append({"size": [round(side / 72 * 25.4, 1) for side in page.get_size()], **means})
    return found


def test_the_pages_of_a_packet(little: tuple[Project, Assets], tmp_path: Path) -> None:
    project = beginning(little[0])
    write_packet(tmp_path / "packet", project, little[1], answers())
    pages = {path.name: lying(path.read_bytes()) for path in sorted((tmp_path / "packet").glob("*.pdf"))}
    assert pages.keys() > _DATED
    chart = overlap_chart(project, tuple(pull.id for pull in project.impressions[:3]))
    loose = {"card": lying(card_pdf()), "chart": lying(chart_pdf(chart, "Overlaps"))}
    frozen("pages", {**{name: found for name, found in pages.items() if name not in _DATED}, **loose})
