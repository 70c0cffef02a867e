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


class InHand(Generic[T]):
    """So many answers, the latest asked for; `fits` tells whether one is small enough to be kept."""

    def __init__(self, most: int, fits: Callable[[T], bool] = lambda _: True) -> None:
        self._most, self._fits = most, fits
        self._kept: OrderedDict[Hashable, T] = OrderedDict()
        self._taken = Lock()

    def of(self, desk: Desk, mark: Mark | None, about: Hashable, make: Callable[[], T]) -> T:
        """The answer about something whose data have that mark; not kept where they have none."""
        if mark is None:
            return make()
        key = self._key(desk, mark, about)
        with self._taken:
            if key in self._kept:
                self._kept.move_to_end(key)
                return self._kept[key]
        made = make()
        if self._fits(made):
            with self._taken:
                self._kept[key] = made
                while len(self._kept) > self._most:
                    self._kept.popitem(last=False)
        return made

    def has(self, desk: Desk, mark: Mark | None, about: Hashable) -> bool:
        """Whether that is in hand, for whoever fetches together what is not."""
        if mark is None:
            return False
        with self._taken:
            return self._key(desk, mark, about) in self._kept

    def _key(self, desk: Desk, mark: Mark, about: Hashable) -> Hashable:
        return desk.database, desk.studio_id, mark, about, held_now().mark
