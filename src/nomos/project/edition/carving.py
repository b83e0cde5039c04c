"""How a project's blocks are cut: maps, hours, findings about tools and material, boards to saw them from."""

import dataclasses
from collections import defaultdict
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from msgspec.structs import replace

from nomos.base.language import opened, tr, within
from nomos.base.parallel import map_threads
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.base.units import counted, length_text, lengths_text, listed, number
from nomos.carving import MATERIALS, CuttingPlan, Effort, Material, Roller, carve, effort_of, plan_cutting
from nomos.carving.maps import CarvingMap
from nomos.carving.materials import tools_for
from nomos.carving.transfer import CHISEL_CAUTION, KNIFE_CAUTION, MAT_CAUTION, SOLVENT_CAUTION
from nomos.project.blocks.jigsaw import sawn_block
from nomos.project.blocks.reduction import is_reduction
from nomos.project.model import Block, Project, ProjectError
from nomos.project.model.finding import Cure, Finding
from nomos.project.register.system import plan_of_system
from nomos.project.sheet.masks import CutBlocks
from nomos.separation import Mask
from nomos.separation.features import FeatureKind, find_features

# Maps are worked out at no more than so many pixels for each mm.
_FINE_PX_PER_MM = 6.0
# Up to so many pixels in all it may be a little more, so that every n-th pixel of the block will do.
_MOST_PX = 10_000_000
# A block that rises more than this off a flat board prints unevenly; chatter and ground beyond this area
# and share are worth a word. Chosen by us, no source.
_CURL_MM, _CHATTER_MM2, _SMALL_SHARE = 0.5, 100.0, 0.6
_SPECK_MM2, _LONELY_MM = 0.8, 8.0
# The board has to stay whole under the deepest cut (chosen by us).
_FLOOR_MM = 0.8
_THIN_MM = 2.5


@dataclass(frozen=True, eq=False)
class CarvedBlock:
    """One block as it is cut: its map, its hours, and what is too fine for its tools and material."""

    block: str
    carving: CarvingMap
    effort: Effort
    too_fine: int
    finest_mm: float | None
    finest_place: tuple[float, float] | None
    prints_mm: tuple[float, float]
    finest_kind: FeatureKind | None = None


def carve_blocks(project: Project, blocks: CutBlocks, *, progress: Progress = NULL_PROGRESS) -> tuple[CarvedBlock, ...]:
    """The carving map of every block, in the order of `blocks`. Raises CarvingError, Cancelled.

    In a reduction only what is cut for a state counts: the ground of the state before is gone already.
    """
    apart = _apart(blocks.labels.shape, blocks.px_per_mm)
    printed = _in_print_order(project)

    def mask_of(block: Block) -> Mask:
        return _sampled(blocks.masks[project.number_of(block.id)], apart)

    def carved(block: Block) -> CarvedBlock:
        place = printed.index(block)
        before = mask_of(printed[place - 1]) if place > 0 and is_reduction(project) else None
        return _carved(project, block, mask_of(block), blocks.px_per_mm / apart, before)

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


def _carved(project: Project, block: Block, mask: Mask, px_per_mm: float, before: Mask | None) -> CarvedBlock:
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
    fine = find_features(
        mask, px_per_mm, line_mm=facts.line_mm, tool_mm=_channel_mm(project, block.id), speck_mm2=_SPECK_MM2,
        lonely_mm=_LONELY_MM,
    )  # fmt: skip
    worst = min((each for each in fine if each.kind in ("thin line", "narrow channel")),
                key=lambda each: each.width_mm, default=None)  # fmt: skip
    place = None
    if worst is not None:
        place = project.image.left + worst.place[0], project.image.top + worst.place[1]
    return CarvedBlock(
        block.id, carving, effort_of(carving, facts, craft.factor), len(fine),
        worst.width_mm if worst else None, place, _extent(mask, px_per_mm), worst.kind if worst else None,
    )  # fmt: skip


def _extent(mask: Mask, px_per_mm: float) -> tuple[float, float]:
    """Width and height in mm of all that prints."""
    rows, columns = np.flatnonzero(mask.any(axis=1)), np.flatnonzero(mask.any(axis=0))
    if not len(rows):
        return 0.0, 0.0
    return float(np.ptp(columns) + 1) / px_per_mm, float(np.ptp(rows) + 1) / px_per_mm


def _roller(project: Project) -> Roller:
    craft = project.craft
    return Roller(craft.roller_mm, craft.roller_shore, craft.roller_long_mm)


def hours_of(carved: tuple[CarvedBlock, ...]) -> float:
    """All hours of cutting."""
    return sum(each.effort.hours for each in carved)


def _finest_help(project: Project, carved: CarvedBlock) -> str:
    """What the material and the tools can do of the kind that is too fine, and what to do."""
    material = material_of(project, carved.block)
    facts = MATERIALS[material]
    if carved.finest_kind == "narrow channel":
        wide = length_text(_channel_mm(project, carved.block), 2)
        return tr(
            "{material} clears channels of {wide} with these tools; take a finer one, or widen them.",
            material=opened(tr(material)),
            wide=wide,
        )
    return tr(
        "{material} holds lines of {line_mm}; take a harder material, or widen them.",
        material=opened(tr(material)),
        line_mm=length_text(facts.line_mm, 2),
    )


