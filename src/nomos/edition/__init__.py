"""What an edition takes: ink for its sheets."""

from nomos.edition.amounts import FILM_G_M2, SLAB_G, WASTE, InkNeed, film_from_weights, ink_needed

__all__ = ["FILM_G_M2", "SLAB_G", "WASTE", "InkNeed", "film_from_weights", "ink_needed"]
