"""The packet's page for every pull: the words of the card, the picture of what is inked; the statement."""

from datetime import date

import numpy as np
import pypdfium2
import pytest
from msgspec.structs import replace

from nomos.colour import lab_to_srgb
from nomos.edition import Event
from nomos.formats.pulls_pdf import pulls_pdf
from nomos.formats.record import statement_lines
from nomos.project import Assets, CutBlocks, LaidSheet, Project, cut_blocks, impressions_to_lay, lay_sheet, mask_request
from nomos.project.blocks.inking import with_own_ink, with_zone_changed, with_zone_drawn
from nomos.project.blocks.methods import with_method
from nomos.project.edition.card import pull_card
from nomos.project.edition.sheets import record_from, state_of
from nomos.project.model.edits import with_pull

Demo = tuple[Project, Assets]


def laid(demo: Demo, project: Project) -> tuple[CutBlocks, LaidSheet]:
    request = mask_request(project, demo[1])
    assert request is not None
    blocks = cut_blocks(request)
    return blocks, lay_sheet(blocks, impressions_to_lay(project))


@pytest.fixture
def zoned(little: Demo) -> Project:
    """The first pull with a place inked apart by a dabber, and another that is wiped."""
    project, pull = little[0], little[0].impressions[0].id
    image = project.image

    def box(left: float, top: float, right: float, bottom: float) -> tuple[tuple[float, float], ...]:
        return tuple(
            (image.left + x * image.width, image.top + y * image.height)
            for x, y in ((left, top), (right, top), (right, bottom), (left, bottom))
        )

    project = with_own_ink(with_zone_drawn(project, pull, (box(0, 0, 0.5, 1),), "inked"), pull, 1)
    project = with_zone_changed(project, pull, 1, tool="dabber", strength=0.5)
    project = with_zone_drawn(project, pull, (box(0.6, 0.6, 0.9, 0.9),), "wiped")
    return with_pull(project, pull, name="First, by zones", printing="spoon")


def test_every_pull_has_a_page_with_the_words_of_its_card(little: Demo, zoned: Project) -> None:
    blocks, sheet = laid(little, zoned)
    pages = pypdfium2.PdfDocument(pulls_pdf(zoned, blocks, sheet))
    assert len(pages) == len(zoned.impressions)
    for layer, page in enumerate(pages):
        text = " ".join(page.get_textpage().get_text_bounded().split())
        card = pull_card(zoned, blocks, layer)
        for said in (card.title, card.checks, card.lay, *card.cues, *card.cautions):
            assert said in text
        for zone in card.zones:
            assert zone.text[1:] in text
    first = " ".join(pages[0].get_textpage().get_text_bounded().split())
    assert "First, by zones" in first
    assert "dabber" in first
    assert "Spoon, small strokes" in first
    # Nothing is weighed out for a place that is wiped.
    assert [zone.grams is None for zone in pull_card(zoned, blocks, 0).zones] == [False, False, True]


def test_the_picture_shows_what_is_inked(little: Demo, zoned: Project) -> None:
    """On the rasterised page the pull's own ink is seen, and the finished sheet's darkest ink is not yet."""
    blocks, sheet = laid(little, zoned)
    page = pypdfium2.PdfDocument(pulls_pdf(zoned, blocks, sheet))[0].render(scale=2).to_numpy()[..., :3]
    page = page[..., ::-1].astype(float)

    def share(lab: tuple[float, float, float]) -> float:
        off = np.abs(page - np.asarray(lab_to_srgb(np.array(lab)), float)).max(axis=2)
        return float((off < 6).mean())

    own, last = (zoned.ink(pull.main.ink).lab for pull in (zoned.impressions[0], zoned.impressions[-1]))
    assert share(own) > 0.01
    assert share(last) < share(own) / 10


def test_what_is_drawn_by_hand_is_outlined_where_it_was_drawn(little: Demo, zoned: Project) -> None:
    blocks, sheet = laid(little, zoned)
    page = pypdfium2.PdfDocument(pulls_pdf(zoned, blocks, sheet))[0]
    picture = next(each for each in page.get_objects() if each.type == pypdfium2.raw.FPDF_PAGEOBJ_IMAGE)
    shown = picture.get_bitmap().to_numpy()[..., :3].astype(int)
    rows, columns = shown.shape[:2]
    plain = pypdfium2.PdfDocument(pulls_pdf(little[0], *laid(little, little[0])))[0]
    before = next(each for each in plain.get_objects() if each.type == pypdfium2.raw.FPDF_PAGEOBJ_IMAGE)
    changed = np.abs(shown - before.get_bitmap().to_numpy()[..., :3].astype(int)).max(axis=2) > 40
    # The right edge of the wiped place, at nine tenths of the width, along its height.
    edge = changed[round(0.65 * rows) : round(0.85 * rows), round(0.9 * columns) - 2 : round(0.9 * columns) + 3]
    assert edge.any(axis=1).mean() > 0.9


def test_the_statement_tells_blocks_from_states_and_a_varied_edition(little: Demo) -> None:
    project, day = little[0], date(2026, 11, 26)

    def said(project: Project, *events: Event) -> dict[str, str]:
        record = record_from(project, state_of(project, events)) if events else None
        return dict(statement_lines(project, record, day))

    assert said(project)["Blocks"].startswith(f"{len(project.blocks)} blocks, printed in")
    states = with_method(project, "reduction")
    assert said(states)["Blocks"].startswith(f"1 block cut in {len(states.blocks)} states, printed in")
    boards = with_method(project, "twosided")
    assert f"with {len(boards.blocks)} faces" in said(boards)["Blocks"]
    assert "Edition" in said(project)
    assert "Varied edition (EV)" in said(replace(project, plan=replace(project.plan, varied=True)))
    by_sheet = replace(project, times=replace(project.times, way="sheet by sheet"))
    assert "Varied edition (EV)" in said(by_sheet)
    pull = project.impressions[0].id
    batch = [Event("2026-11-26T10:00:00", "batch", layer=0, text=text, pull=pull) for text in ("one", "two")]
    assert "Edition" in said(project, *batch[:1])
    assert "Varied edition (EV)" in said(project, *batch)
