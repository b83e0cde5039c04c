"""Walks the demo through every station of the real window: a picture of each, and the packet."""

import time
from dataclasses import replace
from pathlib import Path
from typing import get_args

from PyQt6.QtCore import QEventLoop
from PyQt6.QtWidgets import QApplication

from nomos.base.errors import BadInput
from nomos.ui.desk import Desk
from nomos.ui.frame.state import STATIONS, Shown

_SECONDS = 300.0
# Work is left the processor while it runs; what is posted when it ends comes within a few rounds.
_WORKING_S, _QUIET_S = 0.005, 0.001
# What is chosen for the pictures: the third pull, out of place by this, as on a real bench.
_SHOWN_PULL = 2
_DRAG_MM = (0.5, -0.3)
_SHOWN_BLOCKS, _SHOWN_SHEETS = 6, 20


def walk_through(desk: Desk, folder: Path) -> int:
    """Open the demo, look at every station; write `station-N-NAME.png` and `packet/`. Returns 0."""
    window, controller = desk.window, desk.controller
    try:
        folder.mkdir(parents=True, exist_ok=True)
    except OSError as error:
        raise BadInput(f"{folder} cannot be made ({error.strerror or error}); choose another.") from None
    window.resize(1280, 800)
    window.show()
    desk.files.open_demo()
    settle(desk)
    project = desk.document.project
    if project is None:
        raise BadInput(window.notice.text() or "The demo could not be opened.")
    pull = project.impressions[_SHOWN_PULL].id
    for place, station in enumerate(STATIONS, start=1):
        window.go_to(station)
        controller.choose_colour(_SHOWN_PULL)
        controller.choose_pull(pull)
        if station == "bench":
            _walk_bench(desk, folder)
        if station == "register":
            controller.places.drag_handle(*_DRAG_MM, gesture=-1)
        settle(desk)
        _save_picture(desk, folder / f"station-{place}-{station}.png")
        if station == "blocks":
            _walk_blocks(desk, folder)
        if station == "inks":
            _walk_inks(desk, folder)
        if station == "register":
            _walk_register(desk, folder)
        if station == "order":
            desk.window.at("order").turn_to("days")
            desk.controller.orderer.look()
            settle(desk)
            _save_picture(desk, folder / "station-4-order-days.png")
            desk.window.at("order").turn_to("orders")
    desk.document.stack.undo()
    desk.files.write_packet(controller.state.page, folder / "packet")
    settle(desk)
    if not (folder / "packet" / "plan.json").exists():
        raise BadInput(window.notice.text() or "The packet could not be written.")
    print(f"the print packet is in {folder / 'packet'}")
    _walk_methods(desk, folder)
    _walk_photo(desk, folder)
    # Nothing was asked for: the demo is left as it was found.
    desk.document.take_as_saved()
    window.close()
    return 0


def _walk_blocks(desk: Desk, folder: Path) -> None:
    """The parts of the Blocks station: plans with few blocks, and where colours meet."""
    station, planner = desk.window.at("blocks"), desk.controller.planner
    planner.ask(replace(planner.wanted, most_blocks=_SHOWN_BLOCKS))
    planner.look()
    for part in ("fewer", "joins"):
        station.turn_to(part)
        desk.controller.show("traps" if part == "joins" else "print")
        settle(desk)
        _save_picture(desk, folder / f"station-2-blocks-{part}.png")
    station.turn_to("blocks")
    desk.controller.show("print")


def _walk_inks(desk: Desk, folder: Path) -> None:
    """The parts of the Inks station: a recipe, and ways of seeing."""
    station = desk.window.at("inks")
    for part in ("mix", "see"):
        station.turn_to(part)
        if part == "mix":
            desk.controller.inkroom.mix()
        settle(desk)
        _save_picture(desk, folder / f"station-3-inks-{part}.png")
    station.turn_to("ink")


def _walk_bench(desk: Desk, folder: Path) -> None:
    """A layer half printed, in a log of its own."""
    bencher = desk.controller.bencher
    bencher.keep_in(folder / "bench")
    bencher.path.unlink(missing_ok=True)
    bencher.keep_in(folder / "bench")
    bencher.begin_layer(0)
    for sheet in range(1, _SHOWN_SHEETS + 1):
        bencher.pull("spoiled" if sheet == 2 else "good", "slipped" if sheet == 2 else "")
    for sheet in range(_SHOWN_SHEETS):
        if sheet == 0:
            bencher.begin_layer(1)
        if sheet < _SHOWN_SHEETS // 2:
            bencher.pull("good")
    desk.controller.registrar.set_sheet(bencher.last_sheet())
    desk.controller.registrar.scan_demo()


def _walk_register(desk: Desk, folder: Path) -> None:
    """The parts of the Register station: the tolerance, a scanned proof, practice, and tabs on pins."""
    station, registrar = desk.window.at("register"), desk.controller.registrar
    desk.controller.editor.set("register.marks", "rings")
    for part in ("tolerance", "proofs", "practice"):
        station.turn_to(part)
        settle(desk)
        if part == "proofs":
            registrar.scan_demo()
            settle(desk)
        if part != "practice":
            _save_picture(desk, folder / f"station-5-register-{part}.png")
    desk.document.stack.undo()
    station.turn_to("system")
    registrar.choose_system("pins")
    settle(desk)
    _save_picture(desk, folder / "station-5-register-pins.png")
    desk.document.stack.undo()


def _walk_methods(desk: Desk, folder: Path) -> None:
    """The other demos: a reduction at its method, a jigsaw in its pieces."""
    for demo, method, shown in (("coldframe", "reduction", "print"), ("pots", "jigsaw", "pieces")):
        desk.document.take_as_saved()
        desk.files.open_demo(demo)
        settle(desk)
        desk.window.at("blocks").turn_to("method")
        for known in get_args(Shown):
            if known == shown:
                desk.controller.show(known)
        settle(desk)
        _save_picture(desk, folder / f"station-2-blocks-{method}.png")


def _walk_photo(desk: Desk, folder: Path) -> None:
    """The parts of the Design station, on a photograph: its corners, and correcting by pointing."""
    desk.document.take_as_saved()
    desk.files.open_demo("photo")
    settle(desk)
    desk.window.go_to("design")
    for part in ("picture", "correct"):
        desk.window.at("design").turn_to(part)
        settle(desk)
        _save_picture(desk, folder / f"station-1-design-{part}.png")
    desk.window.at("design").turn_to("colours")


def settle(desk: Desk, but: tuple[str, ...] = ()) -> None:
    """Handle events until no work is running and the window shows the last of it. Raises BadInput.

    but : names of those who need not be waited for.
    """
    until = time.monotonic() + _SECONDS
    quiet = 0
    while quiet < 5:
        QApplication.processEvents(QEventLoop.ProcessEventsFlag.AllEvents, 50)
        busy = desk.keeper.rough or bool(set(desk.runner.busy()) - set(but))
        quiet = 0 if busy else quiet + 1
        if time.monotonic() > until:
            raise BadInput(f"Something was still running after {_SECONDS:.0f} s.")
        time.sleep(_WORKING_S if busy else _QUIET_S)


def _save_picture(desk: Desk, path: Path) -> None:
    if not desk.window.grab().save(str(path), "PNG"):
        raise BadInput(f"{path} cannot be written; choose another folder or make room.")
    print(f"picture {path}")
