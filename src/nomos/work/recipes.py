"""Recipes from a shelf for an ink of a project."""

from dataclasses import dataclass
from typing import ClassVar

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.progress import Progress
from nomos.project import Ink, Project
from nomos.project.inks.films import ground_of
from nomos.project.inks.mixing import Mixed, in_words, recipes_for, tubs_of, underlay_of, wanted_of
from nomos.work.request import Ask, held

# What a recipe is weighed for until the need is known.
BATCH_G = 100.0
_MORE = 2


@dataclass(frozen=True)
class Recipes:
    """Recipes for one zone of an impression, over what is printed before it."""

    project: Project
    pull: str
    zone: int
    shelf: tuple[Ink, ...]
    most_inks: int
    said: ClassVar[str] = tr("finding recipes")

    def work(self, ask: Ask, progress: Progress) -> Mixed:  # noqa: ARG002 - it asks nothing
        """Look for them. Raises BadInput."""
        project, pull, zone = self.project, self.pull, self.zone
        tubs = tubs_of(self.shelf, ground_of(project))
        if not tubs.inks:
            raise BadInput(tr("This shelf holds nothing but white; open another to mix from."))
        target, under = wanted_of(project, pull, zone), underlay_of(project, pull, zone)
        recipes = recipes_for(target, tubs, under, most_inks=self.most_inks, progress=progress)
        chosen = in_words(recipes, tubs, BATCH_G, target, under, _MORE)
        named = tuple((", ".join(words) or tr("another way"), recipe) for words, recipe in chosen)
        return Mixed(pull, zone, target, under, tubs, named)


def recipes_of(project: Project, pull: str, zone: int, shelf: tuple[Ink, ...], most_inks: int) -> Recipes:
    """The request for recipes for a project's ink."""
    own = held(project, "flat", "inks", "paper", "blocks", "impressions", "register")
    return Recipes(own, pull, zone, shelf, most_inks)
