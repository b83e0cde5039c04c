"""The packages of the house: who may import whom, checked by planting a violation."""

import ast
import re
import shutil
import subprocess
import sys
from pathlib import Path

import pytest

from nomos.carving import MATERIALS
from nomos.colour.vehicles import VEHICLES
from nomos.edition.inking_tools import INKING_TOOLS
from nomos.edition.pressings import PRESSINGS
from nomos.project.blocks.methods import METHODS
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


@pytest.mark.thorough
@pytest.mark.parametrize("module", CORE)
def test_no_package_but_ui_needs_qt(module: str) -> None:
    code = f"import sys; sys.modules['PyQt6'] = None; import nomos.{module}"
    done = subprocess.run([sys.executable, "-c", code], capture_output=True, text=True, timeout=60, check=False)
    assert done.returncode == 0, done.stderr


def test_heavy_packages_wait_until_they_are_used() -> None:
    """So that `nomos --help` and the window come up at once."""
    heavy = (
        "reportlab", "scipy", "skimage", "colour", "shapely", "contourpy", "PyQt6", "cv2", "nomos.project",
    )  # fmt: skip
    code = f"import sys, nomos.cli.main; print([n for n in {heavy!r} if n in sys.modules])"
    done = subprocess.run([sys.executable, "-c", code], capture_output=True, text=True, timeout=60, check=True)
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
    shutil.copytree(ROOT / "src" / "nomos", copy, ignore=shutil.ignore_patterns("*.png", "*.ttf", "*.svg", "*.pyc"))
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
    folders = {path.parent.name for path in (ROOT / "src/nomos/ui/stations").glob("*/*_presenter.py")}
    assert set(TABLE) == folders == set(STATIONS) == set(STATION_NAMES)
    modules = {path.stem for path in (ROOT / "src/nomos/registration/systems").glob("*.py")}
    assert modules - {"__init__", "shapes", "record"} == set(SYSTEMS)


def test_no_name_of_a_variant_is_compared_outside_its_record() -> None:
    """A further system, or vehicle, would be forgotten there: its record is asked."""
    # Words of other things too: an oil that is worked in, a brush that draws, a press that is heard of.
    kinds = (
        SYSTEMS, METHODS, MATERIALS, set(VEHICLES) - {"oil"}, set(INKING_TOOLS) - {"brush"},
        set(PRESSINGS) - {"press", "hand"},
    )  # fmt: skip
    names = "|".join(name for kind in kinds for name in kind)
    compares = re.compile(
        rf"""(system|vehicle|method|material) (==|!=|in|not in) [("'](?!auto|process)|vehicle\.startswith"""
        rf"""|(==|!=) "({names})\""""
    )
    apart = ("registration/", "colour/vehicles.py", "words/")
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


NUMERIC = ("colour", "design", "separation", "proof", "registration", "carving", "order")


def _public(package: str) -> list[tuple[str, ast.FunctionDef]]:
    """Functions of a package's modules that anyone may call."""
    return [
        (path.stem, node)
        for path in sorted((ROOT / "src/nomos" / package).rglob("*.py"))
        for node in ast.parse(path.read_text("utf-8")).body
        if isinstance(node, ast.FunctionDef) and not node.name.startswith("_")
    ]


def test_four_of_five_numeric_functions_say_shapes_units_and_errors() -> None:
    """In numpydoc's sections; and a parameter that is described is one the function has."""
    functions = [each for package in NUMERIC for each in _public(package)]
    said = 0
    for module, node in functions:
        doc = ast.get_docstring(node) or ""
        said += any(f"{section}\n{'-' * len(section)}" in doc for section in ("Parameters", "Returns", "Raises"))
        _, heading, rest = doc.partition("Parameters\n----------\n")
        body = re.split(r"\n\n\w+\n-+\n", rest)[0] if heading else ""
        named = {name.strip() for line in body.split("\n") if re.match(r"[\w, *]+ : ", line)
                 for name in line.split(" : ")[0].split(",")}  # fmt: skip
        given = {each.arg for each in (*node.args.args, *node.args.kwonlyargs, *node.args.posonlyargs)}
        given |= {each.arg for each in (node.args.vararg, node.args.kwarg) if each}
        assert {name.lstrip("*") for name in named} <= given, f"{module}.{node.name}"
    assert said >= 0.8 * len(functions), f"{said} of {len(functions)}"


def test_no_files_of_the_window_import_each_other_in_a_circle() -> None:
    """Nor by a name that only a type checker imports: what hangs together would be read together."""
    imports: dict[str, set[str]] = {}
    for path in (ROOT / "src/nomos/ui").rglob("*.py"):
        name = ".".join(path.relative_to(ROOT / "src").with_suffix("").parts).removesuffix(".__init__")
        tree = ast.parse(path.read_text("utf-8"))
        guarded = [node for node in tree.body if isinstance(node, ast.If)]
        nodes = [*tree.body, *(inner for node in guarded for inner in node.body)]
        imports[name] = {node.module for node in nodes if isinstance(node, ast.ImportFrom) and node.module}

    def reached(start: str) -> set[str]:
        seen: set[str] = set()
        todo = [start]
        while todo:
            for other in imports.get(todo.pop(), set()) - seen:
                seen.add(other)
                todo.append(other)
        return seen

    assert [name for name in imports if name in reached(name)] == []
