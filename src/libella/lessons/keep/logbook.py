"""The logbook: everything that was noted over the years, found by its words, by kind, by golfer, by day; and the time
line of one golfer, which is the same with nothing searched.

The words are searched by PostgreSQL, word by word as they begin, in no language of its own: names and notes are in any.
What is kept as a code (an instrument, a drill) is found by the codes whose names hold what is searched.
"""

import re
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Any, Final, Literal, get_args
from uuid import UUID

from sqlalchemy import text

from ...core.change.drills import drills
from ...core.instruments import instruments
from ...core.measure.limits import OutOfLimits
from ..change.drills import drills_known
from ..desk.desk import Desk

Sort = Literal["golfer", "lesson", "station", "change", "kit", "drill", "plan", "round", "card", "note", "photograph"]
SORTS: Final[tuple[Sort, ...]] = get_args(Sort)
PAGE: Final = 30
_MOST_WORDS: Final = 8


@dataclass(frozen=True, slots=True)
class LogEntry:
    """Something of the logbook.

    words : as it was written; code : what it is by its code, where it is no words; size : its number, where one is told
    lesson_id : the lesson it belongs to; None for what belongs to none
    """

    sort: Sort
    id: UUID
    golfer_id: UUID | None
    golfer: str
    lesson_id: UUID | None
    at: datetime
    words: str
    code: str
    size: float | None


@dataclass(frozen=True, slots=True)
class Sought:
    """What is looked for: words, kinds (none: all), a golfer, from and to a day; and behind which entry to go on."""

    words: str = ""
    sorts: tuple[Sort, ...] = ()
    golfer_id: UUID | None = None
    since: datetime | None = None
    until: datetime | None = None
    before: tuple[datetime, UUID] | None = None

    def __post_init__(self) -> None:
        for it in self.sorts:
            if it not in SORTS:
                raise OutOfLimits("sorts", "no_such_choice", named=it, known=SORTS)


@dataclass(frozen=True, slots=True)
class _Arm:
    """Where entries of one sort come from: all as SQL; `words` is what an index is kept of, where there are many, and
    `shows` what is shown of it, where that is another thing."""

    sort: Sort
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


_ARMS: Final = (
    _Arm("golfer", "golfer", "t.updated_at", "t.name || ' ' || t.notes", shows="t.notes", golfer="t.id"),
    _Arm(
        "lesson", "lesson", "t.started_at",
        "t.place || ' ' || t.conditions || ' ' || t.sheet_note || ' ' || coalesce(t.complaint ->> 'said', '')",
        shows="concat_ws(' · ', nullif(t.place, ''), nullif(t.conditions, ''), nullif(t.complaint ->> 'said', ''), "
        "nullif(t.sheet_note, ''))",
        lesson="t.id", where="t.voided_at is null",
    ),
    _Arm("station", "station", "t.laid_at", code="t.rig_kind", size="t.distance_m", of_lesson=True),
    _Arm(
        "station", "saved_station", "t.kept_at", "t.name", golfer="null::uuid", code="t.rig_kind", size="t.distance_m",
        where="t.put_away_at is null",
    ),
    _Arm(
        "change", "noted_change", "t.made_at", "t.words", lesson="t.lesson_id",
        where="not t.voided and t.kit is null",
    ),
    _Arm(
        "kit", "noted_change", "t.made_at",
        "t.words || ' ' || coalesce(t.kit ->> 'putter', '') || ' ' || coalesce(t.kit ->> 'ball', '')",
        shows="concat_ws(' · ', nullif(t.words, ''), nullif(t.kit ->> 'putter', ''), nullif(t.kit ->> 'ball', ''))",
        where="not t.voided and t.kit is not null",
    ),
    _Arm(
        "drill", "drill_run", "t.done_at", code="t.drill", size="jsonb_array_length(t.told)::float",
        where="not t.voided",
    ),
    _Arm("plan", "practice_plan", "t.made_at", lesson="t.lesson_id", where="not t.voided"),
    _Arm("round", "golf_round", "t.played_at", size="jsonb_array_length(t.holes)::float", where="not t.voided"),
    _Arm("card", "set_up_card", "t.kept_at", "t.note", lesson="t.lesson_id", where="t.put_away_at is null"),
    _Arm("photograph", "set_up_photo", "t.taken_at", lesson="t.lesson_id", code="t.seen_from", where="not t.voided"),
    _Arm("note", "finding_answer", "t.answered_at", "t.words", where="not t.voided and t.words <> ''", of_lesson=True),
    _Arm("note", "block", "t.started_at", "t.condition", where="t.condition not in ('', 'as usual')", of_lesson=True),
    _Arm("note", "set_up", "t.taken_at", "t.name", where="not t.voided and t.name <> ''", of_lesson=True),
)  # fmt: skip


