"""A ball box lies beside the ball: its distance is from the line, no longer ahead of the ball.

Revision ID: 0019
Revises: 0018
"""

from alembic import op

revision = "0019"
down_revision = "0018"

_LAID = ("station", "saved_station", "block")


def _renamed(old: str, new: str) -> None:
    # The same reading by the same edge; only what the distance is taken along has another name. A box nearer to the
    # line than a putter's head lets it be stays as it was told.
    for table in _LAID:
        op.execute(f"""
            update {table} set aids = (
                select jsonb_agg(case
                    when it->>'kind' = 'ball_box' and it->'sizes' ? '{old}'
                    then jsonb_set(it, '{{sizes}}',
                        (it->'sizes') - '{old}' || jsonb_build_object('{new}', it->'sizes'->'{old}'))
                    else it end order by n)
                from jsonb_array_elements(aids::jsonb) with ordinality as a (it, n))
            where aids::jsonb @> '[{{"kind": "ball_box"}}]'
        """)
    op.execute(f"""
        update aim_set set sizes = sizes::jsonb - '{old}' || jsonb_build_object('{new}', sizes::jsonb->'{old}')
        where kind = 'ball_box' and sizes::jsonb ? '{old}'
    """)


def upgrade() -> None:
    _renamed("ahead_m", "beside_m")


def downgrade() -> None:
    _renamed("beside_m", "ahead_m")
