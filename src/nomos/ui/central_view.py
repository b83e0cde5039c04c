"""The middle of the window: the welcome, the sheet, the picture as it was opened, or the bench."""

from dataclasses import replace

from PyQt6.QtCore import Qt
from PyQt6.QtWidgets import QScrollArea, QStackedWidget, QWidget

from nomos.project import Project
from nomos.ui.column import Column
from nomos.ui.controller import Controller
from nomos.ui.frame.document import design_of
from nomos.ui.frame.looks import BOARDS
from nomos.ui.frame.raster import index_levels, picture_levels
from nomos.ui.frame.sheet import SheetView
from nomos.ui.frame.sheet_view import Overlay, laid_raster, sheet_content
from nomos.ui.frame.view import prints_by_pull
from nomos.ui.frame.welcome import Welcome
from nomos.ui.stations.design.picture import PictureView
from nomos.ui.stations.design.picture_view import first_content, picture_content


class CentralView(QStackedWidget):
    """Shows one of them, by what is open and where the hand is."""

    def __init__(self, controller: Controller, column: Column) -> None:
        super().__init__()
        self._hand, self._column = controller, column
        self.welcome, self.sheet, self.picture = Welcome(), SheetView(), PictureView()
        self._bench = QScrollArea()
        self._bench.setWidgetResizable(True)
        self._bench.setFocusPolicy(Qt.FocusPolicy.NoFocus)
        self.flipped = False
        """Whether a held key shows the sketch in place of what was made of it."""
        for part in (self.welcome, self.sheet, self.picture, self._bench):
            self.addWidget(part)
        self._shown_of: object = None

    def _let_go(self, project: Project) -> None:
        """Of another design's pages nothing is kept, once the sheet is of this one."""
        design = design_of(project)
        if design != self._shown_of:
            self._shown_of = design
            self.picture.show_content(None)
            for kept in (index_levels, picture_levels, prints_by_pull):
                kept.cache_clear()

    def at_bench(self) -> bool:
        """Whether the bench has the window: there is something to print."""
        project, state = self._hand.document.project, self._hand.state
        return project is not None and state.station == "bench" and bool(project.impressions)

    def refresh(self) -> None:
        """Show what belongs there now."""
        self._show_sheet()
        self.setCurrentWidget(self._belonging())

    def _show_sheet(self) -> None:
        hand = self._hand
        project, proof, designer = hand.document.project, hand.keeper.proof, hand.designer
        if project is None:
            self.sheet.show_content(None)
            return
        if proof is not None:
            self._let_go(proof.project)
        looked_at = replace(hand.state, shown="sketch") if self.flipped else hand.state
        self.sheet.ruled, outlines = looked_at.shown not in BOARDS, None
        if looked_at.shown == "outlined" and proof is not None and proof.project is project:
            found = designer.need_outlines(proof.blocks.labels, proof.blocks.px_per_mm)
            outlines = Overlay(spots=found.places, raster=found.raster) if found else None
        over = self._column.laid_over(project)
        card = hand.inkroom.card
        pull = looked_at.pull if looked_at.shown == "free" else None
        free = hand.keeper.free_of(pull) if pull is not None else None
        joins = hand.keeper.joins() if looked_at.shown == "traps" else None
        first = hand.keeper.first
        seen_first = laid_raster(project, first.laid, first.labs) if first is not None else None
        self.sheet.show_content(
            sheet_content(project, proof, looked_at, designer.sketch, card, over, outlines, free, joins, seen_first)
        )

    def _belonging(self) -> QWidget:
        hand = self._hand
        project, designer = hand.document.project, hand.designer
        if designer.first is not None:
            self.picture.show_content(first_content(designer.first))
            return self.picture
        if project is None:
            return self.welcome
        pixels = designer.pixels()
        opened = hand.state.shown == "picture" and not self.flipped
        if hand.state.station == "design" and opened and pixels is not None:
            self.picture.show_content(picture_content(project, pixels, designer.found))
            return self.picture
        if not self.at_bench():
            return self.sheet
        if self._bench.widget() is None:
            self._bench.setWidget(self._column.here("bench").widget)
        return self._bench
