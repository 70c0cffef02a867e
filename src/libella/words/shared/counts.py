"""How many of a thing: each noun with both its forms, in one place."""

from collections.abc import Sequence
from typing import Final

_FORMS: Final[dict[str, tuple[str, str]]] = {
    "putt": ("{n} putt", "{n} putts"),
    "more_putt": ("{n} more putt", "{n} more putts"),
    "more_set_down": ("{n} more set-down", "{n} more set-downs"),
    "further_putt": ("{n} further putt", "{n} further putts"),
    "set_down": ("{n} set-down", "{n} set-downs"),
    "time": ("once", "{n} times"),
    "ball": ("{n} ball", "{n} balls"),
    "call": ("{n} call", "{n} calls"),
    "check": ("{n} check", "{n} checks"),
    "thing": ("{n} thing", "{n} things"),
    "more_change": ("{n} more change", "{n} more changes"),
    "block": ("{n} block", "{n} blocks"),
    "block_of_ten": ("{n} block of 10", "{n} blocks of 10"),
    "retest": ("{n} retest", "{n} retests"),
    "lesson": ("{n} lesson", "{n} lessons"),
    "look": ("{n} look", "{n} looks"),
    "test": ("{n} test", "{n} tests"),
    "series": ("{n} series", "{n} series"),
    "answer": ("{n} answer", "{n} answers"),
    "miss": ("{n} miss", "{n} misses"),
    "run": ("{n} run", "{n} runs"),
    "day": ("{n} day", "{n} days"),
    "round": ("{n} round", "{n} rounds"),
    "hole": ("{n} hole", "{n} holes"),
    "holed_putt": ("{n} holed putt", "{n} holed putts"),
    "fact": ("{n} fact", "{n} facts"),
    "reading": ("{n} reading", "{n} readings"),
    "doubted_one": ("one of them doubted, and counts less", "{n} of them doubted, and count less"),
    "voided": ("{n} reading that was voided", "{n} readings that were voided"),
    "read": ("{n} read", "{n} reads"),
    "way": ("{n} way", "{n} ways"),
    "golfer": ("one golfer", "{n} golfers"),
    "entry": ("one entry", "{n} entries"),
    "year": ("a year", "{n} years"),
    "card": ("{n} set-up card", "{n} set-up cards"),
    "photograph": ("{n} photograph", "{n} photographs"),
    "plan": ("{n} practice plan", "{n} practice plans"),
    "noted_change": ("{n} noted change", "{n} noted changes"),
    "file": ("{n} file of putts", "{n} files of putts"),
    "backup": ("One backup", "{n} backups"),
}


def counted(n: int, what: str) -> str:
    """>>> counted(1, "putt"), counted(3, "set_down")
    ('1 putt', '3 set-downs')
    """
    one, many = _FORMS[what]
    return (one if n == 1 else many).format(n=n)


def listed(names: Sequence[str]) -> str:
    """Several names in one breath: "wind", "wind and noise", "wind, noise and rain"."""
    return names[0] if len(names) == 1 else f"{', '.join(names[:-1])} and {names[-1]}"
