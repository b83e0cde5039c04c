"""What a project must hold to, each refusal in one sentence that names what is wrong."""

import math
from typing import TYPE_CHECKING

import numpy as np

from nomos.base.errors import BadInput
from nomos.base.fields import check_fields
from nomos.base.language import tr
from nomos.base.units import LARGEST_MM, length_text
from nomos.carving import check_tools
from nomos.colour import ColourError, smooth_reflectance
from nomos.design import Correction
from nomos.design.cut import checked_cut
from nomos.order.times import Times, day_of
from nomos.project.model.craft import ProjectError
from nomos.project.model.impression import Impression, Zone
from nomos.project.model.ink import Ink
from nomos.project.model.limits import LARGEST_SHIFT_MM, LARGEST_TURN_DEG
from nomos.project.model.paper import Paper
from nomos.registration import system_called

if TYPE_CHECKING:
    # The project asks for these checks as it is made.
    from nomos.project.model.project import Project, WantedColour

# More corners than a hand draws.
_MOST_POINTS = 20_000


def check_project(project: "Project") -> None:
    """Raises ProjectError, naming the field and what to do."""
    check_fields(project, ProjectError, skip=("kento",))
    _check_image(project)
    _check_times(project.times)
    _check_colours(project)
    _check_spectra(project)
    _check_references(project)
    _check_impressions(project)
    system_called(project.register.system)
    check_tools(project.craft.tools)


def _require(holds: bool, field: str, reason: str) -> None:
    if not holds:
        raise ProjectError(field, reason)


def _within(value: float, least: float, most: float) -> bool:
    return math.isfinite(value) and least <= value <= most


def _check_image(project: "Project") -> None:
    paper, image = project.paper, project.image
    inside = (
        -1e-6 <= image.left < image.right <= paper.width_mm + 1e-6
        and -1e-6 <= image.top < image.bottom <= paper.height_mm + 1e-6
    )
    _require(inside, "image", tr("The image runs off the sheet: choose a larger sheet or smaller margins."))


def _check_times(times: Times) -> None:
    hours = times.opens < times.closes
    _require(hours, "times", tr("A working day must end after it begins."))
    days = bool(times.days) and all(0 <= day <= 6 for day in times.days)
    _require(days, "times", tr("At least one day of the week must be a working day."))
    for day in (*times.lost, *([times.start] if times.start else [])):
        try:
            day_of(day)
        except ValueError:
            raise ProjectError("times", tr("{day} is not a date; write it as 2026-12-01.", day=day)) from None


def _check_colours(project: "Project") -> None:
    colours = project.flat.colours if project.flat else ()
    named: list[Paper | WantedColour | Ink] = [project.paper, *colours, *project.inks]
    for thing in named:
        lightness, a, b = thing.lab
        _require(
            _within(lightness, 0, 100) and _within(a, -200, 200) and _within(b, -200, 200),
            "lab",
            tr("{name} has a colour that cannot be: L* must be 0 to 100, a* and b* −200 to 200.", name=thing.name),
        )
    # What is wanted may be out of reach; what is printed with must exist.
    printed_with: list[Paper | Ink] = [project.paper, *project.inks]
    for real in printed_with:
        try:
            smooth_reflectance(np.array(real.lab))
        except ColourError:
            raise ProjectError(
                "lab",
                tr("No paper or ink can have the colour asked of {name}: take a less saturated one.", name=real.name),
            ) from None


def _check_spectra(project: "Project") -> None:
    spectra = [project.paper.reflectance or ()]
    for ink in project.inks:
        _require(
            ink.cost >= 0 and ink.tub_g >= 0,
            "inks",
            tr("Cost and tub of {name} cannot be below nothing.", name=ink.name),
        )
        if ink.optics is not None:
            spectra += [ink.optics.absorption, ink.optics.scattering]
    for values in spectra:
        _require(all(_within(value, 0, 1e5) for value in values), "inks", tr("A spectrum holds values that cannot be."))


