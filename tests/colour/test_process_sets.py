"""Published sets of process inks, their overprints and blacks; and the laws of transparent ink on any paper.

`process_sets.csv` holds the solids, two- and three-ink overprints and black pairs (CIELAB D50/2 deg) of the
characterisation data FOGRA28, 29, 30, 39 and 40 and CGATS TR 002 and TR 003, read from the profiles made
of those data in Debian's package colord-data 1.4.7-3: the corners of their colorimetric tables, taken back to
absolute values. FOGRA39's come back as they are published, to a tenth; dark ones may be half a unit off.
"""

import csv
from collections.abc import Callable
from pathlib import Path

import numpy as np
import pytest

from nomos.colour import (
    ColourError,
    Film,
    Ground,
    OnWet,
    delta_e00,
    ink_film,
    lab_to_srgb,
    overprints,
    reflectance_to_lab,
    smooth_reflectance,
    srgb_to_lab,
)
from nomos.colour.ink import SCATTERING, solid_of
from nomos.colour.layering import PAPER_KINDS, PaperKind
from nomos.colour.trapping import trapping_of

COLOURS, BLACKS = ("MY", "CY", "CM", "CMY"), ("KC", "KM", "KY")
KIND: dict[str, PaperKind] = {"coated": "coated", "uncoated": "absorbent", "newsprint": "newsprint"}
# Mean ΔE00 of the colours and of the blacks with ink trapping in the release before this check.
BEFORE = {
    "FOGRA28": (3.33, 9.37), "FOGRA29": (4.97, 5.07), "FOGRA30": (5.54, 6.63), "FOGRA39": (1.80, 11.93),
    "FOGRA40": (3.39, 9.19), "TR002": (4.33, 1.84), "TR003": (9.46, 14.02),
}  # fmt: skip


def published() -> dict[str, tuple[PaperKind, dict[str, np.ndarray]]]:
    found: dict[str, tuple[PaperKind, dict[str, np.ndarray]]] = {}
    with (Path(__file__).parent / "process_sets.csv").open() as file:
        for row in csv.DictReader(file):
            patches = found.setdefault(row["set"], (KIND[row["paper"]], {}))[1]
            patches[row["patch"]] = np.array([float(row[axis]) for axis in "Lab"])
    return found


def predicted(kind: PaperKind, patches: dict[str, np.ndarray], patch: str, share: float) -> np.ndarray:
    ground = Ground.from_lab(patches["W"].tolist(), kind)
    films = [ink_film(patches[ink].tolist(), "transparent", ground) for ink in patch]
    wet = [None, *(OnWet((place,), share) for place in range(len(films) - 1))]
    return reflectance_to_lab(overprints(ground, films, np.ones((1, len(films)), bool), wet)[0])


def off(kind: PaperKind, patches: dict[str, np.ndarray], patch: str, share: float) -> float:
    return float(delta_e00(predicted(kind, patches, patch, share), patches[patch]))


def multiplied(patches: dict[str, np.ndarray], patch: str) -> float:
    """What a drawing program's multiply gives: sRGB values as shares, times each other."""
    product = np.prod([lab_to_srgb(patches[each]) / 255 for each in ("W", *patch)], axis=0)
    return float(delta_e00(srgb_to_lab(product * 255), patches[patch]))


def test_overprints_of_published_process_inks(told: Callable[[str], None]) -> None:
    """Nothing is tuned on a set; wet on wet is the program's own default for inks of one tack."""
    told("process-ink overprints, mean ΔE00: dry, with ink trapping, release before, multiply; blacks, before")
    rows, leaning = [], []
    for name, (kind, patches) in published().items():
        leaning.append(predicted(kind, patches, "CM", trapping_of(5, 5)) - patches["CM"])
        dry, wet = ([off(kind, patches, patch, share) for patch in COLOURS] for share in (1.0, trapping_of(5, 5)))
        black = [off(kind, patches, patch, 1.0) for patch in BLACKS]
        plain = [multiplied(patches, patch) for patch in COLOURS]
        rows.append([np.mean(each) for each in (dry, wet)] + [BEFORE[name][0], float(np.mean(plain))])
        rows[-1] += [float(np.mean(black)), BEFORE[name][1]]
        told(f"  {name:<8}" + "".join(f"{value:6.2f}" for value in rows[-1]) + f"  {kind}")
    table = np.array(rows)
    told(f"  {'mean':<8}" + "".join(f"{value:6.2f}" for value in table.mean(axis=0)))
    coated = [kind == "coated" for kind, _ in published().values()]
    assert table[:, 0].mean() <= 2.8
    assert table[:, 1].mean() <= 2.4
    assert table[:, 1].max() <= 3.5
    assert table[coated, 1].mean() <= 2.9
    assert table[:, 4].mean() <= 4
    # Cyan with magenta leans nowhere.
    assert (np.abs(np.mean(leaning, axis=0)) <= (1.7, 1.0, 2.0)).all()
    # Far nearer than multiplying, and nowhere further than the release before.
    assert table[:, 3].mean() > 3 * table[:, 1].mean()
    assert (table[:, 1] <= table[:, 2] + 0.6).all()


