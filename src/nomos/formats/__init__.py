"""What leaves the program: templates as PDF and SVG, proofs as PNG, the packet."""

from nomos.formats.packet import plan_of, write_packet, writing_into
from nomos.formats.pdf import DEFAULT_PAPER, PAPERS_MM, templates_pdf
from nomos.formats.pictures import png
from nomos.formats.svg import template_svg
from nomos.formats.template import Face, Template, templates

__all__ = [
    "DEFAULT_PAPER",
    "PAPERS_MM",
    "Face",
    "Template",
    "plan_of",
    "png",
    "template_svg",
    "templates",
    "templates_pdf",
    "write_packet",
    "writing_into",
]
