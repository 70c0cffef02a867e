"""Golfers deleted for good, for how long the others are kept, and until when backups still hold them."""

from collections.abc import Callable, Sequence
from datetime import UTC, datetime, timedelta
from pathlib import Path
from typing import Final
from uuid import UUID as AnyUUID

from fastapi import Request
from pydantic import BaseModel, Field

from ...lessons.desk.desk import Desk, studio
from ...lessons.people import removals
from ...store.server.backup_file import backups_in, made_at
from ...words.people.consents import kept_until, removal_said, run_said
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, ShortWords

router = Router(tags=["removals"])
_NIGHT: Final = 3
"""From this hour on, UTC, the day's look is taken: nobody is on the green, where the machine is on by then."""
_REMOVED: Final = "removed"
"""The file beside the database that names who was deleted: a backup brought back does not bring them back."""


class RemovalIn(Entry):
    golfer_id: UUID
    name: ShortWords = Field(description="the golfer's own, so that nobody is deleted by a slip")


class RemovalOut(BaseModel):
    """What was deleted, and until when backups still hold it."""

    says: str
    backups: str


class GoesOut(BaseModel):
    """A golfer who goes before long by the studio's rule."""

    golfer_id: UUID
    name: str
    seen_at: datetime = Field(description="the last sign of them")
    goes_at: datetime


class RemovalsOut(BaseModel):
    kept_years: int | None = Field(description="years without a sign after which golfers are deleted; null: never")
    due: list[GoesOut] = Field(description="who goes within two months, the first to go first")
    removed: list[str] = Field(description="newest first; no name is left")
    runs: list[str] = Field(description="what the last looks at who was not seen came to, newest first")
    backups: str = Field(description="until when backups hold whoever were deleted now")


class KeptYearsIn(Entry):
    years: int | None = Field(description="1 to 30 years; null: nobody is deleted by itself")


@router.get("/removals")
def listed(desk: AtDesk, request: Request) -> RemovalsOut:
    """The rule, who goes before long by it, and who went."""
    now = datetime.now(UTC)
    return RemovalsOut(
        kept_years=studio(desk).kept_years,
        due=[
            GoesOut(golfer_id=it.golfer_id, name=it.name, seen_at=it.seen_at, goes_at=it.goes_at)
            for it in removals.due(desk, now)
        ],
        removed=[removal_said(it.why, it.rows, it.at) for it in removals.removals(desk)],
        runs=[run_said(it.years, it.looked_at, it.removed, it.at) for it in removals.runs(desk)],
        backups=_in_backups(request),
    )


@router.put("/removals/{id}")
def remove(desk: AtDesk, request: Request, id: UUID7, entry: RemovalIn) -> RemovalOut:
    """Delete everything of a golfer, for good."""
    who = getattr(request.state, "who", None)
    account = who.account.id if who else None
    done = removals.remove(desk, id, entry.golfer_id, entry.name, datetime.now(UTC), account)
    remember(request.app.state.kept_in, [done.golfer_id])
    return RemovalOut(says=removal_said(done.why, done.rows, done.at), backups=_in_backups(request))


@router.put("/kept-years")
def keep_for(desk: AtDesk, request: Request, entry: KeptYearsIn) -> RemovalsOut:
    """For how long golfers are kept without a sign of them. Nobody is deleted within a month of it."""
    removals.keep_for(desk, entry.years, datetime.now(UTC))
    return listed(desk, request)


def remember(folder: Path | None, golfers: Sequence[AnyUUID]) -> None:
    """Name who was deleted beside the database; where that is elsewhere there is no place for it."""
    if folder is None or not folder.is_dir() or not golfers:
        return
    with (folder / _REMOVED).open("a") as out:
        out.writelines(f"{it}\n" for it in golfers)


def remove_again(desk: Callable[[], Desk], folder: Path | None) -> int:
    """Delete again whom a backup brought back; how many. Where nobody was ever deleted the database is not asked."""
    file = folder / _REMOVED if folder else None
    if file is None or not file.is_file():
        return 0
    named = [AnyUUID(it) for it in dict.fromkeys(file.read_text().split())]
    return removals.remove_again(desk(), named, datetime.now(UTC))


def nightly(desk: Desk, folder: Path | None, backup_days: int, now: datetime | None = None) -> None:
    """What is done once a day, by night or as soon as the machine is on again: delete whoever was not seen for as long
    as the rule says, and backups that are too old, so that whoever was deleted is gone from everywhere one day. The
    newest backup always stays."""
    now = now or datetime.now(UTC)
    # The database may have been away at the start.
    remove_again(lambda: desk, folder)
    night = now.replace(hour=_NIGHT, minute=0, second=0, microsecond=0)
    last = removals.runs(desk)[:1]
    if now >= night and (not last or last[0].at < night):
        remember(folder, removals.remove_unseen(desk, now))
    if folder and backup_days:
        for it in backups_in(folder)[:-1]:
            if made_at(it) + timedelta(days=backup_days) < now:
                it.unlink()


def _in_backups(request: Request) -> str:
    folder: Path | None = request.app.state.kept_in
    found = backups_in(folder) if folder else ()
    days: int = request.app.state.backup_days
    goes = made_at(found[-1]) + timedelta(days=days) if found and days else None
    return kept_until(goes, len(found))
