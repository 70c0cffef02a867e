"""Which of two things happens oftener, from how often each was seen."""

from scipy.special import betainc


def more_often(one: int, other: int) -> tuple[float, float]:
    """Chances that the first, and that the other, is the commoner (uniform prior on the share of the first)."""
    other_more = float(betainc(one + 1, other + 1, 0.5))
    return 1 - other_more, other_more
