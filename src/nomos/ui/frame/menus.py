"""The menu: every action by its name and with its key; what cannot be done now is grey and says why."""

from collections.abc import Callable, Mapping, Sequence
from pathlib import Path

from PyQt6.QtGui import QAction
from PyQt6.QtWidgets import QMenu, QMenuBar

from nomos.ui.frame.keyboard import BINDINGS

_LINE = ""
_MENUS: tuple[tuple[str, tuple[tuple[str, str], ...]], ...] = (
    ("&File", (
        ("open", "&Open a sketch or project…"), ("recent", "Open &recent"),
        ("paste", "Begin with a pasted &picture"), (_LINE, ""),
        ("save", "&Save"), ("save as", "Save &as…"), ("variant", "Save as a &variant and go on in it"),
        ("revert", "Go back to what was saved"), ("where", "&Where is my file?"), (_LINE, ""),
        ("packet", "Write the pac&ket…"), ("export", "&Export what the sheet shows…"), (_LINE, ""),
        ("quit", "&Quit"),
    )),
    ("&Edit", (
        ("undo", "&Undo"), ("redo", "&Redo"), (_LINE, ""), ("copy figures", "&Copy the figures as a table"),
        (_LINE, ""), ("preferences", "&Preferences and studio…"),
    )),
    ("&View", (
        ("whole", "&Whole sheet"), ("true", "&True size"), ("closer", "&Closer"),
        ("further", "&Further away"), ("loupe", "&Loupe"), (_LINE, ""),
        ("earlier", "One pull &earlier"), ("later", "One pull l&ater"),
        ("grow", "Watch the sheet &grow"), ("finding", "To the &next finding"), (_LINE, ""),
        ("beside sketch", "Beside the &sketch"), ("beside before", "&Before and after the last change"),
        ("beside saved", "Beside the print as sa&ved"), ("beside file", "Beside the print of another f&ile…"),
        ("beside map", "&Map of where both differ"), ("alone", "&One print alone"),
    )),
    ("&Print", (("print", "&Print at true size…"), ("packet", "Write the pac&ket…"))),
    ("&Help", (
        ("guide", "&Guide to this station"), ("walk", "&Walk through a demo"), ("keys", "&Keys"),
        (_LINE, ""), ("about", "&About Nomos"),
    )),
)  # fmt: skip
_NO_PROJECT = "Open a sketch or a project first."
_OF_PROJECT = (
    "save", "save as", "export", "copy figures", "whole", "true", "closer", "further", "loupe", "earlier",
    "later", "grow", "finding", "beside sketch", "beside before", "beside saved", "beside file",
    "beside map", "alone",
)  # fmt: skip
_NO_FILE = "It has no file yet: save it first."
_NO_BLOCKS = "There are no blocks to print yet, or no room for the system at Register."


class Menus:
    """The window's menus, filled from one table."""

    def __init__(self, bar: QMenuBar, actions: Mapping[str, Callable[[], object]]) -> None:
        keys = {name: some[0] for name, some, _ in BINDINGS}
        self.actions: dict[str, list[QAction]] = {}
        self.recent: QMenu | None = None
        for title, entries in _MENUS:
            menu = bar.addMenu(title)
            assert menu is not None
            menu.setToolTipsVisible(True)
            for name, text in entries:
                if name == _LINE:
                    menu.addSeparator()
                    continue
                if name == "recent":
                    self.recent = menu.addMenu(text)
                    continue
                # The key is bound once, by the window; here it is only shown.
                made = menu.addAction(f"{text}\t{keys[name]}" if name in keys else text)
                assert made is not None
                made.triggered.connect(lambda _on=False, act=actions[name]: act())
                self.actions.setdefault(name, []).append(made)

    def show_can(self, whys: Mapping[str, str]) -> None:
        """Grey what cannot be done, with the reason as its tip. whys : by the action's name."""
        for name, some in self.actions.items():
            for made in some:
                why = whys.get(name, "")
                made.setEnabled(not why)
                made.setToolTip(why or made.text().replace("&", "").split("\t")[0])

    def show_recent(self, paths: Sequence[Path], open_file: Callable[[Path], object]) -> None:
        """The files of late."""
        menu = self.recent
        assert menu is not None
        menu.clear()
        menu.setEnabled(bool(paths))
        for path in paths:
            made = menu.addAction(path.name)
            assert made is not None
            made.setToolTip(str(path))
            made.triggered.connect(lambda _on=False, path=path: open_file(path))


def reasons(
    *, project: bool, path: bool, unsaved: bool, blocks: bool, undo: bool, redo: bool
) -> dict[str, str]:
    """What cannot be done now, by the action's name, and what it lacks."""
    why: dict[str, str] = {}
    if not project:
        why |= dict.fromkeys(_OF_PROJECT, _NO_PROJECT)
    if not blocks:
        why |= dict.fromkeys(("print", "packet"), _NO_BLOCKS)
    if not path:
        why |= dict.fromkeys(("variant", "where", "revert", "beside saved"), _NO_FILE)
    elif not unsaved:
        why["revert"] = "Nothing has changed since it was saved."
    if not undo:
        why["undo"] = "There is nothing to undo."
    if not redo:
        why["redo"] = "There is nothing to do again."
    return why
