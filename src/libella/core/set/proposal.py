"""Proposals: for what the coach wants to know, the instruments that tell it, laid to suit the putt and the golfer."""

from collections.abc import Mapping
from dataclasses import dataclass

from ..green.putt import Putt
from ..instruments.aid import Aid, Measures
from ..instruments.registry import instruments, lay, usual_sizes
from ..instruments.rig import Rig, Sight
from ..measure.units import Units
from .kit import Needed, needed
from .proof import NOT_PROVED, Proof
from .station import Station, line_of


@dataclass(frozen=True, slots=True)
class Proposal:
    """An instrument laid out for a putt, and what of it is not in the bag.

    `sight` is None for what is not judged against the hole's window.
    """

    aid: Aid
    sight: Sight | None
    missing: tuple[Needed, ...]


def propose(
    measures: Measures,
    putt: Putt,
    spread_deg: float,
    bag: Mapping[str, int] | None,
    units: Units,
    proof: Proof = NOT_PROVED,
) -> tuple[Proposal, ...]:
    """All instruments that tell what is wanted, the best first.

    Best: what is in the bag; then what sees well enough for the putt; then what leaves the golfer unguided; then
    what sees finest.

    Parameters
    ----------
    measures : what the coach wants to know
    putt : the putt it is to be known on
    spread_deg : strictness wanted, which is the spread expected of the golfer (degrees)
    bag : parts the coach owns; None when the bag was not told, and then all is taken for there
    proof : of the line as it is laid now, which holds for what is proposed as far as it would once that is laid
    """
    kinds = [it for it in instruments().values() if it.about.measures == measures]
    found = [
        _laid(it, putt, spread_deg, bag, units, proof) for it in kinds if not issubclass(it, Rig) or it.reads_start
    ]
    return tuple(sorted(found, key=_rank))


def _laid(
    kind: type[Aid], putt: Putt, spread_deg: float, bag: Mapping[str, int] | None, units: Units, proof: Proof
) -> Proposal:
    aid = kind.laid(usual_sizes(kind.about.kind, {}, units)).for_putt(putt, spread_deg)
    sight = _sight(aid, putt, spread_deg, units, proof) if isinstance(aid, Rig) else None
    missing = tuple(it for it in needed([aid.about], bag) if not it.is_there)
    return Proposal(aid, sight, missing)


def laid_by_itself(aid: Aid, putt: Putt) -> Station:
    """The putt with nothing laid but this."""
    if isinstance(aid, Rig) and aid.about.measures == "start":
        return Station(putt, aid)
    no_rig = lay("no_rig", {})
    assert isinstance(no_rig, Rig)
    return Station(putt, no_rig, aids=(aid,))


def _sight(rig: Rig, putt: Putt, spread_deg: float, units: Units, proof: Proof) -> Sight:
    """What it would see once it is laid, as the station then says it."""
    if rig.about.measures != "start":
        return rig.sight(putt, spread_deg, units)
    return Station(putt, rig, proof.on(line_of(putt, rig, 0.0))).sight(spread_deg, units)


def _rank(it: Proposal) -> tuple[bool, bool, bool, float, str]:
    about = it.aid.about
    # Whose aim is not known yet will do once the line is proved.
    poor = it.sight is not None and it.sight.fit not in ("good", "unsure")
    return bool(it.missing), poor, about.guides, it.sight.share if it.sight else 0.0, about.name
