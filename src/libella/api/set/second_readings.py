"""Two readers of the same, blind: what each read, how far they agree, the error that counts from then on."""

from datetime import datetime

from pydantic import BaseModel, Field

from ...core.certainty.estimate import Estimate
from ...core.see.second_reader import FEWEST, MOST, READ, Thing, Value
from ...lessons.set import second_readings
from ...lessons.set.second_readings import SecondReading
from ...words.set import second_reader as words
from ..base.router import Router
from ..base.shapes import UUID, UUID7, AtDesk, Entry, InUnits, Moment, VoidIn, Words40

router = Router(tags=["second readings"])


class ReadIn(Entry):
    by: Words40 = Field(min_length=1, description="who read")
    values: list[float | Words40] = Field(min_length=1, max_length=MOST, description="in order: numbers, or zones")
    at: Moment


class FirstIn(ReadIn):
    thing: Words40 = Field(description="what was read")


class ReadZoneOut(BaseModel):
    code: str
    name: str


class ReadThingOut(BaseModel):
    """Something that two can read."""

    thing: Thing
    name: str
    asks: str
    unit: str = Field(description="of a number: mm or deg; empty of zones")
    low: float | None
    high: float | None
    zones: list[ReadZoneOut] = Field(description="in order; empty of numbers")
    fewest: int


class SecondReadingOut(BaseModel):
    """Read by two. What the first read is shown to nobody before the second has read."""

    id: UUID
    thing: Thing
    name: str
    first_by: str
    second_by: str
    taken_at: datetime
    readings: int
    first: list[float | str] | None = Field(description="in the thing's unit, or zones")
    second: list[float | str] | None = Field(description="of the same, in the same order")
    error: Estimate | None = Field(
        description="how far a single reading is off, one standard deviation, in the thing's unit; of stillness: the "
        "share that is wrong"
    )
    words: list[str]
    voided: bool


@router.get("/second-readings/things")
def things() -> list[ReadThingOut]:
    """Everything that two can read."""
    return [
        ReadThingOut(
            thing=thing,
            name=words.NAMES[thing],
            asks=words.ASKS[thing],
            unit=it.bounds.unit if it.bounds else "",
            low=it.bounds.low if it.bounds else None,
            high=it.bounds.high if it.bounds else None,
            zones=[ReadZoneOut(code=code, name=words.ZONES[code]) for code in it.zones],
            fewest=FEWEST,
        )
        for thing, it in READ.items()
    ]


@router.get("/second-readings")
def every(desk: AtDesk, units: InUnits = "metric") -> list[SecondReadingOut]:
    """Everything read by two, newest first."""
    return [_out(it, units) for it in second_readings.second_readings(desk)]


@router.put("/second-readings/{id}")
def first(desk: AtDesk, id: UUID7, entry: FirstIn, units: InUnits = "metric") -> SecondReadingOut:
    """Keep what the first reader read."""
    return _out(second_readings.read_first(desk, id, entry.thing, entry.by, _values(entry), entry.at), units)


@router.put("/second-readings/{id}/second")
def second(desk: AtDesk, id: UUID, entry: ReadIn, units: InUnits = "metric") -> SecondReadingOut:
    """Keep what the second reader read of the same."""
    return _out(second_readings.read_second(desk, id, entry.by, _values(entry), entry.at), units)


@router.put("/second-readings/{id}/voided")
def void(desk: AtDesk, id: UUID, entry: VoidIn, units: InUnits = "metric") -> SecondReadingOut:
    """Take it out of what counts, or bring it back."""
    return _out(second_readings.void_reading(desk, id, entry.voided), units)


def _values(entry: ReadIn) -> list[Value]:
    return list(entry.values)


def _out(it: SecondReading, units: InUnits) -> SecondReadingOut:
    row, both = it.kept, it.agreement is not None
    return SecondReadingOut(
        id=row.id,
        thing=row.thing,
        name=words.NAMES[row.thing],
        first_by=row.first_by,
        second_by=row.second_by,
        taken_at=row.taken_at,
        readings=len(row.first),
        first=list(row.first) if both else None,
        second=list(row.second) if both and row.second is not None else None,
        error=it.agreement.error if it.agreement else None,
        words=words.agreement_said(row.thing, it.agreement, units) if it.agreement else [words.WAITS],
        voided=row.voided,
    )
