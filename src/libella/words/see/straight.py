"""What looks straight, in words: a test, how to lay its rod, under what it was asked."""

from dataclasses import dataclass
from typing import Final

from ...core.certainty.verdict import sure_of
from ...core.green.putt import Putt
from ...core.measure.angle import offset_m
from ...core.measure.side import side_of
from ...core.measure.units import Units, degrees, fine_degrees, percent, tape
from ...core.see.method import FEWEST, Eyes, Glasses, LooksStraight, Method, Toward, Trace
from ...core.see.position import Position
from ...core.see.straight import nearer, verdict_of
from ..shared.brief import MARKS, angle_brief
from ..shared.certainty import WORDS
from ..shared.counts import counted
from ..shared.flags import lessened_words
from .position import position_words


@dataclass(frozen=True, slots=True)
class MethodWords:
    """A way of asking: its name, how it is done, and what the golfer is asked."""

    name: str
    how: str
    question: str


METHODS: Final[dict[Method, MethodWords]] = {
    "directions": MethodWords(
        "Directions",
        "Lay the rod where Libella says; the golfer says left, straight or right. No answer is told.",
        "Where does the rod point?",
    ),
    "turn": MethodWords(
        "Turn it",
        "Turn the rod until the golfer calls it straight, from the left and from the right; read where it ended.",
        "Say when it is straight.",
    ),
    "point": MethodWords(
        "Point",
        "The rod lies on the line; the golfer points to where it seems to hit. Read how far beside.",
        "Where does the line hit?",
    ),
}


@dataclass(frozen=True, slots=True)
class SightWords:
    """The sentences of a test: what was found, what it means for a true line, and what is not known."""

    headline: str
    meaning: str
    doubt: str


def sight_words(found: LooksStraight) -> SightWords:
    """A finding is a finding about the eyes; whether this golfer then aims that way is asked later, never assumed."""
    n = found.trials
    flagged = lessened_words(found.lessened)
    answers = f"{counted(n, 'answer')}.{flagged}"
    if n == 0:
        return SightWords(NOTHING_ASKED, "", "")
    if found.too_noisy:
        return SightWords(
            "Too noisy to name an angle.",
            "The answers contradict each other more than guesses would; ask again, slower, the rod held still.",
            answers,
        )
    if found.open_side is not None:
        bound = found.angle.low if found.open_side == "right" else found.angle.high
        size, side = fine_degrees(bound), found.open_side
        beyond = f"All answers alike: more than {size} {side}, how far is open."
        near = f"All answers alike: about {size} {side}, how far is open."
        return SightWords(
            beyond if side_of(bound) == side else near, f"Turn the rod further {side} until an answer changes.", answers
        )
    if n < FEWEST:
        return SightWords(f"{n} of at least {FEWEST} answers.", "Too few to say anything of them.", "")
    angle = found.angle
    side, said, word = side_of(angle.value), degrees(angle.value, angle.doubt), verdict_of(found).word
    other = "left" if side == "right" else "right"
    headline = f"Straight is {said} {side} of true, {WORDS[word]}."
    meaning = f"A rod must truly point {said} {side} to look straight; one on the true line looks {other}."
    if word == "none":
        headline, meaning = "A true line looks straight.", "Nothing there to mend."
    doubt = (
        f"Between {_said(angle.low)} and {_said(angle.high)}, nine in ten, from {counted(n, 'answer')}."
        f"{flagged} One answer scatters by {fine_degrees(found.noise.value)}."
    )
    if found.zone is not None:
        doubt = f"{doubt} Anything within ± {fine_degrees(found.zone.value)} is called straight."
    return SightWords(headline, meaning, doubt)


def sight_brief(found: LooksStraight) -> str:
    """A test in a narrow run sheet."""
    if found.too_noisy:
        return "too noisy"
    if found.open_side is not None:
        return f"{MARKS[found.open_side if found.open_side != 'straight' else 'neither']} all alike".strip()
    if found.trials < FEWEST:
        return f"{found.trials} of {FEWEST}"
    return angle_brief(found.angle, verdict_of(found))


def _said(value: float) -> str:
    return f"{fine_degrees(value)} {side_of(value)}"


def truer_words(one: LooksStraight, other: LooksStraight, names: tuple[str, str]) -> str:
    """Which of two tests is nearer to straight."""
    chance = nearer(one, other)
    better, worse = names if chance >= 0.5 else names[::-1]
    sure = max(chance, 1 - chance)
    return f"Straight is seen truer {better} than {worse}: {WORDS[sure_of(sure)]} ({percent(sure)})."


def rod_words(true_deg: float, spot_m: float, away_m: float, units: Units) -> str:
    """How to lay it: "0.75° right: its far end 26 mm right of the line, 2.00 m away."."""
    if true_deg == 0:
        return f"on the line, its far end {tape(away_m, units)} away."
    side = side_of(true_deg)
    beside = tape(round(abs(spot_m), 3), units)
    return f"{fine_degrees(true_deg)} {side}: its far end {beside} {side} of the line, {tape(away_m, units)} away."


@dataclass(frozen=True, slots=True)
class AskedUnder:
    """Under what a test was asked: as it was noted, and the position moved to."""

    condition: str
    toward: Toward
    trace: Trace
    eyes: Eyes
    glasses: Glasses
    position: Position


_EYES: Final[dict[Eyes, str]] = {"both": "", "left": "left eye alone", "right": "right eye alone"}
_GLASSES: Final[dict[Glasses, str]] = {"none": "", "on": "glasses on", "off": "glasses off"}
_TRACES: Final[dict[Trace, str]] = {
    "as_usual": "",
    "ball_to_hole": "traced ball to hole",
    "hole_to_ball": "traced hole to ball",
}


def condition_words(it: AskedUnder, units: Units) -> str:
    """Under what it was asked, as a list."""
    moved = position_words(it.position, units) if it.position else ""
    toward = "to the start target" if it.toward == "start" else ""
    told = (
        moved,
        it.condition or ("" if moved else "as usual"),
        toward,
        _TRACES[it.trace],
        _EYES[it.eyes],
        _GLASSES[it.glasses],
    )
    return ", ".join(each for each in told if each)


def line_words(toward: Toward, putt: Putt, units: Units) -> str:
    """What the angles are against: the line to the hole, or where a breaking putt must start."""
    if toward == "hole":
        return "the line to the hole"
    beside = offset_m(putt.start_deg, putt.distance_m)
    return f"the start line, which ends {tape(abs(beside), units)} {side_of(beside)} of the hole"


BEING_ASKED: Final = "Being asked."
NOTHING_ASKED: Final = "Nothing asked yet."
