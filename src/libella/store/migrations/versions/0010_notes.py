"""What else is noted of a putt"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0010"
down_revision = "0009"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column("block", sa.Column("asks", postgresql.JSONB(), server_default=sa.text("'[]'"), nullable=False))
    op.add_column("reading", sa.Column("notes", postgresql.JSONB(), server_default=sa.text("'{}'"), nullable=False))


def downgrade() -> None:
    op.drop_column("reading", "notes")
    op.drop_column("block", "asks")
