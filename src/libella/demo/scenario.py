"""The Ropewalk: five invented golfers over three months, drawn from simulated golfers whose truth is known.

Everything goes through the same use cases as a coach's own entry.
"""

from collections.abc import Callable
from dataclasses import dataclass
from datetime import datetime, timedelta
from uuid import UUID

import numpy as np
import uuid6

from ..core.instruments import lay
from ..core.set.proof import Evidence, Measured
from ..core.simulated.golfer import sensed
from ..lessons.desk.desk import Desk, studio
from ..lessons.golfer.golfers import GolferEntry, find_golfers, keep_golfer
from ..lessons.judge.comparisons import comparison_sheet
from ..lessons.lesson.lessons import LessonEntry, end_lesson, keep_lesson, read_laser_cautions
from ..lessons.people.consents import ConsentEntry, keep_consent
from ..lessons.set.plans import Laying, keep_station, prove_station
from ..lessons.set.stations import AidEntry, StationEntry
from ..lessons.start.blocks import BlockEntry, begin_block, block_sheet, keep_reading, station_of, void_reading
from ..lessons.start.comparisons import ComparisonEntry, Condition, begin_comparison
from ..lessons.start.sensors import keep_sensor, keep_zero, pair
from ..lessons.start.strokes import StrokeEntry, receive
from ..lessons.values import KeptBlock
from ..store.tables import StudioRow
from .people import PEOPLE, Person, Run, Versus
from .seeing import stand_and_see

_SEED = 20_260
_GREEN_SPEED_FT = 9.5
_PUTT_EVERY = timedelta(seconds=17)
_NOTED_AFTER = timedelta(seconds=6)
_SENSOR_U_DEG = 0.2
_TAPED = Evidence((Measured(1.0, 0.0), Measured(1.0, 0.0)))


def is_empty(desk: Desk) -> bool:
    """True when nobody has been noted yet."""
    return not find_golfers(desk)


def is_half_loaded(desk: Desk) -> bool:
    """True when loading was interrupted: only invented golfers, and the studio is not marked as theirs yet."""
    return not studio(desk).invented and not is_empty(desk) and all(it.invented for it in find_golfers(desk))


def load(desk: Desk, now: datetime, say: Callable[[str], None] = lambda _: None) -> None:
    """Put the scenario into an empty studio, its last day being `now`; `say` is told who is done."""
    for n, person in enumerate(PEOPLE):
        # Each golfer's own draws: what is changed of one changes nothing of the others.
        rng = np.random.default_rng([_SEED, n])
        # A golfer is loaded whole or not at all, and much faster than by a transaction for each putt.
        with desk.together() as whole:
            _load_person(whole, person, now, rng)
        say(f"{person.name}, {len(person.lessons)} lessons")
    # Last, so that an interrupted loading is known as one.
    with desk.transaction() as session:
        row = session.get_one(StudioRow, desk.studio_id)
        row.name, row.place, row.coach, row.invented = "The Ropewalk", "Skerrow", "Ottoline Brask", True


def _load_person(desk: Desk, person: Person, now: datetime, rng: np.random.Generator) -> None:
    golfer_id = uuid6.uuid7()
    keep_golfer(desk, golfer_id, GolferEntry(person.name, person.hand, person.level, person.notes, invented=True))
    asked = now - timedelta(days=max(person.lessons), minutes=100)
    for asks in ("keeping", "filming"):
        keep_consent(desk, uuid6.uuid7(), ConsentEntry(golfer_id, asks, True, person.answers, asked))
    for days in person.lessons:
        began = now - timedelta(days=days, minutes=2 if days == 0 else 95)
        _teach(desk, golfer_id, person, days, began, rng)


def _teach(desk: Desk, golfer_id: UUID, person: Person, days: int, start: datetime, rng: np.random.Generator) -> None:
    lesson_id = uuid6.uuid7()
    conditions = "14 m floor, level, lamps on"
    entry = LessonEntry(golfer_id, "The Ropewalk", "indoor_mat", _GREEN_SPEED_FT, start, conditions, invented=True)
    keep_lesson(desk, lesson_id, entry)
    if days in person.seeing:
        stand_and_see(desk, lesson_id, person.seeing[days], start, f"{person.name}, {days} days ago")
    floor = Floor(desk, lesson_id, 1.0 if person.hand == "right" else -1.0, rng)
    at = start
    for it in person.lessons[days]:
        at = (floor.compare(it, at) if isinstance(it, Versus) else floor.putt(it, at)) + timedelta(minutes=6)
    if days:
        end_lesson(desk, lesson_id, at)


