"""`nomos mix`, `ink fit`, `chart`, and what overprint has gained."""

import dataclasses
import json
from importlib.resources import files
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from msgspec.structs import replace

from nomos.base.errors import BadInput
from nomos.cli.main import run
from nomos.colour import Ground, delta_e00, ink_film, overprints, reflectance_to_lab
from nomos.colour.fitting import Reading
from nomos.colour.layering import USUAL_KIND, film_over, surface_term, to_internal, to_measured
from nomos.colour.mixing import mixture_labs
from nomos.colour.spectra import WAVELENGTHS_NM
from nomos.formats.readings import read_readings
from nomos.formats.shelf import read_inks
from nomos.project import Assets, Project, load, save
from nomos.project.inks.chart import overlap_chart
from nomos.project.inks.films import predicted
from nomos.project.inks.mixing import tubs_of, underlay
from nomos.project.model import Block, Impression, Ink, Zone
from nomos.project.model.edits import new_project

SHELF = str(files("nomos.demo").joinpath("shelf.csv"))


def no_window(_path: Path | None, _demo: str | None, _walk: Path | None) -> int:
    raise AssertionError("no window was asked for")


def answer(capsys: pytest.CaptureFixture[str], *arguments: str) -> dict[str, Any]:
    assert run([*arguments, "--json"], no_window) == 0
    found: dict[str, Any] = json.loads(capsys.readouterr().out)
    return found


@pytest.mark.thorough
def test_mix_gives_grams_parts_and_choices(capsys: pytest.CaptureFixture[str]) -> None:
    found = answer(
        capsys, "mix", "--target", "lab(58 20 32)", "--shelf", SHELF, "--over", "lab(85 0 30)", "--grams", "50"
    )
    best = found["recipes"][0]
    assert best["de00_weighed"] < 1
    assert sum(best["grams"].values()) == pytest.approx(50, abs=0.3)
    assert all(isinstance(count, int) for count in best["parts"].values())
    words = {word for recipe in found["recipes"] for word in recipe["choice"]}
    assert words == {"best match", "fewest inks", "cheapest", "most transparent"}
    cheapest = next(r for r in found["recipes"] if "cheapest" in r["choice"])
    assert cheapest["cost_100g"] <= best["cost_100g"]
    one = answer(capsys, "mix", "--target", "lab(58 20 32)", "--shelf", SHELF, "--max-inks", "1")
    assert all(len(set(r["grams"]) - {"Extender", "White"}) <= 1 for r in one["recipes"])


def test_a_family_comes_from_two_tubs_each_from_the_one_before(
    capsys: pytest.CaptureFixture[str], tmp_path: Path
) -> None:
    rows = Path(SHELF).read_text("utf-8").splitlines()
    shelf = tmp_path / "few.csv"
    few = [row for row in rows if row.split(",")[0] in {"name", "Soot", "Ochre", "White"}]
    shelf.write_text("\n".join(few) + "\n", "utf-8")
    wanted = ["lab(40 0 1)", "lab(85 0 3)", "lab(55 0 2)", "lab(70 0 3)"]
    asked = [part for lab in wanted for part in ("--target", lab)]
    found = answer(capsys, "mix", *asked, "--family", "--shelf", str(shelf), "--max-inks", "2", "--grams", "20")[
        "family"
    ]
    assert [each["target"][0] for each in found] == [85, 70, 55, 40]
    assert {name for each in found for name in each["add_g"]} <= {"Soot", "Ochre", "Extender", "White"}
    paper = Ground.from_lab((96, 0, 3), USUAL_KIND)
    made: dict[str, float] = {}
    tubs = {tub.name: tub for tub in tubs_of([each.ink for each in read_inks(shelf)], paper).all}
    for place, each in enumerate(found):
        before = {name: share * each["before_g"] for name, share in made.items()}
        grams = {name: before.get(name, 0.0) + each["add_g"].get(name, 0.0) for name in tubs}
        assert sum(grams.values()) == pytest.approx(20, abs=0.3)
        assert (each["before_g"] > 0) == (place > 0)
        made = {name: g / sum(grams.values()) for name, g in grams.items()}
        # What it is said to look like is what these weights look like.
        shares = np.array([made[name] for name in tubs])
        lab = mixture_labs(list(tubs.values()), shares[None], underlay(paper))[0]
        assert lab == pytest.approx(each["lab"], abs=0.02)
        assert each["de00"] < 1
    assert run(["mix", *asked, "--shelf", str(shelf)], no_window) == 2
    # The paper itself needs no ink at all.
    bare = answer(capsys, "mix", "--target", "lab(96 0 3)", "--family", "--shelf", str(shelf), "--grams", "20")[
        "family"
    ]
    assert bare[0]["de00"] < 1


