"""Which blocks, by which method?"""
