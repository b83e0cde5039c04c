"""Turns what the hand wants into edits and jobs, and says when the window has to show something else."""

from collections.abc import Callable
from dataclasses import replace
from typing import Any, Final, Literal, get_args

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.colour import Lab, Opacity
from nomos.colour.light import Eyes, Light
from nomos.design import Correction
from nomos.errors import BadInput
from nomos.project import Project, Station, digest
from nomos.project import edits as ed
from nomos.project.fields import merged, split_off
from nomos.project.grading import with_graded_field
from nomos.project.keys import (
    with_contour_key,
    with_drawn_key,
    with_shadow_key,
    without_made_key,
)
from nomos.project.model import LARGEST_SHIFT_MM
from nomos.project.separating import with_plan
from nomos.proof import Misregister
from nomos.registration import KentoSettings
from nomos.separation.touch import Touch
from nomos.ui.bencher import Bencher
from nomos.ui.crafter import Crafter
from nomos.ui.designer import Designer
from nomos.ui.document import Document, Edit
from nomos.ui.files import Files
from nomos.ui.hands import Hands
from nomos.ui.inkroom import InkRoom
from nomos.ui.keeper import ProofKeeper
from nomos.ui.orderer import Orderer
from nomos.ui.planner import InkSource, Planner
from nomos.ui.registrar import Registrar
from nomos.ui.views.answers import PAPER_ROW
from nomos.ui.views.sheet import card_height, on_print
from nomos.ui.views.state import Marked, Shown, UiState
from nomos.ui.ways import Ways

_POINTED: Final[tuple[Literal["paper", "line", "no line"], ...]] = ("paper", "line", "no line")
"""What a field can be said to be by pointing at it."""


