"""What a lesson says, first to last: chosen among its claims. Every page takes its sentences from here, so that no two
can differ."""

from collections.abc import Iterable, Sequence
from statistics import median
from typing import Final

from ...estimate.shares import more_often
from ...measure.side import Side, side_of
from ..claims.difference import Group, differences
from ..claims.level import Level
from ..claims.pace import FEWEST
from ..claims.reads import Claim, Compared, is_dose
from ..claims.share import ShareOf
from ..claims.tail import tail_of
from ..claims.together import GoesWith
from ..claims.unusable import not_used
from ..ledger.entry import FEWEST_STARTS, Batch, grouped_by_all
from ..ledger.factors import AS_USUAL, LAID, Levels
from ..ledger.lengths import lengths_of
from .case import Case
from .finding import Cause, Finding
from .misses import Miss
from .ranked import Findings
from .rules import strike
from .said import (
    Cause_,
    Chosen,
    Differs,
    FarOff,
    GroundOff,
    Grows,
    Joined,
    LineFirst,
    Misled,
    MissedSide,
    Nothing,
    Off,
    Open,
    PaceOff,
    PutRight,
    Wide,
)

_GROUND: Final = 3
_MISSED: Final = 5
_COUNTED: Final = 3
_COUNTS: Final = 2
_FINISHES: Final = ("holed", "stopped", "missed_side")
_LIKELY: Final = 0.8
_ALSO: Final = ("strike", "path", "face", "address", "impact", "mark", "to_mark", "eyes_inside", "looks_straight")


def chosen(
    case: Case,
    found: Findings,
    told: Sequence[Compared],
    missed: Sequence[Miss],
    claims: Sequence[Claim],
    joined: Sequence[GoesWith] = (),
) -> tuple[Chosen, ...]:
    """What is said, first to last; never empty."""
    said: list[Chosen] = []
    levels = [it for it in claims if isinstance(it, Level)]
    if case.line_first:
        said.append(_line_first(case, found))
    told = [*told, *_looked(case)]
    named = [it for it in found.named if it.cause != "rig"]
    rig = next((it for it in found.named if it.cause == "rig"), None)
    causes: list[Chosen] = [Cause_(it, found, case.pace, case.growth) for it in named]
    differ: list[Chosen] = [it for one in told if not _told_by(named, one) for it in _differing(one)]
    grows: list[Chosen] = []
    if found.grows and case.growth is not None and not any(it.cause == "distance" for it in named):
        grows.append(Grows(case.growth))
    if not causes and case.own == [] and differ:
        said += [*differ, *grows]
    else:
        said += _sorted([*causes, *differ, *grows])
    if rig is not None:
        said.append(PutRight(rig, found) if found.nothing and not causes else Cause_(rig, found))
    told_of: set[Cause] = {it.cause for it in found.ranked if it.kind == "stays"}
    told_of.update(it.cause for it in named)
    said += _offs(case, found, levels, told_of)
    said += [Joined(it) for it in joined]
    said += [*_set_down(case), *_tried(case)]
    said += _finished(case, named, missed)
    starts = found.starts
    if starts is not None and starts.wide and not named and not found.grows:
        said.append(Wide(starts, _with_strike(case)))
    if found.nothing and starts is not None and rig is None and not case.line_first:
        said.append(Nothing(starts))
    far = None if starts is None or found.grows else tail_of(starts.level, case.own)
    if starts is not None and far is not None and not starts.call.names_direction and not case.line_first:
        said.append(FarOff(far, starts.level))
    unused = not_used(case.ledger.batches)
    if unused:
        # What is sure of other readings stands before it; what is not known yet, or is nothing to mend, behind.
        said.insert(sum(it.word in ("clear", "likely") for it in said), Misled(unused))
    if not said:
        said.append(Open(starts, bool(case.ledger.quantities), _noted(claims, case), case.pace))
    return tuple(said)


