"""The file of a backup: a line that says what it holds, then PostgreSQL's own dump, which is held to that line."""

import hashlib
import json
import os
import shutil
from collections.abc import Mapping, Sequence
from dataclasses import asdict, dataclass
from datetime import UTC, datetime
from pathlib import Path
from typing import Any, BinaryIO, Final

BESIDE: Final = "backups"
"""The folder for backups, beside what they are of."""
_FORMAT, _VERSION = "libella-backup", 1
_LONGEST_LINE: Final = 1 << 20
_CHUNK: Final = 1 << 20


def backups_in(folder: Path) -> Sequence[Path]:
    """The backups that lie beside what is kept in a folder, the oldest first."""
    return sorted((folder / BESIDE).glob("*.backup"), key=made_at)


def made_at(backup: Path) -> datetime:
    """When a backup that lies there was written, UTC."""
    return datetime.fromtimestamp(backup.stat().st_mtime, UTC)


class BackupError(RuntimeError):
    """A backup could not be made or restored: what happened, and that nothing was changed."""


@dataclass(frozen=True, slots=True)
class Held:
    """What a backup says of itself.

    Attributes
    ----------
    program, schema : the version of the Libella that made it, and of its tables
    made_at : when, ISO 8601 in UTC
    tables : of every table its rows, and a sum over them that no change leaves as it is
    size, sha256 : of the dump
    """

    program: str
    schema: str
    made_at: str
    tables: Mapping[str, tuple[int, str]]
    size: int = 0
    sha256: str = ""


def write(file: Path, held: Held, dump: Path) -> None:
    """Put what is held and the dump into a new file that its owner alone can read; on the disk when this returns."""
    with dump.open("rb") as given:
        size, digest = _summed(given)
    line = json.dumps({"format": _FORMAT, "version": _VERSION} | asdict(held) | {"size": size, "sha256": digest})
    with os.fdopen(os.open(file, os.O_WRONLY | os.O_CREAT | os.O_EXCL, 0o600), "wb") as out, dump.open("rb") as given:
        out.write(line.encode() + b"\n")
        shutil.copyfileobj(given, out, _CHUNK)
        out.flush()
        os.fsync(out.fileno())


def read(file: Path, dump: Path) -> Held:
    """What a backup holds, its dump taken out into `dump`; `BackupError` for a file that is none, or is damaged."""
    with file.open("rb") as given:
        line = given.readline(_LONGEST_LINE)
        held = _held(line, file)
        with os.fdopen(os.open(dump, os.O_WRONLY | os.O_CREAT | os.O_EXCL, 0o600), "wb") as out:
            found = _summed(given, out)
    if found != (held.size, held.sha256):
        raise BackupError(f"{file} is damaged: it is not as it was written; nothing was changed.")
    return held


def _held(line: bytes, file: Path) -> Held:
    none = BackupError(f"{file} is no backup of Libella's; nothing was changed.")
    if not line.endswith(b"\n"):
        raise none
    try:
        told: Any = json.loads(line)
    except (ValueError, RecursionError):
        raise none from None
    if not isinstance(told, dict) or told.get("format") != _FORMAT:
        raise none
    if told.get("version") != _VERSION:
        raise BackupError(
            f"{file} is a backup of a newer Libella (form {str(told.get('version'))[:20]}); nothing was changed."
        )
    try:
        tables = {str(name): (int(rows), str(digest)) for name, (rows, digest) in told["tables"].items()}
        return Held(
            str(told["program"]), str(told["schema"]), str(told["made_at"]), tables, int(told["size"]),
            str(told["sha256"]),
        )  # fmt: skip
    except (KeyError, TypeError, ValueError, AttributeError):
        raise none from None


def _summed(given: BinaryIO, out: BinaryIO | None = None) -> tuple[int, str]:
    """How much is given, and its checksum; copied to `out` on the way, where that is told."""
    digest, size = hashlib.sha256(), 0
    while part := given.read(_CHUNK):
        digest.update(part)
        size += len(part)
        if out is not None:
            out.write(part)
    return size, digest.hexdigest()
