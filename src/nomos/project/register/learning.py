"""Learning from a proof: its fields against what was predicted, and what explains the difference best."""

import dataclasses
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from msgspec.structs import replace

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Progress
from nomos.base.units import number
from nomos.colour import as_lab, delta_e00, reflectance_to_lab
from nomos.colour.overprinting import overprints
from nomos.colour.spectra import Array
from nomos.project.inks.films import ground_of, predicted, solid_film, trapping_at, zone_keys
from nomos.project.model import Ink, Optics, Project
from nomos.project.register.proof_fields import FieldRead, lying_in
from nomos.project.register.proof_places import ProofPlace

_FACTORS = (0.4, 2.5)
# An explanation must take away so much of the difference to be offered (chosen by us).
_WORTH = 0.12
# Less than this is the scanner's noise (chosen by us).
_GAIN_DE00 = 0.1
_MOST_CAUSES = 3
# A proof this near needs no explanation.
_AS_WELL_DE00 = 0.1
_GOOD_DE00 = 0.3
# All inks are gone through so often.
_ROUNDS = 2
# Readings are drawn anew so often; a factor is never said to be surer than the last of these.
_REDRAWN, _SEED, _NINETY, _MISSED = 12, 3, 1.645, 0.06


@dataclass(frozen=True)
class Cause:
    """One explanation: what is otherwise than planned, by how much, and how far the rest is off then.

    ink : id of an ink that is stronger (factor above 1) or weaker than planned; or
    pull : id of an impression that took on the wet one before by the share `factor`.
    before, after : area-weighted mean ΔE00 without and with it.
    sure : nine in ten true factors lie so near to it. remedy : what to do, in a sentence.
    """

    text: str
    factor: float
    before: float
    after: float
    ink: str | None = None
    pull: str | None = None
    sure: float = 0.0
    remedy: str = ""


def explain(project: Project, fields: Sequence[FieldRead], *, progress: Progress = NULL_PROGRESS) -> tuple[Cause, ...]:
    """What is otherwise than planned: up to three causes one after the other, each the best for what is left.

    Every ink may be stronger or weaker, every wet impression may have taken more
    or less. Raises Cancelled.
    """
    seen = _Seen.of(fields)
    causes: list[Cause] = []
    current, left = project, seen.off(project)
    for place in range(_MOST_CAUSES):
        progress.report(place / _MOST_CAUSES, tr("looking for what explains it"))
        cause = _best_cause(current, seen)
        if cause is None or cause.after > min(left * (1 - _WORTH), left - _GAIN_DE00) or left < _GOOD_DE00:
            break
        cause = dataclasses.replace(cause, before=left, sure=_sure_of(current, seen, cause))
        if abs(cause.factor - 1) <= cause.sure:
            # It may as well be as planned: nothing is said of it.
            break
        causes.append(dataclasses.replace(cause, text=_cause_text(current, cause), remedy=_remedy(current, cause)))
        left, current = cause.after, with_cause(current, cause)
    return tuple(causes)


def strengths_of(
    project: Project, fields: Sequence[FieldRead], *, progress: Progress = NULL_PROGRESS
) -> dict[str, float]:
    """How strong each ink of a proof is, 1 as planned: all together, one after the other, twice round.

    An ink that no field was read of is left out. Raises Cancelled.
    """
    seen, keys = _Seen.of(fields), zone_keys(project)
    lying = sorted({film for each in fields for films, _ in each.films for film in films})
    zones = (project.impression(keys[film].pull).zones[keys[film].zone] for film in lying)
    inks = list(dict.fromkeys(zone.ink for zone in zones))
    factors = dict.fromkeys(inks, 1.0)
    for turn in range(_ROUNDS):
        for place, ink in enumerate(inks):
            progress.report((turn + place / len(inks)) / _ROUNDS, tr("looking for what explains it"))
            others = project
            for other, factor in factors.items():
                if other != ink and factor != 1:
                    others = with_cause(others, Cause("", factor, 0.0, 0.0, ink=other))
            factors[ink] = _fitted(others, seen, Cause("", 1.0, 0.0, 0.0, ink=ink)).factor
    return factors


def _sure_of(project: Project, seen: "_Seen", cause: Cause) -> float:
    """How near nine in ten true factors lie: the cause's factor again for readings as they could be as well."""
    generator = np.random.default_rng(_SEED)
    spread = seen.sure_de00 / _NINETY / np.sqrt(seen.labs.shape[1])
    others = (
        dataclasses.replace(seen, labs=seen.labs + generator.normal(size=seen.labs.shape) * spread)
        for _ in range(_REDRAWN)
    )
    factors = [_fitted(project, other, cause).factor for other in others]
    # What the laws of layers miss is as likely taken for ink (measured on simulated proofs, docs/method.md).
    return float(np.hypot(_NINETY * np.std(factors), _MISSED))


