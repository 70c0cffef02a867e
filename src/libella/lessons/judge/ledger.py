"""The ledger of a lesson: everything that was read, gathered from every step. Whatever judges reads this."""

import math
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Final
from uuid import UUID

from ...core.certainty.estimate import Estimate, normal
from ...core.golfer.hand import Hand
from ...core.golfer.wording import wording_for
from ...core.green.putt import USUAL_PAST_M, Putt
from ...core.green.usual import usual_mix
from ...core.judge.chain import K_USUAL, fit_k
from ...core.judge.judgement import NO_HOLE_M
from ...core.judge.ledger.entry import Batch, Event, Fitted, Ledger, SecondProof, Source
from ...core.judge.ledger.factors import GUIDED, joined, levels_of
from ...core.judge.ledger.place import Place
from ...core.judge.ledger.putt import typed
from ...core.measure.interval import Interval
from ...core.see.eyes import Open
from ...core.see.first_look import FirstLook
from ...core.see.first_look import Place as LookedFrom
from ...core.see.misled import sighting
from ...core.see.position import LEVERS, Position, position_of
from ...core.see.trial import open_to
from ...core.set.kit import PARTS
from ...core.set.proof import Proof
from ...core.set.station import Station
from ...core.stand.set_up import ENTRIES
from ..aim.aims import AimSheet, aim_table
from ..aim.turns import AimTurns, aim_turns
from ..desk.desk import Desk
from ..desk.in_hand import InHand
from ..desk.kept import Mark, marks_of_lessons
from ..golfer.golfers import usual_of
from ..golfer.schools import schools_of
from ..lesson.lessons import BlockSheet, LessonSheet, blocks_of, in_lesson, lessons_before
from ..see.eyes import SetUpEyes, eye_sheet
from ..see.first_looks import LOOK, first_looks
from ..see.sights import SightSheet, sights_of
from ..set.bag import bag
from ..set.plans import laid_in, plan_now
from ..set.second_readings import ErrorsAt
from ..set.stations import entry_of
from ..stand.set_ups import newest_run
from ..start.blocks import station_of
from ..start.strokes import StrokeSheet, strokes_by_putt, strokes_of, strokes_of_all
from ..values import KeptGolfer, KeptLesson
from .bands import band_for, bands_are_tried
from .block_batch import Eyes, block_batch, day_of, event_of, valid_in

_ELECTRONICS: Final = frozenset(("stroke_sensor", "start_reader", "camera"))
_TURNED_DEG: Final = 1.0
"""A body line noted as parallel lies within this; noted left or right beyond it. An opinion."""
_AIMED: Final[Mapping[str, str]] = {"face": "face", "mark": "mark", "to_mark": "to_mark"}


@dataclass(frozen=True, slots=True)
class Gathered:
    """A lesson's ledger, the putt its sizes are told at, and its comparisons of set-downs."""

    ledger: Ledger
    putt: Putt
    turns: Sequence[AimTurns]


def ledger_of(desk: Desk, sheet: LessonSheet, *, earlier: bool = True) -> Gathered:
    """Everything read in a lesson, and with it what its golfer's starts were before."""
    lesson_id, golfer = sheet.lesson.id, sheet.golfer
    with desk.transaction() as session:
        row = plan_now(desk, session, lesson_id)
    plan = entry_of(row).station() if row else None
    putt = plan.putt if plan else Putt(NO_HOLE_M, USUAL_PAST_M(), sheet.lesson.green_speed_ft)
    strokes = strokes_by_putt(strokes_of(desk, lesson_id))
    schools = schools_of(desk, golfer)
    band = band_for(desk, golfer.level, schools)
    read = [it for it in sheet.blocks if valid_in(it)]
    errors = ErrorsAt.of(desk)
    expected = band.spread_deg["start"]
    usual, tools = usual_of(golfer, schools), bag(desk)
    aims = aim_table(desk, lesson_id).sheets
    sights = sights_of(desk, lesson_id)
    laid = [*_laid_before(desk, lesson_id, aims, sights), *(station_of(it.block) for it in read)] or (
        [plan] if plan else []
    )
    turns = aim_turns(desk, lesson_id, aims)
    others = list(others_of(desk, sheet, aims, sights, turns))
    eyes = _eyes_in(others, golfer)
    blocks = [block_batch(it, golfer.hand, strokes, expected, errors.at(it.block.started_at), eyes) for it in read]
    k = [it.block.k for it in sheet.blocks if it.block.k is not None]
    ledger = Ledger(
        hand=golfer.hand,
        mix=usual_mix(putt, usual),
        lengths_m=tuple(it.distance_m for it in usual),
        k=Estimate(k[-1], k[-1], k[-1]) if k else fit_k(blocks) or schools.settings.k or K_USUAL,
        level=golfer.level,
        band=band,
        batches=tuple(sorted([*blocks, *others], key=lambda it: it.day)),
        earlier=_earlier(desk, sheet, band.spread_deg["start"]) if earlier else (),
        proof=_second_proof(laid),
        line_deg=_line_deg(laid),
        tools=_usual_bag(electronics=bool(strokes)) if tools is None else frozenset(tools),
        schools=schools,
        wording=wording_for(golfer.level, golfer.wording),
    )
    return Gathered(ledger, putt, turns)


