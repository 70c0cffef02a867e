"""What the picture does to the aim: followed, worked against, or neither; a question until data tell."""

from dataclasses import dataclass
from typing import Literal

from scipy.special import ndtr

from ..certainty.estimate import Estimate
from ..certainty.verdict import Verdict, weigh

Does = Literal["follows", "against", "neither", "open"]


@dataclass(frozen=True, slots=True)
class AimQuestion:
    """The answer so far.

    Attributes
    ----------
    sight : the looks-straight angle, degrees; None before it was asked
    aim : the face at address with no aid in view, degrees; None before it was measured
    turned : straight is seen far enough off the line for a golfer to follow it or work against it
    call : right follows the picture, left works against it, none does neither; None while something is missing
    """

    sight: Estimate | None
    aim: Estimate | None
    turned: bool
    call: Verdict | None

    @property
    def does(self) -> Does:
        """What the picture does; "open" while it is a question."""
        if self.call is None or self.call.word == "open":
            return "open"
        if self.call.word == "none":
            return "neither"
        return "follows" if self.call.side == "right" else "against"


def aim_question(sight: Estimate | None, aim: Estimate | None, limit_deg: float) -> AimQuestion:
    """Set the looks-straight angle beside the face aim at address, both degrees, right positive.

    A rod must point to the looks-straight angle to look straight; a golfer who follows the picture sets the face there.
    One who works against it sets it to the other side. `limit_deg` is what would matter.
    """
    turned = sight is not None and abs(sight.value) > limit_deg
    if sight is None or aim is None or not turned:
        return AimQuestion(sight, aim, turned, None)
    sign = 1 if sight.value > 0 else -1
    sd = max(aim.sd, 1e-6)
    follows = float(1 - ndtr((limit_deg - sign * aim.value) / sd))
    against = float(ndtr((-limit_deg - sign * aim.value) / sd))
    # The picture itself must be on that side for anything to be said.
    there = float(ndtr(abs(sight.value) / max(sight.sd, 1e-6)))
    return AimQuestion(sight, aim, turned, weigh(follows * there, against * there, (1 - follows - against) * there))
