"""The Ropewalk: five invented golfers over three months, drawn from simulated golfers whose truth is known.

Everything goes through the same use cases as a coach's own entry.
"""

from collections.abc import Callable
from dataclasses import dataclass, field
from datetime import datetime, timedelta

import numpy as np
import uuid6

from ..core.golfer import Hand, Level
from ..core.green.read import Read
from ..core.proof import WAYS, Proof
from ..core.set_up import Value
from ..core.simulated import SimulatedEyes, SimulatedGolfer
from ..lessons.blocks import BlockEntry, record, start_block, station_of, void_reading
from ..lessons.desk import Desk, studio
from ..lessons.golfers import GolferEntry, find_golfers, keep_golfer
from ..lessons.lessons import LessonEntry, end_lesson, keep_lesson, read_laser_cautions
from ..lessons.stations import AidEntry, StationEntry, keep_station
from ..store.tables import Studio
from .seeing import Aiming, Seeing, stand_and_see

_SEED = 20_260
_STIMP_FT = 9.5
_PUTT_EVERY = timedelta(seconds=17)
_PROOF = Proof("tape", doubt_m=WAYS["tape"].doubt_m)
_BOARD = ("board", {"distance_m": 1.0, "half_width_m": 0.1, "mark_m": 0.005})
_PEGS = ("peg_gate", {"distance_m": 0.5, "inside_width_m": 0.06, "post_m": 0.005})
_LASER = ("ground_laser", {"distance_m": 0.5, "line_m": 3.0})
_BALLS = ("ball_gate", {"distance_m": 0.6, "inside_width_m": 0.072})


@dataclass(frozen=True, slots=True)
class Run:
    """One block of a demo lesson."""

    truth: SimulatedGolfer
    distance_m: float = 2.5
    rig: tuple[str, dict[str, float]] = _BOARD
    condition: str = "as usual"
    putts: int = 10
    planned: int = 10
    falls_percent: tuple[float, float] = (0.0, 0.0)
    """Slope of the putt, forward and to the right."""
    aids: tuple[str, ...] = ()
    """What lies beside the rig."""
    read: Read | None = None
    asks: tuple[str, ...] = ()
    """What else is noted of every putt."""


@dataclass(frozen=True, slots=True)
class Person:
    """A demo golfer and the lessons, by days before today."""

    name: str
    hand: Hand
    level: Level
    notes: str
    lessons: dict[int, tuple[Run, ...]]
    seeing: dict[int, Seeing] = field(default_factory=dict[int, Seeing])
    """Set-up, eyes and sight, by the lesson at whose start they are asked."""


def _wim() -> dict[int, tuple[Run, ...]]:
    truth = SimulatedGolfer(bias_deg=-0.35, spread_deg=0.8, growth_deg_per_m=0.42)
    near, far = Run(truth, 1.5), Run(truth, 4.0, putts=12, planned=12)
    return {
        86: (near,),
        65: (Run(truth), far),
        44: (near, far),
        23: (Run(truth, rig=_PEGS),),
        4: (near, Run(truth), far),
    }


def _junia() -> dict[int, tuple[Run, ...]]:
    def truth(bias: float) -> SimulatedGolfer:
        return SimulatedGolfer(bias_deg=bias, spread_deg=0.75)

    return {
        80: (Run(truth(1.3), aids=("ground_mirror",)),),
        59: (Run(truth(1.2)), Run(truth(0.7), condition="mirror first")),
        37: (Run(truth(1.1), rig=_PEGS, putts=12, planned=12),),
        16: (Run(truth(0.8)), Run(truth(0.5), condition="mirror first")),
        0: (Run(truth(0.7), putts=4, aids=("ground_mirror", "foot_rods")),),
    }


def _pell() -> dict[int, tuple[Run, ...]]:
    truth = SimulatedGolfer(bias_deg=0.1, spread_deg=1.2, mishit_share=0.03)
    blind = Run(truth, condition="no line on the ball")
    return {74: (Run(truth),), 52: (Run(truth), blind), 30: (Run(truth, rig=_BALLS),), 9: (Run(truth), blind)}


