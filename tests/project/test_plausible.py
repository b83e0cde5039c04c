"""Plausible sheets: a place from close by, and the patches of ink on wet ink."""

import numpy as np
import pytest
from msgspec.structs import replace
from numpy.typing import NDArray

from nomos.base.fields import with_value
from nomos.project import Assets, CutBlocks, Project, cut_blocks, mask_request
from nomos.project.register.magnified import SIDE_MM, magnify
from nomos.project.register.plausible import plausible_sheet
from nomos.project.register.scan import printed_sheet
from nomos.project.register.system import middle_of
from nomos.project.register.tolerance import flash_exact
from nomos.registration import Motion

Demo = tuple[Project, Assets]


def with_budget(project: Project, **figures: float) -> Project:
    """The project with other parts of the error."""
    for name, figure in figures.items():
        project = with_value(project, f"register.budget.{name}", figure)
    return project


def test_ink_on_wet_ink_is_patchy_about_what_is_predicted_and_dry_ink_is_even(little: Demo) -> None:
    sure = with_budget(little[0], seating_mm=0, block_mm=0, cutting_mm=0, transfer_mm=0,
                       growth_along_pct=0, growth_across_pct=0)  # fmt: skip
    request = mask_request(sure, little[1])
    assert request is not None
    blocks = cut_blocks(request)

    def even(project: Project) -> NDArray[np.float64]:
        still = [Motion(middle_of(project), (0.0, 0.0), 0.0)] * len(project.impressions)
        return printed_sheet(project, blocks, still, blocks.px_per_mm).astype(np.float64)

    np.testing.assert_array_equal(plausible_sheet(sure, blocks, 3), even(sure))
    wet = replace(sure, times=replace(sure.times, way="sheet by sheet"))
    patchy = plausible_sheet(wet, blocks, 3).astype(np.float64)
    alone = [even(replace(wet, impressions=(pull,))) for pull in wet.impressions]
    layers = sum(((page != page[0, 0]).any(axis=-1).astype(int) for page in alone), start=0)
    off = patchy - even(wet)
    assert np.abs(off[layers > 1]).max() > 5
    assert not off[layers < 2].any()
    # On the mean it is what is predicted.
    assert np.abs(off[layers > 1].mean(axis=0)).max() < 2
    np.testing.assert_array_equal(plausible_sheet(wet, blocks, 3), patchy)


def test_a_place_from_close_by_is_worse_than_most_sheets_show_it(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = with_budget(demo[0], seating_mm=1.0)
    place = (project.image.left + 1.0, project.image.top + 100.0)
    close = magnify(project, demo_blocks, place)
    # Within the image, though the place lies at its edge, as fine as the blocks are.
    assert close.place.left == project.image.left
    assert close.picture.shape[0] == pytest.approx(SIDE_MM * demo_blocks.px_per_mm, abs=1)
    exact = flash_exact(project, demo_blocks, 40, 0)
    assert 0 < close.bare_mm2 < exact.bare_mm2.max()
    # A hand that never errs leaves no paper bare.
    sure = with_budget(demo[0], seating_mm=0, block_mm=0, cutting_mm=0, transfer_mm=0,
                       growth_along_pct=0, growth_across_pct=0)  # fmt: skip
    assert magnify(sure, demo_blocks, place).bare_mm2 == 0
