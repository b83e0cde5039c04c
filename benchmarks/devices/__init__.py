"""Simulated drawings, cameras and telephones, for measurements and tests; nothing in the program needs them."""
