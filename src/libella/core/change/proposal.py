"""What is usually changed, by cause: each with how it should feel, whose way it is, what to mind (practice 2).

Names, feels and schools stand here, in the registry entries; every one of them is an opinion.
"""

from dataclasses import dataclass
from typing import Final, Literal, get_args

from ..judge.findings.finding import Cause
from ..judge.ledger.factors import LONGEST, Factor
from ..measure.limits import OutOfLimits
from ..start.turns import Question

Kind = Literal["set_up", "cue", "routine", "stroke", "kit", "practice", "train_the_eye", "trust"]
KINDS: Final[tuple[Kind, ...]] = get_args(Kind)
FACTOR_OF: Final[dict[Kind, Factor]] = {
    "set_up": "set_up",
    "cue": "cue",
    "routine": "routine",
    "stroke": "trial",
    "kit": "kit",
    "practice": "trial",
    "train_the_eye": "trial",
    "trust": "trial",
}
"""In which factor the changed way differs from as usual, where both are putted in turns."""


@dataclass(frozen=True, slots=True)
class Proposal:
    """One thing that may be changed.

    Attributes
    ----------
    what, feel : what to do, and how it should feel
    causes : the findings it serves
    asks : the question of its retest, as usual against changed
    school : whose way it is, where coaches contradict each other; empty where they hardly do
    rival : what the others say instead
    caution : what to mind
    steps, ends : of what takes more than one time: what is done, in order, and when it has done its work
    """

    code: str
    kind: Kind
    what: str
    feel: str
    causes: tuple[Cause, ...]
    asks: Question = "line"
    school: str = ""
    rival: str = ""
    caution: str = ""
    steps: tuple[str, ...] = ()
    ends: str = ""


