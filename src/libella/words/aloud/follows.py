"""What follows from a lesson, as it is said under Change."""

from ...core.certainty.estimate import normal
from ...core.change.better import Better
from ...core.change.fitting import Fit, Ruled
from ...core.change.follows import Follow
from ...core.change.proposal import PROPOSALS
from ...core.judge.findings.next_check import CHECKS, Check
from ...core.judge.findings.said import Differs, Joined, Off
from ..change import follows
from .claims import comparisons, gone_together, levels_read
from .findings import a_finding
from .reading import Reading


def follows_aloud(it: Reading) -> None:
    told = next(iter(gone_together()))
    start = next(one for one in levels_read() if one.quantity.name == "start" and one.beyond is None)
    kept = Better("wide base", (("set_up", "wide base"),), "spread", "likely", "set_up", "spread")
    both = Better("wide base", (("set_up", "wide base"), ("cue", "stripe")), "spread", "likely", "set_up", "spread")
    for size, unit in ((normal(0.95, 0.1), "m"), (normal(-12.0, 2.0), "mm"), (None, "")):
        one = Follow("strike", Joined(told), "likely", "heel", size=size, unit=unit)
        it.say("change", follows.follow_said, one, it.hand, it.units)
        for proposal in PROPOSALS.values():
            it.say("change", follows.what_said, proposal, one, it.units)
    for better in (kept, both):
        it.say("change", follows.kept_said, better)
        for apart in (one for one in comparisons() if one.named):
            group, found = apart.named[0]
            for dose in (None, found):
                told_so = Follow("spread", Differs(apart, group, found, dose), "likely", better=better)
                it.say("change", follows.kept_feel_said, told_so, it.hand, it.units)
        it.say("change", follows.reasons_said, Follow("spread", Off(start), "likely", better=better), it.units)
    found = Follow("strike", Off(start), "likely", finding=a_finding("strike", "likely", "left"))
    it.say("change", follows.reasons_said, found, it.units)
    move = PROPOSALS["tuck_the_chin"]
    it.say("change", follows.against_said, Fit(move, (start,)), it.hand, it.units)
    it.say("change", follows.doubts_said, found, it.units)
    for ruled in (Ruled(move), Ruled(move, start), Ruled(move, limits=("neck", "back"))):
        it.say("change", follows.ruled_said, ruled, it.hand, it.units)
    for name in CHECKS:
        it.say("change", follows.first_said, Check(name, 3, (), (), 0.1))
