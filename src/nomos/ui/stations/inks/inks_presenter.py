"""The Inks station in the window."""

from nomos.base.language import tr
from nomos.project import Project, Proof
from nomos.ui.frame.presenter import StationPresenter
from nomos.ui.stations.inks.ink_view import inks_view
from nomos.ui.stations.inks.inks_view import mix_view, proof_view, stack_view
from nomos.ui.stations.inks.inks_widget import InksStation
from nomos.ui.stations.inks.see_view import see_view, sheet_overlaps


class InksPresenter(StationPresenter[InksStation]):
    """Which inks?"""

    hint = tr("Choose an ink, then drag along a strip: the print answers at once.")

    def made(self) -> InksStation:
        """The widget, wired."""
        made, hand = InksStation(), self.hand
        made.pull_chosen.connect(hand.choose_pull)
        made.renamed.connect(hand.inks.rename_ink)
        made.recoloured.connect(hand.inks.recolour_ink)
        made.opacity_requested.connect(hand.inks.set_opacity)
        made.strength_dragged.connect(hand.inks.set_strength)
        made.grade_requested.connect(hand.methods.grade)
        made.grade_to_requested.connect(hand.methods.set_grade_to)
        made.part_turned.connect(hand.look_again)
        self._wire_ink_parts(made)
        return made

    def _wire_ink_parts(self, made: "InksStation") -> None:
        hand, room = self.hand, self.hand.inkroom
        made.mix.shelf_requested.connect(room.open_shelf)
        made.mix.studio_requested.connect(self._mix_from_studio)
        made.mix.most_requested.connect(room.set_most_inks)
        made.mix.mix_requested.connect(room.mix)
        made.mix.recipe_chosen.connect(room.choose_recipe)
        made.mix.recipe_taken.connect(room.take_recipe)
        made.mix.correction_requested.connect(room.put_right)
        made.mix.readings_requested.connect(room.teach)
        made.mix.card_requested.connect(room.open_card)
        made.mix.grey_skipped.connect(room.without_grey)
        made.mix.card_taken.connect(room.take_card)
        made.mix.over_black_requested.connect(room.card_over_black)
        made.mix.card_to_print.connect(room.write_card)
        made.stack.zone_requested.connect(hand.editor.set_zone)
        made.stack.pull_requested.connect(hand.editor.set_pull)
        made.stack.ink_requested.connect(hand.editor.set_ink)
        made.stack.grade_requested.connect(hand.editor.set_grade)
        made.stack.field_requested.connect(hand.editor.set)
        made.stack.flat_requested.connect(room.flat_first)
        made.stack.densities_requested.connect(room.trap_from_densities)
        made.see.light_requested.connect(hand.inks.look_in)
        made.see.eyes_requested.connect(hand.inks.look_with)
        made.see.wet_requested.connect(hand.inks.look_wet)
        made.see.chart_requested.connect(room.write_chart)
        made.see.chart_read.connect(room.read_chart)
        made.see.chart_learned.connect(room.learn_chart)
        made.mix.keep_requested.connect(room.keep_shelf)
        made.learn.field_requested.connect(hand.editor.set)
        made.learn.weights_requested.connect(room.weigh_film)
        made.learn.scan_requested.connect(room.learn)
        made.learn.cause_taken.connect(room.take_cause)

    def _mix_from_studio(self) -> None:
        path = self.hand.files.studio_file()
        if path is not None:
            self.hand.inkroom.take_shelf(path)

    def show(self, project: Project, proof: Proof | None) -> None:
        """Render it."""
        doubt = self.hand.inkroom.doubts.of(project)
        self.widget.show_view(inks_view(project, proof, self.hand.state, doubt))
        self._show_ink_part(project, proof)

    def _show_ink_part(self, project: Project, proof: Proof | None) -> None:
        """The part of the Inks station that is in sight; the others are worked out when they are."""
        room, state, station = self.hand.inkroom, self.hand.state, self.widget
        if station.part == "mix":
            shelf, most = room.shelf_name, room.most_inks
            station.mix.show_view(mix_view(project, proof, state, shelf, most, room.mixed, room.card))
        elif station.part in ("stack", "paper"):
            station.stack.show_view(stack_view(project, state))
        elif station.part in ("see", "reach"):
            overlaps = [films for films, _, _ in sheet_overlaps(project, proof)]
            judged = room.doubts.of(project, overlaps)
            station.see.show_view(see_view(project, proof, state, room.chart, room.learned, judged))
        elif station.part == "learn":
            station.learn.show_view(proof_view(project, proof, room.learnt))
