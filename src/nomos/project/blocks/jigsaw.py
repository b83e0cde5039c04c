"""Jigsaw: one block sawn into pieces that are inked apart, put together and printed in one pull."""

from collections.abc import Sequence

import numpy as np
from msgspec.structs import replace

from nomos.base.language import tr
from nomos.colour import Lab
from nomos.design import Labels, fill_nearest
from nomos.project.blocks.fields import MOST_COLOURS, with_labels
from nomos.project.blocks.reduction import light_to_dark_colours, shelf_ink
from nomos.project.inks.films import ground_of
from nomos.project.model import KERF_MM, Block, Impression, Ink, Project, ProjectError, WantedColour, Zone
from nomos.project.model.naming import fresh_number
from nomos.project.model.store import labels_to_png
from nomos.separation.jigsaw import Piece, find_pieces
from nomos.separation.light import SHADE_L, TINT_L, lit_fields
from nomos.separation.plans import CandidateInk

_BOARD_ID = "jigsaw"


def sawn_block(project: Project) -> Block | None:
    """The block that is sawn into pieces, if there is one."""
    return next((block for block in project.blocks if block.kerf_mm is not None), None)


def with_jigsaw(
    project: Project, key: int | None = None, kerf_mm: float = KERF_MM, *, shelf: Sequence[CandidateInk] = ()
) -> Project:
    """The project as a jigsaw: every colour a zone of one sawn block, in one pull.

    key : number of a flat colour of dark lines that stays a block of its own and prints over it.
    shelf : inks to choose from; without any, each is mixed to what is wanted.
    """
    if project.flat is None:
        raise ProjectError("flat", tr("There is no flat design yet: open a picture first."))
    colours = project.flat.colours
    numbers = [n for n in light_to_dark_colours(project) if n != key]
    if len(numbers) < 2:
        raise ProjectError("colours", tr("A jigsaw needs at least two colours beside the key."))
    opacity = {ink.name: ink.opacity for ink in project.inks}
    inks = [
        Ink(f"ink{n}", colours[n].name, colours[n].lab, opacity.get(colours[n].name, "transparent")) for n in numbers
    ]
    strengths = [1.0] * len(inks)
    if shelf:
        chosen = [shelf_ink(ink, (), shelf, ground_of(project)) for ink in inks]
        inks, strengths = [ink for ink, _ in chosen], [strength for _, strength in chosen]
    zones = [
        Zone(ink.id, strength, (n,) if place else ())
        for place, (n, ink, strength) in enumerate(zip(numbers, inks, strengths, strict=True))
    ]
    blocks = [Block(_BOARD_ID, "Jigsaw", tuple(sorted(numbers)), kerf_mm=kerf_mm)]
    pulls = [Impression(_BOARD_ID, _BOARD_ID, tuple(zones))]
    if key is not None:
        name = next((block.name for block in project.blocks if block.is_key), colours[key].name)
        inks.append(Ink(f"ink{key}", name, colours[key].lab))
        blocks.append(Block(f"block{key}", name, (key,), is_key=True))
        pulls.append(Impression(f"pull{key}", f"block{key}", (Zone(f"ink{key}"),)))
    return replace(project, inks=tuple(inks), blocks=tuple(blocks), impressions=tuple(pulls))


def with_kerf(project: Project, kerf_mm: float) -> Project:
    """The project sawn with a cut of another width."""
    return replace(
        project,
        blocks=tuple(
            replace(block, kerf_mm=kerf_mm) if block.kerf_mm is not None else block for block in project.blocks
        ),
    )


def saw_labels(project: Project, labels: Labels) -> Labels:
    """The colour numbers that the pieces are sawn from: a key's lines belong to the nearest piece."""
    key = [n for block in project.blocks if block.is_key for n in block.colours]
    hidden = np.isin(labels, key).astype(np.uint8)
    return fill_nearest(labels, hidden) if hidden.any() and not hidden.all() else labels


def pieces_of(project: Project, labels: Labels, px_per_mm: float) -> tuple[Piece, ...]:
    """The pieces of a jigsaw; none for other methods."""
    if sawn_block(project) is None:
        return ()
    return find_pieces(saw_labels(project, labels), px_per_mm, neck_mm=project.workshop.neck_mm)


def with_light(project: Project, labels: Labels, number: int, direction_deg: float) -> tuple[Project, bytes]:
    """One colour parted into a tint, itself and a shade by where the light comes from.

    direction_deg : 0 from the right, 90 from above.

    Returns the project and the PNG of the new colour numbers, an asset of it.
    Raises ProjectError where the colour lies nowhere, or there are too many colours.
    """
    flat = project.flat
    if flat is None:
        raise ProjectError("flat", tr("There is no flat design yet: open a picture first."))
    colour, count = flat.colours[number], len(flat.colours)
    lit = lit_fields(labels, number, direction_deg)
    if not lit.any():
        raise ProjectError("colours", tr("{name} lies nowhere any more; choose another colour.", name=colour.name))
    page, colours = labels.copy(), list(flat.colours)
    for step, word, by in ((1, "light", TINT_L), (-1, "dark", SHADE_L)):
        if (lit == step).any():
            page[lit == step] = len(colours)
            colours.append(WantedColour(f"{colour.name}, {word}", _lighter(colour.lab, by)))
    if len(colours) > MOST_COLOURS:
        raise ProjectError("colours", tr("There are {count} colours already; merge some first.", count=count))
    png = labels_to_png(page)
    changed = with_labels(project, png, tuple(colours), {n: n for n in range(count)})
    return _with_zones_of_their_own(changed, number, tuple(range(count, len(colours)))), png


def _lighter(lab: Lab, by: float) -> Lab:
    """A tint or a shade: lighter or darker, and less saturated towards either end."""
    lightness = min(max(lab[0] + by, 5.0), 97.0)
    share = min(1.0, (100 - lightness) / max(100 - lab[0], 1.0)) if by > 0 else 0.9
    return (lightness, lab[1] * share, lab[2] * share)


def _with_zones_of_their_own(project: Project, number: int, new: tuple[int, ...]) -> Project:
    """New colours on the blocks of the one they came from; on a sawn block each with an ink of its own."""
    assert project.flat is not None
    blocks = tuple(
        replace(block, colours=tuple(sorted((*block.colours, *new)))) if number in block.colours else block
        for block in project.blocks
    )
    inks, fresh = list(project.inks), fresh_number(project)
    pulls = []
    for pull in project.impressions:
        if project.block(pull.block).kerf_mm is not None and number in project.block(pull.block).colours:
            made = [
                Ink(f"ink{fresh + place}", project.flat.colours[n].name, project.flat.colours[n].lab)
                for place, n in enumerate(new)
            ]
            inks += made
            zones = tuple(Zone(ink.id, colours=(n,)) for ink, n in zip(made, new, strict=True))
            pull = replace(pull, zones=(*pull.zones, *zones))
        pulls.append(pull)
    return replace(project, blocks=blocks, inks=tuple(inks), impressions=tuple(pulls))
