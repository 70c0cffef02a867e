"""The desk: one studio's door to the store, through which every use case goes."""

from collections.abc import Callable, Generator, Mapping, Sequence
from contextlib import contextmanager
from contextvars import ContextVar
from copy import copy
from typing import Final, TypeVar
from uuid import UUID

import uuid6
from sqlalchemy import Connection, Engine, event, func, select, text
from sqlalchemy.dialects.postgresql import insert
from sqlalchemy.orm import Session, sessionmaker

from ...store.server.fence import ROLE
from ...store.tables import Flagged, GolferRow, HandoverRow, Stored, StudioRow, Voidable
from ..values import KeptStudio, value_of
from .problem import KeptOtherwise, NotFound

Row = TypeVar("Row", bound=Stored)
KeptValue = TypeVar("KeptValue")
_FIRST_STUDIO = 7_260_115
_HELD = "held"
_STUDIO = f"set_config('libella.studio', :id, true), set_config('role', '{ROLE}', true)"
_SAY_STUDIO = text(f"select {_STUDIO}")
_SAY_STUDIO_AND_WHO = text(f"select {_STUDIO}, set_config('libella.account', :who, true)")
_WHO: Final[ContextVar[UUID | None]] = ContextVar("who", default=None)


def done_by(account_id: UUID | None) -> None:
    """For the rest of what the caller's context does: who it is told of, with every write (see the table deed)."""
    _WHO.set(account_id)


_SPOKEN_FOR: Final[ContextVar["Desk | None"]] = ContextVar("spoken_for", default=None)


@contextmanager
def spoken_for(desk: "Desk") -> Generator[None]:
    """In the block, whoever asks for the desk in this context is given this one."""
    before = _SPOKEN_FOR.set(desk)
    try:
        yield
    finally:
        _SPOKEN_FOR.reset(before)


def desk_in_use() -> "Desk | None":
    """The desk that is spoken for here; None almost everywhere."""
    return _SPOKEN_FOR.get()


