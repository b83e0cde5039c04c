"""What the user sets, each figure and choice declared once, beside the value it stands for.

A declaration is the `Annotated` part of a struct's field. From it come the control in the window with its
words, unit and step, the bounds of the schema, of an option on the command line and of the check.
"""

import math
from collections.abc import Callable, Iterator, Mapping
from dataclasses import dataclass, is_dataclass
from dataclasses import replace as dataclass_replace
from functools import cache
from types import MappingProxyType, UnionType
from typing import Annotated, Any, Literal, Union, get_args, get_origin, get_type_hints

from msgspec import Meta, Struct
from msgspec.structs import replace as struct_replace

from nomos.base.errors import BadInput
from nomos.base.language import decimals, tr
from nomos.base.units import length_text, parse_length, range_text

Level = Literal["essential", "usual", "further"]
Choices = tuple[tuple[Any, str], ...]
ChosenFrom = Choices | Callable[[], Choices]
_NAME = "field"


@dataclass(frozen=True)
class Field:
    """One figure or choice that is set.

    label, tip : what it is called, and what it is for, in a sentence.
    unit : of the figure as it is shown; mm are read in the unit that lengths are preferred in.
    least, most : of the value; None for a choice, or for yes and no.
    step, digits : of the control, as shown.
    scale : what is shown for one of the value: 100 shows a share as per cent.
    choices : value and words, of one that is chosen; made when asked, where a table may grow.
    level : whether it is asked of everyone, of most, or found by who looks for it.
    undo : what undoing it is called.
    unset : what stands there for None.
    sides : labels of a pair, width and height as a rule.
    whole : it is counted. zero_unsets : 0 stands for None.
    bare : a choice that its words say by themselves.
    """

    label: str
    tip: str
    unit: str = ""
    least: float | None = None
    most: float | None = None
    step: float = 1.0
    digits: int = 0
    scale: float = 1.0
    choices: ChosenFrom = ()
    level: Level = "further"
    undo: str = ""
    unset: str = ""
    sides: tuple[str, str] | None = None
    whole: bool = False
    zero_unsets: bool = False
    bare: bool = False

    @property
    def numeric(self) -> bool:
        """Whether it is a figure."""
        return self.least is not None

    @property
    def options(self) -> Choices:
        """Value and words of what can be chosen."""
        return self.choices() if callable(self.choices) else self.choices

    @property
    def text(self) -> str:
        """What undoing it is called."""
        return self.undo or self.label

    def bounds_text(self) -> str:
        """How far it may go, in words: `0.5 to 20 mm`."""
        least, most = (0.0 if side is None else side for side in (self.least, self.most))
        if self.unit == "mm":
            return range_text(least, most)
        shown = [_plain(self.scale * side) for side in (least, most)]
        return tr("{least} to {most} {unit}", least=shown[0], most=shown[1], unit=self.unit).strip()

    def fits(self, value: Any) -> bool:
        """Whether a value lies within."""
        if value is None and self.unset:
            return True
        if self.choices:
            return any(value == known for known, _ in self.options)
        if self.least is None or self.most is None:
            return isinstance(value, bool)
        return value is not None and math.isfinite(value) and self.least <= value <= self.most


def _meta(field: Field) -> Meta:
    schema: dict[str, Any] | None = None
    if field.numeric and not field.sides:
        schema = {"minimum": field.least, "maximum": field.most}
    elif callable(field.choices) and all(isinstance(value, str) for value, _ in field.options):
        schema = {"enum": [value for value, _ in field.options]}
    return Meta(extra={_NAME: field}, extra_json_schema=schema)


def length(label: str, tip: str, least: float, most: float, **more: Any) -> Meta:
    """A length in mm; of a pair with `sides`."""
    return _meta(Field(label, tip, "mm", least, most, **{"digits": 1, **more}))


def share(label: str, tip: str, least: float = 0.0, most: float = 1.0, **more: Any) -> Meta:
    """A share, 0 to 1, shown as per cent."""
    return _meta(Field(label, tip, "%", least, most, scale=100.0, **more))


def figure(label: str, tip: str, unit: str, least: float, most: float, **more: Any) -> Meta:
    """A figure in any other unit."""
    return _meta(Field(label, tip, unit, least, most, **{"digits": 1, **more}))


def count(label: str, tip: str, least: int, most: int, **more: Any) -> Meta:
    """A number of things."""
    return _meta(Field(label, tip, "", least, most, whole=True, **more))


def choice(label: str, tip: str, choices: ChosenFrom, **more: Any) -> Meta:
    """One of several, each with its words."""
    return _meta(Field(label, tip, choices=choices, **more))


def yes(label: str, tip: str, **more: Any) -> Meta:
    """Yes or no."""
    return _meta(Field(label, tip, **more))


@cache
def _own(kind: type) -> Mapping[str, tuple[Field | None, tuple[type, ...]]]:
    """Of each of a type's own fields that is set or holds what is set: its declaration, what it holds."""
    own = {}
    for name, hint in get_type_hints(kind, include_extras=True).items():
        field = next((each for each in _declared(hint)), None)
        held = tuple(each for each in _structs(hint) if each is not kind)
        if field is not None or held:
            own[name] = (field, held)
    return MappingProxyType(own)


