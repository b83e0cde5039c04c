"""Nomos: separates, proofs, orders and registers relief prints in several colours."""
