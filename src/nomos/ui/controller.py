"""Turns what the hand wants into edits and jobs, and says when the window has to show something else."""

from dataclasses import replace
from pathlib import Path
from typing import Any

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.base.language import tr
from nomos.project import Project, Station
from nomos.project.blocks.pulls import moved_impression
from nomos.separation.touch import Touch
from nomos.ui.files import Files
from nomos.ui.frame.editor import Editor
from nomos.ui.frame.keeper import ProofKeeper
from nomos.ui.frame.sheet_view import card_height, on_print
from nomos.ui.frame.state import Marked, Shown, UiState
from nomos.ui.stations.bench.bench_editor import BenchEditor
from nomos.ui.stations.blocks.block_editor import BlockEditor
from nomos.ui.stations.blocks.blocks_editor import MaskEditor
from nomos.ui.stations.blocks.inking_editor import InkingEditor
from nomos.ui.stations.blocks.method_editor import MethodEditor
from nomos.ui.stations.blocks.planner import Planner
from nomos.ui.stations.carve.carve_editor import CarveEditor
from nomos.ui.stations.design.design_editor import DesignEditor
from nomos.ui.stations.design.fields import Fields
from nomos.ui.stations.inks.ink_editor import InkEditor
from nomos.ui.stations.inks.ink_view import PAPER_ROW
from nomos.ui.stations.inks.inks_editor import InksEditor
from nomos.ui.stations.order.order_editor import OrderEditor
from nomos.ui.stations.register.place_editor import PlaceEditor
from nomos.ui.stations.register.register_editor import RegisterEditor


