"""Sizes that were entered wrong, put right after something was read with them: what stood there stays in the record."""

from abc import ABC, abstractmethod
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import UTC, datetime
from typing import Any, Final, Literal
from uuid import UUID

from sqlalchemy import select
from sqlalchemy.orm import Session

from ...core.instruments import lay
from ...core.measure.limits import OutOfLimits
from ...core.see.look_sizes import look_sizes, taken_with
from ...core.set.line import LaidLine
from ...core.set.part import Part
from ...core.set.proof import Proof
from ...core.set.station import line_of
from ...store.tables import AimSeriesRow, BlockRow, CorrectionRow, EyeTakeRow, SetDownRow, StationRow
from ..aim.aims import AimSheet, aim_table
from ..desk.desk import Desk
from ..desk.stored import Stored
from ..lesson.lessons import BlockSheet, blocks_where
from ..see.eyes import LOOK, SetUpEyes, eye_sheet
from ..set.plans import read_anew
from ..set.stations import AID, PROOF, AidEntry, StationEntry, entry_of
from ..values import KeptCorrection, value_of, values_of

Of = Literal["plan", "series", "looks"]
_PART: Final[Stored[Part]] = Stored(Part)


@dataclass(frozen=True, slots=True)
class Wrong:
    """What was entered wrong: a plan, a series of set-downs, or the looks that were taken as one look was.

    Attributes
    ----------
    id : of the plan, the series or the look
    sizes : how it is in truth: of each part in its order, the sizes that differ
    """

    of: Of
    id: UUID
    sizes: Sequence[Mapping[str, float]] = ()


@dataclass(frozen=True, slots=True)
class Stands:
    """What was written down, and everything that was read with it, voided or not, oldest first."""

    parts: Sequence[Part]
    blocks: Sequence[BlockSheet] = ()
    series: Sequence[AimSheet] = ()
    eyes: Sequence[SetUpEyes] = ()


class _Thing(ABC):
    """What sizes were written down of, in a transaction."""

    def __init__(self, desk: Desk, session: Session) -> None:
        self.desk, self.session = desk, session

    lesson_id: UUID
    named: Mapping[str, UUID]
    """The column of a correction that names it."""

    @property
    @abstractmethod
    def parts(self) -> list[Part]:
        """What sizes it has, in the order in which they are told."""

    @abstractmethod
    def put_right(self, sizes: Sequence[Mapping[str, float]], at: datetime) -> dict[str, Any]:
        """Write these sizes down, and read anew what was read with it; gives what else had the same sizes, by its id
        as it stood."""

    @abstractmethod
    def stands(self) -> Stands:
        """With everything that was read with it."""


class _Plan(_Thing):
    def __init__(self, desk: Desk, session: Session, id: UUID, *, lock: bool = True) -> None:
        super().__init__(desk, session)
        self.row = desk.get(session, StationRow, id, "station", lock=lock)
        self.lesson_id, self.named = self.row.lesson_id, {"station_id": id}

    @property
    def parts(self) -> list[Part]:
        station = entry_of(self.row).station()
        laid = (Part("instrument", it.about.kind, it.sizes()) for it in (station.rig, *station.aids))
        return [Part("putt", "", {"distance_m": station.putt.distance_m}), *laid]

    def put_right(self, sizes: Sequence[Mapping[str, float]], at: datetime) -> dict[str, Any]:
        stood = self.parts
        self._lay(self.row, sizes)
        query = select(BlockRow).where(BlockRow.studio_id == self.desk.studio_id, BlockRow.station_id == self.row.id)
        for block in self.session.scalars(query.order_by(BlockRow.id).with_for_update()).all():
            self._lay(block, sizes)
            read_anew(self.desk, self.session, block, at)
        along: dict[str, Any] = {}
        for before, told in zip(stood, sizes, strict=False):
            for row in self._read_with(before) if told else ():
                along[str(row.id)] = dict(row.sizes)
                _read_by(self.desk, self.session, row, told)
        return along

    def stands(self) -> Stands:
        sheets = aim_table(self.desk, self.lesson_id).sheets
        return Stands(
            parts=self.parts,
            blocks=blocks_where(self.desk, self.session, BlockRow.station_id == self.row.id),
            series=[it for it in sheets if it.series.station_id == self.row.id],
        )

    def _read_with(self, part: Part) -> list[AimSeriesRow]:
        """The series read on this plan with an instrument as it was written down here."""
        alike = _written_alike(self.desk, self.session, self.lesson_id, part)
        return [it for it in alike if it.station_id == self.row.id]

    def _lay(self, row: StationRow | BlockRow, sizes: Sequence[Mapping[str, float]]) -> None:
        entry = _as_in_truth(entry_of(row), sizes)
        row.distance_m = entry.distance_m
        row.rig_sizes_m = dict(entry.rig_sizes_m)
        row.aids = [AID.keep(it) for it in entry.aids]
        row.proof = PROOF.keep(entry.proof)


