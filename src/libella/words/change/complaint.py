"""What the golfer came with, and what the lesson answers, in words."""

from typing import Final

from ...core.change.answer import Answer, Look
from ...core.change.complaint import Complaint, Felt, Miss, Want
from ...core.golfer.hand import Hand
from ...core.golfer.limits import Glasses, Limit
from ...core.judge.claims.growth import Growth
from ...core.judge.findings.next_check import Check
from ...core.measure.units import Units, degrees, tape
from ..judge.claims import call_said, headed, level_said
from ..judge.findings import cause_said
from ..judge.lesson import check_said
from ..judge.putts import growth_said, pace_said
from ..judge.together import together_said
from ..shared.counts import listed
from ..shared.inside import inside
from .about import ABOUT_ASKED, about_said, apart_said, each_said

MISS_NAMES: Final[dict[Miss, str]] = {
    "left": "◂ Left",
    "right": "Right ▸",
    "both": "Both sides",
    "short": "Short",
    "past": "Past",
}
FELT_NAMES: Final[dict[Felt, str]] = {
    "sight": "What looks straight",
    "mark": "The mark",
    "aim": "The aim",
    "stroke": "The stroke",
    "strike": "The strike",
    "stillness": "Moving",
    "read": "The read",
    "pace": "The pace",
}
WANT_NAMES: Final[dict[Want, str]] = {
    "fewer_misses": "Fewer misses",
    "see_straight": "To see straight",
    "stop_steering": "To stop steering",
    "better_pace": "Better pace",
    "to_know": "To know",
}
LIMIT_NAMES: Final[dict[Limit, str]] = {
    "back": "Back",
    "neck": "Neck",
    "shoulder": "Shoulder",
    "hip": "Hip",
    "knee": "Knee",
    "balance": "Balance",
    "tremor": "Jerks or tremor",
}
GLASSES_NAMES: Final[dict[Glasses, str]] = {
    "": "Not known",
    "none": "Wears none",
    "single": "Glasses",
    "varifocal": "Varifocals",
    "contacts": "Lenses",
}
LOOK_NAMES: Final[dict[Look, str]] = {
    "sight": "what looks straight",
    "aim": "where the face aims",
    "start": "where the ball starts",
    "strike": "where it is struck",
    "pace": "where the putts finish",
}
NOT_ASKED: Final = "Nobody asked yet what brings the golfer here."
_DONE: Final[dict[Miss, str]] = {
    "left": "miss left",
    "right": "miss right",
    "both": "miss to both sides",
    "short": "leave putts short",
    "past": "run putts past",
}
_WANTED: Final[dict[Want, str]] = {
    "fewer_misses": "fewer misses",
    "see_straight": "to see straight",
    "stop_steering": "to stop steering",
    "better_pace": "better pace",
    "to_know": "to know",
}


def complaint_said(it: Complaint, units: Units) -> str:
    """What the golfer came with, said back: "You miss right from 2.00 m on, and feel it is the aim." """
    if it.is_empty:
        return NOT_ASKED
    parts: list[str] = []
    if it.misses:
        parts.append(listed([_DONE[one] for one in it.misses]) + _lengths(it, units))
    parts += [ABOUT_ASKED[one] for one in it.about]
    if not it.misses and (it.from_m is not None or it.to_m is not None):
        parts.append(f"miss{_lengths(it, units)}")
    if it.felt:
        parts.append(f"feel it is {inside(FELT_NAMES[it.felt])}")
    if it.wants:
        parts.append(f"want {_WANTED[it.wants]}")
    said = f"You {listed(parts)}." if parts else ""
    trust = f"Trust over the ball: {it.trust} of 5." if it.trust is not None else ""
    own = f"“{it.said.strip()}”" if it.said.strip() else ""
    return " ".join(one for one in (said, trust, own) if one)


def _lengths(it: Complaint, units: Units) -> str:
    first, last = (None if one is None else tape(one, units) for one in (it.from_m, it.to_m))
    if first and last:
        return f" at {first}" if it.from_m == it.to_m else f" from {first} to {last}"
    return f" from {first} on" if first else f" up to {last}" if last else ""


