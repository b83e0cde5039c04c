"""Whatever is asked for can be called off: one test over all requests; how soon, `benchmarks/silence.py` measures."""

import contextlib
import importlib
import inspect
import pkgutil
import threading
from collections.abc import Callable
from datetime import date
from pathlib import Path
from typing import Any, get_args

import pytest

import nomos.demo
import nomos.formats
import nomos.project.blocks
import nomos.work
from nomos.base.progress import Cancelled, Progress
from nomos.cli.common import answers
from nomos.demo import POTS, demo_project
from nomos.project import Assets, Project
from nomos.project.blocks.methods import with_method, with_usual_order
from nomos.project.blocks.plans import PROCESS_INKS, nearest_reachable
from nomos.project.blocks.reduction import inked_apart, with_reduction
from nomos.work import Answers, Request
from nomos.work.carve import carve_of, fine_of
from nomos.work.cut import Cut, cut_of, lay_of, sheet_of
from nomos.work.days import count_of, days_of
from nomos.work.flash import flash_of, grid_of, magnify_of, one_sheet_of, practise_of
from nomos.work.freedom import freedom_request
from nomos.work.inking import inking_of
from nomos.work.joins import joins_of
from nomos.work.open import Wish, flatten_of, open_design, see_design
from nomos.work.orders import orders_of
from nomos.work.packet import write_cutting, write_packet
from nomos.work.plans import Wanted, plans_of
from nomos.work.printing import What, pages_pdf
from nomos.work.recipes import recipes_of
from nomos.work.review import look_of, review
from nomos.work.scan import learn_of, planned_of, scan_of, scan_tried_of, sheet_read_of
from nomos.work.sure import sure_of


def _picture(project: Project, assets: Assets) -> bytes:
    assert project.source is not None
    return assets[project.source.digest]


Make = Callable[[Project, Assets, Cut], Request[Any]]
REQUESTS: dict[str, Make] = {
    "Carve": lambda p, _a, cut: carve_of(p, cut),
    "FindFine": lambda p, _a, cut: fine_of(p, cut),
    "Cut": lambda _p, _a, cut: cut,
    "Lay": lambda p, _a, cut: lay_of(p, cut),
    "Bare": lambda p, _a, cut: sheet_of(p, cut),
    "Flash": lambda p, _a, cut: flash_of(p, cut),
    "Grid": lambda p, _a, cut: grid_of(p, cut, 1),
    "OneSheet": lambda p, _a, cut: one_sheet_of(p, cut, 1),
    "Practise": lambda p, _a, cut: practise_of(p, cut, 1),
    "Magnify": lambda p, _a, cut: magnify_of(p, cut, (60.0, 70.0)),
    "CountDays": lambda p, _a, cut: count_of(p, cut),
    "PlanDays": lambda p, _a, cut: days_of(p, date(2026, 11, 30), cut),
    "Joins": lambda p, _a, cut: joins_of(p, cut),
    "LookForFreedom": lambda p, _a, cut: freedom_request(p, cut, p.impressions[1].id),
    "LookAtInking": lambda p, _a, cut: inking_of(p, cut),
    "Look": lambda p, a, _cut: _flatten(p, a),
    "Flatten": lambda p, a, _cut: _flatten(p, a),
    "Orders": lambda p, _a, cut: orders_of(p, cut),
    "Plans": lambda p, _a, cut: plans_of(p, cut, Wanted(most_blocks=3)),
    "Recipes": lambda p, _a, _cut: recipes_of(p, p.impressions[3].id, 0, p.inks, 3),
    "LookClosely": lambda p, _a, cut: look_of(p, cut),
    "Scan": lambda p, a, cut: scan_of(p, cut, _picture(p, a), "scan.png"),
    "ScanTried": lambda p, _a, cut: scan_tried_of(p, cut),
    "Learn": lambda p, a, cut: learn_of(p, cut, _picture(p, a), "proof.png"),
    "ReadSheet": lambda p, a, cut: sheet_read_of(p, cut, _picture(p, a), "sheet 5.png"),
    "Planned": lambda p, _a, cut: planned_of(p, cut),
    "Sure": lambda p, _a, _cut: sure_of(p),
}


def _flatten(project: Project, assets: Assets) -> Request[Any]:
    assert project.source is not None
    return flatten_of(project.source, _picture(project, assets), Wish(6, 0.8, None, (), 0))


def _requests() -> set[str]:
    """The names of all requests there are: frozen, with `said` and `work`."""
    found = set()
    for module in pkgutil.iter_modules(nomos.work.__path__, "nomos.work."):
        for name, kind in inspect.getmembers(importlib.import_module(module.name), inspect.isclass):
            if hasattr(kind, "said") and hasattr(kind, "work") and not getattr(kind, "_is_protocol", False):
                found.add(name)
    return found


