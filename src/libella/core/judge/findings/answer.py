"""What a coach says of a finding, and what the tool said then: both stand."""

from dataclasses import dataclass
from typing import Final, Literal, get_args

from ...certainty.estimate import Estimate
from ...certainty.verdict import Word
from ...measure.limits import OutOfLimits
from ...measure.side import Side

Answer = Literal["accepted", "rejected", "overridden"]
ANSWERS: Final[tuple[Answer, ...]] = get_args(Answer)


@dataclass(frozen=True, slots=True)
class ToldThen:
    """The tool's own view when the coach answered."""

    word: Word
    side: Side
    weight: Estimate


def checked_answer(answer: Answer, words: str) -> str:
    """The coach's words; `OutOfLimits` where a rejection gives no reason, or what is said instead is not said."""
    if answer != "accepted" and not words:
        raise OutOfLimits("words", "reason_wanted" if answer == "rejected" else "own_words_wanted")
    return words
