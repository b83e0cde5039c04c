"""How a project's blocks are cut: maps, hours, findings about tools and material, boards to saw them from."""

import dataclasses
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from msgspec.structs import replace

from nomos.base.language import tr, within
from nomos.base.parallel import map_threads
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.base.units import length_text, listed, number
from nomos.carving import MATERIALS, CuttingPlan, Effort, Material, Roller, carve, effort_of, plan_cutting
from nomos.carving.maps import CarvingMap
from nomos.carving.materials import tools_for
from nomos.carving.transfer import CHISEL_CAUTION, KNIFE_CAUTION, MAT_CAUTION, SOLVENT_CAUTION
from nomos.edition.inking_tools import INKING_TOOLS
from nomos.edition.reminders import WIPE_GROUND
from nomos.project.blocks.boards import board_pairs
from nomos.project.blocks.jigsaw import sawn_block
from nomos.project.blocks.reduction import is_reduction
from nomos.project.edition.fineness import Features, features_of, material_of
from nomos.project.model import Block, Project, ProjectError
from nomos.project.model.finding import Finding
from nomos.project.register.system import marks_of, plan_of_system
from nomos.project.sheet.masks import CutBlocks
from nomos.registration import SYSTEMS, Rect, SystemPlan
from nomos.separation import Mask
from nomos.separation.features import Feature

# Maps are worked out at no more than so many pixels for each mm.
_FINE_PX_PER_MM = 6.0
# Up to so many pixels in all it may be a little more, so that every n-th pixel of the block will do.
_MOST_PX = 10_000_000
# A block that rises more than this off a flat board prints unevenly; chatter and ground beyond this area
# are worth a word. Chosen by us, no source.
_CURL_MM, _CHATTER_MM2 = 0.5, 100.0
# A narrower strip of wood is not worth a saw cut (chosen by us).
_OFFCUT_MM = 30.0
# The board has to stay whole under the deepest cut (chosen by us).
_FLOOR_MM = 0.8
_THIN_MM = 2.5


@dataclass(frozen=True, eq=False)
class CarvedBlock:
    """One block as it is cut: its map, its hours, and what is too fine for its tools and material.

    prints : all that prints lies within, mm from the image's top left; None where nothing does.
    """

    block: str
    carving: CarvingMap
    effort: Effort
    too_fine: int
    finest_mm: float | None
    prints: Rect | None


def carve_blocks(
    project: Project, blocks: CutBlocks, features: Features | None = None, *, progress: Progress = NULL_PROGRESS
) -> tuple[CarvedBlock, ...]:
    """The carving map of every block, in the order of `blocks`. Raises CarvingError, Cancelled.

    features : what is too fine on them, worked out where it is not given.

    In a reduction only what is cut for a state counts: the ground of the state before is gone already.
    """
    features = features_of(project, blocks) if features is None else features
    apart = _apart(blocks.labels.shape, blocks.px_per_mm)
    printed = _in_print_order(project)

    def mask_of(block: Block) -> Mask:
        return _sampled(blocks.masks[project.number_of(block.id)], apart)

    def carved(block: Block) -> CarvedBlock:
        place = printed.index(block)
        before = mask_of(printed[place - 1]) if place > 0 and is_reduction(project) else None
        return _carved(project, block, mask_of(block), blocks.px_per_mm / apart, before, features.get(block.id, ()))

    made = map_threads(
        carved, printed, progress=progress,
        words=lambda block: tr("planning the cutting of {name}", name=within(block.name)),
    )  # fmt: skip
    by_id = {each.block: each for each in made}
    return tuple(by_id[block.id] for block in project.blocks if block.id in by_id)


def _apart(shape: tuple[int, ...], px_per_mm: float) -> float:
    """How far apart the pixels are that a map is worked out on: whole ones, if the page is not too large."""
    whole = max(1, round(px_per_mm / _FINE_PX_PER_MM))
    if shape[0] * shape[1] <= _MOST_PX * whole**2:
        return whole
    return max(whole, px_per_mm / _FINE_PX_PER_MM)


def _sampled(mask: Mask, apart: float) -> Mask:
    if apart == int(apart):
        return np.ascontiguousarray(mask[:: int(apart), :: int(apart)])
    import cv2

    height, width = (round(side / apart) for side in mask.shape)
    share = cv2.resize(mask * np.uint8(254), (width, height), interpolation=cv2.INTER_AREA)
    return np.asarray(share >= 127, np.uint8)


def _in_print_order(project: Project) -> list[Block]:
    names = list(dict.fromkeys(pull.block for pull in project.impressions))
    return [project.block(name) for name in names]


