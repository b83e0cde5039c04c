"""The card of a pull: all that the plan knows and the hands need, at the bench and in the packet."""

from dataclasses import dataclass

from nomos.project.blocks.boards import board_pairs
from nomos.project.blocks.pulls import between_pulls
from nomos.project.blocks.reduction import is_reduction
from nomos.project.edition.cues import PRINTING_WORDS, TOOL_WORDS, cues_of, damp_cues, handling, slab_cautions
from nomos.project.edition.sheets import zone_need
from nomos.project.inks.films import FilmKey, sitting_advice
from nomos.project.model import Impression, Project, Zone
from nomos.project.model.sheets import planned_sheets
from nomos.project.sheet.masks import CutBlocks
from nomos.registration import SYSTEM_NAMES
from nomos.units import length_text, number

# A block that prints more than this share of the image wants more packing, one of thin lines less
# (common practice; the shares are chosen by us).
_SOLID_SHARE, _LINE_SHARE = 0.35, 0.12
_USUAL_SHARE = 0.25


@dataclass(frozen=True)
class ZoneCard:
    """One zone in a line: what stands there and how it is put on; the ink's name and colour, grams."""

    text: str
    ink: str
    lab: tuple[float, float, float]
    grams: float | None


@dataclass(frozen=True)
class PullCard:
    """A pull in few words.

    checks : right block, face and corner, right way round. after : what comes when the layer is done.
    """

    title: str
    zones: tuple[ZoneCard, ...]
    amount: str
    printing: str
    packing: str
    checks: str
    lay: str
    wet: str
    cues: tuple[str, ...]
    handling: tuple[str, ...]
    cautions: tuple[str, ...]
    after: str

    @property
    def inks(self) -> str:
        """All zones, a line each."""
        return "; ".join(zone.text for zone in self.zones)


def pull_card(project: Project, blocks: CutBlocks | None, layer: int) -> PullCard:
    """The card of a pull by its place in print order.

    blocks : for amounts of ink and packing; without them these are left out.
    """
    pull = project.impressions[layer]
    count = len(project.impressions)
    sheets = planned_sheets(project)
    zones = tuple(_zone(project, blocks, pull, place, sheets) for place in range(len(pull.zones)))
    grams = [zone.grams for zone in zones if zone.grams]
    amount = f"{number(sum(grams), 0)} g for {sheets} sheets" if grams else ""
    then = "then let them dry, press them flat, choose and number them"
    if layer + 1 < count:
        following = project.pull_name(project.impressions[layer + 1].id)
        then = f"then {between_pulls(project)[layer]}; next {following}"
    return PullCard(
        f"{layer + 1} of {count}: {project.pull_name(pull.id)}",
        zones,
        amount,
        PRINTING_WORDS[pull.printing] if pull.printing else "",
        _packing(project, blocks, pull),
        _checks(project, pull),
        _lay_text(project, pull),
        _wet(project, layer),
        tuple(dict.fromkeys(cue for zone in pull.zones if not zone.bare for cue in cues_of(zone))),
        (*damp_cues(project, pull), *handling(pull)),
        slab_cautions(project, pull),
        f"{then[0].upper()}{then[1:]}.",
    )


def _wet(project: Project, layer: int) -> str:
    """Whether it goes onto wet ink, and plainly whether it will take there."""
    if not project.goes_on_wet(layer):
        return ""
    said = "onto the wet layer before"
    advice = next((each for each in sitting_advice(project) if each.second == layer), None)
    return said if advice is None else f"{said}: {advice.brief}"


def _zone(project: Project, blocks: CutBlocks | None, pull: Impression, place: int, sheets: int) -> ZoneCard:
    zone = pull.zones[place]
    ink = project.ink(zone.ink)
    grams = None
    if blocks is not None and not zone.bare:
        grams = zone_need(project, blocks, FilmKey(pull.id, place), sheets).batch_g
    return ZoneCard(zone_text(project, pull, place), ink.name, ink.lab, grams)


