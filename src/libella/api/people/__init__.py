"""Who asks, what he may, and how he comes in."""
