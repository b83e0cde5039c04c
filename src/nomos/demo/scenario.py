"""The demo projects: sketches of one allotment at first frost, invented inks on an invented paper."""

from dataclasses import dataclass
from importlib.resources import files

from nomos.demo import coldframe, pots
from nomos.design import SMALLEST_FEATURE_MM, flatten, read_picture
from nomos.progress import NULL_PROGRESS, Part, Progress
from nomos.project import Project, Source, digest, labels_to_png
from nomos.project.edits import new_project, with_flat_design, with_source
from nomos.project.methods import Method, with_method
from nomos.separation import find_key

_PAPER_LAB = (94.6, 0.3, 5.8)


@dataclass(frozen=True)
class Scenario:
    """One demo: its sketch, how it is printed, and the colours light to dark as flattening finds them."""

    name: str
    title: str
    method: Method
    colours: tuple[str, ...]

    @property
    def file(self) -> str:
        """The shipped sketch."""
        return f"{self.name}.png"


GLASSHOUSE = Scenario(
    "glasshouse",
    "Glasshouse, first frost",
    "multiblock",
    ("Rime", "Sky rose", "Pane green", "Dusk mauve", "Bed ochre", "Slate", "Brick", "Leek", "Key"),
)
COLD_FRAME = Scenario(
    "coldframe", coldframe.TITLE, "reduction", ("Rime", "Straw", "Frost", "Moss", "Hip", "Night")
)
POTS = Scenario("pots", pots.TITLE, "jigsaw", ("Dawn", "Shelf", "Wall", "Clay rim", "Clay", "Leaf", "Deep"))
SCENARIOS = (GLASSHOUSE, COLD_FRAME, POTS)


def scenario_called(name: str) -> Scenario:
    """The demo of that name. Raises KeyError."""
    return {scenario.name: scenario for scenario in SCENARIOS}[name]


def demo_picture(scenario: Scenario = GLASSHOUSE) -> bytes:
    """The shipped sketch as PNG bytes."""
    return files("nomos.demo").joinpath(scenario.file).read_bytes()


def demo_project(
    scenario: Scenario = GLASSHOUSE, *, progress: Progress = NULL_PROGRESS
) -> tuple[Project, dict[str, bytes]]:
    """A demo, read, flattened and separated now. Inks and paper are made up for illustration."""
    data = demo_picture(scenario)
    picture = read_picture(data, scenario.file)
    flat = flatten(picture, len(scenario.colours), progress=Part(progress, 0.0, 0.8))
    labels = labels_to_png(flat.labels)
    assets = {digest(data): data, digest(labels): labels}
    project = new_project(
        scenario.title, picture.size_mm, paper_lab=_PAPER_LAB, paper_name="Demo paper, warm white (invented)"
    )
    project = with_source(project, Source(scenario.file, digest(data), picture.size_mm))
    project = with_flat_design(
        project,
        flat,
        digest(labels),
        asked=len(scenario.colours),
        smallest_feature_mm=SMALLEST_FEATURE_MM,
        names=scenario.colours,
    )
    if scenario.method != "multiblock":
        key = find_key(flat.labels, [colour.lab for colour in flat.colours], flat.px_per_mm)
        project = with_method(project, scenario.method, key, progress=Part(progress, 0.8, 1.0))
    return project, assets
