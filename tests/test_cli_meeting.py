"""nomos templates, misregister and scan."""

import json
from pathlib import Path

import pytest
from PIL import Image

from nomos.cli.main import run
from nomos.demo import demo_project, scenario_called
from nomos.devices import Scanner
from nomos.project import cut_blocks, mask_request, save
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
