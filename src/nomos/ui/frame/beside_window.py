"""Waiting for what must be done before anything else, while the window goes on being drawn."""

import threading
from collections.abc import Callable
from concurrent.futures import Future
from typing import TypeVar

from PyQt6.QtCore import QEventLoop, QTimer

T = TypeVar("T")

# What is quicker than this is waited for as it is; the window is looked after so often while it is not.
_QUICK_S, _LOOK_MS = 0.03, 15


def done_beside(work: Callable[[], T]) -> T:
    """What some work gives, done in a thread of its own. Raises what it raises.

    The window is drawn and told of what has come meanwhile; keys and clicks wait.
    """
    future = Future[T]()

    def run() -> None:
        try:
            future.set_result(work())
        except BaseException as error:  # raised again where it is waited for
            future.set_exception(error)

    thread = threading.Thread(target=run, name="beside", daemon=True)
    thread.start()
    thread.join(_QUICK_S)
    if thread.is_alive():
        loop, look = QEventLoop(), QTimer()
        look.timeout.connect(lambda: None if thread.is_alive() else loop.quit())
        look.start(_LOOK_MS)
        loop.exec(QEventLoop.ProcessEventsFlag.ExcludeUserInputEvents)
        look.stop()
    thread.join()
    return future.result()
