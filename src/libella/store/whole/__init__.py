"""Everything that is kept of a golfer, or of the studio, as rows: out of the tables, and into them."""
