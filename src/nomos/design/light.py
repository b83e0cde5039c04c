"""Evening out the light of a photograph: the paper's own brightness and tint over the page, divided out."""

from dataclasses import dataclass, replace
from itertools import combinations_with_replacement

import numpy as np
from numpy.typing import NDArray

from nomos.colour import Lab, srgb_to_lab
from nomos.colour.cielab import srgb_decode, srgb_encode
from nomos.design.page import Rgb

Linear = NDArray[np.float32]

# The field is fitted on a page of this many pixels along its longer side: light varies slowly.
_SMALL = 160
_RING = 0.035
_ROUNDS = 14
# A pixel within this of the fitted field, in natural log of linear light, is paper.
_NEAR = 0.05
_RIDGE = 1e-3
# Where the paper comes to stand, linear; L* 94, a white relief paper (chosen by us).
PAPER_WHITE = 0.86
# Light that varies less than this over the page is even, and nothing is changed (chosen by us: one
# step of lightness in twenty is hardly seen).
_EVEN = 0.05
# No lamp on a table makes one place so much brighter than another; more is a shadow or another paper.
_BOUND = 1.4
# The tint of light drifts by no more than this over a page, natural log of a channel over the mean.
_MOST_DRIFT = 0.3
# The least share of a page that must show paper for its light to be judged.
_LEAST_PAPER = 0.02
_LEAST_RING = 0.45
_LEAST_WHITE = 0.16
# The light of a lamp gives red so much more than blue, natural log (chosen by us).
_MOST_CAST = 0.85
_MOST_CHROMA = 38.0
# A margin so much darker than the whitest on it, natural log, or so strongly coloured, is no white paper in a
# lamp's light.
_DARK_MARGIN, _TINTED = 0.3, 34.0
# A shadow takes this much of the light, in natural log, without changing its tint by more than this,
# and lies over this share of the sheet's edge.
_LEAST_SHADOW, _MOST_SHADOW, _SAME_TINT, _SHADOW_RING = 0.12, 1.0, 0.13, 0.05
_SHARPNESS = tuple(0.05 * 1.35**step for step in range(16))


@dataclass(frozen=True, eq=False)
class Light:
    """The light on a page.

    gain : (rows, columns, 3) float32 at low resolution, what linear light is multiplied by; None where
        the light was even and nothing is changed.
    paper_share : of the page that shows bare paper, 0 where none was recognised.
    uneven : how far the light varied, the brightest place over the darkest, less one.
    shadow : share of the page whose light is still not explained: a shadow that could not be taken out.
    paper : CIELAB of the paper once evened out; None where none was recognised.
    tinted : the paper is no white one: it keeps its own colour, as the camera saw it.
    """

    gain: Linear | None
    paper_share: float
    uneven: float
    shadow: float
    paper: Lab | None = None
    tinted: bool = False

    def cropped(self, left: float, top: float, right: float, bottom: float) -> "Light":
        """The light on a part of the page, its sides as shares of the page's width and height."""
        import cv2

        if self.gain is None:
            return self
        rows, columns = self.gain.shape[:2]
        out = max(8, round(columns * (right - left))), max(8, round(rows * (bottom - top)))
        x = (left + (right - left) * (np.arange(out[0], dtype=np.float32) + 0.5) / out[0]) * columns - 0.5
        y = (top + (bottom - top) * (np.arange(out[1], dtype=np.float32) + 0.5) / out[1]) * rows - 0.5
        across, down = np.meshgrid(x.astype(np.float32), y.astype(np.float32))
        gain = cv2.remap(self.gain, across, down, cv2.INTER_LINEAR, borderMode=cv2.BORDER_REPLICATE)
        return replace(self, gain=np.asarray(gain, np.float32))

    def applied(self, rgb: Rgb) -> Rgb:
        """The page evened out; the same page where nothing is to be changed. (h, w, 3) uint8."""
        import cv2

        if self.gain is None:
            return rgb
        height, width = rgb.shape[:2]
        table = srgb_decode(np.arange(256) / 255.0).astype(np.float32)
        back = np.rint(255 * srgb_encode(np.linspace(0, 1, 4096))).astype(np.uint8)
        out = np.empty_like(rgb)
        for top in range(0, height, 256):
            strip = table[rgb[top : top + 256]]
            rows = np.arange(top, min(top + 256, height), dtype=np.float32)
            map_y = (rows + 0.5) * (self.gain.shape[0] / height) - 0.5
            map_x = (np.arange(width, dtype=np.float32) + 0.5) * (self.gain.shape[1] / width) - 0.5
            gain = cv2.remap(
                self.gain, np.broadcast_to(map_x, (len(rows), width)).copy(),
                np.broadcast_to(map_y[:, None], (len(rows), width)).copy(),
                cv2.INTER_LINEAR, borderMode=cv2.BORDER_REPLICATE,
            )  # fmt: skip
            index = np.minimum(strip * gain * 4095 + 0.5, 4095).astype(np.uint16)
            out[top : top + 256] = back[index]
        return out


