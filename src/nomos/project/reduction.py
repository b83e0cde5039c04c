"""Reduction: one board, printed and cut further, its states nested in print order.

Each state is a `Block` on the same board; a state prints its own colour and
all that come after it. What is cut away before a pull is the colour of the pull
before, and nothing cut away can be put back.
"""

from collections.abc import Sequence
from itertools import pairwise

from msgspec.structs import replace

from nomos.colour import OPACITIES, Film, Lab, Opacity, ink_film
from nomos.colour.inverse import ink_over
from nomos.progress import NULL_PROGRESS, Progress
from nomos.project.model import Block, Impression, Ink, Project, ProjectError, Zone

BOARD = "board1"
# Beyond this a colour of a reduction counts as out of reach (chosen by us).
OUT_OF_REACH_DE00 = 5.0


def is_reduction(project: Project) -> bool:
    """Whether the blocks are states of one board."""
    boards = [block.board for block in project.blocks]
    return len(boards) > 1 and boards[0] is not None and len(set(boards)) == 1


def layer_order(project: Project) -> tuple[int, ...]:
    """The colour each pull of a reduction leaves standing as its own, in print order."""
    states = [project.block(impression.block).colours for impression in project.impressions]
    later: list[tuple[int, ...]] = [*states[1:], ()]
    own = [sorted(set(now) - set(then)) for now, then in zip(states, later, strict=True)]
    return tuple(number for numbers in own for number in numbers)


def with_reduction(
    project: Project, order: Sequence[int] | None = None, *, progress: Progress = NULL_PROGRESS
) -> Project:
    """The project as a reduction from one board.

    Parameters
    ----------
    order : numbers of the flat colours, first printed first; None keeps the order of a reduction,
        and otherwise prints light to dark.

    Notes
    -----
    Each ink is worked out so that the stack shows the wanted colour: what is
    below it is all that was printed before. A project that is a reduction keeps
    the opacity of its inks; otherwise each ink is the least opaque that will do.
    """
    if project.flat is None:
        raise ProjectError("flat", "There is no flat design yet: open a picture first.")
    colours = project.flat.colours
    printed = [n for n in range(len(colours)) if n not in project.bare_colours()]
    if order is None:
        order = layer_order(project) if is_reduction(project) else light_to_dark_colours(project)
    if sorted(order) != printed:
        raise ProjectError("order", "A reduction prints every colour once; name each of them in its order.")
    word = _opacities(project) if is_reduction(project) else {}
    below: list[Film] = []
    inks, blocks, pulls = [], [], []
    for place, number in enumerate(order):
        colour = colours[number]
        progress.report(place / len(order), f"working out the ink of {colour.name.lower()}")
        words = (word[number],) if number in word else OPACITIES
        lab, asked = _least_opaque(colour.lab, below, words, project.paper.lab)
        below.append(ink_film(lab, asked, project.paper.lab))
        # Named after the colour, so that a pull stays the same one when it is moved.
        inks.append(Ink(f"ink{number}", colour.name, lab, asked))
        state = tuple(sorted(order[place:]))
        blocks.append(Block(f"block{number}", colour.name, state, board=BOARD))
        pulls.append(Impression(f"pull{number}", f"block{number}", (Zone(f"ink{number}"),)))
    return replace(project, inks=tuple(inks), blocks=tuple(blocks), impressions=tuple(pulls))


def _least_opaque(
    wanted: Lab, below: Sequence[Film], words: Sequence[Opacity], paper: Lab
) -> tuple[Lab, Opacity]:
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
    states = [set(project.block(impression.block).colours) for impression in project.impressions]
    nested = is_reduction(project)
    for place, impression in enumerate(project.impressions):
        later = states[place + 1] if nested and place + 1 < len(states) else set()
        own = states[place] - later
        if len(own) == 1:
            found[own.pop()] = project.ink(impression.zones[0].ink).opacity
    return found


def with_one_block_per_colour(project: Project, key: int | None = None) -> Project:
    """The project the plain way again: a block and an ink for each colour, light to dark, the key last."""
    if project.flat is None:
        raise ProjectError("flat", "There is no flat design yet: open a picture first.")
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

    Working the inks out for another stack takes longer than a drag may: `with_reduction` does it.
    """
    standing = [set(project.block(pull.block).colours) for pull in project.impressions]
    after: list[set[int]] = [*standing[1:], set()]
    own = {pull.id: now - then for pull, now, then in zip(project.impressions, standing, after, strict=True)}
    moving = project.impression(impression_id)
    pulls = [pull for pull in project.impressions if pull.id != impression_id]
    pulls.insert(min(max(place, 0), len(pulls)), moving)
    states: dict[str, tuple[int, ...]] = {}
    left: set[int] = set()
    for pull in reversed(pulls):
        left |= own[pull.id]
        states[pull.block] = tuple(sorted(left))
    blocks = tuple(replace(block, colours=states[block.id]) for block in project.blocks)
    return replace(project, blocks=blocks, impressions=tuple(pulls))


def cut_before(project: Project) -> tuple[tuple[int, ...], ...]:
    """For each pull the colours that are cut away before it, in print order; none before the first."""
    if not is_reduction(project):
        return tuple(() for _ in project.impressions)
    states = [set(project.block(impression.block).colours) for impression in project.impressions]
    gone = [sorted(then - now) for then, now in pairwise(states)]
    return ((), *(tuple(numbers) for numbers in gone))
