"""How values are kept as JSON and read back: one layer, with a version in every document and what brings an old one up.

A document without a version is of the first. A value that changes its shape gets one more upgrade, from the newest
version to the next: old rows stay as they are, and are read as if they had been kept today.
"""

from collections.abc import Callable, Mapping, Sequence
from typing import Any, Final, Generic, TypeVar, cast

from pydantic import TypeAdapter

T = TypeVar("T")
Upgrade = Callable[[dict[str, Any]], dict[str, Any]]
_VERSION: Final = "v"


class Stored(Generic[T]):
    """A kind of value as kept.

    Parameters
    ----------
    kind : its type: a dataclass, or a union of them
    upgrades : from each version to the next, the first from version 1
    """

    def __init__(self, kind: Any, upgrades: Sequence[Upgrade] = ()) -> None:
        self._adapter: TypeAdapter[T] = TypeAdapter(kind)
        self._upgrades = upgrades

    def keep(self, value: T) -> dict[str, Any]:
        """The document, in plain JSON values."""
        return cast("dict[str, Any]", self._adapter.dump_python(value, mode="json")) | {
            _VERSION: 1 + len(self._upgrades)
        }

    def read(self, document: Mapping[str, Any]) -> T:
        """The value; raises pydantic's `ValidationError`, with the path, for one that can't be read."""
        told = dict(document)
        for upgrade in self._upgrades[told.pop(_VERSION, 1) - 1 :]:
            told = upgrade(told)
        return self._adapter.validate_python(told)
