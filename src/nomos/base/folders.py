"""Where the program keeps its own things, what stands in where nothing can be kept, and names of files."""

import tempfile
from collections.abc import Callable
from pathlib import Path

from platformdirs import user_config_path, user_state_path

# A file name may take 255 bytes, and a letter up to four of them.
_MOST_LETTERS = 40
_STANDING_IN: dict[Path | str, Path] = {}


def state_folder() -> Path:
    """For unsaved work, logs of unsaved prints and reports of faults; it can be written into."""
    return _usable("state", user_state_path)


def config_folder() -> Path:
    """For the window's settings and the studio; it can be written into."""
    return _usable("config", user_config_path)


def passing_folders() -> tuple[Path, ...]:
    """Folders that stand in for ones that cannot be written into; gone with the machine's next start."""
    return tuple(each for each in (state_folder(), config_folder()) if each in _STANDING_IN.values())


def _usable(kind: str, place: Callable[[str], Path]) -> Path:
    wanted: Path | str = kind
    try:
        wanted = folder = place("nomos")
        folder.mkdir(parents=True, exist_ok=True)
        with tempfile.TemporaryFile(dir=folder):
            return folder
    except (OSError, RuntimeError):
        # A home that is not there or not writable, or a full disk: work goes on beside it.
        if wanted not in _STANDING_IN:
            _STANDING_IN[wanted] = Path(tempfile.mkdtemp(prefix=f"nomos-{kind}-"))
        return _STANDING_IN[wanted]


def file_name(name: str) -> str:
    """A name of any letters as part of a file name."""
    kept = "".join(letter if letter.isalnum() else "-" for letter in name.lower())
    whole = "-".join(part for part in kept.split("-") if part)
    return whole[:_MOST_LETTERS].strip("-") or "block"
