"""How many blocks: the plans side by side, the nearer the colours the higher, with what each asks."""

from PyQt6.QtCore import QPointF, QRectF, QSize, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen, QPolygonF
from PyQt6.QtWidgets import QSizePolicy, QWidget

from nomos.base.language import tr
from nomos.base.units import number
from nomos.ui.frame import theme
from nomos.ui.frame.plain_text import set_tip
from nomos.ui.frame.rest import Rest
from nomos.ui.stations.blocks.plans_view import PlanChart, PlanPoint

_TALL, _HEAD, _LINE, _SIDE = 150, 10, 17, 44
_LEAST_SPAN = 4.0


class PlanCurve(QWidget):
    """A point for the mean, an open one for the worst colour with how sure it is; click to take a plan."""

    chosen = pyqtSignal(str)
    pointed = pyqtSignal(str)
    """A plan is looked at, by the pointer's rest on it or by an arrow key; "" when it is left."""

    def __init__(self) -> None:
        super().__init__()
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setAccessibleName(tr("Plans by their number of blocks"))
        set_tip(self, tr("Rest on a plan to see it on the sheet; click to print by it."))
        self.setMouseTracking(True)
        self._chart = PlanChart()
        self._rest = Rest(self)
        self._rest.rested.connect(self._point)
        self.hide()

    def show_chart(self, chart: PlanChart) -> None:
        """Show these."""
        if chart != self._chart:
            self._chart = chart
            self.setAccessibleDescription(chart.said)
            self.setVisible(bool(chart.points))
            self.update()

    def sizeHint(self) -> QSize:
        return QSize(theme.scaled(240), theme.scaled(_TALL + _HEAD + 4 * _LINE))

    def minimumSizeHint(self) -> QSize:
        return QSize(theme.scaled(180), self.sizeHint().height())

    def _wide(self) -> float:
        return (self.width() - theme.scaled(_SIDE)) / max(len(self._chart.points), 1)

    def _middle(self, place: int) -> float:
        return theme.scaled(_SIDE) + (place + 0.5) * self._wide()

    def _height(self, de00: float) -> float:
        most = max(_LEAST_SPAN, max(each.worst + each.within for each in self._chart.points))
        return theme.scaled(_HEAD) + min(max(de00, 0), most) / most * theme.scaled(_TALL - 2 * _HEAD)

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        if not self._chart.points:
            return
        painter, tone = QPainter(self), theme.tones()
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        for place, point in enumerate(self._chart.points):
            box = QRectF(theme.scaled(_SIDE) + place * self._wide(), 0, self._wide(), self.height())
            if point.blocks == self._chart.enough:
                painter.fillRect(box, QColor(tone.accent_pale))
            if place == self._rest.place:
                painter.setPen(QPen(QColor(tone.accent), 1))
                painter.drawRect(box.adjusted(0, 0, -1, -1))
        self._draw_scale(painter)
        means = [QPointF(self._middle(n), self._height(each.mean)) for n, each in enumerate(self._chart.points)]
        painter.setPen(QPen(QColor(tone.accent), 1.6))
        painter.drawPolyline(QPolygonF(means))
        for place, point in enumerate(self._chart.points):
            self._draw_point(painter, place, point)
        theme.draw_focus(painter, self)

    def _draw_scale(self, painter: QPainter) -> None:
        tone = theme.tones()
        painter.setFont(theme.font(11))
        most = max(_LEAST_SPAN, max(each.worst + each.within for each in self._chart.points))
        step = next(step for step in (1, 2, 5, 10, 20, 50, 100) if most / step <= 6)
        for value in range(0, int(most) + 1, step):
            y = self._height(value)
            painter.setPen(QPen(QColor(tone.line), 1))
            painter.drawLine(QPointF(theme.scaled(_SIDE), y), QPointF(self.width(), y))
            painter.setPen(QColor(tone.quiet))
            box = QRectF(0, y - 9, theme.scaled(_SIDE - 6), 18)
            painter.drawText(box, int(Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter), f"{value}")
        painter.drawText(QPointF(0, theme.scaled(_HEAD + 4)), "ΔE")
        for line, name in enumerate((tr("blocks"), tr("mean"), tr("cut"), tr("days"))):
            painter.drawText(QPointF(0, self._foot(line) + theme.scaled(13)), name)

    def _foot(self, line: int) -> float:
        return theme.scaled(_TALL + line * _LINE)

    def _draw_point(self, painter: QPainter, place: int, point: PlanPoint) -> None:
        tone, x = theme.tones(), self._middle(place)
        dot = theme.scaled(3.5)
        worst = self._height(point.worst)
        painter.setPen(QPen(QColor(tone.quiet), 1.2))
        low, high = (self._height(point.worst + sign * point.within) for sign in (1, -1))
        painter.drawLine(QPointF(x, low), QPointF(x, high))
        painter.setBrush(QColor(tone.answers))
        painter.drawEllipse(QPointF(x, worst), dot, dot)
        painter.setPen(QPen(QColor(tone.accent), 1))
        painter.setBrush(QColor(tone.accent))
        painter.drawEllipse(QPointF(x, self._height(point.mean)), dot, dot)
        painter.setBrush(Qt.BrushStyle.NoBrush)
        figures = (
            f"{point.blocks}", number(point.mean),
            "" if point.hours is None else f"{number(point.hours, 0)} h",
            "" if point.days is None else f"{point.days}",
        )  # fmt: skip
        painter.setPen(QColor(tone.text))
        for line, text in enumerate(figures):
            box = QRectF(x - self._wide() / 2, self._foot(line), self._wide(), theme.scaled(_LINE))
            painter.drawText(box, Qt.AlignmentFlag.AlignCenter, text)

    def _place_of(self, x: float) -> int:
        place = int((x - theme.scaled(_SIDE)) // self._wide()) if self._chart.points else -1
        return place if 0 <= place < len(self._chart.points) else -1

    def _point(self, place: int) -> None:
        self.pointed.emit(self._chart.points[place].key if 0 <= place < len(self._chart.points) else "")
        self.update()

    def mouseMoveEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        if self._rest.over(self._place_of(event.position().x())):
            self.update()

    def leaveEvent(self, _event: object) -> None:
        self._rest.leave()

    def hideEvent(self, _event: object) -> None:
        self._rest.stop()

    def mousePressEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        place = self._place_of(event.position().x())
        if place >= 0:
            self.chosen.emit(self._chart.points[place].key)

    def keyPressEvent(self, event: QKeyEvent | None) -> None:
        assert event is not None
        step = {Qt.Key.Key_Left: -1, Qt.Key.Key_Right: 1}.get(Qt.Key(event.key()))
        if step is not None and self._chart.points:
            self._rest.at(min(max(self._rest.place + step, 0), len(self._chart.points) - 1))
        elif event.key() in (Qt.Key.Key_Return, Qt.Key.Key_Enter, Qt.Key.Key_Space) and 0 <= self._rest.place < len(
            self._chart.points
        ):
            self.chosen.emit(self._chart.points[self._rest.place].key)
        else:
            super().keyPressEvent(event)
