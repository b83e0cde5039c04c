"""The release before, run on the same pictures in the same session, in a process of its own."""

import contextlib
import subprocess
import sys
import tarfile
import tempfile
from collections.abc import Iterator
from io import BytesIO
from pathlib import Path

import numpy as np

ROOT = Path(__file__).parents[1]
# The last commit of the release before.
COMMIT = "9ace135"
# What had landed before the window was measured.
LANDED = "f1b6f22"
_SCRIPT = """
import sys, time
import numpy as np
from nomos.design import Picture, flatten
for line in sys.stdin:
    source, target, width, height = line.rstrip("\\n").split("|")
    rgb = np.load(source)
    picture = Picture(rgb, (float(width), float(height)), rgb.shape[1] / float(width))
    start = time.perf_counter()
    flat = flatten(picture, None)
    np.savez(target, labels=flat.labels, seconds=time.perf_counter() - start)
    print("done", flush=True)
"""


@contextlib.contextmanager
def sources(commit: str) -> Iterator[Path]:
    """The sources of a commit, in a folder that goes away."""
    packed = subprocess.run(["git", "archive", commit, "src"], cwd=ROOT, capture_output=True, check=True)
    with tempfile.TemporaryDirectory() as folder:
        with tarfile.open(fileobj=BytesIO(packed.stdout)) as archive:
            archive.extractall(folder, filter="data")
        yield Path(folder) / "src"


class Earlier:
    """The flattening of the release before; None of it where its source cannot be had from git."""

    def __init__(self) -> None:
        self._folder = tempfile.TemporaryDirectory()
        self._process: subprocess.Popen[str] | None = None
        packed = subprocess.run(
            ["git", "archive", COMMIT, "src"], cwd=ROOT, capture_output=True, check=False
        )  # fmt: skip
        if packed.returncode != 0:
            return
        with tarfile.open(fileobj=BytesIO(packed.stdout)) as archive:
            archive.extractall(self._folder.name, filter="data")
        self._process = subprocess.Popen(
            [sys.executable, "-c", _SCRIPT],
            env={"PYTHONPATH": f"{self._folder.name}/src", "PATH": ""},
            stdin=subprocess.PIPE, stdout=subprocess.PIPE, text=True,
        )  # fmt: skip

    def flatten(self, rgb: np.ndarray, size_mm: tuple[float, float]) -> tuple[np.ndarray, float] | None:
        """Labels and seconds, or None."""
        if self._process is None or self._process.stdin is None or self._process.stdout is None:
            return None
        source, target = (Path(self._folder.name) / name for name in ("page.npy", "flat.npz"))
        np.save(source, rgb)
        print(f"{source}|{target}|{size_mm[0]}|{size_mm[1]}", file=self._process.stdin, flush=True)
        if self._process.stdout.readline().strip() != "done":
            return None
        found = np.load(target)
        return found["labels"], float(found["seconds"])

    def close(self) -> None:
        """End the process."""
        if self._process is not None and self._process.stdin is not None:
            self._process.stdin.close()
            self._process.wait()
        self._folder.cleanup()
