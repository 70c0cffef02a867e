"""A block of putts as a batch of the ledger: what was read of it, how well, what its readings share."""

import math
from collections.abc import Hashable, Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import datetime
from typing import Final
from uuid import UUID

from ...core.certainty.estimate import Estimate, normal
from ...core.golfer.hand import Hand
from ...core.green.putt import Putt
from ...core.green.slope import LEVEL_RESOLUTION
from ...core.instruments.elevated_string import ElevatedString
from ...core.instruments.raised_string import RaisedString
from ...core.instruments.rig import Rig
from ...core.instruments.string_sight import StringSight
from ...core.judge.disturbed import disturbed_deg
from ...core.judge.ledger.entry import Batch, Event, Putted, Source, Unusable, Value
from ...core.judge.ledger.factors import GUIDED, Factor, Levels, joined, levels_of
from ...core.judge.ledger.putt import MISLED_IN, Reader, putt_values, roll_of_holed
from ...core.measure.angle import angle_deg
from ...core.measure.flag import weight_of
from ...core.measure.interval import Interval
from ...core.opinions.held import held_now
from ...core.see.misled import misleads, sight_of, string_off
from ...core.set.station import Station
from ...core.start.stroke import UNZEROED_DEG
from ..desk.in_hand import Latest
from ..lesson.lessons import BlockSheet
from ..set.second_readings import ReadingErrors
from ..start.blocks import path_of, start_of, station_of
from ..start.strokes import StrokeSheet
from ..values import KeptBlock, KeptReading

_DAY_S: Final = 86400.0
Eyes = Mapping[str, Estimate]
_Off = tuple[Estimate, StringSight, float]
_COARSE_FITS: Final = ("coarse", "loose", "strict", "unsure", "cannot")


def day_of(at: datetime) -> float:
    """A moment in days, as batches are ordered."""
    return at.timestamp() / _DAY_S


def valid_in(sheet: BlockSheet) -> list[KeptReading]:
    """The putts that count, oldest first."""
    return [it for it in sheet.readings if not it.voided]


_FACES: Final = {"face_address_deg": "address", "face_impact_deg": "impact"}


@dataclass(frozen=True, slots=True)
class _Sensed:
    """How well the sensors of a block read: their error, their zero's doubt, the readings of the check that found them,
    the device, and whether one device read all of the face."""

    noise_deg: float
    zero_deg: float
    checks: int
    device: str | None
    one_device: bool

    @classmethod
    def of(cls, told: Sequence[StrokeSheet], events: Sequence[Event], filed_deg: float) -> "_Sensed":
        """`filed_deg`: the error that came with a file, where no sensor told anything."""
        readers = {_FACES[name]: str(it.sensor.id) for it in told for name in it.measures if name in _FACES}
        by_hand = {name for it in events for name in _FACES.values() if name in it.values} - set(readers)
        readers |= dict.fromkeys(by_hand, "hand") if readers else {}
        return cls(
            noise_deg=max((it.noise_deg for it in told), default=filed_deg),
            zero_deg=max((it.zero_doubt_deg for it in told), default=0.0),
            checks=min((it.checks for it in told), default=0),
            device=str(told[0].sensor.id) if told else None,
            one_device=len(set(readers.values())) <= 1,
        )

    @property
    def noise(self) -> dict[str, float]:
        """By quantity."""
        one = self.noise_deg
        return {"address": one, "impact": one, "path": one, "turned": one * math.sqrt(2)}


@dataclass(frozen=True, slots=True)
class _MadeOf:
    """Everything a block's batch is made of."""

    sheet: BlockSheet
    hand: Hand
    strokes: Mapping[UUID, Sequence[StrokeSheet]]
    expected_deg: float
    errors: ReadingErrors
    eyes: Eyes
    held: Hashable


_MOST_READINGS: Final = 200
_MADE: Final = Latest[UUID, tuple[_MadeOf, Batch]](400, lambda it: len(it[0].sheet.readings) <= _MOST_READINGS)


def block_batch(
    sheet: BlockSheet,
    hand: Hand,
    strokes: Mapping[UUID, Sequence[StrokeSheet]],
    expected_deg: float,
    errors: ReadingErrors,
    eyes: Eyes,
) -> Batch:
    """A block of putts as a batch of the ledger; `errors`: of single readings, as two readers found them by then;
    `eyes`: where the golfer's were, by the set-up. A putt makes its own block's anew: the others are at hand."""
    own = {it.id: strokes[it.id] for it in sheet.readings if it.id in strokes}
    made_of = _MadeOf(sheet, hand, own, expected_deg, errors, eyes, held_now().mark)
    made = _MADE.get(sheet.block.id)
    if made is not None and made[0] == made_of:
        return made[1]
    batch = _batch(made_of)
    _MADE.put(sheet.block.id, (made_of, batch))
    return batch


