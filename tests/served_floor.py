"""Libella as ./serve starts it: by TLS, through caddy, with everybody signed in."""

import os
import re
import signal
import subprocess
import sys
import threading
import time
from pathlib import Path

from .conftest import ROOT
from .served import free_port


class Floor:
    """A served floor in a folder of its own, on a database that is given."""

    def __init__(self, url: str, folder: Path, names: str = "localhost,127.0.0.1", forwarders: str = "") -> None:
        self.port = free_port()
        self.address = f"https://localhost:{self.port}"
        self.said: list[str] = []
        self._process: subprocess.Popen[str] | None = None
        self.environment = os.environ | {
            "LIBELLA_DATABASE_URL": url,
            "LIBELLA_FOLDER": str(folder),
            "LIBELLA_PORT": str(free_port()),
            "LIBELLA_HTTPS_PORT": str(self.port),
            "LIBELLA_NAMES": names,
            "LIBELLA_FORWARDERS": forwarders,
            "PYTHONPATH": str(ROOT / "src"),
        }

    def start(self) -> None:
        command = [sys.executable, "-m", "libella.serve"]
        self._process = subprocess.Popen(
            command, env=self.environment, stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True
        )
        threading.Thread(target=self._listen, args=(self._process,), daemon=True).start()
        # A busy machine is no mistake of the code; a server that ended is told at once.
        for _ in range(900):
            if any("Ready:" in it for it in self.said):
                return
            assert self._process.poll() is None, "\n".join(self.said)
            time.sleep(0.1)
        raise AssertionError("\n".join(self.said))

    def _listen(self, process: subprocess.Popen[str]) -> None:
        assert process.stdout is not None
        for line in process.stdout:
            self.said.append(line.rstrip())

    def first_link(self) -> str:
        """The link that is printed while nobody has an account."""
        for _ in range(300):
            found = re.search(r"https://\S+/welcome#\S+", "\n".join(self.said))
            if found:
                return found[0]
            time.sleep(0.1)
        raise AssertionError("\n".join(self.said))

    def check(self) -> subprocess.CompletedProcess[str]:
        command = [sys.executable, "-m", "libella.serve", "--check"]
        return subprocess.run(command, env=self.environment, capture_output=True, text=True, check=False)

    def stop(self) -> None:
        assert self._process is not None
        if self._process.poll() is None:
            self._process.send_signal(signal.SIGTERM)
            try:
                self._process.wait(30)
            except subprocess.TimeoutExpired:
                self._process.kill()
