"""Simulated golfers whose causes are known, and the lessons they have: for the benches and tests of findings."""
