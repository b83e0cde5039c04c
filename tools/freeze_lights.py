"""Freeze the lights Nomos looks at prints in into one small file.

Run by hand when the table has to be made again:
    .venv/bin/python tools/freeze_lights.py > src/nomos/colour/cie_lights.csv
Source: CIE 15 (D50, D65, A) and CIE 15:2018 (LED-B1, a warm white of 2733 K), as carried by the
colour-science package; relative power, 380 to 730 nm by 10.
"""

import colour

shape = colour.SpectralShape(380, 730, 10)
names = ("D50", "D65", "A", "LED-B1")
lights = [colour.SDS_ILLUMINANTS[name].copy().align(shape).values for name in names]
print("wavelength_nm," + ",".join(names))
for wavelength, *powers in zip(shape.wavelengths, *lights, strict=True):
    print(f"{wavelength:.0f}," + ",".join(f"{power:.10g}" for power in powers))