def _usual_bag(*, electronics: bool) -> frozenset[str]:
    """What is at hand where nothing was said of the bag: everything plain; devices only where one spoke."""
    return frozenset(it for it in PARTS if electronics or it not in _ELECTRONICS)


def others_of(
    desk: Desk,
    sheet: LessonSheet,
    aims: Sequence[AimSheet],
    sights: Sequence[SightSheet],
    turns: Sequence[AimTurns] = (),
) -> Iterable[Batch]:
    """What was read before the first putt: set-downs, what looks straight, eyes, first looks, how the golfer stood;
    `turns` name the ways of set-downs, where anybody asks for names."""
    lesson_id = sheet.lesson.id
    named = {one.series.id: name for it in turns for name, one in zip(it.names, it.sheets, strict=True)}
    yield from (series_batch(it, named.get(it.series.id, "")) for it in aims if it.reads)
    yield from (_sight(it) for it in sights if it.found.trials)
    eyes = eye_sheet(desk, lesson_id)
    for one in eyes.set_ups:
        taken = next((it.taken_at for it in eyes.takes if it.set_up == one.name and not it.voided), None)
        if one.found is not None and taken is not None:
            yield _eyes(one, taken, lesson_id, sheet.golfer.hand)
    yield from _first_looks(desk, lesson_id)
    run = newest_run(desk, lesson_id)
    if run:
        events = tuple(
            Event(str(it.id), {name: _entry(name, value) for name, value in it.values.items()}) for it in run
        )
        error = ErrorsAt.of(desk).at(run[0].taken_at).mm("body_lines")
        noise = {name: error for name, it in ENTRIES.items() if it.group == "body_lines" and error}
        yield Batch(str(run[0].id), "stand", day_of(run[0].taken_at), events, lesson=str(lesson_id), noise=noise)


def every_batch(
    desk: Desk, golfer: KeptGolfer, lessons: Sequence[KeptLesson], expected_deg: float, *, starts_only: bool = False
) -> Iterable[Batch]:
    """The same, all of them together."""
    for it in by_lesson(desk, golfer, lessons, expected_deg, starts_only=starts_only):
        yield from it.batches


_MOST_EVENTS: Final = 200
_IN_HAND: Final = InHand[tuple[Batch, ...]](400, lambda it: sum(len(one.events) for one in it) <= _MOST_EVENTS)


@dataclass(frozen=True, slots=True)
class InLesson:
    """What was read in one lesson, and the mark of the data it is of."""

    lesson: KeptLesson
    mark: Mark | None
    batches: tuple[Batch, ...]


def by_lesson(
    desk: Desk,
    golfer: KeptGolfer,
    lessons: Sequence[KeptLesson],
    expected_deg: float,
    *,
    starts_only: bool = False,
) -> Iterable[InLesson]:
    """Everything that was read of a golfer, lesson by lesson; `starts_only`: of putts alone, without what sensors told.

    A putt leaves what was read in the lessons before it as it was: those are in hand, and only the others are fetched.
    """
    marks = {} if bands_are_tried() else marks_of_lessons(desk, [it.id for it in lessons])
    how = (expected_deg, starts_only)
    held = {it.id: _IN_HAND.held(desk, marks.get(it.id), (it.id, *how)) for it in lessons}
    missing = [id for id, it in held.items() if it is None]
    sheets: dict[UUID, list[BlockSheet]] = {id: [] for id in missing}
    for sheet in blocks_of(desk, missing) if missing else ():
        sheets[sheet.block.lesson_id].append(sheet)
    strokes = strokes_of_all(desk, missing) if missing and not starts_only else {}

    def read(lesson: KeptLesson) -> tuple[Batch, ...]:
        whole = LessonSheet(lesson, in_lesson(golfer, lesson), sheets[lesson.id])
        told = None if starts_only else strokes_by_putt(strokes.get(lesson.id, ()))
        return tuple(_batches_of(desk, golfer, whole, expected_deg, told))

    for lesson in lessons:
        mark, batches = marks.get(lesson.id), held[lesson.id]
        if batches is None:
            batches = read(lesson)
            _IN_HAND.keep(desk, mark, (lesson.id, *how), batches)
        yield InLesson(lesson, mark, batches)


