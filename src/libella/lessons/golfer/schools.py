"""The schools that coach and golfer hold to."""

from collections.abc import Mapping, Sequence
from uuid import UUID

from ...core.schools.held import Schools, checked_school
from ...store.tables import GolferRow, StudioRow
from ..desk.desk import Desk
from ..values import KeptGolfer


def coach_schools(desk: Desk) -> Mapping[str, str]:
    """What the coach declared, by disagreement."""
    with desk.transaction() as session:
        return dict(session.get_one(StudioRow, desk.studio_id).schools)


def schools_of(desk: Desk, golfer: KeptGolfer | None = None) -> Schools:
    """The schools held of a golfer; None: by the coach alone."""
    return schools_of_each(desk, [golfer])[0]


def schools_of_each(desk: Desk, golfers: Sequence[KeptGolfer | None]) -> list[Schools]:
    """The same of many golfers, one by one."""
    coach = coach_schools(desk)
    return [Schools(coach, dict(it.schools) if it else {}) for it in golfers]


def declare(desk: Desk, disagreement: str, school: str, golfer_id: UUID | None = None) -> None:
    """Hold a school, of a golfer or, without one, by the coach; an empty one drops what was held."""
    checked_school(disagreement, school)
    with desk.transaction() as session:
        row = (
            desk.locked_studio(session)
            if golfer_id is None
            else desk.get(session, GolferRow, golfer_id, "golfer", lock=True)
        )
        told = {code: held for code, held in row.schools.items() if code != disagreement}
        row.schools = told | ({disagreement: school} if school else {})
        if disagreement == "eyes" and isinstance(row, GolferRow):
            # Own edges were edges of the zone that was held.
            row.eye_zone_mm = None
