"""Reading a design and reducing it to flat colours."""

from nomos.design.flatten import SMALLEST_FEATURE_MM, FlatColour, FlatDesign, flatten
from nomos.design.palette import FEWEST, MOST, Suggestion
from nomos.design.picture import Picture, read_picture

__all__ = [
    "FEWEST",
    "MOST",
    "SMALLEST_FEATURE_MM",
    "FlatColour",
    "FlatDesign",
    "Picture",
    "Suggestion",
    "flatten",
    "read_picture",
]
