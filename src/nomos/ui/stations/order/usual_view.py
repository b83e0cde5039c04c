"""The usual orders, and why a pull stands where it does."""

from dataclasses import dataclass

from nomos.base.language import tr, within
from nomos.base.units import counted, number
from nomos.order import before_next, reasons
from nomos.project import Project, Proof, mean_difference
from nomos.project.blocks.pulls import layers, ordered
from nomos.project.blocks.reduction import cut_before
from nomos.ui.frame.cards import Card
from nomos.ui.frame.state import UiState
from nomos.ui.frame.view import small_print


@dataclass(frozen=True, eq=False)
class OrderView:
    """Which order?"""

    choices: tuple[Card, ...]
    pull: str | None
    why_title: str
    why: str
    can_go_earlier: bool
    can_go_later: bool


def usual_cards(project: Project, proof: Proof | None, tall: int) -> tuple[Card, ...]:
    """The usual orders, and the one on the ladder if it is none of them. tall : of their pictures, pixels."""
    offers = [("rule", tr("Light to dark, key last"), tr("the usual order"))]
    if any(block.is_key for block in project.blocks):
        offers.append(("key-first", tr("Key first, as the guide"), tr("knocks the key back")))
    cards = []
    for key, name, quiet in offers:
        other = ordered(project, key)
        chosen = other.impressions == project.impressions
        cards.append(_card(key, name, quiet, project if chosen else other, chosen, proof, tall))
    if not any(card.chosen for card in cards):
        own = _card("own", tr("Your order"), tr("as on the ladder"), project, True, proof, tall)
        cards.insert(0, own)
    return tuple(cards)


def order_view(project: Project, state: UiState, choices: tuple[Card, ...]) -> OrderView:
    """The Order station. choices : the usual orders."""
    places = [impression.id for impression in project.impressions]
    place = places.index(state.pull) if state.pull in places else None
    title = why = ""
    if place is not None:
        name = project.block(project.impressions[place].block).name
        title = tr("Why {name} is {ordinal}", name=within(name), ordinal=_ordinal(place + 1))
        why = reasons(layers(project))[place]
        gone = cut_before(project)[place]
        if gone and project.flat:
            names = ", ".join(within(project.flat.colours[n].name) for n in gone)
            why += tr(
                " Before it {names} is cut away for good: have every sheet printed through the pull "
                "before, and one proof kept.",
                names=names,
            )
    return OrderView(
        choices, state.pull, title, why, place is not None and place > 0, place is not None and place < len(places) - 1
    )


def _card(key: str, name: str, quiet: str, project: Project, chosen: bool, proof: Proof | None, tall: int) -> Card:
    if proof is None or proof.laid.pulls != {i.id for i in project.impressions}:
        return Card(key, name, "", quiet, chosen, None)
    printed = proof.reordered(project)
    matches = printed.matches
    worst = max((match.de00 for match in matches), default=0.0)
    figures = tr(
        "ΔE {mean_difference}   worst {worst}", mean_difference=number(mean_difference(matches)), worst=number(worst)
    )
    washes = sum(tr("wash up") in clean for clean, _ in before_next(layers(project)))
    quiet = f"{quiet}, {counted(washes, tr('wash-up'), tr('wash-ups'))}"
    return Card(key, name, figures, quiet, chosen, small_print(printed, tall))


def _ordinal(place: int) -> str:
    words = ("", tr("first"), tr("second"), tr("third"), tr("fourth"), tr("fifth"), tr("sixth"), tr("seventh"))
    return words[place] if place < len(words) else tr("number {place}", place=place)
