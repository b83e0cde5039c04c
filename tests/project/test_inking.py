"""Zones drawn by hand, further passes of a block or a state: where the ink lies, and how much of it."""

from itertools import pairwise

import numpy as np
import pytest
from hypothesis import example, given, settings
from hypothesis import strategies as st
from msgspec.structs import replace
from shapely import Polygon

from nomos.project import Assets, Project, ProjectError, cut_blocks, impressions_to_lay, lay_sheet, mask_request
from nomos.project.blocks.inking import (
    drawn_further,
    field_outlines,
    stroke_outlines,
    with_zone_changed,
    with_zone_drawn,
    without_zone,
)
from nomos.project.blocks.methods import with_method
from nomos.project.blocks.pulls import between_pulls, moved_impression
from nomos.project.blocks.reduction import cut_before, passes, with_reduction
from nomos.project.blocks.zones import printed_again, with_grade
from nomos.project.edition.sheets import buying_list, zone_need
from nomos.project.inks.films import FilmKey
from nomos.project.model import Grade
from nomos.project.model.edits import with_pull, with_workshop
from nomos.project.order.days import runs_of
from nomos.project.register.edits import with_offset
from nomos.project.sheet.laying import inked_zones, lay_one_more, sheet_labs
from nomos.project.sheet.masks import CutBlocks
from nomos.proof import Misregister
from nomos.separation.touch import Touch

Demo = tuple[Project, Assets]


def cut(demo: Demo, project: Project) -> CutBlocks:
    request = mask_request(project, demo[1])
    assert request is not None
    return cut_blocks(request)


def box(left: float, top: float, right: float, bottom: float) -> tuple[tuple[float, float], ...]:
    return ((left, top), (right, top), (right, bottom), (left, bottom))


def middle_box(project: Project) -> tuple[tuple[float, float], ...]:
    image = project.image
    x, y = (image.left + image.right) / 2, (image.top + image.bottom) / 2
    return box(x - 15, y - 10, x + 15, y + 10)


def films_at(project: Project, blocks: CutBlocks, x_mm: float, y_mm: float) -> set[FilmKey]:
    """What lies at a place of the sheet."""
    laid = lay_sheet(blocks, impressions_to_lay(project))
    row = round((y_mm - project.image.top) * laid.px_per_mm) + laid.pad_px
    column = round((x_mm - project.image.left) * laid.px_per_mm) + laid.pad_px
    members = laid.map.members[laid.map.index[row, column]]
    return {key for key, on in zip(laid.films, members, strict=True) if on}


def place_printed_by(project: Project, blocks: CutBlocks, pull: str) -> tuple[float, float]:
    """A place well inside what a pull prints, mm on the sheet."""
    import cv2

    mask = blocks.masks[project.number_of(project.impression(pull).block)]
    depth = cv2.distanceTransform(np.pad(mask, 1), cv2.DIST_L2, 5)[1:-1, 1:-1]
    y, x = np.unravel_index(int(depth.argmax()), depth.shape)
    return project.image.left + x / blocks.px_per_mm, project.image.top + y / blocks.px_per_mm


def around(x: float, y: float, half: float) -> tuple[tuple[float, float], ...]:
    return box(x - half, y - half, x + half, y + half)


def test_a_zone_drawn_by_hand_is_inked_apart_there_and_nowhere_else(little: Demo) -> None:
    project = little[0]
    pull = project.impressions[0].id
    blocks = cut(little, project)
    x, y = place_printed_by(project, blocks, pull)
    drawn = with_zone_drawn(project, pull, (around(x, y, 2),), "inked")
    assert FilmKey(pull, 1) in films_at(drawn, blocks, x, y)
    assert FilmKey(pull, 0) not in films_at(drawn, blocks, x, y)
    zones = inked_zones(drawn, blocks, drawn.impression(pull))
    assert zones[1].area_mm2 == pytest.approx(16, rel=0.1)
    assert sum(each.area_mm2 for each in zones) == pytest.approx(blocks.areas_mm2[0], rel=1e-6)


