"""Who may come in, who is in, and who did what."""
