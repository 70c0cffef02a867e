"""Sensors and what they are zeroed by, in words."""

from typing import Final

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
