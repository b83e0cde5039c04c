"""The `.nomos` file: a zip of project.json and the bitmaps, saved so that no crash can lose it."""

import hashlib
import io
import zipfile
from collections.abc import Mapping
from pathlib import Path
from typing import BinaryIO

import msgspec
import numpy as np

from nomos.base.atomic import previous_of, replacing
from nomos.base.errors import BadInput
from nomos.base.language import tr
from nomos.base.reading import read_whole
from nomos.design import Labels
from nomos.design.limits import MAX_PAGE_PIXELS, check_packed
from nomos.project.model import Project, ProjectError
from nomos.project.model.forms import check_size, project_in
from nomos.registration import SYSTEMS
from nomos.separation import Mask

_NO_FIT = tr("A block changed by hand does not fit the design; work the block out anew from the colours.")
# What is flattened is no larger than the page that is worked on, but for rounding.
_MOST_LABELS = round(1.1 * MAX_PAGE_PIXELS)
MIMETYPE = "application/x-nomos-project"
SUFFIX = ".nomos"
_PROJECT, _PREDICTED = "project.json", "predicted.json"
_FOLDER = "assets"
_LARGEST_MB = 600
# Fixed, so that the same project is the same bytes.
_DATE = (1980, 1, 1, 0, 0, 0)

Assets = Mapping[str, bytes]


def digest(data: bytes) -> str:
    """The name of some bytes: their SHA-256 in hexadecimal."""
    return hashlib.sha256(data).hexdigest()


def version_of(project: Project) -> str:
    """Six letters that change with anything in a project, to tell one printed plan from another."""
    return digest(msgspec.json.encode(project, enc_hook=_plain))[:6]


def labels_to_png(labels: Labels) -> bytes:
    """A page of colour numbers as an 8-bit grey PNG, value = number."""
    import cv2

    done, data = cv2.imencode(".png", labels)
    assert done
    return data.tobytes()


def labels_from_png(data: bytes) -> Labels:
    """The page of colour numbers in a PNG. Raises ProjectError."""
    import cv2

    check_packed(data, tr("The flat design inside the project"), _MOST_LABELS)
    labels = cv2.imdecode(np.frombuffer(data, np.uint8), cv2.IMREAD_UNCHANGED)
    if labels is None or labels.ndim != 2 or labels.dtype != np.uint8:
        raise ProjectError("labels", tr("The flat design inside the project is damaged; flatten the design again."))
    labels.flags.writeable = False
    return np.asarray(labels, np.uint8)


def mask_to_png(mask: Mask) -> bytes:
    """A block's mask as a grey PNG, 0 and 255."""
    import cv2

    done, data = cv2.imencode(".png", mask * np.uint8(255))
    assert done
    return data.tobytes()


def mask_from_png(data: bytes, shape: tuple[int, int]) -> Mask:
    """The mask in a PNG. Raises ProjectError where it is damaged or of another size."""
    import cv2

    width, height = check_packed(data, tr("A block changed by hand inside the project"), _MOST_LABELS)
    if (height, width) != shape:
        raise ProjectError("drawn", _NO_FIT)
    page = cv2.imdecode(np.frombuffer(data, np.uint8), cv2.IMREAD_GRAYSCALE)
    if page is None or page.shape != shape:
        raise ProjectError("drawn", _NO_FIT)
    return np.asarray(page >= 128).astype(np.uint8)


def png_width(data: bytes) -> int:
    """Width in pixels of a PNG, from its header alone (PNG specification, chunk IHDR)."""
    return int.from_bytes(data[16:20], "big")


def labels_of(project: Project, assets: Assets) -> tuple[Labels, float]:
    """The flat design's colour numbers and their pixels per mm. Raises ProjectError without one."""
    if project.flat is None:
        raise ProjectError("flat", tr("There is no flat design yet: open a picture and flatten it first."))
    labels = labels_from_png(assets[project.flat.labels])
    return labels, labels.shape[1] / project.image.width


def referenced(project: Project) -> tuple[str, ...]:
    """Digests of what the project needs beside it."""
    first = (project.source and project.source.digest, project.flat and project.flat.labels)
    return tuple(dict.fromkeys(d for d in (*first, *(block.drawn for block in project.blocks)) if d))


def json_schema() -> dict[str, object]:
    """The JSON Schema of project.json."""
    schema = msgspec.json.schema(Project)
    # Its names are records, known where the program runs and not to the type.
    schema["$defs"]["RegisterSettings"]["properties"]["system"]["enum"] = list(SYSTEMS)
    return {"$schema": "https://json-schema.org/draft/2020-12/schema", "title": tr("Nomos project"), **schema}


