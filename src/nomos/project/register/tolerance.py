"""How closely every sheet of a project will meet every block, and what will flash where it does not."""

import dataclasses
from dataclasses import dataclass

import numpy as np
from msgspec.structs import replace
from numpy.typing import NDArray

from nomos.base.language import opened, tr, within
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.base.strips import numbers_of
from nomos.base.units import length_text
from nomos.colour import delta_e00
from nomos.project.blocks.traps import border_traps
from nomos.project.inks.films import FilmKey, printed_reflectance
from nomos.project.model import LARGEST_TRAP_MM, Project, ProjectError
from nomos.project.register.system import advice_for, plan_of_system
from nomos.project.sheet.laying import Array
from nomos.project.sheet.masks import CutBlocks
from nomos.proof.flashing import MOST_PULLS, SEEN_MM2, Flashing, Prints, along_borders, on_whole_sheets
from nomos.registration import SYSTEMS
from nomos.registration.tolerance import Budget, ErrorModel, budget_of
from nomos.separation.masks import chosen

# A seam is darker than all that it is made of by so much lightness (chosen by us, no source).
_DARKER = 3.0
# Sets of pulls on less than this share of the sheet in register are accidents of the drawing's edges.
_STRAY_SHARE = 2e-4
# Whole sheets are laid at no more than so many pixels for each mm: gaps come out right on average.
_FINE_PX_PER_MM = 12.0
FAST_SHEETS, EXACT_SHEETS = 40, 100
# A sheet in ten may flash before the printmaker is told to do something about it (chosen by us).
FLASHING_SHARE = 0.1
# A little more trap than what was needed, as traps are cut by hand (chosen by us).
_TRAP_STEP_MM = 0.05


def budget_for(project: Project) -> Budget:
    """The project's budget: the printmaker's own figures, and defaults for the rest."""
    register, paper = project.register, project.paper
    return budget_of(
        register.system,
        register.budget,
        damp=register.damp,
        carried=project.workshop.carried,
        growth=paper.growth,
        grain=paper.grain,
    )


def error_model(project: Project) -> ErrorModel:
    """The errors of one pull. Raises ProjectError where the system has no room."""
    plan, reason = plan_of_system(project)
    if plan is None:
        raise ProjectError("register", reason)
    return ErrorModel(budget_for(project), plan.contacts, project.image)


def tolerance_map(model: ErrorModel, project: Project, steps: int = 24) -> tuple[Array, Array]:
    """Places, (rows, columns, 2) mm, and how far two pulls lie apart there on 95 of 100 sheets."""
    image = project.image
    x = np.linspace(image.left, image.right, steps)
    y = np.linspace(image.top, image.bottom, steps)
    places = np.stack(np.meshgrid(x, y), axis=-1)
    return places, model.two_pulls_mm(places)


def worst_mm(project: Project) -> tuple[float, float]:
    """The least and the most that two pulls lie apart within the image, on 95 of 100 sheets, mm."""
    _, apart = tolerance_map(error_model(project), project, 9)
    return float(apart.min()), float(apart.max())


def prints_of(project: Project, blocks: CutBlocks) -> Prints:
    """What is laid on every sheet. Raises ProjectError for nothing to print, or too many pulls."""
    if project.flat is None or not project.impressions:
        raise ProjectError("impressions", tr("There is nothing to print yet: open a picture first."))
    if len(project.impressions) > MOST_PULLS:
        raise ProjectError(
            "impressions",
            tr(
                "Sheets are simulated with up to {most_pulls} pulls, not {impressions}.",
                most_pulls=MOST_PULLS,
                impressions=len(project.impressions),
            ),
        )
    wanted = np.ones(256, bool)
    wanted[list(project.bare_colours())] = False
    masks = chosen(blocks.masks, (project.number_of(pull.block) for pull in project.impressions))
    return Prints(blocks.labels, masks, wanted, blocks.px_per_mm)


def seam_rule(project: Project, prints: Prints) -> "_SeamRule":
    """Which sets of pulls would show as a dark seam."""
    kind = np.uint16 if len(prints.masks) <= 16 else np.uint32
    bits = np.zeros(prints.labels.shape, kind)
    for place, mask in enumerate(prints.masks):
        bits |= np.left_shift(mask, place, dtype=kind)
    counts = numbers_of(bits, 1 << len(prints.masks))
    return _SeamRule(project, np.flatnonzero(counts > _STRAY_SHARE * bits.size).astype(np.uint32))


@dataclass(frozen=True, eq=False)
class _SeamRule:
    """A set of pulls that is nowhere in register, seen, and darker than all that it is made of."""

    project: Project
    meant: NDArray[np.uint32]

    def __call__(self, bits: NDArray[np.unsignedinteger]) -> NDArray[np.bool_]:
        labs, known = self._labs(bits), self._labs(self.meant)
        strange = ~np.isin(bits, self.meant)
        nearest = delta_e00(labs[:, None], known[None]).min(axis=1)
        part = ((self.meant[None] & ~bits[:, None]) == 0) & (self.meant != 0)[None]
        part &= (bits[:, None] & ~self.meant[None]) != 0
        darkest = np.where(part, known[None, :, 0], np.inf).min(axis=1)
        darker = np.isfinite(darkest) & (labs[:, 0] < darkest - _DARKER)
        return np.asarray(strange & (nearest > self.project.seam_de00) & darker)

    def _labs(self, bits: NDArray[np.unsignedinteger]) -> Array:
        from nomos.colour import reflectance_to_lab

        pulls = self.project.impressions
        rows = (bits[:, None] >> np.arange(len(pulls), dtype=np.uint32)) & 1 > 0
        keys = [FilmKey(pull.id, 0) for pull in pulls]
        return reflectance_to_lab(printed_reflectance(self.project, keys, rows))


