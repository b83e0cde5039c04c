"""A made-up way of working of each kind goes through every command and station by its record alone.

These are the recipes of docs/architecture.md carried out: a system, a vehicle, a tool, a way of pressing,
a material.
"""

from dataclasses import replace as with_fields
from pathlib import Path

import pytest
from msgspec.structs import replace

from nomos.carving import MATERIALS
from nomos.cli.main import run
from nomos.colour import vehicles
from nomos.colour.vehicles import VEHICLES
from nomos.edition.inking_tools import INKING_TOOLS
from nomos.edition.pressings import PRESSINGS
from nomos.project import Assets, Project, load, save
from nomos.project.blocks.methods import METHODS
from nomos.project.edition.card import pull_card
from nomos.project.edition.cues import slab_cautions
from nomos.project.model.edits import with_id
from nomos.project.register.system import with_register
from nomos.registration import SYSTEMS, SystemPlan, systems
from nomos.ui.desk import Desk
from nomos.ui.frame.state import STATIONS
from tests.test_cli import no_window
from tests.ui.conftest import settle

VEHICLE, SYSTEM, TOOL, PRESSING, MATERIAL = "egg tempera", "strings", "sponge", "mangle", "slate"


@pytest.fixture
def made_up(monkeypatch: pytest.MonkeyPatch) -> None:
    """A vehicle and a system that nobody has heard of: a line each where they are listed."""
    tempera = with_fields(VEHICLES["oil"], name=VEHICLE, said="tempera", wet_strength=1.3)
    jig = SYSTEMS["jig"]

    def planned(*given: object) -> SystemPlan:
        return with_fields(jig.plan(*given), system=SYSTEM)  # type: ignore[arg-type] # as it was given

    strings = with_fields(jig, name=SYSTEM, said="Strings over the bed", plan=planned, lay="Under the strings.")
    monkeypatch.setitem(vehicles._KNOWN, VEHICLE, tempera)
    monkeypatch.setitem(systems._KNOWN, SYSTEM, strings)
    sponge = with_fields(INKING_TOOLS["dabber"], key=TOOL, name="natural sponge")
    monkeypatch.setitem(INKING_TOOLS, TOOL, sponge)
    mangle = with_fields(PRESSINGS["press"], key=PRESSING, name="mangle", how="through the mangle, once")
    monkeypatch.setitem(PRESSINGS, PRESSING, mangle)
    monkeypatch.setitem(MATERIALS, MATERIAL, with_fields(MATERIALS["end grain"], said="slate"))


@pytest.fixture
def print_of(made_up: None, little: tuple[Project, Assets]) -> tuple[Project, Assets]:  # noqa: ARG001
    project = with_register(little[0], system=SYSTEM)
    inks = tuple(replace(ink, vehicle=VEHICLE) for ink in project.inks)
    first, *others = project.impressions
    zones = tuple(replace(zone, tool=TOOL) for zone in first.zones)
    pulls = (replace(first, zones=zones, printing=PRESSING), *others)
    craft = replace(project.craft, material=MATERIAL)
    return with_id(replace(project, inks=inks, impressions=pulls, craft=craft)), little[1]


def test_a_made_up_method_is_offered_and_taken(
    desk: Desk, little: tuple[Project, Assets], monkeypatch: pytest.MonkeyPatch
) -> None:
    """One record: it stands in the list, is laid on, undone by its name and told in the statement."""
    stencilled = with_fields(
        METHODS["multiblock"], name="Stencilled", undo="Stencils", record="stencils", beside="by stencils",
        holds=lambda project: project.title == "stencilled",
        made=lambda of: replace(of.project, title="stencilled"),
    )  # fmt: skip
    monkeypatch.setitem(METHODS, "stencils", stencilled)
    desk.document.begin(*little, saved=True)
    desk.controller.go_to("blocks")
    settle(desk)
    station = desk.window.at("blocks")
    station.turn_to("method")
    settle(desk)
    assert [row[0] for row in station.method.ways.table()][-1] == "Stencilled"
    station.method.ways.chosen.emit("stencils")
    settle(desk)
    assert desk.document.stack.undoText() == "Stencils"
    assert station.method.ways._chosen == "stencils"
    for station_name in STATIONS:
        desk.controller.go_to(station_name)
        settle(desk)


def test_every_command_takes_them(
    print_of: tuple[Project, Assets], tmp_path: Path, monkeypatch: pytest.MonkeyPatch,
    capsys: pytest.CaptureFixture[str],
) -> None:  # fmt: skip
    monkeypatch.chdir(tmp_path)
    save(Path("a.nomos"), *print_of)
    assert load(Path("a.nomos"))[0].register.system == SYSTEM
    for command in (
        "check a.nomos", "misregister a.nomos --sheets 5", "order a.nomos --out b.nomos",
        "calendar a.nomos --start 2026-12-01", "rollers a.nomos", "carve a.nomos", "inking a.nomos",
        "templates a.nomos --out t.pdf", "templates a.nomos --out t.svg", "chart a.nomos --out c.pdf",
        "packet a.nomos --out packet", "log a.nomos layer", "log a.nomos good", "reminders a.nomos",
        "edition a.nomos --csv tables --statement s.pdf", "thumbnail a.nomos --out t.png",
        "keys a.nomos --kind contour --out k.nomos", "blocks a.nomos --out blocks --as svg",
        "studio studio.json --keep a.nomos", "practice a.nomos", "learn a.nomos none.png", "settings a.nomos",
    ):  # fmt: skip
        status = run(command.split(), no_window)
        told = capsys.readouterr()
        assert status == (2 if "none.png" in command else 0), (command, told.err)
        if command == "reminders a.nomos":
            assert "Under the strings." in told.out
    card = pull_card(print_of[0], None, 0)
    assert "natural sponge" in card.zones[0].text
    assert "mangle" in card.printing
    assert "Fingers out of the press." in card.cautions
    assert "Oily rags" in " ".join(slab_cautions(print_of[0], print_of[0].impressions[0]))


def test_every_station_shows_them(desk: Desk, print_of: tuple[Project, Assets]) -> None:
    desk.document.begin(*print_of, saved=True)
    for station in STATIONS:
        desk.controller.go_to(station)
        settle(desk)
    assert "slate" in desk.window.at("carve").one_material["material"].currentText().lower()
    part = desk.window.at("blocks").inking
    desk.controller.go_to("blocks")
    desk.controller.choose_pull(print_of[0].impressions[0].id)
    desk.window.at("blocks").turn_to("inking")
    settle(desk)
    assert part.tool["tool"].currentText() == "natural sponge"
    assert part.pull["printing"].currentText() == "mangle"
    desk.controller.go_to("register")
    settle(desk)
    assert desk.window.notice.text() == ""
