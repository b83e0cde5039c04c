"""The chart of overlaps: complete, cut in strips, and read back from a simulated scan."""

from pathlib import Path

import numpy as np
import pytest
from pypdfium2 import PdfDocument

from nomos.base.errors import BadInput
from nomos.colour import delta_e00
from nomos.devices import Scanner
from nomos.formats.chart import chart_picture, write_chart
from nomos.project import Assets, Project, ProjectError
from nomos.project.inks.chart import overlap_chart, read_chart

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
