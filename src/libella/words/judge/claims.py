"""Claims in words: where a quantity lies, how often something was so, how two ways of it differ. Every page that tells
what was read tells it from here."""

from collections.abc import Sequence
from typing import Final

from ...core.certainty.estimate import Estimate
from ...core.estimate.beyond import Beyond
from ...core.estimate.kind import Sided, Split, Within
from ...core.golfer.hand import Hand
from ...core.judge.claims.level import FEWEST, FEWEST_FELT, Level
from ...core.judge.claims.share import ShareOf
from ...core.judge.ledger.factors import Factor, Levels
from ...core.judge.ledger.quantity import Quantity
from ...core.measure.units import Units, about, degrees, roughly, tape
from ...core.stand.set_up import ENTRIES
from ...core.start.notes import NOTES
from ...core.start.stroke import MEASURES
from ...core.start.watched import note_of
from ..aim.links import CUES
from ..shared.certainty import WORDS
from ..shared.counts import counted
from ..shared.inside import inside

AS_USUAL: Final = "as usual"
QUANTITY_NAMES: Final[dict[str, str]] = {
    "start": "Start",
    "face": "Face at address",
    "mark": "Ball mark",
    "to_mark": "Putter against the mark",
    "address": "Face at address, putt by putt",
    "impact": "Face at impact",
    "turned": "What the stroke turns",
    "path": "Path",
    "path_back": "Path going back",
    "strike": "Strike",
    "strike_high": "Strike, high or low",
    "roll_past": "Pace",
    "feels_straight": "What feels straight",
    "looks_straight": "What looks straight",
    "eyes_inside": "Eyes",
    "eyes_behind": "Eyes along the line",
    "eye_line": "Eye line",
    "first_look": "First look",
    "holed": "Holed",
    "missed_side": "Side of the misses",
    "stopped": "Short or past",
    "still": "What moved",
}
_SIDES: Final[dict[str, tuple[str, str]]] = {
    "line": ("left", "right"),
    "eyes": ("outside", "inside"),
    "behind": ("ahead", "behind"),
    "strike": ("towards the heel", "towards the toe"),
    "high": ("low", "high"),
    "pace": ("short of the hole", "past the hole"),
    "more": ("", ""),
    "": ("less", "more"),
}
_FACED: Final = ("face", "address", "impact", "turned")
_EVENTS: Final[dict[str, str]] = {
    "putt": "putt", "set_down": "set_down", "answer": "answer", "look": "look", "set_up": "time",
}  # fmt: skip
_CATEGORIES: Final[dict[str, str]] = {"level": "level with the hole"}
"""Categories that are not called by their code."""
_SMALL: Final = 0.05


def quantity_name(name: str) -> str:
    """What a quantity is called."""
    if name in QUANTITY_NAMES:
        return QUANTITY_NAMES[name]
    if name in ENTRIES:
        return ENTRIES[name].label
    if name in MEASURES and name not in NOTES:
        return MEASURES[name].label
    return note_of(name).label


def category_name(quantity: str, category: str) -> str:
    """What a category of a share is called."""
    if quantity in ENTRIES:
        return ENTRIES[quantity].options.get(category, category)
    if quantity not in QUANTITY_NAMES or quantity in NOTES:
        options = note_of(quantity).options
        if category in options:
            return options[category]
    return _CATEGORIES.get(category, category)


_FACTORS: Final[dict[Factor, str]] = {
    "set_up": "{level}",
    "cue": "with {level}",
    "routine": "{level}",
    "kit": "with {level}",
    "trial": "{level}",
    "hole_side": "from the other side of the hole",
    "guide": "guide in view",
    "length": "at {level}",
    "break": "breaking {level}",
    "unsorted": "“{level}”",
}
FACTOR_NAMES: Final[dict[Factor, str]] = {
    "set_up": "Set-up",
    "cue": "Cue",
    "routine": "Routine",
    "kit": "Putter or ball",
    "trial": "A try of your own",
    "hole_side": "Side of the hole",
}
"""What a coach can say of a block that is not as usual."""


