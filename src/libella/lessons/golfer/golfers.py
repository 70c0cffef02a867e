"""Golfers: who they are."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal
from uuid import UUID

from sqlalchemy import func, select, tuple_, update
from sqlalchemy.orm import Session

from ...core.change.complaint import Miss, checked_misses
from ...core.golfer.hand import Hand
from ...core.golfer.level import Level
from ...core.golfer.limits import Glasses, Limit, checked_limits
from ...core.golfer.step import STEP
from ...core.golfer.wording import CHOICES, Chosen
from ...core.green.usual import USUAL, UsualLength, checked_lengths
from ...core.measure.limits import OutOfLimits
from ...core.schools.held import Schools
from ...store.tables import GolferRow, LessonRow
from ..desk.desk import Desk
from ..desk.merge import merged
from ..desk.problem import Conflict, NotFound
from ..people.removals import is_removed
from ..values import KeptGolfer, value_of, values_of

PAGE = 20


@dataclass(frozen=True, slots=True)
class GolferEntry:
    """What a coach notes of a golfer; `step_m`: the golfer's own step, for pacing off a putt; `usual_misses`: where
    putts usually miss; `glasses`: worn while putting; `limits`: what limits posture;
    `wording`: how things are put to them, empty: by the level."""

    name: str
    hand: Hand
    level: Level
    notes: str = ""
    usual_lengths: tuple[UsualLength, ...] | None = None
    step_m: float | None = None
    usual_misses: tuple[Miss, ...] = ()
    glasses: Glasses = ""
    limits: tuple[Limit, ...] = ()
    wording: Chosen = ""
    invented: bool = False

    def __post_init__(self) -> None:
        if self.step_m is not None:
            STEP.check("step_m", "step_m", self.step_m)
        if self.usual_lengths is not None:
            checked_lengths(self.usual_lengths)
        checked_misses("usual_misses", self.usual_misses)
        checked_limits(self.limits)
        if self.wording not in CHOICES:
            raise OutOfLimits("wording", "no_such_choice", named=self.wording, known=CHOICES)


HandFrom = Literal["next", "now", "always"]
"""From when another hand is in use: from the next lesson, from those under way, or it was noted wrongly all along."""


def keep_golfer(
    desk: Desk, id: UUID, entry: GolferEntry, seen: GolferEntry | None = None, hand_from: HandFrom | None = None
) -> KeptGolfer:
    """Add a golfer, or take over the edited entry; `seen`: as it was when the editing began.

    Raises
    ------
    Changed
        where a field that was edited says something else by now.
    OutOfLimits
        where another hand is noted of somebody who had lessons, and it is not said from when.
    """
    with desk.transaction() as session:
        told = _told(entry)
        row, new = desk.add(session, GolferRow, id, **told, invented=entry.invented)
        if not new:
            row = desk.get(session, GolferRow, id, "golfer", lock=True)
            stands = {name: getattr(row, name) for name in told}
            for name, said in merged(stands, told, {} if seen is None else _told(seen)).items():
                if name == "hand" and said != row.hand:
                    _change_hand(desk, session, id, entry.hand, hand_from)
                setattr(row, name, said)
        elif is_removed(desk, session, id):
            # A device that knew them still must not begin them anew.
            raise NotFound("golfer")
        elif (kept_as := desk.kept_as(session, id)) is not None:
            raise Conflict("golfer_joined", name=desk.get(session, GolferRow, kept_as, "golfer").name)
        session.flush()
        session.refresh(row)
        return value_of(KeptGolfer, row)


def _change_hand(desk: Desk, session: Session, golfer_id: UUID, hand: Hand, since: HandFrom | None) -> None:
    """The hand in use belongs to the lesson: which lessons take the other one over."""
    of_golfer = LessonRow.studio_id == desk.studio_id, LessonRow.golfer_id == golfer_id
    if since is None and session.scalar(select(func.count()).select_from(LessonRow).where(*of_golfer)):
        raise OutOfLimits("hand_from", "hand_from_when")
    if since in ("now", "always"):
        which = (*of_golfer, LessonRow.ended_at.is_(None)) if since == "now" else of_golfer
        session.execute(update(LessonRow).where(*which).values(hand=hand))


def _told(entry: GolferEntry) -> dict[str, object]:
    """What an entry says, as the columns hold it."""
    lengths = entry.usual_lengths
    return {
        "name": entry.name,
        "hand": entry.hand,
        "level": entry.level,
        "notes": entry.notes,
        "step_m": entry.step_m,
        "usual_misses": list(entry.usual_misses),
        "glasses": entry.glasses,
        "limits": list(checked_limits(entry.limits)),
        "wording": entry.wording,
        "usual_lengths": None if lengths is None else [[it.distance_m, it.weight] for it in checked_lengths(lengths)],
    }


def usual_of(row: KeptGolfer, schools: Schools) -> tuple[UsualLength, ...]:
    """The lengths this golfer usually putts: as noted, else by the school held, else as is usual for anybody."""
    if row.usual_lengths is None:
        return schools.settings.lengths or USUAL()
    return tuple(UsualLength(*it) for it in row.usual_lengths)


def golfer(desk: Desk, id: UUID) -> KeptGolfer:
    with desk.transaction() as session:
        return value_of(KeptGolfer, desk.get(session, GolferRow, id, "golfer"))


def find_golfers(desk: Desk, search: str = "", after: tuple[str, UUID] | None = None) -> Sequence[KeptGolfer]:
    """A page of golfers by name, those whose name holds `search`, starting behind `after` (name, id)."""
    query = select(GolferRow).where(GolferRow.studio_id == desk.studio_id)
    if search.strip():
        query = query.where(GolferRow.name.icontains(search.strip(), autoescape=True))
    if after:
        query = query.where(tuple_(GolferRow.name, GolferRow.id) > after)
    with desk.transaction() as session:
        return values_of(KeptGolfer, session.scalars(query.order_by(GolferRow.name, GolferRow.id).limit(PAGE)))


def seen_last(desk: Desk, search: str = "") -> Sequence[KeptGolfer]:
    """The golfers whose newest lesson began last, a page of them; one without a lesson by when it was noted."""
    began = (
        select(LessonRow.golfer_id, func.max(LessonRow.started_at).label("at"))
        .where(LessonRow.studio_id == desk.studio_id, LessonRow.voided_at.is_(None))
        .group_by(LessonRow.golfer_id)
        .subquery()
    )
    query = (
        select(GolferRow)
        .outerjoin(began, began.c.golfer_id == GolferRow.id)
        .where(GolferRow.studio_id == desk.studio_id)
        .order_by(func.coalesce(began.c.at, GolferRow.updated_at).desc(), GolferRow.name, GolferRow.id)
        .limit(PAGE)
    )
    if search.strip():
        query = query.where(GolferRow.name.icontains(search.strip(), autoescape=True))
    with desk.transaction() as session:
        return values_of(KeptGolfer, session.scalars(query))
