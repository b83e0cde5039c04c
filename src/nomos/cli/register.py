"""The commands about registration: kento, marks."""

import argparse
from pathlib import Path
from typing import TYPE_CHECKING, Any

from nomos.cli.common import print_json
from nomos.errors import BadInput

if TYPE_CHECKING:
    from nomos.formats.marksheet import MarkSheet
    from nomos.registration import Contacts, MarkFit, WallChange

DONE = 0
# What the checks call in register, when the printmaker says nothing (chosen by us).
_TOLERANCE_MM = 0.2


def add_commands(commands: Any) -> None:
    """Add the commands to the program's."""
    kento = commands.add_parser("kento", help="where the notches go, on the sheet and on the block")
    kento.add_argument("--sheet-mm", required=True, metavar="WxH")
    kento.add_argument("--image-mm", required=True, metavar="WxH")
    kento.add_argument(
        "--margin-mm", nargs="+", type=float, metavar="M",
        help="left and top of the image (one figure: both); left, top, right, bottom; default centred",
    )  # fmt: skip
    kento.add_argument("--hand", choices=("right", "left"), default="right", help="the printer's hand")
    kento.add_argument("--side", choices=("long", "short"), help="the sheet's side along the notches")
    kento.add_argument("--depth-mm", type=float, metavar="D", help="default 1 mm, or more for thick paper")
    kento.add_argument("--paper-mm", type=float, metavar="T", help="thickness of the paper")
    kento.add_argument("--json", action="store_true", help="one JSON object")
    kento.set_defaults(run=_kento)

    marks = commands.add_parser("marks", help="from marks on a proof to what to glue or pare")
    marks.add_argument("file", type=Path, metavar="FILE.csv")
    marks.add_argument(
        "--sheet-mm", metavar="WxH", help="the sheet; default: as far beyond the marks on both sides"
    )
    marks.add_argument("--hand", choices=("right", "left"), default="right", help="the printer's hand")
    marks.add_argument("--tolerance-mm", type=float, default=_TOLERANCE_MM, metavar="T")
    marks.add_argument(
        "--uncut", action="append", default=[], metavar="BLOCK", help="a block not cut yet: move its transfer"
    )
    marks.add_argument("--json", action="store_true", help="one JSON object")
    marks.set_defaults(run=_marks)


def _kento(options: argparse.Namespace) -> int:
    from nomos.formats.packet import kento_figures
    from nomos.registration import KentoSettings, depth_for, place_along, place_kento
    from nomos.units import parse_size

    sheet, size = parse_size(options.sheet_mm), parse_size(options.image_mm)
    image = _image(sheet, size, options.margin_mm)
    depth = options.depth_mm if options.depth_mm is not None else depth_for(options.paper_mm)
    settings = KentoSettings(hand=options.hand, depth_mm=depth)
    if options.side:
        kento = place_along(sheet, image, settings, options.side)
    else:
        kento = place_kento(sheet, image, settings)
    figures = {"hand": options.hand, "sheet_mm": list(sheet), **kento_figures(kento)}
    figures["image_on_sheet_mm"] = [image.left, image.top, image.right, image.bottom]
    if options.json:
        print_json(figures)
        return DONE
    print(f"block {kento.block.width:g} x {kento.block.height:g} mm, notches {kento.depth_mm:g} mm deep")
    for notch in (kento.corner, kento.straight):
        print(f"  {notch.name}")
        for place, points in (("sheet", notch.wall), ("block", tuple(map(kento.on_block, notch.wall)))):
            print(f"    wall on the {place}: " + "  ".join(f"{x:.1f}, {y:.1f}" for x, y in points) + " mm")
    near, side = kento.wood_beyond_mm
    print(f"wood beyond the walls: {near:.1f} mm at the near edge, {side:.1f} mm at the corner side")
    near, side = kento.floor_to_image_mm
    print(f"from the notches to the image: {near:.1f} mm at the near edge, {side:.1f} mm at the corner side")
    return DONE


def _image(sheet: tuple[float, float], size: tuple[float, float], margins: list[float] | None) -> Any:
    """Where the image lies. Raises BadInput for margins that do not fit."""
    from nomos.registration import Rect

    spare = sheet[0] - size[0], sheet[1] - size[1]
    given = margins or [spare[0] / 2, spare[1] / 2]
    if len(given) not in (1, 2, 4):
        raise BadInput("--margin-mm takes one figure, two (left, top) or four (left, top, right, bottom).")
    left, top = (given * 2)[:2]
    if len(given) == 4 and max(abs(left + given[2] - spare[0]), abs(top + given[3] - spare[1])) > 0.05:
        raise BadInput(
            f"Image and margins make {size[0] + left + given[2]:g} x {size[1] + top + given[3]:g} mm, "
            f"and the sheet is {sheet[0]:g} x {sheet[1]:g} mm: give left and top alone, or all four to fit."
        )
    return Rect(left, top, left + size[0], top + size[1])


