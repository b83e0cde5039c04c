"""The Blocks station in the window."""

from dataclasses import replace

from nomos.base.language import tr
from nomos.project import Project, Proof
from nomos.project.blocks.methods import METHODS, method_of
from nomos.project.blocks.plans import kept_key
from nomos.project.sheet.tiles import tile_at
from nomos.separation.plans import REACHED_DE00
from nomos.ui.frame import theme
from nomos.ui.frame.cards import Card
from nomos.ui.frame.presenter import Drawn, Latest, StationPresenter
from nomos.ui.frame.sheet_view import Overlay, on_print, picture_overlay
from nomos.ui.stations.blocks.blocks_view import blocks_view, seams_text
from nomos.ui.stations.blocks.blocks_widget import BlocksStation
from nomos.ui.stations.blocks.fewer import FewerPart
from nomos.ui.stations.blocks.inking import InkingPart
from nomos.ui.stations.blocks.inking_view import drawn_over, inking_view
from nomos.ui.stations.blocks.joins import JoinsPart
from nomos.ui.stations.blocks.method import MethodPart
from nomos.ui.stations.blocks.method_view import loose_over, method_view
from nomos.ui.stations.blocks.plans_view import (
    PlanBoard,
    ink_rows,
    plan_board,
    plan_cards,
    plan_chart,
    reach_rows,
    wish_rows,
)
from nomos.ui.stations.blocks.touch import HandPart
from nomos.work.plans import candidates

_CARD_PICTURE = 66
# How far below a plan's picture stands what it is.
_WORD_MM = 3.0
_PLAN_NOTE = tr(
    "Click a plan to take it. Of the colours so many come within ΔE {reached_de00:g}. "
    "Tight: borders where a gap can open.",
    reached_de00=REACHED_DE00,
)


