"""Words that wrap where there is no room for them in one line, on what is drawn by hand and on buttons."""

from functools import lru_cache

from PyQt6.QtCore import QRect, QSize, Qt
from PyQt6.QtGui import QColor, QFont, QFontMetrics, QPaintEvent
from PyQt6.QtWidgets import QPushButton, QStyle, QStyleOptionButton, QStylePainter

from nomos.ui.frame import theme

WRAPPED = int(Qt.TextFlag.TextWordWrap | Qt.AlignmentFlag.AlignTop | Qt.AlignmentFlag.AlignLeft)
_TALL = 10_000


def lines_of(text: str, font: QFont, width: float) -> int:
    """How many lines a text takes in so many pixels, at least one."""
    return _lines_of(text, font.toString(), int(width))


@lru_cache(maxsize=20_000)
def _lines_of(text: str, described: str, width: int) -> int:
    """The same: a list asks for its rows again at every change, and few of them are other than before."""
    font = QFont()
    font.fromString(described)
    metrics = QFontMetrics(font)
    if metrics.horizontalAdvance(text) <= width:
        return 1
    box = metrics.boundingRect(QRect(0, 0, max(width, 1), _TALL), WRAPPED, text)
    return max(1, round(box.height() / metrics.lineSpacing()))


def widest_word(text: str, font: QFont) -> int:
    """Pixels of the longest word, which cannot be parted."""
    metrics = QFontMetrics(font)
    return max((metrics.horizontalAdvance(word) for word in text.split()), default=0)


class WordsButton(QPushButton):
    """A button whose words wrap when it is narrower than they are."""

    def _around(self) -> QSize:
        """What the button needs beside its words."""
        one = QFontMetrics(self.font()).size(Qt.TextFlag.TextShowMnemonic, self.text())
        return super().sizeHint() - one

    def hasHeightForWidth(self) -> bool:
        return True

    def heightForWidth(self, width: int) -> int:
        lines = lines_of(self.text(), self.font(), width - self._around().width())
        return super().sizeHint().height() + (lines - 1) * QFontMetrics(self.font()).lineSpacing()

    def minimumSizeHint(self) -> QSize:
        around = self._around().width()
        return QSize(widest_word(self.text(), self.font()) + around, super().sizeHint().height())

    def paintEvent(self, event: QPaintEvent | None) -> None:
        room = self.width() - self._around().width()
        if lines_of(self.text(), self.font(), room) == 1 or "\n" in self.text():
            super().paintEvent(event)
            return
        painter, option, tone = QStylePainter(self), QStyleOptionButton(), theme.tones()
        self.initStyleOption(option)
        option.text = ""
        painter.drawControl(QStyle.ControlElement.CE_PushButton, option)
        plain = bool(self.property("plain"))
        accent = plain or self.isChecked() or self.isDown()
        painter.setPen(QColor(tone.quiet if not self.isEnabled() else tone.accent if accent else tone.text))
        side = self._around().width() // 2
        line = Qt.AlignmentFlag.AlignLeft if plain else Qt.AlignmentFlag.AlignHCenter
        flags = int(Qt.TextFlag.TextWordWrap | Qt.AlignmentFlag.AlignVCenter | line)
        painter.drawText(self.rect().adjusted(side, 0, -side, 0), flags, self.text())
