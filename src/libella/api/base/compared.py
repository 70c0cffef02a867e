"""Conditions compared, as they are sent: of starts and of aims alike."""

from pydantic import BaseModel, Field

from ...core.certainty.verdict import Word
from ...core.certainty.vial import Vial
from ...core.golfer.hand import Hand
from ...core.judge.claims.difference import Difference, Group
from ...core.judge.claims.reads import Compared, asked_in, asked_of
from ...core.judge.explained.every import pair_key
from ...core.measure.units import Units
from ...words.judge.comparison import compared_words, group_name


class PairOut(BaseModel):
    """A condition against the first. `word` is the verdict on what was asked, null before the planned end."""

    name: str
    word: Word | None
    headline: str
    others: tuple[str, ...] = Field(description="what else was read of both, a sentence each")
    why: tuple[str, ...] = Field(description="what opens the headline, then each of `others`; empty: nothing to open")


class ShareOut(BaseModel):
    """How often what was asked was as is wanted, of how many."""

    times: int
    of: int


class ComparedOut(BaseModel):
    """Conditions compared: what was asked first, then everything else that was read of both."""

    headline: str
    names: list[str]
    vials: tuple[Vial, ...] = Field(description="of each condition, where a level was asked for")
    pairs: list[PairOut]
    note: str
    shares: tuple[ShareOut, ...] = Field(description="of each condition, where the question is of what was noted")

    @staticmethod
    def of(it: Compared | None, kind: str, names: list[str], hand: Hand, units: Units) -> "ComparedOut":
        said = compared_words(it, kind, hand, units)
        if it is None:
            return ComparedOut(headline=said.headline, names=names, vials=(), pairs=[], note=said.note, shares=())
        asked = asked_of(it.question, it.of)
        told = [next((one for one in all_ if one.quantity.name == asked), None) for _, all_ in it.others]
        known = [one for one in told if one is not None]
        read = [(group, all_, one) for (group, all_), one in zip(it.others, told, strict=True) if all_]
        pairs = [
            PairOut(
                name=pair.name,
                word=_word(one, it),
                headline=pair.headline,
                others=pair.others,
                why=_why(it, group, all_),
            )
            for pair, (group, all_, one) in zip(said.pairs, read, strict=True)
        ]
        levels = [one for one in known if one.first is not None and one.second is not None]
        shares = [one.shares for one in known if one.shares is not None]
        vials = (
            (levels[0].first.vial, *(one.second.vial for one in levels if one.second))
            if levels and levels[0].first and len(levels) == len(it.others)
            else ()
        )
        wanted = known[0].quantity.good if known else ""
        counts = [shares[0][0], *(pair[1] for pair in shares)] if shares and len(shares) == len(it.others) else []
        return ComparedOut(
            headline=said.headline,
            names=[group_name(group) for group in (it.first, *(group for group, _ in it.others))],
            vials=vials,
            pairs=pairs,
            note=said.note,
            shares=tuple(ShareOut(times=one.times(wanted or one.told), of=one.of) for one in counts),
        )


def _why(it: Compared, group: Group, told: tuple[Difference, ...]) -> tuple[str, ...]:
    asked = asked_in(told, it)
    rest = (pair_key(it, group, one) for one in told if one is not asked)
    return ("" if asked is None else pair_key(it, group, asked), *rest)


def _word(asked: Difference | None, whole: Compared) -> Word | None:
    if not whole.final or asked is None:
        return None
    if whole.question == "spread" and asked.steadier is not None:
        return asked.steadier.word
    if whole.question == "window" and asked.inside is not None:
        return asked.inside[1].word
    return asked.call.word
