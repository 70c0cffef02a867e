"""A day without a network: what a device fetches before it, and how things would stand that are begun in it."""
