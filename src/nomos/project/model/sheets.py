"""How many sheets an edition begins with: one number for paper, ink, days and the bench."""

from functools import lru_cache

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
