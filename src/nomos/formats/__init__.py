"""What leaves the program and comes in: templates as PDF and SVG, proofs as PNG, shelves, readings, plans."""
