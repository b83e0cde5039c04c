"""Blocks changed by hand: touched, simplified, brought in and sent out."""

from dataclasses import replace

from nomos.base.language import tr, within
from nomos.base.progress import Progress
from nomos.base.units import length_text, number
from nomos.project import Project, Proof, digest, mask_to_png
from nomos.project.blocks.edits import with_drawn
from nomos.project.blocks.fitting import fitted_masks
from nomos.project.check.cutting import simpler_block
from nomos.separation import Mask
from nomos.separation.freedom import Simpler
from nomos.separation.touch import Touch, touched
from nomos.ui.frame.editor import Editor
from nomos.ui.frame.jobs import Asker, JobRunner
from nomos.ui.frame.keeper import ProofKeeper
from nomos.ui.frame.questions import Questions
from nomos.ui.frame.station_editor import StationEditor, dropped


class MaskEditor(StationEditor):
    """Makes masks of the chosen block and lays them beside the project."""

    def __init__(self, editor: Editor, runner: JobRunner, keeper: ProofKeeper, questions: Questions) -> None:
        super().__init__(editor, runner, keeper, questions)
        self._simplify = Asker(runner, "simplify", self.message.emit, said=tr("simplifying a block"))
        self._files = Asker(runner, "blocks", self.message.emit, said=tr("writing the blocks"), outlives=True)
        self._reading = Asker(runner, tr("blocks in"), self.message.emit, said=tr("reading the blocks"))

    def _at_hand(self) -> tuple[Project, Proof, str] | None:
        """Project, its proof and the chosen impression, once all three are there."""
        project, proof = self._document.project, self._keeper.proof
        if project is None or proof is None or proof.project is not project:
            return None
        if self._editor.state.pull is None:
            self.message.emit(tr("Choose a block first, on the ladder or in the list."))
            return None
        return project, proof, self._editor.state.pull

    def touch(self, touch: Touch) -> None:
        """Change the chosen block by a stroke; its points are on the sheet, mm."""
        if (found := self._at_hand()) is None:
            return
        project, proof, pull = found
        left, top = project.image.left, project.image.top
        moved = replace(touch, points=tuple((x - left, y - top) for x, y in touch.points))
        block = project.impression(pull).block
        mask = touched(proof.blocks.masks[project.number_of(block)], moved, proof.blocks.px_per_mm)
        self._take(tr("Touch by hand"), {block: mask})

    def _take(self, text: str, masks: dict[str, Mask]) -> None:
        names: dict[str, str | None] = {}
        for block, mask in masks.items():
            data = mask_to_png(mask)
            self._document.assets[digest(data)] = data
            names[block] = digest(data)
        self._editor.apply(text, lambda p: with_drawn(p, names))

    def simplify(self) -> None:
        """Give the chosen block a shorter outline where nothing is seen of it."""
        if (found := self._at_hand()) is None:
            return
        project, proof, pull = found
        block = project.block(project.impression(pull).block)

        def work(progress: Progress) -> Simpler:
            progress.report(0.3, tr("simplifying {name}", name=within(block.name)))
            return simpler_block(project, proof.blocks, proof.laid, pull)

        def take(simpler: Simpler) -> None:
            saved = simpler.outline_before_mm - simpler.outline_after_mm
            if self._document.project is not project:
                self.message.emit(dropped(tr("Simplify a block")))
                return
            if saved < 1:
                self.message.emit(tr("{name}: nothing to simplify, every edge of it is seen.", name=block.name))
                return
            self._take(tr("Simplify a block"), {block.id: simpler.mask})
            self.message.emit(
                tr(
                    "{name}: {saved} less to cut, {outline_after_mm} are left; it prints "
                    "{area_change_mm2} mm² more, unseen.",
                    name=block.name,
                    saved=length_text(saved, 0),
                    outline_after_mm=length_text(simpler.outline_after_mm, 0),
                    area_change_mm2=number(simpler.area_change_mm2, 0),
                )
            )

        self._simplify.do(work, take)

    def bring_in(self) -> None:
        """Take masks from an OpenRaster file or a set of black and white pictures, asked for."""
        project, proof = self._document.project, self._keeper.proof
        paths = self._questions.blocks_to_open() if project and proof else []
        if not paths or project is None or proof is None:
            return
        height, width = proof.blocks.labels.shape

        def work(progress: Progress) -> dict[str, Mask]:
            # Imported here: what reads files is not needed before it is asked for.
            from nomos.formats.masks import read_masks
            from nomos.formats.openraster import read_openraster

            first = paths[0]
            progress.report(0.1, tr("reading {name}", name=first.name))
            layers = read_openraster(first) if first.suffix.lower() == ".ora" else read_masks(paths)
            progress.report(0.7, tr("fitting the blocks"))
            return fitted_masks(project, (height, width), [(layer.name, layer.mask) for layer in layers])

        def take(masks: dict[str, Mask]) -> None:
            # Of another print by now: its blocks do not go into this one.
            if self._document.project is project:
                self._take(tr("Bring blocks in"), masks)
            else:
                self.message.emit(dropped(tr("Bring blocks in")))

        self._reading.do(work, take)

    def send_out(self, kind: str) -> None:
        """Write the blocks into a folder asked for: one OpenRaster file, or `png`, `tiff`, `svg` each."""
        project, proof = self._document.project, self._keeper.proof
        folder = self._questions.folder_for_packet() if project and proof else None
        if folder is None or project is None or proof is None:
            return
        from nomos.formats.masks import KINDS, Kind, mask_layers, write_blocks

        layers = mask_layers(project, proof.blocks)
        px_per_mm = proof.blocks.px_per_mm

        known: Kind = next((each for each in KINDS if each == kind), "ora")

        def work(progress: Progress) -> tuple[str, ...]:
            progress.report(0.2, tr("writing the blocks"))
            return write_blocks(folder, layers, px_per_mm, known)

        def say(names: tuple[str, ...]) -> None:
            what = names[0] if len(names) == 1 else tr("{names} files", names=len(names))
            self.message.emit(tr("The blocks are in {folder}: {what}.", folder=folder, what=what))

        self._files.do(work, say)
