"""Teaching drawings over the wire."""
