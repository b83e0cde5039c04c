"""What is installed: each file against its own validator, and against the program itself."""

import io
import shutil
import subprocess
import sys
from pathlib import Path

import numpy as np
import pytest
import resvg_py
from lxml import etree
from PIL import Image

from nomos.cli.main import commands_said, run
from nomos.project import Assets, Project, save
from nomos.project.model.store import MIMETYPE

PACKAGING = Path(__file__).resolve().parents[1] / "packaging"


def validated(*command: str) -> None:
    """Run a validator of the system; skip where the system does not have it."""
    if shutil.which(command[0]) is None:
        pytest.skip(f"{command[0]} is not installed")
    done = subprocess.run(command, capture_output=True, text=True, check=False, timeout=60)
    assert done.returncode == 0, done.stdout + done.stderr


def test_the_desktop_entry_and_the_appstream_data_are_valid() -> None:
    validated("desktop-file-validate", str(PACKAGING / "nomos.desktop"))
    validated("appstreamcli", "validate", "--no-net", str(PACKAGING / "nomos.metainfo.xml"))


def test_the_kind_of_file_is_told_by_the_content_that_is_written(
    little: tuple[Project, Assets], tmp_path: Path
) -> None:
    """The rule of the shared MIME data, carried out on a file just saved."""
    space = {"m": "http://www.freedesktop.org/standards/shared-mime-info"}
    tree = etree.parse(str(PACKAGING / "nomos-mime.xml"))
    assert tree.xpath("string(//m:mime-type/@type)", namespaces=space) == MIMETYPE
    path = tmp_path / "a.nomos"
    save(path, *little)
    begins = path.read_bytes()[:200]
    for match in tree.iterfind(".//m:match", space):
        wanted = match.get("value", "").encode().decode("unicode_escape").encode("latin-1")
        at = int(match.get("offset", "0"))
        assert begins[at : at + len(wanted)] == wanted
    entry = (PACKAGING / "nomos.desktop").read_text()
    assert MIMETYPE in entry
    assert f"MimeType={MIMETYPE};" in (PACKAGING / "nomos.thumbnailer").read_text()


@pytest.mark.parametrize("name", ["nomos", "nomos-project"])
def test_icons_hold_their_three_colours_at_sixteen_pixels(name: str) -> None:
    drawing = (PACKAGING / f"{name}.svg").read_text()
    png = bytes(resvg_py.svg_to_bytes(svg_string=drawing, width=16, height=16))
    pixels = np.array(Image.open(io.BytesIO(png)).convert("RGB")).reshape(-1, 3).astype(int)
    for colour in ((0xD8, 0xA6, 0x37), (0x3C, 0x6F, 0x86), (0x2F, 0x4A, 0x2E)):
        near = np.abs(pixels - colour).max(axis=1) < 40
        assert near.sum() >= 4, colour


def test_the_man_page_has_every_command() -> None:
    sys.path.insert(0, str(PACKAGING.parent / "tools"))
    try:
        import package  # type: ignore[import-not-found] # a tool, no part of the program
    finally:
        sys.path.pop(0)
    page = package.manual()
    for name, said in commands_said():
        assert f".B {name}\n" in page
        assert said
    # Of what is brought along nothing that the program imports is missing.
    brought = set(package.needed("nomos"))
    assert {"pyqt6", "pyqt6-qt6", "numpy", "msgspec"} <= brought


def test_a_thumbnail_is_the_flat_design_in_small(
    little: tuple[Project, Assets], tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    path, out = tmp_path / "a.nomos", tmp_path / "a.png"
    save(path, *little)
    assert run(["thumbnail", str(path), "--out", str(out), "--size", "64"], lambda *_: 0) == 0
    with Image.open(out) as image:
        assert max(image.size) == 64
        assert len(image.convert("RGB").getcolors(1 << 16) or []) >= 3
    assert run(["thumbnail", str(path), "--out", str(out), "--size", "9000"], lambda *_: 0) == 2
    assert "8 to 2048" in capsys.readouterr().err
