"""The packet a printmaker takes to the bench: project, proof, stages, templates, plan."""

import json
from collections.abc import Sequence
from dataclasses import replace
from datetime import date
from pathlib import Path
from typing import Any

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.parallel import map_threads
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.formats.bench_drawings import bench_drawing, pins_drawing
from nomos.formats.carving_pdf import carving_pdf
from nomos.formats.dxf import drawing_dxf
from nomos.formats.files import write_file
from nomos.formats.index_pdf import index_pdf
from nomos.formats.outputs import filling, is_any_of
from nomos.formats.pdf import DEFAULT_PAPER, drawings_pdf
from nomos.formats.pictures import png, print_png
from nomos.formats.plan_json import findings_as_json, plan_of, sheets_as_json
from nomos.formats.pulls_pdf import pulls_pdf
from nomos.formats.record import process_page, process_pdf, stage_words, statement_pdf
from nomos.formats.svg import drawing_svg
from nomos.formats.template import templates
from nomos.formats.template_drawing import template_drawings
from nomos.formats.transfer_pdf import Marked, transfer_pdf
from nomos.project import Assets, LaidSheet, Project, save, sheet_labs
from nomos.project.edition.carving import carving_findings, hours_of
from nomos.project.model.edits import with_id
from nomos.project.model.store import version_of
from nomos.project.register.edits import in_register
from nomos.project.register.system import plan_of_system
from nomos.registration import SYSTEMS
from nomos.work.carve import carve_of
from nomos.work.cut import Cut, cut_of, lay_of
from nomos.work.inking import inking_of
from nomos.work.request import Ask
from nomos.work.review import look_of, review

_PROJECT = "project.nomos"
_NOTHING = tr("There is nothing to print yet: open a picture and flatten it first.")


# Twice as wide as a stage stands on the page of all stages.
_STAGE_PX = 1040


def printable(project: Project, assets: Assets) -> Cut:
    """The request for the blocks of a project that has something to print. Raises BadInput."""
    cut = cut_of(project, assets)
    if cut is None or not project.impressions:
        raise BadInput(_NOTHING)
    return cut


def write_packet(
    folder: Path, project: Project, assets: Assets, ask: Ask, *, inputs: Sequence[Path] = (),
    paper: str = DEFAULT_PAPER, progress: Progress = NULL_PROGRESS,
) -> dict[str, Any]:  # fmt: skip
    """Write everything of a project into a folder and return the plan that `plan.json` holds.

    Proofs and templates show every block in register, whatever was tried on the
    screen. The files take their places once all of them are written. A project that
    lies in the folder itself is left as it is.

    Parameters
    ----------
    inputs : the files that the project was read or made from.

    Raises
    ------
    BadInput : nothing to print, no room for the kento, or the folder cannot be written.
    Cancelled : called off through `progress`.
    """
    kept = with_id(project)
    project = in_register(project)
    cut = printable(project, assets)
    blocks = ask(cut, Part(progress, 0.0, 0.15))
    laid = ask(lay_of(project, cut), Part(progress, 0.15, 0.17))
    carved = ask(carve_of(project, cut), Part(progress, 0.17, 0.25))
    look = ask(look_of(project, cut), Part(progress, 0.25, 0.35))
    findings = review(project, assets, ask, progress=Part(progress, 0.35, 0.36))
    drawn = templates(project, blocks, findings, progress=Part(progress, 0.36, 0.5))
    stamp = tr("{day:%d %B %Y}, plan {version}", day=date.today(), version=version_of(kept))
    faces = [replace(face, foot=f"{face.foot}. {stamp}") for face in template_drawings(drawn)]
    title = tr("{title}: templates", title=project.title)
    pdf = drawings_pdf(faces, title, paper=paper, progress=Part(progress, 0.5, 0.6))
    plan = plan_of(project, blocks, laid, findings, look)
    plan["carving"] = {
        "hours": round(hours_of(carved), 2),
        "findings": findings_as_json(carving_findings(project, carved)),
        "blocks": [{"block": project.block(each.block).name, "hours": round(each.effort.hours, 2)} for each in carved],
    }
    plan["sheets"] = sheets_as_json(project, blocks)
    inking = ask(inking_of(project, cut), Part(progress, 0.6, 0.61))
    pulls = pulls_pdf(project, blocks, laid, inking, progress=Part(progress, 0.61, 0.66))
    carving = carving_pdf(project, blocks, carved, paper=paper, progress=Part(progress, 0.66, 0.75))
    way = project.craft.transfer
    transfer = transfer_pdf(project, drawn, way, paper=paper, progress=Part(progress, 0.75, 0.8))
    names = [_PROJECT]
    target = folder
    with filling(target, inputs, manifest="plan.json", project=(_PROJECT, kept.id)) as folder:
        (folder / "svg").mkdir()
        if not is_any_of(target / _PROJECT, inputs):
            save(folder / _PROJECT, kept, assets)
        for face in faces:
            progress.report(0.8, tr("writing proofs"))
            names.append(write_file(folder, f"svg/{face.name}.svg", drawing_svg(face, headed=True)))
        names.append(write_file(folder, "blocks.pdf", pdf))
        names.append(write_file(folder, "pulls.pdf", pulls))
        names += [write_file(folder, name, data) for name, data in _bench_files(project, paper)]
        names.append(write_file(folder, "carving.pdf", carving))
        names.append(write_file(folder, "transfer.pdf", transfer))
        names += _write_proofs(folder, project, laid, Part(progress, 0.8, 0.97))
        progress.report(0.97, tr("writing proofs"))
        names.append(write_file(folder, "statement.pdf", statement_pdf(project, None, date.today())))
        progress.report(0.98, tr("writing proofs"))
        plan["files"] = ["index.pdf", *names, "plan.json"]
        picture = laid.small(sheet_labs(project, laid), _STAGE_PX)
        write_file(folder, "index.pdf", index_pdf(project, plan, findings, picture))
        write_file(folder, "plan.json", json.dumps(plan, indent=2, ensure_ascii=False).encode())
    progress.report(1.0, tr("packet written"))
    return plan


