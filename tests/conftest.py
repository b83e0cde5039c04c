"""What every test has: a fake home, no leftovers, and no unexpected word from a library."""

import logging
import os
import threading
from collections.abc import Callable, Iterator
from pathlib import Path

import numpy as np
import pytest
from hypothesis import HealthCheck, settings
from msgspec.structs import replace

from nomos.base.units import show_lengths_in
from nomos.cli.common import answers
from nomos.colour import Lab
from nomos.demo import demo_project
from nomos.design import FlatColour, FlatDesign
from nomos.project import (
    Assets,
    CutBlocks,
    Project,
    Proof,
    cut_blocks,
    digest,
    labels_from_png,
    labels_to_png,
    mask_request,
    prove,
)
from nomos.project.blocks.edits import with_flat_design
from nomos.project.model.edits import new_project
from nomos.project.sheet.laying import bare_places, impressions_to_lay, lay_sheet
from nomos.registration import KentoSettings, Rect

os.environ["QT_QPA_PLATFORM"] = "offscreen"

settings.register_profile(
    "nomos", deadline=None, max_examples=50, suppress_health_check=[HealthCheck.function_scoped_fixture]
)
settings.load_profile("nomos")


def proof_of(project: Project, assets: Assets) -> Proof:
    """The proof of a project from nothing: cut, laid and coloured."""
    request = mask_request(project, assets)
    assert request is not None
    blocks = cut_blocks(request)
    laid = lay_sheet(blocks, impressions_to_lay(project))
    return prove(project, blocks, laid, bare_places(project, blocks, laid))


@pytest.fixture
def told(record_property: Callable[[str, object], None]) -> Callable[[str], None]:
    """Says a line that stands in the summary of the run: a figure beside its alternative."""
    return lambda line: record_property("told", line)


def pytest_terminal_summary(terminalreporter: pytest.TerminalReporter) -> None:
    """Print what passing tests had to tell, also when they ran in another process."""
    for report in terminalreporter.stats.get("passed", []):
        for name, line in report.user_properties:
            if name == "told":
                terminalreporter.write_line(str(line))


@pytest.fixture(autouse=True)
def _own_home(tmp_path_factory: pytest.TempPathFactory, monkeypatch: pytest.MonkeyPatch) -> None:
    home = tmp_path_factory.mktemp("home")
    for name in ("HOME", "XDG_CONFIG_HOME", "XDG_STATE_HOME", "XDG_DATA_HOME", "XDG_CACHE_HOME"):
        monkeypatch.setenv(name, str(home))


@pytest.fixture(autouse=True)
def _nothing_left_over(caplog: pytest.LogCaptureFixture) -> Iterator[None]:
    """Fails a test that leaves a thread running or logs a warning it did not clear with `caplog.clear()`."""
    before = set(threading.enumerate())
    yield
    left = [thread.name for thread in threading.enumerate() if thread not in before and not thread.daemon]
    assert not left, f"threads left running: {left}"
    said = [record.getMessage() for record in caplog.records if record.levelno >= logging.WARNING]
    assert not said, f"unexpected log records: {said}"


@pytest.fixture
def inches() -> Iterator[None]:
    """Lengths are read in inches, as at the start of a window that prefers them."""
    show_lengths_in("in")
    yield
    show_lengths_in("mm")


@pytest.fixture(scope="session")
def whole_demo() -> tuple[Project, Assets]:
    """The demo project as it is shipped, made once."""
    return demo_project(ask=answers())


@pytest.fixture(scope="session")
def demo(whole_demo: tuple[Project, Assets]) -> tuple[Project, Assets]:
    """The demo with a quarter of its pixels: as many blocks, colours and fine places, laid sooner."""
    project, assets = whole_demo
    assert project.flat is not None
    png = labels_to_png(np.ascontiguousarray(labels_from_png(assets[project.flat.labels])[::2, ::2]))
    flat = replace(project.flat, labels=digest(png))
    kept = {name: data for name, data in assets.items() if name != project.flat.labels}
    return replace(project, flat=flat), {**kept, flat.labels: png}


@pytest.fixture(scope="session")
def demo_blocks(demo: tuple[Project, Assets]) -> CutBlocks:
    """The demo's blocks, cut once."""
    request = mask_request(*demo)
    assert request is not None
    return cut_blocks(request)


@pytest.fixture
def sketch(tmp_path: Path) -> Path:
    """A small sketch as a file: four colours and a dark line, 60 × 80 mm at 150 dpi."""
    from PIL import Image

    path = tmp_path / "sketch.png"
    Image.fromarray(sketch_pixels()).save(path, dpi=(150, 150))
    return path


def sketch_pixels() -> np.ndarray:
    """Paper, a pale field, a red and a green one, and a dark line 2 mm wide between and along them."""
    page = np.full((472, 354, 3), (250, 248, 240), np.uint8)
    page[60:420, 40:310] = (240, 205, 150)
    page[120:360, 80:180] = (190, 70, 50)
    page[120:360, 180:270] = (70, 120, 80)
    page[100:380, 174:186] = (30, 30, 40)
    page[114:126, 74:276] = page[354:366, 74:276] = (30, 30, 40)
    return page


@pytest.fixture(scope="session")
def little(drawn: "Drawn") -> tuple[Project, Assets]:
    """A small print: three colours and a dark line, 60 x 80 mm on a larger sheet; fast to lay."""
    page = sketch_pixels()
    seen = ((250, 248, 240), (240, 205, 150), (190, 70, 50), (70, 120, 80), (30, 30, 40))
    apart = np.stack([np.abs(page.astype(int) - rgb).sum(axis=2) for rgb in seen])
    labs: list[Lab] = [(97.5, 0, 4), (84, 7, 32), (45, 46, 38), (46, -24, 18), (12, 1, -6)]
    project, assets = drawn(apart.argmin(axis=0), labs, 472 / 80)
    project = replace(project, title="A little pane", image=Rect(14, 14, 74, 94),
                      paper=replace(project.paper, width_mm=88.0, height_mm=108.0))  # fmt: skip
    kento = KentoSettings(corner_arm_mm=12.0, straight_mm=16.0)
    return replace(project, kento=kento, workshop=replace(project.workshop, sheets=6)), assets


Drawn = Callable[[np.ndarray, list[Lab], float], tuple[Project, Assets]]


@pytest.fixture(scope="session")
def drawn() -> Drawn:
    """Makes a project of a page of colour numbers, their CIELAB colours and the pixels in a mm.

    The lightest colour stays bare paper if it is the paper's own, white.
    """

    def make(labels: np.ndarray, labs: list[Lab], px_per_mm: float) -> tuple[Project, Assets]:
        height, width = labels.shape
        size = (width / px_per_mm, height / px_per_mm)
        colours = tuple(FlatColour(lab, 0.0, 0.0) for lab in labs)
        png = labels_to_png(labels.astype(np.uint8))
        flat = FlatDesign(labels.astype(np.uint8), colours, 0.0, size)
        project = with_flat_design(
            new_project("Made for a test", size, paper_lab=(96.0, 0.0, 3.0)), flat, digest(png),
            requested_colours=len(labs), smallest_feature_mm=0.8,
            names=[f"Colour {n}" for n in range(len(labs))],
        )  # fmt: skip
        return project, {digest(png): png}

    return make
