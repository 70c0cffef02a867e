"""What is chosen, in small, to be known by its shape before its name is read: set-ups and what differs in one, what the
ball shows, where the head is, how the eyes are asked.

From above the line runs to the right and a right-handed golfer stands above it; for a left-handed one all lies the
other way up. What is seen from the side or from the front is the same for both.
"""

from collections.abc import Iterable
from functools import cache
from typing import Final

from ..drawing.scene import Circle, Curve, Line, Scene, Shape, box, mirrored
from ..golfer.hand import Hand
from .position import LEVERS

_BALL: Final = Circle(0, 6, 7, "ball")
_STRIPE: Final = Line(-7, 6, 7, 6, "limit")
_LINE: Final = Line(-54, 6, 54, 6, "line")
_HOLE: Final = Circle(46, 6, 8, "hole")
_HEAD: Final = Circle(0, -24, 10, "ghost")


def _foot(x: float) -> Shape:
    return box(x - 6, -36, x + 6, -12, "post")


def _feet(apart: float = 16.0) -> tuple[Shape, ...]:
    return (_foot(-apart), _foot(apart))


_SET_UPS: Final[dict[str, tuple[Shape, ...]]] = {
    "": (*_feet(), _BALL, _STRIPE),
    "no line on the ball": (*_feet(), _BALL),
    "near spot": (*_feet(), _BALL, Circle(34, 6, 3, "limit")),
    "wide base": (*_feet(38), _BALL, _STRIPE),
}
"""Of the names that are offered before any was given."""
_FACTORS: Final[dict[str, tuple[Shape, ...]]] = {
    "set_up": (_foot(-34), _foot(30), _HEAD, _BALL),
    "cue": (_BALL, _STRIPE, Line(-40, 6, 44, 6, "line")),
    "routine": (*_feet(), _BALL, Curve(((-50, 14), (-20, 8), (10, 6), (48, 0)), "path")),
    "kit": (_BALL, Line(-16, -6, -16, 18, "limit")),
    "trial": (*_feet(), _BALL, Line(-16, -6, -16, 18, "limit"), Curve(((-50, 14), (-20, 8), (10, 6), (48, 0)), "path")),
    "hole_side": (_BALL, _HOLE, Line(46, -34, 46, 20, "ghost")),
}
_CUES: Final[dict[str, tuple[Shape, ...]]] = {
    "line": (Circle(0, 0, 20, "ball"), Line(-20, 0, 20, 0, "limit")),
    "stripe": (Circle(0, 0, 20, "ball"), Line(-19, -4, 19, -4, "limit"), Line(-19, 4, 19, 4, "limit")),
    "logo": (Circle(0, 0, 20, "ball"), box(-6, -6, 6, 6, "post")),
    "blank": (Circle(0, 0, 20, "ball"),),
    "near_spot": (Circle(-20, 0, 20, "ball"), Line(2, 0, 32, 0, "line"), Circle(38, 0, 4, "post")),
}


def _eye_from_above(x: float, y: float) -> tuple[Shape, ...]:
    return (Circle(x - 4, y, 2, "post"), Circle(x + 4, y, 2, "post"))


def _above(x: float, y: float, ball: float = 0.0) -> tuple[Shape, ...]:
    """The head over the line at (x, y), the ball on it."""
    usual = () if (x, y) == (0, -8) else (Circle(0, -8, 11, "ghost"),)
    return (_LINE, Circle(ball, 6, 7, "ball"), *usual, Circle(x, y, 11, "board"), *_eye_from_above(x, y))


def _face(turn: int) -> tuple[Shape, ...]:
    """The face from in front, its eye line tilted."""
    return (
        Circle(0, -8, 22, "board"),
        Line(-14, -12 - 6 * turn, 14, -12 + 6 * turn, "limit"),
        Line(-30, -12, 30, -12, "line"),
    )


def _profile(up: int) -> tuple[Shape, ...]:
    """The head from the side, bent over the ball, its chin lifted or tucked."""
    nose = 10 if up > 0 else -8 if up < 0 else 0
    return (
        Circle(0, -12, 18, "board"),
        Curve(((16, -20 - nose), (27, -10 - nose), (15, -4 - nose)), "path"),
        Line(22, -8 - nose, 44, 12 - 2 * nose, "line"),
        Circle(46, 16, 5, "ball"),
    )


def _places() -> dict[str, tuple[Shape, ...]]:
    """By lever and way; the usual place by no name."""
    found: dict[str, tuple[Shape, ...]] = {"": _above(0, -8)}
    for lever in LEVERS:
        for way, up in (("plus", 1), ("minus", -1)):
            found[f"{lever}_{way}"] = {
                "inside": _above(0, -8 - 14 * up),
                "behind": _above(-18 * up, -8),
                "distance": (*_above(0, -8 - 14 * up), _foot(-40), _foot(40)),
                "ball": _above(0, -8, 20 * up),
                "tilt": _face(up),
                "chin": _profile(up),
            }[lever]
    return found


