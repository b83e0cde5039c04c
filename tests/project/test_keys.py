"""The four kinds of key."""

import numpy as np
import pytest
from msgspec.structs import replace
from scipy import ndimage

from nomos.colour import delta_e00
from nomos.project import Assets, Project, ProjectError, cut_blocks, mask_request
from nomos.project.blocks.edits import with_bare_colour, with_colour, with_printed_colour
from nomos.project.blocks.keys import (
    hidden_mm,
    key_kind,
    with_contour_key,
    with_drawn_key,
    with_shadow_key,
    without_made_key,
)
from nomos.project.inks.films import predicted, printing_sets
from nomos.separation.contour import contour_lines, contour_mask

Demo = tuple[Project, Assets]


@pytest.mark.parametrize("width_px", [4.0, 9.0, 16.0])
def test_a_contour_is_as_wide_as_asked_and_lies_on_the_border(width_px: float) -> None:
    labels = np.zeros((300, 300), np.uint8)
    labels[:, 150:] = 1
    row = contour_mask(labels, [(0, 1, width_px)])[150].nonzero()[0]
    assert len(row) == pytest.approx(width_px, abs=1)
    assert row.mean() + 0.5 == pytest.approx(150, abs=0.51)
    y, x = np.ogrid[:400, :400]
    disc = ((x - 200) ** 2 + (y - 200) ** 2 < 120**2).astype(np.uint8)
    area = contour_mask(disc, [(0, 1, width_px)]).sum()
    assert area == pytest.approx(2 * np.pi * 120 * width_px, rel=0.12)


def test_corners_are_rounded_and_lines_whole() -> None:
    labels = np.zeros((200, 200), np.uint8)
    labels[100:, 100:] = 1
    mask = contour_mask(labels, [(0, 1, 8.0)])
    assert ndimage.label(mask)[1] == 1
    assert not mask[96, 96]


def test_lines_weigh_what_the_border_matters() -> None:
    de00 = np.array([[0, 4, 60], [4, 0, 30], [60, 30, 0]], float)
    widths = {pair[:2]: pair[2] for pair in contour_lines(de00, 10.0, weigh=True, printed=(0, 1, 2))}
    assert widths[(0, 1)] < widths[(1, 2)] < widths[(0, 2)] == 10.0
    assert min(widths.values()) >= 5.0
    even = contour_lines(de00, 10.0, weigh=False, printed=(2,))
    assert even == ((0, 2, 10.0), (1, 2, 10.0))


def test_from_kind_to_kind_and_back(demo: Demo) -> None:
    project = demo[0]
    assert key_kind(project) == "drawn"
    contour = with_contour_key(project, 1.2)
    assert key_kind(contour) == "contour"
    assert contour.block(contour.impressions[-1].block).is_key
    shadow = with_shadow_key(contour)
    assert key_kind(shadow) == "shadow"
    assert len([block for block in shadow.blocks if block.is_key]) == 1
    none = without_made_key(shadow)
    assert key_kind(none) == "none"
    drawn = next(block.id for block in project.blocks if block.is_key)
    assert with_drawn_key(none, drawn) == project
    with pytest.raises(ProjectError, match="choose the block"):
        with_drawn_key(none, "nothing")
    with pytest.raises(ProjectError, match="cannot be 99 mm"):
        with_contour_key(project, 99)


def test_a_colour_left_bare_under_a_made_key_can_be_printed_again(demo: Demo) -> None:
    """The block of a made key carries no number of its own."""
    project = with_contour_key(demo[0], 1.2)
    again = with_printed_colour(with_bare_colour(project, 4), 4)
    assert 4 not in again.bare_colours()
    assert len({block.id for block in again.blocks}) == len(again.blocks)


def test_colours_run_under_a_contour_and_nothing_is_lost(demo: Demo) -> None:
    project, assets = demo
    project = with_contour_key(project, 1.5, weigh=False)
    request = mask_request(project, assets)
    assert request is not None
    cut = cut_blocks(request)
    key = cut.masks[-1]
    assert 0.05 < key.mean() < 0.6
    covered = np.any(cut.masks[:-1], axis=0)
    bare = np.isin(cut.labels, project.bare_colours())
    assert (covered | bare).all()
    assert hidden_mm(project) == pytest.approx(1.5 / 2 - project.tolerance_mm)
    assert hidden_mm(replace(project, tolerance_mm=1.0)) == 0


def test_a_shadow_darkens_the_darks_only(demo: Demo) -> None:
    project = demo[0]
    before = predicted(project, printing_sets(project))
    shadow = with_shadow_key(project)
    after = predicted(shadow, printing_sets(shadow))
    darks = set(shadow.block("key").colours)
    for number, distance in enumerate(delta_e00(before, after)):
        assert (distance > 1) == (number in darks)
    assert (after[sorted(darks), 0] < before[sorted(darks), 0]).all()
    pale = with_colour(project, 0, name="x")
    with pytest.raises(ProjectError, match="no darks"):
        with_shadow_key(pale, below=5.0)
