"""What can be noted of a putt, as it is sent."""

from collections.abc import Mapping

from pydantic import BaseModel, Field

from ...core.measure.units import Units
from ...core.start.notes import Half, Note, When


class NoteOut(BaseModel):
    """Something that can be noted of a putt by one tap."""

    note: str
    label: str
    question: str
    options: dict[str, str] = Field(description="what can be tapped: codes, each with its name")
    when: When
    columns: int
    unit: str
    low: float
    high: float
    step: float
    usual: tuple[float, ...] = Field(description="sizes told oftenest, each one tap; in the units in use")
    low_word: str
    high_word: str
    needs_hole: bool = Field(description="it tells what became of the ball at the hole")
    needs_string: bool = Field(description="it is seen against a string over the line")
    mirrors: bool = Field(description="its options lie as seen from behind the ball: the other way for a left-hander")
    alone: str = Field(description="several of the others may be noted at once; empty: one is all")
    measures: str = Field(description="of what is laid, the quantity it shows; else empty")
    tells_touch: bool = Field(description="it tells whether something was touched: anything but `alone`")
    after_touch: bool = Field(description="asked only of a putt that touched something, without being asked for")
    after: str = Field(description="the note before it that leaves only a half of it to tell, or nothing; else empty")
    halves: dict[str, Half] = Field(description="by the options of that note: the half of the size left, or none")
    told_by: tuple[str, ...] = Field(description="measures of a stroke that tell it: then nobody is asked")

    @staticmethod
    def every(notes: Mapping[str, Note], units: Units) -> "list[NoteOut]":
        return [NoteOut.of(name, it, units) for name, it in notes.items()]

    @staticmethod
    def of(name: str, it: Note, units: Units) -> "NoteOut":
        bounds, (step, usual) = it.bounds, it.told_in(units)
        return NoteOut(
            note=name,
            label=it.label,
            question=it.question,
            options=dict(it.options),
            when=it.when,
            columns=it.columns,
            mirrors=it.mirrors,
            told_by=it.told_by,
            alone=it.alone,
            measures=it.measures,
            tells_touch=it.tells_touch,
            after_touch=it.after_touch,
            after=it.after,
            halves=dict(it.halves),
            unit=bounds.unit if bounds else "",
            low=bounds.low if bounds else 0.0,
            high=bounds.high if bounds else 0.0,
            step=step,
            usual=usual,
            low_word=it.low_word,
            high_word=it.high_word,
            needs_hole=it.needs_hole,
            needs_string=it.needs_string,
        )
