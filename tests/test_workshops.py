"""Twelve workshops, every method, system, vehicle, tool, material and way of pressing among them: what they are told.

Read line by line after `make golden`: nothing may be said that the way of working at hand has no use for.
"""

from itertools import cycle, islice

import pytest
from msgspec.structs import replace

from nomos.carving import MATERIALS
from nomos.cli.common import answers
from nomos.colour.vehicles import VEHICLES
from nomos.edition.inking_tools import INKING_TOOLS
from nomos.edition.pressings import PRESSINGS
from nomos.project import Assets, Project
from nomos.project.blocks.keys import carrying_text
from nomos.project.blocks.methods import METHODS, with_method
from nomos.project.blocks.pulls import between_pulls
from nomos.project.edition.card import pull_card
from nomos.project.edition.carving import with_craft
from nomos.project.register.system import with_register
from nomos.registration import SYSTEMS
from nomos.work.cut import cut_of
from nomos.work.review import review
from tests.test_golden import frozen

WORKSHOPS = tuple(
    islice(
        zip(*(cycle(some) for some in (METHODS, SYSTEMS, VEHICLES, INKING_TOOLS, PRESSINGS, MATERIALS)), strict=False),
        12,
    )
)


@pytest.mark.parametrize("ways", WORKSHOPS, ids=lambda ways: "-".join(ways[:3]).replace(" ", "_"))
def test_a_workshop_is_told_what_is_of_use_to_it(ways: tuple[str, ...], little: tuple[Project, Assets]) -> None:
    method, system, vehicle, tool, pressing, material = ways
    project = with_register(with_method(little[0], method), system=system)
    project = with_craft(project, material=material)
    pulls = tuple(
        replace(pull, printing=pressing, zones=tuple(replace(zone, tool=tool) for zone in pull.zones))
        for pull in project.impressions
    )
    inks = tuple(replace(ink, vehicle=vehicle) for ink in project.inks)
    project = replace(project, impressions=pulls, inks=inks)
    cut, ask = cut_of(project, little[1]), answers()
    assert cut is not None
    card = pull_card(project, ask(cut), 0)
    told = {
        "ways": list(ways),
        "findings": [f"{each.weight}: {each.text} {each.remedy}" for each in review(project, little[1], ask)],
        "carrying": carrying_text(project),
        "between": list(between_pulls(project)),
        "card": [card.title, card.inks, card.amount, *(f"{step.name}: {' '.join(step.said)}" for step in card.steps),
                 *card.cautions, card.after],
    }  # fmt: skip
    frozen(f"workshop-{'-'.join(ways[:3])}".replace(" ", "_"), told)
