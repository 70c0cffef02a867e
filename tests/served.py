"""Libella served by processes of its own, as ./demo starts it."""

import os
import signal
import socket
import subprocess
import sys
import time
import urllib.request

from .conftest import ROOT


class Served:
    """Libella as a process of its own, as ./demo starts it."""

    def __init__(self, url: str, workers: int = 1, *, metrics: bool = False, pool: str = "") -> None:
        self.port, self.metrics_port = free_port(), free_port() if metrics else 0
        self.asked = workers
        self._process: subprocess.Popen[bytes] | None = None
        self.address = f"http://127.0.0.1:{self.port}"
        self._environment = os.environ | {
            "LIBELLA_DATABASE_URL": url,
            "LIBELLA_POOL_URL": pool,
            "LIBELLA_PORT": str(self.port),
            "LIBELLA_WORKERS": str(workers),
            "LIBELLA_METRICS_PORT": str(self.metrics_port),
            "PYTHONPATH": str(ROOT / "src"),
        }

    @property
    def runs(self) -> bool:
        return self._process is not None and self._process.poll() is None

    def start(self) -> None:
        self._process = subprocess.Popen(
            [sys.executable, "-m", "libella.demo"], env=self._environment, stdout=subprocess.DEVNULL
        )
        # A busy machine is no mistake of the code; a server that ended is told at once.
        for _ in range(900):
            try:
                urllib.request.urlopen(f"{self.address}/api/health", timeout=1)
                return
            except OSError:
                assert self._process.poll() is None, "the server ended"
                time.sleep(0.1)
        raise AssertionError("the server does not answer")

    def kill(self) -> None:
        """As if the plug were pulled."""
        assert self._process is not None
        self._process.send_signal(signal.SIGKILL)
        self._process.wait()

    def workers(self) -> list[int]:
        """The processes that serve, where there are several."""
        assert self._process is not None
        told = subprocess.run(["pgrep", "-P", str(self._process.pid)], capture_output=True, text=True, check=False)
        # One of them only keeps track of what the others share.
        return [int(it) for it in told.stdout.split() if b"spawn_main" in _words(int(it))]


def free_port() -> int:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return probe.getsockname()[1]


def _words(process: int) -> bytes:
    try:
        with open(f"/proc/{process}/cmdline", "rb") as words:
            return words.read()
    except OSError:
        return b""
