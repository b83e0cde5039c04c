"""The door for a telephone: pictures come in one after the other, and nothing else does."""

import io
import struct
import threading
import zlib
from collections.abc import Iterator
from pathlib import Path

import pytest
from PIL import Image

from benchmarks.devices.telephone import Telephone
from nomos.base.errors import BadInput
from nomos.design import read_pixels
from nomos.work.door import MOST_BYTES, Arrived, Door, bare_name, own_addresses


def picture(side: int = 40) -> bytes:
    data = io.BytesIO()
    Image.new("RGB", (side, side), (200, 60, 40)).save(data, "JPEG")
    return data.getvalue()


class Table:
    """Where pictures are laid that can be read."""

    def __init__(self) -> None:
        self.came: list[Arrived] = []
        self.together = self.most = 0

    def take(self, arrived: Arrived) -> str:
        self.together += 1
        self.most = max(self.most, self.together)
        try:
            read_pixels(arrived.data, arrived.name)
        except BadInput as error:
            return str(error)
        else:
            self.came.append(arrived)
            return ""
        finally:
            self.together -= 1


@pytest.fixture
def table() -> Table:
    return Table()


@pytest.fixture
def door(table: Table) -> Iterator[Door]:
    made = Door("127.0.0.1", table.take)
    yield made
    made.close()


def test_a_picture_arrives_and_the_page_speaks_the_telephones_language(door: Door, table: Table) -> None:
    phone = Telephone(door.address)
    assert "Take or choose pictures" in phone.looks("fr-FR, en;q=0.5")[1]
    status, words = phone.looks("de-DE,de;q=0.9")
    assert (status, "Aufnehmen oder auswählen" in words) == (200, True)
    assert "http" not in words.replace(door.address, "")
    assert phone.sends("café sketch.jpg", picture())[0] == 200
    assert phone.sends("two.png", picture(41))[0] == 200
    assert [each.name for each in table.came] == ["café sketch.jpg", "two.png"]


def test_what_is_no_picture_is_refused_in_a_sentence(door: Door, table: Table) -> None:
    status, said = Telephone(door.address).sends("a.jpg", b"no picture")
    assert status == 422
    assert "set the telephone's camera to JPEG" in said
    # A PNG that says it is of 3.6 thousand million pixels.
    size = b"IHDR" + struct.pack(">2I5B", 60_000, 60_000, 1, 0, 0, 0, 0)
    bomb = b"\x89PNG\r\n\x1a\n" + struct.pack(">I", 13) + size + struct.pack(">I", zlib.crc32(size))
    bomb += struct.pack(">I", 0) + b"IDAT" + struct.pack(">I", zlib.crc32(b"IDAT"))
    assert Telephone(door.address).sends("bomb.png", bomb)[0] == 422
    assert table.came == []


def test_it_is_refused_in_the_telephones_own_language(table: Table) -> None:
    door = Door("127.0.0.1", table.take, {"de": lambda message: f"auf Deutsch: {message}"})
    try:
        phone = Telephone(door.address)
        assert phone.sends("a.jpg", b"no picture", language="de-AT, en;q=0.5")[1].startswith("auf Deutsch: ")
        # Nothing of it stays for the next one, in the window's language.
        assert not phone.sends("a.jpg", b"no picture", language="en")[1].startswith("auf Deutsch: ")
    finally:
        door.close()


def test_nobody_comes_in_who_does_not_know_the_address(door: Door, table: Table) -> None:
    phone = Telephone(door.address)
    for path in ("/", "/x", phone.path + "x", "/../" + door.token, phone.path + "/up"):
        assert phone.looks(path=path)[0] == 404
        assert phone.sends("a.jpg", picture(), path=path)[0] == 404
    for method in ("PUT", "DELETE", "OPTIONS", "PATCH"):
        assert phone.sends("a.jpg", picture(), method=method)[0] == 501
    assert table.came == []
    assert len(door.token) >= 16


def test_bodies_that_lie_about_their_length_are_left(door: Door, table: Table) -> None:
    phone = Telephone(door.address)
    assert phone.claims(str(MOST_BYTES + 1), b"x") == 413
    assert phone.claims("-5", b"x") == 413
    assert phone.claims("many", b"x") == 411
    assert phone.claims("9", b"x" * 9) == 422
    # The door still works.
    assert phone.sends("good.jpg", picture())[0] == 200
    assert len(table.came) == 1


def test_ten_at_once_come_in_one_after_the_other(door: Door, table: Table) -> None:
    some = [
        threading.Thread(target=Telephone(door.address).sends, args=(f"{n}.jpg", picture(30 + n))) for n in range(10)
    ]
    for each in some:
        each.start()
    for each in some:
        each.join()
    assert sorted(each.name for each in table.came) == sorted(f"{n}.jpg" for n in range(10))
    assert table.most == 1


@pytest.mark.parametrize(
    ("name", "bare"),
    [
        ("../../etc/passwd", "passwd"), ("C:\\Users\\a\\b.jpg", "b.jpg"), ("", "picture"), ("..", "picture"),
        ("a\0b.jpg", "ab.jpg"), ("x" * 300 + ".jpeg", "x" * 60 + ".jpeg"), ("a\u202eb.png", "ab.png"),
        ("/", "picture"), (".bashrc", "bashrc"),
    ],
)  # fmt: skip
def test_a_name_leads_nowhere(name: str, bare: str) -> None:
    assert bare_name(name) == bare
    assert Path(bare_name(name)).name == bare


def test_a_closed_door_is_closed_and_another_address_is_said(table: Table) -> None:
    door = Door("127.0.0.1", table.take)
    phone = Telephone(door.address)
    door.close()
    assert phone.sends("a.jpg", picture())[0] == 0
    with pytest.raises(BadInput, match="choose another address"):
        Door("203.0.113.9", table.take)
    assert "127.0.0.1" in own_addresses()