def plausible_changes(project: Project, sheets: int, seed: int) -> Array:
    """Sheets drawn from the budget: (sheets, pulls, 6) affine changes, mm from the image's top left."""
    drawn = error_model(project).draw(np.random.default_rng(seed), sheets, len(project.impressions))
    left, top = project.image.left, project.image.top
    a, b, c, d, e, f = np.moveaxis(drawn, -1, 0)
    return np.stack([a + b * left + c * top, b, c, d + e * left + f * top, e, f], axis=-1)


def flash_fast(
    project: Project, blocks: CutBlocks, sheets: int = FAST_SHEETS, seed: int = 0, *, progress: Progress = NULL_PROGRESS
) -> Flashing:
    """The fast estimate, for answers while something is dragged. Raises ProjectError, Cancelled."""
    prints = prints_of(project, blocks)
    changes = plausible_changes(project, sheets, seed)
    return along_borders(prints, changes, seam_rule(project, prints), seed=seed, progress=progress)


def flash_exact(
    project: Project, blocks: CutBlocks, sheets: int = EXACT_SHEETS, seed: int = 0, *,
    progress: Progress = NULL_PROGRESS,
) -> Flashing:  # fmt: skip
    """Whole sheets, laid in full. Raises ProjectError, Cancelled."""
    step = max(1, round(blocks.px_per_mm / _FINE_PX_PER_MM))
    prints = prints_of(project, blocks)
    if step > 1:
        prints = Prints(
            np.ascontiguousarray(prints.labels[::step, ::step]),
            [np.ascontiguousarray(mask[::step, ::step]) for mask in prints.masks],
            prints.wanted,
            prints.px_per_mm / step,
        )
    changes = plausible_changes(project, sheets, seed)
    return on_whole_sheets(prints, changes, seam_rule(project, prints), progress=progress)


@dataclass(frozen=True)
class FlashCure:
    """What would cure the gaps, in a sentence, and what it comes to.

    trap_mm : a trap that closes them, if a trap does it.
    """

    text: str
    trap_mm: float | None = None


def cures(project: Project, flashing: Flashing) -> tuple[FlashCure, ...]:
    """What to do about gaps that flash on too many sheets; nothing where they do not.

    flashing : a fast estimate, which knows where gaps open.
    """
    if flashing.bare_sheets <= FLASHING_SHARE or not flashing.gaps:
        return ()
    assert project.flat is not None
    names = [colour.name for colour in project.flat.colours]
    kinds = {frozenset((trap.lighter, trap.darker)): trap for trap in border_traps(project)}
    worth = [gap for gap in flashing.gaps if gap.area_mm2 > SEEN_MM2]
    kissing = [gap for gap in worth if (trap := kinds.get(frozenset(gap.colours))) and trap.kind == "kiss"]
    spread = [gap for gap in worth if gap not in kissing]
    found = []
    if spread:
        more = max(gap.width_mm for gap in spread)
        trap_mm = float(np.ceil((project.trap_mm + more) / _TRAP_STEP_MM) * _TRAP_STEP_MM)
        if trap_mm <= LARGEST_TRAP_MM:
            where = ", ".join(
                tr("{names} and {names_2}", names=names[a], names_2=names[b])
                for a, b in (gap.colours for gap in spread[:2])
            )
            text = tr(
                "A trap of {trap_mm} closes the gaps that have one ({where}).",
                trap_mm=length_text(trap_mm, 2),
                where=where,
            )
            found.append(FlashCure(text, round(trap_mm, 2)))
    if kissing:
        gap = kissing[0]
        one, other = (names[n] for n in gap.colours)
        seam = kinds[frozenset(gap.colours)].seam_de00
        found.append(
            FlashCure(
                tr(
                    "{one} and {other} only kiss, as their overlap would be seen, ΔE {seam:.0f}. Allow "
                    "it, or lay a key line {width_mm} wide over the join.",
                    one=one, other=other, seam=seam, width_mm=length_text(max(2 * gap.width_mm, 0.6)),
                )
            )
        )  # fmt: skip
    parts = _parts(project)
    largest = max(parts, key=lambda name: parts[name])
    found.append(
        FlashCure(
            tr(
                "The largest part of the error is {largest}, ±{length_text}.",
                largest=largest,
                length_text=length_text(parts[largest], 2),
            )
        )
    )
    closer = _closer_system(project)
    if closer:
        found.append(FlashCure(closer))
    return tuple(found)


def _parts(project: Project) -> dict[str, float]:
    budget = budget_for(project)
    longest = max(project.image.width, project.image.height)
    return {
        tr("how the sheet is seated"): budget.seating_mm,
        tr("how the block sits"): budget.block_mm,
        tr("how the notches are cut"): budget.cutting_mm,
        tr("how the drawing is carried onto the blocks"): budget.transfer_mm,
        tr("how the paper grows"): max(budget.growth_pct) / 100 * longest,
    }


def _closer_system(project: Project) -> str:
    """Another system that suits the paper and would hold the sheet more closely, in a sentence."""
    _, now = worst_mm(project)
    for advice in advice_for(project):
        if advice.fitness == 0 or advice.system == project.register.system:
            continue
        other = replace(project, register=dataclasses.replace(project.register, system=advice.system))
        if plan_of_system(other)[0] is None:
            continue
        _, then = worst_mm(other)
        if then < 0.9 * now:
            name = within(SYSTEMS[advice.system].said)
            return tr(
                "{name} would hold ±{then} instead of ±{now} at the worst place.",
                name=opened(name), then=length_text(then), now=length_text(now),
            )  # fmt: skip
    return ""
