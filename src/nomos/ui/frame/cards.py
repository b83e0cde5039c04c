"""Choices with a small picture of what they lead to and what they cost."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray


@dataclass(frozen=True, eq=False)
class Card:
    """One choice: its key, name, figures, quiet line, whether it holds, and its picture (0xffRRGGBB)."""

    key: str
    name: str
    figures: str
    quiet: str
    chosen: bool
    thumb: NDArray[np.uint32] | None
