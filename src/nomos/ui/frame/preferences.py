"""Preferences of this machine, and the studio that goes from print to print."""

from PyQt6.QtCore import QSettings, Qt, pyqtSignal
from PyQt6.QtWidgets import QComboBox, QDialog, QVBoxLayout, QWidget

from nomos.base.language import tr
from nomos.ui.frame import theme
from nomos.ui.frame.controls import Fields, button, label
from nomos.ui.frame.more import ALL
from nomos.ui.frame.parts import beside
from nomos.ui.frame.plain_text import set_tip
from nomos.ui.language import LANGUAGES

TEXT_SIZES = (100, 110, 125, 150, 175, 200)
UNITS = (("mm", tr("millimetres")), ("in", tr("inches")))
LOOKS = (("", tr("as the desktop")), ("light", tr("light")), ("dark", tr("dark")))
_SPOKEN = (("", tr("as the desktop")), *LANGUAGES.items())


class Preferences(QDialog):
    """What is set here is kept at once."""

    page_requested = pyqtSignal(str)
    keep_requested = pyqtSignal()
    carry_requested = pyqtSignal()
    bring_requested = pyqtSignal()
    forget_requested = pyqtSignal()
    anew_requested = pyqtSignal()

    def __init__(self, parent: QWidget, settings: QSettings, papers: list[str], page: str) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Preferences and studio"))
        self.setMinimumWidth(theme.scaled(420))
        self._settings = settings
        column = QVBoxLayout(self)
        column.setContentsMargins(*[theme.scaled(18)] * 4)
        column.setSpacing(theme.scaled(10))
        self.text, self.look, self.page, self.unit = QComboBox(), QComboBox(), QComboBox(), QComboBox()
        self.language, self.settings_shown = QComboBox(), QComboBox()
        self.settings_shown.addItems([tr("the usual ones"), tr("all of them")])
        self.text.addItems([tr("as the desktop"), *(f"{size} %" for size in TEXT_SIZES)])
        self.look.addItems([words for _, words in LOOKS])
        self.unit.addItems([words for _, words in UNITS])
        self.language.addItems([words for _, words in _SPOKEN])
        self.page.addItems(papers)
        self.page.setCurrentText(page)
        fields = Fields()
        for words, control, tip in (
            (tr("Size of the text"), self.text, tr("Of all words in the window.")),
            (tr("Light or dark"), self.look, tr("How the window looks.")),
            (tr("Lengths in"), self.unit, tr("Any unit can be typed; they are read in this one.")),
            (tr("Settings"), self.settings_shown, tr("The others are behind More settings, and found by Ctrl+F.")),
            (tr("Language"), self.language, tr("Of the window; commands speak English.")),
            (tr("Templates on"), self.page, tr("The paper that templates are printed on; larger ones come as tiles.")),
        ):
            fields.add(words, control, tip)
        self.kept, self.keep = label(), button(tr("Keep this print's tools, paper and inks"))
        self.carry, self.bring = button(tr("Carry it to a file…")), button(tr("Bring one in…"))
        self.forget = button(tr("Begin new prints without it"), plain=True)
        self.anew = button(tr("Start Nomos anew with these"))
        set_tip(self.anew, tr("Closes this window and opens it again on the same file."))
        self.anew.hide()
        self.close_it = button(tr("Close"))
        for widget in (
            label(tr("This machine"), kind="question"), fields,
            label(tr("Text, light, lengths and language change when Nomos is next started."), kind="quiet"),
            self.anew, label(tr("The studio"), kind="question"),
            label(
                tr("Tools, boards, rollers, times, papers, inks and how far your sheets meet: kept from one "
                "print and given to the next new one."),
                kind="quiet",
            ),
            self.kept, self.keep, beside(self.carry, self.bring), self.forget,
        ):  # fmt: skip
            column.addWidget(widget)
        column.addWidget(self.close_it, 0, Qt.AlignmentFlag.AlignRight)
        self._show_settings()
        self._connect()

    def _show_settings(self) -> None:
        self.settings_shown.setCurrentIndex(int(self._settings.value(ALL, False, bool)))
        size = self._settings.value("text size", 0, int)
        self.text.setCurrentIndex(TEXT_SIZES.index(size) + 1 if size in TEXT_SIZES else 0)
        look = self._settings.value("light or dark", "", str)
        self.look.setCurrentIndex(next((n for n, (value, _) in enumerate(LOOKS) if value == look), 0))

        unit = self._settings.value("lengths in", "mm", str)
        self.unit.setCurrentIndex(next((n for n, (value, _) in enumerate(UNITS) if value == unit), 0))

        spoken = self._settings.value("language", "", str)
        self.language.setCurrentIndex(next((n for n, (value, _) in enumerate(_SPOKEN) if value == spoken), 0))

    def _connect(self) -> None:
        self.text.activated.connect(
            lambda place: self._settings.setValue("text size", TEXT_SIZES[place - 1] if place else 0)
        )
        self.look.activated.connect(lambda place: self._settings.setValue("light or dark", LOOKS[place][0]))
        self.unit.activated.connect(lambda place: self._settings.setValue("lengths in", UNITS[place][0]))
        self.language.activated.connect(lambda n: self._settings.setValue("language", _SPOKEN[n][0]))
        for control in (self.text, self.look, self.unit, self.language):
            control.activated.connect(self._offer_anew)
        self.page.textActivated.connect(self._take_page)
        for made, wish in (
            (self.keep, self.keep_requested), (self.carry, self.carry_requested),
            (self.bring, self.bring_requested), (self.forget, self.forget_requested),
            (self.anew, self.anew_requested),
        ):  # fmt: skip
            made.clicked.connect(wish)
        self.close_it.clicked.connect(self.accept)

    def _offer_anew(self) -> None:
        self.anew.show()
        self._fit()

    def _take_page(self, page: str) -> None:
        self._settings.setValue("page", page)
        self.page_requested.emit(page)

    def show_studio(self, kept: str, *, project: bool) -> None:
        """Show what the studio holds; "" for none. project : whether there is a print to keep."""
        self.kept.setText(kept or tr("Nothing is kept yet: a new print begins as a first edition."))
        self.keep.setEnabled(project)
        set_tip(self.keep, "" if project else tr("Open a sketch or a project first."))
        self.carry.setEnabled(bool(kept))
        self.forget.setVisible(bool(kept))
        self._fit()

    def _fit(self) -> None:
        # Text that wraps has no height of its own until its width is known.
        column = self.layout()
        if column is not None:
            self.setMinimumHeight(column.totalHeightForWidth(self.minimumWidth()))
