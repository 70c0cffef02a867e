"""Starts stand-ins from the demo's menu, each a program of its own, and takes them along when the demo stops.

Which of them run is told by files in a folder, so that any process that serves the demo can tell, and stop them.
"""

import contextlib
import json
import os
import signal
import subprocess
import sys
import time
from pathlib import Path
from typing import Final

_MOST: Final = 6
_PATIENCE_S: Final = 3.0


class ProgramLauncher:
    """Runs `libella.standins` against the demo's own port; `folder` holds one file for each that was started."""

    def __init__(self, port: int, folder: Path) -> None:
        self._url = f"http://127.0.0.1:{port}"
        self._folder = folder

    def start(self, id: str, kind: str, code: str, faults: tuple[str, ...]) -> None:
        """Start one; the same id started again is the one that runs."""
        running = self.running()
        if id in running:
            return
        for oldest in list(running)[: max(0, len(running) - _MOST + 1)]:
            self.stop(oldest)
        wrong = [word for it in faults for word in ("--fault", it)]
        source = str(Path(__file__).parents[2])
        program = subprocess.Popen(
            [sys.executable, "-m", "libella.standins", kind, code, "--url", self._url, *wrong],
            env=os.environ | {"PYTHONPATH": source},
            stdin=subprocess.DEVNULL,
            stdout=subprocess.DEVNULL,
            stderr=subprocess.DEVNULL,
            start_new_session=True,
        )
        self._folder.mkdir(parents=True, exist_ok=True)
        (self._folder / f"{id}.json").write_text(json.dumps({"kind": kind, "process": program.pid}))

    def stop(self, id: str) -> None:
        """Stop one."""
        file = self._folder / f"{id}.json"
        process = self._process(file)
        if process is not None:
            with contextlib.suppress(ProcessLookupError):
                os.kill(process, signal.SIGTERM)
            until = time.monotonic() + _PATIENCE_S
            while self._process(file) is not None and time.monotonic() < until:
                time.sleep(0.05)
            if self._process(file) is not None:
                os.kill(process, signal.SIGKILL)
        file.unlink(missing_ok=True)

    def running(self) -> dict[str, str]:
        """Kind by id of those that run, the oldest first."""
        files = sorted(self._folder.glob("*.json"), key=lambda it: it.stat().st_mtime) if self._folder.exists() else []
        return {it.stem: json.loads(it.read_text())["kind"] for it in files if self._process(it) is not None}

    def stop_all(self) -> None:
        """Stop all of them."""
        for file in list(self._folder.glob("*.json")):
            self.stop(file.stem)

    @staticmethod
    def _process(file: Path) -> int | None:
        """The process of one that runs; a number may be another program's by now, and one that ended has no words."""
        try:
            number = int(json.loads(file.read_text())["process"])
            words = Path(f"/proc/{number}/cmdline").read_bytes()
        except (OSError, ValueError):
            return None
        return number if b"libella.standins" in words else None