def test_what_an_ink_cannot_show_on_a_paper_is_said(capsys: pytest.CaptureFixture[str]) -> None:
    """A cyan as it was read on kraft, on the same paper as far as its colour goes."""
    cyan = "lab(46.8 -33.1 -8.1)"
    assert run(["overprint", "--paper", "lab(62 9 22)", "--ink", cyan, "--json"], no_window) == 0
    said = capsys.readouterr()
    found = json.loads(said.out)
    assert found["not_as_said"][cyan] > 3
    assert "cannot have that colour on this paper" in said.err
    # The nearest is near: not what an iteration ended on.
    assert float(delta_e00(np.array(found["lab"]), np.array([46.8, -33.1, -8.1]))) < 9
    # Another kind of paper leaves more room; on white nothing is to be said.
    coated = answer(capsys, "overprint", "--paper", "lab(62 9 22)", "--paper-kind", "coated", "--ink", cyan)
    assert coated["not_as_said"].get(cyan, 0) < found["not_as_said"][cyan]
    assert answer(capsys, "overprint", "--paper", "lab(95 0 3)", "--ink", cyan)["not_as_said"] == {}
    assert run(["overprint", "--paper", "lab(95 0 3)", "--paper-kind", "card", "--ink", cyan], no_window) == 2


def test_overprint_thick_wet_and_by_lamp_light(capsys: pytest.CaptureFixture[str]) -> None:
    inks = ("--paper", "lab(95 0 -2)", "--ink", "lab(55 -37 -50)", "--ink", "lab(89 -5 93)")
    plain = answer(capsys, "overprint", *inks)["lab"]
    heavy = answer(capsys, "overprint", *inks, "--film", "heavy")["lab"]
    wet = answer(capsys, "overprint", *inks, "--wet", "0.5")["lab"]
    lamp = answer(capsys, "overprint", *inks, "--light", "A")["lab"]
    assert heavy[0] < plain[0]
    # Half the yellow takes: bluer.
    assert wet[2] < plain[2] - 10
    assert abs(np.array(lamp) - plain).max() > 3
    assert run(["overprint", *inks, "--wet", "2"], no_window) == 2


def rows_of_readings() -> list[tuple[str, str, float, np.ndarray]]:
    k = 0.05 + 1.5 * np.exp(-(((WAVELENGTHS_NM - 450) / 50) ** 2))
    rows: list[tuple[str, str, float, np.ndarray]] = []
    for name, level in (("white", 0.86), ("black", 0.045)):
        background = np.full(36, level)
        rows.append((name, "", 1.0, background))
        internal = film_over(to_internal(background, surface_term(background, "coated")), k, np.full(36, 0.3), 1.0)
        rows.append(("Straw", name, 1.0, to_measured(internal, 0.04)))
    return rows


def test_an_ink_is_taught_from_csv_and_from_cgats(capsys: pytest.CaptureFixture[str], tmp_path: Path) -> None:
    bands = [f"{nm:.0f}" for nm in WAVELENGTHS_NM]
    table = tmp_path / "readings.csv"
    lines = [",".join(["sample", "over", "thickness", *bands])]
    lines += [",".join([n, o, str(t), *(f"{v:.5f}" for v in r)]) for n, o, t, r in rows_of_readings()]
    table.write_text("\n".join(lines), "utf-8")
    shelf = tmp_path / "taught.json"
    (ink,) = answer(capsys, "ink", "fit", str(table), "--out", str(shelf))["inks"]
    assert max(ink["de00"]) < 0.5
    assert np.median(ink["scattering"]) == pytest.approx(0.3, abs=0.04)
    assert ink["uncertain"]["S"] < 0.3
    (kept,) = read_inks(shelf)
    assert kept.ink.optics is not None
    assert kept.ink.optics.scattering == pytest.approx(ink["scattering"], abs=1e-5)
    cgats = tmp_path / "readings.txt"
    fields = " ".join(["SAMPLE_NAME", "OVER", *(f"SPECTRAL_NM{band}" for band in bands)])
    data = "\n".join(
        " ".join([f'"{n}"', f'"{o}"', *(f"{100 * v:.3f}" for v in r)]) for n, o, _, r in rows_of_readings()
    )
    cgats.write_text(f"CGATS.17\nBEGIN_DATA_FORMAT\n{fields}\nEND_DATA_FORMAT\nBEGIN_DATA\n{data}\nEND_DATA\n", "utf-8")
    (again,) = answer(capsys, "ink", "fit", str(cgats))["inks"]
    assert again["scattering"] == pytest.approx(ink["scattering"], abs=0.02)
    (named,) = read_readings(cgats)
    assert isinstance(named.readings[0], Reading)


