"""What to know before cutting: findings, and the proof they belong to."""
