"""Scans of proofs: how far each pull is out, what the fields came out as, and two proofs side by side."""

from dataclasses import dataclass
from typing import TYPE_CHECKING, ClassVar

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import Part, Progress
from nomos.project import Project
from nomos.work.cut import Cut
from nomos.work.request import Ask, held

if TYPE_CHECKING:
    from nomos.project.register.comparison import Picture
    from nomos.project.register.learning import Learnt
    from nomos.project.register.scan import ScanFound

_PRINTED = ("flat", "inks", "paper", "blocks", "impressions", "register", "kento")


@dataclass(frozen=True)
class Scan:
    """How far every pull is out on a photograph or a scan; by_marks, against : as for `measure_proof`."""

    project: Project
    cut: Cut
    data: bytes
    name: str
    by_marks: bool | None = None
    against: str | None = None
    said: ClassVar[str] = tr("reading the scan")

    def work(self, ask: Ask, progress: Progress) -> "ScanFound":
        """Measure it. Raises BadInput."""
        from nomos.project.register.photograph import measure_proof

        blocks = ask(self.cut, Part(progress, 0.0, 0.2))
        progress.report(0.22, self.said)
        scan = pixels_of(self.data, self.name)
        rest = Part(progress, 0.25, 1.0)
        return measure_proof(self.project, blocks, scan, by_marks=self.by_marks, against=self.against, progress=rest)


@dataclass(frozen=True)
class ScanTried:
    """The sheet as it is tried on the screen, on the simulated scanner, and read."""

    project: Project
    cut: Cut
    said: ClassVar[str] = tr("reading the scan")

    def work(self, ask: Ask, progress: Progress) -> "ScanFound":
        """Print, scan and measure it. Raises BadInput."""
        from nomos.devices import Scanner
        from nomos.project.register.photograph import measure_proof
        from nomos.project.register.scan import printed_sheet
        from nomos.project.register.system import motion_of

        blocks = ask(self.cut, Part(progress, 0.0, 0.1))
        progress.report(0.1, tr("scanning a sheet"))
        motions = [motion_of(self.project, pull) for pull in self.project.impressions]
        page = printed_sheet(self.project, blocks, motions)
        progress.report(0.15, self.said)
        scan = Scanner(turn_deg=0.7, blur_px=0.8, border_px=80, noise=2.0).scan(
            page, progress=Part(progress, 0.15, 0.2)
        )
        return measure_proof(self.project, blocks, scan, progress=Part(progress, 0.2, 1.0))


@dataclass(frozen=True)
class Learn:
    """What a scanned proof says of inks and trapping."""

    project: Project
    cut: Cut
    data: bytes
    name: str
    said: ClassVar[str] = tr("reading the proof")

    def work(self, ask: Ask, progress: Progress) -> "Learnt":
        """Read the fields and explain them. Raises BadInput."""
        from nomos.project.register.learning import Learnt, explain
        from nomos.project.register.proof_fields import read_proof

        blocks = ask(self.cut, Part(progress, 0.0, 0.1))
        picture = pixels_of(self.data, self.name)
        fields, places = read_proof(self.project, blocks, picture, progress=Part(progress, 0.1, 0.7))
        causes = explain(self.project, fields, progress=Part(progress, 0.7, 1.0))
        return Learnt(self.name, fields, causes, places)


@dataclass(frozen=True, eq=False)
class SheetRead:
    """A sheet of a series: how far its pulls are out, and how strong its inks are, 1 as planned."""

    found: "ScanFound"
    strengths: dict[str, float]


@dataclass(frozen=True)
class ReadSheet:
    """A sheet of a series, read for register and strength at once; against : as for `measure_proof`."""

    project: Project
    cut: Cut
    data: bytes
    name: str
    against: str | None = None
    said: ClassVar[str] = tr("reading the proof")

    def work(self, ask: Ask, progress: Progress) -> SheetRead:
        """Lay it on the print once, and read both. Raises BadInput."""
        from nomos.project.register.learning import strengths_of
        from nomos.project.register.photograph import measure_proof, placed_photograph
        from nomos.project.register.proof_fields import read_proof

        blocks = ask(self.cut, Part(progress, 0.0, 0.1))
        picture = pixels_of(self.data, self.name)
        placed = placed_photograph(self.project, blocks, picture, Part(progress, 0.1, 0.8))
        found = measure_proof(self.project, blocks, picture, by_marks=False, against=self.against, placed=placed)
        progress.report(0.85, self.said)
        fields = read_proof(self.project, blocks, picture, placed=placed, progress=Part(progress, 0.85, 0.95)).fields
        return SheetRead(found, strengths_of(placed.project, fields, progress=Part(progress, 0.95, 1.0)))


@dataclass(frozen=True)
class Planned:
    """The sheet as it is planned, as proofs are compared with it."""

    project: Project
    cut: Cut
    said: ClassVar[str] = tr("laying proofs side by side")

    def work(self, ask: Ask, progress: Progress) -> "Picture":
        """Print it."""
        from nomos.project.register.comparison import planned

        return planned(self.project, ask(self.cut, progress))


def pixels_of(data: bytes, name: str) -> "Picture":
    """The pixels of a scan. Raises BadInput."""
    from nomos.design import read_picture

    return read_picture(data, name).rgb


def scan_of(
    project: Project, cut: Cut, data: bytes, name: str, by_marks: bool | None = None, against: str | None = None
) -> Scan:
    """The request for a scan of a project's sheet."""
    if not project.impressions:
        raise BadInput(tr("There is nothing to print yet: open a picture and flatten it first."))
    return Scan(held(project, *_PRINTED), cut, data, name, by_marks, against)


def scan_tried_of(project: Project, cut: Cut) -> ScanTried:
    """The request for a simulated scan of a project's sheet."""
    return ScanTried(held(project, *_PRINTED), cut)


def learn_of(project: Project, cut: Cut, data: bytes, name: str) -> Learn:
    """The request for what a scanned proof of a project teaches."""
    return Learn(held(project, *_PRINTED), cut, data, name)


def sheet_read_of(project: Project, cut: Cut, data: bytes, name: str, against: str | None = None) -> ReadSheet:
    """The request for a photograph of one sheet of a series."""
    return ReadSheet(held(project, *_PRINTED), cut, data, name, against)


def planned_of(project: Project, cut: Cut) -> Planned:
    """The request for a project's planned sheet as a picture."""
    return Planned(held(project, *_PRINTED), cut)
