"""The one window: ladder, stations, sheet and answers, each rendered from its view state."""

from collections.abc import Callable
from functools import partial
from pathlib import Path
from typing import Any

from PyQt6.QtCore import QByteArray, QSettings, Qt, QTimer
from PyQt6.QtGui import QCloseEvent, QDragEnterEvent, QDropEvent, QKeyEvent, QResizeEvent
from PyQt6.QtWidgets import QMainWindow, QScrollArea, QSplitter

from nomos.base.language import tr
from nomos.project import Station
from nomos.project.register.system import plan_of_system
from nomos.ui.central_view import CentralView
from nomos.ui.column import Column
from nomos.ui.comparer import Comparer
from nomos.ui.controller import Controller
from nomos.ui.export_actions import ExportActions
from nomos.ui.find_setting import find_setting
from nomos.ui.frame import keyboard as keys
from nomos.ui.frame import theme
from nomos.ui.frame import view as frame
from nomos.ui.frame.buttons import ButtonRow
from nomos.ui.frame.controls import column_of
from nomos.ui.frame.document import Slow
from nomos.ui.frame.foot import FootLine
from nomos.ui.frame.jobs import ASKED, Asker, JobRunner
from nomos.ui.frame.ladder import PullLadder
from nomos.ui.frame.looks import LooksRow, legend_of, looks_of
from nomos.ui.frame.menus import Menus, reasons
from nomos.ui.frame.next_step import Standing, next_step
from nomos.ui.frame.notice import Notice
from nomos.ui.frame.sheet_view import place_text
from nomos.ui.frame.state import STATIONS
from nomos.ui.frame.strip import StationStrip
from nomos.ui.grower import Grower
from nomos.ui.guided import GuidedWalk
from nomos.ui.studio_hand import StudioHand

LADDER, ANSWERS = 196, 304
_ZOOM_STEP = 1.25
# So wide the sheet is at least before the sides stack.
_LEAST_SHEET = 320
_NARROW_ANSWERS = 285


