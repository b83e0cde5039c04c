"""The page a telephone sees, in a real browser: a file is chosen, sent, and its row says what came of it."""

import json
import os
import shutil
import subprocess
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from PIL import Image

from nomos.work.door import Arrived, Door

CHROMIUM = shutil.which("chromium") or shutil.which("chromium-browser")


class Browser:
    """Headless Chromium over its debugging pipe (Chrome DevTools Protocol: JSON, ended by a zero)."""

    def __init__(self, home: Path) -> None:
        # It reads at 3 and writes at 4, wherever our own ends lie.
        theirs_in, self._out = os.pipe()
        self._in, theirs_out = os.pipe()
        assert CHROMIUM is not None
        self._process = subprocess.Popen(
            ["bash", "-c", f'exec "$0" "$@" 3<&{theirs_in} 4>&{theirs_out}', CHROMIUM, "--headless=new",
             "--no-sandbox", "--disable-gpu", "--remote-debugging-pipe", "--window-size=390,844",
             f"--user-data-dir={home}", "about:blank"],
            pass_fds=(theirs_in, theirs_out), stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL,
        )  # fmt: skip
        os.close(theirs_in)
        os.close(theirs_out)
        self._said, self._number, self._session = b"", 0, ""
        page = next(t for t in self.ask("Target.getTargets")["targetInfos"] if t["type"] == "page")
        attached = self.ask("Target.attachToTarget", targetId=page["targetId"], flatten=True)
        self._session = attached["sessionId"]

    def ask(self, method: str, **parameters: Any) -> dict[str, Any]:
        """One question and its answer; events in between are passed over."""
        self._number += 1
        message = {"id": self._number, "method": method, "params": parameters}
        if self._session:
            message["sessionId"] = self._session
        os.write(self._out, json.dumps(message).encode() + b"\0")
        while True:
            while b"\0" not in self._said:
                part = os.read(self._in, 1 << 16)
                assert part, "the browser has gone"
                self._said += part
            line, _, self._said = self._said.partition(b"\0")
            answer = json.loads(line)
            if answer.get("id") == self._number:
                assert "error" not in answer, answer
                return dict(answer["result"])

    def value(self, expression: str) -> Any:
        """What an expression comes to on the page, waited for where it is a promise."""
        asked = self.ask("Runtime.evaluate", expression=expression, awaitPromise=True, returnByValue=True)
        return asked["result"].get("value")

    def close(self) -> None:
        """End it."""
        self._process.kill()
        self._process.wait()
        os.close(self._in)
        os.close(self._out)


@pytest.fixture
def browser(tmp_path: Path) -> Iterator[Browser]:
    """A browser as large as a telephone."""
    made = Browser(tmp_path / "browser")
    yield made
    made.close()


@pytest.mark.skipif(CHROMIUM is None, reason="no chromium on this machine")
def test_a_file_is_chosen_and_sent_in_a_browser_as_large_as_a_telephone(browser: Browser, tmp_path: Path) -> None:
    came: list[Arrived] = []

    def take(arrived: Arrived) -> str:
        came.append(arrived)
        return "" if arrived.name.endswith(".png") else "not a picture"

    Image.new("RGB", (40, 30), (200, 30, 30)).save(tmp_path / "Gewächshaus 1.png")
    (tmp_path / "note.txt").write_text("two rolls of tape")
    door = Door("127.0.0.1", take)
    try:
        browser.ask("Page.enable")
        screen = {"width": 390, "height": 844, "deviceScaleFactor": 2, "mobile": True}
        browser.ask("Emulation.setDeviceMetricsOverride", **screen)
        browser.ask("Page.navigate", url=door.address)
        while not browser.value("document.readyState == 'complete' && !!document.getElementById('pictures')"):
            pass
        assert browser.value("document.documentElement.scrollWidth") <= 390
        assert browser.value("parseFloat(getComputedStyle(document.querySelector('label')).fontSize)") >= 20
        assert browser.value("document.querySelector('label').offsetHeight") >= 48
        root = browser.ask("DOM.getDocument")["root"]["nodeId"]
        chooser = browser.ask("DOM.querySelector", nodeId=root, selector="#pictures")["nodeId"]
        files = [str(tmp_path / "Gewächshaus 1.png"), str(tmp_path / "note.txt")]
        browser.ask("DOM.setFileInputFiles", nodeId=chooser, files=files)
        rows = browser.value(
            "new Promise(done => { const look = () => { const rows = [...document.querySelectorAll('li')]"
            ".map(row => row.textContent); rows.length == 2 && !rows.join().includes('…') ? done(rows)"
            " : setTimeout(look, 20); }; look(); })"
        )
    finally:
        door.close()
    assert [arrived.name for arrived in came] == ["Gewächshaus 1.png", "note.txt"]
    assert came[0].data == (tmp_path / "Gewächshaus 1.png").read_bytes()
    assert "note.txt" in rows[0]
    assert "not a picture" in rows[0]
    assert rows[1].startswith("Gewächshaus 1.png: ")
    assert "not" not in rows[1]
