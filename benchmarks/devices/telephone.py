"""A telephone that posts pictures to the door, well or badly; for tests and demonstrations."""

import http.client
from urllib.parse import quote, urlsplit


class Telephone:
    """Sends to an address as a browser's page does."""

    def __init__(self, address: str) -> None:
        parts = urlsplit(address)
        self.host, self.port, self.path = parts.hostname or "", parts.port or 80, parts.path

    def looks(self, language: str = "en", path: str | None = None) -> tuple[int, str]:
        """Open the page, or another path: status and text."""
        return self._ask("GET", self.path if path is None else path, None, {"Accept-Language": language})

    def sends(
        self, name: str, data: bytes, *, path: str | None = None, method: str = "POST", language: str = "en"
    ) -> tuple[int, str]:
        """Send a picture: status and what is said."""
        return self._ask(
            method, self.path if path is None else path, data, {"X-Name": quote(name), "Accept-Language": language}
        )

    def claims(self, length: str, data: bytes) -> int:
        """Send a body that says another length than it has; the status, 0 where there is no answer."""
        line = http.client.HTTPConnection(self.host, self.port, timeout=5)
        try:
            line.putrequest("POST", self.path)
            line.putheader("Content-Length", length)
            line.endheaders()
            line.send(data)
            return line.getresponse().status
        except (OSError, http.client.HTTPException):
            return 0
        finally:
            line.close()

    def _ask(self, method: str, path: str, body: bytes | None, headers: dict[str, str]) -> tuple[int, str]:
        line = http.client.HTTPConnection(self.host, self.port, timeout=10)
        try:
            line.request(method, path, body, headers)
            answer = line.getresponse()
            return answer.status, answer.read().decode("utf-8", "replace")
        except (OSError, http.client.HTTPException):
            return 0, ""
        finally:
            line.close()
