"""Set-downs compared in turns: two or more cues, set-ups, or with and without an aid, each a series."""

from collections.abc import Mapping, Sequence
from dataclasses import asdict, dataclass, field
from datetime import datetime
from typing import Any
from uuid import UUID

import uuid6
from sqlalchemy import select

from ...core.aim.links import PLANNED, Cue, Link
from ...core.start.turns import AboutStart, Order, Plan, Turn, turn
from ...store.tables import ComparisonRow
from ..desk.desk import Desk
from ..desk.problem import Conflict, KeptOtherwise
from ..lesson.lessons import open_lesson
from ..lesson.set_up_name import AS_USUAL
from ..values import KeptComparison, value_of, values_of
from .aims import AimEntry, AimSheet, add_series


@dataclass(frozen=True, slots=True)
class Way:
    """One of the ways compared: its name, and what is other in it."""

    name: str
    cue: Cue = "line"
    set_up: str = AS_USUAL
    aided: bool = False
    factors: Mapping[str, str] = field(default_factory=dict[str, str])


@dataclass(frozen=True, slots=True)
class TurnsEntry:
    """What a coach plans before the first set-down of a comparison. `each`: set-downs of each way."""

    lesson_id: UUID
    ways: tuple[Way, ...]
    each: int
    started_at: datetime
    link: Link = "face"
    kind: str | None = None
    sizes: Mapping[str, float] = field(default_factory=dict[str, float])
    order: Order = "alternating"
    run: int = 2
    question: AboutStart = "line"
    station_id: UUID | None = None
    seed: int = 0

    def __post_init__(self) -> None:
        PLANNED.check("each", "set_downs", self.each)
        Plan(len(self.ways), self.each, self.order, self.run, self.seed)
        if len({it.name for it in self.ways}) < len(self.ways):
            raise Conflict("conditions_alike")

    def series(self, way: Way) -> AimEntry:
        """The series of one way."""
        return AimEntry(
            lesson_id=self.lesson_id,
            link=self.link,
            cue=way.cue,
            aided=way.aided,
            planned=self.each,
            started_at=self.started_at,
            kind=self.kind,
            sizes=self.sizes,
            set_up=way.set_up,
            factors=way.factors,
            station_id=self.station_id,
        )


@dataclass(frozen=True, slots=True)
class AimTurns:
    """A comparison as it stands: its series in the order of its ways, and whose turn it is."""

    comparison: KeptComparison
    names: Sequence[str]
    sheets: Sequence[AimSheet]
    turn: Turn

    @property
    def turn_of(self) -> UUID | None:
        """The series whose turn it is; None when all set-downs are in."""
        at = self.turn.condition
        return None if at is None else self.sheets[at].series.id


def begin_turns(desk: Desk, id: UUID, entry: TurnsEntry) -> KeptComparison:
    """Plan a comparison and begin its series. Said twice it is one; said otherwise, a conflict."""
    told = _told(entry)
    with desk.transaction() as session:
        open_lesson(desk, session, entry.lesson_id, entry.started_at)
        values = {name: getattr(entry, name) for name in ("lesson_id", "question", "order", "each", "run", "seed")}
        row, new = desk.add(session, ComparisonRow, id, **values, of="aim", started_at=entry.started_at, entry=told)
        if not new:
            if row.entry != told:
                raise KeptOtherwise("comparison")
            return value_of(KeptComparison, row)
        for n, way in enumerate(entry.ways):
            add_series(desk, session, uuid6.uuid7(), entry.series(way), comparison_id=id, turn=n)
        return value_of(KeptComparison, row)


def aim_turns(desk: Desk, lesson_id: UUID, sheets: Sequence[AimSheet]) -> list[AimTurns]:
    """The comparisons of a lesson's set-downs, oldest first, given the sheets of its series."""
    if not any(it.series.comparison_id for it in sheets):
        return []
    query = select(ComparisonRow).where(ComparisonRow.studio_id == desk.studio_id, ComparisonRow.of == "aim")
    query = query.where(ComparisonRow.lesson_id == lesson_id)
    with desk.transaction() as session:
        rows = values_of(KeptComparison, session.scalars(query.order_by(ComparisonRow.started_at, ComparisonRow.id)))
    return [_in_turns(it, [sheet for sheet in sheets if sheet.series.comparison_id == it.id]) for it in rows]


def _told(entry: TurnsEntry) -> dict[str, Any]:
    return asdict(entry) | {
        "lesson_id": str(entry.lesson_id),
        "station_id": str(entry.station_id) if entry.station_id else None,
        "started_at": entry.started_at.isoformat(),
        # Ways planned before factors were known are the same said again.
        "ways": [{name: it for name, it in asdict(way).items() if it or name != "factors"} for way in entry.ways],
        "sizes": dict(entry.sizes),
    }


def _in_turns(row: KeptComparison, sheets: Sequence[AimSheet]) -> AimTurns:
    ordered = sorted(sheets, key=lambda it: it.series.turn or 0)
    names = [it["name"] for it in row.entry["ways"]]
    plan = Plan(len(ordered), row.each, row.order, row.run, row.seed)
    at = turn(plan, [it.found.set_downs for it in ordered])
    return AimTurns(row, names, ordered, at)
