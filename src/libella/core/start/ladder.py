"""The ladder: a gate or a rail tightens and widens to the width that three putts in four should pass (handbook 5)."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

from scipy.optimize import brentq

from ..estimate import START, Posterior, posterior
from ..instruments.aid import Raw
from ..instruments.rig import Rig
from ..measure.limits import OutOfLimits
from ..measure.units import Units, count, fine_degrees, tape
from ..set.station import Station

WANTED: Final = 0.75
LAST: Final = 10
_TIGHTEN_FROM, _WIDEN_TO = 8, 5
_FINEST_M: Final = 0.001
Step = Literal["wait", "stay", "tighten", "widen", "none"]


@dataclass(frozen=True, slots=True)
class Rung:
    """What the ladder says now.

    `step` is "none" for an instrument that has no strictness, "wait" before the last ten are in. `dimension` and
    `value_m` are the width to lay, for "tighten" and "widen".
    """

    step: Step
    passed: int
    of: int
    words: str
    dimension: str = ""
    value_m: float = 0.0


def three_in_four_deg(post: Posterior) -> float:
    """Half-width, degrees, that a putt passes with posterior mean probability 0.75, gate centred on the line."""

    def short(limit: float) -> float:
        return post.mean(post.inside(limit, limit)) - WANTED

    high = 1.0
    while short(high) < 0 and high < 90:
        high *= 2
    return float(brentq(short, 1e-6, high, xtol=1e-6))


def rung(raws: Sequence[Raw], station: Station, units: Units) -> Rung:
    """Whether to tighten or widen, from the last ten putts on this rig; the width comes from all of them.

    Parameters
    ----------
    raws : valid readings on the rig as it stands, oldest first
    """
    rig = station.rig
    if not rig.about.strict:
        return Rung("none", 0, 0, f"{rig.about.name} has no width to tighten.")
    last = raws[-LAST:]
    passed = sum(0 in rig.interval(it) for it in last)
    if len(last) < LAST:
        left = count(LAST - len(last), "more putt")
        return Rung("wait", passed, len(last), f"{passed} of {len(last)} clean. The ladder moves after {left}.")
    said = f"{passed} of the last {LAST} clean"
    post = posterior([station.interval(it) for it in raws], START, noise=station.noise_deg)
    wanted = three_in_four_deg(post)
    tighter = passed >= _TIGHTEN_FROM
    if not tighter and passed > _WIDEN_TO:
        return Rung("stay", passed, LAST, f"{said}: stay on this rung.")
    step: Step = "tighten" if tighter else "widen"
    try:
        laid = rig.tuned(wanted)
    except OutOfLimits as fault:
        return Rung("stay", passed, LAST, f"{said}, but this rig goes no further: {fault.message}")
    name, now, new = _changed(rig, laid)
    if (new < now) != tighter or abs(new - now) < _FINEST_M:
        return Rung("stay", passed, LAST, f"{said}, and all putts together say that this width is right: stay.")
    words = f"{said}: {step} to {tape(new, units)} (± {fine_degrees(wanted)}), which three putts in four should pass."
    return Rung(step, passed, LAST, words, name, round(new, 3))


def _changed(rig: Rig, laid: Rig) -> tuple[str, float, float]:
    """The dimension that sets the strictness, as it stands and as it would be."""
    now, new = rig.sizes(), laid.sizes()
    changed = [name for name in now if now[name] != new[name]]
    name = changed[0] if changed else next(it for it in now if "width" in it)
    return name, now[name], new[name]
