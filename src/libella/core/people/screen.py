"""What a screen that is let in by a key of its own may show."""

from typing import Final, Literal, get_args

View = Literal["putts", "finding", "question"]
"""The last putt and the vial; what the lesson comes to; what is asked of the golfer."""
VIEWS: Final[tuple[View, ...]] = get_args(View)
