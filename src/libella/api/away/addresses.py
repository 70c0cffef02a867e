"""What pages ask for, by what it is about: fetched in the morning, so that they open without a network.

Every GET of the API stands here, or in `LEFT_OUT` with the reason why it is not had without a network; a test asks.
"""

from collections.abc import Iterator, Mapping, Sequence
from typing import Final

from ...core.measure.units import Units

OF_STUDIO: Final = (
    "/api/session", "/api/vocabulary", "/api/studio", "/api/today?{u}", "/api/golfers?{u}", "/api/golfers-seen-last",
    "/api/due", "/api/aim-choices", "/api/bag", "/api/bands", "/api/instruments?{u}", "/api/levels", "/api/levers",
    "/api/link-bands", "/api/notes?{u}", "/api/set-up-entries", "/api/teaching", "/api/sight-methods",
    "/api/stations/ways", "/api/prints", "/api/schools?{u}", "/api/guide", "/api/place-drawn?hand=right",
    "/api/place-drawn?hand=left",
    "/api/saved-stations?hand=right&{u}", "/api/saved-stations?hand=left&{u}", "/api/drills?hand=right&{u}",
    "/api/drills?hand=left&{u}", "/api/cautions?at=golfer", "/api/second-readings/things", "/api/second-readings?{u}",
    "/api/opinions?{u}", "/api/opinions-concern", "/api/logbook?{u}",
)  # fmt: skip
OF_GOLFER: Final = (
    "/api/golfers/{id}", "/api/golfers/{id}/expected?{u}", "/api/golfers/{id}/found?{u}", "/api/golfers/{id}/kit?{u}",
    "/api/golfers/{id}/lessons", "/api/golfers/{id}/lessons?{u}", "/api/golfers/{id}/line?{u}",
    "/api/golfers/{id}/line-now?{u}", "/api/golfers/{id}/on-the-course?{u}", "/api/golfers/{id}/photos",
    "/api/golfers/{id}/practice-plan", "/api/golfers/{id}/schools?{u}", "/api/golfers/{id}/set-up-cards?{u}",
    "/api/golfers/{id}/imports?{u}", "/api/drills?golfer_id={id}&hand={hand}&{u}",
    "/api/opinions?golfer={id}&{u}", "/api/opinions-concern?golfer={id}", "/api/golfers/{id}/consents",
)  # fmt: skip
OF_LESSON: Final = (
    "/api/lessons/{id}?{u}", "/api/lessons/{id}/aim?{u}", "/api/lessons/{id}/change?{u}",
    "/api/lessons/{id}/comparisons?{u}", "/api/lessons/{id}/eyes?{u}", "/api/lessons/{id}/findings?{u}",
    "/api/lessons/{id}/first-looks", "/api/lessons/{id}/map?{u}", "/api/lessons/{id}/pauses",
    "/api/lessons/{id}/question", "/api/lessons/{id}/quick-checks?{u}", "/api/lessons/{id}/schools?{u}",
    "/api/lessons/{id}/sensors", "/api/lessons/{id}/sights?{u}", "/api/lessons/{id}/stand?{u}",
    "/api/lessons/{id}/finding-shown?{u}", "/api/lessons/{id}/summary?{u}", "/api/lessons/{id}/tools?{u}",
    "/api/lessons/{id}/wall?{u}",
    "/api/cautions?at=lesson&lesson={id}", "/api/cautions?at=judged&lesson={id}", "/api/cautions?at=photo&lesson={id}",
)  # fmt: skip
WHERE_LISTED: Final = ("/api/today?{u}", "/api/golfers?{u}", "/api/golfers-seen-last")
"""Where somebody new, or a new lesson, stands among others."""
OF_BLOCK: Final = (
    "/api/blocks/{id}/judgement?{u}", "/api/blocks/{id}/entry?{u}", "/api/blocks/{id}/read?{u}",
    "/api/blocks/{id}/further",
)  # fmt: skip
OF_OPEN_BLOCK: Final = ("/api/blocks/{id}/likelihood?{u}",)
"""Of a block that may still be putted."""
AFTER_BLOCK: Final = ("/api/lessons/{id}?{u}", "/api/lessons/{id}/comparisons?{u}", "/api/today?{u}")
"""What a lesson shows otherwise once a block has begun and nothing was putted."""
AFTER_SERIES: Final = ("/api/lessons/{id}?{u}", "/api/lessons/{id}/aim?{u}")
"""What a lesson shows otherwise once set-downs have begun and none was read."""
AFTER_PLAN: Final = ("/api/lessons/{id}?{u}", "/api/lessons/{id}/tools?{u}", "/api/cautions?at=lesson&lesson={id}")
"""What a lesson shows otherwise once something is laid."""

