"""Feeds the program what nobody should: seeded, counted, each distinct fault once.

    .venv/bin/python tools/attack.py [--runs 6000] [--seed 1] [--only projects,hands] [--endurance 2000]

Every attack runs in a process of its own: a broken file given to `nomos`, the program killed while it saves
or logs, a full disk, links where its own files should be, outputs onto what is there, several at once,
signals, odd names, a command beside a window, a random hand on the window. What may come out is status 0,
or 2 with one line on standard error. An exception, a second line, work lost, a file written outside, more
than ten seconds of work or more than 1.5 GB is a fault, and so is a window held for half a second.
"""

import argparse
import importlib
import multiprocessing
import os
import pkgutil
import random
import resource
import shutil
import sys
import tempfile
from collections import Counter
from collections.abc import Iterator
from pathlib import Path

from attacking.files import Attack, Seeds, broken_files
from attacking.hand import endurance, random_hand
from attacking.kills import killed
from attacking.theirs import theirs

_SLOW_S, _MOST_MB = 10.0, 1500
# What opens a window takes a hundred times as long as a file: it is one in so many attacks.
_SELDOM, _ONE_IN = ("two at once", "hands"), 300


def attacks(seeds: Seeds) -> dict[str, Attack]:
    """All that is attacked, by name."""
    return {**broken_files(seeds), **killed(seeds), **theirs(seeds), **random_hand(seeds)}


def attack(job: tuple[str, int, str]) -> tuple[str, int, str]:
    """One attack in a folder of its own. (name, seed, fault)."""
    name, seed, home = job
    rng = random.Random(f"{name} {seed}")
    folder = Path(tempfile.mkdtemp(dir=home))
    os.chdir(folder)
    began = _work_s()
    fault = attacks(_SEEDS[0])[name](folder, rng)
    took = _work_s() - began
    if not fault and took > _SLOW_S and name not in _SELDOM:
        fault = f"slow: {name} took more than {_SLOW_S:g} s"
    most = (
        max(resource.getrusage(who).ru_maxrss for who in (resource.RUSAGE_SELF, resource.RUSAGE_CHILDREN))
        // 1024
    )
    if not fault and most > _MOST_MB:
        fault = f"memory: {name} after {most} MB"
    outside = [path for path in Path(home).iterdir() if not path.name.startswith("tmp")]
    if not fault and outside:
        fault = f"written outside: {outside[0].name}"
    os.chdir(home)
    shutil.rmtree(folder, ignore_errors=True)
    return name, seed, fault


def _work_s() -> float:
    """Seconds of work of this process and of what it started: a machine that is busy makes nothing slow."""
    used = [resource.getrusage(who) for who in (resource.RUSAGE_SELF, resource.RUSAGE_CHILDREN)]
    return sum(each.ru_utime + each.ru_stime for each in used)


_SEEDS: list[Seeds] = []


def _load_all() -> None:
    """Every module but the window's, so that no process that is attacked loads its own."""
    import scipy.optimize  # noqa: F401

    import nomos

    for module in pkgutil.walk_packages(nomos.__path__, "nomos."):
        if not module.name.startswith(("nomos.ui", "nomos.__main__")):
            importlib.import_module(module.name)


def attacked(runs: int, seed: int, only: set[str], workers: int = 2) -> Iterator[tuple[str, int, str]]:
    """Run so many attacks, over all that is attacked. (name, seed, fault or "")."""
    home = tempfile.mkdtemp()
    seeding = tempfile.mkdtemp()
    _SEEDS[:] = [Seeds(Path(seeding))]
    _load_all()
    names = [name for name in attacks(_SEEDS[0]) if not only or name in only]
    seldom, often = ([name for name in names if (name in _SELDOM) == rare] for rare in (True, False))
    jobs = [(_turn_of(n, seldom, often), seed * 1_000_000 + n, home) for n in range(runs)]
    try:
        # Each hand is a fresh process now and then, so that memory is of few attacks.
        with multiprocessing.get_context("fork").Pool(workers, maxtasksperchild=50) as pool:
            yield from pool.imap_unordered(attack, jobs)
    finally:
        shutil.rmtree(home, ignore_errors=True)
        shutil.rmtree(seeding, ignore_errors=True)


def _turn_of(n: int, seldom: list[str], often: list[str]) -> str:
    """What the n-th attack is of."""
    if seldom and (n % _ONE_IN == 0 or not often):
        return seldom[n // (_ONE_IN if often else 1) % len(seldom)]
    return often[n % len(often)]


def main() -> None:
    """Attack, and say what was found."""
    parser = argparse.ArgumentParser(description=__doc__)
    parser.add_argument("--runs", type=int, default=3000)
    parser.add_argument("--seed", type=int, default=1)
    parser.add_argument("--only", default="", help="names with commas: projects, pictures, ..., hands")
    parser.add_argument("--endurance", type=int, default=0, help="only so many actions in one window")
    parser.add_argument("--again", default="", help="one attack once more, as NAME:SEED")
    options = parser.parse_args()
    if options.again:
        name, _, seed = options.again.partition(":")
        with tempfile.TemporaryDirectory() as folder, tempfile.TemporaryDirectory() as seeding:
            _SEEDS[:] = [Seeds(Path(seeding))]
            print(attack((name, int(seed), folder))[2] or "no fault")
        return
    if options.endurance:
        with tempfile.TemporaryDirectory() as folder:
            (Path(folder) / "a.nomos").write_bytes(Seeds(Path(folder)).project)
            endurance(Path(folder), options.endurance, options.seed)
        return
    only = set(options.only.split(",")) - {""}
    counts, faults, first = Counter[str](), Counter[str](), dict[str, tuple[str, int]]()
    for name, seed, fault in attacked(options.runs, options.seed, only):
        counts[name] += 1
        if fault:
            if fault not in first:
                print(f"{name} {seed}: {fault}", flush=True)
            faults[fault] += 1
            first.setdefault(fault, (name, seed))
        # A run of hours that is stopped has still said how far it came.
        if sum(counts.values()) % 1000 == 0:
            print(f"{sum(counts.values())} attacks, {len(faults)} distinct faults", flush=True)
    print(", ".join(f"{many} {name}" for name, many in sorted(counts.items())))
    for fault, many in faults.most_common():
        print(f"{many:5d}  {fault}   first: {first[fault][0]} {first[fault][1]}")
    print(f"{len(faults)} distinct faults in {sum(counts.values())} attacks")
    sys.exit(bool(faults))


if __name__ == "__main__":
    main()
