"""The Sheets station in the window."""

from nomos.project import Project, Proof
from nomos.ui.frame.sheet_view import Overlay
from nomos.ui.frame.station import Here
from nomos.ui.stations.register.proofs_view import picture_overlay
from nomos.ui.stations.sheets.view import record_view, sheets_view
from nomos.ui.stations.sheets.widget import SheetsStation


class SheetsHere(Here[SheetsStation]):
    """How many sheets?"""

    hint = "Set the edition: the sheets to start with follow."

    def made(self) -> SheetsStation:
        """The widget, wired."""
        made, hand = SheetsStation(), self.hand
        crafter, bencher = hand.crafter, hand.bencher
        made.edition_asked.connect(lambda changes: crafter.set_edition(**changes))
        made.plan_asked.connect(crafter.plan_sheets)
        made.log_asked.connect(crafter.take_from_log)
        made.part_shown.connect(hand.look_again)
        made.chosen_asked.connect(bencher.choose)
        made.number_asked.connect(bencher.number_all)
        made.write_asked.connect(lambda: crafter.write_record(bencher.record()))
        made.picture_asked.connect(self._keep_picture)
        made.compare_asked.connect(bencher.proofs.compare_with)
        made.remark_given.connect(bencher.remark)
        made.anew_asked.connect(bencher.begin_anew)
        return made

    def show(self, project: Project, proof: Proof | None) -> None:
        """Render it."""
        bencher = self.hand.bencher
        record, laid = bencher.record(), bencher.proofs.compared
        how, apart, drift = (laid.how, laid.mean_de00, laid.drift) if laid else ("", None, "")
        self.widget.show_view(
            sheets_view(project, proof, record), record_view(project, record, how, apart, drift)
        )

    def laid_over(self, project: Project) -> Overlay | None:
        """Two proofs beside each other."""
        compared = self.hand.bencher.proofs.compared
        if self.widget.part != "record" or compared is None:
            return None
        return picture_overlay(project, compared.picture, compared.px_per_mm)

    def _keep_picture(self) -> None:
        path = self.hand.files.ask_scan()
        if path is not None:
            self.hand.bencher.proofs.add(path)
