"""Why a lesson says what it says, in words: from the numbers of what is said itself, so that the two can't drift."""
