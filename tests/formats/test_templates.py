"""Templates at true size: measured on the rasterised page, mirrored where they say so, tiled without loss."""

import math
import subprocess
from collections.abc import Sequence
from dataclasses import replace
from pathlib import Path

import cv2
import numpy as np
import pypdfium2
import pytest
from lxml import etree
from PIL import Image

from nomos.base.errors import BadInput
from nomos.formats.pdf import PAPERS_MM, drawings_pdf, plan_tiles
from nomos.formats.svg import drawing_svg
from nomos.formats.template import Template, templates
from nomos.formats.template_drawing import template_drawing, template_drawings
from nomos.project import Assets, CutBlocks, Finding, Project, ProjectError
from nomos.project.blocks.edits import with_block
from nomos.project.model.edits import with_sheet

Demo = tuple[Project, Assets]
DPI = 300
PX = DPI / 25.4


@pytest.fixture(scope="module")
def drawn(demo: Demo, demo_blocks: CutBlocks) -> Sequence[Template]:
    return templates(demo[0], demo_blocks)


@pytest.fixture(scope="module")
def pages(drawn: Sequence[Template], tmp_path_factory: pytest.TempPathFactory) -> list[np.ndarray]:
    """The first block's pages on A3 (one page a face), rasterised by poppler."""
    folder = tmp_path_factory.mktemp("pages")
    (folder / "blocks.pdf").write_bytes(drawings_pdf(template_drawings(drawn[:2]), "Templates", paper="A3"))
    subprocess.run(
        ["pdftoppm", "-r", str(DPI), "-gray", "-png", "blocks.pdf", "page"], cwd=folder, check=True, timeout=120
    )
    return [np.array(Image.open(path).convert("L")) for path in sorted(folder.glob("page-*.png"))]


def dark_runs(line: np.ndarray) -> list[tuple[int, int]]:
    dark = np.concatenate([[False], line < 128, [False]])
    edges = np.flatnonzero(np.diff(dark.astype(int)))
    return list(zip(edges[::2], edges[1::2], strict=True))


def test_the_check_bar_is_100_mm_long_on_the_page(pages: list[np.ndarray]) -> None:
    """Within 0.2 mm over 100 mm, as the issue of a template to a bench demands."""
    for page in pages:
        foot = page[-int(12 * PX) :]
        longest = max((end - start for line in foot for start, end in dark_runs(line)), default=0)
        assert longest / PX == pytest.approx(100, abs=0.2)


def test_the_page_is_the_paper(pages: list[np.ndarray]) -> None:
    height, width = pages[0].shape
    assert sorted((width / PX, height / PX)) == pytest.approx(sorted(PAPERS_MM["A3"]), abs=0.2)


def test_what_prints_is_where_it_belongs_in_mm(
    pages: list[np.ndarray], drawn: Sequence[Template], demo: Demo, demo_blocks: CutBlocks
) -> None:
    """The grey area on the page against the mask: same extent, mirrored on the block, within 0.2 mm."""
    mask = demo_blocks.masks[0]
    rows, columns = np.nonzero(mask.any(axis=1))[0], np.nonzero(mask.any(axis=0))[0]
    ppm, image = demo_blocks.px_per_mm, demo[0].image
    left, right = image.left + columns[0] / ppm, image.left + (columns[-1] + 1) / ppm
    top = image.top + rows[0] / ppm
    for page, template in zip(pages, drawn, strict=False):
        grey = ((page > 160) & (page < 176)).astype(np.uint8)
        # Lines and letters are thin: what is left after eroding and growing back is the printing area.
        solid = cv2.morphologyEx(grey, cv2.MORPH_OPEN, np.ones((5, 5), np.uint8))
        ys, xs = np.nonzero(solid)
        width_mm = (xs.max() - xs.min()) / PX
        assert width_mm == pytest.approx(right - left, abs=0.3)
        # From the block's own left edge: the heavy line that runs down the page.
        edge = min(start for start, end in dark_runs(page[int(60 * PX)]) if end - start < 20) / PX
        block_left = 12.0  # wood beyond the corner side
        wanted = 212 - (block_left + right) if template.face == "block" else block_left + left
        assert xs.min() / PX - edge == pytest.approx(wanted, abs=0.3)
        assert (ys.min() / PX) - (8 + template_drawing(template).header_mm) == pytest.approx(top, abs=0.4)


def test_the_two_faces_are_mirror_images(drawn: Sequence[Template]) -> None:
    block, tracing = drawn[0], drawn[1]
    assert (block.face, tracing.face) == ("block", "tracing")
    width = block.size_mm[0]
    for one, other in zip(block.areas, tracing.areas, strict=True):
        for ring, mirrored in zip(one, other, strict=True):
            np.testing.assert_allclose(width - ring[:, 0], mirrored[:, 0])
            np.testing.assert_allclose(ring[:, 1], mirrored[:, 1])
    for one_wall, other_wall in zip(block.walls, tracing.walls, strict=True):
        np.testing.assert_allclose([(width - x, y) for x, y in one_wall], other_wall)
    # Right-handed: the corner notch on the block's lower right, so on the tracing's lower left.
    assert block.walls[0][1][0] == pytest.approx(200)
    assert tracing.walls[0][1][0] == pytest.approx(12)


def test_every_page_says_what_it_is(drawn: Sequence[Template]) -> None:
    document = pypdfium2.PdfDocument(drawings_pdf(template_drawings(drawn), "Templates"))
    texts = [document[number].get_textpage().get_text_range() for number in range(len(document))]
    assert len(texts) == 2 * len(drawn)  # each face needs two A4 pages
    for text in texts:
        assert "100 mm" in text
        assert "part" in text
    assert "1 of 8: Sky rose" in texts[0]
    assert "mirrored" in texts[0]
    assert "right-reading" in texts[2]
    assert "8 of 8: Key, key block" in texts[-1]


