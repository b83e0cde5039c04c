"""The demo: an invented sketch, inks and paper, made by code and shipped as files."""

from nomos.demo.scenario import DEMO_NAMES, demo_picture, demo_project

__all__ = ["DEMO_NAMES", "demo_picture", "demo_project"]
