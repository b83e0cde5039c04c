"""How many sheets, what to buy, and the record of the edition."""

from dataclasses import dataclass

import numpy as np

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.units import number
from nomos.edition import EditionState
from nomos.edition.sheets import BuyingLine
from nomos.edition.state import SheetHistory
from nomos.project import Project, Proof
from nomos.project.edition.sheets import Record, buying_list, layer_names
from nomos.project.model.craft import EditionPlan
from nomos.project.model.sheets import all_sheets, planned_sheets, sheets_of
from nomos.ui.frame.rows import Row

# Zones of the carving map on wood: what stays dark, each wider tool paler; red-brown where no tool gets in.
_STAYS_LAB, _NARROW_LAB, _CHATTER_LAB = (30.0, 0.0, 0.0), (45.0, 45.0, 35.0), (72.0, 4.0, -14.0)
_NEAR_LAB, _FAR_LAB = np.array((62.0, 8.0, 26.0)), np.array((92.0, 2.0, 14.0))
_MOST_REMARKS = 8
# More rows than that nobody reads; of a larger edition the sheets that were pulled last are listed.
_MOST_ROWS = 150


@dataclass(frozen=True)
class SheetsView:
    """How many sheets?"""

    plan: EditionPlan
    answer: str
    figures: tuple[tuple[str, str], ...]
    curve: tuple[tuple[int, float], ...]
    start: int
    planned: bool
    buy: tuple[tuple[str, str], ...]
    cost: str
    learnt: str
    learnt_good: float | None
    learnt_pace: float | None = None


def sheets_view(project: Project, proof: Proof | None, record: Record | None) -> SheetsView:
    """The Sheets station. record : of what has been printed already."""
    plan = project.plan
    learnt, good, pace = "", None, None
    pulled = record is not None and any(each.good + each.spoiled + each.repaired for each in record.figures)
    if record is not None and pulled:
        good = round(record.good, 3)
        learnt = tr("The log says {good:.1f} % of pulls are good", good=100 * record.good)
        paces = [each.minutes_a_pull for each in record.figures if each.minutes_a_pull is not None]
        pace = round(sum(paces) / len(paces), 1) if paces else None
        learnt += tr(", {pace} min a pull.", pace=number(pace)) if pace else "."
    try:
        found = sheets_of(project)
        total = all_sheets(project, found)
        lines: tuple[BuyingLine, ...] = buying_list(project, proof.blocks if proof else None)
    except BadInput as error:
        return SheetsView(plan, str(error), (), (), 0, False, (), "", learnt, good, pace)
    cost = sum(line.cost for line in lines)
    return SheetsView(
        plan,
        tr(
            "Cut {total} sheets: {start_sheets} for the edition, the rest for proofs and first pulls.",
            total=total,
            start_sheets=found.start_sheets,
        ),
        (
            (tr("Good sheets wanted"), f"{plan.wanted}"),
            (tr("Come through all layers"), tr("{p_sheet:.0f} %", p_sheet=100 * found.p_sheet)),
            (tr("For proofing"), tr("{proofing} sheets", proofing=plan.proofing)),
            (
                tr("Sacrificed, one a layer"),
                tr("{proofing} sheets", proofing=total - found.start_sheets - plan.proofing),
            ),
            (tr("Bench, ink and days go by"), tr("{planned_sheets} sheets", planned_sheets=planned_sheets(project))),
        ),
        found.curve,
        found.start_sheets,
        planned_sheets(project) == total,
        tuple(
            (
                line.what,
                f"{number(line.amount, 0)} {tr(line.unit)}" + (tr(", {cost:.2f}", cost=line.cost) if line.cost else ""),
            )
            for line in lines
        ),
        tr("In all {cost:.2f}", cost=cost) if cost else "",
        learnt,
        good,
        pace,
    )


@dataclass(frozen=True)
class RecordView:
    """What has been printed?"""

    layers: tuple[tuple[str, str], ...]
    sheets: tuple[Row, ...]
    numbers: str
    learnt: str
    empty: bool
    proofs: tuple[str, ...] = ()
    how: str = ""
    apart: str = ""
    remarks: tuple[str, ...] = ()
    best: frozenset[str] = frozenset()


def record_view(
    project: Project, record: Record | None, how: str = "", apart_de00: float | None = None, drift: str = ""
) -> RecordView:
    """The record of the edition. how, apart_de00, drift : of the proofs that are laid together."""
    proofs: tuple[str, ...] = ()
    remarks: tuple[str, ...] = ()
    apart = ""
    if apart_de00 is not None:
        apart = tr("On the whole they are ΔE {apart_de00} apart. {drift}", apart_de00=number(apart_de00), drift=drift)
    if record is not None:
        proofs = tuple(event.text.removesuffix(".png") for event in record.state.pictures)
        remarks = tuple(
            f"{event.at[:16].replace('T', ' ')}  {event.text}" for event in record.state.remarks[-_MOST_REMARKS:]
        )
    if record is None or not record.figures:
        empty = tr("Nothing has been printed yet: the bench writes it down.")
        return RecordView((), (), "", empty, True, proofs, how, apart, remarks)
    names = layer_names(project, record.state)
    layers = []
    for each in record.figures:
        pace = (
            tr(", {minutes_a_pull} min a pull", minutes_a_pull=number(each.minutes_a_pull))
            if each.minutes_a_pull
            else ""
        )
        reasons = f" ({', '.join(f'{n} {tr(why)}' for why, n in each.reasons)})" if each.reasons else ""
        layers.append(
            (
                f"{each.layer + 1} {names[each.layer]}",
                tr(
                    "{good} good, {spoiled} spoiled{reasons}{pace}",
                    good=each.good, spoiled=each.spoiled, reasons=reasons, pace=pace,
                ),
            )
        )  # fmt: skip
    given = dict(record.numbers.given)
    rows = []
    listed = _listed(record.state)
    for history in listed:
        state = history.number or given.get(history.sheet, "")
        if history.spoiled_at is not None:
            state = tr("spoiled: {reason}", reason=tr(history.reason))
        best = tr("best; ") if history.chosen else ""
        through = tr("{layers} of {layers_2} layers", layers=len(history.layers), layers_2=record.state.layers)
        rows.append(Row(str(history.sheet), "", tr("Sheet {sheet}", sheet=history.sheet), f"{best}{state or through}"))
    short = tr("; {short} missing to the edition", short=record.numbers.short) if record.numbers.short else ""
    ink = sum(each.ink_g or 0.0 for each in record.figures)
    said = tr("{good:.1f} % of pulls are good by the log", good=100 * record.good)
    said += tr("; {ink} g of ink weighed", ink=number(ink)) if ink else ""
    numbered = tr("{given} sheets can be numbered{short}.", given=len(given), short=short)
    if len(record.state.histories) > _MOST_ROWS:
        numbered += tr(" Below, the {rows} that were pulled last.", rows=len(rows))
    chosen = frozenset(str(history.sheet) for history in listed if history.chosen)
    return RecordView(tuple(layers), tuple(rows), numbered, f"{said}.", False, proofs, how, apart, remarks, chosen)


def _listed(state: EditionState) -> list[SheetHistory]:
    """The sheets that have been printed, of a large edition those that were pulled last."""
    if len(state.histories) <= _MOST_ROWS:
        return [history for history in state.histories.values() if history.layers]
    layer = state.layer if state.pulled.get(state.layer) else max(state.pulled, default=0)
    last = state.pulled.get(layer, [])[-_MOST_ROWS:]
    return [state.histories[sheet] for sheet in sorted({sheet for _, sheet, _ in last})]