def random_papers_and_inks(count: int, seed: int) -> list[tuple[Ground, list[np.ndarray]]]:
    """Papers of L* 80 to 97 of every kind, smooth and rough, and two inks for each."""
    generator = np.random.default_rng(seed)
    found: list[tuple[Ground, list[np.ndarray]]] = []
    while len(found) < count:
        light = generator.uniform(80, 97)
        paper = np.array([light, generator.uniform(-3, 4), generator.uniform(-4, 16)])
        kind, cover = PAPER_KINDS[len(found) % 3], (1.0, 0.93)[len(found) % 2]
        inks = []
        for _ in range(2):
            lightness, hue = generator.uniform(12, light - 1), generator.uniform(0, 2 * np.pi)
            chroma = generator.uniform(0, 75) * min(1.0, (100 - lightness) / 30)
            inks.append(np.array([lightness, chroma * np.cos(hue), chroma * np.sin(hue)]))
        try:
            ground = Ground.from_lab(paper.tolist(), kind, cover)
            for lab in inks:
                smooth_reflectance(lab)
        except ColourError:
            continue
        found.append((ground, inks))
    return found


def shown(ground: Ground, *films: Film) -> np.ndarray:
    return reflectance_to_lab(overprints(ground, films)[-1])


@pytest.mark.thorough
def test_laws_of_transparent_ink_on_any_paper() -> None:
    reached = 0
    for ground, inks in random_papers_and_inks(300, seed=4):
        films = []
        for lab in inks:
            solid = solid_of(lab.tolist(), "transparent", ground)
            film = ink_film(lab.tolist(), "transparent", ground)
            films.append(film)
            assert (solid.absorption >= 0).all()
            assert (solid.scattering == 0).all()
            if solid.reached:
                reached += 1
                assert np.linalg.norm(shown(ground, film) - lab) <= 0.1
            thin = [shown(ground, ink_film(lab.tolist(), "transparent", ground, x)) for x in (0, 0.3, 0.6, 1)]
            np.testing.assert_allclose(thin[0], shown(ground), atol=1e-9)
            assert (np.diff(np.array(thin)[:, 0]) <= 1e-9).all()
            halves = [ink_film(lab.tolist(), "transparent", ground, 0.5)] * 2
            assert delta_e00(shown(ground, *halves), shown(ground, film)) <= 2
        both = shown(ground, *films)
        assert both[0] <= min(shown(ground, film)[0] for film in films) + 0.5
        assert delta_e00(both, shown(ground, *films[::-1])) <= 0.5
    assert reached >= 480


def test_a_colour_no_transparent_ink_can_have_there_is_the_nearest_that_it_can() -> None:
    """A yellow read on white, on grey paper: duller and darker, no scattering, and said."""
    grey, yellow = Ground.from_lab((70.0, 0.0, 3.0)), (88.0, -5.0, 88.0)
    solid = solid_of(yellow, "transparent", grey)
    assert not solid.reached
    assert (solid.scattering == 0).all()
    got = shown(grey, ink_film(yellow, "transparent", grey))
    assert got[0] < 70
    assert got[2] > 40
    assert solid_of(yellow, "transparent", Ground.from_lab((95.0, 0.0, 0.0))).reached


def test_half_opaque_and_opaque_inks_scatter_as_their_word_says_unless_they_must_more() -> None:
    cream = Ground.from_lab((88.0, 1.0, 10.0))
    for word, least in SCATTERING.items():
        dark = solid_of((40.0, 40.0, 20.0), word, cream)
        np.testing.assert_allclose(dark.scattering, least)
    white = solid_of((97.0, 0.0, 0.0), "semi", cream)
    assert white.scattering.max() > 1
    assert np.linalg.norm(shown(cream, ink_film((97.0, 0.0, 0.0), "semi", cream)) - (97, 0, 0)) < 0.2
    # Hardly brighter than the paper: it is left a little duller rather than made a wall.
    np.testing.assert_allclose(solid_of((90.0, 1.0, 9.0), "opaque", cream).scattering, SCATTERING["opaque"])


def test_one_pull_of_opaque_white_over_black_greys() -> None:
    """Common practice, no source; and no transparent ink makes a black lighter."""
    ground = Ground.from_lab((95.0, 0.0, 2.0))
    black = ink_film((16.0, 0.0, 0.0), "transparent", ground)
    white = ink_film((96.0, 0.0, 1.0), "opaque", ground)
    once, twice = shown(ground, black, white)[0], shown(ground, black, white, white)[0]
    assert 55 <= once <= 75
    assert once + 5 < twice < 90
    yellow = ink_film((88.0, -5.0, 88.0), "transparent", ground)
    assert shown(ground, black, yellow)[0] <= shown(ground, black)[0] + 0.01
