"""The picture of what a lesson says first."""

from typing import Final

from .chain_picture import READ_AS, LinkName, LinkShown
from .finding import Cause, Finding
from .judged import LessonJudged
from .pictures.drawn import inside
from .pictures.picture import Picture, Say
from .ranked import RULES
from .said import Cause_, GroundOff, Grows, LineFirst, Misled, MissedSide, Nothing, Off, PaceOff, PutRight, Wide

_LINKS: Final[frozenset[Cause]] = frozenset(("ball_mark", "face_aim", "face_at_impact", "path"))
"""Drawn best among the other links, as the chain."""
_SAID_OF: Final[dict[str, Cause]] = {"looks_straight": "perception", "strike": "strike"}
"""A level off that no cause is named for, and whose picture shows it."""


def first_picture(judged: LessonJudged, say: Say, words: str) -> Picture | None:
    """None where the links of the chain show it best, or nothing of it can be drawn. `words` stand for all of it."""
    first = judged.chosen[0]
    if isinstance(first, Misled):
        why = first.unused[0].why
        return Picture(why.sight.beside_ball(why.hung_m, judged.case.ledger.hand), 0)
    if isinstance(first, (Nothing, Wide)):
        return inside(judged.case, say, words)
    of = _finding(judged)
    if of is None or of.cause in _LINKS:
        return None
    return RULES[of.cause].draw(judged.case, of, say, words)


def _finding(judged: LessonJudged) -> Finding | None:
    first = judged.chosen[0]
    if isinstance(first, (Cause_, PutRight, LineFirst)):
        return first.finding
    cause: Cause | None = None
    if isinstance(first, (PaceOff, GroundOff, MissedSide)):
        cause = "read_and_pace"
    elif isinstance(first, Grows):
        cause = "distance"
    elif isinstance(first, Off):
        cause = _SAID_OF.get(first.level.quantity.name)
    return next((it for it in judged.findings.ranked if it.cause == cause), None)


_LINK_OF: Final[dict[Cause, LinkName]] = {
    "perception": "looks_straight",
    "ball_mark": "ball_mark",
    "face_aim": "face_aim",
    "face_at_impact": "face_impact",
    "compensation": "face_impact",
    "path": "path",
    "strike": "strike",
}
_LINK_READ: Final[dict[str, LinkName]] = {name: link for link, names in READ_AS for name in names}


def about_link(judged: LessonJudged) -> LinkShown | None:
    """The link that a lesson's first sentence is about, else its start; None where neither was read."""
    first = judged.chosen[0]
    wanted: LinkName = "start"
    if isinstance(first, Off):
        wanted = _LINK_READ.get(first.level.quantity.name, "start")
    elif isinstance(first, Cause_):
        wanted = _LINK_OF.get(first.finding.cause, "start")
    links = {it.name: it for it in judged.chain.links}
    return links.get(wanted) or links.get("start")
