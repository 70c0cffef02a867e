"""What is said under Change."""

from dataclasses import replace
from itertools import product
from typing import Final, get_args

from ...core.certainty.estimate import Estimate, normal
from ...core.certainty.verdict import Verdict
from ...core.change.about import AboutAnswer
from ...core.change.answer import Answer, Seen
from ...core.change.complaint import ABOUT_IN, FELT, MISSES, WANTS, Complaint
from ...core.change.drills import drills
from ...core.change.made import Carried, Carries, MadeAt, Tried, made_at
from ...core.change.pace_table import LeaveAt, PaceTable
from ...core.change.proposal import KINDS, Chosen
from ...core.change.retention import Retained
from ...core.change.retest import Retest, Tested
from ...core.change.run import Progress
from ...core.change.session import Given, Item, Session, Unmet, Why, Wish
from ...core.change.training import Trained
from ...core.course.chance import Green
from ...core.course.outlook import DRAWN, outlook, starter_of
from ...core.course.roller import Finish, roller
from ...core.estimate.cost import Mix
from ...core.estimate.shares import Share
from ...core.golfer.golf_round import RoundTold
from ...core.golfer.kit import NO_KIT, Kit, changed
from ...core.green.capture import Capture
from ...core.judge.findings.said import Differs
from ...core.measure.interval import Interval
from ...core.measure.side import Side
from ...core.measure.window import Window
from ...core.start.turns import NOTICED
from ..change import chance, change, complaint, course, kit, left, practice
from ..change.about import about_said, apart_said, each_said
from ..change.kit import FIELDS
from ..judge.findings import cause_said
from .claims import comparisons, gone_together, growths, levels_read, paces
from .findings import a_finding
from .follows import follows_aloud
from .reading import Reading

_SEEN: Final[tuple[Seen, ...]] = ("as_said", "otherwise", "not_there", "open", "unread")
_GIVEN: Final = Given((("face_aim", 9.0), ("strike", 3.0)), (15.0, 15.0))
_MIX: Final = Mix.one(Window(1.0, 1.0))


def change_aloud(it: Reading) -> None:
    came = [Complaint((miss,), felt=felt, wants=want) for miss, felt, want in zip(MISSES, FELT, WANTS, strict=False)]
    lengths = ((2.0, None), (None, 3.0), (2.0, 4.0), (2.5, 2.5))
    came += [Complaint(("right", "short"), first, last, trust=2, said="I push them.") for first, last in lengths]
    came += [Complaint(), Complaint(from_m=3.0), Complaint(felt="pace")]
    came += [Complaint(about=(one,)) for one in ABOUT_IN]
    for one in came:
        it.say("change", complaint.complaint_said, one, it.units)
    start = next(one for one in levels_read() if one.quantity.name == "start" and one.beyond is None)
    other = a_finding("strike", "likely", "left")
    head = cause_said(a_finding("face_aim", "clear", "right"), it.hand, it.units)
    for seen, felt, pace in product(_SEEN, (None, *FELT), (None, *paces())):
        read = (None, None) if seen == "unread" else (start, pace)
        told = Answer(Complaint(("right", "short"), felt=felt), seen, seen, seen, (other,), ("strike", "pace"), *read)
        it.say("change", complaint.answer_said, told, head, it.hand, it.units)
    for growth, felt in product(growths(), ("sight", "strike")):
        read = tuple(one for one in levels_read() if one.quantity.name in ("looks_straight", "strike"))[:2]
        apart = tuple(Differs(one, *one.named[0]) for one in comparisons() if one.named)[:1]
        for seen, differs in product(("as_said", "open"), ((), apart)):
            came = Complaint(("right",), felt=felt)
            told = Answer(
                came, seen, None, seen, (), (), None, None, (start,), growth, read, differs, tuple(gone_together())[:1]
            )
            it.say("change", complaint.answer_said, told, head, it.hand, it.units)
    told = Answer(Complaint(("left",)), "open", None, None, (), (), None, None, (start, start))
    it.say("change", complaint.answer_said, told, head, it.hand, it.units)
    _about_aloud(it, head)
    own = [Chosen("Grip down", "", kind, "line") for kind in KINDS]
    it.say("change", change.retest_due_said, own[0])
    for some in ((), *((one,) for one in own), own[:2], own[:3]):
        it.say("change", change.change_line, some)
    both = Answer(Complaint(("both",)), "as_said", None, None, (), (), start, None)
    it.say("change", complaint.answer_said, both, head, it.hand, it.units)
    follows_aloud(it)
    practice_aloud(it)
    course_aloud(it)
    afterwards_aloud(it)
    kit_aloud(it)
    for question in ("line", "spread", "window", *NOTICED):
        it.say("change", change.retest_said, question)
        for one, beside in product(tested_of(question), ((), ("wide base",))):
            it.say("change", change.standing_said, one, question, beside)


def _about_aloud(it: Reading, head: str) -> None:
    apart = tuple(Differs(one, *one.named[0]) for one in comparisons() if one.named)[:1]
    read = tuple(one for one in levels_read() if one.quantity.name in ("strike", "roll"))[:1]
    it.say("change", apart_said, apart, head, it.hand, it.units)
    it.say("change", each_said, read, it.hand, it.units)
    for about, seen, differs in product(ABOUT_IN, _SEEN, ((), apart)):
        one = AboutAnswer(about, seen, () if seen == "unread" else read, differs)
        it.say("change", about_said, one, head, it.hand, it.units)