# Light about which nothing is known: it is left as it is.
EVEN = Light(None, 0.0, 0.0, 0.0)


def measure_light(rgb: Rgb, on_sheet: NDArray[np.bool_] | None = None, *, margin: bool = False) -> Light:
    """Fit the paper's brightness and tint over a page.

    Parameters
    ----------
    rgb : (height, width, 3) uint8 sRGB; the page with the margin around it, if there is one.
    on_sheet : (height, width) where there is sheet to look at; None everywhere.
    margin : what lies along the edge of that is surely bare paper, whatever its colour.

    Returns
    -------
    Light; without a gain where the light is even, or no paper shows.

    Notes
    -----
    A cubic in x and y for the log of each channel, fitted to what lies near
    the fit before, beginning with a ring along the edge if that is paper, else
    with the brightest pale pixels. It is never fitted to the colours of the
    picture: they would be taken for light.
    """
    import cv2

    height, width = rgb.shape[:2]
    scale = _SMALL / max(height, width)
    small_size = max(8, round(width * scale)), max(8, round(height * scale))
    # The brightest third of each cell: paper seen between strokes is paper.
    small = np.asarray(cv2.resize(rgb, small_size, interpolation=cv2.INTER_AREA), np.uint8)
    linear = srgb_decode(small / 255.0)
    log = np.log(np.maximum(linear, 2e-3))
    use = np.ones(small.shape[:2], bool)
    if on_sheet is not None:
        use = cv2.resize(on_sheet.view(np.uint8) * np.uint8(255), small_size, interpolation=cv2.INTER_AREA) > 250
    basis = _basis(small.shape[:2])
    seed = _seed(log, use)
    if margin:
        ring = _margin(log, basis, use)
        if ring is not None and (seed is None or _other_paper(log, ring, seed)):
            return _on_tinted(log, basis, ring, use)
    if seed is None:
        return EVEN
    field, paper = _fitted(log, basis, seed, use)
    share = _share(paper, use)
    if share < _LEAST_PAPER:
        return EVEN
    white = np.exp(np.median(log[paper], axis=0))
    spread = field[use].mean(axis=-1)
    low, high = np.percentile(spread, [1, 99])
    drift = np.ptp(np.percentile(field[use] - spread[:, None], [1, 99], axis=0), axis=0).max()
    if drift > _MOST_DRIFT or high - low > 2 * _BOUND:
        # Light does not change colour so from one side of a table to the other: this was painted.
        return EVEN
    uneven = float(np.exp(high - low) - 1)
    shaded = _shadow_on(log, field, paper, use)
    shadow = 0.0
    if shaded is not None:
        # The field anew without the shadow, from the paper on both sides of its edge.
        lying, _ = shaded
        both, _ = _fitted(log - lying, basis, paper | shaded[1], use)
        field = both + lying
        shadow = _left_over(log, field, use)
    plain = white @ (0.2126, 0.7152, 0.0722) >= 0.62 and _chroma(white) < 12
    if uneven < _EVEN and plain:
        return Light(None, share, uneven, shadow, _lab(white))
    target = np.log(PAPER_WHITE)
    middle = np.median(field[use], axis=0)
    bounded = np.clip(field, middle - _BOUND, middle + _BOUND)
    gain = np.exp(target - bounded).astype(np.float32)
    return Light(gain, share, uneven, shadow, _lab(np.full(3, PAPER_WHITE)))


def _margin(log: NDArray[np.float64], basis: NDArray[np.float64], use: NDArray[np.bool_]) -> NDArray[np.bool_] | None:
    """The bare margin along the edge of a sheet, of any colour; None where most of it is not one paper."""
    ring = _ring(use)
    if np.count_nonzero(ring) <= 20:
        return None
    # Begun from the middle of its colours: a hand or a note on it is neither.
    middle = np.median(log[ring], axis=0)
    near = ring & (np.abs(log - middle).max(axis=-1) < 0.5)
    for width in (0.35, 0.22, 0.14):
        if np.count_nonzero(near) < 12:
            return None
        near = ring & (np.abs(log - _solve(basis, log, near, 3)).max(axis=-1) < width)
    return near if near.sum() >= _LEAST_RING * ring.sum() else None


def _other_paper(log: NDArray[np.float64], ring: NDArray[np.bool_], seed: NDArray[np.bool_]) -> bool:
    """Whether the margin is another colour than what was taken for white paper, or no white."""
    margin, white = np.median(log[ring], axis=0), np.median(log[seed], axis=0)
    darker = float((white - margin).mean())
    tint = np.exp(margin)
    return darker > _DARK_MARGIN or _chroma(tint / tint.max()) > _TINTED


