"""Sheets, buying and cutting of a project; reminders at the right pull; the card of a layer."""

from datetime import datetime, timedelta

import numpy as np
import pytest
from msgspec.structs import replace

from nomos.carving import Board, CarvingError, Tool
from nomos.demo import demo_project, scenario_called
from nomos.design import FlatColour, FlatDesign
from nomos.edition import Event, replay, start_sheets
from nomos.edition.reminders import LayerWork, reminders
from nomos.project import (
    Assets,
    CutBlocks,
    Project,
    ProjectError,
    coarse,
    cut_blocks,
    digest,
    labels_to_png,
    mask_request,
)
from nomos.project.blocks.edits import with_flat_design
from nomos.project.check.cutting import cutting_findings
from nomos.project.edition.bench import layer_card
from nomos.project.edition.carving import (
    boards_plan,
    carve_blocks,
    carving_findings,
    hours_of,
    materials_text,
    with_boards_cut,
    with_craft,
    with_material,
)
from nomos.project.edition.cues import slab_cautions
from nomos.project.edition.fineness import features_of
from nomos.project.edition.sheets import buying_list, each_print_text, with_edition, with_planned_sheets
from nomos.project.inks.data import with_ink_data
from nomos.project.model.edits import new_project
from nomos.project.model.sheets import all_sheets, planned_sheets, sheets_of
from nomos.project.register.system import with_register
from nomos.ui.stations.carve.carve_view import read_tools, tools_text

Demo = tuple[Project, Assets]


def ids(count: int) -> list[str]:
    """The pulls of a plan."""
    return [f"pull{n + 1}" for n in range(count)]


def test_sheets_of_a_project_add_proofing_and_one_bad_sheet_a_layer(demo: Demo) -> None:
    """20 prints, 2 AP, 1 PP and the BAT through 8 layers; 3 for proofing, 8 sacrificed."""
    project = demo[0]
    plan = sheets_of(project)
    assert plan.start_sheets == start_sheets(24, 8, 0.95, 0.9).start_sheets
    assert all_sheets(project, plan) == plan.start_sheets + 3 + 8
    assert planned_sheets(with_planned_sheets(project)) == plan.start_sheets + 11
    without = with_edition(project, sacrificed=False, bat=False)
    assert all_sheets(without, plan) == plan.start_sheets + 3
    with pytest.raises(ProjectError, match="1 to 10 000"):
        with_edition(project, edition=0)


def test_one_print_of_the_edition_costs_its_share(demo: Demo) -> None:
    """Worked by hand: 2 pulls of 30 min set-up, 25 min wash-up and 25 sheets of 4 min, 10 h of cutting."""
    project = replace(demo[0], impressions=demo[0].impressions[:2])
    project = replace(project, workshop=replace(project.workshop, sheets=25), plan=replace(project.plan, edition=20))
    minutes = (600 + 2 * (30 + 25 + 25 * 4)) / 20
    assert minutes == 45.5
    assert each_print_text(project, 50.0, 10.0) == (
        "One print of 20: 2.50 of material and 46 minutes of work, cutting and washing up included."
    )
    assert each_print_text(project, 0.0, 10.0).startswith("One print of 20: 46 minutes")


