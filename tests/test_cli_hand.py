"""What the window does by hand, from the command line: keys, proofs read, the bench, practice."""

import json
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from msgspec.structs import replace
from PIL import Image

from nomos.cli.main import run
from nomos.devices import Scanner
from nomos.formats.chart import chart_picture
from nomos.project import Assets, Project, load, save
from nomos.project.inks.chart import overlap_chart
from nomos.project.register.learning import Cause, with_cause
from nomos.work import Answers
from nomos.work.packet import printable
from tests.project.test_learning import sheet_of


@pytest.fixture
def path(little: tuple[Project, Assets], tmp_path: Path) -> Path:
    made = tmp_path / "little.nomos"
    save(made, *little)
    return made


def answer(capsys: pytest.CaptureFixture[str], *arguments: object) -> dict[str, Any]:
    assert run([*map(str, arguments), "--json"], lambda *_: 9) == 0
    found: dict[str, Any] = json.loads(capsys.readouterr().out)
    return found


def refusal(capsys: pytest.CaptureFixture[str], *arguments: object) -> str:
    assert run([*map(str, arguments)], lambda *_: 9) == 2
    return capsys.readouterr().err


def test_another_key(path: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    out = tmp_path / "contour.nomos"
    found = answer(capsys, "keys", path, "--kind", "contour", "--width-mm", "1.5", "--out", out)
    assert found["keys"] == ["Contour key"]
    contour = next(block.contour for block in load(out)[0].blocks if block.contour)
    assert contour.width_mm == 1.5
    back = answer(capsys, "keys", out, "--kind", "drawn", "--block", "colour 2", "--out", tmp_path / "d.nomos")
    assert back["keys"] == ["Colour 2"]
    assert answer(capsys, "keys", out, "--kind", "none", "--out", tmp_path / "n.nomos")["keys"] == []
    assert "needs --block" in refusal(capsys, "keys", path, "--kind", "drawn", "--out", out)
    assert "No block is called" in refusal(capsys, "keys", path, "--kind", "drawn", "--block", "Leek", "--out", out)


def test_a_block_gets_a_shorter_outline(path: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    out = tmp_path / "simpler.nomos"
    found = answer(capsys, "simplify", path, "--block", "Colour 1", "--out", out)
    assert found["outline_after_mm"] <= found["outline_before_mm"]
    assert [block.name for block in load(out)[0].blocks if block.drawn] == ["Colour 1"]


def test_a_proof_is_read_by_eye_and_kept(path: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    """Every corner 0.6 mm too far right and 0.4 mm too high: a shift alone."""
    out = tmp_path / "read.nomos"
    at = [f"{place}=0.6,-0.4" for place in ("upper left", "upper right", "lower left", "lower right")]
    asked = [word for each in at for word in ("--at", each)]
    found = answer(capsys, "read", path, "--block", "Colour 2", *asked, "--sheet", 3, "--out", out)
    assert (found["dx_mm"], found["dy_mm"]) == pytest.approx((0.6, -0.4), abs=1e-3)
    assert found["rotation_deg"] == pytest.approx(0, abs=1e-3)
    assert "next proof should be within" in found["next_proof"]
    (kept,) = load(out)[0].readings
    assert (kept.sheet, kept.how, round(kept.dx_mm, 2)) == (3, "eye", 0.6)
    uncut = answer(capsys, "read", path, "--block", "Colour 2", *asked, "--uncut")
    assert "transfer" in uncut["steps"][0].lower()
    assert "no place to read at" in refusal(capsys, "read", path, "--block", "Colour 2", "--at", "middle=1,1")
    assert "needs 2 figures" in refusal(capsys, "read", path, "--block", "Colour 2", "--at", "upper left=1")


def test_the_bench_writes_down_and_reminds(path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    assert "Begin the layer first" in refusal(capsys, "log", path, "good")
    assert "No layer has been begun" in refusal(capsys, "reminders", path)
    assert answer(capsys, "log", path, "layer") == {"layer": 1, "next_sheet": 1, "left": 6}
    first = answer(capsys, "reminders", path)
    assert any("first pull of a layer is poor" in text for text in first["reminders"])
    assert answer(capsys, "log", path, "spoiled", "--reason", "slipped")["next_sheet"] == 2
    assert answer(capsys, "log", path, "good")["left"] == 4
    assert answer(capsys, "log", path, "undo")["next_sheet"] == 2
    answer(capsys, "log", path, "remark", "--text", "too cold")
    assert "to be noted" in refusal(capsys, "log", path, "remark")
    for _ in range(5):
        answer(capsys, "log", path, "good")
    assert "begin the next one" in refusal(capsys, "log", path, "good")
    # The bad sheet goes first in the next layer.
    assert answer(capsys, "log", path, "layer")["next_sheet"] == 1
    record = answer(capsys, "edition", path)
    assert record["layers"][0]["spoiled"] == 1
    assert "Every layer is printed" in refusal(capsys, "log", path, "layer", "--layer", "9")
    # The layer in hand is left out of the plan.
    project, assets = load(path)
    kept = tuple(pull for place, pull in enumerate(project.impressions) if place != 1)
    save(path, replace(project, impressions=kept), assets)
    assert "no longer planned" in refusal(capsys, "reminders", path)


def test_rollers_and_practice(path: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    one = answer(capsys, "rollers", path)
    two = answer(capsys, "rollers", path, "--rollers", "2")
    assert two["washes"] <= one["washes"]
    assert {step["roller"] for step in two["steps"]} == {1, 2}
    assert "must be 1 to 4" in refusal(capsys, "rollers", path, "--rollers", "9")
    proof = tmp_path / "proof.png"
    asked = ("practice", path, "--number", "4")
    assert answer(capsys, *asked, "--out", proof)["faults"] == 1
    with Image.open(proof) as image:
        assert image.size[0] > 100
    names = [f"Colour {n}" for n in (1, 2, 3)] + ["Key"]
    kinds = ("too much ink", "too little ink", "dirt", "out of register")
    points = [answer(capsys, *asked, "--answer", f"{name}: {kind}")["points"] for name in names for kind in kinds[:1]]
    assert sorted(points)[:3] == [0, 0, 0]
    assert max(points) >= 1
    assert "is no fault" in refusal(capsys, *asked, "--answer", "Key: bad luck")


def test_a_proof_and_a_chart_teach(
    little: tuple[Project, Assets], path: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    project, assets = little
    ink = project.inks[1].id
    printed = with_cause(project, Cause("", 1.5, 0, 0, ink=ink))
    blocks = Answers()(printable(project, assets))
    scan = tmp_path / "proof.png"
    Image.fromarray(Scanner(seed=2).scan(sheet_of(printed, blocks))).save(scan)
    found = answer(capsys, "learn", path, scan, "--out", tmp_path / "learnt.nomos")
    assert "stronger than planned" in found["causes"][0]["text"]
    assert load(tmp_path / "learnt.nomos")[0].ink(ink).optics is not None
    chart = tmp_path / "chart.png"
    picture = chart_picture(overlap_chart(project), project.paper.lab)
    Image.fromarray(np.pad(picture, ((20, 20), (20, 20), (0, 0)), mode="edge")).save(chart)
    read = answer(capsys, "chart", path, "--read", chart)
    assert len(read["patches"]) == 16 - 1 or len(read["patches"]) == 16
    assert read["mean_de00"] < 1
    assert "--out" in refusal(capsys, "chart", path)
