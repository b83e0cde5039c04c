"""How does every sheet meet every block?"""
