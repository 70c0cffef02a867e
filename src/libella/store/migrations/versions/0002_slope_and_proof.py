"""Slope of the putt and proof of the line"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0002"
down_revision = "0001"
branch_labels = None
depends_on = None


def upgrade() -> None:
    for table in ("station", "block"):
        for name in ("falls_forward_percent", "falls_right_percent"):
            op.add_column(table, sa.Column(name, sa.Double(), server_default=sa.text("0"), nullable=False))
        proof = sa.Column("proof", postgresql.JSONB(), server_default=sa.text("'{}'"), nullable=False)
        op.add_column(table, proof)


def downgrade() -> None:
    for table in ("station", "block"):
        for name in ("falls_forward_percent", "falls_right_percent", "proof"):
            op.drop_column(table, name)
