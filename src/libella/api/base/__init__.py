"""What all routers share."""
