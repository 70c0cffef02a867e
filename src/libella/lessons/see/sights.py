"""Tests of what looks straight: begun, asked, answered, shown."""

import hashlib
import math
from collections.abc import Mapping, Sequence
from dataclasses import asdict, dataclass, field
from datetime import datetime
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.certainty.matter import MATTERS
from ...core.certainty.vial import Vial
from ...core.drawing.scene import Scene
from ...core.green.putt import USUAL_PAST_M, Putt
from ...core.measure.flag import checked_flags, weight_of
from ...core.measure.interval import Interval
from ...core.measure.limits import OutOfLimits
from ...core.see.fit import perceive
from ...core.see.map import Tried
from ...core.see.method import (
    AWAY,
    TRUE_ROD,
    Eyes,
    Glasses,
    LaidRod,
    LooksStraight,
    Method,
    Toward,
    Trace,
    by_adjustment,
    by_directions,
    pointed_to,
    spot_of,
    turned_to,
)
from ...core.see.position import SCORE, Position, position_of
from ...core.see.straight import curve, sight_vial
from ...core.see.trial import Trial
from ...core.set.proof import BY_EYE_DEG
from ...store.tables import LessonRow, SightTestRow, SightTrialRow
from ..desk.desk import Desk
from ..desk.problem import Closed
from ..lesson.lessons import open_lesson
from ..set.plans import LaidIn, laid_id_now, laid_in, plan_now
from ..set.stations import entry_of
from ..set.tool_zeros import zero_here
from ..values import KeptSightTest, KeptSightTrial, value_of, values_of

MOST_TRIALS = 80
ROD = "rod_beside"
"""What is asked with is a rod: its own check is that of any rod."""
Raw = Mapping[str, float | str]


def looks_straight_matters() -> float:
    """From how far off true something must look straight to matter, degrees."""
    return MATTERS()["looks_straight"].matters_from


@dataclass(frozen=True, slots=True)
class SightEntry:
    """What a coach sets before a test."""

    lesson_id: UUID
    method: Method
    condition: str
    trace: Trace
    eyes: Eyes
    glasses: Glasses
    away_m: float
    started_at: datetime
    toward: Toward = "hole"
    station_id: UUID | None = None
    position: Mapping[str, float] | Position = field(default_factory=dict[str, float])

    def __post_init__(self) -> None:
        AWAY.check("away_m", "away_m", self.away_m)
        position_of(self.position)


@dataclass(frozen=True, slots=True)
class Asked:
    """Where the rod is to lie next: its true angle (degrees), its far end beside the line (m), right positive."""

    true_deg: float
    spot_m: float


@dataclass(frozen=True, slots=True)
class SightSheet:
    """A test as it stands. `next` is None where the way of asking needs none, or enough was asked."""

    test: KeptSightTest
    trials: Sequence[KeptSightTrial]
    found: LooksStraight
    """With what is not known of the rod and its line in it."""
    measured: LooksStraight
    """The same without that: what is set against another test on the same line."""
    vial: Vial
    next: Asked | None
    curve: Scene | None
    putt: Putt
    """What the hole is judged by: the lesson's newest putt, or one of 2.5 m."""

    @property
    def tried(self) -> Tried:
        """The test as a place on the perception map."""
        it = self.test
        return Tried(position_of(it.position), self.measured, it.playable, it.comfort, it.trust)


def begin_test(desk: Desk, id: UUID, entry: SightEntry) -> KeptSightTest:
    """Begin a test. Said twice it is one; said otherwise, a conflict."""
    with desk.transaction() as session:
        open_lesson(desk, session, entry.lesson_id, entry.started_at)
        station_id = laid_id_now(desk, session, entry.lesson_id, entry.station_id)
        plan = plan_now(desk, session, entry.lesson_id, station_id) if station_id else None
        if entry.toward == "start" and (plan is None or entry_of(plan).putt().is_level):
            raise OutOfLimits("toward", "putt_does_not_break")
        told = asdict(entry) | {"position": dict(position_of(entry.position))}
        told.pop("station_id")
        return value_of(KeptSightTest, desk.keep(session, SightTestRow, id, "test", told, station_id=station_id))


