"""Print…: what, on which paper and printer, with its pages in sight and the printer's scale checked first."""

from collections.abc import Callable, Sequence
from pathlib import Path

from PyQt6.QtCore import QSettings, Qt, pyqtSignal
from PyQt6.QtGui import QCloseEvent
from PyQt6.QtPrintSupport import QPrinter, QPrinterInfo, QPrintPreviewWidget
from PyQt6.QtWidgets import QCheckBox, QComboBox, QDialog, QHBoxLayout, QVBoxLayout, QWidget

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.formats.outputs import Output, check_output
from nomos.ui.frame import theme
from nomos.ui.frame.controls import Choice, Fields, NumberBox, button, label
from nomos.ui.frame.printing import LEAST_MM, LOOK_DPI, MOST_MM, Scale, cut_off, keep_scale, kept_scale, print_pdf

A_FILE = tr("A PDF file…")
_WHATS = (("templates", tr("Templates")), ("pulls", tr("Pulls")), ("carving", tr("Carving")))
_FACES = (("block", tr("On the block")), ("tracing", tr("Tracing")), ("both", tr("Both")))
_WHY = tr(
    "Printers are often off by half a millimetre in a hundred. Print the check page once, measure its bars, "
    "and every page comes out right on this printer."
)

_BAR = tr("Lay a ruler on the page that was printed: the printer's own error is then put right.")


