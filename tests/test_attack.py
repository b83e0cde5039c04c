"""A few of the attacks of `make attack`: whatever is fed, the answer is a result or one clear sentence."""

import sys
from pathlib import Path

import pytest


@pytest.mark.parametrize("name", [
    "projects", "pictures", "shelves", "logs", "studios", "scans", "readings", "options", "layers",
    "saves killed", "logs killed", "full disk",
])  # fmt: skip
def test_an_attack_is_answered_in_a_sentence_and_costs_no_work(name: str) -> None:
    sys.path.insert(0, str(Path(__file__).resolve().parents[1] / "tools"))
    try:
        import attack  # type: ignore[import-not-found] # a tool, no part of the program
    finally:
        sys.path.pop(0)
    found = [each for each in attack.attacked(8, 7, {name}, workers=1) if each[2]]
    assert not found
