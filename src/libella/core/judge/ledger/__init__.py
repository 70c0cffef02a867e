"""Everything that was read, whatever step read it: readings of quantities, with what they share and how they were
taken."""
