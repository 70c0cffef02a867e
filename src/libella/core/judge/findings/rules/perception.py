"""Perception: what looks straight is not, and the face aim lies to that side."""

from ....certainty.estimate import told_by
from ..case import Case
from ..finding import Fact, Finding, needs
from ..pictures.drawn import rod
from ..rule import Rule

ANSWERS, SET_DOWNS = 8, 5


def find(case: Case) -> Finding:
    """The part of the aim that goes with the picture: f·β, f how much of it this golfer follows."""
    ledger, picture = case.ledger, case.level("looks_straight")
    aims = max(ledger.count(name) for name in ("face", "to_mark", "address"))
    answers = ledger.count("looks_straight")
    tells = case.told.beta is not None
    missing = needs(("answers", answers, ANSWERS), ("set_downs", aims, SET_DOWNS))
    if not missing and not tells:
        missing = needs(("answers_that_agree", 0, ANSWERS))
    facts: list[Fact] = []
    if picture is not None and tells:
        speaks = "for" if picture.bias.is_one_side else "against"
        facts.append(Fact("looks_straight", speaks, picture.bias, number=picture.count, at=picture.at))
        face = case.level("face") or case.level("address")
        if face is not None:
            whole = told_by(case.joint.aim)
            same = picture.bias.value * whole.value > 0
            what = "aim_with_picture" if same else "aim_against_picture"
            facts.append(Fact(what, "for" if same else "against", whole, number=face.count, at=face.at))
    return case.by_link("perception", "picture", picture.bias if picture and tells else None, facts, missing)


RULE = Rule(
    "perception",
    "What looks straight",
    "Move the head, the ball or the distance from it, and ask again; or aim at a near spot.",
    find,
    rod,
    "what is seen",
)
