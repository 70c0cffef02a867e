"""Conditions compared, in words: the one question that was planned, and its verdict."""

from dataclasses import dataclass
from typing import Final

from ...core.estimate.shares import Apart
from ...core.judge.comparing import Compared, Noticed, Of, Pair, Question, noticed
from ...core.measure.side import side_of
from ..shared.certainty import WORDS

QUESTIONS: Final[dict[Of, dict[Question, str]]] = {
    "start": {
        "line": "Does it move the start?",
        "spread": "Is it steadier?",
        "window": "Do more start in the window?",
        "roll": "Do more roll clean?",
        "still": "Does less move?",
        "touch": "Is less touched?",
        "strike": "Are more struck in the middle?",
        "finish": "Are more holed?",
    },
    "aim": {
        "line": "Does it move the aim?",
        "spread": "Is it steadier?",
        "window": "Does the aim lie in the window oftener?",
    },
}
_NO_DIFFERENCE: Final[dict[Of, dict[Question, str]]] = {
    "start": {
        "line": "“{name}”: no difference in start line worth having.",
        "spread": "“{name}”: no difference in spread worth having.",
        "window": "“{name}”: no difference in share inside the window worth having.",
        "roll": "“{name}”: no difference in clean rolls worth having.",
        "still": "“{name}”: no difference in stillness worth having.",
        "touch": "“{name}”: no difference in what is touched worth having.",
        "strike": "“{name}”: no difference in strikes worth having.",
        "finish": "“{name}”: no difference in putts holed worth having.",
    },
    "aim": {
        "line": "“{name}”: no difference in aim worth having.",
        "spread": "“{name}”: no difference in spread worth having.",
        "window": "“{name}”: no difference in share of aims inside the window worth having.",
    },
}
_GOOD: Final[dict[Noticed, str]] = {
    "roll": "rolls clean",
    "still": "stands still",
    "touch": "touches nothing",
    "strike": "strikes the middle",
    "finish": "is holed",
}
_VERB: Final[dict[Of, str]] = {"start": "starts", "aim": "aims"}
_TO_COME: Final[dict[Of, str]] = {
    "start": "Putts under both conditions tell.",
    "aim": "Set-downs of both ways tell.",
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
        return ComparedWords(_TO_COME[it.of], (), "")
    pairs = tuple(_pair(one, it) for one in it.pairs)
    note = ""
    if it.conditions > 2:
        note = f"{it.conditions - 1} conditions against the first: each must be the surer."
    return ComparedWords(" ".join(pairs), pairs, note)


def _pair(it: Pair, whole: Compared) -> str:
    if it.call.word == "none" and whole.final:
        return _NO_DIFFERENCE[whole.of][whole.question].format(name=it.name)
    moves = f"“{it.name}” {_moves(it, whole)}"
    return f"{moves}: {WORDS[it.call.word]}." if whole.final else f"So far {moves}."


_LEAST_RATIO: Final = 0.1
"""Under a tenth no figure is told: the reading itself is not that fine."""


def _moves(it: Pair, whole: Compared) -> str:
    if it.shares is not None:
        return _noticed(it.shares, whole)
    found, first, verb = it.comparison, whole.first, _VERB[whole.of]
    assert found is not None
    if whole.question == "line":
        moved = found.shift
        size = f"{abs(moved.value):.1f}° (± {moved.doubt:.1f}°) further {side_of(moved.value)}"
        return f"{verb} {size} than “{first}”"
    if whole.question == "spread":
        ratio = found.spread_ratio
        if ratio.value < _LEAST_RATIO:
            return f"spreads less than a tenth as much as “{first}”"
        return f"spreads {ratio.value:.1f} times as much ({ratio.low:.1f} to {ratio.high:.1f}) as “{first}”"
    gain = found.chance_gain
    size = f"{abs(gain.value) * 100:.0f} ({gain.low * 100:+.0f} to {gain.high * 100:+.0f}) in a hundred"
    if gain.value > 0:
        return f"{verb} {size} more inside the window than “{first}”"
    return f"{verb} {size} fewer inside the window than “{first}”"


def _noticed(found: Apart, whole: Compared) -> str:
    """By how much more, or less, often it is as is wanted."""
    note = noticed(whole.question)
    assert note is not None
    gain, said = found.gain, _GOOD[note]
    size = f"{abs(gain.value):.0f} ({gain.low:+.0f} to {gain.high:+.0f}) in a hundred"
    if gain.value > 0:
        return f"{said} {size} more often than “{whole.first}”"
    return f"{said} {size} less often than “{whole.first}”"
