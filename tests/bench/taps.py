"""Taps of the journeys, beside those of an earlier version: `python -m tests.bench.taps 8c35d43`.

What stands in the table of the journeys is held by their tests: none may take more. This compares two of these tables,
names what takes more taps than then, and what is not walked any more.
"""

import re
import subprocess
import sys

from ..conftest import ROOT

_TABLE = "tests/ui/journeys/README.md"


def taps_in(table: str) -> dict[str, int]:
    """Taps by test."""
    return {name: int(taps) for name, taps in re.findall(r"^\| `(test_\w+)` \|.*\| (\d+) \|$", table, re.M)}


def main() -> int:
    earlier = sys.argv[1]
    told = subprocess.run(["git", "show", f"{earlier}:{_TABLE}"], cwd=ROOT, capture_output=True, text=True, check=True)
    then, now = taps_in(told.stdout), taps_in((ROOT / _TABLE).read_text())
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
