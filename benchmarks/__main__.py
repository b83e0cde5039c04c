"""Run all measurements and write docs/benchmarks.md."""

import argparse
import os
import platform
import re
from pathlib import Path

from benchmarks import (
    flashing,
    flattening,
    growing,
    heartbeat,
    mixing,
    ordering,
    photographs,
    proofs,
    recolouring,
    silence,
    sketches,
    solving,
    starting,
)
from benchmarks.timing import Section

_SECTION = re.compile(r"^(?=## (.*)\n)((?:.|\n)*?)(?=\n## |\Z)", re.MULTILINE)
OUT = Path(__file__).parents[1] / "docs" / "benchmarks.md"
_HEAD = """# Measurements

Written by `make bench`. Each figure stands beside an alternative measured in the same run, in turns, on the
same machine; medians of wall time. Figures vary two- or threefold with the machine and its load, ratios less.

"""


def table(section: Section) -> str:
    """One section as Markdown."""
    rows = "\n".join(f"| {line.what} | {line.figure} | {line.note} |" for line in section.lines)
    return f"## {section.title}\n\n| | time | |\n|---|---:|---|\n{rows}\n\nAim {section.verdict}.\n"


MODULES = (
    recolouring, flattening, sketches, photographs, proofs, solving, mixing, ordering, flashing, starting,
    heartbeat, silence, growing,
)  # fmt: skip
_MACHINE = "Machine: {cores} cores, {kind}, Python {version}.\n"


def main() -> None:
    """Measure all, or the parts that are named, print, and write; what is not measured stays as it was."""
    parser = argparse.ArgumentParser(description=main.__doc__)
    names = {module.__name__.rpartition(".")[2]: module for module in MODULES}
    parser.add_argument("parts", nargs="*", metavar="PART", help=", ".join(names))
    wanted = parser.parse_args().parts or list(names)
    kept = dict(_SECTION.findall(OUT.read_text("utf-8"))) if OUT.exists() else {}
    machine = _MACHINE.format(cores=os.cpu_count(), kind=platform.machine(), version=platform.python_version())
    for name in wanted:
        section = names[name].measure()
        kept[section.title] = table(section)
        print(kept[section.title], flush=True)
    OUT.write_text("\n".join([_HEAD + machine, *kept.values()]), "utf-8")
    print(f"written to {OUT}")


if __name__ == "__main__":
    main()
