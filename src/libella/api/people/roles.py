"""Which request is which act: with `core.people.role.MAY`, the one table of what each role may do.

Whatever is asked and stands here under no act is refused to everybody who has to be signed in.
"""

from collections.abc import Mapping
from typing import Final

from ...core.people.role import MAY, Act, Role

ANYBODY: Final = frozenset(
    {
        "GET /api/health", "GET /api/health/live", "GET /api/front", "GET /api/front/authority", "GET /api/session",
        "PUT /api/session", "POST /api/passkeys/asking", "PUT /api/session/by-passkey",
        "DELETE /api/session", "POST /api/links/look", "POST /api/links/take", "POST /api/screens/take",
        "GET /api/screens/here", "POST /api/session/recover", "GET /api/vocabulary", "GET /api/guide",
    }
)  # fmt: skip
"""Asked by whoever has not signed in: whether it is well, how it is opened, its own words, who he is; to come in."""
BY_OWN_KEY: Final = frozenset(
    {"POST /api/sensor-link/pair", "POST /api/sensor-link/messages", "WS /api/sensor-link/stream"}
)
"""Asked by devices, each with a key of its own that opens nothing else."""
FOR_SCREENS: Final = frozenset(
    {
        "GET /api/lessons/{id}/wall", "GET /api/lessons/{id}/question", "GET /api/lessons/{id}/finding-shown",
        "WS /api/live/lessons/{id}",
    }
)  # fmt: skip
"""Asked by a screen, too, of the lesson that a coach sent to it and of no other."""
ANY_ACCOUNT: Final = frozenset(
    {
        "PUT /api/session/passphrase", "PUT /api/session/preferences", "PUT /api/session/proof",
        "PUT /api/session/proof-by-passkey", "GET /api/passkeys", "POST /api/passkeys/making", "PUT /api/passkeys/{id}",
        "DELETE /api/passkeys/{id}",
        "DELETE /api/session/everywhere", "GET /api/sign-ins", "DELETE /api/sign-ins/{id}", "GET /api/studio",
    }
)  # fmt: skip
"""Of oneself, and of the program, whatever the role."""
_READ: Final = frozenset(
    {
        "POST /api/corrections", "POST /api/handovers",
        "POST /api/stations/preview", "POST /api/stations/propose", "POST /api/stations/tune",
        "POST /api/conditions-drawn", "POST /api/saved-stations/read", "POST /api/instruments/string",
        "POST /api/instruments/string/eyes", "POST /api/instruments/entry", "POST /api/green/slope",
        "POST /api/green/rolls", "POST /api/green/drops", "POST /api/prints/{name}", "POST /api/lessons/{id}/weighed",
        "POST /api/lessons/{id}/weighed-bands", "POST /api/away/plan", "WS /api/live/lessons/{id}",
    }
)  # fmt: skip
"""Asked with a body, and keeps nothing; every GET that is named nowhere else is one, too."""
_RECORD: Final = frozenset(
    {
        "PUT /api/golfers/{id}", "PUT /api/golfers/{id}/eyes", "PUT /api/lessons/{id}", "PUT /api/lessons/{id}/end",
        "DELETE /api/lessons/{id}/end", "PUT /api/lessons/{id}/laser-cautions", "PUT /api/lessons/{id}/set-up-names",
        "PUT /api/lessons/{id}/plan", "PUT /api/lessons/{id}/kit", "PUT /api/lessons/{id}/complaint",
        "PUT /api/stations/{id}", "PUT /api/stations/{id}/proof", "PUT /api/corrections/{id}",
        "PUT /api/tool-checks/{id}",
        "PUT /api/tool-checks/{id}/voided", "PUT /api/second-readings/{id}", "PUT /api/second-readings/{id}/second",
        "PUT /api/second-readings/{id}/voided", "PUT /api/saved-stations/{id}", "PUT /api/blocks/{id}",
        "PUT /api/rungs/{id}", "PUT /api/turns/{id}", "PUT /api/blocks/{id}/circumstances", "PUT /api/blocks/{id}/how",
        "PUT /api/blocks/{id}/plan", "PUT /api/readings/{id}", "PUT /api/readings/{id}/voided",
        "PUT /api/readings/{id}/flags", "PUT /api/comparisons/{id}", "PUT /api/lessons/{id}/pauses",
        "PUT /api/sensors/{id}", "PUT /api/sensors/{id}/lesson", "PUT /api/sensor-zeros/{id}",
        "PUT /api/stroke-taps/{id}", "DELETE /api/sensors/{id}/link", "PUT /api/strokes/{id}/putt",
        "PUT /api/aim-series/{id}", "PUT /api/aim-turns/{id}", "PUT /api/set-downs/{id}",
        "PUT /api/set-downs/{id}/voided", "PUT /api/set-downs/{id}/flags", "PUT /api/sight-tests/{id}",
        "PUT /api/sight-tests/{id}/shown", "DELETE /api/sight-tests/{id}/shown", "PUT /api/sight-tests/{id}/left",
        "PUT /api/sight-tests/{id}/felt", "PUT /api/sight-trials/{id}", "PUT /api/sight-trials/{id}/voided",
        "PUT /api/sight-trials/{id}/flags", "PUT /api/first-looks/{id}", "PUT /api/first-looks/{id}/voided",
        "PUT /api/eye-takes/{id}", "PUT /api/eye-looks/{id}", "PUT /api/eye-takes/{id}/voided", "PUT /api/set-ups/{id}",
        "PUT /api/set-ups/{id}/voided", "PUT /api/quick-checks/{id}", "PUT /api/photos/{id}",
        "PUT /api/photos/{id}/voided", "PUT /api/drill-runs/{id}", "PUT /api/drill-runs/{id}/voided",
        "PUT /api/rounds/{id}", "PUT /api/rounds/{id}/voided", "PUT /api/kits/{id}", "PUT /api/kits/{id}/voided",
        "PUT /api/changes/{id}", "PUT /api/changes/{id}/voided", "GET /api/standins", "PUT /api/standins/{id}",
        "DELETE /api/standins/{id}", "PUT /api/consents/{id}", "PUT /api/screens/{id}/shows",
    }
)  # fmt: skip
_JUDGE: Final = frozenset(
    {
        "PUT /api/unsorted", "PUT /api/blocks/{id}/share-of-face", "PUT /api/link-bands/{id}",
        "PUT /api/schools/{disagreement}", "PUT /api/golfers/{id}/schools/{disagreement}",
        "PUT /api/finding-answers/{id}", "PUT /api/finding-answers/{id}/voided", "PUT /api/line-joins/{id}",
        "PUT /api/line-joins/{id}/voided", "PUT /api/chosen-changes/{id}", "PUT /api/chosen-changes/{id}/dropped",
        "PUT /api/drills/{id}", "PUT /api/drills/{id}/retired", "PUT /api/practice-plans/{id}",
        "PUT /api/practice-plans/{id}/on-from/{before}", "PUT /api/practice-plans/{id}/voided",
        "PUT /api/set-up-cards/{id}", "PUT /api/set-up-cards/{id}/away", "PUT /api/lessons/{id}/sheet-note",
        "PUT /api/lessons/{id}/released",
        "PUT /api/opinions/{id}",
    }
)  # fmt: skip
_DELETE: Final = frozenset(
    {
        "PUT /api/handovers/{id}",
        "PUT /api/lessons/{id}/voided", "DELETE /api/saved-stations/{id}", "PUT /api/saved-stations/{id}/back",
        "PUT /api/imports/{id}", "PUT /api/imports/{id}/mapping", "PUT /api/imports/{id}/putts",
        "DELETE /api/imports/{id}/work", "PUT /api/imports/{id}/undone", "DELETE /api/imports/{id}/undone",
    }
)  # fmt: skip
_STUDIO: Final = frozenset(
    {
        "PUT /api/studio", "PUT /api/bag", "DELETE /api/bag", "PUT /api/bands", "PUT /api/pauses",
        "PUT /api/set-up-entries", "PUT /api/archives/{id}/out", "PUT /api/archives/{id}/parts/{number}",
        "PUT /api/archives/{id}/look", "PUT /api/archives/{id}/rows", "DELETE /api/archives/{id}/work",
        "GET /api/archives/{id}", "GET /api/archives/{id}/file",
    }
)  # fmt: skip
_PEOPLE: Final = frozenset(
    {
        "GET /api/accounts", "PUT /api/accounts/{id}", "PUT /api/accounts/{id}/locked", "PUT /api/accounts/{id}/link",
        "GET /api/deeds", "GET /api/removals", "PUT /api/removals/{id}", "PUT /api/kept-years",
        "PUT /api/screens/{id}/link", "PUT /api/screens/{id}/ended",
    }
)  # fmt: skip
_OWN: Final = frozenset({"GET /api/mine", "GET /api/mine/sheets/{id}", "GET /api/mine/sheets/{id}/paper"})
_ACTS: Final[Mapping[Act, frozenset[str]]] = {
    "own": _OWN, "read": _READ, "record": _RECORD, "judge": _JUDGE, "delete": _DELETE, "studio": _STUDIO,
    "people": _PEOPLE,
}  # fmt: skip
PROVED: Final = frozenset(it for it in _PEOPLE if not it.startswith("GET ")) | {
    "POST /api/passkeys/making", "PUT /api/passkeys/{id}",
}  # fmt: skip
"""Asked only of whoever gave the passphrase, or a passkey, lately: a tablet left lying lets nobody in, deletes nobody
and makes nobody a way in."""


def act_of(request: str) -> Act | None:
    """What a request, as "PUT /api/blocks/{id}", is; None for one that stands nowhere and keeps something."""
    for act, requests in _ACTS.items():
        if request in requests:
            return act
    return "read" if request.startswith("GET ") else None


def is_open(request: str) -> bool:
    """Asked without being signed in."""
    return request in ANYBODY or request in BY_OWN_KEY


def may(role: Role, request: str) -> bool:
    """Whether somebody of this role may ask this."""
    act = act_of(request)
    return request in ANY_ACCOUNT or (act is not None and act in MAY[role])
