"""What is said of people who come in."""

from ..people import accounts as words
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
