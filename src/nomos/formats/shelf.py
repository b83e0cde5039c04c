"""An ink shelf from and to a file: CSV with one line an ink, or JSON that can also hold spectra."""

import json
from collections.abc import Sequence
from pathlib import Path
from typing import Any, get_args

import msgspec
import numpy as np
from msgspec.structs import replace

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.colour import OPACITIES, Lab, Opacity, as_lab, reflectance_to_lab
from nomos.colour.layering import SURFACE_K1, USUAL_KIND
from nomos.colour.spectra import BANDS
from nomos.colour.trapping import LOOSEST, MIDDLE_TACK, TIGHTEST
from nomos.colour.vehicles import VEHICLES
from nomos.formats.files import read_table, read_text
from nomos.formats.outputs import write_output
from nomos.order import DRYING_H
from nomos.project.blocks.plans import ShelfInk
from nomos.project.edition.studio import read_studio
from nomos.project.model import Ink, Known, Optics
from nomos.project.model.limits import USUAL_VEHICLE
from nomos.separation.plans import WEAKEST

COLUMNS = ("name", "L", "a", "b", "opacity", "strengths", "notes")
_REQUIRED = ("name", "L", "a", "b")


def write_shelf(path: Path, inks: Sequence[Ink]) -> None:
    """Write inks, with all that is known of them, as a JSON shelf file. Raises BadInput."""
    rows = []
    for ink in inks:
        row = msgspec.to_builtins(ink)
        lightness, a, b = row.pop("lab")
        row.pop("id")
        row.update(row.pop("optics") or {})
        rows.append({"name": row.pop("name"), "L": lightness, "a": a, "b": b, **row})
    text = json.dumps({"inks": rows}, indent=1, ensure_ascii=False)
    write_output(path, text.encode("utf-8", errors="replace"))


def read_inks(path: Path) -> tuple[ShelfInk, ...]:
    """The inks of a shelf file.

    CSV: a header with `name,L,a,b` and optionally `opacity,strengths,pigment,
    vehicle,tack,drying_h,cost,tub_g,notes`; strengths like `1;0.5;0.25`. JSON: a
    list of objects with the same keys, or `{"inks": [...]}`; strengths as a
    list; `reflectance`, 36 values from 380 to 730 nm, in place of L, a, b;
    `absorption` and `scattering`, 36 values each, and `k1`, where they are
    known. Colours are of the solid on the paper in use. A studio file is a shelf
    of the inks that are kept in it.

    Raises
    ------
    BadInput : the file cannot be read, or a line of it makes no sense; names the line.
    """
    text = read_text(path)
    if path.suffix.lower() == ".json" and _is_studio(text):
        kept = read_studio(path).inks
        inks = [ShelfInk(replace(ink, id=ink.name), _strengths(None, path.name)) for ink in kept]
        return _checked(inks, path.name)
    rows = _json_rows(text, path.name) if path.suffix.lower() == ".json" else _csv_rows(text, path.name)
    return _checked([_ink(row, where) for where, row in rows], path.name)


def _checked(inks: Sequence[ShelfInk], name: str) -> tuple[ShelfInk, ...]:
    if not inks:
        raise BadInput(
            tr(
                "{name} holds no ink; write one a line below the header {columns}.",
                name=name,
                columns=",".join(COLUMNS),
            )
        )
    names = [each.ink.name for each in inks]
    twice = next((each for each in names if names.count(each) > 1), None)
    if twice is not None:
        raise BadInput(tr("{name} has two inks called {twice}; give each its own name.", name=name, twice=twice))
    return tuple(inks)


def _is_studio(text: str) -> bool:
    """Whether a file is a studio's: a shelf holds no workshop."""
    try:
        content = json.loads(text)
    except (RecursionError, ValueError):
        return False
    return isinstance(content, dict) and "workshop" in content


def _csv_rows(text: str, name: str) -> list[tuple[str, dict[str, Any]]]:
    table = read_table(text, name)
    missing = [column for column in _REQUIRED if column not in table.columns]
    if missing:
        raise BadInput(
            tr(
                "{name} has no column {missing}; its first line must be {columns}.",
                name=name, missing=missing[0], columns=",".join(COLUMNS),
            )
        )  # fmt: skip
    return [(where, dict(row)) for where, row in table.rows]


def _json_rows(text: str, name: str) -> list[tuple[str, dict[str, Any]]]:
    try:
        content = json.loads(text)
    except json.JSONDecodeError as error:
        raise BadInput(
            tr("{name} is not JSON: {msg} in line {lineno}.", name=name, msg=error.msg, lineno=error.lineno)
        ) from None
    except (RecursionError, ValueError):
        # Nested too deeply, or a figure of thousands of digits.
        raise BadInput(tr("{name} holds what is no list of inks; export it again.", name=name)) from None
    rows = content.get("inks") if isinstance(content, dict) else content
    if not isinstance(rows, list) or not all(isinstance(row, dict) for row in rows):
        raise BadInput(tr("{name} must be a list of inks, each with name, L, a, b.", name=name))
    return [(tr("{name}, ink {place}", name=name, place=place), row) for place, row in enumerate(rows, start=1)]


