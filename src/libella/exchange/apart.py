"""A file of putts read in a process of its own: whatever it holds, the server keeps its memory and its time.

`python -m libella.exchange.apart` is that process: the file comes on its standard input, and what it says goes out as
one line of JSON with the text of the table behind it.
"""

import contextlib
import json
import os
import resource
import signal
import subprocess
import sys
import tempfile
from dataclasses import asdict
from pathlib import Path
from typing import IO, Any, Final

from ..core.measure.limits import OutOfLimits
from .sheet import Sheet, read_sheet

MOST_MEMORY: Final = 256 * 1024 * 1024
MOST_SECONDS: Final = 20
"""Seconds of processor; a machine that has other work gives it longer."""
_PATIENCE_S: Final = 3 * MOST_SECONDS
_PYTHON: Final = {
    "PYTHONPATH": str(Path(__file__).parents[2]),
    **{it: os.environ[it] for it in ("PYTHONDONTWRITEBYTECODE", "PYTHONPYCACHEPREFIX") if it in os.environ},
    "LC_ALL": "C.UTF-8",
}
"""All that the process knows of its surroundings: no address, no secret."""


def read_apart(content: bytes) -> Sheet:
    """The same as `read_sheet`, at no cost to whoever asks; `OutOfLimits` also for what takes too much to read."""
    with tempfile.TemporaryFile() as given, tempfile.TemporaryFile() as told:
        given.write(content)
        given.seek(0)
        # A bomb kills the process that reads it, and nobody waits longer for it than for any other.
        try:
            ended = subprocess.run(
                [sys.executable, "-m", "libella.exchange.apart"],
                stdin=given,
                stdout=told,
                stderr=subprocess.DEVNULL,
                env=_PYTHON,
                timeout=_PATIENCE_S,
                check=False,
            )
        except subprocess.TimeoutExpired:
            raise OutOfLimits("file", "file_slow", most_s=MOST_SECONDS) from None
        if ended.returncode == -signal.SIGXCPU:
            raise OutOfLimits("file", "file_slow", most_s=MOST_SECONDS)
        told.seek(0)
        head = told.readline()
        if ended.returncode or not head:
            raise OutOfLimits("file", "file_heavy", most_mb=MOST_MEMORY // 1024**2)
        return _sheet(json.loads(head), told)


def _sheet(head: dict[str, Any], told: IO[bytes]) -> Sheet:
    if refused := head.get("refused"):
        raise OutOfLimits(refused["field"], refused["code"], refused["unit"], **refused["facts"])
    return Sheet(
        told.read().decode("utf-8", "surrogatepass"),
        head["delimiter"],
        tuple(head["headings"]),
        head["rows"],
        head["begins"],
        tuple(head["above"]),
        head["sheet"],
        tuple((name, count) for name, count in head["others"]),
    )


def _read(content: bytes, out: IO[bytes]) -> None:
    try:
        sheet = read_sheet(content)
    except OutOfLimits as why:
        told = {"field": why.field, "code": why.code, "unit": why.unit, "facts": why.facts}
        out.write(json.dumps({"refused": told}).encode())
        return
    head = {name: it for name, it in asdict(sheet).items() if name != "text"}
    out.write(json.dumps(head).encode() + b"\n")
    # In pieces: the text as bytes would stand in memory beside itself.
    for at in range(0, len(sheet.text), 1024**2):
        out.write(sheet.text[at : at + 1024**2].encode("utf-8", "surrogatepass"))


def _main() -> None:
    for what, most, at_last in (
        (resource.RLIMIT_AS, MOST_MEMORY, MOST_MEMORY),
        (resource.RLIMIT_CPU, MOST_SECONDS, MOST_SECONDS + 1),
        (resource.RLIMIT_FSIZE, MOST_MEMORY, MOST_MEMORY),
        (resource.RLIMIT_CORE, 0, 0),
        (resource.RLIMIT_NPROC, 0, 0),
    ):
        # Where the machine holds us to less already, that stands.
        with contextlib.suppress(ValueError, OSError):
            resource.setrlimit(what, (most, at_last))
    # Whoever is putting comes first.
    os.nice(5)
    try:
        _read(sys.stdin.buffer.read(), sys.stdout.buffer)
    except MemoryError:
        os._exit(1)


if __name__ == "__main__":
    _main()