def _eyes(left: bool, right: bool) -> tuple[Shape, ...]:
    """Both eyes from in front of the golfer: a shut one is a lid."""

    def eye(x: float, is_open: bool) -> tuple[Shape, ...]:
        lid = Curve(((x - 12, -8), (x, -2), (x + 12, -8)), "path")
        if not is_open:
            return (lid,)
        return (lid, Curve(((x - 12, -8), (x, -16), (x + 12, -8)), "path"), Circle(x, -9, 4, "post"))

    # Seen from behind the eyes, as the golfer has them: the left one at the left.
    return (*eye(-20, left), *eye(20, right))


def _glasses(worn: bool, beside: bool) -> tuple[Shape, ...]:
    frame = (Circle(-18, -9, 13, "board"), Circle(18, -9, 13, "board"), Line(-5, -9, 5, -9, "limit"))
    if worn:
        return (*_eyes(left=True, right=True), *frame)
    return frame if beside else _eyes(left=True, right=True)


_ASKING: Final[dict[str, dict[str, tuple[Shape, ...]]]] = {
    "eyes": {
        "both": _eyes(left=True, right=True),
        "left": _eyes(left=True, right=False),
        "right": _eyes(left=False, right=True),
    },
    "glasses": {
        "none": _glasses(worn=False, beside=False),
        "on": _glasses(worn=True, beside=False),
        "off": _glasses(worn=False, beside=True),
    },
}
_ROD: Final = box(-40, 3, 40, 9, "board")
_METHODS: Final[dict[str, tuple[Shape, ...]]] = {
    # Laid at an angle, and asked.
    "directions": (_LINE, Line(-40, 6, 42, -14, "limit"), Circle(-40, 6, 4, "ball")),
    # Turned until it is called straight.
    "turn": (_LINE, Line(-40, 6, 42, -14, "limit"), Circle(-40, 6, 4, "ball"),
             Curve(((48, -24), (52, -10), (48, 6)), "path")),
    # It lies true, and the golfer points where it seems to go.
    "point": (_ROD, Line(40, 6, 54, -16, "path"), Circle(54, -18, 4, "post")),
}  # fmt: skip
_TRACES: Final[dict[str, tuple[Shape, ...]]] = {
    "as_usual": (_BALL, _HOLE, _LINE),
    "ball_to_hole": (Circle(-40, 6, 7, "ball"), _HOLE, _LINE, Curve(((-30, -14), (26, -14), (18, -22)), "path")),
    "hole_to_ball": (Circle(-40, 6, 7, "ball"), _HOLE, _LINE, Curve(((32, -14), (-28, -14), (-20, -22)), "path")),
}
_TOWARD: Final[dict[str, tuple[Shape, ...]]] = {
    "hole": (Circle(-46, 6, 7, "ball"), _HOLE, _LINE),
    "start": (Circle(-46, 6, 7, "ball"), _HOLE, Line(-46, 6, 46, -22, "line"), Circle(46, -22, 3, "limit"),
              Curve(((-46, 6), (0, -10), (30, -8), (46, 6)), "path")),
}  # fmt: skip


