"""Plants faults in all but window and commands one by one and says which of them no test notices.

    .venv/bin/python tools/mutate.py [--faults 160] [--seed 1] [--only colour,order]

First every test runs once with coverage, to know which tests pass over which line; then each fault is
planted in a copy, and only those tests are run. Faults are sampled evenly over all places where one can be.
"""

import argparse
import ast
import json
import os
import random
import shutil
import subprocess
import sys
import tempfile
import time
from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from pathlib import Path
from queue import Queue

# All but the window, the commands and what is made up for the demo.
HEART = (
    "base", "colour", "design", "separation", "proof", "order", "registration", "carving", "edition",
    "project", "formats", "work",
)  # fmt: skip
# Half a minute a fault on two cores: an hour at most, with the run of every test before.
_MOST_S = 3000
ROOT = Path(__file__).resolve().parent.parent
# A fault that makes a loop endless is noticed.
_SECONDS = 180
_MOST_TESTS = 40
# What is smaller is a tolerance of a search.
_TINY = 1e-3
# A table of words to call colours by, and the numbers that tests pass over when they are read, not run.
_TABLES = ("names.py",)

_ARITHMETIC: dict[type[ast.AST], tuple[str, str]] = {
    ast.Add: ("+", "-"), ast.Sub: ("-", "+"), ast.Mult: ("*", "/"), ast.Div: ("/", "*"),
    ast.FloorDiv: ("//", "/"), ast.Pow: ("**", "*"), ast.BitAnd: ("&", "|"), ast.BitOr: ("|", "&"),
}  # fmt: skip
_COMPARISON: dict[type[ast.AST], tuple[str, str]] = {
    ast.Lt: ("<", ">="), ast.LtE: ("<=", "<"), ast.Gt: (">", "<="), ast.GtE: (">=", ">"),
    ast.Eq: ("==", "!="), ast.NotEq: ("!=", "=="),
}  # fmt: skip
_OTHER_NAME = {
    "min": "max", "max": "min", "any": "all", "all": "any", "floor": "ceil", "ceil": "floor",
    "argmin": "argmax", "argmax": "argmin", "maximum": "minimum", "minimum": "maximum",
    "sin": "cos", "cos": "sin", "exp": "log",
}  # fmt: skip


@dataclass(frozen=True)
class Fault:
    """A piece of a file, from offset to offset, and what takes its place."""

    path: str
    line: int
    start: int
    end: int
    text: str

    def said(self, source: str) -> str:
        """Where it is, and what is planted."""
        line = source.splitlines()[self.line - 1].strip()
        return f"{self.path}:{self.line}: {source[self.start : self.end]!r} -> {self.text!r} in: {line}"


