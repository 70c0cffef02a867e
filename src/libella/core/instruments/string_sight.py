"""A string over the line as a sight: what it covers, and how it must be moved to split the ball (handbook 3).

Heights are above the ground; "outside" is beyond the line from the golfer. The eye meant is the sighting one.
"""

import math
from dataclasses import dataclass

from ..drawing.scene import Circle, Label, Line, Scene, Shape
from ..golfer.hand import Hand
from ..measure.constants import BALL_M
from ..measure.limits import Bounds, OutOfLimits
from ..measure.units import Units, tape

EYES = Bounds(-0.3, 0.3, "m")
EYE_HEIGHT = Bounds(0.8, 2.0, "m")
STRING_HEIGHT = Bounds(0.05, 0.6, "m")
TOUCHED = {
    "clear": "clear of it",
    "back": "touched it going back",
    "ball": "touched it at the ball",
    "through": "touched it going through",
}
"""What a stroke may do to a string over the line, codes with their names."""
_BALL_R = BALL_M / 2
_LEAST_GAP_M = 0.3
_OVER_MM, _BESIDE_MM, _EDGE_MM = 40.0, 90.0, 12.0


@dataclass(frozen=True, slots=True)
class StringSight:
    """A string at height h, seen by an eye at height H that is e inside the line.

    Parameters
    ----------
    eyes_inside_m : e, towards the golfer positive
    eye_height_m : H
    string_height_m : h; over the ball, and well under the eye
    """

    eyes_inside_m: float
    eye_height_m: float
    string_height_m: float

    def __post_init__(self) -> None:
        EYES.check("eyes_inside_m", "string_eye_m", self.eyes_inside_m)
        EYE_HEIGHT.check("eye_height_m", "eye_height_bent_m", self.eye_height_m)
        STRING_HEIGHT.check("string_height_m", "string_height_m", self.string_height_m)
        if self.eye_height_m - self.string_height_m < _LEAST_GAP_M:
            raise OutOfLimits("string_height_m", "string_in_face", "m", least_m=_LEAST_GAP_M)

    def covers_outside_m(self, height_m: float) -> float:
        """What the string hides at a height z, outside the true line: e·(h − z)/(H − h)."""
        h, eye = self.string_height_m, self.eye_height_m
        return self.eyes_inside_m * (h - height_m) / (eye - h)

    def lies_outside_m(self, height_m: float, hung_m: float) -> float:
        """How far outside the line what lies on it at a height z is hidden by a string hung q inside the line:
        (e·(h − z) − q·(H − z))/(H − h). Read against that string it seems so far inside."""
        apart = self.eye_height_m - self.string_height_m
        return self.covers_outside_m(height_m) - hung_m * (self.eye_height_m - height_m) / apart

    @property
    def shift_inside_m(self) -> float:
        """How far inside the string must hang to truly split the ball: e·(h − r)/(H − r)."""
        return self.eyes_inside_m * (self.string_height_m - _BALL_R) / (self.eye_height_m - _BALL_R)

    @property
    def lean_about_ball_deg(self) -> float:
        """Lean of posts that turn about a point at the height of the ball's centre: atan(e/(H − r))."""
        return math.degrees(math.atan(self.eyes_inside_m / (self.eye_height_m - _BALL_R)))

    @property
    def lean_planted_deg(self) -> float:
        """Lean of posts planted on the line at ground level: atan(e·(h − r)/((H − r)·h))."""
        return math.degrees(math.atan(self.shift_inside_m / self.string_height_m))

    def from_behind(self, hand: Hand, units: Units) -> Scene:
        """The line from behind, to scale: ball, upright string, the string moved, and both lines of sight; mm."""
        golfer = -1 if hand == "right" else 1
        eye = (golfer * self.eyes_inside_m * 1000, -self.eye_height_m * 1000)
        string = -self.string_height_m * 1000
        moved = golfer * self.shift_inside_m * 1000
        ground = -golfer * self.covers_outside_m(0.0) * 1000
        r = BALL_M * 500
        shapes: list[Shape] = [
            Line(-400, 0, 400, 0, "ground"),
            Line(0, string * 1.6, 0, 0, "line"),
            Circle(0, -r, r, "ball"),
            Line(*eye, ground, 0, "mark"),
            Line(*eye, 0, -r, "limit"),
            Circle(0, string, 5, "ghost"),
            Circle(moved, string, 5, "post"),
            Circle(*eye, 14, "ghost"),
            Label(eye[0], eye[1] - 30, "sighting eye"),
        ]
        words = (
            f"From behind: eye {tape(self.eye_height_m, units)} up, string {tape(self.string_height_m, units)} up. "
            "Thick: the line of sight through the ball's centre, which the moved string lies on."
        )
        return Scene(-420, eye[1] - 80, 420, 40, words, tuple(shapes))

    def beside_ball(self, hung_m: float, hand: Hand) -> Scene:
        """Ball and string from behind, as large as they are: the string where it hangs, the way the eye looks past it,
        and the place beside the ball's middle that it hides; mm."""
        golfer = -1 if hand == "right" else 1
        string_y, r = -self.string_height_m * 1000, BALL_M * 500
        string_x = golfer * hung_m * 1000
        hides = -golfer * self.lies_outside_m(_BALL_R, hung_m) * 1000
        # Straight on towards the eye, up to the picture's edge.
        top = string_y - _OVER_MM
        share = (top + r) / (string_y + r)
        up = hides + (string_x - hides) * share
        half = max(_BESIDE_MM, abs(up) + _EDGE_MM, abs(hides) + _EDGE_MM)
        shapes: tuple[Shape, ...] = (
            Line(-half, 0, half, 0, "ground"),
            Line(0, string_y, 0, 0, "line"),
            Circle(0, -r, r, "ball"),
            Line(up, top, hides, -r, "mark"),
            Circle(string_x, string_y, 3, "post"),
            Circle(hides, -r, 3, "ring"),
            Label(up, top - 4, "to the eye"),
            Label(string_x - golfer * 14, string_y, "the string"),
        )
        words = "From behind, true to scale: past the string these eyes see a place beside the ball's middle."
        return Scene(-half, top - 18, half, 12, words, shapes)


def eyes_from_cover(covers_outside_m: float, height_m: float, eye_height_m: float, string_height_m: float) -> float:
    """The reverse: an upright string seen covering a mark m outside the line at height z: e = m·(H − h)/(h − z).

    It tells the side well, the size poorly. Metres inside, `OutOfLimits` where the heights can't be.
    """
    StringSight(0.0, eye_height_m, string_height_m)
    if not 0 <= height_m < string_height_m:
        raise OutOfLimits("height_m", "mark_over_string", "m", string_m=string_height_m)
    return covers_outside_m * (eye_height_m - string_height_m) / (string_height_m - height_m)