def keep_answer(desk: Desk, id: UUID, test_id: UUID, raw: Raw, taken_at: datetime) -> KeptSightTrial:
    """Keep one answer; the same one said again changes nothing.

    Raises
    ------
    OutOfLimits
        for an answer this way of asking does not give.
    """
    with desk.transaction() as session:
        test = value_of(KeptSightTest, desk.get(session, SightTestRow, test_id, "test", lock=True))
        _read(test, raw)

        def goes_on() -> None:
            open_lesson(desk, session, test.lesson_id, taken_at)
            if test.ended_at is not None:
                raise Closed("test_shown")
            if sum(not it.voided for it in _trials(desk, session, test_id)) >= MOST_TRIALS:
                raise Closed("test_full", most=MOST_TRIALS)

        told = {"test_id": test_id, "raw": dict(raw), "taken_at": taken_at}
        return value_of(KeptSightTrial, desk.keep(session, SightTrialRow, id, "answer", told, checked=goes_on))


def void_answer(desk: Desk, id: UUID, voided: bool) -> KeptSightTrial:
    """Void an answer (a slip of the finger), or restore it."""
    return desk.void(KeptSightTrial, SightTrialRow, id, "answer", voided)


def flag_answer(desk: Desk, id: UUID, flags: Sequence[str]) -> KeptSightTrial:
    """Say what lowers the weight of an answer, in place of what was said before."""
    return desk.flag(KeptSightTrial, SightTrialRow, id, "answer", checked_flags(flags, "answer"))


def show_test(desk: Desk, id: UUID, at: datetime | None) -> KeptSightTest:
    """Show what a test found; from then on it takes no more answers. None hides it again and goes on."""
    with desk.transaction() as session:
        row = desk.get(session, SightTestRow, id, "test", lock=True)
        row.ended_at = at
        return value_of(KeptSightTest, row)


def leave_test(desk: Desk, id: UUID, at: datetime | None) -> KeptSightTest:
    """Leave a test that was begun by mistake, or can't be ended: it counts nowhere. None takes it up again."""
    with desk.transaction() as session:
        row = desk.get(session, SightTestRow, id, "test", lock=True)
        row.left_at = at
        return value_of(KeptSightTest, row)


def felt_there(desk: Desk, id: UUID, *, playable: bool, comfort: int | None, trust: int | None) -> KeptSightTest:
    """How the golfer found the position of a test: comfort and trust 1 to 5, None while it was not said."""
    for name, score in (("comfort", comfort), ("trust", trust)):
        if score is not None:
            SCORE.check(name, name, score)
    with desk.transaction() as session:
        row = desk.get(session, SightTestRow, id, "test", lock=True)
        row.playable, row.comfort, row.trust = playable, comfort, trust
        return value_of(KeptSightTest, row)


def sight_sheet(desk: Desk, id: UUID) -> SightSheet:
    """One test with what it found and what to ask next."""
    with desk.transaction() as session:
        test = value_of(KeptSightTest, desk.get(session, SightTestRow, id, "test"))
        return _sheet(
            test, _trials(desk, session, id), _laid(desk, session, test, laid_in(desk, session, test.lesson_id))
        )


def sights_of(desk: Desk, lesson_id: UUID) -> list[SightSheet]:
    """The tests of a lesson, oldest first."""
    with desk.transaction() as session:
        desk.get(session, LessonRow, lesson_id, "lesson")
        tests = session.scalars(
            select(SightTestRow)
            .where(SightTestRow.studio_id == desk.studio_id, SightTestRow.lesson_id == lesson_id)
            .where(SightTestRow.left_at.is_(None))
            .order_by(SightTestRow.started_at, SightTestRow.id)
        ).all()
        kept = values_of(KeptSightTest, tests)
        laid = laid_in(desk, session, lesson_id)
        return [_sheet(it, _trials(desk, session, it.id), _laid(desk, session, it, laid)) for it in kept]


def told_last(desk: Desk, lesson_id: UUID) -> tuple[SightSheet | None, bool]:
    """The lesson's newest shown test, and whether anything was asked at all.

    As usual where it was asked so: what was found with the head moved is not what this golfer sees.
    """
    sheets = sights_of(desk, lesson_id)
    shown = sorted((it for it in sheets if it.test.ended_at), key=lambda it: not it.test.position)
    return (shown[-1] if shown else None), bool(sheets)


