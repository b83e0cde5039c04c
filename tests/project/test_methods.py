"""The four ways of printing from one model, and what each says before cutting."""

from collections.abc import Callable

import numpy as np
import pytest
from msgspec.structs import replace

from nomos.colour import Lab
from nomos.demo import COLD_FRAME, POTS, demo_project
from nomos.formats.pdf import drawings_pdf
from nomos.formats.svg import drawing_svg
from nomos.formats.template import templates
from nomos.formats.template_drawing import template_drawing, template_drawings
from nomos.project import Assets, Project, ProjectError, cut_blocks, digest, find, mask_request
from nomos.project.blocks.boards import board_pairs, printed_in_turn, turned_text
from nomos.project.blocks.edits import with_bare_colour, with_block
from nomos.project.blocks.jigsaw import pieces_of, with_jigsaw, with_kerf, with_light
from nomos.project.blocks.keys import carrying_text, with_shadow_side
from nomos.project.blocks.methods import METHODS, Method, method_of, with_method
from nomos.project.blocks.pulls import moved_impression
from nomos.project.check.closelook import close_findings, look_closely
from nomos.project.check.parts import loose_parts
from nomos.project.inks.colour_uncertainty import judge
from nomos.project.model.edits import with_sheet, with_workshop
from nomos.project.register.system import plan_of_system
from nomos.project.sheet.laying import impressions_to_lay, lay_sheet, sheet_labs_by_pull
from tests.conftest import proof_of

Drawn = Callable[[np.ndarray, list[Lab], float], tuple[Project, Assets]]
Demo = tuple[Project, Assets]


@pytest.mark.parametrize("method", METHODS)
@pytest.mark.parametrize("then", METHODS)
def test_every_way_leads_to_every_other(demo: Demo, method: Method, then: Method) -> None:
    project = with_method(with_method(demo[0], method, 8), then, 8)
    assert method_of(project) == then
    printed = {n for block in project.blocks for n in block.colours}
    assert printed == set(range(1, 9))


def test_a_board_has_two_faces_printed_as_far_apart_as_can_be(demo: Demo) -> None:
    project = with_method(demo[0], "twosided")
    pairs = board_pairs(project)
    assert len(pairs) == 4
    order = [pull.block for pull in project.impressions]
    assert all(order.index(back.id) - order.index(front.id) == 4 for front, back in pairs)
    assert not printed_in_turn(project)
    front, back = pairs[0]
    places = {block: place for place, block in enumerate(order)}
    moved = moved_impression(project, project.impressions[places[back.id]].id, places[front.id] + 1)
    assert printed_in_turn(moved) == ((front, back),)
    assert any("faces of one board" in finding.text for finding in find(moved, None, ()))
    odd = with_method(with_bare_colour(demo[0], 3), "twosided")
    (alone,) = [block for block in odd.blocks if block.board is None]
    assert alone.is_key
    assert "near left" in turned_text(project)
    assert "far right" in turned_text(with_workshop(project, turned="end over end"))
    with pytest.raises(ProjectError, match="two blocks"):
        with_method(replace(demo[0], blocks=demo[0].blocks[:1], impressions=demo[0].impressions[:1]), "twosided")


def test_templates_mark_the_turned_corner_the_pieces_and_the_zones(demo: Demo) -> None:
    project = with_method(demo[0], "twosided")
    request = mask_request(project, demo[1])
    assert request is not None
    made = templates(project, cut_blocks(request))
    backs = [template for template in made if template.front_corner]
    assert len(backs) == 8
    back = next(template for template in backs if template.face == "block")
    # Printed right-handed, the solid corner is at the foot on the right, the front's at the foot on the left.
    assert back.corner[0] == pytest.approx(back.size_mm)
    assert back.front_corner[0] == pytest.approx((0, back.size_mm[1]))
    assert "Back of" in back.details
    assert b"front-corner" in drawing_svg(template_drawing(back))


