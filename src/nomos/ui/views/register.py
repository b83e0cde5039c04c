"""The answer of the Register station."""

from dataclasses import dataclass

import numpy as np

from nomos.colour import lab_to_hex
from nomos.project import Project, Proof, kento_or_reason
from nomos.project.registering import cure_text
from nomos.registration import KentoSettings
from nomos.ui.views.rows import Row
from nomos.ui.views.state import UiState
from nomos.units import number, size_text


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


def register_view(project: Project, proof: Proof | None, state: UiState) -> RegisterView:
    """The Register station."""
    kento, refused = kento_or_reason(project)
    figures: tuple[tuple[str, str], ...] = ()
    if kento is not None:
        hand = project.kento.hand
        figures = (
            ("Every block", size_text(kento.block.width, kento.block.height)),
            ("Corner notch, block face up", f"lower {hand}"),
            ("Wood beyond, near edge", f"{number(kento.wood_beyond_mm[0])} mm"),
            ("Wood beyond, corner side", f"{number(kento.wood_beyond_mm[1])} mm"),
            ("Notch floor to image", f"{number(min(kento.floor_to_image_mm))} mm"),
        )
    rows = []
    for impression in project.impressions:
        ink = project.ink(impression.zones[0].ink)
        at = impression.offset
        figure = "in register"
        if at:
            figure = f"{number(at.dx_mm, 2)}, {number(at.dy_mm, 2)} mm"
            figure += f", {number(at.rotation_deg, 2)}°" if at.rotation_deg else ""
        name = project.block(impression.block).name
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
        "Seat the sheet's corner first, then its edge at the straight notch, then let it fall.",
        tuple(rows),
        state.pull,
        (offset.dx_mm, offset.dy_mm, offset.rotation_deg) if offset else (0.0, 0.0, 0.0),
        any(impression.offset for impression in project.impressions),
        f"△ Bare paper shows, largest spots {number(bare)} mm² in all." if bare > 0.05 else "",
        cure_text(project, chosen) if chosen else "",
        state.page,
    )
