"""The answers at the right, one widget for each station."""
