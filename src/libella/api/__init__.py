"""The web interface: thin routers over the use cases."""
