"""Fine places found at their size, freedom kept to, simpler outlines never longer."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from msgspec.structs import replace
from scipy import ndimage

from nomos.project import Assets, CutBlocks, Project, impressions_to_lay, lay_sheet
from nomos.project.check.cutting import cutting_findings, freedom_of, simpler_block
from nomos.project.edition.fineness import features_of
from nomos.project.inks.edits import with_ink
from nomos.separation import features as separation_features
from nomos.separation.features import Feature, find_features, too_narrow
from nomos.separation.freedom import shrunk, simplify
from nomos.separation.outline import outline_mm

PPM = 12.0


def features(mask: np.ndarray) -> list[Feature]:
    found = find_features(mask, PPM, line_mm=0.5, tool_mm=0.7, speck_mm2=0.8, lonely_mm=8.0)
    return [feature for feature in found if feature.kind != "island"]


def page() -> np.ndarray:
    return np.zeros((480, 600), np.uint8)


@pytest.mark.parametrize("width_px", [2, 4, 5])
def test_a_thin_line_is_found_with_its_width(width_px: int) -> None:
    mask = page()
    mask[100:300, 50:250] = 1
    mask[200 : 200 + width_px, 250:400] = 1
    (feature,) = features(mask)
    assert feature.kind == "thin line"
    assert feature.width_mm == pytest.approx(width_px / PPM, abs=1.2 / PPM)
    assert 250 <= feature.place[0] * PPM <= 400


@given(seed=st.integers(0, 999), least_px=st.floats(2.0, 11.0))
@settings(max_examples=12)
def test_squares_looked_at_by_themselves_give_what_the_whole_page_gives(seed: int, least_px: float) -> None:
    noise = ndimage.gaussian_filter(np.random.default_rng(seed).normal(size=(300, 420)), 4)
    mask = (noise > 0.1 * noise.std()).astype(np.uint8)
    with pytest.MonkeyPatch.context() as patched:
        patched.setattr(separation_features, "_TILE_PX", 1000)
        whole = too_narrow(mask, least_px)
        patched.setattr(separation_features, "_TILE_PX", 40)
        parted = too_narrow(mask, least_px)
    assert whole or least_px < 6
    assert [(x, y, area) for x, y, _, area in parted] == [(x, y, area) for x, y, _, area in whole]
    assert [width for _, _, width, _ in parted] == pytest.approx([width for _, _, width, _ in whole], rel=1e-4)


def test_lines_and_channels_wide_enough_and_corners_are_let_be() -> None:
    mask = page()
    mask[100:300, 50:250] = 1
    mask[200:208, 250:400] = 1  # 0.67 mm
    mask[120:280, 120:132] = 0  # 1 mm
    assert features(mask) == []
    y, x = np.indices(mask.shape)
    diamond = ((np.abs(x - 300) + np.abs(y - 240)) < 150).astype(np.uint8)
    assert features(diamond) == []


def test_a_narrow_channel_a_speck_and_an_island() -> None:
    mask = page()
    mask[100:400, 50:350] = 1
    mask[150:350, 200:206] = 0  # 0.5 mm
    mask[40:48, 560:568] = 1  # 0.44 mm²
    kinds = [feature.kind for feature in features(mask)]
    assert kinds == ["narrow channel", "speck"]
    mask[40:60, 560:580] = 1  # 2.8 mm², 18 mm from anything
    found = find_features(mask, PPM, line_mm=0.5, tool_mm=0.7, speck_mm2=0.8, lonely_mm=8.0)
    assert [feature.kind for feature in found] == ["island", "narrow channel"]


def test_an_empty_and_a_full_block_have_nothing_fine() -> None:
    assert features(page()) == []
    assert features(page() + 1) == []


def test_outline_length_of_a_disc() -> None:
    y, x = np.ogrid[:600, :600]
    disc = ((x - 300) ** 2 + (y - 300) ** 2 < 240**2).astype(np.uint8)
    assert outline_mm(disc, PPM) == pytest.approx(2 * np.pi * 20, rel=0.01)


@settings(max_examples=15)
@given(st.integers(0, 10_000), st.floats(0.05, 0.95))
def test_a_simpler_outline_differs_only_where_it_is_free_and_is_never_longer(seed: int, share: float) -> None:
    generator = np.random.default_rng(seed)
    soft = ndimage.gaussian_filter(generator.normal(size=(160, 180)), 6)
    mask = (soft > 0).astype(np.uint8)
    free = ndimage.gaussian_filter(generator.normal(size=mask.shape), 10) > np.quantile(soft, share) * 0.5
    found = simplify(mask, free.astype(np.uint8), PPM)
    assert ((found.mask != mask) <= free).all()
    assert found.outline_after_mm <= found.outline_before_mm
    assert found.outline_after_mm == pytest.approx(outline_mm(found.mask, PPM))
    assert found.area_change_mm2 == pytest.approx((int(found.mask.sum()) - int(mask.sum())) / PPM**2)


def test_freedom_shrinks_by_the_tolerance() -> None:
    free = page()
    free[100:200, 100:200] = 1
    assert shrunk(free, 5.0).sum() == pytest.approx(90 * 90, rel=0.05)
    assert shrunk(free, 0.0) is free
    assert shrunk(page() + 1, 5.0).all()


def test_under_an_opaque_layer_a_block_is_free(demo: tuple[Project, Assets], demo_blocks: CutBlocks) -> None:
    """What an opaque later layer covers may print or not; a transparent one frees nothing there."""
    project = replace(demo[0], tolerance_mm=0.0)
    key = project.impressions[-1].zones[0].ink
    opaque = with_ink(project, key, opacity="opaque")
    laid = lay_sheet(demo_blocks, impressions_to_lay(project))
    brick = next(i.id for i in project.impressions if project.block(i.block).name == "Sky rose")
    under_key = demo_blocks.masks[-1].astype(bool)
    assert freedom_of(opaque, laid, brick)[under_key].mean() > 0.99
    sky = demo_blocks.labels == 1
    assert freedom_of(opaque, laid, brick)[sky].mean() < 0.01
    # A tolerance of 2 mm takes as much off every edge of what is free, in mm and not in pixels.
    key_free = freedom_of(opaque, laid, brick)
    careful = freedom_of(replace(opaque, tolerance_mm=2.0), laid, brick)
    expected = shrunk(key_free, 2.0 * demo_blocks.px_per_mm)
    np.testing.assert_array_equal(careful, expected)
    simpler = [simpler_block(opaque, demo_blocks, laid, i.id) for i in project.impressions[1:4]]
    assert all(each.outline_after_mm <= each.outline_before_mm for each in simpler)
    assert any(each.outline_after_mm < 0.99 * each.outline_before_mm for each in simpler)


def test_findings_of_the_demo_name_block_kind_and_place(demo: tuple[Project, Assets], demo_blocks: CutBlocks) -> None:
    project = demo[0]
    found = cutting_findings(project, features_of(project, demo_blocks))
    assert any("Leek" in f.text and "narrower than 0.6 mm" in f.text for f in found)
    for finding in found:
        assert finding.place_mm is not None
        assert project.image.left <= finding.place_mm[0] <= project.image.right
    coarse = replace(project, line_mm=2.0, tool_mm=0.1)
    more = cutting_findings(coarse, features_of(coarse, demo_blocks))
    assert any("thinner than 2.0 mm" in f.text for f in more)
    assert not any("channel" in f.text for f in more)


def test_lines_near_the_limit_are_told_by_what_they_are() -> None:
    """Slanted lines 10 % thinner than the limit are all found, those 10 % wider hardly any."""
    generator = np.random.default_rng(4)
    hit = {0.45: 0, 0.55: 0}
    for width in hit:
        for _ in range(40):
            angle, (dx, dy) = np.radians(generator.uniform(8, 37)), generator.uniform(-0.5, 0.5, 2)
            y, x = (np.mgrid[:240, :240] + 0.5) / 12.0 - 10
            along = (x - dx) * np.cos(angle) + (y - dy) * np.sin(angle)
            across = (y - dy) * np.cos(angle) - (x - dx) * np.sin(angle)
            mask = ((np.abs(across) <= width / 2) & (np.abs(along) <= 6)).astype(np.uint8)
            hit[width] += bool(too_narrow(mask, 0.5 * 12.0))
    assert hit[0.45] == 40
    assert hit[0.55] <= 2
