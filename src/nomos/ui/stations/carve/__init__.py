"""How is it cut?"""
