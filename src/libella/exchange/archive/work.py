"""Making, looking at and taking in an archive: the work itself, for whichever process does it. What is asked
for again once it is done is not done again."""

import logging
import tempfile
from collections.abc import Generator
from contextlib import contextmanager
from dataclasses import replace
from typing import IO, Final
from uuid import UUID

from sqlalchemy.orm import Session

from ...core.measure.limits import OutOfLimits
from ...lessons.desk.desk import Desk
from ...lessons.golfer import golfers
from ...lessons.keep import archive_work, sound
from ...lessons.keep.archive_work import Found
from ...lessons.keep.stoppable import Cancelled
from ...lessons.values import KeptGolfer
from ...store.whole import take_time
from ...store.whole.rows import Scope
from ...store.whole.take_in import TakeIn, Taken
from .form import Progress
from .reader import Archive
from .writer import Papers, write

_log = logging.getLogger("libella")
_EVERY: Final = 2000
_MEMORY: Final = 32 * 1024**2
"""Up to this size an archive is made and read in memory, a larger one in a file that is gone when closed."""


def make_archive(desk: Desk, id: UUID, papers: Papers) -> None:
    """Make the archive that was asked for, and keep its file until it is fetched."""
    it = archive_work.work_on(desk, id)
    if it.phase != "making":
        return
    scope = Scope(desk.studio_id, it.golfer_id)
    with _work(desk, id), tempfile.SpooledTemporaryFile(_MEMORY) as file, desk.transaction() as session:
        # One state of all tables, whatever is written meanwhile.
        session.connection(execution_options={"isolation_level": "REPEATABLE READ"})
        take_time(session)
        write(file, session, scope, _people(desk, scope), papers, _seldom(desk, id))
        file.seek(0)
        archive_work.keep_file(desk, id, file)
        archive_work.end(desk, id, "made")


def _people(desk: Desk, scope: Scope) -> list[KeptGolfer]:
    if scope.golfer_id is not None:
        return [golfers.golfer(desk, scope.golfer_id)]
    people: list[KeptGolfer] = []
    after: tuple[str, UUID] | None = None
    while some := golfers.find_golfers(desk, after=after):
        people += some
        after = some[-1].name, some[-1].id
    return people


def check_archive(desk: Desk, id: UUID) -> None:
    """Look at a given archive, file by file, and keep what was found."""
    if archive_work.work_on(desk, id).phase != "checking":
        return
    with _work(desk, id), _given(desk, id) as file:
        try:
            found = Archive(file).look(_seldom(desk, id, every=50))
        except OutOfLimits as why:
            found = _refused(Found(), why)
        archive_work.end(desk, id, "checked", found)


def take_archive(desk: Desk, id: UUID) -> None:
    """Take an archive in: all of it, once everything in it was read as its pages will read it; or nothing."""
    it = archive_work.work_on(desk, id)
    if it.phase != "taking":
        return
    found = it.found
    with _work(desk, id), _given(desk, id) as file:
        try:
            with desk.together() as whole, whole.transaction() as session:
                taken = _take(whole, session, Archive(file), _seldom(desk, id))
        except OutOfLimits as why:
            archive_work.end(desk, id, "checked", _refused(found, why))
            return
        came = replace(
            found,
            new=tuple((name, count) for name, count in taken.new.items() if count),
            here=sum(taken.here.values()),
            otherwise=taken.others,
            rows_otherwise=taken.otherwise,
        )
        archive_work.end(desk, id, "taken", came)
        archive_work.let_go_of_file(desk, id)


def _take(desk: Desk, session: Session, archive: Archive, progress: Progress) -> Taken:
    told = archive.manifest
    # Set down, taken in, read again: the third is counted as much as the first.
    rows = sum(it.rows for it in told.tables)
    done, total = 0, 2 * rows
    take_time(session)
    into = TakeIn(session, desk.studio_id)
    for kind, table in archive.tables():
        into.begin(kind, table.columns)
        for some, count in archive.rows(kind):
            into.set_down(kind, some)
            done += count
            progress(done, total)
    taken = into.take(whole=told.scope == "studio")
    into.end()
    done = rows
    sound.read_studio(desk)
    for golfer_id in taken.golfers:
        for count in sound.read_golfer(desk, golfer_id):
            done = min(done + count, total)
            progress(done, total)
        desk.let_go()
    return taken


def _refused(found: Found, why: OutOfLimits) -> Found:
    facts = tuple((name, str(it)) for name, it in why.facts.items())
    return replace(found, refused=why.code, facts=facts)


@contextmanager
def _work(desk: Desk, id: UUID) -> Generator[None]:
    """Keep how it ended where it did not end by itself."""
    try:
        yield
    except Cancelled:
        archive_work.end(desk, id, "stopped")
    except Exception:
        archive_work.end(desk, id, "failed")
        _log.exception("the work on an archive failed")
        raise


@contextmanager
def _given(desk: Desk, id: UUID) -> Generator[IO[bytes]]:
    with tempfile.SpooledTemporaryFile(_MEMORY) as file:
        for piece in archive_work.pieces(desk, id):
            file.write(piece)
        file.seek(0)
        yield file


def _seldom(desk: Desk, id: UUID, every: int = _EVERY) -> Progress:
    """Tell how far it is, not at each step; raises when it was told to stop."""
    last = -every

    def progress(done: int, total: int) -> None:
        nonlocal last
        if abs(done - last) >= every or done == total:
            last = done
            archive_work.at(desk, id, done, total)

    return progress
