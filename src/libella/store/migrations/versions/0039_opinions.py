"""Opinions as they are held by the studio, of a level, of a golfer, in versions: none is ever changed.

Revision ID: 0039
Revises: 0038
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0039"
down_revision = "0038"


def upgrade() -> None:
    op.create_table(
        "opinion_version",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("opinion", sa.String(), nullable=False),
        sa.Column("level", sa.String(), server_default=sa.text("''"), nullable=False),
        sa.Column("golfer_id", sa.Uuid(), nullable=True),
        sa.Column("numbers", JSONB(), nullable=False),
        sa.Column("kept_at", sa.DateTime(timezone=True), server_default=sa.func.now(), nullable=False),
        sa.ForeignKeyConstraint(["studio_id"], ["studio.id"], name="fk_opinion_version_studio_id"),
        sa.ForeignKeyConstraint(
            ["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"], name="fk_opinion_version_studio_id_golfer_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_opinion_version"),
    )
    op.create_index("ix_opinion_version_studio_id_golfer_id", "opinion_version", ["studio_id", "golfer_id"])
    # What is told of every golfer may hang on one.
    op.execute("""
        create trigger touched_by_insert after insert on opinion_version
        referencing new table as changed for each statement execute function touched_band_version()
    """)


def downgrade() -> None:
    op.drop_table("opinion_version")