def _carved(
    project: Project, block: Block, mask: Mask, px_per_mm: float, before: Mask | None, features: Sequence[Feature]
) -> CarvedBlock:
    craft, material = project.craft, material_of(project, block.id)
    facts = MATERIALS[material]
    facts = dataclasses.replace(facts, deepest_mm=min(facts.deepest_mm, max(craft.thickness_mm - _FLOOR_MM, 0.5)))
    pad = 0 if craft.grip_border else round(project.workshop.grip_mm * px_per_mm)
    page = np.pad(mask, pad)
    ground = np.ones(page.shape, bool)
    if before is not None:
        ground = np.pad(before, pad) == 1
    tools = tools_for(material, craft.tools)
    carving = carve(page, ground, px_per_mm, tools, facts, _roller(project))
    thin = [each.width_mm for each in features if each.kind in ("thin line", "narrow channel")]
    effort = effort_of(carving, facts, craft.factor)
    return CarvedBlock(block.id, carving, effort, len(features), min(thin, default=None), _extent(mask, px_per_mm))


def _extent(mask: Mask, px_per_mm: float) -> Rect | None:
    """What all that prints lies within, mm."""
    rows, columns = np.flatnonzero(mask.any(axis=1)), np.flatnonzero(mask.any(axis=0))
    if not len(rows):
        return None
    sides = (columns[0], rows[0], columns[-1] + 1, rows[-1] + 1)
    return Rect(*(float(side) / px_per_mm for side in sides))


def _roller(project: Project) -> Roller:
    craft = project.craft
    return Roller(craft.roller_mm, craft.roller_shore, craft.roller_long_mm)


def hours_of(carved: tuple[CarvedBlock, ...]) -> float:
    """All hours of cutting."""
    return sum(each.effort.hours for each in carved)


def materials_text(project: Project) -> str:
    """All that the blocks are made of: "lino and hard wood"."""
    some = dict.fromkeys(tr(material_of(project, block.id)) for block in project.blocks)
    return tr(" and ").join(some) or tr(project.craft.material)


def carving_findings(project: Project, carved: tuple[CarvedBlock, ...]) -> tuple[Finding, ...]:
    """What tools, material, roller and block have to say, block by block."""
    craft, found = project.craft, []
    if craft.curl_mm > _CURL_MM:
        found.append(
            Finding(
                "will fail", "carve",
                tr("The blocks curl by {curl_mm}: a curled block never registers.", curl_mm=length_text(craft.curl_mm)),
                tr("Glue it to a flat board before it is cut."),
            )
        )  # fmt: skip
    backed = [front for front, _ in board_pairs(project) if MATERIALS[material_of(project, front.id)].backed]
    if backed:
        found.append(
            Finding(
                "will fail", "carve",
                tr("Cut on both faces: {names}. Lino has its backing on the other face, which cannot be cut.",
                names=listed([block.name for block in backed])),
                tr("Glue two pieces back to back, or take wood or vinyl without a backing."),
                blocks=tuple(block.id for block in backed),
            )
        )  # fmt: skip
    if MATERIALS[craft.material].backed and craft.thickness_mm < _THIN_MM:
        text = tr(
            "Lino of {thickness_mm} leaves little depth: cleared ground will print.",
            thickness_mm=length_text(craft.thickness_mm),
        )
        found.append(
            Finding("could show", "carve", text, tr("Glue it to board and clear to the backing, or mask broad ground."))
        )
    found += _reached(project, carved)
    found += _small(project, carved)
    return tuple(found)


def _reached(project: Project, carved: Sequence[CarvedBlock]) -> list[Finding]:
    """Cleared ground that the roller reaches, the most of it first."""
    some = sorted(
        (each for each in carved if each.carving.chatter_mm2 > _CHATTER_MM2 and _is_rolled(project, each.block)),
        key=lambda each: -each.carving.chatter_mm2,
    )
    if not some:
        return []
    areas = [tr("{area} cm²", area=number(each.carving.chatter_mm2 / 100, 0)) for each in some]
    said = [f"{project.block(each.block).name} {area}" for each, area in zip(some, areas, strict=True)]
    what = tr("The roller reaches cleared ground, however deep: {said}.")
    return [
        Finding(
            "could show", "carve",
            what.format(said=listed(said)),
            tr("Mask it, leave a bridge to carry the roller and cut it away last, wipe it every {pulls} pulls, or "
            "take a larger, harder roller.", pulls=WIPE_GROUND),
            blocks=tuple(each.block for each in some),
            own=tuple(what.format(said=area) for area in areas),
        )
    ]  # fmt: skip


def _is_rolled(project: Project, block: str) -> bool:
    """Whether any of its ink is put on with something that rolls; a brush reaches no cleared ground."""
    zones = [zone for pull in project.impressions if pull.block == block for zone in pull.zones if zone.inked]
    return any(INKING_TOOLS[zone.tool].rolls for zone in zones)


