"""What an edition takes, and the record of it: ink, sheets, the log, statistics, numbers."""

from nomos.edition.amounts import FILM_G_M2, WASTE, InkNeed, film_from_weights, ink_needed
from nomos.edition.log import (
    REASONS,
    Event,
    EventKind,
    LogError,
    LogText,
    append_events,
    locked,
    now_text,
    read_log,
    read_log_text,
)
from nomos.edition.replay import Replay, replay
from nomos.edition.sheets import SheetPlan, SheetsError, cut_from, newsprint_sheets, start_sheets
from nomos.edition.state import EditionState
from nomos.edition.statistics import LayerFigures, Numbers, layer_figures, learnt_good, number_sheets
