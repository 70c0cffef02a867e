"""Strike: off the middle of the face, and the ball starts to that side."""

from ..case import Case
from ..finding import Fact, Finding, needs
from ..pictures.drawn import strikes
from ..rule import Rule

PUTTS, A_SIDE = 10, 3


def find(case: Case) -> Finding:
    it = case.struck
    missing = needs(("strikes", case.ledger.count("strike"), PUTTS))
    if it is not None and not missing:
        missing = needs(("strikes_a_side", min(it.sides), A_SIDE))
    if it is not None and not missing and not case.starts:
        missing = needs(("starts", 0, PUTTS))
    facts: list[Fact] = []
    level = case.level("strike")
    if it is not None and level is not None:
        if level.is_sized:
            speaks = "for" if it.mean.is_one_side else "against"
            facts.append(Fact("strike_off", speaks, it.mean, "mm", number=it.putts, at=level.at))
        elif level.beyond is not None:
            end = "struck_toe" if level.beyond.side == "right" else "struck_heel"
            facts.append(Fact(end, "for", number=level.beyond.times, of=level.count, at=level.at))
        if it.putts >= PUTTS and case.starts:
            goes = it.slope.value * case.ledger.toe_sign > 0
            speaks = "for" if goes and it.slope.is_one_side else "against"
            facts.append(Fact("start_goes_with_strike", speaks, it.slope, "deg_per_m", at=level.at))
    size = it.mean if it is not None and (level is None or level.is_sized) else None
    return case.by_link("strike", "strike", size, facts, missing)


RULE = Rule(
    "strike",
    "Strike",
    "Distance from the ball and the putter's lie; tape on the face for a while.",
    find,
    strikes,
    "strike",
)
