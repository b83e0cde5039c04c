"""View states and the viewport, without a window."""

from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from nomos.project import Assets, CutBlocks, Project, impressions_to_lay, lay_sheet, prove
from nomos.project.blocks.edits import with_bare_colour, with_block
from nomos.project.blocks.plans import PROCESS_INKS, nearest_reachable, solver_request
from nomos.project.blocks.pulls import moved_impression
from nomos.project.register.edits import with_offset
from nomos.proof import Misregister
from nomos.separation.solver import solve
from nomos.ui.frame import colours
from nomos.ui.frame import view as frame
from nomos.ui.frame.sheet_view import on_print, place_text, sheet_content
from nomos.ui.frame.state import UiState
from nomos.ui.frame.viewport import Viewport, fitted, tick_step
from nomos.ui.stations.blocks.plans_view import plan_cards, plan_chart, reach_rows
from nomos.ui.stations.order.usual_view import order_view, usual_cards
from nomos.work.plans import Found, PlanFigures

Demo = tuple[Project, Assets]


@given(st.floats(0.2, 50), st.floats(-500, 500), st.floats(-500, 500), st.floats(0.3, 3))
def test_zooming_keeps_the_place_under_the_pointer(scale: float, x: float, y: float, factor: float) -> None:
    view = Viewport(scale, 12, -7)
    place = view.to_sheet(x, y)
    assert view.zoomed(scale * factor, x, y).to_sheet(x, y) == pytest.approx(place, abs=1e-6)
    assert view.to_screen(*place) == pytest.approx((x, y), abs=1e-6)


def test_a_fitted_sheet_is_inside_its_margins() -> None:
    view = fitted((-12, 0, 200, 272), (780, 700), (50, 40, 30, 20))
    for x, y in ((-12, 0), (200, 272)):
        sx, sy = view.to_screen(x, y)
        assert 50 - 1e-6 <= sx <= 750 + 1e-6
        assert 40 - 1e-6 <= sy <= 680 + 1e-6


@pytest.mark.parametrize("scale", [0.2, 1.0, 2.4, 7.0, 30.0])
def test_ruler_figures_keep_apart(scale: float) -> None:
    step, labelled = tick_step(scale)
    assert step * scale >= 6 or step == 200
    assert step * labelled * scale >= 48


@given(st.floats(0, 100), st.floats(0, 90), st.floats(0, 359))
def test_lightness_chroma_hue_go_there_and_back(lightness: float, chroma: float, hue: float) -> None:
    lab = colours.from_lch(lightness, chroma, hue)
    back = colours.to_lch(lab)
    assert back[:2] == pytest.approx((lightness, chroma), abs=1e-6)
    assert colours.from_lch(*back) == pytest.approx(lab, abs=1e-6)


