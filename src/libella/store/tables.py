"""Tables. Angles are degrees, lengths metres, times UTC with zone; ids are made by the client (UUIDv7)."""

from datetime import datetime
from typing import Any
from uuid import UUID

from sqlalchemy import (
    BigInteger,
    CheckConstraint,
    DateTime,
    ForeignKeyConstraint,
    Index,
    MetaData,
    UniqueConstraint,
    func,
    text,
)
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column


class Table(DeclarativeBase):
    metadata = MetaData(
        naming_convention={
            "ix": "ix_%(table_name)s_%(column_0_N_name)s",
            "uq": "uq_%(table_name)s_%(column_0_N_name)s",
            "ck": "ck_%(table_name)s_%(constraint_name)s",
            "fk": "fk_%(table_name)s_%(column_0_N_name)s",
            "pk": "pk_%(table_name)s",
        }
    )
    type_annotation_map = {  # noqa: RUF012
        datetime: DateTime(timezone=True),
        dict[str, Any]: JSONB,
        list[Any]: JSONB,
        list[str]: JSONB,
    }


class Studio(Table):
    __tablename__ = "studio"

    id: Mapped[UUID] = mapped_column(primary_key=True)
    name: Mapped[str]
    place: Mapped[str]
    coach: Mapped[str]
    invented: Mapped[bool] = mapped_column(server_default=text("false"))
    """True when the studio holds the demo scenario; shown wherever its name is."""
    bag: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    """Parts the coach owns and how many of each (see `core.kit`); null until told."""
    spreads_deg: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    """Start-line spread expected by golfer's level, where the coach has an opinion of his own."""
    set_up_wanted: Mapped[list[str] | None] = mapped_column(JSONB(none_as_null=True))
    """What the coach notes of a set-up (see `core.set_up.ENTRIES`); null until told."""
    pauses: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    """When to break off, where the coach has an opinion of his own: see `core.pauses.Pauses`."""


class Golfer(Table):
    __tablename__ = "golfer"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    name: Mapped[str]
    hand: Mapped[str]
    level: Mapped[str]
    notes: Mapped[str]
    eye_school: Mapped[str] = mapped_column(server_default=text("'inside'"))
    """Where this golfer's eyes are wanted: see `core.eyes.ZONES`."""
    eye_zone_mm: Mapped[list[Any] | None] = mapped_column(JSONB(none_as_null=True))
    """Own edges of that zone, mm inside; null takes the school's."""
    sighting_eye: Mapped[str] = mapped_column(server_default=text("''"))
    """left or right; empty while it is not known."""
    usual_lengths: Mapped[list[Any] | None] = mapped_column(JSONB(none_as_null=True))
    """Lengths usually putted, [metres, weight] each; null takes what is usual for anybody."""
    invented: Mapped[bool] = mapped_column(server_default=text("false"))
    updated_at: Mapped[datetime] = mapped_column(server_default=func.now(), onupdate=func.now())

    __table_args__ = (
        ForeignKeyConstraint(["studio_id"], ["studio.id"]),
        CheckConstraint("hand in ('right', 'left')", name="hand"),
        Index(None, "studio_id", "name", "id"),
    )


class Lesson(Table):
    __tablename__ = "lesson"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    place: Mapped[str]
    surface: Mapped[str]
    stimp_ft: Mapped[float]
    conditions: Mapped[str]
    started_at: Mapped[datetime]
    ended_at: Mapped[datetime | None]
    voided_at: Mapped[datetime | None]
    void_reason: Mapped[str | None]
    laser_read_at: Mapped[datetime | None]
    """When the laser's cautions were read in this lesson."""
    kit_checked: Mapped[list[str]] = mapped_column(server_default=text("'[]'"))
    """Items of the kit check that are ticked."""
    invented: Mapped[bool] = mapped_column(server_default=text("false"))
    moved_at: Mapped[datetime | None]
    """When the coach last said that the feet moved."""
    rested_at: Mapped[datetime | None]
    """When the coach last said that the golfer straightened up."""
    file_import_id: Mapped[UUID | None]
    """The file its putts came from."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        ForeignKeyConstraint(["studio_id", "file_import_id"], ["file_import.studio_id", "file_import.id"]),
        Index(None, "studio_id", "file_import_id"),
        Index(None, "studio_id", "golfer_id", "started_at"),
        Index(None, "studio_id", "started_at"),
    )


class Laid:
    """A putt and a rig as they stood; shared by the station that plans them and the block that was read with them."""

    distance_m: Mapped[float]
    past_m: Mapped[float]
    stimp_ft: Mapped[float]
    capture: Mapped[str]
    rig_kind: Mapped[str]
    rig_sizes_m: Mapped[dict[str, Any]]
    falls_forward_percent: Mapped[float] = mapped_column(server_default=text("0"))
    falls_right_percent: Mapped[float] = mapped_column(server_default=text("0"))
    proof: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    """See `core.proof.Proof`; what is missing there has its default: not proved."""
    falls_doubt_percent: Mapped[float] = mapped_column(server_default=text("0"))
    read: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    """The coach's read: see `core.green.read.Read`."""
    target: Mapped[str] = mapped_column(server_default=text("'computed'"))
    across_m: Mapped[float] = mapped_column(server_default=text("0"))
    backstroke_m: Mapped[float | None]
    aids: Mapped[list[Any]] = mapped_column(server_default=text("'[]'"))
    """What else is laid: a list of {"kind", "sizes"}; names of sizes end in their unit."""


