"""Before a cut that cannot be taken back: is the edition reached with the sheets that are printed?"""

from dataclasses import dataclass

from msgspec.structs import replace

from nomos.base.language import tr, within
from nomos.base.units import counted, number
from nomos.edition import EditionState, SheetsError, start_sheets
from nomos.edition.sheets import probability_of
from nomos.project.blocks.reduction import cut_before
from nomos.project.model import Project
from nomos.project.model.finding import UNSEEN_DE00
from nomos.project.sheet.laying import LaidSheet, colour_matches, mean_difference, sheet_labs


@dataclass(frozen=True)
class CutGate:
    """What a cut means for the edition.

    printed : good sheets that carry every layer so far. needed : sheets that are enough with the
        confidence asked for; None where no number is. chance : that the edition is reached.
    lost : the colours that are cut away, in words.
    """

    layer: int
    printed: int
    needed: int | None
    chance: float
    lost: str
    wanted: int

    @property
    def text(self) -> str:
        """In a few sentences, for the bench and for Carve."""
        need = tr("{needed} needed, ", needed=self.needed) if self.needed is not None else ""
        percent = 100 * self.chance
        sure = tr("under 1 %") if 0 < percent < 1 else tr("{percent:.0f} %", percent=percent)
        return tr(
            "{need}{printed} printed: {sure} that {wanted} are reached. Cut away for good: "
            "{lost}. No sheet can be given these layers afterwards.",
            need=need, printed=self.printed, sure=sure,
            wanted=counted(self.wanted, tr("good sheet"), tr("good sheets")), lost=self.lost,
        )  # fmt: skip


def cut_gate(project: Project, state: EditionState, layer: int | None = None) -> CutGate | None:
    """What the cut before a layer means, the next one if none is named; None where nothing is cut.

    Notes
    -----
    The chance is binomial, each sheet surviving the layers that are left with the
    share of good pulls that is planned (see `start_sheets`).
    """
    wanted = state.next_layer() if layer is None else layer
    if wanted is None or not 0 < wanted < state.layers:
        return None
    gone = cut_before(project)[wanted]
    if not gone:
        return None
    colours = project.flat.colours if project.flat else ()
    lost = ", ".join(within(colours[n].name) for n in gone)
    printed = state.good_through(wanted)
    left, plan = state.layers - wanted, project.plan
    chance = probability_of(plan.wanted, printed, plan.good**left)
    try:
        needed: int | None = start_sheets(plan.wanted, left, plan.good, plan.confidence).start_sheets
    except SheetsError:
        needed = None
    return CutGate(wanted, printed, needed, chance, lost, plan.wanted)


@dataclass(frozen=True)
class PassGate:
    """What one more pass of a block is expected to bring and to cost.

    before, after : mean ΔE00 to the wanted colours without it and with it. spoiled : sheets it will cost
        of those that are good so far, by the share of good pulls that is planned.
    """

    name: str
    before: float
    after: float
    good: int
    spoiled: float

    @property
    def text(self) -> str:
        """In a sentence or two."""
        gain = self.before - self.after
        if gain < UNSEEN_DE00 / 3:
            said = tr(
                "{name} brings the colours no nearer, ΔE {before} as before", name=self.name, before=number(self.before)
            )
        else:
            said = tr(
                "{name} brings the colours from ΔE {before} to {after}",
                name=self.name, before=number(self.before), after=number(self.after),
            )  # fmt: skip
        return tr(
            "{said}, and will spoil about {spoiled} of {good}.",
            said=said, spoiled=number(self.spoiled), good=counted(self.good, tr("good sheet"), tr("good sheets")),
        )  # fmt: skip


def pass_gate(project: Project, laid: LaidSheet, state: EditionState, layer: int | None = None) -> PassGate | None:
    """What a further pass of a block is worth, of the next layer if none is named; None for a first pass.

    laid : the sheet with all pulls. Judged on the finished print, with this pass and without it.
    """
    wanted = state.next_layer() if layer is None else layer
    if wanted is None or not 0 < wanted < state.layers:
        return None
    pulls = project.impressions[: wanted + 1]
    if not any(pull.block == pulls[-1].block for pull in pulls[:-1]):
        return None
    finished = mean_difference(colour_matches(project, laid, sheet_labs(project, laid)))
    left_out = tuple(pull for pull in project.impressions if pull.id != pulls[-1].id)
    without = replace(project, impressions=left_out)
    before = mean_difference(colour_matches(without, laid, sheet_labs(without, laid)))
    good = state.good_through(wanted)
    return PassGate(project.pull_name(pulls[-1].id), before, finished, good, (1 - project.plan.good) * good)
