"""Sensors and what they are zeroed by, in words."""

from typing import Final

from ...core.start.clock import Clock
from ...core.start.stroke import SensorKind

SENSORS: Final[dict[SensorKind, str]] = {
    "face_and_path": "Face-and-path sensor",
    "start_board": "Start-line board",
    "level": "Wireless level",
}
UNKEPT: Final[dict[str, str]] = {
    "unpaired": "This sensor is not paired any more.",
    "lesson_voided": "The sensor's lesson is voided.",
    "lesson_ended": "The sensor's lesson has ended.",
}
"""Why a stroke that was told is not kept."""
_NOTHING_DEG = 0.05


def zero_words(face_deg: float, noise_deg: float) -> str:
    """What a zero took off: how far the sensor was out against the square reference."""
    if abs(face_deg) < _NOTHING_DEG:
        return (
            f"Read open or closed by nothing against the reference (± {noise_deg:.1f}° from reading to reading); "
            "taken off since."
        )
    side = "right" if face_deg > 0 else "left"
    return (
        f"Read {abs(face_deg):.1f}° {side} against the reference (± {noise_deg:.1f}° from reading to reading); "
        "taken off since."
    )


def clock_words(clock: Clock, strokes: int, unmatched: int) -> str:
    """How a device's clock stands, and what that does to its strokes; `unmatched` of them fit no putt."""
    said: list[str] = []
    if clock.out:
        off = f"{abs(clock.behind_s):.0f} s"
        said.append(
            f"Its clock is about {off} slow: its strokes count as made so much later."
            if clock.behind_s > 0
            else f"Its clock is about {off} fast: its strokes count as made so much earlier."
        )
    if unmatched and strokes:
        if strokes == 1:
            said.append("Its stroke fits no putt by the times, and is put to none.")
        elif unmatched == 1:
            said.append(f"1 of its {strokes} strokes fits no putt by the times, and is put to none.")
        else:
            said.append(f"{unmatched} of its {strokes} strokes fit no putt by the times, and are put to none.")
        if clock.asks_tap(strokes, unmatched):
            said.append("To know its clock, tap “Now” at the very moment of the next stroke.")
    return " ".join(said)


def silent_words(seconds: float) -> str:
    """A paired device that told nothing for a while."""
    if seconds < 100:
        long = f"{seconds:.0f} s"
    else:
        long = f"{seconds / 60:.0f} min" if seconds < 5400 else f"{seconds / 3600:.0f} h"
    return f"Nothing heard from it for {long}: is it on, and near enough?"
