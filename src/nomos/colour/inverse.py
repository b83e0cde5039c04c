"""The ink that shows a wanted colour on top of what is already printed: layering turned round."""

from collections.abc import Sequence

import numpy as np

from nomos.base.language import tr
from nomos.colour.cielab import delta_e00, reflectance_to_lab
from nomos.colour.ink import SCATTERING, Opacity, ink_film, solid_of
from nomos.colour.layering import Film, Ground
from nomos.colour.overprinting import laid_on, measured_under
from nomos.colour.recovery import ColourError, smooth_reflectance
from nomos.colour.spec import Lab, as_lab
from nomos.colour.spectra import Array

_ROUNDS = 40
_DAMPING = 0.8
_GOOD_DE00 = 0.05
_SCATTER_SLACK = 0.15
# Until an ink is met that can be, the wish moves so far towards a dull colour between these lightnesses.
_DULLER, _DULL_L = 0.12, (6.0, 90.0)


def ink_over(wanted: Lab, below: Sequence[Film], opacity: Opacity, paper: Lab | Ground) -> tuple[Lab, float]:
    """The ink whose solid over some films comes nearest to a wanted colour.

    Parameters
    ----------
    wanted : CIELAB D50/2 deg that the whole stack is to show.
    below : the films already on the paper, first printed first.
    opacity : of the ink that is looked for.
    paper : CIELAB D50/2 deg of the bare paper, or the paper itself.

    Returns
    -------
    The colour of the ink's solid on the bare paper, and the ΔE00 that is left.
    A transparent ink cannot lighten: over a darker layer a good deal is left.

    Notes
    -----
    Fixed-point steps in CIELAB: what the stack lacks is added to the ink; the
    best ink met is kept. The steps shrink when an ink is one that cannot be; a
    wish that no ink can be, as pure black or a screen's blue, is first made
    duller until one can.
    """
    ground = paper if isinstance(paper, Ground) else Ground.from_lab(paper)
    target, stack = np.array(wanted), laid_on(ground, below)

    def shown(lab: Array) -> Array:
        film = ink_film(as_lab(lab), opacity, ground)
        bound = SCATTERING[opacity] + _SCATTER_SLACK
        if below and (not solid_of(lab.tolist(), opacity, ground).reached or film.scattering.max() > bound):
            raise ColourError(tr("not a colour that an ink of that opacity can have on this paper"))
        return reflectance_to_lab(measured_under(stack, film))

    lab, best, left, step = target.copy(), target.copy(), np.inf, _DAMPING
    dull = np.array([np.clip(target[0], *_DULL_L), 0.0, 0.0])
    for _ in range(_ROUNDS):
        try:
            smooth_reflectance(lab)
            got = shown(lab)
        except ColourError:
            if not np.isfinite(left):
                lab = lab + _DULLER * (dull - lab)
                continue
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
        raise ColourError(tr("No ink of that opacity shows this colour; choose a less saturated one."))
    return as_lab(best), left


def nearest_film(wanted: Lab, below: Sequence[Film], films: Sequence[Film], ground: Ground) -> tuple[int, float]:
    """Which of some films laid over others comes nearest to a wanted colour.

    Parameters
    ----------
    wanted : CIELAB, D50/2 deg.
    below : films in print order.
    films : the choice; at least one.

    Returns
    -------
    Its place, and the ΔE00 left.
    """
    stack = laid_on(ground, below)
    labs = reflectance_to_lab(np.array([measured_under(stack, film) for film in films]))
    left = delta_e00(labs, np.array(wanted))
    place = int(left.argmin())
    return place, float(left[place])
