"""How much ink an edition takes."""

from dataclasses import dataclass

# A solid of relief ink holds about this many grams on a square metre, and so large a share is wiped off or
# dries. All from memory: weigh before and after.
FILM_G_M2 = 9.0
WASTE = 0.15
_MM2_PER_M2 = 1e6


@dataclass(frozen=True)
class InkNeed:
    """Grams of one colour for an edition.

    on_paper_g : what the sheets carry away. on_tool_g : what stays on tool and slab.
    ink_g, extender_g : parts of the whole batch, by the strength it is used at.
    """

    on_paper_g: float
    on_tool_g: float
    batch_g: float
    ink_g: float
    extender_g: float

    @property
    def lost_g(self) -> float:
        """What is wiped off or dries."""
        return self.batch_g - self.on_paper_g - self.on_tool_g


def ink_needed(
    area_mm2: float, sheets: int, tool_g: float = 0.0, *, strength: float = 1.0, film: float = 1.0,
    film_g_m2: float = FILM_G_M2, waste: float = WASTE,
) -> InkNeed:  # fmt: skip
    """Ink and extender for one colour.

    Parameters
    ----------
    area_mm2 : inked area of the block.
    sheets : pulls of it, bad ones and proofs among them.
    tool_g : left on tool and slab.
    strength : share of ink in extender.
    film : thickness of the film in solids.
    film_g_m2 : what a solid of normal film holds.
    waste : share of the whole that is lost.
    """
    on_paper = area_mm2 / _MM2_PER_M2 * film_g_m2 * film * sheets
    batch = (on_paper + tool_g) / (1 - waste)
    return InkNeed(on_paper, tool_g, batch, batch * strength, batch * (1 - strength))


def film_from_weights(before_g: float, after_g: float, area_mm2: float, pulls: int) -> float:
    """Grams on a square metre, from what slab, roller and tub weigh before and after some pulls.

    Raises ValueError where nothing was used, or nothing printed.
    """
    if before_g <= after_g or area_mm2 <= 0 or pulls <= 0:
        raise ValueError("Something must have been used, on some area, in some pulls.")
    return (before_g - after_g) / (area_mm2 / _MM2_PER_M2 * pulls)
