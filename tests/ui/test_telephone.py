"""Pictures arrive by themselves: from a folder that is watched, and from a telephone at the door."""

import threading
from pathlib import Path

import cv2
import numpy as np
from PyQt6.QtGui import QImage
from PyQt6.QtWidgets import QApplication

from benchmarks.devices.telephone import Telephone
from nomos.ui.desk import Desk
from tests.ui.conftest import project_of, settle


def test_a_watched_folder_offers_a_picture_when_it_has_come_whole(desk: Desk, sketch: Path, tmp_path: Path) -> None:
    desk.window.export_actions.telephone()
    dialog = desk.window.export_actions.door
    assert dialog is not None
    dialog.watch(tmp_path / "none")
    assert "cannot be read" in dialog.said.text()
    assert dialog.door is not None
    folder, data = tmp_path / "synchronised", sketch.read_bytes()
    folder.mkdir()
    (folder / "old.png").write_bytes(data)
    dialog.watch(folder)
    assert dialog.door is None
    for size in (len(data) // 3, len(data) // 2, len(data)):
        (folder / "butt.png").write_bytes(data[:size])
        dialog._look_again()
        assert not dialog.files
    dialog._look_again()
    settle(desk)
    assert [path.name for path in dialog.files] == ["butt.png"]
    assert project_of(desk).title == "butt"
    dialog.close()


def test_a_telephone_sends_and_the_picture_is_opened(desk: Desk, sketch: Path) -> None:
    desk.window.export_actions.telephone()
    dialog = desk.window.export_actions.door
    assert dialog is not None
    dialog.open_at("127.0.0.1")
    assert dialog.door is not None
    shown = dialog.code.pixmap().toImage().convertToFormat(QImage.Format.Format_RGB888)
    bits = shown.constBits()
    assert bits is not None
    code = np.frombuffer(bits.asstring(shown.sizeInBytes()), np.uint8).reshape(shown.height(), -1)
    read = cv2.QRCodeDetector().detectAndDecode(code[:, : 3 * shown.width()].reshape(shown.height(), -1, 3))
    assert read[0] == dialog.door.address
    phone = Telephone(dialog.door.address)
    sent: list[tuple[int, str]] = []
    sending = threading.Thread(
        target=lambda: sent.extend([phone.sends("no.jpg", b"no"), phone.sends("butt.png", sketch.read_bytes())])
    )
    sending.start()
    while sending.is_alive():
        QApplication.processEvents()
    settle(desk)
    assert [status for status, _ in sent] == [422, 200]
    assert [path.name for path in dialog.files] == ["butt.png"]
    assert project_of(desk).title == "butt"
    dialog.close()
    assert phone.looks()[0] == 0