class Controller(QObject):
    """The hand's side of the document: what is chosen and looked at, and every edit."""

    telephone_requested = pyqtSignal()
    """A picture is to be taken with the telephone."""
    shown = pyqtSignal()
    """Something that is shown has changed: the project, its proof, or what the window has in its hand."""
    message = pyqtSignal(str)
    """A sentence for the user: why something could not be."""

    def __init__(
        self, editor: Editor, keeper: ProofKeeper, files: Files, planner: Planner, hands: MaskEditor,
        methods: MethodEditor, inkroom: InksEditor, orderer: OrderEditor, registrar: RegisterEditor,
        crafter: CarveEditor, bencher: BenchEditor, designer: DesignEditor, inker: InkingEditor,
    ) -> None:  # fmt: skip
        super().__init__()
        self.editor, self.document = editor, editor.document
        self.designer, self.inker = designer, inker
        self.keeper, self.files = keeper, files
        self.planner, self.hands, self.methods, self.inkroom = planner, hands, methods, inkroom
        self.orderer, self.registrar = orderer, registrar
        self.crafter, self.bencher = crafter, bencher
        self.fields = Fields(editor, keeper, designer, methods)
        self.blocks = BlockEditor(editor, keeper, files, planner, methods)
        self.inks, self.places = InkEditor(editor), PlaceEditor(editor)
        editor.document.changed.connect(self._project_changed)
        editor.message.connect(self.message)
        editor.state_changed.connect(self.shown)
        keeper.changed.connect(self.shown)
        keeper.failed.connect(self.message)
        files.opened.connect(self.go_to)
        designer.opened.connect(self.go_to)
        for helper in (
            files, designer, planner, hands, methods, orderer, registrar, crafter, bencher, inker, inkroom,
        ):  # fmt: skip
            helper.message.connect(self.message)
            helper.changed.connect(self.shown)
        inker.zone_made.connect(lambda zone: self.set_state(zone=zone))
        bencher.scan_requested.connect(registrar.scan_demo)
        inkroom.card_opened.connect(lambda: self.show("card"))

    # What the window has in its hand

    @property
    def state(self) -> UiState:
        """What is chosen, and what is looked at."""
        return self.editor.state

    def set_state(self, **changes: Any) -> None:
        """Have something else in the hand, or look at something else: fields of `UiState`."""
        self.editor.set_state(**changes)

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
        self.set_state(**changes)

    def go_to(self, station: Station) -> None:
        """Turn to a station; it shows the print, the design station the flat design."""
        shown = "flat" if station == "design" else "print"
        pulls = self.state.pulls if station == "order" else None
        project = self.document.project
        first = project.impressions[0].id if project and project.impressions else None
        pull = self.state.pull if self.state.pull or station == "design" else first
        self.set_state(station=station, shown=shown, pulls=pulls, pull=pull)
        if station == "design":
            self.designer.need_reading()

    def at_hand(self) -> frozenset[str]:
        """Looks that are there only while there is something of their kind."""
        there = {
            "picture": self.designer.pixels() is not None and self.state.station == "design",
            "card": self.inkroom.card is not None,
            "plans": self.planner.found is not None,
        }
        return frozenset(shown for shown, known in there.items() if known)

    def show(self, shown: Shown) -> None:
        """Have the sheet show the print, the flat design, the sketch, or one block."""
        self.set_state(shown=shown, pulls=None)
        if shown in ("sketch", "outlined", "picture"):
            self.designer.need_reading()

    def choose_pull(self, pull: str | None, pulls: int | None = None) -> None:
        """Choose an impression; with `pulls`, look at the sheet after so many."""
        if pull == PAPER_ROW:
            self.set_state(paper_chosen=True)
            return
        pull, _, zone = pull.partition("/") if pull else (None, "", "")
        project = self.document.project
        ids = [impression.id for impression in project.impressions] if project else []
        if pull is not None and pull not in ids:
            # Chosen on a list that has not followed the project yet: the pull is gone.
            return
        last = len(ids)
        chosen: dict[str, Any] = {"pull": pull, "paper_chosen": False, "zone": int(zone or 0)}
        if pulls is not None:
            shown = "print" if self.state.shown in ("flat", "sketch") else self.state.shown
            chosen |= {"pulls": None if pulls == last else pulls, "shown": shown}
        self.set_state(**chosen)

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
        self.set_state(colour=colour, also=(), place=None)

    def mark(self, marked: Marked) -> None:
        """On a carved block, mark what stays or what goes."""
        self.set_state(marked=marked)

    def look_again(self) -> None:
        """Show everything that is in sight anew."""
        self.shown.emit()

    def touch(self, touch: Touch) -> None:
        """Touch the chosen block; on a carved block the hand is on the mirror image."""
        project = self.document.project
        if project is None:
            return
        if self.state.station == "design":
            self.fields.brush(touch)
            return
        points = tuple(on_print(project, self.state, point) for point in touch.points)
        on_sheet = replace(touch, points=points)
        if self.inker.drawing:
            self.inker.stroke(on_sheet)
        else:
            self.hands.touch(on_sheet)

    def choose_page(self, page: str) -> None:
        """Choose the paper for the templates."""
        self.set_state(page=page)

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
            self.fields.point_at(x_mm, y_mm)
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
            self.set_state(colour=chosen[0] if chosen else None, also=tuple(chosen[1:]), place=None)
            return
        of_block = {block.id for block in project.blocks if colour in block.colours}
        pull = next((i.id for i in project.impressions if i.block in of_block), self.state.pull)
        self.set_state(colour=colour, also=(), pull=pull, place=(x, y))

    def takes_proofs(self) -> bool:
        """Whether a picture that comes now is read as a proof of the print."""
        return self.document.project is not None and self.state.station in ("bench", "register")

    def photographed(self, path: Path) -> None:
        """Take a picture that has come: at the bench and at Register a proof, elsewhere what a print begins with."""
        at_bench = self.state.station == "bench"
        if not self.takes_proofs():
            self.files.open(path)
            return
        if at_bench:
            self.bencher.proofs.add(path)
        self.registrar.read_scan(path, self.bencher.last_sheet() if at_bench else None)

    # Edits

    def move_pull(self, pull: str, place: int, gesture: int) -> None:
        """Move an impression on the ladder; one that has gone while it was dragged stays gone."""
        before = self.document.project
        if before is None or pull not in {impression.id for impression in before.impressions}:
            return
        self.editor.apply(tr("Print order"), lambda p: moved_impression(p, pull, place), ("order", gesture))
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
        self.editor.on_pull(tr("Print order"), lambda p, pull: moved_impression(p, pull, place + step))

    def drag(self, handle: str, dx_mm: float, dy_mm: float, gesture: int) -> None:
        """Drag a handle on the sheet: the chosen block's, or an end of a graded zone."""
        if handle == "block":
            self.places.drag_handle(dx_mm, dy_mm, gesture)
        else:
            self.methods.drag_grade(handle, dx_mm, dy_mm, gesture)