def zone_text(project: Project, pull: Impression, place: int) -> str:
    """A zone in words: "Slate, 60 % extender, thin film, small roller, graded to nothing"."""
    zone = pull.zones[place]
    where = _where(project, zone, first=place == 0)
    if zone.bare == "uninked":
        return f"{where}left without ink"
    if zone.bare == "wiped":
        edge = f", the edge soft over {length_text(zone.soft_mm, 0)}" if zone.soft_mm else ", a hard edge"
        return f"{where}wiped with a cloth before the pull{edge}"
    said = [project.ink(zone.ink).name]
    if zone.strength < 0.995:
        said.append(f"{100 * (1 - zone.strength):.0f} % extender")
    if zone.inking != "normal":
        said.append(f"{'thin' if zone.inking == 'light' else 'heavy'} film")
    said.append(_tool(project, zone))
    if zone.grade is not None:
        said.append(_graded(zone))
    return where + ", ".join(said)


def _where(project: Project, zone: Zone, *, first: bool) -> str:
    if zone.areas:
        return "where it is drawn: "
    if zone.colours and project.flat is not None:
        return f"{', '.join(project.flat.colours[n].name.lower() for n in zone.colours[:3])}: "
    return "the rest: " if first and zone.bare else ""


def _tool(project: Project, zone: Zone) -> str:
    word = TOOL_WORDS[zone.tool]
    return f"{word} {length_text(project.craft.roller_mm, 0)}" if zone.tool == "roller" else word


def _graded(zone: Zone) -> str:
    assert zone.grade is not None
    end = "nothing" if zone.grade.to == 0 else f"{100 * zone.grade.to:.0f} %"
    begin = "nothing" if zone.strength == 0 else f"{100 * zone.strength:.0f} %"
    if zone.grade.edge_mm is not None:
        edges = "the outer edge" if zone.grade.outer else "each edge"
        return f"graded from {begin} at {edges} to {end} over {length_text(zone.grade.edge_mm, 0)}"
    (x0, y0), (x1, y1) = zone.grade.start, zone.grade.end
    down = "top to bottom" if y1 > y0 else "bottom to top"
    across = "left to right of the print" if x1 > x0 else "right to left of the print"
    way = down if abs(y1 - y0) >= abs(x1 - x0) else across
    return f"graded from {begin} to {end}, {way}" + (" and back" if zone.grade.both else "")


def _packing(project: Project, blocks: CutBlocks | None, pull: Impression) -> str:
    if pull.packing_sheets is not None:
        return f"{pull.packing_sheets} sheets of packing"
    share = _USUAL_SHARE
    if blocks is not None:
        image = project.image.width * project.image.height
        share = blocks.areas_mm2[project.number_of(pull.block)] / image
    if share < _LINE_SHARE or any(zone.grade for zone in pull.zones):
        return "little packing, light pressure"
    return "more packing, a large solid" if share > _SOLID_SHARE else "usual packing"


def _checks(project: Project, pull: Impression) -> str:
    """Which block, which face, which corner where: what is looked at before the block is laid down."""
    block = project.block(pull.block)
    corner = f"solid corner near, {project.kento.hand}"
    if is_reduction(project):
        states = list(dict.fromkeys(each.block for each in project.impressions))
        return f"The board, state {states.index(block.id) + 1} of {len(states)}; {corner}."
    for number_of, (front, back) in enumerate(board_pairs(project), start=1):
        if block.id in (front.id, back.id):
            face = "front" if block.id == front.id else "back"
            marked = corner if face == "front" else "its solid corner is the back's own"
            return f"Board {number_of}, {face} up; {marked}."
    pieces = "; every piece inked, numbers as on the template" if block.kerf_mm is not None else ""
    return f"Block {block.name}; {corner}{pieces}."


def _lay_text(project: Project, pull: Impression) -> str:
    if pull.turned_over:
        return "Block onto the paper, on its traced place."
    system = project.register.system
    if system in ("kento", "floating"):
        return "Corner notch first, then the straight notch, let it fall."
    return {
        "pins": "Tabs onto the pins one by one, let it fall.",
        "jig": "Near stops first, slide to the side stop, lay it down.",
        "bed": "Marked corner of the block to the marked corner; sheet onto its crosses.",
        "translucent": "Cross on cross against the light, near ones first.",
    }.get(system, SYSTEM_NAMES[system])
