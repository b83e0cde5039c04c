"""The studio in the window: kept, carried, brought in, given to new prints; and the preferences."""

from collections.abc import Callable
from pathlib import Path
from typing import TYPE_CHECKING

from PyQt6.QtCore import QObject, QSettings, Qt
from PyQt6.QtWidgets import QWidget

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.project import Project
from nomos.project.edition.studio import FIRST_EDITION, Studio, begun_in, grown, read_studio, studio_text, write_studio
from nomos.ui.controller import Controller
from nomos.ui.frame.notice import Notice
from nomos.ui.language import studio_path

if TYPE_CHECKING:
    from nomos.ui.frame.preferences import Preferences


class StudioHand(QObject):
    """Keeps the studio file, and opens the preferences."""

    def __init__(self, over: QWidget, notice: Notice, controller: Controller, settings: QSettings) -> None:
        super().__init__()
        self._over, self._notice = over, notice
        self._hand, self._settings = controller, settings
        self._path = studio_path(settings)
        self.preferences: Preferences | None = None
        self.anew = False
        """Whether the program is to start anew once the window is closed."""
        controller.designer.studio = self._begun
        controller.files.studio = self._path
        page = settings.value("page", "", str)
        if page:
            controller.choose_page(page)

    def _begun(self, project: Project) -> Project:
        """A new print with what is kept, or as a first edition. Raises BadInput for a studio file without sense."""
        return begun_in(self._studio() or FIRST_EDITION, project)

    def open(self) -> None:
        """Show the preferences."""
        # Imported here: neither dialog nor formats are needed before.
        from nomos.formats.pdf import PAPERS_MM
        from nomos.ui.frame.preferences import Preferences

        made = Preferences(self._over, self._settings, list(PAPERS_MM), self._hand.state.page)
        made.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        made.page_requested.connect(self._hand.choose_page)
        made.keep_requested.connect(self._keep)
        made.carry_requested.connect(self._carry)
        made.bring_requested.connect(self._bring)
        made.forget_requested.connect(self._forget)
        made.anew_requested.connect(self._start_anew)
        made.finished.connect(self._closed)
        self.preferences = made
        self._show()
        made.open()

    def _start_anew(self) -> None:
        if self.preferences is not None:
            self.preferences.accept()
        self.anew = self._over.close()

    def _closed(self) -> None:
        self.preferences = None

    def _show(self) -> None:
        if self.preferences is None:
            return
        kept = ""
        if self._path.exists():
            try:
                kept = studio_text(read_studio(self._path))
            except BadInput as error:
                kept = str(error)
        self.preferences.show_studio(kept, project=self._hand.document.project is not None)

    def _studio(self) -> Studio | None:
        return read_studio(self._path) if self._path.exists() else None

    def _tried(self, act: Callable[[], None]) -> None:
        try:
            act()
        except BadInput as error:
            self._notice.tell(str(error))
        self._show()

    def _keep(self) -> None:
        project = self._hand.document.project
        if project is not None:
            record = self._hand.bencher.record()
            self._tried(lambda: write_studio(self._path, grown(self._studio(), project, record)))

    def _carry(self) -> None:
        path = self._hand.files.questions.studio_to_save()
        if path is not None:
            self._tried(lambda: write_studio(path, read_studio(self._path)))

    def _bring(self) -> None:
        path = self._hand.files.questions.studio_to_open()
        if path is not None:
            self._tried(lambda: write_studio(self._path, read_studio(path)))

    def _forget(self) -> None:
        """The file is put aside, not lost."""

        def put_aside() -> None:
            try:
                self._path.replace(Path(f"{self._path}.previous"))
            except OSError as error:
                raise BadInput(
                    tr("{path} cannot be put aside ({what}).", path=self._path, what=error.strerror or error)
                ) from None

        self._tried(put_aside)
