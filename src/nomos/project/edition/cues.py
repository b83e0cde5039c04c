"""How a right film looks, sounds and feels, what too much and too little does; cautions at the slab.

Common practice, no source; the words are ours, as short as they can be read from
two metres.
"""

from nomos.base.language import tr
from nomos.colour.vehicles import VEHICLES
from nomos.project.model import Project, Zone
from nomos.project.model.project import Impression, Printing, Tool

TOOL_WORDS: dict[Tool, str] = {
    "roller": tr("roller"),
    "half roller": tr("roller, half its width"),
    "small roller": tr("small roller"),
    "dabber": tr("dabber"),
    "brush": tr("brush"),
    "brush and paste": tr("brush and paste"),
}
PRINTING_WORDS: dict[Printing, str] = {
    "baren": tr("baren, in rings from the middle outwards"),
    "spoon": tr("spoon, small strokes, a card over the paper"),
    "hand": tr("the palm of the hand"),
    "clean roller": tr("a clean roller, straight over"),
    "hand press": tr("hand press"),
    "press": tr("press"),
}
_ROLLED = {
    "right": tr("Right: a satin sheen and an even hiss."),
    "much": tr("Too much: it smacks, lines fill. Stop, clean the lines, less ink."),
    "little": tr("Too little: grey and speckled. One more thin coat, not one thick."),
}
_CUES: dict[Tool, dict[str, str]] = {
    "roller": _ROLLED,
    "half roller": _ROLLED,
    "small roller": _ROLLED,
    "dabber": {
        "right": tr("Right: an even bloom, no ridges."),
        "much": tr("Too much: threads as it lifts. Dab it off on newsprint."),
        "little": tr("Too little: the weave shows."),
    },
    "brush": {
        "right": tr("Right: damp all over, no puddles."),
        "much": tr("Too much: it runs to the edges. Blot them."),
        "little": tr("Too little: dry strokes show."),
    },
    "brush and paste": {
        "right": tr("Right: colour and paste brushed to one even damp film, last strokes with the grain."),
        "much": tr("Too much paste: it shines and sticks. Too much water: edges bleed."),
        "little": tr("Too little paste: it grains. A pea more for a hand of block."),
    },
}


def cues_of(zone: Zone) -> tuple[str, ...]:
    """How the film on a zone should look, sound and feel, and what is wrong where it does not."""
    return tuple(_CUES[zone.tool].values())


def handling(pull: Impression) -> tuple[str, ...]:
    """How the sheet is laid, looked at and lifted."""
    lay = (
        tr("Block onto the paper, hold both, turn them over together, then rub.")
        if pull.turned_over
        else tr("Peek at one corner before lifting; peel slowly, from the far end.")
    )
    held = tr("A card over inked parts while the sheet is seated; judge the print on white.")
    tape = (tr("Tape what slips."),) if pull.printing in ("spoon", "hand", "clean roller") else ()
    return (held, lay, *tape)


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
    if pull.printing in ("press", "hand press"):
        said.append(tr("Fingers out of the press."))
    if said:
        said.append(tr("Product sheets, local rules and trained people come first."))
    return tuple(said)
