"""Where the sheet lies in the view: millimetres to screen pixels and back. No Qt here."""

from dataclasses import dataclass, replace

from nomos.base.units import MM_PER_INCH

CLOSEST, FURTHEST = 60.0, 0.15  # screen pixels per mm


@dataclass(frozen=True)
class Viewport:
    """Screen pixels per mm, and the screen position of the sheet's top left corner."""

    scale: float
    x: float
    y: float

    def to_screen(self, x_mm: float, y_mm: float) -> tuple[float, float]:
        """A place on the sheet in screen pixels."""
        return self.x + x_mm * self.scale, self.y + y_mm * self.scale

    def to_sheet(self, x: float, y: float) -> tuple[float, float]:
        """A screen position in mm on the sheet."""
        return (x - self.x) / self.scale, (y - self.y) / self.scale

    def moved(self, dx: float, dy: float) -> "Viewport":
        """Shifted by screen pixels."""
        return replace(self, x=self.x + dx, y=self.y + dy)

    def zoomed(self, scale: float, x: float, y: float) -> "Viewport":
        """At another scale, the place under (x, y) staying where it is."""
        scale = min(max(scale, FURTHEST), CLOSEST)
        x_mm, y_mm = self.to_sheet(x, y)
        return Viewport(scale, x - x_mm * scale, y - y_mm * scale)


def fitted(
    area_mm: tuple[float, float, float, float], view: tuple[int, int], margins: tuple[int, int, int, int]
) -> Viewport:
    """The viewport that shows an area of the sheet (left, top, right, bottom in mm) as large as it goes."""
    left, top, right, bottom = area_mm
    room_x = max(view[0] - margins[0] - margins[2], 40)
    room_y = max(view[1] - margins[1] - margins[3], 40)
    scale = min(room_x / (right - left), room_y / (bottom - top))
    scale = min(max(scale, FURTHEST), CLOSEST)
    x = margins[0] + (room_x - (right - left) * scale) / 2 - left * scale
    y = margins[1] + (room_y - (bottom - top) * scale) / 2 - top * scale
    return Viewport(scale, x, y)


def tick_step(scale: float) -> tuple[float, int]:
    """Ruler ticks for a scale: mm between ticks, and every how many carries a figure."""
    for step, labelled in ((0.5, 10), (1, 10), (2, 5), (5, 10), (10, 5), (20, 5), (50, 4), (100, 5)):
        if step * scale >= 6 and step * labelled * scale >= 48:
            return step, labelled
    return 200, 5


def inch_step(scale: float) -> tuple[float, int]:
    """The same in inches: ticks of sixteenths to whole inches, in mm, and every how many carries a figure."""
    for parts, inches in ((16, 1), (8, 1), (4, 1), (2, 2), (1, 5)):
        step, labelled = MM_PER_INCH / parts, parts * inches
        if step * scale >= 6 and step * labelled * scale >= 48:
            return step, labelled
    return 10 * MM_PER_INCH, 1
