"""The bench: every event a line on disk at once, and the guided run with simulated devices."""

from collections.abc import Callable, Sequence
from datetime import datetime
from pathlib import Path

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.devices import Scales, ThermoHygrometer
from nomos.edition import REASONS, EditionState, Event, EventKind
from nomos.edition.amounts import ink_needed
from nomos.project import Project
from nomos.project.edition.bench import begin_events, given_up_event, note_event, noted, pull_events
from nomos.project.edition.gate import CutGate, PassGate, cut_gate, pass_gate
from nomos.project.edition.sheets import Record, record_from
from nomos.ui.frame.document import Document
from nomos.ui.frame.jobs import JobRunner
from nomos.ui.frame.keeper import ProofKeeper
from nomos.ui.stations.bench.log_files import ReadAhead
from nomos.ui.stations.bench.logbook import LogBook
from nomos.ui.stations.bench.proofs import ProofBook

# How long sheets lie under the press to be flat; chosen by us, no source.
PRESS_H = 24.0
# The colour is followed over so many of the last proofs.
_MOST_DRIFT = 6
# The guided run: what is said before each step. The last begins anew.
GUIDE = (
    tr("Read the air of the workshop."),
    tr("Weigh the ink on the slab."),
    tr("Begin the first layer."),
    tr("Pull the first sheet, on a bad one."),
    tr("Pull a second sheet and look at it."),
    tr("Scan it: is the block in register?"),
    tr("Spoil one: it slipped."),
    tr("Weigh the ink again."),
    tr("That was a layer. Leave the guide."),
)


