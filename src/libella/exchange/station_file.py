"""A station as a JSON file, to be shared; see docs/formats/station.md.

The file says what it is and in which version, and holds the putt and the rig with their units in the names. It holds no
proof: that belongs to the line it was made on.
"""

from collections.abc import Mapping
from dataclasses import asdict
from typing import Any, Final, cast

from ..core.green.read import Read
from ..core.measure.limits import OutOfLimits
from ..lessons.set.stations import AidEntry, StationEntry

FORMAT: Final = "libella-station"
VERSION: Final = 3
_FIRST_PUTT = ("distance_m", "past_m", "green_speed_ft", "falls_forward_percent", "falls_right_percent")
_PUTT = (*_FIRST_PUTT, "falls_doubt_percent")
_LATER = {"aids", "backstroke_m"}
_LONGEST_NAME = 80


def to_document(name: str, entry: StationEntry) -> dict[str, Any]:
    """The file's content."""
    read = entry.read
    return {
        "format": FORMAT,
        "version": VERSION,
        "name": name,
        "putt": {it: getattr(entry, it) for it in _PUTT}
        | {"capture": entry.capture, "target": entry.target, "read": None if read is None else asdict(read)},
        "rig": {"kind": entry.rig_kind, "sizes_m": dict(entry.rig_sizes_m), "across_m": entry.across_m},
        "aids": [{"kind": it.kind, "sizes": dict(it.sizes)} for it in entry.aids],
        "backstroke_m": entry.backstroke_m,
    }


def from_document(document: object) -> tuple[str, StationEntry]:
    """Name and station of a file's content, of this version or an earlier one; `OutOfLimits` names what doesn't fit,
    nothing is guessed."""
    if not isinstance(document, dict) or "format" not in document or "version" not in document:
        raise OutOfLimits("file", "station_no_format")
    if document["format"] != FORMAT:
        raise OutOfLimits("format", "station_other_format", told=str(document["format"]), format=FORMAT)
    if document["version"] not in range(1, VERSION + 1) or isinstance(document["version"], bool):
        raise OutOfLimits("version", "station_version", told=str(document["version"]), newest=VERSION)
    first = document["version"] == 1
    if document["version"] < VERSION:
        document = _renamed(document)
    whole = _object(document, "file", {"format", "version", "name", "putt", "rig"} | (set() if first else _LATER))
    name = whole["name"]
    if not isinstance(name, str) or not 1 <= len(name.strip()) <= _LONGEST_NAME or not name.isprintable():
        raise OutOfLimits("name", "station_name", longest=_LONGEST_NAME)
    numbers = _FIRST_PUTT if first else _PUTT
    putt = _object(whole["putt"], "putt", {*numbers, "capture"} | (set() if first else {"target", "read"}))
    rig = _object(whole["rig"], "rig", {"kind", "sizes_m"} | (set() if first else {"across_m"}))
    values: dict[str, Any] = {it: _number(putt[it], f"putt.{it}") for it in numbers}
    values["capture"] = _one_of(putt["capture"], "putt.capture", ("rim_assisted", "free_fall"))
    if not first:
        values["target"] = _one_of(putt["target"], "putt.target", ("computed", "read"))
        values["read"] = None if putt["read"] is None else _read(putt["read"])
        values["across_m"] = _number(rig["across_m"], "rig.across_m")
        values["aids"] = _aids(whole["aids"])
        back = whole["backstroke_m"]
        values["backstroke_m"] = None if back is None else _number(back, "backstroke_m")
    entry = StationEntry(
        rig_kind=_kind(rig["kind"], "rig.kind"), rig_sizes_m=_sizes(rig["sizes_m"], "rig.sizes_m"), **values
    )
    entry.station()
    return name.strip(), entry


_OLD_PUTT: Final = {"stimp_ft": "green_speed_ft"}
_OLD_KINDS: Final = {"bridge": "bridge_gate"}


def _renamed(document: Mapping[str, Any]) -> dict[str, Any]:
    """A file of version 1 or 2 in the names of today. What isn't of the right kind stays, to be refused by its name."""

    def kind(it: object) -> object:
        if not isinstance(it, dict) or not isinstance(it.get("kind"), str):
            return it
        return it | {"kind": _OLD_KINDS.get(it["kind"], it["kind"])}

    new = dict(document)
    if isinstance(new.get("putt"), dict):
        new["putt"] = {_OLD_PUTT.get(key, key): it for key, it in new["putt"].items()}
    if "rig" in new:
        new["rig"] = kind(new["rig"])
    if isinstance(new.get("aids"), list):
        new["aids"] = [kind(it) for it in new["aids"]]
    return new


def _read(value: object) -> Read:
    read = _object(value, "putt.read", {"place", "side", "outside_m"})
    return Read(
        _one_of(read["place"], "putt.read.place", ("centre", "inside_edge", "edge", "outside")),
        _one_of(read["side"], "putt.read.side", ("left", "right")),
        _number(read["outside_m"], "putt.read.outside_m"),
    )


def _aids(value: object) -> tuple[AidEntry, ...]:
    if not isinstance(value, list):
        raise OutOfLimits("aids", "aids_no_list")
    found: list[AidEntry] = []
    for n, it in enumerate(cast("list[object]", value)):
        aid = _object(it, f"aids.{n}", {"kind", "sizes"})
        found.append(AidEntry(_kind(aid["kind"], f"aids.{n}.kind"), _sizes(aid["sizes"], f"aids.{n}.sizes")))
    return tuple(found)


def _kind(value: object, field: str) -> str:
    if not isinstance(value, str):
        raise OutOfLimits(field, "kind_no_name")
    return value


def _sizes(value: object, field: str) -> dict[str, float]:
    if not isinstance(value, dict):
        raise OutOfLimits(field, "sizes_no_numbers")
    named = cast("dict[str, object]", value)
    return {str(key): _number(size, f"{field}.{key}") for key, size in named.items()}


def _one_of(value: object, field: str, options: tuple[str, ...]) -> Any:
    if value not in options:
        raise OutOfLimits(field, "file_no_option", name=field, told=str(value), options=options)
    return value


def _object(value: object, field: str, keys: set[str]) -> Mapping[str, Any]:
    if not isinstance(value, dict) or set(value) != keys:
        raise OutOfLimits(field, "file_keys", name=field, known=tuple(sorted(keys)))
    return value


def _number(value: object, field: str) -> float:
    if isinstance(value, bool) or not isinstance(value, (int, float)):
        raise OutOfLimits(field, "file_no_number", name=field)
    try:
        return float(value)
    except OverflowError:
        # A number of hundreds of digits is none that anybody measured.
        raise OutOfLimits(field, "file_no_number", name=field) from None
