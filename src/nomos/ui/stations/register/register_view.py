"""The answer of the Register station."""

from dataclasses import dataclass

import numpy as np

from nomos.base.language import opened, tr, within
from nomos.base.units import length_text, lengths_text, number, size_text
from nomos.colour import lab_to_hex
from nomos.project import Project, Proof, kento_or_reason
from nomos.project.register.system import advice_for, cure_text, marks_of, plan_of_system
from nomos.registration import SYSTEMS, KentoSettings, RegisterSettings, System, SystemAdvice
from nomos.registration.jig import block_effect
from nomos.ui.frame.rows import Row
from nomos.ui.frame.state import UiState


@dataclass(frozen=True)
class SystemChoice:
    """A system of registration, and how it suits the paper and the method."""

    system: System
    name: str
    fits: str


@dataclass(frozen=True)
class RegisterView:
    """How does every sheet meet every block?"""

    settings: KentoSettings
    sheet_mm: tuple[float, float]
    image_at_mm: tuple[float, float]
    figures: tuple[tuple[str, str], ...]
    refused: str
    steps: str
    rows: tuple[Row, ...]
    chosen: str | None
    offset: tuple[float, float, float]
    any_out: bool
    bare_text: str
    cure: str
    page: str
    register: RegisterSettings
    systems: tuple[SystemChoice, ...]
    why: str
    limits: str
    no_marks: str
    blocks_text: str


def register_view(project: Project, proof: Proof | None, state: UiState) -> RegisterView:
    """The Register station."""
    plan, refused = plan_of_system(project)
    register, hand = project.register, project.kento.hand
    system = SYSTEMS[register.system]
    figures: tuple[tuple[str, str], ...] = ()
    kento = kento_or_reason(project)[0]
    if plan is not None:
        figures = ((tr("Every block"), size_text(plan.block.width, plan.block.height)),)
        if system.notched and kento is not None:
            figures += (
                (tr("Corner notch, block face up"), tr("lower {hand}", hand=tr(hand))),
                (tr("Wood beyond, near edge"), length_text(kento.wood_beyond_mm[0])),
                (tr("Wood beyond, corner side"), length_text(kento.wood_beyond_mm[1])),
                (tr("Notch floor to image"), length_text(min(kento.floor_to_image_mm))),
            )
        figures += tuple((opened(each.what), each.length) for each in plan.dimensions if system.sheet_of_its_own)
    advice = advice_for(project)
    own = next(each for each in advice if each.system == register.system)
    best = next((each for each in advice if each.fitness > own.fitness), None)
    rows = []
    for impression in project.impressions:
        ink = project.ink(impression.main.ink)
        at = impression.offset
        figure = tr("in register")
        if at:
            figure = lengths_text(at.dx_mm, at.dy_mm, 2)
            figure += f", {number(at.rotation_deg, 2)}°" if at.rotation_deg else ""
        name = project.pull_name(impression.id)
        rows.append(Row(impression.id, lab_to_hex(np.array(ink.lab)), name, figure))
    chosen = project.impression(state.pull) if state.pull else None
    offset = chosen.offset if chosen else None
    bare = sum(spot[2] for spot in proof.spots) if proof else 0.0
    return RegisterView(
        project.kento,
        (project.paper.width_mm, project.paper.height_mm),
        (project.image.left, project.image.top),
        figures,
        refused,
        "\n".join(f"{place}. {step}" for place, step in enumerate(plan.steps, start=1)) if plan else "",
        tuple(rows),
        state.pull,
        (offset.dx_mm, offset.dy_mm, offset.rotation_deg) if offset else (0.0, 0.0, 0.0),
        any(impression.offset for impression in project.impressions),
        tr("△ Bare paper shows, largest spots {bare} mm² in all.", bare=number(bare)) if bare > 0.05 else "",
        cure_text(project, chosen) if chosen else "",
        state.page,
        register,
        tuple(SystemChoice(each, SYSTEMS[each].said, _fits(advice, each)) for each in SYSTEMS),
        f"{own.reason}"
        + (
            tr(" Better here: {lower}. {reason}", lower=within(SYSTEMS[best.system].said), reason=best.reason)
            if best
            else ""
        ),
        "\n".join(plan.limits) if plan else "",
        marks_of(project)[1],
        _block_text(project) if system.holds_block else "",
    )


_WORDS = (tr("will not do"), tr("with care"), tr("suits"))


def _fits(advice: tuple[SystemAdvice, ...], system: System) -> str:
    return _WORDS[next(each.fitness for each in advice if each.system == system)]


def _block_text(project: Project) -> str:
    """What a block half a millimetre small, or out of square, would do in the jig."""
    plan, _ = plan_of_system(project)
    if plan is None:
        return ""
    size = (plan.block.width, plan.block.height)
    right = project.kento.hand == "right"
    small = block_effect(size, (0.5, 0.5), 0.0, "middle", right_handed=right)
    lean = block_effect(size, (0.0, 0.0), 0.5, "side", right_handed=right)
    return tr(
        "A block {wrong_mm} too small with its drawing in the middle prints {worst_mm} out; "
        "drawn from its stopped corner it prints in place. One side {wrong_mm} out of square "
        "puts the far corner {worst_mm_2} out if the drawing follows that side.",
        wrong_mm=length_text(0.5), worst_mm=length_text(small.worst_mm, 2), worst_mm_2=length_text(lean.worst_mm, 2),
    )  # fmt: skip
