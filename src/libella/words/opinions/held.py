"""Every prior, threshold, default and band that is an opinion: its value as it counts, and where another may be held.

A value is read from the constant itself, so that the page can't drift from what is reckoned with.
"""

import importlib
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any, Final, Literal

from ...core.certainty.matter import Matter
from ...core.estimate import Prior
from ...core.measure.units import Units, tape

Step = Literal["set", "stand", "see", "aim", "start", "judge", "change", "keep", "course"]
Form = Callable[[Any, Units], str]
HELD: Final[dict[str, tuple[str, str]]] = {
    "": ("", "The same for everybody."),
    "schools": ("/schools", "Held by the coach or for a golfer, among schools."),
    "bands": ("/aids/bag", "By level, in the bag; every version is kept."),
    "golfer": ("/", "For each golfer, at his page."),
    "lesson": ("/", "Wherever it is laid or noted."),
}
"""Where another is held: its page, and who may."""


@dataclass(frozen=True, slots=True)
class Opinion:
    """One of them.

    Attributes
    ----------
    source : the constant in the core, as module and name
    held : where another may be held, a key of `HELD`
    """

    step: Step
    source: str
    name: str
    form: Form
    held: str = ""

    def value_said(self, units: Units) -> str:
        """Its value as it counts."""
        module, _, name = self.source.rpartition(".")
        return self.form(getattr(importlib.import_module(f"libella.core.{module}"), name), units)


def _deg(value: float, units: Units) -> str:
    return f"{value:g}°"


def _share(value: float, units: Units) -> str:
    return f"{100 * value:g} of a hundred"


def _metres(value: float, units: Units) -> str:
    if units == "metric" and value < 0.01:
        return f"{1000 * value:g} mm"
    return f"{value / 0.0254:.2f} in" if units == "feet" and value < 0.01 else tape(value, units)


def _mm(value: float, units: Units) -> str:
    return _metres(value / 1000, units)


def _times(value: float, units: Units) -> str:
    return f"× {value:g}"


def _count(value: float, units: Units) -> str:
    return f"{value:g}"


def _seconds(value: float, units: Units) -> str:
    return f"{value:g} s"


def _minutes(value: float, units: Units) -> str:
    return f"{value:g} min"


def _in(unit: str, value: float, units: Units) -> str:
    if unit == "mm":
        return _mm(value, units)
    return tape(value, units) if unit == "m" and value else f"{value:g}{'°' if unit == 'deg' else ' ' + unit}"


def _prior(it: Prior, units: Units) -> str:
    middle, sd, spread = (_in(it.unit, one, units) for one in (it.bias_mean, it.bias_sd, it.spread_median))
    return f"about {middle}, one standard deviation {sd}; scatter about {spread}"


def _each(form: Form) -> Form:
    """Of several, by name or in order."""

    def said(value: Any, units: Units) -> str:
        if isinstance(value, dict):
            return ", ".join(f"{str(name).replace('_', ' ')} {form(one, units)}" for name, one in value.items())  # pyright: ignore[reportUnknownVariableType, reportUnknownArgumentType]
        return ", ".join(form(one, units) for one in value)

    return said


def _by_unit(value: Any, units: Units) -> str:
    return ", ".join(
        " and ".join(_in(unit, one, units) for one in (some if isinstance(some, tuple) else (some,)))  # pyright: ignore[reportUnknownVariableType, reportUnknownArgumentType]
        for unit, some in value.items()
    )


def _matters(value: dict[str, Matter], units: Units) -> str:
    def size(it: Matter, n: float) -> str:
        return f"{n:g} putts of a hundred" if it.unit == "putts_in_100" else _in(it.unit, n, units)

    def one(it: Matter) -> str:
        return f"from {size(it, it.matters_from)}, nothing under {size(it, it.nothing_under)}"

    return "; ".join(f"{name.replace('_', ' ')}: {one(it)}" for name, it in value.items())


def _lengths(value: Any, units: Units) -> str:
    return ", ".join(f"{tape(it.distance_m, units)} × {it.weight:g}" for it in value)


def _first_putts(value: Any, units: Units) -> str:
    return ", ".join(f"{tape(length, units)} × {times}" for length, times in value)


def _likely(value: Any, units: Units) -> str:
    return ", ".join(f"{size:g} ({100 * chance:.0f} of a hundred)" for size, chance in value)


def _grows(value: Any, units: Units) -> str:
    return f"{tape(value[0], units)}, and {100 * value[1]:g} of a hundred of the length"


def _sds(value: tuple[float, ...], units: Units) -> str:
    return " and ".join(f"{one:g}" for one in value)


def _ways(value: Any, units: Units) -> str:
    return ", ".join(f"{name.replace('_', ' ')} {it.minutes:g} min" for name, it in value.items())


