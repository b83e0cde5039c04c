"""Reading a proof, practised: proofs with known faults, what the printmaker says of them, and the answer."""

import dataclasses
from dataclasses import dataclass
from typing import Literal, get_args

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.units import length_text
from nomos.devices import uneven_inking
from nomos.project.model import Project
from nomos.project.register.scan import printed_sheet
from nomos.project.register.system import middle_of, sheet_of
from nomos.project.sheet.masks import CutBlocks
from nomos.registration import Motion

Picture = NDArray[np.uint8]
Kind = Literal["out of register", "too much ink", "too little ink", "dirty ground"]
KINDS: tuple[Kind, ...] = get_args(Kind)
KIND_WORDS: dict[Kind, str] = {
    "out of register": tr("out of register"),
    "too much ink": tr("too much ink"),
    "too little ink": tr("too little ink, or dry paper"),
    "dirty ground": tr("dirty ground"),
}
# What each fault looks like on paper; common practice, no source.
_SIGNS: dict[Kind, str] = {
    "out of register": tr("its edges leave bare paper on one side and lie over their neighbour on the other."),
    "too much ink": tr("its shapes have grown on all sides alike and fine gaps in it have filled."),
    "too little ink": tr("its solid is broken and grainy, while its edges lie where they should."),
    "dirty ground": tr("specks of its ink stand where its block was cleared."),
}
# Exercises are drawn so fine; shifts are at least this far, so that they can be seen. Chosen by us.
_PX_PER_MM, _SHIFTS_MM, _TURNS_DEG = 6.0, (0.4, 1.0), (0.15, 0.4)
_SPREAD_MM, _MISSING = 0.35, 0.7
# An answer is right within this of the true shift, or this share of it.
_CLOSE_MM, _CLOSE_SHARE = 0.15, 0.35


@dataclass(frozen=True)
class Fault:
    """What is wrong with one pull; a shift in mm as seen on the print, and a turn."""

    pull: str
    kind: Kind
    dx_mm: float = 0.0
    dy_mm: float = 0.0
    rotation_deg: float = 0.0


@dataclass(frozen=True, eq=False)
class Exercise:
    """A proof to read: its picture, and what is wrong with it."""

    number: int
    faults: tuple[Fault, ...]
    picture: Picture
    px_per_mm: float


@dataclass(frozen=True)
class Marking:
    """How well an answer did: points of 3, and why."""

    points: int
    text: str


def make_exercise(project: Project, blocks: CutBlocks, number: int, faults: int = 1) -> Exercise:
    """A proof with one or several faults, always the same for its number.

    Raises
    ------
    ProjectError : nothing to print.
    """
    hand = np.random.default_rng([number, 7])
    pulls = list(hand.permutation(len(project.impressions)))[: max(1, faults)]
    chosen = tuple(_fault(project, int(pull), hand) for pull in pulls)
    return Exercise(number, chosen, _proof(project, blocks, chosen, number), _PX_PER_MM)


def _fault(project: Project, pull: int, hand: np.random.Generator) -> Fault:
    identity = project.impressions[pull].id
    kind = KINDS[int(hand.choice(len(KINDS), p=(0.55, 0.15, 0.15, 0.15)))]
    if kind != "out of register" or len(project.impressions) == 1:
        return Fault(identity, kind if kind != "out of register" else "too much ink")
    way, far = hand.uniform(0, 2 * np.pi), hand.uniform(*_SHIFTS_MM)
    turn = float(hand.choice([0.0, 0.0, 1.0]) * hand.choice([-1, 1]) * hand.uniform(*_TURNS_DEG))
    return Fault(identity, kind, round(float(far * np.cos(way)), 1), round(float(far * np.sin(way)), 1), round(turn, 2))


