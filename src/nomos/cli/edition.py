"""The commands about cutting and printing: carve, sheets, edition, packet."""

import argparse
from pathlib import Path
from typing import TYPE_CHECKING, Any

from nomos.base.atomic import write_bytes
from nomos.base.errors import BadInput
from nomos.cli.common import CRAFT, answers, command, declared, inputs_of, output, print_json, say
from nomos.edition.log import REASONS

if TYPE_CHECKING:
    from nomos.edition import EditionState, Event
    from nomos.project import Project
    from nomos.project.edition.carving import CarvedBlock

_EVENTS = (
    "layer", "good", "spoiled", "repaired", "mended", "undo", "press", "ink", "air", "batch", "packing",
    "remark",
)  # fmt: skip
DONE = 0


def add_commands(commands: Any) -> None:
    """Add the commands to the program's."""
    carve = command(commands, "carve", "what to cut with which tool, and how long it takes", _carve)
    output(carve, "--out", "file", ".pdf", metavar="FILE.pdf", help="the carving maps at true size")
    carve.add_argument("--material", type=declared(CRAFT, "material"), metavar="NAME")
    carve.add_argument("--page", default="A4", metavar="NAME", help="paper of the PDF, default A4")

    sheets = command(commands, "sheets", "how many sheets to start with", _sheets, project=False)
    sheets.add_argument("--edition", type=int, required=True, metavar="E", help="good sheets wanted")
    sheets.add_argument("--layers", type=int, required=True, metavar="N")
    sheets.add_argument("--good", type=float, required=True, metavar="P", help="chance that a pull is good")
    sheets.add_argument("--confidence", type=float, default=0.9, metavar="C", help="default 0.9")

    edition = command(commands, "edition", "the record of an edition, from its log", _edition)
    output(edition, "--csv", "folder", metavar="DIR", help="sheets, pulls and layers as tables")
    output(edition, "--statement", "file", ".pdf", metavar="FILE.pdf", help="edition statement and colophon")

    packet = command(commands, "packet", "everything a printmaker takes to the bench", _packet)
    output(packet, "--out", "folder", required=True, metavar="DIR")
    packet.add_argument("--page", default="A4", metavar="NAME", help="paper of the PDFs, default A4")

    log = command(commands, "log", "write down what happens at the bench", _log)
    log.add_argument("event", choices=_EVENTS)
    log.add_argument("--layer", type=int, metavar="N", help="with layer: which, from 1; default the next")
    log.add_argument("--reason", choices=REASONS, help="with spoiled: why")
    log.add_argument(
        "--text", default="", metavar="TEXT",
        help="with remark, batch or packing: what to note; with ink grams; with air degrees and per cent",
    )  # fmt: skip
    log.add_argument("--sheet", type=int, metavar="N", help="with mended: which sheet goes on")
    log.add_argument("--cut", action="store_true", help="with layer: cut further, though it cannot be undone")
    log.add_argument("--hours", type=float, default=24.0, metavar="H", help="with press: how long")

    remind = command(commands, "reminders", "what to do before the next pull", _reminders)
    remind.add_argument("--quick", action="store_true", help="without what the cutting says of a block")
    kept = command(commands, "studio", "the tools, papers, inks and habits kept between prints", _studio, project=False)
    kept.add_argument("file", type=Path, metavar="STUDIO.json", help="the studio file")
    kept.add_argument("--keep", type=Path, metavar="PROJECT", help="let it grow by a print and its record")


def _carve(options: argparse.Namespace) -> int:
    from nomos.formats.carving_pdf import carving_pdf
    from nomos.project import load
    from nomos.project.edition.carving import carving_findings, hours_of, with_craft
    from nomos.work.carve import carve_of
    from nomos.work.packet import printable

    project, assets = load(options.project)
    if options.material:
        project = with_craft(project, material=options.material)
    cut, ask = printable(project, assets), answers()
    carved = ask(carve_of(project, cut))
    if options.out:
        data = carving_pdf(project, ask(cut), carved, paper=options.page)
        write_bytes(options.out, data, keep=True)
    figures: dict[str, Any] = {
        "material": project.craft.material,
        "hours": round(hours_of(carved), 2),
        "blocks": [_block(project, each) for each in carved],
        "boards": _boards(project),
        "findings": [finding.text for finding in carving_findings(project, carved)],
    }
    if options.json:
        print_json(figures)
        return DONE
    for block in figures["blocks"]:
        print(f"{block['block']}: {block['hours']:.1f} h, {block['outline_mm'] / 10:.0f} cm of outline")
        for tool in block["tools"]:
            print(f"  {tool['tool']}: {tool['area_mm2'] / 100:.1f} cm2")
    print(f"in all {figures['hours']:.1f} h in {figures['material']}")
    return DONE


