"""Why a lesson says what it says: whatever it says, opened."""
