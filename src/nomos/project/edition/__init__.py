"""Cutting, sheets, and the bench."""
