"""Face at impact: square at address, off at the ball: the stroke turns it."""

from ..case import Case
from ..currency import told_by
from ..finding import Fact, Finding, needs

PUTTS = 5


def find(case: Case) -> Finding:
    impacts = len(case.read_of(lambda putt: putt.impact_deg))
    missing = needs(("impacts", impacts, PUTTS))
    at = case.putted_at
    facts: list[Fact] = []
    aim = case.told.face or case.told.address
    if case.told.impact is not None:
        speaks = "for" if case.told.impact.is_one_side else "against"
        facts.append(Fact("impact_off", speaks, case.told.impact, number=impacts, at=at))
    if aim is not None and case.told.impact is not None:
        square = not aim.is_one_side
        facts.append(Fact("square_at_address" if square else "off_at_address", "for" if square else "against", aim))
    if case.told.start is not None and case.told.impact is None and aim is not None and not aim.is_one_side:
        facts.append(Fact("start_off", "for", case.told.start, number=len(case.starts), at=at))
    turned = told_by(case.joint.at_start["delivery"] / case.evidence.k.value)
    size = turned if case.told.impact is not None else None
    return case.by_link("face_at_impact", "delivery", size, facts, missing)
