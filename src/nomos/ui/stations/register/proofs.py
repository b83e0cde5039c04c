"""The parts of the Register station about tolerance, proofs and practice."""

from PyQt6.QtCore import Qt, pyqtSignal
from PyQt6.QtWidgets import QComboBox, QSlider, QSpinBox, QWidget

from nomos.base.language import opened, tr
from nomos.base.units import length_text
from nomos.project.register.plausible import DOZEN
from nomos.project.register.practice import KINDS, Fault
from nomos.registration import RegisterSettings
from nomos.registration.printed_marks import STROKES, vernier_reading_mm
from nomos.registration.settings import BudgetSettings
from nomos.ui.frame.controls import Fields, Figures, NumberBox, button, check_box, label
from nomos.ui.frame.form import Form
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import group, part_column
from nomos.ui.frame.plain_text import set_tip
from nomos.ui.stations.register.proofs_view import CRISP_MM, LOOSE_MM, PracticeView, ProofView, ToleranceView

# The slider goes by steps of so much.
_STEP_MM = 0.05
_NOT_READ = -5.1
_CURES = 5
_READ_TIP = tr("What was read at this corner, + to the right and down.")


class TolerancePart(QWidget):
    """From crisp to loose, the parts of the error, what flashes on plausible sheets, and its cures."""

    field_requested = pyqtSignal(str, object)
    """A field of the project, and its value."""
    usual_requested = pyqtSignal()
    simulate_requested = pyqtSignal()
    sheets_requested = pyqtSignal()
    sheet_requested = pyqtSignal()
    print_requested = pyqtSignal()

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.slider = QSlider(Qt.Orientation.Horizontal)
        self.slider.setRange(round(CRISP_MM / _STEP_MM), round(LOOSE_MM / _STEP_MM))
        self.slider.setAccessibleName(tr("From crisp to loose"))
        set_tip(self.slider, tr("How far sheets may lie apart: crisp wants work, loose shows movement."))
        self.ends, self.school = label(kind="name"), label(kind="quiet")
        self.apart, self.flashes = label(), label()
        self.fields = Form(
            BudgetSettings,
            (
                "seating_mm", "block_mm", "cutting_mm", "transfer_mm", "growth_along_pct",
                "growth_across_pct",
            ),
        )  # fmt: skip
        self.defaults = button(tr("Back to the usual figures"), plain=True)
        self.damp, self.hand = Form(RegisterSettings, ("damp",)), Form(BudgetSettings, ("hand",))
        self.simulate = button(
            tr("Print 100 whole sheets"), tip=tr("Lay a hundred sheets in full, one by one: slower, and exact.")
        )
        self.nine, self.back = (
            button(tr("See nine plausible sheets"), tip=tr("Nine sheets as they may come out, beside each other.")),
            button(tr("Back to the print"), plain=True),
        )
        self.one = button(
            tr("See one at full size"), tip=tr("One sheet as it may come out; press again for the next of twelve.")
        )
        self.cures = [label() for _ in range(_CURES)]
        self.trap = button("", tip=tr("Take this trap: gaps up to that width close."))
        self._trap_mm = 0.0
        self._budget = group(
            label(tr("Parts of the error, 95 of 100 sheets"), kind="name"), self.hand, self.fields, self.defaults
        )
        for widget in (
            self.ends, self.slider, self.school, self.apart, self.flashes, *self.cures, self.trap,
            self.simulate, self.nine, self.one, self.back, self._budget, self.damp,
        ):  # fmt: skip
            column.addWidget(widget)
        # sliderMoved and keys both end in valueChanged; showing a value blocks it.
        self.slider.valueChanged.connect(lambda step: self.field_requested.emit("tolerance_mm", step * _STEP_MM))
        self.simulate.clicked.connect(self.simulate_requested)
        self.nine.clicked.connect(self.sheets_requested)
        self.one.clicked.connect(self.sheet_requested)
        self.back.clicked.connect(self.print_requested)
        self.trap.clicked.connect(lambda: self.field_requested.emit("trap_mm", self._trap_mm))
        self.damp.changed.connect(lambda path, value: self.field_requested.emit(f"register.{path}", value))
        for form in (self.fields, self.hand):
            form.changed.connect(lambda path, value: self.field_requested.emit(f"register.budget.{path}", value))
        self.defaults.clicked.connect(self.usual_requested)

    def show_view(self, view: ToleranceView, *, nine: bool = False, alone: int | None = None) -> None:
        """Show the part. nine : plausible sheets are in sight; alone : which of a dozen, if it is one."""
        self.nine.setText(tr("See nine others") if nine and alone is None else tr("See nine plausible sheets"))
        self.one.setText(
            tr("See one at full size")
            if alone is None
            else tr("See the next one ({alone} of {dozen} in sight)", alone=alone + 1, dozen=DOZEN)
        )
        self.back.setVisible(nine)
        self.fields.show_values(view.register.budget, view.worked_out)
        self.defaults.setVisible(bool(view.own))
        self.slider.blockSignals(True)
        self.slider.setValue(round(view.tolerance_mm / _STEP_MM))
        self.slider.blockSignals(False)
        self.ends.setText(
            tr("Crisp – {tolerance_mm} may be out – loose", tolerance_mm=length_text(view.tolerance_mm, 2))
        )
        self.school.setText(view.school)
        self.apart.setText(view.apart)
        self.flashes.setText(view.flashes or tr("Working out what flashes…"))
        shown = [text for text, _ in view.cures]
        for place, line in enumerate(self.cures):
            line.setText(f"→ {shown[place]}" if place < len(shown) else "")
            line.setVisible(place < len(shown))
        self._trap_mm = next((trap for _, trap in view.cures if trap is not None), 0.0)
        self.trap.setText(tr("Trap {trap_mm}", trap_mm=length_text(self._trap_mm, 2)))
        self.trap.setVisible(self._trap_mm > 0)
        self.damp.show_values(view.register)
        self.hand.show_values(view.register.budget)


