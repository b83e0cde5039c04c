"""How does every sheet meet every block?"""

from dataclasses import replace
from typing import Any

from PyQt6.QtCore import pyqtSignal
from PyQt6.QtWidgets import QCheckBox, QComboBox, QWidget

from nomos.base.language import tr
from nomos.project.model import LARGEST_SHIFT_MM, LARGEST_TURN_DEG
from nomos.proof import Misregister
from nomos.registration import SYSTEMS, KentoSettings, RegisterSettings
from nomos.ui.frame.answers import Answers
from nomos.ui.frame.controls import Aside, Choice, Fields, Figures, NumberBox, button, label
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import group
from nomos.ui.frame.rows import Row
from nomos.ui.stations.register.proofs import PracticePart, ProofPart, TolerancePart
from nomos.ui.stations.register.view import RegisterView

PARTS = (
    ("system", tr("System")), ("measures", tr("Measures")), ("try", tr("Try out")), ("tolerance",
    tr("Tolerance")),
    ("proofs", tr("Proofs")), ("practice", tr("Practice")),
)  # fmt: skip
_SIDES: tuple[tuple[str | None, str], ...] = (
    (None, tr("the lower edge")), ("long", tr("the long side")), ("short", tr("the short side")),
)  # fmt: skip
_MARKS = (
    ("none", tr("none")),
    ("rings", tr("dots")),
    ("crosses", tr("crosses")),
    ("verniers", tr("verniers")),
)
_CAUTION = tr(
    "Cut notches with the block clamped or against a bench hook, away from the body, the other hand "
    "behind the edge. A sharp chisel is safer than a blunt one. Trained people and local rules come first."
)