BACK: Final = "Bent over long it goes to the back: straighten up every eight minutes, stop at pain."
_PROPOSALS: Final = (
    Proposal(
        "move_the_head",
        "set_up",
        "Move the eyes to where a true line looks straight",
        "The line runs into the hole without your help.",
        ("perception", "compensation"),
        school="Move the head",
        rival="Keep the head and train the eye, or aim at a near spot.",
        caution=BACK,
    ),
    Proposal(
        "train_the_eye",
        "train_the_eye",
        "Keep the true line until it looks straight",
        "It looks wrong at first, and you leave it there.",
        ("perception",),
        school="Train the eye",
        rival="Move the head, or aim at a near spot.",
        steps=(
            "Ask what looks straight in See, before anything else: that is where it begins.",
            "Ten set-downs over the proved line; each time say left, straight or right. The line stays.",
            "Ten more with the line covered; uncover it after each.",
            "Ask again what looks straight.",
            "The same on most days; ask again a week later.",
        ),
        ends="It ends when what looks straight is likely within half a degree twice, or after four weeks without "
        "anything likely better.",
    ),
    Proposal(
        "near_spot",
        "cue",
        "Aim over a spot a stride ahead, not at the hole",
        "Look at the spot last.",
        ("perception", "face_aim"),
        school="Near spot",
        rival="The whole line on the ball.",
        steps=(
            "Prove the line; mark a spot on it a stride or less ahead of the ball.",
            "From behind, look from the hole to the spot to the ball.",
            "Set the face to the spot, and let the hole be.",
            "Putt as usual and over the spot, in turns: that is the retest.",
        ),
        ends="It stays if the starts over the spot are better, twice together.",
    ),
    Proposal(
        "three_points",
        "routine",
        "Trace the line over three points: hole, spot, ball",
        "The eyes run along the ground, they do not jump.",
        ("perception", "read_and_pace"),
        school="Trace the line",
        rival="One look at the hole, then go.",
        steps=(
            "From behind the ball find a spot on the line, halfway or nearer.",
            "Over the ball let the eyes run from the hole to the spot to the ball, and back.",
            "Twice, at the speed of the ball; then putt without another look.",
            "Ask what looks straight in See, traced so: against one look at the hole.",
        ),
        ends="It stays if what looks straight lies nearer to true, or the starts are better, twice together.",
    ),
    Proposal(
        "trust_the_line",
        "trust",
        "Trust the proved line, however it looks",
        "Set it down and let it be.",
        ("perception", "compensation"),
        school="Trust the line",
        rival="Move the head, or train the eye.",
    ),
    Proposal(
        "mark_from_behind",
        "cue",
        "Lay the mark from behind the ball, then leave it alone",
        "Over the ball there is nothing left to decide.",
        ("ball_mark",),
        school="Leave it alone",
        rival="Check it again over the ball.",
    ),
    Proposal(
        "no_mark",
        "cue",
        "Play without a line on the ball",
        "See the whole green, not the mark.",
        ("ball_mark", "perception"),
        school="No line",
        rival="The line on the ball.",
    ),
    Proposal(
        "square_first",
        "routine",
        "Set the putter down first, then the feet",
        "The face is set before you stand.",
        ("face_aim", "compensation"),
    ),
    Proposal(
        "offset_stays",
        "practice",
        "Leave the face as it is: it repeats",
        "Do as you always do.",
        ("face_aim",),
        school="An offset that repeats may stay",
        rival="Square or nothing.",
    ),
    Proposal(
        "quiet_hands",
        "stroke",
        "Keep the face on the line through the ball",
        "The shoulders rock; the hands do nothing.",
        ("face_at_impact",),
        school="Hold the face",
        rival="Let it release.",
    ),
    Proposal(
        "let_it_release",
        "stroke",
        "Let the head swing past the hands",
        "The toe turns over by itself.",
        ("face_at_impact",),
        school="Release the face",
        rival="Hold it on the line.",
    ),
    Proposal(
        "heavier_grip",
        "kit",
        "Try a thicker grip or a heavier head",
        "Less of it can be done with the fingers.",
        ("face_at_impact", "movement"),
        school="Cure by equipment",
        rival="Cure by technique.",
    ),
    Proposal(
        "level_forearms",
        "set_up",
        "Level the forearms, square the shoulders",
        "From behind, one forearm hides the other.",
        ("path",),
    ),
    Proposal(
        "nearer_ball",
        "set_up",
        "Stand nearer to the ball, or further from it",
        "The ball meets the middle of the face.",
        ("strike",),
        "strike",
    ),
    Proposal(
        "wide_base",
        "set_up",
        "A wide base and a low head until the ball is heard",
        "The stomach stays where it is.",
        ("movement",),
        "spread",
        school="Wide and low",
        rival="The weight to the lead side, or a quiet lower body.",
        caution=BACK,
    ),
    Proposal(
        "lead_side",
        "set_up",
        "The weight on the lead foot from start to finish",
        "The trail heel could be lifted at any time.",
        ("movement",),
        "spread",
        school="The lead side",
        rival="Wide and low.",
        caution="Not on one foot with a knee, a hip or the balance in trouble.",
    ),
    Proposal(
        "fade_the_guide",
        "practice",
        "Fade the guide: one side first, then every second putt",
        "It is there to be missed, not to be leant on.",
        ("guide",),
    ),
    Proposal(
        "same_rhythm",
        "stroke",
        "The same rhythm at every length; only the length grows",
        "Count one, two, as long as the putt is.",
        ("distance",),
    ),
    Proposal(
        "to_the_zone",
        "routine",
        "Putt to a zone past the hole, not to the hole",
        "See where it would stop.",
        ("read_and_pace",),
        "finish",
        school="A little past",
        rival="Let it die at the hole.",
    ),
    Proposal(
        "say_the_read",
        "routine",
        "Say the start before every putt",
        "One number, said aloud, then putt it.",
        ("read_and_pace",),
        "finish",
    ),
    Proposal(
        "lay_it_again",
        "practice",
        "Lay the line again, and check it a second way",
        "Change nothing else yet.",
        ("rig",),
    ),
)
PROPOSALS: Final[dict[str, Proposal]] = {it.code: it for it in _PROPOSALS}


def proposals_for(cause: Cause) -> tuple[Proposal, ...]:
    """What is usually changed for a cause, what is for it most of all first; nothing for what nobody knows."""
    found = [it for it in _PROPOSALS if cause in it.causes]
    return tuple(sorted(found, key=lambda it: it.causes.index(cause)))


@dataclass(frozen=True, slots=True)
class Chosen:
    """The one change of a lesson: a proposal as it stands or worded otherwise, or one of the coach's own.

    proposal : its code, empty for an own one; cause : the finding it is for, empty for none
    """

    what: str
    feel: str
    kind: Kind
    asks: Question
    cause: Cause = ""
    proposal: str = ""

    def __post_init__(self) -> None:
        if not self.what.strip():
            raise OutOfLimits("what", "change_wanted")
        if len(self.what) > LONGEST:
            raise OutOfLimits("what", "level_too_long", most=LONGEST)
        if self.kind not in KINDS:
            raise OutOfLimits("kind", "no_such_choice", named=self.kind, known=KINDS)
        if self.proposal and self.proposal not in PROPOSALS:
            raise OutOfLimits("proposal", "no_such_choice", named=self.proposal, known=tuple(PROPOSALS))

    @property
    def factors(self) -> dict[str, str]:
        """What the changed way differs in from as usual."""
        return {FACTOR_OF[self.kind]: self.what}
