"""One plan of a lesson that every step refers to; proofs given later; set-ups named; tests left.

Revision ID: 0017
Revises: 0016
"""

import sqlalchemy as sa
from alembic import op

revision = "0017"
down_revision = "0016"

_ON_A_PLAN = ("aim_set", "sight_test", "eye_take")
_IN_A_SET_UP = ("aim_set", "eye_take")


def upgrade() -> None:
    op.add_column("station", sa.Column("replaces_id", sa.Uuid(), nullable=True))
    op.create_foreign_key(
        "fk_station_studio_id_replaces_id",
        "station",
        "station",
        ["studio_id", "replaces_id"],
        ["studio_id", "id"],
    )
    op.add_column("lesson", sa.Column("plan_id", sa.Uuid(), nullable=True))
    op.add_column("block", sa.Column("judged_again_at", sa.DateTime(timezone=True), nullable=True))
    op.add_column("sight_test", sa.Column("left_at", sa.DateTime(timezone=True), nullable=True))
    for table in _ON_A_PLAN:
        op.add_column(table, sa.Column("station_id", sa.Uuid(), nullable=True))
        op.create_foreign_key(
            f"fk_{table}_studio_id_station_id",
            table,
            "station",
            ["studio_id", "station_id"],
            ["studio_id", "id"],
        )
    for table in _IN_A_SET_UP:
        op.add_column(table, sa.Column("set_up", sa.String(), nullable=False, server_default="as usual"))


def downgrade() -> None:
    for table in _IN_A_SET_UP:
        op.drop_column(table, "set_up")
    for table in _ON_A_PLAN:
        op.drop_column(table, "station_id")
    for table, column in (("sight_test", "left_at"), ("block", "judged_again_at"), ("lesson", "plan_id")):
        op.drop_column(table, column)
    op.drop_column("station", "replaces_id")
