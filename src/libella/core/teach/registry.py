"""Every teaching drawing, in the order in which they are shown."""

from typing import Final

from .chances import NOISE, TEN
from .sights import MIRROR, STRAIGHT, STRING
from .taught import Teaching
from .windows import CAPTURE, COST, FACE_PATH, GATE

DRAWINGS: Final[dict[str, Teaching]] = {
    it.code: it for it in (COST, GATE, CAPTURE, FACE_PATH, TEN, NOISE, MIRROR, STRING, STRAIGHT)
}
