"""Makes what is installed: a wheel for pipx, and a Debian package that brings all but what Debian 12 has.

    .venv/bin/python tools/package.py [--out build/dist] [--quick]

The Debian package holds the very files that were tested, copied out of .venv, under /usr/lib/nomos.
"""

import argparse
import gzip
import re
import shutil
import subprocess
import sys
import tempfile
from importlib import metadata
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
PACKAGING = ROOT / "packaging"
# What Qt loads at run time; as in setup.sh, without what only tests need.
DEPENDS = (
    "python3 (>= 3.11), python3 (<< 3.12), libglib2.0-0, libgl1, libegl1, libxkbcommon0, libfontconfig1, "
    "libdbus-1-3, libxcb-cursor0, libxcb-icccm4, libxcb-keysyms1, libxcb-shape0, libxkbcommon-x11-0"
)
LAUNCHER = """#!/bin/sh
# Nomos beside what it brings; nothing of the user's own Python is taken.
here=$(dirname "$(readlink -f "$0")")
PYTHONPATH="$here/../lib/nomos" PYTHONNOUSERSITE=1 exec /usr/bin/python3 -m nomos "$@"
"""
# After installing and removing, what file managers keep of kinds of files is made anew where it is kept.
REFRESH = """#!/bin/sh
set -e
if command -v update-mime-database >/dev/null; then update-mime-database /usr/share/mime || true; fi
if command -v update-desktop-database >/dev/null; then update-desktop-database -q || true; fi
icons=/usr/share/icons/hicolor
if command -v gtk-update-icon-cache >/dev/null; then gtk-update-icon-cache -q -f $icons || true; fi
"""
# What Python compiled there by itself.
GONE = 'case "$1" in remove|purge) rm -rf /usr/lib/nomos ;; esac\n'
SIZES = (16, 24, 32, 48, 64, 128, 256)


def needed(
    name: str, found: dict[str, metadata.Distribution] | None = None
) -> dict[str, metadata.Distribution]:
    """A package's requirements with theirs, as they are installed here; without the package itself."""
    found = {} if found is None else found
    for wanted in metadata.distribution(name).requires or ():
        if "extra ==" in wanted or 'sys_platform == "win32"' in wanted or "python_version <" in wanted:
            continue
        other = re.split(r"[ <>=!~;\[(]", wanted, maxsplit=1)[0]
        key = other.lower().replace("_", "-")
        if key not in found:
            try:
                found[key] = metadata.distribution(other)
            except metadata.PackageNotFoundError:
                continue
            needed(other, found)
    return found


def wheel(out: Path) -> Path:
    """The wheel, with its requirements at the versions that were tested."""
    with tempfile.TemporaryDirectory() as folder:
        copy = Path(folder) / "nomos"
        copy.mkdir()
        shutil.copytree(
            ROOT / "src", copy / "src", ignore=shutil.ignore_patterns("__pycache__", "*.egg-info")
        )
        for name in ("README.md", "LICENSE"):
            shutil.copy(ROOT / name, copy)
        text = (ROOT / "pyproject.toml").read_text("utf-8")
        versions = {key: dist.version for key, dist in needed("nomos").items()}

        def pinned(match: re.Match[str]) -> str:
            return f'"{match[1]}=={versions[match[1].lower()]}"'

        head, rest = text.split("dependencies = [", 1)
        names, tail = rest.split("]", 1)
        names = re.sub('"([A-Za-z0-9-]+)"', pinned, names)
        text = f"{head}dependencies = [{names}]{tail}"
        (copy / "pyproject.toml").write_text(text, "utf-8")
        subprocess.run(
            [sys.executable, "-m", "pip", "wheel", "--quiet", "--disable-pip-version-check", "--no-deps",
             "--no-build-isolation", "-w", str(out), str(copy)],
            check=True,
        )  # fmt: skip
    return max(out.glob("nomos-*.whl"), key=lambda path: path.stat().st_mtime)


def _library(target: Path) -> None:
    """The program and all it needs, as they are installed here."""
    shutil.copytree(ROOT / "src/nomos", target / "nomos", ignore=shutil.ignore_patterns("__pycache__"))
    for dist in needed("nomos").values():
        for file in dist.files or ():
            source = Path(str(dist.locate_file(file)))
            inside = ".." not in file.parts and "__pycache__" not in file.parts
            if inside and source.is_file():
                (target / file).parent.mkdir(parents=True, exist_ok=True)
                shutil.copy2(source, target / file)
    # The program's own name and version, as `nomos --version` and About ask for them.
    own = metadata.distribution("nomos")
    info = target / f"nomos-{own.version}.dist-info"
    info.mkdir()
    (info / "METADATA").write_text(f"Metadata-Version: 2.1\nName: nomos\nVersion: {own.version}\n")


def _icons(share: Path) -> None:
    import resvg_py

    for name, kind in (("nomos", "apps"), ("nomos-project", "mimetypes")):
        drawing = (PACKAGING / f"{name}.svg").read_text("utf-8")
        scalable = share / "icons/hicolor/scalable" / kind
        scalable.mkdir(parents=True)
        (scalable / f"{name}.svg").write_text(drawing, "utf-8")
        for size in SIZES:
            folder = share / f"icons/hicolor/{size}x{size}" / kind
            folder.mkdir(parents=True)
            png = resvg_py.svg_to_bytes(svg_string=drawing, width=size, height=size)
            (folder / f"{name}.png").write_bytes(bytes(png))


