"""How many sheets?"""

from collections.abc import Sequence

from PyQt6.QtCore import QPointF, QRectF, QSize, Qt, QTimer, pyqtSignal
from PyQt6.QtGui import QColor, QHideEvent, QPainter, QPaintEvent, QPen, QPolygonF
from PyQt6.QtWidgets import QComboBox, QSizePolicy, QWidget

from nomos.base.language import tr
from nomos.project.model import EditionPlan
from nomos.ui.frame import theme
from nomos.ui.frame.answers import Answers
from nomos.ui.frame.controls import Choice, Fields, Figures, NameField, button, label
from nomos.ui.frame.form import Form
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import group
from nomos.ui.stations.sheets.board import BoardPart
from nomos.ui.stations.sheets.board_view import BoardView
from nomos.ui.stations.sheets.sheets_view import RecordView, SheetsView

# How long each of two pictures is seen while they flicker.
_FLICKER_MS = 700
PARTS = (("sheets", tr("Sheets")), ("buy", tr("To buy")), ("board", tr("Board")), ("record", tr("Record")))


class ChanceCurve(QWidget):
    """How likely so many sheets are enough."""

    def __init__(self) -> None:
        super().__init__()
        self.setAccessibleName(tr("Chance that so many sheets are enough"))
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self._curve: tuple[tuple[int, float], ...] = ()
        self._start, self._confidence = 0, 0.9

    def show_curve(self, curve: Sequence[tuple[int, float]], start: int, confidence: float) -> None:
        """Show this."""
        self._curve, self._start, self._confidence = tuple(curve), start, confidence
        self.setVisible(len(curve) > 1)
        self.update()

    def sizeHint(self) -> QSize:
        return QSize(theme.scaled(220), theme.scaled(130))

    def minimumSizeHint(self) -> QSize:
        return QSize(theme.scaled(160), theme.scaled(130))

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        if len(self._curve) < 2:
            return
        painter, tone = QPainter(self), theme.tones()
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.setFont(theme.font(11))
        box = QRectF(theme.scaled(34), 8, self.width() - theme.scaled(44), self.height() - theme.scaled(34))
        first, last = self._curve[0][0], self._curve[-1][0]

        def at(count: float, chance: float) -> QPointF:
            x = box.left() + (count - first) / max(last - first, 1) * box.width()
            return QPointF(x, box.bottom() - chance * box.height())

        painter.setPen(QPen(QColor(tone.line), 1))
        for chance in (0.0, 0.5, 1.0):
            painter.drawLine(at(first, chance), at(last, chance))
            place = QRectF(0, at(first, chance).y() - 9, theme.scaled(30), 18)
            painter.setPen(QColor(tone.quiet))
            painter.drawText(place, Qt.AlignmentFlag.AlignRight, tr("{chance:.0f} %", chance=100 * chance))
            painter.setPen(QPen(QColor(tone.line), 1))
        painter.setPen(QPen(QColor(tone.accent), 2))
        painter.drawPolyline(QPolygonF([at(count, chance) for count, chance in self._curve]))
        here = at(self._start, dict(self._curve).get(self._start, self._confidence))
        painter.setPen(QPen(QColor(tone.text), 1, Qt.PenStyle.DashLine))
        painter.drawLine(QPointF(here.x(), box.bottom()), here)
        painter.setBrush(QColor(tone.accent))
        painter.drawEllipse(here, 4, 4)
        painter.setPen(QColor(tone.text))
        below = QRectF(here.x() - 60, box.bottom() + 4, 120, 18)
        painter.drawText(below, Qt.AlignmentFlag.AlignHCenter, tr("{start} sheets", start=self._start))


