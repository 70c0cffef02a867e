"""Where the entries of the logbook come from: one piece of SQL a table, all of one shape, the newest first."""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any, Final

from sqlalchemy import text
from sqlalchemy.orm import Session


@dataclass(frozen=True, slots=True)
class Arm:
    """Where entries of one sort come from: all as SQL; `words` is what an index is kept of, where there are many, and
    `shows` what is shown of it, where that is another thing."""

    sort: str
    table: str
    at: str
    words: str = "''"
    shows: str = ""
    lesson: str = "null::uuid"
    golfer: str = "t.golfer_id"
    code: str = "''"
    size: str = "null::float"
    where: str = ""
    of_lesson: bool = False

    @property
    def is_searched(self) -> bool:
        """There are words to look for in its rows."""
        return self.words != "''"

    @property
    def function(self) -> str:
        """The database's own, that gives the ids of this studio's rows with these words."""
        return f"with_words_{self.sort}_of_{self.table}"


ARMS: Final = (
    Arm("golfer", "golfer", "t.updated_at", "t.name || ' ' || t.notes", shows="t.notes", golfer="t.id"),
    Arm(
        "lesson", "lesson", "t.started_at",
        "t.place || ' ' || t.conditions || ' ' || t.sheet_note || ' ' || coalesce(t.complaint ->> 'said', '')",
        shows="concat_ws(' · ', nullif(t.place, ''), nullif(t.conditions, ''), nullif(t.complaint ->> 'said', ''), "
        "nullif(t.sheet_note, ''))",
        lesson="t.id", where="t.voided_at is null",
    ),
    Arm("station", "station", "t.laid_at", code="t.rig_kind", size="t.distance_m", of_lesson=True),
    Arm(
        "station", "saved_station", "t.kept_at", "t.name", golfer="null::uuid", code="t.rig_kind", size="t.distance_m",
        where="t.put_away_at is null",
    ),
    Arm(
        "change", "noted_change", "t.made_at", "t.words", lesson="t.lesson_id",
        where="not t.voided and t.kit is null",
    ),
    Arm(
        "kit", "noted_change", "t.made_at",
        "t.words || ' ' || coalesce(t.kit ->> 'putter', '') || ' ' || coalesce(t.kit ->> 'ball', '')",
        shows="concat_ws(' · ', nullif(t.words, ''), nullif(t.kit ->> 'putter', ''), nullif(t.kit ->> 'ball', ''))",
        where="not t.voided and t.kit is not null",
    ),
    Arm(
        "drill", "drill_run", "t.done_at", code="t.drill", size="jsonb_array_length(t.told)::float",
        where="not t.voided",
    ),
    Arm("plan", "practice_plan", "t.made_at", lesson="t.lesson_id", where="not t.voided"),
    Arm("round", "golf_round", "t.played_at", size="jsonb_array_length(t.holes)::float", where="not t.voided"),
    Arm("card", "set_up_card", "t.kept_at", "t.note", lesson="t.lesson_id", where="t.put_away_at is null"),
    Arm("photograph", "set_up_photo", "t.taken_at", lesson="t.lesson_id", code="t.seen_from", where="not t.voided"),
    Arm("note", "finding_answer", "t.answered_at", "t.words", where="not t.voided and t.words <> ''", of_lesson=True),
    Arm("note", "block", "t.started_at", "t.condition", where="t.condition not in ('', 'as usual')", of_lesson=True),
    Arm("note", "set_up", "t.taken_at", "t.name", where="not t.voided and t.name <> ''", of_lesson=True),
)  # fmt: skip


def found(session: Session, facts: Mapping[str, Any]) -> list[dict[str, Any]]:
    """A page of entries.

    `facts`: the studio; `sorts`, `golfer`, `since`, `until` narrow it down; `query` and `codes` are what is searched,
    as PostgreSQL writes it and by codes; `before`: behind which entry, by time and id; `most`: how many.
    """
    queries = [_query(it, facts) for it in ARMS if it.sort in facts["sorts"]]
    if not queries:
        return []
    told = dict(facts)
    if before := told.pop("before"):
        told |= {"before_at": before[0], "before_id": before[1]}
    every = " union all ".join(f"({it})" for it in queries)
    query = (
        f"select it.*, coalesce(g.name, '') as golfer from ({every}) it "
        "left join golfer g on g.studio_id = :studio and g.id = it.golfer_id "
        "order by it.at desc, it.id desc limit :most"
    )
    return [{str(name): value for name, value in it.items()} for it in session.execute(text(query), told).mappings()]


def _query(arm: Arm, facts: Mapping[str, Any]) -> str:
    golfer, lesson = ("l.golfer_id", "l.id") if arm.of_lesson else (arm.golfer, arm.lesson)
    beside = "join lesson l on l.studio_id = t.studio_id and l.id = t.lesson_id" if arm.of_lesson else ""
    where = ["t.studio_id = :studio", *([arm.where] if arm.where else [])]
    if arm.of_lesson:
        where.append("l.voided_at is null")
    if facts["golfer"] is not None:
        where.append(f"{golfer} = :golfer")
    if facts["query"]:
        by_words = f"t.id = any(array(select {arm.function}(:query)))" if arm.is_searched else ""
        by_code = f"{arm.code} = any(:codes)" if arm.code != "''" else ""
        where.append(f"({' or '.join(it for it in (by_words, by_code) if it) or 'false'})")
    if facts["since"] is not None:
        where.append(f"{arm.at} >= :since")
    if facts["until"] is not None:
        where.append(f"{arm.at} < :until")
    if facts["before"] is not None:
        where.append(f"({arm.at}, t.id) < (:before_at, :before_id)")
    return (
        f"select '{arm.sort}' as sort, t.id, {golfer} as golfer_id, {lesson} as lesson_id, {arm.at} as at, "
        f"{arm.shows or arm.words} as words, {arm.code} as code, {arm.size} as size from {arm.table} t {beside} "
        f"where {' and '.join(where)} order by {arm.at} desc, t.id desc limit :most"
    )
