"""Schools: where coaches contradict each other, what each school changes, and what this golfer's own data say."""
