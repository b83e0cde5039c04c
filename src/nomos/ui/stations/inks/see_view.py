"""What See shows of the inks: overlaps, the chart, layers at a place. No Qt here."""

from dataclasses import dataclass

import numpy as np

from nomos.base.language import tr, within
from nomos.base.units import counted, number
from nomos.colour import Lab, delta_e00, lab_to_hex, reflectance_to_lab
from nomos.colour.light import LIGHT_NAMES, LIGHTS, Eyes, Light
from nomos.colour.spectra import Array
from nomos.project import Project, Proof
from nomos.project.inks.chart_reading import ChartReading
from nomos.project.inks.colour_uncertainty import WORTH_SAYING, Judged
from nomos.project.inks.films import film_of, on_wet, printed_reflectance, zone_keys
from nomos.project.inks.overlaps import ChartLearned
from nomos.project.inks.reach import fields_that_part, in_reach, reachable
from nomos.ui.frame.rows import Row
from nomos.ui.frame.sheet_view import lab_text
from nomos.ui.frame.state import UiState
from nomos.ui.stations.inks.ink_view import ink_of

Figures = tuple[tuple[str, str], ...]
MOST_OVERLAPS = 14


@dataclass(frozen=True, eq=False)
class SeeView:
    """What will be seen?"""

    light: Light
    eyes: Eyes
    wet_look: bool
    parting: str
    here: tuple[Row, ...]
    here_title: str
    overlaps: tuple[Row, ...]
    cloud: Array
    wanted: tuple[Lab, ...]
    reach: str
    chart: tuple[Row, ...]
    learned: str = ""


def see_view(
    project: Project, proof: Proof | None, state: UiState, chart: tuple[ChartReading, ...] = (),
    learned: ChartLearned | None = None, judged: Judged | None = None,
) -> SeeView:  # fmt: skip
    """Lights, overlaps, the place last clicked, what the inks can reach, and a printed chart as read."""
    title, here = _layers_here(project, proof, state)
    cloud = reachable(project)
    bare = project.bare_colours()
    colours = project.flat.colours if project.flat else ()
    wanted = tuple(c.lab for n, c in enumerate(colours) if n not in bare)
    far = sum(off > 3 for off in in_reach(cloud, wanted))
    said = tr("Every wanted colour is within reach of one or two of these inks.")
    if far:
        said = tr(
            "{far} of {wanted} wanted colours lie beyond ΔE 3 of what one or two of these inks give.",
            far=far,
            wanted=len(wanted),
        )
    return SeeView(
        state.light, state.eyes, state.wet_look, _parting_text(project), here, title,
        _overlap_rows(project, proof, judged), cloud, wanted, said, _chart_rows(chart),
        _learned_text(learned),
    )  # fmt: skip


def _learned_text(learned: ChartLearned | None) -> str:
    if learned is None:
        return ""
    return tr(
        "Learnt from {patches} patches: on average ΔE {before} off before, {after} now; inks "
        "alone within {solids}. Undo takes it back.",
        patches=learned.patches, before=number(learned.before), after=number(learned.after),
        solids=number(learned.solids, 2),
    )  # fmt: skip


def _parting_text(project: Project) -> str:
    """Flat colours that match in the booth and part elsewhere."""
    if project.flat is None:
        return ""
    said = []
    for light in LIGHTS[1:]:
        for one, other, apart in fields_that_part(project, light)[:2]:
            names = project.flat.colours[one].name, project.flat.colours[other].name
            said.append(
                tr(
                    "△ {names} and {names_2} part by ΔE {apart} under {light_names}.",
                    names=names[0], names_2=names[1], apart=number(apart), light_names=LIGHT_NAMES[light],
                )
            )  # fmt: skip
    return " ".join(said) or tr("No two fields that match in the booth part in the other lights.")


def sheet_overlaps(project: Project, proof: Proof | None) -> tuple[tuple[frozenset[int], float, int], ...]:
    """Overlaps that occur on the sheet: places in `zone_keys`, mm², and a row of the proof; largest first."""
    if proof is None:
        return ()
    laid = proof.laid
    places = {(key.pull, key.zone): n for n, key in enumerate(zone_keys(project))}
    # A row of the sheet's combinations may occur in several steps of a graded zone: told once each.
    by_films: dict[frozenset[int], tuple[float, int]] = {}
    for row in range(len(laid.map.members)):
        own = [(laid.films[n].pull, laid.films[n].zone) for n in np.flatnonzero(laid.map.members[row])]
        films = frozenset(places[key] for key in own if key in places)
        area, first = by_films.get(films, (0.0, row))
        by_films[films] = (area + float(laid.meetings[:, row].sum()) / laid.px_per_mm**2, first)
    largest = sorted(by_films.items(), key=lambda each: -each[1][0])[:MOST_OVERLAPS]
    return tuple((films, area, row) for films, (area, row) in largest)


