"""The menu: every action by its name and with its key; what cannot be done now is grey and says why."""

from collections.abc import Callable, Mapping, Sequence
from pathlib import Path

from PyQt6.QtGui import QAction
from PyQt6.QtWidgets import QMenu, QMenuBar

from nomos.base.language import tr
from nomos.ui.frame.keyboard import BINDINGS
from nomos.ui.frame.plain_text import set_tip

_LINE = ""
_MENUS: tuple[tuple[str, tuple[tuple[str, str], ...]], ...] = (
    (tr("&File"), (
        ("open", tr("&Open a sketch or project…")), ("recent", tr("Open &recent")),
        ("telephone", tr("From the &telephone…")), ("paste", tr("Begin with a pasted &picture")), (_LINE, ""),
        ("save", tr("&Save")), ("save as", tr("Save &as…")),
        ("variant", tr("Save as a &variant and go on in it")),
        ("revert", tr("Go back to what was saved")), ("where", tr("&Where is my file?")), (_LINE, ""),
        ("packet", tr("Write the pac&ket…")), ("export", tr("&Export what the sheet shows…")), (_LINE, ""),
        ("quit", tr("&Quit")),
    )),
    (tr("&Edit"), (
        ("undo", tr("&Undo")), ("redo", tr("&Redo")), (_LINE, ""), ("copy figures",
        tr("&Copy the figures as a table")), ("copy picture", tr("Copy the &picture")),
        (_LINE, ""), ("find", tr("&Find a setting…")), ("preferences", tr("&Preferences and studio…")),
    )),
    (tr("&View"), (
        ("whole", tr("&Whole sheet")), ("true", tr("&True size")), ("closer", tr("&Closer")),
        ("further", tr("&Further away")), ("loupe", tr("&Loupe")), (_LINE, ""),
        ("earlier", tr("One pull &earlier")), ("later", tr("One pull l&ater")),
        ("grow", tr("Watch the sheet &grow")), ("finding", tr("To the &next finding")), (_LINE, ""),
        ("beside sketch", tr("Beside the &sketch")), ("beside before",
        tr("&Before and after the last change")),
        ("beside saved", tr("Beside the print as sa&ved")), ("beside file",
        tr("Beside the print of another f&ile…")),
        ("beside map", tr("&Map of where both differ")), ("alone", tr("&One print alone")), (_LINE, ""),
        ("full screen", tr("F&ull screen")),
    )),
    (tr("&Print"), (("print", tr("&Print at true size…")), ("packet", tr("Write the pac&ket…")))),
    (tr("&Help"), (
        ("guide", tr("&Guide to this station")), ("walk", tr("&Walk through a demo")), ("keys", tr("&Keys")),
        (_LINE, ""), ("about", tr("&About Nomos")),
    )),
)  # fmt: skip
_NO_PROJECT = tr("Open a sketch or a project first.")
_OF_PROJECT = (
    "save", "save as", "export", "copy figures", "copy picture", "find", "whole", "true", "closer", "further",
    "loupe", "earlier", "later", "grow", "finding", "beside sketch", "beside before", "beside saved",
    "beside file", "beside map", "alone",
)  # fmt: skip
_NO_FILE = tr("It has no file yet: save it first.")
_NO_BLOCKS = tr("There are no blocks to print yet, or no room for the system at Register.")


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
                set_tip(made, why or made.text().replace("&", "").split("\t")[0])

    def show_recent(self, paths: Sequence[Path], open_file: Callable[[Path], object]) -> None:
        """The files of late."""
        menu = self.recent
        assert menu is not None
        menu.clear()
        menu.setEnabled(bool(paths))
        for path in paths:
            made = menu.addAction(path.name)
            assert made is not None
            set_tip(made, str(path))
            made.triggered.connect(lambda _on=False, path=path: open_file(path))


def reasons(*, project: bool, path: bool, unsaved: bool, blocks: bool, undo: bool, redo: bool) -> dict[str, str]:
    """What cannot be done now, by the action's name, and what it lacks."""
    why: dict[str, str] = {}
    if not project:
        why |= dict.fromkeys(_OF_PROJECT, _NO_PROJECT)
    if not blocks:
        why |= dict.fromkeys(("print", "packet"), _NO_BLOCKS)
    if not path:
        why |= dict.fromkeys(("variant", "where", "revert", "beside saved"), _NO_FILE)
    elif not unsaved:
        why["revert"] = tr("Nothing has changed since it was saved.")
    if not undo:
        why["undo"] = tr("There is nothing to undo.")
    if not redo:
        why["redo"] = tr("There is nothing to do again.")
    return why
