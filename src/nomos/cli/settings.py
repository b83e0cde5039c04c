"""The command about settings: all that can be set in a project, found by words, changed by name."""

import argparse
from typing import TYPE_CHECKING, Any

from nomos.base.errors import BadInput
from nomos.cli.common import command, output, save_out, say

if TYPE_CHECKING:
    from nomos.project import Project


def add_commands(commands: Any) -> None:
    """Add the command to the program's."""
    made = command(commands, "settings", "what can be set, as it stands; and set anew", _settings)
    made.add_argument("--find", metavar="WORDS", default="", help="only what these words are about")
    made.add_argument("--set", action="append", default=[], metavar="NAME=VALUE", help="as trap_mm=0.4, once or more")
    output(made, "--out", "project", metavar="PROJECT", help="the project so changed")


def _settings(options: argparse.Namespace) -> int:
    from nomos.base.fields import found_fields, value_at
    from nomos.project import load
    from nomos.project.model.settings import PROJECT_FIELDS

    project, assets = load(options.project)
    if options.set and not options.out:
        raise BadInput("Settings are changed in a project of its own: give --out PROJECT.")
    for said in options.set:
        project = _with_setting(project, said)
    if options.out:
        save_out(options, project, assets)
    wanted = found_fields(type(project), options.find) if options.find else tuple(PROJECT_FIELDS)
    rows = [
        {
            "name": path, "value": value_at(project, path), "says": field.label, "unit": field.unit,
            "bounds": field.bounds_text() if field.numeric else "",
            "choices": [value for value, _ in field.options], "level": field.level,
        }
        for path, field in PROJECT_FIELDS.items() if path in wanted
    ]  # fmt: skip
    lines = [f"{row['name']} = {row['value']}   {row['says']} {_how_far(row)}".rstrip() for row in rows]
    return say(options, {"settings": rows}, lines)


def _how_far(row: dict[str, Any]) -> str:
    return f"({row['bounds'] or ', '.join(map(str, row['choices'])) or 'yes, no'})"


def _with_setting(project: "Project", said: str) -> "Project":
    """The project with NAME=VALUE. Raises BadInput."""
    from nomos.base.fields import read_field, with_value
    from nomos.project.model.settings import PROJECT_FIELDS

    name, equals, text = said.partition("=")
    field = PROJECT_FIELDS.get(name.strip())
    if not equals or field is None:
        raise BadInput(f"'{said}' sets nothing: write NAME=VALUE with a name from `nomos settings PROJECT`.")
    if field.sides:
        value: Any = tuple(read_field(field, side) for side in text.split("x"))
        if len(value) != len(field.sides):
            raise BadInput(f"{name} is a pair: write {name}=AxB.")
    else:
        value = read_field(field, text)
    changed: Project = with_value(project, name.strip(), value)
    return changed
