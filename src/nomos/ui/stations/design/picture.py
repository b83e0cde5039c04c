"""The picture as it was opened: corners to drag, a length to draw, places that stay bare."""

from collections.abc import Sequence

import numpy as np
from PyQt6.QtCore import QPointF, QRectF, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QImage, QKeyEvent, QMouseEvent, QPainter, QPainterPath, QPaintEvent, QPen, QPolygonF
from PyQt6.QtWidgets import QWidget

from nomos.base.language import tr
from nomos.design.cut import Corners, Point
from nomos.proof import from_rgb, pixels_of, render_view
from nomos.ui.frame import theme
from nomos.ui.frame.sheet import image_of
from nomos.ui.stations.design.picture_marks import MARGIN, draw_coarse, draw_hatched, draw_note
from nomos.ui.stations.design.picture_view import PictureContent, PictureTool
from nomos.ui.stations.design.print_size import PrintSize

_HANDLE = 9
_LOUPE_PX, _LOUPE_ZOOM = 190, 4.0
_STEP_PX, _LONG_STEP_PX = 1.0, 10.0
_STEP_MM, _LONG_STEP_MM = 1.0, 10.0
_NAMES = (tr("top left"), tr("top right"), tr("bottom right"), tr("bottom left"))
_MOVES = {
    Qt.Key.Key_Left: (-1, 0), Qt.Key.Key_Right: (1, 0), Qt.Key.Key_Up: (0, -1), Qt.Key.Key_Down: (0, 1)
}  # fmt: skip


