"""Movement: putts in which something moved scatter more than still ones."""

from dataclasses import replace

import numpy as np

from ....certainty.estimate import Estimate, estimated
from ....estimate import START, posterior
from ....estimate.posterior import Floats
from ..case import Case
from ..currency import drawn
from ..evidence import PuttSeen
from ..finding import Fact, Finding, needs, unread

NOTED, OF_EITHER = 10, 3


def moved(putt: PuttSeen) -> bool | None:
    """Whether something moved, or the stroke touched what lay beside; None where nobody noted it."""
    still = putt.notes.get("still")
    if still is None:
        return None
    return still not in ("nothing", "")


def find(case: Case) -> Finding:
    """Still putts against the others: what the others lose by their scatter, as often as they happen as usual."""
    if not case.own:
        return unread("movement", needs(("stillness", 0, NOTED)))
    # With a wide base or the head low something moves or not as well: all that was noted tells.
    putted = [it for block in case.evidence.blocks if block.guided == case.own[0].guided for it in block.putts]
    told = [(it.start, moved(it)) for it in putted if it.start is not None and moved(it) is not None]
    still = [start for start, it in told if not it]
    shaky = [start for start, it in told if it]
    missing = needs(("stillness", len(told), NOTED))
    if not missing:
        missing = needs(("still", len(still), OF_EITHER))
    at = case.putted_at
    facts: list[Fact] = []
    if told:
        facts.append(
            Fact("moved", "for" if len(shaky) >= OF_EITHER else "against", None, number=len(shaky), of=len(told), at=at)
        )
    if case.start is not None:
        speaks = "for" if case.start.spread_quantile(0.5) > case.wide_deg else "against"
        facts.append(Fact("spread", speaks, _spread(case), number=len(case.starts), at=at))
    if len(still) < OF_EITHER or (missing and len(shaky) < OF_EITHER):
        return unread("movement", missing, facts)
    noise = max(it.noise_deg for it in case.own)
    _, calm = drawn(posterior(still, START, noise=noise))
    _, loose = drawn(posterior(shaky, START, noise=noise))
    rng = np.random.default_rng(13)
    loose = rng.permutation(loose)
    if len(shaky) < OF_EITHER:
        # How a putt in which something moves scatters is hardly known; how seldom it happens is.
        part = rng.beta(1 + len(shaky), 1 + len(still), loose.size)
        rare: Floats = part * (case.putts.share(0.0, calm) - case.putts.share(0.0, loose))
        found = case.by_gain("movement", rare, None, ())
        if found.call.word != "none":
            return unread("movement", missing, facts)
        return replace(found, facts=tuple(facts))
    usual = [it for putt in case.putted if (it := moved(putt)) is not None]
    part = sum(usual) / len(usual) if usual else len(shaky) / len(told)
    gain: Floats = part * (case.putts.share(0.0, calm) - case.putts.share(0.0, loose))
    return replace(case.by_gain("movement", gain, _spread(case), missing), facts=tuple(facts))


def _spread(case: Case) -> Estimate | None:
    return estimated(case.start.spread_quantile) if case.start else None
