"""What follows from a lesson, in words: what can be changed, by how much, what speaks for it and against it."""

from typing import Final

from ...core.change.better import Better
from ...core.change.fitting import Fit, Ruled
from ...core.change.follows import Follow
from ...core.change.proposed.entry import Proposal
from ...core.golfer.hand import Hand
from ...core.judge.claims.level import Level
from ...core.judge.claims.reads import Claim
from ...core.judge.claims.share import ShareOf
from ...core.judge.findings.next_check import Check
from ...core.judge.findings.said import Differs
from ...core.measure.units import Units, roughly
from ..judge.chosen import chosen_said
from ..judge.claims import claim_name, headed, share_said
from ..judge.differences import shift_said
from ..judge.findings import fact_said
from ..judge.lesson import check_said
from ..shared.counts import listed
from ..shared.inside import inside
from .complaint import LIMIT_NAMES

_DID_BETTER: Final = "It did better than the other way today."
SEVERAL: Final = "Several things differ in it. Nobody can say which of them did it."
GENERAL: Final = "Why isn't known yet, so this is general practice."
_METRES: Final = {"m": 1.0, "mm": 0.001}


def follow_said(it: Follow, hand: Hand, units: Units) -> str:
    """What it follows from, as every page of the lesson says it."""
    return _claim(it.said, hand, units) if isinstance(it.said, ShareOf) else chosen_said(it.said, hand, units)


def kept_said(it: Better) -> str:
    """The way of a comparison that did better, as the change that keeps it."""
    return f"Keep “{it.name}”"


def kept_feel_said(it: Follow, hand: Hand, units: Units) -> str:
    """What it takes to keep it: how far something was moved for it, where that was read."""
    dose = it.said.dose if isinstance(it.said, Differs) else None
    if dose is None:
        return _DID_BETTER
    shift = shift_said(dose, hand, units)
    return f"{shift[0].upper()}{shift[1:]}."


def what_said(it: Proposal, follow: Follow, units: Units) -> str:
    """What to do: by how much, where the readings say so."""
    size = follow.size
    if not it.sized or size is None or follow.unit not in _METRES or not size.is_one_side:
        return it.what
    metres = abs(size.value) * _METRES[follow.unit]
    # Nobody changes how far a ball rolls by a centimetre.
    by = round(metres, 1) if follow.unit == "m" else metres
    return it.sized.format(by=f"about {roughly(by, units)}")


def reasons_said(follow: Follow, units: Units) -> list[str]:
    """What speaks for changing it, beside what the lesson says of it already."""
    if follow.better is not None:
        return [SEVERAL] if follow.better.several else []
    if follow.finding is None:
        return []
    return [fact_said(it, units) for it in follow.finding.facts if it.speaks == "for"]


def doubts_said(follow: Follow, units: Units) -> list[str]:
    """What speaks against the finding itself, less surely than for it."""
    facts = follow.finding.facts if follow.finding is not None else ()
    return [fact_said(it, units) for it in facts if it.speaks == "against"]


def against_said(it: Fit, hand: Hand, units: Units) -> list[str]:
    """What speaks against a change that fits all the same."""
    return [_claim(one, hand, units) for one in it.against]


def ruled_said(it: Ruled, hand: Hand, units: Units) -> str:
    """Why a usual change is not offered: "“Tuck the chin …”: not with a bad neck."."""
    what = f"“{it.proposal.what}”"
    if it.limits:
        return f"{what}: not with this golfer’s {listed([inside(LIMIT_NAMES[one]) for one in it.limits])}."
    if it.claim is not None:
        return f"{what}: {inside(_claim(it.claim, hand, units))}"
    return f"{what}: the golfer can't putt from there."


def first_said(it: Check) -> str:
    """What to check before anything is changed."""
    return f"Check first: {inside(check_said(it))}"


def _claim(it: Claim, hand: Hand, units: Units) -> str:
    said = f"{headed(it, hand, units)}." if isinstance(it, Level) else share_said(it)
    return f"{claim_name(it)}: {said}"
