"""Which order, on which days?"""
