"""What is printed directly: chosen pages as one PDF, and the page a printer's scale is checked with."""

from typing import Literal

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.formats.carving_pdf import carving_pdf
from nomos.formats.drawing import CHECK_BAR_MM, Drawing, Shape, Word
from nomos.formats.pdf import DEFAULT_PAPER, drawings_pdf
from nomos.formats.pulls_pdf import pulls_pdf
from nomos.formats.template import templates
from nomos.formats.template_drawing import template_drawing
from nomos.project import Assets, Project
from nomos.project.register.edits import in_register
from nomos.work.carve import carve_of
from nomos.work.cut import lay_of
from nomos.work.inking import inking_of
from nomos.work.packet import printable
from nomos.work.request import Ask

What = Literal["templates", "pulls", "carving"]
Faces = Literal["block", "tracing", "both"]
_TICK_MM, _MARGIN_MM, _APART_MM = 3.0, 20.0, 25.0


def pages_pdf(
    project: Project, assets: Assets, ask: Ask, what: What, chosen: frozenset[str], faces: Faces = "both", *,
    paper: str = DEFAULT_PAPER, progress: Progress = NULL_PROGRESS,
) -> bytes:  # fmt: skip
    """The pages of the packet that are asked for, at true size, as the packet has them.

    Parameters
    ----------
    chosen : ids of the blocks whose templates and maps are printed; pulls are printed all.
    faces : of templates, mirrored for the block, right-reading for a tracing, or both.

    Raises
    ------
    BadInput : nothing to print, no block chosen, no room to register.
    Cancelled : called off through `progress`.
    """
    project = in_register(project)
    cut = printable(project, assets)
    blocks = ask(cut, Part(progress, 0.0, 0.3))
    if what == "pulls":
        laid = ask(lay_of(project, cut), Part(progress, 0.3, 0.5))
        inking = ask(inking_of(project, cut), Part(progress, 0.5, 0.8))
        return pulls_pdf(project, blocks, laid, inking, progress=Part(progress, 0.8, 1.0))
    if what == "carving":
        carved = ask(carve_of(project, cut), Part(progress, 0.3, 0.8))
        own = tuple(each for each in carved if each.block in chosen)
        return carving_pdf(project, blocks, own, paper=paper, progress=Part(progress, 0.8, 1.0))
    made = templates(project, blocks, progress=Part(progress, 0.3, 0.7))
    names = [name for name in dict.fromkeys(pull.block for pull in project.impressions) for _ in range(2)]
    some = [
        template_drawing(each)
        for name, each in zip(names, made, strict=True)
        if name in chosen and faces in ("both", each.face)
    ]
    title = tr("{title}: templates", title=project.title)
    return drawings_pdf(some, title, paper=paper, progress=Part(progress, 0.7, 1.0))


def scale_pdf(paper: str = DEFAULT_PAPER) -> bytes:
    """One page with a bar of 100 mm along the way the paper runs and one across it."""
    far = _MARGIN_MM + CHECK_BAR_MM

    def bar(*, upright: bool) -> Shape:
        lines = [((_MARGIN_MM, _MARGIN_MM), (far, _MARGIN_MM))]
        for n in range(11):
            at = _MARGIN_MM + n * CHECK_BAR_MM / 10
            tall = _TICK_MM * (2 if n % 10 == 0 else 1)
            lines.append(((at, _MARGIN_MM), (at, _MARGIN_MM - tall)))
        # Neither runs on in the other's first tick.
        turned = [tuple((y, x + _APART_MM) if upright else (x, y) for x, y in line) for line in lines]
        return Shape("check-bar-100-mm", tuple(turned), closed=False)

    drawing = Drawing(
        "scale", tr("Check the printer's scale"),
        (tr("Measure both bars with a steel ruler, first line to last, and type what they measure."),),
        (far + _MARGIN_MM, far + _APART_MM + 5), (bar(upright=False), bar(upright=True)),
        (
            Word((far - 30, _MARGIN_MM + 6), tr("across, 100 mm")),
            Word((_MARGIN_MM + 20, far - 20), tr("along, 100 mm")),
        ),
    )  # fmt: skip
    return drawings_pdf([drawing], tr("Printer's scale"), paper=paper)
