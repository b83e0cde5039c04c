"""Which order?"""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QComboBox, QWidget

from nomos.base.language import tr
from nomos.project.order.search import SCHOOLS
from nomos.ui.frame.answers import Answers
from nomos.ui.frame.controls import Fields, button, label
from nomos.ui.frame.parts import Cards, beside, group
from nomos.ui.stations.order.days import DaysPart, SittingPart
from nomos.ui.stations.order.order_view import OrdersView
from nomos.ui.stations.order.usual_view import OrderView

PARTS = (("orders", tr("Orders")), ("days", tr("Days")), ("times", tr("Times")), ("sitting", tr("Cleaning")))
_SCHOOLS = tuple(SCHOOLS)


class OrderStation(Answers):
    """Orders worth a look, why each block stands where it does, the days, and the cleaning."""

    order_requested = pyqtSignal(str)
    """`rule` or `key-first`, by the usual rules."""
    best_taken = pyqtSignal(str)
    """The place of an order among those found."""
    look_requested = pyqtSignal()
    school_requested = pyqtSignal(str)
    pin_requested = pyqtSignal()
    step_requested = pyqtSignal(int)
    """Earlier (-1) or later (1) for the chosen impression."""

    def __init__(self) -> None:
        super().__init__(tr("Which order?"), PARTS, "orders")
        self.note = label(
            tr("Drag a rung on the ladder to try another; sheet and figures answer at once."), kind="quiet"
        )
        self.own = label()
        self.cards = Cards(tr("Usual orders"))
        self.school = QComboBox()
        self.school.addItems([SCHOOLS[key][0] for key in _SCHOOLS])
        self.fields = Fields()
        self.fields.add(tr("Keep to"), self.school, tr("A school whose order is kept; free takes any."))
        self.why_school = label(kind="quiet")
        self.look = button(tr("Look for the best orders"), tip=tr("Try all orders: colours, wash-ups, days."))
        self.best, self.best_note = Cards(tr("Best orders")), label(kind="quiet")
        self.why_title, self.why = label(kind="name"), label()
        self.earlier, self.later = (
            button(tr("Print it earlier"), tip=tr("One place earlier. Drag it on the ladder as well.")),
            button(tr("Print it later"), tip=tr("One place later. Drag it on the ladder as well.")),
        )
        self.pin, self.pins = (
            button(tr("Pin it to its place"), tip=tr("Orders that are looked for leave it there.")),
            label(kind="quiet"),
        )
        self.days, self.sitting = DaysPart(), SittingPart()
        groups: dict[str, QWidget] = {
            "orders": group(
                self.note, self.own, self.why_title, self.why, beside(self.earlier, self.later), self.pin,
                self.pins,
                label(tr("The usual ways"), kind="name"), self.cards,
                label(tr("The best of all"), kind="name"), self.fields, self.why_school, self.look, self.best,
                self.best_note,
            ),
            "days": self.days,
            "times": self.days.times,
            "sitting": self.sitting,
        }  # fmt: skip
        self._connect()
        self.fill(groups)

    def _connect(self) -> None:
        self.cards.chosen.connect(self.order_requested)
        self.best.chosen.connect(self.best_taken)
        self.look.clicked.connect(self.look_requested)
        self.school.activated.connect(lambda place: self.school_requested.emit(_SCHOOLS[place]))
        self.pin.clicked.connect(self.pin_requested)
        self.earlier.clicked.connect(lambda: self.step_requested.emit(-1))
        self.later.clicked.connect(lambda: self.step_requested.emit(1))

    def show_view(self, view: OrderView, orders: OrdersView) -> None:
        """Show the station."""
        self.cards.show_choices(view.choices)
        self.own.setText(orders.own)
        self.why_title.setText(view.why_title or tr("Choose a rung to see why it stands there"))
        self.why.setText(view.why)
        self.why.setVisible(bool(view.why))
        self.earlier.setEnabled(view.can_go_earlier)
        self.later.setEnabled(view.can_go_later)
        self.pin.setEnabled(view.pull is not None)
        self.pin.setText(tr("Let it go again") if orders.pinned else tr("Pin it to its place"))
        self.pins.setText(orders.pins)
        self.pins.setVisible(bool(orders.pins))
        self.school.setCurrentIndex(_SCHOOLS.index(orders.school))
        self.why_school.setText(orders.why_school)
        self.best.show_choices(orders.cards)
        self.best_note.setText(orders.note)
        self.best_note.setVisible(bool(orders.note))
