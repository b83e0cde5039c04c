"""Small simulated devices that stand in for real ones: scanner, colour reader, scales."""

from nomos.devices.simulated import ColourReader, Scales, Scanner

__all__ = ["ColourReader", "Scales", "Scanner"]
