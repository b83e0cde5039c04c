"""Inks at work: recipes from a shelf, batches put right, readings, charts, and what a proof teaches."""

from collections.abc import Callable
from dataclasses import replace
from importlib.resources import files as resources
from pathlib import Path

import msgspec
import numpy as np
from PyQt6.QtCore import QObject, pyqtSignal

from nomos.colour import Lab, overprints, reflectance_to_lab
from nomos.colour.mixing import Recipe, choices, mixed
from nomos.colour.trapping import Inking, preucil, share_taken
from nomos.colour.weighing import correct, pigments_of, weighed
from nomos.edition import film_from_weights
from nomos.errors import BadInput
from nomos.progress import Part, Progress
from nomos.project import Project
from nomos.project.charting import ChartReading, overlap_chart, read_chart
from nomos.project.drawdown import Card
from nomos.project.edits import with_ink, with_workshop, with_zone
from nomos.project.films import FilmKey, film_of, ground_of, solid_film
from nomos.project.inking import flat_then_graded
from nomos.project.learning import Learnt, explain, read_proof, with_cause
from nomos.project.materials import with_ink_data, with_optics, with_paper_data, with_pull
from nomos.project.mixing import Mixed, recipes_for, tubs_of, underlay_of, wanted_of
from nomos.project.model import Ink, Known, Optics, Zone
from nomos.project.overlaps import ChartLearned, learn_chart, with_learned
from nomos.proof.scanning import Picture
from nomos.ui.document import Document, Edit
from nomos.ui.doubts import Doubts
from nomos.ui.jobs import JobRunner
from nomos.ui.keeper import ProofKeeper
from nomos.ui.questions import Questions
from nomos.ui.views.state import UiState

DEMO_SHELF = "Demo shelf, illustrative"

# What a recipe is weighed for until the need is known.
_BATCH_G = 100.0


