"""Proposals: for what the coach wants to know, the instruments that tell it, laid to suit the putt and the golfer."""

from collections.abc import Mapping
from dataclasses import dataclass

from ..green.putt import Putt
from ..instruments.aid import Aid, Measures
from ..instruments.gate import Gate
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


@dataclass(frozen=True, slots=True)
class Wanted:
    """What a coach wants to know, where, and how it would be laid.

    Attributes
    ----------
    measures : what is to be known; putt : the putt it is to be known on
    spread_deg : strictness wanted, which is the spread expected of the golfer (degrees)
    proof : of the line as it is laid now, which holds for what is proposed as far as it would once that is laid
    first : kinds that a school lays before any other; gate_at_m : where a school's gate stands; None: as it suits
    """

    measures: Measures
    putt: Putt
    spread_deg: float
    proof: Proof = NOT_PROVED
    first: tuple[str, ...] = ()
    gate_at_m: float | None = None


def propose(wanted: Wanted, bag: Mapping[str, int] | None, units: Units) -> tuple[Proposal, ...]:
    """All instruments that tell what is wanted, the best first.

    Best: what a school lays first; what is in the bag; then what sees well enough for the putt; then what leaves the
    golfer unguided; then what sees finest. `bag`: parts the coach owns; None when the bag was not told, and then all is
    taken for there.
    """
    kinds = [it for it in instruments().values() if it.about.measures == wanted.measures]
    found = [_laid(it, wanted, bag, units) for it in kinds if not issubclass(it, Rig) or it.reads_start]
    return tuple(sorted(found, key=lambda it: (_school(it, wanted.first), _rank(it))))


def _school(it: Proposal, first: tuple[str, ...]) -> int:
    kind = it.aid.about.kind
    return first.index(kind) if kind in first else len(first)


def _laid(kind: type[Aid], wanted: Wanted, bag: Mapping[str, int] | None, units: Units) -> Proposal:
    usual = usual_sizes(kind.about.kind, {}, units)
    if wanted.gate_at_m is not None and issubclass(kind, Gate):
        usual["distance_m"] = wanted.gate_at_m
    aid = kind.laid(usual).for_putt(wanted.putt, wanted.spread_deg)
    sight = _sight(aid, wanted.putt, wanted.spread_deg, units, wanted.proof) if isinstance(aid, Rig) else None
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