def last_two(sheets: Sequence[SightSheet]) -> tuple[SightSheet, SightSheet] | None:
    """The last two shown tests that tell, to be set against each other; None with fewer."""
    told = [it for it in sheets if it.test.ended_at and it.found.tells]
    return (told[-2], told[-1]) if len(told) > 1 else None


def _sheet(test: KeptSightTest, trials: Sequence[KeptSightTrial], laid: tuple[Putt, LaidRod]) -> SightSheet:
    limit, (putt, rod) = looks_straight_matters(), laid
    valid = [_read(test, it.raw).weighing(weight_of(it.flags)) for it in trials if not it.voided]
    answers = tuple(it for it in valid if isinstance(it, Trial))
    ends = [it for it in valid if isinstance(it, Interval)]
    directions = test.method == "directions"
    found, measured = (
        by_directions(answers, limit, it) if directions else by_adjustment(ends, limit, it) for it in (rod, TRUE_ROD)
    )
    shown = test.ended_at is not None
    asked = None
    if directions and not shown and len(answers) < MOST_TRIALS:
        angle = perceive(answers).next_angle(_draw(test.id, len(answers)))
        asked = Asked(angle, spot_of(angle, test.away_m))
    return SightSheet(
        test=test,
        trials=trials,
        found=found,
        measured=measured,
        vial=sight_vial(found, ends, putt.window, settled=shown),
        next=asked,
        curve=curve(answers) if shown and answers else None,
        putt=putt,
    )


def _draw(id: UUID, n: int) -> float:
    """A number from 0 to 1 that nobody foresees and that is the same when asked again."""
    return int.from_bytes(hashlib.sha256(id.bytes + bytes([n])).digest()[:6]) / 2**48


def _read(test: KeptSightTest, raw: Raw) -> Trial | Interval:
    if test.method == "directions":
        angle, looks = raw.get("true_deg"), raw.get("looks")
        if set(raw) != {"true_deg", "looks"} or isinstance(angle, str) or angle is None:
            raise OutOfLimits("raw", "answers_looks")
        if looks not in ("left", "straight", "right"):
            raise OutOfLimits("raw.looks", "no_such_look", named=str(looks))
        return Trial(angle, looks)
    beside, seen = raw.get("beside_m"), raw.get("seen_m")
    if set(raw) - {"from_side"} != {"beside_m", "seen_m"} or isinstance(beside, str) or isinstance(seen, str):
        raise OutOfLimits("raw", "answers_place")
    if beside is None or seen is None or raw.get("from_side", "left") not in ("left", "right"):
        raise OutOfLimits("raw.from_side", "no_such_side")
    return (turned_to if test.method == "turn" else pointed_to)(beside, test.away_m, seen)


def _trials(desk: Desk, session: Session, test_id: UUID) -> Sequence[KeptSightTrial]:
    query = select(SightTrialRow).where(SightTrialRow.studio_id == desk.studio_id, SightTrialRow.test_id == test_id)
    return values_of(KeptSightTrial, session.scalars(query.order_by(SightTrialRow.taken_at, SightTrialRow.id)))


def _laid(desk: Desk, session: Session, it: KeptSightTest, laid: LaidIn) -> tuple[Putt, LaidRod]:
    """The putt that is asked about, and how well the rod lies: its own error, and its line's."""
    lesson_id = it.lesson_id
    zero = zero_here(desk, session, lesson_id, ROD)
    row = laid.read_on(it.station_id, it.started_at)
    if row is None:
        lesson = desk.get(session, LessonRow, lesson_id, "lesson")
        by_eye = LaidRod(zero.right_deg, math.hypot(zero.doubt_deg, BY_EYE_DEG()), proved=False)
        return Putt(2.5, USUAL_PAST_M(), lesson.green_speed_ft), by_eye
    station = entry_of(row).station()
    rig_m = station.rig.station_m
    right = zero.right_deg + station.proof.line_off_deg(rig_m)
    proved = station.proof.proves_line
    return station.putt, LaidRod(right, math.hypot(zero.doubt_deg, station.proof.line_deg(rig_m)), proved)
