"""The Inks station's hand: beside mixing, drawdown cards, charts, and what a proof teaches."""

from pathlib import Path

import numpy as np

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import Progress
from nomos.edition import film_from_weights
from nomos.project.inks.chart import MOST_INKS, overlap_chart
from nomos.project.inks.chart_reading import ChartReading, read_chart
from nomos.project.inks.data import with_optics
from nomos.project.inks.drawdown import Card
from nomos.project.inks.edits import with_ink
from nomos.project.inks.films import zone_keys
from nomos.project.inks.overlaps import ChartLearned, learn_chart, with_learned
from nomos.project.model import Optics
from nomos.project.model.edits import with_workshop
from nomos.project.register.learning import Learnt, with_cause
from nomos.proof.scanning import Picture
from nomos.ui.stations.inks.mixing_editor import MixingEditor
from nomos.work.scan import learn_of


class InksEditor(MixingEditor):
    """The Inks station's hand: beside mixing, drawdown cards, charts, and what a proof teaches."""

    def open_card(self) -> None:
        """Open a picture of a drawdown card, asked for; its patches are then pointed at on the sheet."""
        project, path = self._document.project, self._questions.scan_to_open()
        if project is None or path is None or self._chosen() is None:
            return

        def work(progress: Progress) -> Card:
            progress.report(0.3, tr("reading the card"))
            return Card(path.name, _picture(path))

        def take(card: Card) -> None:
            self.card = card
            self.changed.emit()
            self.card_opened.emit()

        self._readings.do(work, take)

    def point_at_card(self, x_share: float, y_share: float) -> None:
        """Read the card at a place, as shares of its width and height: paper, then grey, then ink."""
        project, card = self._document.project, self.card
        if project is None or card is None or not (0 <= x_share < 1 and 0 <= y_share < 1):
            return
        self.card = card.pointed(x_share, y_share, project.paper.lab)
        self.changed.emit()

    def without_grey(self) -> None:
        """Go on to the ink patches on a card that has no grey one."""
        if self.card is not None:
            self.card = self.card.skipping_grey()
            self.changed.emit()

    def take_card(self) -> None:
        """Give the chosen ink the colour last read from the card."""
        card = self.card
        found = self._chosen()
        if card is None or card.reading is None or found is None:
            return
        project, pull, zone = found
        ink, lab = project.ink(project.impression(pull).zones[zone].ink), card.reading.lab
        readings = card.readings(project.paper.lab)
        if not readings:
            self._editor.apply(tr("Colour from a drawdown"), lambda p: with_ink(p, ink.id, lab=lab))
            return

        def work(progress: Progress) -> Optics:
            from nomos.colour.fitting import fit_ink

            progress.report(0.2, tr("fitting the ink"))
            fit = fit_ink(readings, ink.opacity, project.paper.kind)
            return Optics(tuple(map(float, fit.absorption)), tuple(map(float, fit.scattering)), fit.k1)

        def take(optics: Optics) -> None:
            self._editor.apply(tr("Ink from a drawdown"), lambda p: with_optics(p, ink.id, lab, optics))

        self._readings.do(work, take)

    def card_over_black(self) -> None:
        """Go on to the black stripe of the card, and the ink over it."""
        if self.card is not None:
            self.card = self.card.over_black()
            self.changed.emit()

    def write_card(self) -> None:
        """Write a card with a black stripe, to draw ink down on, into a folder asked for."""
        folder = self._questions.folder_for_packet()
        if folder is None:
            return

        def work(progress: Progress) -> Path:
            from nomos.formats.card import write_card

            progress.report(0.2, tr("drawing the card"))
            return write_card(folder / "drawdown-card.pdf")

        self._files.do(work, lambda path: self.message.emit(tr("The card is in {path}.", path=path)))

    def weigh_film(self, before_g: float, after_g: float, pulls: int) -> None:
        """Work out what a solid film holds from weights before and after some pulls of the chosen one."""
        found, proof = self._chosen(), self._keeper.proof
        if found is None or proof is None:
            return
        project, pull, _ = found
        area = proof.blocks.areas_mm2[project.number_of(project.impression(pull).block)]
        try:
            film = film_from_weights(before_g, after_g, area, pulls)
        except ValueError:
            self.message.emit(tr("Weigh ink, slab and roller together: less must be there after than before."))
            return
        self._editor.apply(tr("Film by weight"), lambda p: with_workshop(p, film_g_m2=round(film, 2)))

    def write_chart(self) -> None:
        """Write the chart of all overlaps into a folder asked for."""
        project, folder = self._document.project, self._questions.folder_for_packet()
        if project is None or folder is None:
            return

        def work(progress: Progress) -> Path:
            from nomos.formats.chart import write_chart

            progress.report(0.2, tr("drawing the chart"))
            write_chart(folder / "chart.pdf", project)
            return folder / "chart.pdf"

        count = len(zone_keys(project))
        which = (
            tr(" of the {most_inks} inks of {count} that overlap most", most_inks=MOST_INKS, count=count)
            if count > MOST_INKS
            else ""
        )
        self._files.do(
            work, lambda path: self.message.emit(tr("The chart{which} is in {path}.", which=which, path=path))
        )

    def read_chart(self) -> None:
        """Compare a scan of the printed chart, asked for, with what was predicted for it."""
        project, path = self._document.project, self._questions.scan_to_open()
        if project is None or path is None:
            return

        def work(progress: Progress) -> tuple[ChartReading, ...]:
            progress.report(0.3, tr("reading the chart"))
            return read_chart(overlap_chart(project), _picture(path), project.paper.lab)

        def take(found: tuple[ChartReading, ...]) -> None:
            self.chart = found
            self.changed.emit()

        self._charts.do(work, take)

    def learn_chart(self) -> None:
        """Refine the inks by the chart last read, or by a scan or a table of it that is asked for."""
        project = self._document.project
        if project is None:
            return
        seen = self.chart
        path = None if seen else self._questions.scan_to_open()
        if not seen and path is None:
            return

        def work(progress: Progress) -> ChartLearned:
            from nomos.formats.chart import read_chart_file

            progress.report(0.1, tr("reading the chart"))
            chart = overlap_chart(project)
            if path is not None:
                read = read_chart_file(path, chart, project.paper.lab)
            else:
                read = {place: np.array(each.read.lab) for place, each in enumerate(seen)}
            progress.report(0.4, tr("refining the inks"))
            return learn_chart(project, chart, read)

        def take(found: ChartLearned) -> None:
            self._editor.apply(tr("Learn from a chart"), lambda p: with_learned(p, found.inks))
            self.learned = found
            self.changed.emit()

        self._charts.do(work, take)

    def keep_shelf(self) -> None:
        """Write the project's inks as a shelf file into a folder asked for."""
        project, folder = self._document.project, self._questions.folder_for_packet()
        if project is None or folder is None:
            return
        from nomos.formats.shelf import write_shelf

        try:
            write_shelf(folder / "shelf.json", project.inks)
        except BadInput as error:
            self.message.emit(str(error))
            return
        self.message.emit(tr("The inks are kept in {folder}.", folder=folder / "shelf.json"))

    def learn(self) -> None:
        """Compare a scan of a proof, asked for, with what is predicted, and explain the difference."""
        project, cut = self._document.project, self._keeper.cut
        path = self._questions.scan_to_open() if project and cut else None
        if path is None or project is None or cut is None:
            return
        from nomos.formats.files import read_bytes

        def take(result: Learnt) -> None:
            self.learnt = result
            self.changed.emit()

        try:
            request = learn_of(project, cut, read_bytes(path), path.name)
        except BadInput as error:
            self.message.emit(str(error))
            return
        self._proofs.ask(request, take)

    def take_cause(self, place: int) -> None:
        """Make an explanation part of the plan."""
        if self.learnt is not None and place < len(self.learnt.causes):
            cause = self.learnt.causes[place]
            self._editor.apply(tr("Learn from the proof"), lambda p: with_cause(p, cause))


def _picture(path: Path) -> Picture:
    """The pixels of a scan. Raises BadInput."""
    from nomos.formats.files import read_bytes
    from nomos.work.scan import pixels_of

    return pixels_of(read_bytes(path), path.name)
