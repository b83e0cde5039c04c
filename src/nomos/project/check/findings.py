"""What a printmaker should know before going on, with what can be done about it."""

from collections.abc import Sequence
from functools import partial
from itertools import combinations

import numpy as np
from msgspec.structs import replace

from nomos.base.language import tr, within
from nomos.base.units import length_text, listed, number
from nomos.colour import delta_e00, overprints, reflectance_to_lab
from nomos.colour.light import LIGHT_NAMES, LIGHTS
from nomos.project.blocks.edits import without_impression
from nomos.project.blocks.jigsaw import sawn_block
from nomos.project.blocks.keys import DARK_ENOUGH, SHADOW_LIGHTNESS, with_contour_key, with_drawn_key, with_shadow_key
from nomos.project.blocks.methods import METHODS, method_of
from nomos.project.blocks.reduction import is_reduction
from nomos.project.check.joins import of_borders
from nomos.project.check.method import of_methods, of_writing
from nomos.project.check.stack import of_reduction
from nomos.project.inks.films import (
    can_be_on,
    film_on,
    ground_of,
    predicted,
    printing_sets,
    sitting_advice,
    tack_series,
    zone_keys,
)
from nomos.project.inks.reach import fields_that_part
from nomos.project.model import Block, Project, Zone
from nomos.project.model.edits import with_pull
from nomos.project.model.finding import UNSEEN_DE00, Cure, Finding, Weight
from nomos.project.register.system import advice_for, marks_of, plan_of_system
from nomos.project.register.tolerance import worst_mm
from nomos.project.sheet.laying import ColourMatch, LaidSheet, bare_paper_mm2
from nomos.registration import SYSTEMS
from nomos.separation.fields import Borders

# Colours nearer than this look like one on a print (chosen by us, no source).
_ALIKE_DE00 = 4.0
_FAR_DE00 = 5.0
_SMALL_PCT = 0.5
_LEAST_BARE_MM2 = 0.05
# Less is not told apart where lengths are told to a tenth.
_TOLD_MM = 0.05
# An ink so far from what it was read as is told (chosen by us, no source).
_DULLER_DE00 = 1.5


def find(
    project: Project, laid: LaidSheet | None, matches: Sequence[ColourMatch], borders: Borders | None = None
) -> tuple[Finding, ...]:
    """All findings of a project; those that need the proof, or the borders, only when they are given."""
    found = [*_of_design(project, matches), *_of_key(project), *_of_layers(project), *of_reduction(project)]
    found += [*of_methods(project), *of_writing(project)]
    if borders is not None:
        found += of_borders(project, borders)
    if laid is not None:
        found += _of_proof(project, laid, matches)
    found += _of_lights(project)
    found += _of_inks(project)
    found += _of_tack(project)
    found += _of_registration(project)
    return tuple(found)


def _of_design(project: Project, matches: Sequence[ColourMatch]) -> list[Finding]:
    if project.flat is None:
        return []
    colours = project.flat.colours
    found = []
    labs = np.array([colour.lab for colour in colours])
    apart = delta_e00(labs[:, None], labs[None])
    for first, second in combinations(range(len(colours)), 2):
        distance = float(apart[first, second])
        if distance < _ALIKE_DE00:
            text = tr(
                "{name} and {name_2} are alike, ΔE {distance}.",
                name=colours[first].name, name_2=colours[second].name, distance=number(distance),
            )  # fmt: skip
            found.append(
                Finding("worth knowing", "design", text, tr("One colour fewer may do: flatten to fewer colours."))
            )
    total = sum(match.area_mm2 for match in matches)
    for match in matches:
        share = 100 * match.area_mm2 / total
        if share < _SMALL_PCT and match.number not in project.bare_colours():
            text = tr(
                "{name} covers only {area_mm2} mm² ({share} %).",
                name=colours[match.number].name, area_mm2=number(match.area_mm2, 0), share=number(share, 2),
            )  # fmt: skip
            found.append(Finding("worth knowing", "design", text, METHODS[method_of(project)].little))
    return found


def _of_tack(project: Project) -> list[Finding]:
    """Layers that go onto wet ink and are not looser than it: one series through the sitting."""
    tight = sitting_advice(project)
    if not tight:
        return []
    later = [project.impressions[each.second].id for each in tight]
    names = listed([project.pull_name(pull) for pull in later])
    text = tight[0].text if len(tight) == 1 else f"{tack_series(project)} {tr('Too tight: {names}.', names=names)}"
    weight: Weight = "will fail" if any(each.fails for each in tight) else "could show"
    remedy = tr("Let the layer before dry, or change the order so that the tack falls.")
    cure = None if project.sheet_by_sheet else Cure(tr("Let it dry first"), partial(_dried_before, pulls=later))
    return [Finding(weight, "order", text, remedy, cure=cure)]


