"""Plans with few blocks: looked for in the background, better ones shown as they are found."""

from dataclasses import replace
from pathlib import Path

from PyQt6.QtCore import QObject, pyqtSignal

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.project import Project
from nomos.ui.frame.document import Document
from nomos.ui.frame.jobs import Asker, JobRunner
from nomos.ui.frame.keeper import ProofKeeper
from nomos.work.plans import Found, InkSource, Plans, Wanted, ink_names, plans_of


class Planner(QObject):
    """Looks for plans, and forgets them when the design they were for is no longer there."""

    changed = pyqtSignal()
    message = pyqtSignal(str)

    def __init__(self, document: Document, runner: JobRunner, keeper: ProofKeeper) -> None:
        super().__init__()
        self._document, self._keeper = document, keeper
        self._search = Asker(runner, "plans", self.message.emit, said=tr("looking for plans"))
        self.wanted = Wanted()
        self.request: Plans | None = None
        self.found: Found | None = None
        document.changed.connect(self._project_changed)

    def _project_changed(self, before: Project | None, after: Project | None) -> None:
        labels = after.flat.labels if after and after.flat else None
        if before is None or before.flat is None or before.flat.labels != labels:
            # Plans and wishes go by the numbers of the flat colours, which are other ones now.
            self.found, self.request = None, None
            self._search.cancel()
            self.wanted = replace(self.wanted, wishes=())

    @property
    def keeps_key(self) -> bool:
        """Whether the plans that were found keep the key."""
        return self.request.wanted.keep_key if self.request else True

    def ask(self, wanted: Wanted) -> None:
        """Choose what to look for next."""
        self.wanted = wanted
        self.changed.emit()

    def ask_shelf(self, path: Path, source: InkSource = "shelf") -> None:
        """Take the inks of a shelf file, or of the studio."""
        from nomos.formats.shelf import read_inks

        try:
            shelf = read_inks(path)
        except BadInput as error:
            self.message.emit(str(error))
            return
        self.ask(replace(self.wanted, source=source, shelf=shelf))

    def look(self) -> None:
        """Look for plans."""
        project, cut = self._document.project, self._keeper.cut
        if project is None or project.flat is None or cut is None:
            return
        known = ink_names(project, self.wanted)
        # A use that was wished of an ink of another shelf is kept for when that comes back.
        uses = tuple(each for each in self.wanted.uses if each[0] in known)
        self.request = plans_of(project, cut, replace(self.wanted, uses=uses))
        self.found = Found()
        self._search.ask(self.request, self._take, self._take)
        self.changed.emit()

    def _take(self, found: Found) -> None:
        self.found = found
        self.changed.emit()
