"""The bench: every event a line on disk at once, and the guided run with simulated devices."""

from collections.abc import Callable
from dataclasses import dataclass
from datetime import datetime
from pathlib import Path
from typing import TYPE_CHECKING

from platformdirs import user_state_path
from PyQt6.QtCore import QObject, pyqtSignal

from nomos.devices import Scales, ThermoHygrometer
from nomos.edition import (
    REASONS,
    EditionState,
    Event,
    EventKind,
    append_event,
    now_text,
    read_log,
    replay,
    set_aside,
)
from nomos.edition.amounts import ink_needed
from nomos.errors import BadInput
from nomos.progress import Progress
from nomos.project import Project
from nomos.project.editions import Record, log_path, record_of
from nomos.project.reduction import is_reduction
from nomos.ui.document import Document
from nomos.ui.jobs import JobRunner
from nomos.ui.keeper import ProofKeeper

if TYPE_CHECKING:
    from nomos.project.comparing import Comparison, Picture

# How long sheets lie under the press to be flat; chosen by us, no source.
PRESS_H = 24.0
# The colour is followed over so many of the last proofs.
_MOST_DRIFT = 6
# The guided run: what is said before each step. The last begins anew.
GUIDE = (
    "Read the air of the workshop.",
    "Weigh the ink on the slab.",
    "Begin the first layer.",
    "Pull the first sheet, on a bad one.",
    "Pull a second sheet and look at it.",
    "Scan it: is the block in register?",
    "Spoil one: it slipped.",
    "Weigh the ink again.",
    "That was a layer. Leave the guide.",
)


@dataclass(frozen=True, eq=False)
class Compared:
    """A proof beside the plan (-1) or another proof, and how far apart they are on the whole."""

    proof: int
    against: int
    how: "Comparison"
    picture: "Picture"
    mean_de00: float
    px_per_mm: float
    drift: str = ""


