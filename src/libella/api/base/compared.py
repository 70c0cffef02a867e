"""Conditions compared, as they are sent: of starts and of aims alike."""

from pydantic import BaseModel, Field

from ...core.certainty.verdict import Word
from ...core.certainty.vial import Vial
from ...core.estimate.comparison import Comparison
from ...core.estimate.shares import Share
from ...core.judge.comparing import Compared
from ...core.measure.units import Units
from ...words.judge.comparison import compared_words
from ...words.judge.tables import Table, table_words


class PairOut(BaseModel):
    """A condition against the first. `word` is the verdict on what was asked, null before the planned end."""

    name: str
    word: Word | None
    headline: str
    comparison: Comparison | None = Field(description="null where what was noted is compared")


class ComparedOut(BaseModel):
    """Conditions compared, each with its vial; the pairs, and the chances behind them as a table."""

    headline: str
    vials: tuple[Vial, ...]
    pairs: list[PairOut]
    table: Table | None
    note: str
    shares: tuple[Share, ...] = Field(description="of each condition, where the question is of what was noted")

    @staticmethod
    def of(it: Compared, units: Units) -> "ComparedOut":
        said = compared_words(it)
        pairs = [
            PairOut(
                name=pair.name, word=pair.call.word if it.final else None, headline=words, comparison=pair.comparison
            )
            for pair, words in zip(it.pairs, said.pairs, strict=True)
        ]
        table = None if it.table is None else table_words(it.table, units)
        return ComparedOut(
            headline=said.headline, vials=it.vials, pairs=pairs, table=table, note=said.note, shares=it.shares
        )