def _plain(value: object) -> float:
    """A figure that came out of an array as the plain one it is: nothing is to keep work from being saved."""
    if isinstance(value, np.generic):
        return float(value)
    raise TypeError(f"{type(value).__name__} is no part of a project.")


def save(path: Path, project: Project, assets: Assets, *, predicted: bytes | None = None) -> None:
    """Write the project; on return it is on disk, and the file it replaced is kept as `NAME.nomos.previous`.

    Parameters
    ----------
    predicted : what was foretold of it, kept beside it in the file.

    Raises
    ------
    BadInput : it could not be written; the earlier file is untouched.

    Notes
    -----
    Written beside, flushed to the disk, then renamed: at any moment the name
    stands for the whole old file or the whole new one.
    """
    try:
        with replacing(path, keep=True) as file:
            _write(file, project, assets, predicted)
    except OSError as error:
        raise _unsaved(path, error) from None


def _unsaved(path: Path, error: OSError) -> BadInput:
    reason = error.strerror or str(error)
    return BadInput(
        tr("{name} could not be saved ({reason}); what was there before is untouched.", name=path.name, reason=reason)
    )


def _write(file: BinaryIO, project: Project, assets: Assets, predicted: bytes | None) -> None:
    def entry(name: str, compression: int) -> zipfile.ZipInfo:
        info = zipfile.ZipInfo(name, _DATE)
        info.compress_type = compression
        info.external_attr = 0o644 << 16
        return info

    with zipfile.ZipFile(file, "w") as archive:
        # First and uncompressed, so that file managers know the file by its content.
        archive.writestr(entry("mimetype", zipfile.ZIP_STORED), MIMETYPE)
        text = msgspec.json.format(msgspec.json.encode(project, enc_hook=_plain), indent=2)
        archive.writestr(entry(_PROJECT, zipfile.ZIP_DEFLATED), text)
        if predicted is not None:
            archive.writestr(entry(_PREDICTED, zipfile.ZIP_DEFLATED), predicted)
        for name in referenced(project):
            archive.writestr(entry(f"{_FOLDER}/{name}", zipfile.ZIP_DEFLATED), assets[name])


def load(path: Path) -> tuple[Project, dict[str, bytes]]:
    """Read a project and what lies beside it.

    Raises
    ------
    BadInput : not there, not a project, damaged, or of a newer version.
    """
    packed = io.BytesIO(read_whole(path))
    try:
        with zipfile.ZipFile(packed) as archive:
            if sum(info.file_size for info in archive.infolist()) > _LARGEST_MB * 1_000_000:
                raise BadInput(
                    tr(
                        "{name} would unpack to more than {largest_mb} MB and is not opened.",
                        name=path.name,
                        largest_mb=_LARGEST_MB,
                    )
                )
            project = project_in(_text_in(archive, path.name), path.name)
            assets = {name: archive.read(f"{_FOLDER}/{name}") for name in referenced(project)}
    except BadInput:
        raise
    except Exception:
        # zipfile raises BadZipFile, KeyError, zlib.error, NotImplementedError and more on damaged files.
        previous = previous_of(path)
        advice = tr("; the copy before it is {name}", name=previous.name) if previous.exists() else ""
        raise BadInput(tr("{name} is damaged or not a Nomos project{advice}.", name=path.name, advice=advice)) from None
    _check_assets(project, assets, path.name)
    return project, assets


def _text_in(archive: zipfile.ZipFile, name: str) -> bytes:
    """The project.json of an archive. Raises BadInput where it would unpack to more than any print needs."""
    check_size(archive.getinfo(_PROJECT).file_size, name, "project")
    return archive.read(_PROJECT)


def predicted_in(path: Path) -> bytes | None:
    """What was foretold of a project when it was saved; None for a file that does not say."""
    try:
        with zipfile.ZipFile(io.BytesIO(read_whole(path))) as archive:
            check_size(archive.getinfo(_PREDICTED).file_size, path.name, "prediction")
            return archive.read(_PREDICTED)
    except Exception:  # as in `load`
        return None


def id_in(path: Path) -> str | None:
    """The id of the print in a project file; None for a file that is none, or is damaged."""
    try:
        with zipfile.ZipFile(io.BytesIO(read_whole(path))) as archive:
            return project_in(_text_in(archive, path.name), path.name).id
    except Exception:  # as in `load`
        return None


def _check_assets(project: Project, assets: Mapping[str, bytes], name: str) -> None:
    for wanted, data in assets.items():
        if digest(data) != wanted:
            raise BadInput(tr("{name} is damaged: a picture inside it has changed.", name=name))
    if project.flat is not None:
        numbers = labels_from_png(assets[project.flat.labels])
        if int(numbers.max(initial=0)) >= len(project.flat.colours):
            raise BadInput(tr("{name} is damaged: its flat design has more colours than its list.", name=name))
