"""Drawings for bench and cutter: true size on the rasterised page, closed and with the kerf in DXF."""

import io
from dataclasses import replace
from typing import Any

import numpy as np
import pypdfium2
import pytest
import resvg_py
from ezdxf.filemanagement import read
from PIL import Image
from shapely import Polygon

from nomos.formats.bench_drawings import bench_drawing, pins_drawing
from nomos.formats.drawing import Drawing, Shape, Word
from nomos.formats.dxf import drawing_dxf
from nomos.formats.pdf import drawings_pdf
from nomos.formats.svg import drawing_svg
from nomos.formats.template import templates
from nomos.formats.template_drawing import set_drawing
from nomos.project import Assets, Project, cut_blocks, mask_request
from nomos.project.register.system import plan_of_system, with_register
from nomos.registration import PinSettings
from nomos.registration.pins import parts_of

PX = 300 / 25.4
# A rectangle of 100 x 60 mm, 20 mm from the drawing's corner.
BOX = Drawing(
    "box", "A box", (), (140.0, 100.0),
    (
        Shape("block", (((20, 20), (120, 20), (120, 80), (20, 80)),)),
        Shape("dimension", (((20, 90), (120, 90)),), closed=False),
    ),
    (Word((70, 50), "100 mm"),),
)  # fmt: skip


def spans(page: np.ndarray) -> tuple[float, float]:
    """Between the middles of the outermost long dark lines, across and down, in pixels."""
    dark = page < 128
    columns = np.flatnonzero(dark.sum(axis=0) > 40 * PX)
    rows = np.flatnonzero(dark.sum(axis=1) > 80 * PX)

    def middles(found: np.ndarray) -> list[float]:
        groups = np.split(found, np.flatnonzero(np.diff(found) > 1) + 1)
        return [float(group.mean()) for group in groups]

    across, down = middles(columns), middles(rows)
    return across[-1] - across[0], down[1] - down[0]


def test_a_pdf_page_is_true_to_a_tenth_of_a_millimetre() -> None:
    page = pypdfium2.PdfDocument(drawings_pdf([BOX], "A box", paper="A4"))[0]
    pixels = np.array(page.render(scale=300 / 72, grayscale=True).to_pil())
    across, down = spans(pixels)
    assert across / PX == pytest.approx(100, abs=0.1)
    assert down / PX == pytest.approx(60, abs=0.1)


def test_an_svg_is_true_to_a_tenth_of_a_millimetre() -> None:
    svg = drawing_svg(replace(BOX, shapes=BOX.shapes[:1], words=())).decode()
    png = resvg_py.svg_to_bytes(svg_string=svg, dpi=300, background="white")
    pixels = np.array(Image.open(io.BytesIO(bytes(png))).convert("L"))
    across, down = spans(pixels)
    assert across / PX == pytest.approx(100, abs=0.1)
    assert down / PX == pytest.approx(60, abs=0.1)


@pytest.mark.parametrize("kerf", [0.0, 0.2, 0.5])
def test_pins_in_dxf_are_closed_in_millimetres_and_a_kerf_larger(kerf: float) -> None:
    pins = PinSettings(pairs=3, kerf_mm=kerf)
    document: Any = read(io.StringIO(drawing_dxf(pins_drawing(pins)).decode()))
    assert document.dxfversion == "AC1024"
    assert document.header["$INSUNITS"] == 4
    cuts = [entity for entity in document.modelspace() if entity.dxf.layer == "cut"]
    assert all(entity.closed for entity in cuts)
    shapes = [Polygon([(x, y) for x, y, *_ in entity.get_points()]) for entity in cuts]
    wanted = []
    for part in parts_of(pins):
        wanted.append(Polygon(part.outer).buffer(kerf / 2, join_style="mitre").area)
        wanted += [Polygon(hole).buffer(-kerf / 2, join_style="mitre").area for hole in part.holes]
    assert sorted(shape.area for shape in shapes) == pytest.approx(sorted(wanted), rel=1e-6)
    words = {entity.dxf.text for entity in document.modelspace() if entity.dxftype() == "TEXT"}
    assert words == {f"{half}{n}" for half in "MF" for n in (1, 2, 3)}


def test_a_bench_drawing_is_mirrored_and_holds_the_stops(demo: tuple[Project, Assets]) -> None:
    project = with_register(demo[0], system="jig")
    plan, _ = plan_of_system(project)
    assert plan is not None
    drawing = bench_drawing(project, plan)
    side = next(shape for shape in plan.shapes if shape.kind == "paper stop" and shape.points[0][0] < 0)
    drawn = [shape for shape in drawing.shapes if shape.layer == "paper stop"]
    # At the print's left, so at the printer's right on the bench.
    assert max(x for each in drawn for x, _ in each.rings[0]) == pytest.approx(
        plan.bench.right - min(x for x, _ in side.points)
    )
    assert drawing.size_mm[0] == pytest.approx(plan.bench.width)


def test_the_blocks_of_a_set_stand_side_by_side_in_dxf(little: tuple[Project, Assets]) -> None:
    project = with_register(little[0], marks="rings")
    request = mask_request(project, little[1])
    assert request is not None
    drawing = set_drawing(templates(project, cut_blocks(request)))
    document: Any = read(io.StringIO(drawing_dxf(drawing).decode()))
    edges = [each for each in document.modelspace() if each.dxf.layer.endswith("-edge")]
    assert len(edges) == len(project.blocks)
    walls = [each for each in document.modelspace() if each.dxf.layer == "block01-wall"]
    assert len(walls) == 2
    assert not any(each.closed for each in walls)
    printing = [each for each in document.modelspace() if each.dxf.layer == "block01-printing"]
    assert printing
    assert all(each.closed for each in printing)


def test_a_dxf_stands_upright() -> None:
    """The format counts y upwards: what is at the top of a drawing has the larger y."""
    document: Any = read(io.StringIO(drawing_dxf(BOX).decode()))
    box, dimension = [entity for entity in document.modelspace() if entity.dxftype() == "LWPOLYLINE"]
    assert sorted({(x, y) for x, y, *_ in box.get_points()}) == [(20, 20), (20, 80), (120, 20), (120, 80)]
    assert {y for _, y, *_ in dimension.get_points()} == {10}
    (word,) = [entity for entity in document.modelspace() if entity.dxftype() == "TEXT"]
    assert word.dxf.align_point[1] == 50
