"""Judge over the API."""
