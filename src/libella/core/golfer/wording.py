"""How things are put to a golfer: plain, without degrees and percents, or dense."""

from typing import Final, Literal, get_args

from .level import Level

Wording = Literal["plain", "dense"]
Chosen = Literal["", "plain", "dense"]
"""As it was chosen for a golfer; empty: by the level."""
CHOICES: Final[tuple[Chosen, ...]] = get_args(Chosen)
_PLAIN: Final[tuple[Level, ...]] = ("starting", "club")


def wording_for(level: Level, chosen: Chosen) -> Wording:
    """As chosen; else plain for who is starting out or plays at a club: an opinion."""
    return chosen or ("plain" if level in _PLAIN else "dense")
