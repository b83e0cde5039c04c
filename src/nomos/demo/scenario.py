"""The demo project: the glasshouse sketch, invented inks on an invented paper."""

from importlib.resources import files

from nomos.design import SMALLEST_FEATURE_MM, flatten, read_picture
from nomos.progress import NULL_PROGRESS, Progress
from nomos.project import Project, Source, digest, labels_to_png
from nomos.project.edits import new_project, with_flat_design, with_source

TITLE = "Glasshouse, first frost"
_FILE = "glasshouse.png"
_PAPER_LAB = (94.6, 0.3, 5.8)

# The sketch's colours light to dark, as flattening finds them.
DEMO_NAMES = (
    "Rime", "Sky rose", "Pane green", "Dusk mauve", "Bed ochre", "Slate", "Brick", "Leek", "Key",
)  # fmt: skip


def demo_picture() -> bytes:
    """The shipped sketch as PNG bytes."""
    return files("nomos.demo").joinpath(_FILE).read_bytes()


def demo_project(*, progress: Progress = NULL_PROGRESS) -> tuple[Project, dict[str, bytes]]:
    """The demo, read, flattened and separated now. Inks and paper are made up for illustration."""
    data = demo_picture()
    picture = read_picture(data, _FILE)
    flat = flatten(picture, len(DEMO_NAMES), progress=progress)
    labels = labels_to_png(flat.labels)
    assets = {digest(data): data, digest(labels): labels}
    project = new_project(
        TITLE, picture.size_mm, paper_lab=_PAPER_LAB, paper_name="Demo paper, warm white (invented)"
    )
    project = with_source(project, Source(_FILE, digest(data), picture.size_mm))
    return (
        with_flat_design(
            project,
            flat,
            digest(labels),
            asked=len(DEMO_NAMES),
            smallest_feature_mm=SMALLEST_FEATURE_MM,
            names=DEMO_NAMES,
        ),
        assets,
    )
