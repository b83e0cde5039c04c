"""Reading a file whole: an ordinary one, and no larger than can be meant."""

import stat
from pathlib import Path

from nomos.base.errors import BadInput
from nomos.base.language import tr

_MOST_BYTES = 1_000_000_000
# Names that photographs in a folder end in.
PHOTOGRAPHS = (".jpg", ".jpeg", ".png", ".heic", ".heif", ".webp", ".tif", ".tiff", ".avif", ".bmp")


def read_whole(path: Path, most_bytes: int = _MOST_BYTES) -> bytes:
    """The bytes of a file.

    Raises BadInput: it cannot be read, is a folder, a pipe or a device, or is larger than can be meant.
    """
    try:
        found = path.stat()
        if stat.S_ISDIR(found.st_mode):
            raise BadInput(tr("{path} is a folder: choose a file in it.", path=path))
        if not stat.S_ISREG(found.st_mode):
            raise BadInput(tr("{path} is no ordinary file and is not read.", path=path))
        if found.st_size > most_bytes:
            raise BadInput(
                tr(
                    "{path} is larger than {most_bytes} MB and is not read.",
                    path=path,
                    most_bytes=most_bytes // 1000000,
                )
            )
        return path.read_bytes()
    except BadInput:
        raise
    except OSError as error:
        raise BadInput(tr("{path} cannot be read ({what}).", path=path, what=error.strerror or error)) from None
    except ValueError:
        raise BadInput(tr("A name with a null character is no file.")) from None
    except MemoryError:
        raise BadInput(tr("There is not enough memory to read {path}.", path=path)) from None
