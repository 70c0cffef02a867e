"""`./serve`: Libella for the whole floor, by TLS, with everybody signed in."""
