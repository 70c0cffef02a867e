"""What was noted and measured of one putt, as readings of quantities: a note in words is an interval of its quantity
(handbook 5), so that it reaches whatever asks for that quantity."""

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Final

from ...certainty.verdict import NINETY
from ...golfer.hand import Hand
from ...green.capture import longest_past
from ...green.putt import Putt
from ...instruments.aid import Aid
from ...instruments.in_words import InWords
from ...measure.angle import offset_m
from ...measure.constants import FOOT_M
from ...measure.interval import Interval
from ...opinions.held import Opinion
from ...start.notes import NOTES, Notes, parts_of
from ...start.path import PathModel
from ...start.stroke import MEASURES
from ...start.watched import PREFIX, watched_interval
from .entry import Value
from .quantity import NOTES_OF_LINKS

PATH_DEG: Final = Opinion("path_as_declared", 0.5, "deg")
"""A path within this either side of the one declared is as declared; words and rails tell no more. An opinion."""
MIDDLE_MM: Final = Opinion("strike_middle", 6.0, "mm")
"""A strike within this either side of the middle is in the middle, in words. An opinion."""
_INF: Final = math.inf
_BY_EYE: Final = InWords()


@dataclass(frozen=True, slots=True)
class Reader:
    """What the putts of a block are read against.

    hand : the golfer's
    path : as declared: words and rails are against it
    aids : what was laid, of which notes tell what it showed
    line_off_deg : how far right of the true line the laid one was found: what sensors and words tell is put right by it
    misled : what was told in words of the head's way was seen against a string that lies elsewhere to these eyes
    """

    hand: Hand
    path: PathModel
    aids: Sequence[Aid] = ()
    line_off_deg: float = 0.0
    misled: bool = False


MISLED_IN: Final[Mapping[str, str]] = {
    "path": "path",
    "path_going_back": "path_back",
    "off_string": "off_string",
}
"""The notes that are seen against a string over the line, and what they tell."""


def putt_values(by: Reader, start: Interval | None, notes: Notes, measures: Mapping[str, float]) -> dict[str, Value]:
    """Every quantity that was read of a putt.

    Parameters
    ----------
    start : its start error, already put right; None where nothing watched it
    notes : as noted; sizes in metres, degrees, percent
    measures : as sensors told them, their zero taken off
    """
    found: dict[str, Value] = {} if start is None else {"start": start}
    # What came with a file stands with the notes, under a sensor's names.
    if by.misled:
        notes = {name: it for name, it in notes.items() if name not in MISLED_IN}
    filed = {name: float(it) for name, it in notes.items() if name in MEASURES and name not in NOTES}
    measures = filed | dict(measures)
    notes = {name: it for name, it in notes.items() if name not in filed}
    _links(found, notes, measures, by)
    by_name = {PREFIX + it.about.kind: it for it in by.aids}
    for name, value in notes.items():
        if name.startswith(PREFIX):
            _watched(found, name, value, by_name.get(name), by)
        elif name not in NOTES_OF_LINKS:
            found[name] = value if isinstance(value, str) else typed(float(value))
    _finish(found, notes, by_name)
    if start is not None and "felt" in notes:
        found["feels_straight"] = str(notes["felt"])
    for name in ("backswing_s", "downswing_s", "rotation_deg"):
        if name in measures and name not in found:
            found[name] = Interval(measures[name], measures[name])
    return found


_BACK: Final[Mapping[str, str]] = {"inside": "in_to_out", "neutral": "neutral", "outside": "out_to_in"}
"""A head inside its way going back travels from in to out of it."""


def typed(value: float) -> Interval:
    """A typed value is ± half its last place, and no finer than a tenth of its unit."""
    text = f"{value:.6f}".rstrip("0")
    places = max(1, len(text.partition(".")[2])) if "." in text else 1
    half = 0.5 * 10.0**-places
    return Interval(value - half, value + half)


_SAME_M: Final = 1e-6


def size_m(value: float) -> Interval:
    """A length told to a tenth of a metre, to half a foot, or to the centimetre."""
    half_feet = value / (FOOT_M / 2)
    if abs(round(value, 1) - value) < _SAME_M:
        half = 0.05
    else:
        half = FOOT_M / 4 if abs(round(half_feet) - half_feet) * FOOT_M / 2 < _SAME_M else 0.005
    return Interval(value - half, value + half)


def _links(found: dict[str, Value], notes: Notes, measures: Mapping[str, float], by: Reader) -> None:
    off = by.line_off_deg
    for name, measure in (("address", "face_address_deg"), ("impact", "face_impact_deg"), ("path", "path_deg")):
        told = measures.get(measure)
        noted = notes.get(measure)
        if told is not None and noted is None:
            found[name] = Interval(told + off, told + off)
        elif isinstance(noted, float | int):
            found[name] = typed(float(noted)).shifted(off)
    one, other = found.get("address"), found.get("impact")
    if isinstance(one, Interval) and isinstance(other, Interval):
        turned = other.anchor - one.anchor
        found["turned"] = Interval(turned, turned)
    if "path" not in found and (way := notes.get("path")) is not None:
        found["path"] = path_interval(str(way), by.path, by.hand).shifted(off)
    if (back := notes.get("path_going_back")) is not None:
        found["path_back"] = path_interval(_BACK[str(back)], by.path, by.hand).shifted(off)
    if "impact" not in found and "face_impact" in notes:
        found["impact"] = _BY_EYE.interval({"face": str(notes["face_impact"])}).shifted(off)
    toe = measures.get("strike_toe_mm")
    if toe is not None:
        found["strike"] = Interval(toe, toe)
        if "strike_up_mm" in measures:
            found["strike_high"] = Interval(measures["strike_up_mm"], measures["strike_up_mm"])
    elif "strike" in notes:
        across, up = strike_intervals(str(notes["strike"]))
        found["strike"], found["strike_high"] = across, up


