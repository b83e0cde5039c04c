"""The flat colours of a proof, read from a photograph or a scan in the light that its bare paper shows."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import partial
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from nomos.base.language import tr
from nomos.base.progress import NULL_PROGRESS, Part, Progress
from nomos.base.units import number
from nomos.colour import Lab, as_lab, delta_e00
from nomos.colour.spectra import Array
from nomos.project.inks.films import FilmKey, predicted, printing_sets, zone_keys
from nomos.project.model import Project, ProjectError
from nomos.project.register.photograph import Placed, placed_photograph
from nomos.project.register.proof_places import LOOK_PX_PER_MM, ProofPlace, find_places
from nomos.project.register.scan import motion_of_change, printed_sheet
from nomos.project.register.system import sheet_of
from nomos.project.sheet.laying import impressions_to_lay, lay_sheet
from nomos.project.sheet.masks import CutBlocks
from nomos.proof.evening import evened, smooth_light, unevenness
from nomos.proof.scanning import Picture, balanced, insides, mean_colour
from nomos.registration.warp import taken_out

# Fields are read so far inside their borders: traps and misregister lie there.
_INSET_MM = 0.8
_LEAST_PIXELS = 60
# Bare paper is looked at so far from anything printed and from the sheet's edge, in squares of so much, mm.
_CLEAR_MM, _EDGE_MM, _SQUARE_MM = 2.0, 1.5, 1.2
_LEAST_PLACES = 12
# Where nine in ten places of bare paper still differ by more, no smooth light explains them, ΔE00.
_EXPLAINED_DE00 = 2.5


@dataclass(frozen=True)
class FieldRead:
    """A flat colour on the proof: as read, as predicted, ΔE00, and the area that was read, mm².

    sure_de00 : nine in ten readings are within it, by how even the bare paper comes out.
    films : what lies there as planned, overlaps too: places in `zone_keys` and their share of the area.
    """

    number: int
    read: Lab
    predicted: Lab
    de00: float
    area_mm2: float
    sure_de00: float = 0.0
    films: tuple[tuple[frozenset[int], float], ...] = ()


class ProofRead(NamedTuple):
    """Its flat colours, largest ΔE00 first, and the places that are otherwise than their field."""

    fields: tuple[FieldRead, ...]
    places: tuple[ProofPlace, ...]


def read_proof(
    project: Project, blocks: CutBlocks, picture: Picture, *, placed: Placed | None = None,
    progress: Progress = NULL_PROGRESS,
) -> ProofRead:  # fmt: skip
    """The flat colours of a proof, and what did not print.

    Parameters
    ----------
    picture : (height, width, 3) uint8, a photograph of the whole sheet, or a scan.
    placed : the picture, where it has been laid on the print already.

    Raises
    ------
    ScanError : the print is not found on it, or what is seen cannot be trusted.
    ProjectError : the sheet shows no bare paper, or its light is not explained.
    Cancelled : called off through `progress`.
    """
    image, (width, height) = project.image, sheet_of(project)
    margins = image.left, image.top, width - image.right, height - image.bottom
    if max(margins) < _CLEAR_MM + _EDGE_MM:
        raise ProjectError("proof", tr("The sheet has no bare margin to balance the picture by."))
    if placed is None:
        placed = placed_photograph(project, blocks, picture, Part(progress, 0.0, 0.8))
    progress.report(0.8, tr("reading the fields"))
    values, bare_at = _bare(placed, blocks)
    reading = partial(progress.report, 0.83, tr("reading the fields"))
    reading()
    if len(values) < _LEAST_PLACES:
        raise ProjectError("proof", tr("The sheet has no bare margin to balance the picture by."))
    light = smooth_light(values, bare_at)
    area = (image.left, image.top, image.right, image.bottom)
    page, _ = taken_out(placed.light, placed.laid.aligned.warp, blocks.px_per_mm, area)
    rows, columns = blocks.labels.shape
    page = page[:rows, :columns]
    reading()
    y, x = ((np.arange(side) + 0.5) / blocks.px_per_mm for side in page.shape[:2])
    even, bare = evened(page, light, 2 * (image.left + x) / width - 1, 2 * (image.top + y) / height - 1, reading)
    balance = balanced(bare, project.paper.lab)
    sure = unevenness(values, light, bare_at, balance, project.paper.lab)
    if sure > _EXPLAINED_DE00:
        raise ProjectError(
            "proof",
            tr(
                "The bare paper comes out uneven by ΔE {sure}: a shadow or a lamp's edge lies over the sheet; take it "
                "in even light, away from your own shadow.",
                sure=number(sure),
            ),
        )
    labels = blocks.labels[: page.shape[0], : page.shape[1]]
    planned = _Planned.of(placed.project, blocks, page.shape)
    found = []
    count = len(printing_sets(placed.project))
    for place, inside in enumerate(insides(labels, count, _INSET_MM * blocks.px_per_mm)):
        reading()
        pixels = np.count_nonzero(inside)
        if pixels < _LEAST_PIXELS:
            continue
        films = planned.films_at(inside)
        lab = balance.lab(mean_colour(even, inside))
        lying, shares = lying_in([films])
        wanted = (shares @ predicted(placed.project, lying))[0]
        found.append(
            FieldRead(
                place, as_lab(lab), as_lab(wanted),
                float(delta_e00(lab, wanted)), float(pixels / blocks.px_per_mm**2), sure, films,
            )
        )  # fmt: skip
    progress.report(0.95, tr("looking for what did not print"))
    said = partial(progress.report, 0.95, tr("looking for what did not print"))
    as_found = _as_found(placed, blocks)
    said()
    places = find_places(placed.project, even, labels, blocks.px_per_mm, balance, as_found, said)
    return ProofRead(tuple(sorted(found, key=lambda each: -each.de00)), places)


Films = tuple[tuple[frozenset[int], float], ...]


def lying_in(fields: Sequence[Films]) -> tuple[list[frozenset[int]], Array]:
    """All that lies in some fields, and the share of each in every field, (fields, all)."""
    each = [dict(field) for field in fields]
    lying = list(dict.fromkeys(films for own in each for films in own))
    return lying, np.array([[own.get(films, 0.0) for films in lying] for own in each])


@dataclass(frozen=True, eq=False)
class _Planned:
    """Which films lie at every place of the image as planned: overlaps of traps and keys are no other colour."""

    index: NDArray[np.intp]
    films: tuple[frozenset[int], ...]

    @classmethod
    def of(cls, project: Project, blocks: CutBlocks, shape: tuple[int, ...]) -> "_Planned":
        laid = lay_sheet(blocks, impressions_to_lay(project), pad_mm=0)
        places = {key: place for place, key in enumerate(zone_keys(project))}
        columns = [places[FilmKey(key.pull, key.zone)] for key in laid.films]
        films = tuple(frozenset(columns[n] for n in np.flatnonzero(row)) for row in laid.map.members)
        return cls(np.asarray(laid.inner[: shape[0], : shape[1]], np.intp), films)

    def films_at(self, inside: NDArray[np.bool_]) -> Films:
        """What lies in a part of the image, and its share."""
        counts = np.bincount(self.index[inside], minlength=len(self.films))
        return tuple((self.films[n], float(counts[n] / counts.sum())) for n in np.flatnonzero(counts))


def _as_found(placed: Placed, blocks: CutBlocks) -> Picture:
    """The image as it would print with every block where it was found to lie."""
    image = placed.project.image
    motions = [motion_of_change(placed.project, each) for each in placed.laid.fit.changes]
    sheet = printed_sheet(placed.project, blocks, motions, LOOK_PX_PER_MM)
    left, top, right, bottom = (
        round(side * LOOK_PX_PER_MM) for side in (image.left, image.top, image.right, image.bottom)
    )
    return np.asarray(sheet[top:bottom, left:right], np.uint8)


def _bare(placed: Placed, blocks: CutBlocks) -> tuple[Array, Array]:
    """Linear values of squares of bare paper, (n, 3), and where on the sheet, -1 to 1 from side to side, (n, 2)."""
    project = placed.project
    width, height = sheet_of(project)
    sheet, there = taken_out(placed.light, placed.laid.aligned.warp, LOOK_PX_PER_MM, (0.0, 0.0, width, height))
    clear = _clear(project, blocks, sheet.shape[:2]) & there
    side = max(1, round(_SQUARE_MM * LOOK_PX_PER_MM))
    values, places = [], []
    for top in range(0, sheet.shape[0] - side, 2 * side):
        for left in range(0, sheet.shape[1] - side, 2 * side):
            if clear[top : top + side, left : left + side].all():
                values.append(np.median(sheet[top : top + side, left : left + side].reshape(-1, 3), axis=0))
                places.append(((left + side / 2) / sheet.shape[1], (top + side / 2) / sheet.shape[0]))
    return np.maximum(np.array(values, np.float64).reshape(-1, 3), 1e-4), 2 * np.array(places).reshape(-1, 2) - 1


def _clear(project: Project, blocks: CutBlocks, shape: tuple[int, int]) -> NDArray[np.bool_]:
    """Where nothing is printed, nor near it, at `LOOK_PX_PER_MM` pixels a mm on the sheet."""
    import cv2

    inked = np.zeros(shape, np.uint8)
    holds = np.array([bool(films) for films in printing_sets(project)], np.uint8)[blocks.labels]
    for mask in {project.number_of(pull.block) for pull in project.impressions}:
        holds |= np.asarray(blocks.masks[mask], np.uint8)
    left, top = round(project.image.left * LOOK_PX_PER_MM), round(project.image.top * LOOK_PX_PER_MM)
    size = round(project.image.width * LOOK_PX_PER_MM), round(project.image.height * LOOK_PX_PER_MM)
    small = cv2.resize(255 * holds, size, interpolation=cv2.INTER_AREA)
    part = inked[top : top + size[1], left : left + size[0]]
    part[:] = (small > 2)[: part.shape[0], : part.shape[1]]
    reach = 2 * round(_CLEAR_MM * LOOK_PX_PER_MM) + 1
    clear = cv2.dilate(inked, np.ones((reach, reach), np.uint8)) == 0
    edge = round(_EDGE_MM * LOOK_PX_PER_MM)
    clear[:edge], clear[-edge:], clear[:, :edge], clear[:, -edge:] = False, False, False, False
    return np.asarray(clear)
