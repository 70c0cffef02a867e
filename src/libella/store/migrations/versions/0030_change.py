"""What a golfer comes with, the one change of a lesson, and the comparisons that retest it. Of lessons and golfers kept
so far nobody asked; changes noted so far were noted and not chosen.

Revision ID: 0030
Revises: 0029
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0030"
down_revision = "0029"
_LISTS = ("usual_misses", "limits")
# What says something that the version before cannot keep.
OWN = {
    ("lesson", "complaint"): "complaint is not null",
    ("golfer", "usual_misses"): "usual_misses <> '[]'",
    ("golfer", "limits"): "limits <> '[]'",
    ("golfer", "glasses"): "glasses <> ''",
    ("noted_change", "lesson_id"): "lesson_id is not null",
    ("noted_change", "chosen"): "chosen is not null",
    ("noted_change", "dropped_at"): "dropped_at is not null",
    ("comparison", "change_id"): "change_id is not null",
}


def upgrade() -> None:
    op.add_column("lesson", sa.Column("complaint", JSONB(), nullable=True))
    for name in _LISTS:
        op.add_column("golfer", sa.Column(name, JSONB(), server_default=sa.text("'[]'"), nullable=False))
    op.add_column("golfer", sa.Column("glasses", sa.String(), server_default=sa.text("''"), nullable=False))
    op.add_column("noted_change", sa.Column("lesson_id", sa.Uuid(), nullable=True))
    op.add_column("noted_change", sa.Column("chosen", JSONB(), nullable=True))
    op.add_column("noted_change", sa.Column("dropped_at", sa.DateTime(timezone=True), nullable=True))
    op.create_foreign_key(None, "noted_change", "lesson", ["studio_id", "lesson_id"], ["studio_id", "id"])
    op.create_index(None, "noted_change", ["studio_id", "lesson_id"])
    op.add_column("comparison", sa.Column("change_id", sa.Uuid(), nullable=True))
    op.create_foreign_key(None, "comparison", "noted_change", ["studio_id", "change_id"], ["studio_id", "id"])
    op.create_index(None, "comparison", ["studio_id", "change_id"])


def downgrade() -> None:
    op.drop_column("comparison", "change_id")
    for name in ("dropped_at", "chosen", "lesson_id"):
        op.drop_column("noted_change", name)
    op.drop_column("golfer", "glasses")
    for name in _LISTS:
        op.drop_column("golfer", name)
    op.drop_column("lesson", "complaint")
