"""Draws one SVG from standard input to a PNG on standard output.

A process of its own because the renderer holds Python's lock while it draws,
which would freeze the window, and cannot be stopped from within.
"""

import resource
import sys

import resvg_py

from nomos.base import typeface

_MOST_BYTES = 2_000_000_000
_MOST_SECONDS = 60


def main() -> None:
    """Read SVG, write PNG; the size stands in the document, in pixels."""
    # However a drawing is made, it takes no more than this of the machine.
    resource.setrlimit(resource.RLIMIT_AS, (_MOST_BYTES, _MOST_BYTES))
    resource.setrlimit(resource.RLIMIT_CPU, (_MOST_SECONDS, _MOST_SECONDS))
    png = resvg_py.svg_to_bytes(
        svg_string=sys.stdin.buffer.read().decode("utf-8"),
        dpi=96,
        skip_system_fonts=True,
        font_files=[str(path) for path in typeface.ALL],
        font_family="Lato",
        sans_serif_family="Lato",
        serif_family="Lato",
    )
    sys.stdout.buffer.write(bytes(png))


if __name__ == "__main__":
    main()
