"""Face aim: off at address by itself, not with the mark and not with the picture; the stroke adds nothing to it."""

from dataclasses import replace

from ....certainty.estimate import told_by
from ...claims.level import Level
from ..case import Case
from ..finding import Fact, FactCode, Finding, needs
from ..pictures.drawn import link
from ..rule import Rule

SET_DOWNS = 5


def find(case: Case) -> Finding:
    ledger = case.ledger
    read = max(ledger.count(name) for name in ("face", "to_mark", "address"))
    missing = needs(("set_downs", read, SET_DOWNS))
    face, address, to_mark = (case.level(name) for name in ("face", "address", "to_mark"))
    told = [it for it in (face, address, to_mark) if it is not None]
    if told and not any(it.is_sized for it in told):
        # Words tell a side and no size: then what it costs stays a question.
        missing = missing or needs(("aims_deg", 0, SET_DOWNS))
    facts: list[Fact] = []
    shown: tuple[tuple[FactCode, Level | None], ...] = (
        ("aim_off", face),
        ("aim_sensed", address),
        ("putter_off_mark", to_mark if not face else None),
    )
    for what, level in shown:
        if level is not None:
            speaks = "for" if level.bias.is_one_side else "against"
            if level.beyond is not None:
                # Words and wide zones say a side and no size.
                side, times = level.beyond.side, level.beyond.times
                speaks = "for" if level.side.names_direction else "against"
                facts.append(Fact("aim_side", speaks, number=times, of=level.count, at=level.at, side=side))
                continue
            if not level.is_sized:
                continue
            facts.append(Fact(what, speaks, level.bias, number=level.count, at=level.at))
    whole = told_by(case.joint.aim)
    picture, mark = case.level("looks_straight"), case.level("mark")
    if picture is not None and picture.is_sized and facts and picture.bias.is_one_side:
        same = picture.bias.value * whole.value > 0
        what = "picture_explains" if same else "picture_the_other_way"
        facts.append(Fact(what, "against" if same else "for", picture.bias, number=picture.count, at=picture.at))
    if mark is not None and mark.bias.is_one_side and facts:
        facts.append(Fact("mark_explains", "against", mark.bias, number=mark.count, at=mark.at))
    # Of readings that say a side and no size none is told, whatever the starts make likely.
    sized = any(it is not None and it.is_sized for it in (face, address, to_mark))
    size = told_by(case.joint.at_start["aim"] / ledger.k.value) if sized else None
    # What the picture or the mark account for is told with them: what is sized then is what is left.
    own = sized and (case.told.mark is not None or case.told.beta is not None)
    if sized and not own:
        size = case.as_read("face", "address") or size
    found = case.by_link("face_aim", "aim", size, facts, missing)
    return replace(found, kind="own") if own else found


RULE = Rule(
    "face_aim",
    "Face aim",
    "Set the putter down against the square reference, then without it, and look only afterwards.",
    find,
    link("face"),
    "face aim",
)