def _small(project: Project, carved: Sequence[CarvedBlock]) -> list[Finding]:
    """Blocks with wood at the far edge or the open side that neither prints nor holds nor registers.

    The near edge and the corner's side seat the block or the sheet; a board with another face, pieces or
    further states, and a block that stops fit or that bears marks in its margin, stay whole.
    """
    plan, own = plan_of_system(project)[0], SYSTEMS[project.register.system]
    if plan is None or is_reduction(project) or own.holds_block or own.crosses or marks_of(project)[0]:
        return []
    said, blocks = [], []
    for each in carved:
        block = project.block(each.block)
        if each.prints is None or block.board is not None or block.kerf_mm is not None:
            continue
        off = [text for text, strip in _strips(project, plan, each.prints) if strip >= _OFFCUT_MM]
        if off:
            said.append(f"{block.name} {tr(' and ').join(off)}")
            blocks.append(block.id)
    if not said:
        return []
    return [
        Finding(
            "worth knowing", "carve",
            tr("Blocks larger than they need be: {said}.", said=listed(said)),
            tr("Take it off before carving and keep the offcut; what seats in register and the grip border stay."),
            blocks=tuple(blocks),
        )
    ]  # fmt: skip


def _strips(project: Project, plan: SystemPlan, prints: Rect) -> list[tuple[str, float]]:
    """How much can be sawn off the far edge and off the side that the corner is not at, mm."""
    image, wood, grip = project.image, plan.block, project.workshop.grip_mm
    seats = [x for shape in plan.shapes if shape.kind in ("floor", "wall") for x, _ in shape.points]
    far = image.top + prints.top - grip - wood.top
    if project.kento.hand == "right":
        side = wood.right - max(image.left + prints.right + grip, *seats, wood.left)
    else:
        side = min(image.left + prints.left - grip, *seats, wood.right) - wood.left
    return [
        (tr("{far} at the far edge", far=length_text(far, 0)), far),
        (tr("{side} at the side away from the corner", side=length_text(side, 0)), side),
    ]


def boards_plan(project: Project) -> CuttingPlan:
    """From which boards the blocks are sawn. Raises CarvingError; ProjectError without room to register."""
    plan, reason = plan_of_system(project)
    if plan is None:
        raise ProjectError("register", reason)
    width, height = plan.block.width, plan.block.height
    named: list[tuple[str, float, float]] = []
    boards: set[str] = set()
    for block in _in_print_order(project):
        # Two faces, or all states, of one board are one piece of wood.
        if block.board is not None:
            if block.board in boards:
                continue
            boards.add(block.board)
        named.append((block.name, width, height))
    craft = project.craft
    return plan_cutting(
        named,
        craft.boards,
        craft.saw_mm,
        turning=not any(MATERIALS[material_of(project, block.id)].grained for block in project.blocks),
    )


def cutting_cautions(project: Project) -> tuple[str, ...]:
    """What can hurt where these blocks are cut, by material and method; the makers' sheets come first."""
    said = [KNIFE_CAUTION]
    if any(MATERIALS[material_of(project, block.id)].chiselled for block in project.blocks):
        said.insert(0, CHISEL_CAUTION)
    if project.workshop.cut_out or sawn_block(project) is not None:
        said.append(MAT_CAUTION)
    if project.craft.transfer == "toner":
        said.append(SOLVENT_CAUTION)
    return tuple(said)


def with_material(project: Project, block_id: str, material: Material | None) -> Project:
    """The project with a block cut in a material of its own, or as all are; a board's faces are one piece."""
    board = project.block(block_id).board
    own = {block.id for block in project.blocks if block.id == block_id or (board and block.board == board)}
    return replace(project, blocks=tuple(replace(b, material=material) if b.id in own else b for b in project.blocks))


def with_craft(project: Project, **changes: object) -> Project:
    """Cut otherwise. Raises ProjectError."""
    return replace(project, craft=replace(project.craft, **changes))


def with_boards_cut(project: Project) -> Project:
    """The boards at hand once the blocks are sawn: whole ones fewer, offcuts among them."""
    from nomos.carving import Board

    plan = boards_plan(project)
    left = {(b.width_mm, b.height_mm, b.cost): b.count for b in project.craft.boards}
    for cut in plan.boards:
        left[cut.board.width_mm, cut.board.height_mm, cut.board.cost] -= 1
    for cut in plan.boards:
        for rest in cut.offcuts:
            key = (round(rest.width, 1), round(rest.height, 1), 0.0)
            left[key] = left.get(key, 0) + 1
    kept = tuple(Board(w, h, count, cost) for (w, h, cost), count in left.items() if count > 0)
    return with_craft(project, boards=kept)
