"""Reduction: one board, printed and cut further, its states nested in print order.

Each state is a `Block` on the same board; a state prints its own colour and
all that come after it. What is cut away before a pull is the colour of the pull
before, and nothing cut away can be put back.
"""

from collections.abc import Iterable, Sequence
from itertools import pairwise

from msgspec.structs import replace

from nomos.base.language import tr, within
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.colour import OPACITIES, Film, Ground, Lab, Opacity
from nomos.colour.inverse import ink_over, nearest_film
from nomos.project.inks.films import film_on, ground_of, zone_colours
from nomos.project.model import Block, Impression, Ink, Project, ProjectError, Zone
from nomos.separation.plans import CandidateInk

BOARD = "board1"
# Beyond this a colour of a reduction counts as out of reach (chosen by us).
OUT_OF_REACH_DE00 = 5.0


# Colours printed in one pull: the first with the roller that goes over all that stands, further ones
# inked apart, alone.
Step = tuple[int, ...]


def is_reduction(project: Project) -> bool:
    """Whether the blocks are states of one side of one board."""
    boards = {(block.board, block.face) for block in project.blocks}
    return len(project.blocks) > 1 and len(boards) == 1 and project.blocks[0].board is not None


def layer_steps(project: Project) -> tuple[Step, ...]:
    """The colours each pull of a reduction leaves standing as its own, in print order."""
    first = [some[0] for some in passes(project.impressions)]
    states = [set(project.block(impression.block).colours) for impression in first]
    later: list[set[int]] = [*states[1:], set()]
    steps: list[Step] = []
    for impression, now, then in zip(first, states, later, strict=True):
        apart = [n for zone in impression.zones[1:] for n in zone.colours if n in now - then]
        main = sorted(now - then - set(apart))
        # Two colours of their own in one zone are two pulls that were merged by hand.
        steps += [(number,) for number in main[:-1]]
        if main or apart:
            steps.append((*main[-1:], *apart))
    return tuple(steps)


def one_by_one(order: Iterable[int]) -> tuple[Step, ...]:
    """Steps of one colour each."""
    return tuple((number,) for number in order)


def with_reduction(
    project: Project, steps: Sequence[Sequence[int]] | None = None, *, shelf: Sequence[CandidateInk] = (),
    progress: Progress = NULL_PROGRESS,
) -> Project:  # fmt: skip
    """The project as a reduction from one board.

    Parameters
    ----------
    steps : numbers of the flat colours of each pull, first printed first; None keeps those of a
        reduction, and otherwise prints one by one, light to dark.
    shelf : inks to choose from; without any, each is mixed to what is wanted.

    Notes
    -----
    Each ink is worked out so that the stack shows the wanted colour: what is
    below it is all that was printed before. A project that is a reduction keeps
    the opacity of its inks; otherwise each ink is the least opaque that will do.
    """
    if project.flat is None:
        raise ProjectError("flat", tr("There is no flat design yet: open a picture first."))
    colours = project.flat.colours
    printed = [n for n in range(len(colours)) if n not in project.bare_colours()]
    if steps is None:
        reduced = is_reduction(project)
        steps = layer_steps(project) if reduced else one_by_one(light_to_dark_colours(project))
    steps = [tuple(step) for step in steps if step]
    order = [number for step in steps for number in step]
    if sorted(order) != printed:
        raise ProjectError("order", tr("A reduction prints every colour once; name each of them in its order."))
    ground = ground_of(project)
    word = _opacities(project) if is_reduction(project) else {}
    below: list[Film] = []
    inks, blocks, pulls = [], [], []
    again = _further_passes(project)
    for place, step in enumerate(steps):
        zones: list[Zone] = []
        main: Film | None = None
        for number in step:
            colour = colours[number]
            progress.report(
                order.index(number) / len(order), tr("working out the ink of {name}", name=within(colour.name))
            )
            words = (word[number],) if number in word else OPACITIES
            ink, strength = Ink(f"ink{number}", colour.name, colour.lab), 1.0
            if shelf:
                ink, strength = shelf_ink(ink, below, shelf, ground)
            else:
                lab, asked = _least_opaque(colour.lab, below, words, ground)
                ink = replace(ink, lab=lab, opacity=asked)
            main = main or film_on(ink, ground, strength)
            inks.append(ink)
            zones.append(Zone(ink.id, strength, (number,) if zones else ()))
        # What stands for later pulls is inked with the pull's main ink.
        below += [main] if main is not None else []
        # Named after the colour, so that a pull stays the same one when it is moved.
        own = step[0]
        state = tuple(sorted(n for each in steps[place:] for n in each))
        blocks.append(Block(f"block{own}", colours[own].name, state, board=BOARD))
        pulls.append(Impression(f"pull{own}", f"block{own}", tuple(zones)))
        for pull in again.get(f"block{own}", ()):
            pulls.append(pull)
            known = {ink.id for ink in inks}
            inks += [project.ink(n) for n in dict.fromkeys(z.ink for z in pull.zones) if n not in known]
            below.append(film_on(project.ink(pull.main.ink), ground, pull.main.strength))
    return replace(project, inks=tuple(inks), blocks=tuple(blocks), impressions=tuple(pulls))


