"""The demos: invented sketches, inks and paper, drawn by code (benchmarks/demos) and shipped as files."""

from nomos.demo.scenario import (
    COLD_FRAME,
    GLASSHOUSE,
    PHOTO,
    POTS,
    Scenario,
    demo_picture,
    demo_project,
    scenario_called,
)