def test_a_pull_laid_last_gives_the_sheet_that_all_give_at_once(little: Demo) -> None:
    """As while a hand moves one pull: the others are laid once."""
    graded = with_grade(little[0], little[0].impressions[0].id, 0, Grade((20, 20), (60, 60), 0.2))
    project = with_offset(graded, graded.impressions[0].id, Misregister(0.7, -0.4))
    blocks, pulls = cut(little, project), impressions_to_lay(project)
    whole = lay_sheet(blocks, pulls)
    for place, moved in enumerate(pulls):
        later = lay_one_more(blocks, lay_sheet(blocks, (*pulls[:place], *pulls[place + 1 :])), moved)
        one, other = (sheet_labs(project, laid)[laid.map.index] for laid in (later, whole))
        np.testing.assert_array_equal(one, other)
        assert later.meetings.sum() == whole.meetings.sum()


@pytest.mark.parametrize("what", ["uninked", "wiped"])
def test_what_is_left_bare_or_wiped_prints_nothing_and_takes_no_ink(little: Demo, what: str) -> None:
    project = little[0]
    pull = project.impressions[0].id
    blocks = cut(little, project)
    x, y = place_printed_by(project, blocks, pull)
    drawn = with_zone_drawn(project, pull, (around(x, y, 3),), what)  # type: ignore[arg-type] # the two words
    if what == "wiped":
        drawn = with_zone_changed(drawn, pull, 1, soft_mm=0.0)
    assert not any(key.pull == pull for key in films_at(drawn, blocks, x, y))
    assert zone_need(drawn, blocks, FilmKey(pull, 1), 20).batch_g == 0
    before = zone_need(project, blocks, FilmKey(pull, 0), 20).on_paper_g
    after = zone_need(drawn, blocks, FilmKey(pull, 0), 20).on_paper_g
    assert after < before


def test_a_wiped_edge_is_soft(little: Demo) -> None:
    """From the zone's edge inwards the ink fades to nothing over the width that is said."""
    project = little[0]
    pull = project.impressions[0].id
    blocks = cut(little, project)
    x, y = place_printed_by(project, blocks, pull)
    wiped = with_zone_drawn(project, pull, (around(x, y, 6),), "wiped")
    wiped = with_zone_changed(wiped, pull, 1, soft_mm=4.0)
    steps = {
        distance: max((key.step for key in films_at(wiped, blocks, x + 6 - distance, y) if key.zone == 1), default=0)
        for distance in (0.5, 2.0, 5.5)
    }
    assert steps[0.5] > steps[2.0] > steps[5.5] == 0


def test_local_inking_leaves_the_rest_of_the_block_bare(little: Demo) -> None:
    project = little[0]
    pull = project.impressions[0].id
    blocks = cut(little, project)
    x, y = place_printed_by(project, blocks, pull)
    local = with_zone_drawn(project, pull, (around(x, y, 2),), "only")
    laid = lay_sheet(blocks, impressions_to_lay(local))
    printed = laid.map.pixels[laid.printed_by(pull)].sum() / laid.px_per_mm**2
    assert printed == pytest.approx(16, rel=0.1)
    assert without_zone(local, pull, 1).impression(pull).zones == project.impression(pull).zones


def test_a_field_with_a_hole_is_one_outline_without_the_hole(little: Demo) -> None:
    project = little[0]
    labels = np.zeros((120, 120), np.uint8)
    labels[20:100, 20:100] = 1
    labels[50:70, 50:70] = 2
    (outline,) = field_outlines(project, labels, 2.0, 30, 30)
    assert abs(Polygon(outline).buffer(0).area) == pytest.approx((80 * 80 - 20 * 20) / 4, rel=0.02)


@settings(max_examples=25, deadline=None)
@given(
    st.lists(st.tuples(st.floats(0, 60), st.floats(0, 60)), min_size=2, max_size=12),
    st.floats(0.5, 12),
    st.sampled_from(["brush", "line"]),
)
@example([(0.0, 1.0), (0.0, 3.62035743201865e-183), (1.0, 0.0), (0.0, 0.0)], 1.0, "brush")
def test_a_stroke_covers_its_own_path(points: list[tuple[float, float]], width: float, tool: str) -> None:
    try:
        outlines = stroke_outlines(Touch(tool, tuple(points), width))  # type: ignore[arg-type] # two of the tools
    except ProjectError:
        assert tool == "line"
        return
    area = sum(Polygon(ring).buffer(0).area for ring in outlines)
    long = float(np.hypot(*np.subtract(points[-1], points[0])))
    assert area >= long * width * 0.9 - 1


