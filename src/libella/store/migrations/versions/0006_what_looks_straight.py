"""Tests of what looks straight, and their answers"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0006"
down_revision = "0005"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "sight_test",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("method", sa.String(), nullable=False),
        sa.Column("condition", sa.String(), nullable=False),
        sa.Column("trace", sa.String(), nullable=False),
        sa.Column("eyes", sa.String(), nullable=False),
        sa.Column("glasses", sa.String(), nullable=False),
        sa.Column("away_m", sa.Float(), nullable=False),
        sa.Column("started_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("ended_at", sa.DateTime(timezone=True), nullable=True),
        sa.ForeignKeyConstraint(
            ["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"], name="fk_sight_test_studio_id_lesson_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_sight_test"),
    )
    op.create_index(
        "ix_sight_test_studio_id_lesson_id_started_at", "sight_test", ["studio_id", "lesson_id", "started_at"]
    )
    op.create_table(
        "sight_trial",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("test_id", sa.Uuid(), nullable=False),
        sa.Column("raw", postgresql.JSONB(), nullable=False),
        sa.Column("taken_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("recorded_at", sa.DateTime(timezone=True), server_default=sa.text("now()"), nullable=False),
        sa.Column("voided", sa.Boolean(), server_default=sa.text("false"), nullable=False),
        sa.ForeignKeyConstraint(
            ["studio_id", "test_id"], ["sight_test.studio_id", "sight_test.id"], name="fk_sight_trial_studio_id_test_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_sight_trial"),
    )
    op.create_index(
        "ix_sight_trial_studio_id_test_id_taken_at_id", "sight_trial", ["studio_id", "test_id", "taken_at", "id"]
    )


def downgrade() -> None:
    op.drop_table("sight_trial")
    op.drop_table("sight_test")
