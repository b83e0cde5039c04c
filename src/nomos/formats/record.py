"""The record of an edition as JSON and CSV, the edition statement and colophon, and the process page."""

import csv
import io
from collections.abc import Sequence
from datetime import date
from typing import Any

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.units import counted, size_text
from nomos.edition import LayerFigures
from nomos.formats.pdf import new_canvas
from nomos.formats.typesetting import A4_MM, MM, paragraph, rows, ruled, space, text_pages
from nomos.project import Project
from nomos.project.blocks.methods import METHODS, method_of
from nomos.project.edition.carving import materials_text
from nomos.project.edition.sheets import Record, layer_names
from nomos.registration import SYSTEMS


def record_json(project: Project, record: Record) -> dict[str, Any]:
    """The edition in figures."""
    state = record.state
    names = layer_names(project, state)
    return {
        "title": project.title,
        "sheets": state.sheets,
        "layers": [_layer(names, each) for each in record.figures],
        "good_share": round(record.good, 4),
        "numbers": [{"sheet": sheet, "number": name} for sheet, name in record.numbers.given],
        "cancelled": list(record.numbers.cancelled),
        "short": record.numbers.short,
        "sheets_by_number": [
            {
                "sheet": history.sheet,
                "pulls": {names[layer]: how for layer, how in sorted(history.layers.items())},
                "spoiled_at": None if history.spoiled_at is None else names[history.spoiled_at],
                "reason": history.reason or None,
                "number": history.number or None,
            }
            for history in state.histories.values()
        ],
        "air": [
            {"at": each.at, "temperature": each.value, "humidity": each.also} for each in state.air
        ],
        "remarks": [{"at": each.at, "kind": each.kind, "text": each.text} for each in state.remarks],
        "readings": [
            {
                "block": project.block(project.impression(each.pull).block).name, "day": each.day,
                "sheet": each.sheet, "dx_mm": each.dx_mm, "dy_mm": each.dy_mm,
                "rotation_deg": each.rotation_deg,
            }
            for each in project.readings
            if any(pull.id == each.pull for pull in project.impressions)
        ],
    }  # fmt: skip


def _layer(names: Sequence[str], each: LayerFigures) -> dict[str, Any]:
    return {
        "layer": each.layer + 1,
        "block": names[each.layer],
        "good": each.good,
        "spoiled": each.spoiled,
        "repaired": each.repaired,
        "reasons": dict(each.reasons),
        "minutes_a_pull": None if each.minutes_a_pull is None else round(each.minutes_a_pull, 2),
        "ink_g": each.ink_g,
    }


def record_csv(project: Project, record: Record) -> dict[str, bytes]:
    """The same as three tables by file name: sheets, pulls and layers."""
    names = layer_names(project, record.state)
    numbers = dict(record.numbers.given)
    sheets = [("sheet", "number", "spoiled_at", "reason")]
    sheets += [
        (
            str(history.sheet), history.number or numbers.get(history.sheet, ""),
            "" if history.spoiled_at is None else names[history.spoiled_at], history.reason,
        )
        for history in record.state.histories.values()
    ]  # fmt: skip
    pulls = [("at", "layer", "block", "sheet", "outcome")]
    for layer, some in sorted(record.state.pulled.items()):
        pulls += [(at, str(layer + 1), names[layer], str(sheet), how) for at, sheet, how in some]
    layers = [("layer", "block", "good", "spoiled", "repaired", "minutes_a_pull", "ink_g")]
    for each in record.figures:
        row = _layer(names, each)
        layers.append(tuple("" if row[key] is None else str(row[key]) for key in layers[0]))  # type: ignore[arg-type] # as wide as its head
    return {"sheets.csv": _table(sheets), "pulls.csv": _table(pulls), "layers.csv": _table(layers)}


# A cell that begins so is a formula to a spreadsheet, which may reach outside it (OWASP, "CSV injection").
_FORMULA = ("=", "+", "-", "@", "\t", "\r")


def _table(rows: Sequence[Sequence[str]]) -> bytes:
    text = io.StringIO()
    csv.writer(text, lineterminator="\n").writerows([_cell(cell) for cell in row] for row in rows)
    return text.getvalue().encode("utf-8")


def _cell(text: str) -> str:
    """A cell that a spreadsheet takes for words, with an apostrophe before what it would reckon out."""
    is_figure = text.lstrip("+-").replace(".", "", 1).isdigit()
    return f"'{text}" if text.startswith(_FORMULA) and not is_figure else text


