"""Tones and type. Greys around the sheet are untinted, because a tinted surround falsifies colour."""

from dataclasses import dataclass
from functools import cache

from PyQt6.QtCore import Qt
from PyQt6.QtGui import QColor, QFont, QFontDatabase, QFontMetrics, QPainter, QPalette, QPen
from PyQt6.QtWidgets import QApplication, QWidget

from nomos.base import typeface

GROUND = "#b9b9b9"  # L* 75, the same in both variants: the eye adapts to it


@dataclass(frozen=True)
class Tones:
    """The colours of one variant."""

    strip: str
    ladder: str
    answers: str
    chosen: str
    line: str
    text: str
    quiet: str
    accent: str
    accent_pale: str
    foot: str


LIGHT = Tones(
    strip="#e9e9e9", ladder="#f2f2f2", answers="#f7f7f7", chosen="#ffffff", line="#c9c9c9",
    text="#1c1c1c", quiet="#5c5c5c", accent="#2f3e86", accent_pale="#e3e5ef", foot="#dedede",
)  # fmt: skip
DARK = Tones(
    strip="#2b2b2b", ladder="#333333", answers="#303030", chosen="#474747", line="#555555",
    text="#eeeeee", quiet="#bebebe", accent="#aab6f5", accent_pale="#43475c", foot="#262626",
)  # fmt: skip


def tones() -> Tones:
    """The variant that goes with the desktop's setting."""
    application = QApplication.instance()
    assert isinstance(application, QApplication)
    dark = application.property("nomos-dark")
    return DARK if dark else LIGHT


@cache
def base_px() -> float:
    """Height of the running text in pixels: 13 at the usual setting, more if the user wants more."""
    return float(QApplication.font().pixelSize())


def scaled(pixels: float) -> int:
    """A length given for the usual text size, at the user's."""
    return round(pixels * base_px() / 13)


def font(pixels: float, weight: QFont.Weight = QFont.Weight.Normal) -> QFont:
    """Lato at a size given for the usual setting."""
    made = QFont("Lato")
    made.setPixelSize(scaled(pixels))
    made.setWeight(weight)
    return made


def question_font() -> QFont:
    """For the question a station asks."""
    return font(17, QFont.Weight.Bold)


def name_font() -> QFont:
    """For names of things."""
    return font(14, QFont.Weight.DemiBold)


def quiet_font() -> QFont:
    """For the quiet line."""
    return font(12)


def elided(text: str, used: QFont, width: int) -> str:
    """The text, shortened with an ellipsis where it is wider than `width`."""
    from PyQt6.QtCore import Qt

    return QFontMetrics(used).elidedText(text, Qt.TextElideMode.ElideRight, width)


def draw_focus(painter: QPainter, widget: QWidget, *, on_ground: bool = False) -> None:
    """A frame around a widget that is drawn by hand, if it has the focus.

    on_ground : it shows the sheet on its grey ground, which is as light in the dark.
    """
    if widget.hasFocus():
        dotted = QPen(QColor(tones().accent), 1, Qt.PenStyle.DotLine)
        painter.setPen(QPen(QColor(LIGHT.accent)) if on_ground else dotted)
        painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.drawRect(widget.rect().adjusted(0, 0, -1, -1))


def dress(application: QApplication, text_pct: int = 0, look: str = "") -> None:
    """Give the application its typeface, tones and style sheet.

    text_pct : size of the text against the usual; 0 as the desktop wants it. look : light, dark, or "".
    """
    for path in (typeface.REGULAR, typeface.SEMIBOLD, typeface.BOLD):
        QFontDatabase.addApplicationFont(str(path))
    # The desktop's text size in points decides; 10 points is the usual 13 pixels, and the least
    # that is read at arm's length over a bench.
    wanted = application.font().pointSizeF()
    pixels = 13 if wanted <= 0 else max(13, min(26, round(wanted * 1.3)))
    if text_pct:
        pixels = max(13, min(26, round(0.13 * text_pct)))
    hints = application.styleHints()
    scheme = hints.colorScheme() if hints is not None else None
    dark = scheme is not None and scheme.name == "Dark" if not look else look == "dark"
    application.setProperty("nomos-dark", dark)
    application.setStyle("Fusion")
    running = QFont("Lato")
    running.setPixelSize(pixels)
    application.setFont(running)
    base_px.cache_clear()
    application.setPalette(_palette(tones()))
    application.setStyleSheet(_style(tones()))


