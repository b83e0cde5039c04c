"""A slip of the gouge: what changes, what hides it, what is advised."""

from collections.abc import Callable

import numpy as np
import pytest
from msgspec.structs import replace

from nomos.colour import Lab
from nomos.project import Assets, CutBlocks, Project, cut_blocks, mask_request
from nomos.project.blocks.methods import with_method
from nomos.project.check.slip import slip_at
from nomos.project.inks.films import predicted, printing_sets

Drawn = Callable[[np.ndarray, list[Lab], float], tuple[Project, Assets]]
LABS: list[Lab] = [(96.0, 0.0, 3.0), (85.0, -5.0, 60.0), (60.0, 40.0, 20.0), (30.0, 0.0, 0.0)]


@pytest.fixture
def bands(drawn: Drawn) -> tuple[Project, Assets]:
    """Three bands on white, 20 mm high each, at 4 pixels a mm."""
    page = np.zeros((320, 240), np.uint8)
    page[40:120, 40:200], page[120:200, 40:200], page[200:280, 40:200] = 1, 2, 3
    return drawn(page, LABS, 4.0)


def cut(project: Project, assets: Assets) -> CutBlocks:
    request = mask_request(project, assets)
    assert request is not None
    return cut_blocks(request)


def at(project: Project, x: float, y: float) -> tuple[float, float]:
    return project.image.left + x, project.image.top + y


def test_bare_paper_shows_where_the_only_block_is_gone(bands: tuple[Project, Assets]) -> None:
    project, blocks = bands[0], cut(*bands)
    (red,) = (each for each in project.blocks if each.colours == (2,))
    slip = slip_at(project, blocks, red.id, at(project, 25, 38), at(project, 35, 38), 2.0)
    (change,) = slip.changes
    assert (change.number, slip.seen) == (2, True)
    assert change.area_mm2 == pytest.approx(20 + np.pi, abs=2.5)
    assert change.now == pytest.approx(tuple(predicted(project, [frozenset()])[0]))
    assert "filler" in " ".join(slip.ways)
    wood = replace(project, craft=replace(project.craft, material="soft wood"))
    assert "plug" in " ".join(slip_at(wood, blocks, red.id, at(project, 25, 38), at(project, 35, 38), 2.0).ways)


def test_nothing_is_lost_where_nothing_stands(bands: tuple[Project, Assets]) -> None:
    project, blocks = bands[0], cut(*bands)
    slip = slip_at(project, blocks, project.blocks[0].id, at(project, 2, 2), at(project, 3, 2), 1.0)
    assert not slip.changes
    assert not slip.seen
    assert "Nothing that prints stands there" in slip.ways[0]


def test_what_a_later_layer_covers_is_left(bands: tuple[Project, Assets]) -> None:
    """On a reduction the last, opaque layer lies over all before it; where the first is bare it is seen."""
    project = with_method(bands[0], "reduction")
    project = replace(project, inks=tuple(replace(ink, opacity="opaque") for ink in project.inks))
    blocks, first = cut(project, bands[1]), project.impressions[0].block
    layers = [len(films) for films in printing_sets(project)]
    dark, pale = (
        max(range(4), key=lambda n: layers[n]),
        min((n for n in range(4) if layers[n]), key=lambda n: layers[n]),
    )
    rows = {1: 20, 2: 40, 3: 60}
    under = slip_at(project, blocks, first, at(project, 25, rows[dark]), at(project, 30, rows[dark]), 1.0)
    assert [each.number for each in under.changes] == [dark]
    assert not under.seen
    assert under.ways[0].startswith("Leave it")
    alone = slip_at(project, blocks, first, at(project, 25, rows[pale]), at(project, 30, rows[pale]), 1.0)
    assert alone.seen
    assert not alone.ways[0].startswith("Leave it")
