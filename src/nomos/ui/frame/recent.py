"""Files of late, with a small picture of each, in the window's own settings and the user's cache."""

import hashlib
from pathlib import Path

import numpy as np
from numpy.typing import NDArray
from platformdirs import user_cache_path
from PyQt6.QtCore import QSettings

_KEY, MOST = "recent", 6
PICTURE_PX = 72


def recent_files(settings: QSettings) -> tuple[Path, ...]:
    """The newest first; those that are gone are left out."""
    value = settings.value(_KEY)
    names = [value] if isinstance(value, str) else value if isinstance(value, list) else []
    return tuple(path for name in names if isinstance(name, str) and (path := Path(name)).is_file())


def remember(settings: QSettings, path: Path) -> None:
    """Put a file first among those of late."""
    own = path.resolve()
    others = [other for other in recent_files(settings) if other.resolve() != own]
    settings.setValue(_KEY, [str(each) for each in (own, *others)[:MOST]])


def _picture_path(path: Path) -> Path:
    name = hashlib.sha256(str(path.resolve()).encode()).hexdigest()[:24]
    return user_cache_path("nomos") / "pictures" / f"{name}.png"


def keep_picture(path: Path, pixels: NDArray[np.uint32]) -> None:
    """Keep a small picture of a project, 0xffRRGGBB. What cannot be kept is not missed."""
    from nomos.ui.frame.sheet import image_of

    place = _picture_path(path)
    try:
        place.parent.mkdir(parents=True, exist_ok=True)
    except OSError:
        return
    image_of(pixels, 1.0).save(str(place), "PNG")


def picture_of(path: Path) -> Path | None:
    """The small picture that was kept of a project."""
    place = _picture_path(path)
    return place if place.is_file() else None
