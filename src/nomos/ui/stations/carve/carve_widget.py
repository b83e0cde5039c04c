"""How is it cut?"""

from PyQt6.QtCore import QRectF, QSize, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QPainter, QPaintEvent, QPen
from PyQt6.QtWidgets import QSizePolicy, QWidget

from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.carving import Board
from nomos.carving.nesting import CuttingPlan
from nomos.project.model import Block, Craft
from nomos.ui.frame import theme
from nomos.ui.frame.answers import Answers
from nomos.ui.frame.controls import Fields, Figures, NameField, NumberBox, button, label
from nomos.ui.frame.form import Form
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import group
from nomos.ui.stations.carve.carve_view import CarveView, read_tools, tools_text

PARTS = (("blocks", tr("Blocks")), ("tools", tr("Tools")), ("transfer", tr("Transfer")), ("boards", tr("Boards")))


class BoardsPicture(QWidget):
    """Boards with the blocks that are sawn from them, to scale."""

    def __init__(self) -> None:
        super().__init__()
        self.setAccessibleName(tr("Blocks on their boards"))
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self._plan: CuttingPlan | None = None

    def show_plan(self, plan: CuttingPlan | None) -> None:
        """Show this."""
        self._plan = plan
        self.setVisible(plan is not None)
        self.updateGeometry()
        self.update()

    def _scale(self) -> float:
        boards = self._plan.boards if self._plan else ()
        widest = max((cut.board.width_mm for cut in boards), default=1.0)
        return max(self.width(), 100) / widest

    def sizeHint(self) -> QSize:
        boards = self._plan.boards if self._plan else ()
        tall = sum(cut.board.height_mm * self._scale() + theme.scaled(8) for cut in boards)
        return QSize(theme.scaled(220), min(round(tall), theme.scaled(900)))

    def minimumSizeHint(self) -> QSize:
        return self.sizeHint()

    def paintEvent(self, _event: QPaintEvent | None) -> None:
        if self._plan is None:
            return
        painter, tone, scale = QPainter(self), theme.tones(), self._scale()
        painter.setFont(theme.font(11))
        top = 0.0
        for cut in self._plan.boards:
            board = QRectF(0, top, cut.board.width_mm * scale - 1, cut.board.height_mm * scale - 1)
            painter.fillRect(board, QColor(tone.line))
            for block in cut.blocks:
                place = block.place
                box = QRectF(place.left * scale, top + place.top * scale, place.width * scale, place.height * scale)
                painter.fillRect(box, QColor(tone.accent_pale))
                painter.setPen(QPen(QColor(tone.accent), 1))
                painter.drawRect(box)
                painter.setPen(QColor(tone.text))
                name = theme.elided(block.name, painter.font(), int(box.width()) - 6)
                painter.drawText(box, Qt.AlignmentFlag.AlignCenter, name)
            painter.setPen(QPen(QColor(tone.quiet), 1, Qt.PenStyle.DotLine))
            for rest in cut.offcuts:
                painter.drawRect(
                    QRectF(rest.left * scale, top + rest.top * scale, rest.width * scale, rest.height * scale)
                )
            top += board.height() + theme.scaled(8)


