"""What is asked of a golfer before it is done, by whom it may be answered, and what stands of the answers."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Final, Literal, get_args

Asked = Literal["keeping", "filming", "sharing", "pooling"]
"""That readings are kept at all; photographs and films; passing on; use among others' figures without a name."""
ASKED: Final[tuple[Asked, ...]] = get_args(Asked)
By = Literal["golfer", "guardian"]
Why = Literal["asked", "unseen"]
"""Why somebody is deleted: it was asked for, or the studio's rule says so."""


@dataclass(frozen=True, slots=True)
class Said:
    """An answer: what was asked, whether it was agreed to, by whom."""

    asks: Asked
    given: bool
    by: By


@dataclass(frozen=True, slots=True)
class Consent:
    """What stands: of each question the newest answer; not there where nobody asked yet."""

    answers: Mapping[Asked, Said]

    @property
    def minor(self) -> bool:
        """Whether it is a minor: then the newest word on keeping came from a guardian."""
        kept = self.answers.get("keeping")
        return kept is not None and kept.by == "guardian"

    def refused(self, asks: Asked) -> bool:
        """Whether it was refused, or withdrawn; a question that nobody asked is not."""
        said = self.answers.get(asks)
        return said is not None and not said.given


def standing(said: Sequence[Said]) -> Consent:
    """What stands of answers, oldest first: a later one takes the place of an earlier."""
    return Consent({it.asks: it for it in said})


def may_answer(stands: Consent, asks: Asked, by: By, given: bool) -> bool:
    """A minor's guardian answers for them, until the golfer of age says anew that readings are kept; to withdraw is
    anybody's."""
    return not given or asks == "keeping" or by == "guardian" or not stands.minor
