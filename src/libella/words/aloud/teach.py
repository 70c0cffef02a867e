"""What teaching drawings say."""

from dataclasses import replace

from ...core.golfer.band import usual_band
from ...core.green.putt import Putt
from ...core.green.usual import USUAL, usual_mix
from ...core.teach.registry import DRAWINGS
from ...core.teach.taught import Known
from ..teach import drawings
from .reading import Reading


def teach_aloud(it: Reading) -> None:
    """Every drawing at the start and with each lever at its ends, of a golfer who was read and of one who was not."""
    putt = Putt(2.0, 0.35, 10)
    unread = Known(it.hand, putt, usual_mix(putt, USUAL()), 0.0, usual_band("club").spread_deg["start"])
    read = replace(unread, bias_deg=1.2, path_deg=-2.4, own=frozenset({"bias_deg", "path_deg"}))

    def label(code: str, value: float) -> str:
        it.say("aim", drawings.label_said, code, value, it.units)
        return drawings.label_said(code, value, it.units)

    for drawing in DRAWINGS.values():
        for known in (unread, read):
            it.say("aim", drawings.own_said, drawing, known)
            starts = drawing.starts(known)
            for lever in drawing.levers:
                it.say("aim", drawings.lever_said, lever)
                for value in (lever.low, starts[lever.code], lever.high):
                    it.say("aim", drawings.value_said, lever, value, it.units)
                    shown = drawing.draw(starts | {lever.code: value}, known, label)
                    it.say("aim", drawings.told_said, shown, it.units)
                    it.say("aim", drawings.scale_said, shown)
