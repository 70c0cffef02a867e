"""What was said of a single reading, in words."""

from typing import Final

from ...core.measure.flag import FLAGS, Lessened

FLAG_NAMES: Final = {
    "rough": "read roughly",
    "talked_through": "talked through",
    "unverified": "angle not verified",
}
"""The names of `core.measure.flag.FLAGS`."""
_SHARES: Final = {0.5: "a half", 0.25: "a quarter"}


def flag_choices() -> dict[str, str]:
    """Each flag with what it takes: "read roughly: counts a half"."""
    return {name: f"{FLAG_NAMES[name]}: counts {_SHARES[it.weight]}" for name, it in FLAGS.items()}


def lessened_words(it: Lessened | None) -> str:
    """Of readings that count less; begins with a space, empty where all count whole."""
    if it is None:
        return ""
    whole = f"{it.weight:.2f}".rstrip("0").rstrip(".")
    if it.times == 1:
        return f" One is flagged and counts as {whole} of a reading, an opinion."
    word = "reading" if it.weight <= 1 else "readings"
    return f" {it.times} are flagged and count as {whole} {word} together, an opinion."
