"""Reading a design, finding what of it is printed, and reducing it to flat colours."""

from nomos.design.cleaning import Labels, fill_nearest
from nomos.design.corrections import Correction
from nomos.design.cut import WHOLE, Cut, find_cut
from nomos.design.flat import FlatColour, FlatDesign, ReadAs
from nomos.design.flatten import SMALLEST_FEATURE_MM, Looked, flatten, look
from nomos.design.palette import FEWEST, MOST
from nomos.design.picture import Picture, read_picture, read_pixels