def _batches_of(
    desk: Desk,
    golfer: KeptGolfer,
    whole: LessonSheet,
    expected_deg: float,
    strokes: Mapping[UUID, Sequence[StrokeSheet]] | None,
) -> Iterable[Batch]:
    """What was read in one lesson; of putts alone where no `strokes` are given."""
    lesson, errors, others = whole.lesson, ErrorsAt.of(desk), list[Batch]()
    if strokes is not None:
        others = list(others_of(desk, whole, aim_table(desk, lesson.id).sheets, sights_of(desk, lesson.id)))
    eyes = _eyes_in(others, golfer)
    for it in whole.blocks:
        if valid_in(it):
            at = errors.at(it.block.started_at)
            yield block_batch(it, lesson.hand, strokes or {}, expected_deg, at, eyes)
    yield from others


def _eyes_in(others: Sequence[Batch], golfer: KeptGolfer) -> Eyes:
    """Where the eye that sights was, mm inside, by the set-up. A string is looked at with that eye; a mirror shows the
    middle of both, and which of them sights may not be known."""
    found = {dict(it.levels).get("set_up", ""): it for it in others if "eyes_inside" in it.fitted}
    known = bool(golfer.sighting_eye)
    return {
        name: sighting(it.fitted["eyes_inside"].bias, known=known or "eyes_behind" not in it.fitted)
        for name, it in found.items()
    }


def series_batch(it: AimSheet, name: str) -> Batch:
    """A series of set-downs; `name`: of the way it is one of in a comparison."""
    series, link = it.series, _AIMED[it.series.link]
    told = {"set_up": series.set_up, "cue": "" if series.cue == "line" else series.cue}
    levels = joined(levels_of(dict(series.factors) | told), [("guide", GUIDED)] if series.aided else [])
    tool = math.sqrt(max(it.shared_deg**2 - it.line_deg**2, 0.0))
    station = str(series.station_id or "")
    sources = (Source("line", station, it.line_deg), Source("tool", series.kind or "", tool))
    return Batch(
        id=str(series.id),
        step="aim",
        day=day_of(series.started_at),
        events=tuple(
            event_of(down.id, {link: read}, down.flags)
            for down, read in zip((one for one in it.set_downs if not one.voided), it.reads, strict=True)
        ),
        levels=levels,
        label=name,
        lesson=str(series.lesson_id),
        sources={link: tuple(one for one in sources if one.sd > 0)},
        proved=it.found.proved,
        planned=series.planned,
        comparison=str(series.comparison_id or ""),
        turn=series.turn or 0,
    )


def _sight(it: SightSheet) -> Batch:
    """A test of what looks straight, shown or not: what was answered was answered."""
    found, test = it.found, it.test
    told = {"set_up": test.condition or _moved(position_of(test.position))}
    fitted = Fitted(found.angle, found.noise, found.trials, found.tells, open_to(found.open_side), found.proved)
    return Batch(
        id=str(test.id),
        step="see",
        day=day_of(test.started_at),
        events=(),
        levels=levels_of(told),
        label=test.condition,
        lesson=str(test.lesson_id),
        fitted={"looks_straight": fitted},
        proved=found.proved,
    )


def _moved(position: Position) -> str:
    """A place of the head or the ball in the words of its levers."""
    return ", ".join(LEVERS[name].way(plus=value > 0) for name, value in position.items())


