"""The station of a drill, laid to scale: the first of its rigs that the bag holds, what lies beside it, its length."""

from collections.abc import Mapping

from ..green.putt import USUAL_PAST_M, Putt
from ..instruments.aid import Aid
from ..instruments.registry import instrument, lay, usual_sizes
from ..instruments.rig import Rig
from ..measure.units import Units
from ..set.kit import Needed, in_bag, needed
from ..set.station import Station
from .drill import Drill


def station_of(
    it: Drill,
    green_speed_ft: float,
    spread_deg: float,
    bag: Mapping[str, int] | None,
    units: Units,
    *,
    length_m: float | None = None,
) -> Station:
    """A drill's station: at its first length, or another."""
    lengths = it.layout.lengths_m or (2.5,)
    putt = Putt(
        lengths[0] if length_m is None else length_m,
        USUAL_PAST_M,
        green_speed_ft,
        falls_right_percent=it.layout.falls_percent,
        falls_doubt_percent=0.2 if it.layout.falls_percent else 0.0,
    )
    rig = _rig(it, bag)
    aids = tuple(_laid(kind, putt, spread_deg, units) for kind in it.layout.aids)
    laid = _laid(rig, putt, spread_deg, units)
    assert isinstance(laid, Rig)
    return Station(putt, laid, aids=aids)


def lacking(it: Drill, bag: Mapping[str, int] | None) -> tuple[Needed, ...]:
    """What a drill takes that is not in the bag."""
    abouts = [instrument(kind).about for kind in (_rig(it, bag), *it.layout.aids)]
    return tuple(one for one in needed(abouts, bag) if not one.is_there)


def _rig(it: Drill, bag: Mapping[str, int] | None) -> str:
    return next((kind for kind in it.layout.rigs if in_bag([instrument(kind).about], bag)), it.layout.rigs[0])


def _laid(kind: str, putt: Putt, spread_deg: float, units: Units) -> Aid:
    if kind == "no_rig":
        return lay(kind, {})
    return instrument(kind).laid(usual_sizes(kind, {}, units)).for_putt(putt, spread_deg)
