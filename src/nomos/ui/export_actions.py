"""What goes out of the window and comes in from the desktop: print, export, copy, paste, files of late."""

from collections.abc import Callable
from pathlib import Path
from typing import TYPE_CHECKING

from PyQt6.QtCore import QObject, QPoint, QSettings, Qt, QTimer
from PyQt6.QtWidgets import QApplication, QWidget

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.units import counted
from nomos.project import Station
from nomos.ui.central_view import CentralView
from nomos.ui.column import Column
from nomos.ui.controller import Controller
from nomos.ui.frame import export, recent, theme
from nomos.ui.frame import view as frame
from nomos.ui.frame.controls import Figures
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.menus import Menus
from nomos.ui.frame.notes import with_a_place
from nomos.ui.frame.notice import Notice
from nomos.ui.frame.outside import about_box, pasted
from nomos.ui.sheet_menu import copy_picture, sheet_menu

if TYPE_CHECKING:
    from nomos.ui.frame.guide import GuideWindow
    from nomos.ui.frame.print_dialog import PrintDialog
    from nomos.ui.frame.telephone import TelephoneDialog


class ExportActions(QObject):
    """Serves the window's menu, where it is more than a call to the controller."""

    printing: "PrintDialog | None" = None
    door: "TelephoneDialog | None" = None

    def __init__(
        self, over: QWidget, notice: Notice, view: CentralView, column: Column, go_to: Callable[[Station], None],
        controller: Controller, settings: QSettings,
    ) -> None:  # fmt: skip
        """over : the window that dialogs stand over."""
        super().__init__()
        self._over, self._notice, self._view, self._column = over, notice, view, column
        self._go_to = go_to
        self._hand, self._settings = controller, settings
        self._menus: Menus | None = None
        self._finding = -1
        self._guide: GuideWindow | None = None
        controller.files.settled.connect(self._remember)
        controller.telephone_requested.connect(self.telephone)
        view.sheet.setContextMenuPolicy(Qt.ContextMenuPolicy.CustomContextMenu)
        view.sheet.customContextMenuRequested.connect(self._open_menu)

    def _open_menu(self, at: QPoint) -> None:
        sheet_menu(self._hand, self._view, self._column, at).popup(self._view.sheet.mapToGlobal(at))

    def copy_picture(self) -> None:
        """Put what the sheet shows on the clipboard."""
        copy_picture(self._view)

    def full_screen(self) -> None:
        """The window alone on the screen, or back."""
        self._over.setWindowState(self._over.windowState() ^ Qt.WindowState.WindowFullScreen)

    def take_menus(self, menus: Menus) -> None:
        """The menus stand: the files of late go into them."""
        self._menus = menus
        self._show_recent()

    def _tell(self, sentence: str) -> None:
        self._notice.tell(sentence)

    def _remember(self, path: Path) -> None:
        """A project was opened or saved: it is among those of late."""
        recent.remember(self._settings, path)
        self.keep_picture()
        self._show_recent()

    def _show_recent(self) -> None:
        paths = recent.recent_files(self._settings)
        if self._menus is not None:
            self._menus.show_recent(paths, self._hand.files.open)
        self._view.welcome.show_recent([(path, recent.picture_of(path)) for path in paths])

    def keep_picture(self) -> None:
        """Keep a small picture of the project, if its proof is there."""
        proof, document = self._hand.keeper.proof, self._hand.document
        if document.path is not None and proof is not None and proof.project is document.project:
            tall = theme.scaled(recent.PICTURE_PX)
            recent.keep_picture(document.path, frame.small_print(proof, tall))

    def print(self) -> None:
        """Ask what to print, and print it."""
        hand, project = self._hand, self._hand.document.project
        if project is None or not project.impressions:
            self._tell(tr("There is nothing to print yet: open a picture first."))
            return
        # Imported here: most sessions print nothing.
        from nomos.formats.pdf import PAPERS_MM
        from nomos.ui.frame.print_dialog import PrintDialog

        names = dict.fromkeys(pull.block for pull in project.impressions)
        blocks = [(block, project.block(block).name) for block in names]
        files = hand.files
        dialog = PrintDialog(self._over, blocks, list(PAPERS_MM), self._settings, files.ask_print_file)
        dialog.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        dialog.paper.setCurrentText(hand.state.page)
        dialog.pages_requested.connect(
            lambda what, chosen, faces, paper: files.draw_pages(
                what, chosen, faces, paper, dialog.show_pages, dialog.show_problem
            )
        )
        dialog.check_requested.connect(lambda paper: dialog.print_check(files.check_page(paper)))
        dialog.finished.connect(lambda _result: files.stop_pages())
        self.printing = dialog
        dialog.open()
        dialog.ask()

    def export_of(self) -> Callable[[Path], None]:
        """What writes the sheet as it is shown now, wherever it is asked to. It raises BadInput."""
        content = self._view.sheet.content

        def write(path: Path) -> None:
            if content is not None:
                export.write_sheet(path, content)

        return write

    def copy_figures(self) -> None:
        """Copy the figures and rows in sight, as a spreadsheet takes them."""
        column = self._column
        rows = [row for made in column.findChildren(Figures) if made.isVisible() for row in made.rows()]
        rows += [row for made in column.findChildren(ColourRows) if made.isVisible() for row in made.table()]
        board = QApplication.clipboard()
        if board is None or not rows:
            self._tell(tr("There are no figures in sight: turn to a part of a station that has some."))
            return
        board.setText(export.as_table(rows))
        self._tell(tr("{rows} copied: paste them into a table.", rows=counted(len(rows), tr("row"), tr("rows"))))

    def telephone(self) -> None:
        """Open the door for a telephone, or come back to it."""
        # Imported here: a server and its code are not needed before they are asked for.
        from nomos.ui.frame.telephone import TelephoneDialog

        if self.door is None:
            self.door = TelephoneDialog(self._over)
            self.door.arrived.connect(self._hand.photographed)
            self.door.takes_all = self._hand.takes_proofs
            self.door.destroyed.connect(self._forget_door)
        self.door.show()
        self.door.raise_()

    def _forget_door(self) -> None:
        self.door = None

    def paste(self) -> None:
        """Begin with the picture on the clipboard."""
        board = QApplication.clipboard()
        image = board.image() if board is not None else None
        if image is None or image.isNull():
            self._tell(tr("There is no picture on the clipboard: copy one first."))
            return
        try:
            self._hand.files.open(pasted(image))
        except BadInput as error:
            self._tell(str(error))

    def next_finding(self) -> None:
        """Go to the next place on the sheet that has a finding, the gravest first, and round again."""
        found = with_a_place(self._hand.keeper.proof)
        if not found:
            self._tell(tr("No finding has a place on the sheet."))
            return
        self._finding = (self._finding + 1) % len(found)
        finding = found[self._finding]
        if finding.station != self._hand.state.station:
            self._go_to(finding.station)
        self._hand.set_state(shown="print", pulls=None)
        place = finding.place_mm
        assert place is not None
        said = tr(
            "{finding} of {found}, {weight}: {said} {remedy}",
            finding=self._finding + 1, found=len(found), weight=tr(finding.weight), said=finding.text,
            remedy=finding.remedy,
        )  # fmt: skip
        self._notice.clear()
        self._tell(said)
        # Once the sentence has its room, and the sheet what is left.
        QTimer.singleShot(0, lambda: self._view.sheet.look_at(*place))

    def guide(self) -> None:
        """What this station is about, in a window beside the work."""
        if self._guide is None:
            # Imported here: most sessions ask for no guide.
            from nomos.ui.frame.guide import GuideWindow

            self._guide = GuideWindow(self._over)
        project = self._hand.document.project
        self._guide.open_at(self._hand.state.station if project is not None else "start")

    def about(self) -> None:
        """Version and licences."""
        made = about_box(self._over)
        made.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        made.open()
