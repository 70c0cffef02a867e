"""Sizes that were entered wrong and put right afterwards: what stood there, and what stands there since.

Revision ID: 0046
Revises: 0045
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0046"
down_revision = "0045"


def upgrade() -> None:
    op.create_table(
        "correction",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("station_id", sa.Uuid(), nullable=False),
        sa.Column("before", postgresql.JSONB(), nullable=False),
        sa.Column("after", postgresql.JSONB(), nullable=False),
        sa.Column("why", sa.String(), nullable=False),
        sa.Column("made_at", sa.DateTime(timezone=True), nullable=False),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_correction"),
        sa.ForeignKeyConstraint(
            ["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"], name="fk_correction_studio_id_lesson_id"
        ),
        sa.ForeignKeyConstraint(
            ["studio_id", "station_id"], ["station.studio_id", "station.id"], name="fk_correction_studio_id_station_id"
        ),
    )
    op.create_index("ix_correction_studio_id_lesson_id_made_at", "correction", ["studio_id", "lesson_id", "made_at"])
    op.create_index("ix_correction_studio_id_station_id", "correction", ["studio_id", "station_id"])
    op.execute("""
        create trigger told_as_deed after insert or update or delete on correction
        for each row when (coalesce(current_setting('libella.account', true), '') <> '')
        execute function told_as_deed()
    """)


def downgrade() -> None:
    op.drop_table("correction")
