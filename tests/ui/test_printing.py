"""Printing directly: true size on the page, the printer's own error put right and kept, chosen pages only."""

import threading
from pathlib import Path

import numpy as np
import pypdfium2
import pytest
from PyQt6 import sip
from PyQt6.QtCore import QEvent, QSettings, Qt
from PyQt6.QtPrintSupport import QPrinter
from PyQt6.QtWidgets import QApplication, QPushButton

from nomos.ui.desk import Desk
from nomos.ui.frame.print_dialog import PrintDialog
from nomos.ui.frame.printing import Scale, keep_scale, kept_scale, print_pdf
from nomos.work.printing import scale_pdf
from tests.ui.conftest import Answers, QTest, click, project_of, settle

DPI = 300


def printed(path: Path, pdf: bytes, scale: Scale) -> pypdfium2.PdfDocument:
    """What a printer that prints into a file makes of a PDF."""
    printer = QPrinter(QPrinter.PrinterMode.HighResolution)
    printer.setResolution(DPI)
    printer.setOutputFormat(QPrinter.OutputFormat.PdfFormat)
    printer.setOutputFileName(str(path))
    print_pdf(printer, pdf, scale)
    return pypdfium2.PdfDocument(path)


def bars_mm(page: pypdfium2.PdfPage) -> tuple[float, float]:
    """How long the two long lines of the check page are: across, along."""
    dark = page.render(scale=DPI / 72).to_numpy()[..., 0] < 128

    def longest(lines: np.ndarray) -> int:
        best = 0
        for line in lines:
            edges = np.flatnonzero(np.diff(np.concatenate([[0], line.astype(np.int8), [0]])))
            best = max(best, int((edges[1::2] - edges[::2]).max(initial=0)))
        return best

    return longest(dark) / DPI * 25.4, longest(dark.T) / DPI * 25.4


@pytest.mark.parametrize("paper", ["A4", "Letter"])
def test_the_check_page_comes_out_at_true_size(desk: Desk, tmp_path: Path, paper: str) -> None:  # noqa: ARG001 - Qt runs
    pages = printed(tmp_path / "check.pdf", scale_pdf(paper), Scale())
    assert len(pages) == 1
    assert pages[0].get_size() == pytest.approx({"A4": (595.3, 841.9), "Letter": (612, 792)}[paper], abs=1.5)
    assert bars_mm(pages[0]) == pytest.approx((100, 100), abs=0.25)


def test_what_a_printer_is_off_by_is_put_right(desk: Desk, tmp_path: Path) -> None:  # noqa: ARG001 - Qt runs
    """A printer that prints 100 mm as 98.6 across and 100.9 along gets lines drawn the other way."""
    off = Scale(along_mm=100.9, across_mm=98.6)
    across, along = bars_mm(printed(tmp_path / "check.pdf", scale_pdf("A4"), off)[0])
    assert across * 0.986 == pytest.approx(100, abs=0.25)
    assert along * 1.009 == pytest.approx(100, abs=0.25)


def test_the_scale_is_kept_for_each_printer(tmp_path: Path) -> None:
    settings = QSettings(str(tmp_path / "s.ini"), QSettings.Format.IniFormat)
    keep_scale(settings, "Attic/laser", Scale(99.4, 100.2))
    assert kept_scale(settings, "Attic/laser") == Scale(99.4, 100.2)
    assert kept_scale(settings, "Another") == Scale()
    settings.setValue("printers/Broken/along", "much")
    assert kept_scale(settings, "Broken") == Scale()


@pytest.fixture
def dialog(little_desk: Desk, answers: Answers, tmp_path: Path) -> PrintDialog:
    answers.printed = tmp_path / "out.pdf"
    click(little_desk.window.buttons.buttons["print"])
    settle(little_desk)
    made = little_desk.window.export_actions.printing
    assert made is not None
    return made


def test_chosen_blocks_are_printed_mirrored_or_as_a_tracing(
    little_desk: Desk, dialog: PrintDialog, tmp_path: Path
) -> None:
    project = project_of(little_desk)
    blocks = len({pull.block for pull in project.impressions})
    assert dialog.preview.pageCount() == 2 * blocks
    faces = {made.text(): made for made in dialog.faces.findChildren(QPushButton)}
    QTest.mouseClick(faces["Tracing"], Qt.MouseButton.LeftButton)
    settle(little_desk)
    assert dialog.preview.pageCount() == blocks
    for made in list(dialog.blocks.values())[1:]:
        made.click()
        settle(little_desk)
    assert dialog.preview.pageCount() == 1
    QTest.mouseClick(dialog.go, Qt.MouseButton.LeftButton)
    assert "1 page sent to" in dialog.said.text()
    (page,) = pypdfium2.PdfDocument(tmp_path / "out.pdf")
    assert page.get_size() == pytest.approx((595.3, 841.9), abs=1.5)
    next(iter(dialog.blocks.values())).click()
    assert dialog.said.text() == "Choose a block at least."
    assert not dialog.go.isEnabled()
    whats = {made.text(): made for made in dialog.whats.findChildren(QPushButton)}
    QTest.mouseClick(whats["Pulls"], Qt.MouseButton.LeftButton)
    settle(little_desk)
    assert dialog.preview.pageCount() == len(project.impressions)
    dialog.reject()


def test_nothing_is_printed_where_no_file_is_named(
    little_desk: Desk, dialog: PrintDialog, answers: Answers, tmp_path: Path
) -> None:
    answers.printed = None
    QTest.mouseClick(dialog.go, Qt.MouseButton.LeftButton)
    assert not (tmp_path / "out.pdf").exists()
    answers.printed = tmp_path / "nowhere" / "out.pdf"
    QTest.mouseClick(dialog.go, Qt.MouseButton.LeftButton)
    assert "cannot be written" in dialog.said.text()
    dialog.reject()
    settle(little_desk)


def test_a_dialog_closed_while_pages_are_drawn_ends_in_silence(
    little_desk: Desk, monkeypatch: pytest.MonkeyPatch, caplog: pytest.LogCaptureFixture
) -> None:
    """What is drawn by then has no dialog to be shown in; nor does the printed page replace a project."""
    drawing, goes_on = threading.Event(), threading.Event()

    def slow(*_: object, **__: object) -> bytes:
        drawing.set()
        assert goes_on.wait(60)
        return scale_pdf("A4")

    monkeypatch.setattr("nomos.work.printing.pages_pdf", slow)
    click(little_desk.window.buttons.buttons["print"])
    made = little_desk.window.export_actions.printing
    assert made is not None
    assert drawing.wait(60)
    made.close()
    QApplication.sendPostedEvents(None, QEvent.Type.DeferredDelete.value)
    assert sip.isdeleted(made)
    goes_on.set()
    settle(little_desk)
    assert not caplog.records


def test_a_print_into_a_file_spares_what_is_no_pdf(saved: Desk, answers: Answers, tmp_path: Path) -> None:
    mine = tmp_path / "pane.pdf"
    mine.write_text("a letter")
    answers.printed = mine
    click(saved.window.buttons.buttons["print"])
    settle(saved)
    dialog = saved.window.export_actions.printing
    assert dialog is not None
    QTest.mouseClick(dialog.go, Qt.MouseButton.LeftButton)
    assert "another kind of file" in dialog.said.text()
    assert mine.read_text() == "a letter"
    dialog.reject()