class SheetsStation(Answers):
    """The edition, the sheets to start with, what to buy, and the record."""

    field_requested = pyqtSignal(str, object)
    """A field of the project, and its value."""
    plan_requested = pyqtSignal()
    log_requested = pyqtSignal(object, object)
    """Chance of a good pull and minutes a pull, as the log has them."""
    chosen_requested = pyqtSignal(int, bool)
    """A sheet is among the best, or no longer."""
    number_requested = pyqtSignal()
    write_requested = pyqtSignal()
    picture_requested = pyqtSignal()
    compare_requested = pyqtSignal(int, int, str)
    """A proof, the plan (-1) or another proof, and how they are laid together."""
    remark_given = pyqtSignal(str)
    anew_requested = pyqtSignal()

    def __init__(self) -> None:
        super().__init__(tr("How many sheets?"), PARTS, "sheets")
        self.answer, self.figures, self.curve = label(kind="name"), Figures(), ChanceCurve()
        self.edition = Form(
            EditionPlan,
            (
                "edition", "artist", "printer", "proofing", "good", "confidence", "bat", "sacrificed",
                "varied",
            ),
        )  # fmt: skip
        self.learnt, self.take = label(kind="quiet"), button(tr("Take what the log says"))
        self.plan = button("", tip=tr("Plan ink and days by this number of sheets."))
        self.buy, self.cost = Figures(), label(kind="name")
        self.prices = Form(EditionPlan, ("full_mm", "paper_cost", "newsprint_cost"))
        self.layers, self.sheets = Figures(), ColourRows(tr("Sheets of the edition"))
        self.numbers, self.said = label(), label(kind="quiet")
        self.number, self.write = button(tr("Number the sheets")), button(tr("Write statement and tables…"))
        self.anew = button(tr("Begin another edition"), plain=True)
        self.hint = label(tr("Click a sheet to count it among the best: the best are numbered first."), kind="quiet")
        self._make_proofs()
        self.board = BoardPart()
        self._best: frozenset[str] = frozenset()
        self._good: float | None = None
        self._pace: float | None = None
        groups: dict[str, QWidget] = {
            "sheets": group(
                self.answer, self.curve, self.figures, self.plan, self.edition, self.learnt, self.take,
            ),
            "buy": group(self.buy, self.cost, self.prices),
            "board": self.board,
            "record": group(
                self.said, self.layers, self.numbers, self.number, self.write,
                label(tr("Proofs beside the plan"), kind="name"), self.picture, self.proof_fields, self.how,
                self.flicker, self.apart, label(tr("A remark"), kind="name"), self.remark, self.remarks,
                self.hint, self.sheets, self.anew,
            ),
        }  # fmt: skip
        self._connect()
        self.fill(groups)

    def _make_proofs(self) -> None:
        """Pictures of proofs, two of them laid together, and remarks."""
        self.picture = button(tr("Keep a picture of a proof…"), tip=tr("Put a scan of a proof with the record."))
        self.proof, self.against, self.proof_fields = QComboBox(), QComboBox(), Fields()
        self.proof_fields.add(tr("Proof"), self.proof, tr("A picture that was kept."))
        self.proof_fields.add(tr("Beside"), self.against, tr("The plan, or another picture, to lay it together with."))
        self.how = Choice(
            (("split", tr("Split")), ("difference", tr("Difference")), ("other", tr("Proof")), ("one", tr("Beside")))
        )
        self.flicker, self.apart = button(tr("Flicker")), label(kind="quiet")
        self.flicker.setCheckable(True)
        self.remark, self.remarks = (
            NameField(tr("A remark"), tr("What is to be remembered of this edition; it goes into its log.")),
            label(kind="quiet"),
        )
        self.remark.setMaxLength(400)
        self._clock = QTimer(self)
        self._clock.setInterval(_FLICKER_MS)
        self._clock.timeout.connect(self._turn_over)
        self._names: tuple[str, ...] = ()
        self._how = "split"
        self.picture.clicked.connect(self.picture_requested)
        self.proof.activated.connect(lambda _n: self._ask_compare(self._how))
        self.against.activated.connect(lambda _n: self._ask_compare(self._how))
        self.how.chosen.connect(self._ask_compare)
        self.flicker.clicked.connect(lambda on: self._clock.start() if on else self._clock.stop())
        self.remark.given.connect(self._give_remark)

    def hideEvent(self, _event: QHideEvent | None) -> None:
        self._clock.stop()
        self.flicker.setChecked(False)

    def _turn_over(self) -> None:
        self._ask_compare("one" if self._how == "other" else "other")

    def _ask_compare(self, how: str) -> None:
        if self._names:
            self._how = how
            self.compare_requested.emit(self.proof.currentIndex(), self.against.currentIndex() - 1, how)

    def _give_remark(self, text: str) -> None:
        self.remark_given.emit(text)
        self.remark.clear()

    def _connect(self) -> None:
        for form in (self.edition, self.prices):
            form.changed.connect(lambda path, value: self.field_requested.emit(f"plan.{path}", value))
        self.take.clicked.connect(lambda: self.log_requested.emit(self._good, self._pace))
        self.plan.clicked.connect(self.plan_requested)
        self.sheets.chosen.connect(lambda sheet: self.chosen_requested.emit(int(sheet), sheet not in self._best))
        self.number.clicked.connect(self.number_requested)
        self.write.clicked.connect(self.write_requested)
        self.anew.clicked.connect(self.anew_requested)

    def show_view(self, view: SheetsView, record: RecordView, board: BoardView) -> None:
        """Show the station."""
        plan = view.plan
        self.answer.setText(view.answer)
        self.figures.show_rows(view.figures)
        self.curve.show_curve(view.curve, view.start, plan.confidence)
        for form in (self.edition, self.prices):
            form.show_values(plan)
        self.learnt.setText(view.learnt)
        self._good, self._pace = view.learnt_good, view.learnt_pace
        for part in (self.learnt, self.take):
            part.setVisible(bool(view.learnt))
        self.plan.setText(tr("Ink and days are planned for them") if view.planned else tr("Plan ink and days for them"))
        self.plan.setEnabled(bool(view.start) and not view.planned)
        self.buy.show_rows(view.buy)
        self.cost.setText(view.cost)
        self.cost.setVisible(bool(view.cost))
        self._best = record.best
        self.said.setText(record.learnt)
        self._show_proofs(record)
        self.layers.show_rows(record.layers)
        self.sheets.show_rows(record.sheets, None)
        self.numbers.setText(record.numbers)
        self._show_record_parts(record)
        self.board.show_view(board)

    def _show_proofs(self, record: RecordView) -> None:
        if record.proofs != self._names:
            self._names = record.proofs
            for box, first in ((self.proof, ()), (self.against, (tr("the plan"),))):
                box.clear()
                box.addItems([*first, *record.proofs])
            self.proof.setCurrentIndex(len(record.proofs) - 1)
        self.how.show_choice(record.how)
        self._how = record.how or self._how
        for widget in (self.proof_fields, self.how, self.flicker):
            widget.setVisible(bool(record.proofs))
        self.apart.setText(record.apart)
        self.apart.setVisible(bool(record.apart))
        self.remarks.setText("\n".join(record.remarks))
        self.remarks.setVisible(bool(record.remarks))

    def _show_record_parts(self, record: RecordView) -> None:
        shown: tuple[QWidget, ...] = (
            self.layers, self.sheets, self.numbers, self.number, self.write, self.hint, self.anew,
        )  # fmt: skip
        for widget in shown:
            widget.setVisible(not record.empty)