def _overlap_rows(project: Project, proof: Proof | None, judged: Judged | None) -> tuple[Row, ...]:
    """The largest overlaps on the sheet, and how sure each is once that is known."""
    if proof is None:
        return ()
    image = float(proof.laid.meetings.sum()) / proof.laid.px_per_mm**2
    keys, rows = zone_keys(project), []
    for films, area, row in sheet_overlaps(project, proof):
        names = " + ".join(ink_of(project, keys[n]).name for n in sorted(films)) or tr("bare paper")
        sure = judged.overlaps.get(films, 0.0) if judged is not None else 0.0
        said = f"± {number(sure)}, " if sure >= WORTH_SAYING else ""
        figure, aim = f"{said}{number(100 * area / image, 1)} %", _aim_text(project, proof, row)
        rows.append(Row(str(row), lab_to_hex(proof.labs[row]), names, figure, aim))
    return tuple(rows)


def _aim_text(project: Project, proof: Proof, row: int) -> str:
    """What a combination shows, and what is wanted where it lies most."""
    said = tr("Lab {lab_text}", lab_text=lab_text(proof.labs[row]))
    number_of = int(proof.laid.meetings[:, row].argmax())
    if project.flat is None or not proof.laid.meetings[number_of, row]:
        return said
    colour = project.flat.colours[number_of]
    lab = project.paper.lab if number_of in project.bare_colours() else colour.lab
    off = float(delta_e00(proof.labs[row], np.array(lab)))
    return tr("{said}, for {name} ΔE {off}", said=said, name=within(colour.name), off=number(off))


def _chart_rows(chart: tuple[ChartReading, ...]) -> tuple[Row, ...]:
    """The patches of a printed chart that lie furthest from what was predicted."""
    worst = sorted(chart, key=lambda each: -each.de00)[:MOST_OVERLAPS]
    return tuple(
        Row(
            each.patch.name,
            lab_to_hex(np.array(each.read.lab)),
            each.patch.name,
            tr("ΔE {de00}", de00=number(each.de00)),
            tr(
                "read {lab_text}, predicted {lab_text_2}",
                lab_text=lab_text(each.read.lab),
                lab_text_2=lab_text(each.patch.lab),
            ),
        )
        for each in worst
    )


def _layers_here(project: Project, proof: Proof | None, state: UiState) -> tuple[str, tuple[Row, ...]]:
    """The layers at the place last clicked: the colour after each, and what leaving it out would change."""
    if proof is None or state.place is None:
        return tr("Click the sheet to see its layers there"), ()
    laid = proof.laid
    x, y = (round(v * laid.px_per_mm / proof.blocks.px_per_mm) + laid.pad_px for v in state.place)
    height, width = laid.map.index.shape
    row = int(laid.map.index[min(y, height - 1), min(x, width - 1)])
    own = [laid.films[n] for n in np.flatnonzero(laid.map.members[row])]
    order = {pull.id: place for place, pull in enumerate(project.impressions)}
    keys = sorted(own, key=lambda key: order[key.pull])
    if not keys:
        return tr("Here: bare paper"), ()
    count = len(keys)
    without = ~np.eye(count, dtype=bool)
    labs = reflectance_to_lab(printed_reflectance(project, keys, np.vstack([np.tri(count, dtype=bool), without])))
    wets = on_wet(project, keys)
    rows = []
    for place, key in enumerate(keys):
        film = film_of(project, key)
        takes = wets[place]
        share = tr(", {share} % takes", share=number(100 * takes.share, 0)) if takes and takes.wet else ""
        change = float(delta_e00(labs[count + place], labs[count - 1]))
        rows.append(
            Row(
                f"{key.pull}/{key.zone}", lab_to_hex(labs[place]),
                f"{order[key.pull] + 1} {ink_of(project, key).name}",
                tr("film {thickness} %{share}", thickness=number(100 * film.thickness, 0), share=share),
                tr("left out: ΔE {change}", change=number(change)),
            )
        )  # fmt: skip
    return tr("Here: {count}, first printed first", count=counted(count, tr("layer"), tr("layers"))), tuple(rows)
