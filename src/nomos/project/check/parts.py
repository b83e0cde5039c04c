"""Pieces of a jigsaw, loose parts of a cut-out plate, and colours of a reduction that can be inked apart."""

from collections import Counter
from dataclasses import dataclass
from functools import partial
from typing import Any

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.units import counted, length_text, number
from nomos.project.blocks.jigsaw import sawn_block
from nomos.project.blocks.reduction import inked_apart, is_reduction, layer_steps
from nomos.project.model import Project
from nomos.project.model.finding import Cure, Finding
from nomos.project.sheet.masks import CutBlocks
from nomos.separation.jigsaw import Piece
from nomos.separation.sharing import clearances

# A piece smaller than this is hard to saw and easily lost (chosen by us, no source).
SMALL_PIECE_MM2 = 60.0
_MOST_NECKS = 4


def piece_findings(project: Project, pieces: tuple[Piece, ...]) -> tuple[Finding, ...]:
    """What the cutter of a jigsaw should know."""
    sawn = sawn_block(project)
    if sawn is None or not pieces or project.flat is None:
        return ()
    colours = project.flat.colours
    found = [_kerf_finding(project, sawn.kerf_mm or 0.0, pieces)]
    small = [piece for piece in pieces if piece.area_mm2 < SMALL_PIECE_MM2]
    if small:
        least = min(small, key=lambda piece: piece.area_mm2)
        text = tr(
            "{small} of {pieces} pieces are smaller than {small_piece_mm2} mm²: hard to saw, "
            "easily lost. Number {number} has only {area_mm2} mm².",
            small=len(small), pieces=len(pieces), small_piece_mm2=number(SMALL_PIECE_MM2, 0), number=least.number,
            area_mm2=number(least.area_mm2),
        )  # fmt: skip
        found.append(
            Finding(
                "could show", "blocks", text,
                tr("Merge them with a neighbour at the Design station, or leave them to a key block."),
                _on_sheet(project, least.place),
            )
        )  # fmt: skip
    necks = sorted(((neck, piece) for piece in pieces for neck in piece.necks), key=lambda pair: pair[0].width_mm)
    for neck, piece in necks[:_MOST_NECKS]:
        more = tr(" One of {necks} such places.", necks=len(necks)) if len(necks) > 1 else ""
        text = tr(
            "Piece {number}, {name}, is {width_mm} thin at a neck: it breaks there.{more}",
            number=piece.number, name=colours[piece.colour].name, width_mm=length_text(neck.width_mm), more=more,
        )  # fmt: skip
        found.append(
            Finding(
                "could show", "blocks", text,
                tr("Widen it in the design, or saw it there on purpose and have two pieces."),
                _on_sheet(project, neck.place),
            )
        )  # fmt: skip
    found += _window_findings(project, pieces)
    loose = Counter(piece.colour for piece in pieces if piece.colour not in project.bare_colours())
    many = [(count, colours[n].name) for n, count in loose.items() if count > 1]
    if many:
        some = ", ".join(f"{name} {count}" for count, name in sorted(many, reverse=True)[:6])
        found.append(
            Finding(
                "worth knowing", "blocks",
                tr("Loose parts of one colour, each inked and placed by itself: {some}.", some=some),
                tr("Lay them out by number; the same number stands on every template."),
            )
        )  # fmt: skip
    return tuple(found)


def _kerf_finding(project: Project, kerf_mm: float, pieces: tuple[Piece, ...]) -> Finding:
    # Every join is the path of two pieces; the image's edge is the path of one.
    paths = sum(float(np.hypot(*np.diff(piece.path, axis=0).T).sum()) for piece in pieces)
    joins = max(paths / 2 - project.image.width - project.image.height, 0.0)
    return Finding(
        "could show", "blocks",
        tr(
            "The saw takes {kerf_mm}: white hairlines along {joins} m of joins, about {joins_2} cm² of paper.",
            kerf_mm=length_text(kerf_mm), joins=number(joins / 1000), joins_2=number(joins * kerf_mm / 100),
        ),
        tr("A thinner blade or a knife, pieces pushed together in their border, or a key over the joins."),
    )  # fmt: skip


def _window_findings(project: Project, pieces: tuple[Piece, ...]) -> list[Finding]:
    windows = [piece for piece in pieces if piece.window_of is not None]
    if not windows:
        return []
    some = ", ".join(
        tr("{number} in {window_of}", number=piece.number, window_of=piece.window_of) for piece in windows[:6]
    )
    more = tr(" and {len} more", len=len(windows) - 6) if len(windows) > 6 else ""
    return [
        Finding(
            "worth knowing", "blocks",
            tr("Pieces that lie wholly inside another: {some}{more}.", some=some, more=more),
            tr("A saw needs a hole drilled on the line to start from; a knife cuts them out."),
            _on_sheet(project, windows[0].place),
        )
    ]  # fmt: skip


def _on_sheet(project: Project, place: tuple[float, float]) -> tuple[float, float]:
    return (project.image.left + place[0], project.image.top + place[1])


