"""Teaching drawings, with the golfer's own numbers at the start."""