def course_aloud(it: Reading) -> None:
    green, usual = Green(10.0), roller((), DRAWN)
    rolled = [Finish(length, Interval(0.2, 0.4)) for length in (2.0, 5.0) for _ in range(6)]
    parted = made_at(*([Tried(2.0, n < holed) for n in range(60)] for holed in (1, 59)))
    usual_starts, worse = (starter_of(normal(bias, 0.1), normal(1.0, 0.1)) for bias in (0.0, 1.5))
    for one, other, told, reads in (
        (usual_starts, None, usual, 0),
        (worse, usual_starts, roller(rolled, DRAWN), 5),
        (usual_starts, worse, roller(rolled[:6], DRAWN), 1),
        (usual_starts, starter_of(normal(0.0, 0.5), normal(1.0, 0.3), seed=3), usual, 0),
    ):
        found = outlook(one, other, told, green, parted, reads)
        it.say("change", chance.chances_said, found, it.units)
        it.say("change", chance.round_said, found)
        it.say("change", chance.worth_said, found, "wide base")
        for ends in found.left:
            it.say("change", chance.left_said, ends, it.units)
        for parts in found.parts:
            it.say("change", chance.parts_said, parts, it.units)
        for capture in get_args(Capture):
            it.say("change", chance.basis_said, found, 30, Green(9.5, capture), it.units)


def practice_aloud(it: Reading) -> None:
    for code, one in drills().items():
        it.say("change", practice.goal_said, one.goal, one.event)
        it.say("change", practice.dose_said, one)
        for name in one.serves:
            it.say("change", practice.serves_name, name)
        for told in (None, *_progress()):
            it.say("change", practice.progress_said, told, one.told_in(it.units))
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
        about = {"waits": "strike", "free": "2"}.get(wish, "")
        for why in get_args(Why) if about else ("",):
            it.say("change", practice.unmet_said, Unmet(wish, 0 if wish == "waits" else 2, about, why), _GIVEN)
    it.say("change", practice.worked_said, _GIVEN)


def afterwards_aloud(it: Reading) -> None:
    gain, gone = normal(1.0, 0.3), normal(0.2, 0.3)
    for one in (
        Retained("kept", gain, normal(1.1, 0.2)),
        Retained("lost", gain, gone),
        Retained("open", gain, normal(0.6, 0.3), 14),
        Retained("open", gain, normal(0.6, 0.3)),
    ):
        it.say("change", left.left_said, one)
    first, last = normal(1.4, 0.2), normal(0.3, 0.1)
    for told in (
        Trained("to_begin", None, None, 0, better=False),
        Trained("goes_on", first, first, 1, better=False),
        Trained("goes_on", first, normal(0.9, 0.2), 2, better=True),
        Trained("goes_on", first, first, 2, better=False),
        Trained("reached", first, last, 3, better=True),
        Trained("given_up", first, first, 5, better=False),
    ):
        it.say("change", left.trained_said, told)
    for rounds in (RoundTold(0, 0, 0, 0, 0, 0, 0), RoundTold(1, 18, 33, 0, 0, 0, 0), RoundTold(2, 36, 63, 3, 9, 7, 1)):
        it.say("change", course.rounds_said, rounds)
    it.say("change", course.round_said, 18, 32)
    words: tuple[tuple[Carries, float], ...] = (("carries", 2.0), ("parts", 25.0), ("open", 6.0), ("carries", -30.0))
    for word, less in words:
        it.say("change", course.carried_said, Carried(word, normal(less, 8.0), 40, 18))
    it.say("change", course.carried_said, None)
    for made in (MadeAt(2.0, Share(7, 10), Share(3, 9)), MadeAt(6.0, Share(0, 0), Share(1, 4))):
        it.say("change", course.made_said, made, it.units)
        it.say("change", course.share_said, made.practice)
    for leave in (LeaveAt(6.0, normal(0.5, 0.1), 6, 9), LeaveAt(9.0, None, 1, 2)):
        it.say("change", course.leave_said, leave, it.units)
    for fitted in (True, False):
        it.say("change", course.table_said, PaceTable(((3.0, 0.21),), 0.08, fitted, 12))
    it.say("change", course.row_said, (3.0, 0.21), it.units)
    least = Share(4, 10)
    for runs in ((), (least,), *((least, Share(times, 10)) for times in (5, 8, 10, 1))):
        it.say("change", course.helpless_said, runs)


def kit_aloud(it: Reading) -> None:
    before, after = NO_KIT, Kit("Blade", "one line", 0.86, 71.0, 3.5, 350.0, "two heavy", "Ball", "two_tone")
    it.say("change", kit.kit_said, before, it.units)
    it.say("change", kit.kit_said, after, it.units)
    it.say("change", kit.changed_said, before, after, changed(before, after), it.units)
    it.say("change", kit.changed_said, after, replace(after, length_m=0.84), ("length_m",), it.units)
    for name in FIELDS:
        it.say("change", kit.value_said, after, name, it.units)


def _progress() -> tuple[Progress, ...]:
    return (
        Progress("passed", 1, 2, Share(9, 10)),
        Progress("under", -1, 2, Share(2, 10)),
        Progress("open", 0, 1, None),
    )


def tested_of(question: str) -> tuple[Tested, ...]:
    """Changes however they stand."""

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
