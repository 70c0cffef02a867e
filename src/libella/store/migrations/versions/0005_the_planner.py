"""The planner: reads and start targets, aids beside the rig, the coach's bag and opinions, the kit check"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0005"
down_revision = "0004"
branch_labels = None
depends_on = None

_LAID = ("station", "saved_station", "block")


def upgrade() -> None:
    for table in _LAID:
        op.add_column(table, sa.Column("falls_doubt_percent", sa.Float(), server_default=sa.text("0"), nullable=False))
        op.add_column(table, sa.Column("read", postgresql.JSONB(), nullable=True))
        op.add_column(table, sa.Column("target", sa.String(), server_default=sa.text("'computed'"), nullable=False))
        op.add_column(table, sa.Column("across_m", sa.Float(), server_default=sa.text("0"), nullable=False))
        op.add_column(table, sa.Column("backstroke_m", sa.Float(), nullable=True))
        op.add_column(table, sa.Column("aids", postgresql.JSONB(), server_default=sa.text("'[]'"), nullable=False))
        # A line on the ground has an end now: those laid before reached the hole.
        op.execute(
            f"update {table} set rig_sizes_m = rig_sizes_m || jsonb_build_object('line_m', "
            "greatest(distance_m, (rig_sizes_m->>'distance_m')::float)) "
            "where rig_kind in ('ground_laser', 'chalk_line', 'ground_string')"
        )
    op.add_column("studio", sa.Column("bag", postgresql.JSONB(), nullable=True))
    op.add_column(
        "studio", sa.Column("spreads_deg", postgresql.JSONB(), server_default=sa.text("'{}'"), nullable=False)
    )
    op.add_column(
        "lesson", sa.Column("kit_checked", postgresql.JSONB(), server_default=sa.text("'[]'"), nullable=False)
    )


def downgrade() -> None:
    op.drop_column("lesson", "kit_checked")
    op.drop_column("studio", "spreads_deg")
    op.drop_column("studio", "bag")
    for table in _LAID:
        for column in ("aids", "backstroke_m", "across_m", "target", "read", "falls_doubt_percent"):
            op.drop_column(table, column)
