"""What is asked of a golfer before it is done, by whom it may be answered, and what stands of the answers."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from typing import Final, Generic, Literal, Protocol, TypeVar, get_args

Asked = Literal["keeping", "filming", "sharing", "pooling"]
"""That readings are kept at all; photographs and films; passing on; use among others' figures without a name."""
ASKED: Final[tuple[Asked, ...]] = get_args(Asked)
By = Literal["golfer", "guardian"]
Why = Literal["asked", "unseen"]
"""Why somebody is deleted: it was asked for, or the studio's rule says so."""


class Said(Protocol):
    """An answer: what was asked, whether it was agreed to, by whom."""

    @property
    def asks(self) -> Asked: ...
    @property
    def given(self) -> bool: ...
    @property
    def by(self) -> By: ...


Answer = TypeVar("Answer", bound=Said)


@dataclass(frozen=True, slots=True)
class Consent(Generic[Answer]):
    """What stands: of each question the newest answer; not there where nobody asked yet."""

    answers: Mapping[Asked, Answer]

    @property
    def minor(self) -> bool:
        """Whether it is a minor: then the newest word on keeping came from a guardian."""
        kept = self.answers.get("keeping")
        return kept is not None and kept.by == "guardian"

    def refused(self, asks: Asked) -> bool:
        """Whether it was refused, or withdrawn; a question that nobody asked is not."""
        said = self.answers.get(asks)
        return said is not None and not said.given


def standing(said: Iterable[Answer]) -> Consent[Answer]:
    """What stands of answers, oldest first: a later one takes the place of an earlier."""
    return Consent({it.asks: it for it in said})


def may_answer(stands: Consent[Answer], asks: Asked, by: By, given: bool) -> bool:
    """A minor's guardian answers for them, until the golfer of age says anew that readings are kept; to withdraw is
    anybody's."""
    return not given or asks == "keeping" or by == "guardian" or not stands.minor
