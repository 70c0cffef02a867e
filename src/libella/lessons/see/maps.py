"""The perception map of a lesson: its tests at several positions."""

from collections.abc import Sequence
from dataclasses import dataclass
from uuid import UUID

from ...core.certainty.estimate import Estimate
from ...core.drawing.scene import Scene
from ...core.see.map import PerceptionMap, perception_map
from ...core.see.map_drawn import map_scene
from ...core.see.map_explained import MapExplained, map_explained
from ...core.see.position import LEVERS, Lever, Position, same_place
from ..desk.desk import Desk
from ..desk.problem import NotFound
from .eyes import EyeSheet, eye_sheet
from .sights import SightSheet, looks_straight_matters, sights_of


@dataclass(frozen=True, slots=True)
class MapSheet:
    """The map with what it rests on.

    Attributes
    ----------
    sights : the tests that are on it: shown, and asked under the same conditions as the newest one
    left_out : how many shown tests are not, asked with other eyes, glasses or another way of tracing
    as_usual : the looks-straight angle asked last in the usual set-up
    """

    map: PerceptionMap
    scene: Scene
    sights: Sequence[SightSheet]
    left_out: int
    as_usual: Estimate | None
    eyes: EyeSheet

    def angle_at(self, position: Position) -> Estimate:
        """The looks-straight angle there: as it was asked there last, or as the map has it."""
        asked = [it for it in self.sights if it.tried.tells and same_place(it.tried.position, position)]
        return asked[-1].found.angle if asked else self.map.at(position)


def map_sheet(desk: Desk, lesson_id: UUID) -> MapSheet:
    """The map of a lesson."""
    same, left_out = _same(desk, lesson_id)
    found = perception_map([it.tried for it in same], looks_straight_matters())
    eyes = eye_sheet(desk, lesson_id)
    place = eyes.found
    usual = None
    if place and place.inside:
        usual = place.inside.value, place.behind.value if place.behind else 0.0
    as_usual = [it for it in same if it.tried.tells and not it.tried.position]
    return MapSheet(
        map=found,
        scene=map_scene(found, eyes.hand, usual),
        sights=same,
        left_out=left_out,
        as_usual=as_usual[-1].found.angle if as_usual else None,
        eyes=eyes,
    )


@dataclass(frozen=True, slots=True)
class MapOpened:
    """What the map says, opened: its tests by id, oldest first, and how many were asked otherwise."""

    it: MapExplained
    tests: tuple[UUID, ...]
    left_out: int


def open_map(desk: Desk, lesson_id: UUID, what: str) -> MapOpened:
    """Open the map's own sentence (`map`) or what one lever does, by its code; `NotFound` where there is none."""
    same, left_out = _same(desk, lesson_id)
    lever: Lever | None = next((it for it in LEVERS if it == what), None)
    if not same or (lever is None and what != "map"):
        raise NotFound("claim")
    opened = map_explained([it.tried for it in same], looks_straight_matters(), lever)
    return MapOpened(opened, tuple(it.test.id for it in same), left_out)


def _same(desk: Desk, lesson_id: UUID) -> tuple[list[SightSheet], int]:
    """The shown tests asked as the newest one was, and how many were not."""
    shown = [it for it in sights_of(desk, lesson_id) if it.test.ended_at]
    same = [it for it in shown if _asked_as(it) == _asked_as(shown[-1])]
    return same, len(shown) - len(same)


def _asked_as(it: SightSheet) -> tuple[str, str, str]:
    return it.test.trace, it.test.eyes, it.test.glasses
