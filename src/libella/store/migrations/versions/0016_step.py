"""A golfer's own step length.

Revision ID: 0016
Revises: 0015
"""

import sqlalchemy as sa
from alembic import op

revision = "0016"
down_revision = "0015"


def upgrade() -> None:
    op.add_column("golfer", sa.Column("step_m", sa.Double(), nullable=True))


def downgrade() -> None:
    op.drop_column("golfer", "step_m")
