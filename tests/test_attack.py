"""A few of the attacks of `make attack`: whatever is fed, the answer is a result or one clear sentence."""

import sys
from pathlib import Path

import pytest

FED = "projects", "pictures", "shelves", "logs", "studios", "scans", "readings", "options", "layers"
KILLED = "saves killed", "logs killed", "full disk"
THEIRS = "links", "outputs", "several", "signals", "names", "nesting", "markup", "bad disks"


@pytest.mark.thorough
@pytest.mark.parametrize("names", [FED, KILLED, THEIRS])
def test_an_attack_is_answered_in_a_sentence_and_costs_no_work(names: tuple[str, ...]) -> None:
    sys.path.insert(0, str(Path(__file__).resolve().parents[1] / "tools"))
    try:
        import attack  # type: ignore[import-not-found] # a tool, no part of the program
    finally:
        sys.path.pop(0)
    found = list(attack.attacked(3 * len(names), 7, set(names), workers=1))
    assert {name for name, _, _ in found} == set(names)
    assert [each for each in found if each[2]] == []
