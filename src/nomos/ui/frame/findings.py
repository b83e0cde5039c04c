"""Findings, folded by how grave they are, the worst first."""

from collections.abc import Sequence

from PyQt6.QtCore import Qt, pyqtSignal
from PyQt6.QtWidgets import QVBoxLayout, QWidget

from nomos.base.language import tr
from nomos.ui.frame import theme
from nomos.ui.frame.controls import button, label
from nomos.ui.frame.plain_text import set_tip
from nomos.ui.frame.rows import Note

_SHAPES = {"will fail": "■", "could show": "△", "worth knowing": "○"}


def _by_weight(notes: Sequence[Note]) -> dict[str, list[Note]]:
    found = {weight: [note for note in notes if note.weight == weight] for weight in _SHAPES}
    return {weight: some for weight, some in found.items() if some}


def counts_of(notes: Sequence[Note]) -> str:
    """How many there are of each weight, by their shapes."""
    parts = (f"{_SHAPES[weight]} {len(some)}" for weight, some in _by_weight(notes).items())
    return tr("To know:   ") + "    ".join(parts)


def words_of(notes: Sequence[Note]) -> str:
    """The same in words."""
    return tr("To know: ") + ", ".join(f"{len(some)} {tr(weight)}" for weight, some in _by_weight(notes).items())


class FindingList(QWidget):
    """Findings, each with a shape, a word and what can be done; those with a place can be shown there."""

    show_requested = pyqtSignal(float, float)
    """A place on the sheet, mm."""
    cure_requested = pyqtSignal(object)
    """A Cure."""

    def __init__(self) -> None:
        super().__init__()
        self._column = QVBoxLayout(self)
        self._column.setContentsMargins(0, 0, 0, 0)
        self._column.setSpacing(theme.scaled(10))
        self._rows: tuple[Note, ...] = ()
        self._made = True
        self._unfolded: set[str] | None = None

    def show_findings(self, rows: Sequence[Note]) -> None:
        """Show these, made when they are in sight; nothing at all when there are none."""
        if tuple(rows) != self._rows:
            self._rows, self._made = tuple(rows), False
        if not self.isHidden():
            self._make()

    def setVisible(self, visible: bool) -> None:
        """What was found meanwhile is there before it is seen."""
        if visible:
            self._make()
        super().setVisible(visible)

    def _make(self) -> None:
        if self._made:
            return
        self._made = True
        while (item := self._column.takeAt(0)) is not None:
            if (widget := item.widget()) is not None:
                widget.hide()
                widget.deleteLater()
        found = _by_weight(self._rows)
        for weight, some in found.items():
            body = _body([])
            # Before a hand folds anything the worst are in sight.
            unfolded = {next(iter(found))} if self._unfolded is None else self._unfolded
            self._column.addWidget(self._head(weight, some, body, unfolded=weight in unfolded))
            self._column.addWidget(body)
            # Not before it has a place: a widget without one would be a window of its own.
            self._unfold(body, some, weight in unfolded)

    def _unfold(self, body: QWidget, some: Sequence[Note], on: bool) -> None:
        """Show findings of one weight, made when they are first shown, or fold them away."""
        column = body.layout()
        assert column is not None
        if on and not column.count():
            for note in some:
                column.addWidget(self._block(note))
        body.setVisible(on)

    def _head(self, weight: str, some: Sequence[Note], body: QWidget, *, unfolded: bool) -> QWidget:
        head = button("", plain=True)
        head.setProperty("fold", True)
        head.setCheckable(True)
        head.setChecked(unfolded)

        def name(on: bool) -> None:
            head.setText(f"{'▾' if on else '▸'}  {_SHAPES[weight]} {len(some)} {tr(weight)}")

        def by_hand(on: bool) -> None:
            self._unfold(body, some, on)
            name(on)
            known = {next(iter(_by_weight(self._rows)))} if self._unfolded is None else self._unfolded
            self._unfolded = known | {weight} if on else known - {weight}

        head.clicked.connect(by_hand)
        set_tip(head, tr("Show or fold away what {weight}.", weight=tr(weight)))
        name(unfolded)
        return head

    def _block(self, row: Note) -> QWidget:
        """One finding: what it is, what to do, and buttons for what can be done."""
        lines: list[QWidget] = [label(row.text), label(row.remedy, kind="quiet")]
        made = _body(lines, gap=2)
        column = made.layout()
        assert isinstance(column, QVBoxLayout)
        for cure in row.cures:
            press = button(cure.text)
            set_tip(press, tr("Do it; Ctrl+Z takes it back."))
            press.clicked.connect(lambda _checked, asked=cure: self.cure_requested.emit(asked))
            column.addWidget(press, 0, Qt.AlignmentFlag.AlignLeft)
        if row.place_mm is not None:
            show = button(
                tr("Show it on the sheet"), tip=tr("Move the sheet to where it is. N goes to the next."), plain=True
            )
            show.clicked.connect(lambda _checked, place=row.place_mm: self.show_requested.emit(*place))
            column.addWidget(show, 0, Qt.AlignmentFlag.AlignLeft)
        return made


def _body(parts: Sequence[QWidget], gap: int = 10) -> QWidget:
    made = QWidget()
    column = QVBoxLayout(made)
    column.setContentsMargins(0, 0, 0, 0)
    column.setSpacing(theme.scaled(gap))
    for part in parts:
        column.addWidget(part)
    return made
