"""What there is while nothing is sure enough to say first."""

from dataclasses import replace

from ...core.golfer.hand import Hand
from ...core.judge.claims.level import Level
from ...core.judge.findings.said import Open
from ...core.measure.units import Units
from ..shared.inside import inside
from .claims import counted_said, headed, levels_said, quantity_name
from .putts import finished_said


def so_far_said(it: Open, hand: Hand, units: Units) -> str:
    """Says what was read while nothing is sure; an empty string if there is nothing to say."""
    finished = [finished_said(it.pace, units)] if it.pace is not None else []
    ways = {one.levels for one in it.noted}
    alike = ways.pop() if len(ways) == 1 and not finished else ()
    noted = [
        f"{inside(quantity_name(one.quantity.name))} {headed(one, hand, units)}"
        if isinstance(one, Level)
        else counted_said(replace(one, levels=()) if alike else one)
        for one in it.noted
    ]
    under = f", {levels_said(alike)}" if alike else ""
    return f"So far{under}, {'; '.join([*finished, *noted])}." if finished or noted else ""
