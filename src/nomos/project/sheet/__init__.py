"""Blocks laid on the sheet, what shows then, and what a printed one teaches."""
