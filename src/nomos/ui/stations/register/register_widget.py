"""How does every sheet meet every block?"""

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QComboBox, QWidget

from nomos.base.fields import fields_of
from nomos.base.language import tr
from nomos.base.units import LARGEST_MM
from nomos.project.model import LARGEST_SHIFT_MM, LARGEST_TURN_DEG, Paper
from nomos.proof import Misregister
from nomos.registration import SYSTEMS, KentoSettings, RegisterSettings
from nomos.ui.frame.answers import Answers
from nomos.ui.frame.controls import Aside, Fields, Figures, NumberBox, button, label
from nomos.ui.frame.form import Form, number_box
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import group
from nomos.ui.frame.rows import Row
from nomos.ui.stations.register.proofs import PracticePart, ProofPart, TolerancePart
from nomos.ui.stations.register.register_view import RegisterView

PARTS = (
    ("system", tr("System")), ("measures", tr("Measures")), ("try", tr("Try out")), ("tolerance",
    tr("Tolerance")),
    ("proofs", tr("Proofs")), ("practice", tr("Practice")),
)  # fmt: skip
_CAUTION = tr(
    "Cut notches with the block clamped or against a bench hook, away from the body, the other hand "
    "behind the edge. A sharp chisel is safer than a blunt one. Trained people and local rules come first."
)


