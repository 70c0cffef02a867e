"""What this process worked out last of a golfer's data: the pages of a lesson are asked for one after the other, and
most of them begin with the same.

What is kept here is of one state of the golfer's data, by the mark that every write raises, and of one record of
opinions. Nothing of it outlives the process, and it is never asked whether it is still so: another state has another
mark.
"""

from collections import OrderedDict
from collections.abc import Callable, Hashable
from threading import Lock
from typing import Generic, TypeVar

from ...core.opinions.held import held_now
from .desk import Desk
from .kept import Mark

T = TypeVar("T")
K = TypeVar("K", bound=Hashable)


class Latest(Generic[K, T]):
    """So many things by their keys, the latest asked for; `fits` tells whether one is small enough to be kept."""

    def __init__(self, most: int, fits: Callable[[T], bool] = lambda _: True) -> None:
        self._most, self._fits = most, fits
        self._kept: OrderedDict[K, T] = OrderedDict()
        self._taken = Lock()

    def get(self, key: K) -> T | None:
        """What is kept under that key; None where nothing is."""
        with self._taken:
            if key not in self._kept:
                return None
            self._kept.move_to_end(key)
            return self._kept[key]

    def put(self, key: K, it: T) -> None:
        """Keep something in place of what was kept under that key, where it fits."""
        if not self._fits(it):
            return
        with self._taken:
            self._kept[key] = it
            self._kept.move_to_end(key)
            while len(self._kept) > self._most:
                self._kept.popitem(last=False)

    def clear(self) -> None:
        """Forget all of it."""
        with self._taken:
            self._kept.clear()


class InHand(Generic[T]):
    """So many answers, the latest asked for; `fits` tells whether one is small enough to be kept."""

    def __init__(self, most: int, fits: Callable[[T], bool] = lambda _: True) -> None:
        self._latest = Latest[Hashable, T](most, fits)

    def held(self, desk: Desk, mark: Mark | None, about: Hashable) -> T | None:
        """The answer about something whose data have that mark; None where it is not in hand."""
        return None if mark is None else self._latest.get(self._key(desk, mark, about))

    def of(self, desk: Desk, mark: Mark | None, about: Hashable, make: Callable[[], T]) -> T:
        """The same, made where it is not in hand; not kept where the data have no mark."""
        held = self.held(desk, mark, about)
        if held is not None:
            return held
        made = make()
        self.keep(desk, mark, about, made)
        return made

    def keep(self, desk: Desk, mark: Mark | None, about: Hashable, made: T) -> None:
        """Take an answer in hand."""
        if mark is not None:
            self._latest.put(self._key(desk, mark, about), made)

    def clear(self) -> None:
        """Forget all of it."""
        self._latest.clear()

    def _key(self, desk: Desk, mark: Mark, about: Hashable) -> Hashable:
        return desk.database, desk.studio_id, mark, about, held_now().mark