def statement_lines(project: Project, record: Record | None, day: date) -> list[tuple[str, str]]:
    """What a gallery wants to know, a name and a sentence a line."""
    plan, paper = project.plan, project.paper
    inks = list(dict.fromkeys(project.ink(z.ink).name for pull in project.impressions for z in pull.zones))
    order = ", ".join(project.pull_name(pull.id) for pull in project.impressions)
    lines = [
        (tr("Title"), project.title),
        (tr("Image"), size_text(project.image.width, project.image.height)),
        (tr("Sheet"), f"{size_text(paper.width_mm, paper.height_mm)}, {paper.name}"),
        (
            tr("Method"),
            tr(
                "{method_words}, cut in {materials_text}",
                method_words=METHODS[method_of(project)].record, materials_text=materials_text(project),
            ),
        ),
        (
            tr("Blocks"),
            tr(
                "{blocks_text}, printed in {impressions}: {order}",
                blocks_text=_blocks_text(project),
                impressions=counted(len(project.impressions), tr("pull"), tr("pulls")), order=order,
            ),
        ),
        (tr("Inks"), ", ".join(inks)),
        (tr("Register"), SYSTEMS[project.register.system].said),
        (
            tr("Varied edition (EV)") if is_varied(project, record) else tr("Edition"),
            tr("{edition} numbered 1/{edition} to {edition}/{edition}", edition=plan.edition)
            + (tr(", no two sheets alike") if is_varied(project, record) else ""),
        ),
    ]  # fmt: skip
    proofs = [tr("{artist} artist's proofs (AP)", artist=plan.artist)] if plan.artist else []
    proofs += [tr("{printer} printer's proofs (PP)", printer=plan.printer)] if plan.printer else []
    proofs += [tr("one BAT")] if plan.bat else []
    if proofs:
        lines.append((tr("Beside it"), ", ".join(proofs)))
    if record is not None and record.state.started:
        days = sorted(at[:10] for pulls in record.state.pulled.values() for at, _, _ in pulls)
        if days:
            lines.append((tr("Printed"), tr("{days} to {days_2}", days=days[0], days_2=days[-1])))
        lines.append(
            (
                tr("Cancelled"),
                tr("{cancelled} good sheets left over are cancelled", cancelled=len(record.numbers.cancelled)),
            )
        )
        if record.numbers.short:
            lines.append((tr("Still to print"), tr("{short} of the edition", short=record.numbers.short)))
    lines.append((tr("Dated"), day.isoformat()))
    return lines


def _blocks_text(project: Project) -> str:
    """Blocks and the states they are cut in, told apart: "1 block cut in 7 states", "4 blocks of 2 faces"."""
    boards = {block.board or block.id for block in project.blocks}
    faces = {(block.board or block.id, block.face) for block in project.blocks}
    said = counted(len(boards), tr("block"), tr("blocks"))
    if len(faces) > len(boards):
        said += tr(" with {faces} faces", faces=len(faces))
    if len(project.blocks) > len(faces):
        said += tr(" cut in {blocks} states", blocks=len(project.blocks))
    return said


def is_varied(project: Project, record: Record | None) -> bool:
    """Whether sheets differ: meant to, printed wet sheet by sheet, or inked from several batches."""
    if project.plan.varied or project.sheet_by_sheet:
        return True
    batches: dict[int, set[str]] = {}
    for event in record.state.remarks if record is not None else ():
        if event.kind == "batch":
            batches.setdefault(event.layer, set()).add(event.text)
    return any(len(some) > 1 for some in batches.values())


def statement_pdf(project: Project, record: Record | None, day: date) -> bytes:
    """Edition statement and colophon on one page, with room for signature. Raises nothing of its own."""
    story = [
        paragraph(project.title, 20, bold=True, after_mm=2),
        paragraph(tr("Edition statement and colophon"), 11, after_mm=6),
        rows(statement_lines(project, record, day)),
        space(16),
        ruled((tr("Signed"), tr("Date"))),
    ]
    buffer, canvas = new_canvas(tr("{title}: edition", title=project.title))
    text_pages(canvas, story)
    canvas.save()
    return buffer.getvalue()


Picture = NDArray[np.uint8]


def process_page(title: str, stages: Sequence[tuple[str, Picture]], columns: int = 4, tile_px: int = 520) -> Picture:
    """The progressive proofs side by side on one picture, each with its words. (height, width, 3)."""
    from PIL import Image, ImageDraw, ImageFont

    from nomos.base import typeface

    rows = -(-len(stages) // columns)
    tall = round(max(picture.shape[0] / picture.shape[1] for _, picture in stages) * tile_px)
    gap, words, head = 36, 64, 110
    page = Image.new(
        "RGB", (columns * tile_px + (columns + 1) * gap, head + rows * (tall + words + gap) + gap), "#f4f4f4"
    )
    pen = ImageDraw.Draw(page)
    large = ImageFont.truetype(str(typeface.BOLD), 46)
    small = ImageFont.truetype(str(typeface.REGULAR), 26)
    pen.text((gap, 34), title, fill="#1c1c1c", font=large)
    for place, (text, picture) in enumerate(stages):
        x = gap + (place % columns) * (tile_px + gap)
        y = head + (place // columns) * (tall + words + gap)
        size = tile_px, round(picture.shape[0] * tile_px / picture.shape[1])
        page.paste(Image.fromarray(picture).resize(size, Image.Resampling.LANCZOS), (x, y))
        pen.text((x, y + size[1] + 12), text, fill="#1c1c1c", font=small)
    return np.asarray(page)


def process_pdf(title: str, page: Picture) -> bytes:
    """The process page as a PDF, A4 on its side, for pupils and collectors."""
    from reportlab.lib.utils import ImageReader

    buffer, canvas = new_canvas(tr("{title}: how it was printed", title=title))
    height, width = A4_MM
    canvas.setPageSize((width * MM, height * MM))
    from PIL import Image

    picture = io.BytesIO()
    Image.fromarray(page).save(picture, "PNG")
    picture.seek(0)
    scale = min((width - 20) / page.shape[1], (height - 20) / page.shape[0])
    wide, tall = page.shape[1] * scale, page.shape[0] * scale
    left, low = (width - wide) / 2, (height - tall) / 2
    canvas.drawImage(ImageReader(picture), left * MM, low * MM, wide * MM, tall * MM)
    canvas.showPage()
    canvas.save()
    return buffer.getvalue()


def stage_words(project: Project, pull: int) -> str:
    """What stands under a progressive proof: "3 Dusk mauve"; 0 is the bare paper."""
    if pull == 0:
        return tr("Bare paper")
    return f"{pull} {project.block(project.impressions[pull - 1].block).name}"
