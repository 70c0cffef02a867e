"""`./serve --check`: what is wrong with port, name, certificate, disk, backup and clock, before anybody finds out."""

import shutil
import socket
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from pathlib import Path
from typing import Final

from ..api.watch.front import Front, is_address
from ..store.server.backup_file import backups_in, made_at
from .names import is_name, is_range

_LOW_BYTES: Final = 2 * 1024**3
_OLD_BACKUP: Final = timedelta(days=2)
_BUILT: Final = datetime(2026, 1, 1, tzinfo=UTC)


@dataclass(frozen=True, slots=True)
class Looked:
    """What was looked at, whether it is well, and what there is to say or do."""

    what: str
    well: bool
    says: str


def look(front: Front, now: datetime) -> Sequence[Looked]:
    """Look at everything; what can't be told is not well."""
    looks: tuple[Callable[[], Looked], ...] = (
        lambda: _name(front.names),
        lambda: _port(front.port),
        lambda: _forwarders(front.forwarders),
        lambda: _certificate(front, now),
        lambda: _disk(front.folder),
        lambda: _backup(front.folder, now),
        lambda: _clock(now),
    )
    return [it() for it in looks]


def _name(names: Sequence[str]) -> Looked:
    bad = [it for it in names if not is_name(it)]
    if not names or bad:
        said = f"{', '.join(bad)} is no name of a machine" if bad else "no name is known"
        return Looked("name", False, f"{said}: set LIBELLA_NAMES, as LIBELLA_NAMES=floor.local,192.0.2.7")
    lost = [it for it in names if not is_address(it) and not _leads_anywhere(it)]
    if lost:
        return Looked("name", False, f"{', '.join(lost)} leads nowhere from here: other devices may not find it either")
    return Looked("name", True, ", ".join(names))


def _leads_anywhere(name: str) -> bool:
    try:
        return bool(socket.getaddrinfo(name, None))
    except OSError:
        return False


def _forwarders(forwarders: Sequence[str]) -> Looked:
    bad = [it for it in forwarders if not is_range(it)]
    if bad:
        said = f"{', '.join(bad)} is no address, nor a range: set LIBELLA_FORWARDERS, as 192.0.2.7 or 192.0.2.0/24"
        return Looked("forwarders", False, said)
    return Looked("forwarders", True, ", ".join(forwarders) or "none: who asks is told by the line he asks on")


def _port(port: int) -> Looked:
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind(("", port))
        except PermissionError:
            said = f"{port} needs root; choose one from 1024 on: LIBELLA_HTTPS_PORT=8443"
            return Looked("port", False, said)
        except OSError:
            return Looked("port", True, f"{port} is in use: by Libella, if it runs; else choose another")
    return Looked("port", True, f"{port} is free")


def _certificate(front: Front, now: datetime) -> Looked:
    until = front.certificate_until()
    if until is None:
        return Looked("certificate", False, "none is shown: start ./serve, then look again")
    if not front.is_renewed(until, now):
        return Looked("certificate", False, f"it runs out {until:%d %b %Y, %H:%M} and was not renewed")
    return Looked("certificate", True, f"good until {until:%d %b %Y, %H:%M}; it is renewed by itself")


def _disk(folder: Path) -> Looked:
    there = next(it for it in (folder, *folder.parents) if it.exists())
    free = shutil.disk_usage(there).free
    return Looked("disk", free >= _LOW_BYTES, f"{free / 1024**3:.1f} GiB free; a backup with its photographs takes 2")


def _backup(folder: Path, now: datetime) -> Looked:
    found = backups_in(folder)
    if not found:
        return Looked("backup", False, "there is none: ./backup writes one")
    at = made_at(found[-1])
    return Looked("backup", now - at < _OLD_BACKUP, f"the newest is of {at:%d %b %Y, %H:%M}")


def _clock(now: datetime) -> Looked:
    well = now > _BUILT
    return Looked("clock", well, f"{now:%d %b %Y, %H:%M} UTC" + ("" if well else ": it is wrong"))