class _Places(ast.NodeVisitor):
    """Every fault that can be planted in a file."""

    def __init__(self, path: str, source: str) -> None:
        self.path, self.source, self.found = path, source, list[Fault]()
        lengths = [len(line.encode()) for line in source.splitlines(keepends=True)]
        self.starts = [sum(lengths[:n]) for n in range(len(lengths) + 1)]

    def at(self, line: int, column: int) -> int:
        return len(self.source.encode()[: self.starts[line - 1] + column].decode())

    def span(self, node: ast.expr) -> tuple[int, int]:
        assert node.end_lineno is not None
        assert node.end_col_offset is not None
        return self.at(node.lineno, node.col_offset), self.at(node.end_lineno, node.end_col_offset)

    def add(self, node: ast.expr, start: int, end: int, text: str) -> None:
        self.found.append(Fault(self.path, node.lineno, start, end, text))

    def between(self, left: ast.expr, right: ast.expr, old: str, new: str) -> None:
        start, end = self.span(left)[1], self.span(right)[0]
        at = self.source.find(old, start, end)
        if at >= 0:
            self.add(left, at, at + len(old), new)

    def visit_BinOp(self, node: ast.BinOp) -> None:
        if type(node.op) in _ARITHMETIC:
            self.between(node.left, node.right, *_ARITHMETIC[type(node.op)])
        self.generic_visit(node)

    def visit_Compare(self, node: ast.Compare) -> None:
        if len(node.ops) == 1 and type(node.ops[0]) in _COMPARISON:
            self.between(node.left, node.comparators[0], *_COMPARISON[type(node.ops[0])])
        self.generic_visit(node)

    def visit_BoolOp(self, node: ast.BoolOp) -> None:
        old, new = ("and", "or") if isinstance(node.op, ast.And) else ("or", "and")
        self.between(node.values[0], node.values[1], old, new)
        self.generic_visit(node)

    def visit_UnaryOp(self, node: ast.UnaryOp) -> None:
        start = self.span(node)[0]
        if isinstance(node.op, ast.USub):
            self.add(node, start, start + 1, "+")
        elif isinstance(node.op, ast.Not):
            self.add(node, start, start + 4, "")
        elif isinstance(node.op, ast.Invert):
            self.add(node, start, start + 1, "")
        self.generic_visit(node)

    def visit_Constant(self, node: ast.Constant) -> None:
        start, end = self.span(node)
        if isinstance(node.value, bool):
            self.add(node, start, end, str(not node.value))
        elif isinstance(node.value, int):
            self.add(node, start, end, str(node.value + 1))
        elif isinstance(node.value, float) and abs(node.value) > _TINY:
            self.add(node, start, end, repr(node.value * 1.5 if node.value else 1.0))

    def visit_Call(self, node: ast.Call) -> None:
        name = node.func
        end = self.span(name)[1]
        word = name.attr if isinstance(name, ast.Attribute) else name.id if isinstance(name, ast.Name) else ""
        if word in _OTHER_NAME:
            self.add(name, end - len(word), end, _OTHER_NAME[word])
        self.generic_visit(node)

    def visit_ClassDef(self, node: ast.ClassDef) -> None:
        for each in node.body:
            self.visit(each)

    def visit_Raise(self, node: ast.Raise) -> None:
        """What is said of an error is not figured."""

    def visit_AnnAssign(self, node: ast.AnnAssign) -> None:
        if node.value is not None:
            self.visit(node.value)

    def visit_JoinedStr(self, node: ast.JoinedStr) -> None:
        """Words are frozen elsewhere."""

    def visit_Subscript(self, node: ast.Subscript) -> None:
        if isinstance(node.slice, ast.Name | ast.Attribute):
            return  # a type
        self.generic_visit(node)

    def visit_FunctionDef(self, node: ast.FunctionDef) -> None:
        for each in (*node.args.defaults, *node.args.kw_defaults, *node.body):
            if each is not None:
                self.visit(each)

    def visit_If(self, node: ast.If) -> None:
        if isinstance(node.test, ast.Name) and node.test.id == "TYPE_CHECKING":
            return
        self.generic_visit(node)


def faults(packages: list[str]) -> Iterator[Fault]:
    """All faults that can be planted."""
    for package in packages:
        for path in sorted((ROOT / "src/nomos" / package).rglob("*.py")):
            if path.name != "__init__.py" and path.name not in _TABLES:
                source = path.read_text("utf-8")
                places = _Places(str(path.relative_to(ROOT)), source)
                places.visit(ast.parse(source))
                yield from places.found


def tests_by_line(folder: Path, tests: list[str]) -> dict[str, dict[int, list[str]]]:
    """Which tests pass over which line of which file, the quickest first."""
    print("running every test once with coverage", flush=True)
    rc = folder / "coveragerc"
    rc.write_text("[run]\nrelative_files = True\n")
    durations = folder / "durations.json"
    # Of this tree, whatever tree the environment was made in.
    env = {**_environment(), "COVERAGE_FILE": str(folder / "coverage"), "PYTHONPATH": str(ROOT / "src")}
    subprocess.run(
        [sys.executable, "-m", "pytest", "-q", "-n", "2", "-m", "not thorough", *tests, "--cov=nomos", "--cov-report=",
         "--cov-context=test", f"--cov-config={rc}", f"--junitxml={durations}"],
        cwd=ROOT, env=env, check=False,
    )  # fmt: skip
    from xml.etree import ElementTree

    took: dict[str, float] = {}
    for case in ElementTree.parse(durations).iter("testcase"):
        took[f"{case.get('classname', '').replace('.', '/')}.py::{case.get('name')}"] = float(case.get("time", 0))
    from coverage import CoverageData

    data = CoverageData(basename=str(folder / "coverage"))
    data.read()
    found: dict[str, dict[int, list[str]]] = {}
    for name in data.measured_files():
        lines: dict[int, list[str]] = {}
        for line, contexts in data.contexts_by_lineno(name).items():
            tests_here = sorted({each.split("|")[0] for each in contexts if each}, key=lambda t: took.get(t, 9.0))
            lines[line] = tests_here
        found[str(Path(name))] = lines
    return found