def test_the_strip_carries_the_answers(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = demo[0]
    proof = prove(project, demo_blocks, lay_sheet(demo_blocks, impressions_to_lay(project)))
    tabs = {tab.station: tab for tab in frame.station_tabs(project, proof, UiState("inks"), 10)}
    assert tabs["design"].answer == "9 colours, 180 × 240 mm"
    assert tabs["blocks"].answer == "8 blocks, 4 findings"
    assert tabs["order"].answer == "8 pulls, 10 days"
    assert tabs["register"].answer == "kento, ±0.4 mm"
    assert tabs["inks"].chosen
    moved = with_offset(project, project.impressions[0].id, Misregister(0.5))
    assert frame.station_tabs(moved, proof, UiState())[4].answer == "kento, ±0.4 mm, 1 out"
    assert frame.station_tabs(None, None, UiState())[0].answer == "open a sketch"


def test_the_ladder_grows_from_bare_paper_to_the_print(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = demo[0]
    proof = prove(project, demo_blocks, lay_sheet(demo_blocks, impressions_to_lay(project)))
    rungs = frame.ladder_rungs(project, proof, UiState(), 60)
    assert [rung.title for rung in rungs[:2]] == ["Bare paper", "1 Sky rose"]
    thumbs = [rung.thumb for rung in rungs]
    assert thumbs[0] is not None
    assert len(np.unique(thumbs[0])) == 1
    covered = [np.count_nonzero(thumb != thumbs[0]) for thumb in thumbs if thumb is not None]
    assert covered == sorted(covered)
    assert rungs[-1].chosen
    assert rungs[-1].note == "finished print"


def test_orders_on_offer_cost_what_they_cost(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = demo[0]
    proof = prove(project, demo_blocks, lay_sheet(demo_blocks, impressions_to_lay(project)))
    view = order_view(project, UiState(pull=project.impressions[2].id), usual_cards(project, proof, 60))
    assert [choice.key for choice in view.choices] == ["rule", "key-first"]
    assert view.choices[0].chosen
    assert "wash-ups" in view.choices[0].quiet
    assert view.why_title == "Why dusk mauve is third"
    own = moved_impression(project, project.impressions[2].id, 5)
    again = prove(own, demo_blocks, proof.laid)
    assert usual_cards(own, again, 60)[0].key == "own"


def test_a_proof_of_another_design_breaks_nothing(demo: Demo, demo_blocks: CutBlocks) -> None:
    """While a new design's proof is worked out the old one is still at hand."""
    project = demo[0]
    proof = prove(project, demo_blocks, lay_sheet(demo_blocks, impressions_to_lay(project)))
    fewer = with_bare_colour(project, 8)
    for station in ("design", "blocks", "inks", "order", "register"):
        state = UiState(station=station, pull=fewer.impressions[0].id)
        assert frame.station_tabs(fewer, proof, state)
        assert frame.ladder_rungs(fewer, proof, state, 60)
        assert sheet_content(fewer, proof, state, None).sheet_mm == (200, 260)
        assert place_text(proof, state, (100, 100))
    assert usual_cards(fewer, proof, 60)[0].thumb is None


def test_plan_cards_show_what_a_plan_leads_to_and_costs(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = demo[0]
    proof = prove(project, demo_blocks, lay_sheet(demo_blocks, impressions_to_lay(project)))
    request = solver_request(project, demo_blocks.borders, PROCESS_INKS, 3)
    plans = solve(request)
    cards = plan_cards(project, proof, plans, 60, keep_key=True)
    assert [card.key for card in cards][:1] == ["0/0"]
    assert cards[0].name == "2 blocks"  # one colour block and the key
    for card in cards:
        assert card.figures.startswith("ΔE ")
        assert " of 8" in card.figures
        assert card.thumb is not None
        assert card.thumb.shape[0] == 60
    assert plan_cards(project, None, plans, 60, keep_key=True) == ()
    other = with_block(project, project.blocks[-1].id, is_key=False)
    assert plan_cards(other, proof, plans, 60, keep_key=True) == ()  # plans for another set of colours


def test_the_chart_of_plans_says_when_a_block_more_stops_helping(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = demo[0]
    plans = solve(solver_request(project, demo_blocks.borders, PROCESS_INKS, 3))
    running = plan_chart(project, Found(plans), keep_key=True)
    assert [point.blocks for point in running.points] == [2, 3, 4]
    assert (running.enough, running.said) == (0, "")
    assert all(point.mean <= point.worst for point in running.points)
    # The same three, but that the third block brings a fifth of a step: two colour blocks are enough.
    near = replace(plans[2][0], mean_de00=plans[1][0].mean_de00 - 0.2)
    figures = ((near, PlanFigures(7.0, 4)),)
    chart = plan_chart(project, Found((*plans[:2], (near,)), True, figures=figures), keep_key=True)
    assert chart.enough == 3
    assert "0.2 nearer: that is hardly seen" in chart.said
    assert [(point.hours, point.days) for point in chart.points] == [(None, None), (None, None), (7.0, 4)]
    assert "Each block so far" in plan_chart(project, Found(plans, True), keep_key=True).said


def test_what_inks_come_to_is_listed_worst_first(demo: Demo) -> None:
    project = demo[0]
    assert project.flat is not None
    wanted = {n: project.flat.colours[n].lab for n in (1, 5, 6)}
    reach = nearest_reachable(project.paper.lab, wanted, PROCESS_INKS)
    rows = reach_rows(project, sorted(reach.items()))
    assert sorted(row.id for row in rows) == ["1", "5", "6"]
    figures = [float(row.figure.removeprefix("ΔE ")) for row in rows]
    assert figures == sorted(figures, reverse=True)
    assert all("%" in row.quiet or row.quiet == "bare paper" for row in rows)


def test_a_carved_block_is_read_from_its_mirror_image(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = demo[0]
    proof = prove(project, demo_blocks, lay_sheet(demo_blocks, impressions_to_lay(project)))
    carved = UiState("blocks", pull=project.impressions[0].id, shown="carved")
    assert on_print(project, carved, (30.0, 40.0)) == (170.0, 40.0)
    assert on_print(project, UiState(), (30.0, 40.0)) == (30.0, 40.0)
    raster = sheet_content(project, proof, carved, None).raster
    whole = sheet_content(project, proof, UiState("blocks"), None).raster
    assert raster is not None
    assert whole is not None
    np.testing.assert_array_equal(raster.levels[0][:, ::-1], whole.levels[0])
    pad = 6.0
    assert raster.left_mm == pytest.approx(200 - project.image.right - pad, abs=0.1)
