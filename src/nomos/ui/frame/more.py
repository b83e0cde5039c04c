"""The further settings of a part: told in a line, and shown when they are asked for."""

from collections.abc import Sequence

from PyQt6.QtWidgets import QVBoxLayout, QWidget

from nomos.base.language import tr
from nomos.ui.frame.controls import button, label
from nomos.ui.frame.form import Form
from nomos.ui.frame.plain_text import set_tip
from nomos.ui.language import window_settings

ALL = "all settings"
"""Whether this machine shows every setting from the beginning."""
# Who has opened them so often wants them.
_OFTEN = 2
# So many are told while they are folded.
_TOLD = 6


class More(QWidget):
    """A button, and beside it what was decided for the user while the settings are folded away."""

    def __init__(self, key: str, forms: Sequence[Form]) -> None:
        """key : of the part, to remember it by."""
        super().__init__()
        self._key, self._forms = f"more/{key}", forms
        self.button, self.said = button("", plain=True), label(kind="quiet")
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.addWidget(self.button)
        column.addWidget(self.said)
        self.button.clicked.connect(lambda: self._turn(not self.open))
        for form in forms:
            form.shown.connect(self._tell)
        kept = window_settings()
        self.open = kept.value(ALL, False, bool) or kept.value(self._key, 0, int) >= _OFTEN
        self._show()

    def _turn(self, on: bool) -> None:
        kept = window_settings()
        # Folded by hand they stay so; opened often they stay open.
        kept.setValue(self._key, kept.value(self._key, 0, int) + 1 if on else 0)
        self.open = on
        self._show()

    def unfold(self) -> None:
        """Show them, because one of them was looked for."""
        self.open = True
        self._show()

    def _show(self) -> None:
        for form in self._forms:
            form.fold(not self.open)
        self.button.setText(tr("Less") if self.open else tr("More settings"))
        set_tip(self.button, tr("Settings that are good as they are for most prints."))
        self._tell()

    def _tell(self) -> None:
        said = [each for form in self._forms if form.isVisibleTo(self.parentWidget()) for each in form.folded()]
        more = tr(" and {more} more", more=len(said) - _TOLD) if len(said) > _TOLD else ""
        self.said.setText(tr("Decided for you: {said}.", said=", ".join(said[:_TOLD]) + more))
        self.said.setVisible(not self.open and bool(said))
