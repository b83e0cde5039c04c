"""Tints of inks known by a colour and a word, against printing by another physics; and that physics itself."""

from collections.abc import Callable

import numpy as np
import pytest

from nomos.colour import OPACITIES, Film, Ground, Opacity, delta_e00, ink_film, overprints, reflectance_to_lab
from nomos.colour.mixing import Pigment, mixed
from tests.colour.printing_inks import PIGMENTS, ink_of, paper, thinned, white_ink
from tests.colour.printing_inks import mixed as really_mixed
from tests.colour.radiative_transfer import Layer, fresnel, paper_below, printed, seen
from tests.colour.test_colour_uncertainty import SCATTERS

SHARES = (0.05, 0.1, 0.25, 0.5)
# Mean ΔE00 over the shares that a tint may be out by, in extender and in white. Before these inks were
# taken for likely pigments: 2.3, 9.3 and 11.2 in extender.
MOST: dict[Opacity, tuple[float, float]] = {"transparent": (2.1, 4.5), "semi": (1.6, 4.5), "opaque": (3.6, 4.5)}


def shown(ground: Ground, film: Film, share: float = 1.0) -> np.ndarray:
    return reflectance_to_lab(overprints(ground, [Film(film.absorption, film.scattering, film.k1, share)])[-1])


@pytest.mark.thorough
@pytest.mark.parametrize("word", OPACITIES)
def test_tints_keep_their_hue(word: Opacity, told: Callable[[str], None]) -> None:
    generator = np.random.default_rng(3)
    off = []
    for place, name in enumerate(PIGMENTS):
        measured = paper(("white", "cream")[place % 2], generator)
        below = paper_below(measured)
        ink, white = ink_of(name, generator.uniform(*SCATTERS[word]), generator), white_ink(1.2, generator)
        ground = Ground.from_lab(reflectance_to_lab(measured).tolist(), "smooth")
        films = [
            ink_film(reflectance_to_lab(printed(below, [each])).tolist(), opacity, ground)
            for each, opacity in ((ink, word), (white, "opaque"))
        ]
        tubs = [Pigment("", film.absorption, film.scattering, film.k1) for film in films]
        for share in SHARES:
            truths = [printed(below, [each]) for each in (thinned(ink, share), really_mixed(ink, white, share))]
            ours = [shown(ground, films[0], share), shown(ground, mixed(tubs, (share, 1 - share)))]
            off.append(delta_e00(reflectance_to_lab(np.array(truths)), np.array(ours)))
    in_extender, in_white = np.mean(off, axis=0)
    told(f"tints of {word} inks against another physics, mean ΔE00: extender {in_extender:.2f}, white {in_white:.2f}")
    assert in_extender <= MOST[word][0]
    assert in_white <= MOST[word][1]


def test_a_thinned_umber_is_a_beige_and_an_oxide_with_white_a_salmon() -> None:
    """Undertones as printmakers know them: common practice, no source."""
    ground = Ground.from_lab((95.0, 0.0, 3.0))
    umber = ink_film((35.0, 13.0, 20.0), "semi", ground)
    _, a, b = shown(ground, umber, 0.1)
    assert np.hypot(a, b) < 25
    red, white = (ink_film(lab, "opaque", ground) for lab in ((38.0, 32.0, 22.0), (96.0, 0.0, 2.0)))
    tubs = [Pigment("", film.absorption, film.scattering, film.k1) for film in (red, white)]
    lightness, a, b = shown(ground, mixed(tubs, (0.2, 0.8)))
    assert 60 < lightness < 85
    assert a > 8
    assert abs(b) < 1.5 * a


def test_no_light_is_made_or_lost() -> None:
    """Energy: of what goes in all comes out where nothing absorbs; and less the more does."""
    white, none = np.ones(4), np.zeros(4)
    for depth in (0.01, 0.5, 5.0, 40.0):
        np.testing.assert_allclose(seen(white, [Layer(none, depth * white)])[1], 1, atol=2e-6)
    less = [float(seen(white, [Layer(each * white, white)])[1][0]) for each in (0.0, 0.1, 1.0, 10.0)]
    assert less == sorted(less, reverse=True)
    # Two halves laid on each other are one film.
    half, whole = Layer(0.3 * white, 0.8 * white), Layer(0.6 * white, 1.6 * white)
    np.testing.assert_allclose(seen(0.5 * white, [half, half])[0], seen(0.5 * white, [whole])[0], atol=1e-4)


def test_the_surface_and_a_clear_film_follow_their_known_limits() -> None:
    """Fresnel at normal incidence; total reflection; Beer's law along 45 and 0 degrees without inner reflections."""
    np.testing.assert_allclose(fresnel(np.array([1.0, 0.5])), [0.04, 1.0], atol=1e-12)
    dark = 1e-3 * np.ones(1)
    depth = 0.4 * np.ones(1)
    clear = seen(dark, [Layer(depth, 0 * depth)])[0] / seen(dark)[0]
    np.testing.assert_allclose(clear, np.exp(-0.4 * (1 / np.sqrt(1 - 0.5 / 2.25) + 1)), rtol=5e-3)
    measured = np.linspace(0.1, 0.9, 5)
    np.testing.assert_allclose(seen(paper_below(measured))[0], measured, atol=1e-6)
