"""Names on screen as they are written: Qt would render what looks like HTML, and load pictures for it."""

from html import escape

from PyQt6.QtGui import QAction
from PyQt6.QtWidgets import QListWidgetItem, QWidget


def set_tip(of: QWidget | QAction | QListWidgetItem, words: str) -> None:
    """Give a control, an action or an entry of a list its tip as words, whatever markup a name among them holds."""
    # What `Qt::mightBeRichText` looks for; PyQt does not have it.
    rich = "<" in words or "&lt;" in words
    of.setToolTip(f"<p>{escape(words)}</p>" if rich else words)