def levels_said(levels: Levels, units: Units = "metric") -> str:
    """How readings were taken: "wide base, in view"; as usual where nothing differs."""
    cues = {str(cue): name for cue, name in CUES.items()}

    def named(factor: Factor, level: str) -> str:
        return tape(float(level), units) if factor == "length" else cues.get(level, level) if factor == "cue" else level

    return ", ".join(_FACTORS[factor].format(level=named(factor, level)) for factor, level in levels) or AS_USUAL


def open_or_closed(name: str, right: bool, hand: Hand) -> str:
    """What a face that points to a side is to a golfer of that hand; empty of what is no face."""
    if name not in _FACED:
        return ""
    return " (open)" if right == (hand == "right") else " (closed)"


def side_name(it: Quantity, value: float, hand: Hand) -> str:
    """The word for the side a value lies on."""
    if it.name == "path_back":
        # Going back, the head that will travel from in to out goes inside.
        return ("inside" if (value > 0) == (hand == "right") else "outside") if value else "along its way"
    if it.sides == "path":
        return ("in to out" if (value > 0) == (hand == "right") else "out to in") if value else "along the line"
    low, high = _SIDES[it.sides]
    return high if value > 0 else low


def size_said(it: Quantity, value: float, doubt: float, units: Units) -> str:
    """A size without its side, no finer than it is known."""
    match it.unit:
        case "deg":
            return degrees(value, doubt)
        case "mm":
            return about(abs(value) / 1000, doubt / 1000, units)
        case "m":
            return roughly(value, units)
        case "%":
            return f"{abs(value):.0f} %"
        case _:
            return f"{abs(value):.2f} {it.unit}".strip()


def sized(it: Quantity, value: float, doubt: float, hand: Hand, units: Units) -> str:
    """A value with its side: "1.8° right (open)"."""
    size = size_said(it, value, doubt, units)
    if it.sides == "more":
        return f"−{size}" if value < 0 else size
    if is_small(it, value, size):
        return f"{size} either way" if it.unit != "deg" else "0.0°"
    return f"{size} {side_name(it, value, hand)}{open_or_closed(it.name, value > 0, hand)}"


def is_small(it: Quantity, value: float, size: str) -> bool:
    return size in ("0.0°", "0°") or abs(value) < {"deg": _SMALL, "mm": 0.5, "m": 0.005}.get(it.unit, 0.0)


def between_said(it: Quantity, found: Estimate, hand: Hand, units: Units) -> str:
    """A 90 % interval: "1.5° to 2.0°", with sides where its ends lie on both."""
    if it.unit == "deg" and it.sides != "more":
        low, high = found.low, found.high
        same = low * high >= 0 or min(abs(low), abs(high)) < _SMALL
        if same:
            near, far = sorted((abs(low), abs(high)))
            return f"{near:.1f}° to {far:.1f}°"
        return f"{abs(low):.1f}° {side_name(it, low, hand)} to {high:.1f}° {side_name(it, high, hand)}"
    if found.low * found.high >= 0 or it.sides == "more":
        near, far = sorted((abs(found.low), abs(found.high)))
        return f"{size_said(it, near, 0.0, units)} to {size_said(it, far, 0.0, units)}"
    low, high = size_said(it, found.low, 0.0, units), size_said(it, found.high, 0.0, units)
    return f"{low} {side_name(it, found.low, hand)} to {high} {side_name(it, found.high, hand)}"


