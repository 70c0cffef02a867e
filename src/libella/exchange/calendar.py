"""A plan as a calendar file (iCalendar, RFC 5545): a whole-day entry for each session."""

from collections.abc import Sequence
from datetime import UTC, date, datetime, timedelta
from typing import Final

_FOLD: Final = 73


def calendar_of(id: str, name: str, days: Sequence[tuple[date, str, Sequence[str]]], made_at: datetime) -> str:
    """One calendar: of each session its day, its line and its items; the same plan gives the same file."""
    stamp = made_at.astimezone(UTC).strftime("%Y%m%dT%H%M%SZ")
    lines = ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//Libella//practice//EN", "CALSCALE:GREGORIAN"]
    for number, (day, line, items) in enumerate(days, 1):
        lines += [
            "BEGIN:VEVENT",
            f"UID:{id}-{number}@libella",
            f"DTSTAMP:{stamp}",
            f"DTSTART;VALUE=DATE:{day:%Y%m%d}",
            f"DTEND;VALUE=DATE:{day + timedelta(days=1):%Y%m%d}",
            f"SUMMARY:{_text(f'Putting practice, {name}')}",
            f"DESCRIPTION:{_text(chr(10).join([line, *items]))}",
            "END:VEVENT",
        ]
    lines.append("END:VCALENDAR")
    return "\r\n".join(_folded(it) for it in lines) + "\r\n"


def _text(told: str) -> str:
    escaped = told.replace("\\", "\\\\").replace(";", "\\;").replace(",", "\\,")
    return escaped.replace("\r\n", "\n").replace("\n", "\\n")


def _folded(line: str) -> str:
    """Lines no longer than 75 octets: what goes on begins with a space."""
    parts: list[str] = []
    part, size = "", 0
    for letter in line:
        wide = len(letter.encode())
        if size + wide > _FOLD:
            parts.append(part)
            part, size = "", 0
        part, size = part + letter, size + wide
    return "\r\n ".join([*parts, part])
