"""One rule a file: each judges one cause of the handbook's table from the case."""
