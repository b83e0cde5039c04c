"""Keeps the proof that belongs to the project: cuts, lays and colours again only what has changed."""

from dataclasses import dataclass, replace
from typing import TypeVar

import numpy as np
from numpy.typing import NDArray
from PyQt6.QtCore import QElapsedTimer, QObject, QTimer, pyqtSignal

from nomos.base.language import tr
from nomos.project import CutBlocks, LaidSheet, Project, Proof, Spot, coarse, lay_sheet, prove, sheet_labs
from nomos.project.sheet.laying import ToLay, lay_one_more
from nomos.project.sheet.masks import cut_alike
from nomos.ui.frame.document import Document, design_of
from nomos.ui.frame.jobs import FIRST, QUIET, Asker, JobRunner
from nomos.work.cut import Bare, Cut, Lay, Sheet, cut_of, sheet_of
from nomos.work.freedom import Freedom, LookForFreedom, freedom_request
from nomos.work.inking import LookAtInking, inking_of
from nomos.work.joins import Joins, JoinsPage, joins_of
from nomos.work.request import Request
from nomos.work.review import LookClosely, look_of, slow_findings

A = TypeVar("A")

# While a hand drags a block the sheet is laid at this size, about that of the view: 10 ms.
_DRAG_PIXELS = 350_000
# What is not needed to see where a hand drags something is made up for when it rests this long, or at
# least so often.
_REST_MS, _LATEST_MS = 150, 1000


@dataclass(frozen=True, eq=False)
class _Laid:
    """A sheet that can be coloured, and what it was laid for; spots once it is laid in full."""

    lay: Lay
    blocks: CutBlocks
    laid: LaidSheet
    spots: tuple[Spot, ...] | None


@dataclass(frozen=True, eq=False)
class FirstPrint:
    """A sheet laid coarsely and its colours, to look at until the proof is there."""

    laid: LaidSheet
    labs: NDArray[np.float64]


