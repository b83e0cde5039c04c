"""What a block's cutter should know: what is too fine, and where the knife is free."""

from collections import defaultdict
from collections.abc import Sequence
from functools import partial

import numpy as np

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.base.units import length_text, listed, number
from nomos.carving import MATERIALS
from nomos.colour import delta_e00, reflectance_to_lab
from nomos.project.blocks.reduction import is_reduction
from nomos.project.blocks.zones import can_share, merged_pulls
from nomos.project.edition.carving import with_material
from nomos.project.edition.fineness import LONELY_MM, SPECK_MM2, Features, fineness_of, material_of
from nomos.project.inks.films import printed_reflectance
from nomos.project.model import Block, Project
from nomos.project.model.finding import UNSEEN_DE00, Cure, Finding, Weight
from nomos.project.sheet.laying import LaidSheet, films_in_order
from nomos.project.sheet.masks import CutBlocks
from nomos.separation import Mask
from nomos.separation.features import Feature, FeatureKind
from nomos.separation.freedom import Freedom, Simpler, shrunk, simplify
from nomos.separation.masks import Masks, every
from nomos.separation.sharing import Sharing, clearances, share, shared_order

_WORDS: dict[FeatureKind, tuple[str, str]] = {
    "thin line": (
        tr("Lines thinner than {limit} break in {material}, or print broken"),
        tr("Widen them in the design, or leave them to another block."),
    ),
    "narrow channel": (
        tr("Channels narrower than {limit} in {material}: no tool goes in, ink fills them"),
        tr("Close them or open them in the design, or cut them with a knife."),
    ),
    "speck": (
        tr("Specks of less than {limit} break off"),
        tr("Take them off the block, or raise the smallest feature."),
    ),
    "island": (
        tr("Small islands with nothing printing within {limit}: hard to ink and to keep"),
        tr("Leave ground around them to hold them, or take them off the block."),
    ),
}
# So much finer than the limit, and it will fail, not perhaps (chosen by us, no source).
_HOPELESS = 0.5
# The room between two inks on a larger page is measured on a smaller one, and never as too large.
_CLEAR_PX = 16_000_000


def cutting_findings(project: Project, features: Features) -> tuple[Finding, ...]:
    """One finding for each kind and limit, with its blocks, shown at the narrowest place."""
    found = []
    for kind, (words, remedy) in _WORDS.items():
        by_limit: dict[tuple[str, str], list[tuple[Block, list[Feature]]]] = defaultdict(list)
        for block in project.blocks:
            some = [each for each in features.get(block.id, ()) if each.kind == kind]
            if some:
                by_limit[_limit(project, block, kind)].append((block, some))
        for (limit, material), blocks in by_limit.items():
            blocks.sort(key=lambda item: min(each.width_mm for each in item[1]))
            worst = min((each for _, some in blocks for each in some), key=lambda each: each.width_mm)
            place = project.image.left + worst.place[0], project.image.top + worst.place[1]
            said = listed([_at_block(block.name, some, kind) for block, some in blocks])
            what = words.format(limit=limit, material=material)
            own = tuple(f"{what}: {_at_block('', some, kind)}." for _, some in blocks)
            weight = _weight(kind, worst, _limit_mm(project, blocks[0][0], kind))
            cure = _harder(project, blocks[0][0]) if kind == "thin line" else None
            ids = tuple(block.id for block, _ in blocks)
            found.append(Finding(weight, "blocks", f"{what}: {said}.", remedy, place, cure, blocks=ids, own=own))
    return tuple(found)


def _limit_mm(project: Project, block: Block, kind: FeatureKind) -> float:
    limits = fineness_of(project, block.id)
    return limits.line_mm if kind == "thin line" else limits.channel_mm


def _limit(project: Project, block: Block, kind: FeatureKind) -> tuple[str, str]:
    """What is too fine, in words, and in what material where that matters."""
    if kind == "speck":
        return tr("{number} mm²", number=number(SPECK_MM2)), ""
    if kind == "island":
        return length_text(LONELY_MM), ""
    return length_text(_limit_mm(project, block, kind)), tr(material_of(project, block.id))


def _harder(project: Project, block: Block) -> Cure | None:
    """Lines that a material does not hold go into one that does: hard for the key, softer for colour."""
    own = MATERIALS[material_of(project, block.id)]
    hard = next((name for name, each in MATERIALS.items() if each.for_lines and each.line_mm < own.line_mm), None)
    if hard is None or project.line_mm is not None:
        return None
    return Cure(
        tr("Cut {name} in {hard}", name=block.name, hard=MATERIALS[hard].said),
        lambda project: with_material(project, block.id, hard),
    )


def _at_block(name: str, some: Sequence[Feature], kind: FeatureKind) -> str:
    """How many of a kind a block has: "Key 12, the finest 0.2 mm"."""
    if kind not in ("thin line", "narrow channel"):
        return f"{name} {len(some)}".strip()
    finest = length_text(min(each.width_mm for each in some), 1)
    return tr("{name} {some}, the finest {min}", name=name, some=len(some), min=finest).strip()


