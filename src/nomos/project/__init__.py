"""The project as a value, its edits, its file, its proof and its findings."""

from nomos.project.check.findings import find
from nomos.project.check.proof import Proof, prove
from nomos.project.model import Impression, Ink, Paper, Project, ProjectError, Source, Zone
from nomos.project.model.finding import Cure, Finding, Station, Weight
from nomos.project.model.store import Assets, digest, labels_from_png, labels_of, labels_to_png, load, mask_to_png, save
from nomos.project.register.kento import kento_or_reason
from nomos.project.sheet.laying import (
    LaidSheet,
    Spot,
    ToLay,
    bare_places,
    colour_matches,
    films_in_order,
    impressions_to_lay,
    lay_sheet,
    mean_difference,
    sheet_labs,
    sheet_reflectance,
)
from nomos.project.sheet.masks import CutBlocks, MaskRequest, coarse, cut_blocks, mask_request