def test_a_jigsaw_prints_its_zones_with_the_saw_cut_white(drawn: Drawn) -> None:
    page = np.zeros((300, 400), np.uint8)
    page[50:250, 50:200], page[50:250, 200:350] = 1, 2
    labs: list[Lab] = [(96.0, 0.0, 3.0), (70.0, 30.0, 30.0), (45.0, -20.0, -30.0)]
    plain, assets = drawn(page, labs, 10.0)
    project = with_jigsaw(plain)
    request = mask_request(project, assets)
    assert request is not None
    (mask,) = cut_blocks(request).masks
    # Between two colours the saw takes its whole width, at the bare ground half of it.
    assert np.count_nonzero(mask[150, 150:250] == 0) == pytest.approx(6, abs=1)
    assert np.count_nonzero(mask[150]) == pytest.approx(300 - 6 - 6, abs=2)
    sealed = proof_of(with_kerf(project, 0.0), assets)
    np.testing.assert_allclose([m.de00 for m in sealed.matches], 0, atol=0.01)
    made = templates(with_sheet(project, (180, 120)), cut_blocks(request))
    assert {word for _, _, word in made[0].labels} == {"1", "2", "3"}
    assert len(made[0].saw) == 3 + 2
    assert drawing_svg(template_drawing(made[0])).count(b"<path") > 10
    assert drawings_pdf(template_drawings(made), "Blocks")[:5] == b"%PDF-"
    with pytest.raises(ProjectError, match="at least two"):
        with_jigsaw(with_bare_colour(plain, 1))


def test_a_jigsaw_under_a_key_is_sawn_along_the_middle_of_its_lines(demo: Demo) -> None:
    project = with_method(demo[0], "jigsaw", 8)
    proof = proof_of(project, demo[1])
    assert len(project.impressions) == 2
    # The key hides the cuts: hardly any of its own area shows paper beside it.
    assert proof.mean_de00 < 4


def test_the_light_parts_a_colour_into_tint_and_shade(drawn: Drawn) -> None:
    page = np.zeros((200, 400), np.uint8)
    for place in range(3):
        page[60:140, 40 + 90 * place : 120 + 90 * place] = 1
    plain, assets = drawn(page, [(96.0, 0.0, 3.0), (55.0, 30.0, 30.0)], 4.0)
    lit, png = with_light(plain, page, 1, 180.0)
    assert lit.flat is not None
    light, dark = lit.flat.colours[2], lit.flat.colours[3]
    assert light.lab[0] > 55 > dark.lab[0]
    assert (light.name, dark.name) == ("Colour 1, light", "Colour 1, dark")
    request = mask_request(lit, {**assets, lit.flat.labels: png})
    assert request is not None
    labels = cut_blocks(request).labels
    # From the left: the left field is the tint, the right one the shade.
    assert (labels[100, 80], labels[100, 170], labels[100, 260]) == (2, 1, 3)
    with pytest.raises(ProjectError, match="nowhere"):
        with_light(plain, np.where(page == 1, 0, page).astype(np.uint8), 1, 90.0)


def test_a_cut_out_plate_falls_into_parts(drawn: Drawn) -> None:
    page = np.full((200, 300), 1, np.uint8)
    page[50:150, 40:100], page[50:150, 200:260], page[80:120, 60:80] = 2, 2, 1
    plain, assets = drawn(page, [(96.0, 0.0, 3.0), (70.0, 30.0, 30.0), (40.0, 0.0, -30.0)], 4.0)
    project = with_method(plain, "reduction")
    request = mask_request(project, assets)
    assert request is not None
    blocks = cut_blocks(request)
    assert loose_parts(project, blocks) == ()
    first, last = loose_parts(with_workshop(project, cut_out=True), blocks)
    assert (first.parts, first.windows) == (1, 0)
    assert (last.parts, last.windows) == (2, 1)


def test_a_print_without_pulls_is_its_paper_and_surely_so(little: tuple[Project, Assets]) -> None:
    project, assets = little
    project = replace(project, impressions=())
    request = mask_request(project, assets)
    assert request is not None
    blocks = cut_blocks(request)
    laid = lay_sheet(blocks, impressions_to_lay(project))
    labs = sheet_labs_by_pull(project, laid)
    assert len(labs) == 1
    assert labs == pytest.approx(np.broadcast_to(labs[0, 0], labs.shape))
    assert (judge(project).fields.within == 0).all()
    assert look_closely(project, request, blocks, laid).sharing.groups == ()


@pytest.mark.parametrize("scenario", [COLD_FRAME, POTS], ids=["reduction", "jigsaw"])
def test_a_close_look_says_what_to_know_before_cutting(scenario: object) -> None:
    project, assets = demo_project(scenario)  # type: ignore[arg-type] # parametrised
    request = mask_request(project, assets)
    assert request is not None
    proof = proof_of(project, assets)
    look = look_closely(project, request, proof.blocks, proof.laid)
    texts = [finding.text for finding in close_findings(project, look)]
    words = "inked apart" if scenario is COLD_FRAME else "white hairlines"
    assert any(words in text for text in texts)