def _proof(project: Project, blocks: CutBlocks, faults: tuple[Fault, ...], seed: int) -> Picture:
    """The sheet with its faults."""
    import cv2
    from msgspec.structs import replace

    by_pull = {fault.pull: fault for fault in faults}
    width, height = (round(side * _PX_PER_MM) for side in sheet_of(project))
    motions, inking, masks = [], [], list(blocks.masks)
    hand = np.random.default_rng([seed, 11])
    # Each pull gets a block of its own, so that a fault of one impression is not one of the others.
    own_blocks, pulls = [], []
    for place, pull in enumerate(project.impressions):
        fault = by_pull.get(pull.id)
        mask = blocks.masks[project.number_of(pull.block)]
        ink: NDArray[np.float32] | None = None
        motion = Motion(middle_of(project), (0.0, 0.0), 0.0)
        if fault is not None and fault.kind == "out of register":
            motion = Motion(middle_of(project), (fault.dx_mm, fault.dy_mm), fault.rotation_deg)
        elif fault is not None and fault.kind == "too much ink":
            size = 2 * round(_SPREAD_MM * blocks.px_per_mm) + 1
            disc = cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (size, size))
            mask = np.asarray(cv2.dilate(mask, disc), np.uint8)
        elif fault is not None and fault.kind == "too little ink":
            grain = uneven_inking((height, width), 1.0, 2.0, seed * 31 + place)
            ink = np.asarray(1 - _MISSING * (grain < np.median(grain)), np.float32)
        elif fault is not None:
            mask = _with_specks(mask, blocks.px_per_mm, hand)
        block = replace(project.block(pull.block), id=f"{pull.id}-alone")
        own_blocks.append(block)
        pulls.append(replace(pull, block=block.id))
        masks.append(mask)
        motions.append(motion)
        inking.append(ink)
    alone = replace(
        project,
        blocks=(*project.blocks, *own_blocks),
        impressions=tuple(pulls),
        register=dataclasses.replace(project.register, marks="none"),
    )
    laid = CutBlocks(blocks.labels, tuple(masks), blocks.px_per_mm, tuple(masks))
    return printed_sheet(alone, laid, motions, _PX_PER_MM, inking)


def _with_specks(mask: NDArray[np.uint8], px_per_mm: float, hand: np.random.Generator) -> NDArray[np.uint8]:
    """Chatter: short strokes of ink on cleared ground, more than 3 mm from what prints."""
    import cv2

    away = cv2.distanceTransform((mask == 0).astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_5)
    rows, columns = np.nonzero(away > 3 * px_per_mm)
    made = mask.copy()
    if len(rows):
        for place in hand.choice(len(rows), min(60, len(rows)), replace=False):
            x, y = int(columns[place]), int(rows[place])
            long = hand.uniform(0.8, 2.4) * px_per_mm
            end = (x + round(long * hand.uniform(0.8, 1.0)), y + round(long * hand.uniform(-0.3, 0.3)))
            cv2.line(made, (x, y), end, 1, max(1, round(0.3 * px_per_mm)))
    return made


def mark_answer(project: Project, exercise: Exercise, answer: Fault) -> Marking:
    """Points for an answer: one for the pull, one for what is wrong, one for which way and how far."""
    named = next((fault for fault in exercise.faults if fault.pull == answer.pull), None)
    if named is None:
        return Marking(0, tr("Not that one. ") + _explained(project, exercise))
    points = 1
    if named.kind != answer.kind:
        return Marking(
            points,
            tr("The right block, but it is {kind_words}. ", kind_words=KIND_WORDS[named.kind])
            + _explained(project, exercise),
        )
    points += 1
    if named.kind != "out of register":
        return Marking(3, tr("Right. ") + _explained(project, exercise))
    off = float(np.hypot(answer.dx_mm - named.dx_mm, answer.dy_mm - named.dy_mm))
    far = float(np.hypot(named.dx_mm, named.dy_mm))
    if off <= max(_CLOSE_MM, _CLOSE_SHARE * far):
        return Marking(
            3, tr("Right, {off} from the true place. ", off=length_text(off, 2)) + _explained(project, exercise)
        )
    return Marking(
        points,
        tr("The right block, but {off} from the true shift. ", off=length_text(off)) + _explained(project, exercise),
    )


def _explained(project: Project, exercise: Exercise) -> str:
    """What was wrong, and how it shows."""
    said = []
    for fault in exercise.faults:
        name = project.block(project.impression(fault.pull).block).name
        what = KIND_WORDS[fault.kind]
        if fault.kind == "out of register":
            what += tr(
                ", {dx_mm} to the {also} and {dy_mm} {also_2}",
                dx_mm=length_text(abs(fault.dx_mm)), also="right" if fault.dx_mm >= 0 else "left",
                dy_mm=length_text(abs(fault.dy_mm)), also_2=tr("down") if fault.dy_mm >= 0 else tr("up"),
            )  # fmt: skip
            if fault.rotation_deg:
                way = tr("clockwise") if fault.rotation_deg > 0 else tr("anticlockwise")
                what += tr(", turned {rotation_deg:.2f}° {way}", rotation_deg=abs(fault.rotation_deg), way=way)
        said.append(f"{name}: {what}; {_SIGNS[fault.kind]}")
    return " ".join(said)