def _block(project: "Project", each: "CarvedBlock") -> dict[str, Any]:
    carving = each.carving
    return {
        "block": project.block(each.block).name,
        "hours": round(each.effort.hours, 3),
        "outline_mm": round(carving.outline_mm, 1),
        "outline_h": round(each.effort.outline_h, 3),
        "tools": [
            {"tool": tool.name, "area_mm2": round(area, 1)}
            for tool, area in zip(carving.tools, carving.areas_mm2, strict=True)
        ],
        "stays_mm2": round(carving.stays_mm2, 1),
        "too_narrow_mm2": round(carving.narrow_mm2, 1),
        "chatter_mm2": round(carving.chatter_mm2, 1),
        "deepest_mm": round(carving.deepest_mm, 2),
        "too_fine": each.too_fine,
        "finest_mm": None if each.finest_mm is None else round(each.finest_mm, 3),
    }


def _boards(project: "Project") -> dict[str, Any]:
    """How the blocks are sawn from the boards at hand, or why they cannot be."""
    from nomos.project.edition.carving import boards_plan

    try:
        plan = boards_plan(project)
    except BadInput as error:
        return {"problem": str(error)}
    return {
        "waste_pct": round(100 * plan.waste, 1),
        "cost": plan.cost,
        "boards": [
            {
                "board_mm": [cut.board.width_mm, cut.board.height_mm],
                "blocks": [
                    {
                        "block": block.name,
                        "at_mm": [round(block.place.left, 1), round(block.place.top, 1)],
                        "size_mm": [round(block.place.width, 1), round(block.place.height, 1)],
                        "turned": block.turned,
                    }
                    for block in cut.blocks
                ],
                "offcuts_mm": [[round(r.width, 1), round(r.height, 1)] for r in cut.offcuts],
            }
            for cut in plan.boards
        ],
    }


def _sheets(options: argparse.Namespace) -> int:
    from nomos.edition import start_sheets

    plan = start_sheets(options.edition, options.layers, options.good, options.confidence)
    if options.json:
        curve = [[count, round(chance, 6)] for count, chance in plan.curve]
        print_json({"start_sheets": plan.start_sheets, "p_sheet": round(plan.p_sheet, 6), "curve": curve})
        return DONE
    print(f"start with {plan.start_sheets} sheets: {plan.p_sheet:.1%} of them come through all layers")
    for count, chance in plan.curve:
        print(f"  {count:4d} sheets: {chance:6.1%} that {options.edition} are good")
    return DONE


def _edition(options: argparse.Namespace) -> int:
    from datetime import date

    from nomos.formats.outputs import filling
    from nomos.formats.record import record_csv, record_json, statement_pdf
    from nomos.project import load
    from nomos.project.edition.sheets import log_path, record_of

    project, _ = load(options.project)
    record = record_of(project, log_path(options.project))
    if options.csv:
        with filling(options.csv, inputs_of(options)) as folder:
            for name, data in record_csv(project, record).items():
                write_bytes(folder / name, data)
    if options.statement:
        write_bytes(options.statement, statement_pdf(project, record, date.today()), keep=True)
    figures = record_json(project, record)
    if options.json:
        print_json(figures)
        return DONE
    for layer in figures["layers"]:
        pace = f", {layer['minutes_a_pull']:.1f} min a pull" if layer["minutes_a_pull"] else ""
        print(
            f"{layer['layer']} {layer['block']}: {layer['good']} good, {layer['spoiled']} spoiled, "
            f"{layer['repaired']} repaired{pace}"
        )
    print(f"{len(figures['numbers'])} sheets can be numbered, {figures['short']} are missing to the edition")
    return DONE


def _packet(options: argparse.Namespace) -> int:
    from nomos.project import load
    from nomos.work.packet import write_packet

    project, assets = load(options.project)
    plan = write_packet(options.out, project, assets, answers(), inputs=inputs_of(options), paper=options.page)
    if options.json:
        print_json(plan)
        return DONE
    print(f"{len(plan['files'])} files in {options.out}; begin with index.pdf")
    return DONE


def _state(project: "Project", path: Path) -> "EditionState":
    """What the log beside a project comes to. Raises BadInput."""
    from nomos.project.edition.sheets import events_of, log_path, state_of

    if not project.impressions:
        raise BadInput(f"{path.name} has nothing to print yet: open it and flatten a picture first.")
    return state_of(project, events_of(project, log_path(path)))