def _write_proofs(folder: Path, project: Project, laid: LaidSheet, progress: Progress) -> list[str]:
    """The sheet after each pull, the finished print, and all stages on one page."""
    stages = [(stage_words(project, 0), laid.small(sheet_labs(project, laid, 0), _STAGE_PX))]

    def written(pull: int) -> str:
        labs = sheet_labs(project, laid, pull)
        picture = print_png(laid.inner, labs, laid.px_per_mm)
        if pull == len(project.impressions):
            # The finished print is the sheet after the last pull.
            write_file(folder, "proof.png", picture)
        return write_file(folder, f"stage-{pull:02d}.png", picture)

    pulls = range(1, len(project.impressions) + 1)
    words = tr("writing proofs")
    names = map_threads(written, pulls, progress=Part(progress, 0.0, 0.6), words=lambda _: words)
    names.append("proof.png")
    for pull in pulls:
        progress.report(0.6 + 0.2 * pull / len(pulls), words)
        labs = sheet_labs(project, laid, pull)
        stages.append((stage_words(project, pull), laid.small(labs, _STAGE_PX)))
    progress.report(0.8, tr("writing the page of all stages"))
    page = process_page(project.title, stages)
    progress.report(0.85, tr("writing the page of all stages"))
    names.append(write_file(folder, "process.png", png(page, 6.0)))
    progress.report(0.9, tr("writing the page of all stages"))
    names.append(write_file(folder, "process.pdf", process_pdf(project.title, page)))
    return names


def _bench_files(project: Project, paper: str) -> list[tuple[str, bytes]]:
    """What a system other than a kento in the block needs: the bench sheet, and pins for a cutter."""
    plan, _ = plan_of_system(project)
    if plan is None or not SYSTEMS[plan.system].sheet_of_its_own:
        return []
    drawings = [bench_drawing(project, plan)]
    files = []
    if SYSTEMS[plan.system].has_parts:
        pins = pins_drawing(project.register.pins)
        drawings.append(pins)
        files = [("pins.svg", drawing_svg(pins)), ("pins.dxf", drawing_dxf(pins))]
    return [("bench.pdf", drawings_pdf(drawings, tr("{title}: bench", title=project.title), paper=paper)), *files]


def write_cutting(
    folder: Path, project: Project, assets: Assets, ask: Ask, marked: Marked = "stays", *, inputs: Sequence[Path] = (),
    paper: str = DEFAULT_PAPER, progress: Progress = NULL_PROGRESS,
) -> None:  # fmt: skip
    """Write carving maps and transfer sheets into a folder. Raises BadInput, Cancelled."""
    project = in_register(project)
    cut = printable(project, assets)
    blocks = ask(cut, Part(progress, 0.0, 0.2))
    drawn = templates(project, blocks, progress=Part(progress, 0.2, 0.4))
    carved = ask(carve_of(project, cut), Part(progress, 0.4, 0.8))
    way = project.craft.transfer
    with filling(folder, inputs) as folder:
        transfer = transfer_pdf(project, drawn, way, marked, paper=paper, progress=Part(progress, 0.8, 0.85))
        write_file(folder, "transfer.pdf", transfer)
        carving = carving_pdf(project, blocks, carved, paper=paper, progress=Part(progress, 0.85, 1.0))
        write_file(folder, "carving.pdf", carving)
