"""What else can be noted of a putt, in the order in which it happens; only what a block asks for is asked."""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field, replace
from types import MappingProxyType
from typing import Final, Literal, get_args

from ..measure.constants import FOOT_M, INCH_M
from ..measure.limits import Bounds, Fact, OutOfLimits
from ..measure.units import Units

When = Literal["before", "after", "end"]
Half = Literal["low", "high", "none"]
Notes = Mapping[str, str | float]
"""What was noted of a putt, by note."""


@dataclass(frozen=True, slots=True)
class Note:
    """Something noted of a putt: by one tap, or where it has no options, a size read off. A registry entry: whatever
    asks, keeps, tabulates or exports notes finds it here, with its names.

    Attributes
    ----------
    options : what can be tapped: codes, each with its name
    when : whether it is asked before the start line is read, for what the golfer felt must not know the reading; after
        it; or once the ball lies
    columns : lays its options out as a picture: the strike on the face, three by three
    bounds, step, usual : of a size, in the bounds' unit: how finely it is told, and the sizes told oftenest
    feet : the same of a length where feet and inches are in use, m
    low_word, high_word : of a size, the names of minus and plus
    table : which table tells of it: one of its own kind, how often each option, or the sizes read off
    needs_hole : it tells what became of the ball at the hole
    needs_string : it is seen against a string over the line
    mirrors : its options lie side by side as seen from behind the ball, from a right-hander's near side to the far one
    outcome : it is found out at the putt; else it is how that was gone about, and no comparison asks after it
    measures : of what is laid, the quantity it shows; empty for what is noted of every putt
    tells_touch : it tells whether the stroke touched something, `alone` being that it did not
    after_touch : asked only of a putt that touched something, and without being asked for
    alone : of what may be several at once in one putt, the option that excludes the others; empty where one is all
    told_by : measures of a stroke that tell it: where a sensor sends one, nobody is asked
    after, halves : by the options of the note `after`, which half of a size is left to tell, or that nothing is
    """

    label: str
    question: str
    options: Mapping[str, str] = field(default_factory=dict[str, str])
    when: When = "after"
    columns: int = 0
    bounds: Bounds | None = None
    step: float = 0.0
    usual: tuple[float, ...] = ()
    feet: tuple[float, tuple[float, ...]] | None = None
    low_word: str = ""
    high_word: str = ""
    table: Literal["own", "counts", "sizes"] = "counts"
    needs_hole: bool = False
    needs_string: bool = False
    told_by: tuple[str, ...] = ()
    mirrors: bool = False
    outcome: bool = True
    alone: str = ""
    measures: str = ""
    tells_touch: bool = False
    after_touch: bool = False
    after: str = ""
    halves: Mapping[str, Half] = field(default_factory=dict[str, "Half"])

    def told_in(self, units: Units) -> tuple[float, tuple[float, ...]]:
        """Its step and its usual sizes, as they are said there."""
        return self.feet if units == "feet" and self.feet else (self.step, self.usual)


OFF_STRING: Final = "off_string"
"""Where the putter's mark was against a string over the line."""
CONTACT: Final = "contact"
"""Tilted or lifted: which half of the head met what lies over it."""
_SHORT: Final = ("short_left", "short", "short_right")
_PAST: Final = ("past_left", "past", "past_right")
_RAN_PAST: Final = Bounds(-5.0, 5.0, "m")
_SWUNG_FEET: Final = (2 * INCH_M, tuple(it * INCH_M for it in (6, 8, 10, 12, 16, 20)))


def _angle(name: str, label: str, question: str, *, most: float = 15.0, step: float = 0.1) -> Note:
    """An angle to either side, which a sensor tells by the same name."""
    bounds = Bounds(-most, most, "deg")
    return Note(
        label, question, bounds=bounds, step=step, low_word="left", high_word="right", table="sizes", told_by=(name,)
    )