class Window(QMainWindow):
    """Shows what the controller has in its hand; every wish of the hand goes to the controller."""

    def __init__(self, controller: Controller, runner: JobRunner, settings: QSettings) -> None:
        super().__init__()
        self.controller, self.runner, self._settings = controller, runner, settings
        self.setAcceptDrops(True)
        self.strip, self.ladder, self.foot = StationStrip(), PullLadder(), FootLine()
        self.notice, self.buttons = Notice(), ButtonRow()
        self.column, self.looks = Column(controller), LooksRow()
        self.central_view = CentralView(controller, self.column)
        self.welcome, self.sheet, self.picture = (
            self.central_view.welcome,
            self.central_view.sheet,
            self.central_view.picture,
        )
        self._place: tuple[float, float] | None = None
        self.export_actions = ExportActions(
            self, self.notice, self.central_view, self.column, self.go_to, controller, settings
        )
        self.studio = StudioHand(self, self.notice, controller, settings)
        self.beside, self.grower = Comparer(controller, runner), Grower(controller)
        self._build()
        self._connect()
        # Several changes in one turn of the event loop are shown once.
        self._due = QTimer(self)
        self._due.setSingleShot(True)
        self._due.timeout.connect(self.refresh)
        self.refresh()

    def _build(self) -> None:
        self.ladder_area = QScrollArea()
        self.ladder_area.setWidget(self.ladder)
        self.ladder_area.setWidgetResizable(True)
        self.ladder_area.setFocusPolicy(Qt.FocusPolicy.NoFocus)
        self.ladder_area.setFrameShape(QScrollArea.Shape.NoFrame)
        self.ladder_area.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self.ladder_area.setMinimumWidth(theme.scaled(172))
        self.ladder_area.setStyleSheet(f"QScrollArea {{ background: {theme.tones().ladder}; }}")
        self.guided = GuidedWalk(
            self, self.controller, self.column, self.go_to,
            {
                "answers": self.column, "ladder": self.ladder_area, "sheet": self.sheet,
                "buttons": self.buttons,
            },
        )  # fmt: skip
        centre = column_of(self.guided, self.notice, self.looks, self.central_view, self.buttons)
        self.columns = QSplitter(Qt.Orientation.Horizontal)
        self.columns.setChildrenCollapsible(False)
        self.columns.setHandleWidth(1)
        # Where the text is large and the window narrow, the ladder stands over the answers.
        self.side = QSplitter(Qt.Orientation.Vertical)
        self.side.setHandleWidth(1)
        self.side.addWidget(self.column)
        for part in (self.ladder_area, centre, self.side):
            self.columns.addWidget(part)
        self.columns.setStretchFactor(1, 1)
        self.setCentralWidget(column_of(self.strip, self.columns, self.foot))
        self.resize(1280, 800)
        # The side columns get what their text needs, the sheet the rest.
        self._share_width()
        geometry = self._settings.value("window")
        if isinstance(geometry, QByteArray):
            self.restoreGeometry(geometry)

    def _connect(self) -> None:
        hand, files = self.controller, self.controller.files
        hand.shown.connect(self.refresh_soon)
        hand.message.connect(self.notice.tell)
        hand.designer.advised.connect(self.notice.advise)
        # A method, not a lambda: Qt lets go of it when the window is destroyed before the stack.
        hand.document.saved.connect(self.refresh_soon)
        for done in (hand.document.saved, hand.document.changed):
            done.connect(self.notice.go_on)
        self.runner.progressed.connect(self._show_progress)
        self.runner.settled.connect(self._show_settled)
        self.foot.stopped.connect(lambda asker: asker.cancel())
        files.opened.connect(self.notice.put_older_away)
        self.welcome.open.clicked.connect(files.open_requested)
        for made, name in self.welcome.demos.items():
            made.clicked.connect(lambda _checked, name=name: files.open_demo(name))
        self.welcome.walk.clicked.connect(self.guided.begin)
        self.welcome.recent_chosen.connect(files.open)
        self.strip.chosen.connect(self.go_to)
        self.ladder.chosen.connect(hand.choose_pull)
        self.ladder.moved.connect(hand.move_pull)
        self.ladder.resized.connect(self.refresh_soon)
        self.sheet.pointed.connect(self._point)
        self.sheet.picked.connect(self._pick)
        self.sheet.handle_dragged.connect(hand.drag)
        self.sheet.zoomed.connect(lambda scale: self.buttons.show_scale(scale / self.sheet.true_scale()))
        self.column.wishes.packet_requested.connect(self._write_packet)
        self.column.wishes.show_requested.connect(self.sheet.look_at)
        self.column.wishes.beside_requested.connect(self._lay_beside)
        self.column.wishes.touch_requested.connect(self.sheet.set_touch)
        self.column.wishes.picture_tool_requested.connect(self.picture.use)
        self.column.wishes.paper_shown.connect(self.picture.show_paper)
        self.column.wishes.length_given.connect(self._take_length)
        self.looks.chosen.connect(self.column.look)
        self.looks.marked_requested.connect(hand.mark)
        self.picture.corners_set.connect(hand.designer.cut_out)
        self.picture.sheet_set.connect(hand.designer.set_sheet)
        self.picture.polygon_drawn.connect(hand.designer.leave_bare)
        self.picture.width_dragged.connect(lambda width: hand.designer.set_size(width_mm=width))
        self.picture.said.connect(self.foot.say)
        self.sheet.touched.connect(hand.touch)
        beside, actions = self.beside, self._actions()
        beside.changed.connect(self._show_beside)
        beside.message.connect(self.notice.tell)
        keys.bind(self, actions)
        bar = self.menuBar()
        assert bar is not None
        self.menus = Menus(bar, actions)
        self.export_actions.take_menus(self.menus)
        self.buttons.pressed.connect(lambda name: actions[name]())
        self.foot.next_pressed.connect(lambda name: actions[name]())

    def _actions(self) -> dict[str, Callable[[], object]]:
        """What every key and entry of the menu does, by its name."""
        hand, files = self.controller, self.controller.files
        actions: dict[str, Callable[[], object]] = {
            "open": files.open_requested, "save": files.save, "save as": files.save_as,
            "packet": self._write_packet, "print": self.export_actions.print,
            "undo": hand.document.stack.undo, "redo": hand.document.stack.redo,
            "whole": self.sheet.fit, "true": self.sheet.true_size, "loupe": self._turn_loupe,
            "closer": lambda: self.sheet.zoom_by(_ZOOM_STEP),
            "further": lambda: self.sheet.zoom_by(1 / _ZOOM_STEP),
            "earlier": lambda: hand.step_view(-1), "later": lambda: hand.step_view(1),
            "stop": self.runner.stop, "keys": self._list_keys, "walk": self.guided.begin,
        }  # fmt: skip
        for place, station in enumerate(STATIONS, start=1):
            actions[f"station {place}"] = partial(self.go_to, station)
        actions |= {
            "telephone": self.export_actions.telephone, "paste": self.export_actions.paste,
            "variant": files.variant, "revert": files.revert,
            "where": files.where,
            "export": lambda: files.export(self.export_actions.export_of()),
            "copy figures": self.export_actions.copy_figures,
            "finding": self.export_actions.next_finding,
            "preferences": self.studio.open, "quit": self.close, "about": self.export_actions.about,
            "guide": self.export_actions.guide,
        }  # fmt: skip
        beside = self.beside
        actions |= {
            "beside sketch": beside.with_sketch, "beside before": beside.with_before,
            "beside saved": beside.with_saved, "beside file": self._beside_file, "beside map": self._turn_map,
            "alone": beside.stop, "grow": self.grower.start, "full screen": self.export_actions.full_screen,
            "copy picture": self.export_actions.copy_picture,
        }  # fmt: skip
        return actions | {
            "find": partial(find_setting, self, self.at, self._turn_to),
            "size": lambda: self._turn_to("design", "picture"),
        }

    def _share_width(self) -> None:
        sides = [theme.scaled(LADDER), theme.scaled(ANSWERS)]
        if self.columns.count() == 2:
            sides = [theme.scaled(_NARROW_ANSWERS)]
        middle = max(240, self.width() - sum(sides))
        self.columns.setSizes([*sides[:-1], middle, sides[-1]])

    def resizeEvent(self, _event: QResizeEvent | None) -> None:
        narrow = self.width() < theme.scaled(LADDER + ANSWERS) + _LEAST_SHEET
        if narrow != (self.side.indexOf(self.ladder_area) >= 0):
            self._stack_sides(narrow)

    def _stack_sides(self, narrow: bool) -> None:
        """Where the text is large and the window narrow the ladder stands over the answers, and what the
        menus hold as well is left to them.
        """
        (self.side if narrow else self.columns).insertWidget(0, self.ladder_area)
        self.side.setSizes([self.height() // 5, self.height()][-self.side.count() :])
        self.buttons.setVisible(not narrow)
        self.foot.allow_lines(2 if narrow else 1)
        self._share_width()

    # What is shown

    def refresh_soon(self) -> None:
        """Show what has changed before the next event is handled."""
        self._due.start()

    def refresh(self) -> None:
        """Render everything that is in sight from the project, its proof and the hand."""
        hand = self.controller
        if hand.keeper.rough:
            # A hand is dragging: what it looks at comes first, the rest a few times a second.
            self.central_view.refresh()
            return
        project, proof, state = hand.document.project, hand.keeper.proof, hand.state
        days = self.controller.orderer.count_of(project) if project is not None and project.flat else None
        self.strip.render_tabs(frame.station_tabs(project, proof, state, days))
        self.ladder.render_soon(lambda tall: frame.ladder_rungs(project, proof, state, tall))
        at_bench = self.central_view.at_bench()
        self.central_view.refresh()
        self.ladder_area.setVisible(not at_bench)
        self.column.setVisible(project is not None and not at_bench)
        self.side.setVisible(not at_bench and (project is not None or self.side.count() > 1))
        self.looks.setVisible(project is not None and not at_bench and hand.designer.first is None)
        if project is not None:
            self.looks.show_looks(looks_of(project, state, hand.at_hand()), state)
            # Figures of an earlier design would be wrong ones: better none until the new proof is there.
            self.column.show_station(project, proof if proof and proof.project is project else None)
        stack = hand.document.stack
        room = project is not None and plan_of_system(project)[0] is not None
        self.buttons.show_state(
            project=project is not None,
            unsaved=hand.document.unsaved,
            packet=room,
            undo=stack.undoText() if stack.canUndo() else "",
            redo=stack.redoText() if stack.canRedo() else "",
        )
        path = hand.document.path
        standing = Standing(not hand.designer.size_is_guess(), path is not None, hand.bencher.state())
        self.foot.show_next(next_step(project, proof.findings if proof else (), standing))
        whys = reasons(
            project=project is not None, path=path is not None, unsaved=hand.document.unsaved,
            blocks=room and project is not None and bool(project.impressions),
            undo=stack.canUndo(), redo=stack.canRedo(),
        )  # fmt: skip
        self.menus.show_can(whys)
        self.buttons.show_whys(whys)
        self._point(self._place)
        document = hand.document
        self.setWindowTitle(
            frame.window_title(project, document.path, unsaved=document.unsaved, read_only=document.read_only)
        )

    def _take_length(self, mm: float) -> None:
        if self.picture.drawn_length is None:
            self.notice.tell(tr("Draw a line on the picture first, along something whose length you know."))
            return
        self.controller.designer.known_length(*self.picture.drawn_length, mm)

    def keyPressEvent(self, event: QKeyEvent | None) -> None:
        if not self._flips(event, on=True):
            super().keyPressEvent(event)

    def keyReleaseEvent(self, event: QKeyEvent | None) -> None:
        if not self._flips(event, on=False):
            super().keyReleaseEvent(event)

    def _flips(self, event: QKeyEvent | None, *, on: bool) -> bool:
        """While F is held, the sketch is shown in place of what was made of it."""
        if event is None or event.key() != Qt.Key.Key_F or event.isAutoRepeat():
            return False
        self.central_view.flipped = on
        if on:
            self.controller.designer.need_reading()
        self.refresh_soon()
        return True

    def _pick(self, x_mm: float, y_mm: float, more: bool) -> None:
        """A click on the sheet is the station's first, if it has a use for it."""
        if not self.column.here(self.controller.state.station).pick(x_mm, y_mm, more):
            self.controller.pick(x_mm, y_mm, more)

    def _point(self, place: tuple[float, float] | None) -> None:
        self._place = place
        hand = self.controller
        self.foot.say(place_text(hand.keeper.proof, hand.state, place) or self._hint())

    def _hint(self) -> str:
        if self.controller.document.project is None:
            return ""
        if (one := self.beside.beside) is not None:
            return tr("Now, and {title}. {said} Drag the line between them.", title=one.title, said=one.text)
        state = self.controller.state
        return legend_of(state.shown) or self.column.here(state.station).hint

    def at(self, station: Station) -> Any:
        """The widget of a station, made if it is not there yet."""
        return self.column.here(station).widget

    def go_to(self, station: Station) -> None:
        """Turn to a station, and let it show on the sheet what it is about."""
        self.notice.come_to(station)
        self.controller.go_to(station)
        self.column.come_to(station)

    def _turn_to(self, station: Station, part: str) -> None:
        """Turn to a part of a station."""
        self.go_to(station)
        self.at(station).turn_to(part)

    def _show_progress(self, asker: Asker, fraction: float, message: str) -> None:
        if asker.said:
            self.foot.show_progress(asker, fraction, message or asker.said, can_stop=asker.rank == ASKED)

    def _show_settled(self, _asker: Asker) -> None:
        if not any(asker.said for asker in self.runner.waiting()):
            self.foot.show_idle()

    def _write_packet(self) -> None:
        self.controller.files.write_packet(self.controller.state.page)

    def _show_beside(self) -> None:
        beside = self.beside.beside
        self.sheet.mapped = False
        self.sheet.show_beside(beside)
        self._point(self._place)

    def _lay_beside(self, title: str, make: Slow | None) -> None:
        if make is None:
            self.beside.stop()
        else:
            self.beside.with_made(title, make)

    def _turn_map(self) -> None:
        if self.beside.beside is None:
            self.notice.tell(tr("Lay something beside the print first: View, Beside…"))
            return
        self.sheet.mapped = not self.sheet.mapped
        self.sheet.update()

    def _beside_file(self) -> None:
        path = self.controller.files.ask_project()
        if path is not None:
            self.beside.with_file(path)

    def _turn_loupe(self) -> None:
        self.sheet.loupe = not self.sheet.loupe
        self.buttons.buttons["loupe"].setChecked(self.sheet.loupe)
        self.sheet.update()

    def _list_keys(self) -> None:
        listed = self.findChild(keys.KeyList) or keys.KeyList(self)
        listed.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        listed.open()

    # What comes from outside

    def dragEnterEvent(self, event: QDragEnterEvent | None) -> None:
        data = event.mimeData() if event else None
        if event is not None and data is not None and any(url.isLocalFile() for url in data.urls()):
            event.acceptProposedAction()

    def dropEvent(self, event: QDropEvent | None) -> None:
        data = event.mimeData() if event else None
        files = [Path(url.toLocalFile()) for url in data.urls() if url.isLocalFile()] if data else []
        if files:
            self.controller.files.open(files[0])

    def closeEvent(self, event: QCloseEvent | None) -> None:
        assert event is not None
        if not self.controller.files.settle_unsaved():
            event.ignore()
            return
        self._settings.setValue("window", self.saveGeometry())
        self.grower.stop()
        self.export_actions.keep_picture()
        event.accept()