def level_said(it: Level, hand: Hand, units: Units) -> str:
    """Where a quantity lies, in one sentence: size, interval, how sure, spread, from how many."""
    event = _EVENTS[it.quantity.event]
    fewest = FEWEST_FELT if it.quantity.name == "feels_straight" else FEWEST
    if isinstance(it.kind, Sided) and (it.count < FEWEST or it.kind.side == "neither"):
        return f"Of {counted(it.count, event)}: {sides_said(it.quantity, it.kind, hand)}."
    if it.quantity.event == "set_up" and it.count < FEWEST:
        # A set-up is measured, once is a reading; how it wanders Stand tells.
        middle = sum(one.anchor for one in it.readings) / it.count
        return f"{sized(it.quantity, middle, 0.0, hand, units)}, read {counted(it.count, event)}."
    if it.raw is not None and it.count < FEWEST:
        return f"{counted(it.count, event)} read, needs {fewest}."
    if it.raw is None and it.vial.bubble_at is None:
        return _untold(it, event, fewest, hand)
    if isinstance(it.kind, Split):
        return f"{_split(it, it.kind, hand, units)}."
    if it.beyond is not None:
        return f"{beyond_said(it, it.beyond, hand, units)}."
    if isinstance(it.kind, Within):
        within = size_said(it.quantity, it.kind.reach, 0.01, units)
        of = f"All {it.count}" if it.kind.times == it.count else f"{it.kind.times} of {it.count}"
        return f"{of} within ± {within}{call_said(it)}: these readings can't say it finer."
    said = [f"{headed(it, hand, units)}{call_said(it)}"]
    if it.spread is not None and it.count >= FEWEST and it.quantity.sides != "more":
        said.append(f"spread {spread_said(it, units)}")
    fell = f" and {counted(len(it.implied), 'putt')} that fell" if it.implied else ""
    said.append(f"{'read' if event == 'time' else 'from'} {counted(it.count, event)}{fell}")
    return f"{'; '.join(said)}."


def headed(it: Level, hand: Hand, units: Units) -> str:
    """Where it lies, with its interval: "1.8° right (open) (1.5° to 2.0°)"."""
    bias = it.bias
    where = sized(it.quantity, bias.value, bias.doubt, hand, units)
    found = f"{where} ({between_said(it.quantity, bias, hand, units)})"
    if it.quantity.name == "roll_past":
        return f"{found}, {against_plan(it, units)}"
    return found


def against_plan(it: Level, units: Units) -> str:
    """How far from the plan it lies."""
    if it.as_weighed:
        return "as planned"
    by = it.bias.value - it.against
    return f"{roughly(by, units)} {'more' if by > 0 else 'less'} than planned"


def spread_said(it: Level, units: Units) -> str:
    """The spread with its interval."""
    assert it.spread is not None
    if it.quantity.unit == "deg":
        return f"{it.spread.value:.1f}° ({it.spread.low:.1f}° to {it.spread.high:.1f}°)"
    value, low, high = (
        size_said(it.quantity, one, 0.0, units) for one in (it.spread.value, it.spread.low, it.spread.high)
    )
    return f"{value} ({low} to {high})"


def call_said(it: Level) -> str:
    """How sure it is that it lies off by enough to matter: ", clear"; empty where nobody judges it."""
    if it.call is None or it.count < FEWEST:
        return ""
    if it.call.word == "none":
        return ", nothing to mend"
    return f", {WORDS[it.call.word]}"


def beyond_said(it: Level, beyond: Beyond, hand: Hand, units: Units) -> str:
    """Readings that are open to a side: at least so far, and what can't be told."""
    about_ = it.quantity
    right = beyond.side == "right"
    value = beyond.edge if beyond.edge else (1.0 if right else -1.0)
    side = f"{side_name(about_, value, hand)}{open_or_closed(about_.name, right, hand)}"
    sure = it.call if it.call is not None and it.call.names_direction else it.side
    if about_.name == "roll_past" and it.call is None:
        return f"{beyond.times} of {it.count} past the hole; how far, nobody said"
    word = WORDS[sure.word]
    if beyond.times == it.count and beyond.edge and not isinstance(it.kind, Sided):
        least = size_said(about_, beyond.edge, 0.01, units)
        beyond_it = f"{beyond.times} of {it.count} lie beyond"
        return f"At least {least} {side}, {word}: {beyond_it}; these readings can't say how far"
    edge = f", each by {size_said(about_, beyond.edge, 0.01, units)} or more" if beyond.edge else ""
    return f"{side[0].upper()}{side[1:]} {beyond.times} of {it.count}{edge}: {word}; how far, these readings can't say"


