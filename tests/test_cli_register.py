"""nomos kento and nomos marks."""

import json
from pathlib import Path

import pytest

from nomos.cli.main import run

HEAD = "block,mark,expected_x_mm,expected_y_mm,measured_x_mm,measured_y_mm\n"
SIZES = ("--sheet-mm", "200x260", "--image-mm", "180x240")
PLACES = ((20, 20), (180, 20), (20, 240))


def nomos(*arguments: str) -> int:
    return run(arguments, lambda *_: 0)


def test_kento_gives_every_notch_on_sheet_and_block(capsys: pytest.CaptureFixture[str]) -> None:
    assert nomos("kento", "--sheet-mm", "200x260", "--image-mm", "180x240", "--paper-mm", "0.8", "--json") == 0
    figures = json.loads(capsys.readouterr().out)
    assert figures["depth_mm"] == 1.6
    assert figures["image_on_sheet_mm"] == [10, 10, 190, 250]
    assert figures["corner"]["wall_on_sheet_mm"] == [[0, 235], [0, 260], [25, 260]]
    # The block is the mirror image, 12 mm of wood beyond the sheet: its corner is at the right.
    width = figures["block_mm"][0]
    assert figures["corner"]["wall_on_block_mm"][1] == [width - 12, 260]


@pytest.mark.parametrize(
    ("arguments", "said"),
    [
        (("--margin-mm", "5", "10"), "corner side"),
        (("--margin-mm", "10", "10", "11", "10"), "all four to fit"),
        (("--margin-mm", "1", "2", "3"), "one figure, two"),
        (("--paper-mm", "9"), "does not seat"),
    ],
)
def test_kento_says_what_does_not_fit(
    arguments: tuple[str, ...], said: str, capsys: pytest.CaptureFixture[str]
) -> None:
    assert nomos("kento", *SIZES, *arguments) == 2
    assert said in capsys.readouterr().err


def test_marks_gives_each_block_its_fit_and_its_walls(tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    file = tmp_path / "marks.csv"
    key = "".join(f"Key,{n},{x},{y},{x + 0.3},{y - 0.1}\n" for n, (x, y) in enumerate(((20, 20), (180, 20), (20, 240))))
    leek = "".join(f"Leek,{n},{x},{y},{x * 1.004},{y}\n" for n, (x, y) in enumerate(((20, 20), (180, 20), (20, 240))))
    file.write_text(HEAD + key + leek)
    assert nomos("marks", str(file), "--sheet-mm", "200x260", "--json") == 0
    blocks = json.loads(capsys.readouterr().out)["blocks"]
    assert blocks["Key"]["dx_mm"] == pytest.approx(0.3)
    assert blocks["Key"]["dy_mm"] == pytest.approx(-0.1)
    assert blocks["Key"]["kento"] == {"corner_side_mm": 0.3, "corner_base_mm": 0.1, "straight_base_mm": 0.1}
    assert blocks["Leek"]["stretch_x_pct"] == pytest.approx(0.4)
    assert any("no kento cures" in line for line in blocks["Leek"]["advice"])
    assert min(min(block["kento_together"].values()) for block in blocks.values()) == 0

    assert nomos("marks", str(file), "--uncut", "Key") == 0
    assert "move its transfer by -0.30 mm" in capsys.readouterr().out


def test_marks_of_one_block_need_no_name_and_say_the_sheet_they_take(
    tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    file = tmp_path / "marks.csv"
    file.write_text(
        "mark,expected_x_mm,expected_y_mm,measured_x_mm,measured_y_mm\na,10,20,10.5,20\nb,190,20,190.5,20\n"
    )
    assert nomos("marks", str(file), "--json") == 0
    said = json.loads(capsys.readouterr().out)
    (block,) = said["blocks"].values()
    assert said["sheet_assumed_mm"] == [200, 50]
    assert block["stretch_x_pct"] is None
    assert "Glue a strip of 0.50 mm onto the side of the corner notch." in block["advice"]


@pytest.mark.parametrize(
    ("text", "said"),
    [
        ("mark,expected_x_mm\n", "no column expected_y_mm"),
        (HEAD, "holds no marks"),
        (HEAD + "Key,a,1,2,three,4\n", "line 2: measured_x_mm is 'three'"),
        (HEAD + "Key,a,1,2,3\n", "line 2: measured_y_mm is ''"),
        (HEAD + "Key,a,1,2,3,4\n", "Key: One mark shows no rotation"),
        ("\0", "no column"),
    ],
)
def test_a_bad_file_of_marks_gets_one_sentence(
    text: str, said: str, tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    file = tmp_path / "marks.csv"
    file.write_text(text)
    assert nomos("marks", str(file)) == 2
    assert said in capsys.readouterr().err
