"""Before a cut that cannot be taken back: is the edition reached with the sheets that are printed?"""

from dataclasses import dataclass

from nomos.edition import EditionState, SheetsError, start_sheets
from nomos.edition.sheets import probability_of
from nomos.project.blocks.reduction import cut_before
from nomos.project.model import Project
from nomos.units import counted


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
        need = f"{self.needed} needed, " if self.needed is not None else ""
        percent = 100 * self.chance
        sure = "under 1 %" if 0 < percent < 1 else f"{percent:.0f} %"
        return (
            f"{need}{self.printed} printed: {sure} that {counted(self.wanted, 'good sheet')} are reached. "
            f"Cut away for good: {self.lost}. No sheet can be given these layers afterwards."
        )


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
    lost = ", ".join(colours[n].name.lower() for n in gone)
    printed = sum(history.good_through(wanted) for history in state.histories.values())
    left, plan = state.layers - wanted, project.plan
    chance = probability_of(plan.wanted, printed, plan.good**left)
    try:
        needed: int | None = start_sheets(plan.wanted, left, plan.good, plan.confidence).start_sheets
    except SheetsError:
        needed = None
    return CutGate(wanted, printed, needed, chance, lost, plan.wanted)
