"""The four kinds of key: drawn in the design, contours, shadows, or none."""

from collections.abc import Sequence
from typing import Literal

from msgspec.structs import replace

from nomos.base.language import tr
from nomos.base.units import counted
from nomos.colour import Lab
from nomos.design import Labels
from nomos.project.blocks.edits import with_drawn
from nomos.project.model import Block, Contour, Impression, Ink, Project, ProjectError, Zone
from nomos.project.model.store import digest, mask_to_png
from nomos.registration import SYSTEMS
from nomos.separation.light import shadow_side

KeyKind = Literal["drawn", "contour", "shadow", "none"]

CONTOUR_MM = 1.0
# What counts as dark in a design, and the transparent violet grey that gives volume instead of lines
# (common practice; the figures are chosen by us).
SHADOW_LIGHTNESS = 62.0
# Darker than this a transparent violet adds nothing but gloss.
DARK_ENOUGH = 30.0
SHADOW_LAB: Lab = (58.0, 8.0, -14.0)
CONTOUR_LAB: Lab = (22.0, 1.0, -5.0)

_KEY_ID = "key"


def key_kind(project: Project) -> KeyKind:
    """Which kind of key the project has."""
    key = next((block for block in project.blocks if block.is_key), None)
    if key is None:
        return "none"
    if key.contour is not None:
        return "contour"
    return "shadow" if key.id == _KEY_ID else "drawn"


def without_made_key(project: Project) -> Project:
    """The project without a contour or shadow key; a drawn one becomes an ordinary block."""
    blocks = tuple(replace(b, is_key=False) for b in project.blocks if b.id != _KEY_ID)
    pulls = tuple(i for i in project.impressions if i.block != _KEY_ID)
    return replace(
        project, blocks=blocks, impressions=pulls, inks=tuple(ink for ink in project.inks if ink.id != _KEY_ID)
    )


def with_drawn_key(project: Project, block_id: str) -> Project:
    """The project with one of its blocks as the key."""
    plain = without_made_key(project)
    if block_id not in {block.id for block in plain.blocks}:
        raise ProjectError("key", tr("No drawn line was found: choose the block that is to be the key first."))
    return replace(plain, blocks=tuple(replace(block, is_key=block.id == block_id) for block in plain.blocks))


def with_contour_key(project: Project, width_mm: float = CONTOUR_MM, *, weigh: bool = True) -> Project:
    """The project with a line along every border as its key, printed last."""
    plain = without_made_key(project)
    if plain.flat is None:
        raise ProjectError("flat", tr("There is no flat design yet: open a picture first."))
    block = Block(_KEY_ID, tr("Contour key"), (), is_key=True, contour=Contour(width_mm, weigh))
    return _with_key(plain, block, CONTOUR_LAB)


def with_shadow_key(project: Project, below: float = SHADOW_LIGHTNESS, *, colours: Sequence[int] = ()) -> Project:
    """The project with a transparent violet grey over the darks of the design, printed last.

    below : what counts as dark, L*. colours : flat colours to lay it over, instead of the darks.
    """
    plain = without_made_key(project)
    if plain.flat is None:
        raise ProjectError("flat", tr("There is no flat design yet: open a picture first."))
    darks = tuple(sorted(set(colours))) or tuple(
        n for n, colour in enumerate(plain.flat.colours) if DARK_ENOUGH <= colour.lab[0] < below
    )
    if not darks:
        raise ProjectError("key", tr("This design has no darks for a shadow key; choose contours, or none."))
    return _with_key(plain, Block(_KEY_ID, tr("Shadow key"), darks, is_key=True), SHADOW_LAB)


def with_shadow_side(
    project: Project, labels: Labels, colours: Sequence[int], direction_deg: float
) -> tuple[Project, bytes]:
    """A shadow key on the side away from the light alone, of the objects of these colours or of the darks.

    direction_deg : where the light comes from, 0 from the right, 90 from above.

    Returns the project and the PNG of the key's mask, an asset of it. Raises ProjectError for no darks.
    """
    shadow = with_shadow_key(project) if not colours else with_shadow_key(project, colours=colours)
    key = shadow.block(_KEY_ID)
    png = mask_to_png(shadow_side(labels, list(key.colours), direction_deg))
    return with_drawn(shadow, {_KEY_ID: digest(png)}), png


def _with_key(project: Project, block: Block, lab: Lab) -> Project:
    return replace(
        project,
        inks=(*project.inks, Ink(_KEY_ID, block.name, lab)),
        blocks=(*project.blocks, block),
        impressions=(*project.impressions, Impression(_KEY_ID, _KEY_ID, (Zone(_KEY_ID),))),
    )


def hidden_mm(project: Project) -> float:
    """How far out a contour key still hides the join below it: half its thinnest line less the tolerance."""
    key = next((block for block in project.blocks if block.contour is not None), None)
    if key is None or key.contour is None:
        return 0.0
    thinnest = key.contour.width_mm * (0.5 if key.contour.weigh else 1.0)
    return max(0.0, thinnest / 2 - project.tolerance_mm)


def carrying_text(project: Project) -> str:
    """How the drawing comes onto the colour blocks, and how many impressions that takes.

    Common practice, no source: impressions of the finished key carry its cut
    lines exactly; one tracing for all blocks needs no finished key.
    """
    key = next((block for block in project.blocks if block.is_key), None)
    others = [block for block in project.blocks if block is not key]
    count = len({block.board for block in others if block.board and block.face == "front"} | {
        block.id for block in others if not block.board or block.face == "back"
    })  # fmt: skip
    faces = counted(count, tr("block"), tr("blocks"))
    lay = SYSTEMS[project.register.system].carries
    if count <= 1 and (key is None or not others):
        return tr(
            "Trace the drawing once, with {lay}, and bring it onto the board; ink of the tracing must not bleed into "
            "pale inks.",
            lay=lay,
        )
    if key is None or project.workshop.carried == "tracing":
        return tr(
            "Trace the drawing once, with {lay}. Lay it face down on each of {faces} by the same marks and rub it "
            "over; ink of the tracing must not bleed into pale inks.",
            faces=faces,
            lay=lay,
        )
    return tr(
        "Cut {name} first. Pull {count} impressions of it on thin paper, with {lay}: one to paste face down on each "
        "of {faces}, and one to spare.",
        lay=lay, name=key.name, count=count + 1, faces=faces,
    )  # fmt: skip
