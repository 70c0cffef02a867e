"""What one entry of the usual changes says."""

from dataclasses import dataclass
from typing import Final, Literal

from ...judge.findings.finding import Cause
from ...start.turns import Outcome

Kind = Literal["set_up", "cue", "routine", "stroke", "kit", "practice", "train_the_eye", "trust"]


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
    asks: Outcome = "line"
    school: str = ""
    rival: str = ""
    caution: str = ""
    steps: tuple[str, ...] = ()
    ends: str = ""


BACK: Final = "Bent over long it goes to the back: straighten up every eight minutes, stop at pain."
