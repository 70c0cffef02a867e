"""Lines of a golfer that the coach joined.

Revision ID: 0024
Revises: 0023
"""

import sqlalchemy as sa
from alembic import op

revision = "0024"
down_revision = "0023"


def upgrade() -> None:
    op.create_table(
        "line_join",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("golfer_id", sa.Uuid(), nullable=False),
        sa.Column("first", sa.String(), nullable=False),
        sa.Column("second", sa.String(), nullable=False),
        sa.Column("made_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("voided", sa.Boolean(), server_default=sa.text("false"), nullable=False),
        sa.ForeignKeyConstraint(
            ["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"], name="fk_line_join_studio_id_golfer_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_line_join"),
    )
    op.create_index("ix_line_join_studio_id_golfer_id", "line_join", ["studio_id", "golfer_id"])
    # A join tells of its golfer as a noted change does (0021).
    for event in ("insert", "update"):
        op.execute(f"""
            create trigger touched_by_{event} after {event} on line_join
            referencing new table as changed for each statement execute function touched_noted_change()
        """)


def downgrade() -> None:
    op.drop_table("line_join")
