"""The ways of printing, all from the same blocks and impressions: one record each.

A further method is one record in `METHODS`; nothing outside compares names.
"""

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.project.blocks.boards import board_pairs, with_split_boards, with_two_sided
from nomos.project.blocks.jigsaw import sawn_block, with_jigsaw
from nomos.project.blocks.pulls import ordered
from nomos.project.blocks.reduction import is_reduction, with_one_block_per_colour, with_reduction
from nomos.project.model import Project
from nomos.separation.plans import CandidateInk

Method = str


@dataclass(frozen=True)
class Making:
    """What a method makes a project of: the project, the drawn key's number, inks to choose from."""

    project: Project
    drawn_key: int | None
    shelf: Sequence[CandidateInk]
    progress: Progress


@dataclass(frozen=True)
class PrintingMethod:
    """A way of printing.

    name : in a list; takes : what it takes, in a line; beside : laid beside another print; undo : what
        undoing it is called; record : in the edition's statement.
    holds : whether a project is printed so.
    made : the project printed so.
    pulls_boards : pulls and boards, of the blocks, pulls and colours there are and whether there is a key.
    own_blocks : each colour has a block of its own, and the drawing is carried onto every one.
    little : what a colour that covers hardly anything costs, and what to do instead.
    shares : colours can be inked apart on one block.
    """

    name: str
    takes: str
    beside: str
    undo: str
    record: str
    holds: Callable[[Project], bool]
    made: Callable[[Making], Project]
    pulls_boards: Callable[[int, int, int, bool], tuple[int, int]]
    little: str
    own_blocks: bool = False
    shares: bool = True


def _block_by_block(of: Making) -> Project:
    if METHODS["twosided"].holds(of.project):
        return with_split_boards(of.project)
    return with_one_block_per_colour(of.project, of.drawn_key)


def _reduced(of: Making) -> Project:
    apart = with_split_boards(of.project) if METHODS["twosided"].holds(of.project) else of.project
    return with_reduction(apart, shelf=of.shelf, progress=of.progress)


def _two_sided(of: Making) -> Project:
    own = METHODS[method_of(of.project)]
    if own is METHODS["twosided"]:
        return with_two_sided(with_split_boards(of.project))
    return with_two_sided(of.project if own.own_blocks else with_one_block_per_colour(of.project, of.drawn_key))


_A_BLOCK = tr("A block and a pull for so little: leave it bare, or ink it apart on another block.")

# The last one that holds is what a project is called: block by block is what is left.
METHODS: dict[Method, PrintingMethod] = {
    "multiblock": PrintingMethod(
        tr("Block by block"), tr("each colour on a block of its own"), tr("block by block"),
        tr("A block a colour"), tr("a block for each impression"), lambda _project: True, _block_by_block,
        lambda blocks, pulls, _colours, _key: (pulls, blocks), _A_BLOCK, own_blocks=True,
    ),
    "reduction": PrintingMethod(
        tr("Reduction"), tr("one board, cut further before each pull"), tr("as a reduction"),
        tr("Reduction"), tr("a reduction from one block"), is_reduction, _reduced,
        lambda _blocks, _pulls, colours, _key: (colours, 1),
        tr("A state and a pull for so little: leave it bare, or ink it apart in another colour's pull."),
    ),
    "jigsaw": PrintingMethod(
        tr("Jigsaw"), tr("sawn apart, inked apart, printed at once"), tr("as a jigsaw"), tr("Jigsaw"),
        tr("a jigsaw, one block sawn into pieces"), lambda project: sawn_block(project) is not None,
        lambda of: with_jigsaw(of.project, of.drawn_key, shelf=of.shelf),
        lambda _blocks, _pulls, _colours, key: (2, 2) if key else (1, 1),
        tr("A piece to saw and ink for so little: leave it bare, or make it one with its neighbour."), shares=False,
    ),
    "twosided": PrintingMethod(
        tr("Two-sided"), tr("two blocks on the faces of each board"), tr("on two-sided boards"),
        tr("Two-sided boards"), tr("blocks on both faces of boards"),
        lambda project: bool(board_pairs(project)) and not is_reduction(project), _two_sided,
        lambda blocks, pulls, _colours, _key: (pulls, (blocks + 1) // 2), _A_BLOCK, own_blocks=True,
    ),
}  # fmt: skip
USUAL_METHOD: Method = next(iter(METHODS))


def method_of(project: Project) -> Method:
    """How the project is printed."""
    return next(name for name in reversed(METHODS) if METHODS[name].holds(project))


def with_method(
    project: Project, method: Method, drawn_key: int | None = None, *, shelf: Sequence[CandidateInk] = (),
    progress: Progress = NULL_PROGRESS,
) -> Project:  # fmt: skip
    """The project printed another way.

    drawn_key : number of the flat colour of dark lines, if the design has one.
    shelf : inks for a reduction or a jigsaw to choose from; without any, they are mixed.
    """
    return METHODS[method].made(Making(project, drawn_key, shelf, progress))


def with_usual_order(project: Project, key: str, *, progress: Progress = NULL_PROGRESS) -> Project:
    """The project printed in one of the usual orders (`ordered`); a reduction's inks follow."""
    other = ordered(project, key)
    return with_reduction(other, progress=progress) if is_reduction(project) else other
