"""Which blocks print what: methods, zones, keys, traps, plans and the edits of all of them."""