class CarveStation(Answers):
    """Hours and zones block by block, tools and material, transfer sheets, boards."""

    pull_chosen = pyqtSignal(str)
    field_requested = pyqtSignal(str, object)
    """A field of the project, and its value."""
    material_requested = pyqtSignal(str)
    tools_requested = pyqtSignal(object)
    boards_requested = pyqtSignal(object)
    own_material_requested = pyqtSignal(object)
    """What the chosen block is made of; None is what all are."""
    write_requested = pyqtSignal()
    saw_requested = pyqtSignal()
    message = pyqtSignal(str)
    compare_requested = pyqtSignal()
    took_requested = pyqtSignal(float)
    """Hours the chosen block took."""

    def __init__(self) -> None:
        super().__init__(tr("How is it cut?"), PARTS, "blocks")
        self.rows, self.total = ColourRows(tr("Blocks to cut")), label(kind="name")
        self.figures = Figures()
        self.write = button(
            tr("Write carving maps and transfer sheets…"), tip=tr("True-scale pages for every block, into a folder.")
        )
        self.caution = label(kind="quiet")
        self.compare, self.compared = (
            button(tr("Compare with the plans found"), tip=tr("Cutting hours of the plans found at Blocks.")),
            label(kind="quiet"),
        )
        self.took, self.took_fields = NumberBox(0, 500, unit="h", step=0.5), Fields()
        self.took_fields.add(
            tr("This block took"), self.took, tr("The hours that cutting this block took: the next are reckoned by it.")
        )
        self.learnt, self.take = label(kind="quiet"), button(tr("Reckon like the log"))
        self._factor, self.gate = 1.0, label()
        self._make_tools()
        self._make_transfer()
        self._make_boards()
        groups: dict[str, QWidget] = {
            "blocks": group(
                self.rows,
                self.total,
                self.gate,
                self.compared,
                self.compare,
                self.figures,
                self.took_fields,
                self.learnt,
                self.take,
            ),
            "tools": group(self.tool_fields, self.holds),
            "transfer": group(self.way, self.steps, self.shows),
            "boards": group(
                self.boards_text, self.picture, self.saw, self.saw_fields, self.board_fields, self.add_board, self.clear
            ),
        }
        self._connect()
        self.fill(groups, below=group(self.write, self.caution))

    def _make_tools(self) -> None:
        self.one_material = Form(Craft, ("material",))
        self.own_material = Form(Block, ("material",))
        self.craft = Form(
            Craft,
            (
                "thickness_mm", "curl_mm", "roller_mm", "roller_long_mm", "roller_shore", "factor",
                "grip_border",
            ),
        )  # fmt: skip
        self.tools, named = NameField(tr("Tools")), Fields()
        named.add(tr("Tools, mm"), self.tools, tr("Kinds and widths, as: v 1, u 2, u 5, flat 10, knife 0.3"))
        self.tool_fields = group(self.one_material, self.own_material, named, self.craft)
        self.holds = label(kind="quiet")

    def _make_transfer(self) -> None:
        self.way = Form(Craft, ("transfer",))
        self.steps, self.shows = label(), label(kind="quiet")

    def _make_boards(self) -> None:
        self.boards_text, self.picture = label(), BoardsPicture()
        self.saw_fields = Form(Craft, ("saw_mm",))
        self.board_fields = Form(Board, ("width_mm", "height_mm", "count", "cost"))
        self.board_fields.show_values(Board(610, 305, 5))
        self.saw = button(
            tr("The blocks are sawn: keep the offcuts"),
            tip=tr("Take the boards as used, and what is left as boards at hand."),
        )
        self.add_board, self.clear = (
            button(tr("Add this board"), tip=tr("Put it with those at hand.")),
            button(tr("No boards at hand"), tip=tr("Plan with boards to be bought."), plain=True),
        )
        self._boards: tuple[Board, ...] = ()

    def _connect(self) -> None:
        self.rows.chosen.connect(self.pull_chosen)
        self.one_material.changed.connect(lambda _path, name: self.material_requested.emit(name))
        self.own_material.changed.connect(lambda _path, name: self.own_material_requested.emit(name))
        self.tools.given.connect(self._ask_tools)
        for form in (self.craft, self.way, self.saw_fields):
            form.changed.connect(lambda path, value: self.field_requested.emit(f"craft.{path}", value))
        self.write.clicked.connect(self.write_requested)
        self.saw.clicked.connect(self.saw_requested)
        self.compare.clicked.connect(self.compare_requested)
        self.took.set_by_hand.connect(self.took_requested)
        self.take.clicked.connect(lambda: self.field_requested.emit("craft.factor", self._factor))
        self.add_board.clicked.connect(self._add)
        self.clear.clicked.connect(lambda: self.boards_requested.emit(()))

    def _ask_tools(self, text: str) -> None:
        try:
            self.tools_requested.emit(read_tools(text))
        except BadInput as error:
            self.message.emit(str(error))

    def _add(self) -> None:
        width, height, count, cost = (
            self.board_fields[name].value() for name in ("width_mm", "height_mm", "count", "cost")
        )
        self.boards_requested.emit((*self._boards, Board(width, height, int(count), cost)))

    def show_view(self, view: CarveView) -> None:
        """Show the station."""
        craft = view.craft
        self.rows.show_rows(view.rows, view.chosen)
        self.total.setText(view.total)
        self.gate.setText(view.gate)
        self.gate.setVisible(bool(view.gate))
        self.compared.setText(view.compare)
        self.compared.setVisible(bool(view.compare))
        self.learnt.setText(view.learnt)
        self._factor = view.factor
        for widget in (self.learnt, self.take):
            widget.setVisible(bool(view.learnt))
        self.figures.show_rows(view.tools)
        for form in (self.one_material, self.craft, self.way, self.saw_fields):
            form.show_values(craft)
        self.own_material.setEnabled(view.block is not None)
        if view.block is not None:
            self.own_material.show_values(view.block)
        self.tools.show_name(tools_text(craft.tools))
        self.holds.setText(view.holds)
        self.steps.setText(view.transfer_steps)
        self.shows.setText(view.transfer_shows)
        self._boards = craft.boards
        self.boards_text.setText(view.boards_text)
        self.picture.show_plan(view.boards)
        self.saw.setEnabled(view.boards is not None)
        self.caution.setText(view.caution)
