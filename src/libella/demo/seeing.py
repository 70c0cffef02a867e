"""What a demo golfer's set-up, eyes and sight are, and how they are noted and asked in a lesson."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import datetime, timedelta

import numpy as np
import uuid6

from ..core.aim.links import Link
from ..core.instruments import lay
from ..core.instruments.aid import Raw
from ..core.see.eyes import EyeMark, EyeTake
from ..core.see.position import Position
from ..core.see.trial import Looks
from ..core.simulated.golfer import SimulatedEyes
from ..core.stand.set_up import Value
from ..lessons.aim.aims import AimEntry, begin_series, keep_set_down
from ..lessons.desk.desk import Desk
from ..lessons.keep.cards import keep_card
from ..lessons.keep.quick_checks import CheckEntry, check_sheet, keep_check
from ..lessons.lesson.lessons import read_laser_cautions
from ..lessons.see.eyes import Taken, keep_take
from ..lessons.see.sights import SightEntry, begin_test, felt_there, keep_answer, show_test, sight_sheet
from ..lessons.stand.set_ups import SetUpEntry, keep_set_up

_SEED = 20_261
_ANSWERS = 16
_HALF_APART_M = 0.032


@dataclass(frozen=True, slots=True)
class Aiming:
    """The truth of one link of the aim, and how it is read; degrees, right positive."""

    link: Link
    bias_deg: float
    spread_deg: float = 0.5
    kind: str | None = None
    aided: bool = False
    set_downs: int = 7


@dataclass(frozen=True, slots=True)
class Seeing:
    """A golfer's truth: what is seen, where the eyes are (m inside the line, behind the ball), how the golfer stands.

    `tried` are the head positions asked at, with comfort and trust; `card` the change kept at the end.
    """

    eyes: SimulatedEyes
    place_m: tuple[float, float] = (0.02, 0.02)
    wander_m: float = 0.004
    stands: Mapping[str, Value] = field(default_factory=dict[str, Value])
    tried: tuple[tuple[Position, int, int], ...] = ()
    card: Position | None = None
    card_note: str = ""
    checked: bool = False
    aims: tuple[Aiming, ...] = ()


def stand_and_see(desk: Desk, lesson_id: uuid6.UUID, seeing: Seeing, at: datetime, lesson: str) -> None:
    """Note the set-up, mark the eyes, ask what looks straight; keep a card where there is one.

    `lesson` names the lesson within the scenario.
    """
    # Its own draws: the putts stay what they are with eyes asked or not.
    rng = np.random.default_rng(_SEED)
    # Which angle is asked next hangs on the id of its test: with ids of the moment each demo would find something else.
    ids = np.random.default_rng(list(lesson.encode()))
    if seeing.stands:
        first = uuid6.uuid7()
        for n in range(3):
            values = {name: _again(name, value, rng) if n else value for name, value in seeing.stands.items()}
            entry = SetUpEntry(lesson_id, values, _minute(at, n), again_of=first if n else None)
            keep_set_up(desk, uuid6.uuid7() if n else first, entry)
        for n in range(3):
            look = _look(seeing, rng)
            keep_take(desk, uuid6.uuid7(), lesson_id, look, Taken(_minute(at, 3 + n)))
    _ask(desk, _id(ids), lesson_id, seeing.eyes, {}, at, rng)
    for n, (position, comfort, trust) in enumerate(seeing.tried):
        test_id = _id(ids)
        _ask(desk, test_id, lesson_id, seeing.eyes.at(position), position, _minute(at, 6 + n), rng)
        felt_there(desk, test_id, playable=comfort > 1, comfort=comfort, trust=trust)
    for n, aiming in enumerate(seeing.aims):
        _aim(desk, lesson_id, aiming, _minute(at, 8 + n), rng)
    if seeing.card is not None:
        card_id = uuid6.uuid7()
        keep_card(desk, card_id, lesson_id, seeing.card, seeing.card_note, _minute(at, 12))
        if seeing.checked:
            _check(desk, _id(ids), lesson_id, card_id, seeing, _minute(at, 13), rng)


def _aim(desk: Desk, lesson_id: uuid6.UUID, aiming: Aiming, at: datetime, rng: np.random.Generator) -> None:
    series_id = uuid6.uuid7()
    if aiming.kind is not None and lay(aiming.kind, {}).about.laser:
        read_laser_cautions(desk, lesson_id, at)
    begin_series(
        desk, series_id, AimEntry(lesson_id, aiming.link, "line", aiming.aided, aiming.set_downs, at, aiming.kind)
    )
    for _ in range(aiming.set_downs):
        angle = float(rng.normal(aiming.bias_deg, aiming.spread_deg))
        if aiming.kind is None:
            raw: Raw = {"angle_deg": round(angle * 2) / 2, "seen_deg": 0.5}
        else:
            raw = next(it.raw for it in lay(aiming.kind, {}).zones() if angle <= it.interval.high)
        keep_set_down(desk, uuid6.uuid7(), series_id, raw, at)


def _check(
    desk: Desk,
    check_id: uuid6.UUID,
    lesson_id: uuid6.UUID,
    card_id: uuid6.UUID,
    seeing: Seeing,
    at: datetime,
    rng: np.random.Generator,
) -> None:
    moved = seeing.card or {}
    eyes = _look(seeing, rng, moved.get("inside", 0.0) / 1000, moved.get("behind", 0.0) / 1000)
    keep_check(desk, check_id, lesson_id, CheckEntry(card_id, eyes, 0.0, ()), at)
    seen = seeing.eyes.at(moved)
    answers: list[Looks] = [seen.looks(rng, angle) for angle in check_sheet(desk, check_id).angles]
    keep_check(desk, check_id, lesson_id, CheckEntry(card_id, eyes, 0.0, answers), at)


def _ask(
    desk: Desk,
    test_id: uuid6.UUID,
    lesson_id: uuid6.UUID,
    eyes: SimulatedEyes,
    position: Position,
    at: datetime,
    rng: np.random.Generator,
) -> None:
    """What looks straight, asked with a rod."""
    entry = SightEntry(lesson_id, "directions", "", "as_usual", "both", "none", 2.0, at, position=position)
    begin_test(desk, test_id, entry)
    for _ in range(_ANSWERS):
        asked = sight_sheet(desk, test_id).next
        if asked is None:
            break
        raw = {"true_deg": asked.true_deg, "looks": eyes.looks(rng, asked.true_deg)}
        keep_answer(desk, uuid6.uuid7(), test_id, raw, at)
    show_test(desk, test_id, at)


def _id(ids: np.random.Generator) -> uuid6.UUID:
    return uuid6.UUID(int=int.from_bytes(ids.bytes(16)), version=7)


def _look(seeing: Seeing, rng: np.random.Generator, further_in: float = 0.0, further_behind: float = 0.0) -> EyeTake:
    inside, behind = (
        place + by + float(rng.normal(0, seeing.wander_m))
        for place, by in zip(seeing.place_m, (further_in, further_behind), strict=True)
    )
    lead, trail = EyeMark(_mm(inside), _mm(behind - _HALF_APART_M)), EyeMark(_mm(inside), _mm(behind + _HALF_APART_M))
    return EyeTake(lead, trail)


def _again(name: str, value: Value, rng: np.random.Generator) -> Value:
    """The same set-up after stepping away: sizes come back to within some millimetres or a degree."""
    if isinstance(value, str):
        return value
    scale = 0.006 if name.endswith("_m") else 1.0
    return round(value + float(rng.normal(0, scale)), 3 if name.endswith("_m") else 0)


def _mm(metres: float) -> float:
    return round(metres, 3)


def _minute(at: datetime, n: int) -> datetime:
    return at + timedelta(seconds=8 * n)
