"""Saved stations"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0003"
down_revision = "0002"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "saved_station",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("kept_at", sa.DateTime(timezone=True), server_default=sa.text("now()"), nullable=False),
        sa.Column("put_away_at", sa.DateTime(timezone=True), nullable=True),
        sa.Column("distance_m", sa.Double(), nullable=False),
        sa.Column("past_m", sa.Double(), nullable=False),
        sa.Column("stimp_ft", sa.Double(), nullable=False),
        sa.Column("capture", sa.String(), nullable=False),
        sa.Column("rig_kind", sa.String(), nullable=False),
        sa.Column("rig_sizes_m", postgresql.JSONB(), nullable=False),
        sa.Column("falls_forward_percent", sa.Double(), server_default=sa.text("0"), nullable=False),
        sa.Column("falls_right_percent", sa.Double(), server_default=sa.text("0"), nullable=False),
        sa.Column("proof", postgresql.JSONB(), server_default=sa.text("'{}'"), nullable=False),
        sa.ForeignKeyConstraint(["studio_id"], ["studio.id"], name=op.f("fk_saved_station_studio_id")),
        sa.PrimaryKeyConstraint("studio_id", "id", name=op.f("pk_saved_station")),
    )
    op.create_index(op.f("ix_saved_station_studio_id_name_id"), "saved_station", ["studio_id", "name", "id"])


def downgrade() -> None:
    op.drop_index(op.f("ix_saved_station_studio_id_name_id"), table_name="saved_station")
    op.drop_table("saved_station")
