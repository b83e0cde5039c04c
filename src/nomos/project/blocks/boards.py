"""Two-sided boards: which two blocks are cut on the faces of one, and how it is turned."""

from itertools import pairwise

from msgspec.structs import replace

from nomos.base.language import tr
from nomos.project.model import Block, Project, ProjectError
from nomos.registration import Rect, TurnError, seated_corner, turning_error


def board_pairs(project: Project) -> tuple[tuple[Block, Block], ...]:
    """Front and back of each board that is cut on both faces, in print order of the fronts."""
    fronts = [block for block in project.blocks if block.board and block.face == "front"]
    order = {pull.block: place for place, pull in reversed(list(enumerate(project.impressions)))}
    pairs = [
        (front, back)
        for front in fronts
        for back in project.blocks
        if back.face == "back" and back.board == front.board
    ]
    return tuple(sorted(pairs, key=lambda pair: order.get(pair[0].id, len(order))))


def front_of(project: Project, block: Block) -> Block | None:
    """The block on the front of the board whose back this is; None for a front, or a board of its own."""
    return next((front for front, back in board_pairs(project) if back.id == block.id), None)


def with_two_sided(project: Project) -> Project:
    """The project with two blocks on each board; of an odd number the key has a board of its own.

    Notes
    -----
    Blocks are paired so that the two faces of a board are printed as far apart in
    time as can be, half the number of pulls: the back has to be clean and dry
    before it lies on the bed (common practice, no source).
    """
    order = list(dict.fromkeys(pull.block for pull in project.impressions))
    if len(order) < 2:
        raise ProjectError("blocks", tr("There must be two blocks before they can share a board."))
    if len(order) % 2:
        alone = next((block.id for block in project.blocks if block.is_key), order[-1])
        order.remove(alone)
    half = len(order) // 2
    board = {block: f"board{1 + place % half}" for place, block in enumerate(order)}
    backs = set(order[half:])
    return replace(
        project,
        blocks=tuple(
            replace(block, board=board.get(block.id), face="back" if block.id in backs else "front", kerf_mm=None)
            for block in project.blocks
        ),
    )


def with_split_boards(project: Project) -> Project:
    """The project with a board for each block."""
    return replace(project, blocks=tuple(replace(block, board=None, face="front") for block in project.blocks))


def printed_in_turn(project: Project) -> tuple[tuple[Block, Block], ...]:
    """Boards of which one face is printed right after the other."""
    order = [pull.block for pull in project.impressions]
    return tuple(
        (front, back)
        for front, back in board_pairs(project)
        if any({one, other} == {front.id, back.id} for one, other in pairwise(order))
    )


def turned_text(project: Project) -> str:
    """Which corner seats when the board is turned to its back, and how the drawing lies there."""
    turn, hand = project.workshop.turned, project.kento.hand
    seats = seated_corner(hand, turn)
    reads = tr("right-reading") if turn == "sideways" else tr("upside down")
    way = tr("like a page") if turn == "sideways" else tr("away from you")
    return tr(
        "Turned {turn} ({way}), what was the board's {seats} corner on the front lies where its corner seats. "
        "Both faces are cut mirrored; seen through the board from the front, the "
        "back's drawing is {reads}.",
        turn=tr(turn), way=way, seats=seats, reads=reads,
    )  # fmt: skip


def turn_error(project: Project, block: Rect) -> TurnError:
    """What the workshop's untrue boards would cost on the back."""
    size = (block.width, block.height)
    return turning_error(size, project.workshop.untrue_mm, project.workshop.turned)
