"""The window with all that stands behind it, wired."""

from dataclasses import dataclass

from PyQt6.QtCore import QSettings

from nomos.ui.controller import Controller
from nomos.ui.files import Files
from nomos.ui.frame.document import Document
from nomos.ui.frame.editor import Editor
from nomos.ui.frame.garbage import Collector
from nomos.ui.frame.jobs import JobRunner
from nomos.ui.frame.keeper import ProofKeeper
from nomos.ui.frame.questions import Dialogs, Questions
from nomos.ui.stations.bench.bench_editor import BenchEditor
from nomos.ui.stations.bench.guard import PrintedGuard
from nomos.ui.stations.blocks.blocks_editor import MaskEditor
from nomos.ui.stations.blocks.inking_editor import InkingEditor
from nomos.ui.stations.blocks.method_editor import MethodEditor
from nomos.ui.stations.blocks.planner import Planner
from nomos.ui.stations.carve.carve_editor import CarveEditor
from nomos.ui.stations.design.corner_dialog import ask_sheet
from nomos.ui.stations.design.design_editor import DesignEditor
from nomos.ui.stations.inks.inks_editor import InksEditor
from nomos.ui.stations.order.order_editor import OrderEditor
from nomos.ui.stations.register.register_editor import RegisterEditor
from nomos.ui.window import Window


@dataclass(frozen=True, eq=False)
class Desk:
    """The window with all that stands behind it."""

    window: Window
    controller: Controller
    files: Files
    keeper: ProofKeeper
    document: Document
    runner: JobRunner
    collector: Collector

    def close(self) -> None:
        """End the threads; the window must have been closed before."""
        self.controller.bencher.book.wait()
        self.keeper.close()
        self.files.close()
        self.runner.close()
        self.collector.close()


def set_up(questions: Questions | None, settings: QSettings) -> Desk:
    """Wire the window. questions : None asks with dialogs over the window."""
    document, runner = Document(), JobRunner()
    editor = Editor(document)
    runner.owner = lambda: document.session
    keeper = ProofKeeper(document, runner)
    dialogs = Dialogs(ask_sheet) if questions is None else questions
    designer = DesignEditor(document, runner, dialogs)
    files = Files(document, runner, keeper, dialogs, designer)
    planner, hands = Planner(document, runner, keeper), MaskEditor(editor, runner, keeper, dialogs)
    methods = MethodEditor(editor, runner, keeper, dialogs)
    orderer = OrderEditor(editor, runner, keeper, dialogs)
    inkroom = InksEditor(editor, runner, keeper, dialogs)
    registrar = RegisterEditor(editor, runner, keeper, dialogs)
    crafter, bencher = CarveEditor(editor, runner, keeper, dialogs), BenchEditor(document, runner, keeper)
    controller = Controller(
        editor, keeper, files, planner, hands, methods, inkroom, orderer, registrar, crafter, bencher,
        designer, InkingEditor(editor, runner, keeper, dialogs),
    )  # fmt: skip
    bencher.log_read = lambda: files.log_read
    guard = PrintedGuard(document, bencher.book, dialogs)
    guard.message.connect(controller.message)
    guard.refused.connect(controller.look_again)
    window = Window(controller, runner, settings)
    if isinstance(dialogs, Dialogs):
        dialogs.over(window)
    return Desk(window, controller, files, keeper, document, runner, Collector())
