"""The guide: every station has its page with the same four parts, words are explained, search finds them."""

import re

import pytest

from nomos import guide
from nomos.base.errors import BadInput
from nomos.project.model import store
from nomos.ui.frame.keyboard import BINDINGS
from nomos.ui.frame.state import STATIONS

PARTS = ("How it is done by hand", "What the program adds", "What each figure means", "Where the defaults come from")


@pytest.mark.parametrize("station", STATIONS)
def test_every_station_has_a_page_with_four_parts(station: str) -> None:
    heads = re.findall(r"^## (.*)$", guide.page(station), re.MULTILINE)
    assert tuple(heads) == PARTS
    # A default is published, common practice, from memory or chosen: which of them is said.
    said = guide.page(station).split(f"## {PARTS[3]}")[1]
    assert re.search(r"common practice|from memory|chosen|ISO|CIE|\(19", said)


def test_keys_that_the_guide_names_do_what_it_says() -> None:
    known = {key for _, keys, _ in BINDINGS for key in keys}
    assert {"F1", "G", "N", "K", "Ctrl+O", "Ctrl+P"} <= known
    text = guide.page("start")
    assert all(re.search(rf"{re.escape(key)}\b", text) for key in ("F1", "Ctrl+P", "Ctrl+O"))


def test_cautions_stand_where_the_step_is() -> None:
    for page, words in (
        ("carve", "away from the body"),
        ("inks", "closed metal bin"),
        ("register", "away from the body"),
    ):
        assert words in guide.page(page)
        assert "come first" in guide.page(page)


def test_search_finds_lines_with_all_words_titles_first_and_nothing_for_nothing() -> None:
    found = guide.search("SHEET block")
    assert found
    assert found[0].page == "register"
    assert all("sheet" in place.line.casefold() and "block" in place.line.casefold() for place in found)
    assert not any(mark in place.line for place in found for mark in "*#")
    assert guide.search("kagi")[0].page == "words"
    assert guide.search("  ") == guide.search("no such word anywhere") == ()
    with pytest.raises(BadInput, match="choose one of start"):
        guide.page("../../etc/passwd")


def test_terms_of_the_file_format_are_explained() -> None:
    """What a project file calls by a word of the trade stands among the words."""
    schema = str(store.json_schema()).casefold()
    words = guide.page("words").casefold()
    for term in ("impression", "zone", "tack", "kento", "seam", "trap", "edition"):
        assert term in schema
        assert f"**{term}" in words or f", {term}" in words or f"{term}**" in words