class Controller(QObject):
    """The hand's side of the document: what is chosen and looked at, and every edit."""

    shown = pyqtSignal()
    """Something that is shown has changed: the project, its proof, or what the window has in its hand."""
    told = pyqtSignal(str)
    """A sentence for the user: why something could not be."""

    def __init__(
        self,
        document: Document,
        keeper: ProofKeeper,
        files: Files,
        planner: Planner,
        hands: Hands,
        ways: Ways,
        inkroom: InkRoom,
        orderer: Orderer,
        registrar: Registrar,
        crafter: Crafter,
        bencher: Bencher,
        designer: Designer,
    ) -> None:
        super().__init__()
        self.designer = designer
        self.document, self.keeper, self.files = document, keeper, files
        self.planner, self.hands, self.ways, self.inkroom = planner, hands, ways, inkroom
        self.orderer, self.registrar = orderer, registrar
        self.crafter, self.bencher = crafter, bencher
        self.state = UiState()
        self._handle: tuple[int, Misregister] | None = None
        document.changed.connect(self._project_changed)
        keeper.changed.connect(self.shown)
        keeper.failed.connect(self.told)
        files.changed.connect(self.shown)
        files.told.connect(self.told)
        files.opened.connect(self.go_to)
        designer.opened.connect(self.go_to)
        designer.changed.connect(self.shown)
        designer.told.connect(self.told)
        planner.changed.connect(self.shown)
        planner.told.connect(self.told)
        hands.told.connect(self.told)
        ways.told.connect(self._refused)
        orderer.told.connect(self.told)
        orderer.changed.connect(self.shown)
        registrar.told.connect(self.told)
        registrar.changed.connect(self.shown)
        for helper in (crafter, bencher):
            helper.told.connect(self.told)
            helper.changed.connect(self.shown)
        bencher.scan_asked.connect(registrar.scan_demo)
        inkroom.told.connect(self.told)
        inkroom.changed.connect(self.shown)
        inkroom.card_opened.connect(lambda: self.show("card"))

    # What the window has in its hand

    def _set(self, **changes: Any) -> None:
        self.state = replace(self.state, **changes)
        self.hands.pull, self.orderer.state = self.state.pull, self.state
        self.ways.state = self.inkroom.state = self.registrar.state = self.state
        self.shown.emit()

    def _refused(self, problem: str) -> None:
        self.told.emit(problem)
        self.shown.emit()

    def _project_changed(self, _before: Project | None, after: Project | None) -> None:
        ids = {impression.id for impression in after.impressions} if after else set()
        changes: dict[str, Any] = {}
        if self.state.pull not in ids:
            changes |= {"pull": None, "zone": 0}
        elif after is not None and self.state.zone >= len(after.impression(self.state.pull or "").zones):
            changes["zone"] = 0
        if self.state.pulls is not None and self.state.pulls > len(ids):
            changes["pulls"] = None
        count = len(after.flat.colours) if after and after.flat else 0
        if self.state.colours and max(self.state.colours) >= count:
            changes |= {"colour": None, "also": ()}
        self._set(**changes)

    def go_to(self, station: Station) -> None:
        """Turn to a station; it shows the print, the design station the flat design."""
        shown = "flat" if station == "design" else "print"
        pulls = self.state.pulls if station == "order" else None
        project = self.document.project
        first = project.impressions[0].id if project and project.impressions else None
        pull = self.state.pull if self.state.pull or station == "design" else first
        self._set(station=station, shown=shown, pulls=pulls, pull=pull)
        if station == "design":
            self.designer.need_reading()

    def show(self, shown: Shown) -> None:
        """Have the sheet show the print, the flat design, the sketch, or one block."""
        self._set(shown=shown, pulls=None)
        if shown in ("sketch", "outlined", "picture"):
            self.designer.need_reading()

    def choose_pull(self, pull: str | None, pulls: int | None = None) -> None:
        """Choose an impression; with `pulls`, look at the sheet after so many."""
        if pull == PAPER_ROW:
            self._set(paper_chosen=True)
            return
        pull, _, zone = pull.partition("/") if pull else (None, "", "")
        self.state = replace(self.state, paper_chosen=False, zone=int(zone or 0))
        last = len(self.document.project.impressions) if self.document.project else 0
        if pulls is None:
            self._set(pull=pull)
        else:
            shown = "print" if self.state.shown in ("flat", "sketch") else self.state.shown
            self._set(pull=pull, pulls=None if pulls == last else pulls, shown=shown)

    def step_view(self, step: int) -> None:
        """Look at the sheet one pull earlier or later; before the first pull it is bare paper."""
        project = self.document.project
        if project is None or not project.impressions:
            return
        last = len(project.impressions)
        pulls = min(max((last if self.state.pulls is None else self.state.pulls) + step, 0), last)
        self.choose_pull(project.impressions[pulls - 1].id if pulls else None, pulls)

    def choose_colour(self, colour: int) -> None:
        """Choose a flat colour."""
        self._set(colour=colour, also=(), place=None)

    def choose_where_meet(self, one: str, other: str) -> None:
        """Choose every flat colour on which two blocks print over each other."""
        project = self.document.project
        if project is None:
            return
        both = sorted(set(project.block(one).colours) & set(project.block(other).colours))
        if both:
            self._set(colour=both[0], also=tuple(both[1:]), place=None)
        else:
            names = project.block(one).name, project.block(other).name
            self.told.emit(f"{names[0]} and {names[1]} meet nowhere: no colour is printed by both.")

    def mark(self, marked: Marked) -> None:
        """On a carved block, mark what stays or what goes."""
        self._set(marked=marked)

    def look_again(self) -> None:
        """Show everything that is in sight anew."""
        self.shown.emit()

    def look_in(self, light: Light) -> None:
        """Look at the print in another light."""
        self._set(light=light, shown="print")

    def look_with(self, eyes: Eyes) -> None:
        """Look at the print as other eyes do, or in grey."""
        self._set(eyes=eyes, shown="print")

    def look_wet(self, wet: bool) -> None:
        """Look at the print while it is wet, or dry."""
        self._set(wet_look=wet, shown="print")

    def touch(self, touch: Touch) -> None:
        """Touch the chosen block; on a carved block the hand is on the mirror image."""
        project = self.document.project
        if project is None:
            return
        if self.state.station == "design":
            self._brush(touch)
            return
        points = tuple(on_print(project, self.state, point) for point in touch.points)
        self.hands.touch(replace(touch, points=points))

    def choose_page(self, page: str) -> None:
        """Choose the paper for the templates."""
        self._set(page=page)

    def pick(self, x_mm: float, y_mm: float, more: bool = False) -> None:
        """A click on the sheet chooses the colour there, and the last impression that prints there.

        more : the colour joins those that are chosen, or leaves them.
        """
        proof, project = self.keeper.proof, self.document.project
        if project is not None and self.state.shown == "card":
            paper = project.paper
            self.inkroom.point_at_card(x_mm / paper.width_mm, y_mm / card_height(project, self.inkroom.card))
            return
        if proof is None or project is None:
            return
        x_mm, y_mm = on_print(project, self.state, (x_mm, y_mm))
        if self.state.station == "design" and self.state.pointing:
            self._point_at(x_mm, y_mm)
            return
        x = int((x_mm - project.image.left) * proof.blocks.px_per_mm)
        y = int((y_mm - project.image.top) * proof.blocks.px_per_mm)
        labels = proof.blocks.labels
        if not (0 <= x < labels.shape[1] and 0 <= y < labels.shape[0]):
            return
        colour = int(labels[y, x])
        if more and self.state.colours:
            chosen = [n for n in self.state.colours if n != colour]
            chosen += [] if colour in self.state.colours else [colour]
            self._set(colour=chosen[0] if chosen else None, also=tuple(chosen[1:]), place=None)
            return
        of_block = {block.id for block in project.blocks if colour in block.colours}
        pull = next((i.id for i in project.impressions if i.block in of_block), self.state.pull)
        self._set(colour=colour, also=(), pull=pull, place=(x, y))

    # Edits

    def edit(self, text: str, change: Edit, *, merge_key: object = None) -> None:
        """Apply an edit; what cannot be is said, and nothing changes."""
        try:
            self.document.apply(text, change, merge_key=merge_key)
        except BadInput as error:
            self.told.emit(str(error))
            self.shown.emit()

    def rename(self, title: str) -> None:
        """Give the print another title."""
        self.edit("Title", lambda p: ed.with_title(p, title))

    def rename_colour(self, number: int, name: str) -> None:
        """Rename a flat colour."""
        if number >= 0:
            self.edit("Rename colour", lambda p: ed.with_colour(p, number, name=name))

    def recolour(self, number: int, lab: Lab, gesture: int) -> None:
        """Recolour a flat colour."""
        self.edit(
            "Recolour", lambda p: ed.with_colour(p, number, lab=lab), merge_key=("colour", number, gesture)
        )

    def merge_colour(self, number: int, into: int) -> None:
        """Make one flat colour one with another."""
        proof = self.keeper.proof
        if proof is not None:
            self._refield("Make two colours one", lambda p: merged(p, proof.blocks.labels, number, into))
            self._set(colour=min(into, into - (number < into)))

    def split_field(self) -> None:
        """Make the field last clicked a colour of its own."""
        proof, place = self.keeper.proof, self.state.place
        if proof is not None and place is not None:
            self._refield("Split a field off", lambda p: split_off(p, proof.blocks.labels, *place))

    def _refield(self, text: str, change: Callable[[Project], tuple[Project, bytes]]) -> None:
        def with_asset(project: Project) -> Project:
            after, png = change(project)
            self.document.assets[digest(png)] = png
            return after

        self.ways.in_stack(text, with_asset)

    # Correcting the design by pointing

    def point_with(
        self, tool: str | None = None, *, everywhere: bool | None = None, brush_mm: float | None = None
    ) -> None:
        """What a click on the sheet corrects at the Design station; "" chooses a colour."""
        self._set(
            pointing=self.state.pointing if tool is None else tool,
            everywhere=self.state.everywhere if everywhere is None else everywhere,
            brush_mm=self.state.brush_mm if brush_mm is None else brush_mm,
        )

    def keep_colour(self, number: int) -> None:
        """Keep a flat colour whatever the number of colours."""
        project = self.document.project
        if project is not None and project.flat is not None and number >= 0:
            self._correct("Keep a colour", Correction("keep", project.flat.colours[number].lab))

    def drop_faint(self) -> None:
        """Leave soft construction lines out."""
        self._correct("Drop faint lines", Correction("drop faint"))

    def take_gradient(self, place: int) -> None:
        """Ink the bands of a gradient as one graded field."""
        proof, done = self.keeper.proof, self.designer.done
        if proof is not None and done is not None and place < len(done.flat.gradients):
            numbers, gradient = done.flat.gradients[place]
            self._refield(
                "Ink it graded", lambda p: with_graded_field(p, proof.blocks.labels, numbers, gradient)
            )

    def _chosen_lab(self) -> Lab | None:
        project, colour = self.document.project, self.state.colour
        if project is None or project.flat is None or colour is None:
            self.told.emit("Choose a colour first, under Colours or with the tool Choose.")
            return None
        return project.flat.colours[colour].lab

    def _point_at(self, x_mm: float, y_mm: float) -> None:
        """A click on the sheet with a tool of the Design station."""
        place, tool = self.designer.place(x_mm, y_mm), self.state.pointing
        if place is None:
            self.told.emit("That is outside the image.")
            return
        if tool == "another":
            lab = self.designer.colour_at(x_mm, y_mm)
            said = Correction("another", lab, places=(place,), everywhere=self.state.everywhere)
            self._correct("Another colour", said)
        elif tool == "fill":
            lab = self._chosen_lab()
            if lab is not None:
                self._correct("Fill a field", Correction("fill", lab, places=(place,)))
        else:
            for kind in _POINTED:
                if tool == kind:
                    self._correct(kind.capitalize(), Correction(kind, places=(place,)))

    def _brush(self, touch: Touch) -> None:
        lab = self._chosen_lab()
        places = tuple(p for point in touch.points if (p := self.designer.place(*point)) is not None)
        if lab is not None and places:
            self._correct("Brush", Correction("brush", lab, places=places, width_mm=touch.width_mm))

    def _correct(self, text: str, correction: Correction) -> None:
        proof = self.keeper.proof
        if proof is not None:
            self.designer.correct(text, correction, proof.blocks.labels)

    def leave_bare(self, number: int, bare: bool) -> None:
        """Leave a flat colour to the paper, or give it a block of its own."""
        if bare:
            self.ways.in_stack("Leave bare", lambda p: ed.with_bare_colour(p, number))
        else:
            self.ways.in_stack("Print a colour", lambda p: ed.with_printed_colour(p, number))

    def rename_block(self, name: str) -> None:
        """Rename the chosen block."""
        self._on_block("Rename block", lambda p, block: ed.with_block(p, block, name=name))

    def make_key(self, is_key: bool) -> None:
        """Make the chosen block the key, or a colour block."""
        self._on_block("Change the key", lambda p, block: ed.with_block(p, block, is_key=is_key))

    def choose_key(self, kind: str) -> None:
        """Choose the kind of key; a drawn one is the line the design has, or else the chosen block."""
        project = self.document.project
        if project is None:
            return
        if kind == "drawn":
            pull = self.state.pull
            chosen = project.impression(pull).block if pull else ""
            lines = self.keeper.proof.drawn_key if self.keeper.proof else None
            own = next((b.id for b in project.blocks if lines is not None and b.colours == (lines,)), chosen)
            self.edit("Drawn key", lambda p: with_drawn_key(p, own))
        elif kind == "contour":
            self.edit("Contour key", with_contour_key)
        elif kind == "shadow":
            self.edit("Shadow key", with_shadow_key)
        else:
            self.edit("No key", without_made_key)

    def set_contour(self, width_mm: float) -> None:
        """Set the width of the contour key."""
        self.edit("Contour", lambda p: with_contour_key(p, width_mm), merge_key="contour")

    def set_trap(self, trap_mm: float) -> None:
        """Set the trap."""
        self.edit("Trap", lambda p: ed.with_trap(p, trap_mm), merge_key="trap")

    def set_seam(self, seam_de00: float) -> None:
        """Set how visible a seam is taken before a gap."""
        self.edit("Seam", lambda p: ed.with_seam(p, seam_de00), merge_key="seam")

    def set_tolerance(self, tolerance_mm: float) -> None:
        """Set how closely sheets meet blocks."""
        self.edit("Tolerance", lambda p: ed.with_tolerance(p, tolerance_mm), merge_key="tolerance")

    def set_fineness(self, line_mm: float, tool_mm: float) -> None:
        """Set what is too fine to hold and to cut."""
        self.edit("Fineness", lambda p: ed.with_fineness(p, line_mm=line_mm, tool_mm=tool_mm))

    def work_out_anew(self) -> None:
        """Undo what was changed by hand on the chosen block."""
        self._on_block("Work out anew", lambda p, block: ed.with_drawn(p, {block: None}))

    def throw_switch(self, block: str) -> None:
        """Have a block print on the chosen colours, or no longer if it does on all of them."""
        project, colours = self.document.project, self.state.colours
        if project is not None and colours:
            on = not set(colours) <= set(project.block(block).colours)
            self.edit("What prints where", lambda p: ed.with_switch(p, block, colours, on))

    def ask_inks(self, source: str) -> None:
        """Choose where the inks of plans come from; a shelf is asked for."""
        if source == "shelf":
            path = self.files.ask_shelf()
            if path is not None:
                self.planner.ask_shelf(path)
            self.shown.emit()
            return
        for known in get_args(InkSource):
            if source == known:
                self.planner.ask(replace(self.planner.asked, source=known))

    def take_plan(self, key: str) -> None:
        """Print by one of the plans found."""
        found = self.planner.found
        row, place = (int(part) for part in key.split("/"))
        if found is None or row >= len(found.plans) or place >= len(found.plans[row]):
            return
        plan = found.plans[row][place]
        self.edit("Take a plan", lambda p: with_plan(p, plan, keep_key=found.asked.keep_key))
        project = self.document.project
        if project is not None and project.impressions:
            self.choose_pull(project.impressions[0].id)

    def rename_ink(self, name: str) -> None:
        """Rename the chosen ink, or the paper."""
        if self.state.paper_chosen:
            self.edit("Rename paper", lambda p: ed.with_paper(p, name=name))
            return
        self._on_ink("Rename ink", lambda p, ink: ed.with_ink(p, ink, name=name))

    def recolour_ink(self, lab: Lab, gesture: int) -> None:
        """Change the colour of the chosen ink, or of the paper."""
        if self.state.paper_chosen:
            self.edit("Paper colour", lambda p: ed.with_paper(p, lab=lab), merge_key=("paper", gesture))
            return
        self._on_ink("Ink colour", lambda p, ink: ed.with_ink(p, ink, lab=lab), ("ink", gesture))

    def set_opacity(self, opacity: Opacity) -> None:
        """Change the opacity of the chosen ink."""
        self._on_ink("Opacity", lambda p, ink: ed.with_ink(p, ink, opacity=opacity))

    def set_strength(self, strength: float, gesture: int) -> None:
        """Change how strongly the chosen impression is inked."""
        self._on_pull(
            "Strength",
            lambda p, pull: ed.with_strength(p, pull, strength, self.state.zone),
            ("strength", self.state.pull, self.state.zone, gesture),
        )

    def move_pull(self, pull: str, place: int, gesture: int) -> None:
        """Move an impression on the ladder."""
        self.edit("Print order", lambda p: ed.moved_impression(p, pull, place), merge_key=("order", gesture))
        project = self.document.project
        if project is not None:
            places = [impression.id for impression in project.impressions]
            self.choose_pull(pull, places.index(pull) + 1)

    def step_pull(self, step: int) -> None:
        """Print the chosen impression one place earlier or later."""
        project = self.document.project
        if project is None or self.state.pull is None:
            return
        place = [impression.id for impression in project.impressions].index(self.state.pull)
        self._on_pull("Print order", lambda p, pull: ed.moved_impression(p, pull, place + step))

    def set_offset(self, offset: Misregister, gesture: object = None) -> None:
        """Try the chosen impression out of register."""
        self._on_pull(
            "Out of register",
            lambda p, pull: ed.with_offset(p, pull, offset),
            None if gesture is None else ("offset", self.state.pull, gesture),
        )

    def drag(self, handle: str, dx_mm: float, dy_mm: float, gesture: int) -> None:
        """Drag a handle on the sheet: the chosen block's, or an end of a graded zone."""
        if handle == "block":
            self.drag_handle(dx_mm, dy_mm, gesture)
        else:
            self.ways.drag_grade(handle, dx_mm, dy_mm, gesture)

    def drag_handle(self, dx_mm: float, dy_mm: float, gesture: int) -> None:
        """Drag the chosen block so far from where it was when the gesture began."""
        project, pull = self.document.project, self.state.pull
        if project is None or pull is None:
            return
        if self._handle is None or self._handle[0] != gesture:
            self._handle = (gesture, project.impression(pull).offset)
        start = self._handle[1]

        def held(value_mm: float) -> float:
            return round(min(max(value_mm, -LARGEST_SHIFT_MM), LARGEST_SHIFT_MM), 2)

        offset = replace(start, dx_mm=held(start.dx_mm + dx_mm), dy_mm=held(start.dy_mm + dy_mm))
        self.set_offset(offset, ("drag", gesture))

    def all_in_register(self) -> None:
        """Put every block back."""
        self.edit("Back in register", ed.in_register)

    def set_kento(self, settings: KentoSettings) -> None:
        """Choose how the kento is laid out."""
        self.edit("Kento", lambda p: ed.with_kento(p, settings))

    def set_sheet(self, width_mm: float, height_mm: float) -> None:
        """Choose another sheet."""
        self.edit("Sheet", lambda p: ed.with_sheet(p, (width_mm, height_mm)))

    def set_image_at(self, left_mm: float, top_mm: float) -> None:
        """Move the image on the sheet."""
        self.edit("Image on the sheet", lambda p: ed.with_image_at(p, left_mm, top_mm))

    def _on_pull(
        self, text: str, change: Callable[[Project, str], Project], merge_key: object = None
    ) -> None:
        pull = self.state.pull
        if pull is not None:
            self.edit(text, lambda p: change(p, pull), merge_key=merge_key)

    def _on_block(self, text: str, change: Callable[[Project, str], Project]) -> None:
        self._on_pull(text, lambda p, pull: change(p, p.impression(pull).block))

    def _on_ink(self, text: str, change: Callable[[Project, str], Project], merge_key: object = None) -> None:
        key = None if merge_key is None else (merge_key, self.state.pull, self.state.zone)
        zone = self.state.zone
        self._on_pull(text, lambda p, pull: change(p, p.impression(pull).zones[zone].ink), key)
