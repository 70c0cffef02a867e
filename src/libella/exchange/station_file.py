"""A station as a JSON file, to be shared; see docs/formats/station.md.

The file says what it is and in which version, and holds the putt and the rig with their units in the names. It holds no
proof: that belongs to the line it was made on.
"""

from collections.abc import Mapping
from typing import Any, Final

from ..core.limits import OutOfLimits
from ..lessons.stations import StationEntry

FORMAT: Final = "libella-station"
VERSION: Final = 1
_PUTT = ("distance_m", "past_m", "stimp_ft", "falls_forward_percent", "falls_right_percent")
_LONGEST_NAME = 80


def to_document(name: str, entry: StationEntry) -> dict[str, Any]:
    """The file's content."""
    return {
        "format": FORMAT,
        "version": VERSION,
        "name": name,
        "putt": {it: getattr(entry, it) for it in _PUTT} | {"capture": entry.capture},
        "rig": {"kind": entry.rig_kind, "sizes_m": dict(entry.rig_sizes_m)},
    }


def from_document(document: object) -> tuple[str, StationEntry]:
    """Name and station of a file's content; `OutOfLimits` names what doesn't fit, nothing is guessed."""
    whole = _object(document, "file", {"format", "version", "name", "putt", "rig"})
    if whole["format"] != FORMAT:
        raise _unfit("format", f"This is not a station of Libella's: its format is {whole['format']!r}.", FORMAT)
    if whole["version"] != VERSION:
        said = f"This file is of version {whole['version']!r}; version {VERSION} can be read."
        raise _unfit("version", said, str(VERSION))
    name = whole["name"]
    if not isinstance(name, str) or not 1 <= len(name.strip()) <= _LONGEST_NAME or not name.isprintable():
        raise _unfit("name", "The station's name can't be used.", f"1 to {_LONGEST_NAME} printable characters")
    putt = _object(whole["putt"], "putt", {*_PUTT, "capture"})
    rig = _object(whole["rig"], "rig", {"kind", "sizes_m"})
    numbers = {it: _number(putt[it], f"putt.{it}") for it in _PUTT}
    if putt["capture"] not in ("rim_assisted", "free_fall"):
        raise _unfit("putt.capture", "The capture limit is not known here.", "rim_assisted or free_fall")
    if not isinstance(rig["kind"], str) or not isinstance(rig["sizes_m"], dict):
        raise _unfit("rig", "The rig needs a kind and its sizes.", "kind and sizes_m")
    sizes = {str(key): _number(value, f"rig.sizes_m.{key}") for key, value in rig["sizes_m"].items()}
    entry = StationEntry(rig_kind=rig["kind"], rig_sizes_m=sizes, capture=putt["capture"], **numbers)
    entry.station()
    return name.strip(), entry


def _object(value: object, field: str, keys: set[str]) -> Mapping[str, Any]:
    if not isinstance(value, dict) or set(value) != keys:
        needed = ", ".join(sorted(keys))
        raise _unfit(field, f"The {field} must hold {needed}, and nothing else.", needed)
    return value


def _number(value: object, field: str) -> float:
    if isinstance(value, bool) or not isinstance(value, (int, float)):
        raise _unfit(field, f"{field} must be a number.", "a number")
    return float(value)


def _unfit(field: str, message: str, limit: str) -> OutOfLimits:
    return OutOfLimits(field, message, limit=limit, unit="")
