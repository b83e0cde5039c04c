"""What is too fine on a block: one measure for findings, carving maps and the bench."""

from dataclasses import dataclass

from nomos.base.language import tr, within
from nomos.base.parallel import map_threads
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.carving import MATERIALS, Material
from nomos.carving.materials import tools_for
from nomos.project.model import Block, Project
from nomos.project.sheet.masks import CutBlocks
from nomos.separation.features import Feature, find_features

# Smaller printing areas break off; larger ones with nothing around them are islands (chosen by us).
SPECK_MM2 = 0.8
LONELY_MM = 8.0

Features = dict[str, tuple[Feature, ...]]
"""What is too fine on each block, by block id."""


@dataclass(frozen=True)
class Fineness:
    """The thinnest line that holds on a block and the narrowest channel that clears, mm."""

    line_mm: float
    channel_mm: float


def material_of(project: Project, block_id: str) -> Material:
    """What a block is made of: its own material, or the workshop's."""
    return project.block(block_id).material or project.craft.material


def fineness_of(project: Project, block_id: str) -> Fineness:
    """How fine a block can be: as the hand has said, or else what its material and tools allow."""
    material = material_of(project, block_id)
    facts, tools = MATERIALS[material], tools_for(material, project.craft.tools)
    # A knife or a V tool opens a channel narrower than itself: it need not go in to its full width.
    sharp = any(tool.kind in ("knife", "v") for tool in tools)
    finest = 0.0 if sharp else min(tool.width_mm for tool in tools)
    line = facts.line_mm if project.line_mm is None else project.line_mm
    return Fineness(line, max(facts.channel_mm, finest) if project.tool_mm is None else project.tool_mm)


def features_of(project: Project, blocks: CutBlocks, *, progress: Progress = NULL_PROGRESS) -> Features:
    """What is too fine on each block. Raises Cancelled."""

    def on(block: Block) -> tuple[Feature, ...]:
        limits = fineness_of(project, block.id)
        return find_features(
            blocks.masks[project.number_of(block.id)], blocks.px_per_mm, line_mm=limits.line_mm,
            tool_mm=limits.channel_mm, speck_mm2=SPECK_MM2, lonely_mm=LONELY_MM,
        )  # fmt: skip

    # What is thin on a sawn block is said of its pieces.
    whole = [block for block in project.blocks if block.kerf_mm is None]
    found = map_threads(
        on, whole, progress=progress, words=lambda block: tr("checking {name}", name=within(block.name))
    )
    return {block.id: some for block, some in zip(whole, found, strict=True)}
