"""Small simulated devices that stand in for real ones: scanner, colour reader, scales, thermo-hygrometer."""

from nomos.devices.simulated import Scales, Scanner, ThermoHygrometer, uneven_inking