def manual() -> str:
    """The man page, from the command line's own help."""
    from nomos.cli.main import commands_said

    version = metadata.version("nomos")
    lines = [
        f'.TH NOMOS 1 "" "nomos {version}" "User commands"',
        ".SH NAME", "nomos \\- plan relief prints in several colours",
        ".SH SYNOPSIS", ".B nomos", "[\\fIPROJECT.nomos\\fR | \\fIPICTURE\\fR]", ".br",
        ".B nomos", "\\fICOMMAND\\fR [\\fIOPTIONS\\fR]",
        ".SH DESCRIPTION",
        "Without a command the window opens, on a project or a picture if one is named. "
        "Everything the window computes a command does as well; "
        "\\fBnomos\\fR \\fICOMMAND\\fR \\fB\\-\\-help\\fR lists its options.",
        ".SH COMMANDS",
    ]  # fmt: skip
    for name, said in commands_said():
        lines += [".TP", f".B {name}", said.replace("-", "\\-")]
    lines += [
        ".SH EXIT STATUS", "0 done, 1 a fault of the program, 2 bad input.",
        ".SH FILES", ".TP", ".I ~/.config/nomos/", "settings of the window, and the studio.",
        ".TP", ".I ~/.local/state/nomos/", "unsaved work, and reports of faults.",
    ]  # fmt: skip
    return "\n".join(lines) + "\n"


def _share(share: Path) -> None:
    for name, folder in (
        ("nomos.desktop", "applications"), ("nomos.metainfo.xml", "metainfo"),
        ("nomos-mime.xml", "mime/packages"), ("nomos.thumbnailer", "thumbnailers"),
    ):  # fmt: skip
        (share / folder).mkdir(parents=True, exist_ok=True)
        shutil.copy(PACKAGING / name, share / folder / name)
    _icons(share)
    pages = share / "man/man1"
    pages.mkdir(parents=True)
    (pages / "nomos.1.gz").write_bytes(gzip.compress(manual().encode(), mtime=0))
    papers = share / "doc/nomos"
    papers.mkdir(parents=True)
    (papers / "changelog.gz").write_bytes(gzip.compress((ROOT / "CHANGELOG.md").read_bytes(), mtime=0))
    brought = "\n".join(f"  {name} {dist.version}" for name, dist in sorted(needed("nomos").items()))
    (papers / "copyright").write_text(
        "Nomos is free software, GPL-3.0-or-later; see /usr/share/common-licenses/GPL-3.\n"
        "It brings these packages, each with its licence beside it in /usr/lib/nomos:\n"
        f"{brought}\n", "utf-8",
    )  # fmt: skip


def debian(out: Path, *, quick: bool) -> Path:
    """The Debian package. quick : hardly compressed, for a check."""
    version = metadata.version("nomos")
    with tempfile.TemporaryDirectory() as folder:
        tree = Path(folder) / "tree"
        _library(tree / "usr/lib/nomos")
        _share(tree / "usr/share")
        launcher = tree / "usr/bin/nomos"
        launcher.parent.mkdir(parents=True)
        launcher.write_text(LAUNCHER)
        launcher.chmod(0o755)
        # Compiled here: whoever starts it may not write there.
        subprocess.run(
            [sys.executable, "-m", "compileall", "-q", "--invalidation-mode", "unchecked-hash",
             str(tree / "usr/lib/nomos")],
            check=False, stdout=subprocess.DEVNULL,
        )  # fmt: skip
        kilobytes = sum(path.stat().st_size for path in tree.rglob("*") if path.is_file()) // 1024
        control = tree / "DEBIAN"
        control.mkdir()
        (control / "control").write_text(
            f"Package: nomos\nVersion: {version}\nArchitecture: amd64\n"
            "Section: graphics\nPriority: optional\n"
            f"Maintainer: The developers of Nomos <nomos@localhost>\nInstalled-Size: {kilobytes}\n"
            f"Depends: {DEPENDS}\nDescription: plan relief prints in several colours\n"
            " From a coloured sketch to blocks, inks, print order, templates at true size\n"
            " and the record of the edition, for linocut, woodcut and water-based woodblock.\n"
        )
        for name, more in (("postinst", ""), ("postrm", GONE)):
            (control / name).write_text(REFRESH + more)
            (control / name).chmod(0o755)
        for path in tree.rglob("*"):
            if path.is_dir():
                path.chmod(0o755)
        made = out / f"nomos_{version}_amd64.deb"
        # Zstandard unpacks as quickly as it reads, and packs this in a tenth of xz's time for a little more.
        level = ["-Zgzip", "-z1"] if quick else ["-Zzstd", "-z15", "--threads-max=2"]
        print(f"packing {kilobytes // 1024} MB into {made.name}, a minute or so", flush=True)
        subprocess.run(["dpkg-deb", "--root-owner-group", *level, "--build", str(tree), str(made)],
                       check=True, stdout=subprocess.DEVNULL)  # fmt: skip
    return made


def main() -> None:
    """Make both."""
    parser = argparse.ArgumentParser(description=__doc__)
    parser.add_argument("--out", type=Path, default=ROOT / "build/dist")
    parser.add_argument("--quick", action="store_true", help="hardly compressed")
    options = parser.parse_args()
    options.out.mkdir(parents=True, exist_ok=True)
    for made in (wheel(options.out), debian(options.out, quick=options.quick)):
        print(f"{made}: {made.stat().st_size / 1e6:.0f} MB")


if __name__ == "__main__":
    main()
