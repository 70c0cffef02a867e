"""Rounds of a golfer, photographs of a set-up and its name, the kit in hand as of a day, and the drill a block was a run of.
Kept so far there were none.

Revision ID: 0032
Revises: 0031
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0032"
down_revision = "0031"


def _voided() -> sa.Column[bool]:
    return sa.Column("voided", sa.Boolean(), server_default=sa.text("false"), nullable=False)


def upgrade() -> None:
    op.add_column("block", sa.Column("drill", sa.String(), server_default=sa.text("''"), nullable=False))
    op.add_column("set_up", sa.Column("name", sa.String(), server_default=sa.text("''"), nullable=False))
    op.add_column("noted_change", sa.Column("kit", JSONB(), nullable=True))
    op.create_table(
        "golf_round",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("golfer_id", sa.Uuid(), nullable=False),
        sa.Column("holes", JSONB(), nullable=False),
        sa.Column("played_at", sa.DateTime(timezone=True), nullable=False),
        _voided(),
        sa.PrimaryKeyConstraint("studio_id", "id"),
        sa.ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
    )
    op.create_index(None, "golf_round", ["studio_id", "golfer_id", "played_at"])
    op.create_table(
        "set_up_photo",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("golfer_id", sa.Uuid(), nullable=False),
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("seen_from", sa.String(), nullable=False),
        sa.Column("picture", sa.LargeBinary(), nullable=False),
        sa.Column("taken_at", sa.DateTime(timezone=True), nullable=False),
        _voided(),
        sa.PrimaryKeyConstraint("studio_id", "id"),
        sa.ForeignKeyConstraint(["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"]),
        sa.ForeignKeyConstraint(["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"]),
    )
    op.create_index(None, "set_up_photo", ["studio_id", "golfer_id", "taken_at"])
    op.create_index(None, "set_up_photo", ["studio_id", "lesson_id"])
    for event in ("insert", "update"):
        op.execute(f"""
            create trigger touched_by_{event} after {event} on golf_round
            referencing new table as changed for each statement execute function touched_drill_run()
        """)


def downgrade() -> None:
    op.drop_table("set_up_photo")
    op.drop_table("golf_round")
    op.drop_column("noted_change", "kit")
    op.drop_column("set_up", "name")
    op.drop_column("block", "drill")
