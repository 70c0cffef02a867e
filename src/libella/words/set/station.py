"""A station in one line, and what would mend it."""

from collections.abc import Sequence

from ...core.instruments.aid import size_said
from ...core.measure.side import side_of
from ...core.measure.units import Units, tape
from ...core.set.proposal import Proposal
from ...core.set.station import Change, Station
from ..shared.inside import inside
from .sight import RemedyWords, sight_words


def station_words(station: Station, units: Units) -> str:
    """The station in one line: "2.50 m · ruler board at 1.00 m"."""
    rig = station.rig
    if not rig.reads_start:
        beside = ", ".join(it.about.said for it in station.aids)
        return f"{tape(station.putt.distance_m, units)} · {beside or rig.about.said}"
    return f"{tape(station.putt.distance_m, units)} · {rig.about.said} at {tape(rig.station_m, units)}"


def apart_words(stations: Sequence[Station], units: Units) -> list[str]:
    """Each station in one line; of those that would read alike also what differs: sizes, what lies beside, the pace."""
    lines = [station_words(it, units) for it in stations]
    told = [_told(it, units) for it in stations]
    said: list[str] = []
    for line, own in zip(lines, told, strict=True):
        alike = [other for one, other in zip(lines, told, strict=True) if one == line]
        differ = [it for what, it in own.items() if it and any(other.get(what) != it for other in alike)]
        said.append(", ".join([line, *differ]))
    return said


def _told(it: Station, units: Units) -> dict[str, str]:
    """What may tell it from one that reads alike, each by what it is of."""
    rig = it.rig
    sizes = {
        one.name: f"{inside(one.label)} {size_said(one.unit, rig.sizes()[one.name], units)}" for one in rig.dimensions()
    }
    beside = [f"with {one.about.said}" for one in it.aids]
    return {**sizes, "aids": ", ".join(beside), "past_m": f"{tape(it.putt.past_m, units)} past"}


def replaced_words(now: Station, before: Station, units: Units) -> tuple[str, ...]:
    """What is other than in the plan it took the place of, a sentence each."""
    said: list[str] = []
    one, other = now.putt, before.putt
    if one.distance_m != other.distance_m:
        said.append(f"{tape(one.distance_m, units)} long; it was {tape(other.distance_m, units)}.")
    if (one.falls_forward_percent, one.falls_right_percent) != (other.falls_forward_percent, other.falls_right_percent):
        said.append("The slope was changed.")
    if one.past_m != other.past_m:
        said.append(f"Pace {tape(one.past_m, units)} past; it was {tape(other.past_m, units)}.")
    if one.green_speed_ft != other.green_speed_ft:
        said.append(f"Green {one.green_speed_ft:g} ft; it was {other.green_speed_ft:g} ft.")
    if (one.read, one.target) != (other.read, other.target):
        said.append("The read, or what it is started at, was changed.")
    if now.rig.about.kind != before.rig.about.kind:
        said.append(f"{now.rig.about.name} in place of {before.rig.about.said}.")
    elif now.rig.sizes() != before.rig.sizes() or now.across_m != before.across_m:
        said.append(f"{now.rig.about.name}: {now.rig.sizes_said(units)}; it was {before.rig.sizes_said(units)}.")
    laid = {it.about.kind: it for it in now.aids}
    gone = {it.about.kind: it for it in before.aids}
    said += [f"{it.about.name} laid beside it." for kind, it in laid.items() if kind not in gone]
    said += [f"{it.about.name} taken away." for kind, it in gone.items() if kind not in laid]
    said += [
        f"{it.about.name}: {it.sizes_said(units)}."
        for kind, it in laid.items()
        if kind in gone and it.sizes() != gone[kind].sizes()
    ]
    return tuple(said)


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
