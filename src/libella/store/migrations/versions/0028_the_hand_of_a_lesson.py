"""The hand in use belongs to the lesson: what was read with one is not told of the other. Lessons kept so far have their
golfer's, which is all that was known of them.

Revision ID: 0028
Revises: 0027
"""

import sqlalchemy as sa
from alembic import op

revision = "0028"
down_revision = "0027"
# What a lesson says of its own: another hand than its golfer's.
OWN = {
    ("lesson", "hand"): "hand is distinct from (select golfer.hand from golfer "
    "where golfer.studio_id = lesson.studio_id and golfer.id = lesson.golfer_id)"
}


def upgrade() -> None:
    op.add_column("lesson", sa.Column("hand", sa.String(), nullable=True))
    op.execute("""
        update lesson set hand = golfer.hand from golfer
        where golfer.studio_id = lesson.studio_id and golfer.id = lesson.golfer_id
    """)
    op.alter_column("lesson", "hand", nullable=False)


def downgrade() -> None:
    op.drop_column("lesson", "hand")
