"""Where a pull changes what is printed already."""

import numpy as np
from msgspec.structs import replace

from nomos.project import Assets, CutBlocks, Project, impressions_to_lay, lay_sheet
from nomos.project.sheet.changes import overprinted

Demo = tuple[Project, Assets]


def area(ring: tuple[tuple[float, float], ...]) -> float:
    x, y = np.array(ring).T
    return float(abs(x @ np.roll(y, 1) - y @ np.roll(x, 1)) / 2)


def test_only_what_lies_on_ink_and_is_seen_is_outlined(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = demo[0]
    # A second pass of the first colour's block, later and as dark as slate: all of it lies on ink.
    first, slate = project.impressions[0], project.impressions[4]
    again = replace(first, id="again", zones=(replace(first.zones[0], ink=slate.zones[0].ink),))
    twice = replace(project, impressions=(first, again, *project.impressions[1:]))
    laid = lay_sheet(demo_blocks, impressions_to_lay(twice))
    rings = overprinted(twice, laid, 2)
    printed = laid.printed_by(first.id)[laid.inner].sum() / laid.px_per_mm**2
    outer = sum(sorted((area(ring) for ring in rings), reverse=True))
    assert 0.7 * printed < outer < 1.6 * printed
    # The first pull lies on paper alone, a key is there to cover, and there is none after the last.
    assert overprinted(twice, laid, 1) == ()
    assert overprinted(twice, laid, len(twice.impressions)) == ()
    assert overprinted(twice, laid, len(twice.impressions) + 1) == ()
    # In ink that is not seen on it nothing is outlined.
    pale = replace(again, zones=(replace(again.zones[0], strength=0.0),))
    faint = replace(twice, impressions=(first, pale, *project.impressions[1:]))
    assert overprinted(faint, lay_sheet(demo_blocks, impressions_to_lay(faint)), 2) == ()
