"""The studio: what a printmaker brings to every print, kept between prints and carried between machines."""

import dataclasses
from pathlib import Path

import msgspec
from msgspec import Struct
from msgspec.structs import replace

from nomos.base.atomic import write_bytes
from nomos.base.language import tr
from nomos.base.reading import read_whole
from nomos.base.units import counted
from nomos.order.times import Times
from nomos.project.edition.sheets import Record
from nomos.project.model import Craft, EditionPlan, Ink, Paper, Project, Workshop
from nomos.project.model.forms import decoded
from nomos.project.register.system import plan_of_system
from nomos.registration import KentoSettings, RegisterSettings
from nomos.registration.settings import BudgetSettings

VERSION = 1
_LARGEST_BYTES = 8_000_000
# Of each kind so many are kept, the latest.
_MOST = 200


class Studio(Struct, frozen=True, forbid_unknown_fields=True):
    """Tools, habits and materials; nothing of any one print.

    craft, workshop, times, kento, register : as a project has them. plan : prices, and how sure to be.
    tolerance_mm, line_mm, tool_mm : how far sheets meet blocks, and how fine is cut.
    papers, inks : each once, by name, the latest last. prints : whose record went into it.
    """

    version: int = VERSION
    craft: Craft = Craft()
    workshop: Workshop = Workshop()
    times: Times = Times()
    plan: EditionPlan = EditionPlan()
    kento: KentoSettings = KentoSettings()
    register: RegisterSettings = RegisterSettings()
    tolerance_mm: float | None = None
    line_mm: float | None = None
    tool_mm: float | None = None
    papers: tuple[Paper, ...] = ()
    inks: tuple[Ink, ...] = ()
    prints: tuple[str, ...] = ()


# Until a print is kept: twice the errors of a practised hand, of five sheets about one good through five layers
# (common practice, no source), and six minutes a pull (from memory).
FIRST_EDITION = Studio(
    plan=EditionPlan(good=0.75), times=Times(pull_min=6.0), tolerance_mm=0.5,
    register=RegisterSettings(budget=BudgetSettings(hand="beginner")),
)  # fmt: skip


def grown(studio: Studio | None, project: Project, record: Record | None = None) -> Studio:
    """The studio with what a print has shown: its tools and times, its paper and inks, and its record.

    record : of the edition; the share of good pulls and the pace are taken from it, where it has any.
    """
    before = studio or Studio()
    plan, times = project.plan, replace(project.times, start="", lost=())
    if record is not None and any(each.good + each.spoiled + each.repaired for each in record.figures):
        plan = replace(plan, good=round(min(max(record.good, 0.01), 1.0), 4))
        paces = [each.minutes_a_pull for each in record.figures if each.minutes_a_pull]
        if paces:
            times = replace(times, pull_min=round(sum(paces) / len(paces), 2))
    inks = {ink.name: ink for ink in (*before.inks, *project.inks)}
    papers = {paper.name: paper for paper in (*before.papers, project.paper)}
    return Studio(
        VERSION,
        project.craft,
        replace(project.workshop, writing=None, sheets=None),
        times,
        plan,
        dataclasses.replace(project.kento, block_mm=None),
        dataclasses.replace(project.register, jig=dataclasses.replace(project.register.jig, block_mm=None)),
        project.tolerance_mm,
        project.line_mm,
        project.tool_mm,
        tuple(papers.values())[-_MOST:],
        tuple(inks.values())[-_MOST:],
        tuple(dict.fromkeys((*before.prints, project.title)))[-_MOST:],
    )


def begun_in(studio: Studio, project: Project) -> Project:
    """A new print in this studio: its tools, times, habits and usual paper.

    The paper keeps the print's own size. A way of registering that has no room for the print is left
    out. Raises ProjectError for figures that cannot be.
    """
    plain = EditionPlan()
    plan = replace(
        studio.plan, edition=plain.edition, artist=plain.artist, printer=plain.printer, bat=plain.bat,
        proofing=plain.proofing, varied=plain.varied,
    )  # fmt: skip
    made = replace(
        project, craft=studio.craft, workshop=studio.workshop, times=studio.times, plan=plan,
        kento=dataclasses.replace(project.kento, hand=studio.kento.hand),
        tolerance_mm=project.tolerance_mm if studio.tolerance_mm is None else studio.tolerance_mm,
        line_mm=project.line_mm if studio.line_mm is None else studio.line_mm,
        tool_mm=project.tool_mm if studio.tool_mm is None else studio.tool_mm,
    )  # fmt: skip
    if studio.papers:
        size = project.paper.width_mm, project.paper.height_mm
        made = replace(made, paper=replace(studio.papers[-1], width_mm=size[0], height_mm=size[1]))
    registered = replace(made, kento=studio.kento, register=studio.register)
    return registered if plan_of_system(registered)[0] is not None else made


def read_studio(path: Path) -> Studio:
    """A studio file. Raises BadInput: not there, not a studio, of a newer version, or too large."""
    text = read_whole(path, _LARGEST_BYTES)
    return decoded(text, Studio, VERSION, path.name, "studio")


def write_studio(path: Path, studio: Studio) -> None:
    """Write a studio file whole. Raises BadInput."""
    write_bytes(path, msgspec.json.format(msgspec.json.encode(studio), indent=2), keep=True)


def studio_text(studio: Studio) -> str:
    """What is kept, in a sentence."""
    boards = sum(board.count for board in studio.craft.boards)
    counts = (
        (len(studio.papers), tr("paper"), tr("papers")), (len(studio.inks), tr("ink"), tr("inks")),
        (boards, tr("board"), tr("boards")), (len(studio.craft.tools), tr("tool"), tr("tools")),
    )  # fmt: skip
    kept = ", ".join(counted(*each) for each in counts)
    said = tr(
        "{kept}; {good:.0f} of 100 pulls good, {pull_min:g} min a pull.",
        kept=kept, good=100 * studio.plan.good, pull_min=studio.times.pull_min,
    )  # fmt: skip
    if not studio.prints:
        return said
    return tr(
        "{said} From {prints}, last {prints_2}.",
        said=said, prints=counted(len(studio.prints), tr("print"), tr("prints")), prints_2=studio.prints[-1],
    )  # fmt: skip
