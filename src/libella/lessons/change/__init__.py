"""Change: what the golfer came with, the answer, the one change and its retests."""
