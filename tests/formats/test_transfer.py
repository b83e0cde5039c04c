"""Transfer sheets the right way round, marked by what stays or goes; the process page; comparisons."""

from collections.abc import Sequence
from dataclasses import replace

import numpy as np
import pytest
from shapely import Polygon
from shapely.geometry import box

from nomos.carving import TRANSFER_WAYS, TRANSFERS
from nomos.devices import Scanner
from nomos.formats.record import process_page, process_pdf
from nomos.formats.template import Template, templates
from nomos.formats.transfer_pdf import transfer_pdf, transfer_templates
from nomos.project import Assets, CutBlocks, Project, cut_blocks, mask_request
from nomos.project.register.comparison import colour_drift, compared, mean_apart, planned, straightened
from nomos.project.register.scan import printed_sheet
from nomos.project.register.system import middle_of
from nomos.registration import Motion

Demo = tuple[Project, Assets]


@pytest.fixture(scope="module")
def blocks(little: Demo) -> CutBlocks:
    request = mask_request(*little)
    assert request is not None
    return cut_blocks(request)


@pytest.fixture(scope="module")
def sheets(little: Demo, blocks: CutBlocks) -> Sequence[Template]:
    return templates(little[0], blocks)


@pytest.mark.parametrize("way", TRANSFER_WAYS)
def test_a_sheet_laid_face_down_is_right_reading(way: str, little: Demo, sheets: Sequence[Template]) -> None:
    made = transfer_templates(little[0], sheets, way)  # type: ignore[arg-type]
    assert len(made) == len(little[0].blocks)
    face = "block" if TRANSFERS[way].mirrored else "tracing"  # type: ignore[index]
    assert {template.face for template in made} == {face}
    assert all(TRANSFERS[way].steps in template.face_text for template in made)  # type: ignore[index]
    assert ("ventilate" in made[0].face_text) == (way == "toner")


def test_what_goes_is_the_image_less_what_stays(little: Demo, sheets: Sequence[Template]) -> None:
    project = little[0]
    stays = transfer_templates(project, sheets, "direct tracing", "stays")[1]
    goes = transfer_templates(project, sheets, "direct tracing", "goes")[1]
    (area,) = goes.areas
    frame = Polygon(area[0])
    assert frame.area == pytest.approx(project.image.width * project.image.height)
    inner = box(*frame.bounds).buffer(0.3)
    for each in stays.areas:
        assert inner.contains(Polygon(each[0]).buffer(0))
    assert transfer_pdf(project, [replace(sheets[0])], "direct tracing", "goes", paper="A3").startswith(b"%PDF")


def test_a_process_page_holds_every_stage() -> None:
    stages = [(f"{n} Pane", np.full((300, 200, 3), 30 * n, np.uint8)) for n in range(6)]
    page = process_page("Glasshouse", stages)
    for n in range(6):
        assert (page == 30 * n).all(axis=2).sum() > 100_000
    assert process_pdf("Glasshouse", page).startswith(b"%PDF")


def test_every_stage_stands_over_its_own_words() -> None:
    """Words changed under the third stage change the strip below its picture, and nothing else."""
    stages = [(f"{n} Pane", np.full((300, 200, 3), 120, np.uint8)) for n in range(6)]
    plain = process_page("Glasshouse", stages)
    other = process_page("Glasshouse", [*stages[:2], ("Leek", stages[2][1]), *stages[3:]])
    rows, columns = np.nonzero((plain != other).any(axis=2))
    # Tiles of 520 pixels with 36 between them; the picture, half as tall again, ends at 110 + 780.
    assert 36 + 2 * 556 <= columns.min() < columns.max() < 36 + 3 * 556
    assert 110 + 780 < rows.min() < rows.max() < 110 + 780 + 64
    # Words stand under a stage of the second row too.
    assert (plain[110 + 880 + 780 : 110 + 880 + 844] < 60).any()


def test_a_scanned_proof_is_laid_on_the_plan(little: Demo, blocks: CutBlocks) -> None:
    project = little[0]
    plan = planned(project, blocks)
    still = [Motion(middle_of(project), (0.0, 0.0), 0.0) for _ in project.impressions]
    page = printed_sheet(project, blocks, still, 8.0)
    same = straightened(project, Scanner(turn_deg=1.2, border_px=50, noise=1, cast=(1, 1, 1)).scan(page))
    assert same.shape == plan.shape
    assert mean_apart(plan, same) < 1.5
    moved = [Motion(middle_of(project), (2.0, 0.0), 0.0) for _ in project.impressions]
    other = straightened(project, printed_sheet(project, blocks, moved, 8.0))
    assert mean_apart(plan, other) > mean_apart(plan, same)
    split = compared(plan, other, "split")
    half = plan.shape[1] // 2
    assert np.array_equal(split[:, : half - 2], plan[:, : half - 2])
    assert np.array_equal(split[:, half + 2 :], other[:, half + 2 :])
    assert compared(plan, plan, "difference").min() > 250
    assert compared(plan, other, "difference").min() < 100
    early = planned(project, blocks, 1)
    assert mean_apart(early, plan) > 5


def test_colour_that_drifts_is_told() -> None:
    assert colour_drift([1.0]) == ""
    assert "holds" in colour_drift([1.0, 1.4, 1.2])
    assert "roll out afresh" in colour_drift([1.0, 2.0, 3.1])