class _Watch:
    """Lets work go on for some reports, then calls it off."""

    def __init__(self, reports: int) -> None:
        self.left = reports

    def report(self, _fraction: float, _message: str) -> None:
        self.left -= 1
        if self.left < 0:
            raise Cancelled


# What is done in a blink, within three reports or without one (measured by benchmarks/silence.py).
_BRIEF = {
    "Lay", "Bare", "OneSheet", "Practise", "Magnify", "LookForFreedom", "Sure", "Planned",
}  # fmt: skip


def test_no_request_is_left_out() -> None:
    assert _requests() == set(REQUESTS)


@pytest.mark.parametrize("name", REQUESTS)
def test_a_request_can_be_called_off_at_any_report(name: str, demo: tuple[Project, Assets]) -> None:
    project, assets = demo
    cut = cut_of(project, assets)
    assert cut is not None
    request = REQUESTS[name](project, assets, cut)
    # What it builds on may be known; it itself is not.
    known = answers()
    for reports in (0, 3):
        fresh, watch = Answers(), _Watch(reports)
        fresh._kept.update((each, kept) for each, kept in known._kept.items() if each != request)
        try:
            fresh(request, watch)
        except Cancelled:
            # Called off, it is not remembered as answered, and can be asked again.
            assert fresh.known(request) is None
            assert fresh._turns == {}
        else:
            assert name in _BRIEF, f"{name} was not to be called off after {reports} reports"
        assert threading.active_count() < 20


Job = Callable[[Project, Assets, Answers, Path, Progress], object]
JOBS: dict[str, Job] = {
    "write_packet": lambda p, a, ask, out, on: write_packet(out, p, a, ask, progress=on),
    "write_cutting": lambda p, a, ask, out, on: write_cutting(out, p, a, ask, progress=on),
    "pages_pdf": lambda p, a, ask, _out, on: [
        pages_pdf(p, a, ask, what, frozenset(b.id for b in p.blocks), progress=on) for what in get_args(What)
    ],
    "review": lambda p, a, ask, _out, on: review(p, a, ask, progress=on),
    "open_design": lambda p, a, ask, out, on: open_design(_sketch(p, a, out), ask, on),
    "see_design": lambda p, a, _ask, out, on: see_design(_sketch(p, a, out), on),
    "demo_project": lambda _p, _a, ask, _out, on: demo_project(POTS, ask, progress=on),
    "with_method": lambda p, _a, _ask, _out, on: with_method(p, "reduction", progress=on),
    "with_usual_order": lambda p, _a, _ask, _out, on: with_usual_order(p, "light-to-dark", progress=on),
    "with_reduction": lambda p, _a, _ask, _out, on: with_reduction(p, progress=on),
    "inked_apart": lambda p, _a, _ask, _out, on: inked_apart(with_reduction(p), 2, 3, progress=on),
    "nearest_reachable": lambda p, _a, _ask, _out, on: _reach(p, on),
}
# Drawn for those above, and asked for by nobody else.
_PARTS = {"carving_pdf", "drawings_pdf", "pulls_pdf", "templates", "transfer_pdf", "look_for_freedom"}


def _sketch(project: Project, assets: Assets, folder: Path) -> Path:
    path = folder / "sketch.png"
    path.write_bytes(_picture(project, assets))
    return path


def _reach(project: Project, progress: Progress) -> object:
    assert project.flat is not None
    wanted = {n: colour.lab for n, colour in enumerate(project.flat.colours)}
    return nearest_reachable(project.paper.lab, wanted, PROCESS_INKS, progress=progress)


def test_no_job_is_left_out() -> None:
    """Whatever takes a progress where commands and the window's hands look for jobs."""
    found = set()
    for room in (nomos.work, nomos.formats, nomos.demo, nomos.project.blocks):
        for module in pkgutil.walk_packages(room.__path__, f"{room.__name__}."):
            for name, job in inspect.getmembers(importlib.import_module(module.name), inspect.isfunction):
                own = job.__module__ == module.name and not name.startswith("_")
                if own and "progress" in inspect.signature(job).parameters:
                    found.add(name)
    assert found - _PARTS == set(JOBS)


@pytest.mark.parametrize("name", JOBS)
def test_a_job_can_be_called_off_at_any_report(name: str, demo: tuple[Project, Assets], tmp_path: Path) -> None:
    known = answers()
    for reports in (0, 5):
        watch = _Watch(reports)
        with contextlib.suppress(Cancelled):
            JOBS[name](*demo, known, tmp_path, watch)
        # Whole files or none.
        assert not [path for path in tmp_path.rglob("*") if path.name.startswith(".")]