NOTES: Final[dict[str, Note]] = {
    "felt": Note(
        "Felt start",
        "Where did it start, by feel?",
        {it: it for it in ("left", "straight", "right")},
        "before",
        table="own",
    ),
    "strike": Note(
        "Strike",
        "Where on the face?",
        {
            "heel_high": "heel high",
            "high": "high",
            "toe_high": "toe high",
            "heel": "heel",
            "middle": "middle",
            "toe": "toe",
            "heel_low": "heel low",
            "low": "low",
            "toe_low": "toe low",
        },
        columns=3,
        table="own",
        mirrors=True,
        told_by=("strike_toe_mm",),
    ),
    "roll": Note(
        "Roll",
        "How did it roll?",
        {"clean": "clean", "wobble_left": "wobble left", "wobble_right": "wobble right", "skid": "skid"},
    ),
    "path": Note(
        "Path",
        "Which way did the head travel?",
        {"out_to_in": "out to in", "neutral": "neutral", "in_to_out": "in to out"},
        told_by=("path_deg",),
    ),
    "path_going_back": Note(
        "Path going back",
        "Which way did the head go back?",
        {"inside": "inside", "neutral": "as meant", "outside": "outside"},
        mirrors=True,
    ),
    "path_deg": _angle("path_deg", "Path in degrees", "Which way did the head travel, in degrees?"),
    "face_address_deg": _angle(
        "face_address_deg", "Face at address", "Where did the face point at address, in degrees?"
    ),
    "face_impact_deg": _angle("face_impact_deg", "Face at impact", "Where did the face point at impact, in degrees?"),
    "face_impact": Note(
        "Face at impact, by eye",
        "Where did the face point at impact, by eye?",
        {"left": "left", "square": "square", "right": "right"},
        told_by=("face_impact_deg",),
    ),
    "rotation_deg": _angle(
        "rotation_deg",
        "Face rotation",
        "How far did the face turn from the end of the backstroke to the ball, in degrees?",
        most=90.0,
        step=1.0,
    ),
    "sensor_consistency": Note(
        "Sensor’s consistency",
        "What does the sensor call its consistency, in percent?",
        bounds=Bounds(0.0, 100.0, "%"),
        step=1.0,
        table="sizes",
    ),
    "touch": Note(
        "Touch",
        "What did the stroke touch?",
        {
            "nothing": "nothing",
            "going_back": "going back",
            "at_the_ball": "at the ball",
            "going_through": "going through",
        },
        alone="nothing",
        tells_touch=True,
    ),
    OFF_STRING: Note(
        "Mark against the string",
        "Where was the putter’s mark against the string?",
        {"inside": "inside it", "on": "on it", "outside": "outside it"},
        mirrors=True,
        needs_string=True,
    ),
    CONTACT: Note(
        "Which half touched",
        "Which half of the head touched it?",
        {
            "heel_half": "heel half: tilted, heel up",
            "whole": "all of it: lifted",
            "toe_half": "toe half: tilted, toe up",
        },
        mirrors=True,
        after_touch=True,
    ),
    "still": Note(
        "Stillness",
        "What moved?",
        {
            "nothing": "nothing",
            "head": "head",
            "knees": "knees",
            "hips": "hips",
            "wrists": "wrists",
            "follow_through": "follow-through",
            "backstroke": "backstroke",
        },
        alone="nothing",
    ),
    "back_m": Note(
        "Backstroke",
        "How far back did the head go?",
        bounds=Bounds(0.0, 1.5, "m"),
        step=0.05,
        table="sizes",
        usual=(0.15, 0.2, 0.25, 0.3, 0.4, 0.5),
        feet=_SWUNG_FEET,
    ),
    "through_m": Note(
        "Follow-through",
        "How far through did it go?",
        bounds=Bounds(0.0, 2.0, "m"),
        step=0.05,
        table="sizes",
        usual=(0.15, 0.2, 0.3, 0.4, 0.5, 0.7),
        feet=_SWUNG_FEET,
    ),
    "finish": Note(
        "Finish",
        "Where did it end?",
        {
            "past_left": "past, left",
            "past": "past",
            "past_right": "past, right",
            "left": "left",
            "holed": "holed",
            "right": "right",
            "short_left": "short, left",
            "short": "short",
            "short_right": "short, right",
        },
        columns=3,
        table="own",
        when="end",
        needs_hole=True,
    ),
    "ran_past_m": Note(
        "Short or past by",
        "How far short of the hole, or past it?",
        bounds=_RAN_PAST,
        step=0.1,
        usual=(0.1, 0.2, 0.3, 0.5, 0.8, 1.2),
        feet=(FOOT_M / 2, tuple(it * FOOT_M for it in (0.5, 1.0, 1.5, 2.0, 3.0, 4.0))),
        low_word="short",
        high_word="past",
        table="sizes",
        when="end",
        needs_hole=True,
        after="finish",
        halves={**dict.fromkeys(_SHORT, "low"), **dict.fromkeys(_PAST, "high"), "holed": "none"},
    ),
    "fell": Note(
        "Fell in",
        "Over which edge did it fall, or pass?",
        {it: it for it in ("front", "left", "right", "back", "none")},
        when="end",
        needs_hole=True,
        after="finish",
        halves=dict.fromkeys(_SHORT, "none"),
    ),
    "read": Note(
        "Read used",
        "By whose read?",
        {"computed": "computed", "coach": "coach's", "golfer": "golfer's"},
        "end",
        outcome=False,
    ),
}


