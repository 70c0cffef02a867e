"""How a quantity differs between two ways, in one clause."""

from ...core.certainty.estimate import Estimate
from ...core.golfer.hand import Hand
from ...core.judge.claims.difference import Difference, SidesApart, wanted_of
from ...core.judge.ledger.quantity import Quantity
from ...core.measure.units import Units
from ..shared.certainty import WORDS
from .claims import between_said, category_name, is_small, quantity_name, side_name, size_said


def difference_said(it: Difference, hand: Hand, units: Units) -> str:
    """How the second differs from the first, in one clause: "start 2.3° further left (1.8° to 2.8°), clear"."""
    if it.shares is not None:
        return _shares_apart(it)
    if it.sides is not None:
        return _sides_apart(it, it.sides, hand)
    said: list[str] = []
    if it.call.names_direction:
        said.append(f"{shift_said(it, hand, units)}, {WORDS[it.call.word]}{_now_said(it)}")
    if it.steadier is not None and it.steadier.names_direction and it.ratio is not None:
        verb = "steadier" if it.steadier.side == "left" else "wider spread"
        said.append(f"{quantity_name(it.quantity.name).lower()} {verb} {_times(it.ratio)}, {WORDS[it.steadier.word]}")
    if said:
        return "; ".join(said)
    word = "no difference that matters" if it.call.word == "none" else WORDS["open"]
    return f"{shift_said(it, hand, units)}, {word}"


def _times(it: Estimate) -> str:
    return f"(× {it.value:.1f}, {it.low:.1f} to {it.high:.1f})"


def shift_said(it: Difference, hand: Hand, units: Units) -> str:
    """By how much, and to which side."""
    about_, by = it.quantity, it.by
    name = quantity_name(about_.name).lower()
    if it.least is not None:
        return f"{name} at least {size_said(about_, it.least, 0.01, units)} {further(about_, it.least, hand)}"
    size = size_said(about_, by.value, by.doubt if about_.unit == "deg" else 0.0, units)
    low, high = sorted((by.low, by.high), key=abs)
    between = between_said(about_, Estimate(by.value, low, high) if by.is_one_side else by, hand, units)
    if is_small(about_, by.value, size):
        return f"{name} the same ({between})"
    return f"{name} {size} {further(about_, by.value, hand)} ({between})"


def further(it: Quantity, value: float, hand: Hand) -> str:
    """The word for a difference to a side."""
    right = value > 0
    match it.sides:
        case "line":
            return f"further {'right' if right else 'left'}"
        case "eyes":
            return f"further {'in' if right else 'out'}"
        case "behind":
            return f"further {'behind' if right else 'ahead'}"
        case "path":
            return f"more {side_name(it, value, hand)}"
        case "strike":
            return f"further towards the {'toe' if right else 'heel'}"
        case "high":
            return "higher" if right else "lower"
        case "pace":
            return "longer" if right else "shorter"
        case _:
            return "more" if right else "less"


def _now_said(it: Difference) -> str:
    """What it means, where that can be told: the second lies on the line now, or off it now."""
    one, other = it.first, it.second
    if one is None or other is None or one.call is None or other.call is None:
        return ""
    if one.call.names_direction and other.call.word == "none":
        return ", now nothing to mend"
    if one.call.word == "none" and other.call.names_direction:
        return (
            f", now {(other.bias.value > 0 and 'right') or 'left'} of the line" if it.quantity.sides == "line" else ""
        )
    return ""


def _shares_apart(it: Difference) -> str:
    assert it.shares is not None
    one, other = it.shares
    name = it.quantity.name
    wanted = wanted_of(it.quantity, one)
    category = category_name(name, wanted)
    said = f"{category} {other.times(wanted)} of {other.of} against {one.times(wanted)} of {one.of}"
    if name == "still" and wanted == "nothing":
        said = f"nothing moved in {other.times(wanted)} of {other.of} against {one.times(wanted)} of {one.of}"
    elif name == "first_look":
        said = f"looks {said}"
    elif name not in ("holed", "missed_side", "stopped"):
        said = f"{quantity_name(name).lower()}: {said}"
    if it.call.names_direction:
        return f"{said}, {WORDS[it.call.word]}"
    word = "no difference that matters" if it.call.word == "none" else WORDS["open"]
    return f"{said}, {word}"


def _sides_apart(it: Difference, told: SidesApart, hand: Hand) -> str:
    """How often each lay to a side, where no size is told: "path: in to out 8 of 10 against 2 of 10, clear"."""
    side = side_name(it.quantity, 1.0 if told.side == "right" else -1.0, hand)
    one, other = told.first, told.second
    said = (
        f"{quantity_name(it.quantity.name).lower()}: {side} {other.times} of {other.of} against {one.times} of {one.of}"
    )
    word = WORDS[it.call.word] if it.call.word != "none" else "no difference that matters"
    return f"{said}, {word}"
