"""The door for a telephone: one page on the local network, one address nobody guesses, pictures come in.

It stands while a dialog is open. Nothing leaves the local network; the page has no script from elsewhere.
"""

import contextlib
import secrets
import socket
import threading
from collections.abc import Callable, Mapping
from dataclasses import dataclass
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer
from pathlib import Path, PurePosixPath, PureWindowsPath
from types import MappingProxyType
from urllib.parse import unquote

from nomos.base.errors import BadInput
from nomos.base.language import Lookup, speaking, tr
from nomos.work.door_page import language_of, page

MOST_BYTES = 60_000_000
_TIMEOUT_S = 20.0
_CHUNK = 1 << 16
_NAME_MOST = 60


@dataclass(frozen=True)
class Arrived:
    """A picture that a telephone sent: its bare name and its bytes."""

    name: str
    data: bytes


class Door:
    """A server for one telephone at a time, at an address with an unguessable part."""

    def __init__(
        self, host: str, arrived: Callable[[Arrived], str], lookups: Mapping[str, Lookup | None] = MappingProxyType({}),
    ) -> None:  # fmt: skip
        """Open it.

        Parameters
        ----------
        host : the address of this machine that it listens at.
        arrived : takes a picture, on a thread of the door's, and says why it is refused, "" if it is not.
        lookups : of languages that a telephone may speak; it is refused in its own where that is among them.

        Raises
        ------
        BadInput : nothing can listen there.
        """
        self.token = secrets.token_urlsafe(12)
        self.arrived, self.lookups = arrived, lookups
        self.one = threading.Lock()
        """Held while a picture comes: one at a time."""
        handler = type("_Bound", (_Handler,), {"door": self})
        try:
            self._server = ThreadingHTTPServer((host, 0), handler)
        except OSError as error:
            raise BadInput(
                tr("No door can be opened at {host} ({what}): choose another address.", host=host, what=error.strerror)
            ) from None
        self._server.daemon_threads = True
        self.port = int(self._server.server_address[1])
        self.address = f"http://{host}:{self.port}/{self.token}"
        self._thread = threading.Thread(target=self._server.serve_forever, args=(0.1,), daemon=True)
        self._thread.start()

    def close(self) -> None:
        """Shut it; what is on its way is dropped."""
        self._server.shutdown()
        self._server.server_close()
        self._thread.join(2.0)

    def words(self, accepted: str) -> bytes:
        """The page, in the telephone's language where it is known."""
        return page(f"/{self.token}", accepted)


class _Handler(BaseHTTPRequestHandler):
    """Answers one address, with one page and one way to send; everything else with as little as may be."""

    door: Door
    timeout = _TIMEOUT_S
    server_version, sys_version = "Nomos", ""
    protocol_version = "HTTP/1.1"

    def do_GET(self) -> None:
        """The page."""
        if self._path() != f"/{self.door.token}":
            self._answer(404, b"")
            return
        self._answer(200, self.door.words(self.headers.get("Accept-Language", "")), "text/html; charset=utf-8")

    def do_POST(self) -> None:
        """A picture: its bytes are the body, its name a header. Nothing of it is kept where it is refused."""
        language = language_of(self.headers.get("Accept-Language", ""))
        known = language in self.door.lookups
        with speaking(self.door.lookups[language]) if known else contextlib.nullcontext():
            self._take()

    def _take(self) -> None:
        if self._path() != f"/{self.door.token}":
            self._answer(404, b"")
            return
        try:
            length = int(self.headers.get("Content-Length", ""))
        except ValueError:
            self._answer(411, tr("The picture does not say how large it is.").encode())
            return
        if not 0 < length <= MOST_BYTES:
            said = tr("A picture may have up to {most} MB.", most=MOST_BYTES // 1_000_000)
            self._answer(413, said.encode())
            return
        if not self.door.one.acquire(timeout=_TIMEOUT_S):
            self._answer(503, tr("Another picture is still coming: send it once more.").encode())
            return
        try:
            data = self._body(length)
            if data is None:
                self.close_connection = True
                return
            refused = self.door.arrived(Arrived(bare_name(unquote(self.headers.get("X-Name", ""))), data))
        finally:
            self.door.one.release()
        self._answer(422 if refused else 200, (refused or tr("It has arrived.")).encode())

    def _path(self) -> str:
        return self.path.partition("?")[0]

    def _body(self, length: int) -> bytes | None:
        """So many bytes, or None where they do not come."""
        parts, left = [], length
        try:
            while left:
                part = self.rfile.read(min(left, _CHUNK))
                if not part:
                    return None
                parts.append(part)
                left -= len(part)
        except OSError:
            return None
        return b"".join(parts)

    def _answer(self, status: int, body: bytes, kind: str = "text/plain; charset=utf-8") -> None:
        self.send_response(status)
        self.send_header("Content-Type", kind)
        self.send_header("Content-Length", str(len(body)))
        self.send_header("Cache-Control", "no-store")
        self.send_header(
            "Content-Security-Policy",
            "default-src 'none'; style-src 'unsafe-inline'; script-src 'unsafe-inline'; connect-src 'self'; "
            "img-src blob:",
        )
        if status >= 400:
            # What is still coming is not read.
            self.send_header("Connection", "close")
            self.close_connection = True
        self.end_headers()
        self.wfile.write(body)

    def log_message(self, *_args: object) -> None:
        """Nothing is written down: the address is a secret."""


def bare_name(name: str) -> str:
    """The last part of a name that a telephone gave, with nothing that leads elsewhere."""
    last = PureWindowsPath(PurePosixPath(name.replace("\0", "")).name).name.strip(". ")
    kept = "".join(letter for letter in last if letter.isprintable() and letter not in '<>:"/\\|?*')
    stem, suffix = Path(kept or "picture").stem[:_NAME_MOST], Path(kept).suffix[:8]
    return f"{stem or 'picture'}{suffix}"


def own_addresses() -> tuple[str, ...]:
    """This machine's addresses on local networks, the one that leads outward first; loopback at the least."""
    found = []
    with socket.socket(socket.AF_INET, socket.SOCK_DGRAM) as probe, contextlib.suppress(OSError):
        # Nothing is sent: the system only says from where it would be (an address of RFC 5737).
        probe.connect(("192.0.2.1", 9))
        found.append(probe.getsockname()[0])
    with contextlib.suppress(OSError):
        found += [each[4][0] for each in socket.getaddrinfo(socket.gethostname(), None, socket.AF_INET)]
    return tuple(str(each) for each in dict.fromkeys([*found, "127.0.0.1"]))
