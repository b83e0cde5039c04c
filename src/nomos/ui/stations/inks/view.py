"""What the further parts of the Inks station show: recipes, the stack, ways of seeing, amounts and proofs."""

from dataclasses import dataclass

import numpy as np

from nomos.colour import Lab, delta_e00, lab_to_hex, reflectance_to_lab
from nomos.colour.layering import PaperKind
from nomos.colour.light import LIGHT_NAMES, LIGHTS, Eyes, Light
from nomos.colour.spectra import Array
from nomos.colour.trapping import Inking, Surface
from nomos.colour.weighing import in_parts, weighed
from nomos.project import Project, Proof
from nomos.project.edition.sheets import zone_need
from nomos.project.inks.chart import ChartReading
from nomos.project.inks.drawdown import Card
from nomos.project.inks.films import (
    FilmKey,
    film_of,
    on_wet,
    printed_reflectance,
    solid_film,
    trapping_at,
    zone_keys,
)
from nomos.project.inks.mixing import Mixed
from nomos.project.inks.overlaps import ChartLearned
from nomos.project.inks.reach import fields_that_part, in_reach, passes_of, reachable
from nomos.project.inks.sureness import WORTH_SAYING, Judged
from nomos.project.model import Grade, Ink
from nomos.project.model.sheets import planned_sheets
from nomos.project.sheet.learning import Learnt
from nomos.ui.frame.rows import Row
from nomos.ui.frame.sheet_view import lab_text
from nomos.ui.frame.state import UiState
from nomos.ui.stations.inks.drawdown_view import card_view
from nomos.ui.stations.inks.ink_view import knife_text, step_pct
from nomos.units import counted, number

Figures = tuple[tuple[str, str], ...]
MOST_OVERLAPS = 14


@dataclass(frozen=True)
class MixView:
    """How is it mixed?"""

    heading: str
    shelf: str
    most_inks: int
    rows: tuple[Row, ...]
    chosen: str | None
    weights: Figures
    note: str
    correction: Figures
    correction_note: str
    batch_g: float
    card: str
    card_asks_grey: bool
    card_read: bool
    card_over_black: bool


def mix_view(
    project: Project,
    proof: Proof | None,
    state: UiState,
    shelf: str,
    most: int,
    mixed: Mixed | None,
    card: Card | None,
) -> MixView:
    """Recipes for the chosen ink, those found last if they are for it."""
    heading = "Choose an ink in the list first"
    batch = 100.0
    if state.pull is not None and not state.paper_chosen:
        zone = min(state.zone, len(project.impression(state.pull).zones) - 1)
        key = FilmKey(state.pull, zone)
        heading = f"For {_ink_of(project, key).name}"
        batch = max(round(_need(project, proof, key)[1], 0), 5.0) if proof else 100.0
    if mixed is None or (mixed.pull, mixed.zone) != (state.pull, state.zone) or not mixed.recipes:
        return MixView(heading, shelf, most, (), None, (), "", (), "", batch, *card_view(card))
    rows = tuple(
        Row(
            str(place), lab_to_hex(np.array(recipe.lab)), word, f"ΔE {number(recipe.de00)}",
            ", ".join(n for n in recipe.names if n != "Extender"),
        )
        for place, (word, recipe) in enumerate(mixed.recipes)
    )  # fmt: skip
    recipe = mixed.recipes[mixed.chosen][1]
    grams, scales = weighed(recipe, mixed.tubs.all, batch, mixed.target, mixed.under)
    parts, knife = in_parts(recipe, mixed.tubs.all, mixed.target, mixed.under)
    weights = tuple(
        (name, f"{number(grams[name])} g   {parts.get(name, 0)} parts")
        for name in recipe.names
        if name in grams
    )
    note = (
        f"Wanted {lab_text(mixed.target)}. Weighed to 0.1 g it comes to ΔE {number(scales.de00)}, by parts "
        f"to {number(knife.de00)}. It hides {number(100 * recipe.hiding, 0)} % of what is below"
        + (f" and costs {number(recipe.cost, 2)} per 100 g." if recipe.cost else ".")
    )
    done = mixed.correction
    correction: Figures = ()
    said = ""
    if done is not None:
        correction = tuple((f"add {name}", f"{number(grams)} g") for name, grams in done.grams.items())
        said = f"From ΔE {number(done.before)} to {number(done.de00)}."
        if not done.grams:
            said = f"ΔE {number(done.before)}: nothing on this shelf brings it nearer."
        elif done.again:
            said += " It takes more than the batch itself: mix anew."
    return MixView(
        heading, shelf, most, rows, str(mixed.chosen), weights, note, correction, said, batch,
        *card_view(card),
    )  # fmt: skip


def _ink_of(project: Project, key: FilmKey) -> Ink:
    return project.ink(project.impression(key.pull).zones[key.zone].ink)


