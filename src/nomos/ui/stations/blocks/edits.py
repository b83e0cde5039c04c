"""Edits of blocks, keys, joins and what prints where; plans that are taken."""

from dataclasses import replace
from typing import TYPE_CHECKING, get_args

from nomos.base.language import tr
from nomos.base.progress import Progress
from nomos.project import Project
from nomos.project.blocks.edits import (
    with_block,
    with_drawn,
    with_switch,
)
from nomos.project.blocks.keys import with_contour_key, with_drawn_key, with_shadow_key, without_made_key
from nomos.project.blocks.plans import with_plan
from nomos.project.model.edits import (
    with_fineness,
    with_seam,
    with_tolerance,
    with_trap,
)
from nomos.work.plans import InkSource

if TYPE_CHECKING:
    from nomos.ui.controller import Controller


class BlockEdits:
    """Edits of blocks, keys, joins and what prints where; plans that are taken."""

    def __init__(self, hand: "Controller") -> None:
        self._hand = hand

    def rename_block(self, name: str) -> None:
        """Rename the chosen block."""
        self._hand.on_block(tr("Rename block"), lambda p, block: with_block(p, block, name=name))

    def make_key(self, is_key: bool) -> None:
        """Make the chosen block the key, or a colour block."""
        self._hand.on_block(tr("Change the key"), lambda p, block: with_block(p, block, is_key=is_key))

    def choose_key(self, kind: str) -> None:
        """Choose the kind of key; a drawn one is the line the design has, or else the chosen block."""
        project = self._hand.document.project
        if project is None:
            return
        if kind == "drawn":
            pull = self._hand.state.pull
            chosen, proof = project.impression(pull).block if pull else "", self._hand.keeper.proof

            def drawn(project: Project, _progress: Progress) -> Project:
                lines = proof.drawn_key if proof else None
                own = next(
                    (b.id for b in project.blocks if lines is not None and b.colours == (lines,)), chosen
                )
                return with_drawn_key(project, own)

            self._hand.methods.slowly(tr("Drawn key"), drawn)
        elif kind == "contour":
            self._hand.edit(tr("Contour key"), with_contour_key)
        elif kind == "shadow":
            self._hand.edit(tr("Shadow key"), with_shadow_key)
        else:
            self._hand.edit(tr("No key"), without_made_key)

    def set_contour(self, width_mm: float) -> None:
        """Set the width of the contour key."""
        self._hand.edit(tr("Contour"), lambda p: with_contour_key(p, width_mm), merge_key="contour")

    def set_trap(self, trap_mm: float) -> None:
        """Set the trap."""
        self._hand.edit(tr("Trap"), lambda p: with_trap(p, trap_mm), merge_key="trap")

    def set_seam(self, seam_de00: float) -> None:
        """Set how visible a seam is taken before a gap."""
        self._hand.edit(tr("Seam"), lambda p: with_seam(p, seam_de00), merge_key="seam")

    def set_tolerance(self, tolerance_mm: float) -> None:
        """Set how closely sheets meet blocks."""
        self._hand.edit(tr("Tolerance"), lambda p: with_tolerance(p, tolerance_mm), merge_key="tolerance")

    def set_fineness(self, line_mm: float, tool_mm: float) -> None:
        """Set what is too fine to hold and to cut."""
        self._hand.edit(tr("Fineness"), lambda p: with_fineness(p, line_mm=line_mm, tool_mm=tool_mm))

    def work_out_anew(self) -> None:
        """Undo what was changed by hand on the chosen block."""
        self._hand.on_block(tr("Work out anew"), lambda p, block: with_drawn(p, {block: None}))

    def throw_switch(self, block: str) -> None:
        """Have a block print on the chosen colours, or no longer if it does on all of them."""
        project, colours = self._hand.document.project, self._hand.state.colours
        if project is not None and colours:
            on = not set(colours) <= set(project.block(block).colours)
            self._hand.edit(tr("What prints where"), lambda p: with_switch(p, block, colours, on))

    def ask_inks(self, source: str) -> None:
        """Choose where the inks of plans come from; a shelf is asked for, the studio's is at hand."""
        if source == "studio":
            kept = self._hand.files.studio_file()
            if kept is not None:
                self._hand.planner.ask_shelf(kept, "studio")
            self._hand.shown.emit()
            return
        if source == "shelf":
            path = self._hand.files.ask_shelf()
            if path is not None:
                self._hand.planner.ask_shelf(path)
            self._hand.shown.emit()
            return
        for known in get_args(InkSource):
            if source == known:
                self._hand.planner.ask(replace(self._hand.planner.wanted, source=known))

    def planned(self, key: str) -> Project | None:
        """The project printed by one of the plans found; None where that is gone."""
        found, request = self._hand.planner.found, self._hand.planner.request
        project = self._hand.document.project
        row, place = (int(part) for part in key.split("/"))
        if project is None or found is None or request is None:
            return None
        if row >= len(found.plans) or place >= len(found.plans[row]):
            return None
        return with_plan(project, found.plans[row][place], keep_key=self._hand.planner.keeps_key)

    def take_plan(self, key: str) -> None:
        """Print by one of the plans found."""
        planned = self.planned(key)
        if planned is None:
            return
        self._hand.edit(tr("Take a plan"), lambda _project: planned)
        project = self._hand.document.project
        if project is not None and project.impressions:
            self._hand.choose_pull(project.impressions[0].id)

    def choose_where_meet(self, one: str, other: str) -> None:
        """Choose every flat colour on which two blocks print over each other."""
        project = self._hand.document.project
        if project is None:
            return
        both = sorted(set(project.block(one).colours) & set(project.block(other).colours))
        if both:
            self._hand.set_state(colour=both[0], also=tuple(both[1:]), place=None)
        else:
            names = project.block(one).name, project.block(other).name
            self._hand.told.emit(
                tr(
                    "{names} and {names_2} meet nowhere: no colour is printed by both.",
                    names=names[0],
                    names_2=names[1],
                )
            )
