"""The rooms of the house: who may import whom, checked by planting a violation."""

import re
import shutil
import subprocess
import sys
from pathlib import Path

import pytest

from nomos.registration import SYSTEMS
from nomos.ui.frame.state import STATIONS
from nomos.ui.frame.view import STATION_NAMES
from nomos.ui.stations import TABLE

ROOT = Path(__file__).parents[1]
CORE = (
    "base.units", "base.errors", "base.progress", "base.typeface", "colour", "design", "separation", "proof",
    "order", "registration", "project", "formats", "work", "demo", "cli.main", "ui.frame.view",
    "ui.frame.sheet_view", "ui.frame.viewport", "ui.stations.inks.ink_view",
)  # fmt: skip


@pytest.mark.parametrize("module", CORE)
def test_no_package_but_ui_needs_qt(module: str) -> None:
    code = f"import sys; sys.modules['PyQt6'] = None; import nomos.{module}"
    done = subprocess.run(
        [sys.executable, "-c", code], capture_output=True, text=True, timeout=60, check=False
    )
    assert done.returncode == 0, done.stderr


def test_heavy_packages_wait_until_they_are_used() -> None:
    """So that `nomos --help` and the window come up at once."""
    heavy = (
        "reportlab", "scipy", "skimage", "colour", "shapely", "contourpy", "PyQt6", "cv2", "nomos.project",
    )  # fmt: skip
    code = f"import sys, nomos.cli.main; print([n for n in {heavy!r} if n in sys.modules])"
    done = subprocess.run(
        [sys.executable, "-c", code], capture_output=True, text=True, timeout=60, check=True
    )
    assert done.stdout.strip() == "[]"


@pytest.mark.parametrize(
    ("room", "line"),
    [
        ("colour", "from nomos import proof"),
        ("design", "import nomos.project"),
        ("project", "from PyQt6 import QtCore"),
        ("formats", "from nomos.ui import theme"),
    ],
)
def test_a_planted_violation_is_found(room: str, line: str, tmp_path: Path) -> None:
    """A copy of the package with one forbidden import, checked by the same contracts."""
    copy = tmp_path / "nomos"
    shutil.copytree(
        ROOT / "src" / "nomos", copy, ignore=shutil.ignore_patterns("*.png", "*.ttf", "*.svg", "*.pyc")
    )
    (copy / room / "planted.py").write_text(f'"""Planted."""\n\n{line}\n')
    shutil.copy(ROOT / "pyproject.toml", tmp_path)
    code = (
        f"import sys; sys.path.insert(0, {str(tmp_path)!r}); "
        "from importlinter.cli import lint_imports; sys.exit(lint_imports(no_cache=True))"
    )
    done = subprocess.run(
        [sys.executable, "-c", code], cwd=tmp_path, capture_output=True, text=True, timeout=120, check=False
    )
    assert done.returncode != 0
    assert "BROKEN" in done.stdout


def test_every_station_and_system_is_in_its_table() -> None:
    """What is forgotten fails here, not at a user's."""
    folders = {path.parent.name for path in (ROOT / "src/nomos/ui/stations").glob("*/station.py")}
    assert set(TABLE) == folders == set(STATIONS) == set(STATION_NAMES)
    modules = {path.stem for path in (ROOT / "src/nomos/registration/systems").glob("*.py")}
    assert modules - {"__init__", "shapes", "record"} == set(SYSTEMS)


def test_no_name_of_a_variant_is_compared_outside_its_record() -> None:
    """A further system, or vehicle, would be forgotten there: its record is asked."""
    names = "|".join(SYSTEMS)
    compares = re.compile(
        rf"""(system|vehicle) (==|!=|in|not in) [("'](?!auto)|vehicle\.startswith|(==|!=) "({names})\""""
    )
    apart = ("registration/", "colour/vehicles.py", "words/", "ui/frame/tips.py")
    found = [
        f"{path.name}: {line.strip()}"
        for path in (ROOT / "src/nomos").rglob("*.py")
        if not str(path.relative_to(ROOT / "src/nomos")).startswith(apart)
        for line in path.read_text("utf-8").splitlines()
        if compares.search(line)
    ]
    assert found == []


def test_no_file_names_a_package_host() -> None:
    lock = (ROOT / "requirements.lock").read_text("utf-8")
    assert "://" not in lock
    assert "--hash=sha256:" in lock


def test_the_exceptions_to_the_linter_say_why() -> None:
    """Every `noqa` and `type: ignore` in the sources is explained on its line."""
    marked = [
        (f"{path.name}:{number}", line.partition(f"# {mark}")[2])
        for path in (ROOT / "src").rglob("*.py")
        for number, line in enumerate(path.read_text("utf-8").splitlines(), start=1)
        for mark in ("noqa", "type: ignore")
        if f"# {mark}" in line
    ]
    assert not [place for place, rest in marked if len(rest.partition(" ")[2]) < 8]
