"""nomos carve, sheets, edition and packet."""

import csv
import json
import subprocess
from pathlib import Path

import numpy as np
import pypdfium2
import pytest
from PIL import Image

from nomos.cli.main import run
from nomos.demo import demo_project, scenario_called
from nomos.edition import Event, append_events
from nomos.project import save
from nomos.project.edition.sheets import log_path


def nomos(*arguments: str) -> int:
    return run(arguments, lambda *_: 0)


@pytest.fixture(scope="module")
def saved(tmp_path_factory: pytest.TempPathFactory) -> Path:
    """The jigsaw, with an edition begun: three sheets pulled, one of them spoiled."""
    path = tmp_path_factory.mktemp("project") / "pots.nomos"
    save(path, *demo_project(scenario_called("pots")))
    log = log_path(path)
    append_events(log, [Event("2026-12-01T09:00:00", "layer", 0)])
    for sheet, kind, why in ((1, "good", ""), (2, "spoiled", "slipped"), (3, "good", "")):
        append_events(log, [Event(f"2026-12-01T09:0{4 * (sheet - 1)}:00", kind, 0, sheet, why)])  # type: ignore[arg-type]
    append_events(log, [Event("2026-12-01T10:00:00", "remark", 0, text="frost on the pane")])
    return path


def test_carve_gives_tools_hours_and_boards(saved: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    out = tmp_path / "carve.pdf"
    assert nomos("carve", str(saved), "--out", str(out), "--page", "A3", "--json") == 0
    said = json.loads(capsys.readouterr().out)
    (block,) = said["blocks"]
    assert block["outline_mm"] > 1000
    assert sum(tool["area_mm2"] for tool in block["tools"]) + block["too_narrow_mm2"] > 100
    assert said["hours"] == pytest.approx(block["hours"], abs=0.01)
    assert said["boards"]["boards"][0]["blocks"]
    assert nomos("carve", str(saved), "--material", "hard wood", "--json") == 0
    assert json.loads(capsys.readouterr().out)["hours"] > 2 * said["hours"]
    assert nomos("carve", str(saved), "--out", "x.png") == 2

    # The picture on the page is the image at true size: 130 mm wide, within 0.2 mm.
    page = pypdfium2.PdfDocument(out.read_bytes())[0].render(scale=300 / 72, grayscale=True).to_pil()
    grey = np.array(page)
    frame = np.flatnonzero((grey < 100).sum(axis=0) > 60 * 300 / 25.4)
    project, _ = demo_project(scenario_called("pots"))
    assert (frame.max() - frame.min()) * 25.4 / 300 == pytest.approx(project.image.width, abs=0.35)


def test_sheets_gives_the_smallest_number_and_its_curve(capsys: pytest.CaptureFixture[str]) -> None:
    assert nomos("sheets", "--edition", "20", "--layers", "5", "--good", "0.95", "--json") == 0
    said = json.loads(capsys.readouterr().out)
    curve = dict(said["curve"])
    assert said["p_sheet"] == pytest.approx(0.95**5, abs=1e-6)
    assert curve[said["start_sheets"]] >= 0.9 > curve[said["start_sheets"] - 1]
    assert nomos("sheets", "--edition", "20", "--layers", "5", "--good", "95") == 2
    assert "at most 1" in capsys.readouterr().err


def test_edition_gives_the_record_and_its_tables_read_back(
    saved: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    statement = tmp_path / "statement.pdf"
    tables = tmp_path / "tables"
    assert nomos("edition", str(saved), "--csv", str(tables), "--statement", str(statement), "--json") == 0
    said = json.loads(capsys.readouterr().out)
    (layer,) = said["layers"]
    assert (layer["good"], layer["spoiled"], layer["reasons"]) == (2, 1, {"slipped": 1})
    assert layer["minutes_a_pull"] == 4
    assert said["numbers"][0] == {"sheet": 1, "number": "BAT"}
    assert said["remarks"][0]["text"] == "frost on the pane"
    with (tables / "pulls.csv").open() as file:
        rows = list(csv.DictReader(file))
    assert [(row["sheet"], row["outcome"]) for row in rows] == [("1", "good"), ("2", "spoiled"), ("3", "good")]
    with (tables / "sheets.csv").open() as file:
        assert next(row for row in csv.DictReader(file) if row["sheet"] == "2")["reason"] == "slipped"
    text = subprocess.run(
        ["pdftotext", "-layout", str(statement), "-"], capture_output=True, text=True, check=True, timeout=60
    ).stdout
    assert "Edition statement and colophon" in text
    assert "2026-12-01 to 2026-12-01" in text


def test_the_packet_has_an_index_and_everything_it_names(
    saved: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    assert nomos("packet", str(saved), "--out", str(tmp_path), "--page", "A3", "--json") == 0
    plan = json.loads(capsys.readouterr().out)
    for name in plan["files"]:
        assert (tmp_path / name).stat().st_size > 100
    assert {"index.pdf", "carving.pdf", "transfer.pdf", "process.pdf", "statement.pdf"} <= set(plan["files"])
    text = subprocess.run(
        ["pdftotext", "-layout", str(tmp_path / "index.pdf"), "-"],
        capture_output=True, text=True, check=True, timeout=60,
    ).stdout  # fmt: skip
    assert "transfer.pdf" in text
    first_page = text.split("\f")[0]
    assert "Before you cut" in first_page
    assert "Assumed, not measured" in first_page
    told = [each for each in plan["findings"] if each["weight"] != "worth knowing"]
    assert all(" ".join(each["text"].split()[:3]) in " ".join(first_page.split()) for each in told[:5])
    assert f"{plan['sheets']['cut']} sheets: " in text
    with Image.open(tmp_path / "process.png") as page:
        assert page.width > 1000


def test_a_log_that_is_none_is_said(tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    path = tmp_path / "pots.nomos"
    save(path, *demo_project(scenario_called("pots")))
    assert nomos("edition", str(path), "--json") == 0
    assert json.loads(capsys.readouterr().out)["layers"] == []
    log_path(path).write_text("garbage\n")
    assert nomos("edition", str(path)) == 2
    assert "is not a log" in capsys.readouterr().err
