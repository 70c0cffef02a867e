"""Use cases: what a coach can do, in terms of core and store. Each call is one transaction."""