class Desk:
    """Opens transactions on one studio's rows."""

    def __init__(self, engine: Engine, studio_id: UUID) -> None:
        self.studio_id = studio_id
        self.database = str(engine.url)
        """Which database it is, its password left out."""
        self._sessions = sessionmaker(engine, expire_on_commit=False)
        self._session: Session | None = None
        self._then: list[Callable[[Session], object]] = []
        event.listen(self._sessions, "loaded_as_persistent", _hold)
        event.listen(self._sessions, "after_begin", self._say_studio)

    def _say_studio(self, _: Session, __: object, connection: Connection) -> None:
        """Whose rows a transaction is about, and by whom, known to the database for as long as it lasts: it shows no
        others (see `store.server.fence`)."""
        who = _WHO.get()
        if who is None:
            connection.execute(_SAY_STUDIO, {"id": str(self.studio_id)})
        else:
            connection.execute(_SAY_STUDIO_AND_WHO, {"id": str(self.studio_id), "who": str(who)})

    @contextmanager
    def together(self) -> Generator["Desk"]:
        """A desk whose transactions are all one: what is done through it in the block is kept whole, or not at all, and
        a row that many ask for is fetched once."""
        if self._session is not None:
            yield self
            return
        with self._sessions.begin() as session:
            whole = self._whole(session)
            yield whole
        for write in whole._then:
            self.afterwards(write)

    @contextmanager
    def taken_back(self) -> Generator["Desk"]:
        """A desk on which everything done in the block is taken back at its end: for seeing how it would stand."""
        if self._session is not None:
            part = self._session.begin_nested()
            try:
                yield self
            finally:
                part.rollback()
            return
        with self._sessions() as session:
            yield self._whole(session)
            session.rollback()

    def _whole(self, session: Session) -> "Desk":
        """This desk, with everything in one session, which holds what was fetched."""
        session.info[_HELD] = []
        whole = copy(self)
        whole._session, whole._then = session, []
        return whole

    def let_go(self) -> None:
        """Forget the rows fetched so far of what is done together: of ten years they are more than fit."""
        if self._session is not None:
            self._session.flush()
            self._session.expunge_all()
            self._session.info[_HELD].clear()

    def afterwards(self, write: Callable[[Session], object]) -> None:
        """Write in a transaction of its own once all that is done together is done: nobody waits for it meanwhile."""
        if self._session is not None:
            self._then.append(write)
            return
        with self._sessions.begin() as session:
            write(session)

    @contextmanager
    def transaction(self) -> Generator[Session]:
        """A session committed at the end of the block, rolled back on an error."""
        if self._session is not None:
            yield self._session
            self._session.flush()
            return
        with self._sessions.begin() as session:
            yield session

    def get(self, session: Session, table: type[Row], id: UUID, what: str, *, lock: bool = False) -> Row:
        """The row of this studio with that id, or `NotFound`; where asked, locked until the transaction ends, and as it
        stands then: whoever had it locked may have changed what was loaded before."""
        if lock:
            session.flush()
        row = session.get(table, (self.studio_id, id), with_for_update=lock or None, populate_existing=lock)
        if row is None:
            kept_as = self.kept_as(session, id) if table is GolferRow else None
            if kept_as is None:
                raise NotFound(what)
            return self.get(session, table, kept_as, what, lock=lock)
        return row

    def kept_as(self, session: Session, golfer_id: UUID) -> UUID | None:
        """Whom a golfer who was found to be another entry's is kept as since; None for everybody else."""
        query = select(HandoverRow.golfer_id).where(
            HandoverRow.studio_id == self.studio_id,
            HandoverRow.former_id == golfer_id,
            HandoverRow.joined.is_not(None),
        )
        return session.scalar(query.order_by(HandoverRow.made_at.desc()).limit(1))

    def _as_kept(self, session: Session, told: Mapping[str, object]) -> Mapping[str, object]:
        """What a device that was away tells of a golfer by an entry that is no more, told of whom it is."""
        golfer_id = told.get("golfer_id")
        if not isinstance(golfer_id, UUID) or session.get(GolferRow, (self.studio_id, golfer_id)) is not None:
            return told
        return {**told, "golfer_id": self.kept_as(session, golfer_id) or golfer_id}

    def locked_studio(self, session: Session) -> StudioRow:
        """The studio's own row, locked until the transaction ends, as it stands then."""
        session.flush()
        return session.get_one(StudioRow, self.studio_id, with_for_update=True, populate_existing=True)

    def add(self, session: Session, table: type[Row], id: UUID, **values: object) -> tuple[Row, bool]:
        """Insert a row, or find the one that is there already; the second item tells whether it is new."""
        key = {"studio_id": self.studio_id, "id": id}
        told = self._as_kept(session, values)
        new = session.scalar(insert(table).values(**key, **told).on_conflict_do_nothing().returning(table))
        if new is not None:
            return new, True
        return session.get_one(table, (self.studio_id, id)), False

    def keep(
        self,
        session: Session,
        table: type[Row],
        id: UUID,
        what: str,
        told: Mapping[str, object],
        *,
        checked: Callable[[], None] | None = None,
        **first: object,
    ) -> Row:
        """The row of what was told: made now, or there already where it was told before.

        Parameters
        ----------
        told : what whoever keeps it says
        checked : raises where it may not be kept; what is kept already was checked then
        first : what is found out as it is kept, and stays as it was then

        Raises
        ------
        KeptOtherwise
            where the id is kept already and says something else.
        """
        if checked is not None and session.get(table, (self.studio_id, id)) is None:
            checked()
        told = self._as_kept(session, told)
        row, new = self.add(session, table, id, **told, **first)
        if not new and any(getattr(row, name) != said for name, said in told.items()):
            raise KeptOtherwise(what)
        return row

    def void(self, kind: type[KeptValue], table: type[Voidable], id: UUID, what: str, voided: bool) -> KeptValue:
        """Take what was kept out of all that counts, or bring it back; the record keeps it either way."""
        with self.transaction() as session:
            row = self.get(session, table, id, what, lock=True)
            row.voided = voided
            return value_of(kind, row)

    def flag(self, kind: type[KeptValue], table: type[Flagged], id: UUID, what: str, flags: Sequence[str]) -> KeptValue:
        """Say what lowers the weight of a reading, in place of what was said before."""
        with self.transaction() as session:
            row = self.get(session, table, id, what, lock=True)
            row.flags = list(flags)
            return value_of(kind, row)


def _hold(session: Session, row: object) -> None:
    """Keep a row for as long as what is done together goes on: a session forgets one that nobody holds."""
    held: list[object] | None = session.info.get(_HELD)
    if held is not None:
        held.append(row)


def open_desk(engine: Engine) -> Desk:
    """The desk of the only studio there is; makes an empty one in a new database."""
    with Session(engine) as session, session.begin():
        # One after another: two first requests at once must not make two studios.
        session.execute(select(func.pg_advisory_xact_lock(_FIRST_STUDIO)))
        studio = session.scalar(select(StudioRow).order_by(StudioRow.id).limit(1))
        if studio is None:
            studio = StudioRow(id=uuid6.uuid7(), name="My studio", place="", coach="", invented=False)
            session.add(studio)
        return Desk(engine, studio.id)


def studio(desk: Desk) -> KeptStudio:
    """The studio itself."""
    with desk.transaction() as session:
        return value_of(KeptStudio, session.get_one(StudioRow, desk.studio_id))


def name_studio(desk: Desk, name: str, place: str, coach: str) -> KeptStudio:
    """How the studio is called, where it is, and whose it is."""
    with desk.transaction() as session:
        row = desk.locked_studio(session)
        row.name, row.place, row.coach = name, place, coach
        return value_of(KeptStudio, row)
