"""PostgreSQL behind a pool of connections, as deploy/pgbouncer.ini sets it up."""

import configparser
import contextlib
import os
import pwd
import shutil
import socket
import subprocess
import tempfile
import time
from collections.abc import Generator
from contextlib import contextmanager
from pathlib import Path
from urllib.parse import SplitResult, urlsplit, urlunsplit

from .conftest import ROOT
from .served import free_port


class Pool:
    """A pool before a database, while the block lasts; it can be killed, and started again at the same place."""

    def __init__(self, url: str) -> None:
        self._at, self._port = urlsplit(url), free_port()
        at = self._at
        self.url = urlunsplit(at._replace(netloc=f"{at.username}:{at.password}@127.0.0.1:{self._port}"))

    def __enter__(self) -> "Pool":
        self._folder = tempfile.TemporaryDirectory()
        self.start()
        return self

    def __exit__(self, *_: object) -> None:
        self._process.terminate()
        self._process.wait()
        self._folder.cleanup()

    def start(self) -> None:
        self._process = _started(Path(self._folder.name), self._at, self._port)
        _wait(self._port, self._process)

    def kill(self) -> None:
        self._process.kill()
        self._process.wait()
        # Its number would keep the next one from starting.
        (Path(self._folder.name) / "pgbouncer.pid").unlink(missing_ok=True)


@contextmanager
def pooled(url: str) -> Generator[str]:
    """The URL of the same database behind a pool that runs while the block lasts."""
    with Pool(url) as pool:
        yield pool.url


def _started(folder: Path, at: SplitResult, port: int) -> subprocess.Popen[bytes]:
    config = configparser.ConfigParser()
    config.read(ROOT / "deploy" / "pgbouncer.ini")
    config["databases"]["*"] = f"host=127.0.0.1 port={at.port}"
    config["pgbouncer"].update(
        {
            "listen_port": str(port),
            "auth_file": str(folder / "userlist.txt"),
            "logfile": str(folder / "pgbouncer.log"),
            "pidfile": str(folder / "pgbouncer.pid"),
        }
    )
    (folder / "userlist.txt").write_text(f'"{at.username}" "{at.password}"\n')
    with (folder / "pgbouncer.ini").open("w") as file:
        config.write(file)
    words = [shutil.which("pgbouncer") or "/usr/sbin/pgbouncer", "-q", str(folder / "pgbouncer.ini")]
    if os.geteuid() == 0:
        # It refuses to run as root, as the server does.
        whose = pwd.getpwnam("postgres")
        for it in (folder, *folder.iterdir()):
            os.chown(it, whose.pw_uid, whose.pw_gid)
        words = [*words[:1], "-u", "postgres", *words[1:]]
    return subprocess.Popen(words, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)


def _wait(port: int, pool: subprocess.Popen[bytes]) -> None:
    for _ in range(200):
        with contextlib.suppress(OSError), socket.create_connection(("127.0.0.1", port), timeout=1):
            return
        assert pool.poll() is None, "the pool ended"
        time.sleep(0.05)
    raise AssertionError("the pool does not answer")
