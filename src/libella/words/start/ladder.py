"""The ladder, in words: whether a gate or rail should tighten, widen or stay."""

from ...core.measure.units import Units, fine_degrees, tape
from ...core.set.station import Station
from ...core.start.ladder import LAST, Rung
from ..refusals import refusal_words
from ..shared.counts import counted


def rung_words(it: Rung, station: Station, units: Units) -> str:
    """What the ladder says of a rig."""
    if it.step == "none":
        return f"{station.rig.about.name} has no width to tighten."
    if it.step == "wait":
        left = counted(LAST - it.of, "more_putt")
        return f"{it.passed} of {it.of} clean. Narrower or wider is said after {left}."
    said = f"{it.passed} of the last {LAST} clean"
    if it.step == "stay":
        if it.fault is not None:
            return f"{said}, but this rig goes no further: {refusal_words(it.fault, units).message}"
        if it.why == "all":
            return f"{said}, and all putts together say that this width is right: stay."
        return f"{said}: keep this width."
    width, limit = tape(it.value_m, units), fine_degrees(it.limit_deg)
    if it.step == "tighten":
        return f"{said}: tighten to {width} (± {limit}), which three putts in four should pass."
    return f"{said}: widen to {width} (± {limit}), which three putts in four should pass."
