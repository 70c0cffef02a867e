"""What strips that turn from light to dark share: from where an eye first sees dark, and what that says of its side.

Two devices read oppositely (handbook 3): under a bar eyes inside uncover the near edge; through a slot they look across
it to the far edge. Near is the golfer's side.
"""

from dataclasses import dataclass
from math import inf
from typing import ClassVar, Final, Literal

from ..drawing.scene import Line, Scene, Shape, Tape, box
from ..measure.interval import Interval
from ..measure.limits import Bounds, OutOfLimits
from ..measure.units import Units, tape
from ..opinions.held import Opinion
from .aid import About, Aid, Raw, Zone, choice, dimension

Device = Literal["bar", "slot"]
"""A bar over the strip that just hides its dark edges from above, or a slot through which only its light is seen."""
Strip = Literal["dark_near", "light", "dark_far"]
TURNS: Final = Bounds(0.001, 0.1, "m")
USUAL_TURNS_M: Final = Opinion("strip_turns", 0.015, "m")
"""Where a strip nobody measured is taken to turn dark: an opinion."""
_SAID: Final[dict[Strip, str]] = {
    "dark_near": "dark at the near edge", "light": "light", "dark_far": "dark at the far edge",
}  # fmt: skip
_WIDE_MM = 60.0


def strip_interval(device: Device, seen: Strip, turns_m: float) -> Interval:
    """The eye inside the line, mm, that sees so: dark is seen from further than `turns_m` to either side."""
    edge = turns_m * 1000
    if seen == "light":
        return Interval(-edge, edge)
    inside = (seen == "dark_near") == (device == "bar")
    return Interval(edge, inf) if inside else Interval(-inf, -edge)


def turns_dark_m(device: Device, over_m: float, wide_m: float, light_m: float, eye_height_m: float) -> float:
    """How far beside the line an eye first sees dark, m, by what is stretched over the strip.

    Seen from e inside at height H, a bar or slot of width b at height h lies over the strip from −e·h/(H − h) less to
    that more b/2·H/(H − h); dark begins where the light's edge comes out of it, or into it.

    Parameters
    ----------
    over_m, wide_m : height of the bar or slot over the strip, and its width
    light_m : width of the strip's light part
    eye_height_m : of the eye over the strip

    Raises
    ------
    OutOfLimits
        where dark would be seen from straight over it, or not within reach.
    """
    far = eye_height_m - over_m
    spare = wide_m * eye_height_m - light_m * far
    found = (spare if device == "bar" else -spare) / (2 * over_m)
    if not TURNS.low <= found <= TURNS.high:
        raise OutOfLimits("light_m", "strip_always_dark" if found < TURNS.low else "strip_never_dark", "m")
    return found


@dataclass(frozen=True)
class LightStrip(Aid):
    """A strip along the line, light in the middle and dark at its edges, and what lies over it."""

    over_m: float = dimension(
        "Height over the strip", low=0.005, high=0.5, default=0.1, step=0.005, hint="Of the bar or slot."
    )
    wide_m: float = dimension(
        "Width of bar or slot", low=0.002, high=0.1, default=0.02, step=0.001, hint="Across the line."
    )
    light_m: float = dimension(
        "Width of the light", low=0.001, high=0.1, default=0.018, step=0.001, hint="Between the strip's dark edges."
    )
    eye_height_m: float = dimension(
        "Eye over the strip", low=0.8, high=2.0, default=1.45, step=0.05, hint="Upright, bent as for a putt."
    )

    device: ClassVar[Device]

    def check(self) -> None:
        turns_dark_m(self.device, self.over_m, self.wide_m, self.light_m, self.eye_height_m)

    @property
    def turns_m(self) -> float:
        """How far beside the line an eye first sees dark, m."""
        return turns_dark_m(self.device, self.over_m, self.wide_m, self.light_m, self.eye_height_m)

    def interval(self, raw: Raw) -> Interval:
        seen = choice(raw, "strip", tuple(_SAID))
        return strip_interval(self.device, next(it for it in _SAID if it == seen), self.turns_m)

    def zones(self, units: Units = "metric") -> tuple[Zone, ...]:
        # From outside to inside, as for every eye.
        order: tuple[Strip, ...] = ("dark_near", "light", "dark_far")
        return tuple(
            Zone(
                _SAID[seen],
                {"strip": seen},
                self.interval({"strip": seen}),
                str(n + 1),
                ((n - 1.5) * _WIDE_MM, (n - 0.5) * _WIDE_MM),
            )
            for n, seen in enumerate(order if self.device == "slot" else order[::-1])
        )

    def words(self, raw: Raw, units: Units = "metric") -> str:
        return next(said for seen, said in _SAID.items() if seen == raw["strip"])

    def picture(self, units: Units = "metric") -> Scene:
        """From behind, not to scale in height: the strip below, bar or slot over it."""
        light, wide = 22.0, 26.0 if self.device == "bar" else 18.0
        over: tuple[Shape, ...] = (
            (box(-wide, -64, wide, -56, "post"),)
            if self.device == "bar"
            else (box(-70, -64, -wide, -56, "post"), box(wide, -64, 70, -56, "post"))
        )
        shapes: tuple[Shape, ...] = (
            Line(-90, 0, 90, 0, "ground"),
            box(-70, -10, -light, 0, "post"),
            box(-light, -10, light, 0, "board"),
            box(light, -10, 70, 0, "post"),
            *over,
        )
        words = f"{self.about.name} from behind: light in the middle, dark at its edges."
        return Scene(-90, -100, 90, 20, words, shapes)

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        half = self.light_m * 500
        dark = half + 15
        return (
            *(box(-150, at, 150, at + 15, "post") for at in (-dark, half)),
            box(-150, -half, 150, half, "board"),
            Tape(150, -half, 150, half, tape(self.light_m, units), 1, "light_m", 2),
        )


def strip_about(kind: str, name: str, said: str, read: str) -> About:
    """What is told of a strip; only what lies over it differs."""
    return About(
        kind=kind,
        name=name,
        said=said,
        measures="eyes",
        entry="tap",
        guides=True,
        noted=False,
        tells="On which side of the line the sighting eye is, beyond the place where dark begins.",
        cannot="How far inside or outside. The two kinds of strip read oppositely: know which lies there.",
        read=read,
        mistakes=(
            "Read as the other kind: every side is told the wrong way round.",
            "Not level across: dark begins sooner on one side.",
            "Both eyes open: each sees another edge. Shut the one that does not sight.",
        ),
        cautions=("Lift it when you leave: it trips people.",),
        parts=(("light_strip", 1),),
    )
