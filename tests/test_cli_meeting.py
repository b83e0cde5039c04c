"""nomos templates, misregister and scan."""

import json
from pathlib import Path

import pytest
from PIL import Image

from benchmarks import proofs
from nomos.cli.main import run
from nomos.demo import demo_project, scenario_called
from nomos.devices import Scanner
from nomos.project import Assets, Project, cut_blocks, load, mask_request, save
from nomos.project.register.learning import Cause, with_cause
from nomos.project.register.scan import printed_sheet
from nomos.project.register.system import middle_of
from nomos.registration import Motion


def nomos(*arguments: str) -> int:
    return run(arguments, lambda *_: 0)


@pytest.fixture(scope="module")
def saved(tmp_path_factory: pytest.TempPathFactory) -> Path:
    """The jigsaw, the smallest of the demos."""
    path = tmp_path_factory.mktemp("project") / "pots.nomos"
    save(path, *demo_project(scenario_called("pots")))
    return path


@pytest.mark.parametrize("system", ["kento", "floating", "pins", "jig", "bed"])
@pytest.mark.parametrize("kind", ["pdf", "svg", "dxf"])
def test_templates_of_every_system_in_every_format(
    system: str, kind: str, saved: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    out = tmp_path / f"out.{kind}"
    assert nomos("templates", str(saved), "--system", system, "--out", str(out), "--json") == 0
    said = json.loads(capsys.readouterr().out)
    assert said["system"] == system
    start = {"pdf": b"%PDF", "svg": b"<?xml", "dxf": b"  0"}[kind]
    assert out.read_bytes().startswith(start)


@pytest.mark.parametrize(
    ("arguments", "said"),
    [
        (("--out", "x.png"), "must end in .pdf, .svg or .dxf"),
        (("--system", "pins", "--kerf-mm", "9", "--out", "x.dxf"), "Kerf of the cutter"),
        (("--marks", "verniers", "--out", "x.pdf"), "only one"),
        (("--page", "B5", "--out", "x.pdf"), "not a paper size"),
    ],
)
def test_what_cannot_be_is_said(
    arguments: tuple[str, ...], said: str, saved: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    assert nomos("templates", str(saved), *arguments) == 2
    assert said in capsys.readouterr().err


def test_misregister_gives_the_budget_and_what_flashes(saved: Path, capsys: pytest.CaptureFixture[str]) -> None:
    assert nomos("misregister", str(saved), "--sheets", "10", "--json") == 0
    said = json.loads(capsys.readouterr().out)
    assert said["exact"]
    assert 0 < said["apart_95_mm"]["least"] <= said["apart_95_mm"]["most"]
    # All pieces of a jigsaw are printed at once: nothing can part.
    assert (said["bare_sheets_pct"], said["cures"]) == (0, [])
    assert nomos("misregister", str(saved), "--sheets", "0") == 2


def test_a_scan_gives_every_block_with_what_to_do(
    saved: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    project, assets = demo_project(scenario_called("pots"))
    request = mask_request(project, assets)
    assert request is not None
    page = printed_sheet(project, cut_blocks(request), [Motion(middle_of(project), (0.6, -0.3), 0.1)])
    scan = Scanner(turn_deg=-0.8, blur_px=0.8, border_px=70, noise=2).scan(page)
    Image.fromarray(scan).save(tmp_path / "scan.png", compress_level=1)
    assert nomos("scan", str(saved), str(tmp_path / "scan.png"), "--json") == 0
    said = json.loads(capsys.readouterr().out)
    (pull,) = said["pulls"]
    assert said["scan"]["turned_deg"] == pytest.approx(-0.8, abs=0.02)
    assert pull["dx_mm"] == pytest.approx(0.6, abs=0.05)
    assert pull["dy_mm"] == pytest.approx(-0.3, abs=0.05)
    assert any("Glue a strip" in line for line in pull["advice"])
    assert nomos("scan", str(saved), str(tmp_path / "scan.png")) == 0
    assert "sure to" in capsys.readouterr().out

    Image.new("RGB", (400, 300), (90, 90, 90)).save(tmp_path / "grey.png")
    assert nomos("scan", str(saved), str(tmp_path / "grey.png")) == 2
    assert "This print is not found" in capsys.readouterr().err
    assert nomos("scan", str(saved), str(tmp_path / "none.png")) == 2
    assert nomos("scan", str(saved), str(tmp_path / "scan.png"), "--by", "marks") == 2


@pytest.mark.thorough
def test_a_series_of_photographs_tells_what_creeps_and_what_grows_thin(
    little: tuple[Project, Assets], tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    """Four sheets of a small print: one block creeps by 0.1 mm a sheet to the right, its ink loses 4 % a sheet."""
    project, assets = little
    request = mask_request(project, assets)
    assert request is not None
    blocks = cut_blocks(request)
    first, key = project.impressions[0], project.impressions[-1]
    folder = tmp_path / "sheets"
    folder.mkdir()
    for sheet in (1, 3, 5, 7):
        motions = [
            Motion(middle_of(project), (0.1 * sheet * (pull == first), 0.0), 0.0) for pull in project.impressions
        ]
        printed = with_cause(project, Cause("", 1 - 0.04 * sheet, 0, 0, ink=first.main.ink))
        rgb = proofs.photographed(printed, blocks, motions, sheet, pixels=(1500, 2000))
        Image.fromarray(rgb).save(folder / f"sheet-{sheet:02d}.jpg", quality=92)
    path, out = tmp_path / "print.nomos", tmp_path / "after.nomos"
    save(path, project, assets)
    arguments = ("series", str(path), str(folder), "--against", project.block(key.block).name)
    assert nomos(*arguments, "--out", str(out), "--json") == 0
    said = json.loads(capsys.readouterr().out)
    assert [row["sheet"] for row in said["sheets"]] == [1, 3, 5, 7]
    assert said["refused"] == {}
    pull, name = said["pulls"][project.pull_name(first.id)], project.ink(first.main.ink).name
    assert pull["right"]["a_sheet"] == pytest.approx(0.1, abs=0.025)
    assert pull["right"]["creeps"]
    assert "to the right" in pull["text"]
    assert not pull["down"]["creeps"]
    assert said["inks"][name]["strength"]["a_sheet"] == pytest.approx(-0.04, abs=0.012)
    assert "thinner a sheet" in said["inks"][name]["text"]
    kept = load(out)[0]
    assert {reading.sheet for reading in kept.readings} == {1, 3, 5, 7}
    assert kept.register.budget.seating_mm is not None
    (folder / "x.jpg").write_bytes((folder / "sheet-01.jpg").read_bytes())
    assert nomos(*arguments) == 2
    assert "name it by its sheet" in capsys.readouterr().err
