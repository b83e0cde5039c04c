"""How far ink may stray unseen, and inks that stand too near each other on a block."""

import numpy as np
import pytest
from msgspec.structs import replace

from nomos.project import Assets, Project, impressions_to_lay, lay_sheet
from nomos.project.blocks.inking import with_own_ink, with_zone_drawn
from nomos.project.check.inking import inking_findings, look_at_inking, stray_lines
from nomos.project.model import Block, Flat, Impression, Ink, Paper, WantedColour, Zone
from nomos.project.model.edits import with_workshop
from nomos.project.sheet.masks import CutBlocks
from nomos.registration import Rect
from nomos.work import held
from tests.project.test_inking import around, cut, place_printed_by

Demo = tuple[Project, Assets]


def test_ink_may_stray_as_far_as_a_later_block_hides_it(little: Demo) -> None:
    """Against distances reckoned by hand: an opaque band beside a wash hides what runs under it."""
    project = little[0]
    blocks = cut(little, project)
    look = look_at_inking(project, blocks)
    assert look.strays
    for pull, stray in look.strays.items():
        assert stray.half_mm >= 0, pull
        assert 0 <= stray.tight <= 1
    # A sheet that may lie further out leaves less room to be careless.
    careless = replace(project, tolerance_mm=0.0)
    strict = replace(project, tolerance_mm=1.5)
    loose, tight = look_at_inking(careless, blocks).strays, look_at_inking(strict, blocks).strays
    both = loose.keys() & tight.keys()
    assert both
    assert all(tight[pull].half_mm <= loose[pull].half_mm for pull in both)


def test_a_wash_under_an_opaque_block_may_be_messy_there() -> None:
    """A square of wash with an opaque frame of 6 mm printed over its surroundings: 6 mm of freedom."""
    px = 4.0
    labels = np.zeros((200, 200), np.uint8)
    labels[40:160, 40:160] = 2
    labels[64:136, 64:136] = 1
    colours = (
        WantedColour("Paper", (95.0, 0.0, 2.0)),
        WantedColour("Wash", (80.0, 5.0, 40.0)),
        WantedColour("Frame", (30.0, 0.0, 0.0)),
    )
    project = Project(
        "Frame", Paper("Paper", (95.0, 0.0, 2.0), 60, 60), Rect(5, 5, 55, 55),
        flat=Flat("0" * 64, colours, 3, 0.3, 0, 0.0),
        inks=(Ink("w", "Wash", (80.0, 5.0, 40.0)), Ink("f", "Frame", (20.0, 0.0, 0.0), "opaque")),
        blocks=(Block("wash", "Wash", (1,)), Block("frame", "Frame", (2,))),
        impressions=(Impression("1", "wash", (Zone("w"),)), Impression("2", "frame", (Zone("f"),))),
        tolerance_mm=0.5,
    )  # fmt: skip
    masks = tuple((labels == n).astype(np.uint8) for n in (1, 2))
    look = look_at_inking(project, CutBlocks(labels, masks, px, masks))
    stray = look.strays["1"]
    assert stray.half_mm == pytest.approx(6.0 - 0.5, abs=0.4)
    assert stray.tight == 0
    laid = lay_sheet(CutBlocks(labels, masks, px, masks), impressions_to_lay(project))
    lines = stray_lines(project, laid, "1")
    xs, ys = zip(*(point for line in lines for point in line), strict=True)
    assert min(xs) == pytest.approx(5 + 10 + 0.5, abs=0.4)
    assert max(ys) == pytest.approx(5 + 40 - 0.5, abs=0.4)
    assert "loosely" in stray.text


def test_inks_that_stand_too_near_and_too_many_are_found(little: Demo) -> None:
    project = little[0]
    blocks = cut(little, project)
    pull = project.impressions[0].id
    assert inking_findings(project, blocks) == ()
    place = place_printed_by(project, blocks, pull)
    drawn = with_zone_drawn(project, pull, (around(*place, 6),), "inked")
    assert inking_findings(drawn, blocks) == ()
    apart = with_own_ink(drawn, pull, 1)
    (finding,) = inking_findings(apart, blocks)
    assert "meet on the block" in finding.text
    assert finding.place_mm is not None
    assert apart.inks[-1].name != project.ink(project.impressions[0].zones[0].ink).name
    strict = with_workshop(apart, most_zones=1)
    assert any("2 inks at once" in each.text for each in inking_findings(strict, blocks))
    # What is cut of a project with zones drawn by hand can be asked for without their inks.
    assert held(apart, "flat", "blocks", "order").impressions[0].zones[1].areas
