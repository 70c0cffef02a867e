"""A station in one line, and what would mend it."""

from ...core.measure.side import side_of
from ...core.measure.units import Units, tape
from ...core.set.proposal import Proposal
from ...core.set.station import Change, Station
from .sight import RemedyWords, sight_words


def station_words(station: Station, units: Units) -> str:
    """The station in one line: "2.50 m · ruler board at 1.00 m"."""
    rig = station.rig
    return f"{tape(station.putt.distance_m, units)} · {rig.about.said} at {tape(rig.station_m, units)}"


def change_words(it: Change, units: Units) -> RemedyWords:
    """A change that would mend a station."""
    if it.name != "across_m":
        return RemedyWords(it.name, it.value, f"{it.label} {tape(it.value, units)}")
    if it.value == 0:
        return RemedyWords(it.name, it.value, "Put it back on the start line")
    return RemedyWords(it.name, it.value, f"Shift it {tape(abs(it.value), units)} {side_of(it.value)}")


def proposal_words(it: Proposal, units: Units) -> str:
    """How an instrument is laid, and why."""
    laid = it.aid.sizes_said(units)
    why = sight_words(it.sight) if it.sight else it.aid.about.tells
    return f"{laid[0].upper()}{laid[1:]}. {why}"
