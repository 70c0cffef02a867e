"""The marks of golfers and lessons (migrations 0013, 0050), asked with every page: in words that need no building."""

from typing import Final

from sqlalchemy import text

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
