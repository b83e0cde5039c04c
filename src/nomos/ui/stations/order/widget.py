"""Which order?"""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QComboBox, QHBoxLayout, QScrollArea, QWidget

from nomos.project.order.search import SCHOOLS
from nomos.ui.frame import theme
from nomos.ui.frame.controls import Choice, Fields, button, label
from nomos.ui.frame.lists import FindingList
from nomos.ui.frame.parts import Cards, answers_column, group
from nomos.ui.frame.rows import Note
from nomos.ui.stations.order.days import DaysPart, SittingPart
from nomos.ui.stations.order.usual_view import OrderView
from nomos.ui.stations.order.view import OrdersView

PARTS = (("orders", "Orders"), ("days", "Days"), ("sitting", "Cleaning"))
_SCHOOLS = tuple(SCHOOLS)


class OrderStation(QScrollArea):
    """Orders worth a look, why each block stands where it does, the days, and the cleaning."""

    order_asked = pyqtSignal(str)
    """`rule` or `key-first`, by the usual rules."""
    best_taken = pyqtSignal(str)
    """The place of an order among those found."""
    look_asked = pyqtSignal()
    school_asked = pyqtSignal(str)
    pin_asked = pyqtSignal()
    step_asked = pyqtSignal(int)
    """Earlier (-1) or later (1) for the chosen impression."""
    part_shown = pyqtSignal()

    def __init__(self) -> None:
        super().__init__()
        column = answers_column(self, "Which order?")
        self.note = label(
            "Drag a rung on the ladder to try another; sheet and figures answer at once.", kind="quiet"
        )
        self.parts = Choice(PARTS)
        self.own = label()
        self.cards = Cards("Usual orders")
        self.school = QComboBox()
        self.school.addItems([SCHOOLS[key][0] for key in _SCHOOLS])
        self.fields = Fields()
        self.fields.add("Keep to", self.school)
        self.why_school = label(kind="quiet")
        self.look = button("Look for the best orders")
        self.best, self.best_note = Cards("Best orders"), label(kind="quiet")
        self.why_title, self.why = label(kind="name"), label()
        self.earlier, self.later = button("Print it earlier"), button("Print it later")
        self.pin, self.pins = button("Pin it to its place"), label(kind="quiet")
        self.findings = FindingList()
        self.days, self.sitting = DaysPart(), SittingPart()
        self.part = "orders"
        self._groups: dict[str, QWidget] = {
            "orders": group(
                self.own, self.why_title, self.why, _beside(self.earlier, self.later), self.pin, self.pins,
                label("The usual ways", kind="name"), self.cards,
                label("The best of all", kind="name"), self.fields, self.why_school, self.look, self.best,
                self.best_note,
            ),
            "days": self.days,
            "sitting": self.sitting,
        }  # fmt: skip
        for widget in (self.note, self.parts, *self._groups.values(), self.findings):
            column.addWidget(widget)
        column.addStretch(1)
        self._connect()
        self.turn_to("orders")

    def _connect(self) -> None:
        self.parts.chosen.connect(self.turn_to)
        self.cards.chosen.connect(self.order_asked)
        self.best.chosen.connect(self.best_taken)
        self.look.clicked.connect(self.look_asked)
        self.school.activated.connect(lambda place: self.school_asked.emit(_SCHOOLS[place]))
        self.pin.clicked.connect(self.pin_asked)
        self.earlier.clicked.connect(lambda: self.step_asked.emit(-1))
        self.later.clicked.connect(lambda: self.step_asked.emit(1))

    def turn_to(self, part: str) -> None:
        """Show one part of the station."""
        self.part = part
        self.parts.show_choice(part)
        for name, made in self._groups.items():
            made.setVisible(name == part)
        self.part_shown.emit()

    def show_view(self, view: OrderView, orders: OrdersView, notes: tuple[Note, ...]) -> None:
        """Show the station."""
        self.cards.show_choices(view.choices)
        self.own.setText(orders.own)
        self.why_title.setText(view.why_title or "Choose a rung to see why it stands there")
        self.why.setText(view.why)
        self.why.setVisible(bool(view.why))
        self.earlier.setEnabled(view.can_go_earlier)
        self.later.setEnabled(view.can_go_later)
        self.pin.setEnabled(view.pull is not None)
        self.pin.setText("Let it go again" if orders.pinned else "Pin it to its place")
        self.pins.setText(orders.pins)
        self.pins.setVisible(bool(orders.pins))
        self.school.setCurrentIndex(_SCHOOLS.index(orders.school))
        self.why_school.setText(orders.why_school)
        self.best.show_choices(orders.cards)
        self.best_note.setText(orders.note)
        self.best_note.setVisible(bool(orders.note))
        self.findings.show_findings(notes)


def _beside(*widgets: QWidget) -> QWidget:
    made = QWidget()
    row = QHBoxLayout(made)
    row.setContentsMargins(0, 0, 0, 0)
    row.setSpacing(theme.scaled(6))
    for widget in widgets:
        row.addWidget(widget, 1)
    return made
