"""What the Blocks station shows: the blocks, the plans with few of them, what prints on one colour."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from nomos.base.language import tr, within
from nomos.base.units import counted, length_text, number
from nomos.colour import delta_e00, lab_to_hex
from nomos.project import Project, Proof
from nomos.project.blocks.keys import CONTOUR_MM, KeyKind, carrying_text, key_kind
from nomos.project.blocks.reduction import is_reduction
from nomos.project.blocks.traps import seams_of
from nomos.project.inks.films import predicted, printing_sets, zone_keys
from nomos.project.model import Block
from nomos.ui.frame.rows import Row
from nomos.ui.frame.state import UiState


@dataclass(frozen=True)
class BlocksView:
    """Which blocks?"""

    rows: tuple[Row, ...]
    chosen: str | None
    chosen_name: str
    chosen_is_key: bool
    key_kind: KeyKind
    contour_mm: float
    project: Project
    summary: str
    by_hand: bool
    touch_note: str
    switch_title: str
    switches: tuple[Row, ...]
    meetable: tuple[tuple[str, str], ...]
    zones: int
    opened: str
    seams: str
    better_seam: float | None
    carrying: str


def blocks_view(
    project: Project, proof: Proof | None, state: UiState, seams: tuple[str, float | None] = ("", None)
) -> BlocksView:
    """The Blocks station; rows are chosen by the impression that prints the block.

    seams : from `seams_text`, where the joins are in sight.
    """
    chosen = project.block(project.impression(state.pull).block) if state.pull else None
    keys = sum(block.is_key for block in project.blocks)
    bare = len(project.bare_colours())
    colours = len(project.blocks) - keys
    summary = counted(colours, tr("colour block"), tr("colour blocks"))
    summary += tr(" and the key") if keys else tr(", no key")
    if bare:
        summary += tr("; {bare} left to the paper", bare=counted(bare, tr("colour"), tr("colours")))
    if is_reduction(project):
        summary = tr(
            "One board in {blocks} states; no sheet can be added once it is cut further", blocks=len(project.blocks)
        )
    areas = [float(area) for area in proof.blocks.borders.area_mm2] if proof else None
    known = areas if areas and project.flat and len(areas) == len(project.flat.colours) else None
    title, switches = switch_rows(project, state.colours, known)
    return BlocksView(
        _rows(project, proof),
        state.pull,
        chosen.name if chosen else "",
        bool(chosen and chosen.is_key),
        key_kind(project),
        next((b.contour.width_mm for b in project.blocks if b.contour is not None), CONTOUR_MM),
        project,
        f"{summary}.",
        bool(chosen and chosen.drawn),
        _touch_note(chosen),
        title,
        switches,
        tuple((block.id, block.name) for block in project.blocks if block.colours),
        len(project.impression(state.pull).zones) if state.pull else 0,
        _opened_text(project, proof),
        *seams,
        carrying_text(project),
    )


def seams_text(project: Project, proof: Proof | None) -> tuple[str, float | None]:
    """How much of the joins is seen, and a limit with which less of it would be."""
    if proof is None:
        return "", None
    found = seams_of(project, proof.blocks.borders)
    said = tr("All joins as they are seen, metres by ΔE: {seen}.", seen=number(found.seen))
    if found.seen - found.least < 0.05 * found.seen or found.limit_de00 == project.seam_de00:
        return said, None
    return (
        tr(
            "{said} Least, {least}, with seams up to ΔE {limit_de00}.",
            said=said, least=number(found.least), limit_de00=number(found.limit_de00, 0),
        ),
        found.limit_de00,
    )  # fmt: skip


def _opened_text(project: Project, proof: Proof | None) -> str:
    """What a misregister opens at the joins, with the trap and without."""
    look = proof.close if proof else None
    if look is None:
        return tr("What a misregister opens is being worked out.")
    if is_reduction(project):
        return tr("Each state lies within the one before: no gap opens, a colour only shows beside its place.")
    if look.opened.without_mm2 < 0.5:
        return tr("{tolerance_mm} out of register opens no bare paper.", tolerance_mm=length_text(project.tolerance_mm))
    block = tr(", worst {block}", block=within(look.opened.block)) if look.opened.block else ""
    return tr(
        "One block {tolerance_mm} out opens up to {with_mm2} mm² of bare paper{block}; "
        "without the trap {without_mm2} mm².",
        tolerance_mm=length_text(project.tolerance_mm), with_mm2=number(look.opened.with_mm2, 0), block=block,
        without_mm2=number(look.opened.without_mm2, 0),
    )  # fmt: skip


def _touch_note(block: Block | None) -> str:
    if block is None:
        return tr("Choose a block first.")
    if block.drawn:
        return tr("{name} has been changed by hand; traps and colours no longer change it.", name=block.name)
    return tr("Strokes change {name} only. Wheel and arrow keys still move the sheet.", name=block.name)


def _rows(project: Project, proof: Proof | None) -> tuple[Row, ...]:
    rows: list[Row] = []
    reduction = is_reduction(project)
    image = project.image.width * project.image.height
    for impression in project.impressions:
        block = project.block(impression.block)
        ink = project.ink(impression.main.ink)
        figure, quiet = "", tr("key block") if block.is_key else tr("colour block")
        if reduction:
            quiet = tr("state {len}", len=len(rows) + 1)
        if len(impression.zones) > 1:
            quiet = tr("{zones} zones, {quiet}", zones=len(impression.zones), quiet=quiet)
        if proof is not None and len(proof.blocks.masks) == len(project.blocks):
            area = proof.blocks.areas_mm2[project.number_of(block.id)]
            figure = tr("{area} cm²", area=number(area / 100, 1))
            quiet += tr(
                ", prints {image} %, clear {image_2} cm²",
                image=number(100 * area / image, 0),
                image_2=number((image - area) / 100, 0),
            )
        rows.append(Row(impression.id, lab_to_hex(np.array(ink.lab)), block.name, figure, quiet))
    return tuple(rows)


def switch_rows(
    project: Project, chosen: Sequence[int], areas_mm2: Sequence[float] | None = None
) -> tuple[str, tuple[Row, ...]]:
    """For the chosen colours a switch a block: on or off, and the colour that throwing it would give.

    areas_mm2 : of the flat colours, to weigh the ΔE of several by.
    """
    flat = project.flat
    if flat is None or not chosen or max(chosen) >= len(flat.colours):
        return tr("Click a field to see which blocks print there"), ()
    sets, keys = printing_sets(project), zone_keys(project)
    bare = project.bare_colours()
    wanted = np.array([project.paper.lab if n in bare else flat.colours[n].lab for n in chosen])
    weights = np.array([areas_mm2[n] if areas_mm2 else 1.0 for n in chosen]) + 1e-9

    def shown(films: Sequence[frozenset[int]]) -> tuple[str, float]:
        labs = predicted(project, films)
        return lab_to_hex(labs[0]), float(weights @ delta_e00(labs, wanted) / weights.sum())

    now = [sets[n] for n in chosen]
    rows = []
    for block in dict.fromkeys(impression.block for impression in project.impressions):
        pulls = {impression.id for impression in project.impressions if impression.block == block}
        own = {place for place, key in enumerate(keys) if key.pull in pulls}
        # A colour that a block takes on is inked with its first zone.
        first = {place for place in own if keys[place].zone == 0}
        prints = [bool(films & own) for films in now]
        on = not all(prints)
        after = [films if (films & own and on) else films | first if on else films - own for films in now]
        swatch, de00 = shown(after)
        word = (
            "prints"
            if not on
            else "not"
            if not any(prints)
            else tr("on {prints} of {prints_2}", prints=sum(prints), prints_2=len(prints))
        )
        rows.append(Row(block, swatch, f"{word}: {project.block(block).name}", tr("ΔE {de00}", de00=number(de00))))
    what = within(flat.colours[chosen[0]].name) if len(chosen) == 1 else tr("{chosen} colours", chosen=len(chosen))
    return tr("On {what}, now ΔE {number}", what=what, number=number(shown(now)[1])), tuple(rows)
