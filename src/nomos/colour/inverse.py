"""The ink that shows a wanted colour on top of what is already printed: layering turned round."""

from collections.abc import Sequence

import numpy as np

from nomos.colour.cielab import delta_e00, reflectance_to_lab
from nomos.colour.ink import SCATTERING, Opacity, ink_film
from nomos.colour.layering import Film, Ground, overprints
from nomos.colour.recovery import ColourError, smooth_reflectance
from nomos.colour.spec import Lab
from nomos.colour.spectra import Array

_ROUNDS = 40
_DAMPING = 0.8
_GOOD_DE00 = 0.05
_SCATTER_SLACK = 0.15


def ink_over(wanted: Lab, below: Sequence[Film], opacity: Opacity, paper: Lab) -> tuple[Lab, float]:
    """The ink whose solid over some films comes nearest to a wanted colour.

    Parameters
    ----------
    wanted : CIELAB D50/2 deg that the whole stack is to show.
    below : the films already on the paper, first printed first.
    opacity : of the ink that is looked for.
    paper : CIELAB D50/2 deg of the bare paper.

    Returns
    -------
    The colour of the ink's solid on the bare paper, and the ΔE00 that is left.
    A transparent ink cannot lighten: over a darker layer a good deal is left.

    Notes
    -----
    Fixed-point steps in CIELAB: what the stack lacks is added to the ink; the
    best ink met is kept. The steps shrink when an ink is one that cannot be.
    """
    ground, target = Ground.from_lab(paper), np.array(wanted)

    def shown(lab: Array) -> Array:
        film = ink_film((float(lab[0]), float(lab[1]), float(lab[2])), opacity, paper)
        # An ink brighter than the paper scatters: it would no longer be as transparent as it is said to be.
        if below and float(film.scattering.max()) > SCATTERING[opacity] + _SCATTER_SLACK:
            raise ColourError("brighter than the paper")
        return reflectance_to_lab(overprints(ground, [*below, film])[-1])

    lab, best, left, step = target.copy(), target.copy(), np.inf, _DAMPING
    for _ in range(_ROUNDS):
        try:
            smooth_reflectance(lab)
            got = shown(lab)
        except ColourError:
            step /= 2
            lab = best + (lab - best) / 2
            continue
        distance = float(delta_e00(got, target))
        if distance < left:
            best, left = lab.copy(), distance
        else:
            step *= 0.7
        if left < _GOOD_DE00 or step < 0.01:
            break
        lab = np.clip(lab + step * (target - got), [0.5, -150, -150], [99.5, 150, 150])
    if not np.isfinite(left):
        raise ColourError("No ink of that opacity shows this colour; choose a less saturated one.")
    return (float(best[0]), float(best[1]), float(best[2])), left


def nearest_ink(
    wanted: Lab, below: Sequence[Film], inks: Sequence[tuple[Lab, Opacity, float]], paper: Lab
) -> tuple[int, float]:
    """Which of some inks (solid, opacity, strength) over some films comes nearest to a wanted colour.

    Returns its place and the ΔE00 that is left.
    """
    ground, target = Ground.from_lab(paper), np.array(wanted)
    labs = [
        reflectance_to_lab(overprints(ground, [*below, ink_film(lab, opacity, paper, strength)])[-1])
        for lab, opacity, strength in inks
    ]
    left = delta_e00(np.array(labs), target)
    place = int(left.argmin())
    return place, float(left[place])
