"""Everything of a golfer out of the tables, for good."""

from typing import Final

from sqlalchemy import text
from sqlalchemy.engine import CursorResult
from sqlalchemy.orm import Session

from .kinds import IN_COMMON, WITH_A_GOLFER, kinds
from .rows import Scope

_OF_STUDIO: Final = WITH_A_GOLFER | {IN_COMMON, "sensor", "sensor_zero", "stroke_tap"}
"""What a golfer's archive holds and is not the golfer's alone: drills, and devices that go from one to the next."""


_OF_ACCOUNT: Final = ("sign_in", "one_time_link", "recovery_code", "passkey", "passkey_question", "deed")
"""What an account holds by which a golfer saw what was released; every other account stays, with what it did."""


def remove_golfer(session: Session, scope: Scope) -> int:
    """Delete every row of a golfer and all that is worked out from them; how many were entered. It takes as long as it
    takes, and is not told row by row as somebody's deeds."""
    assert scope.golfer_id is not None, "a studio is not deleted"
    session.execute(text("select set_config('statement_timeout', '0', true), set_config('libella.account', '', true)"))
    files = scope.reached("file_import")
    session.execute(text(f"delete from file_work where import_id in (select id from file_import where {files})"))
    session.execute(text(f"delete from archive_work where {scope.own}"))
    session.execute(text(f"update sensor set lesson_id = null where lesson_id in ({scope.lessons})"))
    session.execute(text(f"update screen set lesson_id = null where lesson_id in ({scope.lessons})"))
    theirs = f"studio_id = '{scope.studio_id}' and account_id in (select id from account where {scope.own})"
    for table in _OF_ACCOUNT:
        session.execute(text(f"delete from {table} where {theirs}"))
    session.execute(text(f"delete from account where {scope.own}"))
    removed = 0
    for kind in reversed(kinds()):
        if kind.name in _OF_STUDIO:
            continue
        reached = scope.reached(kind.name)
        if reached is not None:
            gone = session.execute(text(f"delete from {kind.name} where {reached}"))
            assert isinstance(gone, CursorResult)
            removed += gone.rowcount
    return removed
