"""What a passphrase must be: long, and not the first thing anybody would try."""

from collections.abc import Sequence
from typing import Final

from zxcvbn import zxcvbn

from ..measure.limits import OutOfLimits

SHORTEST: Final = 12
LONGEST: Final = 128
_FEWEST_GUESSES: Final = 10**10
"""What a list of stolen passphrases and its usual changes reach is guessed in fewer."""
_LOOKED_AT: Final = 72
"""Longer ones are long enough; looking at all of one takes time that grows with its square."""


def checked_passphrase(told: str, near: Sequence[str] = ()) -> str:
    """The passphrase, or `OutOfLimits`; `near`: names that everybody knows and none may be made of."""
    if not SHORTEST <= len(told) <= LONGEST:
        raise OutOfLimits("passphrase", "passphrase_length", shortest=SHORTEST, longest=LONGEST)
    if zxcvbn(told[:_LOOKED_AT], user_inputs=list(near))["guesses"] < _FEWEST_GUESSES:
        raise OutOfLimits("passphrase", "passphrase_guessed")
    return told
