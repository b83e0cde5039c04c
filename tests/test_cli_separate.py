"""`nomos separate`, `check` and `blocks`, and the law of separation through all of it."""

import json
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from PIL import Image
from scipy import ndimage

from nomos.cli.main import run
from nomos.colour import Ground, ink_film, lab_to_srgb, overprints, reflectance_to_lab
from nomos.project import Assets, Project, load, save

PAPER = (95.0, 0.0, 2.0)
INKS = {"lemon": (88.0, -4.0, 70.0), "rose": (58.0, 48.0, 5.0), "teal": (55.0, -25.0, -20.0)}
SHELF = "name,L,a,b,opacity,strengths\n" + "".join(
    f"{name},{lab[0]},{lab[1]},{lab[2]},transparent,1\n"
    for name, lab in {**INKS, "plum": (35.0, 25.0, -15.0), "moss": (45.0, -18.0, 25.0)}.items()
)


def no_window(_path: Path | None, _demo: str | None, _walk: Path | None) -> int:
    raise AssertionError("no window was asked for")


def answer(capsys: pytest.CaptureFixture[str], *arguments: str) -> dict[str, Any]:
    assert run([*arguments, "--json"], no_window) == 0
    found: dict[str, Any] = json.loads(capsys.readouterr().out)
    return found


@pytest.fixture
def printed(tmp_path: Path) -> tuple[Path, list[np.ndarray], Path]:
    """A simulated print of three overlapping blocks with known inks, its masks, and a shelf with decoys."""
    y, x = np.ogrid[:600, :500]
    masks = [(x - cx) ** 2 + (y - cy) ** 2 < 150**2 for cx, cy in ((200, 230), (310, 250), (250, 360))]
    films = [ink_film(lab, "transparent", PAPER) for lab in INKS.values()]
    labs = reflectance_to_lab(overprints(Ground.from_lab(PAPER), films))
    index = sum(mask.astype(int) << bit for bit, mask in enumerate(masks))
    path = tmp_path / "printed.png"
    Image.fromarray(lab_to_srgb(labs)[index]).save(path, dpi=(254, 254))
    shelf = tmp_path / "shelf.csv"
    shelf.write_text(SHELF, "utf-8")
    return path, masks, shelf


def test_a_print_of_known_blocks_is_separated_into_the_same_blocks(
    capsys: pytest.CaptureFixture[str], printed: tuple[Path, list[np.ndarray], Path], tmp_path: Path
) -> None:
    """The law: intersection over union at least 0.99 outside a one-pixel border."""
    path, masks, shelf = printed
    found = answer(
        capsys, "separate", str(path), "--inks", str(shelf), "--blocks", "3", "--paper", "lab(95 0 2)",
        "--out", str(tmp_path / "p.nomos"),
    )  # fmt: skip
    best = next(plan for plan in found["plans"] if plan["blocks"] == 3)
    assert {ink["name"] for ink in best["inks"]} == set(INKS)
    assert best["worst_de00"] < 1
    out = answer(capsys, "blocks", str(tmp_path / "p.nomos"), "--out", str(tmp_path / "blocks"))
    files = dict(zip(out["blocks"], out["files"], strict=True))
    for name, mask in zip(INKS, masks, strict=True):
        with Image.open(tmp_path / "blocks" / files[name]) as image:
            got = ~np.asarray(image)
        edge = ndimage.binary_dilation(mask) & ~ndimage.binary_erosion(mask)
        inside = ~edge
        union = ((got | mask) & inside).sum()
        assert (got & mask & inside).sum() / union >= 0.99


def test_plans_have_the_keys_they_are_said_to_have(
    capsys: pytest.CaptureFixture[str], printed: tuple[Path, list[np.ndarray], Path]
) -> None:
    path, _, shelf = printed
    found = answer(capsys, "separate", str(path), "--inks", str(shelf), "--blocks", "4", "--must", "plum")
    assert {plan["blocks"] for plan in found["plans"]} >= {1, 2, 3}
    assert all(plan["worst_within"] >= 0 for plan in found["plans"])
    for plan in found["plans"]:
        assert {"blocks", "mean_de00", "worst_de00", "inks", "fields"} <= set(plan)
        assert {"clear_area_mm2", "outline_mm", "tight_border_mm"} <= set(plan)
        assert {"name", "strength", "hex"} <= set(plan["inks"][0])
        assert {"id", "target", "printed", "de00", "blocks"} <= set(plan["fields"][0])
        assert "plum" in [ink["name"] for ink in plan["inks"]]
        for field in plan["fields"]:
            assert all(1 <= place <= len(plan["inks"]) for place in field["blocks"])
        area = sum(field["area_mm2"] for field in plan["fields"])
        mean = sum(field["de00"] * field["area_mm2"] for field in plan["fields"]) / area
        assert mean == pytest.approx(plan["mean_de00"], abs=0.01)


