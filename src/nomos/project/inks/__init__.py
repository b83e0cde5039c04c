"""Inks on paper: films, mixing, charts, what is known of them and how surely."""
