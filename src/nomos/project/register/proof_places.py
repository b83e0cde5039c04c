"""Places of a proof that did not print, and where it printed though it should not."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.units import length_text, number
from nomos.colour import delta_e00, srgb_to_lab
from nomos.colour.cielab import srgb_decode, srgb_encode
from nomos.colour.spectra import Array
from nomos.project.inks.films import predicted, printing_sets, zone_keys
from nomos.project.model import Project
from nomos.proof.scanning import Balance, Picture

# Places are looked for at so many pixels a mm, so far inside a field's border, where misregister is none.
LOOK_PX_PER_MM, _INSET_MM = 3.0, 1.1
# Further from its field's own colour than this, and than so many times what the field scatters, ΔE00; and no
# smaller, mm². Chosen by us: less is not seen at arm's length.
_SEEN_DE00, _SCATTER, _LEAST_MM2 = 6.0, 5.0, 0.5
_LIGHTER, _MOST = 2.0, 20


@dataclass(frozen=True)
class ProofPlace:
    """One place: what happened, where on the sheet from its top left corner, mm, how large, mm², how far off, ΔE00.

    pull : the impression that did not print there; "" where ink is where none should be.
    number : of the flat colour it lies in.
    """

    kind: Literal["missing", "stray"]
    at_mm: tuple[float, float]
    area_mm2: float
    de00: float
    number: int
    pull: str = ""


def find_places(
    project: Project, page: Picture, labels: NDArray[np.uint8], px_per_mm: float, balance: Balance, planned: Picture,
    said: Callable[[], None],
) -> tuple[ProofPlace, ...]:  # fmt: skip
    """Where a proof is otherwise than the rest of its field, what is seen most first.

    Parameters
    ----------
    project : with the pulls that are printed.
    page : (rows, columns, 3) uint8, the image taken out of the sheet in even light.
    labels : (rows, columns) the flat design.
    balance : that gives the bare paper its colour.
    planned : the image as it would print with every block where it was found to lie, at `LOOK_PX_PER_MM`.
    said : called as the work goes on.
    """
    import cv2

    rows, columns = (max(1, round(side / px_per_mm * LOOK_PX_PER_MM)) for side in labels.shape)
    light = cv2.resize(srgb_decode(page / 255).astype(np.float32), (columns, rows), interpolation=cv2.INTER_AREA)
    lab = balance.lab(255 * srgb_encode(np.asarray(light, np.float64)))
    fields = np.asarray(cv2.resize(labels, (columns, rows), interpolation=cv2.INTER_NEAREST), np.uint8)
    sets = printing_sets(project)
    said()
    as_wide = np.asarray(cv2.resize(planned, (columns, rows), interpolation=cv2.INTER_AREA), np.uint8)
    as_planned = _off_plan(lab, srgb_to_lab(as_wide), said)
    found: list[ProofPlace] = []
    for place in range(len(sets)):
        said()
        own = (fields == place).astype(np.uint8)
        depth = cv2.distanceTransform(np.pad(own, 1), cv2.DIST_L2, cv2.DIST_MASK_3)[1:-1, 1:-1]
        inside = depth > _INSET_MM * LOOK_PX_PER_MM
        if np.count_nonzero(inside) < 4 * _LEAST_MM2 * LOOK_PX_PER_MM**2:
            continue
        middle = np.median(lab[inside], axis=0)
        off = np.zeros(inside.shape)
        # Where another block lies over it, out of register, nothing has failed.
        off[inside] = np.minimum(delta_e00(lab[inside], middle), as_planned[inside])
        limit = max(_SEEN_DE00, _SCATTER * float(np.median(off[inside])))
        count, parts, stats, centres = cv2.connectedComponentsWithStats((off > limit).astype(np.uint8), connectivity=8)
        for part in range(1, count):
            area = stats[part, cv2.CC_STAT_AREA] / LOOK_PX_PER_MM**2
            if area < _LEAST_MM2:
                continue
            there = parts == part
            seen = lab[there].mean(axis=0)
            x, y = (centres[part] + 0.5) / LOOK_PX_PER_MM
            at = round(project.image.left + float(x), 1), round(project.image.top + float(y), 1)
            missing = bool(sets[place]) and seen[0] > middle[0] + _LIGHTER
            pull = _not_printed(project, sets[place], seen) if missing else ""
            kind: Literal["missing", "stray"] = "missing" if missing else "stray"
            found.append(ProofPlace(kind, at, round(float(area), 1), float(off[there].mean()), place, pull))
    return tuple(sorted(found, key=lambda each: -each.area_mm2 * each.de00)[:_MOST])


def _off_plan(lab: Array, planned: Array, said: Callable[[], None]) -> Array:
    """How far each place is from what is planned there or right beside it, ΔE00. (rows, columns)."""
    wide = np.pad(planned, ((1, 1), (1, 1), (0, 0)), mode="edge")
    rows, columns = lab.shape[:2]
    nearest = np.full((rows, columns), np.inf)
    for y, x in np.ndindex(3, 3):
        said()
        nearest = np.minimum(nearest, delta_e00(lab, wide[y : y + rows, x : x + columns]))
    return nearest


def _not_printed(project: Project, films: frozenset[int], seen: Array) -> str:
    """The pull without which a field would look most like what is seen."""
    keys, lying = zone_keys(project), sorted(films)
    labs = predicted(project, [films - {film} for film in lying])
    return keys[lying[int(delta_e00(labs, seen).argmin())]].pull


def place_text(project: Project, place: ProofPlace) -> str:
    """A place in a sentence, with what to do."""
    x, y = (length_text(each) for each in place.at_mm)
    area = number(place.area_mm2)
    if place.kind == "missing":
        return tr(
            "{name} did not print {area} mm² at {x} from the left and {y} from the top: pack under the block there, "
            "press harder or ink it more fully; clean what lies on it.",
            name=project.pull_name(place.pull), area=area, x=x, y=y,
        )  # fmt: skip
    return tr(
        "Ink where none should be, {area} mm² at {x} from the left and {y} from the top: wipe the cleared ground, "
        "cut it lower or take off what lies there.",
        area=area, x=x, y=y,
    )  # fmt: skip
