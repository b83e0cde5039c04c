"""What the bench needs to know of a layer: ink, roller, film, packing, block, how the sheet is laid."""

from dataclasses import dataclass
from datetime import datetime, timedelta

from nomos.edition import EditionState
from nomos.edition.reminders import LayerWork, next_after, reminders
from nomos.project.editions import zone_need
from nomos.project.edits import between_pulls
from nomos.project.films import zone_keys
from nomos.project.model import Project
from nomos.project.ordering import runs_of
from nomos.project.proofing import CutBlocks
from nomos.project.reduction import is_reduction
from nomos.registration import SYSTEM_NAMES
from nomos.units import number

# A block that prints more than this share of the image wants more packing, one of thin lines less
# (common practice; the shares are chosen by us).
_SOLID_SHARE, _LINE_SHARE = 0.35, 0.12


@dataclass(frozen=True)
class LayerCard:
    """A layer as it stands at the bench, few words each.

    ready_at : when the sheets of the layer before are dry; None where nothing has to dry.
    """

    title: str
    ink: str
    amount: str
    film: str
    packing: str
    lay: str
    after: str
    reminders: tuple[str, ...]
    ready_at: datetime | None


def layer_work(project: Project, layer: int, *, chatter: bool, fine: bool) -> LayerWork:
    """What decides the reminders of a layer."""
    pull = project.impressions[layer]
    extended = 1 - min(zone.strength for zone in pull.zones)
    return LayerWork(
        project.workshop.sheets,
        project.plan.sacrificed,
        chatter,
        fine,
        extended,
        project.register.damp or project.times.damp,
        layer > 0 and is_reduction(project),
    )


def layer_card(
    project: Project,
    blocks: CutBlocks | None,
    state: EditionState,
    *,
    chatter: bool = False,
    fine: bool = False,
) -> LayerCard:
    """The layer at hand; state.layer must be one of the project's."""
    layer = state.layer
    pull = project.impressions[layer]
    block = project.block(pull.block)
    inks = [project.ink(zone.ink) for zone in pull.zones]
    names = ", ".join(dict.fromkeys(ink.name for ink in inks))
    strength = pull.zones[0].strength
    recipe = names if strength >= 0.995 else f"{names}, {100 * (1 - strength):.0f} % extender"
    amount, share = "", 0.25
    if blocks is not None:
        area = blocks.areas_mm2[project.number_of(block.id)]
        share = area / (project.image.width * project.image.height)
        own = [key for key in zone_keys(project) if key.pull == pull.id]
        batch = sum(zone_need(project, blocks, key, project.workshop.sheets).batch_g for key in own)
        amount = f"{number(batch, 0)} g for {project.workshop.sheets} sheets"
    packing = "more packing, a large solid" if share > _SOLID_SHARE else "usual packing"
    if share < _LINE_SHARE or any(zone.grade for zone in pull.zones):
        packing = "little packing, light pressure"
    films = {zone.inking for zone in pull.zones}
    state_text = f"state {layer + 1} of the board" if is_reduction(project) else f"block {block.name}"
    done = len(state.pulled.get(layer, []))
    names_of = [project.block(each.block).name for each in project.impressions]
    return LayerCard(
        f"{layer + 1} of {len(project.impressions)}: {block.name}",
        recipe,
        amount,
        f"{', '.join(sorted(films))} film, roller {number(project.craft.roller_mm, 0)} mm",
        f"{packing}; {state_text}",
        _lay_text(project),
        next_after(names_of, layer, between_pulls(project)[layer] if layer + 1 < len(names_of) else ""),
        reminders(layer_work(project, layer, chatter=chatter, fine=fine), done),
        _ready_at(project, state),
    )  # fmt: skip


def _lay_text(project: Project) -> str:
    system = project.register.system
    if system in ("kento", "floating"):
        return "Corner notch first, then the straight notch, let it fall."
    return {
        "pins": "Tabs onto the pins one by one, let it fall.",
        "jig": "Near stops first, slide to the side stop, lay it down.",
        "bed": "Marked corner of the block to the marked corner; sheet onto its crosses.",
        "translucent": "Cross on cross against the light, near ones first.",
    }.get(system, SYSTEM_NAMES[system])


def _ready_at(project: Project, state: EditionState) -> datetime | None:
    """When the last sheet of the layer before is dry."""
    before = state.layer - 1
    pulls = state.pulled.get(before, [])
    if before < 0 or not pulls or project.impressions[state.layer].wet:
        return None
    last = max(datetime.fromisoformat(at) for at, _, _ in pulls)
    return last + timedelta(hours=runs_of(project)[before].drying_h)