def _as_in_truth(entry: StationEntry, sizes: Sequence[Mapping[str, float]]) -> StationEntry:
    """The entry with these sizes. Nothing was moved: what was proved of the line stays proved."""
    before = entry.station()
    nothing: Mapping[str, float] = {}
    putt, rig, *told = [*sizes, *[nothing] * (2 + len(before.aids) - len(sizes))]
    aids = [AidEntry(it.about.kind, {**it.sizes(), **of}) for it, of in zip(before.aids, told, strict=True)]
    for name in putt:
        if name != "distance_m":
            raise OutOfLimits(f"sizes.0.{name}", "no_dimension", name="The putt", named=name, known=("distance_m",))
    found = replace(
        entry,
        distance_m=putt.get("distance_m", entry.distance_m),
        rig_sizes_m={**before.rig.sizes(), **rig},
        aids=tuple(aids),
    )
    try:
        after = found.station()
    except OutOfLimits as fault:
        raise fault.at(_told_as(fault.field)) from None
    line = line_of(after.putt, after.rig, after.across_m)
    return replace(found, proof=_as_it_lay(entry.proof, before.line, line))


def _as_it_lay(proof: Proof, before: LaidLine, line: LaidLine) -> Proof:
    """The proof on the same line, whose rig stands elsewhere than was written down."""
    return replace(proof, line=line) if proof.line is not None and not proof.line.changes(before) else proof


def _told_as(field: str) -> str:
    """A field of a plan, as its parts are told."""
    head, _, rest = field.partition(".")
    if head == "aids":
        number, _, name = rest.partition(".")
        return f"sizes.{int(number) + 2}.{name}"
    return f"sizes.1.{rest}" if head == "rig_sizes_m" else f"sizes.0.{field}"


class _Series(_Thing):
    def __init__(self, desk: Desk, session: Session, id: UUID, *, lock: bool = True) -> None:
        super().__init__(desk, session)
        self.row = desk.get(session, AimSeriesRow, id, "series", lock=lock)
        self.lesson_id, self.named = self.row.lesson_id, {"aim_series_id": id}
        # The same instrument written down the same is wrong in every series of the lesson: in each way of a comparison.
        self.rows = [row for part in self.parts for row in _written_alike(desk, session, self.lesson_id, part)]

    @property
    def parts(self) -> list[Part]:
        kind = self.row.kind
        return [] if kind is None else [Part("instrument", kind, lay(kind, self.row.sizes).sizes())]

    def put_right(self, sizes: Sequence[Mapping[str, float]], at: datetime) -> dict[str, Any]:
        along = {str(it.id): dict(it.sizes) for it in self.rows if it is not self.row}
        for row in self.rows:
            try:
                _read_by(self.desk, self.session, row, sizes[0])
            except OutOfLimits as fault:
                raise fault.at(f"sizes.0.{fault.field}") from None
        return along

    def stands(self) -> Stands:
        sheets, own = aim_table(self.desk, self.lesson_id).sheets, {it.id for it in self.rows}
        return Stands(self.parts, series=[it for it in sheets if it.series.id in own])


def _written_alike(desk: Desk, session: Session, lesson_id: UUID, part: Part) -> list[AimSeriesRow]:
    """The series of a lesson read with such an instrument, of the same sizes."""
    query = select(AimSeriesRow).where(
        AimSeriesRow.studio_id == desk.studio_id,
        AimSeriesRow.lesson_id == lesson_id,
        AimSeriesRow.kind == part.kind,
    )
    return [it for it in session.scalars(query.order_by(AimSeriesRow.id)) if dict(it.sizes) == dict(part.sizes)]


def _read_by(desk: Desk, session: Session, row: AimSeriesRow, sizes: Mapping[str, float]) -> None:
    """Have a series read with these sizes. What was read must be a reading of the instrument still: it is refused here,
    and not where a page asks for it."""
    aid = lay(row.kind or "", {**row.sizes, **sizes})
    query = select(SetDownRow.raw).where(SetDownRow.studio_id == desk.studio_id, SetDownRow.aim_series_id == row.id)
    for raw in session.scalars(query):
        aid.interval(raw)
    row.sizes = aid.sizes()


