"""Words that all steps share: how sure, and how many."""
