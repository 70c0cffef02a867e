"""No test fails by the machine: the suite three times, each in another order, with two busy processes beside it.

`python -m tests.bench.shuffled [parts…]` tells every test that failed in some run, in which, and ends with how many.
"""

import json
import os
import subprocess
import sys
from collections.abc import Iterator
from contextlib import contextmanager

from ..conftest import ROOT
from ..times import KEPT_IN

RUNS = 3
BUSY = 2


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
    failed: dict[str, list[int]] = {}
    with busy_beside():
        for run in range(1, RUNS + 1):
            subprocess.run(
                [str(ROOT / "test"), *sys.argv[1:]], env=os.environ | {"LIBELLA_SHUFFLED": str(run)}, check=False
            )
            told = json.loads(KEPT_IN.read_text())
            print(f"run {run}: {len(told['tests'])} tests in {told['took']:.0f} s, {len(told['failed'])} failed")
            for name in told["failed"]:
                failed.setdefault(name, []).append(run)
    for name, runs in failed.items():
        print(f"failed in {runs}: {name}")
    differ = sum(len(runs) < RUNS for runs in failed.values())
    print(f"{differ} differ between the runs, {len(failed) - differ} failed in every one")
    return bool(failed)


if __name__ == "__main__":
    sys.exit(main())
