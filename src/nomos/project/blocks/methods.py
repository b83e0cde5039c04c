"""The ways of printing, all from the same blocks and impressions."""

from collections.abc import Sequence
from typing import Literal, get_args

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.project.blocks.boards import board_pairs, with_boards_apart, with_two_sided
from nomos.project.blocks.jigsaw import sawn_block, with_jigsaw
from nomos.project.blocks.pulls import ordered
from nomos.project.blocks.reduction import is_reduction, with_one_block_per_colour, with_reduction
from nomos.project.model import Project
from nomos.separation.plans import CandidateInk

Method = Literal["multiblock", "reduction", "jigsaw", "twosided"]
METHODS: tuple[Method, ...] = get_args(Method)
METHOD_WORDS: dict[Method, str] = {
    "multiblock": tr("a block for each impression"),
    "reduction": tr("a reduction from one block"),
    "jigsaw": tr("a jigsaw, one block sawn into pieces"),
    "twosided": tr("blocks on both faces of boards"),
}


def method_of(project: Project) -> Method:
    """How the project is printed."""
    if is_reduction(project):
        return "reduction"
    if sawn_block(project) is not None:
        return "jigsaw"
    return "twosided" if board_pairs(project) else "multiblock"


def with_method(
    project: Project,
    method: Method,
    drawn_key: int | None = None,
    *,
    shelf: Sequence[CandidateInk] = (),
    progress: Progress = NULL_PROGRESS,
) -> Project:
    """The project printed another way.

    drawn_key : number of the flat colour of dark lines, if the design has one.
    shelf : inks for a reduction or a jigsaw to choose from; without any, they are mixed.
    """
    now = method_of(project)
    if method == "reduction":
        apart = with_boards_apart(project) if now == "twosided" else project
        return with_reduction(apart, shelf=shelf, progress=progress)
    if method == "jigsaw":
        return with_jigsaw(project, drawn_key, shelf=shelf)
    if now == "twosided":
        project = with_boards_apart(project)
    elif now != "multiblock":
        project = with_one_block_per_colour(project, drawn_key)
    elif method == "multiblock":
        return with_one_block_per_colour(project, drawn_key)
    return with_two_sided(project) if method == "twosided" else project


def with_usual_order(project: Project, key: str, *, progress: Progress = NULL_PROGRESS) -> Project:
    """The project printed in one of the usual orders (`ordered`); a reduction's inks follow."""
    other = ordered(project, key)
    return with_reduction(other, progress=progress) if is_reduction(project) else other
