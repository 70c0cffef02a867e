"""The desk every use case goes through; answers kept; times; why a use case refuses."""
