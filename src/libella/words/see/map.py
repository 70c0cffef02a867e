"""The perception map as a coach reads it: sentences, both beliefs beside what was measured."""

from dataclasses import dataclass
from typing import Final

from ...core.certainty.verdict import is_unlikely, sure_of
from ...core.measure.side import side_of
from ...core.measure.units import Units, about, degrees, fine_degrees, percent
from ...core.see.map import Effect, PerceptionMap
from ...core.see.position import LEVERS, Lever
from ..shared.certainty import WORDS
from .position import position_words

ROADS: Final = (
    "Keep the true line and train: the rod on a proved line, looked at from this set-up, until it looks right.",
    "Aim at a spot a short way ahead instead: it lies near, so the eyes have little to be wrong about.",
    "Drop the line on the ball, or use it only to see the roll: no line that looks wrong, nothing to fight.",
)
"""What else is held to help where no playable change does: opinions (handbook 7)."""


@dataclass(frozen=True, slots=True)
class EffectWords:
    """One lever: what coaches believe of it, and what this golfer's answers say."""

    lever: Lever
    name: str
    one_belief: str
    other_belief: str
    measured: str
    tried: bool


@dataclass(frozen=True, slots=True)
class MapWords:
    """The sentences of a map."""

    headline: str
    sure: str
    roads: tuple[str, ...]
    next: str
    effects: tuple[EffectWords, ...]


def map_words(found: PerceptionMap, units: Units) -> MapWords:
    """What it says, and what to do next."""
    headline, sure, roads = _headline(found, units)
    return MapWords(headline, sure, roads, _next(found, units), tuple(_effect(it, units) for it in found.effects))


def _headline(found: PerceptionMap, units: Units) -> tuple[str, str, tuple[str, ...]]:
    told = [it for it in found.tried if it.tells]
    if not told:
        return "Nothing to draw yet.", "Ask once as usual, then with one thing moved.", ()
    change, again = found.change, found.ask_again
    if found.is_true_already:
        within = fine_degrees(found.limit_deg)
        return (
            "Straight looks straight as this golfer stands: nothing to mend.",
            f"Within ± {within}, what matters here, with {percent(found.enough({}))}.",
            (),
        )
    if change:
        it = change.after
        return (
            f"Smallest playable change: {position_words(change.position, units)}.",
            f"Straight is seen truer there than now: {WORDS[sure_of(change.truer)]} ({percent(change.truer)}), "
            f"asked there again. There it lies between {_said(it.low)} and {_said(it.high)}, nine in ten; "
            f"within ± {fine_degrees(found.limit_deg)}, what matters here, with {percent(change.enough)}.",
            () if change.enough >= 0.5 else ROADS,
        )
    if again:
        return (
            f"Worth asking again: {position_words(again.position, units)}.",
            f"Straight may be seen truer there ({percent(again.truer)}). It is no change yet: a golfer "
            "whom nothing moves often shows as much once. Asked there again, it holds or it does not.",
            (),
        )
    return (
        f"As usual {_said(found.at({}).value)}; nothing known yet that moves it.",
        "One thing moved at a time, asked again each time, tells what moves it for these eyes, if anything does.",
        ROADS if found.next is None else (),
    )


def _next(found: PerceptionMap, units: Units) -> str:
    position = found.next
    if position is None:
        return "Every place worth trying was tried."
    if not position:
        return "Ask as usual first: everything else is moved from there."
    if found.ask_again is not None:
        return f"Ask there once more: {position_words(position, units)}."
    return f"Worth trying next: {position_words(position, units)}. It tells most about what is not known."


def _effect(it: Effect, units: Units) -> EffectWords:
    lever = LEVERS[it.lever]
    move = lever.plus
    # Coaches contradict each other on the eyes; on the other levers none holds a belief as loudly.
    believed = it.lever in ("inside", "behind")
    swing = tuple(f"Held by some: {move}, the line swings {it}." if believed else "" for it in ("left", "right"))
    if not it.tried:
        return EffectWords(it.lever, lever.name, swing[0], swing[1], "Not tried with this golfer.", tried=False)
    per = 10 if lever.unit == "mm" else 1
    size = about(0.01, 0.0, units) if lever.unit == "mm" else "1°"
    if it.sure == "open":
        if is_unlikely(it.matters):
            said = f"Does nothing that could be told ({percent(1 - it.matters)})."
        else:
            said = f"Whether it does anything can't be told yet ({percent(it.matters)} that it does)."
        return EffectWords(it.lever, lever.name, swing[0], swing[1], said, tried=True)
    low, high = sorted((abs(it.slope.low * per), abs(it.slope.high * per)))
    if not it.slope.is_one_side:
        low = 0.0
    # A rod that must point further right to look straight: the line itself looks further left.
    side = "left" if it.right >= it.left else "right"
    return EffectWords(
        it.lever,
        lever.name,
        swing[0],
        swing[1],
        f"{size} {move} it seems to swing {fine_degrees(it.slope.value * per)} {side} "
        f"({fine_degrees(low)} to {fine_degrees(high)}): {WORDS[it.sure]} ({percent(max(it.right, it.left))}).",
        tried=True,
    )


def _said(value: float) -> str:
    side = side_of(value, 0.05)
    return "straight is true" if side == "neither" else f"{degrees(value, 0.1)} {side}"
