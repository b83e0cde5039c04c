"""Where logs and the pictures that belong to them lie, how they are put aside and thrown away."""

import contextlib
import shutil
from dataclasses import dataclass
from datetime import datetime
from pathlib import Path

from nomos.base.atomic import beside, replacing
from nomos.base.errors import BadInput
from nomos.base.folders import state_folder
from nomos.base.language import tr
from nomos.edition import LogError, LogText, Replay, read_log_text
from nomos.project import Project
from nomos.project.edition.printed import is_of_another
from nomos.project.edition.sheets import log_path, replay_of
from nomos.project.model.sheets import planned_sheets
from nomos.ui.stations.bench.log_writer import Stamp, stamp_of

PRACTICE, _PROOFS = "practice", ".proofs"


def plan_of(project: Project) -> object:
    """What of a project decides what its log comes to."""
    planned = tuple(pull.id for pull in project.impressions)
    return planned, planned_sheets(project), project.sheet_by_sheet


@dataclass(frozen=True, eq=False)
class ReadAhead:
    """A log as it was read, and what it comes to by a plan."""

    path: Path
    stamp: Stamp | None
    text: LogText
    key: object
    replay: Replay


def read_ahead(path: Path, project: Project) -> ReadAhead | None:
    """Read the log beside a project file: a large one takes seconds. None where there is none to be taken."""
    log = log_path(path)
    stamp = stamp_of(log)
    try:
        text = read_log_text(log)
    except BadInput:
        return None
    if stamp is None or is_of_another(project, text.events) or not project.impressions:
        return None
    return ReadAhead(log, stamp, text, plan_of(project), replay_of(project, text.events))


def bench_folder() -> Path:
    """Where logs are kept of projects that have no file."""
    return state_folder() / "bench"


def proofs_of(log: Path) -> Path:
    """The folder of the pictures that belong to a log."""
    return beside(log, log.name.removesuffix(log.suffix) + _PROOFS)


def throw_away(log: Path) -> None:
    """Remove a log that nobody is to miss, and its proofs."""
    with contextlib.suppress(OSError):
        log.unlink()
    shutil.rmtree(proofs_of(log), ignore_errors=True)


def copy_record(old: Path, new: Path) -> None:
    """Copy a log and the proofs beside it to another place. Raises OSError, BadInput."""
    with replacing(new) as file:
        file.write(old.read_bytes())
    if proofs_of(old).exists():
        shutil.copytree(proofs_of(old), proofs_of(new), dirs_exist_ok=True)


def put_aside(log: Path, now: datetime) -> Path:
    """Give a log and its proofs a name with the time; that name. Raises LogError."""
    aside = beside(log, f"{log.name.removesuffix(log.suffix)}-{now:%Y%m%d-%H%M%S}{log.suffix}")
    try:
        log.rename(aside)
        if proofs_of(log).exists():
            proofs_of(log).rename(proofs_of(aside))
    except OSError as error:
        raise LogError(tr("{name} cannot be put aside: {what}.", name=log.name, what=error.strerror or error)) from None
    return aside
