"""A card to draw ink down on: bare paper, a black stripe that the ink runs over, and where to put what."""

from io import BytesIO
from pathlib import Path

from nomos import typeface
from nomos.formats.files import writing_into

MM = 72 / 25.4
_PAGE_MM, _STRIPE_MM, _BARS = (210.0, 297.0), 24.0, 4


def write_card(path: Path) -> Path:
    """Write the card as PDF, A4 at true size, to be printed on the paper in use. Raises BadInput."""
    with writing_into(path):
        path.write_bytes(card_pdf())
    return path


def card_pdf() -> bytes:
    """Four places for a drawdown across a black stripe, and places for bare paper and a grey card."""
    from reportlab.pdfbase import pdfmetrics
    from reportlab.pdfbase.ttfonts import TTFont
    from reportlab.pdfgen.canvas import Canvas

    for name, file in (("Lato", typeface.REGULAR), ("Lato-Bold", typeface.BOLD)):
        pdfmetrics.registerFont(TTFont(name, str(file)))
    buffer = BytesIO()
    width, height = (side * MM for side in _PAGE_MM)
    canvas = Canvas(buffer, invariant=1, initialFontName="Lato", pagesize=(width, height))
    canvas.setTitle("Drawdown card")
    canvas.setViewerPreference("PrintScaling", "None")
    canvas.setFont("Lato-Bold", 13)
    canvas.drawString(18 * MM, height - 20 * MM, "Drawdown card")
    canvas.setFont("Lato", 9)
    for line, text in enumerate(
        (
            "Print it on the paper you print on. Draw each ink down in one even film, from the paper over",
            "the stripe. Let it dry. Scan it flat, at 300 dpi, without any correction, and point at: bare",
            "paper, a grey card if there is one, the ink on paper; then the bare stripe and the ink over it.",
        )
    ):
        canvas.drawString(18 * MM, height - (28 + 5 * line) * MM, text)
    middle = height - 130 * MM
    canvas.setFillGray(0)
    canvas.rect(18 * MM, middle - _STRIPE_MM / 2 * MM, width - 36 * MM, _STRIPE_MM * MM, stroke=0, fill=1)
    canvas.setStrokeGray(0.6)
    canvas.setDash(2, 2)
    step = (width - 60 * MM) / _BARS
    for bar in range(_BARS):
        left = 34 * MM + bar * step
        canvas.rect(left, middle - 60 * MM, step - 8 * MM, 120 * MM)
        canvas.drawString(left, middle - 66 * MM, f"ink {bar + 1}")
    canvas.rect(18 * MM, 30 * MM, 60 * MM, 30 * MM)
    canvas.drawString(18 * MM, 25 * MM, "bare paper: leave it so")
    canvas.rect(90 * MM, 30 * MM, 60 * MM, 30 * MM)
    canvas.drawString(90 * MM, 25 * MM, "a grey card, laid here for the scan")
    canvas.save()
    return buffer.getvalue()
