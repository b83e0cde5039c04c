"""The language that words are shown in: English, as they stand in the code, or another by a lookup.

It is chosen once, before anything else is imported, because tables of words are made when their module is.
The command line never chooses one: its words are an interface.
"""

from collections.abc import Callable, Iterator
from contextlib import contextmanager
from contextvars import ContextVar
from datetime import date
from numbers import Real
from string import Formatter
from typing import Any

Lookup = Callable[[str], str]

_name = "en"
_lookup: Lookup | None = None
_decimal_mark = "."
# What is said to somebody else, as to a telephone, is looked up in their language.
_theirs: ContextVar[Lookup | None] = ContextVar("theirs")


def speak(name: str, lookup: Lookup, decimal_mark: str) -> None:
    """Have all words of this process looked up from now on.

    Parameters
    ----------
    name : the language, by ISO 639-1.
    lookup : the other language's words for an English message, the message itself where it has none.
    decimal_mark : what stands before the decimals of a figure.
    """
    global _name, _lookup, _decimal_mark
    _name, _lookup, _decimal_mark = name, lookup, decimal_mark


@contextmanager
def speaking(lookup: Lookup | None) -> Iterator[None]:
    """Have words of this thread looked up otherwise for a while; None is English."""
    token = _theirs.set(lookup)
    try:
        yield
    finally:
        _theirs.reset(token)


def spoken() -> str:
    """The language of this process, by ISO 639-1."""
    return _name


def tr(message: str, /, **values: Any) -> str:
    """A message in the language spoken, with its values put in.

    Parameters
    ----------
    message : the English words; with values, a format string (PEP 3101) that names them.
    values : by the name the message gives them.
    """
    lookup = _theirs.get(_lookup)
    if lookup is None:
        return message.format(**values) if values else message
    said = lookup(message)
    return _SPOKEN.format(said, **values) if values else said


def _marks() -> dict[int, str]:
    """A mark for what moves the writing about or speaks to a terminal, and is no letter."""
    marks = {code: chr(0x2400 + code) for code in range(0x20) if code not in (0x09, 0x0A)}
    marks[0x7F] = chr(0x2421)
    turning = (0x061C, 0x200E, 0x200F, *range(0x202A, 0x202F), *range(0x2066, 0x206A))
    return marks | {code: f"⟨U+{code:04X}⟩" for code in (*range(0x80, 0xA0), *turning, 0x2028, 0x2029)}


MARKS = _marks()


def visible(text: str) -> str:
    """A text with controls and turns of direction shown as marks: a name cannot hide what it is."""
    return text.translate(MARKS)


def within(name: str) -> str:
    """A name inside a sentence: without its capital in English, as it is where nouns keep theirs."""
    return name.lower() if _lookup is None else name


def opened(words: str) -> str:
    """Words that begin a line: with a capital, and the rest left as it is."""
    return words[:1].upper() + words[1:]


def decimals(figure: str) -> str:
    """A figure written with a point, with the decimal mark of the language."""
    return figure if _decimal_mark == "." else figure.replace(".", _decimal_mark)


class _Spoken(Formatter):
    """Figures get the decimal mark of the language, dates its days and months."""

    def format_field(self, value: Any, format_spec: str) -> str:
        if isinstance(value, date):
            # strftime speaks the language of the process, which other libraries are not to be changed for.
            format_spec = format_spec.replace("%a", _days()[value.weekday()])
            format_spec = format_spec.replace("%b", _months()[value.month - 1])
        said = str(super().format_field(value, format_spec))
        return decimals(said) if isinstance(value, Real) else said


_SPOKEN = _Spoken()


def _days() -> tuple[str, ...]:
    return (tr("Mon"), tr("Tue"), tr("Wed"), tr("Thu"), tr("Fri"), tr("Sat"), tr("Sun"))


def _months() -> tuple[str, ...]:
    return (
        tr("Jan"), tr("Feb"), tr("Mar"), tr("Apr"), tr("May"), tr("Jun"),
        tr("Jul"), tr("Aug"), tr("Sep"), tr("Oct"), tr("Nov"), tr("Dec"),
    )  # fmt: skip
