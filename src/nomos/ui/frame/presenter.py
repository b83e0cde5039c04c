"""What a station is to the window: a widget wired to the hand, and what it shows of the project."""

from collections.abc import Callable
from operator import is_
from typing import TYPE_CHECKING, Generic, TypeVar

from PyQt6.QtCore import QObject, pyqtSignal
from PyQt6.QtWidgets import QWidget

from nomos.base.language import tr
from nomos.project import Project, Proof
from nomos.ui.frame.jobs import FIRST, Asker
from nomos.ui.frame.notes import notes
from nomos.ui.frame.rows import Note
from nomos.ui.frame.sheet_view import Overlay
from nomos.ui.frame.state import Shown

if TYPE_CHECKING:
    # The controller knows the stations' hands; a station only names its type.
    from nomos.ui.controller import Controller

W = TypeVar("W", bound=QWidget)
A = TypeVar("A")


class Wishes(QObject):
    """What stations ask of the window as a whole."""

    packet_requested = pyqtSignal()
    touch_requested = pyqtSignal(object)
    """A Touch to draw with on the sheet, or None."""
    show_requested = pyqtSignal(float, float)
    """A place on the sheet, mm, that is to be looked at closely."""
    beside_requested = pyqtSignal(str, object)
    """What another print is called that is to be laid beside this one, and what makes its project of this
    one and a Progress; None for the print alone."""
    picture_tool_requested = pyqtSignal(str)
    """What the hand does on the picture as it was opened."""
    paper_shown = pyqtSignal(str)
    """The sheet on which the print is shown while its size is asked for."""
    length_given = pyqtSignal(float)
    """How long the line drawn on the picture is on the print, mm."""


class StationPresenter(Generic[W]):
    """One station. Made when the hand first turns to it; what is not said here, no station needs to say."""

    hint = ""
    """What the foot line says while nothing is pointed at."""
    in_middle = False
    """Whether it stands where the sheet is, instead of the column."""

    def __init__(self, hand: "Controller", wishes: Wishes) -> None:
        self.hand, self.wishes = hand, wishes
        self.widget = self.made()

    def made(self) -> W:
        """The widget, wired."""
        raise NotImplementedError

    def show(self, project: Project, proof: Proof | None) -> None:
        """Render it. proof : only one that belongs to the project."""
        raise NotImplementedError

    def come(self) -> None:
        """The hand has turned to it."""
        self.wishes.touch_requested.emit(None)

    def gone(self) -> None:
        """The hand has turned away."""

    def need(self, shown: Shown) -> None:
        """Have worked out what the sheet is to show of it."""

    def laid_over(self, project: Project) -> Overlay | None:  # noqa: ARG002 - most lay nothing
        """What it lays over the sheet."""
        return None

    def pick(self, x_mm: float, y_mm: float, more: bool) -> bool:  # noqa: ARG002 - most take none
        """A click on the sheet, in mm; more : with Ctrl. Whether the station took it."""
        return False

    def notes(self, proof: Proof | None) -> tuple[Note, ...]:
        """The findings that belong to it."""
        return notes(proof, self.hand.state.station)


def _alike(some: tuple[object, ...], others: tuple[object, ...]) -> bool:
    return len(some) == len(others) and all(map(is_, some, others))


class Latest(Generic[A]):
    """The last thing that was made, made anew only of other things: the same ones, not equal ones."""

    def __init__(self) -> None:
        self._made_of: tuple[object, ...] = ()
        self.made: A | None = None

    def of(self, made_of: tuple[object, ...], make: Callable[[], A], *, rough: bool = False) -> A:
        """What these things make; the last of it while a hand drags (rough)."""
        if self.made is None or not (_alike(made_of, self._made_of) or rough):
            self._made_of, self.made = made_of, make()
        return self.made


class Drawn(Generic[A]):
    """A picture of several looks, which takes longer than a hand should wait: drawn beside the window."""

    def __init__(self, hand: "Controller", name: str) -> None:
        self._hand, self._runner = hand, hand.keeper.runner
        self._drawing = Asker(self._runner, name, hand.message.emit, said=tr("drawing"), rank=FIRST)
        self._drawn_of: tuple[object, ...] = ()
        self._asked_of: tuple[object, ...] = ()
        self._print: object = None
        self._last: A | None = None

    def of(self, drawn_of: tuple[object, ...], draw: Callable[[], A]) -> A | None:
        """The picture of these things: the same ones, not equal ones. Until it is there, and while a hand
        drags, the last one of the same print, or None.
        """
        known = _alike(drawn_of, self._drawn_of)
        asked = self._drawing.busy and _alike(drawn_of, self._asked_of)
        if not (known or asked or self._hand.keeper.rough):
            self._asked_of = drawn_of
            self._drawing.do(lambda _progress: draw(), lambda drawn: self._arrived(drawn_of, drawn))
        return self.last

    @property
    def last(self) -> A | None:
        """What was drawn last of the print that is open."""
        return self._last if self._print == self._runner.owner() else None

    def _arrived(self, drawn_of: tuple[object, ...], drawn: A) -> None:
        self._drawn_of, self._last, self._print = drawn_of, drawn, self._runner.owner()
        self._hand.look_again()
