"""The systems of registration, a module each: what lies where, its steps, limits, and what tells it apart.

A new one is a module with a `SYSTEM`, and one line here.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from types import MappingProxyType

from nomos.base.language import tr
from nomos.registration.settings import RegisterError, Situation
from nomos.registration.systems import bed, floating, jig, kento, pins, translucent
from nomos.registration.systems.record import RegisterSystem

_KNOWN = {module.SYSTEM.name: module.SYSTEM for module in (kento, floating, pins, jig, bed, translucent)}
SYSTEMS: Mapping[str, RegisterSystem] = MappingProxyType(_KNOWN)


def system_called(name: str) -> RegisterSystem:
    """The record of a system.

    Parameters
    ----------
    name : as files and commands have it.

    Raises
    ------
    RegisterError : there is none of that name.
    """
    if name not in SYSTEMS:
        raise RegisterError(
            tr("There is no system called {name}; choose {systems}.", name=name, systems=", ".join(SYSTEMS))
        )
    return SYSTEMS[name]


@dataclass(frozen=True)
class SystemAdvice:
    """How well a system suits: 0 will not work, 1 with care, 2 well; and why, in a sentence."""

    system: str
    fitness: int
    reason: str


def advise(place: Situation) -> tuple[SystemAdvice, ...]:
    """Every system with how it suits, the best first; of equals the one set up with less first.

    Stiff paper goes into corners, floppy paper wants pins, large floppy sheets three
    pairs, blocks without margin a floating kento: common practice, no source.

    Parameters
    ----------
    place : sheet and margin in mm, paper, method and number of blocks.

    Returns
    -------
    One for each system.
    """
    judged = [SystemAdvice(each.name, *each.judge(place)) for each in _by_effort()]
    return tuple(sorted(judged, key=lambda each: -each.fitness))


def _by_effort() -> list[RegisterSystem]:
    return sorted(SYSTEMS.values(), key=lambda each: each.effort)
