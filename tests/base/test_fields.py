"""What is set, declared once: bounds, words and choices hold for check, schema, options and window."""

import math
from dataclasses import dataclass
from typing import Annotated

import msgspec
import pytest
from hypothesis import given
from hypothesis import strategies as st

from nomos.base.errors import BadInput
from nomos.base.fields import (
    check_fields,
    count,
    fields_of,
    found_fields,
    length,
    read_field,
    share,
    value_at,
    with_value,
    yes,
)
from nomos.project import Project, ProjectError
from nomos.project.model import Craft, Impression
from nomos.project.model.settings import PROJECT_FIELDS


class Vat(msgspec.Struct, frozen=True):
    """A made-up thing with a field of each kind: adding one is a line here and nothing elsewhere."""

    name: str = "vat"
    deep_mm: Annotated[float, length("Depth", "How deep it is.", 1, 20, undo="Deep")] = 5.0
    full: Annotated[float, share("Filled", "How full it is.")] = 0.5
    sheets: Annotated[int, count("Sheets", "In it.", 1, 9, unset="any")] | None = None
    warm: Annotated[bool, yes("Warm", "Whether it is heated.")] = False
    sides_mm: Annotated[tuple[float, float], length("Sides", "Of it.", 10, 90, sides=("Width", "Height"))] = (
        20.0,
        30.0,
    )


_VAT = Vat()


@dataclass(frozen=True)
class Room:
    vat: Vat = _VAT
    vats: tuple[Vat, ...] = ()


def refused(thing: object) -> str:
    with pytest.raises(ProjectError) as caught:
        check_fields(thing, ProjectError)
    return str(caught.value)


def test_a_new_field_is_bounded_named_and_found_by_its_one_line() -> None:
    assert set(fields_of(Room)) == {
        f"{holder}.{name}" for holder in ("vat", "vats") for name in ("deep_mm", "full", "sheets", "warm", "sides_mm")
    }
    check_fields(Room(vats=(Vat(), Vat(sheets=3))), ProjectError)
    assert refused(Room(vats=(Vat(), Vat(deep_mm=21)))) == ("“Depth of vat” cannot be 21 mm: choose 1 to 20 mm.")
    assert refused(Vat(full=1.5)) == "“Filled of vat” cannot be 150: choose 0 to 100 %."
    assert refused(Vat(sides_mm=(20, 5))) == "“Height of vat” cannot be 5 mm: choose 10 to 90 mm."
    assert "1 to 9" in refused(Vat(sheets=0))
    assert "cannot be" in refused(Vat(deep_mm=math.nan))
    schema = msgspec.json.schema(Vat)["$defs"]["Vat"]["properties"]
    assert (schema["deep_mm"]["minimum"], schema["deep_mm"]["maximum"]) == (1, 20)
    assert found_fields(Vat, "heated") == ("warm",)
    assert found_fields(Vat, "DEEP") == ("deep_mm",)


@given(st.sampled_from(sorted(PROJECT_FIELDS)), st.integers(0, 100))
def test_every_setting_of_a_print_can_be_said_and_read_back(path: str, per_cent: int) -> None:
    """The value within its bounds goes through words and back; one beyond them is refused."""
    field, at = PROJECT_FIELDS[path], per_cent / 100
    if field.choices:
        value = field.options[int(at * (len(field.options) - 1))][0]
        assert read_field(field, str(value) if value is not None else "none") in (value, None)
        with pytest.raises(BadInput, match="choose one of"):
            read_field(field, "sealing wax")
    elif field.least is not None and field.most is not None:
        value = field.least + at * (field.most - field.least)
        value = round(value) if field.whole else value
        assert read_field(field, repr(value)) == pytest.approx(value)
        with pytest.raises(BadInput, match="cannot be"):
            read_field(field, repr(field.most * 2 + 1))
    else:
        assert read_field(field, "yes") is True


def test_a_value_is_set_at_its_path_and_all_else_stays() -> None:
    room = Room(vats=(Vat("one"), Vat("two")))
    after = with_value(room, "vat.sides_mm.1", 44.0)
    assert value_at(after, "vat.sides_mm") == (20.0, 44.0)
    assert (after.vats, after.vat.full) == (room.vats, 0.5)


def test_every_setting_has_words_of_its_own() -> None:
    """Label, tip and what undoing it is called; no two of a kind read alike."""
    for kind in (Project, Craft, Impression):
        labels = [side for each in fields_of(kind).values() for side in each.sides or (each.label,)]
        assert all(len(each.tip) > 8 and each.text for each in fields_of(kind).values()), kind
        assert all(labels)
    own = [each.label for path, each in PROJECT_FIELDS.items() if path.startswith("workshop.")]
    assert len(set(own)) == len(own)
