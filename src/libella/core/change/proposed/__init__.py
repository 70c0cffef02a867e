"""What is usually changed, entry by entry; each names itself, and is an opinion (practice 2)."""
