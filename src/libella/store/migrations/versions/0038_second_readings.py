"""What two readers read of the same, neither knowing of the other.

Revision ID: 0038
Revises: 0037
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0038"
down_revision = "0037"


def upgrade() -> None:
    op.create_table(
        "second_reading",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("thing", sa.String(), nullable=False),
        sa.Column("first_by", sa.String(), nullable=False),
        sa.Column("first", postgresql.JSONB(), nullable=False),
        sa.Column("taken_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("second_by", sa.String(), server_default=sa.text("''"), nullable=False),
        sa.Column("second", postgresql.JSONB(), nullable=True),
        sa.Column("answered_at", sa.DateTime(timezone=True), nullable=True),
        sa.Column("voided", sa.Boolean(), server_default=sa.text("false"), nullable=False),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_second_reading"),
        sa.ForeignKeyConstraint(["studio_id"], ["studio.id"], name="fk_second_reading_studio_id"),
    )
    # What is told of every golfer hangs on it once both have read.
    for event in ("insert", "update"):
        op.execute(f"""
            create trigger touched_by_{event} after {event} on second_reading
            referencing new table as changed for each statement execute function touched_band_version()
        """)
    op.create_index("ix_second_reading_studio_id_taken_at_id", "second_reading", ["studio_id", "taken_at", "id"])


def downgrade() -> None:
    op.drop_table("second_reading")