def _marks(options: argparse.Namespace) -> int:
    import numpy as np

    from nomos.formats.marksheet import read_marks
    from nomos.registration import MarksError, fit_marks, together, wall_change

    sheets = read_marks(options.file)
    if not options.tolerance_mm > 0:
        raise BadInput("--tolerance-mm must be more than 0.")
    unknown = [name for name in options.uncut if name not in sheets]
    if unknown:
        raise BadInput(f"No block is called '{unknown[0]}'; {options.file.name} has {', '.join(sheets)}.")
    contacts, assumed = _contacts(options, sheets)
    fits = {}
    for name, sheet in sheets.items():
        try:
            fits[name] = fit_marks(np.array(sheet.expected_mm), np.array(sheet.measured_mm))
        except MarksError as error:
            raise MarksError(f"{name}: {error}") from None
    alone = {name: wall_change(fit.motion, contacts) for name, fit in fits.items()}
    shared = together(alone, options.uncut) if len(alone) > 1 else {}
    figures = {}
    for name, fit in fits.items():
        figures[name] = _figures(sheets[name], fit, alone[name], contacts, options.tolerance_mm)
        figures[name]["advice"] = _advice(name, sheets[name], fit, alone, shared, options)
        if name in shared:
            figures[name]["kento_together"] = _walls(shared[name])
    if options.json:
        print_json({"blocks": figures, "sheet_assumed_mm": assumed} if assumed else {"blocks": figures})
        return DONE
    for name, figure in figures.items():
        print(
            f"{name}: {figure['dx_mm']:+.2f} mm to the right, {figure['dy_mm']:+.2f} mm down, "
            f"turned {figure['rotation_deg']:+.3f} deg, marks fit to {figure['residual_rms_mm']:.2f} mm"
        )
        for line in figure["advice"]:
            print(f"  {line}")
    return DONE


def _contacts(
    options: argparse.Namespace, sheets: dict[str, "MarkSheet"]
) -> tuple["Contacts", list[float] | None]:
    """Where the sheet meets the notches; without the sheet's size, margins alike on both sides."""
    from nomos.registration import Contacts
    from nomos.units import parse_size

    if options.sheet_mm:
        return Contacts.of_sheet(parse_size(options.sheet_mm), options.hand), None
    xs, ys = zip(*(place for sheet in sheets.values() for place in sheet.expected_mm), strict=True)
    width, height = max(xs) + max(min(xs), 0.0), max(ys) + max(min(ys), 0.0)
    size = max(width, 50.0), max(height, 50.0)
    return Contacts.of_sheet(size, options.hand), [round(side, 2) for side in size]


def _walls(change: "WallChange") -> dict[str, float]:
    return {
        "corner_side_mm": round(change.corner_side_mm, 3) + 0.0,
        "corner_base_mm": round(change.corner_base_mm, 3) + 0.0,
        "straight_base_mm": round(change.straight_base_mm, 3) + 0.0,
    }


def _figures(
    sheet: "MarkSheet", fit: "MarkFit", change: "WallChange", contacts: "Contacts", tolerance_mm: float
) -> dict[str, Any]:
    import numpy as np

    from nomos.registration import after_change

    motion = fit.motion
    places = np.array(sheet.expected_mm)

    def worst(after: Any) -> float:
        return round(float(np.hypot(*(after.moved(places) - places).T).max()), 3)

    stretch, sigma = motion.stretch, fit.sigma_stretch
    return {
        "dx_mm": round(motion.shift_mm[0], 4) + 0.0,
        "dy_mm": round(motion.shift_mm[1], 4) + 0.0,
        "rotation_deg": round(motion.rotation_deg, 4) + 0.0,
        "stretch_x_pct": None if stretch is None else round(stretch[0] * 100, 4) + 0.0,
        "stretch_y_pct": None if stretch is None else round(stretch[1] * 100, 4) + 0.0,
        "residual_rms_mm": round(fit.residual_rms_mm, 4),
        "sigma": {
            "shift_mm": round(fit.sigma_shift_mm, 4),
            "rotation_deg": round(fit.sigma_rotation_deg, 4),
            "stretch_pct": None if sigma is None else [round(value * 100, 4) for value in sigma],
        },
        "worst_mm": worst(motion),
        "worst_after_mm": worst(after_change(motion, change, contacts)),
        "in_register": worst(motion) <= tolerance_mm,
        "kento": _walls(change),
    }


def _advice(
    name: str,
    sheet: "MarkSheet",
    fit: "MarkFit",
    alone: dict[str, "WallChange"],
    shared: dict[str, "WallChange"],
    options: argparse.Namespace,
) -> list[str]:
    """What to do at this block, plainest first."""
    import numpy as np

    from nomos.registration import change_text, stretch_advice

    motion = fit.motion
    said = [
        f"{sheet.names[place]} does not fit the other marks: read it again before anything is cut."
        for place in fit.doubtful
    ]
    places = np.array(sheet.expected_mm)
    reach = np.abs(places - motion.centre_mm).max(axis=0)
    if float(np.hypot(*(motion.moved(places) - places).T).max()) <= options.tolerance_mm:
        said.append(f"In register within {options.tolerance_mm:g} mm at every mark: leave it.")
    elif name in options.uncut:
        dx, dy = -motion.shift_mm[0], -motion.shift_mm[1]
        said.append(
            f"Not cut yet: move its transfer by {dx:+.2f} mm to the right and {dy:+.2f} mm down as seen on "
            f"the print, and turn it by {-motion.rotation_deg:+.2f} degrees from x towards y."
        )
    else:
        change = shared.get(name, alone[name])
        said += change_text(change)
        if len(shared) > 1 and not change_text(change):
            said.append("Leave this block; the others are brought to it.")
        if change.pares:
            said.append(
                "What is pared cannot be put back: if other blocks print with this one, gluing the same "
                "onto them does as well."
            )
    return said + stretch_advice(motion, (float(reach[0]), float(reach[1])), options.tolerance_mm)
