"""The words of the program in another language: complete, and with the same values in them."""

import importlib.util
import subprocess
import sys
from datetime import datetime
from pathlib import Path
from string import Formatter
from types import ModuleType

import pytest

from nomos import guide
from nomos.base import language
from nomos.base.units import number, size_text
from nomos.cli import COMMANDS
from nomos.cli.main import _parser

TOOL = Path(__file__).resolve().parents[2] / "tools" / "words.py"


@pytest.fixture(scope="module")
def words() -> ModuleType:
    """The tool that keeps the catalogues."""
    spec = importlib.util.spec_from_file_location("words", TOOL)
    assert spec is not None
    assert spec.loader is not None
    made = importlib.util.module_from_spec(spec)
    spec.loader.exec_module(made)
    return made


def values_in(message: str) -> list[tuple[str, str | None]]:
    return sorted((name, spec) for _, name, spec, _ in Formatter().parse(message) if name is not None)


def test_every_message_is_translated_with_the_same_values_in_it(words: ModuleType) -> None:
    catalogues = sorted(words.CATALOGUES.glob("*.ts"))
    assert catalogues
    for path in catalogues:
        known = words.read(path)
        assert set(known) == set(words.messages()), "run tools/words.py"
        for message, said in known.items():
            assert said, f"{path.name} has nothing for {message!r}"
            given, put = values_in(message), values_in(said)
            assert [name for name, _ in given] == [name for name, _ in put], message
            # A figure keeps its decimals; a date may stand in the order of the other language.
            assert all(one == other or "%" in (one or "") for (_, one), (_, other) in zip(given, put, strict=True))
            # What is put beside other words keeps its distance from them.
            assert message[:1].isspace() == said[:1].isspace(), message
            assert message[-1:].isspace() == said[-1:].isspace(), message


def test_the_guide_has_the_same_pages_and_headings_in_every_language(words: ModuleType) -> None:
    folder = Path(guide.__file__).parent
    for path in words.CATALOGUES.glob("*.ts"):
        for name in guide.PAGES:
            pages = [(place / f"{name}.md").read_text("utf-8") for place in (folder, folder / path.stem)]
            one, other = ([line.split(" ")[0] for line in page.splitlines() if line[:1] == "#"] for page in pages)
            assert one == other, name


def test_figures_and_dates_are_said_as_the_language_says_them(monkeypatch: pytest.MonkeyPatch) -> None:
    for name in ("_name", "_lookup", "_decimal_mark"):
        monkeypatch.setattr(language, name, getattr(language, name))
    moment = datetime(2026, 11, 30, 9, 5)
    assert language.tr("{at:%a %d %b}, {off:.1f}", at=moment, off=2.5) == "Mon 30 Nov, 2.5"
    words = {"Mon": "Mo", "Nov": "Nov", "{at:%a %d %b}, {off:.1f}": "{off:.1f} am {at:%a %d. %b}"}
    language.speak("de", lambda message: words.get(message, message), ",")
    assert language.tr("{at:%a %d %b}, {off:.1f}", at=moment, off=2.5) == "2,5 am Mo 30. Nov"
    assert (number(-1.25, 2), size_text(180.5, 240)) == ("−1,25", "180,5 × 240 mm")
    assert language.within("Hellgrau") == "Hellgrau"


def test_what_is_no_command_is_opened_in_the_language_of_the_window() -> None:
    assert set(COMMANDS) == set(_parser()[1])


def test_a_command_speaks_english_whatever_the_window_does(tmp_path: Path) -> None:
    config = tmp_path / "nomos"
    config.mkdir()
    (config / "window.ini").write_text("[General]\nlanguage=de\n")
    env = {"XDG_CONFIG_HOME": str(tmp_path), "HOME": str(tmp_path), "LANG": "de_DE.UTF-8"}
    said = subprocess.run(
        [sys.executable, "-m", "nomos", "check", str(tmp_path / "none.nomos")],
        capture_output=True, text=True, env=env, check=False,
    )  # fmt: skip
    assert said.returncode == 2
    assert "cannot be read" in said.stderr
