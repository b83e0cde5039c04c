"""Which inks?"""
