"""The lengths a golfer usually putts.

Revision ID: 0012
Revises: 0011
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0012"
down_revision = "0011"


def upgrade() -> None:
    op.add_column("golfer", sa.Column("usual_lengths", JSONB(none_as_null=True), nullable=True))


def downgrade() -> None:
    op.drop_column("golfer", "usual_lengths")
