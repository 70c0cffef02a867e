"""Judge: tendency or chance, how big, what to work on."""
