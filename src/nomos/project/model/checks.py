"""What a project must hold to, each refusal in one sentence that names what is wrong."""

import math
from typing import TYPE_CHECKING

import numpy as np

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.units import LARGEST_MM, SMALLEST_MM, length_text, range_text
from nomos.colour import ColourError, smooth_reflectance
from nomos.colour.vehicles import VEHICLES
from nomos.design import Correction
from nomos.design.cut import checked_cut
from nomos.order.calendar import Times, day_of
from nomos.project.model.craft import ProjectError, check_craft, check_edition
from nomos.project.model.limits import (
    BOUNDS,
    LARGEST_SHIFT_MM,
    LARGEST_TOLERANCE_MM,
    LARGEST_TRAP_MM,
    LARGEST_TURN_DEG,
    THINNEST_LINE_MM,
    WIDEST_LINE_MM,
)
from nomos.registration import check_settings, system_called

if TYPE_CHECKING:
    # The project asks for these checks as it is made.
    from nomos.project.model.paper import Paper
    from nomos.project.model.project import Impression, Ink, Project, WantedColour, Workshop, Zone

# More corners than a hand draws.
_MOST_POINTS = 20_000


def check_project(project: "Project") -> None:
    """Raises ProjectError, naming the field and what to do."""
    _check_sizes(project)
    _check_colours(project)
    _check_references(project)
    _check_impressions(project)
    _check_materials(project)
    system_called(project.register.system)
    check_settings(project.register)
    check_craft(project.craft)
    check_edition(project.plan)


def _require(holds: bool, field: str, reason: str) -> None:
    if not holds:
        raise ProjectError(field, reason)


def _within(value: float, least: float, most: float) -> bool:
    return math.isfinite(value) and least <= value <= most


def _held(value: float, name: str) -> bool:
    return _within(value, *BOUNDS[name])


def _check_sizes(project: "Project") -> None:
    paper, image = project.paper, project.image
    for side in (paper.width_mm, paper.height_mm):
        _require(
            _held(side, "side_mm"),
            "paper",
            tr(
                "A sheet side of {side} is not possible: choose {smallest_mm}.",
                side=length_text(side, None),
                smallest_mm=range_text(SMALLEST_MM, LARGEST_MM),
            ),
        )
    inside = (
        -1e-6 <= image.left < image.right <= paper.width_mm + 1e-6
        and -1e-6 <= image.top < image.bottom <= paper.height_mm + 1e-6
    )
    _require(inside, "image", tr("The image runs off the sheet: choose a larger sheet or smaller margins."))
    _require(
        _held(project.trap_mm, "trap_mm"),
        "trap_mm",
        tr(
            "A trap of {trap_mm} is not possible: choose 0 to {largest_trap_mm}.",
            trap_mm=length_text(project.trap_mm, None),
            largest_trap_mm=length_text(LARGEST_TRAP_MM, None),
        ),
    )
    _require(
        _held(project.tolerance_mm, "tolerance_mm"),
        "tolerance_mm",
        tr(
            "A tolerance of {tolerance_mm} is not possible: choose 0 to {largest_tolerance_mm}.",
            tolerance_mm=length_text(project.tolerance_mm, None),
            largest_tolerance_mm=length_text(LARGEST_TOLERANCE_MM, None),
        ),
    )
    for value, what in ((project.line_mm, tr("thinnest line")), (project.tool_mm, tr("finest tool"))):
        _require(
            _held(value, "fineness_mm"),
            "line_mm",
            tr(
                "{value} for the {what} is not possible: choose {range}.",
                value=length_text(value, None),
                range=range_text(0.1, 10),
                what=what,
            ),
        )
    _require(
        _held(project.seam_de00, "seam_de00"),
        "seam_de00",
        tr("The seam that may be seen must be ΔE 0 to 100."),
    )
    _check_workshop(project.workshop)
    _check_times(project.times)


