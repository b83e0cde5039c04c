"""Plans with few blocks as the Blocks station shows them: cards, wishes, inks, what is reachable."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from types import MappingProxyType

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.units import counted, number
from nomos.colour import lab_to_hex
from nomos.project import Project, Proof
from nomos.project.blocks.plans import Reach, kept_key, plan_costs, planned_colours
from nomos.project.sheet.tiles import Tile, fine_enough, fitted, rooms_for
from nomos.proof import render_view, to_rgb
from nomos.separation.plans import CandidateInk, Plan
from nomos.ui.frame.cards import Card
from nomos.ui.frame.raster import Page, index_levels
from nomos.ui.frame.rows import Row
from nomos.work.plans import Found

# Plans in the place of one sheet: the room between them.
_BOARD_GAP, _GROUND = 0.1, 222
WISHES = {"none": "", "match": tr("must match"), "single": tr("one ink only")}
USES = {"may": tr("may be used"), "must": tr("must be used"), "not": tr("must not")}


def wish_rows(project: Project, wishes: dict[int, str], *, keep_key: bool) -> tuple[Row, ...]:
    """The colours that a plan is for, with what is wished of each beside a near colour."""
    if project.flat is None:
        return ()
    bare = project.bare_colours()
    return tuple(
        Row(
            str(n), lab_to_hex(np.array(project.flat.colours[n].lab)), project.flat.colours[n].name,
            tr("bare paper") if n in bare else WISHES[wishes.get(n, "none")],
        )
        for n in planned_colours(project, keep_key=keep_key)
    )  # fmt: skip


def ink_rows(inks: Sequence[CandidateInk], uses: dict[str, str]) -> tuple[Row, ...]:
    """The inks to choose from, and whether each may, must or must not be used."""
    return tuple(
        Row(ink.name, lab_to_hex(np.array(ink.lab)), ink.name, USES[uses.get(ink.name, "may")]) for ink in inks
    )


def plan_cards(
    project: Project, proof: Proof | None, plans: Sequence[Sequence[Plan]], tall: int, *, keep_key: bool,
    within: Mapping[Plan, float] = MappingProxyType({}),
) -> tuple[Card, ...]:  # fmt: skip
    """A card for each plan, with the sheet it leads to and what it costs. key `blocks/place`.

    within : for plans of which it is known, how sure the worst colour is, ΔE00.
    """
    if proof is None or project.flat is None:
        return ()
    numbers = planned_colours(project, keep_key=keep_key)
    key = keep_key and kept_key(project) is not None
    cards = []
    for row, choices in enumerate(plans):
        for place, plan in enumerate(choices):
            if len(plan.members) != len(numbers):
                continue
            costs = plan_costs(project, proof.blocks.borders, plan, keep_key=keep_key)
            blocks, cut_m = len(plan.inks) + key, costs.outline_mm / 1000
            another = "" if place == 0 else tr(", another way")
            cards.append(
                Card(
                    f"{row}/{place}",
                    f"{counted(blocks, tr('block'), tr('blocks'))}{another}",
                    tr(
                        "ΔE {mean_de00}   worst {worst_de00}{within}   {reached} of {numbers}",
                        mean_de00=number(plan.mean_de00), worst_de00=number(plan.worst_de00),
                        within=_within(within, plan), reached=plan.reached, numbers=len(numbers),
                    ),
                    tr(
                        "cut {cut_m} m, tight {tight_mm} m, clear {clear_area_mm2} dm²",
                        cut_m=number(cut_m, 0 if cut_m >= 10 else 1), tight_mm=number(costs.tight_mm / 1000),
                        clear_area_mm2=number(costs.clear_area_mm2 / 10000.0, 0),
                    ),
                    False,
                    _plan_picture(project, proof, plan, numbers, tall),
                )
            )  # fmt: skip
    return tuple(cards)


@dataclass(frozen=True)
class PlanPoint:
    """The best plan of a number of blocks on the chart: how near, how sure, and what it asks.

    mean, worst, within : ΔE00; within is 0 where it is not known yet. hours, days : None until known.
    """

    key: str
    blocks: int
    mean: float
    worst: float
    within: float
    hours: float | None
    days: int | None


@dataclass(frozen=True)
class PlanChart:
    """All points, how many blocks are enough (0 while the search runs), and what that means in words."""

    points: tuple[PlanPoint, ...] = ()
    enough: int = 0
    said: str = ""


def plan_chart(project: Project, found: Found | None, *, keep_key: bool) -> PlanChart:
    """The choice of how many blocks, as one picture."""
    if found is None or project.flat is None:
        return PlanChart()
    key = keep_key and kept_key(project) is not None
    colours = len(planned_colours(project, keep_key=keep_key))
    within, figures = dict(found.within), dict(found.figures)
    points = []
    for row, plans in enumerate(found.plans):
        if plans and len(plans[0].members) == colours:
            plan, asked = plans[0], figures.get(plans[0])
            points.append(
                PlanPoint(
                    f"{row}/0", len(plan.inks) + key, plan.mean_de00, plan.worst_de00, within.get(plan, 0.0),
                    asked.hours if asked else None, asked.days if asked else None,
                )
            )  # fmt: skip
    if not found.done or not points:
        return PlanChart(tuple(points))
    enough = (found.enough or 0) + key
    return PlanChart(tuple(points), enough, _what_is_enough(points, enough))


def _what_is_enough(points: Sequence[PlanPoint], enough: int) -> str:
    here = next(point for point in points if point.blocks == enough)
    more = [point for point in points if point.blocks > enough]
    said = tr(
        "{enough}: ΔE {mean} on the mean.", enough=counted(enough, tr("block"), tr("blocks")), mean=number(here.mean)
    )
    if not more:
        return tr("{said} Each block so far brings the colours visibly nearer.", said=said)
    gain = here.mean - min(point.mean for point in more)
    return tr("{said} More blocks bring it {gain} nearer: that is hardly seen.", said=said, gain=number(max(gain, 0)))


def _within(within: Mapping[Plan, float], plan: Plan) -> str:
    return f" ± {number(within[plan])}" if plan in within else ""


def reach_rows(project: Project, reach: Sequence[tuple[int, Reach]]) -> tuple[Row, ...]:
    """What the inks at hand can come to for each colour of the sketch, worst first."""
    if project.flat is None:
        return ()
    rows = []
    for place, found in sorted(reach, key=lambda each: -each[1].de00):
        if place >= len(project.flat.colours):
            continue
        inks = tr(" over ").join(f"{name} {number(100 * share, 0)} %" for name, share in reversed(found.inks))
        name = project.flat.colours[place].name
        shown = lab_to_hex(np.array(found.lab))
        rows.append(Row(str(place), shown, name, tr("ΔE {de00}", de00=number(found.de00)), inks or tr("bare paper")))
    return tuple(rows)


@dataclass(frozen=True, eq=False)
class PlanBoard:
    """Plans as large as there is room. keys : of the plans, by tile; "" for what is wanted."""

    picture: NDArray[np.uint8]
    px_per_mm: float
    tiles: tuple[Tile, ...]
    keys: tuple[str, ...]


def plan_board(project: Project, proof: Proof, found: Found, *, keep_key: bool) -> PlanBoard:
    """What is wanted, and the best plan of each number of blocks, beside each other."""
    points = plan_chart(project, found, keep_key=keep_key).points
    numbers = planned_colours(project, keep_key=keep_key)
    wide, tall = project.paper.width_mm, project.paper.height_mm
    shape = project.image.width / project.image.height
    px_per_mm = fine_enough((wide, tall))
    picture = np.full((round(tall * px_per_mm), round(wide * px_per_mm), 3), _GROUND, np.uint8)
    rooms = rooms_for(len(points) + 1, (wide, tall), shape, _BOARD_GAP)
    tiles, keys = [], []
    for at, (point, room) in enumerate(zip((None, *points), rooms, strict=True)):
        place = fitted(room, shape)
        height = max(1, round(place.height * px_per_mm))
        plan = None if point is None else found.plans[int(point.key.split("/")[0])][0]
        look = to_rgb(_plan_picture(project, proof, plan, numbers, height, narrow=False))
        x, y = round(place.left * px_per_mm), round(place.top * px_per_mm)
        part = picture[y : y + look.shape[0], x : x + look.shape[1]]
        part[:] = look[: part.shape[0], : part.shape[1]]
        word = tr("wanted") if point is None else f"{point.blocks}: ΔE {number(point.mean)}"
        tiles.append(Tile(at, place, word))
        keys.append("" if point is None else point.key)
    return PlanBoard(picture, px_per_mm, tuple(tiles), tuple(keys))


def _plan_picture(
    project: Project, proof: Proof, plan: Plan | None, numbers: Sequence[int], tall: int, *, narrow: bool = True
) -> NDArray[np.uint32]:
    """A print by a plan, None for what is wanted. narrow : for a card, whose picture is never wide."""
    assert project.flat is not None
    labs = np.array([colour.lab for colour in project.flat.colours])
    if plan is not None:
        labs[list(numbers)] = plan.printed
    levels = index_levels(Page(proof.blocks.labels))
    height, width = proof.blocks.labels.shape
    wide = min(tall * width / height, tall * 0.75 if narrow else np.inf)
    size = max(1, round(wide)), max(1, round(wide * height / width))
    return render_view(levels, labs, (0.0, 0.0, float(width), float(height)), size)
