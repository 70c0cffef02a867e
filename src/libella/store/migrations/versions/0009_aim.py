"""Aim at address"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0009"
down_revision = "0008"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "aim_set",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("link", sa.String(), nullable=False),
        sa.Column("cue", sa.String(), nullable=False),
        sa.Column("aided", sa.Boolean(), nullable=False),
        sa.Column("kind", sa.String(), nullable=True),
        sa.Column("sizes", postgresql.JSONB(), nullable=False),
        sa.Column("planned", sa.Integer(), nullable=False),
        sa.Column("started_at", sa.DateTime(timezone=True), nullable=False),
        sa.ForeignKeyConstraint(
            ["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"], name="fk_aim_set_studio_id_lesson_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_aim_set"),
    )
    op.create_index("ix_aim_set_studio_id_lesson_id_started_at", "aim_set", ["studio_id", "lesson_id", "started_at"])
    op.create_table(
        "set_down",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("aim_set_id", sa.Uuid(), nullable=False),
        sa.Column("raw", postgresql.JSONB(), nullable=False),
        sa.Column("taken_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("recorded_at", sa.DateTime(timezone=True), server_default=sa.text("now()"), nullable=False),
        sa.Column("voided", sa.Boolean(), server_default=sa.text("false"), nullable=False),
        sa.ForeignKeyConstraint(
            ["studio_id", "aim_set_id"], ["aim_set.studio_id", "aim_set.id"], name="fk_set_down_studio_id_aim_set_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_set_down"),
    )
    op.create_index(
        "ix_set_down_studio_id_aim_set_id_taken_at_id", "set_down", ["studio_id", "aim_set_id", "taken_at", "id"]
    )


def downgrade() -> None:
    op.drop_table("set_down")
    op.drop_table("aim_set")
