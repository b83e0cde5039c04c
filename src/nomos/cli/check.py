"""What to know before cutting."""

import argparse
from typing import Any

from nomos.cli.common import answers, command, print_json
from nomos.errors import BadInput

DONE = 0


def add_commands(commands: Any) -> None:
    """Add the command to the program's."""
    command(commands, "check", "what to know before cutting", _check)


def _check(options: argparse.Namespace) -> int:
    from nomos.formats import findings_as_json
    from nomos.project import load
    from nomos.work.review import review

    project, assets = load(options.project)
    if project.flat is None:
        raise BadInput(f"{options.project.name} has no flat design yet; open it and flatten a picture first.")
    findings = findings_as_json(review(project, assets, answers()))
    if options.json:
        print_json({"findings": findings})
        return DONE
    for finding in findings:
        print(f"{finding['weight']}: {finding['text']} {finding['remedy']}")
    if not findings:
        print("nothing found")
    return DONE
