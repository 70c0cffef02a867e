"""Schools in words: what a golfer's own data say of them, and who holds which."""
