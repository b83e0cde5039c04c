"""What the figures of a project are when nothing is said, and how far they may go."""

from typing import Annotated

from msgspec import Meta

from nomos.colour.vehicles import VEHICLES

Digest = Annotated[str, Meta(pattern="^[0-9a-f]{64}$")]

# What an ink is carried by where nothing is said.
USUAL_VEHICLE = next(iter(VEHICLES))
# The form of project.json. 1 to 6 each said 1 of themselves and are told apart by what they hold; 7 has the
# print's id and is the first that says its number; 8 has the family of an ink's pigment. Whoever changes the
# form counts on and writes in `forms.py` how the one before becomes it.
VERSION = 9
# More of each no print has; what is read is bounded by it.
MOST_INKS, MOST_BLOCKS, MOST_COLOURS, MOST_READINGS = 1000, 500, 256, 100_000
LARGEST_TRAP_MM = 3.0
LARGEST_SHIFT_MM = 5.0
# An overlap up to this far from the darker colour alone is taken before a white sliver, and sheets
# are taken to meet blocks this closely. Both chosen by us, no source; the user sets them.
SEAM_DE00 = 12.0
TOLERANCE_MM = 0.4
LARGEST_TOLERANCE_MM = 3.0
# The thinnest line that holds and the finest tool; chosen by us, the user's wood and tools decide.
LARGEST_TURN_DEG = 2.0
THINNEST_LINE_MM, WIDEST_LINE_MM = 0.3, 8.0
# A saw for lino or thin board, the border to hold a sawn block by (common practice gives 6 to 13 mm),
# and the neck of a piece that still holds: chosen by us, the user's saw and board decide.
KERF_MM, GRIP_MM, NECK_MM = 0.6, 10.0, 3.0
# How untrue a board cut by hand may be; chosen by us, no source: measure it.
UNTRUE_MM = 0.5
