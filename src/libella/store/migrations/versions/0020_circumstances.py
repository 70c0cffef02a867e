"""What the golfer makes of a green; what disturbed a block, and how it felt.

Revision ID: 0020
Revises: 0019
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0020"
down_revision = "0019"

_LAID = ("station", "saved_station", "block")


def upgrade() -> None:
    for table in _LAID:
        op.add_column(table, sa.Column("golfer_says", JSONB(), nullable=False, server_default=sa.text("'{}'")))
    op.add_column("block", sa.Column("disturbances", JSONB(), nullable=False, server_default=sa.text("'[]'")))
    for felt in ("comfort", "trust"):
        op.add_column("block", sa.Column(felt, sa.Integer(), nullable=True))


def downgrade() -> None:
    for felt in ("trust", "comfort", "disturbances"):
        op.drop_column("block", felt)
    for table in _LAID:
        op.drop_column(table, "golfer_says")
