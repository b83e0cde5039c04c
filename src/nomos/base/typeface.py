"""The shipped typeface (Lato, SIL Open Font License), for the window, the templates and SVG text."""

from pathlib import Path

FOLDER = Path(__file__).parents[1] / "fonts"
REGULAR = FOLDER / "Lato-Regular.ttf"
SEMIBOLD = FOLDER / "Lato-Semibold.ttf"
BOLD = FOLDER / "Lato-Bold.ttf"
ITALIC = FOLDER / "Lato-Italic.ttf"
ALL = (REGULAR, SEMIBOLD, BOLD, ITALIC)
