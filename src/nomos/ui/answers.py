"""The column at the right: the stations, each imported, made and wired when it is first shown."""

from dataclasses import replace
from datetime import date
from functools import cached_property
from typing import TYPE_CHECKING

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QScrollArea, QStackedWidget

from nomos.project import Project, Proof, Station
from nomos.project.separating import kept_key, with_plan
from nomos.separation.plans import REACHED_DE00
from nomos.separation.touch import Touch
from nomos.ui import theme
from nomos.ui.controller import Controller
from nomos.ui.planner import candidates
from nomos.ui.views import answers
from nomos.ui.views.blocks import blocks_view
from nomos.ui.views.inks import mix_view, see_view, sheet_overlaps, stack_view
from nomos.ui.views.inks import proof_view as learnt_view
from nomos.ui.views.methods import method_view
from nomos.ui.views.order import days_view, orders_view, sitting_view
from nomos.ui.views.plans import ink_rows, plan_cards, reach_rows, wish_rows
from nomos.ui.views.rows import Note
from nomos.ui.views.sheet import Overlay
from nomos.units import PAPER_SIZES_MM

if TYPE_CHECKING:
    from nomos.ui.stations.blocks import BlocksStation
    from nomos.ui.stations.carve import CarveStation
    from nomos.ui.stations.design import DesignStation
    from nomos.ui.stations.design_parts import PicturePart
    from nomos.ui.stations.fewer import FewerPart
    from nomos.ui.stations.hand import HandPart
    from nomos.ui.stations.inks import InksStation
    from nomos.ui.stations.joins import JoinsPart
    from nomos.ui.stations.method import MethodPart
    from nomos.ui.stations.order import OrderStation
    from nomos.ui.stations.register import RegisterStation
    from nomos.ui.stations.sheets import SheetsStation

_CARD_PICTURE = 66
_PLAN_NOTE = (
    f"Click a plan to take it. Of the colours so many come within ΔE {REACHED_DE00:g}. "
    "Tight: borders where a gap can open."
)


