"""The PostgreSQL server: its cluster, its database, its backups."""
