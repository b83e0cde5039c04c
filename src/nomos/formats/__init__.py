"""What leaves the program: templates as PDF and SVG, proofs as PNG, the packet."""

from nomos.formats.files import writing_into
from nomos.formats.masks import KINDS, Kind, mask_layers, read_masks, write_blocks
from nomos.formats.openraster import MaskLayer, openraster, read_openraster
from nomos.formats.packet import findings_as_json, plan_of, write_packet
from nomos.formats.pdf import DEFAULT_PAPER, PAPERS_MM, templates_pdf
from nomos.formats.pictures import png
from nomos.formats.readings import InkReadings, read_readings
from nomos.formats.shelf import read_inks, write_shelf
from nomos.formats.svg import template_svg
from nomos.formats.template import Face, Template, templates

__all__ = [
    "DEFAULT_PAPER",
    "KINDS",
    "PAPERS_MM",
    "Face",
    "InkReadings",
    "Kind",
    "MaskLayer",
    "Template",
    "findings_as_json",
    "mask_layers",
    "openraster",
    "plan_of",
    "png",
    "read_inks",
    "read_masks",
    "read_openraster",
    "read_readings",
    "template_svg",
    "templates",
    "templates_pdf",
    "write_blocks",
    "write_packet",
    "write_shelf",
    "writing_into",
]
