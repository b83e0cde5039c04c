"""The studio: what a print leaves to the next one, and what it does not."""

from dataclasses import replace as with_field
from pathlib import Path

import msgspec
import pytest
from msgspec.structs import replace

from nomos.base.errors import BadInput
from nomos.carving import Tool
from nomos.cli.main import run
from nomos.edition import LayerFigures
from nomos.project import Assets, Project, load, save
from nomos.project.edition.sheets import Record, record_from, state_of
from nomos.project.edition.studio import Studio, begun_in, grown, read_studio, studio_text, write_studio
from nomos.project.register.system import plan_of_system

Demo = tuple[Project, Assets]


def own(project: Project) -> Project:
    """A print with tools, times and habits of its own."""
    return replace(
        project,
        craft=replace(project.craft, tools=(Tool("v", 1.0), Tool("u", 4.0)), material="hard wood", factor=1.4),
        times=replace(project.times, pull_min=6.0, lost=("2026-12-24",), start="2026-12-01"),
        workshop=replace(project.workshop, clearance_mm=9.0, writing=True, sheets=33),
        kento=with_field(project.kento, hand="left"),
        plan=replace(project.plan, edition=77, good=0.8, paper_cost=4.5),
        tolerance_mm=0.7,
    )


def test_habits_go_on_and_what_belongs_to_one_print_does_not(little: Demo, demo: Demo) -> None:
    studio = grown(None, own(little[0]))
    new = begun_in(studio, demo[0])
    assert (new.craft, new.tolerance_mm, new.kento.hand) == (own(little[0]).craft, 0.7, "left")
    assert (new.workshop.clearance_mm, new.workshop.writing, new.workshop.sheets) == (9.0, None, None)
    assert (new.times.pull_min, new.times.lost, new.times.start) == (6.0, (), "")
    assert (new.plan.edition, new.plan.good, new.plan.paper_cost) == (20, 0.8, 4.5)
    # The design, its inks and its size are the new print's own.
    assert (new.flat, new.inks, new.blocks, new.image) == (
        demo[0].flat, demo[0].inks, demo[0].blocks, demo[0].image,
    )  # fmt: skip
    assert new.paper.lab == little[0].paper.lab
    assert (new.paper.width_mm, new.paper.height_mm) == (demo[0].paper.width_mm, demo[0].paper.height_mm)


def test_papers_and_inks_stand_once_by_name_the_latest_last(little: Demo, demo: Demo) -> None:
    first = grown(None, demo[0])
    recoloured = replace(demo[0].inks[0], lab=(50.0, 0.0, 0.0))
    second = grown(first, replace(demo[0], inks=(recoloured, *demo[0].inks[1:])))
    assert len(second.inks) == len(first.inks) == len({ink.name for ink in demo[0].inks})
    assert {ink.name: ink for ink in second.inks}[recoloured.name].lab == (50.0, 0.0, 0.0)
    third = grown(second, little[0])
    assert third.papers[-1] == little[0].paper
    assert third.prints == (demo[0].title, little[0].title)
    assert f"From 2 prints, last {little[0].title}." in studio_text(third)


def test_the_record_tells_the_share_of_good_pulls_and_the_pace(little: Demo) -> None:
    project = little[0]
    plain = record_from(project, state_of(project, []))
    assert grown(None, project, plain).plan.good == project.plan.good  # nothing pulled, nothing learnt
    layers = LayerFigures(0, 18, 2, 0, (), 5.0, None), LayerFigures(1, 9, 1, 0, (), 7.0, None)
    record = Record(plain.state, layers, plain.numbers, 0.9)
    studio = grown(None, project, record)
    assert (studio.plan.good, studio.times.pull_min) == (0.9, 6.0)


def test_a_way_of_registering_without_room_is_left_out(little: Demo) -> None:
    project = little[0]
    wide = replace(project, kento=with_field(project.kento, straight_mm=200.0))
    studio = replace(grown(None, project), kento=wide.kento)
    if plan_of_system(replace(project, kento=wide.kento))[0] is not None:
        pytest.skip("there is room after all")
    new = begun_in(studio, project)
    assert plan_of_system(new)[0] is not None
    assert new.craft == studio.craft


def test_files_come_back_and_bad_ones_are_refused_in_a_sentence(little: Demo, tmp_path: Path) -> None:
    path = tmp_path / "studio.json"
    studio = grown(None, own(little[0]))
    write_studio(path, studio)
    assert read_studio(path) == studio
    newer = msgspec.to_builtins(studio) | {"version": 9}
    for text, said in (
        (b"{", "studio that does not"), (b"[1]", "studio that does not"),
        (msgspec.json.encode(newer), "newer Nomos"),
        (b'{"craft": {"thickness_mm": "x"}}', "thickness_mm"), (b"[" * 100_000, "studio that does not"),
        (b'{"times": {"pull_min": 1e999}}', "studio"),
    ):  # fmt: skip
        path.write_bytes(text)
        with pytest.raises(BadInput, match=said):
            read_studio(path)
    with pytest.raises(BadInput, match="cannot be read"):
        read_studio(tmp_path / "gone.json")


def test_from_the_command_line_a_print_is_kept_and_the_next_begun_with_it(
    little: Demo, tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    kept, project = tmp_path / "studio.json", tmp_path / "a.nomos"
    save(project, own(little[0]), little[1])
    assert run(["studio", str(kept), "--keep", str(project)], lambda *_: 0) == 0
    assert "2 tools; 80 of 100 pulls good, 6 min a pull." in capsys.readouterr().out
    assert read_studio(kept) == grown(None, load(project)[0])
    assert run(["studio", str(tmp_path / "none.json")], lambda *_: 0) == 2
    assert isinstance(read_studio(kept), Studio)