def _check_workshop(workshop: "Workshop") -> None:
    for value, least, most, what in (
        (workshop.clearance_mm, *BOUNDS["clearance_mm"], tr("clearance between two inks")),
        (workshop.grip_mm, *BOUNDS["grip_mm"], tr("grip border")),
        (workshop.neck_mm, *BOUNDS["neck_mm"], tr("narrowest neck")),
        (workshop.untrue_mm, *BOUNDS["untrue_mm"], tr("untrueness of a board")),
    ):
        _require(
            _within(value, least, most),
            "workshop",
            tr(
                "{value} for the {what} is not possible: choose {least}.",
                value=length_text(value, None),
                what=what,
                least=range_text(least, most),
            ),
        )
    _require(
        workshop.sheets is None or _held(workshop.sheets, "sheets"),
        "workshop",
        tr("Sheets must be 1 to 100 000."),
    )
    steps = _held(workshop.oil_step_pct, "step_pct") and _held(workshop.carbonate_step_pct, "step_pct")
    _require(steps, "workshop", tr("A step of tack takes 0.1 to 50 % of oil or carbonate."))
    known = _held(workshop.film_g_m2, "film_g_m2") and _held(workshop.slab_g, "slab_g")
    _require(
        known and _held(workshop.waste, "waste"),
        "workshop",
        tr("Film, slab and waste must be figures that can be."),
    )
    _require(
        _held(workshop.most_zones, "most_zones"),
        "workshop",
        tr("Between 1 and 20 zones can be inked at a time."),
    )


def _check_times(times: Times) -> None:
    minutes = (
        times.setup_min,
        times.pull_min,
        times.wash_min,
        times.wipe_min,
        times.cutting_min,
        times.damp_min,
    )
    _require(all(_within(value, 0, 10_000) for value in minutes), "times", tr("Minutes must be 0 to 10 000."))
    hours = _within(times.opens, 0, 24) and _within(times.closes, 0, 24) and times.opens < times.closes
    _require(hours, "times", tr("A working day must end after it begins."))
    days = bool(times.days) and all(0 <= day <= 6 for day in times.days)
    _require(days, "times", tr("At least one day of the week must be a working day."))
    _require(times.rack >= 1 and times.pulls_a_day >= 0, "times", tr("The rack needs at least one place."))
    air = _within(times.temperature, 0, 45) and _within(times.humidity, 0, 100)
    _require(air, "times", tr("The air must have 0 to 45 °C and 0 to 100 % humidity."))
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
            tr(
                "{name} has a colour that cannot be: L* must be 0 to 100, a* and b* −200 to 200.",
                name=thing.name,
            ),
        )
    # What is wanted may be out of reach; what is printed with must exist.
    printed_with: list[Paper | Ink] = [project.paper, *project.inks]
    for real in printed_with:
        try:
            smooth_reflectance(np.array(real.lab))
        except ColourError:
            raise ProjectError(
                "lab",
                tr(
                    "No paper or ink can have the colour asked of {name}: take a less saturated one.",
                    name=real.name,
                ),
            ) from None


def _check_materials(project: "Project") -> None:
    paper = project.paper
    spectra = [paper.reflectance or ()]
    for ink in project.inks:
        _require(
            ink.vehicle in VEHICLES,
            "inks",
            tr(
                "{name} has a vehicle that is not known; it is one of {vehicles}.",
                name=ink.name,
                vehicles=", ".join(VEHICLES),
            ),
        )
        _require(_held(ink.tack, "tack"), "inks", tr("The tack of {name} must be 0 to 10.", name=ink.name))
        known = _held(ink.drying_h, "drying_h") and ink.cost >= 0 and ink.tub_g >= 0
        known = known and _held(ink.modifier_pct, "modifier_pct")
        _require(known, "inks", tr("Drying, cost and tub of {name} cannot be below nothing.", name=ink.name))
        if ink.optics is not None:
            spectra += [ink.optics.absorption, ink.optics.scattering]
    for values in spectra:
        _require(
            all(_within(value, 0, 1e5) for value in values),
            "inks",
            tr("A spectrum holds values that cannot be."),
        )
    _require(
        all(_within(value, 0, 20) for value in paper.growth),
        "paper",
        tr("Damp paper grows 0 to 20 per cent."),
    )


