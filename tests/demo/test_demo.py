"""The demo: made by code, the same every time, with all it is said to have."""

from collections.abc import Callable
from importlib.resources import files

import numpy as np
import pytest

from benchmarks.demos import coldframe as frame
from benchmarks.demos import glasshouse as house
from benchmarks.demos import pots as clay
from nomos.demo import COLD_FRAME, GLASSHOUSE, POTS, Scenario, demo_picture, demo_project
from nomos.design import read_picture
from nomos.project import Assets, Project, cut_blocks, mask_request
from nomos.project.blocks.jigsaw import pieces_of
from nomos.project.blocks.methods import method_of
from nomos.project.check.parts import apart_findings, colours_apart_mm, piece_findings
from tests.conftest import proof_of


@pytest.mark.thorough
@pytest.mark.parametrize(
    ("scenario", "drawn", "size_mm"),
    [
        (GLASSHOUSE, house.glasshouse, (house.WIDTH_MM, house.HEIGHT_MM)),
        (COLD_FRAME, frame.coldframe, frame.SIZE_MM),
        (POTS, clay.pots, clay.SIZE_MM),
    ],
    ids=["glasshouse", "coldframe", "pots"],
)
def test_the_shipped_files_are_what_the_code_draws(
    scenario: Scenario, drawn: Callable[[], str], size_mm: tuple[int, int]
) -> None:
    svg = files("nomos.demo").joinpath(f"{scenario.name}.svg").read_text("utf-8")
    assert svg == drawn()
    png = read_picture(demo_picture(scenario), scenario.file)
    again = read_picture(svg.encode(), f"{scenario.name}.svg")
    assert png.size_mm == again.size_mm == size_mm
    assert abs(png.px_per_mm * 25.4 - 300) < 0.5
    assert np.abs(png.rgb.astype(int) - again.rgb).mean() < 0.5


def test_eight_flat_colours_and_a_key(whole_demo: tuple[Project, Assets]) -> None:
    project, assets = whole_demo
    assert project.flat is not None
    assert tuple(colour.name for colour in project.flat.colours) == GLASSHOUSE.colours
    keys = [block.name for block in project.blocks if block.is_key]
    assert keys == ["Key"]
    assert len(project.blocks) == 8
    assert set(assets) == {project.flat.labels, project.source.digest if project.source else ""}


def test_it_is_the_same_every_time(whole_demo: tuple[Project, Assets]) -> None:
    assert demo_project() == whole_demo


def test_the_cold_frame_is_a_reduction_whose_hips_can_be_inked_apart() -> None:
    project, assets = demo_project(COLD_FRAME)
    assert method_of(project) == "reduction"
    assert project.flat is not None
    assert [colour.name for colour in project.flat.colours] == list(COLD_FRAME.colours)
    request = mask_request(project, assets)
    assert request is not None
    apart = apart_findings(project, colours_apart_mm(cut_blocks(request)))
    texts = [finding.text for finding in apart]
    assert any("Night could be inked apart" in text and "Hip" in text for text in texts)
    (cure,) = [finding.cure for finding in apart if finding.text.startswith("Night")]
    assert cure is not None
    fewer = cure.edit(project)
    assert len(fewer.impressions) == len(project.impressions) - 1
    assert proof_of(fewer, assets).mean_de00 < 1


def test_the_pots_are_a_jigsaw_with_a_stalk_too_thin_to_saw() -> None:
    project, assets = demo_project(POTS)
    assert method_of(project) == "jigsaw"
    assert len(project.impressions) == 1
    proof = proof_of(project, assets)
    pieces = pieces_of(project, proof.blocks.labels, proof.blocks.px_per_mm)
    assert 12 <= len(pieces) <= 18
    said = [finding.text for finding in piece_findings(project, pieces)]
    assert any("Leaf" in text and "neck" in text for text in said)
    assert any("white hairlines" in text for text in said)
