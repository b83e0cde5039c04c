"""How sure predicted colours are, held against simulated inks whose truth is known."""

from typing import NamedTuple

import numpy as np
import pytest

from nomos.colour import OPACITIES, Film, Ground, Opacity, delta_e00, ink_film, overprints, reflectance_to_lab
from nomos.colour.colour_uncertainty import Basis, Known, standard_errors
from nomos.colour.fitting import Reading, fit_ink
from nomos.colour.ink import spectral_solid
from nomos.colour.layering import surface_on
from nomos.colour.overlaps import learn_overlaps
from nomos.colour.recovery import ColourError
from tests.colour.printing_inks import PIGMENTS, ink_of, paper
from tests.colour.radiative_transfer import Layer, paper_below, printed
from tests.colour.test_process_sets import published

SCATTERS: dict[Opacity, tuple[float, float]] = {
    "transparent": (0.0, 0.08), "semi": (0.2, 0.7), "opaque": (0.7, 1.9),
}  # fmt: skip
PAIRS = [[a in (x, y) for a in range(3)] for x in range(3) for y in range(x + 1, 3)]
ALL = np.array([*PAIRS, [True] * 3])
PAPERS = ("white", "cream", "kraft", "blue")
CARDS = (0.88, 0.035)


class World(NamedTuple):
    """A paper and three inks as another physics has them, and what is read of them."""

    measured: np.ndarray
    below: np.ndarray
    inks: list[Layer]

    @classmethod
    def of(cls, seed: int, word: Opacity) -> "World":
        generator = np.random.default_rng(seed)
        measured = paper(PAPERS[seed % len(PAPERS)], generator)
        names = generator.choice(list(PIGMENTS), 3, replace=False)
        inks = [ink_of(name, generator.uniform(*SCATTERS[word]), generator) for name in names]
        return cls(measured, paper_below(measured), inks)

    def read(self, rows: np.ndarray) -> np.ndarray:
        """CIELAB of combinations of the inks."""
        labs = [printed(self.below, [ink for ink, on in zip(self.inks, row, strict=True) if on]) for row in rows]
        return reflectance_to_lab(np.array(labs))


def known_by(basis: Basis, word: Opacity, world: World) -> tuple[Ground, list[Known]]:
    """What the program takes of the three inks, from readings of one kind."""
    ground = Ground.from_lab(reflectance_to_lab(world.measured).tolist(), "smooth")
    films = []
    for ink in world.inks:
        solid = printed(world.below, [ink])
        if basis == "spectrum":
            seen = spectral_solid(solid.tolist(), word, ground)
            films.append(Film(seen.absorption, seen.scattering, seen.k1))
        elif basis == "readings":
            cards = [np.full(36, each) for each in CARDS]
            fit = fit_ink([Reading(card, printed(paper_below(card), [ink])) for card in cards], word)
            films.append(Film(fit.absorption, fit.scattering, surface_on(ground, fit.absorption, fit.scattering)))
        else:
            films.append(ink_film(reflectance_to_lab(solid).tolist(), word, ground))
    if basis == "chart":
        rows = np.vstack([np.eye(3, dtype=bool), PAIRS])
        films = list(learn_overlaps(ground, films, rows, world.read(rows)).films)
    return ground, [Known(film, basis, word) for film in films]


@pytest.mark.thorough
@pytest.mark.parametrize("basis", ["word", "spectrum", "readings", "chart"])
@pytest.mark.parametrize("word", OPACITIES)
def test_nine_of_ten_truths_of_another_physics_lie_inside_the_range(basis: Basis, word: Opacity) -> None:
    figures = []
    for seed in range(14 if basis == "chart" else 8):
        world = World.of(40 + seed, word)
        try:
            ground, known = known_by(basis, word, world)
        except ColourError:
            continue
        # Solids were read on this paper, but for those of inks that are known by cards.
        rows = {"chart": ALL[-1:], "readings": np.vstack([np.eye(3, dtype=bool), ALL])}.get(basis, ALL)
        middle = reflectance_to_lab(overprints(ground, [each.film for each in known], rows))
        figures.append([delta_e00(middle, world.read(rows)), standard_errors(ground, known, rows)[1]])
    off, within = np.concatenate(figures, axis=1)
    assert (off <= within).mean() >= 0.75
    assert within.mean() < 16


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
        assert learned.after[:3].max() <= 0.06
        assert learned.after[3:].mean() < learned.before[3:].mean()
    before, after, unseen_before, unseen_after = np.mean(figures, axis=0)
    assert after < 0.8 * before
    assert unseen_after < 0.85 * unseen_before