class BenchEditor(QObject):
    """What hands do at the bench; `book` keeps the log of it."""

    changed = pyqtSignal()
    message = pyqtSignal(str)
    scan_requested = pyqtSignal()
    """The guided run scans the sheet on the simulated scanner."""

    def __init__(
        self, document: Document, runner: JobRunner, keeper: ProofKeeper, now: Callable[[], datetime] | None = None
    ) -> None:
        super().__init__()
        self._document, self._keeper = document, keeper
        self.book = LogBook(document, now)
        self.book.message.connect(self.message)
        self.book.changed.connect(self.changed)
        self.proofs = ProofBook(document, runner, keeper, self.book)
        self.proofs.message.connect(self.message)
        self.proofs.changed.connect(self.changed)
        self.asking_reason = self.asking_cut = False
        self.guide: int | None = None
        self.sheet: int | None = None
        self._said: dict[str, int] = {}
        self._record: tuple[Project, object, Record] | None = None
        self.log_read: Callable[[], ReadAhead | None] = lambda: None
        """The log that was read with the project that begins, if it was."""
        self._air, self._scales = ThermoHygrometer(), Scales()
        document.changed.connect(self._project_changed)

    def _project_changed(self, before: Project | None, after: Project | None) -> None:
        if before is None or after is None or before.source != after.source:
            self.book.wait()
            self.book.end_practice()
            self.book.forget()
            self.book.take(self.log_read())
            self.guide, self.asking_reason, self.asking_cut = None, False, False

    def keep_in(self, folder: Path | None) -> None:
        """Keep the log in a folder of its own, or again beside the project."""
        self.book.keep_in(folder)

    @property
    def path(self) -> Path:
        """Where the log is."""
        return self.book.path

    @property
    def folder(self) -> Path:
        """Where pictures of proofs lie."""
        return self.book.folder

    def events(self) -> Sequence[Event]:
        """All events of the log."""
        return self.book.events()

    def state(self) -> EditionState | None:
        """What the log comes to; None without a project."""
        return self.book.state()

    def record(self) -> Record | None:
        """The record as far as it goes; None without a project."""
        project, state = self._document.project, self.state()
        if project is None or state is None:
            return None
        if self._record is None or self._record[0] is not project or self._record[1] is not state.moment:
            self._record = (project, state.moment, record_from(project, state))
        return self._record[2]

    def add(self, kind: EventKind, **figures: object) -> bool:
        """Put an event on disk, and then count it; whether it is there."""
        return self.book.write(lambda _project, _state, at: (Event(at, kind, **figures),))  # type: ignore[arg-type] # its fields by name

    def last_sheet(self) -> int:
        """The sheet that was pulled last of the layer at hand; 0 before the first."""
        state = self.state()
        pulled = state.pulled.get(state.layer) if state is not None else None
        return pulled[-1][1] if pulled else 0

    # What hands do

    def begin_layer(self, layer: int | None = None) -> None:
        """Begin a layer, the next one if none is named; a cut or one more pass is asked about first."""
        project, state = self._document.project, self.state()
        if project is not None and state is not None and not self.asking_cut:
            self.asking_cut = self._gate(project, state, layer) is not None
            if self.asking_cut:
                self.changed.emit()
                return
        self.asking_cut = False
        self.book.write(lambda project, state, at: begin_events(project, state, at, layer))

    def _gate(self, project: Project, state: EditionState, layer: int | None) -> CutGate | PassGate | None:
        cut = cut_gate(project, state, layer)
        return cut if cut is not None else self.pass_worth(project, state, layer)

    def pass_worth(self, project: Project, state: EditionState, layer: int | None = None) -> PassGate | None:
        """What a further pass of a block is worth; None for a first one, or while there is no proof."""
        proof = self._keeper.proof
        if proof is None or proof.project is not project:
            return None
        return pass_gate(project, proof.laid, state, layer)

    def pull(self, kind: EventKind, reason: str = "") -> None:
        """The sheet at hand came out good, spoiled or repaired."""
        if self.book.write(lambda project, state, at: pull_events(project, state, kind, at, reason)):
            self.asking_reason = False
            self.changed.emit()

    def cut_not_yet(self) -> None:
        """The block is not cut yet."""
        self.asking_cut = False
        self.changed.emit()

    def note(self, kind: str, text: str) -> None:
        """Write down at this pull what was weighed, measured, mixed, packed or seen."""
        try:
            made = note_event(kind, text)
        except BadInput as error:
            self.message.emit(str(error))
            return
        self.book.write(lambda _project, state, at: (noted(made, state, at),))

    def mend(self, sheet: int, how: str) -> None:
        """A spoiled sheet was repaired or cut afresh and goes on."""
        self.add("mended", sheet=sheet, text=how)

    def give_up(self, sheet: int) -> None:
        """A sheet is good no longer: it goes first at every layer from now on."""
        self.book.write(lambda _project, state, at: (given_up_event(state, sheet, at),))

    def choose_sheet(self, sheet: int | None) -> None:
        """Have a sheet of the board in hand."""
        self.sheet = sheet
        self.changed.emit()

    def warn(self, layer: int, said: Sequence[str]) -> None:
        """So much was said at a layer; cautions among it are not said at another in this session."""
        for each in said:
            self._said.setdefault(each, layer)

    def warned_elsewhere(self, layer: int) -> frozenset[str]:
        """What was said at other layers in this session."""
        return frozenset(said for said, at in self._said.items() if at != layer)

    def ask_reason(self, asking: bool = True) -> None:
        """Ask why a sheet is spoiled."""
        self.asking_reason = asking
        self.changed.emit()

    def spoil(self, place: int) -> None:
        """The sheet is spoiled for the reason at a place in the list."""
        if 0 <= place < len(REASONS):
            self.pull("spoiled", REASONS[place])

    def take_back(self) -> None:
        """Take the last pull back."""
        self.add("undo")

    def remark(self, text: str) -> None:
        """Write a remark down."""
        state = self.state()
        if text.strip() and state is not None:
            self.add("remark", layer=state.layer, text=text.strip())

    def press(self, hours: float = PRESS_H) -> None:
        """Sheets go under the press."""
        self.add("press", value=hours)

    def log_cutting(self, block: str, hours: float) -> None:
        """A block took so long to cut."""
        project = self._document.project
        if project is None:
            return
        layer = next((n for n, pull in enumerate(project.impressions) if pull.block == block), -1)
        if layer >= 0 and hours > 0:
            self.add("cut", layer=layer, value=hours)

    # The record

    def choose(self, sheet: int, chosen: bool) -> None:
        """A sheet is among the best."""
        self.add("chosen", sheet=sheet, value=1.0 if chosen else 0.0)

    def number_all(self) -> None:
        """Write the numbers on the sheets."""
        record = self.record()
        if record is None or not record.numbers.given:
            self.message.emit(tr("No sheet has come through every layer yet."))
            return
        numbers = (*record.numbers.given, *((sheet, "cancelled") for sheet in record.numbers.cancelled))
        self.book.write(
            lambda _project, _state, at: [Event(at, "numbered", sheet=sheet, text=name) for sheet, name in numbers]
        )

    def begin_anew(self) -> None:
        """Begin another edition: the log so far is put aside under a name with the time, nothing is lost."""
        self.book.begin_anew()
        self.proofs.compared = None

    # The guided run

    def begin_guide(self) -> None:
        """A short run with simulated air, scales and scanner."""
        self.guide = 0
        self.book.begin_practice()

    def guide_on(self) -> None:
        """Do the step that is said, and say the next."""
        project, step = self._document.project, self.guide
        if project is None or step is None:
            return
        if step == 0:
            temperature, humidity = self._air.read()
            self.add("air", value=temperature, also=humidity, text="simulated")
        elif step in (1, 7):
            self.add("ink", layer=max(0, self._layer()), value=self._weigh(project, first=step == 1))
        elif step == 2:
            self.begin_layer(0)
        elif step in (3, 4):
            self.pull("good")
        elif step == 5:
            self.scan_requested.emit()
        elif step == 6:
            self.pull("spoiled", REASONS[0])
        if step + 1 < len(GUIDE):
            self.guide = step + 1
            self.changed.emit()
        else:
            self.leave_guide()

    def leave_guide(self) -> None:
        """Leave practice: what was practised is thrown away."""
        self.guide = None
        self.book.end_practice()
        self.message.emit(tr("Practice is over and thrown away; the record of the edition is as it was."))

    def _layer(self) -> int:
        state = self.state()
        return state.layer if state is not None else 0

    def _weigh(self, project: Project, *, first: bool) -> float:
        """What the scales say has gone: nothing at first, then what three sheets take."""
        proof = self._keeper.proof
        if first or proof is None:
            return self._scales.weigh(0.0)
        area = proof.blocks.areas_mm2[project.number_of(project.impressions[0].block)]
        return self._scales.weigh(ink_needed(area, 3).on_paper_g)
