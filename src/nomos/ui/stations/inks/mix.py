"""Recipes from a shelf, and batches put right."""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QWidget

from nomos.base.language import tr
from nomos.ui.frame.controls import Fields, Figures, NumberBox, button, label
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import beside, part_column
from nomos.ui.stations.inks.inks_view import MixView

_CAUTION = tr("Gloves and air with solvents; no dust of dry pigments. The ink's safety sheet comes first.")


class MixPart(QWidget):
    """Finds recipes for the chosen ink, weighs them, and corrects a batch."""

    shelf_requested = pyqtSignal()
    studio_requested = pyqtSignal()
    most_requested = pyqtSignal(int)
    mix_requested = pyqtSignal()
    recipe_chosen = pyqtSignal(str)
    recipe_taken = pyqtSignal()
    correction_requested = pyqtSignal(object, float)
    """The colour that came out (L*, a*, b*), and the grams of the batch."""
    keep_requested = pyqtSignal()
    readings_requested = pyqtSignal()
    card_requested = pyqtSignal()
    grey_skipped = pyqtSignal()
    card_taken = pyqtSignal()
    over_black_requested = pyqtSignal()
    card_to_print = pyqtSignal()

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.heading = label(kind="name")
        self.shelf = label(kind="quiet")
        self.open_shelf, self.look = (
            button(tr("Open a shelf…"), tip=tr("Mix from your own inks: a table of them.")),
            button(tr("Find recipes"), tip=tr("Look for mixtures of the shelf that show this ink's colour here.")),
        )
        self.studio = button(tr("The studio's inks"), tip=tr("Mix from the inks that are kept in the studio."))
        self.keep = button(
            tr("Keep this print's inks as a shelf…"), tip=tr("Write them as a table, for the next print.")
        )
        self.fields = Fields()
        self.most_box = NumberBox(1, 4, unit="", digits=0)
        self.batch_box = NumberBox(0.5, 100_000, unit="g", step=5)
        self.fields.add(
            tr("Inks at most"), self.most_box, tr("So many inks a recipe may hold, beside extender and white.")
        )
        self.fields.add(tr("Batch"), self.batch_box, tr("How much is to be mixed at once."))
        self.rows = ColourRows(tr("Recipes"))
        self.weights = Figures()
        self.note = label(kind="quiet")
        self.take = button(tr("Use this recipe"))
        self.came_title = label(tr("It came out otherwise"), kind="name")
        self.came = Fields()
        self.boxes = [NumberBox(low, high, unit="", step=1) for low, high in ((0, 100), (-128, 128), (-128, 128))]
        for name, box in zip(("L*", "a*", "b*"), self.boxes, strict=True):
            self.came.add(name, box, tr("The colour that came out, as it was read."))
        self.right = button(tr("Say what to add"))
        self.added = Figures()
        self.added_note = label(kind="quiet")
        self.teach = button(tr("Teach the ink from readings…"), tip=tr("Take the ink's optics from measured readings."))
        self.card, self.card_note = (
            button(tr("Read a drawdown card…"), tip=tr("Take the ink's optics from a scan of the card.")),
            label(kind="quiet"),
        )
        self.no_grey, self.take_card = (button(tr("It has no grey patch")), button(tr("Use this colour for the ink")))
        self.over_black = button(tr("It runs over a black stripe too"))
        self.write_card = button(
            tr("A card to draw down on, to print…"),
            tip=tr("A card with black and white bars for a drawdown of the ink."),
        )
        for widget in (
            self.heading, self.shelf, beside(self.open_shelf, self.studio), self.fields, self.look, self.rows,
            self.weights,
            self.note, self.take, self.came_title, self.came, self.right, self.added, self.added_note,
            label(tr("A measured ink"), kind="name"), self.teach, self.write_card, self.card, self.card_note,
            self.no_grey, self.over_black, self.take_card, self.keep, label(_CAUTION, kind="quiet"),
        ):  # fmt: skip
            column.addWidget(widget)
        self._for = ""
        self.open_shelf.clicked.connect(self.shelf_requested)
        self.studio.clicked.connect(self.studio_requested)
        self.most_box.set_by_hand.connect(lambda value: self.most_requested.emit(round(value)))
        self.look.clicked.connect(self.mix_requested)
        self.rows.chosen.connect(self.recipe_chosen)
        self.take.clicked.connect(self.recipe_taken)
        self.right.clicked.connect(self._ask_correction)
        self.teach.clicked.connect(self.readings_requested)
        self.keep.clicked.connect(self.keep_requested)
        self.card.clicked.connect(self.card_requested)
        self.no_grey.clicked.connect(self.grey_skipped)
        self.take_card.clicked.connect(self.card_taken)
        self.over_black.clicked.connect(self.over_black_requested)
        self.write_card.clicked.connect(self.card_to_print)

    def _ask_correction(self) -> None:
        lab = tuple(box.value() for box in self.boxes)
        self.correction_requested.emit(lab, self.batch_box.value())

    def show_view(self, view: MixView) -> None:
        """Show the recipes."""
        self.heading.setText(view.heading)
        self.shelf.setText(tr("From {shelf}. The batch is for the sheets at Proof.", shelf=view.shelf))
        self.most_box.show_value(view.most_inks)
        if view.heading != self._for:
            # Another ink in hand: its own batch, until another is set by hand.
            self._for = view.heading
            self.batch_box.show_value(view.batch_g)
        self.rows.show_rows(view.rows, view.chosen)
        self.weights.show_rows(view.weights)
        self.note.setText(view.note)
        self.added.show_rows(view.correction)
        self.added_note.setText(view.correction_note)
        for widget in (self.note, self.take, self.came_title, self.came, self.right):
            widget.setVisible(bool(view.rows))
        self.added_note.setVisible(bool(view.correction_note))
        self.card_note.setText(view.card)
        self.no_grey.setVisible(view.card_asks_grey)
        self.take_card.setVisible(view.card_read)
        self.over_black.setVisible(view.card_read and not view.card_over_black)
