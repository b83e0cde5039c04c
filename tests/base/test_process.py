"""What a window frees goes back to the machine, also when something small was put behind it."""

import subprocess
import sys

import pytest

_MB = 1 << 20
# A large page freed first has glibc keep whatever is smaller from then on.
_PROGRAM = """
import sys
import numpy as np
from nomos.base.process import keep_little

def resident():
    return int(open("/proc/self/statm").read().split()[1]) * 4096

if sys.argv[1] == "little":
    keep_little()
large = np.ones(24 << 20, np.uint8)
del large
pages, behind = [], []
before = resident()
for _ in range(6):
    pages.append(np.ones(12 << 20, np.uint8))
    behind.append(np.ones(1 << 16, np.uint8))
pages.clear()
print(resident() - before)
"""


@pytest.mark.skipif(sys.platform != "linux", reason="glibc's way to keep memory")
def test_pages_go_back_at_once() -> None:
    kept = {
        how: int(subprocess.run([sys.executable, "-c", _PROGRAM, how], check=True, capture_output=True).stdout)
        for how in ("as usual", "little")
    }
    assert kept["little"] < 4 * _MB
    # Were this no longer so, nothing need be told any more.
    assert kept["as usual"] > 40 * _MB
