"""The card of a pull: all that the plan knows and the hands need, at the bench and in the packet."""

from dataclasses import dataclass
from typing import NamedTuple

from nomos.base.language import opened, tr, within
from nomos.base.units import grams_text, length_text
from nomos.edition.inking_tools import INKING_TOOLS
from nomos.project.blocks.boards import board_pairs
from nomos.project.blocks.pulls import between_pulls
from nomos.project.blocks.reduction import is_reduction
from nomos.project.edition.cues import cues_of, damp_cues, ink_care, laying, lifting, pressing_of, slab_cautions
from nomos.project.edition.sheets import zone_need
from nomos.project.inks.films import FilmKey, sitting_advice
from nomos.project.model import Impression, Project, Zone
from nomos.project.model.sheets import planned_sheets
from nomos.project.sheet.masks import CutBlocks
from nomos.registration import SYSTEMS

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


class Step(NamedTuple):
    """One thing the hands do at a pull: which, as it is called, and what to mind, the most needed first."""

    kind: str
    name: str
    said: tuple[str, ...]


@dataclass(frozen=True)
class PullCard:
    """A pull in few words.

    damp, care, laying, lifting : what to mind at that moment of the pull. checks : right block, face and corner,
    right way round. after : what comes when the layer is done.
    """

    title: str
    zones: tuple[ZoneCard, ...]
    wiped: bool
    amount: str
    printing: str
    packing: str
    checks: str
    lay: str
    wet: str
    cues: tuple[str, ...]
    damp: tuple[str, ...]
    care: tuple[str, ...]
    laying: tuple[str, ...]
    lifting: tuple[str, ...]
    cautions: tuple[str, ...]
    after: str

    @property
    def inks(self) -> str:
        """All zones, a line each."""
        return "; ".join(zone.text for zone in self.zones)

    @property
    def steps(self) -> tuple[Step, ...]:
        """What is done, in the order of the hands."""
        wiped = (tr("Wipe the marked places before each pull."),) if self.wiped else ()
        press = (f"{opened(', '.join(part for part in (self.printing, self.packing) if part))}.",)
        ordered = (
            Step("check", tr("Check"), (self.checks,)), Step("damp", tr("Damp"), self.damp),
            Step("ink", tr("Ink"), (*self.cues, *self.care)), Step("wipe", tr("Wipe"), wiped),
            Step("onto", tr("Onto"), (self.wet,) if self.wet else ()),
            Step("lay", tr("Lay"), (self.lay, *self.laying)), Step("press", tr("Press"), press),
            Step("lift", tr("Lift"), self.lifting),
        )  # fmt: skip
        return tuple(step for step in ordered if step.said)


def pull_card(project: Project, blocks: CutBlocks | None, layer: int) -> PullCard:
    """The card of a pull by its place in print order.

    blocks : for amounts of ink and packing; without them these are left out.
    """
    pull = project.impressions[layer]
    count = len(project.impressions)
    sheets = planned_sheets(project)
    zones = tuple(_zone(project, blocks, pull, place, sheets) for place in range(len(pull.zones)))
    grams = [zone.grams for zone in zones if zone.grams]
    amount = tr("{grams} g for {sheets} sheets", grams=grams_text(sum(grams)), sheets=sheets) if grams else ""
    then = tr("then let them dry, press them flat, choose and number them")
    if layer + 1 < count:
        following = project.pull_name(project.impressions[layer + 1].id)
        then = tr(
            "then {between_pulls}; next {following}", between_pulls=between_pulls(project)[layer], following=following
        )
    return PullCard(
        tr("{layer} of {count}: {id}", layer=layer + 1, count=count, id=project.pull_name(pull.id)),
        zones,
        any(zone.bare == "wiped" for zone in pull.zones),
        amount,
        _printing(pull),
        _packing(project, blocks, pull),
        _checks(project, pull),
        _lay_text(project, pull),
        _wet(project, layer),
        tuple(dict.fromkeys(cue for zone in pull.zones if not zone.bare for cue in cues_of(zone))),
        damp_cues(project, pull),
        ink_care(project, pull),
        laying(pull),
        lifting(pull),
        slab_cautions(project, pull),
        f"{opened(then)}.",
    )


def _printing(pull: Impression) -> str:
    way = pressing_of(pull)
    return ", ".join(part for part in (way.how, way.over) if part)