class InkRoom(QObject):
    """Edits and jobs of the Inks station; the controller says what is chosen."""

    changed = pyqtSignal()
    card_opened = pyqtSignal()
    """A drawdown card is there to be pointed at."""
    told = pyqtSignal(str)

    def __init__(
        self, document: Document, runner: JobRunner, keeper: ProofKeeper, questions: Questions
    ) -> None:
        super().__init__()
        self._document, self._runner, self._keeper, self._questions = document, runner, keeper, questions
        self.state = UiState()
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
        self.doubts.told.connect(self.told)
        document.changed.connect(self._project_changed)

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

    def _edit(self, text: str, change: Edit, merge_key: object = None) -> None:
        try:
            self._document.apply(text, change, merge_key=merge_key)
        except BadInput as error:
            self.told.emit(str(error))
            self.changed.emit()

    def _chosen(self) -> tuple[Project, str, int] | None:
        project, pull = self._document.project, self.state.pull
        if project is None:
            return None
        if pull is None or self.state.paper_chosen:
            self.told.emit("Choose an ink first, in the list.")
            return None
        return project, pull, min(self.state.zone, len(project.impression(pull).zones) - 1)

    # The shelf and recipes

    def shelf(self) -> tuple[Ink, ...]:
        """The inks that are mixed from; the demo's own until another shelf is opened."""
        if not self._shelf:
            from nomos.formats import read_inks

            path = Path(str(resources("nomos.demo").joinpath("shelf.csv")))
            self._shelf = tuple(each.ink for each in read_inks(path))
        return self._shelf

    def open_shelf(self) -> None:
        """Mix from another shelf, asked for."""
        path = self._questions.shelf_to_open()
        if path is None:
            return
        from nomos.formats import read_inks

        try:
            self._shelf = tuple(each.ink for each in read_inks(path))
        except BadInput as error:
            self.told.emit(str(error))
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
        shelf, most = self.shelf(), self.most_inks

        def work(progress: Progress) -> Mixed:
            tubs = tubs_of(shelf, ground_of(project))
            if not tubs.inks:
                raise BadInput("This shelf holds nothing but white; open another to mix from.")
            target, under = wanted_of(project, pull, zone), underlay_of(project, pull, zone)
            recipes = recipes_for(target, tubs, under, most_inks=most, progress=progress)
            as_weighed = [weighed(each, tubs.all, _BATCH_G, target, under)[1].de00 for each in recipes]
            named: dict[int, tuple[str, Recipe]] = {}
            for word, recipe in choices(recipes, as_weighed).items():
                words, _ = named.get(id(recipe), ("", recipe))
                named[id(recipe)] = (f"{words}, {word}" if words else word, recipe)
            more = [("another way", r) for r in recipes if id(r) not in named][:2]
            return Mixed(pull, zone, target, under, tubs, (*named.values(), *more))

        def take(made: Mixed) -> None:
            self.mixed = made
            self.changed.emit()

        self._runner.run("mix", work, take, self.told.emit)

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
                tuple(map(float, film.absorption)),
                tuple(map(float, film.scattering)),
                film.k1,
                known="recipe",
            )
            # What was mixed is used as it is.
            inked = with_zone(
                project, made.pull, made.zone, lambda old: msgspec.structs.replace(old, strength=1.0)
            )
            return with_optics(inked, ink, (float(lab[0]), float(lab[1]), float(lab[2])), optics)

        self._edit("Take a recipe", change)

    def put_right(self, came_out: Lab, batch_g: float) -> None:
        """Say what to add to a batch of the recipe in hand that came out otherwise."""
        made = self.mixed
        if made is None or not made.recipes:
            self.told.emit("Find a recipe first.")
            return
        recipe = made.recipes[made.chosen][1]
        try:
            found = correct(recipe, made.tubs.all, batch_g, came_out, made.target, made.under)
        except BadInput as error:
            self.told.emit(str(error))
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
            from nomos.formats import read_readings

            progress.report(0.2, "fitting the ink")
            some = read_readings(path)
            own = next((each for each in some if each.name.lower() == ink.name.lower()), some[0])
            fit = fit_ink(own.readings, ink.opacity)
            known: Known = "readings" if len(own.readings) > 1 else "one reading"
            optics = Optics(
                tuple(map(float, fit.absorption)),
                tuple(map(float, fit.scattering)),
                fit.k1,
                sealed=True,
                known=known,
            )
            solid = msgspec.structs.replace(ink, optics=optics)
            lab = reflectance_to_lab(overprints(ground_of(project), [solid_film(project, solid)])[-1])
            unsure = 100 * float(np.mean(fit.uncertain[1]))
            said = (
                f"{own.name}: {len(own.readings)} readings, worst ΔE {max(fit.de00):.1f}; "
                f"S is uncertain in {unsure:.0f} % of the spectrum."
            )
            return (float(lab[0]), float(lab[1]), float(lab[2])), optics, said

        def take(result: tuple[Lab, Optics, str]) -> None:
            lab, optics, said = result
            self._edit("Teach an ink", lambda p: with_optics(p, ink.id, lab, optics))
            self.told.emit(said)

        self._runner.run("mix", work, take, self.told.emit)

    # A drawdown card

    def open_card(self) -> None:
        """Open a picture of a drawdown card, asked for; its patches are then pointed at on the sheet."""
        project, path = self._document.project, self._questions.scan_to_open()
        if project is None or path is None or self._chosen() is None:
            return

        def work(progress: Progress) -> Card:
            progress.report(0.3, "reading the card")
            return Card(path.name, _picture(path))

        def take(card: Card) -> None:
            self.card = card
            self.changed.emit()
            self.card_opened.emit()

        self._runner.run("mix", work, take, self.told.emit)

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
            self._edit("Colour from a drawdown", lambda p: with_ink(p, ink.id, lab=lab))
            return

        def work(progress: Progress) -> Optics:
            from nomos.colour.fitting import fit_ink

            progress.report(0.2, "fitting the ink")
            fit = fit_ink(readings, ink.opacity, project.paper.kind)
            return Optics(tuple(map(float, fit.absorption)), tuple(map(float, fit.scattering)), fit.k1)

        def take(optics: Optics) -> None:
            self._edit("Ink from a drawdown", lambda p: with_optics(p, ink.id, lab, optics))

        self._runner.run("mix", work, take, self.told.emit)

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

            progress.report(0.2, "drawing the card")
            return write_card(folder / "drawdown-card.pdf")

        self._runner.run(
            "packet", work, lambda path: self.told.emit(f"The card is in {path}."), self.told.emit
        )

    # The stack

    def set_inking(self, inking: Inking) -> None:
        """Ink the chosen zone light, normal or heavy."""
        self._on_zone("Film", lambda zone: msgspec.structs.replace(zone, inking=inking))

    def _on_zone(self, text: str, change: Callable[[Zone], Zone]) -> None:
        found = self._chosen()
        if found is not None:
            _, pull, zone = found
            self._edit(text, lambda p: with_zone(p, pull, zone, change))

    def set_pull(self, **changes: object) -> None:
        """Print the chosen impression wet or dry, or with a measured trapping."""
        found = self._chosen()
        if found is not None:
            self._edit("Wet or dry", lambda p: with_pull(p, found[1], **changes), tuple(changes))

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
            film_of(project, FilmKey(each, at))
            for each, at in ((project.impressions[place - 1].id, 0), (pull, zone))
        ]
        try:
            share = share_taken(preucil(both, first, second), ground_of(project), *films)
        except ValueError as error:
            self.told.emit(str(error))
            return
        self.set_pull(wet=True, trapping=round(share, 3))

    def set_ink(self, **changes: object) -> None:
        """Change tack, drying, vehicle or cost of the chosen ink."""
        found = self._chosen()
        if found is not None:
            project, pull, zone = found
            ink = project.impression(pull).zones[zone].ink
            self._edit("Ink", lambda p: with_ink_data(p, ink, **changes), (ink, *changes))

    def set_paper(self, **changes: object) -> None:
        """Change what the paper is like."""
        self._edit("Paper", lambda p: with_paper_data(p, **changes), tuple(changes))

    def bend_grade(self, **changes: object) -> None:
        """Change the course of the chosen graded zone."""

        def change(zone: Zone) -> Zone:
            if zone.grade is None:
                return zone
            return msgspec.structs.replace(zone, grade=msgspec.structs.replace(zone.grade, **changes))

        self._on_zone("Graded inking", change)

    def flat_first(self) -> None:
        """Print the chosen graded impression flat first, then graded over it."""
        found = self._chosen()
        if found is not None:
            _, pull, zone = found
            self._edit("Flat first, then graded", lambda p: flat_then_graded(p, pull, zone))

    # Charts and proofs

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
            self.told.emit("Weigh ink, slab and roller together: less must be there after than before.")
            return
        self._edit("Film by weight", lambda p: with_workshop(p, film_g_m2=round(film, 2)))

    def write_chart(self) -> None:
        """Write the chart of all overlaps into a folder asked for."""
        project, folder = self._document.project, self._questions.folder_for_packet()
        if project is None or folder is None:
            return

        def work(progress: Progress) -> Path:
            from nomos.formats.chart import write_chart

            progress.report(0.2, "drawing the chart")
            write_chart(folder / "chart.pdf", project)
            return folder / "chart.pdf"

        self._runner.run(
            "packet", work, lambda path: self.told.emit(f"The chart is in {path}."), self.told.emit
        )

    def read_chart(self) -> None:
        """Compare a scan of the printed chart, asked for, with what was predicted for it."""
        project, path = self._document.project, self._questions.scan_to_open()
        if project is None or path is None:
            return

        def work(progress: Progress) -> tuple[ChartReading, ...]:
            progress.report(0.3, "reading the chart")
            return read_chart(overlap_chart(project), _picture(path), project.paper.lab)

        def take(found: tuple[ChartReading, ...]) -> None:
            self.chart = found
            self.changed.emit()

        self._runner.run("learn", work, take, self.told.emit)

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

            progress.report(0.1, "reading the chart")
            chart = overlap_chart(project)
            if path is not None:
                read = read_chart_file(path, chart, project.paper.lab)
            else:
                read = {place: np.array(each.read.lab) for place, each in enumerate(seen)}
            progress.report(0.4, "refining the inks")
            return learn_chart(project, chart, read)

        def take(found: ChartLearned) -> None:
            self._edit("Learn from a chart", lambda p: with_learned(p, found.inks))
            self.learned = found
            self.changed.emit()

        self._runner.run("learn", work, take, self.told.emit)

    def keep_shelf(self) -> None:
        """Write the project's inks as a shelf file into a folder asked for."""
        project, folder = self._document.project, self._questions.folder_for_packet()
        if project is None or folder is None:
            return
        from nomos.formats import write_shelf

        try:
            write_shelf(folder / "shelf.json", project.inks)
        except BadInput as error:
            self.told.emit(str(error))
            return
        self.told.emit(f"The inks are kept in {folder / 'shelf.json'}.")

    def learn(self) -> None:
        """Compare a scan of a proof, asked for, with what is predicted, and explain the difference."""
        project, proof = self._document.project, self._keeper.proof
        path = self._questions.scan_to_open() if project and proof else None
        if path is None or project is None or proof is None:
            return

        def work(progress: Progress) -> Learnt:
            picture = _picture(path)
            fields = read_proof(project, proof.blocks, picture, progress=Part(progress, 0.0, 0.5))
            causes = explain(project, fields, progress=Part(progress, 0.5, 1.0))
            return Learnt(path.name, fields, causes)

        def take(result: Learnt) -> None:
            self.learnt = result
            self.changed.emit()

        self._runner.run("learn", work, take, self.told.emit)

    def take_cause(self, place: int) -> None:
        """Make an explanation part of the plan."""
        if self.learnt is not None and place < len(self.learnt.causes):
            cause = self.learnt.causes[place]
            self._edit("Learn from the proof", lambda p: with_cause(p, cause))


def _picture(path: Path) -> Picture:
    """The pixels of a scan. Raises BadInput."""
    from nomos.design import read_picture
    from nomos.formats.files import read_bytes

    return read_picture(read_bytes(path), path.name).rgb