def tests_for(lines: dict[int, list[str]], line: int) -> list[str]:
    """The quickest tests that pass over a line, or, for what is read once at import, over
    its file; the golden ones last.
    """
    here = lines.get(line) or list(dict.fromkeys(test for tests in lines.values() for test in tests[:5]))
    golden = [test for test in here if "golden" in test and ("little" in test or "system" in test)]
    return [*[test for test in here if test not in golden][:_MOST_TESTS], *golden]


def _environment() -> dict[str, str]:
    one = {"OMP_NUM_THREADS": "1", "OPENBLAS_NUM_THREADS": "1", "OPENCV_FOR_THREADS_NUM": "1"}
    return {**os.environ, **one, "HYPOTHESIS_STORAGE_DIRECTORY": tempfile.gettempdir() + "/hypothesis"}


def noticed(fault: Fault, tests: list[str], copy: Path, endless: bool) -> bool:
    """Whether one of the tests fails with the fault planted in a copy of the tree; without an end in time: ``endless``."""
    target = copy / fault.path
    source = (ROOT / fault.path).read_text("utf-8")
    target.write_text(source[: fault.start] + fault.text + source[fault.end :], "utf-8")
    env = {**_environment(), "PYTHONPATH": str(copy / "src"), "PYTHONDONTWRITEBYTECODE": "1"}
    try:
        if not tests:
            return False
        done = subprocess.run(
            [sys.executable, "-m", "pytest", "-q", "-x", "-m", "not thorough", "-p", "no:cacheprovider", *tests],
            cwd=copy, env=env, capture_output=True, timeout=_SECONDS, check=False,
        )  # fmt: skip
        return done.returncode != 0
    except subprocess.TimeoutExpired:
        return endless
    finally:
        target.write_text(source, "utf-8")


def main() -> None:
    """Plant the faults, print the survivors and their share."""
    parser = argparse.ArgumentParser(description=__doc__)
    parser.add_argument("--faults", type=int, default=160)
    parser.add_argument("--seed", type=int, default=1)
    parser.add_argument("--only", default=",".join(HEART), help="packages, with commas")
    parser.add_argument("--tests", default="tests", help="folders of tests, with commas")
    parser.add_argument("--map", type=Path, help="which tests pass over which line: read, or else written")
    parser.add_argument("--workers", type=int, default=2)
    parser.add_argument("--again", type=Path, help="only the survivors listed in this file of an earlier run")
    options = parser.parse_args()
    folder = Path(tempfile.mkdtemp())
    if options.map and options.map.exists():
        by_line = {k: {int(n): t for n, t in v.items()} for k, v in json.loads(options.map.read_text()).items()}
    else:
        by_line = tests_by_line(folder, options.tests.split(","))
        if options.map:
            options.map.write_text(json.dumps(by_line))
    some = list(faults(options.only.split(",")))
    chosen = random.Random(options.seed).sample(some, min(options.faults, len(some)))
    if options.again:
        known = options.again.read_text()
        chosen = [each for each in chosen if each.said((ROOT / each.path).read_text("utf-8")) in known]
    copies: Queue[Path] = Queue()
    for number in range(options.workers):
        copy = folder / f"copy{number}"
        for part in ("src", "tests", "benchmarks", "docs"):
            shutil.copytree(ROOT / part, copy / part, ignore=shutil.ignore_patterns("__pycache__"))
        shutil.copy(ROOT / "pyproject.toml", copy)
        copies.put(copy)

    until = time.monotonic() + _MOST_S

    def judge(fault: Fault) -> tuple[Fault, bool | None]:
        if time.monotonic() > until:
            return fault, None
        tests = tests_for(by_line.get(fault.path, {}), fault.line)
        copy = copies.get()
        try:
            # What is remembered within a process is passed over by one test and hangs on it in others.
            package = f"tests/{fault.path.split('/')[2]}"
            found = noticed(fault, tests, copy, True) or noticed(fault, [package], copy, False)
        finally:
            copies.put(copy)
        said = fault.said((ROOT / fault.path).read_text("utf-8"))
        print(("noticed  " if found else "SURVIVED ") + said, flush=True)
        return fault, found

    with ThreadPoolExecutor(options.workers) as pool:
        results = list(pool.map(judge, chosen))
    survived = [fault for fault, found in results if found is False]
    planted = sum(found is not None for _, found in results)
    print(f"{len(survived)} of {planted} faults survived, of {len(some)} that could be planted")
    shutil.rmtree(folder)


if __name__ == "__main__":
    main()
