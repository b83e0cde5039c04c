"""Edits of blocks, keys, joins and what prints where; plans that are taken."""

from dataclasses import replace
from pathlib import Path
from typing import Protocol, get_args

from nomos.base.language import tr
from nomos.base.progress import Progress
from nomos.project import Project
from nomos.project.blocks.edits import with_block, with_drawn, with_switch
from nomos.project.blocks.keys import with_contour_key, with_drawn_key, with_shadow_key, without_made_key
from nomos.project.blocks.plans import with_plan
from nomos.ui.frame.editor import Editor
from nomos.ui.frame.keeper import ProofKeeper
from nomos.ui.stations.blocks.method_editor import MethodEditor
from nomos.ui.stations.blocks.planner import Planner
from nomos.work.plans import InkSource


class Shelves(Protocol):
    """Where shelves of ink come from."""

    def studio_file(self) -> Path | None:
        """The studio's inks, if there are any."""
        ...

    def ask_shelf(self) -> Path | None:
        """A shelf the user names."""
        ...


class BlockEditor:
    """Edits of blocks, keys, joins and what prints where; plans that are taken."""

    def __init__(
        self, editor: Editor, keeper: ProofKeeper, shelves: Shelves, planner: Planner, methods: MethodEditor
    ) -> None:
        self._editor, self._keeper, self._shelves = editor, keeper, shelves
        self._planner, self._methods = planner, methods

    def rename_block(self, name: str) -> None:
        """Rename the chosen block."""
        self._editor.on_block(tr("Rename block"), lambda p, block: with_block(p, block, name=name))

    def make_key(self, is_key: bool) -> None:
        """Make the chosen block the key, or a colour block."""
        self._editor.on_block(tr("Change the key"), lambda p, block: with_block(p, block, is_key=is_key))

    def choose_key(self, kind: str) -> None:
        """Choose the kind of key; a drawn one is the line the design has, or else the chosen block."""
        project = self._editor.document.project
        if project is None:
            return
        if kind == "drawn":
            pull = self._editor.state.pull
            chosen, proof = project.impression(pull).block if pull else "", self._keeper.proof

            def drawn(project: Project, _progress: Progress) -> Project:
                lines = proof.drawn_key if proof else None
                own = next((b.id for b in project.blocks if lines is not None and b.colours == (lines,)), chosen)
                return with_drawn_key(project, own)

            self._methods.slowly(tr("Drawn key"), drawn)
        elif kind == "contour":
            self._editor.apply(tr("Contour key"), with_contour_key)
        elif kind == "shadow":
            self._editor.apply(tr("Shadow key"), with_shadow_key)
        else:
            self._editor.apply(tr("No key"), without_made_key)

    def set_contour(self, width_mm: float) -> None:
        """Set the width of the contour key."""
        self._editor.apply(tr("Contour"), lambda p: with_contour_key(p, width_mm), merge_key="contour")

    def work_out_anew(self) -> None:
        """Undo what was changed by hand on the chosen block."""
        self._editor.on_block(tr("Work out anew"), lambda p, block: with_drawn(p, {block: None}))

    def throw_switch(self, block: str) -> None:
        """Have a block print on the chosen colours, or no longer if it does on all of them."""
        project, colours = self._editor.document.project, self._editor.state.colours
        if project is not None and colours:
            on = not set(colours) <= set(project.block(block).colours)
            self._editor.apply(tr("What prints where"), lambda p: with_switch(p, block, colours, on))

    def ask_inks(self, source: str) -> None:
        """Choose where the inks of plans come from; a shelf is asked for, the studio's is at hand."""
        if source == "studio":
            kept = self._shelves.studio_file()
            if kept is not None:
                self._planner.ask_shelf(kept, "studio")
            self._editor.state_changed.emit()
            return
        if source == "shelf":
            path = self._shelves.ask_shelf()
            if path is not None:
                self._planner.ask_shelf(path)
            self._editor.state_changed.emit()
            return
        for known in get_args(InkSource):
            if source == known:
                self._planner.ask(replace(self._planner.wanted, source=known))

    def planned(self, key: str) -> Project | None:
        """The project printed by one of the plans found; None where that is gone."""
        found, request = self._planner.found, self._planner.request
        project = self._editor.document.project
        row, place = (int(part) for part in key.split("/"))
        if project is None or found is None or request is None:
            return None
        if row >= len(found.plans) or place >= len(found.plans[row]):
            return None
        return with_plan(project, found.plans[row][place], keep_key=self._planner.keeps_key)

    def take_plan(self, key: str) -> None:
        """Print by one of the plans found."""
        planned = self.planned(key)
        if planned is None:
            return
        self._editor.apply(tr("Take a plan"), lambda _project: planned)
        project = self._editor.document.project
        if project is not None and project.impressions:
            self._editor.set_state(pull=project.impressions[0].id, zone=0, paper_chosen=False)

    def choose_where_meet(self, one: str, other: str) -> None:
        """Choose every flat colour on which two blocks print over each other."""
        project = self._editor.document.project
        if project is None:
            return
        both = sorted(set(project.block(one).colours) & set(project.block(other).colours))
        if both:
            self._editor.set_state(colour=both[0], also=tuple(both[1:]), place=None)
        else:
            names = project.block(one).name, project.block(other).name
            self._editor.message.emit(
                tr(
                    "{names} and {names_2} meet nowhere: no colour is printed by both.",
                    names=names[0],
                    names_2=names[1],
                )
            )