def _further_passes(project: Project) -> dict[str, tuple[Impression, ...]]:
    """By state what is printed of it after its first pass: planned by hand, so it stays as it is."""
    if not is_reduction(project):
        return {}
    return {some[0].block: some[1:] for some in passes(project.impressions) if len(some) > 1}


def shelf_ink(wanted: Ink, below: Sequence[Film], shelf: Sequence[CandidateInk], ground: Ground) -> tuple[Ink, float]:
    """The ink of a shelf, and its strength, that over some films comes nearest to a wanted one."""
    choices = [(ink, strength) for ink in shelf for strength in ink.strengths]
    films = [ink.film(ground, strength) for ink, strength in choices]
    place, _ = nearest_film(wanted.lab, below, films, ground)
    ink, strength = choices[place]
    if isinstance(ink.ink, Ink):
        return replace(ink.ink, id=wanted.id), strength
    return replace(wanted, name=ink.name, lab=ink.lab, opacity=ink.opacity), strength


def inked_apart(project: Project, number: int, with_number: int, *, progress: Progress = NULL_PROGRESS) -> Project:
    """A reduction with one colour inked apart, alone, in the pull of another."""
    steps = [[n for n in step if n != number] for step in layer_steps(project)]
    for step in steps:
        if with_number in step:
            step.append(number)
    return with_reduction(project, steps, progress=progress)


def _least_opaque(wanted: Lab, below: Sequence[Film], words: Sequence[Opacity], paper: Ground) -> tuple[Lab, Opacity]:
    """The first of some opacities that reaches the colour, or else the one that comes nearest."""
    tried = []
    for word in words:
        lab, left = ink_over(wanted, below, word, paper)
        tried.append((left, lab, word))
        if left <= OUT_OF_REACH_DE00 / 2:
            break
    _, lab, word = min(tried, key=lambda each: each[0])
    return lab, word


def _opacities(project: Project) -> dict[int, Opacity]:
    """Opacity by flat colour, of the inks that print them now."""
    found: dict[int, Opacity] = {}
    standing: set[int] = set()
    nested = is_reduction(project)
    for pull in reversed(project.impressions):
        for place, zone in enumerate(pull.zones):
            own = set(zone_colours(project, pull, place)) - (standing if nested else set())
            if len(own) == 1:
                found[own.pop()] = project.ink(zone.ink).opacity
        standing |= set(project.block(pull.block).colours)
    return found


def with_one_block_per_colour(project: Project, key: int | None = None) -> Project:
    """The project the plain way again: a block and an ink for each colour, light to dark, the key last."""
    if project.flat is None:
        raise ProjectError("flat", tr("There is no flat design yet: open a picture first."))
    colours = project.flat.colours
    printed = [n for n in range(len(colours)) if n not in project.bare_colours()]
    order = sorted(printed, key=lambda n: (n == key, -colours[n].lab[0]))
    word = _opacities(project)
    inks, blocks, pulls = [], [], []
    for place, number in enumerate(order, start=1):
        colour = colours[number]
        inks.append(Ink(f"ink{place}", colour.name, colour.lab, word.get(number, "transparent")))
        blocks.append(Block(f"block{place}", colour.name, (number,), is_key=number == key))
        pulls.append(Impression(f"pull{place}", f"block{place}", (Zone(f"ink{place}"),)))
    return replace(project, inks=tuple(inks), blocks=tuple(blocks), impressions=tuple(pulls))