class _Looks(_Thing):
    def __init__(self, desk: Desk, session: Session, id: UUID, *, lock: bool = True) -> None:
        super().__init__(desk, session)
        self.row = desk.get(session, EyeTakeRow, id, "look", lock=lock)
        self.lesson_id, self.named = self.row.lesson_id, {"eye_take_id": id}

    @property
    def parts(self) -> list[Part]:
        look = LOOK.read(self.row.raw)
        return [Part("look", look.way, look_sizes(look))]

    def put_right(self, sizes: Sequence[Mapping[str, float]], at: datetime) -> dict[str, Any]:
        told, [part] = sizes[0], self.parts
        along: dict[str, Any] = {}
        for row in self._of_this_set_up():
            look = LOOK.read(row.raw)
            own = look_sizes(look) if look.way == part.kind else {}
            # Another that was taken otherwise was not written down wrong with this one.
            wrong = {name: value for name, value in told.items() if name not in own or own[name] == part.sizes[name]}
            if look.way != part.kind or not wrong:
                continue
            try:
                row.raw = LOOK.keep(taken_with(look, wrong))
            except OutOfLimits as fault:
                raise fault.at(f"sizes.0.{fault.field}") from None
            if row.id != self.row.id:
                along[str(row.id)] = own
        return along

    def stands(self) -> Stands:
        set_ups = eye_sheet(self.desk, self.lesson_id).set_ups
        return Stands(self.parts, eyes=[it for it in set_ups if it.name == self.row.set_up])

    def _of_this_set_up(self) -> Sequence[EyeTakeRow]:
        query = select(EyeTakeRow).where(
            EyeTakeRow.studio_id == self.desk.studio_id,
            EyeTakeRow.lesson_id == self.lesson_id,
            EyeTakeRow.set_up == self.row.set_up,
        )
        return self.session.scalars(query.order_by(EyeTakeRow.id).with_for_update()).all()


_THINGS: Final[dict[Of, type[_Plan | _Series | _Looks]]] = {"plan": _Plan, "series": _Series, "looks": _Looks}


def parts_of(desk: Desk, of: Of, id: UUID) -> Sequence[Part]:
    """What sizes were written down of a plan, a series or a look, in the order in which they are put right."""
    with desk.transaction() as session:
        return _THINGS[of](desk, session, id, lock=False).parts


def would(desk: Desk, wrong: Wrong) -> tuple[Stands, Stands]:
    """How everything stands, and how it would stand with these sizes; keeps nothing."""
    with desk.taken_back() as tried, tried.transaction() as session:
        thing = _THINGS[wrong.of](tried, session, wrong.id)
        before = thing.stands()
        _put_right(thing, wrong.sizes, datetime.now(UTC))
        session.flush()
        return before, thing.stands()


def put_right(desk: Desk, id: UUID, wrong: Wrong, why: str, at: datetime) -> KeptCorrection:
    """Put sizes right, with everything that was read with them; what stood there is kept in the record.

    Told again under the same id nothing more happens.
    """
    with desk.transaction() as session:
        thing = _THINGS[wrong.of](desk, session, wrong.id)
        known = session.get(CorrectionRow, (desk.studio_id, id))
        if known is not None:
            return value_of(KeptCorrection, known)
        before = thing.parts
        along = _put_right(thing, wrong.sizes, at)
        if thing.parts == before:
            raise OutOfLimits("sizes", "nothing_put_right")
        told: dict[str, Any] = {"lesson_id": thing.lesson_id, "why": why, "made_at": at, **thing.named}
        stood, stand = ([_PART.keep(it) for it in parts] for parts in (before, thing.parts))
        made, _ = desk.add(
            session, CorrectionRow, id, before={"parts": stood, "along": along}, after={"parts": stand}, **told
        )
        return value_of(KeptCorrection, made)


def corrections_in(desk: Desk, lesson_id: UUID) -> Sequence[KeptCorrection]:
    """What was put right in a lesson, oldest first."""
    query = select(CorrectionRow).where(CorrectionRow.studio_id == desk.studio_id, CorrectionRow.lesson_id == lesson_id)
    with desk.transaction() as session:
        rows = session.scalars(query.order_by(CorrectionRow.made_at, CorrectionRow.id))
        return values_of(KeptCorrection, rows)


def stood_and_stand(it: KeptCorrection) -> tuple[Sequence[Part], Sequence[Part]]:
    """The parts as they stood before a correction, and as they stand since."""
    return [_PART.read(one) for one in it.before["parts"]], [_PART.read(one) for one in it.after["parts"]]


def _put_right(thing: _Thing, sizes: Sequence[Mapping[str, float]], at: datetime) -> dict[str, Any]:
    parts = thing.parts
    if len(sizes) > len(parts):
        raise OutOfLimits("sizes", "parts_count", most=len(parts))
    return thing.put_right(sizes, at) if any(sizes) else {}
