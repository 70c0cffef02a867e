"""What is kept in PostgreSQL. Every row belongs to a studio; its id leads every key."""
