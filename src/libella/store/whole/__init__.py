"""Everything that is kept of a golfer, or of the studio, as rows: out of the tables, and into them."""

from sqlalchemy import text
from sqlalchemy.orm import Session


def take_time(session: Session) -> None:
    """A statement over ten years of readings takes longer than a page may: in this transaction it may."""
    session.execute(text("set local statement_timeout = '30min'"))