@dataclass(frozen=True)
class LooseParts:
    """A state of a plate that is cut out: how many parts it falls into, and how many windows it has.

    places : the middle of every part but the largest, which fall out, mm from the image's top left.
    """

    pull: str
    parts: int
    windows: int
    places: tuple[tuple[float, float], ...] = ()


def loose_parts(project: Project, blocks: CutBlocks) -> tuple[LooseParts, ...]:
    """Parts and windows of each state of a reduction whose board is cut right through; else nothing."""
    import cv2

    if not (project.workshop.cut_out and is_reduction(project)):
        return ()
    found = []
    for pull in project.impressions:
        mask = blocks.masks[project.number_of(pull.block)]
        parts, own, stats, _ = cv2.connectedComponentsWithStats(mask, connectivity=4)
        # The ground around the page is no window.
        holes, _ = cv2.connectedComponents(np.pad(1 - mask, 1, constant_values=1), connectivity=8)
        found.append(
            LooseParts(pull.id, parts - 1, holes - 2, _fall_out(np.asarray(own), np.asarray(stats), blocks.px_per_mm))
        )
    return tuple(found)


def _fall_out(own: NDArray[Any], stats: NDArray[Any], px_per_mm: float) -> tuple[tuple[float, float], ...]:
    """A place on every part but the largest, the largest first; mm from the image's top left."""
    import cv2

    order = 1 + np.argsort(-stats[1:, cv2.CC_STAT_AREA], kind="stable")
    places = []
    for part in order[1:]:
        # Its middle may lie beside it: the pixel of its middle row that is its own.
        x, y, width, height = (int(value) for value in stats[part, :4])
        row = y + height // 2
        columns = np.flatnonzero(own[row, x : x + width] == part)
        places.append(((x + float(columns[len(columns) // 2]) + 0.5) / px_per_mm, (row + 0.5) / px_per_mm))
    return tuple(places)


def loose_findings(project: Project, loose: tuple[LooseParts, ...]) -> tuple[Finding, ...]:
    """What falls apart when a plate is cut out."""
    known = {pull.id: place for place, pull in enumerate(project.impressions, start=1)}
    found = []
    for each in loose:
        if each.pull not in known or (each.parts < 2 and not each.windows):
            continue
        name = project.block(project.impression(each.pull).block).name
        parts = tr("falls into {parts} loose parts", parts=each.parts) if each.parts > 1 else tr("hangs together")
        windows = (
            tr(", {windows} to cut out", windows=counted(each.windows, tr("window"), tr("windows")))
            if each.windows
            else ""
        )
        text = tr(
            "State {known}, {name}, {parts}{windows}.", known=known[each.pull], name=name, parts=parts, windows=windows
        )
        found.append(
            Finding(
                "could show" if each.parts > 1 else "worth knowing", "blocks", text,
                tr(
                    "Each loose part is placed by hand at every pull: leave a bridge, or keep a carved "
                    "ground. Method shows them by number."
                ),
                _on_sheet(project, each.places[0]) if each.places else None,
            )
        )  # fmt: skip
    return tuple(found)


def colours_apart_mm(blocks: CutBlocks) -> NDArray[np.float64]:
    """Least distance between any two flat colours, mm. (colours, colours), infinite on the diagonal."""
    count = int(blocks.labels.max(initial=0)) + 1
    masks = [(blocks.labels == n).astype(np.uint8) for n in range(count)]
    return clearances(masks, blocks.px_per_mm)


def apart_findings(project: Project, apart_mm: NDArray[np.float64] | None) -> tuple[Finding, ...]:
    """Colours of a reduction far enough from all that stands at an earlier pull to be inked apart in it."""
    if apart_mm is None or project.flat is None or not is_reduction(project):
        return ()
    steps, colours = layer_steps(project), project.flat.colours
    if len(apart_mm) != len(colours):
        return ()
    found = []
    for place, step in enumerate(steps):
        if len(step) > 1:
            continue
        own = step[0]
        best: tuple[float, int] | None = None
        for earlier, other in enumerate(steps[:place]):
            if len(other) >= project.workshop.most_zones:
                continue
            standing = [n for each in steps[earlier:] for n in each if n != own]
            clearance = float(apart_mm[own, standing].min())
            if clearance >= project.workshop.clearance_mm and (best is None or clearance > best[0]):
                best = (clearance, earlier)
        if best is not None:
            partner = steps[best[1]][0]
            name, other_name = colours[own].name, colours[partner].name
            text = tr(
                "{name} could be inked apart in pull {best}, with {other_name}: {length_text} from "
                "all else that stands there.",
                name=name, best=best[1] + 1, other_name=other_name, length_text=length_text(best[0], 0),
            )  # fmt: skip
            found.append(
                Finding(
                    "worth knowing", "blocks", text,
                    tr("With a small roller or brush, and cut away with it: saves a pull."),
                    cure=Cure(
                        tr("Ink {name} apart with {other_name}", name=name, other_name=other_name),
                        partial(inked_apart, number=own, with_number=partner),
                    ),
                )
            )  # fmt: skip
    return tuple(found)
