"""Where the program starts and is wired together: the command line, and the window when it is asked for."""

import contextlib
import errno
import gc
import io
import os
import sys
import traceback
from pathlib import Path


def _open_window(path: Path | None, demo: str | None, walk: Path | None) -> int:
    # Nothing made while the program starts is garbage: looking for some takes a tenth of the time. The window
    # collects its own from then on.
    gc.disable()
    # Imported only now: a command needs neither Qt nor a display.
    from nomos.ui.start import open_window

    return open_window(path, demo=demo, walk=walk)


def _choose_language(arguments: list[str]) -> None:
    """The window speaks the language that is set; commands speak English, their words are an interface."""
    from nomos.cli import COMMANDS

    first = arguments[0] if arguments else ""
    opened = first not in COMMANDS and not first.startswith("-")
    if opened or (first == "demo" and not any(each.startswith("--out") for each in arguments)):
        from nomos.ui import language

        language.choose(language.wanted(language.window_settings()))


def _log_fault() -> Path:
    from nomos.folders import state_folder

    path = state_folder() / "fault.log"
    path.write_text(traceback.format_exc(), "utf-8", errors="replace")
    return path


def _speak_plainly() -> None:
    """A letter that the terminal does not have is shown as another, and nothing fails for it."""
    for stream in (sys.stdout, sys.stderr):
        if isinstance(stream, io.TextIOWrapper):
            stream.reconfigure(errors="replace")


def main() -> int:
    """Run Nomos with the process's arguments; returns the exit status."""
    # Before all else: tables of words are made when their modules are.
    _choose_language(sys.argv[1:])
    from nomos.cli.main import BAD_INPUT, run

    _speak_plainly()
    try:
        status = run(sys.argv[1:], _open_window)
        # A full disk behind a redirection shows only now.
        sys.stdout.flush()
        return status
    except KeyboardInterrupt:
        return 130
    except BrokenPipeError:
        # Whoever read the output has had enough of it; there is nothing left to say it to.
        os.dup2(os.open(os.devnull, os.O_WRONLY), sys.stdout.fileno())
        return 0
    except OSError as error:
        if error.errno not in (errno.ENOSPC, errno.EIO, errno.EDQUOT):
            return _told(error)
        os.dup2(os.open(os.devnull, os.O_WRONLY), sys.stdout.fileno())
        print(f"nomos: the answer could not be written ({error.strerror}).", file=sys.stderr)
        return BAD_INPUT
    except Exception as error:
        return _told(error)


def _told(error: Exception) -> int:
    """A fault of the program, in one line with where the rest is."""
    from nomos.cli.main import FAULT

    where = ""
    with contextlib.suppress(OSError):
        where = f"; details are in {_log_fault()}"
    print(f"nomos: a fault of the program ({error}){where}.", file=sys.stderr)
    return FAULT


if __name__ == "__main__":
    sys.exit(main())
