"""Where the sheet meets the block, how far out it came, and what to do about it."""

from nomos.registration.contacts import Contacts
from nomos.registration.correction import (
    WallChange,
    after_change,
    change_text,
    move_text,
    stretch_advice,
    together,
    wall_change,
)
from nomos.registration.kento import Kento, KentoError, KentoSettings, Point, Rect, depth_for, place_along, place_kento
from nomos.registration.marks import MarkFit, MarksError, Motion, fit_marks
from nomos.registration.plan import plan_system
from nomos.registration.printed_marks import PrintedMark, printed_marks, vernier_reading_mm
from nomos.registration.settings import (
    BudgetSettings,
    JigSettings,
    PinSettings,
    RegisterError,
    RegisterSettings,
    Situation,
    System,
)
from nomos.registration.systems import SYSTEMS, SystemAdvice, advise, system_called
from nomos.registration.systems.shapes import Shape, SystemPlan
from nomos.registration.turning import TURNS, Turn, TurnError, seated_corner, turning_error