def material_of(project: Project, block_id: str) -> Material:
    """What a block is made of: its own material, or the workshop's."""
    return project.block(block_id).material or project.craft.material


def materials_text(project: Project) -> str:
    """All that the blocks are made of: "lino and hard wood"."""
    some = dict.fromkeys(tr(material_of(project, block.id)) for block in project.blocks)
    return tr(" and ").join(some) or tr(project.craft.material)


def _channel_mm(project: Project, block_id: str) -> float:
    """The narrowest channel that the block's material and the finest tool allow."""
    material = material_of(project, block_id)
    finest = min(tool.width_mm for tool in tools_for(material, project.craft.tools))
    return max(MATERIALS[material].channel_mm, finest if finest > 0.3 else 0.3)


def carving_findings(project: Project, carved: tuple[CarvedBlock, ...]) -> tuple[Finding, ...]:
    """What tools, material, roller and block have to say, block by block."""
    craft, found = project.craft, []
    if craft.curl_mm > _CURL_MM:
        found.append(
            Finding(
                "will fail",
                "carve",
                tr("The blocks curl by {curl_mm}: a curled block never registers.", curl_mm=length_text(craft.curl_mm)),
                tr("Glue it to a flat board before it is cut."),
            )
        )
    if MATERIALS[craft.material].backed and craft.thickness_mm < _THIN_MM:
        found.append(
            Finding(
                "could show",
                "carve",
                tr(
                    "Lino of {thickness_mm} leaves little depth: cleared ground will print.",
                    thickness_mm=length_text(craft.thickness_mm),
                ),
                tr("Glue it to board and clear to the backing, or mask broad ground."),
            )
        )
    found += _too_fine(project, carved)
    found += _reached(project, carved)
    found += _small(project, carved)
    return tuple(found)


def _too_fine(project: Project, carved: Sequence[CarvedBlock]) -> list[Finding]:
    """Lines and channels too fine for a material and its tools: one finding for each kind and material."""
    by_kind: dict[tuple[str, str], list[CarvedBlock]] = defaultdict(list)
    for each in carved:
        if each.finest_mm is not None and each.finest_kind is not None:
            by_kind[each.finest_kind, material_of(project, each.block)].append(each)
    found = []
    for (kind, material), some in by_kind.items():
        some.sort(key=lambda each: each.finest_mm or 0.0)
        said = [
            f"{project.block(each.block).name} {length_text(each.finest_mm or 0.0, 2)}, "
            + counted(each.too_fine, tr("place"), tr("places"))
            for each in some
        ]
        found.append(
            Finding(
                "could show",
                "carve",
                tr(
                    "Too fine for these tools in {material}, the finest a {kind}: {said}.",
                    material=tr(material),
                    kind=tr(kind),
                    said=listed(said),
                ),
                _finest_help(project, some[0]),
                some[0].finest_place,
                _harder(project, some[0]),
                blocks=tuple(each.block for each in some),
            )
        )
    return found


def _harder(project: Project, carved: CarvedBlock) -> Cure | None:
    """Lines that a material does not hold go into one that does: hard for the key, softer for colour."""
    own = MATERIALS[material_of(project, carved.block)]
    hard = next((name for name, each in MATERIALS.items() if each.for_lines and each.line_mm < own.line_mm), None)
    if carved.finest_kind != "thin line" or hard is None:
        return None
    name = project.block(carved.block).name
    return Cure(
        tr("Cut {name} in {hard}", name=name, hard=MATERIALS[hard].said),
        lambda project: with_material(project, carved.block, hard),
    )


def _reached(project: Project, carved: Sequence[CarvedBlock]) -> list[Finding]:
    """Cleared ground that the roller reaches, the most of it first."""
    some = sorted(
        (each for each in carved if each.carving.chatter_mm2 > _CHATTER_MM2), key=lambda each: -each.carving.chatter_mm2
    )
    if not some:
        return []
    said = [
        tr(
            "{name} {chatter_mm2} cm²",
            name=project.block(each.block).name,
            chatter_mm2=number(each.carving.chatter_mm2 / 100, 0),
        )
        for each in some
    ]
    return [
        Finding(
            "could show", "carve",
            tr("The roller reaches cleared ground, however deep: {said}.", said=listed(said)),
            tr("Mask it, leave a bridge to carry the roller and cut it away last, wipe it before each "
            "pull, or take a larger, harder roller."),
            blocks=tuple(each.block for each in some),
        )
    ]  # fmt: skip


def _small(project: Project, carved: Sequence[CarvedBlock]) -> list[Finding]:
    """Blocks that print in a small part of the image alone."""
    if is_reduction(project):
        return []
    image = project.image.width * project.image.height
    some = [each for each in carved if 0 < each.prints_mm[0] * each.prints_mm[1] / image < _SMALL_SHARE]
    if not some:
        return []
    said = [
        tr(
            "{name} within {lengths_text}",
            name=project.block(each.block).name,
            lengths_text=lengths_text(*each.prints_mm, 0, between=" × "),
        )
        for each in some
    ]
    return [
        Finding(
            "worth knowing", "carve",
            tr("Smaller blocks would do: {said}.", said=listed(said)),
            tr("Saw off whole what is empty, and keep it."),
            blocks=tuple(each.block for each in some),
        )
    ]  # fmt: skip


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
