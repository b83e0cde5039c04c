"""The sheet in the middle: paper on neutral grey with rulers along its own edges."""

from dataclasses import replace

import numpy as np
from numpy.typing import NDArray
from PyQt6.QtCore import QPointF, QRectF, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QImage, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QResizeEvent, QWheelEvent
from PyQt6.QtWidgets import QWidget

from nomos.base.language import tr
from nomos.base.units import MM_PER_INCH
from nomos.separation.touch import Touch
from nomos.ui.frame import sheet_marks, theme
from nomos.ui.frame.beside import Beside
from nomos.ui.frame.raster import Raster
from nomos.ui.frame.sheet_view import Inset, SheetContent
from nomos.ui.frame.system_marks import draw_system
from nomos.ui.frame.viewport import Viewport, fitted

_LOUPE_PX, _LOUPE_MM = 210, 14.0
_INSET_PX = 170
_MARGINS = 56, 44, 30, 26
# What is dragged when it is the sheet itself; anything else is the name of a handle.
_PAN = "sheet"
_DIVIDER = "divider"
# Screen pixels per mm at which a fine place is looked at.
_CLOSE_SCALE = 16.0


class SheetView(QWidget):
    """Draws a SheetContent; zooms and pans; reports where it is pointed at, picked and dragged."""

    pointed = pyqtSignal(object)
    """(x, y) in mm on the sheet, or None when the pointer leaves."""
    picked = pyqtSignal(float, float, bool)
    """A click on the sheet, mm, and whether it adds to what is chosen (Ctrl held)."""
    handle_dragged = pyqtSignal(str, float, float, int)
    """Which handle, how far it has been dragged from where it was (mm), and the number of the gesture."""
    touched = pyqtSignal(object)
    """A Touch, its points in mm on the sheet."""
    zoomed = pyqtSignal(float)
    """Screen pixels per mm."""

    def __init__(self) -> None:
        super().__init__()
        self.setMouseTracking(True)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setMinimumSize(240, 160)
        self.setAccessibleName(tr("Sheet"))
        self._content: SheetContent | None = None
        self._view = Viewport(2.0, 40, 40)
        self._following = True
        self._image: tuple[object, QImage] | None = None
        self._pressed: QPointF | None = None
        self._dragging = ""
        self._handle_from = (0.0, 0.0)
        self._gesture = 0
        self._pointer: QPointF | None = None
        self.loupe, self.ruled = False, True
        self._touch: Touch | None = None
        self._stroke: list[tuple[float, float]] = []
        self._shown_place: tuple[float, float] | None = None
        self._beside: Beside | None = None
        self._parted, self.mapped = 0.5, False
        self._other_image: tuple[object, QImage] | None = None

    def show_beside(self, beside: Beside | None) -> None:
        """Lay another look of the sheet beside this one, from the divider on; None takes it away."""
        if beside is not self._beside:
            self._beside, self._other_image = beside, None
            self.update()

    def show_content(self, content: SheetContent | None) -> None:
        """Show this; a sheet of another size, or a bench that comes or goes, is fitted anew."""
        before, self._content = self._content, content
        if content and (before is None or self._shape(before) != self._shape(content)):
            self._following = True
        if self._following:
            self._fit()
        self.update()

    @staticmethod
    def _shape(content: SheetContent) -> tuple[object, ...]:
        return content.sheet_mm, content.plan.bench if content.plan else None

    @property
    def viewport(self) -> Viewport:
        """Where the sheet lies now."""
        return self._view

    def fit(self) -> None:
        """Show the whole sheet, and keep doing so when the window changes size."""
        self._following, self._shown_place = True, None
        self._fit()
        self.update()

    def true_size(self) -> None:
        """Show the sheet as large as it is, as far as the screen knows its own size."""
        self.zoom_to(self.true_scale())

    def true_scale(self) -> float:
        """Screen pixels per mm at true size."""
        screen = self.screen()
        return (screen.physicalDotsPerInch() if screen else 96.0) / MM_PER_INCH

    @property
    def content(self) -> SheetContent | None:
        """What is shown."""
        return self._content

    def set_touch(self, touch: Touch | None) -> None:
        """Touch the block with this tool from now on instead of moving the sheet; None moves it again."""
        self._touch, self._stroke = touch, []
        self.setCursor(Qt.CursorShape.ArrowCursor if touch is None else Qt.CursorShape.CrossCursor)
        self.update()

    def look_at(self, x_mm: float, y_mm: float) -> None:
        """Bring a place on the sheet to the middle, close up."""
        self._following = False
        scale = max(self._view.scale, _CLOSE_SCALE)
        self._view = Viewport(scale, self.width() / 2 - x_mm * scale, self.height() / 2 - y_mm * scale)
        self._shown_place = (x_mm, y_mm)
        self.zoomed.emit(scale)
        self.update()

    def zoom_by(self, factor: float) -> None:
        """Come closer or go further away about the middle of the view."""
        self.zoom_to(self._view.scale * factor)

    def zoom_to(self, scale: float, at: QPointF | None = None) -> None:
        """Zoom to screen pixels per mm about a point, or the middle of the view."""
        self._following = False
        point = at or QPointF(self.width() / 2, self.height() / 2)
        self._view = self._view.zoomed(scale, point.x(), point.y())
        self.zoomed.emit(self._view.scale)
        self.update()

    def _fit(self) -> None:
        if self._content is None:
            return
        width, height = self._content.sheet_mm
        area = (0.0, 0.0, width, height)
        if self._content.plan:
            block = self._content.plan.bench
            area = (
                min(0.0, block.left), min(0.0, block.top), max(width, block.right), max(height, block.bottom),
            )  # fmt: skip
        left, top, right, bottom = (theme.scaled(margin) for margin in _MARGINS)
        self._view = fitted(area, (self.width(), self.height()), (left, top, right, bottom))
        self.zoomed.emit(self._view.scale)

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        painter = QPainter(self)
        painter.fillRect(self.rect(), QColor(theme.GROUND))
        content = self._content
        if content is None:
            return
        view = self._view
        x, y = view.to_screen(0, 0)
        sheet = QRectF(x, y, content.sheet_mm[0] * view.scale, content.sheet_mm[1] * view.scale)
        painter.fillRect(sheet.translated(3, 3), QColor("#9d9d9d"))
        painter.fillRect(sheet, QColor(content.paper_hex))
        if content.raster is not None:
            painter.save()
            painter.setClipRect(sheet)
            self._draw_raster(painter, content.raster)
            if self._beside is not None:
                self._draw_beside(painter, sheet, self._beside)
            painter.restore()
        if content.shade is not None:
            sheet_marks.draw_shade(painter, view, content.image, content.shade)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        if content.plan is not None:
            draw_system(painter, view, content.plan, content.marks)
        block = content.plan.bench if content.plan else None
        if self.ruled:
            sheet_marks.draw_rulers(painter, view, content.sheet_mm, self.rect(), block)
        if self._touch is not None and self._stroke:
            sheet_marks.draw_stroke(painter, view, replace(self._touch, points=tuple(self._stroke)))
        if self._shown_place is not None:
            sheet_marks.draw_spot(painter, QPointF(*view.to_screen(*self._shown_place)))
        sheet_marks.draw_outlines(painter, view, content.lines)
        for spot in content.spots:
            sheet_marks.draw_spot(painter, QPointF(*view.to_screen(*spot)))
        sheet_marks.draw_words(painter, view, content.words)
        if content.inset is not None:
            self._draw_inset(painter, content.inset)
        for handle in content.handles:
            sheet_marks.draw_handle(painter, QPointF(*view.to_screen(*handle.place_mm)), handle.word)
        if self._beside is not None:
            title = tr("where they differ") if self.mapped else self._beside.title
            sheet_marks.draw_divider(painter, self._divider_x(), self.height(), title)
        if self.loupe and self._pointer is not None and content.raster is not None:
            self._draw_loupe(painter, content.raster, self._pointer)
        theme.draw_focus(painter, self, on_ground=True)

    def _divider_x(self) -> float:
        """Where the divider stands on the screen: a share of the sheet's width."""
        width = self._content.sheet_mm[0] if self._content is not None else 0.0
        return self._view.to_screen(self._parted * width, 0)[0]

    def _draw_beside(self, painter: QPainter, sheet: QRectF, beside: Beside) -> None:
        left = self._divider_x()
        part = QRectF(left, sheet.top(), sheet.right() - left, sheet.height())
        painter.setClipRect(part)
        painter.fillRect(part, QColor(self._content.paper_hex if self._content is not None else theme.GROUND))
        own, self._image = self._image, self._other_image
        self._draw_raster(painter, beside.map if self.mapped else beside.raster)
        self._image, self._other_image = own, self._image

    def _draw_raster(self, painter: QPainter, raster: Raster) -> None:
        height, width = raster.levels[0].shape
        x0, y0 = self._view.to_screen(raster.left_mm, raster.top_mm)
        scale = self._view.scale / raster.px_per_mm
        left, top = max(0, int(x0)), max(0, int(y0))
        right = min(self.width(), int(np.ceil(x0 + width * scale)))
        bottom = min(self.height(), int(np.ceil(y0 + height * scale)))
        if right <= left or bottom <= top:
            return
        window = (
            max((left - x0) / scale, 0.0), max((top - y0) / scale, 0.0),
            min((right - x0) / scale, width), min((bottom - y0) / scale, height),
        )  # fmt: skip
        ratio = self.devicePixelRatioF()
        size = max(1, round((right - left) * ratio)), max(1, round((bottom - top) * ratio))
        key = (id(raster.levels), raster.table(), window, size)
        if self._image is None or self._image[0] != key:
            self._image = (key, image_of(raster.view(window, size), ratio))
        painter.drawImage(QPointF(left, top), self._image[1])

    def _draw_loupe(self, painter: QPainter, raster: Raster, at: QPointF) -> None:
        side = theme.scaled(_LOUPE_PX)
        x_mm, y_mm = self._view.to_sheet(at.x(), at.y())
        height, width = raster.levels[0].shape
        half = _LOUPE_MM / 2 * raster.px_per_mm
        cx = min(max((x_mm - raster.left_mm) * raster.px_per_mm, half), width - half)
        cy = min(max((y_mm - raster.top_mm) * raster.px_per_mm, half), height - half)
        if half * 2 > min(width, height):
            return
        window = (cx - half, cy - half, cx + half, cy + half)
        image = image_of(raster.view(window, (side, side)), 1.0)
        x = at.x() + 24 if at.x() + 24 + side < self.width() else at.x() - 24 - side
        y = at.y() + 24 if at.y() + 24 + side < self.height() else at.y() - 24 - side
        painter.drawImage(QPointF(x, y), image)
        sheet_marks.draw_loupe_frame(painter, QRectF(x, y, side, side), _LOUPE_MM)

    def _draw_inset(self, painter: QPainter, inset: Inset) -> None:
        """A place from close by, in the corner of the view that is furthest from it."""
        side, gap = theme.scaled(_INSET_PX), theme.scaled(12)
        x, y = self._view.to_screen(inset.place.left, inset.place.top)
        there = QRectF(x, y, inset.place.width * self._view.scale, inset.place.height * self._view.scale)
        left = gap if there.center().x() > self.width() / 2 else self.width() - side - gap
        # Below the rulers, or above the lower edge.
        top = 3 * gap if there.center().y() > self.height() / 2 else self.height() - side - 2 * gap
        frame = QRectF(left, top, side, side)
        height, width = inset.raster.levels[0].shape
        whole = (0.0, 0.0, float(width), float(height))
        view = inset.raster.view(whole, (side, side))
        sheet_marks.draw_inset(painter, frame, there, image_of(view, 1.0), inset.word)

    def resizeEvent(self, _event: QResizeEvent | None) -> None:
        if self._following:
            self._fit()

    def wheelEvent(self, event: QWheelEvent | None) -> None:
        assert event is not None
        self.zoom_to(self._view.scale * 1.0015 ** event.angleDelta().y(), event.position())

    def mousePressEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        self._pressed = event.position()
        self._dragging = ""
        if self._touch is not None:
            self._stroke = [self._view.to_sheet(event.position().x(), event.position().y())]
            self.update()
            return
        if self._beside is not None and abs(event.position().x() - self._divider_x()) < theme.scaled(12):
            self._dragging = _DIVIDER
            return
        handles = self._content.handles if self._content else ()
        for handle in handles if event.button() == Qt.MouseButton.LeftButton else ():
            away = QPointF(*self._view.to_screen(*handle.place_mm)) - event.position()
            if away.manhattanLength() < theme.scaled(24):
                self._dragging = handle.name
                self._gesture += 1
                self._handle_from = self._view.to_sheet(event.position().x(), event.position().y())
                break

    def mouseMoveEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        here = event.position()
        self._pointer = here
        if self._stroke:
            self._stroke.append(self._view.to_sheet(here.x(), here.y()))
            self.update()
            return
        if self._dragging == _DIVIDER and self._pressed is not None and self._content is not None:
            x, _ = self._view.to_sheet(here.x(), here.y())
            self._parted = min(max(x / self._content.sheet_mm[0], 0.0), 1.0)
            self.update()
            return
        if self._pressed is not None:
            if self._dragging not in ("", _PAN):
                x, y = self._view.to_sheet(here.x(), here.y())
                moved_mm = x - self._handle_from[0], y - self._handle_from[1]
                self.handle_dragged.emit(self._dragging, *moved_mm, self._gesture)
                return
            moved = here - self._pressed
            if self._dragging == _PAN or moved.manhattanLength() > 4:
                self._dragging, self._following = _PAN, False
                self._view = self._view.moved(moved.x(), moved.y())
                self._pressed = here
                self.update()
        if self.loupe:
            self.update()
        self.pointed.emit(self._view.to_sheet(here.x(), here.y()))

    def mouseReleaseEvent(self, event: QMouseEvent | None) -> None:
        assert event is not None
        if self._touch is not None and self._stroke:
            stroke, self._stroke = tuple(self._stroke), []
            self._pressed = None
            self.touched.emit(replace(self._touch, points=stroke))
            self.update()
            return
        if self._pressed is not None and not self._dragging:
            more = bool(event.modifiers() & Qt.KeyboardModifier.ControlModifier)
            self.picked.emit(*self._view.to_sheet(event.position().x(), event.position().y()), more)
        self._pressed, self._dragging = None, ""

    def mouseDoubleClickEvent(self, _event: QMouseEvent | None) -> None:
        self.fit()

    def leaveEvent(self, _event: object) -> None:
        self._pointer = None
        self.pointed.emit(None)
        self.update()

    def keyPressEvent(self, event: QKeyEvent | None) -> None:
        assert event is not None
        step = theme.scaled(40)
        moves = {
            Qt.Key.Key_Left: (step, 0), Qt.Key.Key_Right: (-step, 0),
            Qt.Key.Key_Up: (0, step), Qt.Key.Key_Down: (0, -step),
        }  # fmt: skip
        if event.key() in moves:
            self._following = False
            self._view = self._view.moved(*moves[Qt.Key(event.key())])
            self.update()
        else:
            super().keyPressEvent(event)


def image_of(pixels: NDArray[np.uint32], ratio: float) -> QImage:
    """A QImage of 0xffRRGGBB pixels; it keeps its own copy."""
    height, width = pixels.shape
    image = QImage(pixels.tobytes(), width, height, width * 4, QImage.Format.Format_RGB32).copy()
    image.setDevicePixelRatio(ratio)
    return image
