"""The Register station in the window."""

from dataclasses import replace

from nomos.base.language import tr
from nomos.project import Project, Proof
from nomos.ui.frame.presenter import StationPresenter
from nomos.ui.frame.sheet_view import Overlay, picture_overlay
from nomos.ui.frame.state import Shown
from nomos.ui.stations.register.proofs_view import (
    apart_overlay,
    exercise_overlay,
    inset_of,
    practice_view,
    proof_view,
    tolerance_view,
)
from nomos.ui.stations.register.register_view import register_view
from nomos.ui.stations.register.register_widget import RegisterStation


class RegisterPresenter(StationPresenter[RegisterStation]):
    """How does every sheet meet every block?"""

    hint = tr("Drag the ring on the sheet to put the chosen block out of register.")

    def made(self) -> RegisterStation:
        """The widget, wired."""
        made, hand = RegisterStation(), self.hand
        made.field_requested.connect(hand.editor.set)
        made.sheet_requested.connect(hand.places.set_sheet)
        made.image_requested.connect(hand.places.set_image_at)
        made.pull_chosen.connect(hand.choose_pull)
        made.offset_requested.connect(hand.places.set_offset)
        made.all_in_register_requested.connect(hand.places.all_in_register)
        made.page_requested.connect(hand.choose_page)
        made.packet_requested.connect(self.wishes.packet_requested)
        registrar = hand.registrar
        made.system_requested.connect(registrar.choose_system)
        made.part_turned.connect(self._turn_register)
        part = made.tolerance
        part.field_requested.connect(hand.editor.set)
        part.usual_requested.connect(registrar.usual_budget)
        part.sheets_requested.connect(registrar.show_sheets)
        part.sheet_requested.connect(registrar.show_one_sheet)
        part.print_requested.connect(registrar.hide_sheets)
        part.simulate_requested.connect(registrar.simulate)
        proofs = made.proofs
        proofs.pull_chosen.connect(hand.choose_pull)
        proofs.scan_requested.connect(registrar.open_scan)
        proofs.demo_scan_requested.connect(registrar.scan_demo)
        proofs.keep_requested.connect(registrar.keep_scan)
        proofs.read_requested.connect(registrar.read_by_eye)
        proofs.sheet_set.connect(registrar.set_sheet)
        proofs.uncut_set.connect(registrar.set_uncut)
        proofs.show_requested.connect(registrar.show_reading)
        made.practice.exercise_requested.connect(registrar.exercise)
        made.practice.answered.connect(registrar.answer)
        return made

    def show(self, project: Project, proof: Proof | None) -> None:
        """Render it; a part is worked out when it is in sight."""
        registrar, state, station = self.hand.registrar, self.hand.state, self.widget
        station.show_view(register_view(project, proof, state))
        if station.part == "tolerance":
            flashed = registrar.flashed
            fast, exact = (flashed.fast, flashed.exact) if flashed else (None, None)
            shown = tolerance_view(project, fast, exact)
            station.tolerance.show_view(shown, nine=registrar.grid is not None, alone=registrar.alone)
        elif station.part == "proofs":
            scanned = registrar.scanned
            found = scanned.found.pulls if scanned else ()
            name = scanned.name if scanned else ""
            station.proofs.show_view(proof_view(project, state.pull, found, name, uncut=registrar.uncut))
        elif station.part == "practice":
            done = registrar.practice
            station.practice.show_view(
                practice_view(
                    project, done.exercise if done else None, done.marking if done else None,
                    done.points if done else 0, done.answered if done else 0,
                )
            )  # fmt: skip

    def come(self) -> None:
        """The sheet follows the part that is in sight."""
        super().come()
        self._turn_register(self.widget.part)

    def need(self, shown: Shown) -> None:
        """How far pulls lie apart, wherever it is looked at."""
        if shown == "apart":
            self.hand.registrar.look_at_flashes(True)

    def gone(self) -> None:
        """Nothing is simulated any more."""
        self.hand.registrar.look_at_flashes(False)

    def laid_over(self, project: Project) -> Overlay | None:
        """How far pulls lie apart, plausible sheets, or the exercise."""
        state, registrar = self.hand.state, self.hand.registrar
        if state.shown == "apart" and registrar.grid is not None:
            return picture_overlay(project, registrar.grid, registrar.grid.shape[1] / project.paper.width_mm)
        if state.shown == "apart":
            flashed = registrar.flashed
            over = apart_overlay(project, (flashed.exact or flashed.fast) if flashed else None)
            close = registrar.magnified(over.spots[0]) if over.spots else None
            return replace(over, inset=inset_of(close)) if close is not None else over
        if state.shown == "exercise":
            return exercise_overlay(project, registrar.practice.exercise if registrar.practice else None)
        return None

    def _turn_register(self, part: str) -> None:
        """The sheet follows the part of the Register station that is in sight."""
        hand = self.hand
        hand.registrar.look_at_flashes(part == "tolerance")
        if part == "practice" and hand.registrar.practice is None:
            hand.registrar.exercise()
        if part == "tolerance":
            hand.show("apart")
        elif part == "practice":
            hand.show("exercise")
        elif hand.state.shown in ("apart", "exercise"):
            hand.show("print")
        else:
            hand.look_again()