_SEE_PARTS: Final[dict[str, tuple[Shape, ...]]] = {
    "first": (_ROD, Circle(-4, -20, 12, "board"), *_eye_from_above(-4, -20)),
    "straight": (_LINE, Line(-40, 6, 42, -14, "limit"), Circle(-40, 6, 4, "ball")),
    "eyes": (box(-44, -14, 30, 18, "window"), _LINE, Circle(42, 6, 7, "ball"), *_eye_from_above(-8, -2)),
    "map": (*(Line(-44, y, 44, y - 24, "line") for y in (-8, 4, 16)), Circle(6, -8, 4, "post"),
            Line(-20, 6, 2, -6, "limit")),
    "check": (box(-44, -14, 30, 18, "window"), _LINE, *_eye_from_above(-12, 2),
              Curve(((4, -6), (10, 4), (24, -14)), "path")),
}  # fmt: skip
"""The parts of See: a true rod, what looks straight, the mirror, the map, the mirror held against a card."""
_PUTTER: Final[tuple[Shape, ...]] = (box(-38, -16, -26, 28, "post"), Line(-26, -16, -26, 28, "limit"))
_LINKS: Final[dict[str, tuple[Shape, ...]]] = {
    "face": (*_PUTTER, _LINE, Line(-26, 6, 52, -12, "path")),
    "mark": (Circle(-14, 6, 17, "ball"), _LINE, Line(-30, 10, 2, 2, "limit"), Line(2, 2, 52, -10, "path")),
    "to_mark": (*_PUTTER, Circle(-8, 6, 16, "ball"), Line(-24, 6, 8, 6, "limit"), Line(-26, 6, 52, -12, "path")),
}
"""What is read of the aim: the face, the ball's mark, the one against the other."""
_AIDED: Final[dict[str, tuple[Shape, ...]]] = {
    "natural": (*_PUTTER, _BALL, _LINE),
    "aided": (*_PUTTER, _BALL, _LINE, box(-22, -30, 50, -20, "board")),
}
_POSTS: Final = (Circle(34, -4, 4, "post"), Circle(34, 16, 4, "post"))
_RIG_SEEN: Final[dict[str, tuple[Shape, ...]]] = {
    "blind": (Circle(-40, 6, 7, "ball"), _LINE, Circle(34, -4, 4, "ghost"), Circle(34, 16, 4, "ghost")),
    "guided": (Circle(-40, 6, 7, "ball"), _LINE, *_POSTS),
}
_PUTTED: Final[dict[str, tuple[Shape, ...]]] = {
    "hole": (Circle(-46, 6, 7, "ball"), _HOLE, _LINE),
    "none": (Circle(-46, 6, 7, "ball"), _LINE, Line(42, 2, 50, 10, "limit"), Line(42, 10, 50, 2, "limit")),
}
_PATHS: Final[dict[str, tuple[Shape, ...]]] = {
    "": (_BALL, _LINE),
    "straight": (_BALL, _LINE, Line(-50, 6, 50, 6, "limit")),
    "arc": (_BALL, _LINE, Curve(((-50, -12), (-30, -1), (0, 6), (30, -1), (50, -12)), "path")),
    "arc_then_straight": (_BALL, _LINE, Curve(((-50, -12), (-30, -1), (0, 6), (50, 6)), "path")),
}


_PUTTED_TO: Final = (Circle(-46, 6, 7, "ball"), _HOLE)


def _rolled(y: float, x: float = 54.0) -> tuple[Shape, ...]:
    """A putt that ends at (x, y)."""
    return (*_PUTTED_TO, Curve(((-46, 6), (0, 6 + (y - 6) / 2), (x, y)), "path"), Circle(x, y, 5, "post"))


_MISSES: Final[dict[str, tuple[Shape, ...]]] = {
    "left": _rolled(-18),
    "right": _rolled(19),
    "both": (*_rolled(-18), *_rolled(19)[2:]),
    "short": _rolled(6, 16),
    "past": (
        Circle(-46, 6, 7, "ball"),
        Circle(18, 6, 8, "hole"),
        Line(-46, 6, 52, 6, "path"),
        Circle(54, 6, 5, "post"),
    ),
}
"""As seen from above with the hole to the right: its left is up, whichever hand is played."""
_FELT: Final[dict[str, tuple[Shape, ...]]] = {
    "sight": _METHODS["directions"],
    "mark": _LINKS["mark"],
    "aim": _LINKS["face"],
    "stroke": _PATHS["arc"],
    "strike": (box(-20, -20, -8, 28, "post"), Circle(2, -10, 7, "ball"), Line(-8, 4, 20, 4, "line")),
    "stillness": (*_feet(), Circle(-14, -24, 10, "ghost"), Circle(10, -24, 10, "board"), _BALL),
    "read": _TOWARD["start"],
    "pace": _rolled(6, 16),
}
"""Where the golfer feels it: what looks straight, the mark, the face, the stroke, the strike, moving, the read, the
pace."""


def _scene(shapes: Iterable[Shape], hand: Hand, *, turns: bool) -> Scene:
    told = tuple(shapes)
    if turns and hand == "left":
        return Scene(-60, -24, 60, 42, "", tuple(mirrored(it) for it in told))
    return Scene(-60, -42, 60, 24, "", told)


@cache
def choice_pictures(hand: Hand) -> dict[str, dict[str, Scene]]:
    """Drawings of what is chosen, by kind of choice and code, for a golfer of that hand."""
    from_above = {
        "set_up": _SET_UPS,
        "factor": _FACTORS,
        "cue": _CUES,
        "method": _METHODS,
        "trace": _TRACES,
        "toward": _TOWARD,
        "head": _places(),
        "see_part": _SEE_PARTS,
        "link": _LINKS,
        "aid_seen": _AIDED,
        "rig_seen": _RIG_SEEN,
        "putted": _PUTTED,
        "path": _PATHS,
        "felt": _FELT,
    }
    beside = {("head", f"{lever}_{way}") for lever in ("tilt", "chin") for way in ("plus", "minus")}
    found = {
        kind: {code: _scene(it, hand, turns=(kind, code) not in beside) for code, it in told.items()}
        for kind, told in from_above.items()
    }
    for kind, told in (*_ASKING.items(), ("miss", _MISSES)):
        found[kind] = {code: _scene(it, hand, turns=False) for code, it in told.items()}
    return found