@dataclass
class Floor:
    """A lesson being given: lays stations, has putts made, notes what a coach and a sensor would."""

    desk: Desk
    lesson_id: UUID
    hand_in: float
    rng: np.random.Generator

    def putt(self, run: Run, at: datetime) -> datetime:
        """One block; when it was done."""
        station_id, block_id = self._lay(run, at), uuid6.uuid7()
        sensor_id = self._sensor(at) if run.sensed else None
        guided = self._guides(run)
        entry = BlockEntry(station_id, run.condition, guided, run.planned, at, run.asks, factors=run.factors)
        block = begin_block(self.desk, block_id, entry)
        # Its own draws: the putts stay what they are with notes asked or not.
        noting = np.random.default_rng(_SEED + run.putts)
        for n in range(run.putts):
            at = self._one(run, block, n, at, noting, sensor_id)
            # Now and then a putt does not count, as in any lesson; it is taken again.
            if n == 3 and run.putts > 10 and not run.asks:
                newest = block_sheet(self.desk, block.id).readings[-1]
                void_reading(self.desk, newest.id, "talked through")
                at = self._one(run, block, n, at, noting, sensor_id)
        return at

    def compare(self, versus: Versus, at: datetime) -> datetime:
        """A planned comparison, putted in its turns."""
        id, first = uuid6.uuid7(), versus.runs[0]
        station_id = self._lay(first, at)
        conditions = tuple(Condition(it.condition, station_id, self._guides(it), it.factors) for it in versus.runs)
        entry = ComparisonEntry(
            self.lesson_id, conditions, first.putts, versus.order, versus.run, versus.question, at, first.asks, seed=7
        )
        begin_comparison(self.desk, id, entry)
        blocks = [it.block for it in comparison_sheet(self.desk, id).sheets]
        noting = np.random.default_rng(_SEED + first.putts)
        for n, condition in enumerate(entry.plan().turns()):
            at = self._one(versus.runs[condition], blocks[condition], n, at, noting, None)
        return at

    def _one(
        self, run: Run, block: KeptBlock, n: int, at: datetime, noting: np.random.Generator, sensor_id: UUID | None
    ) -> datetime:
        at += _PUTT_EVERY * float(self.rng.uniform(0.7, 1.4))
        station = station_of(block)
        made = run.truth.stroke(self.rng, run.distance_m, putt=n)
        told = run.truth.notes(noting, made, station.putt.window, self.hand_in)
        notes = {name: told[name] for name in run.asks}
        keep_reading(self.desk, uuid6.uuid7(), block.id, station.observe(made.start_deg).raw, at + _NOTED_AFTER, notes)
        if sensor_id is not None:
            measures = sensed(made, noting, u_deg=_SENSOR_U_DEG)
            receive(self.desk, [StrokeEntry(sensor_id, f"{block.id}-{n}-{at:%H%M%S}", measures, at)])
        return at

    def _guides(self, run: Run) -> bool:
        return lay(*run.rig).about.guides

    def _lay(self, run: Run, at: datetime) -> UUID:
        id = uuid6.uuid7()
        kind, sizes = run.rig
        forward, right = run.falls_percent
        entry = StationEntry(
            run.distance_m,
            0.3,
            _GREEN_SPEED_FT,
            "rim_assisted",
            kind,
            sizes,
            falls_forward_percent=forward,
            falls_right_percent=right,
            falls_doubt_percent=0.1 if forward or right else 0.0,
            read=run.read,
            aids=tuple(AidEntry(it, {}) for it in run.aids),
        )
        if entry.station().has_laser:
            read_laser_cautions(self.desk, self.lesson_id, at)
        keep_station(self.desk, id, entry, Laying(self.lesson_id, at))
        prove_station(self.desk, id, "tape", _TAPED, at)
        return id

    def _sensor(self, at: datetime) -> UUID:
        """A face-and-path sensor, paired and zeroed against the square reference."""
        id = uuid6.uuid7()
        row = keep_sensor(self.desk, id, self.lesson_id, "face_and_path", "", at)
        pair(self.desk, row.code or "", "stand-in", at)
        still = [round(0.8 + float(it), 2) for it in self.rng.normal(0, 0.1, 8)]
        keep_zero(self.desk, uuid6.uuid7(), id, still, at)
        return id
