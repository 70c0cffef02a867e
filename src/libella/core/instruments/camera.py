"""A camera on the line behind the ball, at the height of the hands: where forearms and shoulders point, by eye."""

from dataclasses import dataclass
from typing import ClassVar

from ..drawing.scene import Line, Shape, Tape, box
from ..measure.units import Units, tape
from .aid import About, Solid, dimension
from .by_eye import ByEye


@dataclass(frozen=True)
class Camera(ByEye):
    """A picture tells no finer than is seen in it; off the line it shows a square body turned."""

    seen_deg: float = dimension(
        "Smallest turn you see", low=0.3, high=10.0, default=3.0, step=0.1, unit="deg",
        hint="Film a rod turned by a known bit and look.",
    )  # fmt: skip
    behind_m: float = dimension(
        "Camera behind the ball", low=0.5, high=6.0, default=2.5, step=0.1, hint="On the line, clear of the stroke."
    )
    height_m: float = dimension(
        "Camera height", low=0.1, high=1.8, default=0.8, step=0.05, hint="Of the lens; the hands' height."
    )

    _read_key: ClassVar[str] = "body"
    _straight: ClassVar[str] = "parallel"

    about: ClassVar[About] = About(
        kind="camera",
        name="Camera on the line",
        said="camera on the line",
        measures="body",
        entry="tap",
        guides=False,
        tells="Where forearms and shoulders point at address, kept to be looked at again.",
        cannot="Degrees: a picture shows what is nearer larger. Nothing of the face or the start.",
        read="Stop the picture at address; say where the forearms point against the line.",
        mistakes=(
            "Beside the line: every golfer looks open, or closed.",
            "Held by hand: the place is another each time. Mark it.",
        ),
        cautions=("A stand trips people. Film nobody who did not agree; for minors ask the guardian.",),
        parts=(("camera", 1),),
    )

    def _reference_from_behind(self) -> tuple[Shape, ...]:
        return (Line(0, -105, 0, 65, "line"),)

    def from_above(self, units: Units = "metric") -> tuple[Shape, ...]:
        at = -self.behind_m * 1000
        return (
            box(at - 60, -40, at, 40, "post"),
            box(at, -18, at + 30, 18, "board"),
            Tape(0, 0, at, 0, tape(self.behind_m, units), 1, "behind_m"),
        )

    def solids(self) -> tuple[Solid, ...]:
        return (Solid("camera", -self.behind_m - 0.06, -self.behind_m, -0.04, 0.04, self.height_m, of="behind_m"),)