def test_the_buying_list_knows_paper_inks_and_prices(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = with_edition(demo[0], full_mm=(560.0, 760.0), paper_cost=4.5)
    project = with_ink_data(project, project.inks[0].id, cost=12.0, tub_g=100.0)
    first = project.impressions[0]
    half = replace(first, zones=(replace(first.zones[0], strength=0.5),))
    project = replace(project, impressions=(half, *project.impressions[1:]))
    lines = {line.what.split(",")[0]: line for line in buying_list(project, demo_blocks)}
    sheets = all_sheets(project, sheets_of(project))
    paper = next(line for what, line in lines.items() if what.startswith("Demo paper"))
    # Of 200 x 260 from 560 x 760 six, four with the grain one way: asked for where the paper is damped.
    assert paper.amount == -(-sheets // 6)
    damp = with_register(project, damp=True)
    assert buying_list(damp, None)[0].amount == -(-sheets // 4)
    assert paper.cost == pytest.approx(4.5 * paper.amount)
    ink = lines[f"Ink {project.inks[0].name}"]
    assert ink.cost == pytest.approx(ink.amount * 0.12)
    # Half of the first layer is extender, as much as its ink.
    assert lines["Extender"].amount == pytest.approx(ink.amount)
    assert lines["Newsprint"].amount > 40


def test_blocks_are_cut_in_a_reduction_only_where_a_state_takes_more_away() -> None:
    project, assets = demo_project(scenario_called("coldframe"))
    request = mask_request(project, assets)
    assert request is not None
    carved = carve_blocks(project, cut_blocks(request))
    image = project.image.width * project.image.height
    cut = sum(sum(each.carving.areas_mm2) + each.carving.narrow_mm2 for each in carved)
    assert cut < image
    assert len(boards_plan(project).boards) == 1


def test_findings_name_material_roller_and_curl(demo: Demo, demo_blocks: CutBlocks) -> None:
    project = with_craft(demo[0], curl_mm=2.0, material="foam", tools=(Tool("v", 3.0), Tool("u", 8.0)))
    blocks = CutBlocks(
        demo_blocks.labels[::4, ::4].copy(), tuple(mask[::4, ::4].copy() for mask in demo_blocks.masks),
        demo_blocks.px_per_mm / 4, (),
    )  # fmt: skip
    said = " ".join(f.text for f in carving_findings(project, carve_blocks(project, blocks)))
    assert "never registers" in said
    assert "The roller reaches" in said
    assert "Blocks larger than they need be: " in said
    # What seats on stops stays as large as they are set.
    jig = with_register(project, system="jig")
    assert "larger than" not in " ".join(f.text for f in carving_findings(jig, carve_blocks(jig, blocks)))
    # What prints marks in its margin, or is laid by crosses there, keeps the margin.
    for margin in (with_register(project, marks="rings"), with_register(project, system="translucent")):
        assert "larger than" not in " ".join(f.text for f in carving_findings(margin, carve_blocks(margin, blocks)))
    # A brush reaches no cleared ground.
    brushed = tuple(replace(p, zones=tuple(replace(z, tool="brush") for z in p.zones)) for p in project.impressions)
    by_hand = replace(project, impressions=brushed)
    assert "roller" not in " ".join(f.text for f in carving_findings(by_hand, carve_blocks(by_hand, blocks)))


def test_boards_at_hand_become_offcuts(demo: Demo) -> None:
    """Eight blocks of 212 x 272, kerf 2, from boards of 430 x 560: four on each, nothing wide left."""
    project = with_craft(demo[0], boards=(Board(430, 560, 3),), saw_mm=2.0)
    plan = boards_plan(project)
    assert [len(cut.blocks) for cut in plan.boards] == [4, 4]
    left = with_boards_cut(project).craft.boards
    assert left == (Board(430, 560, 1),)
    with pytest.raises(CarvingError, match="none of the boards"):
        boards_plan(with_craft(project, boards=(Board(200, 200, 9),)))


def test_tools_are_read_as_they_are_written() -> None:
    tools = read_tools("v 1, U 2; flat 10")
    assert tools == (Tool("v", 1), Tool("u", 2), Tool("flat", 10))
    assert read_tools(tools_text(tools)) == tools
    for wrong in ("v", "spoon 3", "u wide"):
        with pytest.raises(ValueError, match="tool"):
            read_tools(wrong)


def test_reminders_come_at_the_right_pull() -> None:
    """That ground is wiped and the slab scraped half way is common practice; how often is chosen by us."""
    work = LayerWork(20, sacrifice=True, chatter=True, fine=True, extended=0.6, damp=True)
    assert "Bad sheet first" in reminders(work, 0)[0]
    assert reminders(work, 1) == ("Hold this sheet against the plan: colour, register, dirt.",)
    assert "Wipe the cleared ground." in reminders(work, 5)
    assert any("Half way" in text for text in reminders(work, 10))
    assert any("extender builds up" in text for text in reminders(work, 8))
    assert any("Damp the block" in text for text in reminders(work, 6))
    plain = LayerWork(20, sacrifice=False, chatter=False, fine=False, extended=0, damp=False)
    assert "newsprint" in reminders(plain, 0)[0]
    assert reminders(plain, 7) == ()


def test_a_layer_waits_for_the_one_before_to_dry(demo: Demo, demo_blocks: CutBlocks) -> None:
    begun = datetime(2026, 12, 1, 9, 0)
    events = [Event(begun.isoformat(), "layer", 0)]
    events += [Event((begun + timedelta(minutes=4 * n)).isoformat(), "good", 0, n) for n in (1, 2)]
    events.append(Event(begun.isoformat(), "layer", 1))
    card = layer_card(demo[0], demo_blocks, replay(events, ids(8), 20))
    assert card.pull.title == "2 of 8: Pane green"
    assert card.ready_at is not None
    assert card.ready_at >= begun + timedelta(hours=20)
    assert "g for 53 sheets" in card.pull.amount
    assert "next Dusk mauve" in card.pull.after


def test_a_block_has_a_material_of_its_own(demo: Demo, demo_blocks: CutBlocks) -> None:
    """A key too fine for lino: cut in hard wood it is slower, and holds; the others stay as they are."""
    project = demo[0]
    key = next(block.id for block in project.blocks if block.is_key)
    soft, demo_blocks = with_craft(project, material="soft wood"), coarse(demo_blocks, 200_000)
    before = {each.block: each for each in carve_blocks(soft, demo_blocks)}
    cured = [f.cure for f in cutting_findings(soft, features_of(soft, demo_blocks)) if f.cure]
    hard = with_material(soft, key, "hard wood")
    after = {each.block: each for each in carve_blocks(hard, demo_blocks)}
    assert after[key].effort.outline_h == pytest.approx(before[key].effort.outline_h * 45 / 25)
    assert after[key].too_fine <= before[key].too_fine
    assert all(after[n].effort == before[n].effort for n in after if n != key)
    assert materials_text(hard) == "soft wood and hard wood"
    for cure in cured:
        assert "hard wood" in cure.text
        assert any(block.material == "hard wood" for block in cure.edit(soft).blocks)


def test_foam_is_pressed_with_pens_and_quicker_than_it_is_cut(demo: Demo, demo_blocks: CutBlocks) -> None:
    pressed, cut = (
        carve_blocks(with_craft(demo[0], material=material), coarse(demo_blocks, 200_000))
        for material in ("pressed foam", "foam")
    )
    assert {tool.kind for each in pressed for tool in each.carving.tools} == {"pen"}
    assert hours_of(pressed) < hours_of(cut)
    # What stands is the same, whatever takes the rest away.
    assert [each.carving.stays_mm2 for each in pressed] == [each.carving.stays_mm2 for each in cut]


def test_what_repeats_for_every_block_is_one_finding_with_its_blocks(demo: Demo, demo_blocks: CutBlocks) -> None:
    found = carving_findings(demo[0], carve_blocks(demo[0], coarse(demo_blocks, 200_000)))
    starts = [finding.text.split(":")[0] for finding in found]
    assert len(starts) == len(set(starts))
    reached = next(finding for finding in found if "roller reaches" in finding.text)
    assert len(reached.blocks) > 1
    assert "cm²" in reached.text


def test_a_large_page_is_planned_no_finer_than_it_needs() -> None:
    """A block of 12.6 million pixels at 8 to the millimetre is planned at 6, and what is cut is the same."""
    labels = np.zeros((3000, 4200), np.uint8)
    labels[400:2600, 500:3000] = 1
    labels[900:2000, 1000:1600] = 0
    png = labels_to_png(labels)
    colours = FlatColour((95.0, 0.0, 3.0), 0.0, 0.0), FlatColour((30.0, 0.0, 0.0), 0.0, 0.0)
    flat = FlatDesign(labels, colours, 0.0, (525.0, 375.0))
    project = with_flat_design(
        new_project("Pane", (525.0, 375.0), paper_lab=(95.0, 0.0, 3.0)), flat, digest(png),
        requested_colours=2,
        smallest_feature_mm=0.8, names=["Paper", "Frame"],
    )  # fmt: skip
    request = mask_request(project, {digest(png): png})
    assert request is not None
    (carved,) = carve_blocks(project, cut_blocks(request))
    assert carved.carving.px_per_mm == pytest.approx(6.0, rel=1e-3)
    assert carved.carving.stays_mm2 == pytest.approx((2200 * 2500 - 1100 * 600) / 64, rel=0.01)
    assert carved.carving.outline_mm == pytest.approx(2 * (2200 + 2500 + 1100 + 600) / 8, rel=0.01)


def test_oil_that_is_washed_with_water_heats_a_rag_all_the_same(demo: Demo) -> None:
    """Drying oils do, whatever cleans them; solvent is said only where it is what cleans."""
    project, said = demo[0], {}
    for vehicle in ("oil", "water-washable oil", "water-based"):
        inks = tuple(replace(ink, vehicle=vehicle) for ink in project.inks)
        made = replace(project, inks=inks)
        said[vehicle] = " ".join(slab_cautions(made, made.impressions[0]))
    assert ["Oily rags" in said[each] for each in said] == [True, True, False]
    assert ["Solvent" in said[each] for each in said] == [True, False, False]
