"""Archives on their way out and in, piece by piece.

Revision ID: 0034
Revises: 0033
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0034"
down_revision = "0033"


def upgrade() -> None:
    op.create_table(
        "archive_work",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("golfer_id", sa.Uuid(), nullable=True),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("phase", sa.String(), nullable=False),
        sa.Column("total", sa.Integer(), server_default=sa.text("0"), nullable=False),
        sa.Column("done", sa.Integer(), server_default=sa.text("0"), nullable=False),
        sa.Column("stop_asked", sa.Boolean(), server_default=sa.text("false"), nullable=False),
        sa.Column("found", JSONB(), nullable=True),
        sa.Column("begun_at", sa.DateTime(timezone=True), server_default=sa.func.now(), nullable=False),
        sa.ForeignKeyConstraint(["studio_id"], ["studio.id"], name="fk_archive_work_studio_id"),
        sa.ForeignKeyConstraint(
            ["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"], name="fk_archive_work_studio_id_golfer_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_archive_work"),
    )
    op.create_table(
        "archive_part",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("work_id", sa.Uuid(), nullable=False),
        sa.Column("number", sa.Integer(), nullable=False),
        sa.Column("content", sa.LargeBinary(), nullable=False),
        sa.ForeignKeyConstraint(
            ["studio_id", "work_id"],
            ["archive_work.studio_id", "archive_work.id"],
            name="fk_archive_part_studio_id_work_id",
            ondelete="CASCADE",
        ),
        sa.PrimaryKeyConstraint("studio_id", "work_id", "number", name="pk_archive_part"),
    )
    # Its pieces are compressed already.
    op.execute("alter table archive_part alter column content set storage external")


def downgrade() -> None:
    op.drop_table("archive_part")
    op.drop_table("archive_work")
