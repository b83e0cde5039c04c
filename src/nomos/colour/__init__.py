"""Spectra, paper, ink films and their overprints; CIELAB and colour difference."""

from nomos.colour.cielab import delta_e00, lab_to_hex, lab_to_srgb, reflectance_to_lab, srgb_to_lab
from nomos.colour.ink import OPACITIES, Opacity, ink_film
from nomos.colour.layering import Film, Ground, film_over
from nomos.colour.overprinting import OnWet, all_combinations, overprints
from nomos.colour.recovery import ColourError, smooth_reflectance
from nomos.colour.spec import Lab, as_lab, parse_colour, parse_ink
