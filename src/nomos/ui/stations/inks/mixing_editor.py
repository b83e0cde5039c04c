"""Inks at work: recipes from a shelf, batches put right, readings, and how films are laid."""

from dataclasses import replace
from importlib.resources import files as resources
from pathlib import Path

import msgspec
import numpy as np
from PyQt6.QtCore import pyqtSignal

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import Progress
from nomos.colour import Lab, as_lab, overprints, reflectance_to_lab
from nomos.colour.mixing import mixed
from nomos.colour.trapping import preucil, share_taken
from nomos.colour.weighing import correct, pigments_of
from nomos.project import Project
from nomos.project.blocks.zones import flat_then_graded
from nomos.project.inks.chart_reading import ChartReading
from nomos.project.inks.data import with_optics
from nomos.project.inks.drawdown import Card
from nomos.project.inks.edits import with_zone
from nomos.project.inks.films import FilmKey, film_of, ground_of, solid_film
from nomos.project.inks.mixing import Mixed
from nomos.project.inks.overlaps import ChartLearned
from nomos.project.model import Ink, Known, Optics
from nomos.project.model.edits import with_pull
from nomos.project.register.learning import Learnt
from nomos.ui.frame.editor import Editor
from nomos.ui.frame.jobs import Asker, JobRunner
from nomos.ui.frame.keeper import ProofKeeper
from nomos.ui.frame.questions import Questions
from nomos.ui.frame.station_editor import StationEditor
from nomos.ui.stations.inks.doubts import Doubts
from nomos.work.recipes import recipes_of

DEMO_SHELF = "Demo shelf, illustrative"


