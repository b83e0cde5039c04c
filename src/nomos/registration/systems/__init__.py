"""The systems of registration, a module each: what lies where, its steps and limits.

A new one is a module with a function like `kento_plan`, a word in `settings`, and one line in `plan`.
"""