def test_a_misregister_opens_less_with_a_trap_than_without(demo: Demo) -> None:
    project, assets = demo
    request = mask_request(project, assets)
    assert request is not None
    proof = proof_of(project, assets)
    look = look_closely(project, request, proof.blocks, proof.laid)
    assert 0 < look.opened.with_mm2 < look.opened.without_mm2
    exact = look_closely(replace(project, tolerance_mm=0.0), request, proof.blocks, proof.laid)
    assert exact.opened.with_mm2 == 0


def test_the_drawing_is_carried_by_the_key_or_by_one_tracing(demo: Demo) -> None:
    project = demo[0]
    assert "Pull 8 impressions" in carrying_text(project)
    assert carrying_text(with_workshop(project, carried="tracing")).startswith("Trace the drawing once")
    keyless = with_block(project, project.impressions[-1].block, is_key=False)
    assert carrying_text(keyless).startswith("Trace")


def test_writing_is_asked_and_answered_once(demo: Demo) -> None:
    (asked,) = [f for f in find(demo[0], None, ()) if "writing" in f.text]
    assert asked.cure is not None
    assert asked.other is not None
    assert any("reversed on every block" in f.text for f in find(asked.cure.edit(demo[0]), None, ()))
    assert not any("writing" in f.text for f in find(asked.other.edit(demo[0]), None, ()))


def test_a_shadow_key_lies_on_the_side_away_from_the_light_alone(demo: Demo) -> None:
    project, assets = demo
    labels = proof_of(project, assets).blocks.labels
    shaded, png = with_shadow_side(project, labels, (5,), 180.0)
    key = next(n for n, block in enumerate(shaded.blocks) if block.is_key)
    request = mask_request(shaded, {**assets, digest(png): png})
    assert request is not None
    mask = cut_blocks(request).masks[key]
    assert mask.any()
    assert not mask[labels != 5].any()
    share = mask.sum() / (labels == 5).sum()
    assert 0.1 < share < 0.42


@pytest.mark.parametrize("face", [0, 1], ids=["block", "tracing"])
def test_the_number_on_a_piece_is_its_own(drawn: Drawn, face: int) -> None:
    page = np.zeros((300, 400), np.uint8)
    page[50:250, 50:200], page[50:250, 200:350] = 1, 2
    plain, assets = drawn(page, [(96.0, 0.0, 3.0), (70.0, 30.0, 30.0), (45.0, -20.0, -30.0)], 10.0)
    project = with_sheet(with_jigsaw(plain), (180, 120))
    request = mask_request(project, assets)
    assert request is not None
    blocks = cut_blocks(request)
    made = templates(project, blocks)[face]
    colours = {str(piece.number): piece.colour for piece in pieces_of(project, blocks.labels, 10.0)}
    plan, _ = plan_of_system(project)
    assert plan is not None
    for x, y, word in made.labels:
        # A block face up is the mirror image of the print.
        across = plan.block.right - x if made.face == "block" else x + plan.block.left
        column, row = (across - project.image.left) * 10, (y + plan.block.top - project.image.top) * 10
        assert page[round(row), round(column)] == colours[word]


def test_the_parts_that_fall_out_of_a_plate_are_shown_where_they_lie(drawn: Drawn) -> None:
    page = np.full((200, 300), 1, np.uint8)
    page[50:150, 40:100], page[50:150, 200:260], page[20:40, 120:140] = 2, 2, 2
    plain, assets = drawn(page, [(96.0, 0.0, 3.0), (70.0, 30.0, 30.0), (40.0, 0.0, -30.0)], 4.0)
    plate = with_workshop(with_method(plain, "reduction"), cut_out=True)
    request = mask_request(plate, assets)
    assert request is not None
    blocks = cut_blocks(request)
    for each in loose_parts(plate, blocks):
        mask = blocks.masks[plate.number_of(plate.impression(each.pull).block)]
        assert len(each.places) == each.parts - 1
        # Each place lies on a part of its own.
        at = [(round(y * 4 - 0.5), round(x * 4 - 0.5)) for x, y in each.places]
        assert all(mask[place] for place in at)
        assert len({place[1] // 100 + 10 * (place[0] < 45) for place in at}) == len(at)
        # And in its middle, within a millimetre.
        middles = {(100, 70), (100, 230), (30, 130)}
        assert all(min(abs(row - y) + abs(column - x) for y, x in middles) <= 8 for row, column in at)
