"""How is it cut?"""

from PyQt6.QtCore import QRectF, QSize, Qt, pyqtSignal
from PyQt6.QtGui import QColor, QPainter, QPaintEvent, QPen
from PyQt6.QtWidgets import QCheckBox, QComboBox, QSizePolicy, QWidget

from nomos.base.errors import BadInput
from nomos.base.language import opened, tr
from nomos.carving import MATERIALS, TRANSFER_WAYS, TRANSFERS, Board
from nomos.carving.materials import THICKNESS_MM
from nomos.carving.nesting import CuttingPlan
from nomos.ui.frame import theme
from nomos.ui.frame.answers import Answers
from nomos.ui.frame.controls import Fields, Figures, NameField, NumberBox, button, label
from nomos.ui.frame.lists import ColourRows
from nomos.ui.frame.parts import group
from nomos.ui.frame.plain_text import set_tip
from nomos.ui.stations.carve.view import CarveView, read_tools, tools_text

PARTS = (
    ("blocks", tr("Blocks")),
    ("tools", tr("Tools")),
    ("transfer", tr("Transfer")),
    ("boards", tr("Boards")),
)


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
                box = QRectF(
                    place.left * scale, top + place.top * scale, place.width * scale, place.height * scale
                )
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
    craft_requested = pyqtSignal(dict)
    """What changes of the Craft."""
    own_material_requested = pyqtSignal(object)
    """What the chosen block is made of; None is what all are."""
    write_requested = pyqtSignal()
    saw_requested = pyqtSignal()
    told = pyqtSignal(str)
    compare_requested = pyqtSignal()
    took_requested = pyqtSignal(float)
    """Hours the chosen block took."""

    def __init__(self) -> None:
        super().__init__(tr("How is it cut?"), PARTS, "blocks")
        self.rows, self.total = ColourRows(tr("Blocks to cut")), label(kind="name")
        self.figures = Figures()
        self.write = button(tr("Write carving maps and transfer sheets…"))
        self.caution = label(kind="quiet")
        self.compare, self.compared = button(tr("Compare with the plans found")), label(kind="quiet")
        self.took, self.took_fields = NumberBox(0, 500, unit="h", step=0.5), Fields()
        self.took_fields.add(tr("This block took"), self.took)
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
            "tools": group(self.tool_fields, self.holds, self.grip),
            "transfer": group(self.way, self.steps, self.shows),
            "boards": group(
                self.boards_text, self.picture, self.saw, self.board_fields, self.add_board, self.clear
            ),
        }
        self._connect()
        self.fill(groups, below=group(self.write, self.caution))

    def _make_tools(self) -> None:
        self.material, self.tools = QComboBox(), NameField(tr("Tools"))
        self.material.addItems([opened(tr(name)) for name in MATERIALS])
        self.own_material = QComboBox()
        self.own_material.addItems([tr("As all"), *(opened(tr(name)) for name in MATERIALS)])
        self.tool_fields = Fields()
        self.thickness, self.curl = NumberBox(1, 60, step=0.1), NumberBox(0, 20, step=0.1)
        self.roller, self.roller_long = NumberBox(10, 400), NumberBox(10, 1500)
        self.shore = NumberBox(5, 100, unit="Shore A", digits=0)
        self.saw_kerf, self.factor = NumberBox(0, 10, step=0.1), NumberBox(0.1, 10, unit="times", step=0.1)
        for text, box in (
            (tr("Material"), self.material), (tr("The chosen block"), self.own_material),
            (tr("Tools, mm"), self.tools), (tr("Thickness"), self.thickness),
            (tr("Curl"), self.curl), (tr("Roller, diameter"), self.roller), (tr("Roller, length"),
            self.roller_long),
            (tr("Roller, hardness"), self.shore), (tr("Slower than reckoned"), self.factor),
        ):  # fmt: skip
            self.tool_fields.add(text, box)
        set_tip(self.tools, tr("Kinds and widths, as: v 1, u 2, u 5, flat 10, knife 0.3"))
        self.holds = label(kind="quiet")
        self.grip = QCheckBox(tr("Leave the border to hold it by"))

    def _make_transfer(self) -> None:
        self.way = QComboBox()
        self.way.setAccessibleName(tr("Way of transfer"))
        self.way.addItems([TRANSFERS[way].name for way in TRANSFER_WAYS])
        self.steps, self.shows = label(), label(kind="quiet")

    def _make_boards(self) -> None:
        self.boards_text, self.picture = label(), BoardsPicture()
        self.board_fields = Fields()
        self.board_w, self.board_h = NumberBox(20, 3000, step=10), NumberBox(20, 3000, step=10)
        self.board_n, self.board_cost = (
            NumberBox(1, 1000, unit="", digits=0),
            NumberBox(0, 1e5, unit="", digits=2),
        )
        for text, box in (
            (tr("Kerf of the saw"), self.saw_kerf), (tr("A board, width"), self.board_w), (tr("Height"),
            self.board_h),
            (tr("How many"), self.board_n), (tr("What one costs"), self.board_cost),
        ):  # fmt: skip
            self.board_fields.add(text, box)
        self.board_w.setValue(610)
        self.board_h.setValue(305)
        self.board_n.setValue(5)
        self.saw = button(tr("The blocks are sawn: keep the offcuts"))
        self.add_board, self.clear = button(tr("Add this board")), button(tr("No boards at hand"), plain=True)
        self._boards: tuple[Board, ...] = ()

    def _connect(self) -> None:
        self.rows.chosen.connect(self.pull_chosen)
        self.material.activated.connect(self._ask_material)
        self.own_material.activated.connect(
            lambda place: self.own_material_requested.emit(MATERIALS[place - 1] if place else None)
        )
        self.tools.given.connect(self._ask_tools)
        for box, name in (
            (self.thickness, "thickness_mm"), (self.curl, "curl_mm"), (self.roller, "roller_mm"),
            (self.roller_long, "roller_long_mm"), (self.shore, "roller_shore"), (self.saw_kerf, "saw_mm"),
            (self.factor, "factor"),
        ):  # fmt: skip
            box.set_by_hand.connect(lambda value, name=name: self.craft_requested.emit({name: value}))
        self.grip.clicked.connect(lambda on: self.craft_requested.emit({"grip_border": on}))
        self.way.activated.connect(lambda n: self.craft_requested.emit({"transfer": TRANSFER_WAYS[n]}))
        self.write.clicked.connect(self.write_requested)
        self.saw.clicked.connect(self.saw_requested)
        self.compare.clicked.connect(self.compare_requested)
        self.took.set_by_hand.connect(self.took_requested)
        self.take.clicked.connect(lambda: self.craft_requested.emit({"factor": self._factor}))
        self.add_board.clicked.connect(self._add)
        self.clear.clicked.connect(lambda: self.craft_requested.emit({"boards": ()}))

    def _ask_material(self, place: int) -> None:
        material = MATERIALS[place]
        self.craft_requested.emit({"material": material, "thickness_mm": THICKNESS_MM[material]})

    def _ask_tools(self, text: str) -> None:
        try:
            self.craft_requested.emit({"tools": read_tools(text)})
        except BadInput as error:
            self.told.emit(str(error))

    def _add(self) -> None:
        board = Board(
            self.board_w.value(), self.board_h.value(), int(self.board_n.value()), self.board_cost.value()
        )
        self.craft_requested.emit({"boards": (*self._boards, board)})

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
        self.material.setCurrentIndex(MATERIALS.index(craft.material))
        own = view.own_material
        self.own_material.setCurrentIndex(MATERIALS.index(own) + 1 if own else 0)
        self.own_material.setEnabled(view.chosen is not None)
        self.tools.show_name(tools_text(craft.tools))
        for box, value in (
            (self.thickness, craft.thickness_mm), (self.curl, craft.curl_mm), (self.roller, craft.roller_mm),
            (self.roller_long, craft.roller_long_mm), (self.shore, craft.roller_shore),
            (self.saw_kerf, craft.saw_mm), (self.factor, craft.factor),
        ):  # fmt: skip
            box.show_value(value)
        self.holds.setText(view.holds)
        self.grip.setChecked(craft.grip_border)
        self.way.setCurrentIndex(TRANSFER_WAYS.index(craft.transfer))
        self.steps.setText(view.transfer_steps)
        self.shows.setText(view.transfer_shows)
        self._boards = craft.boards
        self.boards_text.setText(view.boards_text)
        self.picture.show_plan(view.boards)
        self.saw.setEnabled(view.boards is not None)
        self.caution.setText(view.caution)
