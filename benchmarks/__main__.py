"""Run all measurements and write docs/benchmarks.md."""

import os
import platform
from pathlib import Path

from benchmarks import (
    flashing,
    flattening,
    growing,
    heartbeat,
    mixing,
    ordering,
    recolouring,
    sketches,
    solving,
    starting,
)
from benchmarks.timing import Section

OUT = Path(__file__).parents[1] / "docs" / "benchmarks.md"
_HEAD = """# Measurements

Written by `make bench`. Each figure stands beside an alternative measured in the same run, in turns, on the
same machine; medians of wall time. Figures vary two- or threefold with the machine and its load, ratios less.

"""


def table(section: Section) -> str:
    """One section as Markdown."""
    rows = "\n".join(f"| {line.what} | {line.figure} | {line.note} |" for line in section.lines)
    return f"## {section.title}\n\n| | time | |\n|---|---:|---|\n{rows}\n\nAim {section.verdict}.\n"


def main() -> None:
    """Measure, print, write."""
    machine = (
        f"Machine of this run: {os.cpu_count()} cores, {platform.machine()}, "
        f"Python {platform.python_version()}.\n\n"
    )
    parts = []
    for module in (
        recolouring,
        flattening,
        sketches,
        solving,
        mixing,
        ordering,
        flashing,
        starting,
        heartbeat,
        growing,
    ):
        parts.append(table(module.measure()))
        print(parts[-1], flush=True)
    OUT.write_text(_HEAD + machine + "\n".join(parts), "utf-8")
    print(f"written to {OUT}")


if __name__ == "__main__":
    main()
