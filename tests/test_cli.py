"""The command line: what it prints, what it writes, and how it refuses."""

import json
import os
import subprocess
import sys
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from PIL import Image

from nomos.base.errors import BadInput
from nomos.cli.main import run
from nomos.project import load
from nomos.project.blocks.reduction import is_reduction


def no_window(_path: Path | None, _demo: str | None, _walk: Path | None) -> int:
    raise AssertionError("no window was asked for")


def answer(capsys: pytest.CaptureFixture[str], *arguments: str) -> dict[str, Any]:
    assert run([*arguments, "--json"], no_window) == 0
    found: dict[str, Any] = json.loads(capsys.readouterr().out)
    return found


def refusal(capsys: pytest.CaptureFixture[str], *arguments: str) -> str:
    assert run(arguments, no_window) == 2
    said = capsys.readouterr()
    assert said.out == ""
    assert said.err.startswith("nomos: ")
    assert said.err.count("\n") == 1
    return said.err


def test_flatten_gives_colours_areas_and_size(capsys: pytest.CaptureFixture[str], sketch: Path, tmp_path: Path) -> None:
    out = tmp_path / "flat.png"
    found = answer(capsys, "flatten", str(sketch), "--colours", "5", "--size-mm", "60x80", "--out", str(out))
    assert {"colours", "mean_de00", "size_mm"} <= set(found)
    assert found["read_as"] == "drawing"
    assert found["size_mm"] == [60, 80]
    assert len(found["colours"]) == 5
    assert set(found["colours"][0]) == {"hex", "lab", "area_mm2", "area_pct"}
    assert sum(colour["area_mm2"] for colour in found["colours"]) == pytest.approx(4800, rel=0.001)
    with Image.open(out) as image:
        assert image.info["dpi"][0] == pytest.approx(150, abs=0.5)
        used = {f"#{bytes(rgb).hex()}" for rgb in np.unique(np.array(image.convert("RGB")).reshape(-1, 3), axis=0)}
    assert used == {colour["hex"] for colour in found["colours"]}


def test_flatten_suggests_a_number(capsys: pytest.CaptureFixture[str], sketch: Path, tmp_path: Path) -> None:
    found = answer(capsys, "flatten", str(sketch), "--colours", "auto", "--out", str(tmp_path / "f.png"))
    assert found["suggested"] == 5


def test_overprint_goes_ink_by_ink(capsys: pytest.CaptureFixture[str]) -> None:
    paper = ("--paper", "lab(95 0 -2)")
    found = answer(capsys, "overprint", *paper, "--ink", "lab(14 0 0)")
    assert np.abs(np.array(found["lab"]) - (14, 0, 0)).max() < 0.5
    inks = ("--ink", "lab(89 -5 93)", "--ink", "lab(48 74 -3);strength=0.5", "--ink", "#203040;opacity=opaque")
    found = answer(capsys, "overprint", *paper, *inks)
    assert len(found["steps"]) == 3
    assert found["steps"][-1] == {"lab": found["lab"], "hex": found["hex"]}
    assert np.abs(np.array(found["steps"][0]["lab"]) - (89, -5, 93)).max() < 0.5


def test_plan_writes_the_whole_packet(capsys: pytest.CaptureFixture[str], sketch: Path, tmp_path: Path) -> None:
    out = tmp_path / "job"
    found = answer(
        capsys, "plan", str(sketch), "--size-mm", "60x80", "--colours", "5", "--sheet-mm", "90x110",
        "--out", str(out),
    )  # fmt: skip
    for name in ("project.nomos", "proof.png", "stage-01.png", "blocks.pdf", "plan.json"):
        assert (out / name).stat().st_size > 0
    assert json.loads((out / "plan.json").read_text("utf-8")) == found
    assert {"order", "registration", "findings", "colours", "mean_de00", "size_mm"} <= set(found)
    assert len(found["order"]) == len(list(out.glob("stage-*.png")))
    assert [step["is_key"] for step in found["order"]].count(True) == 1
    assert found["order"][-1]["is_key"]
    # One list of findings, whoever asks.
    checked = answer(capsys, "check", str(out / "project.nomos"))["findings"]
    assert [each["text"] for each in checked] == [each["text"] for each in found["findings"]]
    project, _ = load(out / "project.nomos")
    assert [step["block"] for step in found["order"]] == [
        project.block(impression.block).name for impression in project.impressions
    ]
    with Image.open(out / "proof.png") as proof:
        assert proof.size[0] / proof.info["dpi"][0] * 25.4 == pytest.approx(60, abs=0.1)


def test_the_same_plan_twice_is_the_same(capsys: pytest.CaptureFixture[str], sketch: Path, tmp_path: Path) -> None:
    for name in ("one", "two"):
        answer(capsys, "plan", str(sketch), "--colours", "4", "--out", str(tmp_path / name))
    for path in (tmp_path / "one").rglob("*.*"):
        if path.is_file():
            assert (tmp_path / "two" / path.relative_to(tmp_path / "one")).read_bytes() == path.read_bytes()


