"""Edits of the chosen ink, or of the paper, and how the print is looked at."""

from nomos.base.language import tr
from nomos.colour import Lab, Opacity
from nomos.colour.light import Eyes, Light
from nomos.project.inks.edits import with_ink, with_strength
from nomos.project.model.edits import with_paper
from nomos.ui.frame.editor import Editor


class InkEditor:
    """Edits of the chosen ink, or of the paper, and how the print is looked at."""

    def __init__(self, editor: Editor) -> None:
        self._editor = editor

    def rename_ink(self, name: str) -> None:
        """Rename the chosen ink, or the paper."""
        if self._editor.state.paper_chosen:
            self._editor.apply(tr("Rename paper"), lambda p: with_paper(p, name=name))
            return
        self._editor.on_ink(tr("Rename ink"), lambda p, ink: with_ink(p, ink, name=name))

    def recolour_ink(self, lab: Lab, gesture: int) -> None:
        """Change the colour of the chosen ink, or of the paper."""
        if self._editor.state.paper_chosen:
            self._editor.apply(tr("Paper colour"), lambda p: with_paper(p, lab=lab), merge_key=("paper", gesture))
            return
        self._editor.on_ink(tr("Ink colour"), lambda p, ink: with_ink(p, ink, lab=lab), ("ink", gesture))

    def set_opacity(self, opacity: Opacity) -> None:
        """Change the opacity of the chosen ink."""
        self._editor.on_ink(tr("Opacity"), lambda p, ink: with_ink(p, ink, opacity=opacity))

    def set_strength(self, strength: float, gesture: int) -> None:
        """Change how strongly the chosen impression is inked."""
        self._editor.on_pull(
            tr("Strength"),
            lambda p, pull: with_strength(p, pull, strength, self._editor.state.zone),
            ("strength", self._editor.state.pull, self._editor.state.zone, gesture),
        )

    def look_in(self, light: Light) -> None:
        """Look at the print in another light."""
        self._editor.set_state(light=light, shown="print")

    def look_with(self, eyes: Eyes) -> None:
        """Look at the print as other eyes do, or in grey."""
        self._editor.set_state(eyes=eyes, shown="print")

    def look_wet(self, wet: bool) -> None:
        """Look at the print while it is wet, or dry."""
        self._editor.set_state(wet_look=wet, shown="print")
