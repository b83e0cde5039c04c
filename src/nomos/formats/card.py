"""A card to draw ink down on: bare paper, a black stripe that the ink runs over, and where to put what."""

from pathlib import Path

from nomos.base.language import tr
from nomos.formats.outputs import write_output
from nomos.formats.pdf import new_canvas
from nomos.formats.typesetting import A4_MM, BOLD, FONT, MM, broken

_STRIPE_MM, _BARS = 24.0, 4
_HOW = tr(
    "Print it on the paper you print on. Draw each ink down in one even film, from the paper over the "
    "stripe. Let it dry. Scan it flat, at 300 dpi, without any correction, and point at: bare paper, a grey "
    "card if there is one, the ink on paper; then the bare stripe and the ink over it."
)


def write_card(path: Path) -> Path:
    """Write the card as PDF, A4 at true size, to be printed on the paper in use. Raises BadInput."""
    write_output(path, card_pdf())
    return path


def card_pdf() -> bytes:
    """Four places for a drawdown across a black stripe, and places for bare paper and a grey card."""
    buffer, canvas = new_canvas(tr("Drawdown card"))
    width, height = (side * MM for side in A4_MM)
    canvas.setPageSize((width, height))
    canvas.setFont(BOLD, 13)
    canvas.drawString(18 * MM, height - 20 * MM, tr("Drawdown card"))
    canvas.setFont(FONT, 9)
    for line, text in enumerate(broken(_HOW, A4_MM[0] - 36, 9)):
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
        canvas.drawString(left, middle - 66 * MM, tr("ink {bar}", bar=bar + 1))
    canvas.rect(18 * MM, 30 * MM, 60 * MM, 30 * MM)
    canvas.drawString(18 * MM, 25 * MM, tr("bare paper: leave it so"))
    canvas.rect(90 * MM, 30 * MM, 60 * MM, 30 * MM)
    canvas.drawString(90 * MM, 25 * MM, tr("a grey card, laid here for the scan"))
    canvas.save()
    return buffer.getvalue()