def test_text_is_for_people(capsys: pytest.CaptureFixture[str], sketch: Path, tmp_path: Path) -> None:
    assert run(["plan", str(sketch), "--colours", "5", "--out", str(tmp_path / "job")], no_window) == 0
    text = capsys.readouterr().out
    assert ", dry 24 h" in text
    assert "packet in" in text


@pytest.mark.parametrize(
    ("arguments", "words"),
    [
        (("flatten", "nothing.png", "--colours", "5", "--out", "f.png"), "nothing.png"),
        (("flatten", "SKETCH", "--colours", "99", "--out", "f.png"), "2 to 24"),
        (("flatten", "SKETCH", "--colours", "many", "--out", "f.png"), "many"),
        (("flatten", "SKETCH", "--colours", "5", "--size-mm", "1x1", "--out", "f.png"), "5 to 2000"),
        (("flatten", "SKETCH", "--colours", "5", "--min-feature-mm", "-1", "--out", "f.png"), "smallest"),
        (("flatten", "SKETCH", "--colours", "5", "--out", "/proc/none/f.png"), "/proc/none"),
        (("flatten", "SKETCH", "--colours", "5"), "--out"),
        (("flatten", "BROKEN", "--colours", "5", "--out", "f.png"), "broken.png"),
        (("flatten", ".", "--colours", "5", "--out", "f.png"), "folder"),
        (("overprint", "--paper", "white", "--ink", "#000000"), "white"),
        (("overprint", "--paper", "#ffffff", "--ink", "lab(50 200 -200)"), "not a colour"),
        (("plan", "SKETCH", "--colours", "5", "--sheet-mm", "62x82", "--system", "kento", "--out", "job"), "notches"),
        (("plan", "SKETCH", "--colours", "5", "--page", "A9", "--out", "job"), "A9"),
        (("plan", "SKETCH", "--colours", "5", "--out", "/proc/none"), "/proc/none"),
        (("plan", "SKETCH", "--colours", "5", "--trap-mm", "9", "--out", "job"), "Trap"),
        (("plan", "SKETCH", "--colours", "5", "--paper", "blue", "--out", "job"), "blue"),
        (("nothing.nomos",), "neither a file nor a command"),
        (("a", "b"), "One project"),
        (("--wrong",), "nomos --help"),
    ],
)
def test_bad_input_is_one_sentence_and_status_2(
    arguments: tuple[str, ...],
    words: str,
    capsys: pytest.CaptureFixture[str],
    sketch: Path,
    tmp_path: Path,
    monkeypatch: pytest.MonkeyPatch,
) -> None:
    monkeypatch.chdir(tmp_path)
    (tmp_path / "broken.png").write_bytes(sketch.read_bytes()[:200])
    named = {"SKETCH": str(sketch), "BROKEN": "broken.png"}
    assert words in refusal(capsys, *[named.get(argument, argument) for argument in arguments])


def test_a_window_is_opened_on_nothing_a_file_or_the_demo(sketch: Path, tmp_path: Path) -> None:
    asked: list[tuple[Path | None, str | None, Path | None]] = []

    def window(path: Path | None, demo: str | None, walk: Path | None) -> int:
        asked.append((path, demo, walk))
        return 0

    for arguments in ([], [str(sketch)], ["demo", "pots"], ["demo", "--walk", str(tmp_path)]):
        assert run(arguments, window) == 0
    assert asked == [
        (None, None, None), (sketch, None, None), (None, "pots", None), (None, "glasshouse", tmp_path)
    ]  # fmt: skip


def started(*arguments: str, **environment: str) -> subprocess.CompletedProcess[str]:
    kept = {name: value for name, value in os.environ.items() if name not in ("DISPLAY", "QT_QPA_PLATFORM")}
    return subprocess.run(
        [sys.executable, "-m", "nomos", *arguments],
        capture_output=True, text=True, timeout=120, env={**kept, **environment}, check=False,
    )  # fmt: skip


def test_the_program_itself() -> None:
    shown = started("--help")
    assert shown.returncode == 0
    assert "flatten" in shown.stdout
    assert started("--version").stdout.startswith("nomos ")
    refused = started("flatten", "nothing.png", "--colours", "5", "--out", "x.png")
    assert (refused.returncode, refused.stderr.count("\n")) == (2, 1)


def test_without_a_display_the_window_says_so() -> None:
    refused = started()
    assert refused.returncode == 2
    assert "no display" in refused.stderr


def test_a_fault_of_the_program_shows_no_traceback(
    monkeypatch: pytest.MonkeyPatch, capsys: pytest.CaptureFixture[str]
) -> None:
    from nomos import __main__
    from nomos.cli import main as cli

    def broken(*_args: object) -> int:
        raise RuntimeError("a wheel came off")

    monkeypatch.setattr(cli, "run", broken)
    assert __main__.answer([]) == 1
    said = capsys.readouterr().err
    assert "Traceback" not in said
    log = Path(said.rsplit(" ", 1)[1].strip().rstrip("."))
    assert "a wheel came off" in log.read_text("utf-8")


