"""How a pull is inked and printed: zones drawn by hand, inked, left bare or wiped; tools, printing, names."""

from collections.abc import Sequence
from typing import Literal

import numpy as np
from msgspec.structs import replace
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.design import Labels
from nomos.project.model import Impression, Outline, Project, ProjectError, Zone
from nomos.project.model.edits import with_pull
from nomos.project.model.naming import fresh_name, fresh_number
from nomos.project.model.pruning import without_unused_inks
from nomos.separation import Mask, outlines
from nomos.separation.fields import field_at
from nomos.separation.touch import Touch

What = Literal["inked", "uninked", "wiped", "only"]
# A hand draws no finer than this; corners that lie nearer to the line are left out, mm.
_TRUE_MM = 0.1
# A wiped edge is as soft as a cloth over a finger leaves it; from memory.
SOFT_MM = 4.0


def stroke_outlines(touch: Touch) -> tuple[Outline, ...]:
    """What a stroke covers as closed outlines: a lasso's inside, the band of a brush or straight edge.

    Parameters
    ----------
    touch : points on the sheet and width, mm.

    Raises
    ------
    ProjectError : it covers nothing.
    """
    from shapely import LineString, MultiPolygon, Polygon

    drawn = touch.points if touch.tool != "line" else (touch.points[0], touch.points[-1])
    # No hand tells a nanometre, and GEOS divides by nothing between points still nearer than that.
    points = [(round(x, 6), round(y, 6)) for x, y in drawn]
    if touch.tool == "lasso":
        area = Polygon(points).buffer(0) if len(points) >= 3 else Polygon()
    else:
        cap: Literal["round", "flat"] = "round" if touch.tool == "brush" else "flat"
        line = LineString(points if len(points) > 1 else (points[0], points[0]))
        area = line.buffer(touch.width_mm / 2, cap_style=cap)
    parts = area.simplify(_TRUE_MM)
    polygons = parts.geoms if isinstance(parts, MultiPolygon) else (parts,)
    found = tuple(
        _one_ring(polygon.exterior.coords[:-1], [ring.coords[:-1] for ring in polygon.interiors])
        for polygon in polygons
        if polygon.area > 0
    )
    if not found:
        raise ProjectError("zones", tr("That stroke covers nothing: draw around the place."))
    return found


def field_outlines(project: Project, labels: Labels, px_per_mm: float, x: int, y: int) -> tuple[Outline, ...]:
    """The connected field at a pixel of the flat design as an outline on the sheet."""
    return _on_sheet(project, field_at(labels, x, y).astype(np.uint8), px_per_mm)


def standing_outlines(project: Project, mask: Mask, px_per_mm: float, x: int, y: int) -> tuple[Outline, ...]:
    """All that stands connected on a block at a pixel: fields that touch each other.

    mask : of the block. Raises ProjectError where it does not print there.
    """
    import cv2

    _, parts = cv2.connectedComponents(mask, connectivity=4)
    if not mask[y, x]:
        raise ProjectError("zones", tr("The block prints nothing there: click where it stands."))
    return _on_sheet(project, np.asarray(parts == parts[y, x], np.uint8), px_per_mm)


def _on_sheet(project: Project, mask: NDArray[np.uint8], px_per_mm: float) -> tuple[Outline, ...]:
    left, top = project.image.left, project.image.top
    found = []
    for area in outlines(mask, px_per_mm):
        rings = [[(px + left, py + top) for px, py in ring.tolist()[:-1]] for ring in area]
        found.append(_one_ring(rings[0], rings[1:]))
    return tuple(found)


def _one_ring(outer: Sequence[tuple[float, ...]], holes: Sequence[Sequence[tuple[float, ...]]]) -> Outline:
    """An outline with holes as one closed line that goes to each hole and back."""
    ring = np.array(outer, np.float64)
    for hole in holes:
        inner = np.array(hole, np.float64)
        apart = np.linalg.norm(ring[:, None] - inner[None], axis=2)
        at, start = np.unravel_index(int(apart.argmin()), apart.shape)
        around = np.vstack([np.roll(inner, -int(start), axis=0), inner[start]])
        ring = np.vstack([ring[: int(at) + 1], around, ring[int(at) :]])
    return tuple((round(float(x), 2), round(float(y), 2)) for x, y in ring)


