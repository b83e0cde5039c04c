"""How a right film looks, sounds and feels, what too much and too little does; cautions at the slab.

Common practice, no source; the words are ours, as short as they can be read from
two metres.
"""

from nomos.base.language import tr
from nomos.colour.vehicles import VEHICLES
from nomos.edition.inking_tools import INKING_TOOLS
from nomos.edition.pressings import PRESSINGS, UNSAID, Pressing
from nomos.project.model import Impression, Project, Zone


def cues_of(zone: Zone) -> tuple[str, ...]:
    """How the film on a zone should look, sound and feel, and what is wrong where it does not."""
    cues = INKING_TOOLS[zone.tool].cues
    return cues.way, cues.right, cues.much, cues.little


def pressing_of(pull: Impression) -> Pressing:
    """How a pull is rubbed or pressed."""
    return PRESSINGS[pull.printing] if pull.printing else UNSAID


def laying(pull: Impression) -> tuple[str, ...]:
    """What to mind while the sheet is laid."""
    tape = (tr("Tape what slips."),) if pressing_of(pull).slips else ()
    over = (tr("Block onto the paper, hold both, turn them over together, then rub."),) if pull.turned_over else ()
    return (tr("A card over inked parts while the sheet is seated."), *over, *tape)


def lifting(pull: Impression) -> tuple[str, ...]:
    """How the sheet is looked at and lifted, and what becomes of the block."""
    way = pressing_of(pull)
    peek = () if pull.turned_over else (tr("Peek at one corner before lifting; peel slowly, from the far end."),)
    released = (way.released,) if way.released else ()
    return (*released, *peek, tr("Judge it on a white card, and look for what stuck to the block."))


def ink_care(project: Project, pull: Impression) -> tuple[str, ...]:
    """What the inks of a pull ask for while they are wet."""
    said = [VEHICLES[project.ink(zone.ink).vehicle].care for zone in pull.zones if zone.inked]
    return tuple(dict.fromkeys(text for text in said if text))


def damp_cues(project: Project, pull: Impression) -> tuple[str, ...]:
    """What damp paper asks for at a pull; nothing for dry paper. Common practice, no source."""
    if not (project.register.damp or project.times.damp):
        return ()
    block = project.block(pull.block)
    lines = block.is_key or block.contour is not None
    drier = tr("Blot the sheet first: lines want it drier than washes.") if lines else ""
    keeps = tr(
        "Keep the others in the pack, no longer than {keeps_days} days in all: mould.",
        keeps_days=project.times.keeps_days,
    )
    return tuple(said for said in (drier, keeps) if said)


def slab_cautions(project: Project, pull: Impression) -> tuple[str, ...]:
    """What can hurt at this pull: solvents, rags, powders, press. The makers' sheets come first."""
    vehicles = [VEHICLES[project.ink(zone.ink).vehicle] for zone in pull.zones]
    modified = any(project.ink(zone.ink).modifier_pct > 0 for zone in pull.zones)
    said = []
    if any(each.washed_with == "solvent" for each in vehicles):
        said.append(tr("Solvent: window open, gloves on."))
    if any(each.heats_rags for each in vehicles):
        said.append(tr("Oily rags go into a closed metal bin: they heat by themselves."))
    if modified:
        said.append(tr("Carbonate and dry pigment are fine powders: mask on, no draught."))
    if pressing_of(pull).caution:
        said.append(pressing_of(pull).caution)
    if said:
        said.append(tr("Product sheets, local rules and trained people come first."))
    return tuple(said)
