"""Where the program starts and is wired together: the command line, and the window when it is asked for."""

import gc
import os
import sys
import traceback
from pathlib import Path


def _open_window(path: Path | None, demo: str | None, walk: Path | None) -> int:
    # Nothing made while the program starts is garbage: looking for some takes a tenth of the time.
    gc.disable()
    # Imported only now: a command needs neither Qt nor a display.
    from nomos.ui.start import open_window

    gc.enable()
    return open_window(path, demo=demo, walk=walk)


def _log_fault() -> Path:
    from platformdirs import user_state_path

    folder = user_state_path("nomos", ensure_exists=True)
    path = folder / "fault.log"
    path.write_text(traceback.format_exc(), "utf-8")
    return path


def main() -> int:
    """Run Nomos with the process's arguments; returns the exit status."""
    from nomos.cli.main import FAULT, run

    try:
        return run(sys.argv[1:], _open_window)
    except KeyboardInterrupt:
        return 130
    except BrokenPipeError:
        # Whoever read the output has had enough of it; there is nothing left to say it to.
        os.dup2(os.open(os.devnull, os.O_WRONLY), sys.stdout.fileno())
        return 0
    except Exception as error:
        print(f"nomos: a fault of the program ({error}); details are in {_log_fault()}.", file=sys.stderr)
        return FAULT


if __name__ == "__main__":
    sys.exit(main())
