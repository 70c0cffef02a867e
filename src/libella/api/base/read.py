"""What was read, as it is sent: a claim by its name and sentence, with its vial or its shares."""

from collections.abc import Sequence
from typing import Final, Literal

from pydantic import BaseModel, Field

from ...core.certainty.verdict import Word
from ...core.certainty.vial import Vial
from ...core.estimate.kind import Bounded, Kind, Sided, Sized, Split, Within
from ...core.golfer.hand import Hand
from ...core.judge.claims.level import Level
from ...core.judge.claims.reads import Claim
from ...core.judge.claims.unusable import NotUsed
from ...core.judge.explained.every import claim_key
from ...core.measure.side import Side, side_of
from ...core.measure.units import Units
from ...words.judge.claims import category_name, claim_name, level_said, share_said
from ...words.judge.unusable import not_used_name, not_used_said

KindName = Literal["sided", "split", "bounded", "within", "sized", "share", "unusable"]


class PartOut(BaseModel):
    """A category of a share, and how often."""

    name: str
    times: int


class ClaimOut(BaseModel):
    """One quantity as it was read one way: where it lies, or how often what."""

    key: str = Field(description="names the claim where it is opened; empty where nothing stands on it")
    quantity: str
    name: str
    words: str
    word: Word | None = Field(description="how sure it is that it lies off; null where nobody judges it")
    kind: KindName = Field(description="what its readings can show, and so what may be said of it")
    side: Side = Field(description="to which side it lies, as far as its readings say one")
    count: int
    vial: Vial | None = Field(description="of a level in degrees or of where the eyes are")
    parts: list[PartOut] = Field(description="of a share, the commonest first")
    step: str
    at: str

    @staticmethod
    def of(it: Claim, hand: Hand, units: Units) -> "ClaimOut":
        about = it.quantity
        if isinstance(it, Level):
            drawn = about.sides in ("line", "eyes") and it.vial.bubble_at is not None and it.is_sized
            return ClaimOut(
                key=claim_key(it),
                quantity=about.name,
                name=claim_name(it),
                words=level_said(it, hand, units),
                word=it.call.word if it.call else None,
                kind=kind_name(it.kind),
                side=_side(it),
                count=it.count,
                vial=it.vial if drawn else None,
                parts=[],
                step=it.at.step,
                at=it.at.id,
            )
        parts = [PartOut(name=category_name(about.name, name), times=n) for name, n in it.counts]
        return ClaimOut(
            key=claim_key(it),
            quantity=about.name,
            name=claim_name(it),
            words=share_said(it),
            word=it.call.word if it.call else None,
            kind="share",
            side=it.call.side if it.call else "neither",
            count=it.of,
            vial=None,
            parts=parts,
            step=it.at.step,
            at=it.at.id,
        )

    @staticmethod
    def every(some: Sequence[Claim], unused: Sequence[NotUsed], hand: Hand, units: Units) -> "list[ClaimOut]":
        """All that was read: what can be used, then what can't."""
        return [*(ClaimOut.of(it, hand, units) for it in some), *(ClaimOut.unused(it, units) for it in unused)]

    @staticmethod
    def unused(it: NotUsed, units: Units) -> "ClaimOut":
        """What was read and can't be used: how many, and why."""
        return ClaimOut(
            key="",
            quantity=it.quantity.name,
            name=not_used_name(it),
            words=not_used_said(it, units),
            word=None,
            kind="unusable",
            side="neither",
            count=it.count,
            vial=None,
            parts=[],
            step=it.at.step,
            at=it.at.id,
        )


_KINDS: Final[dict[type[Kind], KindName]] = {
    Sided: "sided",
    Split: "split",
    Bounded: "bounded",
    Within: "within",
    Sized: "sized",
}


def kind_name(kind: Kind) -> KindName:
    """A kind by the name it is sent under."""
    return _KINDS[type(kind)]


def _side(it: Level) -> Side:
    if it.beyond is not None:
        return it.beyond.side
    return side_of(it.bias.value - it.against) if it.is_sized else "neither"
