"""The bench in the window."""

from datetime import datetime

from nomos.base.language import tr
from nomos.project import Project, Proof
from nomos.project.register.readings import reading_text
from nomos.ui.frame import theme
from nomos.ui.frame.presenter import StationPresenter
from nomos.ui.stations.bench.bench_editor import GUIDE
from nomos.ui.stations.bench.bench_view import bench_view
from nomos.ui.stations.bench.bench_widget import BenchScreen

_PICTURE = 320


class BenchPresenter(StationPresenter[BenchScreen]):
    """One sheet after the other."""

    hint = tr("Space: good. X: spoiled. R: repaired. Backspace: take back. P: under the press. N: note. F: photograph.")
    in_middle = True

    def made(self) -> BenchScreen:
        """The widget, wired."""
        screen, bencher = BenchScreen(), self.hand.bencher
        screen.good.connect(lambda: bencher.pull("good"))
        screen.spoiled.connect(bencher.ask_reason)
        screen.reason_given.connect(bencher.spoil)
        screen.never_mind.connect(lambda: bencher.ask_reason(False))
        screen.repaired.connect(lambda: bencher.pull("repaired"))
        screen.taken_back.connect(bencher.take_back)
        screen.begun.connect(lambda: bencher.begin_layer())
        screen.guide_requested.connect(bencher.begin_guide)
        screen.guided_on.connect(bencher.guide_on)
        screen.guide_left.connect(bencher.leave_guide)
        screen.cut_refused.connect(bencher.cut_not_yet)
        screen.note_given.connect(bencher.note)
        screen.pressed.connect(lambda: bencher.press())
        screen.ticked.connect(self.hand.look_again)
        screen.photograph_requested.connect(self.hand.telephone_requested)
        return screen

    def show(self, project: Project, proof: Proof | None) -> None:
        """Render it."""
        bencher = self.hand.bencher
        state = bencher.state()
        if state is None:
            return
        guide = GUIDE[bencher.guide] if bencher.guide is not None else ""
        carved = self.hand.crafter.carved_of(project)
        worth = None if state.queue() and state.layer >= 0 else bencher.pass_worth(project, state)
        scanned = self.hand.registrar.scanned
        read = ""
        if scanned is not None and 0 <= state.layer < state.layers and 0 < scanned.sheet == bencher.last_sheet():
            # Once the next sheet is pulled it is that one's turn.
            read = tr(
                "Sheet {sheet}. {text}",
                sheet=scanned.sheet,
                text=reading_text(project, scanned.found, project.impressions[state.layer].id),
            )
        view = bench_view(
            project, proof, state, carved, datetime.now(),
            asking=bencher.asking_reason, asking_cut=bencher.asking_cut, guide=guide,
            warned=bencher.warned_elsewhere(state.layer),
            worth=worth.text if worth is not None else "",
            practising=bencher.book.practising, waiting=bencher.book.waiting, read=read, tall=theme.scaled(_PICTURE),
        )  # fmt: skip
        self.widget.show_view(view)
        bencher.warn(state.layer, view.reminders)

    def come(self) -> None:
        """It takes the keys, and cutting times are wanted."""
        super().come()
        self.hand.crafter.look(True)
        self.widget.setFocus()

    def gone(self) -> None:
        """Cutting times are no longer wanted."""
        self.hand.crafter.look(False)
