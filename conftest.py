"""Counts which statements of the program a run of tests passes over, cheaply enough to do it in every run.

A tracer that is called at every line makes the tests half as long again. Here each stretch of statements
without a branch gets one assignment at its beginning when its module is imported, and nothing is called.
What runs in processes of its own is not counted. `make coverage` says line by line what is left out.
"""

import ast
import os
import sys
from collections.abc import Sequence
from importlib.abc import MetaPathFinder
from importlib.machinery import ModuleSpec, PathFinder, SourceFileLoader
from pathlib import Path
from types import CodeType, ModuleType
from typing import Any

import pytest

ROOT = Path(__file__).resolve().parent / "src" / "nomos"
_SEEN = "__seen_by_tests__"
_BRANCHING = (ast.If, ast.For, ast.While, ast.Try, ast.With, ast.Match, ast.AsyncFor, ast.AsyncWith)


class _Marks(ast.NodeTransformer):
    """Puts a mark before every stretch; `stretches` has how many statements each is of."""

    def __init__(self) -> None:
        self.stretches: list[int] = []

    def mark(self, tree: ast.Module) -> ast.Module:
        tree.body = self._marked(tree.body, begins=True)
        return ast.fix_missing_locations(tree)

    def _marked(self, statements: list[ast.stmt], *, begins: bool = False) -> list[ast.stmt]:
        made: list[ast.stmt] = []
        fresh = True
        for place, each in enumerate(statements):
            if begins and place == 0 and isinstance(each, ast.Expr) and isinstance(each.value, ast.Constant):
                # A docstring is one only where it stands first.
                made.append(each)
                continue
            if fresh:
                self.stretches.append(0)
                here = len(self.stretches) - 1
                mark = ast.parse(f"{_SEEN}[{here}] = 1").body[0]
                made.append(ast.copy_location(mark, each))
                fresh = False
            self.stretches[here] += 1
            for field in ("body", "orelse", "finalbody"):
                inner = getattr(each, field, None)
                if isinstance(inner, list) and inner:
                    own = isinstance(each, ast.FunctionDef | ast.AsyncFunctionDef | ast.ClassDef)
                    setattr(each, field, self._marked(inner, begins=own and field == "body"))
            for part in (*getattr(each, "handlers", ()), *getattr(each, "cases", ())):
                part.body = self._marked(part.body)
            fresh = isinstance(each, _BRANCHING)
            made.append(each)
        return made


def _marked(source: bytes) -> tuple[ast.Module, list[int]]:
    marks = _Marks()
    return marks.mark(ast.parse(source)), marks.stretches


class _Loader(SourceFileLoader):
    """Loads a module with its marks."""

    def get_code(self, fullname: str) -> CodeType | None:
        path = self.get_filename(fullname)
        tree, self._stretches = _marked(self.get_data(path))
        return compile(tree, path, "exec", dont_inherit=True)

    def exec_module(self, module: ModuleType) -> None:
        code = self.get_code(module.__name__)
        assert code is not None
        seen = module.__dict__[_SEEN] = bytearray(len(self._stretches))
        _PASSED[str(Path(self.path).relative_to(ROOT))] = seen
        exec(code, module.__dict__)


class _Finder(MetaPathFinder):
    """Finds the modules of the program, and no others."""

    def find_spec(
        self, fullname: str, path: Sequence[str] | None, target: ModuleType | None = None
    ) -> ModuleSpec | None:
        if fullname.split(".")[0] != "nomos":
            return None
        spec = PathFinder.find_spec(fullname, path, target)
        if spec is not None and spec.origin is not None and Path(spec.origin).is_relative_to(ROOT):
            spec.loader = _Loader(fullname, spec.origin)
        return spec


_PASSED: dict[str, bytearray] = {}


def begin() -> None:
    """Count from now on. Raises RuntimeError where a part of the program is there already."""
    if any(name.split(".")[0] == "nomos" for name in sys.modules):
        raise RuntimeError("The program was imported before its statements could be counted.")
    sys.meta_path.insert(0, _Finder())


def passed() -> dict[str, list[int]]:
    """The stretches that were passed over in this process, by file."""
    return {name: [n for n, seen in enumerate(each) if seen] for name, each in _PASSED.items()}


def share(runs: Sequence[dict[str, list[int]]]) -> float:
    """The share of all statements that any of the runs passed over."""
    every = seen = 0
    for path in ROOT.rglob("*.py"):
        _, stretches = _marked(path.read_bytes())
        name = str(path.relative_to(ROOT))
        every += sum(stretches)
        seen += sum(stretches[n] for n in {n for run in runs for n in run.get(name, ())})
    return seen / every


class Counting:
    """The plugin: counts in each process, adds up in the one that reports."""

    def __init__(self) -> None:
        self._runs: list[dict[str, list[int]]] = []

    def pytest_sessionfinish(self, session: Any) -> None:
        """Hand over, or keep, what this process passed over."""
        output = getattr(session.config, "workeroutput", None)
        if output is not None:
            output["passed"] = passed()
        else:
            self._runs.append(passed())

    @pytest.hookimpl(optionalhook=True)
    def pytest_testnodedown(self, node: Any) -> None:
        """Keep what another process handed over."""
        self._runs.append(getattr(node, "workeroutput", {}).get("passed", {}))

    def pytest_terminal_summary(self, terminalreporter: Any) -> None:
        """Say the share."""
        if any(self._runs):
            terminalreporter.write_line(f"statements that a test passes over: {share(self._runs):.0%}")


def pytest_configure(config: pytest.Config) -> None:
    """Add up in the process that reports."""
    if os.environ.get("NOMOS_COUNT"):
        config.pluginmanager.register(Counting())


# Before the tests' own conftest imports the program.
if os.environ.get("NOMOS_COUNT"):
    begin()
