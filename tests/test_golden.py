"""What the command line prints, frozen: a change that is meant to move code only shows as nothing here.

`make golden` writes the files anew after a change that is meant to be seen; look at the difference first.
"""

import dataclasses
import json
import os
from collections.abc import Callable, Iterable
from datetime import date
from importlib.resources import files
from itertools import product
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from msgspec.structs import replace

from nomos.cli.common import answers
from nomos.cli.main import run
from nomos.demo import COLD_FRAME, PHOTO, POTS, demo_project
from nomos.formats.bench_drawings import bench_drawing, pins_drawing
from nomos.order.calendar import Run, plan_days
from nomos.order.times import Times
from nomos.project import Assets, Project, save
from nomos.project.blocks.boards import with_two_sided
from nomos.project.blocks.keys import with_contour_key
from nomos.project.register.system import marks_of, plan_of_system, with_register
from nomos.registration import SYSTEMS, Situation, advise
from nomos.separation.features import find_features

GOLDEN = Path(__file__).parent / "golden"
_START = "2026-12-01"


def frozen(name: str, found: Any) -> None:
    """Compare with a golden answer; figures to one in a thousand, words to the letter."""
    path = GOLDEN / f"{name}.json"
    if os.environ.get("NOMOS_GOLDEN") == "write":
        path.write_text(json.dumps(found, indent=1, ensure_ascii=False) + "\n", "utf-8")
    assert alike(found, json.loads(path.read_text("utf-8")), name) == []


def alike(found: Any, golden: Any, where: str) -> list[str]:
    """Where two answers differ."""
    if isinstance(found, dict) and isinstance(golden, dict):
        keys = sorted(found.keys() | golden.keys())
        return [said for key in keys for said in alike(found.get(key), golden.get(key), f"{where}.{key}")]
    if isinstance(found, list) and isinstance(golden, list) and len(found) == len(golden):
        pairs = enumerate(zip(found, golden, strict=True))
        return [said for n, (one, other) in pairs for said in alike(one, other, f"{where}[{n}]")]
    if isinstance(found, float) or isinstance(golden, float):
        same = isinstance(found, int | float) and found == pytest.approx(golden, rel=1e-3, abs=2e-3)
    else:
        same = found == golden
    return [] if same else [f"{where}: {found!r} was {golden!r}"]


def beginning(project: Project) -> Project:
    """A project whose days begin on a day that does not change."""
    return replace(project, times=replace(project.times, start=_START))


def boards_of(project: Project) -> Project:
    """The drawn print on the faces of boards with a contour key, in a jig."""
    return replace(with_register(with_two_sided(with_contour_key(project)), system="jig"), title="Two faces")


COMMANDS: dict[str, tuple[str, ...]] = {
    "check": (), "order": (), "calendar": ("--start", _START), "carve": (), "edition": (),
    "misregister": ("--fast", "--sheets", "20"), "separate": ("--blocks", "4"),
}  # fmt: skip


def _answers(path: Path, capsys: pytest.CaptureFixture[str]) -> dict[str, Any]:
    found = {}
    for command, options in COMMANDS.items():
        assert run([command, str(path), *options, "--json"], lambda *_: 9) == 0
        found[command] = json.loads(capsys.readouterr().out)
    return found