@dataclass(frozen=True)
class StackView:
    """How does it lie on what is there?"""

    heading: str
    inking: Inking
    wet: bool
    can_be_wet: bool
    trapping: float
    trapping_note: str
    tack: float
    drying_h: float
    vehicle: str
    modifier_pct: float
    modifier: str
    step_pct: float
    knife: str
    surface: Surface
    kind: PaperKind
    weight_gsm: float
    grain: str
    growth: tuple[float, float]
    passes: str
    grade: Grade | None
    spectra: tuple[Array, Array, Array] | None


def stack_view(project: Project, state: UiState) -> StackView | None:
    """Film, tack and trapping of the chosen zone; None while none is chosen."""
    if state.pull is None or state.paper_chosen:
        return None
    places = {pull.id: place for place, pull in enumerate(project.impressions)}
    place = places[state.pull]
    pull = project.impressions[place]
    at = min(state.zone, len(pull.zones) - 1)
    zone, key = pull.zones[at], FilmKey(state.pull, at)
    ink = project.ink(zone.ink)
    share = trapping_at(project, place)
    note = "Printed on dry ink, the whole film takes."
    if share is not None:
        source = "measured" if pull.trapping is not None else "worked out from the tack of both inks"
        note = f"{number(100 * share, 0)} % of the film takes on the wet ink below: {source}."
    elif place == 0:
        note = "The first pull has nothing wet below it."
    passes = passes_of(project, film_of(project, key))
    gains = ", ".join(number(gain) for gain in passes.gains[:5])
    worth = f"{passes.worth} pass{'es are' if passes.worth > 1 else ' is'} worth a pull"
    solid = solid_film(project, ink)
    alone = printed_reflectance(project, [key], np.ones((1, 1), bool))[0]
    return StackView(
        f"{place + 1}  {ink.name}", zone.inking, pull.wet, place > 0,
        100 * (share if share is not None else 1.0), note, ink.tack, ink.drying_h, ink.vehicle,
        ink.modifier_pct, ink.modifier, step_pct(project, ink), knife_text(project, ink),
        project.paper.surface, project.paper.kind, project.paper.weight_gsm or 0.0, project.paper.grain,
        project.paper.growth,
        f"Printed again over itself it gains ΔE {gains}: {worth}.", zone.grade,
        (alone, solid.absorption, solid.scattering),
    )  # fmt: skip


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
    project: Project,
    proof: Proof | None,
    state: UiState,
    chart: tuple[ChartReading, ...] = (),
    learned: ChartLearned | None = None,
    judged: Judged | None = None,
) -> SeeView:
    """Lights, overlaps, the place last clicked, what the inks can reach, and a printed chart as read."""
    title, here = _layers_here(project, proof, state)
    cloud = reachable(project)
    bare = project.bare_colours()
    colours = project.flat.colours if project.flat else ()
    wanted = tuple(c.lab for n, c in enumerate(colours) if n not in bare)
    far = sum(off > 3 for off in in_reach(cloud, wanted))
    said = "Every wanted colour is within reach of one or two of these inks."
    if far:
        said = f"{far} of {len(wanted)} wanted colours lie beyond ΔE 3 of what one or two of these inks give."
    return SeeView(
        state.light, state.eyes, state.wet_look, _parting_text(project), here, title,
        _overlap_rows(project, proof, judged), cloud, wanted, said, _chart_rows(chart),
        _learned_text(learned),
    )  # fmt: skip


def _learned_text(learned: ChartLearned | None) -> str:
    if learned is None:
        return ""
    return (
        f"Learnt from {learned.patches} patches: on average ΔE {number(learned.before)} off before, "
        f"{number(learned.after)} now; inks alone within {number(learned.solids, 2)}. Undo takes it back."
    )


def _parting_text(project: Project) -> str:
    """Flat colours that match in the booth and part elsewhere."""
    if project.flat is None:
        return ""
    said = []
    for light in LIGHTS[1:]:
        for one, other, apart in fields_that_part(project, light)[:2]:
            names = project.flat.colours[one].name, project.flat.colours[other].name
            said.append(f"△ {names[0]} and {names[1]} part by ΔE {number(apart)} under {LIGHT_NAMES[light]}.")
    return " ".join(said) or "No two fields that match in the booth part in the other lights."


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
        names = " + ".join(_ink_of(project, keys[n]).name for n in sorted(films)) or "bare paper"
        sure = judged.overlaps.get(films, 0.0) if judged is not None else 0.0
        said = f"± {number(sure)}, " if sure >= WORTH_SAYING else ""
        figure, aim = f"{said}{number(100 * area / image, 1)} %", _aim_text(project, proof, row)
        rows.append(Row(str(row), lab_to_hex(proof.labs[row]), names, figure, aim))
    return tuple(rows)


def _aim_text(project: Project, proof: Proof, row: int) -> str:
    """What a combination shows, and what is wanted where it lies most."""
    said = f"Lab {lab_text(proof.labs[row])}"
    number_of = int(proof.laid.meetings[:, row].argmax())
    if project.flat is None or not proof.laid.meetings[number_of, row]:
        return said
    colour = project.flat.colours[number_of]
    lab = project.paper.lab if number_of in project.bare_colours() else colour.lab
    off = float(delta_e00(proof.labs[row], np.array(lab)))
    return f"{said}, for {colour.name.lower()} ΔE {number(off)}"


