"""Who told on which side of a string something was: the golfer over the ball, or the coach behind the line.

Revision ID: 0049
Revises: 0048
"""

import sqlalchemy as sa
from alembic import op

revision = "0049"
down_revision = "0048"


def upgrade() -> None:
    op.add_column("block", sa.Column("looker", sa.String(), nullable=False, server_default=""))


def downgrade() -> None:
    op.drop_column("block", "looker")