class Station(Laid, Table):
    __tablename__ = "station"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    laid_at: Mapped[datetime]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "lesson_id", "laid_at"),
    )


class SavedStation(Laid, Table):
    """A station kept under a name, to be laid again."""

    __tablename__ = "saved_station"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    name: Mapped[str]
    kept_at: Mapped[datetime] = mapped_column(server_default=func.now())
    put_away_at: Mapped[datetime | None]
    """When it was taken out of the list; it can be brought back."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id"], ["studio.id"]),
        Index(None, "studio_id", "name", "id"),
    )


class Block(Laid, Table):
    __tablename__ = "block"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    station_id: Mapped[UUID]
    condition: Mapped[str]
    guided: Mapped[bool]
    planned: Mapped[int]
    first_planned: Mapped[int]
    """The plan the block began with; `planned` is larger when it was extended."""
    asks: Mapped[list[str]] = mapped_column(server_default=text("'[]'"))
    """What else is noted of every putt: see `core.notes`."""
    started_at: Mapped[datetime]
    hole: Mapped[bool] = mapped_column(server_default=text("true"))
    """False: putted with no hole there, to an aim point only."""
    path_model: Mapped[str] = mapped_column(server_default=text("''"))
    """The path as declared: see `core.path.PATHS`."""
    ball_ahead_m: Mapped[float] = mapped_column(server_default=text("0"))
    k: Mapped[float | None]
    """Share of the face in the start as the coach sets it; null fits it."""
    comparison_id: Mapped[UUID | None]
    turn: Mapped[int | None]
    """Which condition of its comparison it is, from 0."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        ForeignKeyConstraint(["studio_id", "station_id"], ["station.studio_id", "station.id"]),
        ForeignKeyConstraint(["studio_id", "comparison_id"], ["comparison.studio_id", "comparison.id"]),
        Index(None, "studio_id", "comparison_id"),
        Index(None, "studio_id", "lesson_id", "started_at"),
    )


class Reading(Table):
    """One observation. The raw reading never changes: a correction voids it and adds another."""

    __tablename__ = "reading"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    block_id: Mapped[UUID]
    raw: Mapped[dict[str, Any]]
    low_deg: Mapped[float | None]
    """Limits of the start error; None where open."""
    high_deg: Mapped[float | None]
    notes: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    taken_at: Mapped[datetime]
    recorded_at: Mapped[datetime] = mapped_column(server_default=func.now())
    voided: Mapped[bool] = mapped_column(server_default=text("false"))
    void_reason: Mapped[str | None]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "block_id"], ["block.studio_id", "block.id"]),
        Index(None, "studio_id", "block_id", "taken_at", "id"),
    )


class ReadingMark(Table):
    """The history of a reading: each voiding and each restoring, never overwritten."""

    __tablename__ = "reading_mark"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    reading_id: Mapped[UUID]
    voided: Mapped[bool]
    reason: Mapped[str | None]
    marked_at: Mapped[datetime] = mapped_column(server_default=func.now())

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "reading_id"], ["reading.studio_id", "reading.id"]),
        Index(None, "studio_id", "reading_id", "marked_at"),
    )


