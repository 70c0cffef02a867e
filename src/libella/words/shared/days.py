"""Days in short."""

from datetime import datetime, timedelta


def day_said(at: datetime) -> str:
    """>>> day_said(datetime(2026, 3, 2))
    '2 Mar'
    """
    return f"{at.day} {at:%b}"


def day_after(since: datetime, days: float) -> str:
    """So many days after the first."""
    return day_said(since + timedelta(days=days))