class RegisterStation(Answers):
    """The system and its templates, tolerance, proofs and practice."""

    system_requested = pyqtSignal(str)
    field_requested = pyqtSignal(str, object)
    """A field of the project, and its value."""
    sheet_requested = pyqtSignal(float, float)
    image_requested = pyqtSignal(float, float)
    pull_chosen = pyqtSignal(str)
    offset_requested = pyqtSignal(object)
    """Misregister."""
    all_in_register_requested = pyqtSignal()
    page_requested = pyqtSignal(str)
    packet_requested = pyqtSignal()

    def __init__(self) -> None:
        # Imported here: what writes files is not needed before this station is shown.
        from nomos.formats.pdf import PAPERS_MM

        super().__init__(tr("How does every sheet meet every block?"), PARTS, "system")
        self.tolerance, self.proofs, self.practice = TolerancePart(), ProofPart(), PracticePart()
        self.systems = ColourRows(tr("Systems of registration"))
        self.why, self.limits, self.no_marks = (
            label(),
            Aside(tr("What it cannot do"), tr("Where this system fails.")),
            label(kind="quiet"),
        )
        self.blocks_text = label(kind="quiet")
        self.steps = Aside(tr("Steps"), tr("What to do, one after the other."))
        self.hand = Form(KentoSettings, ("hand",))
        self.figures = Figures()
        self._make_try_out()
        self._make_fields()
        self.page = QComboBox()
        self.page.addItems(list(PAPERS_MM))
        page_fields = Fields()
        page_fields.add(
            tr("Templates on"), self.page,
            tr("The paper that templates are printed on; larger ones come as tiles."),
        )  # fmt: skip
        self.packet = button(tr("Write the packet…"), tip=tr("Everything to print by, into a folder."))
        caution = label(_CAUTION, kind="quiet")
        self._make_system()
        system = group(
            self.systems,
            self.why,
            self.hand,
            self.figures,
            self.system_fields,
            self.jig_fields,
            self.no_marks,
            self.blocks_text,
            page_fields,
            self.packet,
            self.steps,
            self.limits,
            caution,
        )
        measures = group(label(tr("Sheet and notches"), kind="name"), self.fields, self.notches, self.pin_fields)
        out = group(
            label(tr("Try a block out of register"), kind="name"), self.rows, self.offsets, self.bare,
            self.cure, self.all_in,
        )  # fmt: skip
        groups: dict[str, QWidget] = {
            "system": system, "measures": measures, "try": out, "tolerance": self.tolerance,
            "proofs": self.proofs, "practice": self.practice,
        }  # fmt: skip
        self._connect()
        self.fill(groups)

    def _make_system(self) -> None:
        """Which side, which marks; pins and their cutter."""
        self.system_fields = Form(RegisterSettings, ("side", "marks"))
        self.jig_fields = Form(RegisterSettings, ("jig.thickness_mm",))
        self.pin_fields = Form(
            RegisterSettings,
            ("pins.pairs", "pins.taped", "pins.clearance_mm", "pins.kerf_mm", "pins.board_mm", "pins.stock_mm"),
        )
        for form in (self.system_fields, self.jig_fields, self.pin_fields):
            form.changed.connect(lambda path, value: self.field_requested.emit(f"register.{path}", value))
        self.systems.chosen.connect(self.system_requested)

    def _make_try_out(self) -> None:
        self.rows = ColourRows(tr("Impressions"))
        self.offsets = Fields()
        self.dx = NumberBox(-LARGEST_SHIFT_MM, LARGEST_SHIFT_MM, step=0.1, digits=2)
        self.dy = NumberBox(-LARGEST_SHIFT_MM, LARGEST_SHIFT_MM, step=0.1, digits=2)
        self.turn = NumberBox(-LARGEST_TURN_DEG, LARGEST_TURN_DEG, unit="°", step=0.05, digits=2)
        out = tr("How far the block is tried out of place, as seen on the print.")
        self.offsets.add(tr("To the right"), self.dx, out)
        self.offsets.add(tr("Down"), self.dy, out)
        self.offsets.add(
            tr("Turned clockwise"), self.turn, tr("How far the block is tried turned, about the image's middle.")
        )
        self.bare = label()
        self.cure = label()
        self.all_in = button(tr("Put every block back in register"))

    def _make_fields(self) -> None:
        self.fields = Fields()
        paper = fields_of(Paper)
        self.sheet_w, self.sheet_h = number_box(paper["width_mm"]), number_box(paper["height_mm"])
        self.left_box, self.top_box = NumberBox(0, LARGEST_MM), NumberBox(0, LARGEST_MM)
        self.block_w, self.block_h = NumberBox(0, LARGEST_MM), NumberBox(0, LARGEST_MM)
        own = tr("Of the block you have; 0 works the size out.")
        for box in (self.block_w, self.block_h):
            box.setSpecialValueText(tr("as needed"))
        for text, box, tip in (
            (paper["width_mm"].label, self.sheet_w, paper["width_mm"].tip),
            (paper["height_mm"].label, self.sheet_h, paper["height_mm"].tip),
            (tr("Margin left of the image"), self.left_box, tr("Paper left of the image.")),
            (tr("Margin above it"), self.top_box, tr("Paper above the image.")),
            (tr("Block at hand, width"), self.block_w, own),
            (tr("Block at hand, height"), self.block_h, own),
        ):
            self.fields.add(text, box, tip)
        self.notches = Form(KentoSettings, ("corner_arm_mm", "straight_mm", "straight_place", "depth_mm", "wall_mm"))
        for form in (self.notches, self.hand):
            form.changed.connect(lambda path, value: self.field_requested.emit(f"kento.{path}", value))

    def _connect(self) -> None:
        self.sheet_w.set_by_hand.connect(lambda value: self.sheet_requested.emit(value, self.sheet_h.value()))
        self.sheet_h.set_by_hand.connect(lambda value: self.sheet_requested.emit(self.sheet_w.value(), value))
        self.left_box.set_by_hand.connect(lambda value: self.image_requested.emit(value, self.top_box.value()))
        self.top_box.set_by_hand.connect(lambda value: self.image_requested.emit(self.left_box.value(), value))
        for box in (self.block_w, self.block_h):
            box.set_by_hand.connect(lambda _value: self._ask_block())
        self.rows.chosen.connect(self.pull_chosen)
        for box in (self.dx, self.dy, self.turn):
            box.set_by_hand.connect(
                lambda _value: self.offset_requested.emit(
                    Misregister(self.dx.value(), self.dy.value(), self.turn.value())
                )
            )
        self.all_in.clicked.connect(self.all_in_register_requested)
        self.page.textActivated.connect(self.page_requested)
        self.packet.clicked.connect(self.packet_requested)

    def _ask_block(self) -> None:
        """A block at hand counts once both its sides are known; both at nothing means as needed."""
        size = self.block_w.value(), self.block_h.value()
        if all(size):
            self.field_requested.emit("kento.block_mm", size)
        elif not any(size):
            self.field_requested.emit("kento.block_mm", None)

    def show_view(self, view: RegisterView) -> None:
        """Show the station."""
        self.systems.show_rows(
            [Row(each.system, "", each.name, each.fits) for each in view.systems], view.register.system
        )
        for line, text in (
            (self.why, view.why), (self.limits, view.limits), (self.no_marks, view.no_marks),
            (self.blocks_text, view.blocks_text),
        ):  # fmt: skip
            line.setText(text)
            line.setVisible(bool(text))
        for form in (self.system_fields, self.jig_fields, self.pin_fields):
            form.show_values(view.register)
        for form in (self.notches, self.hand):
            form.show_values(view.settings)
        self.pin_fields.setVisible(SYSTEMS[view.register.system].has_parts)
        self.jig_fields.setVisible(SYSTEMS[view.register.system].holds_block)
        self.steps.setText(view.steps)
        self.figures.show_rows(view.figures)
        for box, value in (
            (self.sheet_w, view.sheet_mm[0]), (self.sheet_h, view.sheet_mm[1]),
            (self.left_box, view.image_at_mm[0]), (self.top_box, view.image_at_mm[1]),
            (self.dx, view.offset[0]), (self.dy, view.offset[1]), (self.turn, view.offset[2]),
        ):  # fmt: skip
            box.show_value(value)
        if view.settings.block_mm is not None:
            self.block_w.show_value(view.settings.block_mm[0])
            self.block_h.show_value(view.settings.block_mm[1])
        self.rows.show_rows(view.rows, view.chosen)
        self.offsets.setVisible(view.chosen is not None)
        self.bare.setText(view.bare_text)
        self.bare.setVisible(bool(view.bare_text))
        self.cure.setText(view.cure)
        self.cure.setVisible(bool(view.cure))
        self.all_in.setVisible(view.any_out)
        self.page.setCurrentText(view.page)
        self.packet.setEnabled(not view.refused)
