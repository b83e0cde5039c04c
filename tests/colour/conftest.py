"""The reference library for colour."""

import warnings
from types import ModuleType

import pytest


@pytest.fixture(scope="session")
def colour() -> ModuleType:
    """The colour-science package, without its word about plotting."""
    with warnings.catch_warnings():
        warnings.simplefilter("ignore")
        import colour
    return colour
