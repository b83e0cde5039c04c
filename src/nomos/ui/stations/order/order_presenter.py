"""The Order station in the window."""

from datetime import date

from nomos.base.language import tr
from nomos.base.progress import Progress
from nomos.project import Project, Proof
from nomos.project.blocks.methods import with_usual_order
from nomos.project.sheet.changes import overprinted
from nomos.ui.frame import theme
from nomos.ui.frame.cards import Card
from nomos.ui.frame.presenter import Latest, StationPresenter
from nomos.ui.frame.sheet_view import Overlay
from nomos.ui.stations.order.order_view import best_cards, days_view, orders_view, sitting_view
from nomos.ui.stations.order.order_widget import OrderStation
from nomos.ui.stations.order.usual_view import order_view, usual_cards

_CARD_PICTURE = 66


class OrderPresenter(StationPresenter[OrderStation]):
    """Which order?"""

    hint = tr("Click a rung to see the sheet after that pull; drag a rung to print it earlier or later.")

    def made(self) -> OrderStation:
        """The widget, wired."""
        self._marked = Latest[Overlay]()
        self._usual, self._best = Latest[tuple[Card, ...]](), Latest[tuple[Card, ...]]()
        made = OrderStation()
        made.order_requested.connect(self.hand.methods.take_order)
        made.step_requested.connect(self.hand.step_pull)
        orderer = self.hand.orderer
        made.best_taken.connect(orderer.take)
        made.cards.pointed.connect(self._lay_usual_beside)
        made.best.pointed.connect(self._lay_best_beside)
        made.look_requested.connect(orderer.look)
        made.school_requested.connect(orderer.choose_school)
        made.pin_requested.connect(orderer.pin)
        made.part_turned.connect(self.hand.look_again)
        made.days.field_requested.connect(self.hand.editor.set)
        made.days.day_requested.connect(lambda name, value: orderer.set_times(**{name: value}))
        made.days.day_lost.connect(orderer.lose_day)
        made.days.file_requested.connect(orderer.write_calendar)
        made.days.air_requested.connect(orderer.read_air)
        made.sitting.rollers_requested.connect(orderer.set_rollers)
        return made

    def _lay_usual_beside(self, key: str) -> None:
        def make(project: Project, progress: Progress) -> Project:
            return with_usual_order(project, key, progress=progress)

        self.wishes.beside_requested.emit(tr("in that order"), make if key else None)

    def _lay_best_beside(self, key: str) -> None:
        self.wishes.beside_requested.emit(tr("in that order"), self.hand.orderer.printed_in(key))

    def laid_over(self, project: Project) -> Overlay | None:
        """While the sheet grows, where the last pull changes what is printed already."""
        state, proof = self.hand.state, self.hand.keeper.proof
        if state.shown != "print" or not state.pulls or proof is None or proof.project is not project:
            return None
        pulls, laid = state.pulls, proof.laid
        return self._marked.of(
            (project, laid, pulls),
            lambda: Overlay(lines=overprinted(project, laid, pulls)),
            rough=self.hand.keeper.rough,
        )

    def show(self, project: Project, proof: Proof | None) -> None:
        """Render it; days and cleaning are worked out when they are in sight."""
        orderer, state, station = self.hand.orderer, self.hand.state, self.widget
        tall = theme.scaled(_CARD_PICTURE)
        wanted = orderer.wanted
        report = orderer.report
        usual = self._usual.of((project, proof), lambda: usual_cards(project, proof, tall))
        best = self._best.of((project, proof, report), lambda: best_cards(project, proof, report, tall))
        found = orders_view(project, proof, report, wanted.school, wanted.pins, state.pull, best)
        station.show_view(order_view(project, state, usual), found)
        if station.part in ("days", "times"):
            station.days.show_view(days_view(project, date.today(), orderer.days_of(project)))
        elif station.part == "sitting":
            station.sitting.show_view(sitting_view(project, orderer.rollers))
