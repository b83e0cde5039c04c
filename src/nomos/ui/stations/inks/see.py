"""What will be seen: other lights and eyes, overlaps, the layers at a place, what the inks can reach."""

import numpy as np
from PyQt6.QtCore import QPointF, QRectF, QSize, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QPainter, QPaintEvent, QPen
from PyQt6.QtWidgets import QComboBox, QSizePolicy, QWidget

from nomos.base.language import tr
from nomos.colour import Lab
from nomos.colour.cielab import labs_to_hex
from nomos.colour.light import LIGHT_NAMES, LIGHTS
from nomos.colour.spectra import Array
from nomos.ui.frame import theme
from nomos.ui.frame.controls import Choice, Fields, NumberBox, button, label
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import group, part_column
from nomos.ui.stations.inks.see_view import SeeView

EYES = (
    ("normal", tr("all colours")), ("grey", tr("lightness alone, grey")), ("protan",
    tr("eyes that miss red (protan)")),
    ("deutan", tr("eyes that miss green (deutan)")), ("tritan", tr("eyes that miss blue (tritan)")),
)  # fmt: skip
_SLICE, _SPAN = 9.0, 100.0


class GamutSlice(QWidget):
    """Colours in reach at one lightness, a* across and b* up, with the wanted ones as rings."""

    def __init__(self) -> None:
        super().__init__()
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setAccessibleName(tr("Colours in reach"))
        self._cloud: list[tuple[float, float, QColor]] = []
        self._wanted: tuple[Lab, ...] = ()
        self._lightness = 60.0

    def show_slice(self, cloud: Array, wanted: tuple[Lab, ...], lightness: float) -> None:
        """Show the colours within 9 L* of a lightness."""
        near = cloud[np.abs(cloud[:, 0] - lightness) <= _SLICE]
        shown = zip(near.tolist(), labs_to_hex(near), strict=True)
        self._cloud = [(a, b, QColor(colour)) for (_, a, b), colour in shown]
        self._wanted, self._lightness = wanted, lightness
        self.update()

    def sizeHint(self) -> QSize:
        return QSize(theme.scaled(220), theme.scaled(210))

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter, tone = QPainter(self), theme.tones()
        side = min(self.width(), self.height()) - 2
        box = QRectF((self.width() - side) / 2, 0, side, side)
        painter.fillRect(box, QColor(theme.GROUND))
        painter.setPen(QPen(QColor(tone.line), 1))
        painter.drawLine(QPointF(box.left(), box.center().y()), QPointF(box.right(), box.center().y()))
        painter.drawLine(QPointF(box.center().x(), box.top()), QPointF(box.center().x(), box.bottom()))
        painter.setFont(theme.quiet_font())
        painter.setPen(QColor("#2b2b2b"))
        painter.drawText(box.adjusted(4, 0, -4, 0), Qt.AlignmentFlag.AlignRight, tr("b* up, a* right"))
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)

        def at(a: float, b: float) -> QPointF:
            return QPointF(box.center().x() + a / _SPAN * side / 2, box.center().y() - b / _SPAN * side / 2)

        painter.setPen(Qt.PenStyle.NoPen)
        for a, b, colour in self._cloud:
            painter.setBrush(colour)
            painter.drawEllipse(at(a, b), theme.scaled(3), theme.scaled(3))
        painter.setBrush(Qt.BrushStyle.NoBrush)
        for wanted in self._wanted:
            if abs(wanted[0] - self._lightness) <= _SLICE:
                painter.setPen(QPen(QColor("#ffffff"), 3.5))
                painter.drawEllipse(at(wanted[1], wanted[2]), theme.scaled(6), theme.scaled(6))
                painter.setPen(QPen(QColor("#1c1c1c"), 1.6))
                painter.drawEllipse(at(wanted[1], wanted[2]), theme.scaled(6), theme.scaled(6))