@pytest.mark.parametrize("name", ["coldframe", "pots", pytest.param("photo", marks=pytest.mark.thorough), "glasshouse"])
def test_the_demos_answer_as_they_did(
    name: str, demo: tuple[Project, Assets], tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    made = {each.name: each for each in (COLD_FRAME, POTS, PHOTO)}
    project, assets = demo_project(made[name], answers()) if name in made else demo
    path = tmp_path / f"{name}.nomos"
    save(path, beginning(project), assets)
    frozen(f"answers-{name}", _answers(path, capsys))


@pytest.mark.parametrize(("name", "make"), [("little", beginning), ("boards", boards_of)])
def test_drawn_designs_answer_as_they_did(
    name: str,
    make: Callable[[Project], Project],
    little: tuple[Project, Assets],
    tmp_path: Path,
    capsys: pytest.CaptureFixture[str],
) -> None:
    project, assets = little
    path = tmp_path / f"{name}.nomos"
    save(path, beginning(make(project)), assets)
    found = _answers(path, capsys)
    assert run(["packet", str(path), "--out", str(tmp_path / "packet"), "--json"], lambda *_: 9) == 0
    found["packet"] = json.loads(capsys.readouterr().out)
    assert run(["chart", str(path), "--out", str(tmp_path / "chart.png"), "--json"], lambda *_: 9) == 0
    found["chart"] = json.loads(capsys.readouterr().out)
    frozen(f"answers-{name}", found)


@pytest.mark.parametrize("system", SYSTEMS)
def test_every_system_is_drawn_as_it_was(system: str, demo: tuple[Project, Assets]) -> None:
    """What lies where on block, sheet and bench, for either hand and every kind of mark; to 0.01 mm."""
    found: dict[str, Any] = {}
    for hand in ("right", "left"):
        kento = dataclasses.replace(demo[0].kento, hand=hand)
        for marks in ("none", "crosses", "rings", "verniers"):
            project = with_register(replace(demo[0], kento=kento), system=system, marks=marks)
            plan, reason = plan_of_system(project)
            if plan is None:
                found[f"{hand}, {marks}"] = reason
                continue
            drawing = bench_drawing(project, plan)
            found[f"{hand}, {marks}"] = {
                "lines": [[each.layer, _rounded(each.rings[0])] for each in drawing.shapes],
                "words": [[each.text, _rounded((each.place,))] for each in drawing.words],
                "text": [*drawing.notes, *plan.steps],
                "marks": [_rounded(ring) for mark in marks_of(project)[0] for ring in mark.rings],
                "measures": [[each.text, _rounded((each.start, each.end))] for each in plan.dimensions],
            }
    for pairs in (2, 3):
        pins = pins_drawing(dataclasses.replace(demo[0].register.pins, pairs=pairs, kerf_mm=0.2))
        found[f"{pairs} pairs"] = [[each.layer, _rounded(each.rings[0])] for each in pins.shapes]
    frozen(f"system-{system}", found)


def _rounded(points: Iterable[Iterable[float]]) -> str:
    return " ".join(",".join(f"{float(value) + 0.0:.2f}" for value in point) for point in points)


_PAPER = ("--paper", "lab(94 0 4)")
_INKS = ("--ink", "lab(86 -4 80)", "--ink", "lab(48 60 10);strength=0.6", "--ink", "lab(40 5 -40);opacity=semi")
_SHELF = str(files("nomos.demo").joinpath("shelf.csv"))
_FEW_INKS = 7
ALONE: dict[str, tuple[str, ...]] = {
    "dry": ("overprint", *_PAPER, *_INKS),
    "wet": ("overprint", *_PAPER, *_INKS, "--wet", "0.7", "--film", "heavy"),
    "lamp": ("overprint", *_PAPER, *_INKS, "--light", "A", "--film", "light"),
    "mix": ("mix", "--target", "lab(55 20 30)", "--shelf", _SHELF, "--max-inks", "2", "--grams", "80"),
    "mix over": (
        "mix", "--target", "lab(38 10 8)", "--shelf", _SHELF, "--max-inks", "2", "--over", "lab(80 0 60)",
        "--film", "heavy",
    ),
    "kento": ("kento", "--sheet-mm", "200x260", "--image-mm", "180x240"),
    "kento left": (
        "kento", "--sheet-mm", "300x200", "--image-mm", "240x150", "--margin-mm", "40", "20",
        "--hand", "left", "--side", "short", "--paper-mm", "0.6",
    ),
    "sheets": ("sheets", "--edition", "30", "--layers", "6", "--good", "0.93"),
}  # fmt: skip


def test_commands_that_need_no_project_answer_as_they_did(capsys: pytest.CaptureFixture[str], tmp_path: Path) -> None:
    """Mixed from the first inks of the shelf: all of them take four times as long, and say no more."""
    few = tmp_path / "few.csv"
    lines = Path(_SHELF).read_text("utf-8").splitlines(keepends=True)
    few.write_text("".join(lines[: 1 + _FEW_INKS]), "utf-8")
    found = {}
    for name, arguments in ALONE.items():
        own = [str(few) if each == _SHELF else each for each in arguments]
        assert run([*own, "--json"], lambda *_: 9) == 0, name
        found[name] = json.loads(capsys.readouterr().out)
    frozen("alone", found)


def test_the_heart_answers_as_it_did() -> None:
    """Advice on systems, days by every way of working, and what is fine on a drawn page."""
    advised, days = {}, {}
    sheets: tuple[tuple[float, float], ...] = ((200.0, 260.0), (500.0, 700.0))
    for weight, damp, margin, count, pulls in product((60.0, 160.0), (False, True), (4.0, 12.0), (5, 6), (3, 4, 6)):
        for sheet, how in zip((*sheets, sheets[0]), ("reduction", "sawn", ""), strict=True):
            cut_from_one, sawn = how == "reduction", how == "sawn"
            place = Situation(weight, sheet, pulls, count, margin, damp=damp, reduction=cut_from_one, sawn=sawn)
            name = f"{weight:g} g, {sheet[0]:g} mm, {pulls} pulls, {count}, {margin:g} mm, {damp}, {how}"
            advised[name] = [f"{each.system} {each.fitness}: {each.reason}" for each in advise(place)]
    runs = [Run("Rose", 20.0, "wipe"), Run("Green", 3.0, "wash", cut_before=True), Run("Key", 30.0, "none")]
    for by_sheet, damp, rack in product((False, True), (False, True), (400, 8)):
        times = Times(
            way="sheet by sheet" if by_sheet else "whole edition", damp=damp, rack=rack, pulls_a_day=40,
            lost=("2026-12-02",),
        )  # fmt: skip
        plan = plan_days(runs, 24, times, date(2026, 12, 1))
        tasks = [f"{t.kind} {t.layer} {t.text} {t.start:%d %H:%M} {t.end:%d %H:%M} {t.sheets}" for t in plan.tasks]
        waits = {cause: round(hours, 2) for cause, hours in plan.waits_h.items()}
        days[f"{by_sheet}, {damp}, {rack}"] = [plan.days, plan.limit, plan.help, waits, tasks]
    mask = np.zeros((240, 320), np.uint8)
    mask[20:200, 20:120], mask[60:63, 120:220], mask[100:180, 124:200] = 1, 1, 1
    mask[210:213, 300:303], mask[20:26, 280:286], mask[130:134, 40:90] = 1, 1, 0
    fine = find_features(mask, 8.0, line_mm=0.5, tool_mm=0.7, speck_mm2=0.8, lonely_mm=4.0)
    found = [
        [each.kind, [round(v, 3) for v in each.place], round(each.width_mm, 3), round(each.area_mm2, 3)]
        for each in fine
    ]
    frozen("heart", {"advice": advised, "days": days, "fine": found})
