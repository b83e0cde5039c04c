"""From a project to the solver and back: what is wanted, what a plan costs to cut, taking a plan."""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass

import numpy as np
from msgspec.structs import replace

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.colour import Ground, Lab, as_lab, delta_e00
from nomos.colour.layering import KnownFilm, Stock, as_solid
from nomos.colour.names import colour_names
from nomos.colour.stacks import stack_labs
from nomos.project.inks.films import film_on, ground_of, stock_of
from nomos.project.model import Block, Impression, Ink, Project, ProjectError, Zone
from nomos.project.model.naming import fresh_number
from nomos.separation.candidates import Shelf
from nomos.separation.fields import Borders
from nomos.separation.plans import MIX_NAME, CandidateInk, Plan, PlannedInk, SolverRequest, Wish

# Published process inks are a yellow, a bluish red and a blue; these solids are written down from
# memory for relief inks on a white paper, and the user's own replace them.
PROCESS_INKS = (
    CandidateInk(tr("Process yellow"), (88.0, -5.0, 88.0), "transparent", (1.0, 0.75, 0.5, 0.25)),
    CandidateInk(tr("Process red"), (49.0, 68.0, -3.0), "transparent", (1.0, 0.75, 0.5, 0.25)),
    CandidateInk(tr("Process blue"), (54.0, -36.0, -48.0), "transparent", (1.0, 0.75, 0.5, 0.25)),
)


@dataclass(frozen=True)
class PlanCosts:
    """What a plan asks of the cutter and the printer.

    clear_area_mm2 : ground to clear on all blocks together.
    outline_mm : outline to cut on all blocks together.
    tight_mm : borders where one block ends and another begins, so that a gap can open.
    """

    clear_area_mm2: float
    outline_mm: float
    tight_mm: float


def kept_key(project: Project) -> Block | None:
    """The key block that plans leave as it is: one drawn as lines."""
    return next((block for block in project.blocks if block.is_key), None)


def planned_colours(project: Project, *, keep_key: bool = True) -> tuple[int, ...]:
    """Numbers of the flat colours that a plan is for: all but those of a key that is kept."""
    if project.flat is None:
        raise ProjectError("flat", tr("There is no flat design yet: open a picture first."))
    key = kept_key(project) if keep_key else None
    return tuple(n for n in range(len(project.flat.colours)) if key is None or n not in key.colours)


def solver_request(
    project: Project, borders: Borders, inks: Sequence[CandidateInk], most_blocks: int, *, keep_key: bool = True,
    must: Sequence[str] = (), must_not: Sequence[str] = (), must_match: Sequence[int] = (), single: Sequence[int] = (),
    seed: int = 0,
) -> SolverRequest:  # fmt: skip
    """What the solver is asked for this project. A colour left to the paper stays bare.

    Parameters
    ----------
    borders : areas and borders of the flat colours, from `measure_borders`.
    most_blocks : colour blocks; a key that is kept comes on top.
    must_match, single : numbers of flat colours.
    """
    assert project.flat is not None
    bare = project.bare_colours()
    wishes = tuple(
        Wish(
            project.paper.lab if number in bare else project.flat.colours[number].lab,
            float(max(borders.area_mm2[number], 1e-6)),
            must_match=number in must_match,
            bare=number in bare,
            single=number in single,
        )
        for number in planned_colours(project, keep_key=keep_key)
    )
    return SolverRequest(stock_of(project), wishes, tuple(inks), most_blocks, tuple(must), tuple(must_not), seed=seed)


def plan_costs(project: Project, borders: Borders, plan: Plan, *, keep_key: bool = True) -> PlanCosts:
    """Cutting and register of a plan's colour blocks; a key that is kept is the same in all plans."""
    numbers = planned_colours(project, keep_key=keep_key)
    count = len(borders.area_mm2)
    prints = np.zeros((len(plan.inks), count), bool)
    for number, members in zip(numbers, plan.members, strict=True):
        prints[list(members), number] = True
    image = borders.area_mm2.sum()
    clear = sum(image - borders.area_mm2[row].sum() for row in prints)
    outline = sum(borders.outline_mm(row) for row in prints)
    # Between two colours, each with a block that the other has not: whichever moves, paper can show.
    only = (prints[:, :, None] & ~prints[:, None, :]).any(axis=0)
    tight = np.triu(borders.shared_mm * (only & only.T)).sum()
    return PlanCosts(float(clear), float(outline), float(tight))


