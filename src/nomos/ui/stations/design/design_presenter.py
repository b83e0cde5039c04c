"""The Design station in the window."""

from nomos.base.language import tr
from nomos.base.units import PAPER_SIZES_MM
from nomos.project import Project, Proof
from nomos.separation.touch import Touch
from nomos.ui.frame.presenter import StationPresenter
from nomos.ui.stations.design.design_view import correct_part_view, design_view, picture_part_view
from nomos.ui.stations.design.design_widget import DesignStation
from nomos.ui.stations.design.parts import PicturePart


class DesignPresenter(StationPresenter[DesignStation]):
    """What is the design made of?"""

    hint = tr("Click a field to rename or recolour it. Hold F to see the sketch in place of the flat design.")

    _place = -1

    def made(self) -> DesignStation:
        """The widget, wired."""
        made, hand, designer = DesignStation(), self.hand, self.hand.designer
        made.count_requested.connect(lambda count: designer.flatten_again(count=count))
        made.feature_requested.connect(lambda smallest: designer.flatten_again(smallest_mm=smallest))
        made.part_turned.connect(self._turn_design)
        made.colour_chosen.connect(hand.choose_colour)
        made.renamed.connect(hand.fields.rename_colour)
        made.recoloured.connect(hand.fields.recolour)
        made.kept.connect(hand.fields.keep_colour)
        made.bare_requested.connect(hand.fields.leave_bare)
        made.merge_requested.connect(hand.fields.merge_colour)
        made.split_requested.connect(hand.fields.split_field)
        made.grade_requested.connect(hand.fields.take_gradient)
        made.retitled.connect(hand.fields.rename)
        self._wire_picture(made.picture)
        made.correct.tool_requested.connect(self._point_with)
        made.correct.everywhere_requested.connect(lambda on: hand.fields.point_with(everywhere=on))
        made.correct.brush_requested.connect(self._set_brush)
        made.correct.next_requested.connect(self._next_place)
        return made

    def _wire_picture(self, part: "PicturePart") -> None:
        designer, hand = self.hand.designer, self.hand
        part.find_requested.connect(designer.find)
        part.whole_requested.connect(designer.whole_picture)
        part.turn_requested.connect(designer.turn)
        part.mirror_requested.connect(designer.mirror)
        part.tool_requested.connect(self.wishes.picture_tool_requested)
        part.length_given.connect(self.wishes.length_given)
        part.paper_shown.connect(self.wishes.paper_shown)
        part.bare_cleared.connect(lambda: designer.leave_bare(None))
        part.width_requested.connect(lambda width: designer.set_size(width_mm=width))
        part.height_requested.connect(lambda height: designer.set_size(height_mm=height))
        part.size_requested.connect(designer.set_shape)
        part.fit_requested.connect(lambda paper, margin: designer.fit(PAPER_SIZES_MM[paper], margin))
        part.drawn_on_requested.connect(designer.drawn_on)
        part.read_as_requested.connect(
            lambda value: designer.flatten_again(read_as=value or None, text=tr("Read it as"))
        )
        part.readings_requested.connect(designer.compare_readings)
        part.faint_dropped.connect(hand.fields.drop_faint)
        part.paper_named.connect(hand.fields.take_paper)
        part.foreign.chosen.connect(designer.turn_foreign)

    def show(self, project: Project, proof: Proof | None) -> None:
        """Render it."""
        designer, state = self.hand.designer, self.hand.state
        done = designer.done
        view = design_view(project, proof, state, done.flat if done else None)
        if view is None:
            return
        looked = done.looked if done else None
        places = len(designer.outlined.places) if designer.outlined else 0
        self.widget.show_view(
            view,
            picture_part_view(project, looked, designer.found, known=designer.pixels() is not None),
            correct_part_view(project, state, places),
        )
        if designer.asks_size and state.station == "design":
            self._ask_size()

    def come(self) -> None:
        """The sheet follows the part that is in sight."""
        self._turn_design(self.widget.part)

    def _ask_size(self) -> None:
        self.hand.designer.asks_size = False
        self.widget.turn_to("picture")
        self.widget.picture.ask_size()
        self._turn_design("picture")

    def _turn_design(self, part: str) -> None:
        """The sheet follows the part of the Design station that is in sight."""
        hand = self.hand
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
        self.hand.fields.point_with(tool)
        self._set_brush(self.hand.state.brush_mm)

    def _set_brush(self, width_mm: float) -> None:
        self.hand.fields.point_with(brush_mm=width_mm)
        drawing = self.hand.state.pointing == "brush"
        self.wishes.touch_requested.emit(Touch("brush", (), width_mm) if drawing else None)

    def _next_place(self) -> None:
        """Look at one doubtful place after the other."""
        outlined = self.hand.designer.outlined
        if outlined is not None and outlined.places:
            self._place = (self._place + 1) % len(outlined.places)
            self.wishes.show_requested.emit(*outlined.places[self._place])