def _dried_before(project: Project, pulls: Sequence[str]) -> Project:
    for pull in pulls:
        project = with_pull(project, pull, wet=False)
    return project


def _of_key(project: Project) -> list[Finding]:
    if project.flat is None or is_reduction(project) or any(block.is_key for block in project.blocks):
        return []
    darks = any(DARK_ENOUGH <= colour.lab[0] < SHADOW_LIGHTNESS for colour in project.flat.colours)
    own = next((block for block in project.blocks if _is_dark(project, block)), None)
    if own is not None:
        return [
            Finding(
                "worth knowing", "blocks", tr("No key block, though {name} is dark enough to be one.", name=own.name),
                tr("As the key it is cut first and carries the drawing onto the other blocks."),
                cure=Cure(tr("Make it the key"), partial(with_drawn_key, block_id=own.id)),
            )
        ]  # fmt: skip
    rest = tr("joins then show the saw") if sawn_block(project) is not None else tr("joins then rest on the trap")
    return [
        Finding(
            "worth knowing", "blocks", tr("No key block: nothing dark in this design holds it together."),
            tr("Draw contours, lay a shadow over its darks, or print without: {rest}.", rest=rest),
            cure=Cure(tr("Draw a contour key"), with_contour_key),
            other=Cure(tr("Lay a shadow key"), with_shadow_key) if darks else None,
        )
    ]  # fmt: skip


def _is_dark(project: Project, block: Block) -> bool:
    """Whether a block prints nothing but one colour as dark as a key."""
    flat = project.flat
    return flat is not None and len(block.colours) == 1 and flat.colours[block.colours[0]].lab[0] < DARK_ENOUGH


def _of_layers(project: Project) -> list[Finding]:
    """Impressions without which the print would look the same, judged where they are strongest."""
    project = _at_strongest(project)
    sets = printing_sets(project)
    if not any(sets):
        return []
    found = []
    keys = zone_keys(project)
    # Where lines and zones drawn by hand lie, colours do not tell.
    told = [
        pull for pull in project.impressions
        if not any(zone.areas for zone in pull.zones) and project.block(pull.block).contour is None
    ]  # fmt: skip
    own = [{place for place, key in enumerate(keys) if key.pull == pull.id} for pull in told]
    shown = predicted(project, [*sets, *(each - some for some in own for each in sets)])
    whole, without = shown[: len(sets)], shown[len(sets) :].reshape(len(told), len(sets), 3)
    for impression, differs in zip(told, delta_e00(whole, without).max(axis=1), strict=True):
        if float(differs) < UNSEEN_DE00:
            name = project.pull_name(impression.id)
            text = tr(
                "{name} changes nothing that is seen: ΔE below {unseen_de00} everywhere.",
                name=name,
                unseen_de00=number(UNSEEN_DE00),
            )
            found.append(
                Finding(
                    "worth knowing", "blocks", text, tr("Leave this block out, or make its ink stronger."),
                    cure=Cure(
                        tr("Leave {name} out", name=name), partial(without_impression, impression_id=impression.id)
                    ),
                )
            )  # fmt: skip
    return found


def _at_strongest(project: Project) -> Project:
    """The project with every graded zone even, as strong as it is at its stronger end."""
    pulls = tuple(
        replace(pull, zones=tuple(_even(zone) if zone.grade is not None else zone for zone in pull.zones))
        for pull in project.impressions
    )
    return replace(project, impressions=pulls)


def _even(zone: Zone) -> Zone:
    assert zone.grade is not None
    return replace(zone, strength=max(zone.strength, zone.grade.to), grade=None)


def _of_proof(project: Project, laid: LaidSheet, matches: Sequence[ColourMatch]) -> list[Finding]:
    assert project.flat is not None
    found = []
    bare = bare_paper_mm2(project, laid)
    out = [i for i in project.impressions if i.offset]
    # What the saw takes of a jigsaw is said with its pieces.
    if bare > _LEAST_BARE_MM2 and (out or sawn_block(project) is None):
        cause = (
            tr("with ") + ", ".join(project.pull_name(i.id) for i in out) + tr(" out of register") if out
            else tr("with every block in its place")
        )  # fmt: skip
        found.append(
            Finding(
                "could show", "blocks", tr("Bare paper shows on {bare} mm², {cause}.", bare=number(bare), cause=cause),
                tr("Widen the trap or the key line, or register more closely.")
                if out or not _left_bare(project)
                else tr("Meant, where a place is left without ink or wiped; else widen the trap."),
            )
        )  # fmt: skip
    for match in matches:
        if match.de00 > _FAR_DE00:
            name = project.flat.colours[match.number].name
            found.append(
                Finding(
                    "could show", "inks",
                    tr("{name} comes out ΔE {de00} from what is wanted.", name=name, de00=number(match.de00)),
                    _nearer(project, match.number),
                )
            )  # fmt: skip
    return found