def _chart_rows(chart: tuple[ChartReading, ...]) -> tuple[Row, ...]:
    """The patches of a printed chart that lie furthest from what was predicted."""
    worst = sorted(chart, key=lambda each: -each.de00)[:MOST_OVERLAPS]
    return tuple(
        Row(
            each.patch.name, lab_to_hex(np.array(each.read.lab)), each.patch.name, f"ΔE {number(each.de00)}",
            f"read {lab_text(each.read.lab)}, predicted {lab_text(each.patch.lab)}",
        )
        for each in worst
    )  # fmt: skip


def _layers_here(project: Project, proof: Proof | None, state: UiState) -> tuple[str, tuple[Row, ...]]:
    """The layers at the place last clicked: the colour after each, and what leaving it out would change."""
    if proof is None or state.place is None:
        return "Click the sheet to see its layers there", ()
    laid = proof.laid
    x, y = (round(v * laid.px_per_mm / proof.blocks.px_per_mm) + laid.pad_px for v in state.place)
    height, width = laid.map.index.shape
    row = int(laid.map.index[min(y, height - 1), min(x, width - 1)])
    own = [laid.films[n] for n in np.flatnonzero(laid.map.members[row])]
    order = {pull.id: place for place, pull in enumerate(project.impressions)}
    keys = sorted(own, key=lambda key: order[key.pull])
    if not keys:
        return "Here: bare paper", ()
    count = len(keys)
    without = ~np.eye(count, dtype=bool)
    labs = reflectance_to_lab(
        printed_reflectance(project, keys, np.vstack([np.tri(count, dtype=bool), without]))
    )
    wets = on_wet(project, keys)
    rows = []
    for place, key in enumerate(keys):
        film = film_of(project, key)
        takes = wets[place]
        share = f", {number(100 * takes.share, 0)} % takes" if takes and takes.wet else ""
        change = float(delta_e00(labs[count + place], labs[count - 1]))
        rows.append(
            Row(
                f"{key.pull}/{key.zone}", lab_to_hex(labs[place]),
                f"{order[key.pull] + 1} {_ink_of(project, key).name}",
                f"film {number(100 * film.thickness, 0)} %{share}",
                f"left out: ΔE {number(change)}",
            )
        )  # fmt: skip
    return f"Here: {counted(count, 'layer')}, first printed first", tuple(rows)


@dataclass(frozen=True)
class ProofView:
    """How much ink, and what has the proof taught?"""

    sheets: int
    film_g_m2: float
    slab_g: float
    needs: Figures
    note: str
    scan: str
    fields: tuple[Row, ...]
    causes: tuple[str, ...]


def proof_view(project: Project, proof: Proof | None, learnt: Learnt | None) -> ProofView:
    """Amounts for the sheets, and the comparison with a scanned proof."""
    shop = project.workshop
    needs = []
    for key in zone_keys(project) if proof else ():
        ink_g, batch = _need(project, proof, key)
        ink = _ink_of(project, key)
        rest, share = batch - ink_g, 1 - ink.modifier_pct / 100
        figure = f"{number(ink_g * share, 0)} g"
        figure += f" + {number(rest * share, 0)} g extender" if rest >= 0.5 else ""
        figure += f" + {number(batch * (1 - share), 1)} g modifier" if share < 1 else ""
        needs.append((ink.name, figure))
    names = [colour.name for colour in project.flat.colours] if project.flat else []
    fields = tuple(
        Row(
            str(field.number), lab_to_hex(np.array(field.read)), names[field.number],
            f"ΔE {number(field.de00)}",
            f"read {lab_text(field.read)}, predicted {lab_text(field.predicted)}",
        )
        for field in (learnt.fields[:8] if learnt else ())
        if field.number < len(names)
    )  # fmt: skip
    causes = tuple(
        f"{cause.text} Mean ΔE {number(cause.before)} → {number(cause.after)}."
        for cause in (learnt.causes if learnt else ())
    )
    return ProofView(
        planned_sheets(project), shop.film_g_m2, shop.slab_g, tuple(needs),
        f"With {number(shop.slab_g, 0)} g left on slab and roller and {number(100 * shop.waste, 0)} % lost; "
        "from memory, so weigh before and after.",
        learnt.name if learnt else "", fields, causes,
    )  # fmt: skip


def _need(project: Project, proof: Proof | None, key: FilmKey) -> tuple[float, float]:
    """Grams of ink, and of the whole batch with extender, for one zone."""
    if proof is None or len(proof.blocks.masks) != len(project.blocks):
        return 0.0, 0.0
    need = zone_need(project, proof.blocks, key, planned_sheets(project))
    return need.ink_g, need.batch_g
