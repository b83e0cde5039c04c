"""The demo projects: sketches of one allotment at first frost, invented inks on an invented paper."""

from dataclasses import dataclass
from importlib.resources import files

import numpy as np

from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.design import Cut, find_cut, read_picture, read_pixels
from nomos.design.cut import drawn_size, paper_size, proportions
from nomos.project import Project, Source, digest
from nomos.project.blocks.methods import USUAL_METHOD, Method, with_method
from nomos.separation import find_key
from nomos.work import Answers, Ask
from nomos.work.open import Wish, assets_of, flatten_of, project_of

_PAPER_LAB = (94.6, 0.3, 5.8)


@dataclass(frozen=True)
class Scenario:
    """One demo: its sketch, how it is printed, and the colours light to dark as flattening finds them.

    drawn_on : the sheet that is photographed; "" for a sketch that is a drawing already.
    """

    name: str
    title: str
    method: Method
    colours: tuple[str, ...]
    drawn_on: str = ""

    @property
    def file(self) -> str:
        """The shipped sketch, or photograph of one."""
        return f"{self.name}.jpg" if self.drawn_on else f"{self.name}.png"


GLASSHOUSE = Scenario(
    "glasshouse",
    "Glasshouse, first frost",
    "multiblock",
    ("Rime", "Sky rose", "Pane green", "Dusk mauve", "Bed ochre", "Slate", "Brick", "Leek", "Key"),
)
COLD_FRAME = Scenario(
    "coldframe", "Cold frame, first light", "reduction", ("Rime", "Straw", "Frost", "Moss", "Hip", "Night")
)
POTS = Scenario("pots", "Three pots", "jigsaw", ("Dawn", "Shelf", "Wall", "Clay rim", "Clay", "Leaf", "Deep"))
PHOTO = Scenario(
    "photo", "Water butt", "multiblock",
    ("Paper", "Path", "Sky", "Moss", "Boards", "Bean red", "Butt", "Leaf", "Key"), drawn_on="A5",
)  # fmt: skip
SCENARIOS = (GLASSHOUSE, COLD_FRAME, POTS, PHOTO)


def scenario_called(name: str) -> Scenario:
    """The demo of that name. Raises KeyError."""
    return {scenario.name: scenario for scenario in SCENARIOS}[name]


def demo_picture(scenario: Scenario = GLASSHOUSE) -> bytes:
    """The shipped sketch as PNG bytes."""
    return files("nomos.demo").joinpath(scenario.file).read_bytes()


def demo_project(
    scenario: Scenario = GLASSHOUSE, ask: Ask | None = None, *, progress: Progress = NULL_PROGRESS
) -> tuple[Project, dict[str, bytes]]:
    """A demo, read, flattened and separated now. Inks and paper are made up for illustration."""
    data = demo_picture(scenario)
    size, cut = _found(scenario, data) if scenario.drawn_on else (None, None)
    picture = read_picture(data, scenario.file, size_mm=size, cut=cut)
    source = Source(scenario.file, digest(data), picture.size_mm, picture.cut)
    wish = Wish(None if scenario.drawn_on else len(scenario.colours))
    done = (ask or Answers())(flatten_of(source, data, wish), Part(progress, 0.0, 0.8))
    flat = done.flat
    names = scenario.colours if len(scenario.colours) == len(flat.colours) else None
    project = project_of(
        scenario.title, done, paper_lab=_PAPER_LAB, paper_name="Demo paper, warm white (invented)", names=names
    )
    if scenario.method != USUAL_METHOD:
        key = find_key(flat.labels, [colour.lab for colour in flat.colours], flat.px_per_mm)
        project = with_method(project, scenario.method, key, progress=Part(progress, 0.8, 1.0))
    return project, assets_of(data, done)


def _found(scenario: Scenario, data: bytes) -> tuple[tuple[float, float], Cut]:
    """What is drawn on the photographed sheet, and its size by that sheet."""
    pixels = read_pixels(data, scenario.file)
    found = find_cut(pixels.rgb)
    corners = np.array(found.sheet) * np.array([pixels.rgb.shape[1], pixels.rgb.shape[0]])
    sheet = paper_size(scenario.drawn_on, proportions(corners, pixels.rgb.shape))
    width, height = drawn_size(found, pixels.rgb.shape, sheet)
    return (round(width, 1), round(height, 1)), found.cut