def with_zone_drawn(project: Project, pull_id: str, drawn: tuple[Outline, ...], what: What) -> Project:
    """The project with a further zone of a pull where something was drawn.

    Parameters
    ----------
    drawn : closed outlines on the sheet, mm.
    what : it is inked on its own, left without ink, wiped off before the pull; or only this place is
        inked and the rest of the block left without (local inking).

    Notes
    -----
    A drawn zone starts with the ink of the zone it was drawn into; another ink is given to it then.
    """
    pull = project.impression(pull_id)
    main = pull.main
    if what == "only":
        local = len(pull.zones) == 2 and pull.zones[0].bare == "uninked" and bool(pull.zones[1].areas)
        if local:
            # Drawn anew: the next wash is smaller than the one it was made from.
            return _with_zones(project, pull, (pull.zones[0], replace(pull.zones[1], areas=drawn)))
        if len(pull.zones) > 1:
            raise ProjectError("zones", tr("This pull has several zones already: leave the others out first."))
        rest = replace(main, bare="uninked", grade=None)
        return _with_zones(project, pull, (rest, replace(main, areas=drawn)))
    if what == "inked":
        zone = replace(main, colours=(), areas=drawn, grade=None)
    else:
        soft = SOFT_MM if what == "wiped" else 0.0
        zone = Zone(main.ink, main.strength, (), None, main.inking, drawn, what, soft)
    return _with_zones(project, pull, (*pull.zones, zone))


def drawn_further(project: Project, pull_id: str, place: int, drawn: tuple[Outline, ...]) -> Project:
    """The project with more drawn to a zone that was drawn by hand."""
    zone = project.impression(pull_id).zones[place]
    if not zone.areas:
        raise ProjectError("zones", tr("Only a zone that was drawn by hand grows by drawing; draw a new one."))
    return with_zone_changed(project, pull_id, place, areas=(*zone.areas, *drawn))


def with_zone_changed(project: Project, pull_id: str, place: int, **changes: object) -> Project:
    """The project with a zone's ink, strength, tool, film or edge changed. Raises ProjectError."""
    pull = project.impression(pull_id)
    if not 0 <= place < len(pull.zones):
        raise ProjectError("zones", tr("That zone is no longer there."))
    zones = [replace(zone, **changes) if n == place else zone for n, zone in enumerate(pull.zones)]
    return _with_zones(project, pull, tuple(zones))


def without_zone(project: Project, pull_id: str, place: int) -> Project:
    """The project without one of a pull's zones: what lay under it is inked again. Raises ProjectError."""
    pull = project.impression(pull_id)
    if len(pull.zones) < 2 or not 0 <= place < len(pull.zones):
        raise ProjectError("zones", tr("A pull has one zone at least."))
    left = [zone for n, zone in enumerate(pull.zones) if n != place]
    # The first covers what the others leave, and names no place of its own.
    left[0] = replace(left[0], colours=(), areas=())
    if all(zone.bare for zone in left):
        left[0] = replace(left[0], bare="", soft_mm=0.0)
    return without_unused_inks(_with_zones(project, pull, tuple(left)))


def with_own_ink(project: Project, pull_id: str, place: int) -> Project:
    """The project with an ink of its own for one zone, to begin with like the one it had."""
    old = project.ink(project.impression(pull_id).zones[place].ink)
    ink = replace(
        old, id=f"ink{fresh_number(project)}", name=fresh_name(old.name, [each.name for each in project.inks])
    )
    return with_zone_changed(replace(project, inks=(*project.inks, ink)), pull_id, place, ink=ink.id)


def _with_zones(project: Project, pull: Impression, zones: tuple[Zone, ...]) -> Project:
    return with_pull(project, pull.id, zones=zones)
