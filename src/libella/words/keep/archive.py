"""Archives in words: what one holds, what is wrong with it, what taking it in came to."""

import re
from collections.abc import Mapping, Sequence
from typing import Final, Protocol

from ..shared.counts import listed
from ..shared.refusals import Template, filled

REFUSALS: Final[dict[str, Template]] = {
    "archive_no_zip": (
        "This is no archive: it is no ZIP file, or its end is missing.",
        "a file made by “Everything out”",
    ),
    "archive_no_manifest": (
        "This ZIP file says nothing of itself: its manifest is missing or can’t be read.",
        "a whole archive",
    ),
    "archive_other": ("This is an archive of something else.", "a file made by “Everything out”"),
    "archive_newer": (
        "This archive is of version {told}, made by a newer Libella; versions up to {newest} can be read here.",
        "bring this Libella up to date first",
    ),
    "archive_manifest": ("The archive’s manifest does not fit: {where}.", "a whole archive"),
    "archive_many": ("The archive holds more files than any of ours.", "at most {most} files"),
    "archive_name": (
        "A file in it is called “{named}”: no archive of ours holds such a name, so none of it is taken in.",
        "names as in docs/formats/archive.md",
    ),
    "archive_file_twice": ("“{named}” is in it twice.", "every file once"),
    "archive_locked": ("The archive is locked with a passphrase.", "an archive that is not locked"),
    "archive_bomb": (
        "It was packed to burst: {named} unpacks to far more than rows ever do. Nothing of it was unpacked.",
        "an archive of ours",
    ),
    "archive_file_large": ("“{named}” is larger than any file of ours.", "at most {most_mb} MB a file"),
    "archive_damaged": (
        "It is damaged: {file}. What can’t be read whole is not taken in by half.",
        "a whole copy of it",
    ),
    "archive_twice": ("Two rows of the table {table} have one id.", "every row once"),
    "archive_rows": (
        "Rows of the table {table} can’t be kept: something in them is missing or out of bounds.",
        "a whole archive",
    ),
    "archive_refers": ("Rows of the table {table} belong to {to} rows that are not in the archive.", "a whole archive"),
    "archive_elsewhere": (
        "Rows of the table {table} stand here already and belong to somebody else.",
        "an archive of this golfer",
    ),
    "archive_unreadable": (
        "What it says of {whose} can’t be read: a size or a reading is none that can be. Nothing of it was kept.",
        "a whole archive",
    ),
    "archive_large": ("The archive is too large.", "at most {most_mb} MB, in pieces of 8 MB"),
    "archive_part": ("There is no such piece.", "0 to {most}"),
}
"""Why an archive can't be taken in, and what could."""
CONFLICTS: Final[dict[str, Template]] = {
    "archive": ("Another archive has this id.", "Begin it anew."),
    "archive_worked_on": ("This archive is being worked on.", "Wait for it, or stop it."),
    "archive_not_read": ("This archive was not looked through yet, or can’t be taken in.", "Look at it first."),
    "archive_not_made": ("This archive is not made yet.", "Wait for it."),
}
DAMAGES: Final[dict[str, str]] = {
    "archive_file_untold": "the manifest does not know it",
    "archive_file_missing": "it is missing",
    "archive_file_broken": "it can’t be unpacked",
    "archive_file_changed": "it is not what was packed: it was damaged or changed since",
    "archive_table_unknown": "there is no such table here",
    "archive_rows_missing": "it holds fewer or more rows than the manifest says",
    "archive_no_photograph": "it is no photograph as Libella keeps them",
    "archive_row": "a row does not fit: {where}",
}
_TOLD: Final[dict[str, tuple[str, str]]] = {
    "golfer": ("golfer", "golfers"),
    "lesson": ("lesson", "lessons"),
    "block": ("block", "blocks"),
    "reading": ("putt", "putts"),
    "set_down": ("set-down", "set-downs"),
    "sight_trial": ("answer on what looks straight", "answers on what looks straight"),
    "eye_take": ("look at the eyes", "looks at the eyes"),
    "noted_change": ("change", "changes"),
    "drill_run": ("run of a drill", "runs of drills"),
    "golf_round": ("round", "rounds"),
    "set_up_photo": ("photograph", "photographs"),
}
"""Tables whose rows are counted in a sentence: one of them, and several."""
_OTHER: Final = ("other row", "other rows")


