"""What a golfer has in hand, as of a day: kept as a change, for the golfer's line may step there."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Final
from uuid import UUID

from ...core.golfer.kit import NO_KIT, Kit, changed
from ...core.measure.limits import OutOfLimits
from ...store.tables import GolferRow, NotedChangeRow
from ..desk.desk import Desk
from ..desk.stored import Stored
from ..values import KeptChange, value_of
from .changes import changes_of

_KIT: Final[Stored[Kit]] = Stored(Kit)


@dataclass(frozen=True, slots=True)
class InHand:
    """A kit from a day on, and in what it differs from the one before."""

    id: UUID
    since: datetime
    kit: Kit
    changed: tuple[str, ...]


def keep_kit(desk: Desk, id: UUID, golfer_id: UUID, kit: Kit, words: str, since: datetime) -> KeptChange:
    """Keep what is in hand from a moment on. `words`: in what it differs, as it was said then.

    Said twice it is one; said otherwise, a conflict; one that differs in nothing is refused.
    """
    document = _KIT.keep(kit)
    with desk.transaction() as session:
        desk.get(session, GolferRow, golfer_id, "golfer")
        kept = session.get(NotedChangeRow, (desk.studio_id, id))
        if kept is None and not changed(kit_at(kits_of(desk, golfer_id), since), kit):
            raise OutOfLimits("kit", "kit_unchanged")
        told = {"golfer_id": golfer_id, "kit": document, "made_at": since}
        return value_of(KeptChange, desk.keep(session, NotedChangeRow, id, "kit", told, words=words))


def kits_of(desk: Desk, golfer_id: UUID) -> list[InHand]:
    """What a golfer had in hand, oldest first."""
    found: list[InHand] = []
    before = NO_KIT
    for it in changes_of(desk, golfer_id):
        if it.kit is not None:
            kit = _KIT.read(it.kit)
            found.append(InHand(it.id, it.made_at, kit, changed(before, kit)))
            before = kit
    return found


def kit_at(kits: Sequence[InHand], at: datetime) -> Kit:
    """What was in hand at a moment; nothing noted before the first."""
    return next((it.kit for it in reversed(kits) if it.since <= at), NO_KIT)
