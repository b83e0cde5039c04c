"""What the Blocks station shows of how the print is made: the four ways and what each asks for."""

from dataclasses import dataclass

from nomos.base.language import tr
from nomos.base.units import counted, length_text, number
from nomos.project import Project, Proof
from nomos.project.blocks.boards import board_pairs, turn_error, turned_text
from nomos.project.blocks.jigsaw import sawn_block
from nomos.project.blocks.keys import carrying_text
from nomos.project.blocks.methods import METHODS, Method, method_of
from nomos.project.blocks.pulls import between_pulls
from nomos.project.blocks.reduction import is_reduction
from nomos.project.model import KERF_MM, Workshop
from nomos.project.register.system import plan_of_system
from nomos.registration import TurnError
from nomos.ui.frame.rows import Row
from nomos.ui.frame.sheet_view import Overlay
from nomos.ui.frame.state import UiState


@dataclass(frozen=True)
class MethodView:
    """How is it printed?

    ways : the four methods with what each takes.
    carrying : how the drawing comes onto the blocks.
    steps : of a reduction, what is cut before each pull.
    pieces : of a jigsaw, in a sentence.
    boards : of two-sided boards, front and back of each.
    """

    method: Method
    ways: tuple[Row, ...]
    workshop: Workshop
    kerf_mm: float
    carrying: str
    steps: tuple[tuple[str, str], ...]
    pieces: str
    boards: tuple[tuple[str, str], ...]
    turning: str
    can_tint: bool


def method_view(project: Project, proof: Proof | None, colour: int | None) -> MethodView:
    """The ways of printing. colour : the flat colour that is chosen."""
    sawn = sawn_block(project)
    method = method_of(project)
    pairs = board_pairs(project)
    turning = ""
    if pairs:
        plan = plan_of_system(project)[0]
        turning = turned_text(project) + (f" {_error_text(turn_error(project, plan.block))}" if plan else "")
    return MethodView(
        method,
        _ways(project),
        project.workshop,
        KERF_MM if sawn is None or sawn.kerf_mm is None else sawn.kerf_mm,
        carrying_text(project),
        _steps(project) if is_reduction(project) else (),
        _pieces_text(proof) if sawn is not None else "",
        tuple(
            (tr("Board {place}: {name}", place=place, name=front.name), tr("back: {name}", name=back.name))
            for place, (front, back) in enumerate(pairs, 1)
        ),
        turning,
        colour is not None,
    )


def _ways(project: Project) -> tuple[Row, ...]:
    colours = len(project.flat.colours) - len(project.bare_colours()) if project.flat else 0
    key = any(block.is_key for block in project.blocks)
    apart = METHODS[method_of(project)].own_blocks
    blocks = len(project.blocks) if apart else colours
    pulls = len(project.impressions) if apart else colours
    rows = []
    for name, method in METHODS.items():
        pulled, boards = method.pulls_boards(blocks, pulls, colours, key)
        figure = f"{counted(pulled, tr('pull'), tr('pulls'))}, {counted(boards, tr('board'), tr('boards'))}"
        rows.append(Row(name, "", method.name, figure, method.takes))
    return tuple(rows)


def _steps(project: Project) -> tuple[tuple[str, str], ...]:
    """What is done between the pulls of a reduction."""
    names = [project.pull_name(pull.id) for pull in project.impressions]
    notes = between_pulls(project)
    return tuple(
        (tr("After {place} {name}", place=place, name=name), note.split(", dry")[0].replace("cut away", "cut"))
        for place, (name, note) in enumerate(zip(names, notes, strict=False), start=1)
    )


def _pieces_text(proof: Proof | None) -> str:
    look = proof.close if proof else None
    if look is None or not look.pieces:
        return tr("The pieces are being counted.")
    necks = sum(len(piece.necks) for piece in look.pieces)
    inside = sum(piece.window_of is not None for piece in look.pieces)
    least = min(piece.area_mm2 for piece in look.pieces)
    return tr(
        "{pieces} pieces, the smallest {least} mm²; {necks} too thin, {inside} inside "
        "another. Numbered on the sheet and on the template.",
        pieces=len(look.pieces), least=number(least, 0), necks=counted(necks, tr("neck"), tr("necks")), inside=inside,
    )  # fmt: skip


def _error_text(error: TurnError) -> str:
    turned = tr(", turned {rotation_deg}°", rotation_deg=number(error.rotation_deg, 2)) if error.rotation_deg else ""
    return tr(
        "A back drawn from the front's edges would be up to {most_mm} out{turned}; notches "
        "cut into each face, or a back drawn in the jig, do not mind.",
        most_mm=length_text(error.most_mm),
        turned=turned,
    )


def loose_over(project: Project, proof: Proof | None, state: UiState) -> Overlay | None:
    """The numbers of the parts that fall out of a plate cut right through, at the chosen pull."""
    look = proof.close if proof is not None else None
    loose = next((each for each in look.loose if each.pull == state.pull), None) if look else None
    if loose is None or not loose.places:
        return None
    left, top = project.image.left, project.image.top
    numbered = enumerate(loose.places, start=1)
    return Overlay(tuple((left + x, top + y, str(number_of)) for number_of, (x, y) in numbered))
