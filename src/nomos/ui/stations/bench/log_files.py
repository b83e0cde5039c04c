"""Where logs and the pictures that belong to them lie, how they are put aside and thrown away."""

import contextlib
import shutil
from datetime import datetime
from pathlib import Path

from nomos.atomic import beside
from nomos.edition import LogError
from nomos.folders import state_folder
from nomos.language import tr

PRACTICE, _PROOFS = "practice", ".proofs"


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


def put_aside(log: Path, now: datetime) -> Path:
    """Give a log and its proofs a name with the time; that name. Raises LogError."""
    aside = beside(log, f"{log.name.removesuffix(log.suffix)}-{now:%Y%m%d-%H%M%S}{log.suffix}")
    try:
        log.rename(aside)
        if proofs_of(log).exists():
            proofs_of(log).rename(proofs_of(aside))
    except OSError as error:
        raise LogError(
            tr("{name} cannot be put aside: {what}.", name=log.name, what=error.strerror or error)
        ) from None
    return aside