class SightTest(Table):
    """A run of answers about what looks straight, asked one way under one condition."""

    __tablename__ = "sight_test"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    method: Mapped[str]
    """See `core.perception.METHODS`."""
    condition: Mapped[str]
    trace: Mapped[str]
    eyes: Mapped[str]
    glasses: Mapped[str]
    away_m: Mapped[float]
    """From the near end of the rod, or the ball, to where it is read."""
    toward: Mapped[str] = mapped_column(server_default=text("'hole'"))
    """What is called straight: the line to the hole, or the start line of a breaking putt."""
    position: Mapped[dict[str, Any]] = mapped_column(server_default=text("'{}'"))
    """Levers moved from the usual set-up: see `core.perception.position`."""
    playable: Mapped[bool] = mapped_column(server_default=text("true"))
    comfort: Mapped[int | None]
    trust: Mapped[int | None]
    """How it felt there, 1 to 5; null while it was not said."""
    started_at: Mapped[datetime]
    ended_at: Mapped[datetime | None]
    """When its answers were shown; until then they are hidden."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "lesson_id", "started_at"),
    )


class SightTrial(Table):
    """One answer. It never changes: a slip of the finger voids it, and another is added."""

    __tablename__ = "sight_trial"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    test_id: Mapped[UUID]
    raw: Mapped[dict[str, Any]]
    taken_at: Mapped[datetime]
    recorded_at: Mapped[datetime] = mapped_column(server_default=func.now())
    voided: Mapped[bool] = mapped_column(server_default=text("false"))

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "test_id"], ["sight_test.studio_id", "sight_test.id"]),
        Index(None, "studio_id", "test_id", "taken_at", "id"),
    )


class EyeTake(Table):
    """One look at where the eyes are, as it was marked; see `core.eyes.EyeTake` and `core.side_look`."""

    __tablename__ = "eye_take"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    raw: Mapped[dict[str, Any]]
    reread_of: Mapped[UUID | None]
    """The look this one reads again, nothing having moved: it tells how well the mirror is read."""
    taken_at: Mapped[datetime]
    recorded_at: Mapped[datetime] = mapped_column(server_default=func.now())
    voided: Mapped[bool] = mapped_column(server_default=text("false"))

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "lesson_id", "taken_at", "id"),
    )


class SetUp(Table):
    """A set-up as noted; see `core.set_up`. One taken again after stepping away names the first of its run."""

    __tablename__ = "set_up"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    values: Mapped[dict[str, Any]]
    again_of: Mapped[UUID | None]
    taken_at: Mapped[datetime]
    recorded_at: Mapped[datetime] = mapped_column(server_default=func.now())
    voided: Mapped[bool] = mapped_column(server_default=text("false"))

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "lesson_id", "taken_at", "id"),
    )


class SetUpCard(Table):
    """A set-up kept as what the golfer goes by from now on, as it was when it was kept."""

    __tablename__ = "set_up_card"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    lesson_id: Mapped[UUID]
    note: Mapped[str]
    raw: Mapped[dict[str, Any]]
    """What it says: see `lessons.cards.Card`."""
    kept_at: Mapped[datetime]
    put_away_at: Mapped[datetime | None]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "golfer_id", "kept_at", "id"),
    )


class QuickCheck(Table):
    """A check against a card; what was looked at is added to it step by step."""

    __tablename__ = "quick_check"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    card_id: Mapped[UUID]
    raw: Mapped[dict[str, Any]]
    taken_at: Mapped[datetime]
    recorded_at: Mapped[datetime] = mapped_column(server_default=func.now())

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        ForeignKeyConstraint(["studio_id", "card_id"], ["set_up_card.studio_id", "set_up_card.id"]),
        Index(None, "studio_id", "lesson_id", "taken_at", "id"),
    )


class AimSet(Table):
    """A run of set-downs: one link of the aim, read one way under one cue."""

    __tablename__ = "aim_set"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    link: Mapped[str]
    """See `core.aim.LINKS`."""
    cue: Mapped[str]
    aided: Mapped[bool]
    """An aid stood in the golfer's view."""
    kind: Mapped[str | None]
    """The instrument the face was read with; null where an angle was read."""
    sizes: Mapped[dict[str, Any]]
    planned: Mapped[int]
    started_at: Mapped[datetime]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "lesson_id", "started_at"),
    )


class SetDown(Table):
    """One set-down as read. It never changes: a slip voids it, and another is added."""

    __tablename__ = "set_down"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    aim_set_id: Mapped[UUID]
    raw: Mapped[dict[str, Any]]
    taken_at: Mapped[datetime]
    recorded_at: Mapped[datetime] = mapped_column(server_default=func.now())
    voided: Mapped[bool] = mapped_column(server_default=text("false"))

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "aim_set_id"], ["aim_set.studio_id", "aim_set.id"]),
        Index(None, "studio_id", "aim_set_id", "taken_at", "id"),
    )


