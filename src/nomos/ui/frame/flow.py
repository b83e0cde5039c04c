"""Controls side by side, in as many rows as their words need."""

from PyQt6.QtCore import QRect, QSize, Qt
from PyQt6.QtWidgets import QLayout, QLayoutItem, QWidget


class FlowLayout(QLayout):
    """Fills rows from the left; what finds no room goes into the next. Rows are filled to their end.

    fill : whether the items of a row share what is left of it, or keep to their own widths.
    """

    def __init__(self, parent: QWidget, gap: int, *, fill: bool = True) -> None:
        super().__init__(parent)
        self._items: list[QLayoutItem] = []
        self._fill = fill
        self.setSpacing(gap)
        self.setContentsMargins(0, 0, 0, 0)

    def addItem(self, item: QLayoutItem | None) -> None:
        if item is not None:
            self._items.append(item)

    def count(self) -> int:
        return len(self._items)

    def itemAt(self, index: int) -> QLayoutItem | None:
        return self._items[index] if 0 <= index < len(self._items) else None

    def takeAt(self, index: int) -> QLayoutItem | None:
        return self._items.pop(index) if 0 <= index < len(self._items) else None

    def expandingDirections(self) -> Qt.Orientation:
        return Qt.Orientation.Horizontal

    def hasHeightForWidth(self) -> bool:
        return True

    def heightForWidth(self, width: int) -> int:
        rows = self._rows(width)
        return sum(_height(row) for row in rows) + self.spacing() * max(len(rows) - 1, 0)

    def sizeHint(self) -> QSize:
        shown = self._shown()
        wide = sum(item.sizeHint().width() for item in shown) + self.spacing() * max(len(shown) - 1, 0)
        return QSize(wide, _height(shown))

    def minimumSize(self) -> QSize:
        shown = self._shown()
        return QSize(max((item.minimumSize().width() for item in shown), default=0), _height(shown))

    def setGeometry(self, rect: QRect) -> None:
        super().setGeometry(rect)
        top = rect.top()
        for row in self._rows(rect.width()):
            widths = [item.sizeHint().width() for item in row]
            free = rect.width() - sum(widths) - self.spacing() * (len(row) - 1)
            left = rect.left()
            for place, item in enumerate(row):
                # What is left of the row goes to each by its words; never less than there is.
                share = round(free * widths[place] / max(sum(widths), 1)) if self._fill and free > 0 else 0
                wide = min(widths[place] + share, rect.right() + 1 - left)
                item.setGeometry(QRect(left, top, wide, _height(row)))
                left += wide + self.spacing()
            top += _height(row) + self.spacing()

    def _shown(self) -> list[QLayoutItem]:
        return [item for item in self._items if (widget := item.widget()) and not widget.isHidden()]

    def _rows(self, width: int) -> list[list[QLayoutItem]]:
        """The rows; with the last of them no shorter than need be."""
        # Asked once: many widths are tried.
        wide = [(item, item.sizeHint().width() + self.spacing()) for item in self._shown()]
        rows = self._packed(wide, width)
        if not self._fill or len(rows) < 2:
            return rows
        narrower = width
        while narrower > 0 and len(trial := self._packed(wide, narrower - 8)) == len(rows):
            rows, narrower = trial, narrower - 8
        return rows

    def _packed(self, wide: list[tuple[QLayoutItem, int]], width: int) -> list[list[QLayoutItem]]:
        rows: list[list[QLayoutItem]] = []
        free = -1
        for item, needed in wide:
            if not rows or needed > free:
                rows.append([])
                free = width + self.spacing()
            rows[-1].append(item)
            free -= needed
        return rows


def _height(row: list[QLayoutItem]) -> int:
    return max((item.sizeHint().height() for item in row), default=0)
