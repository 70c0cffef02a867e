"""What lowers the weight of a single putt, set-down or answer. Of what was kept so far nothing was said.

Revision ID: 0029
Revises: 0028
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0029"
down_revision = "0028"
_TABLES = ("reading", "set_down", "sight_trial")
# What says something that the version before cannot keep.
OWN = {(table, "flags"): "flags <> '[]'" for table in _TABLES}


def upgrade() -> None:
    for table in _TABLES:
        op.add_column(table, sa.Column("flags", JSONB(), server_default=sa.text("'[]'"), nullable=False))


def downgrade() -> None:
    for table in _TABLES:
        op.drop_column(table, "flags")