def _declared(hint: Any) -> Iterator[Field]:
    if get_origin(hint) is Annotated:
        for extra in hint.__metadata__:
            if isinstance(extra, Meta) and extra.extra and _NAME in extra.extra:
                yield extra.extra[_NAME]
        yield from _declared(hint.__origin__)
    elif get_origin(hint) in (Union, UnionType):
        for part in get_args(hint):
            yield from _declared(part)


def _structs(hint: Any) -> Iterator[type]:
    if isinstance(hint, type) and (issubclass(hint, Struct) or is_dataclass(hint)):
        yield hint
    elif get_origin(hint) is not Literal:
        for part in get_args(hint):
            yield from _structs(part)


@cache
def fields_of(kind: type) -> Mapping[str, Field]:
    """All that is set in a type and in what it holds, by dotted path.

    The path of a thing of which there are several goes on from the field that holds them: `inks.tack`.
    """
    found: dict[str, Field] = {}
    for name, (field, held) in _own(kind).items():
        if field is not None:
            found[name] = field
        for inner in held:
            found |= {f"{name}.{path}": each for path, each in fields_of(inner).items()}
    return MappingProxyType(found)


def value_at(thing: Any, path: str) -> Any:
    """What stands at a dotted path; a figure after the last point is a side of a pair."""
    for name in path.split("."):
        if thing is None:
            return None
        thing = thing[int(name)] if name.isdigit() else getattr(thing, name)
    return thing


def with_value(thing: Any, path: str, value: Any) -> Any:
    """A struct or dataclass with another value at a dotted path. Raises BadInput where it cannot be."""
    name, _, rest = path.partition(".")
    if name.isdigit():
        place = int(name)
        return tuple(value if at == place else each for at, each in enumerate(thing))
    inner = with_value(getattr(thing, name), rest, value) if rest else value
    change = struct_replace if isinstance(thing, Struct) else dataclass_replace
    return change(thing, **{name: inner})


Refuse = Callable[[str, str], BadInput]


def check_fields(thing: Any, refuse: Refuse, *, skip: tuple[str, ...] = ()) -> None:
    """Check all that is declared against its bounds.

    Parameters
    ----------
    refuse : makes the error of the field's name and the sentence.
    skip : fields of `thing` that are not looked into.

    Raises
    ------
    BadInput : what `refuse` makes, for the first value that does not fit.
    """
    kind: type = type(thing)
    for name, (field, held) in _own(kind).items():
        if name in skip:
            continue
        value = getattr(thing, name)
        if field is not None:
            for side, each in enumerate(value if field.sides and value is not None else (value,)):
                if not field.fits(each):
                    raise refuse(name, _refusal(thing, field, each, side))
        elif held:
            for inner in value if isinstance(value, tuple) else (value,):
                if isinstance(inner, Struct) or is_dataclass(inner):
                    check_fields(inner, refuse)


def _refusal(thing: Any, field: Field, value: Any, side: int) -> str:
    label = field.sides[side] if field.sides else field.label
    named = getattr(thing, "name", "")
    where = tr("{label} of {name}", label=label, name=named) if named else label
    if not field.numeric:
        words = ", ".join(str(known) for known, _ in field.options) or "true, false"
        return tr("“{where}” cannot be {value}: choose one of {words}.", where=where, value=value, words=words)
    shown = _plain(field.scale * value) if isinstance(value, int | float) else str(value)
    if field.unit == "mm" and isinstance(value, int | float):
        shown = length_text(value, None)
    return tr(
        "“{where}” cannot be {shown}: choose {range}.", where=where, shown=shown,
        range=field.bounds_text(),
    )  # fmt: skip


def _plain(value: float) -> str:
    """A figure with as many digits as it has, thousands of five digits and more apart."""
    return decimals(f"{value:,.12g}".replace(",", " ") if abs(value) >= 10_000 else f"{value:.12g}")


def read_field(field: Field, text: str) -> Any:
    """The value that a text says, as it is typed on a command line: a share as 0.4 or 40 %.

    Raises
    ------
    BadInput : it is none, or lies beyond the bounds.
    """
    said = text.strip()
    value: Any = None
    if field.unset and said in ("", "none"):
        return None
    if field.choices:
        value = next((known for known, _ in field.options if str(known).casefold() == said.casefold()), said)
    elif field.numeric and field.unit == "mm":
        value = parse_length(said)
    elif field.numeric:
        bare = said.removesuffix("%").removesuffix(field.unit).strip().replace(",", ".").replace("−", "-")
        try:
            value = float(bare) / (field.scale if said.endswith("%") else 1.0)
        except ValueError:
            raise BadInput(tr("'{said}' is not a figure.", said=text)) from None
        if field.whole and value == round(value):
            value = round(value)
    else:
        value = {"yes": True, "true": True, "no": False, "false": False}.get(said.casefold(), said)
    if not field.fits(value) or (field.whole and not isinstance(value, int)):
        raise BadInput(_refusal(None, field, value, 0))
    return value


def found_fields(kind: type, words: str) -> tuple[str, ...]:
    """Paths of what is set whose label or tip holds all of these words, labels first."""
    wanted = words.casefold().split()
    known = fields_of(kind).items()
    by_label = [path for path, each in known if all(word in each.label.casefold() for word in wanted)]
    by_tip = [path for path, each in known if all(word in f"{each.label} {each.tip}".casefold() for word in wanted)]
    return tuple(dict.fromkeys([*by_label, *by_tip])) if wanted else ()
