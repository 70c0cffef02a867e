"""Conditions that are to be compared, in words: what stays, and what differs in each."""

from collections.abc import Sequence
from dataclasses import dataclass

from ...core.measure.side import side_of
from ...core.measure.units import Units, tape
from ...core.set.station import Station
from ..shared.counts import listed

AS_USUAL = "as usual"


@dataclass(frozen=True, slots=True)
class ConditionTold:
    """One of them: what it is called, the station it is putted on, whether the rig stands in the golfer's view."""

    name: str
    station: Station
    guided: bool


def conditions_said(conditions: Sequence[ConditionTold], units: Units) -> tuple[str, tuple[str, ...]]:
    """What stays the same in all of them, as one sentence; of each what differs, in short."""
    told = [_told(it, units) for it in conditions]
    same = [what for what in told[0] if len({it[what] for it in told}) == 1]
    stays = [told[0][what] for what in same if told[0][what]]
    differs = tuple(", ".join(it[what] for what in it if what not in same and it[what]) for it in told)
    return f"The same in all: {listed(stays)}." if stays else "", differs


def _told(it: ConditionTold, units: Units) -> dict[str, str]:
    station = it.station
    putt, rig = station.putt, station.rig
    beside = ", ".join(one.about.said for one in station.aids)
    return {
        "how": it.name or AS_USUAL,
        "length": tape(putt.distance_m, units),
        "slope": "on level ground" if putt.is_level else _falls(putt.falls_right_percent),
        "rig": f"{rig.about.said} at {tape(rig.station_m, units)}" if rig.reads_start else rig.about.said,
        "beside": f"with {beside}" if beside else "nothing beside it",
        "seen": "in the golfer’s view" if it.guided else "out of the golfer’s view",
    }


def _falls(right_percent: float) -> str:
    side = side_of(right_percent, 0.05)
    return "on a slope along it" if side == "neither" else f"falling {abs(right_percent):.1f} % to the {side}"