def _check_references(project: "Project") -> None:
    for things, field in (
        (project.inks, "inks"),
        (project.blocks, "blocks"),
        (project.impressions, "impressions"),
    ):
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
            number is None or 0 <= number < count,
            "flat",
            tr("The line or the paper is a colour that is not there."),
        )
    blocks, inks = {block.id for block in project.blocks}, {ink.id for ink in project.inks}
    for block in project.blocks:
        known = all(0 <= number < count for number in block.colours)
        _require(
            known,
            "blocks",
            tr("Block {name} prints a colour that the design does not have.", name=block.name),
        )
        if block.contour is not None:
            _require(
                _held(block.contour.width_mm, "contour_mm"),
                "contour",
                tr(
                    "A contour of {width_mm} is not possible: choose {thinnest_line_mm}.",
                    width_mm=length_text(block.contour.width_mm, None),
                    thinnest_line_mm=range_text(THINNEST_LINE_MM, WIDEST_LINE_MM),
                ),
            )
        if block.kerf_mm is not None:
            _require(
                _held(block.kerf_mm, "kerf_mm"),
                "kerf_mm",
                tr(
                    "A saw cut {kerf_mm} wide is not possible: choose {range}.",
                    kerf_mm=length_text(block.kerf_mm, None),
                    range=range_text(0, 5),
                ),
            )
    for impression in project.impressions:
        _require(
            impression.block in blocks, "impressions", tr("An impression is of a block that is not there.")
        )
        for zone in impression.zones:
            _require(zone.ink in inks, "impressions", tr("An impression uses an ink that is not there."))
            known = all(0 <= number < count for number in zone.colours)
            _require(known, "zones", tr("A zone covers a colour that the design does not have."))


def _check_corrections(corrections: tuple[Correction, ...]) -> None:
    for each in corrections:
        figures = [*(each.lab or ()), *(each.other or ()), *(side for place in each.places for side in place)]
        known = all(math.isfinite(figure) and abs(figure) < 1e3 for figure in figures)
        _require(
            known and _within(each.width_mm, 0, LARGEST_MM),
            "corrections",
            tr("A correction lies nowhere that can be."),
        )


def _check_impressions(project: "Project") -> None:
    for impression in project.impressions:
        _check_zones(impression)
        _require(
            impression.trapping is None or _held(impression.trapping, "share"),
            "trapping",
            tr("Ink trapping must be 0 to 100 %."),
        )
        shift = max(abs(impression.offset.dx_mm), abs(impression.offset.dy_mm))
        _require(
            _within(shift, 0, LARGEST_SHIFT_MM)
            and _within(abs(impression.offset.rotation_deg), 0, LARGEST_TURN_DEG),
            "offset",
            tr(
                "A block can be tried up to {largest_shift_mm} and {largest_turn_deg:g}° out of register.",
                largest_shift_mm=length_text(LARGEST_SHIFT_MM, None),
                largest_turn_deg=LARGEST_TURN_DEG,
            ),
        )


def _check_zones(impression: "Impression") -> None:
    first, *others = impression.zones or (None,)
    _require(
        first is not None and not first.colours, "zones", tr("The first zone covers what the others leave.")
    )
    named = [number for zone in others for number in zone.colours]
    apart = len(set(named)) == len(named) and all(zone.colours or zone.areas for zone in others)
    _require(apart, "zones", tr("Every further zone needs colours or a place of its own."))
    _require(
        any(not zone.bare for zone in impression.zones),
        "zones",
        tr("Ink at least one zone, or leave the pull out."),
    )
    packing = impression.packing_sheets
    _require(packing is None or _held(packing, "packing_sheets"), "packing", tr("Packing is 0 to 50 sheets."))
    for zone in impression.zones:
        _check_areas(zone)
        strengths = (zone.strength, zone.grade.to if zone.grade else 0.0)
        for strength in strengths:
            _require(_held(strength, "share"), "strength", tr("The strength of an ink must be 0 to 100 %."))
        if zone.grade is not None:
            places = (*zone.grade.start, *zone.grade.end)
            known = all(_within(value, -LARGEST_MM, LARGEST_MM) for value in places)
            apart = zone.grade.start != zone.grade.end
            _require(known and apart, "grade", tr("A graded zone needs two different places on the sheet."))
            bent = _held(zone.grade.curve, "curve") and _held(zone.grade.edge_mm or 1, "edge_mm")
            _require(
                bent,
                "grade",
                tr(
                    "A graded zone bends by 0.2 to 5, or follows an edge over {range}.",
                    range=range_text(0.5, 500),
                ),
            )


def _check_areas(zone: "Zone") -> None:
    points = [value for outline in zone.areas for point in outline for value in point]
    known = all(_within(value, -LARGEST_MM, LARGEST_MM) for value in points)
    known = known and all(len(outline) >= 3 for outline in zone.areas) and len(points) <= 2 * _MOST_POINTS
    _require(known, "zones", tr("A zone drawn by hand is a closed outline of 3 points or more on the sheet."))
    _require(
        _held(zone.soft_mm, "soft_mm"), "zones", tr("A soft edge is {range} wide.", range=range_text(0, 100))
    )
    _require(not zone.soft_mm or zone.bare == "wiped", "zones", tr("Only what is wiped off has a soft edge."))