def _on_tinted(
    log: NDArray[np.float64], basis: NDArray[np.float64], ring: NDArray[np.bool_], use: NDArray[np.bool_]
) -> Light:
    """The light on paper that is no white one, evened to what the paper is in the middle of it."""
    field, paper = _fitted(log, basis, ring, use)
    share = _share(paper, use)
    if share < _LEAST_PAPER:
        return EVEN
    spread = field[use].mean(axis=-1)
    low, high = np.percentile(spread, [1, 99])
    middle = np.median(field[use], axis=0)
    gain = np.exp(middle - np.clip(field, middle - _BOUND, middle + _BOUND)).astype(np.float32)
    return Light(gain, share, float(np.exp(high - low) - 1), 0.0, _lab(np.exp(middle)), tinted=True)


def _ring(use: NDArray[np.bool_]) -> NDArray[np.bool_]:
    """A narrow ring along the edge of what is looked at."""
    import cv2

    depth = cv2.distanceTransform(np.pad(use, 1).astype(np.uint8), cv2.DIST_L2, 3)[1:-1, 1:-1]
    return np.asarray(use & (depth <= max(2.0, _RING * max(use.shape))) & (depth > 0.6))


def _share(part: NDArray[np.bool_], whole: NDArray[np.bool_]) -> float:
    return float(part.sum()) / max(float(whole.sum()), 1.0)


def _basis(shape: tuple[int, int]) -> NDArray[np.float64]:
    """Monomials to the third degree at each pixel, (rows, columns, 10), the constant first."""
    y, x = np.mgrid[: shape[0], : shape[1]].astype(np.float64)
    x, y = 2 * (x + 0.5) / shape[1] - 1, 2 * (y + 0.5) / shape[0] - 1
    terms = [np.ones(shape)]
    for degree in (1, 2, 3):
        terms += [np.prod(powers, axis=0) for powers in combinations_with_replacement((x, y), degree)]
    return np.stack(terms, axis=-1)


def _solve(
    basis: NDArray[np.float64], log: NDArray[np.float64], at: NDArray[np.bool_], terms: int
) -> NDArray[np.float64]:
    rows = basis[at][:, :terms]
    ridge = _RIDGE * len(rows) * np.eye(terms)
    ridge[0, 0] = 0
    weights = np.linalg.solve(rows.T @ rows + ridge, rows.T @ log[at])
    return np.asarray(basis[..., :terms] @ weights)


def _seed(log: NDArray[np.float64], use: NDArray[np.bool_]) -> NDArray[np.bool_] | None:
    """Where to begin looking for paper: the ring along the edge, or the brightest pale pixels."""
    ring = _ring(use)
    bright = log.mean(axis=-1)
    basis = _basis(use.shape)
    if np.count_nonzero(ring) > 20:
        # The ring is paper where most of it lies on one plane, and little of the page is brighter.
        near = _plane(log, basis, ring)
        level = _solve(basis, log, near, 3).mean(axis=-1) if near.any() else bright
        brighter = float(np.mean(bright[use] > level[use] + 0.12)) if use.any() else 1.0
        if near.sum() >= _LEAST_RING * ring.sum() and brighter < 0.08 and _pale(log[near]):
            return near
    top = np.percentile(bright[use], 97) if use.any() else 0.0
    chosen = use & (bright > top - 0.30) & (np.ptp(log, axis=-1) < _MOST_CAST)
    if np.count_nonzero(chosen) < _LEAST_PAPER * np.count_nonzero(use) or not _pale(log[chosen]):
        return None
    return chosen


def _plane(log: NDArray[np.float64], basis: NDArray[np.float64], ring: NDArray[np.bool_]) -> NDArray[np.bool_]:
    """The part of a ring that lies on one plane of log light; drawn colours that reach the edge fall out."""
    bright = log.mean(axis=-1)
    near = ring & (bright > np.percentile(bright[ring], 35))
    for width in (0.35, 0.2, 0.12, 0.08):
        if np.count_nonzero(near) < 12:
            break
        field = _solve(basis, log, near, 3)
        near = ring & (np.abs(log - field).max(axis=-1) < width)
    return near


def _pale(log: NDArray[np.float64]) -> bool:
    """Whether a colour could be white paper in some light: not dark, not strongly coloured."""
    white = np.exp(np.median(log, axis=0))
    return bool(white.max() > _LEAST_WHITE and _chroma(white / white.max()) < _MOST_CHROMA)


def _lab(linear: NDArray[np.float64]) -> Lab:
    lightness, a, b = srgb_to_lab(255 * srgb_encode(np.clip(linear, 0, 1)))
    return float(lightness), float(a), float(b)


def _chroma(linear: NDArray[np.float64]) -> float:
    _, a, b = _lab(linear)
    return float(np.hypot(a, b))


