"""A station: a putt with its rig."""

from dataclasses import dataclass, replace

from .angle import offset_m
from .constants import BALL_M, HOLE_M
from .drawing.scene import Area, Circle, Line, Ray, Scene, Shape, Tape
from .golfer import Hand
from .green.capture import CAPTURE_WORDS
from .green.putt import Putt
from .instruments.rig import Rig
from .interval import Interval
from .limits import OutOfLimits
from .wording import Units, about, fine_degrees, side_of, tape

# Half a shoe's outline from heel to toe: (half width, along), mm.
_HALF_SHOE_MM = (
    (0, -145), (22, -140), (34, -122), (38, -90), (36, -40), (42, 15),
    (49, 62), (48, 95), (38, 122), (22, 139), (0, 145),
)  # fmt: skip
_OPEN_END_DEG = 12.0


@dataclass(frozen=True, slots=True)
class Station:
    """A level straight putt with the rig that watches it. Raises `OutOfLimits` where they do not fit."""

    putt: Putt
    rig: Rig

    def __post_init__(self) -> None:
        room = self.putt.distance_m - HOLE_M / 2
        if self.rig.station_m > room:
            raise OutOfLimits(
                "distance_m",
                f"{self.rig.about.name} at {tape(self.rig.station_m, 'metric')} stands at or beyond the hole of a "
                f"{tape(self.putt.distance_m, 'metric')} putt; put it nearer the ball.",
                limit=f"at most {room:.2f} m",
                unit="m",
            )

    def words(self, units: Units) -> str:
        """The station in one line: "2.50 m · ruler board at 1.00 m"."""
        rig = self.rig
        return f"{tape(self.putt.distance_m, units)} · {rig.about.name.lower()} at {tape(rig.station_m, units)}"

    def allows(self, units: Units) -> str:
        """What the hole allows, in words."""
        putt = self.putt
        return (
            f"The hole allows {fine_degrees(putt.window.narrow_deg)} either side "
            f"({about(putt.capture_m, 0.0, units)} off centre), rolling {tape(putt.past_m, units)} past "
            f"on a {putt.stimp_ft:g} ft green ({CAPTURE_WORDS[putt.capture]} limit)."
        )

    def from_above(self, hand: Hand, units: Units) -> Scene:
        """The station to scale, with its taped dimensions."""
        length = self.putt.distance_m * 1000
        tapes: list[Shape] = [*self.rig.from_above(units), Tape(0, 0, length, 0, tape(self.putt.distance_m, units), 2)]
        if hand == "left":
            # The feet are to the right of the line then: tapes along it run on the free side.
            tapes = [replace(it, lane=-it.lane) if isinstance(it, Tape) and it.y1 == it.y2 else it for it in tapes]
        shapes: list[Shape] = [*_shoes(hand), *self._ground(), *tapes]
        words = (
            f"From above: ball at left, hole {tape(self.putt.distance_m, units)} away at right, "
            f"{self.rig.about.name.lower()} at {tape(self.rig.station_m, units)}."
        )
        return Scene(-260, -430, length + 160, 430, words, tuple(shapes))

    def rays(self, readings: tuple[Interval, ...], units: Units) -> Scene:
        """The putts as rays from the ball to the hole, oldest first in `readings`; the newest has age 0."""
        length = self.putt.distance_m * 1000
        shapes: list[Shape] = [*self._ground(), *(it for it in self.rig.from_above(units) if not isinstance(it, Tape))]
        for n, it in enumerate(readings):
            at = it.anchor
            shapes.append(
                Ray(
                    0,
                    0,
                    length,
                    _page_y(at, length),
                    None if it.low_or_none is None else _page_y(it.low, length),
                    None if it.high_or_none is None else _page_y(it.high, length),
                    "neither" if it.low <= 0 <= it.high else side_of(at),
                    len(readings) - 1 - n,
                )
            )
        words = f"{len(readings)} putts as rays from the ball towards the hole."
        return Scene(-120, -300, length + 160, 300, words, tuple(shapes))

    def _ground(self) -> list[Shape]:
        length = self.putt.distance_m * 1000
        capture = self.putt.capture_m * 1000
        return [
            Area(((0.0, 0.0), (length, -capture), (length, capture)), "window"),
            Circle(length, 0, HOLE_M * 500, "hole"),
            Line(0, 0, length, 0, "line"),
            Circle(0, 0, BALL_M * 500, "ball"),
        ]


def _page_y(angle_deg: float, length_mm: float) -> float:
    return offset_m(max(-_OPEN_END_DEG, min(_OPEN_END_DEG, angle_deg)), length_mm)


def _shoes(hand: Hand) -> list[Shape]:
    """Where the golfer stands: a right-handed golfer on the left of the line (up the page), toes to the line."""
    towards = 1 if hand == "right" else -1
    outline = [*_HALF_SHOE_MM, *((-wide, along) for wide, along in reversed(_HALF_SHOE_MM[1:-1]))]
    return [Area(tuple((x + dx, towards * (dy - 260)) for dx, dy in outline), "stance") for x in (-190.0, 130.0)]