class Comparison(Table):
    """Conditions to be compared: each is a block, putted in turns."""

    __tablename__ = "comparison"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    question: Mapped[str]
    """See `core.judge.comparing.QUESTIONS`."""
    order: Mapped[str]
    """See `core.turns.ORDERS`."""
    each: Mapped[int]
    run: Mapped[int]
    seed: Mapped[int]
    started_at: Mapped[datetime]
    entry: Mapped[dict[str, Any]]
    """As it was planned, to know it when it is said again."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "lesson_id", "started_at"),
    )


class Sensor(Table):
    """A device that was given a pairing code; paired once it has shown the code and got its token."""

    __tablename__ = "sensor"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    lesson_id: Mapped[UUID]
    """The lesson its strokes go to now."""
    kind: Mapped[str]
    """See `core.stroke.SENSORS`."""
    name: Mapped[str]
    code: Mapped[str | None]
    code_until: Mapped[datetime]
    device_id: Mapped[str | None]
    token_hash: Mapped[str | None]
    asked_at: Mapped[datetime]
    paired_at: Mapped[datetime | None]
    unpaired_at: Mapped[datetime | None]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        Index(None, "studio_id", "lesson_id"),
        Index(None, "studio_id", "token_hash"),
        Index(None, "studio_id", "code"),
    )


class SensorZero(Table):
    """A sensor held against the square reference; holds for strokes made after it."""

    __tablename__ = "sensor_zero"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    sensor_id: Mapped[UUID]
    still_deg: Mapped[list[Any]]
    """What it read, as it told it."""
    face_deg: Mapped[float]
    noise_deg: Mapped[float]
    taken_at: Mapped[datetime]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "sensor_id"], ["sensor.studio_id", "sensor.id"]),
        Index(None, "studio_id", "sensor_id", "taken_at"),
    )


class Stroke(Table):
    """One stroke as a sensor told it. The measures never change; which putt it belongs to can be put right."""

    __tablename__ = "stroke"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    sensor_id: Mapped[UUID]
    lesson_id: Mapped[UUID]
    key: Mapped[str]
    """The device's own id of it: told twice it is one."""
    measures: Mapped[dict[str, Any]]
    """See `core.stroke.MEASURES`."""
    at: Mapped[datetime]
    """By the device's clock."""
    received_at: Mapped[datetime] = mapped_column(server_default=func.now())
    reading_id: Mapped[UUID | None]
    """The putt it was put to by hand; null matches it by time."""
    set_aside: Mapped[bool] = mapped_column(server_default=text("false"))
    """It belongs to no putt: a practice stroke, a knock."""

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "sensor_id"], ["sensor.studio_id", "sensor.id"]),
        ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
        ForeignKeyConstraint(["studio_id", "reading_id"], ["reading.studio_id", "reading.id"]),
        UniqueConstraint("studio_id", "sensor_id", "key"),
        Index(None, "studio_id", "lesson_id", "at"),
    )


class FileImport(Table):
    """A file of putts on its way in: as it was given, how its columns are read, and how far it is."""

    __tablename__ = "file_import"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    name: Mapped[str]
    content: Mapped[bytes] = mapped_column(deferred=True)
    """The file as it was given, compressed."""
    digest: Mapped[str]
    """Of its content, to know it when it is given again."""
    mapping: Mapped[dict[str, Any] | None] = mapped_column(JSONB(none_as_null=True))
    """How its columns are read: see `exchange.columns.Mapping`; null until told."""
    state: Mapped[str]
    """given, taken or undone."""
    putts: Mapped[int] = mapped_column(server_default=text("0"))
    skipped: Mapped[int] = mapped_column(server_default=text("0"))
    given_at: Mapped[datetime]
    taken_at: Mapped[datetime | None]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        Index(None, "studio_id", "golfer_id", "given_at"),
    )


class ColumnMap(Table):
    """How the columns of a file with these headings were read last."""

    __tablename__ = "column_map"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    headings: Mapped[str] = mapped_column(primary_key=True)
    """A digest of the headings, in order."""
    mapping: Mapped[dict[str, Any]]
    kept_at: Mapped[datetime]

    __table_args__ = (ForeignKeyConstraint(["studio_id"], ["studio.id"]),)


class GolferRevision(Table):
    """Raised by triggers with every write that changes what is told of a golfer."""

    __tablename__ = "golfer_revision"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID] = mapped_column(primary_key=True)
    revision: Mapped[int] = mapped_column(BigInteger)

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"], ondelete="CASCADE"),
    )


class KeptAnswer(Table):
    """An answer with the revision of the data and the version of the rules it was made from."""

    __tablename__ = "kept_answer"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    about_id: Mapped[UUID] = mapped_column(primary_key=True)
    what: Mapped[str] = mapped_column(primary_key=True)
    golfer_id: Mapped[UUID]
    revision: Mapped[int] = mapped_column(BigInteger)
    rules: Mapped[str]
    answer: Mapped[str]

    __table_args__ = (
        ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"], ondelete="CASCADE"),
        Index(None, "studio_id", "golfer_id"),
    )


class PairingTry(Table):
    """A pairing code tried and not found, by which device at which address."""

    __tablename__ = "pairing_try"

    studio_id: Mapped[UUID] = mapped_column(primary_key=True)
    id: Mapped[UUID] = mapped_column(primary_key=True)
    device: Mapped[str]
    host: Mapped[str]
    at: Mapped[datetime] = mapped_column(server_default=func.now())

    __table_args__ = (
        ForeignKeyConstraint(["studio_id"], ["studio.id"]),
        Index(None, "studio_id", "host", "at"),
    )
