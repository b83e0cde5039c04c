"""Freeze the CIE tables Nomos computes with into one small file.

Run by hand when the tables have to be made again:
    .venv/bin/python tools/freeze_cie.py > src/nomos/colour/cie_1931_2deg_d50.csv
Source: CIE 15 (colorimetry), as carried by the colour-science package.
"""

import colour

shape = colour.SpectralShape(380, 730, 10)
observer = colour.MSDS_CMFS["CIE 1931 2 Degree Standard Observer"].copy().align(shape)
d50 = colour.SDS_ILLUMINANTS["D50"].copy().align(shape)
print("wavelength_nm,x_bar,y_bar,z_bar,d50")
for wavelength, (x, y, z), power in zip(shape.wavelengths, observer.values, d50.values, strict=True):
    print(f"{wavelength:.0f},{x:.10g},{y:.10g},{z:.10g},{power:.10g}")
