"""Path and body lines: the head goes across the line, and what of it the start follows."""

from ....certainty.estimate import around
from ....measure.side import side_of
from ..case import Case
from ..finding import Fact, Finding, needs

PUTTS = 5
TURNED_DEG = 1.0
"""From where a body line counts as turned (handbook 5): an opinion."""


def find(case: Case) -> Finding:
    """The path's own share; body lines that lie to its side speak for it."""
    read = len(case.read_of(lambda putt: putt.path_deg))
    missing = needs(("paths", read, PUTTS))
    at = case.putted_at
    facts: list[Fact] = []
    path = case.told.path
    if path is not None:
        facts.append(Fact("path_off", "for" if path.is_one_side else "against", path, number=read, at=at))
    for it in case.evidence.body:
        if it.side == "neither" or (it.angle_deg is not None and abs(it.angle_deg) < TURNED_DEG):
            continue
        with_path = path is None or side_of(path.value) == it.side
        speaks = "for" if with_path else "against"
        told = None if it.angle_deg is None else around(it.angle_deg, 1.0)
        # Only the side was noted: said as that.
        what = f"body_{it.name}" if told is not None else f"body_{it.side}_{it.name}"
        facts.append(Fact(what, speaks, told, number=it.times, at=it.at))
    return case.by_link("path", "path", path, facts, missing)
