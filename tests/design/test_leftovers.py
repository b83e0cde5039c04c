"""What is left of a picture where parts go: the right part, and light evened only where it is light."""

import numpy as np

from nomos.design import cleaning
from nomos.design.cleaning import remove_specks
from nomos.design.flatten import look
from nomos.design.picture import Picture


def test_what_a_corner_cuts_off_goes_to_its_longest_neighbour_and_nothing_else_moves() -> None:
    """Specks in a field and on a border each go to what they lie in; a page of specks stays."""
    labels = np.zeros((40, 40), np.uint8)
    labels[:, 20:] = 1
    labels[10:16, 14:20] = 2
    # A speck in it, and one on the border of both sides that is longer towards the right.
    labels[12, 16] = 3
    labels[30, 20:22] = 2
    cleaned = remove_specks(labels, 3.0)
    wanted = labels.copy()
    wanted[12, 16] = 2
    wanted[30, 20:22] = 1
    assert np.array_equal(cleaned, wanted)
    # Of a page that is all specks nothing is taken: something has to stay.
    checks = (np.indices((6, 6)).sum(axis=0) % 2).astype(np.uint8)
    assert np.array_equal(remove_specks(checks, 3.0), checks)


def test_a_part_that_a_corner_cuts_off_goes_alone_to_its_longest_neighbour() -> None:
    """A pixel that meets its own colour at a corner only: three sides in one field, one in another."""
    labels = np.zeros((20, 20), np.uint8)
    labels[:, 12:] = 1
    labels[4, 11] = 1
    labels[5, 10] = 1
    labels[6:, 10] = 2
    wanted = labels.copy()
    wanted[5, 10] = 0
    assert cleaning._merge_leftovers(labels, 3)
    assert np.array_equal(labels, wanted)
    assert not cleaning._merge_leftovers(labels, 3)


def test_light_is_evened_in_a_sketch_and_in_no_other_kind_of_picture() -> None:
    """A photograph's own shades are what it is of; a sketch's paper is one paper."""
    ramp = np.linspace(1.0, 0.6, 240)[None, :, None]
    page = np.full((300, 240, 3), 240.0)
    page[60:240, 50:120] = (200, 60, 50)
    page[60:240, 130:190] = (40, 90, 160)
    page[50:250, 120:126] = 25
    rgb = np.round(page * ramp).astype(np.uint8)
    picture = Picture(rgb, (60.0, 75.0), 4.0)
    sketch = look(picture, read_as="sketch")
    evened = sketch.even_rgb()
    left, right = evened[280, 10].astype(int), evened[280, 229].astype(int)
    assert abs(left - right).max() < 12 < abs(rgb[280, 10].astype(int) - rgb[280, 229].astype(int)).max()
    assert np.array_equal(look(picture, read_as="tones").even_rgb(), rgb)