def _ink(row: dict[str, Any], where: str) -> ShelfInk:
    name = str(row.get("name") or "").strip()
    if not name:
        raise BadInput(tr("{where}: the ink has no name.", where=where))
    opacity = str(row.get("opacity") or "transparent").strip().lower()
    if opacity not in OPACITIES:
        raise BadInput(
            tr("{where}: opacity must be transparent, semi or opaque, not '{opacity}'.", where=where, opacity=opacity)
        )
    word: Opacity = OPACITIES[OPACITIES.index(opacity)]
    vehicle = str(row.get("vehicle") or USUAL_VEHICLE).strip().lower()
    if vehicle not in VEHICLES:
        raise BadInput(tr("{where}: the vehicle must be one of {vehicles}.", where=where, vehicles=", ".join(VEHICLES)))
    reflectance = _reflectance(row, where)
    ink = Ink(
        name, name, _lab(row, reflectance, where), word, _optics(row, where), reflectance,
        pigment=str(row.get("pigment") or "").strip(),
        vehicle=vehicle,
        tack=_figure(row, "tack", MIDDLE_TACK, (LOOSEST, TIGHTEST), where),
        drying_h=_figure(row, "drying_h", DRYING_H, (0, 10_000), where),
        cost=_figure(row, "cost", 0.0, (0, 1e6), where),
        tub_g=_figure(row, "tub_g", 0.0, (0, 1e6), where),
        notes=str(row.get("notes") or "").strip(),
    )  # fmt: skip
    return ShelfInk(ink, _strengths(row.get("strengths"), where))


def _figure(row: dict[str, Any], key: str, default: float, bounds: tuple[float, float], where: str) -> float:
    value = row.get(key)
    if value is None or not str(value).strip():
        return default
    try:
        figure = float(str(value))
    except ValueError:
        figure = float("nan")
    if not bounds[0] <= figure <= bounds[1]:
        raise BadInput(
            tr(
                "{where}: {key} must be a figure from {bounds:g} to {bounds_2:g}.",
                where=where, key=key, bounds=bounds[0], bounds_2=bounds[1],
            )
        )  # fmt: skip
    return figure


def _optics(row: dict[str, Any], where: str) -> Optics | None:
    if row.get("absorption") is None and row.get("scattering") is None:
        return None
    try:
        k, s = (tuple(float(v) for v in row[key]) for key in ("absorption", "scattering"))
        k1 = float(row.get("k1", SURFACE_K1[USUAL_KIND]))
    except (KeyError, TypeError, ValueError, OverflowError):
        k, s, k1 = (), (), 0.0
    if not (len(k) == len(s) == BANDS and min(*k, *s, k1) >= 0 and max(*k, *s) < 1e5 and k1 < 1):
        raise BadInput(
            tr(
                "{where}: absorption and scattering must be {bands} values of at least 0 each.",
                where=where,
                bands=BANDS,
            )
        )
    known = row.get("known", "readings")
    if known not in get_args(Known):
        raise BadInput(
            tr("{where}: known must be one of {get_args}.", where=where, get_args=", ".join(get_args(Known)))
        )
    return Optics(k, s, k1, sealed=row.get("sealed") is True, known=known)


def _reflectance(row: dict[str, Any], where: str) -> tuple[float, ...] | None:
    if row.get("reflectance") is None:
        return None
    try:
        reflectance = np.array(row["reflectance"], np.float64)
    except (TypeError, ValueError, OverflowError):
        reflectance = np.zeros(0)
    if reflectance.shape != (BANDS,) or not ((reflectance >= 0) & (reflectance <= 1)).all():
        raise BadInput(
            tr(
                "{where}: reflectance must be {bands} values from 0 to 1, 380 to 730 nm by 10.",
                where=where,
                bands=BANDS,
            )
        )
    return tuple(map(float, reflectance))


def _lab(row: dict[str, Any], reflectance: tuple[float, ...] | None, where: str) -> Lab:
    if reflectance is not None:
        lab = reflectance_to_lab(np.array(reflectance))
        return as_lab(lab)
    try:
        lightness, a, b = (float(str(row[key]).replace("−", "-")) for key in ("L", "a", "b"))
    except (KeyError, ValueError):
        raise BadInput(tr("{where}: L, a and b must be figures.", where=where)) from None
    if not (0 <= lightness <= 100 and abs(a) <= 200 and abs(b) <= 200):
        raise BadInput(tr("{where}: L must be 0 to 100, a and b −200 to 200.", where=where))
    return lightness, a, b


def _strengths(value: Any, where: str) -> tuple[float, ...]:
    if value is None or (isinstance(value, str) and not value.strip()):
        return (1.0,)
    parts = value if isinstance(value, list) else str(value).split(";")
    try:
        strengths = tuple(float(part) for part in parts if str(part).strip())
    except (TypeError, ValueError, OverflowError):
        strengths = ()
    if not strengths or not all(WEAKEST <= strength <= 1 for strength in strengths):
        raise BadInput(
            tr(
                "{where}: strengths must be figures from {weakest:g} to 1, like 1;0.5;0.25.",
                where=where,
                weakest=WEAKEST,
            )
        )
    return strengths