def _noted(claims: Sequence[Claim], case: Case) -> tuple[Claim, ...]:
    """What is worth a sentence while nothing is sure: what surely lies to a side, and counts of enough, what is not as
    wanted first. Where the putts finished is one sentence about them all."""
    sides = [it for it in claims if isinstance(it, Level) and _lies(it)]
    told = [it for it in claims if isinstance(it, ShareOf) and it.of >= _COUNTED and it.counts]
    if case.pace is not None:
        told = [it for it in told if it.quantity.name not in _FINISHES]
    counts = sorted(told, key=lambda it: it.counts[0][0] == it.told)
    return (*sides[:_COUNTS], *counts[:_COUNTS])


def _lies(it: Level) -> bool:
    """Whether its interval is on one side in the golfer's usual way, however small it is."""
    about = it.quantity
    if it.levels != AS_USUAL or not it.is_sized or not it.bias.is_one_side or about.sides in ("more", ""):
        return False
    return about.name not in ("start", "roll_past") and (it.enough or about.event == "look")


def _finished(case: Case, named: Sequence[Finding], missed: Sequence[Miss]) -> Iterable[Chosen]:
    """What where the putts finished says by itself."""
    if case.pace is not None and not any(it.cause == "read_and_pace" for it in named):
        pace = PaceOff(case.pace)
        if pace.word in ("clear", "likely") and case.pace.putts >= FEWEST_STARTS:
            yield pace
    ground = sum(it.reason == "ground" for it in missed)
    if ground >= _GROUND and not named:
        yield GroundOff(ground, case.pace.putts if case.pace else len(missed))
    side = _missed_side(missed)
    if side is not None:
        yield side


def _differing(told: Compared) -> Iterable[Differs]:
    """What a comparison says, each dose with what it brought."""
    for group, difference in told.named:
        dose = next((it for one, it in told.named if one is group and is_dose(it, told)), None)
        brought = any(one is group and not is_dose(it, told) for one, it in told.named)
        # How far something was moved is nothing that was found; nobody asked for it where nothing was planned.
        if difference is dose and (brought or not told.id):
            continue
        yield Differs(told, group, difference, dose if difference is not dose else None)


def _looked(case: Case) -> list[Compared]:
    """What was seen with something moved, set beside what was seen as usual: nobody plans that as a comparison."""
    seen = [it for it in case.ledger.batches if it.step == "see"]
    # Each place of the head is a question of its own.
    told = _beside_usual(case, seen, "see", among=1)
    return [told] if told else []


def _beside_usual(case: Case, batches: Iterable[Batch], of: str, *, among: int | None = None) -> Compared | None:
    """Each way in which something was read, set beside as usual; None where it was read in one way, or never as usual.

    `among`: so many are set against it; all of them, where none is given.
    """
    groups = grouped_by_all(batches)
    usual = groups.pop(AS_USUAL, None)
    if not usual or not groups:
        return None
    first = Group("", tuple(usual))
    others = [Group(batches[0].label, tuple(batches), levels) for levels, batches in groups.items()]
    found = tuple((it, differences(first, it, case.weighing, among=among or len(others))) for it in others)
    return Compared("", of, "", True, first, found)


def _set_down(case: Case) -> list[Differs]:
    """Ways of setting down beside the usual one, with an aid in view say, not planned in turns: what is clear of each.

    Nobody asked for it, and so many are beside it that a "likely" would be one of chance's.
    """
    downs = [it for it in case.ledger.batches if it.step == "aim" and not it.comparison]
    told = _beside_usual(case, downs, "aim")
    return _surest(it for it in _every(told) if it.word == "clear")


def _every(told: Compared | None) -> Iterable[Differs]:
    """All that a comparison names, the surest first."""
    return () if told is None else (Differs(told, group, difference) for group, difference in told.named)


def _surest(some: Iterable[Differs]) -> list[Differs]:
    """Of each way the first."""
    best: dict[Levels, Differs] = {}
    for it in some:
        best.setdefault(it.group.levels, it)
    return list(best.values())


def _tried(case: Case) -> list[Differs]:
    """Ways of putting that were tried beside the usual one, not planned as a comparison: what is surest otherwise."""
    putted = [it for it in case.ledger.batches if it.putted and not it.comparison and not it.guided]
    told = _beside_usual(case, (it for it in putted if not dict(it.levels).keys() & (LAID | {"unsorted"})), "start")
    return _surest(_every(told))