def with_plan(project: Project, plan: Plan, *, keep_key: bool = True) -> Project:
    """The project printed by a plan: its inks, a block for each in its print order, then the key."""
    numbers = planned_colours(project, keep_key=keep_key)
    key = kept_key(project) if keep_key else None
    kept = [i for i in project.impressions if key is not None and i.block == key.id]
    kept_inks = {zone.ink for impression in kept for zone in impression.zones}
    inks = [ink for ink in project.inks if ink.id in kept_inks]
    blocks, impressions = [], []
    fresh = fresh_number(project)
    # An ink that is still to be mixed is called after its colour.
    by_colour = colour_names([planned.lab for planned in plan.inks])
    names = [
        by_colour[place] if planned.name.startswith(MIX_NAME) else planned.name
        for place, planned in enumerate(plan.inks)
    ]
    for place, planned in enumerate(plan.inks):
        colours = tuple(n for n, members in zip(numbers, plan.members, strict=True) if place in members)
        if not colours:
            continue
        number = fresh + place
        inks.append(_ink_of(planned, f"ink{number}", names[place]))
        blocks.append(Block(f"block{number}", names[place], colours))
        impressions.append(Impression(f"pull{number}", f"block{number}", (Zone(f"ink{number}", planned.strength),)))
    blocks += [key] if key is not None else []
    return replace(project, inks=tuple(inks), blocks=tuple(blocks), impressions=(*impressions, *kept))


@dataclass(frozen=True)
class Reach:
    """The nearest colour that some inks can give: its CIELAB, ΔE00, and which inks at which strength."""

    lab: Lab
    de00: float
    inks: tuple[tuple[str, float], ...]


def nearest_reachable(
    paper: Lab | Stock, wanted: Mapping[int, Lab], inks: Sequence[CandidateInk], *, progress: Progress = NULL_PROGRESS
) -> dict[int, Reach]:
    """For each wanted colour the nearest that one ink, or two over each other, can give.

    At any allowed strength. Shows a sketch drawn with the wrong red before anything is cut.
    Raises Cancelled.
    """
    if not wanted:
        return {}
    wishes = tuple(Wish(lab, 1.0) for lab in wanted.values())
    shelf = Shelf(SolverRequest(paper, wishes, tuple(inks), 2))
    films = len(shelf.entries)
    best: dict[int, Reach] = {}
    for first in range(films):
        progress.report(first / films, tr("trying two inks over each other"))
        pairs = np.array([(first, second) for second in range(films)], np.intp)
        labs = stack_labs(shelf.ground, shelf.table, pairs)
        distances = delta_e00(labs[:, None], shelf.wanted[None, :, None])
        for place, number in enumerate(wanted):
            row, combination = np.unravel_index(distances[:, place].argmin(), distances[:, place].shape)
            distance = float(distances[row, place, combination])
            if number in best and best[number].de00 <= distance:
                continue
            used = [pairs[row][bit] for bit in (0, 1) if combination >> bit & 1]
            lab = labs[row, combination]
            best[number] = Reach(
                as_lab(lab), distance, tuple((shelf.entries[n][0].name, shelf.entries[n][1]) for n in used)
            )
    return best


def inks_in_use(project: Project) -> tuple[CandidateInk, ...]:
    """The project's own inks as candidates, to be thinned as one likes."""
    ground = ground_of(project)
    return tuple(candidate_of(ink, (1.0, 0.6, 0.35), ground) for ink in project.inks)


@dataclass(frozen=True)
class ShelfInk:
    """An ink of a shelf, and the strengths it may be thinned to."""

    ink: Ink
    strengths: tuple[float, ...]


def candidates_of(shelf: Iterable[ShelfInk], project: Project) -> tuple[CandidateInk, ...]:
    """The inks of a shelf as candidates for plans on the project's paper. Raises ColourError."""
    ground = ground_of(project)
    return tuple(candidate_of(each.ink, each.strengths, ground) for each in shelf)


def candidate_of(ink: Ink, strengths: tuple[float, ...], ground: Ground) -> CandidateInk:
    """An ink as a candidate for plans, with all that is known of it. Raises ColourError."""
    film = film_on(ink, ground)
    known = ink.optics is not None or ink.reflectance is not None
    # What sank in is a part of the solid that plans are made of.
    solid = KnownFilm.of(as_solid(film)) if known else None
    return CandidateInk(ink.name, ink.lab, ink.opacity, strengths, solid=solid, ink=ink)


def _ink_of(planned: PlannedInk, ink_id: str, name: str) -> Ink:
    """The ink that a plan asks for, with all that was known of the one it was taken from."""
    if isinstance(planned.ink, Ink):
        return replace(planned.ink, id=ink_id, name=name)
    return Ink(ink_id, name, planned.lab, planned.opacity)
