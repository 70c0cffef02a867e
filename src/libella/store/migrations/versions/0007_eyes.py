"""Where the eyes are: looks in a mirror, and where they are wanted"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0007"
down_revision = "0006"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column("golfer", sa.Column("eye_school", sa.String(), server_default=sa.text("'inside'"), nullable=False))
    op.add_column("golfer", sa.Column("eye_zone_mm", postgresql.JSONB(), nullable=True))
    op.create_table(
        "eye_take",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("raw", postgresql.JSONB(), nullable=False),
        sa.Column("taken_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("recorded_at", sa.DateTime(timezone=True), server_default=sa.text("now()"), nullable=False),
        sa.Column("voided", sa.Boolean(), server_default=sa.text("false"), nullable=False),
        sa.ForeignKeyConstraint(
            ["studio_id", "lesson_id"], ["lesson.studio_id", "lesson.id"], name="fk_eye_take_studio_id_lesson_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_eye_take"),
    )
    op.create_index(
        "ix_eye_take_studio_id_lesson_id_taken_at_id", "eye_take", ["studio_id", "lesson_id", "taken_at", "id"]
    )


def downgrade() -> None:
    op.drop_table("eye_take")
    op.drop_column("golfer", "eye_zone_mm")
    op.drop_column("golfer", "eye_school")
