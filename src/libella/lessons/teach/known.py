"""What a lesson knows of its golfer, for the drawings a coach shows him."""

from collections.abc import Mapping
from uuid import UUID

from ...core.green.putt import Putt
from ...core.measure.limits import OutOfLimits
from ...core.see.map import perception_map
from ...core.teach.registry import DRAWINGS
from ...core.teach.taught import Known, Teaching
from ..desk.desk import Desk
from ..desk.problem import NotFound
from ..judge.account import account_of
from ..see.eyes import eye_sheet
from ..see.sights import sights_of


def _narrow(putt: Putt) -> float:
    """What would matter of what looks straight, degrees: the putt's own window."""
    return putt.window.narrow_deg


def known_of(desk: Desk, lesson_id: UUID) -> Known:
    """Whatever was read of the golfer in this lesson; the rest as usual at the level."""
    with desk.together() as whole:
        account = account_of(whole, lesson_id)
        tried = tuple(it.tried for it in sights_of(whole, lesson_id))
        height = eye_sheet(whole, lesson_id).sizes.eye_height_m
    case, ledger = account.case, account.ledger
    start = case.level("start")
    read = {
        "bias_deg": case.as_read("start"),
        "spread_deg": start.spread if start is not None and start.enough else None,
        "face_deg": case.as_read("impact"),
        "path_deg": case.as_read("path"),
        "eyes_mm": case.as_read("eyes_inside"),
    }
    told = {name: it.value for name, it in read.items() if it is not None}
    return Known(
        hand=ledger.hand,
        putt=account.putt,
        mix=ledger.mix,
        bias_deg=told.get("bias_deg", 0.0),
        spread_deg=told.get("spread_deg", ledger.band.spread_deg["start"]),
        face_deg=told.get("face_deg", 0.0),
        path_deg=told.get("path_deg", 0.0),
        k=ledger.k.value,
        eyes_mm=told.get("eyes_mm", 0.0),
        eye_height_m=height,
        own=frozenset([*told, *(["distance_m"] if ledger.batches else [])]),
        picture=perception_map(tried, _narrow(account.putt)),
        asked=any(it.tells for it in tried),
    )


def drawing_of(code: str) -> Teaching:
    """A teaching drawing by its code; `NotFound` where there is none."""
    if code not in DRAWINGS:
        raise NotFound("drawing")
    return DRAWINGS[code]


def standing(it: Teaching, known: Known, told: Mapping[str, float]) -> dict[str, float]:
    """Where its levers stand: as told, within their limits; the others as they start."""
    at = it.starts(known)
    for name, value in told.items():
        lever = it.lever(name)
        if lever is None:
            raise OutOfLimits(f"stand.{name}", "no_lever", named=name, known=tuple(at))
        lever.bounds.check(f"stand.{name}", "teaching_lever", value)
        at[name] = lever.nearest(value)
    return at
