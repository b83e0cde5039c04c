"""The bench: one sheet after the other."""
