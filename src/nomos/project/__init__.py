"""The project as a value, its edits, its file, its proof and its findings."""

from nomos.project.check.findings import find
from nomos.project.check.proof import Proof, proof_of, prove
from nomos.project.model import Block, Flat, Impression, Ink, Paper, Project, ProjectError, Source, WantedColour, Zone
from nomos.project.model.finding import Cure, Finding, Station, Weight
from nomos.project.model.store import Assets, digest, labels_from_png, labels_of, labels_to_png, load, mask_to_png, save
from nomos.project.register.kento import kento_or_reason
from nomos.project.sheet.laying import (
    ColourMatch,
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

__all__ = [
    "Assets",
    "Block",
    "ColourMatch",
    "Cure",
    "CutBlocks",
    "Finding",
    "Flat",
    "Impression",
    "Ink",
    "LaidSheet",
    "MaskRequest",
    "Paper",
    "Project",
    "ProjectError",
    "Proof",
    "Source",
    "Spot",
    "Station",
    "ToLay",
    "WantedColour",
    "Weight",
    "Zone",
    "bare_places",
    "coarse",
    "colour_matches",
    "cut_blocks",
    "digest",
    "films_in_order",
    "find",
    "impressions_to_lay",
    "kento_or_reason",
    "labels_from_png",
    "labels_of",
    "labels_to_png",
    "lay_sheet",
    "load",
    "mask_request",
    "mask_to_png",
    "mean_difference",
    "proof_of",
    "prove",
    "save",
    "sheet_labs",
    "sheet_reflectance",
]