def look_up(desk: Desk, sought: Sought) -> Sequence[LogEntry]:
    """A page of the logbook, newest first; golfers themselves only where they are searched or asked for."""
    words = re.findall(r"\w+", sought.words)[:_MOST_WORDS]
    if sought.words.strip() and not words:
        return []
    arms = [it for it in _ARMS if (it.sort in sought.sorts if sought.sorts else words or it.sort != "golfer")]
    codes = _codes(desk, sought.words) if words else []
    facts: dict[str, Any] = {
        "studio": desk.studio_id,
        "golfer": sought.golfer_id,
        "query": " & ".join(f"{it}:*" for it in words),
        "codes": codes,
        "since": sought.since,
        "until": sought.until,
        "most": PAGE,
    }
    if sought.before:
        facts |= {"before_at": sought.before[0], "before_id": sought.before[1]}
    queries = [_query(it, sought, bool(words)) for it in arms]
    found = " union all ".join(f"({it})" for it in queries)
    query = (
        f"select it.*, coalesce(g.name, '') as golfer from ({found}) it "
        "left join golfer g on g.studio_id = :studio and g.id = it.golfer_id "
        "order by it.at desc, it.id desc limit :most"
    )
    with desk.transaction() as session:
        rows = session.execute(text(query), facts).mappings()
        return [LogEntry(**{str(name): value for name, value in it.items()}) for it in rows]


def _query(arm: _Arm, sought: Sought, searched: bool) -> str:
    golfer, lesson = ("l.golfer_id", "l.id") if arm.of_lesson else (arm.golfer, arm.lesson)
    beside = "join lesson l on l.studio_id = t.studio_id and l.id = t.lesson_id" if arm.of_lesson else ""
    where = ["t.studio_id = :studio", *([arm.where] if arm.where else [])]
    if arm.of_lesson:
        where.append("l.voided_at is null")
    if sought.golfer_id is not None:
        where.append(f"{golfer} = :golfer")
    if searched:
        by_words = f"to_tsvector('simple', {arm.words}) @@ to_tsquery('simple', :query)" if arm.words != "''" else ""
        by_code = f"{arm.code} = any(:codes)" if arm.code != "''" else ""
        where.append(f"({' or '.join(it for it in (by_words, by_code) if it) or 'false'})")
    if sought.since is not None:
        where.append(f"{arm.at} >= :since")
    if sought.until is not None:
        where.append(f"{arm.at} < :until")
    if sought.before is not None:
        where.append(f"({arm.at}, t.id) < (:before_at, :before_id)")
    return (
        f"select '{arm.sort}' as sort, t.id, {golfer} as golfer_id, {lesson} as lesson_id, {arm.at} as at, "
        f"{arm.shows or arm.words} as words, {arm.code} as code, {arm.size} as size from {arm.table} t {beside} "
        f"where {' and '.join(where)} order by {arm.at} desc, t.id desc limit :most"
    )


def _codes(desk: Desk, words: str) -> list[str]:
    """Codes of instruments and drills whose names begin a word with every word that is searched."""
    sought = [it.lower() for it in re.findall(r"\w+", words)]
    names = {kind: it.about.name for kind, it in instruments().items()}
    names |= {code: it.name for code, it in drills().items()}
    names |= {code: it.drill.name for code, it in drills_known(desk).items()}
    return [code for code, name in names.items() if all(_begins(name, it) for it in sought)]


def _begins(name: str, word: str) -> bool:
    return any(it.startswith(word) for it in re.findall(r"\w+", name.lower()))