class ProofPart(QWidget):
    """A proof read by eye or from a scan; what to do; what the next one should show; the history."""

    pull_chosen = pyqtSignal(str)
    scan_requested = pyqtSignal()
    demo_scan_requested = pyqtSignal()
    keep_requested = pyqtSignal()
    read_requested = pyqtSignal(object)
    """What was read: {(place, way): mm}."""
    sheet_set = pyqtSignal(int)
    uncut_set = pyqtSignal(bool)
    show_requested = pyqtSignal()

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.scan, self.demo_scan = (
            button(tr("Read a photograph or a scan…"), tip=tr("Measure how far every block is out on the sheet.")),
            button(tr("Scan the sheet as tried here"), tip=tr("Practise with the print as it is on the screen.")),
        )
        self.scan_hint = label(
            tr("The sheet from above, flat and sharp, in even light: a telephone will do."), kind="quiet"
        )
        self.rows = ColourRows(tr("Pulls on the proof"))
        self.source, self.found = label(kind="quiet"), label()
        self.steps, self.next_proof = label(), label(kind="quiet")
        self.uncut = check_box(tr("This block is not cut yet"), tr("It can still be moved in its transfer."))
        self.show_it = button(
            tr("Show it on the sheet"), tip=tr("Move the sheet to where it is. N goes to the next."), plain=True
        )
        self.keep = button(tr("Keep this reading for every block"))
        self.sheet = QSpinBox()
        self.sheet.setRange(0, 10_000)
        self.sheet.setSpecialValueText(tr("a proof"))
        sheet_field = Fields()
        sheet_field.add(tr("Sheet of the edition"), self.sheet, tr("Which sheet was read."))
        self.hint = label(kind="quiet")
        self.eye = Fields()
        self.eye_boxes: dict[tuple[int, str], NumberBox] = {}
        self._eye_key: object = None
        self.read = button(tr("Keep what was read"), tip=tr("Put it with the readings of this print."))
        self._eye_column = group(self.hint, self.eye)
        self.history_title, self.history = label(tr("What was read before"), kind="name"), Figures()
        self.drift = label()
        for widget in (
            self.scan, self.demo_scan, self.scan_hint, self.rows, self.source, self.found, self.steps,
            self.next_proof, self.uncut, self.show_it, self.keep, sheet_field,
            label(tr("Read by eye"), kind="name"), self._eye_column, self.read,
            self.history_title, self.history, self.drift,
        ):  # fmt: skip
            column.addWidget(widget)
        self.scan.clicked.connect(self.scan_requested)
        self.demo_scan.clicked.connect(self.demo_scan_requested)
        self.rows.chosen.connect(self.pull_chosen)
        self.keep.clicked.connect(self.keep_requested)
        self.read.clicked.connect(self._read)
        self.sheet.valueChanged.connect(self.sheet_set)
        self.uncut.clicked.connect(self.uncut_set)
        self.show_it.clicked.connect(self.show_requested)

    def _read(self) -> None:
        self.read_requested.emit(
            {
                (place, "x" if way.startswith("x") else "y"): (
                    vernier_reading_mm(round(box.value())) if way.endswith("strokes") else box.value()
                )
                for (place, way), box in self.eye_boxes.items()
                if box.value() > box.minimum()
            }
        )

    def _make_eye(self, view: ProofView) -> None:
        """One field for each place and way; the lowest value stands for not read."""
        key = (view.chosen, view.places)
        if key == self._eye_key:
            return
        self._eye_key = key
        layout = self._eye_column.layout()
        assert layout is not None
        fresh = Fields()
        layout.replaceWidget(self.eye, fresh)
        self.eye.deleteLater()
        self.eye, self.eye_boxes = fresh, {}
        for number_of, place in enumerate(view.places):
            for way, text in (("x", tr("to the right")), ("y", "down")):
                if place.way not in ("both", way):
                    continue
                if place.way == "both":
                    box = NumberBox(_NOT_READ, 5, step=0.1, digits=2)
                    name = way
                else:
                    most = STROKES // 2
                    box = NumberBox(-most - 1, most, unit="", step=1, digits=0)
                    name = tr("{way} strokes", way=way)
                box.setSpecialValueText(tr("not read"))
                box.setValue(box.minimum())
                self.eye_boxes[number_of, name] = box
                self.eye.add(f"{opened(place.name)}, {text}", box, _READ_TIP)

    def show_view(self, view: ProofView) -> None:
        """Show the part."""
        self.rows.show_rows(view.rows, view.chosen)
        self._make_eye(view)
        self.hint.setText(view.hint)
        for line, text in (
            (self.source, view.source), (self.found, view.found), (self.steps, "\n".join(view.steps)),
            (self.next_proof, view.next_proof), (self.drift, view.drift),
        ):  # fmt: skip
            line.setText(text)
            line.setVisible(bool(text))
        self.keep.setVisible(view.can_keep)
        self.show_it.setVisible(bool(view.history))
        self.history_title.setVisible(bool(view.history))
        self.history.show_rows(view.history)
        self.uncut.setChecked(view.uncut)