class MixingEditor(StationEditor):
    """Edits and jobs of the Inks station; the controller says what is chosen."""

    card_opened = pyqtSignal()
    """A drawdown card is there to be pointed at."""

    def __init__(self, editor: Editor, runner: JobRunner, keeper: ProofKeeper, questions: Questions) -> None:
        super().__init__(editor, runner, keeper, questions)
        self._recipes = Asker(runner, "mix", self.message.emit, said=tr("finding recipes"))
        self._readings = Asker(runner, "readings", self.message.emit, said=tr("fitting the ink"))
        self._charts = Asker(runner, "chart", self.message.emit, said=tr("reading the chart"))
        self._proofs = Asker(runner, "learn", self.message.emit, said=tr("reading the proof"))
        self._files = Asker(runner, tr("ink files"), self.message.emit, said=tr("writing a file"), outlives=True)
        self.shelf_name = DEMO_SHELF
        self._shelf: tuple[Ink, ...] = ()
        self.most_inks = 3
        self.mixed: Mixed | None = None
        self.learnt: Learnt | None = None
        self.card: Card | None = None
        self.chart: tuple[ChartReading, ...] = ()
        self.learned: ChartLearned | None = None
        self.doubts = Doubts(runner)
        self.doubts.changed.connect(self.changed)
        self.doubts.message.connect(self.message)
        editor.document.changed.connect(self._project_changed)

    def _project_changed(self, before: Project | None, after: Project | None) -> None:
        ids = {pull.id for pull in after.impressions} if after else set()
        if self.mixed is not None and self.mixed.pull not in ids:
            self.mixed = None
        self.chart = ()
        if before is None or after is None or before.paper != after.paper:
            # A recipe is for the paper it was found on.
            self.mixed = None
        if before is None or after is None or before.flat != after.flat:
            self.learnt = None

    def _chosen(self) -> tuple[Project, str, int] | None:
        project, pull = self._document.project, self._editor.state.pull
        if project is None:
            return None
        if pull is None or self._editor.state.paper_chosen:
            self.message.emit(tr("Choose an ink first, in the list."))
            return None
        return project, pull, min(self._editor.state.zone, len(project.impression(pull).zones) - 1)

    def shelf(self) -> tuple[Ink, ...]:
        """The inks that are mixed from; the demo's own until another shelf is opened."""
        if not self._shelf:
            from nomos.formats.shelf import read_inks

            path = Path(str(resources("nomos.demo").joinpath("shelf.csv")))
            self._shelf = tuple(each.ink for each in read_inks(path))
        return self._shelf

    def open_shelf(self) -> None:
        """Mix from another shelf, asked for."""
        path = self._questions.shelf_to_open()
        if path is not None:
            self.take_shelf(path)

    def take_shelf(self, path: Path) -> None:
        """Mix from the inks of a file."""
        from nomos.formats.shelf import read_inks

        try:
            self._shelf = tuple(each.ink for each in read_inks(path))
        except BadInput as error:
            self.message.emit(str(error))
            return
        self.shelf_name, self.mixed = path.name, None
        self.changed.emit()

    def set_most_inks(self, most: int) -> None:
        """How many inks a recipe may hold, beside extender and white."""
        self.most_inks = most

    def mix(self) -> None:
        """Look for recipes for the chosen ink, over what is printed before it."""
        if (found := self._chosen()) is None:
            return
        project, pull, zone = found

        def take(made: Mixed) -> None:
            project = self._document.project
            # A pull may have been left out while a recipe was sought for it.
            if project is not None and made.pull in {pull.id for pull in project.impressions}:
                self.mixed = made
            self.changed.emit()

        self._recipes.ask(recipes_of(project, pull, zone, self.shelf(), self.most_inks), take)

    def choose_recipe(self, row: str) -> None:
        """Look at one of the recipes."""
        if self.mixed is not None:
            self.mixed = replace(self.mixed, chosen=int(row), correction=None)
            self.changed.emit()

    def take_recipe(self) -> None:
        """Use the recipe in hand for the ink it was found for."""
        made = self.mixed
        if made is None or not made.recipes:
            return
        recipe = made.recipes[made.chosen][1]
        film = mixed(pigments_of(recipe, made.tubs.all), recipe.shares)

        def change(project: Project) -> Project:
            ink = project.impression(made.pull).zones[made.zone].ink
            lab = reflectance_to_lab(overprints(ground_of(project), [film])[-1])
            optics = Optics(
                tuple(map(float, film.absorption)), tuple(map(float, film.scattering)), film.k1, known="recipe"
            )
            # What was mixed is used as it is.
            inked = with_zone(project, made.pull, made.zone, lambda old: msgspec.structs.replace(old, strength=1.0))
            return with_optics(inked, ink, as_lab(lab), optics)

        self._editor.apply(tr("Take a recipe"), change)

    def put_right(self, came_out: Lab, batch_g: float) -> None:
        """Say what to add to a batch of the recipe in hand that came out otherwise."""
        made = self.mixed
        if made is None or not made.recipes:
            self.message.emit(tr("Find a recipe first."))
            return
        recipe = made.recipes[made.chosen][1]
        try:
            found = correct(recipe, made.tubs.all, batch_g, came_out, made.target, made.under)
        except BadInput as error:
            self.message.emit(str(error))
            return
        self.mixed = replace(made, correction=found)
        self.changed.emit()

    def teach(self) -> None:
        """Fit K and S of the chosen ink to readings from a file, asked for."""
        if (found := self._chosen()) is None:
            return
        project, pull, zone = found
        path = self._questions.readings_to_open()
        if path is None:
            return
        ink = project.ink(project.impression(pull).zones[zone].ink)

        def work(progress: Progress) -> tuple[Lab, Optics, str]:
            from nomos.colour.fitting import fit_ink
            from nomos.formats.readings import read_readings

            progress.report(0.2, tr("fitting the ink"))
            some = read_readings(path)
            own = next((each for each in some if each.name.lower() == ink.name.lower()), some[0])
            fit = fit_ink(own.readings, ink.opacity)
            known: Known = "readings" if len(own.readings) > 1 else "one reading"
            optics = Optics(
                tuple(map(float, fit.absorption)), tuple(map(float, fit.scattering)), fit.k1, sealed=True, known=known
            )
            solid = msgspec.structs.replace(ink, optics=optics)
            lab = reflectance_to_lab(overprints(ground_of(project), [solid_film(project, solid)])[-1])
            unsure = 100 * float(np.mean(fit.uncertain[1]))
            said = tr(
                "{name}: {readings} readings, worst ΔE {de00:.1f}; S is uncertain in {unsure:.0f} % of the spectrum.",
                name=own.name, readings=len(own.readings), de00=max(fit.de00), unsure=unsure,
            )  # fmt: skip
            return as_lab(lab), optics, said

        def take(result: tuple[Lab, Optics, str]) -> None:
            lab, optics, said = result
            self._editor.apply(tr("Teach an ink"), lambda p: with_optics(p, ink.id, lab, optics))
            self.message.emit(said)

        self._readings.do(work, take)

    def trap_from_densities(self, first: float, second: float, both: float) -> None:
        """Work the chosen impression's trapping out from three densities by Preucil's formula."""
        found = self._chosen()
        if found is None:
            return
        project, pull, zone = found
        place = [each.id for each in project.impressions].index(pull)
        if place == 0:
            return
        films = [
            film_of(project, FilmKey(each, at)) for each, at in ((project.impressions[place - 1].id, 0), (pull, zone))
        ]
        try:
            share = share_taken(preucil(both, first, second), ground_of(project), *films)
        except ValueError as error:
            self.message.emit(str(error))
            return
        self._editor.apply(tr("Wet or dry"), lambda p: with_pull(p, pull, wet=True, trapping=round(share, 3)))

    def flat_first(self) -> None:
        """Print the chosen graded impression flat first, then graded over it."""
        found = self._chosen()
        if found is not None:
            _, pull, zone = found
            self._editor.apply(tr("Flat first, then graded"), lambda p: flat_then_graded(p, pull, zone))
