"""Readings of inks from a file: CSV, or CGATS.17 text as colour instruments write it."""

import re
from dataclasses import dataclass
from pathlib import Path

import numpy as np

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.colour import reflectance_to_lab, smooth_reflectance
from nomos.colour.fitting import Reading
from nomos.colour.recovery import ColourError
from nomos.colour.spectra import BANDS, WAVELENGTHS_NM, Array
from nomos.formats.files import read_table, read_text

_HELP = tr("Columns are sample, over, thickness and either L, a, b or the bands 380 to 730.")
_BAND = re.compile(r"(?:SPECTRAL_|SPECTRAL_NM_?|NM_?|R_?)?(\d{3})(?:NM)?", re.IGNORECASE)
_NAMES = {
    "SAMPLE_NAME": "sample", "SAMPLE_ID": "sample", "SAMPLEID": "sample",
    "NAME": "sample", "SAMPLE": "sample", "PATCH": "sample",
    "OVER": "over", "BACKING": "over", "SUBSTRATE": "over", "THICKNESS": "thickness",
    "LAB_L": "L", "LAB_A": "a", "LAB_B": "b", "L": "L", "A": "a", "B": "b",
}  # fmt: skip


@dataclass(frozen=True, eq=False)
class InkReadings:
    """The readings of one ink, by its name."""

    name: str
    readings: tuple[Reading, ...]


def read_readings(path: Path) -> tuple[InkReadings, ...]:
    """The inks of a file of readings.

    A row without `over` is a background, a paper or a black card; every other
    row is an ink over the background that its `over` names, `thickness` in
    solids (default 1). Colours are reflectances, 0 to 1 or per cent, in bands
    from 380 to 730 nm, or L, a, b.

    Raises
    ------
    BadInput : the file cannot be read, or a row of it makes no sense; names the row.
    """
    text = read_text(path)
    rows = (
        _cgats(text, path.name)
        if "BEGIN_DATA" in text
        else [_named(row) for _, row in read_table(text, path.name).rows]
    )
    backgrounds: dict[str, Array] = {}
    inks: dict[str, list[Reading]] = {}
    waiting = []
    for place, row in enumerate(rows, start=1):
        where = tr("{name}, row {place}", name=path.name, place=place)
        measured, name = _measured(row, where), row.get("sample", "").strip()
        if not name:
            raise BadInput(tr("{where}: the sample has no name. {help}", where=where, help=_HELP))
        if row.get("over", "").strip():
            waiting.append((where, name, row, measured))
        else:
            backgrounds[name.lower()] = measured
    for where, name, row, measured in waiting:
        over = row["over"].strip().lower()
        if over not in backgrounds:
            raise BadInput(
                tr(
                    "{where}: nothing is called '{row}' to lie on; add a row for it, without over.",
                    where=where,
                    row=row["over"],
                )
            )
        inks.setdefault(name, []).append(Reading(backgrounds[over], measured, _thickness(row, where)))
    if not inks:
        raise BadInput(tr("{name} holds no ink over a background. {help}", name=path.name, help=_HELP))
    return tuple(InkReadings(name, tuple(some)) for name, some in inks.items())


def read_samples(path: Path) -> tuple[tuple[str, str, Array], ...]:
    """The rows of a table of colours: where it stands, its sample, and CIELAB (3,) or reflectance (36,).

    Raises
    ------
    BadInput : the file cannot be read, or a row of it makes no sense; names the row.
    """
    text = read_text(path)
    found = []
    for place, row in enumerate(
        _cgats(text, path.name)
        if "BEGIN_DATA" in text
        else [_named(row) for _, row in read_table(text, path.name).rows],
        start=1,
    ):
        where = tr("{name}, row {place}", name=path.name, place=place)
        name = row.get("sample", "").strip()
        if not name:
            raise BadInput(tr("{where}: the sample has no name. {help}", where=where, help=_HELP))
        measured = _measured(row, where)
        by_bands = all(row.get(f"{int(nm)}") is not None for nm in WAVELENGTHS_NM)
        found.append((where, name, measured if by_bands else reflectance_to_lab(measured)))
    if not found:
        raise BadInput(tr("{name} holds no colour. {help}", name=path.name, help=_HELP))
    return tuple(found)


def _rows(text: str, name: str) -> list[dict[str, str]]:
    """The rows of a table by our own names, whichever way it is written."""
    if "BEGIN_DATA" in text:
        return _cgats(text, name)
    return [_named(row) for _, row in read_table(text, name).rows]


def _cgats(text: str, name: str) -> list[dict[str, str]]:
    """CGATS.17: fields stand in BEGIN_DATA_FORMAT to END_DATA_FORMAT, rows in BEGIN_DATA to END_DATA."""
    fields = re.search(r"BEGIN_DATA_FORMAT\s+(.*?)\s+END_DATA_FORMAT", text, re.DOTALL)
    data = re.search(r"BEGIN_DATA\s+(.*?)\s+END_DATA\b", text, re.DOTALL)
    if fields is None or data is None:
        raise BadInput(tr("{name} is cut short: it has no data format or no data; export it again.", name=name))
    names = fields[1].split()
    rows = []
    for line in data[1].splitlines():
        values = [quoted or plain for quoted, plain in re.findall(r'"([^"]*)"|(\S+)', line)]
        if len(values) == len(names):
            rows.append(_named(dict(zip(names, values, strict=True))))
    return rows


def _named(row: dict[str, str]) -> dict[str, str]:
    """A row by our own names, bands by their wavelength."""
    found: dict[str, str] = {}
    for key, value in row.items():
        plain = (key or "").strip()
        known = _NAMES.get(plain.upper())
        band = _BAND.fullmatch(plain)
        if known is not None:
            found.setdefault(known, value or "")
        elif band is not None:
            found[band[1]] = value or ""
    return found


def _measured(row: dict[str, str], where: str) -> Array:
    bands = [row.get(f"{int(nm)}") for nm in WAVELENGTHS_NM]
    try:
        if all(value is not None for value in bands):
            found = np.array([float(value or "nan") for value in bands])
            found = found / 100 if found.max() > 2 else found
            if not ((found > 0) & (found < 1.2)).all():
                raise BadInput(tr("{where}: a reflectance must lie between 0 and 1.", where=where))
            return found.clip(1e-3, 0.999)
        lab = np.array([float(row[key].replace("−", "-")) for key in ("L", "a", "b")])
    except (KeyError, ValueError):
        raise BadInput(
            tr("{where}: there are neither {bands} bands nor L, a and b. {help}", where=where, bands=BANDS, help=_HELP)
        ) from None
    try:
        return smooth_reflectance(lab)
    except ColourError as error:
        raise BadInput(f"{where}: {error}") from None


def _thickness(row: dict[str, str], where: str) -> float:
    text = row.get("thickness", "").strip()
    try:
        thickness = float(text) if text else 1.0
    except ValueError:
        thickness = 0.0
    if not 0.02 <= thickness <= 20:
        raise BadInput(tr("{where}: the thickness must be a figure, 1 for the solid.", where=where))
    return thickness
