"""What is said to and of whoever comes in."""
