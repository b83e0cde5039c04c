"""On which days to print, and what is cleaned in between."""

from datetime import datetime, timedelta

from PyQt6.QtCore import QDate, QRectF, QSize, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QPainter, QPaintEvent, QPen
from PyQt6.QtWidgets import QDateEdit, QHBoxLayout, QSizePolicy, QWidget

from nomos.base.language import tr
from nomos.order.calendar import Calendar, Task
from nomos.order.times import FIRST_YEAR, LAST_YEAR, Times
from nomos.ui.frame import theme
from nomos.ui.frame.controls import Fields, Figures, NumberBox, button, label
from nomos.ui.frame.form import Form
from nomos.ui.frame.parts import group, part_column
from nomos.ui.stations.order.order_view import DaysView, SittingView, week_days

_MOST_DAYS = 60


class DaysPicture(QWidget):
    """A bar for each day: work filled, drying shaded below it."""

    def __init__(self) -> None:
        super().__init__()
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setAccessibleName(tr("Days"))
        self._plan: Calendar | None = None
        self._drawn: list[Task] = []

    def show_plan(self, plan: Calendar | None) -> None:
        """Show these days."""
        self._plan = plan
        end = self._days()[-1] + timedelta(days=1) if self._days() else None
        self._drawn = [task for task in plan.tasks if end and task.start < end] if plan is not None else []
        self.updateGeometry()
        self.update()

    def _days(self) -> list[datetime]:
        if self._plan is None or not self._plan.tasks:
            return []
        first = min(task.start for task in self._plan.tasks).replace(hour=0, minute=0, second=0, microsecond=0)
        last = max(task.end for task in self._plan.tasks)
        count = min((last.date() - first.date()).days + 1, _MOST_DAYS)
        return [first + timedelta(days=day) for day in range(count)]

    def sizeHint(self) -> QSize:
        return QSize(theme.scaled(220), max(len(self._days()), 1) * theme.scaled(20))

    def minimumSizeHint(self) -> QSize:
        return QSize(theme.scaled(140), self.sizeHint().height())

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter, tone = QPainter(self), theme.tones()
        tall, left = theme.scaled(20), theme.scaled(80)
        wide = self.width() - left
        painter.setFont(theme.quiet_font())
        for place, day in enumerate(self._days()):
            top = place * tall
            painter.setPen(QColor(tone.quiet))
            painter.drawText(QRectF(0, top, left, tall), Qt.AlignmentFlag.AlignVCenter, tr("{day:%a %d %b}", day=day))
            box = QRectF(left, top + 2, wide, tall - 4)
            painter.fillRect(box, QColor(tone.chosen))
            self._draw_day(painter, day, box)
            painter.setPen(QPen(QColor(tone.line), 1))
            for hour in (6, 12, 18):
                x = box.left() + hour / 24 * box.width()
                painter.drawLine(int(x), int(box.top()), int(x), int(box.bottom()))

    def _draw_day(self, painter: QPainter, day: datetime, box: QRectF) -> None:
        tone = theme.tones()
        for kind in ("dry", "damp", "cut", "print"):
            for task in self._drawn:
                start, end = max(task.start, day), min(task.end, day + timedelta(days=1))
                if task.kind != kind or start >= end:
                    continue
                x0 = (start - day).total_seconds() / 86400 * box.width()
                x1 = (end - day).total_seconds() / 86400 * box.width()
                part = QRectF(box.left() + x0, box.top(), max(x1 - x0, 2), box.height())
                if kind == "dry":
                    part.setTop(box.center().y())
                colours = {"dry": tone.accent_pale, "damp": tone.line, "cut": tone.text, "print": tone.accent}
                painter.fillRect(part, QColor(colours[kind]))


