"""What a station is to the window: a widget wired to the hand, and what it shows of the project."""

from collections.abc import Callable
from operator import is_
from typing import TYPE_CHECKING, Generic, TypeVar

from PyQt6.QtCore import QObject, pyqtSignal
from PyQt6.QtWidgets import QWidget

from nomos.project import Project, Proof
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

    packet_asked = pyqtSignal()
    touch_asked = pyqtSignal(object)
    """A Touch to draw with on the sheet, or None."""
    show_asked = pyqtSignal(float, float)
    """A place on the sheet, mm, that is to be looked at closely."""
    beside_asked = pyqtSignal(str, object)
    """What another print is called that is to be laid beside this one, and what makes its project of this
    one and a Progress; None for the print alone."""
    picture_tool_asked = pyqtSignal(str)
    """What the hand does on the picture as it was opened."""
    paper_shown = pyqtSignal(str)
    """The sheet on which the print is shown while its size is asked for."""
    length_given = pyqtSignal(float)
    """How long the line drawn on the picture is on the print, mm."""


class Here(Generic[W]):
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
        self.wishes.touch_asked.emit(None)

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


class Latest(Generic[A]):
    """The last thing that was made, made anew only of other things: the same ones, not equal ones."""

    def __init__(self) -> None:
        self._made_of: tuple[object, ...] = ()
        self.made: A | None = None

    def of(self, made_of: tuple[object, ...], make: Callable[[], A], *, rough: bool = False) -> A:
        """What these things make; the last of it while a hand drags (rough)."""
        alike = len(made_of) == len(self._made_of) and all(map(is_, made_of, self._made_of))
        if self.made is None or not (alike or rough):
            self._made_of, self.made = made_of, make()
        return self.made
