"""Ball mark: the stripe does not lie on the line."""

from ..case import Case
from ..finding import Fact, Finding, needs
from ..pictures.drawn import link
from ..rule import Rule

SET_DOWNS = 5


def find(case: Case) -> Finding:
    mark, to_mark = case.level("mark"), case.level("to_mark")
    missing = needs(("marks", case.ledger.count("mark"), SET_DOWNS))
    facts: list[Fact] = []
    if mark is not None:
        speaks = "for" if mark.bias.is_one_side else "against"
        facts.append(Fact("mark_off", speaks, mark.bias, number=mark.count, at=mark.at))
    if mark is not None and to_mark is not None:
        square = not to_mark.bias.is_one_side
        what = "putter_on_mark" if square else "putter_off_mark"
        facts.append(Fact(what, "for" if square else "against", to_mark.bias, number=to_mark.count, at=to_mark.at))
    size = case.as_read("mark") if case.told.mark else None
    return case.by_link("ball_mark", "mark", size, facts, missing)


RULE = Rule(
    "ball_mark",
    "Ball mark",
    "Mark the ball from behind it and then leave it alone, or play without the mark.",
    find,
    link("mark"),
    "ball mark",
)