def _wet(project: Project, layer: int) -> str:
    """Whether it goes onto wet ink, and plainly whether it will take there."""
    if not project.goes_on_wet(layer):
        return ""
    said = tr("onto the wet layer before")
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
        return tr("{where}left without ink", where=where)
    if zone.bare == "wiped":
        edge = (
            tr(", the edge soft over {soft_mm}", soft_mm=length_text(zone.soft_mm, 0))
            if zone.soft_mm
            else tr(", a hard edge")
        )
        return tr("{where}wiped with a cloth before the pull{edge}", where=where, edge=edge)
    said = [project.ink(zone.ink).name]
    if zone.strength < 0.995:
        said.append(tr("{strength:.0f} % extender", strength=100 * (1 - zone.strength)))
    if zone.inking != "normal":
        said.append(tr("{also} film", also=tr("thin") if zone.inking == "light" else "heavy"))
    said.append(_tool(project, zone))
    if zone.grade is not None:
        said.append(_graded(zone))
    return where + ", ".join(said)


def _where(project: Project, zone: Zone, *, first: bool) -> str:
    if zone.areas:
        return tr("where it is drawn: ")
    if zone.colours and project.flat is not None:
        named = ", ".join(within(project.flat.colours[n].name) for n in zone.colours[:3])
        # A colour that is called as its ink says nothing more.
        return "" if named.lower() == project.ink(zone.ink).name.lower() else f"{named}: "
    return tr("the rest: ") if first and zone.bare else ""


def _tool(project: Project, zone: Zone) -> str:
    tool = INKING_TOOLS[zone.tool]
    across = tr("{tool} Ø {across}", tool=tool.name, across=length_text(project.craft.roller_mm, 0))
    return across if tool.usual else tool.name


def _graded(zone: Zone) -> str:
    assert zone.grade is not None
    end = tr("nothing") if zone.grade.to == 0 else tr("{to:.0f} %", to=100 * zone.grade.to)
    begin = tr("nothing") if zone.strength == 0 else tr("{strength:.0f} %", strength=100 * zone.strength)
    if zone.grade.edge_mm is not None:
        edges = tr("the outer edge") if zone.grade.outer else tr("each edge")
        return tr(
            "graded from {begin} at {edges} to {end} over {edge_mm}",
            begin=begin, edges=edges, end=end, edge_mm=length_text(zone.grade.edge_mm, 0),
        )  # fmt: skip
    (x0, y0), (x1, y1) = zone.grade.start, zone.grade.end
    down = tr("top to bottom") if y1 > y0 else tr("bottom to top")
    across = tr("left to right of the print") if x1 > x0 else tr("right to left of the print")
    way = down if abs(y1 - y0) >= abs(x1 - x0) else across
    return tr("graded from {begin} to {end}, {way}", begin=begin, end=end, way=way) + (
        tr(" and back") if zone.grade.both else ""
    )


def _packing(project: Project, blocks: CutBlocks | None, pull: Impression) -> str:
    if pull.packing_sheets is not None:
        return tr("{packing_sheets} sheets of packing", packing_sheets=pull.packing_sheets)
    share = _USUAL_SHARE
    if blocks is not None:
        image = project.image.width * project.image.height
        share = blocks.areas_mm2[project.number_of(pull.block)] / image
    if pull.printing and not pressing_of(pull).packed:
        firm = tr("firm all over, a large solid") if share > _SOLID_SHARE else ""
        return tr("light pressure") if share < _LINE_SHARE else firm
    if share < _LINE_SHARE or any(zone.grade for zone in pull.zones):
        return tr("little packing, light pressure")
    return tr("more packing, a large solid") if share > _SOLID_SHARE else tr("usual packing")


def _checks(project: Project, pull: Impression) -> str:
    """Which block, which face, which corner where: what is looked at before the block is laid down."""
    block = project.block(pull.block)
    corner = tr("solid corner near, {hand}", hand=tr(project.kento.hand))
    if is_reduction(project):
        states = list(dict.fromkeys(each.block for each in project.impressions))
        return tr(
            "The board, state {index} of {states}; {corner}.",
            index=states.index(block.id) + 1, states=len(states), corner=corner,
        )  # fmt: skip
    for number_of, (front, back) in enumerate(board_pairs(project), start=1):
        if block.id in (front.id, back.id):
            face = "front" if block.id == front.id else "back"
            marked = corner if face == "front" else tr("its solid corner is the back's own")
            return tr("Board {number_of}, {face} up; {marked}.", number_of=number_of, face=face, marked=marked)
    pieces = tr("; every piece inked, numbers as on the template") if block.kerf_mm is not None else ""
    return tr("Block {name}; {corner}{pieces}.", name=block.name, corner=corner, pieces=pieces)


def _lay_text(project: Project, pull: Impression) -> str:
    if pull.turned_over:
        return tr("Block onto the paper, on its traced place.")
    return SYSTEMS[project.register.system].lay
