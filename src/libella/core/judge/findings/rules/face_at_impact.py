"""Face at impact: square at address, off at the ball: the stroke turns it."""

from ....certainty.estimate import told_by
from ..case import Case
from ..finding import Fact, Finding, needs
from ..pictures.drawn import link
from ..rule import Rule

PUTTS = 5


def find(case: Case) -> Finding:
    """Told by the face read at impact, or by aim and start together: what lies between them is the stroke's."""
    ledger = case.ledger
    impacts = ledger.count("impact")
    aims = max(ledger.count(name) for name in ("face", "address"))
    aim, impact = case.level("face") or case.level("address"), case.level("impact")
    joined = aims >= PUTTS and ledger.count("start") >= PUTTS and ledger.count("strike") >= PUTTS
    by_side = impact.beyond if impact is not None else None
    # A side and no size neither names the stroke nor rules it out.
    sized = needs(("impacts_deg", 0, PUTTS)) if impact is not None and not impact.is_sized else ()
    missing = () if joined else needs(("impacts", impacts, PUTTS)) or sized
    at = case.putted_at
    facts: list[Fact] = []
    if impact is not None and by_side is not None:
        speaks = "for" if impact.side.names_direction else "against"
        told = by_side.side, by_side.times, impact.count
        facts.append(Fact("impact_side", speaks, None, number=told[1], of=told[2], at=impact.at, side=told[0]))
    elif impact is not None and impact.is_sized:
        speaks = "for" if impact.bias.is_one_side else "against"
        facts.append(Fact("impact_off", speaks, impact.bias, number=impact.count, at=impact.at))
    if aim is not None and impact is not None and aim.is_sized:
        square = not aim.bias.is_one_side
        what = "square_at_address" if square else "off_at_address"
        facts.append(Fact(what, "for" if square else "against", aim.bias, number=aim.count, at=aim.at))
    start = case.level("start")
    if (
        start is not None
        and start.is_sized
        and start.bias.is_one_side
        and impact is None
        and aim is not None
        and aim.is_sized
        and not aim.bias.is_one_side
    ):
        facts.append(Fact("start_off", "for", start.bias, number=start.count, at=at))
    turned = told_by(case.joint.turned)
    size = turned if joined or (impact and impact.is_sized) else None
    return case.by_link("face_at_impact", "delivery", size, facts, missing)


RULE = Rule(
    "face_at_impact",
    "Face at impact",
    "A stability or release drill; the grip and the putter's weight are worth a trial.",
    find,
    link("impact"),
    "impact",
)