OF_OWNER: Final = "the owner's, and never kept on a device"
WELL: Final = "whether the server is well"
REACHED: Final = "how another device reaches the server: with the network"
OWN_PAGES: Final = "a golfer's own pages: kept where they were looked at"
FILES: Final = "whole files go over the network"
PRINTED: Final = "printed where there is a network"
WITH_THE_NET: Final = "worked out for what is chosen there and then: it comes with the network"
LEFT_OUT: Final[Mapping[str, str]] = {
    "/api/accounts": OF_OWNER,
    "/api/deeds": OF_OWNER,
    "/api/removals": OF_OWNER,
    "/api/sign-ins": "where one is signed in is known to the server alone",
    "/api/passkeys": "which passkeys there are is known to the server alone; what they open here is known here",
    "/api/health": WELL,
    "/api/health/live": WELL,
    "/api/front": REACHED,
    "/api/screens": REACHED,
    "/api/screens/here": REACHED,
    "/api/front/authority": REACHED,
    "/api/mine": OWN_PAGES,
    "/api/mine/sheets/{id}": OWN_PAGES,
    "/api/mine/sheets/{id}/paper": OWN_PAGES,
    "/api/standins": "programs of this machine",
    "/api/archives/{id}": FILES,
    "/api/archives/{id}/file": FILES,
    "/api/exports/{scope}/{id}": FILES,
    "/api/imports/{id}": FILES,
    "/api/imports/{id}/progress": FILES,
    "/api/photos/{id}/picture": "pictures stay where they are; lessons show that there are some",
    "/api/lessons/{id}/golfers-sheet": PRINTED,
    "/api/set-up-cards/{id}/print": PRINTED,
    "/api/practice-plans/{id}/calendar": PRINTED,
    "/api/saved-stations/{id}/file": FILES,
    "/api/blocks/{id}/explained": WITH_THE_NET,
    "/api/compare": WITH_THE_NET,
    "/api/compare-sides": WITH_THE_NET,
    "/api/compare-sides/explained": WITH_THE_NET,
    "/api/comparisons/{id}": "asked by nobody alone: a lesson's come together",
    "/api/converted": WITH_THE_NET,
    "/api/corrections/{of}/{id}": WITH_THE_NET,
    "/api/golfers/{id}/explained": WITH_THE_NET,
    "/api/golfers/{id}/lines-beside": WITH_THE_NET,
    "/api/golfers/{id}/lines-beside/explained": WITH_THE_NET,
    "/api/lessons/{id}/explained": WITH_THE_NET,
    "/api/lessons/{id}/map/explained": WITH_THE_NET,
    "/api/lessons/{id}/teaching/{code}": WITH_THE_NET,
    "/api/sight-tests/{id}": "asked by the question screen alone, which is given its own",
}
"""Why it is not had without a network, by address."""


def addresses(which: Sequence[str], units: Units, id: object = "", hand: str = "right") -> Iterator[str]:
    """As a page asks for them."""
    for it in which:
        yield it.format(u=f"units={units}", id=id, hand=hand)
