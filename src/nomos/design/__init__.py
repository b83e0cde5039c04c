"""Reading a design, finding what of it is printed, and reducing it to flat colours."""

from nomos.design.cleaning import Labels, fill_nearest
from nomos.design.corrections import Correction
from nomos.design.cut import WHOLE, Cut, find_cut
from nomos.design.flat import FlatColour, FlatDesign, ReadAs
from nomos.design.flatten import SMALLEST_FEATURE_MM, Looked, flatten, look, suggest
from nomos.design.palette import FEWEST, MOST, Suggestion
from nomos.design.picture import Picture, read_picture, read_pixels

__all__ = [
    "FEWEST",
    "MOST",
    "SMALLEST_FEATURE_MM",
    "WHOLE",
    "Correction",
    "Cut",
    "FlatColour",
    "FlatDesign",
    "Labels",
    "Looked",
    "Picture",
    "ReadAs",
    "Suggestion",
    "fill_nearest",
    "find_cut",
    "flatten",
    "look",
    "read_picture",
    "read_pixels",
    "suggest",
]