OPINIONS: Final[tuple[Opinion, ...]] = (
    Opinion("set", "green.putt.USUAL_PAST_M", "Pace past the hole where nobody said another", _metres, "schools"),
    Opinion("set", "green.usual.USUAL", "The usual putts by which everything is weighed", _lengths, "golfer"),
    Opinion(
        "set", "set.proof.USUAL_DOUBT_M", "How well each proof of a line places its zero", _each(_metres), "lesson"
    ),
    Opinion("set", "set.proof.BY_EYE_DEG", "How far a line laid by eye may lie off", _deg),
    Opinion("set", "set.proof.PRESENT", "Chance that a link is off at all, before any reading", _share),
    Opinion("set", "set.string_fit._SEEN_M", "A string so far off the ball’s centre is seen to be off", _metres),
    Opinion("set", "set.tool_check.MARKED_M", "How well a mark is set and taped", _metres),
    Opinion("set", "set.tool_check._SEEN_DEG", "How well one reading against a square edge is known at least", _deg),
    Opinion("set", "instruments.ball_gate._FAR_M", "From here on a gate is of balls, no longer of pegs", _metres),
    Opinion(
        "set", "instruments.light_strip.USUAL_TURNS_M", "Where a strip nobody measured turns dark", _metres, "lesson"
    ),
    Opinion("set", "estimate.beyond._WIDE", "A zone wider than so much of the window tells no size", _times),
    Opinion(
        "stand", "stand.set_up._SPREADS", "Spread from one set-up to the next, and what is called wandering", _by_unit
    ),
    Opinion("see", "see.second_reader._SCATTER_DEG", "How far starts scatter that two read", _deg),
    Opinion("see", "see.second_reader._EYES_MM", "How far eyes lie about the line that two read", _mm),
    Opinion("see", "judge.findings.rules.path.TURNED_DEG", "From where a body line counts as turned", _deg),
    Opinion("see", "judge.findings.rules.path._REPEATED", "So many set-ups alike repeat", _count),
    Opinion("start", "estimate.posterior.START", "Where starts lie before any was read", _prior),
    Opinion("start", "judge.ledger.quantity.STRIKE", "Where a golfer strikes before any was read", _prior),
    Opinion("start", "judge.ledger.quantity.ROLL_PAST", "Where putts stop before any was read", _prior),
    Opinion("start", "judge.ledger.putt.PATH_DEG", "A path so near the one declared is as declared, in words", _deg),
    Opinion("start", "judge.ledger.putt.MIDDLE_MM", "A strike so near the middle is in the middle, in words", _mm),
    Opinion("start", "judge.findings.case._ZONE_MM", "Where a strike noted heel or toe lies beside its start", _mm),
    Opinion("start", "start.stroke.UNZEROED_DEG", "What may be off in a sensor’s zero nobody checked", _deg),
    Opinion("start", "start.path.ARC_M", "Radius of the head’s path in an arc", _metres),
    Opinion("start", "start.clock._SCALES", "How far lags of a clock part, in seconds", _likely),
    Opinion("start", "start.clock._RIGHT", "Chance that a clock is right", _share),
    Opinion("start", "start.clock._RIGHT_SD_S", "How right such a clock is", _seconds),
    Opinion(
        "judge",
        "certainty.matter.MATTERS",
        "From what size something matters, and under what nothing is mended",
        _matters,
    ),
    Opinion("judge", "certainty.verdict.CLEAR", "From here on: clear", _share),
    Opinion("judge", "certainty.verdict.LIKELY", "From here on: likely", _share, "schools"),
    Opinion("judge", "certainty.verdict.NONE", "From here on: nothing to mend", _share),
    Opinion(
        "judge", "certainty.verdict.SETTLES", "More putts are advised where so many continuations settle it", _share
    ),
    Opinion("judge", "judge.claims.level._WIDE", "Half as wide a zone says little", _by_unit),
    Opinion("judge", "judge.claims.pace.ZONE_PACES", "The goal zone reaches so many times the pace wanted", _times),
    Opinion("judge", "judge.findings.case._WIDE", "A spread so many times the level’s is wide", _times, "bands"),
    Opinion("judge", "judge.findings.case._ALIKE", "Links off by so much more or less are off alike", _deg),
    Opinion("judge", "judge.findings.misses._LEADS", "A link is a miss’s reason from this share of its start", _share),
    Opinion(
        "judge", "judge.findings.next_check._LEAST", "A check must make the right finding likelier by so much", _share
    ),
    Opinion("judge", "judge.findings.next_check._UNNOTED", "Chance that a cause nobody looked at comes first", _share),
    Opinion("judge", "judge.findings.next_check.WAYS", "How long each check takes", _ways),
    Opinion("judge", "judge.findings.rules.guide._LEANS", "How many golfers lean on a guide", _share),
    Opinion("judge", "judge.compensation._TAKES_BACK", "So much of the aim taken back is a compensation", _share),
    Opinion("judge", "judge.share_line._ALIKE", "How far days differ in a share, beyond its chance", _share),
    Opinion("change", "change.made._MATTERS", "So much of a share makes a difference", _share),
    Opinion("change", "change.pace_table.WITHIN", "A table is fitted where a roll lies so near", _share),
    Opinion("change", "change.pace_table.LEAVE_M", "From here on the next putt is no longer sure", _metres),
    Opinion("change", "change.scored._STRAIGHT_DEG", "A start so near the line was straight to who called it", _deg),
    Opinion("change", "change.session.PUTT_S", "A putt with what belongs to it", _seconds),
    Opinion("change", "change.session.LAY_MIN", "To lay a station", _minutes),
    Opinion("change", "change.week._TRANSFER", "Mixed putting weighs so much of the weightiest finding", _share),
    Opinion("keep", "keep.quick_check._MOVED_MM", "Eyes so far from the kept place have drifted", _mm),
    Opinion("course", "course.chance.READ_DEG", "How far a read lies off on every putt", _deg),
    Opinion("course", "course.golf_round.FIRST_PUTTS", "The first putts of a round", _first_putts),
    Opinion("course", "course.roller.SPREAD_M", "Scatter of the roll past: at the hole, and with the length", _grows),
    Opinion("course", "course.roller._PAST_SD", "How far a golfer’s roll may differ from that", _metres),
    Opinion("course", "course.roller._LOG_SD", "How far a golfer’s scatter of it may differ, in logarithms", _sds),
)
