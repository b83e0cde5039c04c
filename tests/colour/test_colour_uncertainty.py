"""How sure predicted colours are, held against simulated inks whose truth is known."""

from collections.abc import Sequence

import numpy as np
import pytest

from nomos.colour import Film, Ground, Opacity, delta_e00, ink_film, overprints, reflectance_to_lab
from nomos.colour.colour_uncertainty import Basis, Known, standard_errors
from nomos.colour.ink import spectral_solid
from nomos.colour.overlaps import learn_overlaps
from nomos.colour.recovery import ColourError
from nomos.colour.spectra import WAVELENGTHS_NM, XYZ_WEIGHTS
from tests.colour.test_process_sets import published

WORDS: tuple[Opacity, ...] = ("transparent", "transparent", "semi", "opaque")
SCATTERS: dict[Opacity, tuple[float, float]] = {
    "transparent": (0.0, 0.08), "semi": (0.2, 0.7), "opaque": (0.7, 1.9),
}  # fmt: skip
PAIRS = [[a in (x, y) for a in range(3)] for x in range(3) for y in range(x + 1, 3)]
ALL = np.array([*PAIRS, [True] * 3])


def true_ink(generator: np.random.Generator, word: Opacity, ground: Ground) -> tuple[Film, np.ndarray]:
    """Bands and edges of absorption at random, S falling towards the red; and its solid's reflectance."""
    while True:
        k = np.full(36, 10 ** generator.uniform(-2.2, -1.2))
        for _ in range(int(generator.integers(1, 4))):
            centre, height = generator.uniform(390, 720), 10 ** generator.uniform(-0.5, 0.6)
            away = WAVELENGTHS_NM - centre
            if generator.random() < 0.4:
                k = k + height / (1 + np.exp(away / generator.uniform(8, 25) * generator.choice([-1, 1])))
            else:
                k = k + height * np.exp(-((away / generator.uniform(25, 80)) ** 2))
        s = generator.uniform(*SCATTERS[word]) * (WAVELENGTHS_NM / 550) ** -generator.uniform(0, 1.5)
        k1 = ground.k1 * generator.uniform(0.5, 1)
        solid = overprints(ground, [Film(k, s, k1)])[-1]
        k1 = min(k1, 0.5 * float(solid @ XYZ_WEIGHTS[:, 1]), 0.9 * float(solid.min()))
        solid = overprints(ground, [Film(k, s, k1)])[-1]
        if 15 < reflectance_to_lab(solid)[0] < 92:
            return Film(k, s, k1), solid


def simulated(count: int, seed: int, basis: Basis) -> np.ndarray:
    """Of overprints of inks known so far: how far they are from the truth, and the 90 % range. (n, 2)."""
    generator = np.random.default_rng(seed)
    found: list[np.ndarray] = []
    while len(found) < count:
        paper = (generator.uniform(82, 96), generator.uniform(-2, 3), generator.uniform(-3, 12))
        ground, truth, known = Ground.from_lab(paper), [], []
        try:
            for _ in range(3):
                word = WORDS[int(generator.integers(len(WORDS)))]
                film, solid = true_ink(generator, word, ground)
                taken = ink_film(reflectance_to_lab(solid).tolist(), word, ground)
                if basis == "spectrum":
                    seen = spectral_solid(solid.tolist(), word, ground)
                    taken = Film(seen.absorption, seen.scattering, seen.k1)
                truth.append(film)
                known.append(Known(taken, basis, word))
        except ColourError:
            continue
        rows = ALL
        if basis == "chart":
            known = charted(ground, truth, known)
            rows = ALL[-1:]
        middle = overprints(ground, [each.film for each in known], rows)
        off = delta_e00(reflectance_to_lab(middle), reflectance_to_lab(overprints(ground, truth, rows)))
        found.append(np.stack([off, standard_errors(ground, known, rows)[1]], axis=1))
    return np.concatenate(found)


def charted(ground: Ground, truth: Sequence[Film], known: Sequence[Known]) -> list[Known]:
    rows = np.vstack([np.eye(3, dtype=bool), PAIRS])
    read = reflectance_to_lab(overprints(ground, truth, rows))
    learned = learn_overlaps(ground, [each.film for each in known], rows, read)
    return [each._replace(film=film) for each, film in zip(known, learned.films, strict=True)]


@pytest.mark.parametrize("basis", ["word", "spectrum", "chart"])
def test_nine_of_ten_truths_lie_inside_the_range(basis: Basis) -> None:
    figures = simulated(40 if basis == "chart" else 24, 11, basis)
    inside = float((figures[:, 0] <= figures[:, 1]).mean())
    assert 0.75 <= inside <= 0.98


def test_the_more_is_known_the_surer_and_what_was_read_is_sure() -> None:
    ground = Ground.from_lab((93.0, 0.0, 5.0))
    films = [ink_film(lab, "transparent", ground) for lab in ((55, -30, -40), (80, 0, 70))]
    rows = np.array([[False, False], [True, False], [True, True]])
    ranges = {}
    for basis in ("word", "chart", "spectrum"):
        known = [Known(film, basis, "transparent") for film in films]
        error, within = standard_errors(ground, known, rows)
        assert (error >= 0).all()
        ranges[basis] = within
    assert ranges["word"][0] == 0
    # The solid was read on this paper: it is what it is.
    assert ranges["word"][1] < 0.2
    assert ranges["word"][2] > ranges["chart"][2] > 1
    assert ranges["word"][2] > ranges["spectrum"][2] > 0.5


def test_a_chart_teaches_what_was_not_printed_too() -> None:
    """Published sets: from solids and pairs the three-ink overprint, never seen, comes nearer."""
    figures = []
    for kind, patches in published().values():
        ground = Ground.from_lab(patches["W"].tolist(), kind)
        films = [ink_film(patches[ink].tolist(), "transparent", ground) for ink in "CMY"]
        rows = np.vstack([np.eye(3, dtype=bool), PAIRS])
        read = np.array([patches[each] for each in ("C", "M", "Y", "CM", "CY", "MY")])
        learned = learn_overlaps(ground, films, rows, read)
        unseen = [
            float(delta_e00(reflectance_to_lab(overprints(ground, some, ALL[-1:])[0]), patches["CMY"]))
            for some in (films, learned.films)
        ]
        figures.append((learned.before[3:].mean(), learned.after[3:].mean(), *unseen))
        assert learned.after[:3].max() <= 0.03
        assert learned.after[3:].mean() < learned.before[3:].mean()
    before, after, unseen_before, unseen_after = np.mean(figures, axis=0)
    assert after < 0.75 * before
    assert unseen_after < 0.85 * unseen_before
