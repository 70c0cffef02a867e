"""Conditions compared, in words: the one question that was planned, and its verdict."""

from dataclasses import dataclass
from typing import Final

from ...core.judge.comparing import Compared, Pair, Question
from ...core.measure.side import side_of
from ..shared.certainty import WORDS

QUESTIONS: Final[dict[Question, str]] = {
    "line": "Does it move the start?",
    "spread": "Is it steadier?",
    "window": "Do more start in the window?",
}
_NO_DIFFERENCE: Final[dict[Question, str]] = {
    "line": "“{name}”: no difference in start line worth having.",
    "spread": "“{name}”: no difference in spread worth having.",
    "window": "“{name}”: no difference in share inside the window worth having.",
}


@dataclass(frozen=True, slots=True)
class ComparedWords:
    """What the conditions come to; a headline for each pair."""

    headline: str
    pairs: tuple[str, ...]
    note: str


def compared_words(it: Compared) -> ComparedWords:
    """The comparison as it is read."""
    if not it.pairs:
        return ComparedWords("Putts under both conditions tell.", (), "")
    pairs = tuple(_pair(one, it) for one in it.pairs)
    note = ""
    if it.conditions > 2:
        note = f"{it.conditions - 1} conditions against the first: each must be the surer."
    return ComparedWords(" ".join(pairs), pairs, note)


def _pair(it: Pair, whole: Compared) -> str:
    if it.call.word == "none" and whole.final:
        return _NO_DIFFERENCE[whole.question].format(name=it.name)
    moves = f"“{it.name}” {_moves(it, whole)}"
    return f"{moves}: {WORDS[it.call.word]}." if whole.final else f"So far {moves}."


def _moves(it: Pair, whole: Compared) -> str:
    found, first = it.comparison, whole.first
    if whole.question == "line":
        moved = found.shift
        size = f"{abs(moved.value):.1f}° (± {moved.doubt:.1f}°) further {side_of(moved.value)}"
        return f"starts {size} than “{first}”"
    if whole.question == "spread":
        ratio = found.spread_ratio
        return f"spreads {ratio.value:.1f} times as much ({ratio.low:.1f} to {ratio.high:.1f}) as “{first}”"
    gain = found.chance_gain
    size = f"{abs(gain.value) * 100:.0f} ({gain.low * 100:+.0f} to {gain.high * 100:+.0f}) in a hundred"
    if gain.value > 0:
        return f"starts {size} more inside the window than “{first}”"
    return f"starts {size} fewer inside the window than “{first}”"