class Bencher(QObject):
    """Keeps the log of the edition."""

    changed = pyqtSignal()
    told = pyqtSignal(str)
    scan_asked = pyqtSignal()
    """The guided run scans the sheet on the simulated scanner."""

    def __init__(
        self,
        document: Document,
        runner: JobRunner,
        keeper: ProofKeeper,
        now: Callable[[], datetime] | None = None,
    ) -> None:
        super().__init__()
        self._document, self._runner, self._keeper = document, runner, keeper
        self._now = now or datetime.now
        self._events: tuple[Event, ...] | None = None
        self._read_from: Path | None = None
        self._kept_in: Path | None = None
        self.asking_reason = False
        self.guide: int | None = None
        self.compared: Compared | None = None
        self._air, self._scales = ThermoHygrometer(), Scales()
        document.changed.connect(self._project_changed)

    def _project_changed(self, before: Project | None, after: Project | None) -> None:
        if before is None or after is None or before.source != after.source:
            self._events, self.guide, self.asking_reason, self.compared = None, None, False, None

    def keep_in(self, folder: Path | None) -> None:
        """Keep the log in a folder of its own, or again beside the project."""
        self._kept_in = folder
        self._events = None
        self.changed.emit()

    @property
    def path(self) -> Path:
        """Where the log is: beside the project, or kept for it while it has no file."""
        if self._kept_in is not None:
            return self._kept_in / "print.bench.jsonl"
        if self._document.path is not None:
            return log_path(self._document.path)
        # Imported here: what writes files is not needed before a project is printed.
        from nomos.formats.files import file_name

        title = self._document.project.title if self._document.project else "print"
        return user_state_path("nomos") / "bench" / f"{file_name(title)}.bench.jsonl"

    def events(self) -> tuple[Event, ...]:
        """All events, read once."""
        if self._events is None or self._read_from != self.path:
            self._read_from = self.path
            try:
                self._events = read_log(self.path)
                if aside := set_aside(self.path):
                    what = "line makes" if aside == 1 else "lines make"
                    self.told.emit(f"{aside} {what} no sense in {self.path.name}; set aside, and kept there.")
            except BadInput as error:
                self._events = ()
                self.told.emit(str(error))
        return self._events

    def state(self) -> EditionState | None:
        """What the log comes to; None without a project."""
        project = self._document.project
        if project is None or not project.impressions:
            return None
        return replay(self.events(), len(project.impressions), project.workshop.sheets)

    def record(self) -> Record | None:
        """The record as far as it goes; None without a project, or where the log cannot be read."""
        project = self._document.project
        if project is None or not project.impressions:
            return None
        try:
            return record_of(project, self.path)
        except BadInput:
            return None

    def add(self, kind: EventKind, **figures: object) -> bool:
        """Put an event on disk, and then count it; whether it is there."""
        before = self.events()
        event = Event(now_text(self._now()), kind, **figures)  # type: ignore[arg-type] # its fields by name
        try:
            append_event(self.path, event)
        except BadInput as error:
            self.told.emit(str(error))
            return False
        self._events = (*before, event)
        self.changed.emit()
        return True

    # What hands do

    def begin_layer(self, layer: int | None = None) -> None:
        """Begin a layer, the next one if none is named."""
        state = self.state()
        if state is None:
            return
        wanted = state.layer + 1 if layer is None else layer
        if not 0 <= wanted < state.layers:
            self.told.emit("Every layer is printed: choose and number the sheets.")
            return
        project = self._document.project
        assert project is not None
        pull = project.impressions[wanted]
        if wanted > 0 and is_reduction(project):
            self.add("state", layer=wanted, text=f"cut further for {project.block(pull.block).name}")
        inks = dict.fromkeys(project.ink(zone.ink).name for zone in pull.zones)
        self.add("layer", layer=wanted, text=", ".join(inks))

    def pull(self, kind: EventKind, reason: str = "") -> None:
        """The sheet at hand came out good, spoiled or repaired."""
        state = self.state()
        if state is None:
            return
        if state.layer < 0:
            self.told.emit("Begin the layer first.")
            return
        queue = state.queue()
        if not queue:
            self.told.emit("Every sheet has this layer: begin the next one.")
            return
        self.asking_reason = False
        self.add(kind, layer=state.layer, sheet=queue[0], text=reason)

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

    # Proofs as pictures

    @property
    def folder(self) -> Path:
        """Where pictures of proofs lie, beside the log."""
        return self.path.with_suffix(".proofs")

    def add_picture(self, path: Path) -> None:
        """Keep a picture of a proof, straight and to scale."""
        project, state = self._document.project, self.state()
        if project is None or state is None:
            return
        folder, place, layer = self.folder, len(state.pictures) + 1, state.layer
        name = f"proof-{place:03d}.png"

        def work(progress: Progress) -> str:
            from nomos.design import read_picture
            from nomos.formats import png, writing_into
            from nomos.formats.files import write_file
            from nomos.project.comparing import PX_PER_MM, straightened

            try:
                data = path.read_bytes()
            except OSError as error:
                raise BadInput(f"{path.name} cannot be read: {error.strerror or error}.") from None
            progress.report(0.2, "reading the proof")
            sheet = straightened(project, read_picture(data, path.name).rgb)
            with writing_into(folder):
                folder.mkdir(parents=True, exist_ok=True)
                return write_file(folder, name, png(sheet, PX_PER_MM))

        def take(kept: str) -> None:
            if self.add("picture", layer=layer, text=kept):
                self.compare_with(len(self.proofs()) - 1)

        self._runner.run("scan", work, take, self.told.emit)

    def proofs(self) -> tuple[str, ...]:
        """Names of the pictures that are kept, in their order."""
        state = self.state()
        return tuple(event.text for event in state.pictures) if state is not None else ()

    def compare_with(self, proof: int, against: int = -1, how: "Comparison" = "split") -> None:
        """Lay a proof beside the plan (-1) or another proof."""
        project, laid = self._document.project, self._keeper.proof
        names = self.proofs()
        if project is None or laid is None or not 0 <= proof < len(names) or against >= len(names):
            return
        folder, blocks = self.folder, laid.blocks

        def work(progress: Progress) -> Compared:
            from nomos.design import read_picture
            from nomos.project.comparing import PX_PER_MM, colour_drift, compared, mean_apart, planned

            def kept(place: int) -> "Picture":
                if place < 0:
                    return planned(project, blocks)
                return read_picture((folder / names[place]).read_bytes(), names[place]).rgb

            progress.report(0.2, "laying proofs side by side")
            try:
                one, other = kept(against), kept(proof)
            except OSError as error:
                raise BadInput(f"A picture of a proof cannot be read: {error.strerror or error}.") from None
            try:
                apart = [mean_apart(kept(-1), kept(n)) for n in range(len(names))[-_MOST_DRIFT:]]
            except OSError:
                # One of the others is gone: what the two show is still there.
                apart = []
            picture = compared(one, other, how)
            drift = colour_drift(apart)
            return Compared(proof, against, how, picture, mean_apart(one, other), PX_PER_MM, drift)

        def take(found: Compared) -> None:
            self.compared = found
            self.changed.emit()

        self._runner.run("compare", work, take, self.told.emit)

    # The record

    def choose(self, sheet: int, chosen: bool) -> None:
        """A sheet is among the best."""
        self.add("chosen", sheet=sheet, value=1.0 if chosen else 0.0)

    def number_all(self) -> None:
        """Write the numbers on the sheets."""
        record = self.record()
        if record is None or not record.numbers.given:
            self.told.emit("No sheet has come through every layer yet.")
            return
        for sheet, name in record.numbers.given:
            self.add("numbered", sheet=sheet, text=name)
        for sheet in record.numbers.cancelled:
            self.add("numbered", sheet=sheet, text="cancelled")

    def begin_anew(self) -> None:
        """Begin another edition: the log so far is put aside under a name with the time, nothing is lost."""
        path = self.path
        if not path.exists():
            return
        aside = path.with_name(f"{path.stem}-{self._now():%Y%m%d-%H%M%S}{path.suffix}")
        try:
            path.rename(aside)
        except OSError as error:
            self.told.emit(f"{path.name} cannot be put aside: {error.strerror or error}.")
            return
        self._events, self.compared = None, None
        self.told.emit(f"A new edition begins; the record so far is kept as {aside.name}.")
        self.changed.emit()

    # The guided run

    def begin_guide(self) -> None:
        """A short run with simulated air, scales and scanner."""
        self.guide = 0
        self.changed.emit()

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
            self.scan_asked.emit()
        elif step == 6:
            self.pull("spoiled", REASONS[0])
        self.guide = step + 1 if step + 1 < len(GUIDE) else None
        self.changed.emit()

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
