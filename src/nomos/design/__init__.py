"""Reading a design and reducing it to flat colours."""

from nomos.design.cleaning import Labels, fill_nearest
from nomos.design.flatten import SMALLEST_FEATURE_MM, FlatColour, FlatDesign, flatten, suggest
from nomos.design.palette import FEWEST, MOST, Suggestion
from nomos.design.picture import Picture, read_picture

__all__ = [
    "FEWEST",
    "MOST",
    "SMALLEST_FEATURE_MM",
    "FlatColour",
    "FlatDesign",
    "Labels",
    "Picture",
    "Suggestion",
    "fill_nearest",
    "flatten",
    "read_picture",
    "suggest",
]
