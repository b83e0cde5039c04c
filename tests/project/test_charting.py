"""The chart of overlaps: complete, cut in strips, and read back from a simulated scan."""

from pathlib import Path

import numpy as np
import pytest
from pypdfium2 import PdfDocument

from benchmarks.devices.camera import Camera, Sheet
from nomos.base.errors import BadInput
from nomos.colour import delta_e00, lab_to_srgb, srgb_to_lab
from nomos.colour.cielab import srgb_decode
from nomos.devices import Scanner
from nomos.formats.chart import chart_picture, write_chart
from nomos.project import Assets, Project, ProjectError
from nomos.project.inks.chart import Chart, overlap_chart
from nomos.project.inks.chart_reading import read_chart

Demo = tuple[Project, Assets]


@pytest.fixture
def four(demo: Demo) -> tuple[Project, tuple[str, ...]]:
    project = demo[0]
    return project, tuple(pull.id for pull in project.impressions[1:5])


def test_every_overlap_stands_once_and_every_block_is_strips(four: tuple[Project, tuple[str, ...]]) -> None:
    chart = overlap_chart(*four)
    assert sorted(patch.films for patch in chart.patches) == sorted(
        tuple(n for n in range(4) if mask >> n & 1) for mask in range(16)
    )
    for ink in range(4):
        own = np.array([ink in patch.films for patch in chart.patches]).reshape(-1, chart.columns)
        # Whole columns or whole rows, and in Gray order at most two runs of them.
        assert (own == own[:1]).all() or (own == own[:, :1]).all()
        line = own[0] if (own == own[:1]).all() else own[:, 0]
        assert np.count_nonzero(np.diff(np.concatenate([[0], line, [0]])) == 1) <= 2
    whole = overlap_chart(four[0])
    assert len(whole.patches) == 256
    assert whole.size_mm[0] <= 234
    with pytest.raises(ProjectError, match="not 0"):
        overlap_chart(four[0], ())


@pytest.mark.parametrize(
    "scanner", [Scanner(), Scanner(cast=(0.9, 1.0, 0.8), noise=3.0), Scanner(cast=(1.0, 0.95, 0.85), seed=4)]
)
def test_a_scan_of_the_chart_is_read_back(four: tuple[Project, tuple[str, ...]], scanner: Scanner) -> None:
    project, pulls = four
    chart = overlap_chart(project, pulls)
    picture = np.pad(chart_picture(chart, project.paper.lab), ((30, 50), (40, 20), (0, 0)), constant_values=240)
    read = read_chart(chart, scanner.scan(picture), project.paper.lab)
    assert len(read) == 16
    # What lies outside the screen's colours cannot be scanned from a picture: the others come back.
    off = sorted(each.de00 for each in read)
    assert np.median(off) < 1.0
    assert off[-3] < 3.0
    bare = next(each for each in read if not each.patch.films)
    assert float(delta_e00(np.array(bare.read.lab), np.array(project.paper.lab))) < 0.5
    with pytest.raises(ProjectError, match="discs"):
        read_chart(chart, np.full((400, 400, 3), 230, np.uint8), project.paper.lab)


@pytest.mark.thorough
@pytest.mark.parametrize(
    "camera",
    [
        Camera(),
        Camera(tilt=0.3, falloff=0.35, table="stone"),
        Camera(table="mat", turn_deg=95, pixels=(4000, 3000), lens=-0.03),
        Camera(exposure=0.5, noise=3, seed=3),
    ],
)
def test_a_photograph_of_the_chart_is_straightened_and_evened(
    four: tuple[Project, tuple[str, ...]], camera: Camera
) -> None:
    project, pulls = four
    chart = overlap_chart(project, pulls)
    read = read_chart(chart, camera.take(lying(chart, project)).rgb, project.paper.lab)
    # What a picture of it can hold, as the screen does.
    truth = srgb_to_lab(np.array([lab_to_srgb(np.array(patch.lab)) for patch in chart.patches]))
    off = delta_e00(np.array([each.read.lab for each in read]), truth)
    assert off.mean() < 1.0
    assert off.max() < 2.5
    assert 0 < read[0].sure_de00 < 1.8


def test_a_shadow_over_the_chart_is_no_colour(four: tuple[Project, tuple[str, ...]]) -> None:
    project, pulls = four
    chart = overlap_chart(project, pulls)
    with pytest.raises(ProjectError, match="shadow"):
        read_chart(chart, Camera(shadow=0.35).take(lying(chart, project)).rgb, project.paper.lab)


def lying(chart: Chart, project: Project) -> Sheet:
    """The chart printed on a sheet a little larger."""
    page = chart_picture(chart, project.paper.lab)
    bare = lab_to_srgb(np.array(project.paper.lab))
    whole = np.full((page.shape[0] + 160, page.shape[1] + 160, 3), bare, np.uint8)
    whole[80:-80, 80:-80] = page
    inner = (80, 80, whole.shape[1] - 80, whole.shape[0] - 80)
    return Sheet(srgb_decode(whole / 255).astype(np.float32), inner, 8.0)


def test_the_chart_as_a_file(four: tuple[Project, tuple[str, ...]], tmp_path: Path) -> None:
    project, pulls = four
    figures = write_chart(tmp_path / "chart.pdf", project, pulls)
    assert len(figures["patches"]) == 16
    document = PdfDocument(tmp_path / "chart.pdf")
    assert len(document) == 1 + 4
    document.close()
    write_chart(tmp_path / "chart.png", project, pulls)
    assert (tmp_path / "chart.png").stat().st_size > 2000
    with pytest.raises(BadInput, match="pdf or"):
        write_chart(tmp_path / "chart.doc", project, pulls)
