"""`nomos order` and `nomos calendar`."""

import json
from pathlib import Path
from typing import Any

import pytest
from icalendar import Calendar as Ics

from nomos.cli.main import run
from nomos.project import Assets, Project, load, save


def no_window(_path: Path | None, _demo: str | None, _walk: Path | None) -> int:
    raise AssertionError("no window was asked for")


def answer(capsys: pytest.CaptureFixture[str], *arguments: str) -> dict[str, Any]:
    assert run([*arguments, "--json"], no_window) == 0
    found: dict[str, Any] = json.loads(capsys.readouterr().out)
    return found


@pytest.fixture
def saved(demo: tuple[Project, Assets], tmp_path: Path) -> str:
    save(tmp_path / "demo.nomos", *demo)
    return str(tmp_path / "demo.nomos")


def test_orders_best_first_with_reasons(capsys: pytest.CaptureFixture[str], saved: str, tmp_path: Path) -> None:
    out = tmp_path / "ordered.nomos"
    found = answer(capsys, "order", saved, "--pin", "Key=1", "--out", str(out))
    assert found["exact"]
    assert found["distinct_outcomes"] > 1
    means = [order["mean_de00"] for order in found["orders"]]
    assert means == sorted(means)
    pinned = [order for order in found["orders"] if "the usual order" not in order["best_at"]]
    assert all(order["impressions"][0] == "Key" for order in pinned)
    assert all(len(order["reasons"]) == 8 for order in found["orders"])
    project, _ = load(out)
    names = [project.block(pull.block).name for pull in project.impressions]
    assert names == found["orders"][0]["impressions"]
    assert run(["order", saved], no_window) == 0
    assert "different sheets can come out" in capsys.readouterr().out


@pytest.mark.parametrize(("pin", "words"), [("Moon=1", "called 'Moon'"), ("Key=9", "1 to 8"), ("Key", "called")])
def test_a_pin_that_makes_no_sense_is_refused(
    capsys: pytest.CaptureFixture[str], saved: str, pin: str, words: str
) -> None:
    assert run(["order", saved, "--pin", pin], no_window) == 2
    assert words in capsys.readouterr().err


def test_the_days_as_json_and_as_icalendar(capsys: pytest.CaptureFixture[str], saved: str, tmp_path: Path) -> None:
    file = tmp_path / "edition.ics"
    found = answer(capsys, "calendar", saved, "--start", "2026-11-30", "--out", str(file))
    printing = [task for task in found["tasks"] if task["kind"] == "print"]
    assert printing[0]["what"] == "Sky rose"
    # A run may be parted over two days; every sheet gets every layer.
    for what in {task["what"] for task in printing}:
        assert sum(task["sheets"] for task in printing if task["what"] == what) == found["sheets"]
    assert found["limit"] in ("drying", "hours")
    events = list(Ics.from_ical(file.read_bytes()).walk("VEVENT"))
    assert len(events) == len(found["tasks"])
    # Hands are busy while they print and cut; sheets dry by themselves (RFC 5545, 3.8.2.7).
    shown = {str(event["summary"]).split(":")[0]: str(event["transp"]) for event in events}
    assert shown == {"Print": "OPAQUE", "Drying": "TRANSPARENT"} | dict.fromkeys(shown.keys() - {"Drying"}, "OPAQUE")
    assert run(["calendar", saved, "--start", "2026-11-30"], no_window) == 0
    assert "limited by" in capsys.readouterr().out
    assert run(["calendar", saved, "--start", "Monday"], no_window) == 2
