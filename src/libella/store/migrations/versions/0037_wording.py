"""How things are put to a golfer. Kept so far it went by the level.

Revision ID: 0037
Revises: 0036
"""

import sqlalchemy as sa
from alembic import op

revision = "0037"
down_revision = "0036"


def upgrade() -> None:
    op.add_column("golfer", sa.Column("wording", sa.String(), server_default=sa.text("''"), nullable=False))


def downgrade() -> None:
    op.drop_column("golfer", "wording")
