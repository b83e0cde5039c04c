"""The Sheets station in the window."""

from collections.abc import Callable
from dataclasses import replace
from datetime import datetime

from nomos.base.language import tr
from nomos.project import Project, Proof
from nomos.project.edition.board import Board, board_sheets, sheets_board
from nomos.project.edition.stack import Stack, edition_stack, steps_of
from nomos.project.register.comparison import marks_text
from nomos.ui.frame.presenter import Drawn, StationPresenter
from nomos.ui.frame.sheet_view import Overlay, picture_overlay
from nomos.ui.stations.sheets.board import BoardPart
from nomos.ui.stations.sheets.board_view import board_view
from nomos.ui.stations.sheets.sheets_view import record_view, sheets_view
from nomos.ui.stations.sheets.sheets_widget import SheetsStation


class SheetsPresenter(StationPresenter[SheetsStation]):
    """How many sheets?"""

    hint = tr("Set the edition: the sheets to start with follow.")

    def made(self) -> SheetsStation:
        """The widget, wired."""
        made, hand = SheetsStation(), self.hand
        self._stack, self._board = Drawn[Stack](hand, "stack"), Drawn[Board](hand, "sheets board")
        crafter, bencher = hand.crafter, hand.bencher
        made.field_requested.connect(hand.editor.set)
        made.plan_requested.connect(crafter.plan_sheets)
        made.log_requested.connect(crafter.take_from_log)
        made.part_turned.connect(lambda: self._turn(made.part))
        made.chosen_requested.connect(bencher.choose)
        made.number_requested.connect(bencher.number_all)
        made.write_requested.connect(lambda: crafter.write_record(bencher.record()))
        made.picture_requested.connect(self._keep_picture)
        made.compare_requested.connect(bencher.proofs.compare_with)
        made.remark_given.connect(bencher.remark)
        made.anew_requested.connect(bencher.begin_anew)
        self._wire_board(made.board)
        return made

    def _wire_board(self, part: BoardPart) -> None:
        bencher = self.hand.bencher

        def of_sheet(act: Callable[[int], None]) -> None:
            if bencher.sheet is not None:
                act(bencher.sheet)

        part.best_requested.connect(lambda best: of_sheet(lambda sheet: bencher.choose(sheet, best)))
        part.mended.connect(lambda how: of_sheet(lambda sheet: bencher.mend(sheet, how)))
        part.given_up.connect(lambda: of_sheet(bencher.give_up))

    def show(self, project: Project, proof: Proof | None) -> None:
        """Render it."""
        bencher = self.hand.bencher
        record, laid = bencher.record(), bencher.proofs.compared
        how, apart, drift = (laid.how, laid.mean_de00, laid.drift) if laid else ("", None, "")
        if laid and laid.marks is not None:
            drift = f"{drift} {marks_text(laid.marks)}".strip()
        self.widget.show_view(
            sheets_view(project, proof, record),
            record_view(project, record, how, apart, drift),
            board_view(project, bencher.state(), bencher.sheet, datetime.now()),
        )

    def come(self) -> None:
        """The sheet shows the stack while it is planned."""
        super().come()
        self._turn(self.widget.part)

    def _turn(self, part: str) -> None:
        if part == "sheets":
            self.hand.show("stack")
        elif self.hand.state.shown == "stack":
            self.hand.show("print")
        else:
            self.hand.look_again()

    def laid_over(self, project: Project) -> Overlay | None:
        """The stack; or where the print would be the board of all sheets, or two proofs beside each other."""
        if self.hand.state.shown == "stack":
            return self._stack_overlay(project)
        if self.hand.state.shown != "print":
            return None
        if self.widget.part == "board":
            return self._board_overlay(project)
        compared = self.hand.bencher.proofs.compared
        if self.widget.part != "record" or compared is None:
            return None
        spots = tuple(mark.place_mm for mark in compared.marks or ())
        return replace(picture_overlay(project, compared.picture, compared.px_per_mm), spots=spots)

    def pick(self, x_mm: float, y_mm: float, more: bool) -> bool:  # noqa: ARG002 - one sheet at a time
        """A click on the board has that sheet in hand."""
        board = self._board.last
        on_board = self.widget.part == "board" and self.hand.state.shown == "print"
        if not on_board or board is None:
            return False
        self.hand.bencher.choose_sheet(board.sheet_at(x_mm, y_mm))
        return True

    def _stack_overlay(self, project: Project) -> Overlay | None:
        proof, state = self.hand.keeper.proof, self.hand.bencher.state()
        if proof is None or proof.project is not project or not project.impressions:
            return None
        laid = proof.laid
        steps = steps_of(project, state)
        moment = state.moment if state is not None else None
        stack = self._stack.of((project, laid, moment), lambda: edition_stack(project, laid, steps))
        if stack is None:
            return None
        words = tuple(((t.place.left + t.place.right) / 2, t.place.bottom, t.word) for t in stack.tiles)
        return replace(picture_overlay(project, stack.picture, stack.px_per_mm), words=words)

    def _board_overlay(self, project: Project) -> Overlay | None:
        proof, state = self.hand.keeper.proof, self.hand.bencher.state()
        if proof is None or state is None or proof.project is not project:
            return None
        laid = proof.laid
        shown = board_sheets(state)
        left_out = len(state.histories) - len(shown)
        board = self._board.of((state.moment, laid), lambda: sheets_board(project, laid, shown, left_out))
        if board is None:
            return None
        chosen = self.hand.bencher.sheet
        words = tuple(((t.place.left + t.place.right) / 2, t.place.bottom, t.word) for t in board.tiles)
        lines = tuple(
            ((p.left, p.top), (p.right, p.top), (p.right, p.bottom), (p.left, p.bottom))
            for p in (tile.place for tile in board.tiles if tile.sheet == chosen)
        )
        return replace(picture_overlay(project, board.picture, board.px_per_mm), words=words, lines=lines)

    def _keep_picture(self) -> None:
        path = self.hand.files.questions.scan_to_open()
        if path is not None:
            self.hand.bencher.proofs.add(path)
