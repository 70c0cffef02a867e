"""Claims: what readings come to. One question about one group of readings, or about a pair of them; every page chooses
among them, and none works out its own."""