@pytest.mark.parametrize(
    ("text", "words"),
    [
        ("sample,over,L,a,b\nwhite,,95,0,0\n", "holds no ink"),
        ("sample,over,L,a,b\nRed,white,50,60,30\n", "nothing is called 'white'"),
        ("sample,over,L,a,b\nwhite,,95,0,0\nRed,white,fifty,60,30\n", "neither 36 bands"),
        ("sample,over,thickness,L,a,b\nwhite,,1,95,0,0\nRed,white,thick,50,60,30\n", "thickness"),
        ("CGATS.17\nBEGIN_DATA\n1 2\n", "cut short"),
    ],
)
def test_readings_that_make_no_sense_are_refused(tmp_path: Path, text: str, words: str) -> None:
    path = tmp_path / "readings.csv"
    path.write_text(text, "utf-8")
    with pytest.raises(BadInput, match=words):
        read_readings(path)


def test_a_chart_as_printed_teaches_the_inks(capsys: pytest.CaptureFixture[str], tmp_path: Path) -> None:
    """Inks that scatter a little, as no word says: the overlap of three comes nearer, and all stays known."""
    inks = [("Straw", (88.0, -5.0, 60.0)), ("Rose", (60.0, 45.0, 5.0)), ("Lake", (50.0, -15.0, -35.0))]
    project = new_project("Panes", (120, 90))
    project = replace(
        project,
        inks=tuple(Ink(name.lower(), name, lab, drying_h=30.0) for name, lab in inks),
        blocks=tuple(Block(f"b{n}", name, ()) for n, (name, _) in enumerate(inks)),
        impressions=tuple(Impression(f"p{n}", f"b{n}", (Zone(i[0].lower()),)) for n, i in enumerate(inks)),
    )
    path, table = tmp_path / "panes.nomos", tmp_path / "read.csv"
    save(path, project, {})
    real = [ink_film(lab, "transparent", project.paper.lab) for _, lab in inks]
    real = [dataclasses.replace(film, scattering=film.scattering + 0.06) for film in real]
    chart, ground = overlap_chart(project), Ground.from_lab(project.paper.lab)
    lines = ["patch,L,a,b"]
    for place, patch in enumerate(chart.patches, start=1):
        lab = reflectance_to_lab(overprints(ground, [real[n] for n in patch.films])[-1])
        if len(patch.films) in (1, 2):
            lines.append(f"{patch.name if place % 2 else place},{','.join(f'{v:.2f}' for v in lab)}")
    table.write_text("\n".join(lines), "utf-8")
    out = tmp_path / "taught.nomos"
    found = answer(capsys, "chart", str(path), "--learn", str(table), "--out", str(out))
    assert found["mean_de00_after"] < 0.5 * found["mean_de00_before"]
    taught = load(out)[0]
    assert all(ink.optics and ink.optics.known == "chart" and ink.drying_h == 30 for ink in taught.inks)
    three = reflectance_to_lab(overprints(ground, real)[-1])
    off = [float(delta_e00(predicted(each, [{0, 1, 2}])[0], three)) for each in (project, taught)]
    assert off[1] < 0.9 * off[0]
    table.write_text("patch,L,a,b\nMoon,50,0,0\n", "utf-8")
    assert run(["chart", str(path), "--learn", str(table), "--out", str(out)], no_window) == 2
    assert "no patch 'Moon'" in capsys.readouterr().err


def test_the_demo_shelf_is_a_dozen_inks_and_chart_is_written(
    capsys: pytest.CaptureFixture[str], demo: tuple[Project, Assets], tmp_path: Path
) -> None:
    shelf = read_inks(Path(SHELF))
    assert len(shelf) == 12
    assert all(each.ink.notes == "illustrative" and each.ink.pigment for each in shelf)
    save(tmp_path / "demo.nomos", *demo)
    found = answer(capsys, "chart", str(tmp_path / "demo.nomos"), "--out", str(tmp_path / "chart.pdf"))
    assert len(found["patches"]) == 2 ** len(found["inks"])
    assert (tmp_path / "chart.pdf").read_bytes()[:5] == b"%PDF-"


@pytest.mark.parametrize(
    "row", ["Red,50,60,30,clear,,", "Red,50,60,30,,,,lard", "Red,50,60,30,,,,,12", "Red,50,60,30,,,,,,,-3"]
)
def test_a_shelf_that_makes_no_sense_is_refused(tmp_path: Path, row: str) -> None:
    path = tmp_path / "shelf.csv"
    path.write_text(f"name,L,a,b,opacity,strengths,pigment,vehicle,tack,drying_h,cost\n{row}\n", "utf-8")
    with pytest.raises(BadInput, match="line 2"):
        read_inks(path)
