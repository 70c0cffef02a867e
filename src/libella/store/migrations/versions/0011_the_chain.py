"""The whole chain: comparisons, pauses, sensors and their strokes, files on their way in"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0011"
down_revision = "0010"
branch_labels = None
depends_on = None

_NOW = sa.text("now()")
_TIME = sa.DateTime(timezone=True)


def _key() -> tuple[sa.Column, sa.Column]:
    return sa.Column("studio_id", sa.Uuid(), nullable=False), sa.Column("id", sa.Uuid(), nullable=False)


def _of(table: str, other: str, column: str | None = None) -> sa.ForeignKeyConstraint:
    column = column or f"{other}_id"
    return sa.ForeignKeyConstraint(
        ["studio_id", column], [f"{other}.studio_id", f"{other}.id"], name=f"fk_{table}_studio_id_{column}"
    )


def upgrade() -> None:
    op.add_column("studio", sa.Column("pauses", postgresql.JSONB(), server_default=sa.text("'{}'"), nullable=False))
    op.create_table(
        "comparison",
        *_key(),
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("question", sa.String(), nullable=False),
        sa.Column("order", sa.String(), nullable=False),
        sa.Column("each", sa.Integer(), nullable=False),
        sa.Column("run", sa.Integer(), nullable=False),
        sa.Column("seed", sa.Integer(), nullable=False),
        sa.Column("started_at", _TIME, nullable=False),
        sa.Column("entry", postgresql.JSONB(), nullable=False),
        _of("comparison", "lesson"),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_comparison"),
    )
    op.create_index(
        "ix_comparison_studio_id_lesson_id_started_at", "comparison", ["studio_id", "lesson_id", "started_at"]
    )
    op.create_table(
        "file_import",
        *_key(),
        sa.Column("golfer_id", sa.Uuid(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("content", sa.LargeBinary(), nullable=False),
        sa.Column("digest", sa.String(), nullable=False),
        sa.Column("mapping", postgresql.JSONB(), nullable=True),
        sa.Column("state", sa.String(), nullable=False),
        sa.Column("putts", sa.Integer(), server_default=sa.text("0"), nullable=False),
        sa.Column("skipped", sa.Integer(), server_default=sa.text("0"), nullable=False),
        sa.Column("given_at", _TIME, nullable=False),
        sa.Column("taken_at", _TIME, nullable=True),
        _of("file_import", "golfer"),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_file_import"),
    )
    op.create_index(
        "ix_file_import_studio_id_golfer_id_given_at", "file_import", ["studio_id", "golfer_id", "given_at"]
    )
    op.create_table(
        "column_map",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("headings", sa.String(), nullable=False),
        sa.Column("mapping", postgresql.JSONB(), nullable=False),
        sa.Column("kept_at", _TIME, nullable=False),
        sa.ForeignKeyConstraint(["studio_id"], ["studio.id"], name="fk_column_map_studio_id"),
        sa.PrimaryKeyConstraint("studio_id", "headings", name="pk_column_map"),
    )
    for name in ("moved_at", "rested_at"):
        op.add_column("lesson", sa.Column(name, _TIME, nullable=True))
    op.add_column("lesson", sa.Column("file_import_id", sa.Uuid(), nullable=True))
    op.create_foreign_key(
        "fk_lesson_studio_id_file_import_id",
        "lesson",
        "file_import",
        ["studio_id", "file_import_id"],
        ["studio_id", "id"],
    )
    op.create_index("ix_lesson_studio_id_file_import_id", "lesson", ["studio_id", "file_import_id"])
    op.add_column("block", sa.Column("hole", sa.Boolean(), server_default=sa.text("true"), nullable=False))
    op.add_column("block", sa.Column("path_model", sa.String(), server_default=sa.text("''"), nullable=False))
    op.add_column("block", sa.Column("ball_ahead_m", sa.Float(), server_default=sa.text("0"), nullable=False))
    op.add_column("block", sa.Column("k", sa.Float(), nullable=True))
    op.add_column("block", sa.Column("comparison_id", sa.Uuid(), nullable=True))
    op.add_column("block", sa.Column("turn", sa.Integer(), nullable=True))
    op.create_foreign_key(
        "fk_block_studio_id_comparison_id", "block", "comparison", ["studio_id", "comparison_id"], ["studio_id", "id"]
    )
    op.create_index("ix_block_studio_id_comparison_id", "block", ["studio_id", "comparison_id"])
    op.create_table(
        "sensor",
        *_key(),
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("kind", sa.String(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("code", sa.String(), nullable=True),
        sa.Column("code_until", _TIME, nullable=False),
        sa.Column("device_id", sa.String(), nullable=True),
        sa.Column("token_hash", sa.String(), nullable=True),
        sa.Column("asked_at", _TIME, nullable=False),
        sa.Column("paired_at", _TIME, nullable=True),
        sa.Column("unpaired_at", _TIME, nullable=True),
        _of("sensor", "lesson"),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_sensor"),
    )
    for column in ("lesson_id", "token_hash", "code"):
        op.create_index(f"ix_sensor_studio_id_{column}", "sensor", ["studio_id", column])
    op.create_table(
        "sensor_zero",
        *_key(),
        sa.Column("sensor_id", sa.Uuid(), nullable=False),
        sa.Column("still_deg", postgresql.JSONB(), nullable=False),
        sa.Column("face_deg", sa.Float(), nullable=False),
        sa.Column("noise_deg", sa.Float(), nullable=False),
        sa.Column("taken_at", _TIME, nullable=False),
        _of("sensor_zero", "sensor"),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_sensor_zero"),
    )
    op.create_index(
        "ix_sensor_zero_studio_id_sensor_id_taken_at", "sensor_zero", ["studio_id", "sensor_id", "taken_at"]
    )
    op.create_table(
        "stroke",
        *_key(),
        sa.Column("sensor_id", sa.Uuid(), nullable=False),
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("key", sa.String(), nullable=False),
        sa.Column("measures", postgresql.JSONB(), nullable=False),
        sa.Column("at", _TIME, nullable=False),
        sa.Column("received_at", _TIME, server_default=_NOW, nullable=False),
        sa.Column("reading_id", sa.Uuid(), nullable=True),
        sa.Column("set_aside", sa.Boolean(), server_default=sa.text("false"), nullable=False),
        _of("stroke", "sensor"),
        _of("stroke", "lesson"),
        _of("stroke", "reading"),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_stroke"),
        sa.UniqueConstraint("studio_id", "sensor_id", "key", name="uq_stroke_studio_id_sensor_id_key"),
    )
    op.create_index("ix_stroke_studio_id_lesson_id_at", "stroke", ["studio_id", "lesson_id", "at"])


def downgrade() -> None:
    for table in ("stroke", "sensor_zero", "sensor"):
        op.drop_table(table)
    op.drop_constraint("fk_block_studio_id_comparison_id", "block")
    op.drop_index("ix_block_studio_id_comparison_id", "block")
    for column in ("turn", "comparison_id", "k", "ball_ahead_m", "path_model", "hole"):
        op.drop_column("block", column)
    op.drop_constraint("fk_lesson_studio_id_file_import_id", "lesson")
    op.drop_index("ix_lesson_studio_id_file_import_id", "lesson")
    for column in ("file_import_id", "rested_at", "moved_at"):
        op.drop_column("lesson", column)
    for table in ("column_map", "file_import", "comparison"):
        op.drop_table(table)
    op.drop_column("studio", "pauses")
