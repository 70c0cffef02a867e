"""How what this stands on is: the database, its disk, the work that waits."""

import shutil
from dataclasses import dataclass
from pathlib import Path
from typing import Final, Literal

from sqlalchemy import Connection, text

State = Literal["ok", "low", "late", "not_told"]
LEAST_FREE: Final = 2 * 1024**3
"""Bytes under which the disk is low: what a backup of a studio with its photographs takes."""
LATE_S: Final = 300.0
"""Work that waited longer than this is late: whoever begins it looks on."""


@dataclass(frozen=True, slots=True)
class Waiting:
    """Long work by what became of it, and for how long the oldest has waited, seconds."""

    by_status: dict[str, int]
    oldest_s: float

    @property
    def state(self) -> State:
        return "late" if self.oldest_s > LATE_S else "ok"


@dataclass(frozen=True, slots=True)
class Disk:
    """Room on the disk where it is kept, bytes."""

    free: int
    whole: int

    @property
    def state(self) -> State:
        return "low" if self.free < LEAST_FREE else "ok"


def room_to_keep(connection: Connection) -> None:
    """Raise unless something can be written."""
    connection.execute(text("create temporary table room (filler text) on commit drop"))
    connection.execute(text("insert into room values (repeat('libella ', 4096))"))


def waiting(connection: Connection) -> Waiting:
    """What is to be done, is being done, and failed."""
    rows = connection.execute(
        text("select status::text as status, count(*) as number from procrastinate_jobs group by status")
    )
    oldest = connection.scalar(
        text(
            "select extract(epoch from now() - min(e.at)) from procrastinate_events e "
            "join procrastinate_jobs j on j.id = e.job_id where j.status = 'todo' and e.type = 'deferred'"
        )
    )
    return Waiting({str(it.status): int(it.number) for it in rows}, float(oldest or 0.0))


def disk_of(folder: Path | None) -> Disk | None:
    """The disk a folder lies on; None where nobody said which."""
    if folder is None or not folder.exists():
        return None
    usage = shutil.disk_usage(folder)
    return Disk(usage.free, usage.total)
