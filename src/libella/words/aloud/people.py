"""What is said of people who come in."""

from datetime import UTC, datetime

from ..people import accounts as words
from ..people import consents, handover
from .reading import Reading

_SAID = (
    "",
    "X11; Linux x86_64 Chrome/120 Safari/537",
    "iPad; Safari/605",
    "Firefox/122",
    "Windows NT",
    "Firefox/122 on something",
)


def people_aloud(it: Reading) -> None:
    for what in ("kept", "changed", "deleted"):
        for table in words.THINGS:
            it.say("keep", words.deed_said, what, table)
    for told in _SAID:
        it.say("keep", words.device_said, told)
    _agreed_aloud(it)
    _handed_over_aloud(it)


def _handed_over_aloud(it: Reading) -> None:
    at = datetime(2026, 4, 3, 10, 5, tzinfo=UTC)
    everything = {"lesson": 3, "putt": 41, "set_up_card": 1, "set_up_photo": 2, "practice_plan": 1, "drill_run": 4}
    everything |= {"golf_round": 2, "noted_change": 1, "file_import": 1, "consent": 2}
    for came in ({}, {"lesson": 1}, {"lesson": 1, "putt": 1}, everything):
        it.say("keep", handover.lesson_goes, at, "Bo", "Åse", came)
        it.say("keep", handover.all_goes, "Bo", "Åse", came)
    for hand in ("right", "left"):
        it.say("keep", handover.hand_stays, "Åse", hand)
    it.say("keep", handover.moved_said, at.date())
    it.note("keep", "handovers", [handover.RELEASED_ANEW, handover.OLD_SHEETS, handover.FILLED])


def _agreed_aloud(it: Reading) -> None:
    at = datetime(2026, 4, 3, 10, 5, tzinfo=UTC)
    it.say("keep", consents.consent_said, True, "golfer", at)
    it.say("keep", consents.consent_said, False, "guardian", at)
    for backups in (0, 1, 3):
        it.say("keep", consents.kept_until, at, backups)
        it.say("keep", consents.kept_until, None, backups)
    for rows in (1, 240):
        it.say("keep", consents.removal_said, "asked", rows, at)
        it.say("keep", consents.removal_said, "unseen", rows, at)
    for years, golfers, gone in ((1, 1, 0), (5, 12, 2)):
        it.say("keep", consents.run_said, years, golfers, gone, at)