def test_another_wash_of_the_same_block_has_a_name_and_one_batch(little: Demo) -> None:
    project = little[0]
    pull = project.impressions[0].id
    again = printed_again(project, pull)
    second = again.impressions[1]
    assert again.pull_name(second.id) == f"{again.pull_name(pull)}, pass 2"
    named = with_pull(again, second.id, name="Slate, 2nd wash")
    assert named.pull_name(second.id) == "Slate, 2nd wash"
    blocks = cut(little, named)
    lines = [line.what for line in buying_list(named, blocks) if line.what.startswith("Ink ")]
    # Both passes are mixed once; another strength of the second still is the same ink.
    assert len(lines) == len({project.ink(each.main.ink).name for each in project.impressions})


def test_ink_of_a_graded_zone_is_that_of_its_mean(little: Demo) -> None:
    """Against numerical integration of the strength over what the block prints."""
    project = little[0]
    pull = project.impressions[0].id
    image = project.image
    grade = Grade((image.left, image.top), (image.right, image.bottom), 0.2, curve=2.0)
    graded = with_grade(project, pull, 0, grade)
    blocks = cut(little, graded)
    mask = blocks.masks[project.number_of(project.impressions[0].block)]
    rows, columns = np.nonzero(mask)
    x, y = (columns + 0.5) / blocks.px_per_mm, (rows + 0.5) / blocks.px_per_mm
    along = np.array((image.width, image.height))
    share = np.clip((x * along[0] + y * along[1]) / (along @ along), 0, 1) ** 2
    wanted = float((1 + share * (0.2 - 1)).mean())
    need = zone_need(graded, blocks, FilmKey(pull, 0), 20)
    assert need.ink_g / need.batch_g == pytest.approx(wanted, rel=0.01)


def flat_graded_white(project: Project) -> tuple[Project, str]:
    """The first state flat, then graded over part of it, then white, then white along the edge."""
    first = project.impressions[0].id
    image = project.image
    project = with_zone_changed(project, first, 0, strength=0.4)
    project = printed_again(project, first)
    second = project.impressions[1].id
    down = Grade((image.left, image.top), (image.left, image.bottom), 0.0)
    project = with_grade(project, second, 0, down)
    project = with_zone_drawn(project, second, (middle_box(project),), "uninked")
    project = printed_again(project, second)
    third = project.impressions[2].id
    project = without_zone(project, third, 1)
    project = with_grade(project, third, 0, None)
    white = project.impression(third).main.ink
    inks = tuple(
        replace(ink, name="White", lab=(95.0, 0.0, 1.0), opacity="opaque") if ink.id == white else ink
        for ink in project.inks
    )
    project = with_zone_changed(replace(project, inks=inks), third, 0, strength=0.3)
    project = printed_again(project, third)
    fourth = project.impressions[3].id
    edge = Grade((image.left, image.top), (image.right, image.top), 0.0, edge_mm=3.0, outer=True)
    return with_grade(project, fourth, 0, edge), first


def test_the_whole_chain_of_washes_is_planned_in_one_reduction(little: Demo) -> None:
    """Flat, graded over part, thin white, white along the edges, then cut further: every answer has it."""
    reduced = with_method(little[0], "reduction", None)
    project, first = flat_graded_white(reduced)
    state = project.impression(first).block
    assert [pull.block for pull in project.impressions[:5]].count(state) == 4
    assert cut_before(project)[:4] == ((), (), (), ())
    assert cut_before(project)[4]
    assert ["cut away" in note for note in between_pulls(project)[:4]] == [False, False, False, True]
    assert [run.cut_before for run in runs_of(project)[:5]] == [False, False, False, False, True]
    blocks = cut(little, project)
    laid = lay_sheet(blocks, impressions_to_lay(project))
    for pulls in range(1, 5):
        after, before = sheet_labs(project, laid, pulls), sheet_labs(project, laid, pulls - 1)
        # Each wash is seen on the sheet.
        assert np.abs(after - before).max() > 1
    assert all(zone_need(project, blocks, FilmKey(pull.id, 0), 20).ink_g > 0 for pull in project.impressions[:4])


def test_working_the_inks_out_anew_keeps_the_passes(little: Demo) -> None:
    project, _ = flat_graded_white(with_method(little[0], "reduction", None))
    anew = with_reduction(project)
    assert [pull.id for pull in anew.impressions] == [pull.id for pull in project.impressions]
    assert anew.impressions[1:4] == project.impressions[1:4]


