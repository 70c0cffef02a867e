"""Lessons, and whole golfers, that were kept under another name: whose they are since, and what stood there.

Revision ID: 0047
Revises: 0046
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0047"
down_revision = "0046"


def upgrade() -> None:
    op.create_table(
        "handover",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("golfer_id", sa.Uuid(), nullable=False),
        sa.Column("former_id", sa.Uuid(), nullable=False),
        sa.Column("lesson_ids", postgresql.JSONB(), nullable=False),
        sa.Column("joined", postgresql.JSONB(), nullable=True),
        sa.Column("came", postgresql.JSONB(), nullable=False),
        sa.Column("made_at", sa.DateTime(timezone=True), nullable=False),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_handover"),
        sa.ForeignKeyConstraint(
            ["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"], name="fk_handover_studio_id_golfer_id"
        ),
    )
    op.create_index("ix_handover_studio_id_golfer_id_made_at", "handover", ["studio_id", "golfer_id", "made_at"])
    op.create_index("ix_handover_studio_id_former_id", "handover", ["studio_id", "former_id"])
    op.execute("""
        create trigger told_as_deed after insert or update or delete on handover
        for each row when (coalesce(current_setting('libella.account', true), '') <> '')
        execute function told_as_deed()
    """)


def downgrade() -> None:
    op.drop_table("handover")
