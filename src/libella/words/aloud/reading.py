"""What was read aloud: each sentence once, by step and by who says it."""

import inspect
from collections.abc import Callable, Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field, fields, is_dataclass
from functools import cache
from typing import Any, Final, cast

from ...core.golfer.hand import Hand
from ...core.measure.units import Units

STEPS: Final = ("set", "stand", "see", "aim", "start", "judge", "change", "keep", "refusals", "vocabulary")


@dataclass
class Reading:
    """What was said so far: by step and function, each sentence once; which functions said it; and what was said by
    those that are told in which units to speak."""

    units: Units = "metric"
    hand: Hand = "right"
    said: dict[str, dict[str, dict[str, None]]] = field(default_factory=lambda: {step: {} for step in STEPS})
    functions: set[Callable[..., Any]] = field(default_factory=set[Callable[..., Any]])
    in_units: dict[Units, dict[str, None]] = field(default_factory=lambda: {"metric": {}, "feet": {}})

    def say(self, step: str, words: Callable[..., Any], *facts: Any, **more: Any) -> None:
        """Say what a function makes of these facts."""
        self.functions.add(words)
        said = [*sentences(words(*facts, **more))]
        if _is_told_the_units(words):
            self.in_units[self.units].update((it, None) for it in said)
        self.note(step, words.__name__, said)

    def note(self, step: str, what: str, said: Iterable[str]) -> None:
        # A dictionary keeps the order and finds fast.
        self.said[step].setdefault(what, {}).update((it, None) for it in said if it)


@cache
def _is_told_the_units(words: Callable[..., Any]) -> bool:
    return "units" in inspect.signature(words).parameters


def sentences(told: Any) -> Iterator[str]:
    """The texts in whatever a function of words gives; what holds none of them is left out."""
    if isinstance(told, str):
        yield told
    elif is_dataclass(told) and not isinstance(told, type):
        for it in fields(told):
            yield from sentences(getattr(told, it.name))
    elif isinstance(told, Mapping):
        yield from sentences(list(cast("Mapping[str, Any]", told).values()))
    elif isinstance(told, Sequence):
        for one in cast("Sequence[Any]", told):
            yield from sentences(one)


def page(reading: Reading) -> str:
    """The page to read: a heading for each step, a list for each function."""
    lines: list[str] = []
    for step, told in reading.said.items():
        lines += ["", f"## {step.capitalize()}"]
        for what, said in told.items():
            lines += ["", f"### {what}", "", *(f"- {it}" for it in said)]
    return "\n".join(["# What Libella says", *lines, ""])
