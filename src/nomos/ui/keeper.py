"""Keeps the proof that belongs to the project: cuts, lays and colours again only what has changed."""

from dataclasses import dataclass, replace

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.progress import Progress
from nomos.project import (
    CutBlocks,
    LaidSheet,
    MaskRequest,
    Project,
    Proof,
    Spot,
    ToLay,
    bare_places,
    coarse,
    cut_blocks,
    impressions_to_lay,
    lay_sheet,
    mask_request,
    prove,
)
from nomos.project.closelook import CloseLook, close_findings, look_closely
from nomos.ui.document import Document
from nomos.ui.jobs import JobRunner

# While a hand drags a block the sheet is laid at this size: about 10 ms.
_DRAG_PIXELS = 700_000

_Pulls = tuple[ToLay, ...]


# What the answers of a close look depend on, beside the blocks.
_Limits = tuple[object, ...]


def _limits(project: Project) -> _Limits:
    shop = project.workshop
    return (
        project.line_mm, project.tool_mm, project.tolerance_mm, shop.clearance_mm, shop.most_zones,
        shop.neck_mm, shop.cut_out, tuple((pull.id, pull.block) for pull in project.impressions),
    )  # fmt: skip


@dataclass(frozen=True, eq=False)
class _Laid:
    request: MaskRequest
    pulls: _Pulls
    blocks: CutBlocks
    laid: LaidSheet
    exact: bool


class ProofKeeper(QObject):
    """Follows the document. Inks and order are answered at once, masks in the background."""

    changed = pyqtSignal()
    failed = pyqtSignal(str)

    def __init__(self, document: Document, runner: JobRunner) -> None:
        super().__init__()
        self._document, self._runner = document, runner
        self._laid: _Laid | None = None
        self._coarse: tuple[CutBlocks, CutBlocks] | None = None
        self._spots: tuple[Spot, ...] = ()
        self._waiting: tuple[MaskRequest, _Pulls] | None = None
        self._fine: tuple[CutBlocks, _Limits, CloseLook] | None = None
        self._looking: tuple[CutBlocks, _Limits] | None = None
        self.proof: Proof | None = None
        document.changed.connect(self._follow)

    def _follow(self) -> None:
        project = self._document.project
        request = mask_request(project, self._document.assets) if project else None
        if project is None or request is None:
            self._runner.cancel("proof")
            self._laid, self.proof, self._waiting = None, None, None
            self.changed.emit()
            return
        pulls = impressions_to_lay(project)
        have = self._laid
        if have is None or not have.exact or (have.request, have.pulls) != (request, pulls):
            if have is not None and have.request == request and have.pulls != pulls:
                self._lay_coarsely(have, pulls)
            if self._waiting != (request, pulls):
                self._lay_exactly(request, pulls)
        elif self._waiting is not None:
            self._waiting = None
            self._runner.cancel("proof")
        else:
            self._look_closely()
        self._colour()

    def _lay_coarsely(self, have: _Laid, pulls: _Pulls) -> None:
        if self._coarse is None or self._coarse[0] is not have.blocks:
            self._coarse = (have.blocks, coarse(have.blocks, _DRAG_PIXELS))
        laid = lay_sheet(self._coarse[1], pulls)
        self._laid = _Laid(have.request, pulls, have.blocks, laid, exact=False)
        self._spots = ()

    def _lay_exactly(self, request: MaskRequest, pulls: _Pulls) -> None:
        have = self._laid
        blocks = have.blocks if have is not None and have.request == request else None
        by_hand = have is not None and replace(have.request, drawn=()) == replace(request, drawn=())
        earlier = have.blocks if have is not None and by_hand else None
        project = self._document.project
        assert project is not None
        self._waiting = (request, pulls)

        def work(progress: Progress) -> tuple[_Laid, tuple[Spot, ...]]:
            cut = blocks or cut_blocks(request, earlier=earlier, progress=progress)
            # Measured here, or the window would wait for it.
            _ = cut.borders, cut.areas_mm2
            progress.report(0.9, "laying the sheet")
            laid = lay_sheet(cut, pulls)
            progress.report(0.98, "laying the sheet")
            return _Laid(request, pulls, cut, laid, exact=True), bare_places(project, cut, laid)

        self._runner.run("proof", work, self._arrived, self._not_arrived)

    def _arrived(self, result: tuple[_Laid, tuple[Spot, ...]]) -> None:
        self._laid, self._spots = result
        self._waiting = None
        self._colour()
        self._look_closely()

    def _not_arrived(self, problem: str) -> None:
        self._waiting = None
        self.failed.emit(problem)

    def _colour(self) -> None:
        """Colours, matches and findings of the sheet as laid: some tables of a few dozen rows."""
        project, have = self._document.project, self._laid
        if project is None or project.flat is None or have is None:
            return
        # A sheet laid from another flat design says nothing of this one: the old proof stands until
        # the new one is there.
        if have.request.labels_png != self._document.assets[project.flat.labels]:
            self.changed.emit()
            return
        if have.pulls == impressions_to_lay(project):
            self.proof = prove(project, have.blocks, have.laid, self._spots)
            fine = self._fine
            if fine is not None and fine[0] is have.blocks:
                found = (*self.proof.findings, *close_findings(project, fine[2]))
                self.proof = replace(self.proof, findings=found, close=fine[2])
        self.changed.emit()

    def _look_closely(self) -> None:
        """What is too fine to cut: a few seconds of work that nothing else waits for."""
        project, have = self._document.project, self._laid
        if project is None or have is None:
            return
        request, blocks, laid, limits = have.request, have.blocks, have.laid, _limits(project)
        looked = self._fine is not None and self._fine[0] is blocks and self._fine[1] == limits
        looking = self._looking is not None and self._looking[0] is blocks and self._looking[1] == limits
        if looked or (looking and "check" in self._runner.busy()):
            return
        self._looking = (blocks, limits)

        def work(progress: Progress) -> CloseLook:
            return look_closely(project, request, blocks, laid, progress=progress)

        def take(close: CloseLook) -> None:
            self._fine = (blocks, limits, close)
            self._colour()

        self._runner.run("check", work, take, self.failed.emit)