class SeePart(QWidget):
    """Looks at the print in other ways."""

    light_requested = pyqtSignal(str)
    eyes_requested = pyqtSignal(str)
    wet_requested = pyqtSignal(bool)
    chart_requested = pyqtSignal()
    chart_read = pyqtSignal()
    chart_learned = pyqtSignal()
    """Let the inks be refined by the printed chart."""

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.fields = Fields()
        self.light, self.eyes = QComboBox(), QComboBox()
        self.light.addItems([LIGHT_NAMES[light] for light in LIGHTS])
        self.eyes.addItems([text for _, text in EYES])
        self.fields.add(tr("Light"), self.light, tr("Under which light the print is looked at."))
        self.fields.add(tr("Seen by"), self.eyes, tr("With which eyes it is looked at."))
        self.dry = Choice(
            (
                ("dry", tr("As it dries"), tr("The print as it will be.")),
                ("wet", tr("While it is wet"), tr("Deeper and shining, as it leaves the press.")),
            )
        )
        self.parting = label(kind="quiet")
        self.here_title = label(kind="name")
        self.here = ColourRows(tr("Layers here"))
        self.overlaps = ColourRows(tr("Overlaps on the sheet"))
        self.chart = button(
            tr("Chart of all overlaps, to print…"),
            tip=tr("Patches of all inks over each other, to be printed and scanned."),
        )
        self.read_chart = button(tr("Compare a scan of it…"), tip=tr("Read a scan of the printed chart."))
        self.chart_rows = ColourRows(tr("The printed chart"))
        self.learn_chart = button(tr("Learn the inks from it…"), tip=tr("Put the inks right by what the chart shows."))
        self.learned = label(kind="quiet")
        self.slice_fields = Fields()
        self.lightness_box = NumberBox(0, 100, unit="L*", step=5, digits=0)
        self.lightness_box.show_value(60)
        self.slice_fields.add(
            tr("At lightness"), self.lightness_box, tr("The slice of colours that is shown: all of this lightness.")
        )
        self.gamut = GamutSlice()
        self.reach = label(kind="quiet")
        for widget in (
            self.fields, self.dry, self.parting, self.here_title, self.here,
            label(tr("Overlaps on the sheet, by area"), kind="name"), self.overlaps, self.chart,
            self.read_chart, self.chart_rows, self.learn_chart, self.learned,
        ):  # fmt: skip
            column.addWidget(widget)
        self.reaching = group(
            label(tr("What these inks can reach, wanted as rings"), kind="name"),
            self.slice_fields,
            self.gamut,
            self.reach,
        )
        self._cloud: Array = np.zeros((0, 3))
        self._wanted: tuple[Lab, ...] = ()
        self.light.activated.connect(lambda place: self.light_requested.emit(LIGHTS[place]))
        self.eyes.activated.connect(lambda place: self.eyes_requested.emit(EYES[place][0]))
        self.dry.chosen.connect(lambda value: self.wet_requested.emit(value == "wet"))
        self.chart.clicked.connect(self.chart_requested)
        self.read_chart.clicked.connect(self.chart_read)
        self.learn_chart.clicked.connect(self.chart_learned)
        self.lightness_box.set_by_hand.connect(lambda _value: self._show_slice())

    def _show_slice(self) -> None:
        self.gamut.show_slice(self._cloud, self._wanted, self.lightness_box.value())

    def show_view(self, view: SeeView) -> None:
        """Show what is seen."""
        self.light.setCurrentIndex(LIGHTS.index(view.light))
        self.eyes.setCurrentIndex([value for value, _ in EYES].index(view.eyes))
        self.dry.show_choice("wet" if view.wet_look else "dry")
        self.parting.setText(view.parting)
        self.here_title.setText(view.here_title)
        self.here.show_rows(view.here, None)
        self.overlaps.show_rows(view.overlaps, None)
        self.chart_rows.show_rows(view.chart, None)
        self.chart_rows.setVisible(bool(view.chart))
        self.learned.setText(view.learned)
        self.learned.setVisible(bool(view.learned))
        self.reach.setText(view.reach)
        self._cloud, self._wanted = view.cloud, view.wanted
        self._show_slice()