def _sorted(some: list[Chosen]) -> list[Chosen]:
    """What is clear before what is likely; of a comparison only what was asked of it stands before a cause."""

    def later(it: Chosen) -> bool:
        return it.word != "clear" or (isinstance(it, Differs) and not it.is_asked)

    return sorted(some, key=later)


def _told_by(named: Sequence[Finding], it: Compared) -> bool:
    """Whether a finding tells the same already: with a guide and without, or at several lengths."""
    causes: set[Cause] = {one.cause for one in named}
    batches = [one for group in (it.first, *(group for group, _ in it.others)) for one in group.batches]
    if "distance" in causes and len(lengths_of(batches)) == len(batches):
        return True
    return "guide" in causes and len({one.guided for one in batches}) > 1


def _line_first(case: Case, found: Findings) -> LineFirst:
    names = ("mark", "face", "looks_straight", "start", "address")
    told = tuple(it for name in names if (it := case.level(name)) is not None and it.enough)
    middle = median(it.bias.value for it in told)
    rig = next(it for it in found.ranked if it.cause == "rig")
    return LineFirst(rig, told, "right" if middle > 0 else "left", abs(middle))


def _offs(case: Case, found: Findings, levels: Sequence[Level], named: set[Cause]) -> list[Off]:
    """Levels that lie off and that no finding tells."""
    said: list[Off] = []
    starts = found.starts
    path = case.level("path")
    if starts is not None and found.unexplained and not case.line_first:
        aim = case.level("face") or case.level("address")
        may = path is not None and path.tells_side
        same = path is not None and (path.bias.value > 0) == (starts.bias.value > 0)
        there = aim is not None and aim.enough and (aim.is_named or aim.tells_side)
        there = there and aim is not None and (aim.bias.value > 0) == (starts.bias.value > 0)
        said.append(Off(starts.level, found.by_stroke, aim is not None and aim.enough, may and same, there))
    told: dict[str, Cause] = {
        "strike": "strike", "path": "path", "face": "face_aim", "address": "face_aim", "impact": "face_at_impact",
        "mark": "ball_mark", "looks_straight": "perception",
    }  # fmt: skip
    # Where there is no one golfer as usual, each way tells for itself.
    several = starts is None and not case.own
    for level in levels:
        name = level.quantity.name
        if name not in _ALSO and not (name == "start" and several):
            continue
        if not level.enough or (level.levels != AS_USUAL and case.level(name) != level and not several):
            continue
        if told.get(name) in named or (case.line_first and level.quantity.on_line) or named & {"compensation"}:
            continue
        if name in ("face", "address", "impact", "mark", "to_mark") and (named - {"rig"}):
            continue
        by_side = level.tells_side
        if level.is_named or (by_side and name in ("path", "strike")):
            said.append(Off(level))
    # A mark is laid, and a face is set down, as it looks straight: what is seen comes before what goes with it.
    order = ("start", "looks_straight")

    def later(it: Off) -> tuple[bool, int]:
        name = it.level.quantity.name
        return it.word != "clear", order.index(name) if name in order else len(order)

    return sorted(said, key=later)


def _with_strike(case: Case) -> Side:
    """Where starts go with a strike nearer the toe, as far as putts struck to either side of the mean tell it."""
    it = case.struck
    if it is None or min(it.sides) < strike.A_SIDE or not it.slope.is_one_side:
        return "neither"
    return side_of(it.slope.value)


def _missed_side(missed: Sequence[Miss]) -> MissedSide | None:
    """The side of the misses, where nearly all go to one and it is not told by what each is booked to."""
    left, right = (sum(it.side == side for it in missed) for side in ("left", "right"))
    if left + right < _MISSED or max(more_often(left, right)) < _LIKELY:
        return None
    side: Side = "left" if left > right else "right"
    unread = sum(it.reason == "unread" for it in missed)
    return MissedSide(side, max(left, right), len(missed), unread) if max(left, right) >= FEWEST else None
