"""No test fails by the machine: the suite three times, each in another order, with two busy processes beside it.

`python -m tests.bench.shuffled [runs…] [parts…]` tells every test that failed in some run, in which, and ends with how
many. A run under load takes over an hour: `… 2 3` does the second and third, and what earlier ones found is kept beside
the times.
"""

import json
import os
import subprocess
import sys
from collections.abc import Iterator
from contextlib import contextmanager

from ..conftest import ROOT
from ..times import KEPT_IN

RUNS = (1, 2, 3)
BUSY = 2
FOUND_IN = KEPT_IN.with_name("shuffled.json")


@contextmanager
def busy_beside() -> Iterator[None]:
    """Processes that compute for nothing until they are told to stop; each stops by itself after three hours."""
    words = "import time; until = time.monotonic() + 10800\nwhile time.monotonic() < until: pass"
    beside = [subprocess.Popen([sys.executable, "-c", words]) for _ in range(BUSY)]
    try:
        yield
    finally:
        for it in beside:
            it.kill()
            it.wait()


def main() -> int:
    asked = sys.argv[1:]
    runs = [int(it) for it in asked if it.isdigit()] or RUNS
    parts = [it for it in asked if not it.isdigit()]
    earlier = FOUND_IN.exists() and runs[0] > 1
    found: dict[str, list[str]] = json.loads(FOUND_IN.read_text()) if earlier else {}
    with busy_beside():
        for run in runs:
            subprocess.run([str(ROOT / "test"), *parts], env=os.environ | {"LIBELLA_SHUFFLED": str(run)}, check=False)
            told = json.loads(KEPT_IN.read_text())
            print(f"run {run}: {len(told['tests'])} tests in {told['took']:.0f} s, {len(told['failed'])} failed")
            found[str(run)] = told["failed"]
            FOUND_IN.write_text(json.dumps(found))
    failed = {
        name: [run for run, names in found.items() if name in names] for names in found.values() for name in names
    }
    for name, in_runs in failed.items():
        print(f"failed in {', '.join(in_runs)}: {name}")
    differ = sum(len(in_runs) < len(found) for in_runs in failed.values())
    print(f"of runs {', '.join(found)}: {differ} tests differ, {len(failed) - differ} failed in every one")
    return bool(failed)


if __name__ == "__main__":
    sys.exit(main())
