"""Schools of coach and golfer in one place: where eyes are wanted, and whether an offset may stay, move into it.

Revision ID: 0036
Revises: 0035
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0036"
down_revision = "0035"

OWN = {("golfer", "schools"): "schools - 'eyes' <> '{}'"}
"""Where eyes are wanted was told before, too."""
_NEWEST = """
    select level.key as level, coalesce((level.value ->> 'offset_may_stay')::boolean, false) as stays, newest.studio_id
    from (select distinct on (studio_id) studio_id, bands from band_version order by studio_id, number desc) newest,
        jsonb_each(newest.bands) level
"""


def upgrade() -> None:
    for table in ("studio", "golfer"):
        none_yet = sa.text("'{}'")
        op.add_column(table, sa.Column("schools", postgresql.JSONB(), server_default=none_yet, nullable=False))
    op.execute(
        "update golfer set schools = jsonb_build_object('eyes', eye_school) where eye_school in ('over', 'inside', 'own')"
    )
    # It was said by level: whoever is of such a level keeps it.
    op.execute(f"""
        update golfer set schools = schools || '{{"face_at_address": "may_stay"}}'
        from ({_NEWEST}) told
        where told.stays and told.studio_id = golfer.studio_id and told.level = golfer.level
    """)
    op.execute("""
        update band_version
        set bands = (select jsonb_object_agg(key, value - 'offset_may_stay') from jsonb_each(bands))
        where bands <> '{}'
    """)
    op.drop_column("golfer", "eye_school")
    op.execute("drop trigger touched_by_update on studio")
    op.execute("""
        create trigger touched_by_update after update on studio for each row
        when (old.bag is distinct from new.bag or old.spreads_deg is distinct from new.spreads_deg
            or old.schools is distinct from new.schools)
        execute function touched_studio()
    """)


def downgrade() -> None:
    op.execute("drop trigger touched_by_update on studio")
    op.execute("""
        create trigger touched_by_update after update on studio for each row
        when (old.bag is distinct from new.bag or old.spreads_deg is distinct from new.spreads_deg)
        execute function touched_studio()
    """)
    op.add_column("golfer", sa.Column("eye_school", sa.String(), server_default=sa.text("'none'"), nullable=False))
    op.execute("update golfer set eye_school = schools ->> 'eyes' where schools ? 'eyes'")
    op.drop_column("golfer", "schools")
    op.drop_column("studio", "schools")
