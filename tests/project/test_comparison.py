"""A proof beside the plan: what is still to be cut away, and what is none of it."""

import numpy as np
import pytest

from nomos.colour import lab_to_srgb
from nomos.project import Assets, Project, cut_blocks, mask_request
from nomos.project.register.comparison import PX_PER_MM, Picture, marks_text, planned, stray_marks

Demo = tuple[Project, Assets]
# x, y and side in mm: on the sheet's own paper, in the margin beside the image.
MARKS = ((3.0, 40.0, 1.2), (84.0, 70.0, 0.8), (40.0, 104.0, 2.0))


@pytest.fixture
def plan(little: Demo) -> Picture:
    """The little design's sheet as it is planned."""
    request = mask_request(*little)
    assert request is not None
    return planned(little[0], cut_blocks(request))


def marked(project: Project, plan: Picture, strength: float = 1.0) -> Picture:
    """The plan with marks of the darkest ink."""
    proof = plan.astype(np.float64)
    ink = min((project.ink(pull.main.ink) for pull in project.impressions), key=lambda ink: ink.lab[0])
    tint = np.asarray(lab_to_srgb(np.array(ink.lab)), np.float64)
    for x, y, side in MARKS:
        rows = slice(round(y * PX_PER_MM), round((y + side) * PX_PER_MM))
        columns = slice(round(x * PX_PER_MM), round((x + side) * PX_PER_MM))
        proof[rows, columns] += strength * (tint - proof[rows, columns])
    return proof.round().astype(np.uint8)


def test_every_mark_is_found_where_it_is_and_by_its_ink(little: Demo, plan: Picture) -> None:
    generator = np.random.default_rng(5)
    proof = marked(little[0], plan, 0.6).astype(float) * 0.97 + generator.normal(0, 1.5, plan.shape)
    found = stray_marks(little[0], plan, proof.clip(0, 255).round().astype(np.uint8))
    assert len(found) == len(MARKS)
    for mark, (x, y, side) in zip(found, sorted(MARKS, key=lambda each: -each[2]), strict=True):
        assert mark.place_mm == pytest.approx((x + side / 2, y + side / 2), abs=0.4)
        assert mark.area_mm2 == pytest.approx(side**2, rel=0.6)
    assert "3 stray marks to cut away" in marks_text(found)


def test_a_block_out_of_register_or_paler_paper_makes_no_marks(little: Demo, plan: Picture) -> None:
    out = round(little[0].tolerance_mm * PX_PER_MM)
    for proof in (plan, np.roll(plan, out, axis=1), (plan * 0.93).astype(np.uint8)):
        assert stray_marks(little[0], plan, proof) == ()
    assert "No stray marks" in marks_text(())