def _palette(tone: Tones) -> QPalette:
    palette = QPalette()
    role = QPalette.ColorRole
    for which, colour in (
        (role.Window, tone.answers), (role.Base, tone.chosen), (role.AlternateBase, tone.ladder),
        (role.Button, tone.ladder), (role.Text, tone.text), (role.WindowText, tone.text),
        (role.ButtonText, tone.text), (role.PlaceholderText, tone.quiet), (role.Highlight, tone.accent),
        (role.HighlightedText, tone.answers), (role.ToolTipBase, tone.chosen), (role.ToolTipText, tone.text),
        (role.Link, tone.accent),
    ):  # fmt: skip
        palette.setColor(which, QColor(colour))
    for which in (role.Text, role.WindowText, role.ButtonText):
        palette.setColor(QPalette.ColorGroup.Disabled, which, QColor(tone.line).darker(115))
    return palette


def _style(tone: Tones) -> str:
    pad, wide = scaled(4), scaled(9)
    return f"""
    QPushButton {{ background: {tone.chosen}; color: {tone.text}; border: 1px solid {tone.line};
        border-radius: 3px; padding: {pad}px {wide}px; }}
    QPushButton:hover {{ border-color: {tone.accent}; }}
    QPushButton:focus {{ border: 2px solid {tone.accent}; padding: {pad - 1}px {wide - 1}px; }}
    QPushButton[narrow="true"] {{ padding: {pad}px {scaled(3)}px; }}
    QPushButton[narrow="true"]:focus {{ padding: {pad - 1}px {scaled(3) - 1}px; }}
    QPushButton:pressed, QPushButton:checked {{ background: {tone.accent_pale}; color: {tone.accent};
        border-color: {tone.accent}; }}
    QPushButton:disabled {{ color: {tone.quiet}; background: transparent; border-color: {tone.line}; }}
    QPushButton[plain="true"] {{ background: transparent; border: 1px solid transparent;
        color: {tone.accent}; padding: {pad}px {scaled(5)}px; text-align: left; }}
    QPushButton[plain="true"]:hover {{ border-color: {tone.line}; }}
    QPushButton[plain="true"]:focus {{ border: 1px solid {tone.accent}; }}
    QPushButton[plain="true"]:disabled {{ color: {tone.quiet}; }}
    QPushButton[fold="true"] {{ color: {tone.text}; font-weight: 600; padding-left: 0; }}
    QPushButton[know="true"] {{ text-align: left; }}
    QPushButton[look="true"] {{ color: {tone.text}; padding: {scaled(3)}px {scaled(5)}px; }}
    QPushButton[look="true"]:checked {{ background: {tone.accent_pale}; color: {tone.accent};
        border-color: {tone.accent}; }}
    QLineEdit {{ background: {tone.chosen}; color: {tone.text}; border: 1px solid {tone.line};
        border-radius: 3px; padding: {scaled(3)}px {scaled(5)}px;
        selection-background-color: {tone.accent}; }}
    QLineEdit:focus {{ border-color: {tone.accent}; }}
    QDoubleSpinBox QLineEdit {{ border: none; padding: 0 {scaled(3)}px; background: transparent; }}
    QScrollArea, QScrollArea > QWidget > QWidget {{ background: transparent; border: none; }}
    QScrollBar:vertical {{ background: transparent; width: {scaled(10)}px; margin: 0; }}
    QScrollBar::handle:vertical {{ background: {tone.line}; border-radius: {scaled(3)}px;
        margin: {scaled(2)}px; min-height: {scaled(36)}px; }}
    QScrollBar::handle:vertical:hover {{ background: {tone.quiet}; }}
    QScrollBar::add-line:vertical, QScrollBar::sub-line:vertical {{ height: 0; }}
    QScrollBar::add-page:vertical, QScrollBar::sub-page:vertical {{ background: transparent; }}
    QSplitter::handle {{ background: {tone.line}; }}
    QToolTip {{ background: {tone.chosen}; color: {tone.text}; border: 1px solid {tone.line}; padding: 4px; }}
    """