def _weight(kind: FeatureKind, worst: Feature, limit: float) -> Weight:
    if kind == "island":
        return "worth knowing"
    hopeless = kind in ("thin line", "narrow channel") and worst.width_mm < _HOPELESS * limit
    return "will fail" if hopeless else "could show"


def sharing_of(project: Project, blocks: CutBlocks, laid: LaidSheet, *, progress: Progress = NULL_PROGRESS) -> Sharing:
    """Which of the impressions, by place, could be inked apart on one block. Raises Cancelled."""
    if not project.impressions:
        return Sharing((), (), np.zeros((0, 0), bool))
    step = every(blocks.labels.size, _CLEAR_PX)
    small = blocks.masks
    if step > 1:
        small = Masks.of((_any_of(mask, step) for mask in blocks.masks), blocks.labels[::step, ::step].shape)
    distance = clearances(small, blocks.px_per_mm / step, progress=progress)
    # A block that prints twice lies on itself.
    np.fill_diagonal(distance, 0.0)
    numbers = [project.number_of(impression.block) for impression in project.impressions]
    printed = [laid.printed_by(impression.id) for impression in project.impressions]
    members = np.stack(printed, axis=1).astype(np.int64)
    meets = members.T @ members > 0
    return share(
        distance[np.ix_(numbers, numbers)], meets,
        clearance_mm=project.workshop.clearance_mm,
        most_zones=project.workshop.most_zones,
        able=[can_share(project, impression) for impression in project.impressions],
    )  # fmt: skip


def _any_of(mask: Mask, step: int) -> Mask:
    """A mask at a fraction of its size, where a pixel prints if any of those it stands for does."""
    small = np.zeros((-(-len(mask) // step), -(-mask.shape[1] // step)), np.uint8)
    for down in range(step):
        for across in range(step):
            part = mask[down::step, across::step]
            small[: len(part), : part.shape[1]] |= part
    return small


def sharing_findings(project: Project, sharing: Sharing) -> tuple[Finding, ...]:
    """What could be saved by inking colours apart on one block; nothing for states of one board.

    sharing : from `sharing_of`, for these impressions in this order.
    """
    if is_reduction(project) or len(sharing.meets) != len(project.impressions):
        return ()
    pulls = project.impressions
    names = [project.pull_name(impression.id) for impression in pulls]
    found = []
    for group, clearance in zip(sharing.groups, sharing.clearance_mm, strict=True):
        if len(group) < 2:
            continue
        some = ", ".join(names[place] for place in group)
        apart = [(place,) for place in range(len(pulls)) if place not in group]
        order = shared_order([group, *apart], sharing.meets)
        cure = None
        if order is not None:
            edit = partial(
                merged_pulls,
                pulls=tuple(pulls[place].id for place in group),
                order=tuple(pulls[each[0]].id for each in order),
            )
            cure = Cure(tr("Put {some} on one block", some=some), edit)
        text = tr(
            "{some} could share one block: {clearance} apart at the tightest place.",
            some=some,
            clearance=length_text(clearance, 0),
        )
        found.append(
            Finding(
                "worth knowing", "blocks", text,
                tr("Ink them apart with small rollers or brushes and save a block and a pull."), cure=cure,
            )
        )  # fmt: skip
    return tuple(found)


def freedom_of(project: Project, laid: LaidSheet, impression_id: str) -> Freedom:
    """Where an impression may print or not without a visible change: the image, uint8, 1 where it is free.

    For each combination that occurs, the colour with the impression and without
    it, whichever of the two is there now. Places closer to a place that is not
    free than the project's tolerance are not free: blocks move.
    """
    page = free_page(project, laid, impression_id)
    return shrunk(page, project.tolerance_mm * laid.px_per_mm)


def free_page(project: Project, laid: LaidSheet, impression_id: str) -> Freedom:
    """The same for sheets that meet the blocks exactly: (height, width) uint8, 1 where it is free."""
    order = films_in_order(project, laid)
    keys = [laid.films[n] for n in order]
    own = [laid.films[n].pull == impression_id for n in order]
    now = laid.map.members[:, order]
    without = now.copy()
    without[:, own] = False
    off = reflectance_to_lab(printed_reflectance(project, keys, without))
    worst = np.zeros(len(now))
    # Where it prints now, its own film there; where it does not, any that it could lay there.
    for column in np.flatnonzero(own):
        with_it = without.copy()
        with_it[:, column] = True
        on = reflectance_to_lab(printed_reflectance(project, keys, with_it))
        possible = now[:, column] | ~now[:, own].any(axis=1)
        worst = np.where(possible, np.maximum(worst, delta_e00(on, off)), worst)
    unseen = (worst < UNSEEN_DE00).astype(np.uint8)
    return np.asarray(unseen[laid.inner])


def simpler_block(project: Project, blocks: CutBlocks, laid: LaidSheet, impression_id: str) -> Simpler:
    """A simpler outline for an impression's block that changes nothing that is seen."""
    mask = blocks.masks[project.number_of(project.impression(impression_id).block)]
    return simplify(mask, freedom_of(project, laid, impression_id), blocks.px_per_mm)
