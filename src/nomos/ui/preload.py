"""What the first print will need is loaded and made while nobody waits for it."""

from importlib import import_module

from nomos.base.process import let_stand
from nomos.base.progress import Progress
from nomos.ui.column import Column
from nomos.ui.frame.document import Document
from nomos.ui.frame.jobs import QUIET, Asker, JobRunner
from nomos.ui.stations import TABLE

# What a window with a print calls on its own thread and takes long to load; the rest a worker loads.
_LARGE = ("cv2", "scipy.special", "scipy.optimize")


def preload(column: Column, document: Document, runner: JobRunner) -> None:
    """Load beside the window, then make the stations one by one between the events of the hand.

    What fails to load says so when it is used.
    """
    asker = Asker(runner, "ahead", lambda _problem: None, rank=QUIET, outlives=True)

    def made() -> None:
        if document.project is None:
            let_stand()

    column.complete.connect(made)
    asker.do(_load, lambda _loaded: column.make_all())


def _load(progress: Progress) -> None:
    names = (*_LARGE, *(f"nomos.ui.stations.{station}.{station}_presenter" for station in TABLE))
    for number, name in enumerate(names):
        progress.report(number / len(names), "")
        import_module(name)
