"""What is said under Change."""

from itertools import product
from typing import Final, get_args

from ...core.certainty.estimate import Estimate, normal
from ...core.certainty.verdict import Verdict
from ...core.change.answer import Answer, Seen
from ...core.change.complaint import FELT, MISSES, WANTS, Complaint
from ...core.change.drills import drills
from ...core.change.proposal import KINDS, Chosen
from ...core.change.retest import Retest, Tested
from ...core.change.run import Progress
from ...core.change.session import Given, Item, Session, Unmet, Wish
from ...core.estimate.cost import Mix
from ...core.estimate.shares import Share
from ...core.measure.side import Side
from ...core.measure.window import Window
from ...core.start.turns import NOTICED
from ..change import change, complaint, practice
from ..judge.findings import cause_said
from .claims import levels_read, paces
from .findings import a_finding
from .reading import Reading

_SEEN: Final[tuple[Seen, ...]] = ("as_said", "otherwise", "not_there", "open", "unread")
_GIVEN: Final = Given((("face_aim", 9.0), ("strike", 3.0)), (15.0, 15.0))
_MIX: Final = Mix.one(Window(1.0, 1.0))


def change_aloud(it: Reading) -> None:
    came = [Complaint((miss,), felt=felt, wants=want) for miss, felt, want in zip(MISSES, FELT, WANTS, strict=False)]
    lengths = ((2.0, None), (None, 3.0), (2.0, 4.0), (2.5, 2.5))
    came += [Complaint(("right", "short"), first, last, trust=2, said="I push them.") for first, last in lengths]
    came += [Complaint(), Complaint(from_m=3.0), Complaint(felt="pace")]
    for one in came:
        it.say("change", complaint.complaint_said, one, it.units)
    start = next(one for one in levels_read() if one.quantity.name == "start" and one.beyond is None)
    other = a_finding("strike", "likely", "left")
    head = cause_said(a_finding("face_aim", "clear", "right"), it.hand, it.units)
    for seen, felt, pace in product(_SEEN, (None, *FELT), (None, *paces())):
        read = (None, None) if seen == "unread" else (start, pace)
        told = Answer(Complaint(("right", "short"), felt=felt), seen, seen, seen, (other,), ("strike", "pace"), *read)
        it.say("change", complaint.answer_said, told, head, it.hand, it.units)
    own = [Chosen("Grip down", "", kind, "line") for kind in KINDS]
    it.say("change", change.retest_due_said, own[0])
    for some in ((), *((one,) for one in own), own[:2], own[:3]):
        it.say("change", change.change_line, some)
    both = Answer(Complaint(("both",)), "as_said", None, None, (), (), start, None)
    it.say("change", complaint.answer_said, both, head, it.hand, it.units)
    practice_aloud(it)
    for question in ("line", "spread", "window", *NOTICED):
        it.say("change", change.retest_said, question)
        for one, beside in product(_tested(question), ((), ("wide base",))):
            it.say("change", change.standing_said, one, question, beside)


def practice_aloud(it: Reading) -> None:
    for code, one in drills().items():
        it.say("change", practice.goal_said, one.goal, one.event)
        it.say("change", practice.dose_said, one)
        for name in one.serves:
            it.say("change", practice.serves_name, name)
        for told in (None, *_progress()):
            it.say("change", practice.progress_said, told, one)
        laid: tuple[tuple[bool, Side, int], ...] = ((False, "neither", 0), (True, "left", 1), (True, "right", 3))
        for bare, side, quarter in laid:
            item = Item("drill", 4.0, one.dose.times, code, one.serves[0], bare, side, quarter)
            it.say("change", practice.item_said, item, drills())
            it.say("change", practice.why_said, item, _GIVEN)
    for kind in ("check", "retention", "retest"):
        it.say("change", practice.item_said, Item(kind, 3.0, 10), drills())
        it.say("change", practice.why_said, Item(kind, 3.0, 10), _GIVEN)
    it.say("change", practice.item_said, Item("drill", 3.0, 10, "gone"), drills())
    for items in ((), (Item("check", 1.5),), (Item("retest", 8.5, 30), Item("drill", 4.0, 10, "call_it"))):
        it.say("change", practice.session_said, Session(1, 1, 15.0, items))
    for wish in get_args(Wish):
        it.say("change", practice.unmet_said, Unmet(wish, 0 if wish == "waits" else 2, "strike"), _GIVEN)
    it.say("change", practice.worked_said, _GIVEN)


def _progress() -> tuple[Progress, ...]:
    return (
        Progress("passed", 1, 2, Share(9, 10)),
        Progress("under", -1, 2, Share(2, 10)),
        Progress("open", 0, 1, None),
    )


def _tested(question: str) -> tuple[Tested, ...]:
    def retest(gain: Estimate, call: Verdict) -> Retest:
        return Retest("it", question, gain, call, final=True, mix=_MIX)

    better = retest(normal(17.0, 5.0), Verdict("clear", "right", 0.97))
    worse = retest(normal(-17.0, 5.0), Verdict("likely", "left", 0.9))
    unsure = retest(normal(0.2, 6.0), Verdict("open", "right", 0.4))
    return (
        Tested("untested", (), None),
        Tested("dropped", (better,), None),
        Tested("better_so_far", (better,), None),
        Tested("open", (unsure,), None),
        Tested("worse", (worse,), None),
        Tested("kept", (better, better), better),
        Tested("open", (better, worse), unsure),
    )
