"""What is declared in a struct, as controls: words, bounds, steps and tips come from the declaration."""

from collections.abc import Mapping, Sequence
from typing import Any

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QCheckBox, QComboBox, QGridLayout, QWidget

from nomos.base.fields import Field, fields_of, value_at
from nomos.base.language import tr, within
from nomos.ui.frame import theme
from nomos.ui.frame.controls import LEAST_LIST, Choice, NumberBox, check_box, label
from nomos.ui.frame.plain_text import set_tip
from nomos.ui.language import is_first_print


class Form(QWidget):
    """Controls of some of a struct's fields, in two columns."""

    changed = pyqtSignal(str, object)
    """The path of a field, and the value a hand has given it."""
    shown = pyqtSignal()

    def __init__(self, kind: type, paths: Sequence[str]) -> None:
        super().__init__()
        self._grid = QGridLayout(self)
        self._grid.setContentsMargins(0, 0, 0, 0)
        self._grid.setHorizontalSpacing(theme.scaled(8))
        self._grid.setVerticalSpacing(theme.scaled(5))
        self._grid.setColumnStretch(0, 1)
        self._fields: dict[str, Field] = {}
        self.controls: dict[str, QWidget] = {}
        self._names: dict[str, QWidget] = {}
        self._in_sight = ("essential",) if is_first_print() else ("essential", "usual")
        known = fields_of(kind)
        for path in paths:
            field = known[path]
            if field.sides is None:
                self._add(path, field.label, field)
                continue
            for side, words in enumerate(field.sides):
                self._add(f"{path}.{side}", words, field)

    def __getitem__(self, path: str) -> Any:
        """The control of a field."""
        return self.controls[path]

    def _add(self, path: str, words: str, field: Field) -> None:
        made = _made(field)
        self._fields[path], self.controls[path] = field, made
        made.setAccessibleName(words)
        set_tip(made, field.tip)
        row = self._grid.rowCount()
        if isinstance(made, NumberBox):
            made.set_by_hand.connect(lambda shown: self.changed.emit(path, _stored(field, shown)))
        elif isinstance(made, Choice):
            made.chosen.connect(lambda place: self.changed.emit(path, field.options[int(place)][0]))
        elif isinstance(made, QComboBox):
            made.activated.connect(lambda place: self.changed.emit(path, field.options[place][0]))
        elif isinstance(made, QCheckBox):
            made.clicked.connect(lambda on: self.changed.emit(path, on))
        if isinstance(made, Choice | QCheckBox):
            self._grid.addWidget(made, row, 0, 1, 2)
            return
        name = label(words)
        name.setBuddy(made)
        set_tip(name, field.tip)
        self._names[path] = name
        self._grid.addWidget(name, row, 0)
        self._grid.addWidget(made, row, 1)

    @property
    def further(self) -> tuple[str, ...]:
        """Paths of what only those look for who want it."""
        return tuple(path for path, field in self._fields.items() if field.level not in self._in_sight)

    def fold(self, folded: bool) -> None:
        """Leave out of sight what only those look for who want it."""
        for path in self.further:
            for part in (self.controls[path], self._names.get(path)):
                if part is not None:
                    part.setVisible(not folded)

    def folded(self) -> tuple[str, ...]:
        """What stands in the controls that fold away, each with its label."""
        return tuple(f"{within(self._fields[path].label)} {_said(self.controls[path])}" for path in self.further)

    def show_values(self, thing: object, worked_out: Mapping[str, float] | None = None) -> None:
        """Show what a struct holds, reporting nothing.

        worked_out : by path, what stands for a figure that was not given.
        """
        for path, field in self._fields.items():
            value, made = value_at(thing, path), self.controls[path]
            if value is None and worked_out:
                value = worked_out.get(path)
            if isinstance(made, NumberBox):
                made.show_value(made.minimum() if value is None else field.scale * value)
            elif isinstance(made, QCheckBox):
                made.setChecked(bool(value))
            elif isinstance(made, Choice | QComboBox):
                place = next((n for n, (known, _) in enumerate(field.options) if known == value), -1)
                if isinstance(made, Choice):
                    made.show_choice(str(place))
                else:
                    made.setCurrentIndex(place)
        self.shown.emit()


def _said(made: QWidget) -> str:
    """What a control says now."""
    if isinstance(made, NumberBox):
        return made.text()
    if isinstance(made, QComboBox):
        return made.currentText()
    if isinstance(made, QCheckBox):
        return tr("yes") if made.isChecked() else tr("no")
    return made.chosen_text() if isinstance(made, Choice) else ""


def _made(field: Field) -> QWidget:
    if field.least is not None and field.most is not None:
        return number_box(field)
    if not field.choices:
        return check_box(field.label, field.tip)
    if field.bare:
        return Choice(tuple((str(n), words) for n, (_, words) in enumerate(field.options)), field.tip)
    box = QComboBox()
    # Long entries are read in the open list; the column must not be wider for them.
    box.setMinimumWidth(theme.scaled(LEAST_LIST))
    box.addItems([words for _, words in field.options])
    return box


def number_box(field: Field) -> NumberBox:
    """A box for a figure that is declared."""
    assert field.least is not None
    assert field.most is not None
    least = 0.0 if field.zero_unsets else field.scale * field.least
    box = NumberBox(least, field.scale * field.most, unit=field.unit, step=field.step, digits=field.digits)
    if field.zero_unsets:
        box.setSpecialValueText(field.unset)
    return box


def _stored(field: Field, shown: float) -> float | int | None:
    if field.zero_unsets and shown == 0:
        return None
    value = shown / field.scale
    return round(value) if field.whole else value