def _batch(of: _MadeOf) -> Batch:
    sheet, strokes, errors = of.sheet, of.strokes, of.errors
    block, valid = sheet.block, valid_in(sheet)
    station = station_of(block)
    watched = station.rig.reads_start
    levels = block_levels(block, station)
    # To whoever stands behind the line the string lies where it hangs.
    looked_from = None if block.looker == "coach" else of.eyes.get(dict(levels).get("set_up", ""))
    off = _misleading(station, looked_from)
    line_off_deg = station.proof.line_off_deg(station.rig.station_m)
    by = Reader(of.hand, path_of(block), [station.rig, *station.aids], line_off_deg, misled=off is not None)
    filed = max((float(it.notes.get("u_deg", 0.0)) for it in valid), default=0.0)
    events: list[Event] = []
    for it in valid:
        start = start_of(it) if watched else None
        measures = _measures(strokes.get(it.id, ()))
        one = event_of(it.id, putt_values(by, start, it.notes, measures), it.flags)
        events.append(replace(one, implied=_implied(one, block, station)))
    sensed = _Sensed.of([one for it in valid for one in strokes.get(it.id, ())], events, filed)
    return Batch(
        id=str(block.id),
        step="start",
        day=day_of(block.started_at),
        events=tuple(events),
        levels=levels,
        label=block.condition,
        lesson=str(block.lesson_id),
        noise={"start": station.noise_deg, "strike": errors.mm("strike")} | sensed.noise,
        misread={"still": errors.mm("golfer")},
        sources=_sources(block, station, sensed),
        putted=_putted(block, station, sensed, of.hand, of.expected_deg),
        proved=station.proof.proves_line,
        planned=block.planned,
        voided=len(sheet.readings) - len(valid),
        comparison=str(block.comparison_id or ""),
        turn=block.turn or 0,
        unusable={} if off is None else _unusable(valid, events, off, looked=block.looker == "golfer"),
    )


def _misleading(station: Station, eyes: Estimate | None) -> _Off | None:
    """How far outside the line a string lies to these eyes, where that is enough to see sides wrongly; None where none
    hangs there, or nobody looked where the eyes are."""
    if eyes is None:
        return None
    strung = (it for it in (station.rig, *station.aids) if isinstance(it, RaisedString | ElevatedString))
    found = ((string_off(it, eyes), sight_of(it, eyes.value), it.hangs_inside_m) for it in strung)
    return next((it for it in found if misleads(it[0])), None)


def _unusable(valid: Sequence[KeptReading], events: Sequence[Event], by: _Off, *, looked: bool) -> dict[str, Unusable]:
    """What was told in words against a string that misleads, and by nothing else."""
    found: dict[str, Unusable] = {}
    for note, name in MISLED_IN.items():
        told = sum(note in it.notes and name not in one.values for it, one in zip(valid, events, strict=True))
        if told:
            found[name] = Unusable(told, *by, looked=looked)
    return found


def _implied(it: Event, block: KeptBlock, station: Station) -> dict[str, Interval]:
    """What a holed putt tells without a reading: its pace."""
    if not block.hole or it.values.get("holed") != "holed":
        return {}
    start = it.values.get("start")
    along = start if isinstance(start, Interval) and station.proof.proves_line else None
    return {"roll_past": roll_of_holed(station.putt, along, station.noise_deg).weighing(it.weight)}


def event_of(id: UUID, values: Mapping[str, Value], flags: Sequence[str]) -> Event:
    """A putt or a set-down; flagged it counts less, in all that was read of it."""
    weight = weight_of(flags)
    weighed = {name: it.weighing(weight) if isinstance(it, Interval) else it for name, it in values.items()}
    return Event(str(id), weighed, weight)


def _sources(block: KeptBlock, station: Station, sensed: _Sensed) -> dict[str, tuple[Source, ...]]:
    """What the readings of a block share: all of them the line's direction, the starts how the rig lay, too."""
    proof, rig_m, laid = station.proof, station.rig.station_m, str(block.station_id)
    line = Source("line", laid, proof.line_deg(rig_m))
    own = Source("laying", laid, proof.own_deg)
    slope = Source("slope", laid, angle_deg(station.putt.drift_doubt_m(rig_m), rig_m))
    disturbed = Source("disturbed", str(block.id), disturbed_deg(block.disturbances))
    starts = tuple(it for it in (line, own, slope, disturbed) if it.sd > 0)
    face = (line,) if sensed.device is None else (line, Source("device", sensed.device, sensed.zero_deg))
    return {"start": starts, "address": face, "impact": face, "path": (line,), "feels_straight": starts}


def _putted(block: KeptBlock, station: Station, sensed: _Sensed, hand: Hand, expected_deg: float) -> Putted:
    watched = station.rig.reads_start
    return Putted(
        distance_m=block.distance_m,
        window=station.putt.window,
        hole=block.hole,
        past_m=block.past_m,
        read_off=_read_off(station.putt),
        breaks=not station.putt.is_level,
        path_deg=path_of(block).expected_deg(hand),
        declared=bool(path_of(block).name),
        coarse=watched and _is_coarse(station, expected_deg),
        watched=watched,
        disturbances=tuple(block.disturbances),
        sensor_deg=sensed.noise_deg,
        zero_deg=sensed.zero_deg or UNZEROED_DEG(),
        checks=sensed.checks,
        one_device=sensed.one_device,
    )


def block_levels(block: KeptBlock, station: Station) -> Levels:
    """The factors in which a block was not as usual: as the coach said, and as it was laid."""
    more: list[tuple[Factor, str]] = []
    if block.guided:
        more.append(("guide", GUIDED))
    if not station.putt.is_straight:
        more.append(("break", "left" if station.putt.curve_m < 0 else "right"))
    return joined(levels_of(block.factors), more)


def _measures(strokes: Sequence[StrokeSheet]) -> dict[str, float]:
    return {name: value for it in strokes for name, value in it.measures.items()}


def _is_coarse(station: Station, expected_deg: float) -> bool:
    rig: Rig = station.rig
    return rig.sight(station.putt, expected_deg).fit in _COARSE_FITS[:2]


def _read_off(putt: Putt) -> Estimate | None:
    """How far right of the read the true start line lies, where the read is what was started at; by the slope's own
    doubt."""
    lines = putt.lines_deg
    if lines is None or putt.target != "read":
        return None
    doubt = max(putt.falls_doubt_percent, LEVEL_RESOLUTION) if not putt.is_level else putt.falls_doubt_percent
    per_percent = abs(lines[1]) / max(abs(putt.falls_right_percent), 0.3)
    return normal(lines[1] - lines[0], max(doubt * per_percent, 0.05))
