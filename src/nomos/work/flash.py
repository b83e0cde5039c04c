"""How sheets come out within the budget of error: what flashes, and pictures of plausible ones."""

from dataclasses import dataclass
from typing import TYPE_CHECKING, ClassVar

from nomos.base.language import tr
from nomos.base.progress import Part, Progress
from nomos.project import Project
from nomos.work.cut import Cut
from nomos.work.request import Ask, held

if TYPE_CHECKING:
    from nomos.project.register.magnified import Magnified
    from nomos.project.register.practice import Exercise, Picture
    from nomos.proof.flashing import Flashing

_PRINTED = (
    "flat", "inks", "paper", "blocks", "impressions", "register", "kento", "workshop.carried",
    "seam_de00", "trap_mm", "tolerance_mm",
)  # fmt: skip


@dataclass(frozen=True)
class Flash:
    """What flashes on some plausible sheets, along borders or laid in full."""

    project: Project
    cut: Cut
    sheets: int
    seed: int = 0
    exact: bool = False
    said: ClassVar[str] = tr("printing plausible sheets")

    def work(self, ask: Ask, progress: Progress) -> "Flashing":
        """Print them. Raises ProjectError."""
        from nomos.project.register.tolerance import flash_exact, flash_fast

        blocks = ask(self.cut, Part(progress, 0.0, 0.2))
        rest = Part(progress, 0.2, 1.0)
        if self.exact:
            return flash_exact(self.project, blocks, self.sheets, self.seed, progress=rest)
        return flash_fast(self.project, blocks, self.sheets, self.seed, progress=rest)


@dataclass(frozen=True)
class Grid:
    """Nine plausible sheets beside each other."""

    project: Project
    cut: Cut
    seed: int
    said: ClassVar[str] = tr("printing plausible sheets")

    def work(self, ask: Ask, progress: Progress) -> "Picture":
        """Print them. Raises ProjectError."""
        from nomos.project.register.plausible import plausible_grid

        blocks = ask(self.cut, Part(progress, 0.0, 0.2))
        return plausible_grid(self.project, blocks, self.seed, progress=Part(progress, 0.2, 1.0))


@dataclass(frozen=True)
class OneSheet:
    """One of a dozen plausible sheets at full size."""

    project: Project
    cut: Cut
    number: int
    said: ClassVar[str] = tr("printing a plausible sheet")

    def work(self, ask: Ask, progress: Progress) -> "Picture":
        """Print it. Raises ProjectError."""
        from nomos.project.register.plausible import plausible_sheet

        blocks = ask(self.cut, Part(progress, 0.0, 0.5))
        progress.report(0.6, self.said)
        return plausible_sheet(self.project, blocks, self.number)


@dataclass(frozen=True)
class Magnify:
    """A place from close by, on a sheet that is worse there than most."""

    project: Project
    cut: Cut
    place_mm: tuple[float, float]
    said: ClassVar[str] = tr("printing a plausible sheet")

    def work(self, ask: Ask, progress: Progress) -> "Magnified":
        """Print it. Raises ProjectError."""
        from nomos.project.register.magnified import magnify

        blocks = ask(self.cut, Part(progress, 0.0, 0.5))
        progress.report(0.6, self.said)
        return magnify(self.project, blocks, self.place_mm)


@dataclass(frozen=True)
class Practise:
    """A proof with faults to find, always the same for its number."""

    project: Project
    cut: Cut
    number: int
    faults: int = 1
    said: ClassVar[str] = tr("making a proof to read")

    def work(self, ask: Ask, progress: Progress) -> "Exercise":
        """Print it. Raises ProjectError."""
        from nomos.project.register.practice import make_exercise

        blocks = ask(self.cut, Part(progress, 0.0, 0.2))
        progress.report(0.3, self.said)
        return make_exercise(self.project, blocks, self.number, self.faults)


def flash_of(project: Project, cut: Cut, sheets: int | None = None, seed: int = 0, *, exact: bool = False) -> Flash:
    """The request for what flashes on a project's sheets; None takes the usual number of them."""
    from nomos.project.register.tolerance import EXACT_SHEETS, FAST_SHEETS

    count = sheets if sheets is not None else EXACT_SHEETS if exact else FAST_SHEETS
    return Flash(held(project, *_PRINTED), cut, count, seed, exact)


def grid_of(project: Project, cut: Cut, seed: int) -> Grid:
    """The request for nine plausible sheets of a project."""
    return Grid(held(project, *_PRINTED), cut, seed)


def one_sheet_of(project: Project, cut: Cut, number: int) -> OneSheet:
    """The request for one of a dozen plausible sheets of a project."""
    return OneSheet(held(project, *_PRINTED), cut, number)


def magnify_of(project: Project, cut: Cut, place_mm: tuple[float, float]) -> Magnify:
    """The request for a place of a project's print from close by."""
    return Magnify(held(project, *_PRINTED), cut, place_mm)


def practise_of(project: Project, cut: Cut, number: int, faults: int = 1) -> Practise:
    """The request for an exercise on a project."""
    return Practise(held(project, *_PRINTED), cut, number, faults)
