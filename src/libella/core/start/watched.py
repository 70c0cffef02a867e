"""What lies beside a putt and is read at it: each aid laid is a note of its own, with its own readings to tap."""

from collections.abc import Iterable, Mapping
from dataclasses import replace
from functools import cache
from typing import Final

from ..instruments import instruments
from ..instruments.aid import Aid, Raw
from ..instruments.registry import instrument
from ..instruments.scale import Scale
from ..measure.interval import Interval
from ..measure.limits import Bounds
from .notes import NOTES, OFF_STRING, Note, When

PREFIX: Final = "aid:"
"""Notes of aids are named by the aid's kind behind this."""


def watched(rig: Aid, aids: Iterable[Aid]) -> dict[str, Note]:
    """The notes that what is laid allows, by name: what each aid shows at a putt, or what touched it.

    What the rig shows is the reading itself; only what touched it is a note. Beside a string it can be seen on which
    side of it the putter was.
    """
    aids = tuple(aids)
    laid = [*([rig] if rig.touched else []), *aids]
    found = {PREFIX + it.about.kind: (it, _note(it)) for it in laid}
    own = {name: replace(note, measures=it.about.measures) for name, (it, note) in found.items() if note}
    strung = any(part == "string" for it in (rig, *aids) for part, _ in it.about.parts)
    return own | ({OFF_STRING: NOTES[OFF_STRING]} if strung else {})


def asks_contact(asks: Iterable[str], rig: Aid, aids: Iterable[Aid]) -> bool:
    """Whether a touch that is noted there may be the head's against what lies over it: then which half is asked."""
    if not any(it.over_head for it in (rig, *aids)):
        return False
    return any(note_of(it).tells_touch for it in asks)


def _note(aid: Aid) -> Note | None:
    about = aid.about
    # What stands at the hole is read once the ball lies; all else, what the stroke and the start touched, before that.
    when: When = "end" if about.measures == "pace" else "after"
    if aid.touched:
        return Note(about.name, aid.asked, dict(aid.touched), when, alone="clear", tells_touch=aid.over_head)
    if not about.noted:
        return None
    if isinstance(aid, Scale):
        told, reach = about.quantity, aid.half_width_m
        bounds = Bounds(-reach, reach, "m")
        return Note(
            about.name,
            about.read,
            when=when,
            bounds=bounds,
            step=aid.mark_m,
            low_word=told.low_side,
            high_word=told.high_side,
            table="sizes",
        )
    zones = aid.zones()
    options = {_code(it.raw): it.name for it in zones}
    # Going back and going through are two things, each with its own side.
    whole = next((_code(it.raw) for it in zones if not it.where), "") if any(it.where for it in zones) else ""
    return Note(about.name, about.read, options, when, mirrors=about.measures == "strike", alone=whole)


def note_of(name: str) -> Note:
    """The note of that name, of an aid as it is usually laid where it is one of an aid's."""
    if name in NOTES:
        return NOTES[name]
    note = _usual_note(instrument(name.removeprefix(PREFIX)))
    assert note is not None, name
    return note


@cache
def _usual_note(kind: type[Aid]) -> Note | None:
    return _note(kind.laid({}))


def kind_of(name: str) -> str | None:
    """The kind of the aid whose note that is; None for others."""
    kind = name.removeprefix(PREFIX)
    return kind if name.startswith(PREFIX) and kind in instruments() else None


def watched_interval(aid: Aid, value: str | float) -> Interval | None:
    """What a note of an aid stands for, in the unit of its quantity; None where it only tells what touched."""
    if aid.touched:
        return None
    if isinstance(aid, Scale):
        mark = round(float(value) / aid.mark_m) * aid.mark_m
        return aid.interval({"offset_m": round(mark, 9)})
    raws: Mapping[str, Raw] = {_code(it.raw): it.raw for it in aid.zones()}
    return aid.interval(raws[str(value)])


def _code(raw: Raw) -> str:
    return "_".join(str(it) for it in raw.values())
