"""What a coach carries, and the spreads expected by level, change what is told of every golfer.

Revision ID: 0025
Revises: 0024
"""

from alembic import op

revision = "0025"
down_revision = "0024"


def upgrade() -> None:
    op.execute("""
        create function touched_studio() returns trigger language plpgsql as $$
        begin
            insert into golfer_revision (studio_id, golfer_id, revision)
                select golfer.studio_id, golfer.id, nextval('revision')
                from golfer where golfer.studio_id = new.id order by 1, 2
                on conflict (studio_id, golfer_id) do update set revision = excluded.revision;
            return null;
        end $$
    """)
    op.execute("""
        create trigger touched_by_update after update on studio for each row
        when (old.bag is distinct from new.bag or old.spreads_deg is distinct from new.spreads_deg)
        execute function touched_studio()
    """)


def downgrade() -> None:
    op.execute("drop trigger touched_by_update on studio")
    op.execute("drop function touched_studio()")
