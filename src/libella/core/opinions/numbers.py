"""The numbers within an opinion, which may be a table, each by where it stands."""

import math
from collections.abc import Mapping
from dataclasses import dataclass, fields, is_dataclass, replace
from typing import Any, Final, Literal, cast

Unit = Literal["deg", "share", "m", "mm", "times", "count", "s", "min", "days", "log", "%", "putts_in_100", "key", ""]
"""Of a number. "key": it is the name under which it stands; "": it is told by a field `unit` beside it."""
Units = Unit | tuple[Unit, ...]
"""Of several numbers side by side one each."""
_SHARE: Final = (0.005, 0.995)
_FARTHEST_M: Final = 15.0
_FIELD_UNITS: Final[Mapping[str, Unit]] = {
    "distance_m": "m", "weight": "times", "spread_log_sd": "log", "minutes": "min",
}  # fmt: skip


@dataclass(frozen=True, slots=True)
class Number:
    """One of them: its value as it stands, its unit, and the least and the most it may be held at."""

    value: float
    unit: Unit
    least: float
    most: float

    @property
    def step(self) -> float:
        """One step of a thumb, in `unit`: a figure of its first place or the next."""
        if isinstance(self.value, int) and self.unit in ("count", "min"):
            return 1.0
        return 10.0 ** math.floor(math.log10((abs(self.value) or self.most / 10) / 5))

    def takes(self, value: object) -> bool:
        """It may be held at that."""
        return isinstance(value, int | float) and self.least <= value <= self.most


def numbers_of(value: Any, unit: Units, between: tuple[float, float] | None = None) -> Mapping[str, Number]:
    """Every number in a value of plain numbers, tuples, tables by name and dataclasses; "" where it is one number."""
    return dict(_each(value, "", unit, between))


def steps_to(at: str) -> tuple[str, ...]:
    """The names on the way to a number, the last of them its own; empty where it is the only one."""
    return tuple(at.split(".")) if at else ()


def with_numbers(value: Any, told: Mapping[str, float]) -> Any:
    """The same value with some of its numbers in place of those that stand there."""
    return _replaced(value, "", told)


def _each(value: Any, at: str, unit: Units, between: tuple[float, float] | None) -> Any:
    if isinstance(value, bool | str) or value is None:
        return
    if isinstance(value, int | float):
        one = unit if isinstance(unit, str) else unit[0]
        yield at, Number(value, one, *(between or _between(value, one)))
    elif isinstance(value, Mapping):
        for name, one in cast("Mapping[str, Any]", value).items():
            yield from _each(one, _under(at, name), cast(Unit, name) if unit == "key" else unit, between)
    elif is_dataclass(value) and not isinstance(value, type):
        whole = cast(Any, value)
        said: Units = whole.unit if hasattr(whole, "unit") else unit
        for it in fields(whole):
            if it.name == "bias_mean":
                wide = 2 * whole.bias_sd
                yield _under(at, it.name), Number(getattr(whole, it.name), cast(Unit, said), -wide, wide)
            else:
                yield from _each(
                    getattr(whole, it.name), _under(at, it.name), cast(Units, _FIELD_UNITS.get(it.name, said)), between
                )
    elif isinstance(value, tuple):
        rows = cast("tuple[Any, ...]", value)
        for n, one in enumerate(rows):
            # Units side by side are those of the innermost numbers.
            own = unit[n] if isinstance(unit, tuple) and not isinstance(one, tuple) else unit
            yield from _each(one, _under(at, str(n)), own, between)


def _replaced(value: Any, at: str, told: Mapping[str, float]) -> Any:
    if isinstance(value, int | float) and not isinstance(value, bool):
        return type(value)(told.get(at, value))
    if isinstance(value, Mapping):
        return {name: _replaced(one, _under(at, name), told) for name, one in cast("Mapping[str, Any]", value).items()}
    if is_dataclass(value) and not isinstance(value, type):
        return replace(value, **{it.name: _replaced(getattr(value, it.name), _under(at, it.name), told)
                                 for it in fields(value) if it.init})  # fmt: skip
    if isinstance(value, tuple):
        return tuple(_replaced(one, _under(at, str(n)), told) for n, one in enumerate(cast("tuple[Any, ...]", value)))
    return value


def _under(at: str, name: str) -> str:
    return f"{at}.{name}" if at else name


def _between(value: float, unit: Unit) -> tuple[float, float]:
    if unit == "share":
        return _SHARE
    if isinstance(value, int):
        return 1.0, max(10.0, 3.0 * value)
    if unit == "m" and value >= 1:
        return value / 2, min(2 * value, _FARTHEST_M)
    return value / 10, value * 10
