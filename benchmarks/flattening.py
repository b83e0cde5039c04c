"""Flattening a picture of 3508 x 4961 pixels to 8 colours, beside Pillow's quantisers."""

import cv2
import numpy as np
from PIL import Image

from benchmarks.recolouring import HEIGHT, WIDTH
from benchmarks.timing import Line, Section, seconds, side_by_side
from nomos.colour import delta_e00, srgb_to_lab
from nomos.demo import demo_picture
from nomos.design import Picture, flatten, read_picture

COLOURS = 8


def busy_page() -> np.ndarray:
    """The demo sketch enlarged, shaded and with a scanner's noise, so that there is no exact answer."""
    rgb = read_picture(demo_picture(), "glasshouse.png").rgb
    page = cv2.resize(rgb, (WIDTH, HEIGHT), interpolation=cv2.INTER_CUBIC).astype(np.float32)
    y, x = np.mgrid[:HEIGHT, :WIDTH].astype(np.float32)
    shade = 1 + 0.06 * np.sin(x / 400) + 0.05 * np.cos(y / 550)
    noise = np.random.default_rng(6).normal(0, 3, (HEIGHT, WIDTH, 1)).astype(np.float32)
    return np.clip(page * shade[..., None] + noise, 0, 255).astype(np.uint8)


def error(flat: np.ndarray, rgb: np.ndarray) -> float:
    """Mean ΔE00 on every 64th pixel."""
    return float(delta_e00(srgb_to_lab(flat[::8, ::8]), srgb_to_lab(rgb[::8, ::8])).mean())


def measure() -> Section:
    """Time beside Pillow's median cut; error beside the best of Pillow's methods."""
    rgb = busy_page()
    image = Image.fromarray(rgb)
    picture = Picture(rgb, (297.0, 420.0), WIDTH / 297.0)

    def cut(method: Image.Quantize) -> np.ndarray:
        return np.array(image.quantize(COLOURS, method, dither=Image.Dither.NONE).convert("RGB"))

    def ours() -> np.ndarray:
        return flatten(picture, COLOURS, read_as="tones").to_rgb()

    ours_s, pillow_s = side_by_side(ours, lambda: cut(Image.Quantize.MEDIANCUT), repeats=3)
    palette_s = seconds(lambda: flatten(picture, COLOURS, smallest_feature_mm=0, read_as="tones"), repeats=3)
    ours_error = error(ours(), rgb)
    methods = (Image.Quantize.MEDIANCUT, Image.Quantize.MAXCOVERAGE, Image.Quantize.FASTOCTREE)
    errors = {method.name.lower(): error(cut(method), rgb) for method in methods}
    best = min(errors, key=lambda name: errors[name])
    return Section(
        f"Flattening {WIDTH} × {HEIGHT} pixels to {COLOURS} colours",
        (
            Line("Nomos, regions cleaned to 0.8 mm", f"{ours_s:.2f} s", f"mean ΔE00 {ours_error:.2f}"),
            Line("Nomos, no cleaning", f"{palette_s:.2f} s"),
            Line("Pillow, median cut, no cleaning", f"{pillow_s:.2f} s", f"mean ΔE00 {errors['mediancut']:.2f}"),
            Line(f"Pillow's best method ({best})", "", f"mean ΔE00 {errors[best]:.2f}"),
        ),
        "met" if ours_s < pillow_s and ours_error < errors[best] else "missed",
    )