class DaysPart(QWidget):
    """The calendar and everything it depends on."""

    field_requested = pyqtSignal(str, object)
    """A field of the project, and its value."""
    day_requested = pyqtSignal(str, object)
    """The day to begin on, or the days of the week that are worked on."""
    day_lost = pyqtSignal(str)
    file_requested = pyqtSignal()
    air_requested = pyqtSignal()

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.said, self.refused = label(), label()
        self.picture, self.steps = DaysPicture(), Figures()
        self.legend = label(
            tr("Dark blue: printing. Black: cutting. Grey: damping. Pale: sheets drying. Lines at 6, 12, 18 h."),
            kind="quiet",
        )
        self.start = QDateEdit()
        self.lost = QDateEdit()
        for box in (self.start, self.lost):
            box.setDisplayFormat("yyyy-MM-dd")
            box.setCalendarPopup(True)
            box.setDateRange(QDate(FIRST_YEAR, 1, 1), QDate(LAST_YEAR, 12, 31))
        self.dates = Fields()
        self.dates.add(tr("Begin on"), self.start, tr("The first day of printing."))
        self.dates.add(tr("A day lost"), self.lost, tr("A day on which nothing can be printed."))
        self.lose, self.lost_note = (
            button(tr("Lose that day, or have it back"), tip=tr("The days after it move.")),
            label(kind="quiet"),
        )
        self.way = Form(Times, ("way",))
        self.fields = Form(
            Times,
            (
                "setup_min", "pull_min", "wash_min", "wipe_min", "cut_h", "rollers", "opens", "closes", "rack",
                "pulls_a_day", "temperature", "humidity", "damp_min", "keeps_days", "damp",
            ),
        )  # fmt: skip
        week = QWidget()
        row = QHBoxLayout(week)
        row.setContentsMargins(0, 0, 0, 0)
        row.setSpacing(theme.scaled(3))
        self.days = [button(day, tip=tr("Whether that day is worked on.")) for day in week_days()]
        for made in self.days:
            made.setCheckable(True)
            made.setProperty("narrow", True)
            row.addWidget(made, 1)
        self.air = button(tr("Read the air (simulated gauge)"), tip=tr("Take temperature and humidity from a gauge."))
        self.file = button(tr("Write the days as iCalendar…"), tip=tr("For your own calendar."))
        for widget in (
            self.said, self.refused, self.picture, self.legend, self.steps, self.file, self.way,
            self.dates, self.lose, self.lost_note,
        ):  # fmt: skip
            column.addWidget(widget)
        self.times = group(
            label(tr("Working days"), kind="name"), week, label(tr("Times"), kind="name"), self.fields, self.air
        )
        self._connect()

    def _connect(self) -> None:
        for form in (self.way, self.fields):
            form.changed.connect(lambda path, value: self.field_requested.emit(f"times.{path}", value))
        self.start.dateChanged.connect(self._ask_start)
        self.lose.clicked.connect(lambda: self.day_lost.emit(self.lost.date().toString("yyyy-MM-dd")))
        for made in self.days:
            made.clicked.connect(self._ask_days)
        self.air.clicked.connect(self.air_requested)
        self.file.clicked.connect(self.file_requested)

    def _ask_start(self, day: QDate) -> None:
        self.day_requested.emit("start", day.toString("yyyy-MM-dd"))

    def _ask_days(self) -> None:
        days = tuple(place for place, made in enumerate(self.days) if made.isChecked())
        self.day_requested.emit("days", days)

    def show_view(self, view: DaysView) -> None:
        """Show the days."""
        self.said.setText(view.said)
        self.refused.setText(view.refused)
        self.refused.setVisible(bool(view.refused))
        self.picture.show_plan(view.plan)
        self.steps.show_rows(view.steps)
        for form in (self.way, self.fields):
            form.show_values(view.times)
        first = QDate.fromString(view.start, Qt.DateFormat.ISODate)
        self.start.blockSignals(True)
        self.start.setDate(first)
        self.start.blockSignals(False)
        if self.lost.date() < first:
            self.lost.setDate(first)
        self.lost_note.setText(tr("Lost: {lost}.", lost=view.lost) if view.lost else "")
        self.lost_note.setVisible(bool(view.lost))
        for place, made in enumerate(self.days):
            made.setChecked(place in view.times.days)


class SittingPart(QWidget):
    """Rollers, cleaning and tack."""

    rollers_requested = pyqtSignal(int)

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.fields = Fields()
        self.rollers_box = NumberBox(1, 6, unit="", digits=0)
        self.fields.add(
            tr("Rollers or brushes"), self.rollers_box, tr("So many are at hand: fewer mean more wash-ups.")
        )
        self.steps, self.said = Figures(), label(kind="quiet")
        self.advice, self.caution = label(), label(kind="quiet")
        for widget in (
            label(tr("Which roller takes which ink"), kind="name"), self.fields, self.steps, self.said,
            label(tr("Tack of what goes on wet"), kind="name"), self.advice, self.caution,
        ):  # fmt: skip
            column.addWidget(widget)
        self.rollers_box.set_by_hand.connect(lambda value: self.rollers_requested.emit(round(value)))

    def show_view(self, view: SittingView) -> None:
        """Show cleaning and tack."""
        self.rollers_box.show_value(view.rollers)
        self.steps.show_rows(view.steps)
        self.said.setText(view.said)
        self.advice.setText("\n\n".join(view.advice) or tr("Nothing goes on wet ink that is not looser than it."))
        self.caution.setText(view.caution)
        self.caution.setVisible(bool(view.caution))
