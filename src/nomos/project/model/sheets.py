"""How many sheets an edition begins with: one number for paper, ink, days and the bench."""

from functools import lru_cache

from nomos.base.language import tr
from nomos.base.units import number
from nomos.edition import SheetPlan, SheetsError, start_sheets
from nomos.project.model.project import Project

_start = lru_cache(maxsize=256)(start_sheets)


def sheets_of(project: Project) -> SheetPlan:
    """How many sheets to start with, before proofing and sacrificed ones. Raises SheetsError."""
    layers = max(1, len(project.impressions))
    return _start(project.plan.wanted, layers, project.plan.good, project.plan.confidence)


def all_sheets(project: Project, plan: SheetPlan) -> int:
    """Sheets to cut: those started with, proofing, and a sacrificed one for each layer."""
    layers = len(project.impressions) if project.plan.sacrificed else 0
    return plan.start_sheets + project.plan.proofing + layers


def sheets_text(project: Project) -> str:
    """Why so many sheets are cut for the edition, in a line. Raises SheetsError."""
    if project.workshop.sheets is not None:
        return tr("{sheets} sheets, as you said.", sheets=project.workshop.sheets)
    plan, own = sheets_of(project), project.plan
    layers = len(project.impressions)
    more = [tr("{proofing} for proofing", proofing=own.proofing)] if own.proofing else []
    more += [tr("{layers} first pulls of a layer", layers=layers)] if own.sacrificed else []
    return tr(
        "{cut} sheets: {wanted} good ones wanted; of 100 pulls {good} come out good, so through {layers} layers "
        "{survive} sheets of 100, and {start} are begun to be {sure} % sure of enough{more}.",
        cut=all_sheets(project, plan), wanted=own.wanted, good=number(100 * own.good, 0), layers=layers,
        survive=number(100 * plan.p_sheet, 0), start=plan.start_sheets, sure=number(100 * own.confidence, 0),
        more="".join(f", + {each}" for each in more),
    )  # fmt: skip


def planned_sheets(project: Project) -> int:
    """How many sheets are printed: what was said by hand, or else what the edition needs.

    Where no number of sheets is enough, as many as the edition counts.
    """
    if project.workshop.sheets is not None:
        return project.workshop.sheets
    try:
        return all_sheets(project, sheets_of(project))
    except SheetsError:
        return project.plan.wanted
