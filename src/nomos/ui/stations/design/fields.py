"""Edits of the title and the flat colours, and correcting the design by pointing at it."""

from collections.abc import Callable
from typing import Final, Literal

from nomos.base.language import opened, tr
from nomos.colour import Lab
from nomos.design import Correction
from nomos.project import Project, digest
from nomos.project.blocks.edits import with_bare_colour, with_colour, with_paper_called, with_printed_colour
from nomos.project.blocks.fields import merged, split_off
from nomos.project.blocks.grades import with_graded_field
from nomos.project.model.edits import with_title
from nomos.separation.touch import Touch
from nomos.ui.frame.editor import Editor
from nomos.ui.frame.keeper import ProofKeeper
from nomos.ui.stations.blocks.method_editor import MethodEditor
from nomos.ui.stations.design.design_editor import DesignEditor

_POINTED: Final[tuple[Literal["paper", "line", "no line"], ...]] = ("paper", "line", "no line")
"""What a field can be said to be by pointing at it."""


class Fields:
    """Edits of the title and the flat colours, and correcting the design by pointing at it."""

    def __init__(self, editor: Editor, keeper: ProofKeeper, designer: DesignEditor, methods: MethodEditor) -> None:
        self._editor, self._keeper = editor, keeper
        self._designer, self._methods = designer, methods

    def rename(self, title: str) -> None:
        """Give the print another title."""
        self._editor.apply(tr("Title"), lambda p: with_title(p, title))

    def rename_colour(self, number: int, name: str) -> None:
        """Rename a flat colour."""
        if number >= 0:
            self._editor.apply(tr("Rename colour"), lambda p: with_colour(p, number, name=name))

    def recolour(self, number: int, lab: Lab, gesture: int) -> None:
        """Recolour a flat colour."""
        self._editor.apply(tr("Recolour"), lambda p: with_colour(p, number, lab=lab), ("colour", number, gesture))

    def merge_colour(self, number: int, into: int) -> None:
        """Make one flat colour one with another."""
        proof = self._keeper.proof
        if proof is not None:
            self._refield(tr("Make two colours one"), lambda p: merged(p, proof.blocks.labels, number, into))
            self._editor.set_state(colour=min(into, into - (number < into)))

    def split_field(self) -> None:
        """Make the field last clicked a colour of its own."""
        proof, place = self._keeper.proof, self._editor.state.place
        if proof is not None and place is not None:
            self._refield(tr("Split a field off"), lambda p: split_off(p, proof.blocks.labels, *place))

    def _refield(self, text: str, change: Callable[[Project], tuple[Project, bytes]]) -> None:
        def with_asset(project: Project) -> Project:
            after, png = change(project)
            self._editor.document.assets[digest(png)] = png
            return after

        self._methods.in_stack(text, with_asset)

    def point_with(
        self, tool: str | None = None, *, everywhere: bool | None = None, brush_mm: float | None = None
    ) -> None:
        """What a click on the sheet corrects at the Design station; "" chooses a colour."""
        self._editor.set_state(
            pointing=self._editor.state.pointing if tool is None else tool,
            everywhere=self._editor.state.everywhere if everywhere is None else everywhere,
            brush_mm=self._editor.state.brush_mm if brush_mm is None else brush_mm,
        )

    def keep_colour(self, number: int) -> None:
        """Keep a flat colour whatever the number of colours."""
        project = self._editor.document.project
        if project is not None and project.flat is not None and number >= 0:
            self._correct(tr("Keep a colour"), Correction("keep", project.flat.colours[number].lab))

    def take_paper(self, name: str) -> None:
        """The paper is of a kind that is known by name."""
        self._methods.in_stack(tr("Paper"), lambda p: with_paper_called(p, name))

    def drop_faint(self) -> None:
        """Leave soft construction lines out."""
        self._correct(tr("Drop faint lines"), Correction("drop faint"))

    def take_gradient(self, place: int) -> None:
        """Ink the bands of a gradient as one graded field."""
        proof, done = self._keeper.proof, self._designer.done
        if proof is not None and done is not None and place < len(done.flat.gradients):
            numbers, gradient = done.flat.gradients[place]
            self._refield(tr("Ink it graded"), lambda p: with_graded_field(p, proof.blocks.labels, numbers, gradient))

    def _chosen_lab(self) -> Lab | None:
        project, colour = self._editor.document.project, self._editor.state.colour
        if project is None or project.flat is None or colour is None:
            self._editor.message.emit(tr("Choose a colour first, under Colours or with the tool Choose."))
            return None
        return project.flat.colours[colour].lab

    def point_at(self, x_mm: float, y_mm: float) -> None:
        """A click on the sheet with a tool of the Design station."""
        place, tool = self._designer.place(x_mm, y_mm), self._editor.state.pointing
        if place is None:
            self._editor.message.emit(tr("That is outside the image."))
            return
        if tool == "another":
            lab = self._designer.colour_at(x_mm, y_mm)
            said = Correction("another", lab, places=(place,), everywhere=self._editor.state.everywhere)
            self._correct(tr("Another colour"), said)
        elif tool == "fill":
            lab = self._chosen_lab()
            if lab is not None:
                self._correct(tr("Fill a field"), Correction("fill", lab, places=(place,)))
        else:
            for kind in _POINTED:
                if tool == kind:
                    self._correct(opened(tr(kind)), Correction(kind, places=(place,)))

    def brush(self, touch: Touch) -> None:
        lab = self._chosen_lab()
        places = tuple(p for point in touch.points if (p := self._designer.place(*point)) is not None)
        if lab is not None and places:
            self._correct(tr("Brush"), Correction("brush", lab, places=places, width_mm=touch.width_mm))

    def _correct(self, text: str, correction: Correction) -> None:
        proof = self._keeper.proof
        if proof is not None:
            self._designer.correct(text, correction, proof.blocks.labels)

    def leave_bare(self, number: int, bare: bool) -> None:
        """Leave a flat colour to the paper, or give it a block of its own."""
        if bare:
            self._methods.in_stack(tr("Leave bare"), lambda p: with_bare_colour(p, number))
        else:
            self._methods.in_stack(tr("Print a colour"), lambda p: with_printed_colour(p, number))
