"""Where the program starts and is wired together: the command line, and the window when it is asked for."""

import contextlib
import errno
import io
import os
import signal
import sys
import traceback
from pathlib import Path

from nomos.base.language import visible
from nomos.base.process import leave_garbage


def _open_window(path: Path | None, demo: str | None, walk: Path | None) -> int:
    # The window collects its own from then on.
    leave_garbage()
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
    from nomos.base.folders import state_folder

    path = state_folder() / "fault.log"
    path.write_text(traceback.format_exc(), "utf-8", errors="replace")
    return path


class _Visible(io.TextIOWrapper):
    """Standard output on which a name cannot move the terminal's writing about."""

    def write(self, text: str) -> int:
        super().write(visible(text))
        return len(text)


def _speak_plainly() -> None:
    """A letter that the terminal does not have is shown as another, and nothing fails for it."""
    for name in ("stdout", "stderr"):
        stream = getattr(sys, name)
        if stream is None:
            # It was closed before the program began: nobody hears what is said.
            setattr(sys, name, open(os.devnull, "w", encoding="utf-8"))  # noqa: SIM115 - until the end
        elif isinstance(stream, io.TextIOWrapper):
            lines, encoding = stream.line_buffering, stream.encoding
            made = _Visible(stream.detach(), encoding=encoding, errors="replace", line_buffering=lines)
            setattr(sys, name, made)


# A file manager asks for pictures of whatever lies in a folder: a file made to be large ends the command, not
# the desktop. Address space, of which libraries map three times what they use.
_THUMBNAIL_BYTES, _THUMBNAIL_S = 3_000_000_000, 15


class StoppedError(BaseException):
    """A signal has asked a command to end; what it had begun to write is cleared away on the way out."""

    def __init__(self, number: int) -> None:
        super().__init__(number)
        self.number = number


def _end_on_signals() -> None:
    """A command that is stopped ends by an exception, so that it clears up; the window has its own way."""

    def stop(number: int, _frame: object) -> None:
        # Once is enough: a second one ends it as it is.
        signal.signal(number, signal.SIG_DFL)
        raise StoppedError(number)

    for number in (signal.SIGTERM, signal.SIGHUP, signal.SIGINT):
        # One that is ignored stays so, as under nohup.
        if signal.getsignal(number) is not signal.SIG_IGN:
            signal.signal(number, stop)


def main() -> int:
    """Run Nomos as this process, with its arguments, signals and output; returns the exit status."""
    # Before all else: tables of words are made when their modules are.
    _choose_language(sys.argv[1:])
    _speak_plainly()
    _end_on_signals()
    if sys.argv[1:2] == ["thumbnail"]:
        from nomos.base.process import limit_this_process

        limit_this_process(_THUMBNAIL_BYTES, _THUMBNAIL_S)
    return answer(sys.argv[1:])


def answer(arguments: list[str]) -> int:
    """Do what the arguments say; whatever comes, it is said in a line. Returns the exit status."""
    from nomos.cli.main import BAD_INPUT, run

    try:
        status = run(arguments, _open_window)
        # A full disk behind a redirection shows only now.
        sys.stdout.flush()
        return status
    except StoppedError as stopped:
        said = "nomos: stopped before it was done; what is not finished was not put in place."
        print(said, file=sys.stderr)
        return 128 + stopped.number
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