def _check_references(project: "Project") -> None:
    for things, field in ((project.inks, "inks"), (project.blocks, "blocks"), (project.impressions, "impressions")):
        ids = [thing.id for thing in things]
        _require(len(set(ids)) == len(ids), field, tr("Two of the {field} have the same id.", field=field))
    count = len(project.flat.colours) if project.flat else 0
    if project.source is not None and project.source.cut is not None:
        try:
            checked_cut(project.source.cut, project.source.name)
        except BadInput as error:
            raise ProjectError("source", str(error)) from None
    _check_corrections(project.flat.corrections if project.flat else ())
    for number in (project.flat.line, project.flat.paper) if project.flat else ():
        _require(
            number is None or 0 <= number < count, "flat", tr("The line or the paper is a colour that is not there.")
        )
    blocks, inks = {block.id for block in project.blocks}, {ink.id for ink in project.inks}
    for block in project.blocks:
        known = all(0 <= number < count for number in block.colours)
        _require(known, "blocks", tr("Block {name} prints a colour that the design does not have.", name=block.name))
    for impression in project.impressions:
        _require(impression.block in blocks, "impressions", tr("An impression is of a block that is not there."))
        for zone in impression.zones:
            _require(zone.ink in inks, "impressions", tr("An impression uses an ink that is not there."))
            known = all(0 <= number < count for number in zone.colours)
            _require(known, "zones", tr("A zone covers a colour that the design does not have."))


def _check_corrections(corrections: tuple[Correction, ...]) -> None:
    for each in corrections:
        figures = [*(each.lab or ()), *(each.other or ()), *(side for place in each.places for side in place)]
        known = all(math.isfinite(figure) and abs(figure) < 1e3 for figure in figures)
        _require(
            known and _within(each.width_mm, 0, LARGEST_MM), "corrections", tr("A correction lies nowhere that can be.")
        )


def _check_impressions(project: "Project") -> None:
    for impression in project.impressions:
        _check_zones(impression)
        shift = max(abs(impression.offset.dx_mm), abs(impression.offset.dy_mm))
        _require(
            _within(shift, 0, LARGEST_SHIFT_MM) and _within(abs(impression.offset.rotation_deg), 0, LARGEST_TURN_DEG),
            "offset",
            tr(
                "A block can be tried up to {largest_shift_mm} and {largest_turn_deg:g}° out of register.",
                largest_shift_mm=length_text(LARGEST_SHIFT_MM, None),
                largest_turn_deg=LARGEST_TURN_DEG,
            ),
        )


def _check_zones(impression: Impression) -> None:
    first, *others = impression.zones or (None,)
    _require(first is not None and not first.colours, "zones", tr("The first zone covers what the others leave."))
    named = [number for zone in others for number in zone.colours]
    apart = len(set(named)) == len(named) and all(zone.colours or zone.areas for zone in others)
    _require(apart, "zones", tr("Every further zone needs colours or a place of its own."))
    _require(
        any(not zone.bare for zone in impression.zones), "zones", tr("Ink at least one zone, or leave the pull out.")
    )
    for zone in impression.zones:
        _check_areas(zone)
        if zone.grade is not None:
            places = (*zone.grade.start, *zone.grade.end)
            known = all(_within(value, -LARGEST_MM, LARGEST_MM) for value in places)
            apart = zone.grade.start != zone.grade.end
            _require(known and apart, "grade", tr("A graded zone needs two different places on the sheet."))


def _check_areas(zone: Zone) -> None:
    points = [value for outline in zone.areas for point in outline for value in point]
    known = all(_within(value, -LARGEST_MM, LARGEST_MM) for value in points)
    known = known and all(len(outline) >= 3 for outline in zone.areas) and len(points) <= 2 * _MOST_POINTS
    _require(known, "zones", tr("A zone drawn by hand is a closed outline of 3 points or more on the sheet."))
    _require(not zone.soft_mm or zone.bare == "wiped", "zones", tr("Only what is wiped off has a soft edge."))
