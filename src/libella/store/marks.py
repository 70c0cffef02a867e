"""The marks of golfers and lessons (migrations 0013, 0050), asked with every page: in words that need no building."""

from collections.abc import Iterable
from typing import Final
from uuid import UUID

from sqlalchemy import text
from sqlalchemy.orm import Session

_EVERY: Final = """
    select g.golfer_id, g.revision, l.id, (g.own + coalesce(
        sum(r.revision) over (partition by g.golfer_id order by l.started_at), 0))::bigint as mark
    from golfer_revision g
    left join lesson l on l.studio_id = g.studio_id and l.golfer_id = g.golfer_id
    left join lesson_revision r on r.studio_id = l.studio_id and r.lesson_id = l.id
    where g.studio_id = :studio and g.golfer_id = any(:golfers)
"""
EVERY_MARK: Final = text(_EVERY)
MARKS_ASKED: Final = text(f"select * from ({_EVERY}) every where every.id = any(:lessons)")
"""Each golfer's mark with each lesson's: the golfer's own, the lesson's and those of the lessons before it, added; of
`studio`, of `golfers`, and of some `lessons` alone."""

_RAISED: Final = text("""
    insert into golfer_revision (studio_id, golfer_id, revision, own)
        select g.studio_id, g.id, nextval('revision'), nextval('revision') * (
            1 + (select count(*) from lesson l where l.studio_id = g.studio_id and l.golfer_id = g.id))
        from golfer g where g.studio_id = :studio and g.id = any(:golfers) order by 2
        on conflict (studio_id, golfer_id) do update set
            revision = nextval('revision'), own = golfer_revision.own + excluded.own
""")


def raise_marks(session: Session, studio_id: UUID, golfers: Iterable[UUID]) -> None:
    """Raise the marks of golfers and of all their lessons, by more than any lesson that left them can have had."""
    session.execute(_RAISED, {"studio": studio_id, "golfers": list(golfers)})
