"""The demo: made by code, the same every time, with all it is said to have."""

import numpy as np

from nomos.demo import DEMO_NAMES, demo_picture, demo_project
from nomos.demo.glasshouse import HEIGHT_MM, WIDTH_MM, glasshouse
from nomos.design import read_picture
from nomos.project import Assets, Project


def test_the_shipped_files_are_what_the_code_draws() -> None:
    from importlib.resources import files

    svg = files("nomos.demo").joinpath("glasshouse.svg").read_text("utf-8")
    assert svg == glasshouse()
    png = read_picture(demo_picture(), "glasshouse.png")
    drawn = read_picture(svg.encode(), "glasshouse.svg")
    assert png.size_mm == drawn.size_mm == (WIDTH_MM, HEIGHT_MM)
    assert abs(png.px_per_mm * 25.4 - 300) < 0.5
    assert np.abs(png.rgb.astype(int) - drawn.rgb).mean() < 0.5


def test_eight_flat_colours_and_a_key(demo: tuple[Project, Assets]) -> None:
    project, assets = demo
    assert project.flat is not None
    assert tuple(colour.name for colour in project.flat.colours) == DEMO_NAMES
    keys = [block.name for block in project.blocks if block.is_key]
    assert keys == ["Key"]
    assert len(project.blocks) == 8
    assert set(assets) == {project.flat.labels, project.source.digest if project.source else ""}


def test_it_is_the_same_every_time(demo: tuple[Project, Assets]) -> None:
    assert demo_project() == demo
