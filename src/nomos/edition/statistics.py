"""What the log teaches for the next edition: spoilage, pace, ink, and the numbers on the sheets."""

from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from itertools import pairwise

from nomos.edition.state import EditionState, SheetHistory

# A pause longer than this between two pulls is no part of the pace (chosen by us).
_PAUSE_MIN = 20.0
# The pace is that of so many pulls at most, the last ones (chosen by us).
_PACED = 2000
# What is thought of a pull before the log has spoken, worth so many pulls (chosen by us).
_PRIOR_GOOD, _PRIOR_PULLS = 0.95, 10.0


@dataclass(frozen=True)
class LayerFigures:
    """One layer: pulls by outcome, reasons, minutes a pull, grams of ink."""

    layer: int
    good: int
    spoiled: int
    repaired: int
    reasons: tuple[tuple[str, int], ...]
    minutes_a_pull: float | None
    ink_g: float | None


def layer_figures(state: EditionState) -> tuple[LayerFigures, ...]:
    """Every layer that has been begun."""
    found = []
    for layer in range(len(state.pulls)):
        pulls = state.pulled.get(layer, [])
        if layer not in state.started and not pulls:
            continue
        counts = state.counts.get(layer, Counter())
        reasons = Counter(state.histories[sheet].reason for sheet, at in state.spoiled.items() if at == layer)
        pace = _pace([at for at, _, _ in pulls[-_PACED:]])
        found.append(
            LayerFigures(
                layer, counts["good"], counts["spoiled"], counts["repaired"],
                tuple(reasons.most_common()), pace, state.ink_g.get(layer),
            )
        )  # fmt: skip
    return tuple(found)


def _pace(moments: Sequence[str]) -> float | None:
    """Median minutes between pulls, pauses left out; None for fewer than three pulls."""
    times = sorted(datetime.fromisoformat(at) for at in moments)
    gaps = [(b - a).total_seconds() / 60 for a, b in pairwise(times)]
    worked = sorted(gap for gap in gaps if 0 < gap < _PAUSE_MIN)
    return worked[len(worked) // 2] if len(worked) >= 2 else None


def learnt_good(figures: Sequence[LayerFigures]) -> float:
    """The chance that a pull is good, from the log, leaning on 95 % while there are few pulls.

    The mean of a beta distribution (Laplace's rule with a prior of ten pulls).
    """
    total = sum(each.good + each.spoiled + each.repaired for each in figures)
    spoiled = sum(each.spoiled for each in figures)
    return (_PRIOR_GOOD * _PRIOR_PULLS + total - spoiled) / (_PRIOR_PULLS + total)


@dataclass(frozen=True)
class Numbers:
    """What is written on which sheet; sheets left over are cancelled."""

    given: tuple[tuple[int, str], ...]
    cancelled: tuple[int, ...]
    short: int


def number_sheets(
    histories: Sequence[SheetHistory], layers: int, edition: int, artist: int, printer: int, *, bat: bool = True
) -> Numbers:
    """Number the good sheets: BAT first, then 1/E to E/E, AP and PP; chosen sheets before the others.

    short : how many good sheets are missing to the edition.
    """
    good = [history for history in histories if history.good_through(layers)]
    order = sorted(good, key=lambda history: (not history.chosen, history.sheet))
    names = ["BAT"] if bat else []
    names += [f"{n}/{edition}" for n in range(1, edition + 1)]
    names += [f"AP {n}" if artist > 1 else "AP" for n in range(1, artist + 1)]
    names += [f"PP {n}" if printer > 1 else "PP" for n in range(1, printer + 1)]
    given = tuple((history.sheet, name) for history, name in zip(order, names, strict=False))
    rest = tuple(history.sheet for history in order[len(names) :])
    numbered = sum("/" in name for _, name in given)
    return Numbers(given, rest, max(0, edition - numbered))
