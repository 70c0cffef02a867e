"""Face aim: off at address by itself, not with the mark and not with the picture; the stroke adds nothing to it."""

from ..case import Case
from ..finding import Fact, Finding, needs

SET_DOWNS = 5


def find(case: Case) -> Finding:
    it = case.evidence
    face = it.face or it.to_mark
    sensed = len(case.read_of(lambda putt: putt.aim_deg))
    missing = needs(("set_downs", max(face.count if face else 0, sensed), SET_DOWNS))
    facts: list[Fact] = []
    if face is not None:
        speaks = "for" if face.bias.is_one_side else "against"
        facts.append(Fact("aim_off", speaks, face.bias, number=face.count, at=face.at))
    elif case.told.address is not None:
        speaks = "for" if case.told.address.is_one_side else "against"
        facts.append(Fact("aim_sensed", speaks, case.told.address, number=sensed, at=case.putted_at))
    if it.picture is not None and face is not None and it.picture.beta.is_one_side:
        same = it.picture.beta.value * face.bias.value > 0
        what = "picture_explains" if same else "picture_the_other_way"
        facts.append(Fact(what, "against" if same else "for", it.picture.beta, at=it.picture.at))
    if it.mark is not None and it.mark.bias.is_one_side and face is not None:
        facts.append(Fact("mark_explains", "against", it.mark.bias, at=it.mark.at))
    size = face.bias if face else case.told.address
    return case.by_link("face_aim", "aim", size, facts, missing)