_ORDER: Final[tuple[When, ...]] = get_args(When)
_AND: Final = "+"
"""Between the options of what was several at once: "head+knees"."""


def parts_of(value: str) -> tuple[str, ...]:
    """The options of what was noted: more than one where several were at once."""
    return tuple(value.split(_AND))


def joined(options: Iterable[str], note: Note) -> str:
    """Options as one value, in the note's own order, each once."""
    told = set(options)
    return _AND.join(it for it in note.options if it in told)


def checked_asks(asks: Sequence[str], more: Mapping[str, Note] = MappingProxyType({})) -> tuple[str, ...]:
    """What a block asks for, in the order of the putt; `OutOfLimits` for what is none. `more`: the notes of what is
    laid there, besides those of every putt."""
    known = {**NOTES, **more}
    for it in asks:
        if it not in known:
            raise OutOfLimits("asks", "no_note", named=it, known=tuple(known))
    return tuple(sorted((it for it in known if it in asks), key=lambda it: _ORDER.index(known[it].when)))


def checked_notes(notes: Notes, asks: Sequence[str], more: Mapping[str, Note] = MappingProxyType({})) -> Notes:
    """What was noted of a putt, each asked for and one of its options; parts may be missing. `more` as in
    `checked_asks`."""
    for name, value in notes.items():
        if name not in asks:
            raise OutOfLimits(f"notes.{name}", "note_not_asked", asks=tuple(asks))
        note = more[name] if name in more else NOTES[name]
        if note.bounds is None:
            if not _is_option(note, value):
                facts: dict[str, Fact] = {"label": note.label, "told": str(value), "options": tuple(note.options)}
                raise OutOfLimits(f"notes.{name}", "note_no_option", "", **facts)
        elif isinstance(value, str):
            raise OutOfLimits(f"notes.{name}", "note_is_size", note.bounds.unit, label=note.label, bounds=note.bounds)
        else:
            note.bounds.check(f"notes.{name}", note.label, value)
    return notes


def ends_before(distance_m: float) -> dict[str, Note]:
    """The notes that a putt so long, m, bounds: no ball ends further back than it lay."""
    short_or_past = replace(_RAN_PAST, low=max(_RAN_PAST.low, -distance_m))
    return {"ran_past_m": replace(NOTES["ran_past_m"], bounds=short_or_past)}


def _is_option(note: Note, value: str | float) -> bool:
    """One of its options, or several at once where that may be: in the options' order, each once."""
    told = list(parts_of(str(value)))
    known = [it for it in note.options if it in told]
    return known == told and (len(told) == 1 or bool(note.alone and note.alone not in told))
