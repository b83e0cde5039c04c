"""Projects and logs of every released form of the format open for ever, lose nothing, and can be printed."""

import zipfile
from pathlib import Path
from xml.etree import ElementTree

import pytest
from msgspec.structs import replace

from nomos.cli.main import run
from nomos.edition.log import read_log
from nomos.project import load, save
from nomos.project.edition.sheets import record_of
from tests.conftest import proof_of
from tests.test_cli import no_window

CORPUS = sorted((Path(__file__).parent / "corpus").glob("*.nomos"))
LOGS = [path for path in CORPUS if path.with_name(f"{path.name}.bench.jsonl").exists()]


def test_every_form_is_there() -> None:
    assert len(CORPUS) >= 6
    assert len(LOGS) >= 3


@pytest.mark.parametrize("path", CORPUS, ids=lambda path: path.stem)
def test_an_old_project_opens_is_proved_and_saved_without_a_loss(path: Path, tmp_path: Path) -> None:
    project, assets = load(path)
    assert (project.title, len(project.impressions)) == ("pane", 4)
    assert proof_of(project, assets).mean_de00 < 8
    save(tmp_path / "again.nomos", project, assets)
    assert load(tmp_path / "again.nomos") == (project, assets)


@pytest.mark.parametrize("path", LOGS, ids=lambda path: path.stem)
def test_an_old_log_still_counts_what_it_counted(path: Path) -> None:
    project, _ = load(path)
    log = path.with_name(f"{path.name}.bench.jsonl")
    counted = [(figures.good, figures.spoiled) for figures in record_of(project, log).figures]
    # Three good of the first layer, the last of them after one that was taken back; one of the second.
    assert counted[0] in ((3, 0), (4, 0))
    assert counted[1] == (1, 0)
    assert len(read_log(log)) >= 8


@pytest.mark.thorough
@pytest.mark.parametrize("odd", ["A\x01B\x1f bed\nand pane\r\n", "\u202erime \ufffe <&>\"'", "pane \ud83c", "ü" * 3000])
def test_a_title_of_anything_goes_through_every_file(
    odd: str, tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    project, assets = load(CORPUS[-1])
    named = replace(
        project, title=odd, inks=tuple(replace(ink, name=odd) for ink in project.inks),
        blocks=tuple(replace(block, name=odd) for block in project.blocks),
    )  # fmt: skip
    save(tmp_path / "odd.nomos", named, assets)
    assert load(tmp_path / "odd.nomos")[0] == named
    source = str(tmp_path / "odd.nomos")
    for command in (
        ["packet", source, "--out", str(tmp_path / "packet")],
        ["blocks", source, "--as", "ora", "--out", str(tmp_path / "layers")],
        ["calendar", source, "--start", "2026-03-02", "--out", str(tmp_path / "odd.ics")],
    ):
        assert run(command, no_window) == 0, capsys.readouterr().err
    for svg in (tmp_path / "packet" / "svg").iterdir():
        ElementTree.parse(svg)
    (drawn,) = (tmp_path / "layers").iterdir()
    with zipfile.ZipFile(drawn) as layers:
        ElementTree.fromstring(layers.read("stack.xml"))
