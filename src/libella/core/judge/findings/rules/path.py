"""Path and body lines: the head goes across the line, and what of it the start follows."""

from typing import Final

from ....measure.interval import Interval
from ....measure.side import Side, side_of
from ....opinions.held import Opinion
from ...claims.level import Level
from ..case import Case
from ..finding import Fact, FactCode, Finding, needs
from ..pictures.drawn import link
from ..rule import Rule

PUTTS: Final = 5
TURNED_DEG: Final = Opinion("body_turned", 1.0, "deg")
"""From where a body line counts as turned (handbook 5): an opinion."""
_BODY: Final = ("feet", "knees", "hips", "forearms", "shoulders", "chest")
_PARALLEL_DEG: Final = 0.5
_REPEATS_DEG: Final = 2.0
_REPEATED: Final = Opinion("body_repeated", 3, "count", (2, 8))
"""So many set-ups within so much repeat: opinions."""


def find(case: Case) -> Finding:
    """The path's own share; body lines that lie to its side speak for it. Words and rails tell a side and no size: then
    what it costs stays a question."""
    level = case.level("path")
    fine = 0 if level is None or not level.is_sized else case.ledger.count("path")
    read = case.ledger.count("path")
    can_be_used = not any("path" in it.unusable for it in case.ledger.batches)
    missing = needs(("paths" if can_be_used else "paths_used", read, PUTTS)) or needs(("paths_deg", fine, PUTTS))
    facts: list[Fact] = []
    if level is not None:
        if level.is_sized:
            speaks = "for" if level.bias.is_one_side else "against"
            facts.append(Fact("path_off", speaks, level.bias, number=level.count, at=level.at))
        elif level.beyond is not None:
            speaks = "for" if level.side.names_direction else "against"
            in_to_out = _way(level.beyond.side, case) == "in_to_out"
            what: FactCode = "path_in_to_out" if in_to_out else "path_out_to_in"
            facts.append(Fact(what, speaks, None, number=level.beyond.times, of=level.count, at=level.at))
    for name in _BODY:
        facts += _body(case, name)
    return case.by_link("path", "path", level.bias if level and level.is_sized else None, facts, missing)


def _way(side: Side, case: Case) -> str:
    return "in_to_out" if (side == "right") == (case.ledger.hand == "right") else "out_to_in"


def _body(case: Case, name: str) -> list[Fact]:
    """What a body line of the set-up says: an angle, or only its side."""
    entry = f"{name}_deg"
    told = case.ledger.of(entry)
    values = [it.values[entry] for batch in told for it in batch.events if entry in it.values]
    if not values or not all(isinstance(it, Interval) for it in values):
        return []
    last = values[-1]
    assert isinstance(last, Interval)
    level = case.level(entry)
    by_side = last.low_or_none is None or last.high_or_none is None
    side = side_of(last.anchor) if by_side else side_of(last.anchor, TURNED_DEG())
    if side == "neither" or (
        last.low_or_none is not None and last.low >= -_PARALLEL_DEG and last.high <= _PARALLEL_DEG
    ):
        return []
    if _may_stay(case, level, len(values)):
        return [Fact("body_stays", "against", None, number=len(values), at=told[-1].place, name=name, side=side)]
    path = case.level("path")
    speaks = "for" if path is None or side_of(path.bias.value) == side else "against"
    size = None if by_side or level is None else level.bias
    return [Fact("body_turned", speaks, size, number=len(values), at=told[-1].place, name=name, side=side)]


def _may_stay(case: Case, level: Level | None, times: int) -> bool:
    """The school's: a body line that is turned by as much every time is left alone."""
    repeats = level is not None and level.spread is not None and level.spread.value <= _REPEATS_DEG
    return "body_lines" in case.ledger.schools.stays and times >= _REPEATED() and repeats


RULE = Rule(
    "path",
    "Path",
    "Level the forearms and square the shoulders, then look at the path again.",
    find,
    link("path"),
    "path",
)
