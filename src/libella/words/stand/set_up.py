"""A set-up in words: what was noted, what changed, how far it wanders."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Final

from ...core.certainty.estimate import Estimate
from ...core.certainty.verdict import is_likely, is_unlikely, sure_of
from ...core.measure.units import Units, percent, tape
from ...core.stand.set_up import ENTRIES, Group, Noted, Unit, Value, Wander
from ..shared.brief import NOTHING
from ..shared.certainty import WORDS
from ..shared.counts import counted

GROUPS: Final[dict[Group, str]] = {
    "ball_and_feet": "Ball and feet",
    "body_lines": "Body lines",
    "arms_and_putter": "Arms and putter",
    "head_and_eyes": "Head and eyes",
    "how_it_feels": "How it feels",
}
NOTHING_NOTED: Final = "Nothing noted yet."


def value_words(name: str, value: Value, units: Units) -> str:
    """>>> value_words("hands_m", -0.02, "metric"), value_words("feet_deg", "parallel", "metric")
    ('−20 mm', 'parallel')
    """
    if isinstance(value, str):
        return ENTRIES[name].options[value]
    unit = ENTRIES[name].unit
    size = _amount(abs(value), unit, units)
    if unit == "deg" and ENTRIES[name].group == "body_lines":
        return "parallel" if value == 0 else f"{size} {'right' if value > 0 else 'left'}"
    return f"{'−' if value < 0 else ''}{size}"


@dataclass(frozen=True, slots=True)
class NotedWords:
    """One entry of a set-up beside the one before; `change` is empty where nothing changed or nothing stood before."""

    name: str
    label: str
    group: str
    said: str
    before: str
    change: str


def noted_words(it: Noted, units: Units) -> NotedWords:
    """An entry as it is read."""
    entry = ENTRIES[it.name]
    before = "" if it.before is None else value_words(it.name, it.before, units)
    said = value_words(it.name, it.now, units)
    return NotedWords(it.name, entry.label, GROUPS[entry.group], said, before, _change(it, before, units))


def _change(it: Noted, before: str, units: Units) -> str:
    if not it.is_changed:
        return ""
    if it.moved is None:
        return f"was {before}"
    entry = ENTRIES[it.name]
    # Lengths to the tenth of a millimetre: the difference of two is a float's.
    size = _amount(round(abs(it.moved), 4) if entry.unit == "m" else abs(it.moved), entry.unit, units)
    return f"{size} {entry.more if it.moved > 0 else entry.less}"


@dataclass(frozen=True, slots=True)
class WanderWords:
    """How far an entry goes from one set-up to the next."""

    name: str
    label: str
    spread: Estimate
    wandering: float
    words: str


def wander_words(it: Wander, units: Units) -> WanderWords:
    """The wandering of an entry as it is read."""
    entry = ENTRIES[it.name]
    said, most = (_size(value, entry.unit, units) for value in (it.spread.value, it.limit))
    words = f"{entry.label} comes back to within {said}."
    if not is_unlikely(it.wandering):
        sure = f"{WORDS[sure_of(it.wandering)]} ({percent(it.wandering)})"
        words = f"{entry.label} wanders by {said}, over {most}: {sure}."
    return WanderWords(it.name, entry.label, it.spread, it.wandering, words)


def stand_line(noted: Sequence[Noted], loose: Sequence[Wander], *, again: bool, units: Units) -> str:
    """A set-up in one line; `again`: another was noted before it."""
    if not noted:
        return NOTHING_NOTED
    first = next((it for it in loose if is_likely(it.wandering)), None)
    if first:
        return wander_words(first, units).words
    changed = [noted_words(it, units) for it in noted if it.is_changed]
    if len(changed) > 1:
        return f"{changed[0].label}: {changed[0].change}, and {counted(len(changed) - 1, 'more_change')}."
    if changed:
        return f"{changed[0].label}: {changed[0].change}."
    things = counted(len(noted), "thing")
    return f"{things} noted, as before." if again else f"{things} noted."


def stand_brief(noted: Sequence[Noted], loose: Sequence[Wander]) -> str:
    """A set-up in a narrow run sheet."""
    if not noted:
        return NOTHING
    if any(is_likely(it.wandering) for it in loose):
        return "wanders"
    changed = sum(it.is_changed for it in noted)
    return f"{changed} changed" if changed else f"{len(noted)} noted"


_MARKS: Final[dict[Unit, str]] = {"m": "", "deg": "°", "%": " %", "words": ""}


def _amount(value: float, unit: Unit, units: Units) -> str:
    return tape(value, units) if unit == "m" else f"{value:g}{_MARKS[unit]}"


def _size(value: float, unit: Unit, units: Units) -> str:
    return tape(round(value, 3), units) if unit == "m" else f"{value:.1f}{_MARKS[unit]}"
