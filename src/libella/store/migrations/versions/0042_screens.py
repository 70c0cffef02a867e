"""Walls and golfers' screens that are let in by a key of their own; and devices that were lost.

Revision ID: 0042
Revises: 0041
"""

import sqlalchemy as sa
from alembic import op

revision = "0042"
down_revision = "0041"


def upgrade() -> None:
    op.create_table(
        "screen",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("key_hash", sa.String(), nullable=False),
        sa.Column("key_until", sa.DateTime(timezone=True), nullable=False),
        sa.Column("taken_at", sa.DateTime(timezone=True), nullable=True),
        sa.Column("seen_at", sa.DateTime(timezone=True), nullable=True),
        sa.Column("ended_at", sa.DateTime(timezone=True), nullable=True),
        sa.Column("lesson_id", sa.Uuid(), nullable=True),
        sa.Column("view", sa.String(), nullable=False),
        sa.ForeignKeyConstraint(["studio_id"], ["studio.id"], name="fk_screen_studio_id"),
        sa.ForeignKeyConstraint(
            ["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"], name="fk_screen_studio_id_lesson_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_screen"),
        sa.UniqueConstraint("studio_id", "key_hash", name="uq_screen_studio_id_key_hash"),
    )
    op.create_index("ix_screen_studio_id_lesson_id", "screen", ["studio_id", "lesson_id"])
    op.add_column("sign_in", sa.Column("lost", sa.Boolean(), server_default=sa.text("false"), nullable=False))


def downgrade() -> None:
    op.drop_column("sign_in", "lost")
    op.drop_table("screen")
