"""The window in German, the whole of it, in a process of its own: a language is chosen once."""

import json
import subprocess
import sys
from importlib import import_module
from pathlib import Path
from typing import TYPE_CHECKING

from PyQt6.QtCore import QSettings
from PyQt6.QtGui import QPainter
from PyQt6.QtWidgets import QAbstractButton, QApplication, QComboBox, QLabel, QPushButton, QWidget

if TYPE_CHECKING:
    from nomos.project import Assets, Project


def test_no_english_is_left_and_nothing_is_cut_off(tmp_path: Path, demo: "tuple[Project, Assets]") -> None:
    # Imported here: words are chosen where a module is made, and the process that looks is German.
    from nomos.project import save

    save(tmp_path / "glasshouse.nomos", *demo)
    run = subprocess.run(
        [sys.executable, __file__, str(tmp_path)], capture_output=True, text=True, timeout=200, check=False
    )
    assert run.returncode == 0, run.stderr
    found = json.loads(run.stdout.splitlines()[-1])
    assert found["seen"] > 400
    assert found["english"] == []
    assert found["cut off"] == []


def look_through(folder: str) -> dict[str, object]:
    """Every part of every station on the demo, at 1024 x 700: what is English there, what is cut off."""
    from nomos.ui import language

    language.choose("de")
    from nomos.ui.desk import set_up
    from nomos.ui.frame import theme
    from nomos.ui.frame.answers import KNOW
    from nomos.ui.frame.state import STATIONS
    from nomos.ui.walk import settle

    application = QApplication([])
    language.install()
    theme.dress(application, 100, "light")
    desk = set_up(None, QSettings(f"{folder}/window.ini", QSettings.Format.IniFormat))
    window, seen, cut = desk.window, Seen(), list[str]()
    window.resize(1024, 700)
    window.show()
    seen.look(window)
    desk.files.open(Path(folder) / "glasshouse.nomos")
    settle(desk)
    for station in STATIONS:
        window.go_to(station)
        settle(desk)
        seen.look(window)
        if station == "bench":
            continue
        column = window.at(station)
        for part in (*(name for name, _ in import_module(type(column).__module__).PARTS), KNOW):
            column.turn_to(part)
            settle(desk)
            seen.look(window)
            wide = column.area.horizontalScrollBar().maximum()
            narrow = [
                made.text()
                for made in column.findChildren(QPushButton)
                if made.isVisible() and made.width() < made.minimumSizeHint().width()
            ]
            cut += [f"{station}, {part}: {each}" for each in ([f"{wide} px"] if wide else []) + narrow]
    project = desk.document.project
    assert project is not None
    assert project.flat is not None
    own = {colour.name for colour in project.flat.colours}
    desk.document.take_as_saved()
    desk.close()
    assert language._spoken is not None
    others = {message for message, said in language._spoken._words.items() if message and said != message}
    english = sorted((seen.texts & others) - own)
    return {"seen": len(seen.texts), "english": english, "cut off": cut}


class Seen:
    """Texts on controls, on what is drawn by hand, and in what is read aloud."""

    def __init__(self) -> None:
        self.texts: set[str] = set()
        draw = QPainter.drawText

        def noting(painter: QPainter, *given: object) -> object:
            self.texts.update(each for each in given if isinstance(each, str))
            return draw(painter, *given)  # type: ignore[call-overload]

        QPainter.drawText = noting  # type: ignore[method-assign,assignment]

    def look(self, window: QWidget) -> None:
        """Note what the window shows now."""
        window.grab()
        for widget in window.findChildren(QWidget):
            self.texts |= {widget.accessibleName(), widget.toolTip()}
            if isinstance(widget, QAbstractButton | QLabel):
                self.texts.add(widget.text())
            if isinstance(widget, QComboBox):
                self.texts |= {widget.itemText(place) for place in range(widget.count())}


if __name__ == "__main__":
    import os

    os.environ["QT_QPA_PLATFORM"] = "offscreen"
    print(json.dumps(look_through(sys.argv[1])))
