"""Print order: the rule, its reasons, and what happens between pulls."""

from nomos.order.light_to_dark import DRYING_H, Layer, before_next, light_to_dark, reasons