class PictureView(QWidget):
    """Shows a PictureContent; reports corners once they are let go of, lengths and polygons once drawn."""

    corners_set = pyqtSignal(object)
    """Corners, as shares of the picture."""
    sheet_set = pyqtSignal(object)
    """Corners of the sheet it was drawn on."""
    polygon_drawn = pyqtSignal(object)
    """A polygon that stays bare, as shares of the picture."""
    width_dragged = pyqtSignal(float)
    """How wide the print is to be, mm."""
    said = pyqtSignal(str)
    """What the pointer is about, for the foot line."""

    def __init__(self) -> None:
        super().__init__()
        self.setMouseTracking(True)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setMinimumSize(240, 160)
        self.setAccessibleName(tr("Picture as it was opened"))
        self._content: PictureContent | None = None
        self.tool: PictureTool = "corners"
        self.chosen = 0
        self._shapes: dict[str, list[Point]] = {"corners": [], "sheet": []}
        self.print_size = PrintSize()
        self.drawn_length: tuple[Point, Point] | None = None
        """The last line drawn along something known: its ends, as shares of the picture."""
        self._dragging = False
        self._nudged = False
        self._line: list[Point] = []
        self._polygon: list[Point] = []
        self._pointer: Point | None = None

    def show_content(self, content: PictureContent | None) -> None:
        """Show this; corners that are being dragged stay with the hand."""
        before, self._content = self._content, content
        if content is not None and not self._dragging:
            sheet = content.sheet or content.corners
            self._shapes = {"corners": list(content.corners), "sheet": list(sheet)}
        if content is not None:
            self.print_size.show_size(content.size_mm, self.print_size.paper)
        if content is None or before is None or before.levels is not content.levels:
            self._line, self._polygon = [], []
        self.update()

    def use(self, tool: PictureTool) -> None:
        """Drag corners, draw a length, or draw round a place that stays bare."""
        self.tool = tool
        self._line, self._polygon = [], []
        self.setCursor(Qt.CursorShape.ArrowCursor if self._holds_corners() else Qt.CursorShape.CrossCursor)
        self.update()

    def show_paper(self, paper: str) -> None:
        """Show the print on another sheet while its size is asked for."""
        self.print_size.paper = paper
        self.update()

    @property
    def _held(self) -> list[Point]:
        """The corners in hand: of what is printed, or of the sheet."""
        return self._shapes["sheet" if self.tool == "sheet" else "corners"]

    def _holds_corners(self) -> bool:
        return self.tool in ("corners", "sheet")

    # Where the picture lies

    def _box(self) -> QRectF:
        """The picture on the screen."""
        assert self._content is not None
        height, width = self._content.levels[0].shape
        room = self._room()
        if self._content.coarse is not None:
            room.setRight(room.left() + room.width() * 0.5 - theme.scaled(8))
        scale = min(room.width() / width, room.height() / height)
        box = QRectF(0, 0, width * scale, height * scale)
        box.moveCenter(room.center())
        return box

    def _room(self) -> QRectF:
        return QRectF(self.rect()).adjusted(*(theme.scaled(m) for m in (MARGIN, MARGIN, -MARGIN, -MARGIN)))

    def _asks_size(self) -> bool:
        return self.tool == "size" and self._content is not None and self._content.coarse is None

    def _to_screen(self, place: Point) -> QPointF:
        box = self._box()
        return QPointF(box.left() + place[0] * box.width(), box.top() + place[1] * box.height())

    def _to_share(self, at: QPointF) -> Point:
        box = self._box()
        x, y = (at.x() - box.left()) / box.width(), (at.y() - box.top()) / box.height()
        return min(max(x, -0.2), 1.2), min(max(y, -0.2), 1.2)

    # Painting

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter = QPainter(self)
        painter.fillRect(self.rect(), QColor(theme.GROUND))
        if self._content is None:
            return
        if self._asks_size():
            self.print_size.paint(painter, self._room(), self._small_picture(), self._content.corners)
            theme.draw_focus(painter, self, on_ground=True)
            return
        box = self._box()
        self._draw_picture(painter, box)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        self._dim_the_rest(painter, box)
        if self._content.sheet is not None or self.tool == "sheet":
            self._outline(painter, self._shapes["sheet"], dashed=True)
        self._outline(painter, self._shapes["corners"], dashed=False)
        for polygon in self._content.bare:
            draw_hatched(painter, self._polygon_of(polygon))
        for outline in self._content.asked:
            draw_hatched(painter, self._polygon_of(outline), asked=True)
        if self._polygon:
            draw_hatched(painter, self._polygon_of([*self._polygon, *([self._pointer] if self._pointer else [])]))
        if self._line:
            self._draw_length(painter)
        if self._holds_corners() and self._content.coarse is None:
            self._draw_corners(painter)
        if self._content.coarse is not None:
            draw_coarse(painter, self._content.coarse, QRectF(self.rect()))
        if self._content.note:
            draw_note(painter, self._content.note, QPointF(self.width() / 2, theme.scaled(14)))
        theme.draw_focus(painter, self, on_ground=True)

    def _small_picture(self) -> QImage:
        """The picture with no more pixels than can be seen of it."""
        assert self._content is not None
        seen = max(self.width(), self.height()) * self.devicePixelRatioF()
        levels = [level for level in self._content.levels if max(level.shape) >= seen]
        return image_of(from_rgb(pixels_of((levels or list(self._content.levels[:1]))[-1])), 1.0)

    def _draw_picture(self, painter: QPainter, box: QRectF) -> None:
        assert self._content is not None
        height, width = self._content.levels[0].shape
        ratio = self.devicePixelRatioF()
        size = max(1, round(box.width() * ratio)), max(1, round(box.height() * ratio))
        view = render_view(self._content.levels, None, (0, 0, width, height), size)
        painter.drawImage(box.topLeft(), image_of(view, ratio))

    def _dim_the_rest(self, painter: QPainter, box: QRectF) -> None:
        """What is not printed, under a veil of the ground's grey."""
        outside = QPainterPath()
        outside.addRect(box)
        inside = QPainterPath()
        inside.addPolygon(QPolygonF([self._to_screen(corner) for corner in self._shapes["corners"]]))
        inside.closeSubpath()
        veil = QColor(theme.GROUND)
        veil.setAlpha(150)
        painter.fillPath(outside.subtracted(inside), veil)

    def _outline(self, painter: QPainter, corners: Sequence[Point], *, dashed: bool) -> None:
        shape = QPolygonF([self._to_screen(corner) for corner in corners])
        painter.setBrush(Qt.BrushStyle.NoBrush)
        style = Qt.PenStyle.DashLine if dashed else Qt.PenStyle.SolidLine
        for colour, wide in (("#ffffff", 4.0), (theme.LIGHT.accent, 1.6)):
            painter.setPen(QPen(QColor(colour), wide, style if colour != "#ffffff" else Qt.PenStyle.SolidLine))
            if not (dashed and colour == "#ffffff"):
                painter.drawPolygon(shape)

    def _polygon_of(self, shares: Sequence[Point]) -> QPolygonF:
        return QPolygonF([self._to_screen(point) for point in shares])

    def _draw_length(self, painter: QPainter) -> None:
        ends = [self._to_screen(point) for point in self._line]
        for colour, wide in (("#ffffff", 5.0), (theme.LIGHT.accent, 2.2)):
            painter.setPen(QPen(QColor(colour), wide))
            painter.drawLine(ends[0], ends[-1])
            for end in ends:
                painter.drawEllipse(end, 4, 4)

    def _draw_corners(self, painter: QPainter) -> None:
        radius = theme.scaled(_HANDLE)
        for place, corner in enumerate(self._held):
            at = self._to_screen(corner)
            chosen = place == self.chosen
            painter.setPen(QPen(QColor("#ffffff"), 5))
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.drawEllipse(at, radius, radius)
            painter.setPen(QPen(QColor(theme.LIGHT.accent), 2.4))
            painter.setBrush(QColor(theme.LIGHT.accent) if chosen else Qt.BrushStyle.NoBrush)
            painter.drawEllipse(at, radius, radius)
        if self._dragging or (self.hasFocus() and self._nudged):
            self._draw_loupe(painter)

    def _draw_loupe(self, painter: QPainter) -> None:
        """The corner in hand, enlarged, with a cross where it lies."""
        assert self._content is not None
        side = theme.scaled(_LOUPE_PX)
        height, width = self._content.levels[0].shape
        x, y = self._held[self.chosen]
        half = min(side / 2 / _LOUPE_ZOOM, width / 2 - 1, height / 2 - 1)
        cx = min(max(x * width, half), width - half)
        cy = min(max(y * height, half), height - half)
        view = render_view(self._content.levels, None, (cx - half, cy - half, cx + half, cy + half), (side, side))
        at = self._to_screen((x, y))
        left = at.x() + 28 if at.x() + 28 + side < self.width() else at.x() - 28 - side
        top = at.y() + 28 if at.y() + 28 + side < self.height() else at.y() - 28 - side
        painter.drawImage(QPointF(left, top), image_of(view, 1.0))
        frame = QRectF(left, top, side, side)
        cross = QPointF(
            left + (x * width - cx + half) / (2 * half) * side, top + (y * height - cy + half) / (2 * half) * side
        )
        painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.save()
        painter.setClipRect(frame)
        for colour, wide in (("#ffffff", 3.0), (theme.LIGHT.accent, 1.2)):
            painter.setPen(QPen(QColor(colour), wide))
            painter.drawLine(QPointF(left, cross.y()), QPointF(left + side, cross.y()))
            painter.drawLine(QPointF(cross.x(), top), QPointF(cross.x(), top + side))
        painter.restore()
        painter.setPen(QPen(QColor("#1c1c1c"), 1.5))
        painter.drawRect(frame)

    # The hand

    def _busy(self) -> bool:
        return self._content is None or self._content.coarse is not None

    def mousePressEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        if self._busy():
            return
        share = self._to_share(event.position())
        if self.tool == "size":
            self._dragging = self.print_size.press(self._room(), event.position())
        elif self.tool == "length":
            self._line = [share, share]
        elif self.tool == "bare":
            self._add_point(event.position(), share)
        else:
            away = [(self._to_screen(corner) - event.position()).manhattanLength() for corner in self._held]
            nearest = int(np.argmin(away))
            if away[nearest] < theme.scaled(36):
                self.chosen, self._dragging, self._nudged = nearest, True, True
        self.update()

    def mouseMoveEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        if self._busy():
            return
        self._pointer = self._to_share(event.position())
        if self._dragging and self.tool == "size":
            self.print_size.drag(self._room(), event.position())
        elif self._dragging:
            self._held[self.chosen] = self._pointer
            self._say()
        elif self._line and event.buttons() & Qt.MouseButton.LeftButton:
            self._line = [self._line[0], self._pointer]
        self.update()

    def mouseReleaseEvent(self, _event: QMouseEvent | None) -> None:
        if self._dragging and self.tool == "size":
            self._dragging = False
            self._give_width()
        elif self._dragging:
            self._dragging = False
            self._give_corners()
        elif self._line and self._line[0] != self._line[-1]:
            self.drawn_length = self._line[0], self._line[-1]
        self.update()

    def mouseDoubleClickEvent(self, _event: QMouseEvent | None) -> None:
        if self.tool == "bare":
            self._close_polygon()

    def keyPressEvent(self, event: QKeyEvent | None) -> None:
        assert event is not None
        key = Qt.Key(event.key())
        if self._busy():
            super().keyPressEvent(event)
        elif key in _MOVES and self._holds_corners():
            long = bool(event.modifiers() & Qt.KeyboardModifier.ShiftModifier)
            self._nudge(*_MOVES[key], _LONG_STEP_PX if long else _STEP_PX)
        elif key in _MOVES and self.tool == "size":
            by = _LONG_STEP_MM if event.modifiers() & Qt.KeyboardModifier.ShiftModifier else _STEP_MM
            self.print_size.nudge(by if key in (Qt.Key.Key_Right, Qt.Key.Key_Up) else -by)
            self.update()
        elif key in (Qt.Key.Key_Space, Qt.Key.Key_Return) and self._holds_corners():
            self.chosen = (self.chosen + 1) % 4
            self._nudged = True
            self._say()
            self.update()
        elif key == Qt.Key.Key_Return and self.tool == "bare":
            self._close_polygon()
        else:
            super().keyPressEvent(event)

    def keyReleaseEvent(self, event: QKeyEvent | None) -> None:
        assert event is not None
        moved = Qt.Key(event.key()) in _MOVES and not event.isAutoRepeat()
        if moved and self.tool == "size":
            self._give_width()
        elif moved and self._holds_corners():
            self._give_corners()
        else:
            super().keyReleaseEvent(event)

    def _give_width(self) -> None:
        width = self.print_size.let_go()
        if width is not None:
            self.width_dragged.emit(width)

    def _nudge(self, dx: int, dy: int, by_px: float) -> None:
        assert self._content is not None
        height, width = self._content.levels[0].shape
        x, y = self._held[self.chosen]
        self._held[self.chosen] = x + dx * by_px / width, y + dy * by_px / height
        self._nudged = True
        self._say()
        self.update()

    def _say(self) -> None:
        assert self._content is not None
        height, width = self._content.levels[0].shape
        x, y = self._held[self.chosen]
        self.said.emit(
            tr(
                "Corner {name}: {x:.0f}, {y:.0f} pixels. Arrows move it by one, with Shift by ten; "
                "Space takes the next corner.",
                name=_NAMES[self.chosen], x=x * width, y=y * height,
            )
        )  # fmt: skip

    def _give_corners(self) -> None:
        one, two, three, four = ((round(x, 6), round(y, 6)) for x, y in self._held)
        corners: Corners = (one, two, three, four)
        if self._content is None:
            return
        if self.tool == "sheet" and corners != self._content.sheet:
            self.sheet_set.emit(corners)
        elif self.tool == "corners" and corners != self._content.corners:
            self.corners_set.emit(corners)

    def _add_point(self, at: QPointF, share: Point) -> None:
        if len(self._polygon) > 2 and (self._to_screen(self._polygon[0]) - at).manhattanLength() < 14:
            self._close_polygon()
            return
        self._polygon.append(share)

    def _close_polygon(self) -> None:
        polygon, self._polygon = tuple(self._polygon), []
        if len(polygon) > 2:
            self.polygon_drawn.emit(polygon)
        self.update()