def sides_said(about_: Quantity, kind: Sided, hand: Hand) -> str:
    """Sides told in words: how many of each: "in to out 3, as declared 5"."""
    sides = ((kind.left, side_name(about_, -1.0, hand)), (kind.right, side_name(about_, 1.0, hand)))
    middle = ((kind.neither, _MIDDLE.get(about_.sides, "on neither side")),)
    # "5 in to out" would be read as five inches.
    return ", ".join(f"{side} {n}" for n, side in (*sides, *middle) if n)


_MIDDLE: Final[dict[str, str]] = {
    "path": "as declared",
    "strike": "in the middle",
    "high": "in the middle",
    "line": "straight",
}


def _split(it: Level, kind: Split, hand: Hand, units: Units) -> str:
    """Readings that are open to both sides: how many each way, and by how much at least."""
    sides = (side_name(it.quantity, value, hand) for value in (-1.0, 1.0))
    # "5 in to out" would be read as five inches.
    after = it.quantity.sides == "path"
    some = zip((kind.left, kind.right), sides, strict=True)
    told = ", ".join(f"{side} {n}" if after else f"{n} {side}" for n, side in some)
    edge = f", each by at least {size_said(it.quantity, kind.edge, 0.01, units)}" if kind.edge else ""
    return f"{told[0].upper()}{told[1:]}{edge}: how far, these readings can't say"


def _untold(it: Level, event: str, fewest: int, hand: Hand) -> str:
    answers = counted(it.count, event)
    if it.beyond is not None and it.quantity.event == "look":
        side = side_name(it.quantity, 1.0 if it.beyond.side == "right" else -1.0, hand)
        return f"{side[0].upper()}{side[1:]} in {answers}; how far was not read."
    if it.beyond is not None:
        return f"{answers}, all alike: it lies further {it.beyond.side}, how far can't be said."
    if it.count < fewest:
        return f"{answers} read, needs {fewest}."
    return f"{answers} that contradict each other: no angle can be named."


def counts_said(it: ShareOf) -> str:
    """How often what, of how many: "4 clean of 4 putts"."""
    counts = [f"{n} {category_name(it.quantity.name, one)}" for one, n in it.counts]
    return f"{', '.join(counts)} of {counted(it.of, _EVENTS[it.quantity.event])}"


def share_said(it: ShareOf) -> str:
    """How often what: "7 of 10 touched the far peg, 3 clean"; and of two that are set against each other how sure."""
    name, said = it.quantity.name, counts_said(it)
    wanted = category_name(name, it.told)
    share = f"{wanted}: about {it.share.value:.0f} of a hundred ({it.share.low:.0f} to {it.share.high:.0f})"
    if it.call is not None and it.call.names_direction:
        first, second = ("left", "right") if name == "missed_side" else ("short", "past")
        more = second if it.call.side == "right" else first
        return f"{said}: more {more}, {WORDS[it.call.word]}."
    return f"{said}; {share}."


def claim_name(it: Level | ShareOf) -> str:
    """What a claim is about, and how it was read where that was not as usual."""
    name = quantity_name(it.quantity.name)
    return f"{name}, {levels_said(it.levels)}" if it.levels else name


def counted_said(it: ShareOf) -> str:
    """Counts without a share, by their name: "roll, guide in view: clean 4 of 4"."""
    counts = [f"{category_name(it.quantity.name, one)} {n}" for one, n in it.counts]
    return f"{inside(claim_name(it))}: {', '.join(counts)} of {it.of}"


def reads_said(some: Sequence[Level | ShareOf], hand: Hand, units: Units) -> list[tuple[str, str]]:
    """Each claim by its name and its sentence."""
    return [(claim_name(it), level_said(it, hand, units) if isinstance(it, Level) else share_said(it)) for it in some]
