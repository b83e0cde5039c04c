"""What the further parts of the Inks station show: recipes, the stack, ways of seeing, amounts and proofs."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from nomos.base.language import tr
from nomos.base.units import counted, grams_text, number
from nomos.colour import lab_to_hex
from nomos.colour.pigments import FAMILY_NAMES
from nomos.colour.spectra import Array
from nomos.colour.weighing import THINNED, in_parts, thinned_first, weighed
from nomos.edition import InkNeed
from nomos.project import Project, Proof
from nomos.project.edition.sheets import zone_need
from nomos.project.inks.drawdown import Card
from nomos.project.inks.films import (
    FilmKey,
    family_of,
    film_of,
    ground_of,
    printed_reflectance,
    solid_film,
    trapping_at,
    zone_keys,
)
from nomos.project.inks.mixing import Mixed
from nomos.project.inks.reach import passes_of
from nomos.project.model import Impression, Ink, Paper, Workshop, Zone
from nomos.project.model.sheets import planned_sheets
from nomos.project.register.learning import Learnt
from nomos.project.register.proof_places import place_text
from nomos.ui.frame.rows import Row
from nomos.ui.frame.sheet_view import lab_text
from nomos.ui.frame.state import UiState
from nomos.ui.stations.inks.drawdown_view import card_view
from nomos.ui.stations.inks.ink_view import ink_of, knife_text

Figures = tuple[tuple[str, str], ...]
MOST_OVERLAPS = 14
_MOST_PLACES = 8


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
    project: Project, proof: Proof | None, state: UiState, shelf: str, most: int, mixed: Mixed | None, card: Card | None
) -> MixView:
    """Recipes for the chosen ink, those found last if they are for it."""
    heading = tr("Choose an ink in the list first")
    batch = 100.0
    if state.pull is not None and not state.paper_chosen:
        zone = min(state.zone, len(project.impression(state.pull).zones) - 1)
        key = FilmKey(state.pull, zone)
        heading = tr("For {name}", name=ink_of(project, key).name)
        batch = max(round(_need(project, proof, key).batch_g, 0), 5.0) if proof else 100.0
    if mixed is None or (mixed.pull, mixed.zone) != (state.pull, state.zone) or not mixed.recipes:
        return MixView(heading, shelf, most, (), None, (), "", (), "", batch, *card_view(card))
    rows = tuple(
        Row(
            str(place), lab_to_hex(np.array(recipe.lab)), word, tr("ΔE {de00}", de00=number(recipe.de00)),
            ", ".join(n for n in recipe.names if n != "Extender"),
        )
        for place, (word, recipe) in enumerate(mixed.recipes)
    )  # fmt: skip
    recipe = mixed.recipes[mixed.chosen][1]
    grams, scales = weighed(recipe, mixed.tubs.all, batch, mixed.target, mixed.under)
    parts, knife = in_parts(recipe, mixed.tubs.all, mixed.target, mixed.under)
    weights = tuple(
        (name, tr("{number} g   {get} parts", number=number(grams[name]), get=parts.get(name, 0)))
        for name in recipe.names
        if name in grams
    )
    note = tr(
        "Wanted {lab_text}. Weighed to 0.1 g it comes to ΔE {de00}, by parts to {de00_2}. It "
        "hides {hiding} % of what is below",
        lab_text=lab_text(mixed.target), de00=number(scales.de00), de00_2=number(knife.de00),
        hiding=number(100 * recipe.hiding, 0),
    ) + (tr(" and costs {cost} per 100 g.", cost=number(recipe.cost, 2)) if recipe.cost else ".")  # fmt: skip
    first = thinned_first(recipe, mixed.tubs.all, batch, mixed.target, mixed.under)
    if first is not None:
        note += tr(
            " Too little {name} for the scales: thin it {times} times in extender first, then {grams}: ΔE {de00}.",
            name=tr(" and ").join(first.names), times=THINNED, de00=number(first.de00),
            grams=", ".join(f"{name} {number(g)} g" for name, g in first.grams.items()),
        )  # fmt: skip
    done = mixed.correction
    correction: Figures = ()
    said = ""
    if done is not None:
        correction = tuple((tr("add {name}", name=name), f"{number(grams)} g") for name, grams in done.grams.items())
        said = tr("From ΔE {before} to {de00}.", before=number(done.before), de00=number(done.de00))
        if not done.grams:
            said = tr("ΔE {before}: nothing on this shelf brings it nearer.", before=number(done.before))
        elif done.again:
            said += tr(" It takes more than the batch itself: mix anew.")
    return MixView(
        heading, shelf, most, rows, str(mixed.chosen), weights, note, correction, said, batch,
        *card_view(card),
    )  # fmt: skip


@dataclass(frozen=True)
class StackView:
    """How does it lie on what is there?"""

    heading: str
    zone: Zone
    pull: Impression
    ink: Ink
    paper: Paper
    workshop: Workshop
    can_be_wet: bool
    trapping: float
    trapping_note: str
    knife: str
    passes: str
    spectra: tuple[Array, Array, Array] | None
    taken: str


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
    note = tr("Printed on dry ink, the whole film takes.")
    if share is not None:
        source = tr("measured") if pull.trapping is not None else tr("worked out from the tack of both inks")
        note = tr(
            "{share} % of the film takes on the wet ink below: {source}.", share=number(100 * share, 0), source=source
        )
    elif place == 0:
        note = tr("The first pull has nothing wet below it.")
    passes = passes_of(project, film_of(project, key))
    gains = ", ".join(number(gain) for gain in passes.gains[:5])
    worth = tr("Printing it {passes} is as far as it is worth", passes=counted(passes.worth, tr("time"), tr("times")))
    solid = solid_film(project, ink)
    alone = printed_reflectance(project, [key], np.ones((1, 1), bool))[0]
    return StackView(
        f"{place + 1}  {ink.name}", zone, pull, ink, project.paper, project.workshop, place > 0,
        share if share is not None else 1.0, note, knife_text(project, ink),
        tr("Printed again over itself it gains ΔE {gains}: {worth}.", gains=gains, worth=worth),
        (alone, solid.absorption, solid.scattering), _taken_for(project, ink),
    )  # fmt: skip


def _taken_for(project: Project, ink: Ink) -> str:
    """Which pigment an ink known by its colour is taken for; empty where it was read."""
    family = family_of(ink, ground_of(project))
    if family is None:
        return ""
    return tr("By its colour taken for {family}. A drawdown makes it sure.", family=tr(FAMILY_NAMES[family]))


@dataclass(frozen=True)
class ProofView:
    """How much ink, and what has the proof taught?"""

    sheets: int
    workshop: Workshop
    needs: Figures
    note: str
    scan: str
    fields: tuple[Row, ...]
    causes: tuple[str, ...]
    places: str = ""


def proof_view(project: Project, proof: Proof | None, learnt: Learnt | None) -> ProofView:
    """Amounts for the sheets, and the comparison with a scanned proof."""
    shop = project.workshop
    needs, whole = [], list[InkNeed]()
    for key in zone_keys(project) if proof else ():
        need = _need(project, proof, key)
        whole.append(need)
        ink = ink_of(project, key)
        ink_g, batch = need.ink_g, need.batch_g
        rest, share = batch - ink_g, 1 - ink.modifier_pct / 100
        figure = f"{grams_text(ink_g * share)} g"
        figure += tr(" + {rest} g extender", rest=number(rest * share, 0)) if rest >= 0.5 else ""
        figure += tr(" + {batch} g modifier", batch=number(batch * (1 - share), 1)) if share < 1 else ""
        needs.append((ink.name, figure))
    names = [colour.name for colour in project.flat.colours] if project.flat else []
    fields = tuple(
        Row(
            str(field.number), lab_to_hex(np.array(field.read)), names[field.number],
            tr("ΔE {de00}", de00=number(field.de00)),
            tr("read {lab_text}, predicted {lab_text_2}", lab_text=lab_text(field.read),
            lab_text_2=lab_text(field.predicted)),
        )
        for field in (learnt.fields[:8] if learnt else ())
        if field.number < len(names)
    )  # fmt: skip
    causes = tuple(
        tr(
            "{said} {remedy} Mean ΔE {before} → {after}.",
            said=cause.text, remedy=cause.remedy, before=number(cause.before), after=number(cause.after),
        )
        for cause in (learnt.causes if learnt else ())
    )  # fmt: skip
    return ProofView(
        planned_sheets(project),
        shop,
        tuple(needs),
        _where_it_goes(whole),
        learnt.name if learnt else "",
        fields,
        causes,
        "\n".join(place_text(project, each) for each in learnt.places[:_MOST_PLACES]) if learnt else "",
    )


def _where_it_goes(needs: Sequence[InkNeed]) -> str:
    """How much of all ink comes onto the prints, stays on the tools, and is lost."""
    parts = [sum(each) for each in zip(*((n.on_paper_g, n.on_tool_g, n.lost_g) for n in needs), strict=True)]
    if not parts:
        return ""
    print_g, tool_g, lost_g = (number(part, 0) for part in parts)
    return tr(
        "{print_g} g come onto the prints, {tool_g} g stay on slab and tools and can go on into the next colour "
        "mixed from it, {lost_g} g are wiped off. From memory: weigh before and after.",
        print_g=print_g, tool_g=tool_g, lost_g=lost_g,
    )  # fmt: skip


def _need(project: Project, proof: Proof | None, key: FilmKey) -> InkNeed:
    """Ink for one zone; none while the blocks are not cut."""
    if proof is None or len(proof.blocks.masks) != len(project.blocks):
        return InkNeed(0.0, 0.0, 0.0, 0.0, 0.0)
    return zone_need(project, proof.blocks, key, planned_sheets(project))
