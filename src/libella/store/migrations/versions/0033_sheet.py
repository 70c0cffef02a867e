"""What a coach writes on the sheet a golfer takes home. Kept so far there was nothing.

Revision ID: 0033
Revises: 0032
"""

import sqlalchemy as sa
from alembic import op

revision = "0033"
down_revision = "0032"


def upgrade() -> None:
    op.add_column("lesson", sa.Column("sheet_note", sa.String(), server_default=sa.text("''"), nullable=False))


def downgrade() -> None:
    op.drop_column("lesson", "sheet_note")
