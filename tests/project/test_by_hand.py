"""Masks changed by hand: kept with the project, used in place of those worked out, fitted when brought in."""

from pathlib import Path

import numpy as np
import pytest

from nomos.project import (
    Assets,
    CutBlocks,
    Project,
    ProjectError,
    cut_blocks,
    digest,
    load,
    mask_request,
    mask_to_png,
    save,
)
from nomos.project.blocks.edits import with_drawn
from nomos.project.blocks.fitting import fitted_masks

Demo = tuple[Project, Assets]


def by_hand(demo: Demo, mask: np.ndarray) -> Demo:
    data = mask_to_png(mask)
    project = with_drawn(demo[0], {demo[0].blocks[2].id: digest(data)})
    return project, {**demo[1], digest(data): data}


def test_a_mask_by_hand_takes_the_place_of_the_one_worked_out(
    demo: Demo, demo_blocks: CutBlocks, tmp_path: Path
) -> None:
    mask = demo_blocks.masks[2].copy()
    mask[100:300, 200:500] = 1
    project, assets = by_hand(demo, mask)
    save(tmp_path / "hand.nomos", project, assets)
    assert load(tmp_path / "hand.nomos") == (project, assets)
    request = mask_request(project, assets)
    assert request is not None
    cut = cut_blocks(request, earlier=demo_blocks)
    np.testing.assert_array_equal(cut.masks[2], mask)
    np.testing.assert_array_equal(cut.masks[1], demo_blocks.masks[1])
    assert with_drawn(project, {project.blocks[2].id: None}) == demo[0]


def test_a_mask_of_another_size_is_refused(demo: Demo, demo_blocks: CutBlocks) -> None:
    project, assets = by_hand(demo, np.zeros((50, 40), np.uint8))
    request = mask_request(project, assets)
    assert request is not None
    with pytest.raises(ProjectError, match="does not fit the design"):
        cut_blocks(request, earlier=demo_blocks)


def test_what_comes_in_is_fitted_by_name_else_by_place(demo: Demo) -> None:
    project = demo[0]
    shape, small = (400, 300), np.zeros((200, 150), np.uint8)
    small[50:100] = 1
    names = [project.block(i.block).name for i in project.impressions]
    found = fitted_masks(project, shape, [("07-leek", small), ("Brick", small), ("nobody", small)])
    assert {project.block(block).name for block in found} == {"Leek", "Brick"}
    mask = next(iter(found.values()))
    assert mask.shape == shape
    assert mask.mean() == pytest.approx(0.25, abs=0.01)
    placed = fitted_masks(project, shape, [(f"layer {n}", small) for n in range(len(names))])
    assert [project.block(block).name for block in placed] == names
    with pytest.raises(ProjectError, match="name of a block"):
        fitted_masks(project, shape, [("nobody", small)])
    with pytest.raises(ProjectError, match="another shape"):
        fitted_masks(project, shape, [("Leek", small[:, :100])])