def light_to_dark_colours(project: Project) -> tuple[int, ...]:
    """Numbers of the printed flat colours, L* falling."""
    assert project.flat is not None
    bare, colours = project.bare_colours(), project.flat.colours
    printed = [n for n in range(len(colours)) if n not in bare]
    return tuple(sorted(printed, key=lambda n: -colours[n].lab[0]))


def reordered(project: Project, impression_id: str, place: int) -> Project:
    """A reduction with one pull at another place; the states nest anew, the inks stay as they are.

    Among the passes of its own state a pull moves alone; farther, all of them go.
    Working the inks out for another stack takes longer than a drag may: `with_reduction` does it.
    """
    moving = project.impression(impression_id)
    place = min(max(place, 0), len(project.impressions) - 1)
    if project.impressions[place].block == moving.block:
        pulls = [pull for pull in project.impressions if pull.id != impression_id]
        pulls.insert(place, moving)
        return nested(project, pulls)
    group = [pull for pull in project.impressions if pull.block == moving.block]
    pulls = [pull for pull in project.impressions if pull.block != moving.block]
    before = sum(pull.block != moving.block for pull in project.impressions[:place])
    if place > project.impressions.index(moving):
        before = len(pulls) - sum(pull.block != moving.block for pull in project.impressions[place + 1 :])
    # A group never lands between the passes of another state.
    while 0 < before < len(pulls) and pulls[before - 1].block == pulls[before].block:
        before += 1
    return nested(project, [*pulls[:before], *group, *pulls[before:]])


def passes(pulls: Iterable[Impression]) -> tuple[tuple[Impression, ...], ...]:
    """The pulls of a reduction by the state they print, in print order: a state may be printed again."""
    found: dict[str, list[Impression]] = {}
    for pull in pulls:
        found.setdefault(pull.block, []).append(pull)
    return tuple(tuple(some) for some in found.values())


def nested(project: Project, pulls: Sequence[Impression]) -> Project:
    """A reduction with its pulls in another order; the states nest anew, the inks stay as they are.

    All passes of a state are printed before the next cut, so they stay together.
    """
    standing = [set(project.block(some[0].block).colours) for some in passes(project.impressions)]
    after: list[set[int]] = [*standing[1:], set()]
    own = {
        some[0].block: now - then for some, now, then in zip(passes(project.impressions), standing, after, strict=True)
    }
    states: dict[str, tuple[int, ...]] = {}
    left: set[int] = set()
    grouped = passes(pulls)
    for some in reversed(grouped):
        left |= own[some[0].block]
        states[some[0].block] = tuple(sorted(left))
    pulls = [pull for some in grouped for pull in some]
    blocks = tuple(replace(block, colours=states[block.id]) for block in project.blocks)
    return replace(project, blocks=blocks, impressions=tuple(pulls))


def nested_light_to_dark(project: Project) -> Project:
    """A reduction with its pulls by the lightness of what each leaves standing, the inks as they are."""
    assert project.flat is not None
    colours = project.flat.colours
    groups, steps = passes(project.impressions), layer_steps(project)
    if len(groups) != len(steps):
        return project
    order = sorted(zip(groups, steps, strict=True), key=lambda pair: -colours[pair[1][0]].lab[0])
    return nested(project, [pull for some, _ in order for pull in some])


def cut_before(project: Project) -> tuple[tuple[int, ...], ...]:
    """For each pull the colours that are cut away before it, in print order; none before the first."""
    if not is_reduction(project):
        return tuple(() for _ in project.impressions)
    states = [set(project.block(impression.block).colours) for impression in project.impressions]
    gone = [sorted(then - now) for then, now in pairwise(states)]
    return ((), *(tuple(numbers) for numbers in gone))