class BlocksPresenter(StationPresenter[BlocksStation]):
    """Which blocks?"""

    hint = tr("Click a field to choose its block. Drag the sheet to move it, turn the wheel to come closer.")

    def made(self) -> BlocksStation:
        """The widget, wired."""
        made, hand = BlocksStation(), self.hand
        self._board = Drawn[PlanBoard](hand, "plans board")
        self._cards = Latest[tuple[Card, ...]]()
        made.pull_chosen.connect(hand.choose_pull)
        made.renamed.connect(hand.blocks.rename_block)
        made.key_requested.connect(hand.blocks.make_key)
        made.again_requested.connect(hand.methods.print_again)
        made.left_out.connect(hand.methods.leave_out)
        made.split_requested.connect(hand.methods.split_zones)
        made.switch_thrown.connect(hand.blocks.throw_switch)
        made.meeting_requested.connect(hand.blocks.choose_where_meet)
        self._wire_method(made.method)
        self._wire_fewer(made.fewer)
        self._wire_joins(made.joins)
        self._wire_hand(made.hand)
        self._wire_inking(made.inking)
        made.part_turned.connect(hand.look_again)
        return made

    def _wire_method(self, part: "MethodPart") -> None:
        ways = self.hand.methods
        part.method_requested.connect(ways.choose_method)
        part.ways.pointed.connect(self._lay_method_beside)
        part.field_requested.connect(self.hand.editor.set)
        part.kerf_requested.connect(ways.set_kerf)
        part.tint_requested.connect(ways.tint)

    def _wire_fewer(self, part: "FewerPart") -> None:
        hand, planner = self.hand, self.hand.planner
        part.source_requested.connect(hand.blocks.ask_inks)
        part.most_requested.connect(lambda most: planner.ask(replace(planner.wanted, most_blocks=most)))
        part.key_kept.connect(lambda keep: planner.ask(replace(planner.wanted, keep_key=keep)))
        part.wish_requested.connect(lambda number, wish: planner.ask(planner.wanted.with_wish(number, wish)))
        part.use_requested.connect(lambda ink: planner.ask(planner.wanted.with_next_use(ink)))
        part.plans_requested.connect(planner.look)
        part.plan_taken.connect(hand.blocks.take_plan)
        part.plan_pointed.connect(self._lay_plan_beside)

    def _lay_plan_beside(self, key: str) -> None:
        other = self.hand.blocks.planned(key) if key else None
        if other is None:
            self.wishes.beside_requested.emit("", None)
            return
        title = tr("with {blocks} blocks", blocks=len(other.blocks))
        self.wishes.beside_requested.emit(title, lambda _project, _progress: other)

    def _lay_method_beside(self, method: str) -> None:
        project = self.hand.document.project
        made = self.hand.methods.printed_by(method)
        if project is None or made is None or method == method_of(project):
            self.wishes.beside_requested.emit("", None)
        else:
            self.wishes.beside_requested.emit(METHODS[method].beside, made)

    def _wire_joins(self, part: "JoinsPart") -> None:
        hand = self.hand
        part.key_kind_requested.connect(hand.blocks.choose_key)
        part.contour_requested.connect(hand.blocks.set_contour)
        part.shadow_requested.connect(hand.methods.shade)
        part.field_requested.connect(hand.editor.set)

    def _wire_hand(self, part: "HandPart") -> None:
        hand = self.hand
        part.touch_requested.connect(self.wishes.touch_requested)
        part.anew_requested.connect(hand.blocks.work_out_anew)
        part.simpler_requested.connect(hand.hands.simplify)
        part.bring_requested.connect(hand.hands.bring_in)
        part.send_requested.connect(hand.hands.send_out)

    def _wire_inking(self, part: "InkingPart") -> None:
        hand, inker = self.hand, self.hand.inker
        part.zone_chosen.connect(lambda zone: hand.set_state(zone=zone))
        part.hand_requested.connect(lambda tool, what, _touch: inker.take_up(tool, what))
        part.hand_requested.connect(lambda _tool, _what, touch: self.wishes.touch_requested.emit(touch))
        part.ink_requested.connect(inker.take_ink)
        part.zone_requested.connect(hand.editor.set_zone)
        part.pull_requested.connect(hand.editor.set_pull)
        part.named.connect(inker.name_pull)
        part.removed.connect(inker.take_out)
        part.again_requested.connect(hand.methods.print_again)

    def gone(self) -> None:
        """Tools are put down."""
        self.widget.inking.put_down()

    def pick(self, x_mm: float, y_mm: float, more: bool) -> bool:
        """With the field in hand a click draws that field's zone; with Ctrl all that touches it as well."""
        project, inker = self.hand.document.project, self.hand.inker
        if self.hand.state.shown == "plans":
            self._take_plan_at(x_mm, y_mm)
            return True
        if inker.tool != "field" or project is None:
            return False
        inker.point_at(*on_print(project, self.hand.state, (x_mm, y_mm)), touching=more)
        return True

    def laid_over(self, project: Project) -> Overlay | None:
        """What was drawn on a pull by hand; at the method, the parts of a plate that fall out."""
        if self.hand.state.shown == "plans":
            return self._plans_overlay(project)
        if self.hand.state.shown != "print":
            return None
        if self.widget.part == "method":
            return loose_over(project, self.hand.keeper.proof, self.hand.state)
        return drawn_over(project, self.hand.state) if self.widget.part == "inking" else None

    def _plans_overlay(self, project: Project) -> Overlay | None:
        planner, proof = self.hand.planner, self.hand.keeper.proof
        if planner.found is None or proof is None or project.flat is None:
            return None
        found, keep = planner.found, planner.keeps_key
        board = self._board.of((project, proof.blocks, found), lambda: plan_board(project, proof, found, keep_key=keep))
        if board is None:
            return None
        words = tuple(((t.place.left + t.place.right) / 2, t.place.bottom + _WORD_MM, t.word) for t in board.tiles)
        return replace(picture_overlay(project, board.picture, board.px_per_mm), words=words)

    def _take_plan_at(self, x_mm: float, y_mm: float) -> None:
        board = self._board.last
        tile = tile_at(board.tiles, x_mm, y_mm) if board is not None else None
        if board is not None and tile is not None and board.keys[tile.sheet]:
            self.hand.blocks.take_plan(board.keys[tile.sheet])
            self.hand.show("print")

    def show(self, project: Project, proof: Proof | None) -> None:
        """Render it."""
        state = self.hand.state
        method = method_view(project, proof, state.colour)
        inking = inking_view(project, proof, state)
        seams = seams_text(project, proof) if self.widget.part == "joins" else ("", None)
        self.widget.show_view(blocks_view(project, proof, state, seams), method, inking)
        if self.widget.part == "fewer":
            self._show_plans(project, proof)

    def _show_plans(self, project: Project, proof: Proof | None) -> None:
        planner = self.hand.planner
        found, asked = planner.found, planner.wanted
        inks = () if asked.source == "mix" else candidates(project, asked)
        fewer = self.widget.fewer
        fewer.show_requested(
            asked.source, asked.most_blocks, keep=asked.keep_key, has_key=kept_key(project) is not None,
            wishes=wish_rows(project, dict(asked.wishes), keep_key=asked.keep_key),
            uses=ink_rows(inks, dict(asked.uses)),
        )  # fmt: skip
        plans = found.plans if found else ()
        keep = planner.keeps_key
        cards = self._cards.of(
            (project, proof, found),
            lambda: plan_cards(
                project, proof, plans, theme.scaled(_CARD_PICTURE), keep_key=keep,
                within=dict(found.within) if found else {},
            ),
        )  # fmt: skip
        note = ""
        if found:
            note = _PLAN_NOTE if found.done else tr("Looking…")
        reach = reach_rows(project, found.reach) if found else ()
        fewer.show_found(cards, note, reach, plan_chart(project, found, keep_key=keep))
