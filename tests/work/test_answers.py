"""Answers are kept by request: each worked out once, bounded, called off without harm."""

import gc
import threading
from dataclasses import dataclass
from typing import ClassVar

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from nomos.base.errors import BadInput
from nomos.base.progress import Cancelled, Progress
from nomos.work import Answers, Ask
from nomos.work.answers import bytes_of


class Times:
    """How often each number was worked out."""

    def __init__(self) -> None:
        self.done: dict[int, int] = {}


@dataclass(frozen=True)
class Square:
    """A page of so many bytes, filled with a number."""

    number: int
    size: int = 1000
    counter: ClassVar[Times] = Times()
    said: ClassVar[str] = "squaring"

    def work(self, ask: Ask, progress: Progress) -> np.ndarray:  # noqa: ARG002
        progress.report(0.5, self.said)
        if self.number < 0:
            raise BadInput("A number below nothing.")
        self.counter.done[self.number] = self.counter.done.get(self.number, 0) + 1
        return np.full(self.size, self.number % 256, np.uint8)


@dataclass(frozen=True)
class Sum:
    """Made of two others."""

    one: int
    other: int
    said: ClassVar[str] = "adding"

    def work(self, ask: Ask, progress: Progress) -> int:
        return int(ask(Square(self.one), progress)[0]) + int(ask(Square(self.other), progress)[0])


@pytest.fixture(autouse=True)
def counter() -> Times:
    Square.counter.done.clear()
    return Square.counter


def test_each_request_is_worked_out_once_and_what_it_asks_too(counter: Times) -> None:
    ask = Answers()
    assert ask.known(Sum(3, 3)) is None
    assert [ask(Sum(3, 3)), ask(Sum(3, 4)), ask(Sum(3, 3))] == [6, 7, 6]
    assert ask.known(Sum(3, 3)) == 6
    assert counter.done == {3: 1, 4: 1}
    assert ask.alike(Square, lambda other: other.number == 4) is ask(Square(4))
    assert ask.alike(Square, lambda other: other.number == 5) is None
    ask.forget()
    assert (ask.size, ask.known(Square(3))) == (0, None)


@given(st.lists(st.integers(0, 12), min_size=1, max_size=60))
def test_what_was_used_last_is_kept_and_the_bound_holds(asked: list[int]) -> None:
    ask = Answers(most_bytes=5 * 1100)
    for number in asked:
        assert ask(Square(number))[0] == number
        assert ask.size <= 5 * 1100
    assert ask.known(Square(asked[-1])) is not None
    newest = list(dict.fromkeys(reversed(asked)))
    assert [n for n in newest if ask.known(Square(n)) is not None] == newest[: min(len(newest), 5)]


def test_what_is_larger_than_all_is_kept_until_the_next_comes() -> None:
    ask = Answers(most_bytes=10_000)
    ask(Square(1))
    assert len(ask(Square(2, 50_000))) == 50_000
    assert ask.known(Square(2, 50_000)) is not None
    # What it was made of is not lost for it.
    assert ask.known(Square(1)) is not None
    ask(Square(3))
    assert ask.known(Square(2, 50_000)) is None
    assert ask.size < 10_000


def test_what_someone_else_still_holds_is_known_without_being_kept(counter: Times) -> None:
    ask = Answers(most_bytes=2 * 1100)
    held = ask(Square(1))
    for number in range(2, 6):
        ask(Square(number))
    assert ask.size <= 2 * 1100
    assert ask(Square(1)) is held
    assert ask.known(Square(2)) is None
    assert counter.done[1] == 1
    del held
    gc.collect()
    assert ask.known(Square(1)) is None


def test_a_refusal_and_a_call_off_are_not_kept(counter: Times) -> None:
    class CalledOff:
        def report(self, fraction: float, message: str) -> None:  # noqa: ARG002
            raise Cancelled

    ask = Answers()
    for _ in range(2):
        with pytest.raises(BadInput):
            ask(Square(-1))
    with pytest.raises(Cancelled):
        ask(Square(7), CalledOff())
    assert ask(Square(7))[0] == 7
    assert counter.done == {7: 1}


def test_many_who_ask_at_once_get_one_answer(counter: Times) -> None:
    ask = Answers()
    got: list[int] = []
    threads = [threading.Thread(target=lambda: got.append(ask(Sum(8, 9)))) for _ in range(8)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    assert got == [17] * 8
    assert counter.done == {8: 1, 9: 1}


def test_bytes_are_those_of_arrays_each_counted_once() -> None:
    page = np.zeros((100, 50), np.float64)
    assert bytes_of(page) == 40_000
    assert bytes_of((page, page, {"again": page})) < 40_400
    assert bytes_of(b"x" * 5000) > 5000
