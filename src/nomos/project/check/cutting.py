"""What a block's cutter should know: what is too fine, and where the knife is free."""

from collections.abc import Sequence
from functools import partial

import numpy as np

from nomos.base.language import tr, within
from nomos.base.parallel import map_threads
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.base.units import length_text, listed, number
from nomos.colour import delta_e00, reflectance_to_lab
from nomos.project.blocks.reduction import is_reduction
from nomos.project.blocks.zones import can_share, put_together
from nomos.project.inks.films import printed_reflectance
from nomos.project.model import Block, Project
from nomos.project.model.finding import UNSEEN_DE00, Cure, Finding, Weight
from nomos.project.sheet.laying import LaidSheet, films_in_order
from nomos.project.sheet.masks import CutBlocks
from nomos.separation import Mask
from nomos.separation.features import Feature, FeatureKind, find_features
from nomos.separation.freedom import Freedom, Simpler, shrunk, simplify
from nomos.separation.masks import Masks, every
from nomos.separation.sharing import Sharing, clearances, share, shared_order

# Smaller printing areas break off; larger ones with nothing around them are islands (chosen by us).
SPECK_MM2 = 0.8
LONELY_MM = 8.0

_WORDS: dict[FeatureKind, tuple[str, str]] = {
    "thin line": (
        tr("Lines thinner than {limit} break, or print broken"),
        tr("Widen them in the design, or leave them to another block."),
    ),
    "narrow channel": (
        tr("Channels narrower than {limit}: no tool goes in, ink fills them"),
        tr("Close them or open them in the design, or cut them with a knife."),
    ),
    "speck": (
        tr("Specks of less than {area} break off"),
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


def features_of(
    project: Project, blocks: CutBlocks, *, progress: Progress = NULL_PROGRESS
) -> dict[str, tuple[Feature, ...]]:
    """What is too fine on each block, by block id. Raises Cancelled."""

    def on(block: Block) -> tuple[Feature, ...]:
        return find_features(
            blocks.masks[project.number_of(block.id)], blocks.px_per_mm, line_mm=project.line_mm,
            tool_mm=project.tool_mm, speck_mm2=SPECK_MM2, lonely_mm=LONELY_MM,
        )  # fmt: skip

    # What is thin on a sawn block is said of its pieces.
    whole = [block for block in project.blocks if block.kerf_mm is None]
    found = map_threads(
        on, whole, progress=progress, words=lambda block: tr("checking {name}", name=within(block.name))
    )
    return {block.id: some for block, some in zip(whole, found, strict=True)}


def cutting_findings(project: Project, features: dict[str, tuple[Feature, ...]]) -> tuple[Finding, ...]:
    """One finding for each kind, with its blocks, shown at the narrowest place."""
    limits: dict[FeatureKind, float] = {
        "thin line": project.line_mm, "narrow channel": project.tool_mm,
        "speck": SPECK_MM2, "island": LONELY_MM,
    }  # fmt: skip
    found = []
    for kind, (words, remedy) in _WORDS.items():
        by_block = {
            block.id: some
            for block in project.blocks
            if (some := [each for each in features.get(block.id, ()) if each.kind == kind])
        }
        if not by_block:
            continue
        worst = min((each for some in by_block.values() for each in some), key=lambda each: each.width_mm)
        counts = sorted(by_block.items(), key=lambda item: min(each.width_mm for each in item[1]))
        said = [_at_block(project.block(block).name, some, kind) for block, some in counts]
        x, y = project.image.left + worst.place[0], project.image.top + worst.place[1]
        limit, area = length_text(limits[kind]), tr("{number} mm²", number=number(limits[kind]))
        text = f"{words.format(limit=limit, area=area)}: {listed(said)}."
        found.append(
            Finding(_weight(kind, worst, limits[kind]), "blocks", text, remedy, (x, y), blocks=tuple(by_block))
        )
    return tuple(found)


def _at_block(name: str, some: Sequence[Feature], kind: FeatureKind) -> str:
    """How many of a kind a block has: "Key 12, the finest 0.2 mm"."""
    if kind not in ("thin line", "narrow channel"):
        return f"{name} {len(some)}"
    return tr(
        "{name} {some}, the finest {min}",
        name=name,
        some=len(some),
        min=length_text(min(each.width_mm for each in some), 1),
    )


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
                put_together,
                pulls=tuple(pulls[place].id for place in group),
                order=tuple(pulls[each[0]].id for each in order),
            )
            cure = Cure(tr("Put {some} on one block", some=some), edit)
        found.append(
            Finding(
                "worth knowing",
                "blocks",
                tr(
                    "{some} could share one block: {clearance} apart at the tightest place.",
                    some=some,
                    clearance=length_text(clearance, 0),
                ),
                tr("Ink them apart with small rollers or brushes and save a block and a pull."),
                cure=cure,
            )
        )
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