def _eyes(it: SetUpEyes, taken: datetime, lesson_id: UUID, hand: Hand) -> Batch:
    assert it.found is not None
    found = it.found
    fitted: dict[str, Fitted] = {}
    if found.weighed is not None:
        fitted["eyes_inside"] = _seen(found.weighed, found.wander, found.looked, found.open)
    if found.weighed_behind is not None:
        fitted["eyes_behind"] = _seen(found.weighed_behind, None, found.looked_behind, found.open_behind)
    if found.eye_line_deg is not None:
        fitted["eye_line"] = Fitted(normal(found.eye_line_deg, 1.0), None, len(it.looks))
    levels = levels_of({"set_up": it.name})
    return Batch(f"eyes:{it.name}", "see", day_of(taken), (), levels, it.name, str(lesson_id), fitted=fitted)


def _seen(it: Estimate, wander: Estimate | None, looks: int, beyond: Open | None) -> Fitted:
    if beyond is None:
        return Fitted(it, wander, looks)
    return Fitted(it, None, beyond.beyond, tells=False, open_side="right" if beyond.side == "more" else "left")


def _first_looks(desk: Desk, lesson_id: UUID) -> Iterable[Batch]:
    by_place: dict[LookedFrom, list[tuple[str, FirstLook, datetime]]] = {}
    for row in first_looks(desk, lesson_id).taken:
        if row.voided:
            continue
        look = LOOK.read(row.raw)
        by_place.setdefault(look.place, []).append((str(row.id), look, row.taken_at))
    for place, told in by_place.items():
        events = tuple(Event(id, {"first_look": look.looks}) for id, look, _ in told)
        name = place.set_up
        levels = levels_of({"set_up": name, "hole_side": "other" if place.other_side else ""})
        said = [look.playable for _, look, _ in told if look.playable is not None]
        last = said[-1] if said else None
        id = f"first:{name}{':other' if place.other_side else ''}"
        yield Batch(id, "see", day_of(told[0][2]), events, levels, name, str(lesson_id), playable=last)


def _entry(name: str, value: float | str) -> Interval | str:
    """An entry of a set-up: a number to its step, a body line's side as an interval, anything else in its words."""
    entry = ENTRIES[name]
    if not isinstance(value, str):
        return Interval(value - entry.step / 2, value + entry.step / 2) if entry.step else typed(value)
    if entry.group != "body_lines":
        return value
    return {
        "left": Interval(-math.inf, -_TURNED_DEG, said=True),
        "parallel": Interval(-_TURNED_DEG, _TURNED_DEG, said=True),
        "right": Interval(_TURNED_DEG, math.inf, said=True),
    }[value]


def _laid_before(desk: Desk, lesson_id: UUID, aims: Sequence[AimSheet], sights: Sequence[SightSheet]) -> list[Station]:
    """The lines against which something was read at address: set-downs, what looks straight."""
    set_down = [it.series for it in aims if it.reads and it.series.link != "to_mark"]
    asked = [it.test for it in sights if it.found.trials]
    with desk.transaction() as session:
        plans = laid_in(desk, session, lesson_id)
    told = [plans.read_on(it.station_id, it.started_at) for it in (*set_down, *asked)]
    laid = {it.id: it for it in told if it is not None}
    return [entry_of(it).station() for it in laid.values()]


def _second_proof(laid: Sequence[Station]) -> SecondProof | None:
    """What the newest second check found, where it measured the line."""
    for station in reversed(laid):
        it: Proof = station.proof
        if it.proves_line and it.evidence is not None:
            rig_m = station.rig.station_m
            return SecondProof(normal(it.line_off_deg(rig_m), it.line_deg(rig_m)), Place("set"))
    return None


def _line_deg(laid: Sequence[Station]) -> float | None:
    """What is left unknown of the line, root mean square over where it was putted; None where any of it was not
    measured a second way."""
    if not laid or not all(it.proof.proves_line for it in laid):
        return None
    doubts = [it.proof.line_deg(it.rig.station_m) for it in laid]
    return math.sqrt(sum(it * it for it in doubts) / len(doubts))


def _earlier(desk: Desk, sheet: LessonSheet, expected_deg: float) -> tuple[Batch, ...]:
    """The starts of the lessons before this one: what grows with the length is seen over lessons, too."""
    # What was putted from the other side is another stroke.
    before = lessons_before(desk, sheet.lesson)
    starts = every_batch(desk, sheet.golfer, before, expected_deg, starts_only=True)
    return tuple(it for it in starts if it.counts.get("start"))
