"""Days in short."""

from datetime import date, datetime, timedelta


def day_said(at: datetime) -> str:
    """>>> day_said(datetime(2026, 3, 2))
    '2 Mar'
    """
    return f"{at.day} {at:%b}"


def date_said(at: datetime) -> str:
    """>>> date_said(datetime(2026, 3, 2))
    '2 Mar 2026'
    """
    return f"{day_said(at)} {at:%Y}"


def day_in_figures(day: date) -> str:
    """>>> day_in_figures(date(2026, 3, 2))
    '2.3.2026'
    """
    return f"{day.day}.{day.month}.{day.year}"


def day_after(since: datetime, days: float) -> str:
    """So many days after the first."""
    return day_said(since + timedelta(days=days))
