"""From how far a block is out to what to glue onto or pare from its kento."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

import numpy as np

from nomos.base.language import tr
from nomos.base.units import length_text
from nomos.registration.contacts import WALL_NAMES, Contacts
from nomos.registration.marks import Floats, Motion

# Thinner than the thinnest strip of paper one can glue on, a change is not worth making (chosen by us).
SMALLEST_CHANGE_MM = 0.05


@dataclass(frozen=True)
class WallChange:
    """What to do at each wall of one block, mm: more than nothing is glued on, less is pared off."""

    corner_side_mm: float
    corner_base_mm: float
    straight_base_mm: float

    def walls(self) -> Floats:
        """The three figures, (3,) mm."""
        return np.array([self.corner_side_mm, self.corner_base_mm, self.straight_base_mm])

    @property
    def pares(self) -> bool:
        """Whether wood is taken away, which cannot be put back."""
        return bool((self.walls() <= -SMALLEST_CHANGE_MM).any())


def wall_change(motion: Motion, contacts: Contacts) -> WallChange:
    """What brings one block to where it was expected.

    The sheet has to go the way the print is out: a print too far to the right
    comes right when the sheet lies farther to the right. So each wall moves with
    the sheet's edge there; inwards is glued on, outwards is pared off. Stretch is
    left out, as no wall cures it.

    Parameters
    ----------
    motion : of the print against what was expected, mm and degrees.
    contacts : where the sheet touches, mm on the sheet.

    Returns
    -------
    mm for each wall, glued on where positive.
    """
    rigid = replace(motion, stretch=None)
    places = np.array(contacts.places)
    by = (rigid.moved(places) - places) * np.array(contacts.inward)
    return WallChange(*map(float, by.sum(axis=1)))


def together(changes: Mapping[str, WallChange], uncut: Sequence[str] = ()) -> dict[str, WallChange]:
    """The least changes by gluing alone that bring all blocks onto each other.

    Where all of them print on the sheet is free by a little, so each wall is
    counted from the block that would lose most wood there: it stays, and the
    others get strips. That is the smallest sum of changes that pares nothing.
    With one block alone there is nothing to share, and its own change comes back.
    Blocks named in `uncut` move their transfer instead and have no say.

    Parameters
    ----------
    changes : by block, mm.
    uncut : blocks not cut yet.

    Returns
    -------
    By block, none of them pared.
    """
    cut = {name: change for name, change in changes.items() if name not in uncut}
    if len(cut) < 2:
        return cut
    least = np.min([change.walls() for change in cut.values()], axis=0)
    return {name: WallChange(*map(float, change.walls() - least)) for name, change in cut.items()}


def after_change(motion: Motion, change: WallChange, contacts: Contacts) -> Motion:
    """How the block prints once the walls are changed: the prediction of the next proof.

    Inverts `wall_change` to first order, exact to 0.01 mm for rotations under half a degree.

    Parameters
    ----------
    motion : before, mm and degrees.
    change : of the walls, mm.

    Returns
    -------
    Motion on the next proof, mm and degrees.
    """
    dx, dy, angle = contacts.motion_by() @ change.walls()
    centre_x, centre_y = motion.centre_mm
    right, down = dx - angle * centre_y, dy + angle * centre_x
    return replace(
        motion,
        shift_mm=(float(motion.shift_mm[0] - right), float(motion.shift_mm[1] - down)),
        rotation_deg=motion.rotation_deg - float(np.degrees(angle)),
    )


def stretch_advice(motion: Motion, reach_mm: tuple[float, float], tolerance_mm: float) -> list[str]:
    """What to do about stretch that no wall cures; nothing where it stays under the tolerance.

    Parameters
    ----------
    reach_mm : how far the image reaches from the motion's centre, along x and y.
    tolerance_mm : what still counts as in register.

    Returns
    -------
    Sentences.
    """
    if motion.stretch is None:
        return []
    said = []
    for share, reach, way in zip(motion.stretch, reach_mm, (tr("left to right"), tr("top to bottom")), strict=True):
        if abs(share) * reach <= tolerance_mm:
            continue
        longer = tr("longer") if share > 0 else tr("shorter")
        paper = tr("drier") if share > 0 else tr("damper")
        said.append(
            tr(
                "It prints {abs:.1f} % {longer} {way}, {reach} at the edge, and no kento cures that: "
                "the paper was {paper} than meant, or the transfer changed size. Damp the pack "
                "evenly, turn the grain, or, if the block is not cut yet, scale its transfer by "
                "{share:+.1f} %.",
                abs=abs(share) * 100, longer=longer, way=way, reach=length_text(abs(share) * reach, 2), paper=paper,
                share=-share * 100,
            )
        )  # fmt: skip
    return said


def change_text(change: WallChange, names: Sequence[str] = WALL_NAMES) -> list[str]:
    """Each wall's change in words.

    Parameters
    ----------
    change : mm, glued on where positive.

    Returns
    -------
    A sentence a wall, to a twentieth of a millimetre.
    """
    said = []
    for wall, value in zip(names, change.walls(), strict=True):
        if abs(value) >= SMALLEST_CHANGE_MM:
            doing = tr("Glue a strip of") if value > 0 else "Pare"
            onto = tr("onto") if value > 0 else tr("from")
            said.append(f"{doing} {length_text(_rounded(value), 2)} {onto} {wall}.")
    return said


def move_text(change: WallChange, contacts: Contacts) -> list[str]:
    """Pins or stops that are moved instead of glued and pared, in words, as the printer sees the bench.

    The sheet lies face down there, so what is to the right on the print is to the printer's left.

    Parameters
    ----------
    change : mm for each contact.
    contacts : what the sheet is laid against.

    Returns
    -------
    Sentences.
    """
    said = []
    for name, value, (x, y) in zip(contacts.names, change.walls(), contacts.inward, strict=True):
        if abs(value) < SMALLEST_CHANGE_MM:
            continue
        laid_x, laid_y = (-y, x) if contacts.turned else (x, y)
        right, down = -laid_x * value, laid_y * value
        way = ("right" if right > 0 else "left") if abs(laid_x) > abs(laid_y) else ("near" if down > 0 else "far")
        where = {
            "right": tr("to the right"), "left": tr("to the left"), "near": tr("towards you"),
            "far": tr("away from you"),
        }[way]  # fmt: skip
        said.append(
            tr("Move {name} {rounded} {where}.", name=name, rounded=length_text(_rounded(value), 2), where=where)
        )
    return said


def _rounded(value: float) -> float:
    return abs(round(value / 0.05) * 0.05)
