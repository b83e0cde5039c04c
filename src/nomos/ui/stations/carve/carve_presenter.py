"""The Carve station in the window."""

from nomos.base.language import tr
from nomos.carving import Material
from nomos.project import Project, Proof
from nomos.project.blocks.plans import with_plan
from nomos.project.edition.carving import with_material
from nomos.ui.frame.presenter import StationPresenter
from nomos.ui.frame.rows import Note
from nomos.ui.frame.sheet_view import Overlay
from nomos.ui.frame.state import Shown
from nomos.ui.stations.carve.carve_view import CarveView, carve_view, carving_overlay
from nomos.ui.stations.carve.carve_widget import CarveStation


class CarvePresenter(StationPresenter[CarveStation]):
    """How is it cut?"""

    hint = tr("The block face up, mirrored: the letters are the tools at the right, dark stays.")

    _view: CarveView | None = None

    def made(self) -> CarveStation:
        """The widget, wired."""
        made, hand = CarveStation(), self.hand
        crafter = hand.crafter
        made.pull_chosen.connect(hand.choose_pull)
        made.field_requested.connect(hand.editor.set)
        made.material_requested.connect(crafter.set_material)
        made.tools_requested.connect(crafter.set_tools)
        made.boards_requested.connect(crafter.set_boards)
        made.own_material_requested.connect(self._set_material)
        made.part_turned.connect(self._turn_carve)
        made.write_requested.connect(lambda: crafter.write_cutting(hand.state.page, hand.state.marked))
        made.saw_requested.connect(crafter.cut_boards)
        made.compare_requested.connect(self._compare_plans)
        made.took_requested.connect(self._log_cutting)
        made.message.connect(hand.message)
        return made

    def show(self, project: Project, proof: Proof | None) -> None:  # noqa: ARG002 - maps need no proof
        """Render it."""
        crafter, history = self.hand.crafter, self.hand.bencher.state()
        cut_h = history.cut_h if history else {}
        carved = crafter.carved_of(project)
        self._view = carve_view(project, carved, self.hand.state.pull, crafter.others, cut_h, history)
        self.widget.show_view(self._view)

    def notes(self, proof: Proof | None) -> tuple[Note, ...]:  # noqa: ARG002 - maps need no proof
        """What the maps found."""
        return self._view.notes if self._view else ()

    def come(self) -> None:
        """The maps follow every change, and stand on the sheet."""
        super().come()
        self.hand.crafter.look(True)
        self._turn_carve(self.widget.part)

    def need(self, shown: Shown) -> None:
        """The maps, wherever they are looked at."""
        if shown == "cut":
            self.hand.crafter.look(True)

    def gone(self) -> None:
        """The maps need not follow any more."""
        self.hand.crafter.look(False)

    def laid_over(self, project: Project) -> Overlay | None:
        """The carving map of the chosen block."""
        state = self.hand.state
        if state.shown != "cut":
            return None
        return carving_overlay(project, self.hand.crafter.carved_of(project), state.pull)

    def _turn_carve(self, part: str) -> None:
        """The carving map stands on the sheet; at the transfer the block as it then looks."""
        self.hand.show("carved" if part == "transfer" else "cut")

    def _compare_plans(self) -> None:
        """Hours of the plans that were found at Blocks, the best of each number of blocks."""
        hand, project = self.hand, self.hand.document.project
        found, request = hand.planner.found, hand.planner.request
        if project is None or found is None or request is None or not found.plans:
            hand.message.emit(tr("Look for plans with fewer blocks first, at Blocks."))
            return
        plans = []
        for row in found.plans:
            if row:
                other = with_plan(project, row[0], keep_key=request.wanted.keep_key)
                plans.append((tr("{blocks} blocks", blocks=len(other.blocks)), other))
        hand.crafter.compare_plans(plans)

    def _log_cutting(self, hours: float) -> None:
        hand, project = self.hand, self.hand.document.project
        if project is not None and hand.state.pull is not None:
            hand.bencher.log_cutting(project.impression(hand.state.pull).block, hours)

    def _set_material(self, material: Material | None) -> None:
        self.hand.editor.on_block(tr("Material of a block"), lambda p, block: with_material(p, block, material))