class ProofKeeper(QObject):
    """Follows the document. Inks and order are answered at once, masks in the background."""

    changed = pyqtSignal()
    failed = pyqtSignal(str)

    def __init__(self, document: Document, runner: JobRunner) -> None:
        super().__init__()
        self._document, self.runner = document, runner
        self._sheets = Asker(runner, "proof", self.failed.emit, said=tr("laying the sheet"), rank=FIRST)
        self._looks = Asker(runner, "check", self.failed.emit, rank=QUIET)
        self._inkings = Asker(runner, "inking", self.failed.emit, rank=QUIET)
        self._frees = Asker(runner, "free", self.failed.emit, said=LookForFreedom.said)
        self._joinings = Asker(runner, "joins", self.failed.emit, said=Joins.said)
        self._joins: tuple[object, JoinsPage] | None = None
        self._free: tuple[object, Freedom] | None = None
        self._laid: _Laid | None = None
        self._wanted: Bare | None = None
        self._look: LookClosely | None = None
        self._inking: LookAtInking | None = None
        self._coarse: tuple[CutBlocks, CutBlocks] | None = None
        self._rest: tuple[tuple[ToLay, ...], LaidSheet] | None = None
        self.cut: Cut | None = None
        self.proof: Proof | None = None
        self.first: FirstPrint | None = None
        """What is seen of a design while there is no proof of it."""
        self.rough = False
        """Whether a hand is dragging: colours are right, findings and the fine page follow."""
        self._still = QTimer(self)
        self._still.setSingleShot(True)
        self._still.setInterval(_REST_MS)
        self._still.timeout.connect(self._make_up)
        self._dragged = QElapsedTimer()
        document.changed.connect(self._follow_hand)

    def close(self) -> None:
        """Make nothing up any more."""
        self._still.stop()

    def free_of(self, pull: str) -> Freedom | None:
        """Where a pull's block is free; asked for when it is not known, and what was known until then."""
        project, proof = self._document.project, self.proof
        if project is None or self.cut is None or proof is None or pull not in proof.laid.pulls:
            return None
        # The same pull of another print is another one.
        key = (project.source, pull)
        if not self.rough:
            known = self._known(self._frees, freedom_request(project, self.cut, pull))
            self._free = self._free if known is None else (key, known)
        return self._free[1] if self._free is not None and self._free[0] == key else None

    def joins(self) -> JoinsPage | None:
        """How the colours join; asked for when it is not known, and what was known until then."""
        project = self._document.project
        if project is None or self.cut is None or self.proof is None:
            return None
        if not self.rough:
            known = self._known(self._joinings, joins_of(project, self.cut))
            self._joins = self._joins if known is None else (self.cut.masks.labels_png, known)
        return self._joins[1] if self._joins and self._joins[0] == self.cut.masks.labels_png else None

    def _known(self, asker: Asker, request: Request[A]) -> A | None:
        known = self.runner.answers.known(request)
        if known is None:
            asker.ask(request, lambda _: self.changed.emit())
        return known

    def _make_up(self) -> None:
        """Do what was left while a hand was dragging."""
        if self.rough:
            self.rough = False
            self.runner.hold_quiet(False)
        self._follow()

    def _follow_hand(self) -> None:
        """Follow a change; while a hand drags, no more than it takes to see what the change does."""
        if not (self._document.dragging and self._colour_roughly()):
            self._still.stop()
            self._make_up()

    def _colour_roughly(self) -> bool:
        """Colours of the sheet, laid coarsely; whether there is one to begin with."""
        project, have, proof = self._document.project, self._laid, self.proof
        if project is None or have is None or proof is None:
            return False
        if {pull.id for pull in project.impressions} != {pull.id for pull in proof.project.impressions}:
            # Lists and ladder do not follow a drag: of other pulls everything is shown anew.
            return False
        # Inks and places change how blocks trap, if at all, only when the hand rests.
        alike = cut_alike(project, proof.project)
        cut = have.lay.cut if alike else cut_of(project, self._document.assets)
        if have.lay.cut != cut:
            return False
        wanted = sheet_of(project, cut)
        for asker in (self._sheets, self._looks, self._inkings):
            asker.cancel()
        if have.lay != wanted.lay:
            have = self._lay_coarsely(have, wanted)
        labs = sheet_labs(project, have.laid)
        # Figures follow when the hand rests, as all that is said of the sheet.
        self.proof = replace(proof, project=project, laid=have.laid, labs=labs, matches=())
        self.rough = True
        self.runner.hold_quiet(True)
        if not self._still.isActive():
            self._dragged.start()
        if not self._still.isActive() or self._dragged.elapsed() < _LATEST_MS - _REST_MS:
            self._still.start()
        self.changed.emit()
        return True

    def _follow(self) -> None:
        project = self._document.project
        self.cut = cut_of(project, self._document.assets) if project else None
        if project is None or self.cut is None:
            self._sheets.cancel()
            self._looks.cancel()
            self._inkings.cancel()
            self._frees.cancel()
            self._joinings.cancel()
            self._free = self._joins = None
            self._laid, self.proof, self._wanted, self._look, self._inking = None, None, None, None, None
            self.first = self._coarse = self._rest = None
            self.changed.emit()
            return
        if self.proof is not None and design_of(self.proof.project) != design_of(project):
            # What was opened before is not seen in the place of what is opened now.
            self.proof = None
        wanted, have = sheet_of(project, self.cut), self._laid
        self._wanted, self._look = wanted, look_of(project, self.cut)
        self._inking = inking_of(project, self.cut) if project.impressions else None
        if have is None or have.lay != wanted.lay or have.spots is None:
            if have is not None and have.lay.cut == self.cut and have.lay != wanted.lay:
                self._lay_coarsely(have, wanted)
            self.first = None
            self._sheets.ask(
                wanted, lambda sheet: self._arrived(wanted, sheet),
                (lambda sheet: self._look_first(project, sheet)) if self.proof is None else None,
            )  # fmt: skip
            if not self._sheets.busy:
                # It was known, and has been shown.
                return
        else:
            self._sheets.cancel()
        self._look_closely()
        self._colour()

    def _lay_coarsely(self, have: _Laid, wanted: Bare) -> _Laid:
        if self._coarse is None or self._coarse[0] is not have.blocks:
            self._coarse = (have.blocks, coarse(have.blocks, _DRAG_PIXELS))
            self._rest = None
        blocks, pulls = self._coarse[1], wanted.lay.pulls
        moved = [pull for pull in pulls if pull not in have.lay.pulls]
        if len(moved) == 1:
            # A hand moves one pull many times: the others are laid once.
            others = tuple(pull for pull in pulls if pull != moved[0])
            if self._rest is None or self._rest[0] != others:
                self._rest = (others, lay_sheet(blocks, others))
            laid = lay_one_more(blocks, self._rest[1], moved[0])
        else:
            laid = lay_sheet(blocks, pulls)
        self._laid = _Laid(wanted.lay, have.blocks, laid, None)
        return self._laid

    def _look_first(self, project: Project, sheet: Sheet) -> None:
        self.first = FirstPrint(sheet.laid, sheet_labs(project, sheet.laid))
        self.changed.emit()

    def _arrived(self, wanted: Bare, sheet: Sheet) -> None:
        self.first = None
        self._laid = _Laid(wanted.lay, sheet.blocks, sheet.laid, sheet.bare)
        self._colour()
        self._look_closely()

    def _colour(self) -> None:
        """Colours, matches and findings of the sheet as laid: some tables of a few dozen rows."""
        project, have = self._document.project, self._laid
        if project is None or have is None or self._wanted is None:
            return
        # A sheet laid from another flat design says nothing of this one, and one that is not laid as the
        # project is now neither: the old proof stands until the new one is there.
        if have.lay == self._wanted.lay:
            proof = prove(project, have.blocks, have.laid, have.spots or ())
            known = self.runner.answers.known
            close = known(self._look) if self._look is not None else None
            inking = known(self._inking) if self._inking is not None else None
            found = (*proof.findings, *slow_findings(project, close, inking))
            self.proof = replace(proof, findings=found, close=close, inking=inking)
        self.changed.emit()

    def _look_closely(self) -> None:
        """What is too fine to cut: a few seconds of work that nothing else waits for."""
        if self._laid is None or self._laid.spots is None or self._look is None:
            return
        if self.runner.answers.known(self._look) is None:
            self._looks.ask(self._look, lambda _: self._colour())
        if self._inking is not None and self.runner.answers.known(self._inking) is None:
            self._inkings.ask(self._inking, lambda _: self._colour())
