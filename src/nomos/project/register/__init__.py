"""How every sheet meets every block: systems, tolerance, proofs that are read."""