class PrintDialog(QDialog):
    """Asks for pages and prints them; who made it draws them."""

    pages_requested = pyqtSignal(str, object, str, str)
    """What, ids of blocks, faces, paper: `show_pages` is to be called with their PDF."""
    check_requested = pyqtSignal(str)
    """The check page on a paper: `print_check` is to be called with its PDF."""

    def __init__(
        self, parent: QWidget | None, blocks: Sequence[tuple[str, str]], papers: Sequence[str], settings: QSettings,
        ask_file: Callable[[], str | None],
    ) -> None:  # fmt: skip
        super().__init__(parent)
        self.setWindowTitle(tr("Print at true size"))
        self._settings, self._ask_file, self._pdf = settings, ask_file, b""
        self._what, self._faces = "templates", "both"
        self.device = QPrinter(QPrinter.PrinterMode.HighResolution)
        self.whats, self.faces = Choice(_WHATS), Choice(_FACES)
        self.blocks = {block: QCheckBox(name.replace("&", "&&")) for block, name in blocks}
        self.paper, self.printer = QComboBox(), QComboBox()
        self.paper.addItems(papers)
        self.printer.addItems([*QPrinterInfo.availablePrinterNames(), A_FILE])
        self.along, self.across = (NumberBox(LEAST_MM, MOST_MM, step=0.1, digits=2) for _ in range(2))
        self.check, self.go = button(tr("Print the check page")), button(tr("&Print"))
        self.said = label(kind="quiet")
        self.preview = QPrintPreviewWidget(self.device)
        self._lay_out()
        self._connect()
        self._show_printer()

    def _lay_out(self) -> None:
        column, page = QVBoxLayout(), Fields()
        page.add(tr("Paper"), self.paper, tr("What lies in the printer."))
        page.add(tr("Printer"), self.printer, tr("Printers that this machine knows."))
        measured = Fields()
        measured.add(tr("Bar along the page measures"), self.along, _BAR)
        measured.add(tr("Bar across it measures"), self.across, _BAR)
        for made in self.blocks.values():
            made.setChecked(True)
        close = button(tr("Close"))
        close.clicked.connect(self.reject)
        for widget in (
            label(tr("What is printed"), kind="name"), self.whats, self.faces, *self.blocks.values(),
            label(tr("Where"), kind="name"), page, label(tr("The printer's scale"), kind="name"),
            label(_WHY, kind="quiet"), self.check, measured, self.said,
        ):  # fmt: skip
            column.addWidget(widget)
        column.addStretch(1)
        row = QHBoxLayout()
        row.addWidget(close)
        row.addWidget(self.go)
        column.addLayout(row)
        whole = QHBoxLayout(self)
        left = QWidget()
        left.setLayout(column)
        left.setFixedWidth(theme.scaled(300))
        whole.addWidget(left)
        whole.addWidget(self.preview, 1)
        self.resize(theme.scaled(980), theme.scaled(680))

    def _connect(self) -> None:
        self.whats.show_choice("templates")
        self.faces.show_choice("both")
        self.whats.chosen.connect(self._take_what)
        self.faces.chosen.connect(self._take_faces)
        for made in self.blocks.values():
            made.clicked.connect(lambda _on: self.ask())
        self.paper.activated.connect(lambda _n: self.ask())
        self.printer.activated.connect(lambda _n: self._show_printer())
        for box in (self.along, self.across):
            box.set_by_hand.connect(lambda _value: self._take_scale())
        self.check.clicked.connect(lambda: self.check_requested.emit(self.paper.currentText()))
        self.go.clicked.connect(self._print)
        self.preview.paintRequested.connect(self._paint)

    def _take_what(self, what: str) -> None:
        self._what = what
        self.faces.setVisible(what == "templates")
        for made in self.blocks.values():
            made.setVisible(what != "pulls")
        self.ask()

    def _take_faces(self, faces: str) -> None:
        self._faces = faces
        self.ask()

    def ask(self) -> None:
        """Ask for the pages as they are chosen now."""
        chosen = frozenset(block for block, made in self.blocks.items() if made.isChecked())
        self.go.setEnabled(False)
        if not chosen and self._what != "pulls":
            self.said.setText(tr("Choose a block at least."))
            return
        self.said.setText(tr("Drawing the pages…"))
        self.pages_requested.emit(self._what, chosen, self._faces, self.paper.currentText())

    def show_pages(self, pdf: bytes) -> None:
        """Show pages that were asked for."""
        self._pdf = pdf
        self.said.setText(cut_off(self.device))
        self.go.setEnabled(True)
        self.preview.updatePreview()

    def print_check(self, pdf: bytes) -> None:
        """Print the page with the bars, as the printer has it."""
        self._print_as(pdf, Scale())

    def show_problem(self, said: str) -> None:
        """Why there are no pages."""
        self.said.setText(said)

    @property
    def scale(self) -> Scale:
        """As it was measured on this printer."""
        return Scale(self.along.value(), self.across.value())

    def _show_printer(self) -> None:
        name = self.printer.currentText()
        if name == A_FILE:
            self.device.setOutputFormat(QPrinter.OutputFormat.PdfFormat)
        else:
            self.device.setPrinterName(name)
        scale = Scale() if name == A_FILE else kept_scale(self._settings, name)
        self.along.show_value(scale.along_mm)
        self.across.show_value(scale.across_mm)
        # A file has no scale of its own: what prints it does.
        for widget in (self.along, self.across, self.check):
            widget.setEnabled(name != A_FILE)
        self.preview.updatePreview()

    def _take_scale(self) -> None:
        keep_scale(self._settings, self.printer.currentText(), self.scale)
        self.preview.updatePreview()

    def _paint(self, device: QPrinter) -> None:
        if self._pdf:
            print_pdf(device, self._pdf, self.scale, LOOK_DPI)

    def _print(self) -> None:
        self._print_as(self._pdf, self.scale)

    def _print_as(self, pdf: bytes, scale: Scale) -> None:
        if self.printer.currentText() == A_FILE:
            name = self._ask_file()
            if name is None:
                return
            try:
                check_output(Path(name), Output(suffixes=(".pdf",)))
                with Path(name).open("ab"):
                    self.device.setOutputFileName(name)
            except BadInput as error:
                self.said.setText(str(error))
                return
            except OSError as error:
                self.said.setText(
                    tr(
                        "{name} cannot be written ({what}); choose another place.",
                        name=name,
                        what=error.strerror or error,
                    )
                )
                return
        try:
            count = print_pdf(self.device, pdf, scale)
        except BadInput as error:
            self.said.setText(str(error))
            return
        pages = tr("1 page") if count == 1 else tr("{count} pages", count=count)
        self.said.setText(
            tr("{pages} sent to {what}.", pages=pages, what=self.device.outputFileName() or self.printer.currentText())
        )

    def closeEvent(self, event: QCloseEvent | None) -> None:
        # By way of `finished`: what is still being drawn is stopped before the dialog is gone.
        self.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        super().closeEvent(event)
