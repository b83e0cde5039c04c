"""Plans with fewer blocks: what is wished, and what was found."""

from collections.abc import Sequence

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QComboBox, QWidget

from nomos.base.language import tr
from nomos.separation.plans import MOST_BLOCKS
from nomos.ui.frame.cards import Card
from nomos.ui.frame.controls import Choice, Fields, NumberBox, button, label
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import Cards, part_column
from nomos.ui.frame.rows import Row
from nomos.ui.stations.blocks.plan_chart import PlanCurve
from nomos.ui.stations.blocks.plans_view import WISHES, PlanChart

SOURCES = (
    ("mix", tr("any ink I could mix")),
    ("own", tr("the inks of this project")),
    ("process", tr("a yellow, a red and a blue")),
    ("studio", tr("the inks of the studio")),
    ("shelf", tr("a shelf file…")),
)


class FewerPart(QWidget):
    """Asks for plans and shows them as cards."""

    source_requested = pyqtSignal(str)
    most_requested = pyqtSignal(int)
    key_kept = pyqtSignal(bool)
    wish_requested = pyqtSignal(int, str)
    """Number of a flat colour, and `none`, `match` or `single`."""
    use_requested = pyqtSignal(str)
    """Name of an ink that is to be used in the next way: may, must, must not."""
    plans_requested = pyqtSignal()
    plan_taken = pyqtSignal(str)
    plan_pointed = pyqtSignal(str)
    """A plan is looked at; "" when it is left."""

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.fields = Fields()
        self.source = QComboBox()
        self.source.addItems([text for _, text in SOURCES])
        self.most_box = NumberBox(1, MOST_BLOCKS, unit="", digits=0)
        self.fields.add(tr("Inks"), self.source, tr("Which inks a plan may use."))
        self.fields.add(tr("Blocks"), self.most_box, tr("The most blocks that a plan may have."))
        self.keep = Choice(
            (
                ("keep", tr("The key stays"), tr("Plans keep the key block as it is.")),
                ("free", tr("The key is free"), tr("Plans may do without a key.")),
            )
        )
        self.wish_title = label(tr("Wishes: choose a colour"), kind="name")
        self.wishes = ColourRows(tr("Wishes"))
        self.wish = Choice((("none", tr("As it comes")), ("match", tr("Must match")), ("single", tr("One ink"))))
        self.uses_title = label(tr("Inks: click for may, must, must not"), kind="name")
        self.uses = ColourRows(tr("Inks to use"))
        self.look = button(
            tr("Look for plans"), tip=tr("Try all ways to print this with fewer blocks, by what overlaps make.")
        )
        self.note = label(kind="quiet")
        self.curve, self.enough = PlanCurve(), label()
        self.cards = Cards(tr("Plans"))
        self.reach_title = label(tr("Nearest to the sketch with two of these inks"), kind="name")
        self.reach = ColourRows(tr("Nearest to the sketch"))
        for widget in (
            label(tr("Fewer blocks by overprinting"), kind="name"), self.fields, self.keep, self.look,
            self.curve, self.enough, self.note, self.cards, self.wish_title, self.wishes,
            self.wish, self.uses_title, self.uses, self.reach_title, self.reach,
        ):  # fmt: skip
            column.addWidget(widget)
        self._colour: int | None = None
        self.wish.setVisible(False)
        self._connect()

    def _connect(self) -> None:
        self.source.activated.connect(lambda place: self.source_requested.emit(SOURCES[place][0]))
        self.most_box.set_by_hand.connect(lambda value: self.most_requested.emit(round(value)))
        self.keep.chosen.connect(lambda value: self.key_kept.emit(value == "keep"))
        self.wishes.chosen.connect(self._choose)
        self.wish.chosen.connect(self._ask)
        self.uses.chosen.connect(self.use_requested)
        self.look.clicked.connect(self.plans_requested)
        self.cards.chosen.connect(self.plan_taken)
        self.cards.pointed.connect(self.plan_pointed)
        self.curve.chosen.connect(self.plan_taken)
        self.curve.pointed.connect(self.plan_pointed)

    def _choose(self, row: str) -> None:
        self._colour = int(row)
        self.wishes.show_rows(self._wish_rows, row)
        word = next((each.figure for each in self._wish_rows if each.id == row), "")
        self.wish.show_choice(next((wish for wish, said in WISHES.items() if said == word), "none"))
        self.wish.setVisible(True)

    def _ask(self, wish: str) -> None:
        if self._colour is not None:
            self.wish_requested.emit(self._colour, wish)

    def show_requested(
        self, source: str, most: int, *, keep: bool, has_key: bool, wishes: Sequence[Row], uses: Sequence[Row]
    ) -> None:
        """Show what plans are looked for."""
        self.source.setCurrentIndex([value for value, _ in SOURCES].index(source))
        self.most_box.show_value(most)
        self.keep.show_choice("keep" if keep else "free")
        self.keep.setVisible(has_key)
        self._wish_rows = tuple(wishes)
        chosen = str(self._colour) if any(row.id == str(self._colour) for row in wishes) else None
        if chosen is None:
            self._colour = None
            self.wish.setVisible(False)
        self.wishes.show_rows(wishes, chosen)
        self.uses.show_rows(uses, None)
        self.uses_title.setVisible(bool(uses))
        self.uses.setVisible(bool(uses))

    def show_found(self, cards: Sequence[Card], note: str, reach: Sequence[Row], chart: PlanChart) -> None:
        """Show the plans found so far, and what the inks come to at best."""
        self.curve.show_chart(chart)
        self.enough.setText(chart.said)
        self.enough.setVisible(bool(chart.said))
        self.reach.show_rows(reach, None)
        self.reach_title.setVisible(bool(reach))
        self.cards.show_choices(cards)
        self.note.setText(note)
        self.note.setVisible(bool(note))
