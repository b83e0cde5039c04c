"""What is the design made of?"""
