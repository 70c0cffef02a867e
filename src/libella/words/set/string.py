"""What a string over the line covers for these eyes, in words."""

from typing import Final

from ...core.instruments.string_sight import StringSight
from ...core.measure.constants import BALL_M
from ...core.measure.units import Units, about, fine_degrees, tape
from ...core.set.string_fit import StringFit

_BALL_R: Final = BALL_M / 2
_NOTHING_M: Final = 0.0005
_LASER: Final = (
    "A laser on the ground, or on a tripod over the line, needs none of this: its light lies in one upright plane, "
    "wherever it is seen from."
)


def fit_words(it: StringFit, units: Units) -> str:
    """What a string as laid shows these eyes, and what would make it true; empty where it is true for them."""
    if not it.wrong:
        return ""
    size = about(it.covers_outside_m, 0.0, units)
    if it.covers_outside_m > 0:
        return (
            f"For the eyes measured here this string lies {size} outside the ball’s centre: it teaches a wrong picture."
        )
    return f"For the eyes measured here this string lies {size} inside the ball’s centre: it teaches a wrong picture."


def lean_words(it: StringFit) -> str:
    """How the posts are to lean for these eyes, as it is offered."""
    if it.lean_deg > 0:
        return f"Lean the posts {fine_degrees(it.lean_deg)} to the golfer"
    if it.lean_deg < 0:
        return f"Lean the posts {fine_degrees(it.lean_deg)} away from the golfer"
    return "Stand the posts upright"


def string_words(it: StringSight, units: Units) -> tuple[str, ...]:
    """What it means for the coach, a sentence each."""
    if abs(it.covers_outside_m(_BALL_R)) < _NOTHING_M:
        return ("An upright string is true for these eyes: it splits the ball.", _LASER)
    beyond = "outside" if it.eyes_inside_m > 0 else "inside"
    towards = "inside" if it.eyes_inside_m > 0 else "outside"
    covers = [about(it.covers_outside_m(z), 0.0, units) for z in (0.0, _BALL_R, BALL_M)]
    return (
        f"Upright, it covers a line {beyond} the true one: {covers[0]} at the ground, {covers[1]} at the ball's "
        f"centre, {covers[2]} at its top. It would teach a wrong picture.",
        f"Hang it {tape(abs(it.shift_inside_m), units)} {towards} the line and it splits the ball.",
        f"Or lean the posts {towards}: {fine_degrees(it.lean_planted_deg)} planted on the line, "
        f"{fine_degrees(it.lean_about_ball_deg)} turned about the height of the ball's centre.",
        _LASER,
    )
