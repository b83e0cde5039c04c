"""What the zones of a block are inked with, on its template."""

from msgspec.structs import replace

from nomos.formats.template import templates
from nomos.project import Assets, Project, cut_blocks, mask_request
from nomos.project.model import Zone
from nomos.project.sheet.laying import zone_places


def test_zones_are_labelled_where_they_lie_though_the_block_prints_flat_first(little: tuple[Project, Assets]) -> None:
    """A block printed twice, in zones the second time: each label is the ink of the zone it stands in."""
    request = mask_request(*little)
    assert request is not None
    blocks = cut_blocks(request)
    project = little[0]
    first = project.impressions[0]
    block = project.block(first.block)
    inks = [project.impressions[n].main.ink for n in (1, 2)]
    left, middle = project.image.left, (project.image.left + project.image.right) / 2
    half = ((left, 0.0), (middle, 0.0), (middle, 200.0), (left, 200.0))
    zones = (Zone(inks[0]), Zone(inks[1], areas=(half,)))
    again = replace(first, id="again", zones=zones)
    project = replace(project, impressions=(first, again, *project.impressions[1:]))
    template = next(
        each for each in templates(project, blocks) if each.face == "tracing" and block.name in each.heading
    )
    # The sheet's own corner on the template, and the image's on the sheet.
    corner = template.sheet[0]
    origin = corner[0] + project.image.left, corner[1] + project.image.top
    words = {word: x for x, _, word in template.labels}
    assert set(words) == {project.ink(ink).name for ink in inks}
    zone_of = zone_places(project, blocks, again)
    mask = blocks.masks[project.number_of(block.id)]
    for x, y, word in template.labels:
        at = int((y - origin[1]) * blocks.px_per_mm), int((x - origin[0]) * blocks.px_per_mm)
        assert mask[at]
        assert project.ink(zones[zone_of[at]].ink).name == word
