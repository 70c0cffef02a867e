"""Which way round a golfer stands."""

from typing import Final, Literal, get_args

Hand = Literal["right", "left"]
HANDS: Final[tuple[Hand, ...]] = get_args(Hand)


def push_or_pull(side: Literal["left", "right"], hand: Hand) -> Literal["push", "pull"]:
    """The golfer's word for a start error: right is a push for a right-handed golfer, a pull for a left-handed one."""
    return "push" if side == hand else "pull"
