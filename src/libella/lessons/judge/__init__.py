"""Judge: what stands behind a verdict."""