class RegisterStation(Answers):
    """The system and its templates, tolerance, proofs and practice."""

    register_requested = pyqtSignal(dict)
    """What changes of the RegisterSettings."""
    kento_requested = pyqtSignal(object)
    """KentoSettings."""
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
        from nomos.formats import PAPERS_MM

        super().__init__(tr("How does every sheet meet every block?"), PARTS, "system")
        self.tolerance, self.proofs, self.practice = TolerancePart(), ProofPart(), PracticePart()
        self.systems = ColourRows(tr("Systems of registration"))
        self.why, self.limits, self.no_marks = label(), Aside(tr("What it cannot do")), label(kind="quiet")
        self.blocks_text = label(kind="quiet")
        self.steps = Aside(tr("Steps"))
        self.hand = Choice((("right", tr("Right-handed")), ("left", tr("Left-handed"))))
        self.figures = Figures()
        self._make_try_out()
        self._make_fields()
        self.page = QComboBox()
        self.page.addItems(list(PAPERS_MM))
        page_fields = Fields()
        page_fields.add(tr("Templates on"), self.page)
        self.packet = button(tr("Write the packet…"))
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
        measures = group(label(tr("Sheet and notches"), kind="name"), self.fields, self.pin_fields)
        out = group(
            label(tr("Try a block out of register"), kind="name"), self.rows, self.offsets, self.bare,
            self.cure, self.all_in,
        )  # fmt: skip
        groups: dict[str, QWidget] = {
            "system": system, "measures": measures, "try": out, "tolerance": self.tolerance,
            "proofs": self.proofs, "practice": self.practice,
        }  # fmt: skip
        self._settings = KentoSettings()
        self._register = RegisterSettings()
        self._connect()
        self.fill(groups)

    def _make_system(self) -> None:
        """Which side, which marks; pins and their cutter."""
        self.side, self.marks = QComboBox(), QComboBox()
        self.side.addItems([words for _, words in _SIDES])
        self.marks.addItems([words for _, words in _MARKS])
        self.system_fields = Fields()
        self.system_fields.add(tr("Along the printer"), self.side)
        self.system_fields.add(tr("Marks in the margin"), self.marks)
        self.thickness = NumberBox(1, 60, step=0.1)
        self.jig_fields = Fields()
        self.jig_fields.add(tr("Thickness of the block"), self.thickness)
        self.pin_fields = Fields()
        self.pairs, self.taped = QComboBox(), QCheckBox(tr("Tabs taped on, not punched"))
        self.pairs.addItems([tr("two pairs"), tr("three pairs")])
        self.clearance, self.kerf = NumberBox(0, 1, step=0.05, digits=2), NumberBox(0, 3, step=0.05, digits=2)
        self.stock_w, self.stock_h = NumberBox(60, 3000, step=10), NumberBox(60, 3000, step=10)
        for text, box in (
            (tr("Pins"), self.pairs), ("", self.taped), (tr("Clearance, each side"), self.clearance),
            (tr("Kerf of the cutter"), self.kerf), (tr("Board to cut from, width"), self.stock_w),
            (tr("Board, height"), self.stock_h),
        ):  # fmt: skip
            self.pin_fields.add(text, box)
        self.side.activated.connect(lambda n: self.register_requested.emit({"side": _SIDES[n][0]}))
        self.marks.activated.connect(lambda n: self.register_requested.emit({"marks": _MARKS[n][0]}))
        self.systems.chosen.connect(lambda system: self.register_requested.emit({"system": system}))
        self.thickness.set_by_hand.connect(
            lambda value: self.register_requested.emit(
                {"jig": replace(self._register.jig, thickness_mm=value)}
            )
        )
        self.pairs.activated.connect(lambda n: self._ask_pins(pairs=n + 2))
        self.taped.clicked.connect(lambda on: self._ask_pins(taped=on))
        self.clearance.set_by_hand.connect(lambda value: self._ask_pins(clearance_mm=value))
        self.kerf.set_by_hand.connect(lambda value: self._ask_pins(kerf_mm=value))
        for box in (self.stock_w, self.stock_h):
            box.set_by_hand.connect(
                lambda _value: self._ask_pins(stock_mm=(self.stock_w.value(), self.stock_h.value()))
            )

    def _ask_pins(self, **changes: Any) -> None:
        self.register_requested.emit({"pins": replace(self._register.pins, **changes)})

    def _make_try_out(self) -> None:
        self.rows = ColourRows(tr("Impressions"))
        self.offsets = Fields()
        self.dx = NumberBox(-LARGEST_SHIFT_MM, LARGEST_SHIFT_MM, step=0.1, digits=2)
        self.dy = NumberBox(-LARGEST_SHIFT_MM, LARGEST_SHIFT_MM, step=0.1, digits=2)
        self.turn = NumberBox(-LARGEST_TURN_DEG, LARGEST_TURN_DEG, unit="°", step=0.05, digits=2)
        self.offsets.add(tr("To the right"), self.dx)
        self.offsets.add(tr("Down"), self.dy)
        self.offsets.add(tr("Turned clockwise"), self.turn)
        self.bare = label()
        self.cure = label()
        self.all_in = button(tr("Put every block back in register"))

    def _make_fields(self) -> None:
        self.fields = Fields()
        self.sheet_w, self.sheet_h = NumberBox(5, 2000), NumberBox(5, 2000)
        self.left_box, self.top_box = NumberBox(0, 2000), NumberBox(0, 2000)
        self.arm_box, self.straight_box = NumberBox(8, 100), NumberBox(8, 200)
        self.place_box = NumberBox(30, 95, unit="%", digits=0)
        self.depth_box = NumberBox(0.2, 5, step=0.1)
        self.wall_box = NumberBox(5, 100)
        self.block_w, self.block_h = NumberBox(0, 2000), NumberBox(0, 2000)
        for box in (self.block_w, self.block_h):
            box.setSpecialValueText(tr("as needed"))
        for text, box in (
            (tr("Sheet width"), self.sheet_w), (tr("Sheet height"), self.sheet_h),
            (tr("Margin left of the image"), self.left_box), (tr("Margin above it"), self.top_box),
            (tr("Corner notch, each arm"), self.arm_box), (tr("Straight notch, length"), self.straight_box),
            (tr("Its middle, of the edge"), self.place_box), (tr("Depth of the notches"), self.depth_box),
            (tr("Wood beyond the notches"), self.wall_box),
            (tr("Block at hand, width"), self.block_w), (tr("Block at hand, height"), self.block_h),
        ):  # fmt: skip
            self.fields.add(text, box)

    def _connect(self) -> None:
        self.hand.chosen.connect(lambda hand: self.kento_requested.emit(replace(self._settings, hand=hand)))
        self.sheet_w.set_by_hand.connect(lambda value: self.sheet_requested.emit(value, self.sheet_h.value()))
        self.sheet_h.set_by_hand.connect(lambda value: self.sheet_requested.emit(self.sheet_w.value(), value))
        self.left_box.set_by_hand.connect(
            lambda value: self.image_requested.emit(value, self.top_box.value())
        )
        self.top_box.set_by_hand.connect(
            lambda value: self.image_requested.emit(self.left_box.value(), value)
        )
        for box, field, scale in (
            (self.arm_box, "corner_arm_mm", 1.0), (self.straight_box, "straight_mm", 1.0),
            (self.place_box, "straight_place", 0.01), (self.depth_box, "depth_mm", 1.0),
            (self.wall_box, "wall_mm", 1.0),
        ):  # fmt: skip
            box.set_by_hand.connect(
                lambda value, field=field, scale=scale: self.kento_requested.emit(
                    replace(self._settings, **{field: value * scale})
                )
            )
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
            self.kento_requested.emit(replace(self._settings, block_mm=size))
        elif not any(size):
            self.kento_requested.emit(replace(self._settings, block_mm=None))

    def show_view(self, view: RegisterView) -> None:
        """Show the station."""
        self._settings, self._register = view.settings, view.register
        self.systems.show_rows(
            [Row(each.system, "", each.name, each.fits) for each in view.systems], view.register.system
        )
        for line, text in (
            (self.why, view.why), (self.limits, view.limits), (self.no_marks, view.no_marks),
            (self.blocks_text, view.blocks_text),
        ):  # fmt: skip
            line.setText(text)
            line.setVisible(bool(text))
        self.side.setCurrentIndex([side for side, _ in _SIDES].index(view.register.side))
        self.marks.setCurrentIndex([kind for kind, _ in _MARKS].index(view.register.marks))
        pins = view.register.pins
        self.pairs.setCurrentIndex(pins.pairs - 2)
        self.taped.setChecked(pins.taped)
        for box, value in (
            (self.clearance, pins.clearance_mm), (self.kerf, pins.kerf_mm), (self.stock_w, pins.stock_mm[0]),
            (self.stock_h, pins.stock_mm[1]), (self.thickness, view.register.jig.thickness_mm),
        ):  # fmt: skip
            box.show_value(value)
        self.pin_fields.setVisible(SYSTEMS[view.register.system].has_parts)
        self.jig_fields.setVisible(SYSTEMS[view.register.system].holds_block)
        self.steps.setText(view.steps)
        self.hand.show_choice(view.settings.hand)
        self.figures.show_rows(view.figures)
        for box, value in (
            (self.sheet_w, view.sheet_mm[0]), (self.sheet_h, view.sheet_mm[1]),
            (self.left_box, view.image_at_mm[0]), (self.top_box, view.image_at_mm[1]),
            (self.arm_box, view.settings.corner_arm_mm), (self.straight_box, view.settings.straight_mm),
            (self.place_box, view.settings.straight_place * 100), (self.depth_box, view.settings.depth_mm),
            (self.wall_box, view.settings.wall_mm),
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