class _Damage(Protocol):
    @property
    def file(self) -> str: ...
    @property
    def code(self) -> str: ...
    @property
    def needed(self) -> bool: ...
    @property
    def facts(self) -> Sequence[tuple[str, str]]: ...


class Found(Protocol):
    """What reading an archive found, and what taking it in came to."""

    @property
    def of(self) -> str: ...
    @property
    def scope(self) -> str: ...
    @property
    def invented(self) -> bool: ...
    @property
    def made_at(self) -> str: ...
    @property
    def golfers(self) -> Sequence[str]: ...
    @property
    def counts(self) -> Sequence[tuple[str, int]]: ...
    @property
    def new(self) -> Sequence[tuple[str, int]]: ...
    @property
    def here(self) -> int: ...
    @property
    def otherwise(self) -> int: ...
    @property
    def rows_otherwise(self) -> Sequence[tuple[str, str]]: ...


def file_name(of: str, invented: bool) -> str:
    """What the file of an archive is called.

    >>> file_name("Juni à Thal", True)
    'libella-juni-à-thal-invented-demo.zip'
    """
    plain = re.sub(r"[^\w]+", "-", of.lower()).strip("-")[:60] or "archive"
    return f"libella-{plain}{'-invented-demo' if invented else ''}.zip"


def found_said(it: Found) -> list[str]:
    """What an archive on its way in is of and holds; empty before it was looked at."""
    if not it.of:
        return []
    what = "the whole studio" if it.scope == "studio" else "one golfer"
    label = " It holds the invented demo: nobody in it is real." if it.invented else ""
    of = f"“{it.of}”, {what}, as of {it.made_at[:10]}.{label}"
    names = [] if it.scope == "golfer" or not it.golfers else [f"With {listed(list(it.golfers))}{_more(it)}."]
    return [of, *names, f"It holds {_counts(it.counts)}."]


def _more(it: Found) -> str:
    more = dict(it.counts).get("golfer", 0) - len(it.golfers)
    return f" and {more} more" if more > 0 else ""


def taken_said(it: Found) -> list[str]:
    """What taking it in came to."""
    said = [f"New here: {_counts(it.new)}." if it.new else "Nothing in it is new here."]
    if it.here:
        said.append(f"{it.here} of its rows stood here already, and say the same.")
    if it.otherwise:
        some = ", ".join(f"{table.replace('_', ' ')} {id}" for table, id in it.rows_otherwise[:3])
        said.append(
            f"{it.otherwise} of its rows stand here and say something else; they stay as they are here: {some}"
            f"{' and more' if it.otherwise > 3 else ''}."
        )
    return said


def damage_said(it: _Damage) -> str:
    """A damaged file, and what that means."""
    why = DAMAGES[it.code].format_map(dict(it.facts))
    return f"{it.file}: {why}{'' if it.needed else '; it is not needed, the rows are whole'}."


def refused_said(code: str, facts: Mapping[str, str]) -> str:
    """Why it can't be taken in; empty where it can."""
    if not code:
        return ""
    what, would = REFUSALS[code]
    would = filled(would, facts, "metric")
    return f"{filled(what, facts, 'metric')} What would do: {would}."


def _counts(counts: Sequence[tuple[str, int]]) -> str:
    told = [_count(count, *_TOLD[name]) for name, count in counts if name in _TOLD and count]
    rest = sum(count for name, count in counts if name not in _TOLD)
    return listed([*told, _count(rest, *_OTHER)] if rest else told) if told or rest else "nothing"


def _count(count: int, one: str, many: str) -> str:
    return f"{count} {one if count == 1 else many}"
