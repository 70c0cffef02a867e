"""The station of a drill, laid to scale: the first of its rigs that the bag holds, what lies beside it, its length."""

from collections.abc import Mapping
from dataclasses import dataclass

from ..green.putt import USUAL_PAST_M, Putt
from ..instruments.aid import Aid
from ..instruments.registry import instrument, lay, usual_sizes
from ..instruments.rig import Rig
from ..measure.limits import OutOfLimits
from ..measure.units import Units
from ..set.kit import Needed, in_bag, needed
from ..set.station import Station
from .drill import Drill


@dataclass(frozen=True, slots=True)
class Form:
    """In what a station is not as it begins: another length, m; so many steps harder, or easier below 0."""

    length_m: float | None = None
    step: int = 0


def station_of(
    it: Drill,
    green_speed_ft: float,
    spread_deg: float,
    bag: Mapping[str, int] | None,
    units: Units,
    form: Form = Form(),
) -> Station:
    """A drill's station: at its first length and as it begins, or otherwise."""
    lengths = it.layout.lengths_m or (2.5,)
    putt = Putt(
        lengths[0] if form.length_m is None else form.length_m,
        USUAL_PAST_M(),
        green_speed_ft,
        falls_right_percent=it.layout.falls_percent,
        falls_doubt_percent=0.2 if it.layout.falls_percent else 0.0,
    )
    rig = _rig(it, bag)
    aids = tuple(_narrowed(it, _laid(kind, putt, spread_deg, units), form.step) for kind in it.layout.aids)
    laid = _narrowed(it, _laid(rig, putt, spread_deg, units), form.step)
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


def _narrowed(it: Drill, laid: Aid, step: int) -> Aid:
    """An aid as many steps narrower, or wider, as there are; no further than it can be laid."""
    of = it.layout.narrows
    if of is None or of.kind != laid.about.kind or not step:
        return laid
    sizes = dict(laid.sizes())
    for steps in range(abs(step), 0, -1):
        by = of.by_m * (steps if step > 0 else -steps)
        try:
            return instrument(of.kind).laid(sizes | {of.dimension: round(sizes[of.dimension] - by, 4)})
        except OutOfLimits:
            continue
    return laid