def _greta() -> dict[int, tuple[Run, ...]]:
    loose = SimulatedGolfer(-0.1, 2.1, feel_noise_deg=2.5, still_share=0.3)
    steadier = SimulatedGolfer(0.1, 1.5, still_share=0.8)
    return {
        83: (Run(loose),),
        62: (Run(loose, 1.5, _BALLS),),
        34: (Run(loose), Run(steadier, condition="wide base")),
        13: (Run(steadier, condition="wide base", asks=("still",)), Run(loose, asks=("still",))),
    }


def _idris() -> dict[int, tuple[Run, ...]]:
    truth = SimulatedGolfer(bias_deg=0.05, spread_deg=0.45, holed_share=0.35)
    ramp = Run(truth, 3.0, _LASER, "ramp, left to right", falls_percent=(-1.0, 1.2), read=Read("outside", "left", 0.05))
    return {
        77: (Run(truth, 3.0, putts=15, planned=15),),
        48: (Run(truth, rig=_PEGS),),
        20: (Run(truth, 4.0), Run(truth, 2.0)),
        6: (Run(truth, 3.0, putts=20, planned=20, asks=("felt", "finish")), ramp),
    }


def _junia_sees() -> dict[int, Seeing]:
    """Eyes far outside: straight is seen right of true, and truer the further in the eyes come."""
    eyes = SimulatedEyes(1.2, noise_deg=0.6, slopes={"inside": -0.03, "behind": 0.008})
    stands: dict[str, Value] = {
        "ball_breast_m": 0.03, "ball_toes_m": 0.2, "stance_m": 0.31, "feet_deg": "parallel", "shoulders_deg": -4.0,
        "handle_m": 0.79, "eye_height_m": 1.38,
    }  # fmt: skip
    moved = stands | {"ball_toes_m": 0.235, "shoulders_deg": -2.0, "handle_m": 0.77}
    tried = (({"inside": 25.0}, 4, 3), ({"behind": 25.0}, 3, 3))
    note = "Ball a hand further away, bow from the hips."
    kept = Seeing(eyes, (-0.045, 0.03), stands=stands, tried=tried, card={"inside": 40.0}, card_note=note, checked=True)
    # The face follows the picture, and the mark is laid as it is seen.
    aims = Aiming("face", 1.1, kind="face_mirror"), Aiming("mark", 0.7), Aiming("to_mark", 0.3)
    return {16: kept, 0: Seeing(eyes, (-0.04, 0.03), stands=moved, tried=tried, aims=aims)}


PEOPLE = (
    Person("Wim Adeyari", "left", "club", "Ferry engineer. Good from close in, loses it with length.", _wim()),
    Person(
        "Junia Thale",
        "right",
        "skilled",
        "15; guardian's consent on file. Eyes far outside.",
        _junia(),
        _junia_sees(),
    ),
    Person(
        "Pell Marchetti-Oduya",
        "right",
        "club",
        "Aims one way and swings the other; it nearly cancels.",
        _pell(),
        {9: Seeing(SimulatedEyes(0.2), aims=(Aiming("face", 1.6, 0.6, "face_mirror"),))},
    ),
    Person("Greta Solvang", "right", "starting", "Moves: head and legs. Wide base helps.", _greta()),
    Person(
        "Idris Vantongeren",
        "right",
        "elite",
        "Starts on line; misses by read and pace.",
        _idris(),
        {6: Seeing(SimulatedEyes(0.1, noise_deg=0.4)), 20: Seeing(SimulatedEyes(0.1, noise_deg=0.4))},
    ),
)


def is_empty(desk: Desk) -> bool:
    """True when nobody has been noted yet."""
    return not find_golfers(desk)


