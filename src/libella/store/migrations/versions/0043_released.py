"""When a lesson's sheet was released to its golfer.

Revision ID: 0043
Revises: 0042
"""

import sqlalchemy as sa
from alembic import op

revision = "0043"
down_revision = "0042"


def upgrade() -> None:
    op.add_column("lesson", sa.Column("released_at", sa.DateTime(timezone=True), nullable=True))


def downgrade() -> None:
    op.drop_column("lesson", "released_at")