def _fitted(
    log: NDArray[np.float64], basis: NDArray[np.float64], seed: NDArray[np.bool_], use: NDArray[np.bool_]
) -> tuple[NDArray[np.float64], NDArray[np.bool_]]:
    """The field of each channel's log light, and what is paper by it."""
    paper = seed
    field = _solve(basis, log, seed, 3)
    for turn in range(_ROUNDS):
        terms = 3 if turn < 3 else 6 if turn < 6 else 10
        near = max(_NEAR, 0.14 - 0.015 * turn)
        offset = np.abs(log - field).max(axis=-1)
        found = use & (offset < near)
        if np.count_nonzero(found) < 3 * terms:
            break
        if turn > 6 and np.array_equal(found, paper):
            break
        paper = found
        field = _solve(basis, log, paper, terms)
    return field, paper


def _shadow_on(
    log: NDArray[np.float64], field: NDArray[np.float64], paper: NDArray[np.bool_], use: NDArray[np.bool_]
) -> tuple[NDArray[np.float64], NDArray[np.bool_]] | None:
    """A shadow lying across the sheet, as log light by pixel, and the paper in it; None where there is none.

    Paper in shadow has the tint of the rest and less light, and reaches the edge of
    the sheet; a grey that was drawn does not. Where colour lies over both sides, a
    logistic regression on the paper, quadratic in x and y, says where the edge runs.
    """
    import cv2

    apart = log - field
    darker = apart.mean(axis=-1)
    shaded = use & (np.ptp(apart, axis=-1) < _SAME_TINT) & (darker < -_LEAST_SHADOW) & (darker > -_MOST_SHADOW)
    shaded = cv2.morphologyEx(shaded.view(np.uint8), cv2.MORPH_OPEN, np.ones((3, 3), np.uint8)) > 0
    ring = use & ~(cv2.erode(np.pad(use, 1).astype(np.uint8), np.ones((5, 5), np.uint8))[1:-1, 1:-1] > 0)
    _, parts = cv2.connectedComponents(shaded.view(np.uint8), connectivity=8)
    reaching = np.bincount(parts[ring], minlength=int(parts.max()) + 1) > _SHADOW_RING * np.count_nonzero(ring)
    reaching[0] = False
    shaded = reaching[parts]
    if not shaded.any():
        return None
    depth = np.median(apart[shaded], axis=0)
    # Only what is about as dark as the shadow is in it.
    shaded &= np.abs(darker - depth.mean()) < 0.12
    lit = paper & ~shaded
    if np.count_nonzero(shaded) < 30 or np.count_nonzero(lit) < 30:
        return None
    score = _logistic(_basis(log.shape[:2])[..., :6], lit, shaded)
    # How soft the edge is, the regression cannot say: it is what explains the paper across it best.
    same = use & (np.ptp(apart, axis=-1) < _SAME_TINT) & (darker > depth.mean() - 0.1) & (darker < 0.1)

    def unexplained(sharpness: float) -> float:
        lying = depth.mean() / (1 + np.exp(-np.clip(sharpness * score[same], -30, 30)))
        return float(np.abs(darker[same] - lying).mean())

    sharpness = min(_SHARPNESS, key=unexplained)
    chance = 1 / (1 + np.exp(-np.clip(sharpness * score, -30, 30)))
    return chance[..., None] * depth, shaded


def _logistic(basis: NDArray[np.float64], lit: NDArray[np.bool_], shaded: NDArray[np.bool_]) -> NDArray[np.float64]:
    """Log odds that a pixel is in shadow; Newton's method with a ridge."""
    rows = np.vstack([basis[lit], basis[shaded]])
    truth = np.concatenate([np.zeros(np.count_nonzero(lit)), np.ones(np.count_nonzero(shaded))])
    weight = np.where(truth > 0, 0.5 / truth.sum(), 0.5 / (1 - truth).sum())
    found = np.zeros(basis.shape[-1])
    for _ in range(25):
        chance = 1 / (1 + np.exp(-np.clip(rows @ found, -30, 30)))
        slope = rows.T @ (weight * (truth - chance)) - 1e-5 * found
        curve = (rows * (weight * chance * (1 - chance))[:, None]).T @ rows + 1e-5 * np.eye(len(found))
        step = np.linalg.solve(curve, slope)
        found = found + step
        if np.abs(step).max() < 1e-3 or np.abs(found).max() > 400:
            break
    return np.asarray(basis @ found)


def _left_over(log: NDArray[np.float64], field: NDArray[np.float64], use: NDArray[np.bool_]) -> float:
    """Share of the page that has the paper's tint but not its light, where it reaches the edge."""
    found = _shadow_on(log, field, use & (np.abs(log - field).max(axis=-1) < _NEAR), use)
    return _share(found[1], use) if found else 0.0
