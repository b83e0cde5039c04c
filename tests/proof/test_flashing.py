"""What flashes: the exact and the fast figures against the analytic area of slivers, and each other."""

import numpy as np
import pytest

from nomos.project import Assets, Project, cut_blocks, mask_request
from nomos.project.register.tolerance import cures, flash_exact, flash_fast
from nomos.proof.flashing import Flashing, Prints, along_borders, on_whole_sheets

PX = 10.0


def no_seams(bits: np.ndarray) -> np.ndarray:
    return np.zeros(bits.shape, bool)


def two_fields(second: np.ndarray) -> Prints:
    """A page of two colours, each printed by a pull of its own; the second where it is true."""
    labels = second.astype(np.uint8)
    masks = ((labels == 0).astype(np.uint8), (labels == 1).astype(np.uint8))
    return Prints(labels, masks, np.ones(256, bool), PX)


def shifts(second_by: np.ndarray) -> np.ndarray:
    """Changes in which the first pull stays and the second shifts. (sheets, 2) to (sheets, 2, 6)."""
    changes = np.zeros((len(second_by), 2, 6))
    changes[:, 1, 0], changes[:, 1, 3] = second_by.T
    return changes


def both(prints: Prints, changes: np.ndarray) -> tuple[Flashing, Flashing]:
    return along_borders(prints, changes, no_seams), on_whole_sheets(prints, changes, no_seams)


def test_a_straight_border_opens_by_the_shift_across_it() -> None:
    """Half-planes, 60 mm high less the frame at both ends, apart by u to the right: a gap of 57.9 mm x u.

    Over many sheets with normal shifts of 0.3 mm the mean gap is s / sqrt(2 pi) of the length (the mean of
    the positive half of a normal variable).
    """
    second = np.zeros((600, 800), bool)
    second[:, 400:] = True
    prints = two_fields(second)
    drawn = np.random.default_rng(2).normal(0, 0.3, (120, 2))
    fast, exact = both(prints, shifts(drawn))
    long = 60 - 2 * 1.05
    wanted = np.maximum(drawn[:, 0], 0) * long
    assert exact.bare_mm2 == pytest.approx(wanted, abs=0.06 * long)
    assert exact.bare_mm2.mean() == pytest.approx(wanted.mean(), rel=0.03)
    assert fast.bare_mm2.mean() == pytest.approx(wanted.mean(), rel=0.05)
    assert wanted.mean() == pytest.approx(0.3 / np.sqrt(2 * np.pi) * long, rel=0.15)
    assert fast.gaps[0].colours == (0, 1)


def test_a_slanting_border_opens_by_the_part_across_it() -> None:
    """A border at 30 degrees, shifted along itself, stays closed; across itself it opens."""
    y, x = np.mgrid[0:700, 0:700]
    second = (x - 350) * np.cos(np.pi / 6) + (y - 350) * np.sin(np.pi / 6) > 0
    prints = two_fields(second)
    across = np.array([np.cos(np.pi / 6), np.sin(np.pi / 6)])
    along = np.array([-across[1], across[0]])
    fast, exact = both(prints, shifts(np.array([0.5 * along, 0.5 * across])))
    assert exact.bare_mm2[0] < 0.05 * exact.bare_mm2[1]
    assert fast.bare_mm2[1] == pytest.approx(exact.bare_mm2[1], rel=0.05)


@pytest.mark.parametrize("shift", [0.3, 0.8])
def test_a_round_field_leaves_a_crescent(shift: float) -> None:
    """A disc of radius r in its hole, shifted by d: bare is the disc less the lens of two discs.

    Lens of equal circles: 2 r^2 arccos(d / 2r) - (d / 2) sqrt(4 r^2 - d^2), any handbook of geometry.
    """
    radius = 20.0
    y, x = np.mgrid[0:600, 0:600]
    disc = np.hypot(x - 299.5, y - 299.5) < radius * PX
    fast, exact = both(two_fields(disc), shifts(np.array([[shift * 0.6, shift * 0.8]])))
    lens = 2 * radius**2 * np.arccos(shift / 2 / radius) - shift / 2 * np.sqrt(4 * radius**2 - shift**2)
    crescent = np.pi * radius**2 - lens
    assert exact.bare_mm2[0] == pytest.approx(crescent, rel=0.05)
    assert fast.bare_mm2[0] == pytest.approx(crescent, rel=0.06)


def test_a_trap_closes_gaps_narrower_than_itself() -> None:
    second = np.zeros((600, 800), bool)
    second[:, 400:] = True
    prints = two_fields(second)
    spread = prints.masks[0].copy()
    spread[:, 400:405] = 1
    trapped = Prints(prints.labels, (spread, prints.masks[1]), prints.wanted, PX)
    fast, exact = both(trapped, shifts(np.array([[0.4, 0.0], [0.9, 0.0]])))
    assert fast.bare_mm2[0] == exact.bare_mm2[0] == 0
    assert exact.bare_mm2[1] == pytest.approx(0.4 * 57.9, rel=0.06)
    assert fast.bare_mm2[1] == pytest.approx(exact.bare_mm2[1], rel=0.15)


@pytest.mark.thorough
def test_fast_and_exact_agree_on_the_demo(whole_demo: tuple[Project, Assets]) -> None:
    project, assets = whole_demo
    request = mask_request(project, assets)
    assert request is not None
    demo_blocks = cut_blocks(request)
    # Blocks are out by the same on every sheet of an edition: several editions, a few sheets of each.
    fast, *others = (flash_fast(project, demo_blocks, 4, seed=seed) for seed in range(4))
    quick = np.concatenate([each.bare_mm2 for each in (fast, *others)])
    whole = np.concatenate([flash_exact(project, demo_blocks, 4, seed=seed).bare_mm2 for seed in range(4)])
    assert whole.mean() > 1
    assert quick.mean() == pytest.approx(whole.mean(), rel=0.2)
    assert np.corrcoef(quick, whole)[0, 1] > 0.6
    again = flash_fast(project, demo_blocks, 3, seed=3)
    assert again.bare_mm2 == pytest.approx(flash_fast(project, demo_blocks, 3, seed=3).bare_mm2)
    said = [cure.text for cure in cures(project, fast)]
    assert any("only kiss" in text for text in said)
    assert any("trap of" in text.lower() for text in said)


def test_a_page_of_one_colour_has_nothing_to_flash() -> None:
    labels = np.zeros((80, 80), np.uint8)
    prints = Prints(labels, (np.ones((80, 80), np.uint8),), np.ones(256, bool), PX)
    assert along_borders(prints, np.zeros((3, 1, 6)), no_seams).bare_sheets == 0


def test_shares_are_of_the_sheets() -> None:
    """A gap of 0.8 mm on every second of four sheets: half of them show it, and half show it at its tile."""
    second = np.zeros((600, 800), bool)
    second[:, 400:] = True
    found = on_whole_sheets(
        two_fields(second), shifts(np.array([[0.8, 0.0], [0.0, 0.0], [0.8, 0.0], [-0.8, 0.0]])), no_seams
    )
    assert found.bare_sheets == 0.5
    assert found.bare_share.max() == 0.5
    dark = on_whole_sheets(two_fields(second), shifts(np.array([[-0.8, 0.0], [0.0, 0.0]])), lambda bits: bits == 3)
    assert (dark.seam_sheets, dark.seam_share.max()) == (0.5, 0.5)