def is_half_loaded(desk: Desk) -> bool:
    """True when loading was interrupted: only invented golfers, and the studio is not marked as theirs yet."""
    return not studio(desk).invented and not is_empty(desk) and all(it.invented for it in find_golfers(desk))


def load(desk: Desk, now: datetime, say: Callable[[str], None] = lambda _: None) -> None:
    """Put the scenario into an empty studio, its last day being `now`; `say` is told who is done."""
    rng = np.random.default_rng(_SEED)
    for person in PEOPLE:
        # A golfer is loaded whole or not at all, and much faster than by a transaction for each putt.
        with desk.together() as whole:
            _load_person(whole, person, now, rng)
        say(f"{person.name}, {len(person.lessons)} lessons")
    # Last, so that an interrupted loading is known as one.
    with desk.transaction() as session:
        row = session.get_one(Studio, desk.studio_id)
        row.name, row.place, row.coach, row.invented = "The Ropewalk", "Skerrow", "Ottoline Brask", True


def _load_person(desk: Desk, person: Person, now: datetime, rng: np.random.Generator) -> None:
    golfer_id = uuid6.uuid7()
    keep_golfer(desk, golfer_id, GolferEntry(person.name, person.hand, person.level, person.notes, invented=True))
    for days, runs in person.lessons.items():
        began = now - timedelta(days=days, minutes=2 if days == 0 else 95)
        _teach(desk, golfer_id, runs, began, days == 0, rng, person.seeing.get(days))


def _teach(
    desk: Desk,
    golfer_id: uuid6.UUID,
    runs: tuple[Run, ...],
    start: datetime,
    stays_open: bool,
    rng: np.random.Generator,
    seeing: Seeing | None,
) -> None:
    lesson_id = uuid6.uuid7()
    keep_lesson(
        desk,
        lesson_id,
        LessonEntry(
            golfer_id, "The Ropewalk", "indoor mat", _STIMP_FT, start, "14 m floor, level, lamps on", invented=True
        ),
    )
    if seeing is not None:
        stand_and_see(desk, lesson_id, seeing, start)
    at = start
    for run in runs:
        kind, sizes = run.rig
        station_id, block_id = uuid6.uuid7(), uuid6.uuid7()
        forward, right = run.falls_percent
        entry = StationEntry(
            run.distance_m,
            0.3,
            _STIMP_FT,
            "rim_assisted",
            kind,
            sizes,
            falls_forward_percent=forward,
            falls_right_percent=right,
            falls_doubt_percent=0.1 if forward or right else 0.0,
            read=run.read,
            proof=_PROOF,
            aids=tuple(AidEntry(it, {}) for it in run.aids),
        )
        if entry.station().has_laser:
            read_laser_cautions(desk, lesson_id, at)
        keep_station(desk, station_id, lesson_id, entry, at)
        guided = entry.station().rig.about.guides
        block = start_block(desk, block_id, BlockEntry(station_id, run.condition, guided, run.planned, at, run.asks))
        station = station_of(block)
        # Its own draws: the putts stay what they are with notes asked or not.
        noting = np.random.default_rng(_SEED + run.putts)
        for n in range(run.putts):
            at += _PUTT_EVERY * float(rng.uniform(0.7, 1.4))
            reading_id = uuid6.uuid7()
            start_deg = run.truth.start(rng, run.distance_m)
            told = run.truth.notes(noting, start_deg, station.putt.window)
            notes = {name: told[name] for name in run.asks}
            record(desk, reading_id, block_id, station.observe(start_deg).raw, at, notes)
            # Now and then a putt does not count, as in any lesson; it is taken again.
            if n == 3 and run.putts > 10:
                void_reading(desk, reading_id, "talked through")
                at += _PUTT_EVERY
                again = station.observe(run.truth.start(rng, run.distance_m)).raw
                record(desk, uuid6.uuid7(), block_id, again, at)
        at += timedelta(minutes=6)
    if not stays_open:
        end_lesson(desk, lesson_id, at)