@pytest.mark.parametrize("paper", ["A4", "A3", "Letter"])
@pytest.mark.parametrize("size", [(150.0, 100.0), (212.0, 289.0), (500.0, 700.0)])
def test_tiles_cover_the_drawing_and_overlap(size: tuple[float, float], paper: str) -> None:
    tiling = plan_tiles(size, paper)
    for length, room, step, count in zip(size, tiling.usable, tiling.step, (tiling.columns, tiling.rows), strict=True):
        assert step == pytest.approx(room - 10)
        assert room + (count - 1) * step >= length - 1e-6
        assert count == 1 or room + (count - 2) * step < length
        assert count == max(1, math.ceil((length - 10) / step - 1e-9))


def test_the_same_templates_are_the_same_bytes(drawn: Sequence[Template]) -> None:
    assert drawings_pdf(template_drawings(drawn[:2]), "Templates") == drawings_pdf(
        template_drawings(drawn[:2]), "Templates"
    )


def test_the_svg_has_the_same_sizes_in_mm(drawn: Sequence[Template]) -> None:
    root = etree.fromstring(drawing_svg(template_drawing(drawn[0]), headed=True))

    def paths(group: str) -> list[str]:
        spec = f".//{{http://www.w3.org/2000/svg}}g[@id='{group}']/{{http://www.w3.org/2000/svg}}path"
        return [path.get("d", "") for path in root.findall(spec)]

    def points(path: str) -> list[tuple[float, ...]]:
        return [tuple(map(float, point.split())) for point in path[1:].split("L")]

    assert root.get("width") == "212mm"
    assert root.get("viewBox", "").split()[2] == "212"
    xs = [x for x, _ in points(paths("check-bar-100-mm")[0])]
    assert max(xs) - min(xs) == 100
    np.testing.assert_allclose(points(paths("notch-walls")[0]), drawn[0].walls[0], atol=0.001)
    assert len(paths("printing")) == len(drawn[0].areas)


def test_no_room_and_no_such_paper_are_said(demo: Demo, demo_blocks: CutBlocks, drawn: Sequence[Template]) -> None:
    with pytest.raises(ProjectError, match="notches need"):
        templates(with_sheet(demo[0], (186, 246)), demo_blocks)
    with pytest.raises(BadInput, match="A4"):
        drawings_pdf(template_drawings(drawn[:1]), "Templates", paper="A9")


def test_a_name_of_any_letters_makes_a_file_name(demo: Demo, demo_blocks: CutBlocks, tmp_path: Path) -> None:
    project = with_block(demo[0], demo[0].blocks[0].id, name="../Ōtsu «sky»/1")
    first = templates(project, demo_blocks)[0]
    (tmp_path / f"{first.name}.svg").write_bytes(drawing_svg(template_drawing(first), headed=True))
    assert first.name == "01-ōtsu-sky-1-block"


def test_a_template_carries_what_is_found_on_its_own_block(demo: Demo, demo_blocks: CutBlocks) -> None:
    first, second = (pull.block for pull in demo[0].impressions[:2])
    fine = Finding(
        "will fail", "blocks", "Fine: a 3; b 4.", "Widen.", blocks=(first, second), own=("Fine: 3.", "Fine: 4.")
    )
    aside = Finding("worth knowing", "blocks", "By the way.", "Or not.", blocks=(first,))
    made = templates(demo[0], demo_blocks, (fine, aside))
    for template, wanted in zip(made[:4], ("Fine: 3. Widen.",) * 2 + ("Fine: 4. Widen.",) * 2, strict=True):
        assert template.notes[-1] == wanted
    assert made[4].warnings == ()


def test_tiles_laid_together_show_the_whole_block(drawn: Sequence[Template]) -> None:
    """Pages of a tall block, rasterised and laid together as they are numbered, are the block itself."""
    whole = drawn[0]
    marks = ((60.0, 30.0), (150.0, 250.0))
    areas = tuple((np.array([(x, y), (x + 12, y), (x + 12, y + 8), (x, y + 8), (x, y)]),) for x, y in marks)
    page = replace(whole, areas=areas, walls=(), floors=(), tidy=(), sheet=((0, 0),) * 4, colours=("#ffffff",))
    tiling = plan_tiles((page.size_mm[0], page.size_mm[1] + template_drawing(page).header_mm), "A4")
    assert (tiling.columns, tiling.rows) == (1, 2) or tiling.rows > 1
    document = pypdfium2.PdfDocument(drawings_pdf(template_drawings([page]), "Templates", paper="A4"))
    scale = DPI / 72
    found = []
    for number in range(len(document)):
        pixels = np.array(document[number].render(scale=scale, grayscale=True).to_pil())
        grey = ((pixels > 160) & (pixels < 176)).astype(np.uint8)
        solid = cv2.morphologyEx(grey, cv2.MORPH_OPEN, np.ones((40, 40), np.uint8))
        count, _, boxes, _ = cv2.connectedComponentsWithStats(solid)
        row, column = divmod(number, tiling.columns)
        for x, y, *_ in boxes[1:count]:
            # From the page's usable corner to the drawing's, and below its header.
            at = x / PX - 8.0 + column * tiling.step[0], y / PX - 8.0 + row * tiling.step[1]
            found.append((at[0], at[1] - template_drawing(page).header_mm))
    for mark in marks:
        assert min(math.dist(mark, at) for at in found) < 0.5, (mark, found)