def test_bad_input_is_what_every_refusal_is() -> None:
    from nomos.colour import ColourError
    from nomos.project import ProjectError
    from nomos.registration import KentoError

    assert all(issubclass(kind, BadInput) for kind in (ColourError, ProjectError, KentoError))


@pytest.mark.thorough
def test_a_photograph_is_straightened_and_says_how_sure_it_is(
    capsys: pytest.CaptureFixture[str], tmp_path: Path
) -> None:
    from nomos.demo import demo_picture
    from nomos.demo.scenario import PHOTO

    path, out = tmp_path / "butt.jpg", tmp_path / "flat.png"
    path.write_bytes(demo_picture(PHOTO))
    found = answer(
        capsys, "flatten", str(path), "--colours", "auto", "--straighten", "auto", "--drawn-on", "A5",
        "--out", str(out),
    )  # fmt: skip
    assert found["certain"] is True
    assert found["sure"] > 0.7
    assert len(found["corners"]) == len(found["sheet"]) == 4
    assert found["size_mm"] == pytest.approx([165, 115], abs=0.6)
    assert found["suggested"] == len(found["colours"]) == 9
    assert found["colours"][found["line"]]["lab"][0] < 35
    assert "the paper and the line" in found["why"]
    # The corners it found, said by hand, give the same place.
    corners = " ".join(f"{x},{y}" for x, y in found["corners"])
    again = answer(
        capsys, "flatten", str(path), "--colours", "9", "--corners", corners, "--size-mm", "66x46", "--out", str(out)
    )
    assert again["corners"] == pytest.approx(np.array(found["corners"]), abs=0.2)
    assert again["size_mm"] == [66, 46]


@pytest.mark.parametrize("corners", ["1,2 3,4", "a,b c,d e,f g,h", "0,0 9,9 9,0 0,9"])
def test_corners_that_make_no_sense_are_refused(
    capsys: pytest.CaptureFixture[str], sketch: Path, tmp_path: Path, corners: str
) -> None:
    status = run(
        ["flatten", str(sketch), "--colours", "4", "--corners", corners, "--out", str(tmp_path / "a.png")], no_window
    )
    assert status == 2
    assert "corners" in capsys.readouterr().err


def test_plan_takes_system_method_edition_and_material(
    capsys: pytest.CaptureFixture[str], sketch: Path, tmp_path: Path
) -> None:
    status = run(
        ["plan", str(sketch), "--size-mm", "180x240", "--colours", "3", "--system", "pins", "--method",
         "reduction",
         "--edition", "7", "--material", "hard wood", "--out", str(tmp_path), "--json"],
        no_window,
    )  # fmt: skip
    assert status == 0
    plan = json.loads(capsys.readouterr().out)
    project, _ = load(tmp_path / "project.nomos")
    assert project.register.system == "pins"
    assert is_reduction(project)
    assert (project.plan.edition, project.craft.material) == (7, "hard wood")
    assert "pins.dxf" in plan["files"]


def test_a_print_too_small_for_a_kento_is_planned_with_what_fits(
    capsys: pytest.CaptureFixture[str], sketch: Path, tmp_path: Path
) -> None:
    small = ["plan", str(sketch), "--size-mm", "18x24", "--sheet-mm", "20x26", "--colours", "3", "--out", str(tmp_path)]
    assert run([*small, "--system", "kento"], no_window) == 2
    capsys.readouterr()
    assert run(small, no_window) == 0
    assert "no room for a kento" in capsys.readouterr().err
    assert load(tmp_path / "project.nomos")[0].register.system != "kento"


@pytest.mark.thorough
def test_where_the_sheet_is_not_sure_a_command_asks(capsys: pytest.CaptureFixture[str], tmp_path: Path) -> None:
    """Nothing of the table is ever read as a colour unsaid."""
    from benchmarks.devices.camera import Camera, on_paper
    from benchmarks.scenes import scene

    sheet = on_paper(scene(3, line="black"), "gouache", paper=(150, 108, 66), seed=3)
    taken = Camera(pixels=(1000, 800), table="wood", fill=0.95, aside=(0.0, 0.16), hand_at=0.3, seed=3).take(sheet)
    path, out = tmp_path / "kraft.png", tmp_path / "flat.png"
    Image.fromarray(taken.rgb).save(path)
    for command in (
        ("flatten", str(path), "--colours", "auto", "--out", str(out)),
        ("plan", str(path), "--colours", "auto", "--out", str(tmp_path / "job")),
        ("separate", str(path), "--out", str(tmp_path / "a.nomos")),
    ):
        assert run(list(command), no_window) == 2
        said = capsys.readouterr().err
        assert "is not sure" in said
        assert "--whole" in said
    proposed = said.split("--corners '")[1].split("'")[0]
    for more in (("--corners", proposed), ("--whole",)):
        small = ("--size-mm", "80x60", "--colours", "6")
        assert run(["flatten", str(path), *small, "--out", str(out), *more], no_window) == 0