@settings(max_examples=30, deadline=None)
@given(st.data())
def test_the_passes_of_a_state_stay_together_wherever_a_pull_is_moved(little: Demo, data: st.DataObject) -> None:
    """And each state goes on standing for all that comes after it."""
    project, _ = flat_graded_white(with_method(little[0], "reduction", None))
    for _ in range(3):
        moving = data.draw(st.sampled_from([pull.id for pull in project.impressions]))
        project = moved_impression(project, moving, data.draw(st.integers(0, 9)))
        order = [pull.block for pull in project.impressions]
        grouped = [block for some in passes(project.impressions) for block in [some[0].block] * len(some)]
        assert order == grouped
        states = [set(project.block(some[0].block).colours) for some in passes(project.impressions)]
        assert all(later < earlier for earlier, later in pairwise(states))


def test_no_more_inks_than_can_be_kept_wet_share_a_block_unasked(little: Demo) -> None:
    from nomos.project.blocks.zones import merged_pulls

    project = with_workshop(little[0], most_zones=1)
    pulls = [pull.id for pull in project.impressions if not project.block(pull.block).is_key][:2]
    with pytest.raises(ProjectError, match="can be inked before"):
        merged_pulls(project, pulls, [pull.id for pull in project.impressions if pull.id != pulls[1]])


def test_only_a_drawn_zone_grows_by_drawing(little: Demo) -> None:
    project = little[0]
    pull = project.impressions[0].id
    with pytest.raises(ProjectError, match="drawn by hand"):
        drawn_further(project, pull, 0, (middle_box(project),))
    drawn = with_zone_drawn(project, pull, (middle_box(project),), "inked")
    grown = drawn_further(drawn, pull, 1, (box(0, 0, 9, 9),))
    assert len(grown.impression(pull).zones[1].areas) == 2


def test_twelve_inks_on_one_block_are_twelve_rollers_and_wash_ups(little: Demo) -> None:
    """Time, rollers and cleaning go by every zone, not by the first."""
    from nomos.order.washing import rollers_for
    from nomos.project.blocks.pulls import inked_with
    from nomos.project.order.days import pull_minutes

    project = little[0]
    first = project.impressions[0]
    inks = [
        replace(project.inks[0], id=f"own{n}", name=f"Ink {n}", lab=(20.0 + 6 * n, 30.0, 9.0 * n)) for n in range(12)
    ]
    zones = [replace(first.zones[0], ink=inks[0].id)]
    zones += [replace(zones[0], ink=ink.id, areas=(box(4.0 * n, 0, 4.0 * n + 3, 9),)) for n, ink in enumerate(inks)][1:]
    pulls = (replace(first, zones=tuple(zones)), *project.impressions[1:])
    many = replace(project, inks=(*inks, *project.inks), impressions=pulls)
    labs = [[ink.lab for ink in inked_with(many, pull)] for pull in many.impressions]
    shared = rollers_for(labs, 1)
    assert shared.needed == len(set(shared.roller[0])) == 12
    run = runs_of(many)[0]
    assert run.washes * (run.after != "none") >= 10
    assert pull_minutes(many, many.impressions[0]) > 4 * pull_minutes(project, first)


def test_water_based_colour_on_damp_paper_goes_back_into_the_pack(little: Demo) -> None:
    inks = tuple(replace(ink, vehicle="water-based with paste", drying_h=24.0) for ink in little[0].inks)
    project = replace(little[0], inks=inks, times=replace(little[0].times, damp=True))
    runs = runs_of(project)
    assert [run.drying_h for run in runs[:-1]] == [0.0] * (len(runs) - 1)
    assert runs[-1].drying_h > 0
    assert all(note.endswith("back into the damp pack") for note in between_pulls(project))


def test_the_only_place_inked_is_drawn_anew_for_a_smaller_wash(little: Demo) -> None:
    project, pull = little[0], little[0].impressions[0].id
    large, small = around(40, 50, 20), around(40, 50, 8)
    local = with_zone_drawn(project, pull, (large,), "only")
    smaller = with_zone_drawn(local, pull, (small,), "only")
    assert [zone.areas for zone in smaller.impression(pull).zones] == [(), (small,)]
    assert smaller.impression(pull).zones[0].bare == "uninked"
    with pytest.raises(ProjectError, match="several zones"):
        with_zone_drawn(with_zone_drawn(project, pull, (large,), "inked"), pull, (small,), "only")
