"""The glossary: each word of the job in one sentence. A tap on the word opens it, with its picture.

A term is data: its drawing stands under the same code in `core.keep.terms_drawn`.
"""

from dataclasses import dataclass
from typing import Final


@dataclass(frozen=True, slots=True)
class Term:
    """A word of the job.

    name : as the glossary lists it
    forms : how it stands in sentences, each a whole word or words, in lower case
    says : what it means, in one sentence
    """

    name: str
    forms: tuple[str, ...]
    says: str


GLOSSARY: Final[dict[str, Term]] = {
    "line": Term(
        "Line",
        ("the line",),
        "From the ball’s middle to the point it is to start at: on a straight putt that is the hole.",
    ),
    "start": Term(
        "Start",
        ("starts", "start line"),
        "The direction in which the ball first rolls, against the line: left or right, in degrees.",
    ),
    "bias": Term(
        "Bias",
        ("bias",),
        "Where the putts centre: how far to one side they go on average. It can be mended by aiming or "
        "starting elsewhere.",
    ),
    "spread": Term(
        "Spread",
        ("spread",),
        "How far single putts lie from where they centre: two in three lie within it, to either side.",
    ),
    "window": Term(
        "Window",
        ("window", "windows"),
        "The starts that still hole the putt at the pace planned: the longer the putt or the faster it runs, "
        "the narrower.",
    ),
    "tendency": Term(
        "Tendency",
        ("tendency",),
        "More to one side than luck would bring so often: three lefts of seven are none, nine of ten are one.",
    ),
    "clear": Term("Clear", ("clear",), "At least 95 in 100 sure, on a line that was proved: act on it."),
    "likely": Term("Likely", ("likely",), "At least 80 in 100 sure: worth acting on, and worth another look."),
    "open": Term(
        "Can’t tell yet",
        ("can't tell yet", "can’t tell yet"),
        "A tendency and luck both still fit what was read: more putts, or a finer rig, would tell.",
    ),
    "none": Term(
        "Nothing to mend",
        ("nothing to mend",),
        "Too small to cost putts worth having, and known well enough to say so.",
    ),
    "hundred": Term(
        "In a hundred",
        ("in a hundred",),
        "Of a hundred putts of the lengths this golfer usually has: so many more would go in, or fewer.",
    ),
    "face_aim": Term(
        "Face aim", ("face aim", "the face aims"), "Where the putter’s face points before the stroke, against the line."
    ),
    "face_at_impact": Term(
        "Face at impact",
        ("face at impact", "at impact"),
        "Where the face points as it meets the ball: it gives most of the start.",
    ),
    "path": Term(
        "Path",
        ("path",),
        "Which way the putter’s head travels through the ball, against the line; in to out is away from the golfer.",
    ),
    "compensation": Term(
        "Compensation",
        ("compensation",),
        "The face aims off and the stroke turns it back: the ball starts right, as long as both stay.",
    ),
    "strike": Term(
        "Strike",
        ("strike", "struck"),
        "Where on the face the ball is met: towards the heel or the toe it starts off, and shorter.",
    ),
    "looks_straight": Term(
        "Looks straight",
        ("looks straight", "look straight"),
        "Where a rod must truly point for this golfer to call it straight.",
    ),
    "eyes": Term(
        "Eyes inside, eyes outside",
        ("inside the line", "outside the line", "further in", "further out"),
        "Inside is on the golfer’s side of the line, outside beyond it; measured to the middle between both eyes.",
    ),
    "proved": Term(
        "Proved line",
        ("proved", "prove the line"),
        "The line was measured a second way; until then a bias may be the line’s, and nothing is clear.",
    ),
    "read": Term(
        "Read",
        ("the read", "my read"),
        "Where the golfer means to start a breaking putt, so that it falls to the hole.",
    ),
    "pace": Term("Pace", ("pace",), "How hard it is rolled: how far past the hole it would stop if it missed."),
    "slope": Term("Slope", ("slope", "falls"), "How the ground falls, in per cent: 1 % is 1 cm in 1 m."),
    "in_view": Term(
        "In view",
        ("in view", "in the golfer’s view"),
        "Something shows the golfer the line while he putts: what is read then is the guided golfer.",
    ),
    "rig": Term("Rig", ("rig",), "What is laid to see the start: a gate, a ruler board, a string, a rail."),
    "flagged": Term(
        "Flagged",
        ("flagged",),
        "A reading somebody doubts: it counts a half or a quarter, and stays in the record.",
    ),
}
"""In the order in which a lesson meets them."""
NOT_FOLLOWED: Final[dict[str, str]] = {
    "ladder": "a narrower or a wider gate",
    "rung": "this width",
    "link not read": "what was not looked at",
    "rest in ": "straighten up in",
    "cost in a hundred": "costs … putts in a hundred",
    "with further in it": "with the eyes further in",
    "read by nothing": "nothing here reads it",
    "mostly": "the count itself",
    "near stake and near stake": "both stakes",
    "posterior": "what is known",
    "censored": "at least",
    "sigma": "spread",
}
"""Words that coaches did not follow, each with what is said instead. No sentence holds one: a test reads them all."""
