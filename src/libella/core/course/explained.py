"""Why so much may be expected on the course: what it is told from, and what of it would change it most."""

from dataclasses import dataclass, replace
from typing import Final, Literal

import numpy as np

from ..certainty.estimate import Estimate, told_by
from .chance import Green, Starter, chances, known_starter
from .outlook import Outlook
from .roller import Roller, known_roller

AT_M: Final = 3.0
"""The length it is opened at."""
Lever = Literal["nothing_off", "steadier", "roll_alike", "read_right"]
_STEADIER: Final = 0.8


@dataclass(frozen=True, slots=True)
class Would:
    """Were one thing otherwise, so many more of a hundred would be holed from `AT_M`."""

    what: Lever
    more: float


@dataclass(frozen=True, slots=True)
class OutlookExplained:
    """What may be expected, opened.

    Attributes
    ----------
    bias, spread : of the starts, degrees
    past_m, spread_m, grows : how far past the hole putts run and how they scatter: at the hole, and of the length
    middle : of a hundred from `AT_M`, with the middle of each of these; `whole` : over all that is not known of them
    moves : the one that would change it most first
    """

    outlook: Outlook
    green: Green
    bias: Estimate
    spread: Estimate
    past_m: float
    spread_m: float
    grows: float
    middle: float
    whole: float
    moves: tuple[Would, ...]


def outlook_explained(it: Outlook, starter: Starter, roller: Roller, green: Green) -> OutlookExplained:
    """Open what may be expected."""
    bias, spread = told_by(starter.bias_deg), told_by(starter.spread_deg)
    past, spread_m, grows = (float(np.median(one)) for one in (roller.past_m, roller.spread_m, roller.grows))
    whole = _at(starter, roller, green)
    others: tuple[tuple[Lever, Starter, Roller], ...] = (
        ("nothing_off", replace(starter, bias_deg=np.zeros_like(starter.bias_deg)), roller),
        ("steadier", replace(starter, spread_deg=_STEADIER * starter.spread_deg), roller),
        ("roll_alike", starter, replace(roller, spread_m=roller.spread_m / 2, grows=roller.grows / 2)),
        ("read_right", replace(starter, read_deg=0.0), roller),
    )
    moves = [Would(what, _at(starts, rolls, green) - whole) for what, starts, rolls in others]
    moves.sort(key=lambda one: -abs(one.more))
    return OutlookExplained(
        outlook=it,
        green=green,
        bias=bias,
        spread=spread,
        past_m=past,
        spread_m=spread_m,
        grows=grows,
        middle=middle_at(bias.value, spread.value, it.read_deg, (past, spread_m, grows), green),
        whole=whole,
        moves=tuple(moves),
    )


def middle_at(
    bias_deg: float, spread_deg: float, read_deg: float, roll: tuple[float, float, float], green: Green
) -> float:
    """Of a hundred from `AT_M`, of one of whom all of it is known."""
    return _at(known_starter(bias_deg, spread_deg, read_deg), known_roller(*roll), green)


def _at(starter: Starter, roller: Roller, green: Green) -> float:
    return float(100 * chances(np.array([AT_M]), starter, roller, green).mean())
