"""Whatever a run of the tests began ends with it, however it ends: its servers, its browsers, its folder.

The process that begins a run has a pipe to a sweeper, which sweeps when the pipe closes; a process that is killed
closes its pipes, too. All of a run works in one folder, and what it starts inherits its name.
"""

import contextlib
import os
import shutil
import signal
import subprocess
import sys
import tempfile
import time
from pathlib import Path

NAMED = "LIBELLA_TESTS"
_PATIENCE_S = 10.0


class Swept:
    """A run's folder, in which everything temporary lies from now on, and the sweeper that waits for its end."""

    def __init__(self) -> None:
        self.folder = Path(tempfile.mkdtemp(prefix="libella-tests-"))
        # The server's user, who is another when we are root, goes through it.
        self.folder.chmod(0o755)
        os.environ["TMPDIR"] = os.environ[NAMED] = str(self.folder)
        tempfile.tempdir = None
        waits, self._open = os.pipe()
        self._sweeper = subprocess.Popen(
            [sys.executable, __file__, str(self.folder)], stdin=waits, start_new_session=True
        )
        os.close(waits)

    def end(self) -> None:
        os.close(self._open)
        self._sweeper.wait()


def folder_of_run() -> Path:
    """The folder that all processes of this run share."""
    return Path(os.environ[NAMED])


def processes_of(folder: Path) -> list[int]:
    """Every other process that the run of that folder began, or that works in it."""
    named = f"{NAMED}={folder}".encode()
    found = []
    for it in Path("/proc").iterdir():
        if it.name.isdigit() and int(it.name) != os.getpid():
            with contextlib.suppress(OSError):
                begun = named in (it / "environ").read_bytes().split(b"\0")
                if begun or (it / "cwd").readlink().is_relative_to(folder):
                    found.append(int(it.name))
    return found


def _sweep(folder: Path) -> None:
    until = time.monotonic() + _PATIENCE_S
    asked: set[int] = set()
    while left := processes_of(folder):
        for process in left:
            with contextlib.suppress(OSError):
                words = Path(f"/proc/{process}/cmdline").read_bytes().split(b"\0")
                database = words[0].endswith(b"postgres") and b"-D" in words
                # A database that is asked to go takes its shared memory along.
                if not database or time.monotonic() > until:
                    os.kill(process, signal.SIGKILL)
                elif process not in asked:
                    asked.add(process)
                    os.kill(process, signal.SIGQUIT)
        time.sleep(0.05)
    shutil.rmtree(folder, ignore_errors=True)


if __name__ == "__main__":
    sys.stdin.buffer.read()
    _sweep(Path(sys.argv[1]))
