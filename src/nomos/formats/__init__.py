"""What leaves the program and comes in: templates as PDF and SVG, proofs as PNG, shelves, readings, plans."""

from nomos.formats.files import writing_into
from nomos.formats.masks import KINDS, Kind, mask_layers, read_masks, write_blocks
from nomos.formats.openraster import MaskLayer, openraster, read_openraster
from nomos.formats.pdf import DEFAULT_PAPER, PAPERS_MM, drawings_pdf
from nomos.formats.pictures import png, print_png
from nomos.formats.plan_json import findings_as_json, plan_of
from nomos.formats.readings import read_readings
from nomos.formats.shelf import read_inks, write_shelf
from nomos.formats.svg import drawing_svg
from nomos.formats.template import Template, templates
from nomos.formats.template_drawing import template_drawings
