"""One file that holds everything of a golfer, or of the studio: out, and in again. See docs/formats/archive.md."""