def _left_bare(project: Project) -> bool:
    return any(zone.bare for pull in project.impressions for zone in pull.zones)


def _nearer(project: Project, number_of: int) -> str:
    """What brings a colour nearer; where it is graded it is meant to run away from its one flat colour."""
    films = printing_sets(project)[number_of]
    graded = [key for place, key in enumerate(zone_keys(project)) if place in films]
    if any(project.impression(key.pull).zones[key.zone].grade is not None for key in graded):
        return tr("It is graded, so only a part of it has the flat colour: judge it on the sheet.")
    if sawn_block(project) is not None:
        return tr("What the saw takes shows paper: print it from a key block over the joins, or change its ink.")
    if len(project.impressions) == 1:
        return tr("Change its ink, strength or opacity.")
    return tr("Change its ink, strength or opacity, or its place in the order.")


def _of_lights(project: Project) -> list[Finding]:
    """Fields that match in the booth and part in another light."""
    if project.flat is None or not project.impressions:
        return []
    found = []
    guessed = any(ink.optics is None and ink.reflectance is None for ink in project.inks)
    doubt = tr(" The inks' spectra are guessed from their colours: read them to be sure.") if guessed else ""
    for light in LIGHTS[1:]:
        for one, other, apart in fields_that_part(project, light)[:1]:
            names = [project.flat.colours[n].name for n in (one, other)]
            text = tr(
                "{names} and {names_2} match in the booth and part by ΔE {apart} under {light_names}.",
                names=names[0], names_2=names[1], apart=number(apart), light_names=LIGHT_NAMES[light],
            )  # fmt: skip
            found.append(
                Finding(
                    "worth knowing", "inks", text,
                    tr("Mix both from the same pigments if they are to stay one colour.{doubt}", doubt=doubt),
                )
            )  # fmt: skip
    return found


def _of_inks(project: Project) -> list[Finding]:
    """Inks that cannot have their colour on this paper."""
    ground, found = ground_of(project), []
    for ink in {zone.ink: project.ink(zone.ink) for pull in project.impressions for zone in pull.zones}.values():
        if can_be_on(ink, ground):
            continue
        shown = reflectance_to_lab(overprints(ground, [film_on(ink, ground)])[-1])
        off = float(delta_e00(shown, np.array(ink.lab)))
        if off >= _DULLER_DE00:
            text = tr(
                "{name} was read on whiter paper: on this one it will look duller, by ΔE {off}.",
                name=ink.name,
                off=number(off),
            )
            found.append(
                Finding(
                    "could show", "inks", text,
                    tr("Print a pale opaque white below it, take whiter paper, or read the ink on this one."),
                )
            )  # fmt: skip
    return found


def _of_registration(project: Project) -> list[Finding]:
    plan, reason = plan_of_system(project)
    found = []
    if plan is None:
        found.append(Finding("will fail", "register", reason, tr("Until then no templates can be made.")))
    elif project.impressions:
        found += _of_system(project)
    out = [project.pull_name(i.id) for i in project.impressions if i.offset]
    if out:
        found.append(
            Finding(
                "worth knowing", "register", tr("Tried out of register: {out}.", out=", ".join(out)),
                tr("Templates are made in register all the same."),
            )
        )  # fmt: skip
    return found


def _of_system(project: Project) -> list[Finding]:
    """Whether the chosen system suits the paper, has room for its marks, and holds the tolerance."""
    found = []
    advice = advice_for(project)
    chosen = next(each for each in advice if each.system == project.register.system)
    if chosen.fitness == 0:
        better = within(SYSTEMS[advice[0].system].said)
        remedy = tr("Better here: {better}. {reason}", better=better, reason=advice[0].reason)
        found.append(Finding("will fail", "register", chosen.reason, remedy))
    _, reason = marks_of(project)
    if reason:
        found.append(
            Finding(
                "worth knowing", "register", tr("No marks are printed. {reason}", reason=reason), tr("Or print none.")
            )
        )
    _, apart = worst_mm(project)
    if apart > project.tolerance_mm + _TOLD_MM and len(project.impressions) > 1:
        text = tr(
            "Two pulls may lie {apart} apart at the worst place, and {tolerance_mm} are allowed.",
            apart=length_text(apart),
            tolerance_mm=length_text(project.tolerance_mm),
        )
        found.append(
            Finding(
                "could show", "register", text, tr("See the parts of it under Tolerance, or welcome a looser print.")
            )
        )
    return found