class PracticePart(QWidget):
    """A proof with a fault, the answer, and why."""

    exercise_requested = pyqtSignal(int)
    """How many faults."""
    answered = pyqtSignal(object)
    """A Fault."""

    def __init__(self) -> None:
        super().__init__()
        column = part_column(self)
        self.task = label()
        self.one, self.two = (
            button(tr("A proof with one fault"), tip=tr("A made-up proof: find which block is out.")),
            button(tr("A proof with two faults"), tip=tr("A made-up proof: find which two blocks are out.")),
        )
        self.block, self.kind = QComboBox(), QComboBox()
        for box in (self.block, self.kind):
            box.setSizeAdjustPolicy(QComboBox.SizeAdjustPolicy.AdjustToContents)
        self.dx = NumberBox(-3, 3, step=0.1, digits=1)
        self.dy = NumberBox(-3, 3, step=0.1, digits=1)
        self.fields = Fields()
        apart = tr("How far the block is out of its place, as seen on the print.")
        for text, control, tip in (
            (tr("Block"), self.block, tr("The block that you say is out.")),
            (tr("Fault"), self.kind, tr("What you say is wrong with it.")),
            (tr("To the right"), self.dx, apart), (tr("Down"), self.dy, apart),
        ):  # fmt: skip
            self.fields.add(text, control, tip)
        self.say = button(tr("Say so"), tip=tr("See whether you are right."))
        self.marking, self.score = label(), label(kind="name")
        for widget in (self.one, self.two, self.task, self.fields, self.say, self.marking, self.score):
            column.addWidget(widget)
        self._pulls: tuple[str, ...] = ()
        self.one.clicked.connect(lambda: self.exercise_requested.emit(1))
        self.two.clicked.connect(lambda: self.exercise_requested.emit(2))
        self.say.clicked.connect(self._answer)

    def _answer(self) -> None:
        place, kind = self.block.currentIndex(), KINDS[max(self.kind.currentIndex(), 0)]
        if 0 <= place < len(self._pulls):
            out = kind == "out of register"
            shift = (self.dx.value(), self.dy.value()) if out else (0.0, 0.0)
            self.answered.emit(Fault(self._pulls[place], kind, *shift))

    def show_view(self, view: PracticeView) -> None:
        """Show the part."""
        self.task.setText(view.task)
        pulls = tuple(pull for pull, _ in view.blocks)
        if pulls != self._pulls or self.block.count() != len(pulls):
            self._pulls = pulls
            self.block.clear()
            self.block.addItems([name for _, name in view.blocks])
        if not self.kind.count():
            self.kind.addItems([words for _, words in view.kinds])
        self.say.setEnabled(view.can_answer)
        self.marking.setText(view.marking)
        self.marking.setVisible(bool(view.marking))
        self.score.setText(view.score)
        self.score.setVisible(bool(view.score))
