"""Conditions compared, in words: the one question that was planned, its verdict, and what else was read of both."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from ...core.golfer.hand import Hand
from ...core.judge.claims.difference import Difference, Group
from ...core.judge.claims.reads import Compared, asked_in, asked_of
from ...core.measure.units import Units
from ...core.start.turns import Of, Question
from ..shared.certainty import WORDS
from .claims import AS_USUAL, levels_said, quantity_name
from .differences import difference_said

QUESTIONS: Final[dict[Of, dict[Question, str]]] = {
    "start": {
        "line": "Does it move the start?",
        "spread": "Is it steadier?",
        "window": "Do more start in the window?",
        "roll": "Do more roll clean?",
        "still": "Does less move?",
        "touch": "Is less touched?",
        "strike": "Does it move the strike?",
        "finish": "Are more holed?",
        "face": "Does it move the face at impact?",
        "path": "Does it move the path?",
    },
    "aim": {
        "line": "Does it move the aim?",
        "spread": "Is it steadier?",
        "window": "Does the aim lie in the window oftener?",
    },
}
_TO_COME: Final[dict[str, str]] = {
    "start": "Putts under both conditions tell.",
    "aim": "Set-downs of both ways tell.",
}


@dataclass(frozen=True, slots=True)
class PairWords:
    """One condition against the first: what was asked, then what else was read of both."""

    name: str
    headline: str
    others: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class ComparedWords:
    """What the conditions come to; a headline for each pair."""

    headline: str
    pairs: tuple[PairWords, ...]
    note: str


def group_name(it: Group) -> str:
    """What a condition is called: as the coach calls it, else what it was not as usual in."""
    return it.name or levels_said(it.levels)


def compared_words(it: Compared | None, of: str, hand: Hand, units: Units) -> ComparedWords:
    """The comparison as it is read."""
    if it is None or not any(told for _, told in it.others):
        return ComparedWords(_TO_COME[of], (), "")
    pairs = tuple(_pair(group, told, it, hand, units) for group, told in it.others if told)
    note = ""
    if len(it.others) > 1:
        note = f"{len(it.others)} conditions against the first: each must be the surer."
    return ComparedWords(" ".join(one.headline for one in pairs), pairs, note)


def _pair(group: Group, told: tuple[Difference, ...], whole: Compared, hand: Hand, units: Units) -> PairWords:
    asked = asked_in(told, whole)
    name = group_name(group)
    against = f"“{name}” against “{group_name(whole.first)}”"
    so_far = "" if whole.final else "So far "
    others = tuple(
        f"{one[0].upper()}{one[1:]}." for it in told if it is not asked for one in (difference_said(it, hand, units),)
    )
    if asked is None:
        unread = quantity_name(asked_of(whole.question, whole.of)).lower()
        return PairWords(name, f"{so_far}{against}: {unread} was not read in both yet.", others)
    return PairWords(name, f"{so_far}{against}: {_asked(asked, whole, hand, units)}.", others)


def _asked(it: Difference, whole: Compared, hand: Hand, units: Units) -> str:
    if whole.question == "spread" and it.ratio is not None and it.steadier is not None:
        ratio, name = it.ratio, quantity_name(it.quantity.name).lower()
        word = "no difference in spread worth having" if it.steadier.word == "none" else WORDS[it.steadier.word]
        return f"{name} spreads {ratio.value:.1f} times as much ({ratio.low:.1f} to {ratio.high:.1f}), {word}"
    if whole.question == "window" and it.inside is not None:
        gain, call = it.inside
        more = "more" if gain.value > 0 else "fewer"
        word = "no difference worth having" if call.word == "none" else WORDS[call.word]
        between = f"{gain.low:+.0f} to {gain.high:+.0f}".replace("-", "−")
        return f"{abs(gain.value):.0f} in a hundred {more} start inside the window ({between}), {word}"
    return difference_said(it, hand, units)


def _way(name: str) -> str:
    return f"with “{name}”" if name else AS_USUAL


def felt_said(told: Sequence[tuple[str, int | None, int | None]]) -> str:
    """How each way felt, beside what it did: its name, none as usual, comfort and trust, 1 to 5; empty where nobody
    said."""
    found = [
        f"{what}, of 5: {', '.join(f'{score} {_way(name)}' for name, score in scores)}."
        for what, scores in (
            ("Comfort", [(name, comfort) for name, comfort, _ in told if comfort]),
            ("Trust", [(name, trust) for name, _, trust in told if trust]),
        )
        if scores
    ]
    return " ".join(found)