def answer_said(it: Answer, headline: str, hand: Hand, units: Units) -> list[str]:
    """The answer, sentence by sentence: what was seen of what the golfer came with, what the lesson found, whether that
    is what was felt, and what nobody looked at. `headline`: what the lesson says first."""
    said = [_line(it, headline, hand, units), _pace(it, headline, units), headline]
    said += [cause_said(one, hand, units) for one in it.named]
    said += [about_said(one, headline, hand, units) for one in it.about]
    said += [_felt(it, headline, hand, units), _unseen(it)]
    return [one for one in dict.fromkeys(said) if one]


def next_said(it: Check) -> str:
    """What is read next, where nothing is named yet that could be changed."""
    return f"Next: {inside(check_said(it))}"


def _line(it: Answer, headline: str, hand: Hand, units: Units) -> str:
    if it.line is None:
        return ""
    if it.line == "unread":
        return "Where the ball starts was not read."
    if it.growth is not None:
        return _of_growth(it, it.growth, headline, hand, units)
    level = it.start
    if level is None or not level.enough:
        # In several ways and none of them as usual: each is told by itself.
        return " ".join(["Whether it is so, can't be told yet.", *each_said(it.starts, hand, units)])
    if not level.is_sized:
        where = f"starts {inside(level_said(level, hand, units)).removesuffix('.')}"
    else:
        where = f"starts {headed(level, hand, units)}{call_said(level)}"
    # What the lesson says first is not said twice.
    size = headed(level, hand, units) if level.is_sized else where
    told = "" if size.lower() in headline.lower() else f"the ball {where}."
    also = f" T{told[1:]}" if told else ""
    match it.line:
        case "as_said" if it.complaint.side == "neither" and level.spread is not None and level.is_sized:
            return f"So it is: to no one side for sure; the starts scatter by {degrees(level.spread.value, 0.1)}."
        case "as_said":
            return f"So it is: {told}" if told else "So it was today."
        case "otherwise":
            return f"Not as you came with it.{also}"
        case "not_there":
            return f"Not today: {told or 'the start line is nothing to mend.'}"
        case _:
            return f"Whether it is so, can't be told yet.{also}"


def _pace(it: Answer, headline: str, units: Units) -> str:
    if it.pace is None:
        return ""
    if it.pace == "unread" or it.finished is None:
        return "Where the putts finish was not noted."
    said = pace_said(it.finished, units)
    told = "" if said.lower() in headline.lower() else f" {said}"
    match it.pace:
        case "as_said":
            return f"So it is:{told}" if told else "So it was today."
        case "otherwise":
            return f"Not as you came with it.{told}"
        case "not_there":
            return f"Not today:{told}" if told else "Not today: the pace is nothing to mend."
        case _:
            return f"Whether it is the pace, can't be told yet.{told}"


def _of_growth(it: Answer, growth: Growth, headline: str, hand: Hand, units: Units) -> str:
    said = growth_said(growth, hand, units)
    told = "" if said.lower() in headline.lower() else f" {said}"
    return f"So it is:{told}" if it.line == "as_said" and told else "So it was today." if not told else told.strip()


def _felt(it: Answer, headline: str, hand: Hand, units: Units) -> str:
    felt = it.complaint.felt
    if felt is None or it.felt is None:
        return ""
    name = inside(FELT_NAMES[felt])
    apart = apart_said(it.felt_apart, headline, hand, units)
    read = [] if apart else each_said(it.felt_read, hand, units)
    match it.felt:
        case "as_said":
            joined = [together_said(one, hand) for one in it.felt_with]
            return " ".join([f"You felt it: {name}.", *apart, *read, *joined])
        case "not_there":
            return f"You felt {name}: nothing to mend there."
        case "unread":
            return f"You felt {name}: nobody looked there yet."
        case _:
            return " ".join([f"You felt {name}: can't tell yet.", *read])


def _unseen(it: Answer) -> str:
    names = [LOOK_NAMES[one] for one in it.unseen]
    return f"Not looked at: {listed(names)}." if names else ""
