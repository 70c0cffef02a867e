"""A run that was putted in a lesson, scored by what the rig read and what was noted of every putt (practice 3)."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Final

from ..measure.interval import Interval
from ..opinions.held import Opinion
from ..start.notes import Notes, parts_of
from .drill import Drill, Scored
from .run import Told

_FELT, _FINISH, _RAN_PAST = "felt", "finish", "ran_past_m"
_STRAIGHT_DEG: Final = Opinion("called_straight", 0.5, "deg")
"""A start this near the line was straight to whoever called it: an opinion."""


@dataclass(frozen=True, slots=True)
class Putted:
    """One putt of a run: where it started as the rig read it, degrees, right positive (None: not read); whether it
    passed clean (None: the rig does not tell); what was noted."""

    start: Interval | None
    clean: bool | None
    notes: Notes


def asks_of(it: Scored) -> tuple[str, ...]:
    """The notes that a run asks of every putt."""
    more = {_RAN_PAST: (_FINISH,)}.get(it.note, ())
    return (*((_FELT,) if it.called else ()), *more, *((it.note,) if it.note else ()))


def is_read(it: Scored) -> bool:
    """Whether a run on the lesson's screen tells by itself what was as wanted; else it is tapped."""
    return bool(it.note) or it.start is not None or it.called


def scored(it: Drill, putts: Sequence[Putted]) -> Told:
    """A run, putt by putt, 1 as wanted and 0 not; a putt of which too little was told is left out."""
    found = (_as_wanted(it.scored, one) for one in putts)
    return tuple(int(one) for one in found if one is not None)


def _as_wanted(it: Scored, putt: Putted) -> bool | None:
    if it.called:
        felt = putt.notes.get(_FELT)
        return None if felt is None or putt.start is None else felt == _side(putt.start)
    if it.start is not None:
        if it.start == 0.0:
            return putt.clean
        return None if putt.start is None else abs(putt.start.anchor) <= it.start and not _is_open(putt.start)
    if it.sizes is not None:
        return _within(it.sizes, putt.notes, it.note)
    told = putt.notes.get(it.note)
    return None if told is None else set(parts_of(str(told))) <= set(it.options)


def _within(sizes: tuple[float, float], notes: Mapping[str, str | float], note: str) -> bool | None:
    if note == _RAN_PAST and notes.get(_FINISH) == "holed":
        return True
    told = notes.get(note)
    return None if not isinstance(told, float | int) else sizes[0] <= told <= sizes[1]


def _is_open(it: Interval) -> bool:
    """Beyond where the rig reads: nobody knows how far."""
    return it.low_or_none is None or it.high_or_none is None


def _side(it: Interval) -> str:
    return "straight" if abs(it.anchor) <= _STRAIGHT_DEG() else "right" if it.anchor > 0 else "left"
