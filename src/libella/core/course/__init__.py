"""What a start line and a pace come to on the course: the chance of holing, what is left, putts in a round."""
