"""Perception: what looks straight is not, and the face aim lies to that side."""

from ..case import Case
from ..finding import Fact, Finding, needs

ANSWERS, SET_DOWNS = 8, 5


def find(case: Case) -> Finding:
    """The part of the aim that goes with the picture: f·β, f how much of it this golfer follows."""
    it, picture = case.evidence, case.evidence.picture
    face = it.face or it.to_mark
    missing = needs(
        ("answers", picture.answers if picture else 0, ANSWERS), ("set_downs", face.count if face else 0, SET_DOWNS)
    )
    facts: list[Fact] = []
    if picture is not None:
        facts.append(
            Fact(
                "looks_straight",
                "for" if picture.beta.is_one_side else "against",
                picture.beta,
                number=picture.answers,
                at=picture.at,
            )
        )
    if picture is not None and face is not None:
        same = picture.beta.value * face.bias.value > 0
        what = "aim_with_picture" if same else "aim_against_picture"
        facts.append(Fact(what, "for" if same else "against", face.bias, number=face.count, at=face.at))
    return case.by_link("perception", "picture", picture.beta if picture else None, facts, missing)