def path_interval(way: str, path: PathModel, hand: Hand) -> Interval:
    """A path in words, degrees right of the line: as declared within half a degree, or beyond it to one side."""
    expected = path.expected_deg(hand)
    if way == "neutral":
        return Interval(expected - PATH_DEG(), expected + PATH_DEG(), said=True)
    if (way == "in_to_out") == (hand == "right"):
        return Interval(expected + PATH_DEG(), _INF, said=True)
    return Interval(-_INF, expected - PATH_DEG(), said=True)


def strike_intervals(where: str) -> tuple[Interval, Interval]:
    """A strike in words, mm: towards the toe, and above the middle."""
    middle = Interval(-MIDDLE_MM(), MIDDLE_MM(), said=True)
    across = Interval(-_INF, -MIDDLE_MM(), said=True) if where.startswith("heel") else middle
    across = Interval(MIDDLE_MM(), _INF, said=True) if where.startswith("toe") else across
    up = Interval(MIDDLE_MM(), _INF, said=True) if where.endswith("high") else middle
    return across, Interval(-_INF, -MIDDLE_MM(), said=True) if where.endswith("low") else up


def _watched(found: dict[str, Value], name: str, value: str | float, aid: Aid | None, by: Reader) -> None:
    """What an aid showed: by itself as it was tapped, and as a reading of the link it measures."""
    if aid is None:
        found[name] = str(value) if isinstance(value, str) else typed(float(value))
        return
    # Several at once are each of their own part of the stroke: the first stands for whether one was read at all.
    one = parts_of(value)[0] if isinstance(value, str) else value
    interval = None if aid.touched else watched_interval(aid, one)
    measures = aid.about.measures
    if isinstance(value, str):
        found[name] = value
    else:
        # As it was read, in metres; what that comes to in degrees stands under the link it measures.
        found[name] = interval if interval and measures == "pace" else size_m(float(value))
    if interval is None:
        return
    if measures == "face":
        found.setdefault("address", interval.shifted(by.line_off_deg))
    if measures == "strike" and "strike" not in found:
        # Read as the coach sees it, towards the heel; kept as everything is, towards the toe.
        found["strike"] = Interval(-interval.high, -interval.low, said=interval.said)
    if measures == "path" and aid.about.kind in _SHAPES.get(by.path.name, ()):
        for one in parts_of(str(value)):
            _railed(found, one, aid, by)


def _railed(found: dict[str, Value], value: str, aid: Aid, by: Reader) -> None:
    """What a rail showed of the path, going back or through."""
    zone = next((it for it in aid.zones() if value in map(str, it.raw.values())), None)
    if zone is not None:
        sides = {"back": "path_back", "through": "path"}
        inside = zone.interval.low > 0
        if not zone.where:
            for name_ in sides.values():
                found.setdefault(name_, path_interval("neutral", by.path, by.hand))
            return
        # A head inside its way going back, or outside it going through, travels from in to out of it.
        way = "in_to_out" if inside == (zone.where == "back") else "out_to_in"
        found.setdefault(sides[zone.where], path_interval(way, by.path, by.hand))


_SHAPES: Final[Mapping[str, tuple[str, ...]]] = {
    "straight": ("twin_rails",),
    "arc": ("curved_rail", "path_template"),
}
"""Which rails have the shape of which path: others teach another one, and say nothing of it."""


def _finish(found: dict[str, Value], notes: Notes, aids: Mapping[str, Aid]) -> None:
    """Holed or missed, to which side, short or past, and by how much where that was told. A holed ball ran past
    nothing."""
    noted = str(notes.get("finish", ""))
    size = _ran_past(notes, aids)
    if noted == "holed":
        found["holed"] = found["stopped"] = "holed"
        return
    if noted or size is not None:
        found["holed"] = "missed"
    side = "left" if "left" in noted else "right" if "right" in noted else ""
    if side:
        found["missed_side"] = side
    kind = "short" if noted.startswith("short") else "past" if noted.startswith("past") else ""
    if not kind and size is not None:
        kind = "short" if size.high <= 0 else "past" if size.low >= 0 else ""
    if kind:
        found["stopped"] = kind
    if size is None and kind:
        size = Interval(-_INF, 0.0) if kind == "short" else Interval(0.0, _INF)
    if size is not None:
        found["roll_past"] = size


def roll_of_holed(putt: Putt, start: Interval | None, noise_deg: float) -> Interval:
    """How far past the hole a holed putt would have run, m: it reached the hole, and the hole takes nothing faster.

    Parameters
    ----------
    start : its start error, degrees, read along a proved line, else None: off its middle the hole takes less
    noise_deg : reading noise of the start, one standard deviation
    """
    longest = longest_past(putt.green_speed_ft, putt.capture)
    if start is not None and putt.is_straight and putt.read is None:
        off_deg = 0.0 if 0 in start else min(abs(start.low), abs(start.high))
        beside_m = offset_m(max(0.0, off_deg - NINETY * noise_deg), putt.distance_m)
        # The hole took it: a start that says otherwise was misread, and tells nothing of the pace.
        longest = longest_past(putt.green_speed_ft, putt.capture, beside_m) or longest
    return Interval(0.0, longest)


def _ran_past(notes: Notes, aids: Mapping[str, Aid]) -> Interval | None:
    """How far past the hole it stopped, m, where that was told."""
    if isinstance(past := notes.get("ran_past_m"), float | int):
        return size_m(float(past))
    for name, aid in aids.items():
        if name in notes and aid.about.measures == "pace" and not aid.touched:
            return watched_interval(aid, notes[name])
    return None
