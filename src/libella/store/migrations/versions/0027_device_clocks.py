"""When a device was last heard, and taps made at the moment of its stroke: by these its clock is known.

Revision ID: 0027
Revises: 0026
"""

import sqlalchemy as sa
from alembic import op

revision = "0027"
down_revision = "0026"


def upgrade() -> None:
    op.add_column("sensor", sa.Column("heard_at", sa.DateTime(timezone=True), nullable=True))
    op.create_table(
        "stroke_tap",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("sensor_id", sa.Uuid(), nullable=False),
        sa.Column("tapped_at", sa.DateTime(timezone=True), nullable=False),
        sa.ForeignKeyConstraint(
            ["studio_id", "sensor_id"], ["sensor.studio_id", "sensor.id"], name="fk_stroke_tap_studio_id_sensor_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_stroke_tap"),
    )
    op.create_index("ix_stroke_tap_studio_id_sensor_id", "stroke_tap", ["studio_id", "sensor_id"])
    # Which putt a stroke belongs to goes by the clock: a tap tells of its lesson as a zero does (0013).
    for event in ("insert", "update"):
        op.execute(f"""
            create trigger touched_by_{event} after {event} on stroke_tap
            referencing new table as changed for each statement execute function touched_sensor_zero()
        """)


def downgrade() -> None:
    op.drop_table("stroke_tap")
    op.drop_column("sensor", "heard_at")