def test_process_colours_keep_the_dark_key(
    capsys: pytest.CaptureFixture[str], demo: tuple[Project, Assets], tmp_path: Path
) -> None:
    save(tmp_path / "demo.nomos", *demo)
    found = answer(
        capsys, "separate", str(tmp_path / "demo.nomos"), "--method", "process", "--blocks", "4",
        "--out", str(tmp_path / "four.nomos"),
    )  # fmt: skip
    assert found["key"]
    project, _ = load(tmp_path / "four.nomos")
    assert len(project.blocks) == 4
    assert project.block(project.impressions[-1].block).is_key
    assert {ink.name for ink in project.inks} >= {"Process yellow", "Process red", "Process blue"}
    findings = answer(capsys, "check", str(tmp_path / "four.nomos"))["findings"]
    for finding in findings:
        assert {"weight", "station", "text", "remedy", "place_mm"} <= set(finding)


@pytest.mark.parametrize(
    ("arguments", "words"),
    [
        (("separate", "DEMO", "--inks", "nothing.csv"), "nothing.csv"),
        (("separate", "DEMO", "--inks", "SHELF", "--must", "gold"), "gold"),
        (("separate", "DEMO", "--inks", "SHELF", "--blocks", "99"), "1 to 8"),
        (("separate", "DEMO", "--blocks", "many"), "invalid int"),
        (("check", "SHELF"), "not a Nomos project"),
        (("blocks", "DEMO", "--out", "/proc/none"), "/proc/none"),
    ],
)
def test_bad_input_is_one_sentence(
    arguments: tuple[str, ...], words: str, capsys: pytest.CaptureFixture[str], tmp_path: Path,
    demo: tuple[Project, Assets],
) -> None:  # fmt: skip
    save(tmp_path / "demo.nomos", *demo)
    (tmp_path / "shelf.csv").write_text(SHELF, "utf-8")
    named = {"DEMO": str(tmp_path / "demo.nomos"), "SHELF": str(tmp_path / "shelf.csv")}
    assert run([named.get(argument, argument) for argument in arguments], no_window) == 2
    said = capsys.readouterr().err
    assert words in said
    assert said.count("\n") == 1


def test_a_reduction_is_one_block_in_states(
    capsys: pytest.CaptureFixture[str], demo: tuple[Project, Assets], tmp_path: Path
) -> None:
    save(tmp_path / "demo.nomos", *demo)
    out = tmp_path / "reduction.nomos"
    found = answer(capsys, "separate", str(tmp_path / "demo.nomos"), "--method", "reduction", "--out", str(out))
    (plan,) = found["plans"]
    assert (plan["blocks"], plan["states"]) == (1, 8)
    assert plan["mean_de00"] < 2
    assert plan["cut_before"][0] == []
    for field in plan["fields"]:
        assert field["blocks"] == list(range(1, len(field["blocks"]) + 1))
    project, _ = load(out)
    assert {block.board for block in project.blocks} == {"board1"}


def test_a_jigsaw_is_one_pull_of_pieces(
    capsys: pytest.CaptureFixture[str], demo: tuple[Project, Assets], tmp_path: Path
) -> None:
    save(tmp_path / "demo.nomos", *demo)
    out, shelf = tmp_path / "jigsaw.nomos", tmp_path / "shelf.csv"
    shelf.write_text(SHELF.replace("transparent,1", "transparent,1;0.5;0.2"), "utf-8")
    arguments = ["separate", str(tmp_path / "demo.nomos"), "--method", "jigsaw"]
    (plan,) = answer(capsys, *arguments, "--out", str(out))["plans"]
    project, _ = load(out)
    # The design's drawn key stays a block of its own, over the pieces.
    assert (plan["blocks"], len(project.impressions)) == (2, 2)
    assert plan["pieces"] > 20
    assert plan["worst_de00"] < 1
    assert len(project.impressions[0].zones) == 7
    (poorer,) = answer(capsys, *arguments, "--inks", str(shelf))["plans"]
    assert {ink["name"] for ink in poorer["inks"][:-1]} <= {*INKS, "plum", "moss"}
    assert poorer["mean_de00"] > plan["mean_de00"]


def test_two_sided_boards_are_half_as_many(
    capsys: pytest.CaptureFixture[str], demo: tuple[Project, Assets], tmp_path: Path
) -> None:
    save(tmp_path / "demo.nomos", *demo)
    out = tmp_path / "boards.nomos"
    found = answer(
        capsys, "separate", str(tmp_path / "demo.nomos"), "--method", "twosided", "--blocks", "5",
        "--out", str(out),
    )  # fmt: skip
    project, _ = load(out)
    assert len(found["boards"]) == len(project.blocks) // 2
    assert "near left corner" in found["turning"]
    names = {block.name for block in project.blocks}
    assert {pair[side] for pair in found["boards"] for side in ("front", "back")} <= names
