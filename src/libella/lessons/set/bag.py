"""What a coach carries and thinks: the parts in the bag, the strictness by level, the kit check of a lesson."""

from collections.abc import Mapping, Sequence
from uuid import UUID

from ...core.golfer.level import LEVELS, SPREAD, Level
from ...core.measure.limits import Bounds, OutOfLimits
from ...core.set.kit import MOST, PARTS, is_kit_item
from ...store.tables import LessonRow, StudioRow
from ..desk.desk import Desk
from ..values import KeptLesson, value_of

_COUNT = Bounds(0, MOST, "pieces")


def bag(desk: Desk) -> dict[str, int] | None:
    """Parts owned and how many; None until the coach has told."""
    with desk.transaction() as session:
        return session.get_one(StudioRow, desk.studio_id).bag


def checked_bag(parts: Mapping[str, int] | None) -> None:
    """Raise `OutOfLimits` for a part that is none, or a count that is."""
    for name, count in (parts or {}).items():
        if name not in PARTS:
            raise OutOfLimits(f"bag.{name}", "no_part", named=name, known=tuple(PARTS))
        _COUNT.check(f"bag.{name}", PARTS[name].name, count)


def keep_bag(desk: Desk, parts: Mapping[str, int] | None) -> dict[str, int] | None:
    """Take over what is in the bag; None forgets it, and everything counts as there."""
    checked_bag(parts)
    with desk.transaction() as session:
        studio = desk.locked_studio(session)
        studio.bag = None if parts is None else {name: n for name, n in parts.items() if n}
        return studio.bag


def spreads(desk: Desk) -> dict[Level, float]:
    """The start-line spread expected by level, degrees: the coach's own opinion where he has one."""
    with desk.transaction() as session:
        own = session.get_one(StudioRow, desk.studio_id).spreads_deg
    return {level: own.get(level, it.spread_deg) for level, it in LEVELS.items()}


def checked_spreads(own: Mapping[Level, float]) -> None:
    """Raise `OutOfLimits` for a spread that nobody has."""
    for level, spread in own.items():
        SPREAD.check(f"spreads_deg.{level}", f"spread_{level}", spread)


def keep_spreads(desk: Desk, own: Mapping[Level, float]) -> dict[Level, float]:
    """Take over the coach's own opinion; a level left out goes back to the usual."""
    checked_spreads(own)
    with desk.transaction() as session:
        desk.locked_studio(session).spreads_deg = {str(level): spread for level, spread in own.items()}
    return spreads(desk)


def tick_kit(desk: Desk, lesson_id: UUID, ticked: Sequence[str]) -> KeptLesson:
    """Keep which items of the kit check are ticked in a lesson."""
    for it in ticked:
        if not is_kit_item(it):
            raise OutOfLimits("ticked", "no_kit_item", named=it)
    with desk.transaction() as session:
        row = desk.get(session, LessonRow, lesson_id, "lesson", lock=True)
        row.kit_checked = list(ticked)
        return value_of(KeptLesson, row)
