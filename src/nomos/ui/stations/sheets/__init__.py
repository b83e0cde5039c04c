"""How many sheets, and what has been printed?"""
