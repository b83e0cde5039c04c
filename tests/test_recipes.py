"""The recipes of docs/architecture.md for a finding, a command and a language, followed in a copy of the source.

Those for a field, a system, a vehicle, a tool, a pressing, a material and a method: tests/base/test_fields.py and
tests/ui/test_variants.py.
"""

import json
import os
import shutil
import subprocess
import sys
from pathlib import Path

import pytest

ROOT = Path(__file__).parents[1]
PROJECT = ROOT / "tests/corpus/pane-6.nomos"


@pytest.fixture
def copy(tmp_path: Path) -> Path:
    """A source tree of its own, with the tools."""
    for part in ("src", "tools"):
        shutil.copytree(ROOT / part, tmp_path / part, ignore=shutil.ignore_patterns("__pycache__"))
    return tmp_path


def run(copy: Path, *arguments: str) -> subprocess.CompletedProcess[str]:
    env = {**os.environ, "PYTHONPATH": str(copy / "src"), "QT_QPA_PLATFORM": "offscreen"}
    return subprocess.run(
        [sys.executable, *arguments], cwd=copy, env=env, capture_output=True, text=True, check=False, timeout=120
    )


def put_in(file: Path, before: str, text: str) -> None:
    source = file.read_text("utf-8")
    assert source.count(before) == 1, f"{before} is not in {file.name} as the recipe says"
    file.write_text(source.replace(before, text + before), "utf-8")


def test_a_finding_is_a_function_and_its_call_in_one_file(copy: Path) -> None:
    method = copy / "src/nomos/project/check/method.py"
    put_in(
        method,
        "    return found\n\n\ndef of_writing",
        "    found.append(Finding('could show', 'blocks', tr('The shed is dark at {n}.', n=4), tr('Light a lamp.')))\n",
    )
    done = run(copy, "-m", "nomos", "check", str(PROJECT), "--json")
    found = [each for each in json.loads(done.stdout)["findings"] if each["text"] == "The shed is dark at 4."]
    assert [(each["weight"], each["remedy"]) for each in found] == [("could show", "Light a lamp.")]
    assert "'The shed is dark at {n}.'" in run(copy, "tools/words.py").stdout


def test_a_command_is_a_function_and_its_name(copy: Path) -> None:
    settings = copy / "src/nomos/cli/settings.py"
    put_in(settings, "def _settings(", "def _count(options: argparse.Namespace) -> int:\n"
           "    from nomos.project import load\n"
           "    return say(options, {'pulls': len(load(options.project)[0].impressions)}, [])\n\n\n")  # fmt: skip
    put_in(settings, "    made = command(commands,", "    command(commands, 'count', 'how many pulls', _count)\n")
    assert "count" in run(copy, "-m", "nomos", "--help").stdout
    put_in(copy / "src/nomos/cli/__init__.py", ")  # fmt: skip", '    "count",\n')
    done = run(copy, "-m", "nomos", "count", str(PROJECT), "--json")
    assert json.loads(done.stdout)["pulls"] > 0, done.stderr


def test_a_language_is_a_catalogue_pages_and_its_name(copy: Path) -> None:
    source = copy / "src/nomos"
    catalogue = source / "words/nl.ts"
    catalogue.write_text("<TS><context/></TS>", "utf-8")
    assert "nl.ts" in run(copy, "tools/words.py").stdout
    text = catalogue.read_text("utf-8")
    one = '<source>Register</source>\n   <translation type="unfinished" />'
    assert text.count(one) == 1
    catalogue.write_text(text.replace(one, "<source>Register</source><translation>Passen</translation>"), "utf-8")
    shutil.copytree(source / "guide/de", source / "guide/nl")
    put_in(source / "ui/language.py", '"de": "Deutsch"}', '"nl": "Nederlands", ')
    spoken = "from nomos.ui import language; language.choose('nl'); from nomos.base.language import tr"
    done = run(
        copy,
        "-c",
        f"{spoken}; from nomos import guide; print(tr('Register'), tr('Order'), len(guide.page('start')) > 9)",
    )
    assert done.stdout.split() == ["Passen", "Order", "True"], done.stderr
