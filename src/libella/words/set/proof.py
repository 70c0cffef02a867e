"""How a line is proved, what was measured, why a proof fell, and what a station can hide, in words."""

from statistics import mean
from typing import Final

from ...core.measure.side import side_of
from ...core.measure.units import Units, about, roughly
from ...core.set.line import Part
from ...core.set.proof import Evidence, HiddenBy, Proof, Way
from ..shared.counts import counted

WAYS: Final[dict[Way, str]] = {
    "none": "Not yet",
    "second_laser": "A second laser",
    "tape": "Tape to both edges",
    "string": "String over it",
    "rolled": "Rolled both ways",
}
HOW: Final[dict[Way, str]] = {
    "none": "",
    "second_laser": (
        "Set a second laser over ball and hole by itself. How far beside its line does the laid line lie, and how far "
        "from the ball did you look? Set it up anew for each measurement."
    ),
    "tape": (
        "Tape from the laid line to both edges of the floor, or to both posts, and halve the difference. How far off "
        "the middle does it lie, and how far from the ball? Lift the tape between measurements."
    ),
    "string": (
        "Pull a string over ball and hole by itself. How far beside it does the laid line lie, and how far from the "
        "ball? Let it go slack and pull it again for each measurement."
    ),
    "rolled": (
        "Send balls along the line with the same speed each time, off a ramp or with one practised stroke: out to the "
        "hole, and from there back. Let them come to rest."
    ),
}
"""What to do for each way, and what is asked."""
_SAID: Final[dict[Way, str]] = {
    "none": "The line is not proved: no verdict on it can be clear.",
    "second_laser": "Proved: a second laser. What was measured was not noted.",
    "tape": "Proved: tape to both edges. What was measured was not noted.",
    "string": "Proved: string over it. What was measured was not noted.",
    "rolled": (
        "The ground is proved: rolled both ways; how the balls ran was not noted. The line laid on it is not proved: "
        "no verdict on it can be clear."
    ),
}
_MEASURED: Final[dict[Way, str]] = {
    "second_laser": "Proved by a second laser, measured {times}: the line lies {off}.",
    "tape": "Proved by tape to both edges, measured {times}: the line lies {off}.",
    "string": "Proved by a string over it, measured {times}: the line lies {off}.",
}
_FELL: Final[dict[Part, str]] = {
    "length": "The proof fell: the putt’s length was changed after it. Prove the line again.",
    "slope": "The proof fell: the slope was changed after it. Prove the line again.",
    "target": "The proof fell: the putt is started elsewhere since. Prove the line again.",
    "rig": "The proof fell: the rig was changed or moved after it. Prove the line again.",
}
CHECK: Final[dict[Way, str]] = {
    "none": "Check the line a second way: not yet said how.",
    "second_laser": "Check the line a second way: a second laser.",
    "tape": "Check the line a second way: tape to both edges.",
    "string": "Check the line a second way: string over it.",
    "rolled": "Check the line a second way: rolled both ways.",
}
HIDES: Final[dict[HiddenBy, str]] = {
    "zero": (
        "This station can hide {total} of false bias; most of it: the rig's zero against the line ({size}, {bias})."
    ),
    "end": "This station can hide {total} of false bias; most of it: one post or end placed by tape ({size}, {bias}).",
    "ball": "This station can hide {total} of false bias; most of it: the ball beside its spot ({size}, {bias}).",
    "slope": "This station can hide {total} of false bias; most of it: the slope's own doubt ({size}, {bias}).",
}


def proof_words(it: Proof, units: Units) -> str:
    """Whether the line is proved, or the ground alone, by what, or why no more."""
    if it.fell:
        return _FELL[it.fell[0]]
    if it.evidence is None or not it.is_proved:
        return _SAID[it.way]
    if it.way == "rolled":
        return _rolled(it.evidence)
    return _MEASURED[it.way].format(times=counted(len(it.evidence.measured), "time"), off=_off(it.evidence, units))


def _rolled(it: Evidence) -> str:
    out = counted(sum(one.way == "out" for one in it.rolls), "ball")
    back = counted(sum(one.way == "back" for one in it.rolls), "ball")
    return (
        f"The ground is proved by rolling both ways: {out} out to the hole, {back} back. The line laid on it is not "
        "proved: no verdict on it can be clear."
    )


def _off(it: Evidence, units: Units) -> str:
    beside, at = mean(one.beside_m for one in it.measured), mean(one.at_m for one in it.measured)
    where = roughly(at, units)
    if abs(beside) < 0.00025:
        return f"true, as far as that tells, {where} from the ball"
    return f"{about(beside, 0.0, units)} {side_of(beside)} of true {where} from the ball"
