"""The Ropewalk's five invented golfers: what is true of each, and the lessons they had over three months."""

from collections.abc import Mapping
from dataclasses import dataclass, field

from ..core.golfer.hand import Hand
from ..core.golfer.level import Level
from ..core.green.read import Read
from ..core.people.consent import By
from ..core.see.position import Position
from ..core.simulated.golfer import SimulatedEyes, SimulatedGolfer
from ..core.stand.set_up import Value
from ..core.start.turns import Order, Question
from .seeing import Aiming, Seeing

_BOARD = ("board", {"distance_m": 1.0, "half_width_m": 0.1, "mark_m": 0.005})
_PEGS = ("peg_gate", {"distance_m": 0.5, "inside_width_m": 0.06, "post_m": 0.005})
_LASER = ("ground_laser", {"distance_m": 0.5, "line_m": 3.0})
_WIDE = {"set_up": "wide base"}
_BALLS = ("ball_gate", {"distance_m": 0.6, "inside_width_m": 0.072})


@dataclass(frozen=True, slots=True)
class Run:
    """One block of a demo lesson."""

    truth: SimulatedGolfer
    distance_m: float = 2.5
    rig: tuple[str, dict[str, float]] = _BOARD
    condition: str = "as usual"
    factors: Mapping[str, str] = field(default_factory=dict[str, str])
    """In what it is not as usual."""
    putts: int = 10
    planned: int = 10
    falls_percent: tuple[float, float] = (0.0, 0.0)
    """Slope of the putt, forward and to the right."""
    aids: tuple[str, ...] = ()
    """What lies beside the rig."""
    read: Read | None = None
    asks: tuple[str, ...] = ()
    """What else is noted of every putt."""
    sensed: bool = False
    """A face-and-path sensor tells every stroke."""


@dataclass(frozen=True, slots=True)
class Versus:
    """A planned comparison in a demo lesson: its conditions differ in a factor and in truth, on one station."""

    runs: tuple[Run, ...]
    question: Question
    order: Order = "alternating"
    run: int = 5


@dataclass(frozen=True, slots=True)
class Person:
    """A demo golfer and the lessons, by days before today."""

    name: str
    hand: Hand
    level: Level
    notes: str
    lessons: dict[int, tuple[Run | Versus, ...]]
    seeing: dict[int, Seeing] = field(default_factory=dict[int, Seeing])
    """Set-up, eyes and sight, by the lesson at whose start they are asked."""
    answers: By = "golfer"
    """Who answers what is asked: a minor's guardian."""

    def runs(self, days: int) -> tuple[Run, ...]:
        """The blocks of a lesson, in their order."""
        return tuple(run for it in self.lessons[days] for run in (it.runs if isinstance(it, Versus) else (it,)))


def _wim() -> dict[int, tuple[Run | Versus, ...]]:
    truth = SimulatedGolfer(bias_deg=-0.35, spread_deg=0.8, growth_deg_per_m=0.42)
    near, far = Run(truth, 1.5), Run(truth, 4.0, putts=12, planned=12)
    return {
        86: (near,),
        65: (Run(truth), far),
        44: (near, far),
        23: (Run(truth, rig=_PEGS),),
        4: (near, Run(truth), far),
    }


def _junia() -> dict[int, tuple[Run | Versus, ...]]:
    def truth(bias: float) -> SimulatedGolfer:
        # The aim follows the picture; what the stroke adds makes the rest of the start.
        aim = 1.1
        return SimulatedGolfer(bias - 0.85 * aim, 0.75, looks_straight_deg=aim, feels_straight_deg=bias)

    return {
        80: (Run(truth(1.3), aids=("ground_mirror",)),),
        59: (Run(truth(1.2)), Run(truth(0.7), condition="mirror first", factors={"routine": "mirror first"})),
        37: (Run(truth(1.1), rig=_PEGS, putts=12, planned=12),),
        16: (Run(truth(0.8)), Run(truth(0.5), condition="mirror first", factors={"routine": "mirror first"})),
        0: (Run(truth(0.7), putts=4, aids=("ground_mirror", "foot_rods")),),
    }


def _pell() -> dict[int, tuple[Run | Versus, ...]]:
    # Aims right and swings it back: the two nearly cancel.
    truth = SimulatedGolfer(
        0.1, 1.2, mishit_share=0.03, looks_straight_deg=1.6, makes_up=0.95, path_deg=-2.5, cue_deg={"blank": -0.6}
    )
    blind = Run(truth, condition="no line on the ball", factors={"cue": "blank"})
    sensed = Run(truth, putts=14, planned=14, sensed=True, asks=("strike",))
    return {74: (Run(truth),), 52: (Run(truth), blind), 30: (Run(truth, rig=_BALLS),), 9: (sensed, blind)}


def _greta() -> dict[int, tuple[Run | Versus, ...]]:
    loose = SimulatedGolfer(-0.1, 2.1, feel_noise_deg=2.5, still_share=0.3)
    steadier = SimulatedGolfer(0.1, 1.2, still_share=0.8)
    return {
        83: (Run(loose),),
        62: (Run(loose, 1.5, _BALLS),),
        34: (Run(loose), Run(steadier, condition="wide base", factors=_WIDE)),
        13: (
            Versus(
                (
                    Run(loose, putts=12, asks=("still",)),
                    Run(steadier, condition="wide base", factors=_WIDE, putts=12, asks=("still",)),
                ),
                "spread",
                run=4,
            ),
        ),
    }


def _idris() -> dict[int, tuple[Run | Versus, ...]]:
    truth = SimulatedGolfer(bias_deg=0.05, spread_deg=0.45, holed_share=0.35, read_error_deg=0.4, pace_error=0.25)
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
    tried: tuple[tuple[Position, int, int], ...] = (({"inside": 25.0}, 4, 3), ({"behind": 25.0}, 3, 3))
    note = "Ball a hand further away, bow from the hips."
    # Asked there again before it is kept.
    again: tuple[tuple[Position, int, int], ...] = (*tried, ({"inside": 25.0}, 4, 4))
    kept = Seeing(eyes, (-0.045, 0.03), stands=stands, tried=again, card={"inside": 25.0}, card_note=note, checked=True)
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
        answers="guardian",
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
