"""Reading values out of a file's JSON by type: bounded in size and depth, of this form or an older one.

A form is the number that a file says of itself. An older one comes to today's by explicit steps, one
newer than this program is told apart from one that is damaged.
"""

import hashlib
from collections.abc import Callable, Mapping
from typing import TypeVar

import msgspec
from msgspec import Struct
from msgspec.structs import replace

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.project.model.limits import VERSION
from nomos.project.model.project import Project

S = TypeVar("S", bound=Struct)
# From a value of an older form, and the text it was read from, to one of the next.
Step = Callable[[S, bytes], S]

# A print of hundreds of pulls with every zone drawn by hand takes a few megabytes.
_SLAB_G_UNTIL_8, _LINE_MM_UNTIL_8, _TOOL_MM_UNTIL_8 = 12.0, 0.5, 0.7
_MOST_BYTES = 64_000_000


class _Form(Struct):
    version: int = 1


def check_size(many_bytes: int, name: str, what: str) -> None:
    """Raises BadInput for JSON of more bytes than anything needs that is meant."""
    if many_bytes > _MOST_BYTES:
        raise BadInput(
            tr(
                "{name} holds a {what} of more than {most} MB and is not opened.",
                name=name, what=what, most=_MOST_BYTES // 1_000_000,
            )
        )  # fmt: skip


def decoded(
    text: bytes, kind: type[S], newest: int, name: str, what: str, steps: Mapping[int, "Step[S]"] | None = None
) -> S:
    """A value out of a file's JSON.

    Parameters
    ----------
    text : what the file holds. kind : the Struct it is to be.
    newest : the form that is known. name, what : of the file, for messages.
    steps : by form, how it becomes the next one; a form without a step is as the next.

    Raises
    ------
    BadInput : no JSON, too large, of a newer form or none, or not what the Struct takes; names the place.

    Notes
    -----
    Nothing is built of what the Struct does not take: a file of millions of empty lists is refused at the
    first of them.
    """
    check_size(len(text), name, what)
    try:
        form = msgspec.json.decode(text, type=_Form).version
        if form > newest:
            raise BadInput(
                tr(
                    "{name} was made by a newer Nomos (format {version}); open it with that one.",
                    name=name,
                    version=form,
                )
            )
        if form < 1:
            raise BadInput(
                tr("{name} says that it is of format {version}, and there is none.", name=name, version=form)
            )
        value = msgspec.json.decode(text, type=kind)
        for older in range(form, newest):
            step = (steps or {}).get(older)
            value = step(value, text) if step is not None else value
        return value
    except (msgspec.DecodeError, UnicodeDecodeError, RecursionError, MemoryError) as error:
        # also ValidationError, which names the place
        reason = error.__cause__ if isinstance(error.__cause__, BadInput) else error
        raise BadInput(
            tr("{name} holds a {what} that does not make sense: {reason}", name=name, what=what, reason=reason)
        ) from None


def project_in(text: bytes, name: str) -> Project:
    """The project in a project.json of any form so far. Raises BadInput."""
    return decoded(text, Project, VERSION, name, "project", {1: _named_and_numbered, 8: _by_tool_and_material})


def _named_and_numbered(project: Project, text: bytes) -> Project:
    """The six forms before the seventh, which added fields one after the other and no number.

    The print gets an id that is the same at every reading, until saving writes it down.
    """
    known = hashlib.sha256(text).hexdigest()[:12]
    return replace(project, version=7, id=project.id or known)


def _by_tool_and_material(project: Project, _text: bytes) -> Project:
    """The eighth and before, where 12 g stood for what any tool leaves and one fineness for any material.

    What somebody had set otherwise is kept.
    """
    shop = project.workshop
    by_tool = replace(shop, slab_g=None) if shop.slab_g == _SLAB_G_UNTIL_8 else shop
    line = None if project.line_mm == _LINE_MM_UNTIL_8 else project.line_mm
    channel = None if project.tool_mm == _TOOL_MM_UNTIL_8 else project.tool_mm
    return replace(project, version=VERSION, workshop=by_tool, line_mm=line, tool_mm=channel)
