"""A number that nobody measured: as it stands, and as it is held of the golfer who is weighed.

An opinion is called for its value, `CLEAR()`, wherever it counts, and never kept in a default or an entry: what is held
is known only while somebody is weighed. Whoever weighs does it within `holding`, and all that is worked out there, said
there and drawn there is of one record of opinions.
"""

import math
from collections.abc import Callable, Generator, Iterable, Mapping
from contextlib import contextmanager
from contextvars import ContextVar
from functools import lru_cache
from types import MappingProxyType
from typing import Any, Final, Generic, ParamSpec, TypeVar

from ..measure.limits import Bounds, OutOfLimits
from .numbers import Number, Units, numbers_of, with_numbers

T = TypeVar("T")
Numbers = Mapping[str, float]
"""Numbers, by where in one of them they stand."""


class Opinion(Generic[T]):
    """One of them.

    Parameters
    ----------
    code : its name in records, for ever
    value : as it stands where nobody holds another
    unit : of its numbers; of several side by side one each; "" where they tell their own (`numbers.numbers_of`)
    between : the least and the most it may be held at; without it from a tenth to tenfold
    """

    __slots__ = ("between", "code", "unit", "value")

    def __init__(self, code: str, value: T, unit: Units, between: tuple[float, float] | None = None) -> None:
        self.code, self.value, self.between = code, value, between
        self.unit: Units = unit
        _KNOWN[code] = self

    def __call__(self) -> T:
        """Its value as it counts here."""
        held = _HELD.get()
        return self.value if held is None else held.values.get(self.code, self.value)

    @property
    def numbers(self) -> Mapping[str, Number]:
        """Every number in it that may be held at another value, by where it stands, with its limits."""
        return numbers_of(self.value, self.unit, self.between)

    def checked(self, told: Numbers) -> Numbers:
        """Numbers that can be held. `OutOfLimits` names the one that can't."""
        known = self.numbers
        for at, value in told.items():
            if at not in known:
                raise OutOfLimits("numbers", "no_such_choice", named=at, known=tuple(known))
            it = known[at]
            Bounds(it.least, it.most, it.unit).check("numbers", "opinion", value)
        return told


_KNOWN: Final[dict[str, Opinion[Any]]] = {}


class Held:
    """What is held of somebody: the opinions that are not as they stand."""

    __slots__ = ("mark", "values")

    def __init__(self, values: Mapping[str, Any]) -> None:
        self.values = MappingProxyType(dict(values))
        self.mark = "; ".join(f"{code} {self.values[code]!r}" for code in sorted(self.values))
        """Names what is held: alike where and only where it is alike."""


NOTHING_HELD: Final = Held({})


def checked_numbers(told: Mapping[str, object]) -> None:
    """Refuse what holds no numbers, of an opinion that may be known no more."""
    for at, it in told.items():
        if isinstance(it, bool) or not isinstance(it, int | float) or not math.isfinite(it):
            raise OutOfLimits("numbers", "no_such_choice", named=at, known=("a number",))


def held_of(known: Mapping[str, Opinion[Any]], told: Iterable[tuple[str, Numbers]]) -> Held:
    """What is held, from numbers by opinion; of one number told twice the later counts.

    An opinion or a number that is no longer known, or no longer fits, counts for nothing.
    """
    together: dict[str, dict[str, float]] = {}
    for code, numbers in told:
        if code in known:
            limits = known[code].numbers
            fits = {at: it for at, it in numbers.items() if at in limits and limits[at].takes(it)}
            together.setdefault(code, {}).update(fits)
    return Held({code: with_numbers(known[code].value, some) for code, some in together.items() if some})


_HELD: Final[ContextVar[Held | None]] = ContextVar("held", default=None)


@contextmanager
def holding(held: Held) -> Generator[None]:
    """Weigh by what is held of somebody for as long as the block lasts."""
    before = _HELD.set(held)
    try:
        yield
    finally:
        _HELD.reset(before)


def hold(held: Held) -> None:
    """The same for the rest of what the caller's context does."""
    _HELD.set(held)


def held_now() -> Held:
    """What is held of whoever is weighed here."""
    return _HELD.get() or NOTHING_HELD


P = ParamSpec("P")
R = TypeVar("R")


class Remembered(Generic[P, R]):
    """A function whose answers are remembered, each with what was held when it was given."""

    def __init__(self, work: Callable[P, R], most: int) -> None:
        def asked(mark: str, *told: P.args, **named: P.kwargs) -> R:
            return work(*told, **named)

        self._kept = lru_cache(maxsize=most)(asked)
        self.cache_clear = self._kept.cache_clear
        self.__doc__ = work.__doc__

    def __call__(self, *told: P.args, **named: P.kwargs) -> R:
        return self._kept(held_now().mark, *told, **named)  # pyright: ignore[reportArgumentType, reportCallIssue]


def remembered(most: int) -> Callable[[Callable[P, R]], Remembered[P, R]]:
    """Remember so many answers of a function that opinions may change."""
    return lambda work: Remembered(work, most)


def known() -> Mapping[str, Opinion[Any]]:
    """Every opinion of what is imported; `opinions.every` imports all there is."""
    return _KNOWN
