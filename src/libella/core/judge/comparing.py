"""A comparison of conditions in words: one question, asked before the first putt, and its one verdict.

Looking at everything finds something: so the word (clear, likely) goes to what was asked; the rest is told as chances.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final, Literal

from ..certainty.verdict import CLEAR, WORDS, Word, weigh
from ..certainty.vial import Vial, vial
from ..estimate import START, Posterior, posterior, summarise
from ..estimate.comparison import Comparison, compare
from ..measure.interval import Interval
from ..measure.side import side_of
from ..measure.units import percent
from ..set.station import Station
from .tables import Row, Table

Question = Literal["line", "spread", "window"]
QUESTIONS: Final[dict[Question, str]] = {
    "line": "Does it move the start?",
    "spread": "Is it steadier?",
    "window": "Do more start in the window?",
}


@dataclass(frozen=True, slots=True)
class Arm:
    """One condition: its name, its valid readings oldest first, where they were read."""

    name: str
    readings: tuple[Interval, ...]
    station: Station


@dataclass(frozen=True, slots=True)
class Pair:
    """A condition against the first. `word` is the verdict on what was asked, None before the planned end."""

    name: str
    word: Word | None
    headline: str
    comparison: Comparison


@dataclass(frozen=True, slots=True)
class Compared:
    """Conditions compared, each with its vial; the pairs, and the chances behind them as a table."""

    headline: str
    vials: tuple[Vial, ...]
    pairs: tuple[Pair, ...]
    table: Table | None
    note: str


def compared(arms: Sequence[Arm], question: Question, *, final: bool) -> Compared:
    """Compare conditions with the first of them.

    Parameters
    ----------
    arms : at least two conditions
    question : what the comparison was planned to answer; only that gets a verdict word
    final : all planned putts are in
    """
    posts = [posterior(it.readings, START, noise=it.station.noise_deg) for it in arms]
    vials = tuple(_vial(it, post, final) for it, post in zip(arms, posts, strict=True))
    told = [(it, post) for it, post in zip(arms, posts, strict=True) if it.readings]
    if len(told) < 2 or not arms[0].readings:
        return Compared("Putts under both conditions tell.", vials, (), None, "")
    pairs = tuple(_pair(told[0], it, question, final, len(arms) - 1) for it in told[1:])
    table = Table(
        "Behind the comparison",
        ("nearer the line", "steadier", "more in the window"),
        tuple(_row(it) for it in pairs),
        f"How sure it is that each beats “{arms[0].name}”.",
    )
    note = "" if len(arms) == 2 else f"{len(arms) - 1} conditions against the first: each must be the surer."
    return Compared(" ".join(it.headline for it in pairs), vials, pairs, table, note)


def _vial(arm: Arm, post: Posterior, settled: bool) -> Vial:
    window = arm.station.putt.window
    found = summarise(post.blurred(arm.station.shared_deg), window) if arm.readings else None
    return vial(arm.readings, found and found.bubble, window, settled=settled)


def _pair(
    one: tuple[Arm, Posterior], another: tuple[Arm, Posterior], question: Question, final: bool, pairs: int
) -> Pair:
    (first, a), (other, b) = one, another
    windows = first.station.putt.window, other.station.putt.window
    doubts = first.station.shared_deg, other.station.shared_deg
    same_rig = first.station == other.station
    found = compare(a, b, windows, doubts=doubts, same_rig=same_rig)
    sides = {"line": found.line, "spread": found.spread, "window": found.window}[question]
    # Each further condition is one more chance to be wrong.
    word = weigh(sides.more, sides.less, sides.small, clear=1 - (1 - CLEAR) / pairs).word
    return Pair(other.name, word if final else None, _said(found, question, word, other, first, final), found)


def _said(it: Comparison, question: Question, word: Word, other: Arm, first: Arm, final: bool) -> str:
    if question == "line":
        size = f"{abs(it.shift.value):.1f}° (± {it.shift.doubt:.1f}°) further {side_of(it.shift.value)}"
        moves = f"starts {size} than “{first.name}”"
    elif question == "spread":
        ratio = it.spread_ratio
        moves = f"spreads {ratio.value:.1f} times as much ({ratio.low:.1f} to {ratio.high:.1f}) as “{first.name}”"
    else:
        gain = it.chance_gain
        count = f"{abs(gain.value) * 100:.0f} ({gain.low * 100:+.0f} to {gain.high * 100:+.0f}) in a hundred"
        moves = f"starts {count} {'more' if gain.value > 0 else 'fewer'} inside the window than “{first.name}”"
    name = f"“{other.name}”"
    if not final:
        return f"So far {name} {moves}."
    if word == "none":
        same = {"line": "start line", "spread": "spread", "window": "share inside the window"}[question]
        return f"{name}: no difference in {same} worth having."
    return f"{name} {moves}: {WORDS[word]}."


def _row(it: Pair) -> Row:
    found = it.comparison
    chances = 1 - found.less_bias, 1 - found.less_spread, 1 - found.higher_chance
    return Row(it.name, tuple(percent(chance) for chance in chances))