class AnswersColumn(QStackedWidget):
    """Shows the station the hand is at; what is asked for there goes to the controller."""

    packet_asked = pyqtSignal()
    touch_asked = pyqtSignal(object)
    """A Touch to draw with on the sheet, or None."""
    show_asked = pyqtSignal(float, float)
    """A place on the sheet, mm, that is to be looked at closely."""
    picture_tool_asked = pyqtSignal(str)
    """What the hand does on the picture as it was opened."""
    length_given = pyqtSignal(float)
    """How long the line drawn on the picture is on the print, mm."""

    def __init__(self, controller: Controller) -> None:
        super().__init__()
        self._hand = controller
        self._place = -1
        self.setMinimumWidth(theme.scaled(240))

    def show_station(self, project: Project, proof: Proof | None) -> None:
        """Render the present station. proof : only one that belongs to the project."""
        state = self._hand.state
        notes = answers.notes(proof, state.station)
        shown: QScrollArea
        if state.station == "design":
            shown = self.design
            self._show_design(project, proof, notes)
        elif state.station == "blocks":
            shown = self.blocks
            method = method_view(project, proof, state.colour)
            self.blocks.show_view(blocks_view(project, proof, state), method, notes)
            self._show_plans(project, proof)
        elif state.station == "inks":
            shown = self.inks
            self.inks.show_view(
                answers.inks_view(project, proof, state, self._hand.inkroom.doubts.of(project)), notes
            )
            self._show_ink_part(project, proof)
        elif state.station == "order":
            shown = self.order
            self._show_order(project, proof, notes)
        elif state.station == "register":
            shown = self.register
            self._show_register(project, proof, notes)
        elif state.station == "carve":
            from nomos.ui.views.craft import carve_view

            shown = self.carve
            carved = self._hand.crafter.carved_of(project)
            history = self._hand.bencher.state()
            others, cut_h = self._hand.crafter.others, history.cut_h if history else {}
            self.carve.show_view(
                carve_view(project, carved, state.pull, others, cut_h), self._hand.crafter.marked
            )
        else:
            from nomos.ui.views.craft import record_view, sheets_view

            shown = self.sheets
            record = self._hand.bencher.record()
            laid = self._hand.bencher.compared
            how, apart = (laid.how, laid.mean_de00) if laid else ("", None)
            drift = laid.drift if laid else ""
            self.sheets.show_view(
                sheets_view(project, proof, record), record_view(project, record, how, apart, drift)
            )
        self.setCurrentWidget(shown)

    def _show_design(self, project: Project, proof: Proof | None, notes: tuple[Note, ...]) -> None:
        from nomos.ui.views.design import correct_part_view, design_view, picture_part_view

        designer, state = self._hand.designer, self._hand.state
        done = designer.done
        view = design_view(project, proof, state, done.flat if done else None)
        if view is None:
            return
        looked = designer.reading.looked if designer.reading else None
        places = len(designer.outlined.places) if designer.outlined else 0
        self.design.show_view(
            view,
            picture_part_view(project, looked, known=designer.pixels() is not None),
            correct_part_view(project, state, places),
            notes,
        )

    def _show_register(self, project: Project, proof: Proof | None, notes: tuple[Note, ...]) -> None:
        """The Register station; a part is worked out when it is in sight."""
        from nomos.ui.views.meeting import practice_view, proof_view, tolerance_view
        from nomos.ui.views.register import register_view

        registrar, state, station = self._hand.registrar, self._hand.state, self.register
        station.show_view(register_view(project, proof, state), notes)
        if station.part == "tolerance":
            flashed = (
                registrar.flashed if registrar.flashed and registrar.flashed.project is project else None
            )
            fast, exact = (flashed.fast, flashed.exact) if flashed else (None, None)
            shown = tolerance_view(project, fast, exact)
            station.tolerance.show_view(shown, nine=registrar.grid is not None)
        elif station.part == "proofs":
            scanned = registrar.scanned
            found = scanned.found.pulls if scanned else ()
            name = scanned.name if scanned else ""
            station.proofs.show_view(proof_view(project, state.pull, found, name, uncut=registrar.uncut))
        elif station.part == "practice":
            done = registrar.practice
            station.practice.show_view(
                practice_view(
                    project, done.exercise if done else None, done.marking if done else None,
                    done.points if done else 0, done.answered if done else 0,
                )
            )  # fmt: skip

    def laid_over(self, project: Project) -> Overlay | None:
        """What the present station lays over the sheet."""
        state, registrar = self._hand.state, self._hand.registrar
        if state.station not in ("carve", "sheets", "register"):
            return None
        from nomos.ui.views.craft import carving_overlay
        from nomos.ui.views.meeting import apart_overlay, exercise_overlay, picture_overlay

        if state.station == "carve" and state.shown == "cut":
            return carving_overlay(project, self._hand.crafter.carved_of(project), state.pull)
        compared = self._hand.bencher.compared
        if state.station == "sheets" and self.sheets.part == "record" and compared is not None:
            return picture_overlay(project, compared.picture, compared.px_per_mm)
        if state.station != "register":
            return None
        if state.shown == "apart" and registrar.grid is not None:
            return picture_overlay(project, registrar.grid, registrar.grid.shape[1] / project.paper.width_mm)
        if state.shown == "apart":
            flashed = (
                registrar.flashed if registrar.flashed and registrar.flashed.project is project else None
            )
            return apart_overlay(project, (flashed.exact or flashed.fast) if flashed else None)
        if state.shown == "exercise":
            return exercise_overlay(project, registrar.practice.exercise if registrar.practice else None)
        return None

    def come_to(self, station: Station) -> None:
        """The hand has turned to a station: its sheet is shown, and nothing is worked out for another."""
        if station == "register":
            self._turn_register(self.register.part)
        else:
            self._hand.registrar.look_at_flashes(False)
        self._hand.crafter.look(station in ("carve", "bench"))
        if station == "design":
            self._turn_design(self.design.part)
        else:
            self.touch_asked.emit(None)
        if station == "carve":
            self._turn_carve(self.carve.part)

    def _turn_carve(self, part: str) -> None:
        """The carving map stands on the sheet; at the transfer the block as it then looks."""
        self._hand.show("carved" if part == "transfer" else "cut")

    def _turn_register(self, part: str) -> None:
        """The sheet follows the part of the Register station that is in sight."""
        hand = self._hand
        hand.registrar.look_at_flashes(part == "tolerance")
        if part == "practice" and hand.registrar.practice is None:
            hand.registrar.exercise()
        if part == "tolerance":
            hand.show("apart")
        elif part == "practice":
            hand.show("exercise")
        elif hand.state.shown in ("apart", "exercise"):
            hand.show("print")
        else:
            hand.look_again()

    def _show_order(self, project: Project, proof: Proof | None, notes: tuple[Note, ...]) -> None:
        """The Order station; days and cleaning are worked out when they are in sight."""
        orderer, state, station = self._hand.orderer, self._hand.state, self.order
        tall = theme.scaled(_CARD_PICTURE)
        wanted = orderer.wanted
        found = orders_view(project, proof, orderer.report, wanted.school, wanted.pins, state.pull, tall)
        station.show_view(answers.order_view(project, proof, state, tall), found, notes)
        if station.part == "days":
            station.days.show_view(days_view(project, date.today()))
        elif station.part == "sitting":
            station.sitting.show_view(sitting_view(project, orderer.rollers))

    def _show_ink_part(self, project: Project, proof: Proof | None) -> None:
        """The part of the Inks station that is in sight; the others are worked out when they are."""
        room, state, station = self._hand.inkroom, self._hand.state, self.inks
        if station.part == "mix":
            shelf, most = room.shelf_name, room.most_inks
            station.mix.show_view(mix_view(project, proof, state, shelf, most, room.mixed, room.card))
        elif station.part == "stack":
            station.stack.show_view(stack_view(project, state))
        elif station.part == "see":
            overlaps = [films for films, _, _ in sheet_overlaps(project, proof)]
            judged = room.doubts.of(project, overlaps)
            station.see.show_view(see_view(project, proof, state, room.chart, room.learned, judged))
        elif station.part == "learn":
            station.learn.show_view(learnt_view(project, proof, room.learnt))

    def _show_plans(self, project: Project, proof: Proof | None) -> None:
        planner = self._hand.planner
        found, asked = planner.found, planner.asked
        inks = () if asked.source == "mix" else candidates(project, asked)
        fewer = self.blocks.fewer
        fewer.show_asked(
            asked.source, asked.most_blocks, keep=asked.keep_key, has_key=kept_key(project) is not None,
            wishes=wish_rows(project, dict(asked.wishes), keep_key=asked.keep_key),
            uses=ink_rows(inks, dict(asked.uses)),
        )  # fmt: skip
        plans = found.plans if found else ()
        keep = found.asked.keep_key if found else True
        cards = plan_cards(
            project,
            proof,
            plans,
            theme.scaled(_CARD_PICTURE),
            keep_key=keep,
            within=dict(found.within) if found else {},
        )
        note = ""
        if found:
            note = _PLAN_NOTE if found.done else "Looking…"
        fewer.show_found(cards, note, reach_rows(project, found.reach) if found else ())

    @cached_property
    def design(self) -> "DesignStation":
        """What is the design made of?"""
        from nomos.ui.stations.design import DesignStation

        made, hand, designer = DesignStation(), self._hand, self._hand.designer
        made.count_asked.connect(lambda count: designer.flatten_again(count=count))
        made.feature_asked.connect(lambda smallest: designer.flatten_again(smallest_mm=smallest))
        made.shown_asked.connect(hand.show)
        made.part_shown.connect(self._turn_design)
        made.colour_chosen.connect(hand.choose_colour)
        made.renamed.connect(hand.rename_colour)
        made.recoloured.connect(hand.recolour)
        made.kept.connect(hand.keep_colour)
        made.bare_asked.connect(hand.leave_bare)
        made.merge_asked.connect(hand.merge_colour)
        made.split_asked.connect(hand.split_field)
        made.grade_asked.connect(hand.take_gradient)
        made.retitled.connect(hand.rename)
        self._wire_picture(made.picture)
        made.correct.tool_asked.connect(self._point_with)
        made.correct.everywhere_asked.connect(lambda on: hand.point_with(everywhere=on))
        made.correct.brush_asked.connect(self._set_brush)
        made.correct.next_asked.connect(self._next_place)
        self.addWidget(made)
        return made

    def _wire_picture(self, part: "PicturePart") -> None:
        designer, hand = self._hand.designer, self._hand
        part.find_asked.connect(designer.find)
        part.whole_asked.connect(designer.whole_picture)
        part.turn_asked.connect(designer.turn)
        part.mirror_asked.connect(designer.mirror)
        part.tool_asked.connect(self.picture_tool_asked)
        part.length_given.connect(self.length_given)
        part.bare_cleared.connect(lambda: designer.leave_bare(None))
        part.width_asked.connect(lambda width: designer.set_size(width_mm=width))
        part.height_asked.connect(lambda height: designer.set_size(height_mm=height))
        part.size_asked.connect(designer.set_shape)
        part.fit_asked.connect(lambda paper, margin: designer.fit(PAPER_SIZES_MM[paper], margin))
        part.drawn_on_asked.connect(designer.drawn_on)
        part.read_as_asked.connect(
            lambda value: designer.flatten_again(read_as=value or None, text="Read it as")
        )
        part.faint_dropped.connect(hand.drop_faint)

    def _turn_design(self, part: str) -> None:
        """The sheet follows the part of the Design station that is in sight."""
        hand = self._hand
        if hand.state.station != "design":
            return
        if part == "picture":
            hand.show("picture")
        elif part == "correct":
            hand.show("outlined")
        elif hand.state.shown == "picture":
            hand.show("flat")
        if part != "correct":
            self._point_with("")

    def _point_with(self, tool: str) -> None:
        self._hand.point_with(tool)
        self._set_brush(self._hand.state.brush_mm)

    def _set_brush(self, width_mm: float) -> None:
        self._hand.point_with(brush_mm=width_mm)
        drawing = self._hand.state.pointing == "brush"
        self.touch_asked.emit(Touch("brush", (), width_mm) if drawing else None)

    def _next_place(self) -> None:
        """Look at one doubtful place after the other."""
        outlined = self._hand.designer.outlined
        if outlined is not None and outlined.places:
            self._place = (self._place + 1) % len(outlined.places)
            self.show_asked.emit(*outlined.places[self._place])

    @cached_property
    def blocks(self) -> "BlocksStation":
        """Which blocks?"""
        from nomos.ui.stations.blocks import BlocksStation

        made, hand = BlocksStation(), self._hand
        made.pull_chosen.connect(hand.choose_pull)
        made.shown_asked.connect(hand.show)
        made.marked_asked.connect(hand.mark)
        made.renamed.connect(hand.rename_block)
        made.key_asked.connect(hand.make_key)
        made.again_asked.connect(hand.ways.print_again)
        made.left_out.connect(hand.ways.leave_out)
        made.apart_asked.connect(hand.ways.take_apart)
        made.switch_thrown.connect(hand.throw_switch)
        made.meeting_asked.connect(hand.choose_where_meet)
        made.findings.show_asked.connect(self.show_asked)
        made.findings.cure_asked.connect(hand.ways.cure)
        self._wire_method(made.method)
        self._wire_fewer(made.fewer)
        self._wire_joins(made.joins)
        self._wire_hand(made.hand)
        self.addWidget(made)
        return made

    def _wire_method(self, part: "MethodPart") -> None:
        ways = self._hand.ways
        part.method_asked.connect(ways.choose_method)
        part.workshop_asked.connect(lambda name, value: ways.set_workshop(**{name: value}))
        part.kerf_asked.connect(ways.set_kerf)
        part.tint_asked.connect(ways.tint)

    def _wire_fewer(self, part: "FewerPart") -> None:
        hand, planner = self._hand, self._hand.planner
        part.source_asked.connect(hand.ask_inks)
        part.most_asked.connect(lambda most: planner.ask(replace(planner.asked, most_blocks=most)))
        part.key_kept.connect(lambda keep: planner.ask(replace(planner.asked, keep_key=keep)))
        part.wish_asked.connect(lambda number, wish: planner.ask(planner.asked.with_wish(number, wish)))
        part.use_asked.connect(lambda ink: planner.ask(planner.asked.with_next_use(ink)))
        part.plans_asked.connect(planner.look)
        part.plan_taken.connect(hand.take_plan)

    def _wire_joins(self, part: "JoinsPart") -> None:
        hand = self._hand
        part.key_kind_asked.connect(hand.choose_key)
        part.contour_asked.connect(hand.set_contour)
        part.trap_asked.connect(hand.set_trap)
        part.seam_asked.connect(hand.set_seam)
        part.tolerance_asked.connect(hand.set_tolerance)
        part.fineness_asked.connect(hand.set_fineness)

    def _wire_hand(self, part: "HandPart") -> None:
        hand = self._hand
        part.touch_asked.connect(self.touch_asked)
        part.anew_asked.connect(hand.work_out_anew)
        part.simpler_asked.connect(hand.hands.simplify)
        part.bring_asked.connect(hand.hands.bring_in)
        part.send_asked.connect(hand.hands.send_out)

    @cached_property
    def inks(self) -> "InksStation":
        """Which inks?"""
        from nomos.ui.stations.inks import InksStation

        made, hand = InksStation(), self._hand
        made.pull_chosen.connect(hand.choose_pull)
        made.renamed.connect(hand.rename_ink)
        made.recoloured.connect(hand.recolour_ink)
        made.opacity_asked.connect(hand.set_opacity)
        made.strength_dragged.connect(hand.set_strength)
        made.grade_asked.connect(hand.ways.grade)
        made.grade_to_asked.connect(hand.ways.set_grade_to)
        made.part_shown.connect(hand.look_again)
        self._wire_ink_parts(made)
        self.addWidget(made)
        return made

    def _wire_ink_parts(self, made: "InksStation") -> None:
        hand, room = self._hand, self._hand.inkroom
        made.mix.shelf_asked.connect(room.open_shelf)
        made.mix.most_asked.connect(room.set_most_inks)
        made.mix.mix_asked.connect(room.mix)
        made.mix.recipe_chosen.connect(room.choose_recipe)
        made.mix.recipe_taken.connect(room.take_recipe)
        made.mix.correction_asked.connect(room.put_right)
        made.mix.readings_asked.connect(room.teach)
        made.mix.card_asked.connect(room.open_card)
        made.mix.grey_skipped.connect(room.without_grey)
        made.mix.card_taken.connect(room.take_card)
        made.mix.over_black_asked.connect(room.card_over_black)
        made.mix.card_to_print.connect(room.write_card)
        made.stack.inking_asked.connect(room.set_inking)
        made.stack.pull_asked.connect(lambda name, value: room.set_pull(**{name: value}))
        made.stack.ink_asked.connect(lambda name, value: room.set_ink(**{name: value}))
        made.stack.paper_asked.connect(lambda name, value: room.set_paper(**{name: value}))
        made.stack.grade_asked.connect(lambda name, value: room.bend_grade(**{name: value}))
        made.stack.flat_asked.connect(room.flat_first)
        made.stack.densities_asked.connect(room.trap_from_densities)
        made.see.light_asked.connect(hand.look_in)
        made.see.eyes_asked.connect(hand.look_with)
        made.see.wet_asked.connect(hand.look_wet)
        made.see.chart_asked.connect(room.write_chart)
        made.see.chart_read.connect(room.read_chart)
        made.see.chart_learned.connect(room.learn_chart)
        made.mix.keep_asked.connect(room.keep_shelf)
        made.learn.workshop_asked.connect(lambda name, value: hand.ways.set_workshop(**{name: value}))
        made.learn.weights_asked.connect(room.weigh_film)
        made.learn.scan_asked.connect(room.learn)
        made.learn.cause_taken.connect(room.take_cause)

    @cached_property
    def order(self) -> "OrderStation":
        """Which order?"""
        from nomos.ui.stations.order import OrderStation

        made = OrderStation()
        made.order_asked.connect(self._hand.ways.take_order)
        made.step_asked.connect(self._hand.step_pull)
        orderer = self._hand.orderer
        made.best_taken.connect(orderer.take)
        made.look_asked.connect(orderer.look)
        made.school_asked.connect(orderer.choose_school)
        made.pin_asked.connect(orderer.pin)
        made.part_shown.connect(self._hand.look_again)
        made.days.times_asked.connect(lambda name, value: orderer.set_times(**{name: value}))
        made.days.day_lost.connect(orderer.lose_day)
        made.days.file_asked.connect(orderer.write_calendar)
        made.days.air_asked.connect(orderer.read_air)
        made.sitting.rollers_asked.connect(orderer.set_rollers)
        self.addWidget(made)
        return made

    @cached_property
    def carve(self) -> "CarveStation":
        """How is it cut?"""
        from nomos.ui.stations.carve import CarveStation

        made, hand = CarveStation(), self._hand
        crafter = hand.crafter
        made.pull_chosen.connect(hand.choose_pull)
        made.craft_asked.connect(lambda changes: crafter.set_craft(**changes))
        made.part_shown.connect(self._turn_carve)
        made.marked_asked.connect(self._mark)
        made.write_asked.connect(lambda: crafter.write_cutting(hand.state.page))
        made.saw_asked.connect(crafter.cut_boards)
        made.compare_asked.connect(self._compare_plans)
        made.took_asked.connect(self._log_cutting)
        made.told.connect(hand.told)
        made.findings.show_asked.connect(self.show_asked)
        self.addWidget(made)
        return made

    def _compare_plans(self) -> None:
        """Hours of the plans that were found at Blocks, the best of each number of blocks."""
        hand, project = self._hand, self._hand.document.project
        found = hand.planner.found
        if project is None or found is None or not found.plans:
            hand.told.emit("Look for plans with fewer blocks first, at Blocks.")
            return
        plans = []
        for row in found.plans:
            if row:
                other = with_plan(project, row[0], keep_key=found.asked.keep_key)
                plans.append((f"{len(other.blocks)} blocks", other))
        hand.crafter.compare_plans(plans)

    def _log_cutting(self, hours: float) -> None:
        hand, project = self._hand, self._hand.document.project
        if project is not None and hand.state.pull is not None:
            hand.bencher.log_cutting(project.impression(hand.state.pull).block, hours)

    def _mark(self, marked: str) -> None:
        crafter, hand = self._hand.crafter, self._hand
        crafter.mark(marked)
        hand.mark(crafter.marked)

    def _keep_picture(self) -> None:
        path = self._hand.files.ask_scan()
        if path is not None:
            self._hand.bencher.add_picture(path)

    @cached_property
    def sheets(self) -> "SheetsStation":
        """How many sheets?"""
        from nomos.ui.stations.sheets import SheetsStation

        made, hand = SheetsStation(), self._hand
        crafter, bencher = hand.crafter, hand.bencher
        made.edition_asked.connect(lambda changes: crafter.set_edition(**changes))
        made.plan_asked.connect(crafter.plan_sheets)
        made.log_asked.connect(crafter.take_from_log)
        made.part_shown.connect(hand.look_again)
        made.chosen_asked.connect(bencher.choose)
        made.number_asked.connect(bencher.number_all)
        made.write_asked.connect(lambda: crafter.write_record(bencher.record()))
        made.picture_asked.connect(self._keep_picture)
        made.compare_asked.connect(bencher.compare_with)
        made.remark_given.connect(bencher.remark)
        made.anew_asked.connect(bencher.begin_anew)
        self.addWidget(made)
        return made

    @cached_property
    def register(self) -> "RegisterStation":
        """How does every sheet meet every block?"""
        from nomos.ui.stations.register import RegisterStation

        made, hand = RegisterStation(), self._hand
        made.kento_asked.connect(hand.set_kento)
        made.sheet_asked.connect(hand.set_sheet)
        made.image_asked.connect(hand.set_image_at)
        made.pull_chosen.connect(hand.choose_pull)
        made.offset_asked.connect(hand.set_offset)
        made.all_in_register_asked.connect(hand.all_in_register)
        made.page_asked.connect(hand.choose_page)
        made.packet_asked.connect(self.packet_asked)
        registrar = hand.registrar
        made.register_asked.connect(lambda changes: registrar.set_register(**changes))
        made.part_shown.connect(self._turn_register)
        part = made.tolerance
        part.tolerance_asked.connect(hand.set_tolerance)
        part.budget_asked.connect(lambda name, value: registrar.set_budget(**{name: value}))
        part.damp_asked.connect(lambda damp: registrar.set_register(damp=damp))
        part.sheets_asked.connect(registrar.show_sheets)
        part.print_asked.connect(registrar.hide_sheets)
        part.simulate_asked.connect(registrar.simulate)
        part.trap_asked.connect(hand.set_trap)
        proofs = made.proofs
        proofs.pull_chosen.connect(hand.choose_pull)
        proofs.scan_asked.connect(registrar.open_scan)
        proofs.demo_scan_asked.connect(registrar.scan_demo)
        proofs.keep_asked.connect(registrar.keep_scan)
        proofs.read_asked.connect(registrar.read_by_eye)
        proofs.sheet_set.connect(registrar.set_sheet)
        proofs.uncut_set.connect(registrar.set_uncut)
        proofs.show_asked.connect(registrar.show_reading)
        made.practice.exercise_asked.connect(registrar.exercise)
        made.practice.answered.connect(registrar.answer)
        self.addWidget(made)
        return made
