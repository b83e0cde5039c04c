"""A drawdown card: a scan of ink drawn down on paper, pointed at patch by patch."""

from dataclasses import dataclass, replace
from typing import Literal

import numpy as np

from nomos.colour import Lab, smooth_reflectance
from nomos.colour.cielab import srgb_decode, srgb_encode
from nomos.colour.fitting import Reading
from nomos.colour.spectra import Array
from nomos.proof.scanning import Balance, PatchReading, Picture, balanced, read_patch

Asked = Literal["paper", "grey", "ink", "black", "over"]

# The card's grey patch, L* 50, is what grey cards come nearest to (an 18 per cent card is L* 49.5).
GREY: Lab = (49.5, 0.0, 0.0)
# Half the side of what is read around the place pointed at, as a share of the card's width.
_REACH = 0.012


@dataclass(frozen=True, eq=False)
class Card:
    """A card with what has been pointed at so far.

    next_patch : what is to be pointed at next.
    paper, grey : as scanned, 0 to 255.
    reading : the ink patch read last.
    black, over : the bare black stripe, and the ink where it runs over it.
    """

    name: str
    picture: Picture
    next_patch: Asked = "paper"
    paper: Array | None = None
    grey: Array | None = None
    reading: PatchReading | None = None
    black: PatchReading | None = None
    over: PatchReading | None = None

    def pointed(self, x_share: float, y_share: float, paper: Lab) -> "Card":
        """The card after a patch was pointed at. paper : what its bare paper is."""
        left, top, right, bottom = window = self._window(x_share, y_share)
        linear = srgb_decode(self.picture[top:bottom, left:right].reshape(-1, 3) / 255).mean(axis=0)
        scanned = np.asarray(255 * srgb_encode(linear))
        if self.next_patch == "paper":
            return replace(self, paper=scanned, next_patch="grey")
        if self.next_patch == "grey":
            return replace(self, grey=scanned, next_patch="ink")
        read = read_patch(self.picture, window, self._balance(paper))
        if self.next_patch == "black":
            return replace(self, black=read, next_patch="over")
        if self.next_patch == "over":
            return replace(self, over=read)
        return replace(self, reading=read)

    def skipping_grey(self) -> "Card":
        """The card read without a grey patch."""
        return replace(self, next_patch="ink") if self.next_patch == "grey" else self

    def over_black(self) -> "Card":
        """The card with the black stripe to be pointed at next, then the ink over it."""
        return replace(self, next_patch="black") if self.reading is not None else self

    def readings(self, paper: Lab) -> tuple[Reading, ...]:
        """The ink over the paper and over the stripe, for a fit of K and S; none until both are read."""
        if self.reading is None or self.black is None or self.over is None:
            return ()
        white, ink, black, over = (
            smooth_reflectance(np.array(lab)) for lab in (paper, self.reading.lab, self.black.lab, self.over.lab)
        )
        return Reading(white, ink), Reading(black, over)

    def _balance(self, paper: Lab) -> Balance:
        assert self.paper is not None
        return balanced(self.paper, paper, self.grey, GREY if self.grey is not None else None)

    def _window(self, x_share: float, y_share: float) -> tuple[int, int, int, int]:
        height, width = self.picture.shape[:2]
        reach = max(2, round(_REACH * width))
        x, y = round(x_share * width), round(y_share * height)
        return max(x - reach, 0), max(y - reach, 0), min(x + reach, width), min(y + reach, height)