def _log(options: argparse.Namespace) -> int:
    from nomos.edition import append_events, locked, now_text
    from nomos.project import load
    from nomos.project.edition.printed import written
    from nomos.project.edition.sheets import events_of, log_path

    project, _ = load(options.project)
    log = log_path(options.project)
    # Read and added to as one: what another hand writes at the same time comes before or after.
    with locked(log):
        state = _state(project, options.project)
        events = _said(options, project, state, now_text())
        append_events(log, written(project, events_of(project, log), state, events))
        after = _state(project, options.project)
    left = after.queue() if after.layer >= 0 else []
    figures = {"layer": after.layer + 1, "next_sheet": left[0] if left else None, "left": len(left)}
    said = f"layer {figures['layer']}, {len(left)} sheets to go" if after.layer >= 0 else "not begun"
    return say(options, figures, [said])


def _said(options: argparse.Namespace, project: "Project", state: "EditionState", at: str) -> tuple["Event", ...]:
    """The events that the options say. Raises BadInput."""
    from nomos.edition import Event
    from nomos.project.edition.bench import begin_events, note_event, noted, pull_events
    from nomos.project.edition.gate import cut_gate

    if options.event == "layer":
        wanted = None if options.layer is None else options.layer - 1
        gate = cut_gate(project, state, wanted)
        if gate is not None and not options.cut:
            raise BadInput(f"{gate.text} With --cut it is cut all the same.")
        return begin_events(project, state, at, wanted)
    if options.event in ("good", "spoiled", "repaired"):
        return pull_events(project, state, options.event, at, options.reason or "")
    if options.event == "undo":
        return (Event(at, "undo"),)
    if options.event == "mended":
        if options.sheet not in state.histories:
            raise BadInput(f"--sheet must be one of the sheets, 1 to {state.sheets}.")
        return (Event(at, "mended", sheet=options.sheet, text=options.text.strip()),)
    if options.event == "press":
        return (Event(at, "press", value=options.hours),)
    return (noted(note_event(options.event, options.text), state, at),)


def _reminders(options: argparse.Namespace) -> int:
    from nomos.project import load
    from nomos.project.edition.bench import has_fine_lines, layer_card, reaches_ground
    from nomos.work.carve import carve_of
    from nomos.work.packet import printable

    project, assets = load(options.project)
    state = _state(project, options.project)
    if state.layer < 0:
        raise BadInput("No layer has been begun: nomos log PROJECT layer begins the first.")
    if state.layer >= state.layers:
        raise BadInput("The layer in hand is no longer planned: nomos log PROJECT layer begins the next.")
    cut = printable(project, assets)
    own = None
    if not options.quick:
        block = project.impressions[state.layer].block
        own = next((each for each in answers()(carve_of(project, cut)) if each.block == block), None)
    card = layer_card(
        project, answers()(cut), state, chatter=own is not None and reaches_ground(own),
        fine=own is not None and has_fine_lines(own),
    )  # fmt: skip
    pull = card.pull
    figures = {
        "layer": pull.title, "ink": pull.inks, "amount": pull.amount, "printing": pull.printing,
        "packing": pull.packing, "checks": pull.checks, "lay": pull.lay, "cues": pull.cues,
        "handling": (*pull.damp, *pull.care, *pull.laying, *pull.lifting),
        "steps": [{"step": step.name, "said": step.said} for step in pull.steps], "cautions": pull.cautions,
        "reminders": card.reminders, "after": pull.after,
        "dry_at": card.ready_at.isoformat(timespec="minutes") if card.ready_at else None,
    }  # fmt: skip
    steps = (f"{step.name}: {' '.join(step.said)}" for step in pull.steps)
    said = [pull.title, f"{pull.inks}; {pull.amount}", *steps, *pull.cautions]
    return say(options, figures, [*said, *card.reminders])


def _studio(options: argparse.Namespace) -> int:
    import msgspec

    from nomos.project import load
    from nomos.project.edition.sheets import log_path, record_of
    from nomos.project.edition.studio import grown, read_studio, studio_text, write_studio

    studio = read_studio(options.file) if options.file.exists() or options.keep is None else None
    if options.keep is not None:
        project, _ = load(options.keep)
        log = log_path(options.keep)
        studio = grown(studio, project, record_of(project, log) if log.exists() else None)
        write_studio(options.file, studio)
    assert studio is not None
    return say(options, msgspec.to_builtins(studio), [studio_text(studio)])
