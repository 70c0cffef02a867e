"""A run of the tests that is cut off leaves nothing: no database, no process, no folder."""

import os
import re
import signal
import subprocess
import sys
import time
from pathlib import Path

from ..conftest import ROOT, open_folder
from ..sweeper import folder_of_run, processes_of


def test_a_run_that_is_killed_leaves_no_process_and_no_folder():
    with open_folder() as place:
        _killed_in(place)


def _killed_in(place: Path) -> None:
    tests = ["tests/api/judge/test_bands.py", "tests/api/golfer"]
    run = subprocess.Popen(
        [sys.executable, "-m", "pytest", "-n", "1", "-vv", "-p", "no:cacheprovider", *tests],
        cwd=ROOT, env=os.environ | {"TMPDIR": str(place)}, stdout=subprocess.PIPE, text=True,
    )  # fmt: skip
    assert run.stdout is not None
    for line in run.stdout:
        if "PASSED" in line:  # From here on there is a database.
            break
    [folder] = place.glob("libella-tests-*")
    begun = processes_of(folder)
    words = {Path(f"/proc/{it}/cmdline").read_bytes().split(b"\0")[0].rsplit(b"/")[-1].decode() for it in begun}
    assert "postgres" in words and any(re.match("python", it) for it in words), words
    run.send_signal(signal.SIGKILL)
    run.wait()
    while folder.exists() or processes_of(folder):
        time.sleep(0.1)
    assert folder_of_run() != folder
