"""Strike: off the middle of the face, and the ball starts to that side."""

from ..case import Case
from ..finding import Fact, Finding, needs

PUTTS, A_SIDE = 10, 3


def find(case: Case) -> Finding:
    it = case.struck
    missing = needs(("strikes", it.putts if it else 0, PUTTS))
    if it is not None and not missing:
        missing = needs(("strikes_a_side", min(it.sides), A_SIDE))
    at = case.putted_at
    facts: list[Fact] = []
    if it is not None:
        speaks = "for" if it.mean.is_one_side else "against"
        facts.append(Fact("strike_off", speaks, it.mean, "mm", number=it.putts, at=at))
        if it.putts >= PUTTS:
            goes = it.slope.value * case.evidence.toe_sign > 0
            speaks = "for" if goes and it.slope.is_one_side else "against"
            facts.append(Fact("start_goes_with_strike", speaks, it.slope, "deg_per_m", at=at))
    return case.by_link("strike", "strike", it.mean if it else None, facts, missing)