@dataclass(frozen=True, eq=False)
class _Seen:
    """What was read: colours, their weights, and what lies in each field."""

    labs: Array
    weights: Array
    lying: list[frozenset[int]]
    shares: Array
    sure_de00: float

    @classmethod
    def of(cls, fields: Sequence[FieldRead]) -> "_Seen":
        """What some fields hold."""
        return cls(
            np.array([each.read for each in fields]), np.array([each.area_mm2 for each in fields]),
            *lying_in([each.films for each in fields]), max((each.sure_de00 for each in fields), default=0.0),
        )  # fmt: skip

    def off(self, project: Project) -> float:
        """Area-weighted mean ΔE00 between what was read and what a project predicts."""
        return float(
            self.weights @ delta_e00(self.shares @ predicted(project, self.lying), self.labs) / self.weights.sum()
        )


def _best_cause(project: Project, seen: _Seen) -> Cause | None:
    """The cause, and its amount, that explains most."""
    made = [_fitted(project, seen, cause) for cause in _candidates(project)]
    # An ink that lies on wet ink alone is as well called weak; that it took badly there is the likelier.
    return min(made, key=lambda cause: cause.after - _AS_WELL_DE00 * (cause.pull is not None), default=None)


def _fitted(project: Project, seen: _Seen, cause: Cause) -> Cause:
    """The amount of a cause that explains most."""
    from scipy.optimize import minimize_scalar

    def off(factor: float) -> float:
        return seen.off(with_cause(project, dataclasses.replace(cause, factor=float(factor))))

    bounds = _FACTORS if cause.ink else (0.05, 1.0)
    found = minimize_scalar(off, bounds=bounds, method="bounded", options={"xatol": 0.01})
    return dataclasses.replace(cause, factor=float(found.x), after=float(found.fun))


def _candidates(project: Project) -> list[Cause]:
    causes = [Cause("", 1.0, 0.0, 0.0, ink=ink.id) for ink in project.inks]
    causes += [
        Cause("", 1.0, 0.0, 0.0, pull=pull.id)
        for place, pull in enumerate(project.impressions)
        if trapping_at(project, place) is not None
    ]
    return causes


def _cause_text(project: Project, cause: Cause) -> str:
    if cause.pull is not None:
        name = project.block(project.impression(cause.pull).block).name
        return tr(
            "{name} took only {factor} % (± {sure}) on the wet ink below it.",
            name=name, factor=number(100 * cause.factor, 0), sure=number(100 * cause.sure, 0),
        )  # fmt: skip
    assert cause.ink is not None
    name, share = project.ink(cause.ink).name, 100 * abs(cause.factor - 1)
    word = tr("stronger") if cause.factor > 1 else tr("weaker")
    return tr(
        "{name} is {share} % (± {sure}) {word} than planned.",
        name=name, share=number(share, 0), sure=number(100 * cause.sure, 0), word=word,
    )  # fmt: skip


def _remedy(project: Project, cause: Cause) -> str:
    """What to do for the next sheet, in a sentence."""
    if cause.pull is not None:
        return tr("Let the layer below dry longer, or make this ink looser than that one.")
    assert cause.ink is not None
    name = project.ink(cause.ink).name
    if cause.factor > 1:
        return tr(
            "Stir {grams} g of extender into 100 g of {name}, or ink it so much more thinly.",
            grams=number(100 * (cause.factor - 1), 0), name=name,
        )  # fmt: skip
    return tr(
        "Ink {name} more fully, by {share} %; or mix it anew with {share} % more ink to the same extender.",
        name=name, share=number(100 * (1 / cause.factor - 1), 0),
    )  # fmt: skip


def with_cause(project: Project, cause: Cause) -> Project:
    """The project as a cause says it is: an ink with other optics, or another share that takes."""
    if cause.pull is not None:
        pulls = tuple(
            replace(pull, trapping=cause.factor) if pull.id == cause.pull else pull for pull in project.impressions
        )
        return replace(project, impressions=pulls)
    return replace(
        project,
        inks=tuple(_scaled(project, ink.id, cause.factor) if ink.id == cause.ink else ink for ink in project.inks),
    )


def _scaled(project: Project, ink_id: str, factor: float) -> Ink:
    """An ink so many times as strong, its colour what its solid shows then."""
    ink = project.ink(ink_id)
    film = solid_film(project, ink)
    k, s = (tuple(float(v) for v in each * factor) for each in (film.absorption, film.scattering))
    optics = Optics(k, s, film.k1, known="proof")
    changed = replace(ink, optics=optics)
    solid = dataclasses.replace(solid_film(project, changed), cover=1.0)
    lab = reflectance_to_lab(overprints(ground_of(project), [solid])[-1])
    return replace(changed, lab=as_lab(lab))


@dataclass(frozen=True, eq=False)
class Learnt:
    """What a proof has taught: the fields as read, and what explains them."""

    name: str
    fields: tuple[FieldRead, ...]
    causes: tuple[Cause, ...]
    places: tuple[ProofPlace, ...] = ()
