"""Starts stand-ins from the demo's menu, each a program of its own, and takes them along when the demo stops."""

import os
import subprocess
import sys
from pathlib import Path

_MOST = 6


class ProgramLauncher:
    """Runs `libella.standins` against the demo's own port."""

    def __init__(self, port: int) -> None:
        self._url = f"http://127.0.0.1:{port}"
        self._programs: dict[str, tuple[str, subprocess.Popen[bytes]]] = {}

    def start(self, id: str, kind: str, code: str, faults: tuple[str, ...]) -> None:
        """Start one; the same id started again is the one that runs."""
        if id in self.running():
            return
        for oldest in list(self.running())[: -_MOST + 1 or None] if len(self.running()) >= _MOST else []:
            self.stop(oldest)
        wrong = [word for it in faults for word in ("--fault", it)]
        source = str(Path(__file__).parents[2])
        program = subprocess.Popen(
            [sys.executable, "-m", "libella.standins", kind, code, "--url", self._url, *wrong],
            env=os.environ | {"PYTHONPATH": source},
            stdin=subprocess.DEVNULL,
            stdout=subprocess.DEVNULL,
            stderr=subprocess.DEVNULL,
        )
        self._programs[id] = kind, program

    def stop(self, id: str) -> None:
        """Stop one."""
        _, program = self._programs.pop(id, ("", None))
        if program is not None and program.poll() is None:
            program.terminate()
            try:
                program.wait(3)
            except subprocess.TimeoutExpired:
                program.kill()

    def running(self) -> dict[str, str]:
        """Kind by id of those that run."""
        return {id: kind for id, (kind, program) in self._programs.items() if program.poll() is None}

    def stop_all(self) -> None:
        for id in list(self._programs):
            self.stop(id)
