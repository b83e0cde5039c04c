"""What the window says before anything is open."""

from collections.abc import Sequence
from pathlib import Path

from PyQt6.QtCore import QSize, Qt, pyqtSignal
from PyQt6.QtGui import QIcon
from PyQt6.QtWidgets import QGridLayout, QHBoxLayout, QPushButton, QScrollArea, QVBoxLayout, QWidget

from nomos.base.language import tr
from nomos.ui.frame import theme
from nomos.ui.frame.controls import button, label
from nomos.ui.frame.plain_text import set_tip


class Welcome(QScrollArea):
    """Says what to do first, on an empty sheet; below it the files of late."""

    recent_chosen = pyqtSignal(object)
    """The path of a file of late."""

    def __init__(self) -> None:
        super().__init__()
        self.open = button(tr("Open a sketch or a project…"))
        self.demo = button(tr("Look at a demo first: blocks and a key"))
        self.walk = button(tr("Or walk through it in two minutes"))
        self.reduction, self.jigsaw = button(tr("A reduction")), button(tr("A jigsaw"))
        self.photo = button(tr("A photograph of a sketch"))
        self.demos = {self.demo: "glasshouse", self.reduction: "coldframe", self.jigsaw: "pots", self.photo: "photo"}
        page = QWidget()
        page.setObjectName("ground")
        page.setStyleSheet(f"#ground {{ background: {theme.GROUND}; }}")
        self.setFrameShape(QScrollArea.Shape.NoFrame)
        self.setWidgetResizable(True)
        self.setFocusPolicy(Qt.FocusPolicy.NoFocus)
        column = QVBoxLayout(page)
        column.addStretch(1)
        box = QWidget()
        box.setObjectName("welcome")
        box.setFixedWidth(theme.scaled(420))
        box.setStyleSheet("#welcome { background: #f7f4ea; } #welcome QLabel { color: #1c1c1c; }")
        inner = QVBoxLayout(box)
        inner.setContentsMargins(*[theme.scaled(28)] * 4)
        inner.setSpacing(theme.scaled(12))
        inner.addWidget(label(tr("Start with a coloured sketch"), kind="question"))
        inner.addWidget(
            label(
                tr(
                    "A photograph, scan or drawing of the print you have in mind: PNG, JPEG, TIFF, WebP or "
                    "SVG. You can also drop the file here."
                )
            )
        )
        inner.addWidget(
            label(
                tr(
                    "Nomos finds the sheet, straightens it, reads it as a few flat colours and a line, shows "
                    "the print as the inks will overlap, and draws templates at true size."
                )
            )
        )
        inner.addSpacing(theme.scaled(6))
        inner.addWidget(self.open)
        inner.addWidget(self.demo)
        inner.addWidget(self.walk)
        others = QHBoxLayout()
        others.addWidget(self.reduction)
        others.addWidget(self.jigsaw)
        others.addWidget(self.photo)
        inner.addLayout(others)
        # Text that wraps has no height of its own until its width is known.
        box.setFixedHeight(inner.totalHeightForWidth(box.width()))
        column.addWidget(box, 0, Qt.AlignmentFlag.AlignHCenter)
        self._late = QWidget()
        self._late.setFixedWidth(theme.scaled(420))
        self._late_grid = QGridLayout(self._late)
        self._late_grid.setContentsMargins(0, theme.scaled(10), 0, 0)
        column.addWidget(self._late, 0, Qt.AlignmentFlag.AlignHCenter)
        column.addStretch(2)
        self.setWidget(page)
        self.late: list[QPushButton] = []

    def show_recent(self, files: Sequence[tuple[Path, Path | None]]) -> None:
        """The files of late, each with its small picture, if it has one."""
        while (item := self._late_grid.takeAt(0)) is not None:
            if (widget := item.widget()) is not None:
                widget.deleteLater()
        self.late = []
        self._late.setVisible(bool(files))
        side = theme.scaled(48)
        for place, (path, picture) in enumerate(files):
            made = button(theme.elided(path.stem, self.font(), theme.scaled(130)))
            set_tip(made, str(path))
            made.setAccessibleName(tr("Open {name}", name=path.name))
            if picture is not None:
                made.setIcon(QIcon(str(picture)))
                made.setIconSize(QSize(side, side))
            made.clicked.connect(lambda _on, path=path: self.recent_chosen.emit(path))
            self._late_grid.addWidget(made, place // 2, place % 2)
            self.late.append(made)
