"""The unit of every number in the API's description: in its name, with its field, or else here."""

from typing import Any, Final, cast

SUFFIXES: Final = ("_m", "_mm", "_deg", "_s", "_percent", "_ft", "_min")
"""Units that a field's name ends with."""
_DRAWN: Final = "mm in true size where the picture is to scale; right and down positive"
_BY_SIZE: Final = "by dimension of the instrument, in that dimension's unit: m, deg or %"
_LIMIT: Final = "in the entry's own unit"
_PUTTS: Final = "putts of a hundred"
_CHANCE: Final = "a chance, 0 to 1"
_RAW: Final = "a reading as it was tapped: lengths in m, angles in degrees, words by their code"
_POSITION: Final = "by lever, from the usual set-up, in the lever's unit: mm or deg"
_VIAL: Final = "in the vial's unit, right positive"
UNITS: Final[dict[str, str]] = {
    **dict.fromkeys(("x", "y", "x1", "y1", "x2", "y2", "x_end", "y_at", "y_low", "y_high", "points", "r"), _DRAWN),
    **dict.fromkeys(("Scene.left", "Scene.top", "Scene.right", "Scene.bottom"), _DRAWN),
    "Tape.per": "mm of the dimension for each mm that its second end is pulled",
    **dict.fromkeys(("sizes", "RemedyWords.value"), _BY_SIZE),
    **dict.fromkeys(("raw", "raws"), _RAW),
    **dict.fromkeys(("position", "reach", "LeverOut.step", "FirstLookOut.moved"), _POSITION),
    **dict.fromkeys(("low", "high", "default", "step"), _LIMIT),
    "notes": "by note, in the note's own unit, or its word",
    "values": "by entry of the set-up, in its own unit, or its word",
    "measures": "by measure, in its own unit: deg, mm or s; right, toe and high positive",
    **dict.fromkeys(("Estimate.value", "Estimate.low", "Estimate.high"), "in the unit of what it estimates"),
    "k": "a share, 0 to 1",
    "RigSightOut.share": "half the finest reading as a share of the window's narrower side",
    **dict.fromkeys(("mark", "to_mark", "added", "face", "angle", "before", "after"), "deg, right positive"),
    "noise": "deg, one standard deviation",
    **dict.fromkeys(("inside", "behind", "wander", "weighed", "weighed_behind"), "mm"),
    "zone": "mm inside the line, from and to",
    **dict.fromkeys(("Slope.forward_doubt", "Slope.right_doubt"), "%, one standard deviation"),
    **dict.fromkeys(
        (
            "Cost.right",
            "Cost.left",
            "Cost.small",
            "Verdict.probability",
            "Grounds.right",
            "Grounds.left",
            "Grounds.small",
            "Grounds.clear",
            "prob_inside",
            "truer",
            "enough",
        ),
        _CHANCE,
    ),
    **dict.fromkeys(("Summary.prob_right", "prob_steadier_matters"), _CHANCE),
    **dict.fromkeys(("Summary.bias", "Summary.spread"), "deg, right positive"),
    **dict.fromkeys(("Summary.inside", "gain_unbiased", "gain_steadier"), "a share of putts, 0 to 1"),
    **dict.fromkeys(("Cost.mean", "Verdict.cost", "FindingOut.weight", "GainOut.putts"), _PUTTS),
    **dict.fromkeys(("LevelBandOut.cost", "lost_inside"), _PUTTS),
    **dict.fromkeys(("LikelihoodTable.before", "spreads_before"), "log of what is believed, counted from anywhere"),
    **dict.fromkeys(("LikelihoodTable.first", "ZoneRow.at", "away"), "deg, right positive"),
    "log_spreads": "log of a spread in deg",
    "shared": "weights, together 1",
    "LooksStraight.zone": "deg, half its width",
    **dict.fromkeys(("LooksStraight.right", "LooksStraight.left"), _CHANCE),
    "Lessened.weight": "as many whole readings as they count together",
    "Part.at": "where its middle stands as usual, mm of the picture",
    "PlaceDrawn.eyes": "each eye about the head's middle, mm of the picture",
    "Pull.x": "mm of the picture to the right for one unit of the lever",
    "Pull.y": "mm of the picture down for one unit of the lever",
    "Pull.turn": "degrees on the picture for one unit of the lever",
    "UsualLengthIn.weight": "how often it is putted beside the other lengths",
    "spot_putts": "putts",
    "WanderWords.spread": "in the unit of its entry of the set-up",
    "NoteOut.usual": "in the note's own unit",
    "wandering": _CHANCE,
    **dict.fromkeys(("Vial.reach", "mark_left", "mark_right", "bubble_at", "bubble_low", "bubble_high"), _VIAL),
    **dict.fromkeys(("film_low", "film_high", "Tick.low", "Tick.high", "Tick.at"), _VIAL),
    **dict.fromkeys(
        ("ZoneOut.low", "ZoneOut.high", "ZoneOut.at"), "in the unit of what is read, as the picture has it"
    ),
}
"""By field, and by schema and field where one name has several."""


def with_units(document: dict[str, Any]) -> dict[str, Any]:
    """The description with the unit of every number that has none in its name and no words of its own."""
    for schema, name, field in numbers(document):
        if unit := UNITS.get(f"{schema}.{name}") or UNITS.get(name):
            field["description"] = unit
    return document


def numbers(document: dict[str, Any]) -> list[tuple[str, str, dict[str, Any]]]:
    """Every field that is a number, or holds some, and does not say its unit: its schema, its name, itself."""
    found: list[tuple[str, str, dict[str, Any]]] = []
    for schema, it in document["components"]["schemas"].items():
        for name, field in it.get("properties", {}).items():
            if _holds_number(field) and not name.endswith(SUFFIXES) and "description" not in field:
                found.append((schema, name, field))
    return found


def _holds_number(it: Any) -> bool:
    """A number, an estimate of one, or anything with one of them in it."""
    if isinstance(it, list):
        return any(map(_holds_number, cast(list[Any], it)))
    if not isinstance(it, dict):
        return False
    told = cast(dict[str, Any], it)
    is_one = told.get("type") == "number" or str(told.get("$ref", "")).endswith("/Estimate")
    return is_one or any(map(_holds_number, told.values()))
